import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  crownShare,
  newBuild,
  newLayer,
  planBuild,
  widthMm,
  type Build,
  type Section,
  type SectionPart,
  deckKey,
  isBare,
} from '../src/index.ts';
import { anyBuild, pantry } from './arbitrary.ts';

const sectionOf = (build: Build): Section => planBuild(build, pantry).section;
const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  change(build);
  return build;
};
const of = (section: Section, id: string): SectionPart => {
  const part = section.parts.find((p) => p.id === id);
  if (!part) throw new Error(`no ${id}`);
  return part;
};

describe('the section', () => {
  it('is as high and as wide as the tally says, and stands on its board', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const { section, tally } = planBuild(build, pantry);
        expect(section.heightMm).toBeCloseTo(tally.heightMm, 9);
        expect(Math.max(...section.tiers.map((t) => t.widthMm))).toBeCloseTo(tally.widthMm, 9);
        expect(section.tiers[0]!.fromMm).toBe(0);
        expect(of(section, 'board').y1).toBe(0);
        for (const part of section.parts) {
          expect(part.x1).toBeGreaterThanOrEqual(part.x0);
          expect(part.y1).toBeGreaterThanOrEqual(part.y0 - 1e-9);
          expect(part.y1).toBeLessThanOrEqual(section.topMm + 1e-6);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('piles layers and gaps without a gap between them, each tier on the one below', () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        const { section, tiers } = planBuild(build, pantry);
        build.tiers.forEach((tier, t) => {
          const { layers } = tiers[t]!.stack;
          const span = section.tiers[t]!;
          const under = t > 0 ? tier.stand.postMm + (tier.stand.card?.thicknessMm ?? 0) : 0;
          if (t > 0) expect(span.fromMm).toBeCloseTo(section.tiers[t - 1]!.toMm + under, 9);
          expect(span.atMm - (section.tiers[t - 1]?.atMm ?? 0)).toBeCloseTo(
            t > 0 ? tier.stand.offsetMm[0] : 0,
            9,
          );
          let z = of(section, `${tier.id}/dab`).y1;
          tier.layers.forEach((layer, i) => {
            const part = of(section, `${tier.id}/layer/${i}`);
            expect(part.y0).toBeCloseTo(z, 6);
            expect(part.y1 - part.y0).toBeCloseTo(layer.heightMm, 6);
            z = part.y1;
            if (i >= tier.gaps.length) return;
            // where a filling is left out, layer lies on layer, or on a dome that was left on
            if (isBare(tier.gaps[i]!))
              z += layers[i]!.crownUpMm + (layers[i + 1]?.crownDownMm ?? 0);
            else {
              const gap = of(section, `${tier.id}/gap/${i}`);
              expect(gap.y0).toBeCloseTo(z, 6);
              z = gap.y1;
            }
            const deck = tier.stand.decks.findIndex(({ afterLayer }) => afterLayer === i);
            if (deck < 0) return;
            const board = of(section, deckKey(tier, deck));
            expect(board.y0).toBeCloseTo(z, 6);
            z = board.y1;
          });
          expect(z).toBeLessThanOrEqual(span.toMm + 1e-6);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('draws a gap as thick as it settles, and a filling kept short of the edge short of it', () => {
    const build = fresh((b) => {
      for (const gap of b.tiers[0]!.gaps) Object.assign(gap, { spreadId: 'cream', setbackMm: 12 });
    });
    const plan = planBuild(build, pantry);
    const gap = of(plan.section, 'tier-1/gap/0');
    expect(gap.y1 - gap.y0).toBeCloseTo(plan.tiers[0]!.loads![0]!.settledMm, 9);
    expect(gap.x1).toBeCloseTo(100 - 12, 9);
  });

  it('draws each dome that stays, up or down, in the room that its gap leaves it', () => {
    const section = sectionOf(fresh((b) => (b.tiers[0]!.levelling = 'cut none, top inverted')));
    const up = of(section, 'tier-1/layer/1/crown');
    const down = of(section, 'tier-1/layer/3/crown');
    expect([up.arc, down.arc]).toEqual(['up', 'down']);
    // twelve hundredths of the radius on a cake of 50 mm, a hair more on a deeper one
    expect(up.y1 - up.y0).toBeCloseTo(12 * crownShare(2 * 25 + 0.7), 1);
    expect(up.y1).toBeLessThanOrEqual(of(section, 'tier-1/gap/1').y1 + 1e-9);
    expect(down.y0).toBeGreaterThanOrEqual(of(section, 'tier-1/gap/2').y0 - 1e-9);
    expect(sectionOf(fresh()).parts.some((p) => p.kind === 'crown')).toBe(false);
  });

  it('draws a core through its layers, a disc inside a mousse, a ring’s hole', () => {
    const section = sectionOf(
      fresh((b) => {
        const tier = b.tiers[0]!;
        tier.centre = {
          outline: { kind: 'round', diameterMm: 60 },
          fromLayer: 1,
          toLayer: 2,
          spreadId: 'caramel',
          pieces: null,
        };
        tier.layers[0] = {
          ...newLayer(30),
          otherId: 'mousse',
          insets: [{ id: 'disc', otherId: null, heightMm: 10, marginMm: 15, upMm: 10 }],
        };
      }),
    );
    const centre = of(section, 'tier-1/centre');
    expect([centre.x0, centre.x1, centre.tone]).toEqual([-30, 30, 'caramel']);
    expect(centre.y0).toBe(of(section, 'tier-1/layer/1').y0);
    expect(centre.y1).toBe(of(section, 'tier-1/layer/2').y1);
    const inset = of(section, 'tier-1/layer/0/inset-disc');
    expect(inset.x1).toBeCloseTo(85, 9);
    expect(inset.tone).toBe('butter');
    expect(of(section, 'tier-1/layer/0').tone).toBe('cream');
    const ring = sectionOf(
      fresh((b) => (b.tiers[0]!.outline = { kind: 'ring', diameterMm: 240, holeMm: 80 })),
    );
    // the coat narrows the hole on both sides
    expect(of(ring, 'tier-1/hole').x1).toBeCloseTo(40 - 6.5, 9);
  });

  it('of a naked side leaves what is kept short of the edge open', () => {
    const open = (style: 'naked' | 'smooth'): boolean =>
      sectionOf(
        fresh((b) => {
          b.tiers[0]!.coat.style = style;
          b.tiers[0]!.gaps[0]!.setbackMm = 8;
        }),
      ).parts.some((p) => p.tone === 'paper');
    expect(open('naked')).toBe(true);
    expect(open('smooth')).toBe(false);
  });

  it('is as wide as the outline it cuts through, coat added', () => {
    const build = fresh((b) => (b.tiers[0]!.outline = { kind: 'heart', widthMm: 230 }));
    const { section, tiers } = planBuild(build, pantry);
    const { coat } = tiers[0]!;
    if (!coat.ok) throw new Error(coat.problem);
    expect(section.tiers[0]!.widthMm).toBeCloseTo(widthMm(coat.value.finished), 6);
    expect(section.tiers[0]!.widthMm).toBeCloseTo(243, 0);
  });
});
