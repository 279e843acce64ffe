import { newBuild, newLayer, planBuild, startingPantry, type Outline } from '@pyrgotect/core';
import { flushPromises, mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { VSelect } from 'vuetify/components/VSelect';
import { notYetThere } from '../src/bench/progress.ts';
import { fitTinToTier, labelOf, partName, stageOf, walkable } from '../src/parts/part-edits.ts';
import QuantityField from '../src/figures/QuantityField.vue';
import SheetTabs from '../src/parts/SheetTabs.vue';
import SettingsMenu from '../src/parts/SettingsMenu.vue';
import { arcPath, fillOf } from '../src/section/tones.ts';
import OutlineFields from '../src/sheets/OutlineFields.vue';
import LevelDial from '../src/sheets/stack/LevelDial.vue';
import RimReadings from '../src/sheets/stack/RimReadings.vue';
import { hourText } from '../src/sheets/stack/useLevel.ts';
import { useSettings } from '../src/stores/settings.ts';
import './with-library.ts';

beforeEach(() => setActivePinia(createPinia()));

describe('turns of a sheet', () => {
  const tabs = [
    { id: 'a', text: 'First' },
    { id: 'b', text: 'Second' },
    { id: 'c', text: 'Third' },
  ];
  const mounted = async (modelValue: string) => {
    const wrapper = mount(SheetTabs, {
      props: { tabs, modelValue, label: 'Turns' },
      slots: { default: 'What was chosen' },
      attachTo: document.body,
    });
    await flushPromises();
    return wrapper;
  };
  it('are chosen by click, and told apart', async () => {
    const wrapper = await mounted('c');
    const buttons = wrapper.findAll('[role="tab"]');
    expect(buttons.map((b) => b.attributes('aria-selected'))).toEqual(['false', 'false', 'true']);
    await buttons[0]!.trigger('click');
    expect(wrapper.emitted('update:modelValue')).toEqual([['a']]);
    wrapper.unmount();
  });
  it('leave one stop for the tab key', async () => {
    const wrapper = await mounted('b');
    const stops = wrapper.findAll('[role="tab"]').map((b) => b.attributes('tabindex'));
    expect(stops).toEqual(['-1', '0', '-1']);
    wrapper.unmount();
  });
  it('go on from one to the next by the arrow keys', async () => {
    const wrapper = await mounted('a');
    const buttons = wrapper.findAll('[role="tab"]');
    (buttons[0]!.element as HTMLElement).focus();
    await buttons[0]!.trigger('keydown', { key: 'ArrowRight' });
    expect(document.activeElement).toBe(buttons[1]!.element);
    wrapper.unmount();
  });
  it('name the panel of the one chosen by its tab', async () => {
    const wrapper = await mounted('b');
    const panel = wrapper.get('[role="tabpanel"]');
    const chosen = wrapper.get('[aria-selected="true"]');
    expect(panel.attributes('aria-labelledby')).toBe(chosen.attributes('id'));
    expect(chosen.attributes('aria-controls')).toBe(panel.attributes('id'));
    wrapper.unmount();
  });
});

describe('a dial', () => {
  const dial = (turn: number, rim: (number | null)[] = [22, 24, 26, 24]) =>
    mount(LevelDial, { props: { rim, turn, flipped: false, label: 'Turn of layer 1', size: 100 } });
  it('turns by the arrow keys, past the top as well', async () => {
    const wrapper = dial(23);
    await wrapper.trigger('keydown', { key: 'ArrowUp' });
    await wrapper.trigger('keydown', { key: 'ArrowLeft' });
    expect(wrapper.emitted('turn')).toEqual([[0], [22]]);
    expect(wrapper.attributes('aria-valuetext')).toBe('345 degrees');
  });
  it('shows a bar for each reading that is there, and the high side of a tilt', () => {
    expect(dial(0).findAll('.bar')).toHaveLength(4);
    expect(dial(0, [22, null, 26, 24]).findAll('.bar')).toHaveLength(3);
    expect(dial(0).find('.high').exists()).toBe(true);
    expect(dial(0, [24, 24, 24, 24]).find('.high').exists()).toBe(false);
    expect(dial(0, []).findAll('.bar')).toHaveLength(0);
  });
  it('carries its mark round with the turn', () => {
    const x = (turn: number): number => Number(dial(turn).find('.mark').attributes('x2'));
    expect(x(0)).toBeCloseTo(50, 6);
    expect(x(6)).toBeGreaterThan(80);
    expect(x(18)).toBeLessThan(20);
  });
});

describe('rim readings', () => {
  const rim = (rimMm: (number | null)[]) =>
    mount(RimReadings, { props: { layer: { ...newLayer(25), rimMm }, number: 2 } });
  it('are four fields until there are eight, each named by its hour', () => {
    expect(rim([]).findAll('input')).toHaveLength(4);
    const eight = rim([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(eight.findAll('input')).toHaveLength(8);
    const labels = rim([])
      .findAll('input')
      .map((input) => input.attributes('aria-label'));
    expect(labels).toContain('Layer 2 at 3 o’clock');
  });
  it('come as a whole rim, the ones not read yet empty, and none when all are taken out', async () => {
    const wrapper = rim([]);
    const input = wrapper.findAll('input')[1]!;
    await input.setValue('24 mm');
    await input.trigger('keydown.enter');
    expect(wrapper.emitted('change')).toEqual([[[null, 24, null, null]]]);
    const one = rim([null, 24, null, null]);
    const filled = one.findAll('input')[1]!;
    await filled.setValue('');
    await filled.trigger('keydown.enter');
    expect(one.emitted('change')).toEqual([[[]]]);
  });
  it('offer what a slipped decimal point should have been', async () => {
    const wrapper = rim([22, 240, 23, 24]);
    await wrapper.find('.likely').trigger('click');
    expect(wrapper.emitted('change')).toEqual([[[22, 24, 23, 24]]]);
  });
});

describe('an outline in words', () => {
  const change = async (from: Outline, kind: string): Promise<unknown> => {
    const wrapper = mount(OutlineFields, { props: { outline: from } });
    wrapper.findComponent(VSelect).vm.$emit('update:modelValue', kind);
    await flushPromises();
    return wrapper.emitted<[Outline]>('change')?.[0]?.[0];
  };
  const round: Outline = { kind: 'round', diameterMm: 240 };
  it('keeps its width from kind to kind', async () => {
    expect(await change(round, 'square')).toMatchObject({ kind: 'square', sideMm: 240 });
    expect(await change(round, 'ring')).toMatchObject({ diameterMm: 240, holeMm: 79 });
    expect(await change(round, 'petal')).toMatchObject({ diameterMm: 240, petals: 8 });
    expect(await change({ kind: 'heart', widthMm: 210 }, 'oval')).toMatchObject({ widthMm: 210 });
  });
  it('opens the reader of lines instead of changing to a shape that is not there yet', async () => {
    expect(await change(round, 'path')).toBeUndefined();
  });
  it('has a field for each of its measures', () => {
    const fields = (outline: Outline): number =>
      mount(OutlineFields, { props: { outline } }).findAllComponents(QuantityField).length;
    expect(fields(round)).toBe(1);
    expect(fields({ kind: 'rectangle', widthMm: 300, depthMm: 200, cornerMm: 5 })).toBe(3);
    expect(fields({ kind: 'petal', diameterMm: 250, petals: 6 })).toBe(2);
    expect(fields({ kind: 'hexagon', acrossMm: 250 })).toBe(1);
  });
});

describe('names of parts', () => {
  it('are taken apart and told', () => {
    expect(partName('tier-2/gap/3')).toEqual({ tierId: 'tier-2', kind: 'gap', index: 3 });
    expect(partName('board')).toBeNull();
    expect(labelOf('tier-1/layer/0')).toBe('Layer 1');
    expect(labelOf('tier-1/centre')).toBe('Hidden centre');
    expect(stageOf('tier-1/coat')).toBe('coat');
    expect(stageOf('tier-1/centre')).toBe('stack');
  });
  it('are walked from the board up, without what is part of another', () => {
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    build.tiers[0]!.levelling = 'cut none';
    const ids = walkable(planBuild(build, startingPantry()));
    expect(ids[0]).toBe('board');
    expect(ids.indexOf('tier-1/layer/0')).toBeLessThan(ids.indexOf('tier-1/layer/3'));
    expect(ids.some((id) => /crown|dab|dam/.test(id))).toBe(false);
  });
  it('find a tin for a tier: its own size, or the smallest it can be cut from', () => {
    const build = newBuild('b', 'B', '2027-05-03T09:30:00Z');
    const tier = build.tiers[0]!;
    tier.outline = { kind: 'round', diameterMm: 230 };
    fitTinToTier(tier);
    expect(tier.tinId).toBe('round-23');
    tier.outline = { kind: 'round', diameterMm: 215 };
    fitTinToTier(tier);
    expect(tier.tinId).toBe('round-23');
  });
});

describe('drawing', () => {
  it('of a dome rises to the top of its box, or hangs to its foot', () => {
    const box = { x: 10, y: 20, w: 100, h: 8 };
    // a quadratic curve reaches half-way to its handle
    expect(arcPath('up', box)).toBe('M10 28Q60 12 110 28Z');
    expect(arcPath('down', box)).toBe('M10 20Q60 36 110 20Z');
  });
  it('has a hatch for each material and none for board and paper', () => {
    expect(fillOf('berry')).toBe('url(#tone-berry)');
    expect(fillOf('board')).toContain('--board');
    expect(fillOf('paper')).toContain('--oat');
  });
  it('at the bench ghosts what is not there yet', () => {
    const plan = planBuild(newBuild('b', 'B', '2027-05-03T09:30:00Z'), startingPantry());
    if (!plan.steps.ok) throw new Error(plan.steps.problem);
    const steps = plan.steps.value;
    const at = (key: string): number => steps.findIndex((s) => s.key === key);
    const early = notYetThere(plan.section, steps, at('tier-1/fill/layer-2+layer-3'));
    expect(early.has('tier-1/layer/0')).toBe(false);
    expect(early.has('tier-1/layer/1')).toBe(false);
    expect(early.has('tier-1/layer/2')).toBe(true);
    expect(notYetThere(plan.section, steps, steps.length).size).toBe(0);
  });
});

describe('small words', () => {
  it('tell an hour to the half', () => {
    expect(hourText(0)).toBe('12 o’clock');
    expect(hourText(3.1)).toBe('3 o’clock');
    expect(hourText(4.5)).toBe('between 4 and 5 o’clock');
    expect(hourText(11.9)).toBe('12 o’clock');
    expect(hourText(12.4)).toBe('between 12 and 1 o’clock');
  });
  it('switch units by one key beside the panel', async () => {
    const wrapper = mount(SettingsMenu);
    const settings = useSettings();
    expect(wrapper.text()).toContain('cm · g · °C');
    await wrapper.find('[data-test="units"]').trigger('click');
    await flushPromises();
    expect(settings.isMetric).toBe(false);
    expect(wrapper.text()).toContain('in · oz · °F');
  });
});
