import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  areaMm2,
  contains,
  drawPicture,
  newCarving,
  newCut,
  newSurface,
  newTopping,
  opened,
  planBuild,
  readBuildFile,
  slicesMm3,
  startingPantry,
  valueOf,
  widthMm,
  type Build,
  type CakePicture,
  type Plan,
} from '../src/index.ts';
import { powders } from '../src/picture/films.ts';
import { anyBuild, pantry as anyPantry } from './arbitrary.ts';

/* The picture of the finished cake shows what the plan says: each count, each place, each measure. */

const pantry = startingPantry();
const folder = new URL('../../demo/', import.meta.url);
const cakes = readdirSync(folder).map((name) => {
  const read = readBuildFile(readFileSync(new URL(name, folder), 'utf8'));
  if (!read.ok) throw new Error(name);
  const plan = planBuild(read.build, pantry);
  return { name, build: read.build, plan, picture: drawPicture(read.build, plan, pantry) };
});
const cake = (name: string): { build: Build; plan: Plan; picture: CakePicture } =>
  cakes.find((one) => one.name === `${name}.json`)!;
const wedge = { towardsDeg: -90, wideDeg: 90 };
const volume = (picture: CakePicture, wanted: (body: CakePicture['bodies'][number]) => boolean) =>
  picture.bodies.filter(wanted).reduce((sum, { slices }) => sum + slicesMm3(slices), 0);

describe('the picture of every cake of the observatory', () => {
  it.each(cakes)('$name is as high and wide as its plan', ({ plan, picture }) => {
    const { section, board } = plan;
    const tops = picture.bodies.filter(({ kind }) => kind === 'coat' || kind === 'cover');
    for (const { tierId, toMm } of section.tiers) {
      const own = tops.filter((body) => body.tierId === tierId);
      if (own.length === 0) continue;
      const high = Math.max(...own.flatMap(({ slices }) => slices.map((one) => one.toMm)));
      expect(high).toBeCloseTo(toMm, 6);
    }
    expect(picture.box.low.z).toBeCloseTo(-(board?.thicknessMm ?? 0), 6);
    expect(Math.abs(picture.box.high.z - section.topMm)).toBeLessThan(
      // a drizzle lies on what the section calls the top
      1 + Math.max(0, ...picture.runs.map(({ highMm }) => highMm)),
    );
    const wide = Math.max(...plan.tiers.map(({ finished }) => widthMm(finished)), board ? widthMm(board.outline) : 0); // prettier-ignore
    expect(picture.box.high.x - picture.box.low.x).toBeGreaterThan(wide - 1);
  });

  it.each(cakes)(
    '$name has each drip, piece and topping of its plan',
    ({ build, plan, picture }) => {
      for (const [i, tier] of build.tiers.entries()) {
        const { finish, rim } = plan.tiers[i]!;
        const drips = picture.drips.filter(({ tierId }) => tierId === tier.id);
        const planned = valueOf(finish.drip);
        expect(drips.map(({ lengthMm }) => lengthMm)).toEqual(
          planned ? planned.drips.map(({ lengthMm }) => lengthMm) : [],
        );
        const foot = picture.tiers[i]!;
        for (const { at, out } of drips) {
          const place = { x: at.x - foot.axis.x, y: at.y - foot.axis.y };
          // on the rim, and facing away from it
          expect(contains(rim.outline, place, 0.3)).toBe(true);
          const away = { x: place.x + out.x, y: place.y + out.y };
          expect(contains(rim.outline, away, 0.2)).toBe(false);
          expect(Math.hypot(out.x, out.y)).toBeCloseTo(1, 6);
        }
        finish.toppings.forEach(({ topping, count }, k) => {
          if (topping.kind !== 'pieces') return;
          const own = picture.groups.filter(({ part }) => part === `${tier.id}/topping/${k}`);
          expect(own.reduce((sum, { pieces }) => sum + pieces.length, 0)).toBe(count);
        });
      }
      for (const [index, job] of build.piping.entries()) {
        const planned = plan.piping.find(({ id }) => id === job.id)!;
        const own = picture.groups.filter(
          ({ part }) => part === `${planned.piped?.tierId}/piping/${index}`,
        );
        const pieces = own.flatMap((group) => group.pieces);
        if (planned.piped && planned.pieces > 0) {
          expect(pieces).toHaveLength(planned.pieces);
          const marks = planned.rows.flatMap(({ upMm, places }) =>
            places.map(({ x }) => ({ x, upMm })),
          );
          pieces.forEach(({ at }, k) => {
            const foot = picture.tiers.find(({ id }) => id === planned.piped!.tierId)!;
            expect(at.x - foot.axis.x).toBeCloseTo(marks[k]!.x, 6);
            expect(at.z - foot.fromMm).toBeCloseTo(marks[k]!.upMm, 6);
          });
        }
      }
    },
  );

  it.each(cakes)(
    '$name has parts that can be chosen: of one of its tiers, or the board',
    ({ build, picture }) => {
      const { bodies, drips, groups, runs, words, carved } = picture;
      const tiers = new Set(['board', ...build.tiers.map(({ id }) => id)]);
      for (const { part } of [...bodies, ...drips, ...groups, ...runs, ...words, ...carved])
        expect(tiers, part).toContain(part.split('/')[0]);
    },
  );

  it('tells the bands of a coat apart, from the foot up', () => {
    const { build, picture } = cake('meridian');
    const bands = build.tiers[0]!.coat.bands.length;
    expect(bands).toBeGreaterThan(2);
    const parts = picture.bodies.filter(({ kind }) => kind === 'coat').map(({ part }) => part);
    expect([...new Set(parts)]).toEqual(
      Array.from({ length: bands }, (_, i) => `${build.tiers[0]!.id}/coat/${i}`),
    );
  });

  it.each(cakes)('$name is built up step by step, each thing once', ({ picture }) => {
    const all = [...picture.bodies, ...picture.drips, ...picture.groups, ...picture.runs];
    for (const { step } of all) {
      expect(step).toBeGreaterThanOrEqual(0);
      expect(step).toBeLessThan(picture.steps.length);
    }
    expect(picture.bodies.filter(({ step }) => step === 0).every(({ kind }) => kind === 'board')).toBe(true); // prettier-ignore
  });
});

describe('what lies inside', () => {
  it('is as much sponge as the layers are: area by height', () => {
    const { build, plan, picture } = cake('meridian');
    const tier = build.tiers[0]!;
    const high = tier.layers.reduce((sum, { heightMm }) => sum + heightMm, 0);
    const sponge = volume(picture, ({ kind }) => kind === 'layer');
    const settled = plan.section.parts.filter(({ kind }) => kind === 'layer').reduce((sum, { y0, y1 }) => sum + y1 - y0, 0); // prettier-ignore
    expect(settled).toBeCloseTo(high, 0);
    // chords of a round hold a thousandth less
    expect(sponge / (areaMm2(tier.outline) * settled)).toBeGreaterThan(0.998);
    expect(sponge / (areaMm2(tier.outline) * settled)).toBeLessThanOrEqual(1);
  });

  it('is shown less by its wedge: a quarter taken out leaves three', () => {
    const { picture } = cake('meridian');
    const cut = opened(picture, wedge);
    for (const kind of ['layer', 'filling', 'dam'] as const) {
      const [before, after] = [picture, cut].map((one) =>
        volume(one, (body) => body.kind === kind),
      );
      expect(after! / before!).toBeCloseTo(0.75, 2);
    }
  });

  it('and its coat make up the whole: nothing is twice, nothing is missing', () => {
    const { picture, build } = cake('meridian');
    const cut = opened(picture, wedge);
    const { fromMm, inner } = picture.tiers[0]!;
    const outside = volume(picture, ({ kind }) => kind === 'coat') * 0.75;
    const shell = volume(cut, ({ kind }) => kind === 'coat');
    const stack = ((inner.at(-1)!.toMm - fromMm) * areaMm2(build.tiers[0]!.outline)) * 0.75; // prettier-ignore
    expect((shell + stack) / outside).toBeGreaterThan(0.99);
    expect((shell + stack) / outside).toBeLessThan(1.01);
  });

  it('leaves nothing hanging in the wedge', () => {
    const { picture } = cake('jubilee');
    const cut = opened(picture, wedge);
    const tiers = new Map(picture.tiers.map((tier) => [tier.id, tier.axis]));
    for (const { at, tierId } of cut.drips) {
      const axis = tiers.get(tierId)!;
      expect(at.y - axis.y < -Math.abs(at.x - axis.x) - 1e-6).toBe(false);
    }
    expect(cut.drips.length).toBeLessThan(picture.drips.length);
    expect(cut.bodies.find(({ kind }) => kind === 'board')).toEqual(picture.bodies.find(({ kind }) => kind === 'board')); // prettier-ignore
  });
});

describe('what tools and hands leave', () => {
  const changed = (change: (build: Build) => void) => {
    const build = structuredClone(cake('jubilee').build);
    change(build);
    const plan = planBuild(build, pantry);
    return { build, plan, picture: drawPicture(build, plan, pantry) };
  };
  const sideOf = (picture: CakePicture, tierId: string) => picture.bodies.filter((body) => body.tierId === tierId && body.kind === 'coat'); // prettier-ignore

  it('a comb cuts grooves about the mean of the side', () => {
    const { build, picture, plan } = changed(({ tiers: [tier] }) => {
      tier!.coat.style = 'combed';
      tier!.coat.comb = { peakMm: 9, depthMm: 4 };
    });
    // the stack under it has no grooves
    const { inner } = picture.tiers[0]!;
    expect(new Set(inner.map(({ top }) => Math.max(...top[0]!.map(({ x }) => x)).toFixed(3))).size).toBe(1); // prettier-ignore
    const half = widthMm(plan.tiers[0]!.finished) / 2;
    const foot = picture.tiers[0]!.fromMm;
    const rims = sideOf(picture, build.tiers[0]!.id).flatMap(
      ({ slices }) =>
      slices.filter(({ toMm }) => toMm < foot + 80).map(({ top }) => Math.max(...top[0]!.map(({ x }) => x))), // prettier-ignore
    );
    expect(Math.max(...rims)).toBeCloseTo(half + 2, 1);
    expect(Math.min(...rims)).toBeCloseTo(half - 2, 1);
    const whole = volume(picture, (body) => body.kind === 'coat' && body.tierId === build.tiers[0]!.id); // prettier-ignore
    const plain = changed(() => undefined);
    const smooth = volume(plain.picture, (body) => body.kind === 'coat' && body.tierId === build.tiers[0]!.id); // prettier-ignore
    // the mean side of a combed coat is the plan's: as much as a smooth one of that thickness
    const wider = widthMm(plan.tiers[0]!.finished) / widthMm(plain.plan.tiers[0]!.finished);
    expect(whole / smooth / wider ** 2).toBeCloseTo(1, 1);
  });

  it('posts stand between tiers, from the top of the one to the board of the other', () => {
    const { build, picture } = changed(({ tiers }) => void (tiers[1]!.stand.postMm = 60));
    const posts = picture.bodies.filter(({ kind }) => kind === 'post');
    const card = picture.bodies.find(({ kind, tierId }) => kind === 'card' && tierId === build.tiers[1]!.id)!; // prettier-ignore
    expect(posts.length).toBeGreaterThan(2);
    for (const { slices } of posts) {
      expect(slices[0]!.fromMm).toBeCloseTo(picture.tiers[0]!.toMm, 6);
      expect(slices[0]!.toMm).toBeCloseTo(card.slices[0]!.fromMm, 6);
    }
    for (const { slices } of picture.bodies.filter(
      ({ kind, tierId }) => kind === 'dowel' && tierId === build.tiers[0]!.id,
    ))
      // prettier-ignore
      expect(slices.at(-1)!.toMm).toBeCloseTo(picture.tiers[0]!.toMm, 6);
  });
});

describe('any cake', () => {
  it('has a picture of finite bodies, whole and cut open', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const plan = planBuild(build, anyPantry);
        const picture = drawPicture(build, plan, anyPantry);
        const cut = opened(picture, wedge);
        for (const { bodies, box, groups } of [picture, cut]) {
          for (const end of [box.low, box.high])
            for (const mm of Object.values(end)) expect(Number.isFinite(mm)).toBe(true);
          // looked at in one go: a word for each of a million places takes minutes
          const odd = bodies.flatMap(({ slices, part }) =>
            slices
              .filter(
                ({ fromMm, toMm, foot, top }) =>
                  !(toMm > fromMm - 1e-6) ||
                  foot.length !== top.length ||
                  foot.some((line, l) => line.length !== top[l]!.length) ||
                  foot.some((line) => line.some((p) => !Number.isFinite(p.x + p.y))),
              )
              .map(() => part),
          );
          expect(odd).toEqual([]);
          expect(groups.reduce((sum, { pieces }) => sum + pieces.length, 0)).toBeLessThanOrEqual(20_000); // prettier-ignore
        }
        expect(volume(cut, ({ kind }) => kind === 'layer')).toBeLessThanOrEqual(
          volume(picture, ({ kind }) => kind === 'layer') * (1 + 1e-6),
        );
      }),
      { numRuns: 16, seed: 21 },
    );
  });
});

describe('what lies thin on a surface', () => {
  const { build } = cake('meridian');
  const [tier] = build.tiers;
  const filmed = (some: Build['tiers'][number]['surfaces'], torched = false): CakePicture => {
    const one: Build = { ...build, tiers: [{ ...tier!, surfaces: some, torched }] };
    return drawPicture(one, planBuild(one, pantry), pantry);
  };
  const paint = { ...newSurface('gold', 'paint'), tint: 'gold' };
  it('is on the coat from its own step on, each coat more hiding of what still shows', () => {
    const cover = (coats: number): number =>
      filmed([{ ...paint, coats }]).bodies.find(({ kind }) => kind === 'coat')!.films![0]!.cover;
    expect(1 - cover(2)).toBeCloseTo((1 - cover(1)) ** 2, 9);
    const { bodies, steps } = filmed([paint], true);
    const coat = bodies.find(({ kind }) => kind === 'coat')!;
    expect(coat.films!.map(({ step }) => steps[step])).toEqual([paint.name, 'torched']);
    for (const { step } of coat.films!) expect(step).toBeGreaterThan(coat.step);
  });
  it('cocoa looks like cocoa, sugar like sugar', () => {
    const looks = ['cocoa', 'icing-sugar', 'dark-chocolate', 'white-chocolate'].map((foodId) => {
      const dust = { ...newSurface('dust', 'dust'), foodId, tint: '' };
      return filmed([dust]).bodies.find(({ kind }) => kind === 'coat')!.films![0]!.look;
    });
    expect(looks).toEqual(['cocoa', 'ivory', 'cocoa', 'cream']);
    const known = new Set(pantry.foods.map(({ id }) => id));
    for (const id of Object.keys(powders)) expect(known, id).toContain(id);
  });
  it('a glaze without a colour hides nothing, and shines', () => {
    const [film] = filmed([{ ...newSurface('shine', 'glaze'), tint: '' }]).bodies.find(({ kind }) => kind === 'coat')!.films!; // prettier-ignore
    expect(film).toMatchObject({ cover: 0, shiny: true });
  });
  it('each has its step at the bench', () => {
    const one: Build = { ...build, tiers: [{ ...tier!, surfaces: [paint], torched: true }] };
    const { steps } = planBuild(one, pantry);
    const keys = steps.ok ? steps.value.map(({ key }) => key) : [];
    for (const { films } of drawPicture(one, planBuild(one, pantry), pantry).bodies)
      for (const { key } of films ?? []) expect(keys).toContain(key);
  });
});

describe('very many things', () => {
  const { build } = cake('meridian');
  const [tier] = build.tiers;
  it('two thousand toppings are all there, reliefs have their place', () => {
    const berry = { ...newTopping('berry'), odd: false, count: 400, acrossMm: 3 };
    const carving = {
      ...newCarving(),
      cuts: [newCut('relief', 'star', { radiusMm: 80, widthMm: 160, heightMm: 100 })],
    };
    const one: Build = { ...build, tiers: [{ ...tier!, carving, toppings: Array.from({ length: 5 }, () => berry) }] }; // prettier-ignore
    const plan = planBuild(one, pantry);
    const planned = plan.tiers[0]!.finish.toppings.reduce((sum, { count }) => sum + count, 0);
    const picture = drawPicture(one, plan, pantry);
    const put = picture.groups.filter(({ part }) => part.includes('/topping/'));
    expect(planned).toBe(2000);
    expect(put.reduce((sum, { pieces }) => sum + pieces.length, 0)).toBe(2000);
    expect(picture.left).toBe(0);
  });
});
