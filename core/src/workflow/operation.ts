/*
 * What hands do at a step: its kind, from a closed list, and the line of work it belongs to. Everything
 * that decides (days, faults, who may do it, what runs beside what) reads these, and never words. What is
 * done in one go with something else has no kind of its own: gelatine blooms while its recipe is made, a
 * dam is piped while its layer is filled, fondant is rolled out while a tier is covered.
 */

export const operationKinds = [
  'prepare', 'toast', 'grind', 'weigh', 'mix', 'whip', 'rewhip', 'cook',
  'macerate', 'soak', 'fold in', 'colour', 'divide',
  'line tin', 'fill tin', 'bake', 'turn out', 'put in', 'take out', 'stir',
  'rewarm', 'level', 'trim', 'cut rounds', 'pipe disc', 'cook thin layers', 'unmould',
  'brush syrup', 'spread', 'fill centre',
  'set layer on', 'weigh down', 'cut', 'set back on', 'crumb', 'coat',
  'cut relief', 'inlay', 'press on', 'strew', 'draw out paper',
  'transfer', 'cover', 'panel', 'score', 'stud', 'paint', 'dust', 'glaze', 'spray', 'dry', 'pour',
  'drip', 'flood', 'pipe', 'pipe piece on tray', 'break up', 'place topping', 'heap', 'torch',
  'cut dowels', 'insert dowel', 'stack tier', 'rod', 'box', 'drive', 'place at the venue', 'measure',
  'count out', 'wash up', 'cut and serve',
] as const; // prettier-ignore
export type OperationKind = (typeof operationKinds)[number];

/**
 * A line of work: what follows on itself until something else needs it. A tier, a batch of a bowl, a
 * load of the oven, a tray, an ingredient made ready, the saw, and last the whole cake.
 */
export interface Line {
  id: string;
  tierId: string | null;
  /** The batch that is made in it. */
  batchId: string | null;
  /** The load of the oven, from 0; null for other work. */
  load: number | null;
  /** The tier that waits for what is made in it: discs, crepes and the like. */
  madeFor: string | null;
  /** What an ingredient is made ready for. */
  preparedFor: PreparedFor | null;
}

/** The line that takes what was made ready, null for all loads of the oven; and whether at the last moment. */
export interface PreparedFor {
  lineId: string | null;
  last: boolean;
}
/** True for a line that takes what was made ready for it. */
export const isMadeReadyFor = ({ lineId }: PreparedFor, { id, load }: Line): boolean =>
  lineId === null ? load !== null : lineId === id;

const line = (id: string, more: Partial<Line> = {}): Line => ({
  id,
  tierId: null,
  batchId: null,
  load: null,
  madeFor: null,
  preparedFor: null,
  ...more,
});

export const cakeLine = line('cake');
export const sawLine = line('saw');
/** Washing up while the boxed cake gets cold. */
export const washLine = line('wash');
export const tierLine = (tierId: string): Line => line(tierId, { tierId });
export const batchLine = (batchId: string): Line => line(`bowl/${batchId}`, { batchId });
/** What is taken at the last moment is made ready by itself. */
export const prepareLine = (foodId: string, preparedFor: PreparedFor): Line =>
  line(`prepare/${foodId}/${preparedFor.lineId ?? 'loads'}${preparedFor.last ? '/last' : ''}`, {
    preparedFor,
  });
/** All that is mixed for a load of the oven and bakes in it, of whichever tier. */
export const loadLine = (index: number): Line => line(`load/${index}`, { load: index });
/** A layer that is no sponge, made beside the baking for the tier it goes into. */
export const otherLine = (tierId: string, rowId: string): Line =>
  line(`other/${tierId}/${rowId}`, { madeFor: tierId });
export const trayLine = (toppingId: string): Line => line(`tray/${toppingId}`);

/** Puts steps on a line. */
export const onLine = <S extends { line: Line }>(to: Line, steps: readonly S[]): S[] =>
  steps.map((step) => (step.line === cakeLine ? { ...step, line: to } : step));
