import type { Outline } from '../../outline/outline.ts';
import type { Board, Tin } from '../types.ts';

const tin = (
  id: string,
  name: string,
  outline: Outline,
  depthMm: number,
  owned: number,
  more: Partial<Tin> = {},
): Tin => ({
  id,
  name,
  source: 'trade custom',
  ranges: {},
  outline,
  depthMm,
  flareMm: 0,
  owned,
  form: 'upright',
  waterG: null,
  flutes: null,
  wall: [],
  ...more,
});

const round = (cm: number, depthMm: number, owned: number): Tin =>
  tin(`round-${cm}`, `Round ${cm} cm`, { kind: 'round', diameterMm: cm * 10 }, depthMm, owned);
const square = (cm: number, owned: number): Tin =>
  tin(
    `square-${cm}`,
    `Square ${cm} cm`,
    { kind: 'square', sideMm: cm * 10, cornerMm: 5 },
    75,
    owned,
  );

/** A home kitchen's tins, inside sizes. */
export const startingTins: Tin[] = [
  round(10, 75, 2),
  round(15, 75, 2),
  round(18, 75, 2),
  round(20, 75, 3),
  round(23, 75, 2),
  round(25, 75, 2),
  round(28, 75, 1),
  round(30, 75, 1),
  square(15, 2),
  square(20, 2),
  square(25, 1),
  square(30, 1),
  tin(
    'tray-33',
    'Tray 33 × 23 cm',
    { kind: 'rectangle', widthMm: 330, depthMm: 230, cornerMm: 12 },
    50,
    2,
  ),
  tin(
    'loaf-23',
    'Loaf tin 23 cm',
    { kind: 'rectangle', widthMm: 215, depthMm: 105, cornerMm: 8 },
    70,
    2,
    { flareMm: 8 },
  ),
  tin('mousse-ring-16', 'Mousse ring 16 cm', { kind: 'round', diameterMm: 160 }, 45, 1, {
    form: 'ring',
  }),
  tin('mousse-ring-18', 'Mousse ring 18 cm', { kind: 'round', diameterMm: 180 }, 45, 1, {
    form: 'ring',
  }),
  tin('mousse-ring-20', 'Mousse ring 20 cm', { kind: 'round', diameterMm: 200 }, 60, 1, {
    form: 'ring',
  }),
  tin('hexagon-23', 'Hexagon 23 cm', { kind: 'hexagon', acrossMm: 230 }, 75, 0),
  tin('heart-23', 'Heart 23 cm', { kind: 'heart', widthMm: 230 }, 65, 1),
  tin('petal-25', 'Petal 25 cm', { kind: 'petal', diameterMm: 250, petals: 8 }, 75, 0),
  tin('oval-28', 'Oval 28 × 20 cm', { kind: 'oval', widthMm: 280, depthMm: 200 }, 75, 0),
  tin('ring-24', 'Ring 24 cm', { kind: 'ring', diameterMm: 240, holeMm: 80 }, 90, 1, {
    flareMm: 6,
  }),
  tin('fluted-ring-24', 'Fluted ring 24 cm', { kind: 'ring', diameterMm: 240, holeMm: 60 }, 95, 1, {
    form: 'rounded',
    flareMm: 4,
    flutes: { count: 16, depthMm: 8 },
  }),
  tin(
    'rounded-ring-18',
    'Rounded ring 18 cm',
    { kind: 'ring', diameterMm: 180, holeMm: 40 },
    80,
    2,
    {
      form: 'rounded',
    },
  ),
  tin('ball-16', 'Half ball 16 cm', { kind: 'round', diameterMm: 160 }, 80, 2, { form: 'ball' }),
  tin('mould-dome', 'Silicone dome mould', { kind: 'round', diameterMm: 180 }, 85, 1, {
    form: 'mould',
    waterG: 1420,
    source: 'own',
  }),
];

const drum = (cm: number, kind: 'round' | 'square'): Board => {
  const side = cm * 10;
  const outline: Outline =
    kind === 'round'
      ? { kind: 'round', diameterMm: side }
      : { kind: 'square', sideMm: side, cornerMm: 3 };
  const areaCm2 = kind === 'round' ? (Math.PI * cm * cm) / 4 : cm * cm;
  return {
    id: `drum-${kind}-${cm}`,
    name: `${kind === 'round' ? 'Round' : 'Square'} drum ${cm} cm`,
    source: 'estimate',
    ranges: { massG: [Math.round(areaCm2 * 0.35), Math.round(areaCm2 * 0.6)] },
    outline,
    thicknessMm: 12,
    massG: Math.round(areaCm2 * 0.45),
    material: 'drum',
    price: Number((1 + areaCm2 / 400).toFixed(2)),
  };
};

/** Boards, mass by area at 0.45 g per cm2 (estimate). */
export const startingBoards: Board[] = [
  ...[18, 20, 23, 25, 28, 30, 33, 35, 40, 45].map((cm) => drum(cm, 'round')),
  ...[20, 25, 30, 35, 40].map((cm) => drum(cm, 'square')),
  {
    id: 'drum-tray',
    name: 'Tray drum 40 × 30 cm',
    source: 'estimate',
    ranges: { massG: [420, 720] },
    outline: { kind: 'rectangle', widthMm: 400, depthMm: 300, cornerMm: 3 },
    thicknessMm: 12,
    massG: 540,
    material: 'drum',
    price: 4.2,
  },
  {
    id: 'drum-loaf',
    name: 'Long drum 30 × 18 cm',
    source: 'estimate',
    ranges: { massG: [190, 320] },
    outline: { kind: 'rectangle', widthMm: 300, depthMm: 180, cornerMm: 3 },
    thicknessMm: 12,
    massG: 243,
    material: 'drum',
    price: 2.6,
  },
];
