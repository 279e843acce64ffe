<script setup lang="ts">
import type { TermDrawing } from './terms.ts';

/** What a word means, drawn with the strokes of the section. */
defineProps<{ of: TermDrawing }>();
</script>

<template>
  <svg viewBox="0 0 120 76" width="120" height="76" aria-hidden="true">
    <line class="ground" x1="4" x2="116" y1="70" y2="70" />
    <g v-if="of === 'torte'">
      <rect class="cake" x="24" y="22" width="72" height="48" />
      <path class="cut" d="M14 38H106M14 54H106" />
    </g>
    <g v-else-if="of === 'dam'">
      <rect class="cake" x="24" y="46" width="72" height="24" />
      <rect class="cake" x="24" y="10" width="72" height="24" />
      <rect class="soft" x="33" y="34" width="54" height="12" />
      <rect class="firm" x="24" y="34" width="9" height="12" />
      <rect class="firm" x="87" y="34" width="9" height="12" />
    </g>
    <g v-else-if="of === 'crumb coat'">
      <rect class="firm" x="18" y="14" width="84" height="56" />
      <rect class="soft" x="21" y="17" width="78" height="53" />
      <rect class="cake" x="24" y="22" width="72" height="48" />
    </g>
    <g v-else-if="of === 'dowel'">
      <rect class="cake" x="14" y="34" width="92" height="36" />
      <rect class="board" x="32" y="30" width="56" height="4" />
      <rect class="cake" x="36" y="6" width="48" height="24" />
      <path class="stick" d="M42 34V70M60 34V70M78 34V70" />
    </g>
    <g v-else-if="of === 'rod'">
      <rect class="cake" x="14" y="38" width="92" height="32" />
      <rect class="cake" x="36" y="12" width="48" height="26" />
      <path class="stick" d="M60 6V70" />
    </g>
    <g v-else-if="of === 'drip'">
      <rect class="cake" x="24" y="24" width="72" height="46" />
      <path
        class="drip"
        d="M24 20H96V40a4 4 0 0 1-8 0V30H76V52a4 4 0 0 1-8 0V30H54V44a4 4 0 0 1-8 0V30H34V60a5 5 0 0 1-10 0Z"
      />
    </g>
    <g v-else-if="of === 'dome'">
      <path class="cake" d="M24 70V42Q60 6 96 42V70Z" />
      <path class="cut" d="M14 42H106" />
    </g>
    <g v-else-if="of === 'hidden centre'">
      <rect class="cake" x="24" y="12" width="72" height="58" />
      <rect class="soft" x="46" y="28" width="28" height="42" />
      <path class="cut" d="M24 28H96M24 50H46M74 50H96" />
    </g>
    <g v-else-if="of === 'board half-way up'">
      <rect class="cake" x="32" y="4" width="56" height="31" />
      <rect class="board" x="32" y="35" width="56" height="4" />
      <rect class="cake" x="32" y="39" width="56" height="31" />
      <path class="stick" d="M44 39V70M60 39V70M76 39V70" />
    </g>
    <g v-else>
      <rect class="cake" x="24" y="46" width="72" height="24" />
      <rect class="cake" x="24" y="14" width="72" height="24" />
      <path class="soft" d="M24 38H96Q106 42 96 46H24Q14 42 24 38Z" />
      <path class="cut" d="M60 2V12M55 8L60 13L65 8" />
    </g>
  </svg>
</template>

<style scoped>
.ground {
  stroke: var(--ink);
}
.cake {
  fill: var(--oat);
  stroke: var(--ink);
}
.soft {
  fill: var(--warn-mark);
  stroke: var(--ink);
}
.firm {
  fill: var(--raised);
  stroke: var(--ink);
}
.board,
.drip {
  fill: var(--ink);
}
.stick {
  stroke: var(--accent);
  stroke-width: 3;
}
.cut {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.8;
  stroke-dasharray: 5 3;
}
</style>
