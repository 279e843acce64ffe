import type { NoteKind, Planned } from '../document/types.ts';
import type { HandKind } from '../hand/kinds.ts';
import type { Kind } from '../units/kinds.ts';
import type { Hazard } from '../pantry/hazards.ts';
import type { CoolPlace } from '../pantry/types.ts';
import { phrase, type Phrase } from '../units/phrase.ts';
import { cakeLine, type Line, type OperationKind } from '../workflow/operation.ts';

export const chapters = [
  'Bake',
  'Bowls',
  'Fill and stack',
  'Carve',
  'Coat',
  'Support',
  'Finish',
  'Serve',
] as const;
export type Chapter = (typeof chapters)[number];

/** An amount to weigh or measure at a step, shown large. `figure` names its working in the plan. */
export interface Amount {
  label: string;
  value: number;
  kind: Kind;
  figure: string | null;
}

/** One line of a list to work down, for instance an ingredient to weigh. */
export interface ListItem {
  label: string;
  value: number;
  kind: Kind;
  note: string | null;
  /** The ingredient it is, for the household measures of small amounts. */
  foodId?: string | null;
  /** How often it is weighed out, where not once: for each of several mixings. */
  times?: number;
}

/** What a step takes from the store: an ingredient of the pantry, or only a name, g. */
export interface Taken {
  name: string;
  foodId: string | null;
  massG: number;
  /** A line of a recipe, which says itself whether it is soaked or sugared. */
  inRecipe: boolean;
}

/** What can be noted down at a step, beside the planned figure. */
export interface Recordable {
  kind: NoteKind;
  label: string;
  planned: number;
  show: Kind;
  /** What the hand learns from it, and by how much it had moved the figure already. */
  hand?: HandKind | null;
  movedBy?: number;
  /** Where what is noted is what is left: how much is to be taken. */
  takenG?: number;
  /** What is noted, whatever it is called: a note stays with it when it is renamed. */
  what?: string;
}

/** What is noted, as a key within its step. */
export const whatOf = (record: Recordable): string =>
  record.what ??
  (record.takenG !== undefined || record.label === leftLabel
    ? 'left'
    : `${record.kind}/${record.hand ?? ''}`);

/** True for a note of the same thing; notes of older versions are known by their label alone. */
export const isOfSame = (planned: Planned, record: Recordable): boolean =>
  planned.what === '' ? planned.label === record.label : planned.what === whatOf(record);

/** Where something waits: where it cools, in the oven switched off, or on the bench as it is. */
export type StepPlace = CoolPlace | 'oven' | 'bench' | 'freezer';

/** In the oven: for how long, and so long before that until it is hot. */
export interface Oven {
  minutes: number;
  leadMin: number;
  /** The load that its batter was mixed for and how long that may stand, and the load its tins were in before. */
  batterFrom: number | null;
  waitMin: number;
  tinsFrom: number | null;
}

/** What goes into the oven on a tray, in no load of cakes. */
export const fromNoLoad = { batterFrom: null, waitMin: 0, tinsFrom: null };

/** One thing to do at the bench. Texts carry figures and are put into the reader's units on screen. */
export interface Step {
  /** Stays the same while the build changes, so that ticks and notes stay with their step. */
  key: string;
  /** The step that it is a part of where all was done in one: ticked off with that. */
  wholeKey: string | null;
  kind: OperationKind;
  line: Line;
  /** The tier it is about, and which of its layers, by their place from below; none for no one of them. */
  tierId: string | null;
  layers: readonly number[];
  /** Other tiers that share what is made at it. */
  sharedBy: readonly string[];
  chapter: Chapter;
  part: string | null;
  title: string;
  lead: Phrase | null;
  amounts: Amount[];
  list: ListItem[];
  /** Ingredients that it takes; what is made at other steps is not among them. */
  takes: readonly Taken[];
  checks: string[];
  cautions: Phrase[];
  /** What can hurt here, and how hot what is handled is at its hottest, C; null where nobody knows. */
  hazards: readonly Hazard[];
  hotC: number | null;
  /** It goes well beside the main work, without an eye for the cake. */
  beside: boolean;
  /** `usualMin`: what it would be without the hand's correction; left out where that is none. */
  timer: { label: string; minutes: number; lookMin: number | null; usualMin?: number } | null;
  /** What goes into the oven here; null for what does not. */
  oven: Oven | null;
  /** Where what was made waits here, and how high it stands on a shelf, mm. */
  hold: { place: StepPlace; highMm: number; spoils: boolean } | null;
  /** What it takes of something put away before: layers or g. */
  stock: { rowId: string; amount: number } | null;
  /** What follows must begin within so many minutes; null where it keeps. */
  keepsMin: number | null;
  handsOnMin: number;
  record: Recordable | null;
  /** What else can be noted here. */
  also: Recordable[];
  /** What a thermometer in the bowl should read here, C: from and to. */
  probe: { label: string; fromC: number; toC: number } | null;
  /** The tier whose rims are measured at this step. */
  rimsOf: string | null;
  /** The tier that is still to be coated when what is left in the bowl is weighed here. */
  leftFor: string | null;
  /** The tier whose test drip is noted at this step. */
  dripOf: string | null;
}

/** Label of what is weighed when a bowl comes back from the cake. */
export const leftLabel = 'left in the bowl';

/** Nothing at a step is hot unless it says so, C. */
const roomC = 21;

/** A step with nothing but its title, to be filled in. */
export const step = (
  key: string,
  kind: OperationKind,
  chapter: Chapter,
  title: string,
  handsOnMin: number,
  more: Partial<Step> = {},
): Step => ({
  key,
  wholeKey: null,
  kind,
  line: cakeLine,
  tierId: null,
  layers: [],
  sharedBy: [],
  chapter,
  part: null,
  title,
  lead: null,
  amounts: [],
  list: [],
  takes: [],
  checks: [],
  cautions: [],
  hazards: [],
  hotC: roomC,
  beside: false,
  timer: null,
  oven: null,
  hold: null,
  stock: null,
  keepsMin: null,
  handsOnMin,
  record: null,
  also: [],
  probe: null,
  rimsOf: null,
  leftFor: null,
  dripOf: null,
  ...more,
});

export const knifeCaution = phrase(
  'Long serrated knife: cake on a board that cannot slip, and cut away from the hand that holds it.',
);
export const ovenCaution = phrase(
  'Hot tins and oven: dry cloths or gloves, and a rack cleared before the door opens.',
);

/** What has got a little colder than it must is as good, K. */
const colderK = 6;
/** A thermometer put where it reads the coat and not the cake, which chills to some C. */
export const probeOf = (toC: number): NonNullable<Step['probe']> => ({
  label: 'just under the coat',
  fromC: toC - colderK,
  toC,
});
