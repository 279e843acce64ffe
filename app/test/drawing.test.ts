import { mount } from '@vue/test-utils';
import { inchesAndOunces, newBuild, newDrip, planBuild, startingPantry, type Build } from '@pyrgotect/core'; // prettier-ignore
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { notYetThere } from '../src/bench/progress.ts';
import { useListText } from '../src/bench/listText.ts';
import HoldsLine from '../src/figures/HoldsLine.vue';
import { biasWords, offBy } from '../src/hand/bias-words.ts';
import { arcPath, cornersOf, fillOf, hatches, linesPath } from '../src/section/tones.ts';
import { flowing, footNow } from '../src/section/flowing.ts';
import { useSettings } from '../src/stores/settings.ts';
import { whenIdle } from '../src/stores/when-idle.ts';

beforeEach(() => setActivePinia(createPinia()));
const dripping = (): Build => {
  const build = newBuild('b', 'Test', '2027-05-03T09:30:00Z');
  build.tiers[0]!.drip = newDrip('dark-equal');
  return build;
};

describe('the section while the bench is at work', () => {
  const plan = planBuild(dripping(), startingPantry());
  const steps = plan.steps.ok ? plan.steps.value : [];
  const at = (key: string): Set<string> =>
    notYetThere(plan.section, steps, steps.findIndex((step) => step.key === key)); // prettier-ignore
  it('fills up in the order of the steps, and is whole at the end', () => {
    const counts = steps.map((_, now) => notYetThere(plan.section, steps, now).size);
    for (const [i, count] of counts.entries())
      if (i > 0) expect(count).toBeLessThanOrEqual(counts[i - 1]!);
    expect(counts[0]).toBeGreaterThan(5);
    expect(notYetThere(plan.section, steps, steps.length).size).toBe(0);
  });
  it('has the lower layer before the upper, and the drips last', () => {
    const filling = at('tier-1/fill/layer-1+layer-2');
    expect(filling.has('tier-1/layer/0')).toBe(false);
    expect(filling.has('tier-1/layer/1')).toBe(true);
    expect(filling.has('tier-1/coat')).toBe(true);
    const coated = at('tier-1/drip');
    expect(coated.has('tier-1/coat')).toBe(false);
    expect([...coated].every((id) => id.includes('/drip/') || id.includes('flood'))).toBe(true);
  });
  it('shows a drip as far as it has run', () => {
    const drawn = plan.section.parts.find((part) => part.kind === 'drip')!;
    expect(footNow(drawn, plan)).toBe(drawn.y0);
    const drips = plan.tiers[0]!.finish.drip;
    const lengths = drips.ok ? drips.value!.drips.map(({ lengthMm }) => lengthMm) : [];
    flowing.value = { tierId: 'tier-1', lengthsMm: lengths.map((mm) => mm / 2) };
    expect(footNow(drawn, plan)).toBeCloseTo(drawn.y0 + lengths[drawn.drip!]! / 2, 6);
    // another tier's drips stand
    flowing.value = { tierId: 'tier-9', lengthsMm: [] };
    expect(footNow(drawn, plan)).toBe(drawn.y0);
  });
  afterEach(() => {
    flowing.value = null;
  });
});

describe('hatches and shapes', () => {
  it('are told apart by their marks, not by colour alone', () => {
    const marks = Object.values(hatches).map(
      ({ marks: all, tile }) =>
      JSON.stringify([tile, all.map(({ path }) => path), all.map(({ stroke, fill }) => stroke ?? fill)]), // prettier-ignore
    );
    expect(new Set(marks).size).toBe(marks.length);
    expect(fillOf('berry')).toBe('url(#tone-berry)');
    expect(fillOf('paper')).toContain('--oat');
  });
  it('close their lines, and leave a dome inside its box', () => {
    const square = [[0, 0], [10, 0], [10, 10]] as const; // prettier-ignore
    const flip = (mm: number): number => 100 - mm;
    expect(linesPath([square], (mm) => 2 * mm, flip)).toBe('M0.0 100.0L20.0 100.0L20.0 90.0Z');
    const box = { x: 0, y: 10, w: 20, h: 6 };
    // the middle of a quadratic arc is half-way to its control point
    expect(arcPath('up', box)).toBe('M0 16Q10 4 20 16Z');
    expect(arcPath('down', box)).toBe('M0 10Q10 22 20 10Z');
    expect(cornersOf('layer', { w: 20, h: 6 })).toEqual({ rx: 0 });
    expect(cornersOf('drip', { w: 4, h: 30 })).toEqual({ rx: 2 });
  });
});

describe('what is said in words', () => {
  it('of a hand is its share, with its sign', () => {
    expect([offBy(1.124), offBy(0.96), offBy(1.001)]).toEqual(['+12 %', '−4 %', 'as planned']);
    const hand = { count: 8, bias: Math.log(1.2), cv: 0.1 } as never;
    expect(biasWords('loss', hand)).toMatch(/ %$|as planned/);
  });
  it('of an item is its weight, in spoons where ounces show next to nothing', () => {
    const text = useListText();
    const item = { label: 'baking powder', value: 4, kind: 'small', foodId: 'baking-powder' };
    expect(text(item as never)).toBe('4 g');
    useSettings().system = { ...inchesAndOunces };
    expect(text({ ...item, value: 400 } as never)).toContain('oz');
    expect(text(item as never)).not.toContain('oz');
  });
  it('of a label keeps its sentences apart', () => {
    const holds = (held: object): string =>
      mount(HoldsLine, {
        props: { held: { allergens: [], mayContain: [], unknown: [], ...held } as never },
      }).text();
    const said = holds({ allergens: ['milk'], mayContain: ['tree nuts'], unknown: ['moon dust'] });
    expect(said).toMatch(/milk\. \S/);
    expect(said).toMatch(/tree nuts\. \S/);
    expect(said).toContain('moon dust');
    expect(holds({})).not.toContain('undefined');
  });
});

describe('work for a quiet moment', () => {
  it('is done once when the calls pause, and not before', () => {
    vi.useFakeTimers();
    let done = 0;
    const later = whenIdle(() => (done += 1));
    for (let i = 0; i < 10; i++) {
      later();
      vi.advanceTimersByTime(50);
    }
    expect(done).toBe(0);
    vi.advanceTimersByTime(1000);
    expect(done).toBe(1);
    later();
    vi.advanceTimersByTime(1000);
    expect(done).toBe(2);
    vi.useRealTimers();
  });
});
