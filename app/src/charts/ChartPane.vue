<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import type { Config, Data, Layout } from 'plotly.js';
import { onBeforeUnmount, ref, useTemplateRef, watch } from 'vue';
import { habits } from '../locale/habits.ts';
import { useScheme } from '../styles/scheme.ts';
import { chartSheet } from './sheet.ts';

/** A chart; the library is fetched when the first one is shown. Clicks give a point's customdata. */
const props = defineProps<{
  data: Data[];
  layout: Partial<Layout>;
  height: number;
  label: string;
}>();
const emit = defineEmits<{ choose: [what: unknown] }>();
const { colours } = useScheme();
const pane = useTemplateRef<HTMLElement>('pane');
const { width } = useElementSize(pane);
const ready = ref(false);

type Library = (typeof import('plotly.js-cartesian-dist-min'))['default'];
let library: Library | null = null;

const language = import.meta.env.VITE_LANGUAGE;
const config: Partial<Config> = {
  ...(language ? { locale: language } : {}),
  displayModeBar: false,
  responsive: false,
  showSendToCloud: false,
  plotlyServerURL: '',
  displaylogo: false,
};

async function draw(): Promise<void> {
  if (!pane.value || width.value < 50) return;
  if (!library) {
    await chartSheet();
    library = (await import('plotly.js-cartesian-dist-min')).default;
    if (language) (await import('./names-of-days.ts')).nameDays(library, language);
  }
  const el = pane.value as HTMLElement | null;
  if (!el) return;
  const { line, ink, foot, 'foot-ink': footInk } = colours.value;
  const axis = { gridcolor: line, zerolinecolor: line, fixedrange: true };
  const plot = await library.react(
    el,
    props.data,
    {
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: 'Barlow Semi Condensed, sans-serif', size: 14, color: ink },
      margin: { l: 60, r: 14, t: 10, b: 46 },
      hoverlabel: {
        bgcolor: foot,
        bordercolor: foot,
        font: {
          family: 'Barlow Semi Condensed, sans-serif',
          size: 14,
          color: footInk,
        },
      },
      separators: habits.decimal === ',' ? ',.' : '.,',
      dragmode: false,
      ...props.layout,
      width: width.value,
      height: props.height,
      xaxis: { ...axis, ...props.layout.xaxis },
      yaxis: { ...axis, ...props.layout.yaxis },
    },
    config,
  );
  if (!ready.value)
    plot.on('plotly_click', (event) => {
      const point = event.points[0];
      if (point) emit('choose', point.customdata);
    });
  ready.value = true;
}
watch([() => props.data, () => props.layout, width, colours], () => void draw(), {
  flush: 'post',
});
onBeforeUnmount(() => {
  if (library && pane.value) library.purge(pane.value);
});
</script>

<template>
  <div
    ref="pane"
    class="chart"
    role="img"
    :aria-label="label"
    :data-ready="ready"
    :style="{ height: `${height}px` }"
  />
</template>

<style scoped>
.chart {
  width: 100%;
  position: relative;
}
</style>
