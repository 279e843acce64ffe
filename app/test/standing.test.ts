import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  drawPicture,
  planBuild,
  readBuildFile,
  startingPantry,
  type CakePicture,
} from '@pyrgotect/core';
import { describe, expect, it } from 'vitest';
import { standingAt, type Standing } from '../src/bench/standing.ts';

const folder = join(import.meta.dirname, '../../demo');
const pantry = startingPantry();
const cakes = readdirSync(folder).map((name) => {
  const read = readBuildFile(readFileSync(join(folder, name), 'utf8'));
  if (!read.ok) throw new Error(name);
  const plan = planBuild(read.build, pantry);
  const steps = plan.steps.ok ? plan.steps.value : [];
  const picture = drawPicture(read.build, plan, pantry);
  const at = (now: number): Standing | null => standingAt(picture, plan, steps, now);
  return { name, picture, steps, at };
});
const counted = (picture: CakePicture | undefined): number[] =>
  picture
    ? [
        picture.bodies.length,
        picture.drips.length,
        picture.groups.length,
        picture.runs.length,
        picture.words.length,
        picture.carved.length,
      ]
    : [];

describe.each(cakes)('on the bench, $name', ({ picture, steps, at }) => {
  it('stands whole at the end, and not at all at the beginning', () => {
    expect(counted(at(steps.length - 1)?.picture)).toEqual(counted(picture));
    expect(at(steps.length - 1)!.picture.box).toEqual(picture.box);
    expect(at(steps.length - 1)!.bare.size).toBe(0);
    expect(at(0)).toBeNull();
    const coat = steps.findIndex(({ key }) => key === `${picture.tiers[0]!.id}/coat`);
    const before = at(coat - 1)?.picture;
    if (coat > 0) expect(before?.groups.length ?? 0).toBe(0);
  });
  it('gains with each step that is about the same tiers', () => {
    const before = new Map<string, number>();
    steps.forEach((_, now) => {
      const standing = at(now);
      if (!standing) return;
      const tiers = standing.picture.tiers.map(({ id }) => id).join();
      const all = counted(standing.picture).reduce((sum, n) => sum + n, 0);
      expect(all).toBeGreaterThanOrEqual(before.get(tiers) ?? 0);
      before.set(tiers, all);
    });
  });
});

describe('tiers on the bench', () => {
  const { picture, steps, at } = cakes.find(({ name }) => name === 'jubilee.json')!;
  const stepAt = (key: string): number => steps.findIndex((step) => step.key === key);
  it('stand each by itself until one is set on the other', () => {
    const [low, middle] = picture.tiers;
    const coated = at(stepAt(`${middle!.id}/coat`))!.picture;
    expect(coated.tiers.map(({ id }) => id)).toEqual([middle!.id]);
    expect(coated.bodies.some(({ kind }) => kind === 'board')).toBe(false);
    expect(coated.box.low.z).toBeGreaterThan(low!.toMm - 30);
    const set = at(stepAt(`in/${middle!.id}/card`))!.picture;
    expect(set.tiers.map(({ id }) => id)).toEqual([low!.id, middle!.id]);
  });
  it('have their layers one after the other, and the coat over them', () => {
    const [low] = picture.tiers;
    const layers = (now: number): number =>
      at(now)?.picture.bodies.filter(({ kind }) => kind === 'layer').length ?? 0;
    expect(layers(stepAt(`${low!.id}/first`))).toBe(1);
    const coat = stepAt(`${low!.id}/coat`);
    const hasCoat = (now: number): boolean =>
      at(now)!.picture.bodies.some(({ kind }) => kind === 'coat' || kind === 'cover');
    expect(hasCoat(coat - 1)).toBe(false);
    expect(hasCoat(coat)).toBe(true);
  });
});
