import { nPerG } from '../units/gravity.ts';

/** Grams that press as hard as a force in newtons: how loads are shown. */
export const pressG = (newtons: number): number => newtons / nPerG;
