<script setup lang="ts">
import { buildSheets, type Build, type CakePlan, type SheetKind, word } from '@pyrgotect/core';
import { plain } from '../storage/builds.ts';
import { useSettings } from '../stores/settings.ts';
import FullSizeKeys from './FullSizeKeys.vue';

/** Sheets of one kind at full size for the cake that is open, with what they are laid on for. */
const props = defineProps<{ build: Build; plan: CakePlan; kind: SheetKind }>();
const settings = useSettings();
const words: Record<SheetKind, { what: string; how: string }> = {
  dowels: {
    what: 'dowel places',
    how: 'One to one, with each dowel’s number and length. Lay baking paper on the crumb coat, the sheet on it with “front” to the front, and prick through; nothing of the sheet stays on the cake.',
  },
  boards: {
    what: word('boards'),
    how: 'One to one: where the foot stands on its board, the boards between tiers to cut along their line, and the hole for the rod.',
  },
  cutting: {
    what: 'cutting map',
    how: 'One to one, every cut of it. Keep it beside the cake, or lay it under a clear board.',
  },
};
const sheets = () => buildSheets(props.kind, props.build, props.plan, plain(settings.system));
</script>

<template>
  <section :data-test="`sheets-${kind}`" class="sheets">
    <h2>At full size: {{ words[kind].what }}</h2>
    <p class="lead">{{ words[kind].how }} Print at 100 % and measure the bar on the page first.</p>
    <FullSizeKeys :sheets="sheets" :name="build.name" :what="words[kind].what" />
  </section>
</template>
