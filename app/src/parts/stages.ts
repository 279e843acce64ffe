/** The sheets of a build, in the order of work. */
export const sheetStages = [
  'brief',
  'stack',
  'bake',
  'carve',
  'coat',
  'finish',
  'support',
  'day',
] as const;
export type SheetStage = (typeof sheetStages)[number];

export const stageTitles: Record<SheetStage, string> = {
  brief: 'Brief',
  stack: 'Stack',
  bake: 'Bake',
  carve: 'Carve',
  coat: 'Coat',
  finish: 'Finish',
  support: 'Support',
  day: 'Day',
};

export const isStage = (name: string): name is SheetStage =>
  (sheetStages as readonly string[]).includes(name);
