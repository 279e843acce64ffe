import type { Kitchen } from '../pantry/types.ts';
import { bakeWindow, ovenPerM, type BakeRule, type BakeWindow, type Baking } from './bake-time.ts';
import { bodyOf, centreShare, shellReader, type Body } from './body.ts';
import { freezeLayerMin } from './freeze.ts';
import {
  chillShellMin,
  chillThroughMin,
  coolMin,
  inFridge,
  inRoom,
  onRack,
  shellMm,
  warmMin,
  type Mass,
} from './cooling.ts';

/** One stretch of the curve: temperatures in C at minutes from its own start. */
export interface HeatStretch {
  name: 'oven' | 'rack' | 'fridge' | 'room';
  minutes: number[];
  centreC: number[];
  shellC: number[];
  /** What the stretch settles, at its minute. */
  marks: { minute: number; text: string }[];
}

export interface HeatPlan {
  bake: BakeWindow | null;
  coolMin: number;
  firmMin: number;
  nextCoatMin: number;
  carveMin: number;
  throughMin: number;
  warmMin: number;
  freezeLayerMin: number | null;
  curve: HeatStretch[];
}

/** What a cake goes through from the oven to the table. */
export interface HeatQuestion {
  baking: Baking;
  rule: BakeRule | null;
  slower: number;
  /** The baked cake, one layer of it, and the finished tier. */
  cake: Mass;
  layer: Mass;
  tier: Mass;
  kitchen: Kitchen;
  /** The kitchen with the cold that it is chilled in. */
  chilled: Kitchen;
}

const points = 48;

function stretch(
  name: HeatStretch['name'],
  body: Body,
  startC: number,
  aroundC: number,
  lastMin: number,
  marks: HeatStretch['marks'],
): HeatStretch {
  const shell = shellReader(body, shellMm);
  const minutes = Array.from({ length: points + 1 }, (_, i) => (lastMin * i) / points);
  const at = (share: number): number => aroundC + (startC - aroundC) * share;
  return {
    name,
    minutes,
    centreC: minutes.map((m) => (m === 0 ? startC : at(centreShare(body, m * 60)))),
    shellC: minutes.map((m) => (m === 0 ? startC : at(shell(m * 60)))),
    marks,
  };
}

/**
 * Times and curves of one cake from the oven to the table. The chilled curve starts from a tier at
 * room temperature, the room's from a tier cold through; both are estimates.
 */
export function planHeat(q: HeatQuestion): HeatPlan {
  const { kitchen, chilled } = q;
  const bake = bakeWindow(q.baking, q.rule, q.slower);
  const cool = coolMin(q.cake, 97, kitchen);
  const firm = chillShellMin(q.tier, kitchen.roomC, 'crumb coat firm', chilled);
  const next = chillShellMin(
    q.tier,
    kitchen.roomC,
    'ready for the next coat or for drips',
    chilled,
  );
  const carve = chillShellMin(q.tier, kitchen.roomC, 'firm to carve', chilled);
  const through = chillThroughMin(q.tier, kitchen.roomC, chilled);
  const warm = warmMin(q.tier, kitchen);
  const curve: HeatStretch[] = [];
  if (bake) {
    const oven = bodyOf(q.baking.outline, q.baking.depthMm, {
      alpha: bake.alpha,
      k: 1,
      top: ovenPerM,
      side: ovenPerM,
      bottom: ovenPerM,
    });
    curve.push(
      stretch('oven', oven, q.baking.startC, q.baking.ovenC, bake.toMin, [
        { minute: bake.fromMin, text: 'first look' },
        { minute: bake.minutes, text: 'likely done' },
      ]),
    );
  }
  const finite = (minutes: number, most: number): number =>
    Number.isFinite(minutes) ? Math.min(minutes, most) : most;
  curve.push(
    stretch('rack', onRack(q.cake, kitchen), 97, kitchen.roomC, finite(cool, 600) * 1.1, [
      { minute: cool, text: 'cold enough to cut' },
    ]),
    stretch(
      'fridge',
      inFridge(q.tier, chilled),
      kitchen.roomC,
      chilled.fridgeC,
      finite(carve, 1440) * 1.15,
      [
        { minute: firm, text: 'crumb coat firm' },
        { minute: next, text: 'next coat, drips' },
        { minute: carve, text: 'firm to carve' },
      ].filter((mark) => Number.isFinite(mark.minute)),
    ),
    stretch(
      'room',
      inRoom(q.tier, kitchen),
      kitchen.fridgeC,
      kitchen.roomC,
      finite(warm, 720) * 1.2,
      Number.isFinite(warm) ? [{ minute: warm, text: 'good to eat' }] : [],
    ),
  );
  return {
    bake,
    coolMin: cool,
    firmMin: firm,
    nextCoatMin: next,
    carveMin: carve,
    throughMin: through,
    warmMin: warm,
    freezeLayerMin: freezeLayerMin(q.layer, kitchen.roomC, kitchen),
    curve,
  };
}
