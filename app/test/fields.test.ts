import { limits } from '@pyrgotect/core';
import { mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import QuantityField from '../src/figures/QuantityField.vue';
import WhenField from '../src/figures/WhenField.vue';
import WordField from '../src/figures/WordField.vue';
import { clock, servedText, timeLeft } from '../src/locale/when.ts';
import { fitSection, scaleText, spread } from '../src/section/scale.ts';
import { useSettings } from '../src/stores/settings.ts';
import './with-library.ts';

beforeEach(() => setActivePinia(createPinia()));

const field = (modelValue: number) =>
  mount(QuantityField, {
    props: { modelValue, of: limits.layerMm, label: 'Layer' },
  });

describe('a quantity field', () => {
  it('takes what is typed in any unit', async () => {
    const wrapper = field(22);
    const input = wrapper.find('input');
    expect(input.element.value).toBe('22 mm');
    await input.setValue('1 in');
    await input.trigger('keydown.enter');
    expect(wrapper.emitted('update:modelValue')).toEqual([[25.4]]);
  });
  it('shows why a text is no good, keeps it, and changes nothing', async () => {
    const wrapper = field(22);
    const input = wrapper.find('input');
    await input.setValue('thick');
    await input.trigger('blur');
    expect(wrapper.text()).toContain('not a quantity');
    expect(input.attributes('aria-invalid')).toBe('true');
    expect(input.element.value).toBe('thick');
    await input.setValue('-3');
    await input.trigger('blur');
    expect(wrapper.text()).toContain('less than nothing');
    expect(wrapper.emitted('update:modelValue')).toBeUndefined();
  });
  it('does not change a value by being looked at in other units', async () => {
    const wrapper = field(22.3);
    await useSettings().switchUnits();
    await nextTick();
    const input = wrapper.find('input');
    expect(input.element.value).toBe('7/8 in');
    await input.trigger('focus');
    await input.trigger('blur');
    expect(wrapper.emitted('update:modelValue')).toBeUndefined();
  });
  it('steps with the arrow keys', async () => {
    const wrapper = field(22);
    await wrapper.find('input').trigger('keydown', { key: 'ArrowUp' });
    expect(wrapper.emitted('update:modelValue')).toEqual([[23]]);
  });
});

describe('what is being typed', () => {
  it.each([
    ['a figure', () => field(22), 30, '25', '30 mm', 25],
    [
      'words',
      () => mount(WordField, { props: { modelValue: 'Ann' } }),
      'Ben',
      'Cleo',
      'Ben',
      'Cleo',
    ],
    [
      'a day',
      () =>
        mount(WhenField, { props: { modelValue: '2027-06-12', of: 'day' as const, label: 'Day' } }),
      '2027-06-13',
      '14 June 2027',
      'Sun 13 June 2027',
      '2027-06-14',
    ],
  ])(
    'stays while %s changes elsewhere, and is taken as the later word',
    async (_, make, elsewhere, typed, there, taken) => {
      const wrapper = make() as VueWrapper<{ modelValue: unknown }>;
      const input = wrapper.find('input');
      input.element.value = typed;
      await input.trigger('input');
      await wrapper.setProps({ modelValue: elsewhere });
      expect(input.element.value).toBe(typed);
      await input.trigger('blur');
      expect(wrapper.emitted('update:modelValue')).toEqual([[taken]]);
      // not taken over by who is asked: what stands is shown again
      await nextTick();
      expect(input.element.value).toBe(there);
    },
  );
  it('is given up with Esc for what stands by then', async () => {
    const wrapper = field(22);
    const input = wrapper.find('input');
    await input.setValue('25');
    await wrapper.setProps({ modelValue: 30 });
    await input.trigger('keydown', { key: 'Escape' });
    expect(input.element.value).toBe('30 mm');
    await input.trigger('blur');
    expect(wrapper.emitted('update:modelValue')).toBeUndefined();
  });
  it('is what a step goes on from', async () => {
    const wrapper = field(22);
    const input = wrapper.find('input');
    await input.setValue('25');
    await input.trigger('keydown', { key: 'ArrowUp' });
    await input.trigger('blur');
    expect(wrapper.emitted('update:modelValue')).toEqual([[26]]);
  });
  it('does not hold a field in which nobody types', async () => {
    const wrapper = field(22);
    const input = wrapper.find('input');
    await input.trigger('focus');
    await wrapper.setProps({ modelValue: 30 });
    expect(input.element.value).toBe('30 mm');
    await input.trigger('blur');
    expect(wrapper.emitted('update:modelValue')).toBeUndefined();
  });
});

describe('the drawing', () => {
  const section = {
    parts: [],
    tiers: [],
    halfWidthMm: 150,
    heightMm: 120,
    topMm: 120,
    boardMm: 12,
  };
  it('is true to scale and inside its pane', () => {
    const scale = fitSection(section, 512, 640);
    expect(scale.axisPx - 150 * scale.pxPerMm).toBeGreaterThanOrEqual(0);
    expect(scale.basePx - 120 * scale.pxPerMm).toBeGreaterThan(0);
    expect(scaleText({ ...scale, pxPerMm: 96 / 25.4 })).toBe('1 : 1.0');
    expect(scaleText({ ...scale, pxPerMm: 96 / 25.4 / 4 })).toBe('1 : 4.0');
  });
  it('keeps labels apart, in order and in bounds', () => {
    const placed = spread([100, 101, 102, 300], 15, 0, 300);
    expect(placed).toEqual([100, 115, 130, 300]);
    const crowded = spread([295, 296, 300], 15, 0, 300);
    expect(crowded).toEqual([270, 285, 300]);
  });
});

describe('times', () => {
  it('are told as a person would', () => {
    const now = new Date('2027-06-10T16:00');
    expect(timeLeft('2027-06-12T16:00', now)).toBe('2 days');
    expect(timeLeft('2027-06-11T12:30', now)).toBe('20 hours');
    expect(timeLeft('2027-06-09T12:30', now)).toBe('past');
    expect(timeLeft(null, now)).toBe('no date');
    expect(servedText('2027-06-12T16:00')).toBe('Sat 12 June 2027, 16:00');
    expect([clock(125), clock(3725), clock(-61)]).toEqual(['2:05', '1:02:05', '−1:01']);
  });
});
