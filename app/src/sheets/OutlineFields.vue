<script setup lang="ts">
import { limits, widthMm, type Outline } from '@pyrgotect/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';

const PathDialog = defineAsyncComponent(() => import('./PathDialog.vue'));

/** "The cake is round, 20 cm across", to be changed in place. */
const props = withDefaults(defineProps<{ outline: Outline; subject?: string; least?: number }>(), {
  subject: 'The cake',
  least: limits.sideMm.min,
});
const emit = defineEmits<{ change: [outline: Outline] }>();
const importing = ref(false);
const kinds: { value: Outline['kind']; text: string }[] = [
  { value: 'round', text: 'round' },
  { value: 'square', text: 'square' },
  { value: 'rectangle', text: 'rectangular' },
  { value: 'oval', text: 'oval' },
  { value: 'hexagon', text: 'a hexagon' },
  { value: 'heart', text: 'a heart' },
  { value: 'petal', text: 'a petal' },
  { value: 'ring', text: 'a ring' },
  { value: 'path', text: 'a shape of its own' },
];
function setKind(kind: Outline['kind']): void {
  if (kind === props.outline.kind) return;
  const wide = Math.max(props.least, Math.round(widthMm(props.outline)));
  const deep = Math.max(props.least, Math.round(wide * 0.7));
  const fresh: Record<Exclude<Outline['kind'], 'path'>, Outline> = {
    round: { kind: 'round', diameterMm: wide },
    square: { kind: 'square', sideMm: wide, cornerMm: 5 },
    rectangle: { kind: 'rectangle', widthMm: wide, depthMm: deep, cornerMm: 5 },
    oval: { kind: 'oval', widthMm: wide, depthMm: deep },
    hexagon: { kind: 'hexagon', acrossMm: wide },
    heart: { kind: 'heart', widthMm: wide },
    petal: { kind: 'petal', diameterMm: wide, petals: 8 },
    ring: { kind: 'ring', diameterMm: wide, holeMm: Math.max(5, Math.round(wide * 0.33)) },
  };
  if (kind === 'path') importing.value = true;
  else emit('change', fresh[kind]);
}
interface Field {
  key: string;
  label: string;
  before: string;
  after: string;
  kind: 'span' | 'thickness' | 'count';
  min: number;
  max: number;
}
const side = (key: string, label: string, before: string, after: string): Field => ({
  key,
  label,
  before,
  after,
  kind: 'span',
  min: props.least,
  max: limits.sideMm.max,
});
const corner = (most: number): Field => ({
  key: 'cornerMm',
  label: 'Corner radius',
  before: ', corners rounded by ',
  after: '.',
  kind: 'thickness',
  min: 0,
  max: Math.min(limits.cornerMm.max, most / 2),
});
/** The measures of the outline, in the sentence's order. */
const fields = computed((): Field[] => {
  const { outline } = props;
  switch (outline.kind) {
    case 'round':
      return [side('diameterMm', 'Diameter', '', ' across.')];
    case 'square':
      return [side('sideMm', 'Side', '', ' a side'), corner(outline.sideMm)];
    case 'rectangle':
      return [
        side('widthMm', 'Width', '', ''),
        side('depthMm', 'Depth', ' by ', ''),
        corner(Math.min(outline.widthMm, outline.depthMm)),
      ];
    case 'oval':
      return [side('widthMm', 'Width', '', ''), side('depthMm', 'Depth', ' by ', '.')];
    case 'hexagon':
      return [side('acrossMm', 'Across, flat to flat', '', ' from flat to flat.')];
    case 'heart':
      return [side('widthMm', 'Width', '', ' wide.')];
    case 'petal':
      return [
        side('diameterMm', 'Diameter', '', ' across, '),
        {
          key: 'petals',
          label: 'Petals',
          before: '',
          after: ' petals.',
          kind: 'count',
          ...limits.petals,
        },
      ];
    case 'ring':
      return [
        side('diameterMm', 'Diameter', '', ' across, its hole '),
        {
          key: 'holeMm',
          label: 'Hole',
          before: '',
          after: '.',
          kind: 'span',
          min: 5,
          max: outline.diameterMm - 11,
        },
      ];
    case 'path':
      return [];
  }
});
const valueOf = (key: string): number =>
  (props.outline as unknown as Record<string, number>)[key] ?? 0;
const set = (key: string, value: number | null): void => {
  if (value !== null) emit('change', { ...props.outline, [key]: value });
};
</script>

<template>
  {{ subject }} is
  <ChoiceField
    :model-value="outline.kind"
    label="Outline"
    :options="kinds"
    @update:model-value="setKind"
  /><template v-if="outline.kind === 'path'"
    >, “{{ outline.name }}”
    <KeyButton size="small" @click="importing = true">another line</KeyButton>.</template
  ><template v-else>, </template>
  <template v-for="field in fields" :key="field.key"
    >{{ field.before
    }}<QuantityField
      :model-value="valueOf(field.key)"
      :of="{ ...field, kind: field.kind }"
      :label="field.label"
      @update:model-value="(n) => set(field.key, n)"
    />{{ field.after }}</template
  >
  <PathDialog
    v-if="importing"
    :wide="Math.max(least, widthMm(outline))"
    @close="importing = false"
    @take="
      (taken) => {
        importing = false;
        emit('change', taken);
      }
    "
  />
</template>
