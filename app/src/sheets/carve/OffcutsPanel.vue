<script setup lang="ts">
import {
  newCarving,
  offcutServes,
  placeFor,
  worthMl,
  type OffcutServes,
  offcutUses,
  type Build,
  type Offcut,
  type CakePlan,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { useSettings } from '../../stores/settings.ts';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';
import TermWord from '../../help/TermWord.vue';

/** Every piece that comes away: its size, its weight, what it can serve for; what cake still lacks. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier, tierPlan, pantry } = useSheet(props);
const settings = useSettings();
const { text, say } = useUnits();
const result = computed(() => tierPlan.value.carve?.result ?? null);
const nameOf = (id: string): string =>
  tier.value.carving?.cuts.find((cut) => cut.id === id)?.name ?? 'cut';
const pieces = computed(() => result.value?.steps.flatMap((step) => step.pieces) ?? []);
const lacks = computed(() => result.value?.steps.flatMap((step) => step.lacks) ?? []);
const shown = computed(() => pieces.value.filter((piece) => piece.ml >= worthMl || piece.usedBy));
const rest = computed(() => (result.value ? result.value.stackG - result.value.leftG : 0));
const sponge = computed(() => pantry.pantry.sponges.find((s) => s.id === tier.value.spongeId));
const uses = computed(() => (sponge.value ? offcutUses(0, rest.value, sponge.value) : []));
const servesText: Record<OffcutServes, string> = {
  'set back': 'set back on',
  shavings: 'shavings: crumbs',
  fills: 'fills what the shape lacks',
  builds: 'large enough to build with',
  strip: 'a strip, for edges',
  crumbs: 'crumbs',
};
/** What a piece can serve for. */
const serves = (piece: Offcut): string =>
  piece.usedBy
    ? `set back on: ${nameOf(piece.usedBy)}`
    : servesText[offcutServes(piece, lacks.value)];
function setBack(piece: Offcut): void {
  const place = placeFor(piece, result.value!);
  let n = 1;
  while (tier.value.carving?.cuts.some((cut) => cut.id === `set-${n}`)) n++;
  const id = `set-${n}`;
  store.edit('Offcut set back on', (draft) => {
    const own = draft.tiers.find((each) => each.id === tier.value.id)!;
    own.carving ??= newCarving();
    const { cuts } = own.carving;
    const cut = {
      id,
      kind: 'set' as const,
      name: `Piece of ${nameOf(piece.cutId)}`.slice(0, 80),
      on: true,
      fromCutId: piece.cutId,
      piece: piece.piece,
      ...place,
      turnDeg: 0,
      tiltDeg: 0,
      glueMm: 2,
    };
    // before the shape that asked for it, so that it is cut to the shape
    const from = cuts.findIndex((each) => each.id === piece.cutId);
    const asked = result.value?.steps.find((step) => step.lacks.length > 0)?.cutId;
    const at = cuts.findIndex((each) => each.id === asked);
    cuts.splice(at > from ? at : cuts.length, 0, cut);
  });
  store.selected = `${tier.value.id}/cut/${id}`;
}
const size = (piece: Offcut): string =>
  piece.sizeMm.map((mm) => text(mm, 'span').replace(/ cm$/, '')).join(' × ') +
  (settings.isMetric ? ' cm' : '');
</script>

<template>
  <div data-test="offcuts">
    <p v-if="!result" class="lead">
      <TermWord id="offcut">Offcuts</TermWord> are listed once something is cut.
    </p>
    <template v-else>
      <p v-if="lacks.length > 0" class="lacks">
        The drawn shape lacks
        {{
          text(
            lacks.reduce((sum, lack) => sum + lack.ml, 0),
            'volume',
          )
        }}
        in {{ lacks.length === 1 ? 'one place' : `${lacks.length} places` }}, the largest
        {{ lacks[0]!.sizeMm.map((mm) => text(mm, 'thickness')).join(' × ') }} at
        {{ text(lacks[0]!.at[2], 'span') }} above the foot.
      </p>
      <table v-if="shown.length > 0" class="ledger across">
        <thead>
          <tr>
            <th>From</th>
            <th>Box round it</th>
            <th class="end">Weighs</th>
            <th>Can serve for</th>
            <th><span class="visually-hidden">Set it back on</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="piece in shown" :key="`${piece.cutId}/${piece.piece}`">
            <td>{{ nameOf(piece.cutId) }} {{ piece.piece + 1 }}</td>
            <td class="size">{{ size(piece) }}</td>
            <td class="end">{{ text(piece.massG, 'small') }}</td>
            <td>{{ serves(piece) }}</td>
            <td>
              <KeyButton
                v-if="!piece.usedBy && piece.whole"
                size="small"
                :aria-label="`Set on: ${nameOf(piece.cutId)} ${piece.piece + 1}`"
                @click="setBack(piece)"
              >
                Set it on
              </KeyButton>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="sentence">
        {{ text(rest, 'small') }} stay over<template v-if="pieces.length > shown.length"
          >, with {{ pieces.length - shown.length }} shavings too small to list</template
        >.
        <template v-if="uses.length > 0"
          >They make
          {{
            uses
              .map((use) => say(use.what))
              .join(', ')
              .replace(/^or /, '')
          }}.</template
        >
      </p>
      <p v-for="held in result.held" :key="held.cutId" class="sentence">
        {{ nameOf(held.cutId) }} rests on {{ text(held.areaMm2, 'area')
        }}{{
          held.slopeDeg < 1
            ? ', level.'
            : `, sloping by ${Math.round(held.slopeDeg)}°: its frosting has to hold ${text(held.needsPa, 'pressure')} of shear.`
        }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.size {
  white-space: nowrap;
}
.lacks {
  border-left: 3px solid var(--warn-mark);
  padding-left: 10px;
}
</style>
