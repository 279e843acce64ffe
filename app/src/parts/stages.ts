/** The sheets of a build, in the order of work. */
export const sheetStages = ['brief', 'stack', 'bake', 'coat'] as const;
export type SheetStage = (typeof sheetStages)[number];

export const stageTitles: Record<SheetStage, string> = {
  brief: 'Brief',
  stack: 'Stack',
  bake: 'Bake',
  coat: 'Coat',
};

export const isStage = (name: string): name is SheetStage =>
  (sheetStages as readonly string[]).includes(name);
