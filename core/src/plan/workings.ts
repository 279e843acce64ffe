import { enterCarving } from '../carve/carve-figures.ts';
import { enterGaps } from '../fill/gap-figures.ts';
import { enterFinish } from '../finish/finish-figures.ts';
import { enterBake } from '../tins/bake-figures.ts';

/** The workings of figures that only an open build shows: a shelf of many cakes goes without. */
export const workings = { enterBake, enterCarving, enterFinish, enterGaps };
export type Workings = typeof workings;
