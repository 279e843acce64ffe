import type { Build } from '../document/types.ts';
import { cutAway, within } from '../outline/cut-away.ts';
import { polygon, type Outline } from '../outline/outline.ts';
import type { Point } from '../outline/point.ts';
import type { CakePlan } from '../plan/plan-types.ts';
import { cuttingMap } from '../servings/servings.ts';
import { feetOf } from '../stack/feet.ts';
import type { Lift } from '../support/lifts.ts';
import { showText } from '../units/format.ts';
import type { UnitSystem } from '../units/kinds.ts';
import type { Template } from './templates.ts';

/* Sheets at full size to prick, lay and cut by: where dowels stand, where the foot goes on its board, how it is cut. */

export const sheetKinds = ['dowels', 'boards', 'cutting'] as const;
export type SheetKind = (typeof sheetKinds)[number];

type Line = [number, number][];
const origin: Point = { x: 0, y: 0 };
const lineOf = (points: readonly Point[], at = origin): Line =>
  points.map(({ x, y }) => [x + at.x, y + at.y]);
/** A hole or a rod seen from its end. */
const circleAt = (at: Point, acrossMm: number): Line =>
  lineOf(polygon({ kind: 'round', diameterMm: acrossMm }), at);
/** An outline, and the hole of a ring. */
const outlineAt = (outline: Outline, at = origin): Line[] => [
  lineOf(polygon(outline), at),
  ...(outline.kind === 'ring' ? [circleAt(at, outline.holeMm)] : []),
];
const crossAt = ({ x, y }: Point, armMm: number): Template['rules'] => [
  [x - armMm, y, x + armMm, y],
  [x, y - armMm, x, y + armMm],
];
/** The side that everything is measured from is marked, and the middle. */
function oriented(title: string, lines: Line[], marks: Partial<Template> = {}): Template {
  const low = Math.min(...lines.flatMap((line) => line.map(([, y]) => y)));
  return {
    title,
    lines,
    rules: [...crossAt(origin, 8), [0, low, 0, low + 8], ...(marks.rules ?? [])],
    words: [{ x: 2, y: low + 3, text: 'front' }, ...(marks.words ?? [])],
  };
}

type Marks = Pick<Template, 'rules' | 'words'> & { lines: Line[] };
/** The rod, or its hole in a board, in what has its middle at a place of the lowest tier. */
function rodIn(plan: CakePlan, middle: Point, which: 'rod' | 'hole'): Marks {
  const rod = plan.support?.rod;
  if (!rod) return { lines: [], rules: [], words: [] };
  const at = { x: rod.at.x - middle.x, y: rod.at.y - middle.y };
  const across = which === 'rod' ? rod.row.outerMm : rod.holeMm;
  return {
    lines: [circleAt(at, across)],
    rules: crossAt(at, across / 2 + 2),
    words: [
      { x: at.x + across / 2 + 2, y: at.y + 2, text: which === 'rod' ? 'rod' : 'hole for the rod' },
    ],
  };
}
const middlesOf = (build: Build, plan: CakePlan): Point[] =>
  feetOf(
    build.tiers,
    plan.tiers.map(({ stack }) => stack.finishedMm),
  );

function dowelSheet(build: Build, plan: CakePlan, lift: Lift, system: UnitSystem): Template[] {
  const tier = build.tiers[lift.tierIndex]!;
  if (!lift.row || lift.placed.length === 0) return [];
  const { outerMm, name } = lift.row;
  const carries =
    lift.deck === null ? build.tiers[lift.tierIndex + 1]!.name : `its board ${lift.deck + 1}`;
  const length = (mm: number): string => showText(mm, 'span', system);
  const rod = rodIn(plan, middlesOf(build, plan)[lift.tierIndex]!, 'rod');
  return [
    oriented(
      `${tier.name}: ${lift.placed.length} x ${name} under ${carries}`,
      [
        ...outlineAt(tier.outline),
        ...outlineAt(lift.outline, lift.outlineAt),
        ...rod.lines,
        ...lift.placed.map(({ at }) => circleAt(at, outerMm)),
      ],
      {
        rules: [...rod.rules, ...lift.placed.flatMap(({ at }) => crossAt(at, outerMm / 2 + 2))],
        words: [
          ...rod.words,
          ...lift.placed.map(({ at, lengthMm }, i) => ({
            x: at.x + outerMm / 2 + 2,
            y: at.y + 2,
            text: `${i + 1}: ${length(lengthMm)}`,
          })),
        ],
      },
    ),
  ];
}

function boardSheets(build: Build, plan: CakePlan): Template[] {
  const middles = middlesOf(build, plan);
  const foot = build.tiers[0]!;
  const board = (title: string, outline: Outline[], middle: Point): Template => {
    const { lines, rules, words } = rodIn(plan, middle, 'hole');
    return oriented(title, [...outline.flatMap((one) => outlineAt(one)), ...lines], {
      rules,
      words,
    });
  };
  const lowest = plan.board
    ? [
        board(
          `${plan.board.name}: where ${foot.name} stands`,
          [plan.board.outline, foot.outline],
          origin,
        ),
      ]
    : [];
  const cards = build.tiers.flatMap((tier, i) => {
    const cut = (title: string): Template =>
      board(`${title}: cut to this line`, [tier.outline], middles[i]!);
    return [
      ...(i > 0 && tier.stand.card ? [cut(`Board under ${tier.name}`)] : []),
      ...tier.stand.decks.map((_, k) => cut(`Board ${k + 1} half-way up in ${tier.name}`)),
    ];
  });
  return [...lowest, ...cards];
}

function cuttingSheet({ brief }: Build, tier: Build['tiers'][number]): Template {
  const pieces = cuttingMap(tier.outline, brief.portion, brief.cutting);
  const whole = polygon(tier.outline);
  const holes = outlineAt(tier.outline)
    .slice(1)
    .map((line) => line.map(([x, y]) => ({ x, y })));
  const counted = pieces.filter((piece) => piece.counted).length;
  return oriented(
    `${tier.name}: ${counted} ${counted === 1 ? 'serving' : 'servings'}${brief.halves ? ' on each of two levels' : ''}, ${brief.cutting}`,
    [
      ...outlineAt(tier.outline),
      ...pieces.flatMap(({ points }) =>
        cutAway(within([points], [whole]), holes).map((line) => lineOf(line)),
      ),
    ],
  );
}

/** The sheets of one kind for a build; none where it has nothing to mark. */
export function buildSheets(
  kind: SheetKind,
  build: Build,
  plan: CakePlan,
  system: UnitSystem,
): Template[] {
  switch (kind) {
    case 'dowels':
      return plan.support?.lifts.flatMap((lift) => dowelSheet(build, plan, lift, system)) ?? [];
    case 'boards':
      return boardSheets(build, plan);
    case 'cutting':
      return build.tiers
        .filter((_, i) => (plan.tiers[i]?.servings ?? 0) > 0)
        .map((tier) => cuttingSheet(build, tier));
  }
}
