<script setup lang="ts">
import {
  fillingShown,
  limits,
  newCarving,
  panelAllowanceMm,
  planLattice,
  sideName,
  type Build,
  type Lattice,
  type CakePlan,
  valueWord,
} from '@pyrgotect/core';
import { computed } from 'vue';
import FigureValue from '../../figures/FigureValue.vue';
import QuantityField from '../../figures/QuantityField.vue';
import { useUnits } from '../../figures/units.ts';
import { useSheet } from '../useSheet.ts';

/** What the carved tier is: how it stands, what shows of it, what covers it. */
const props = defineProps<{ build: Build; plan: CakePlan }>();
const { store, tier, tierPlan } = useSheet(props);
const { text } = useUnits();
const result = computed(() => tierPlan.value.carve?.result ?? null);
const cm2 = (mm2: number): string => text(mm2, 'area');
const fillingShare = computed(() => (result.value ? fillingShown(result.value) : 0));
const lattice = computed(() => tier.value.carving?.lattice ?? null);
const scored = computed(() =>
  lattice.value && result.value ? planLattice(lattice.value, result.value.coat.finishedMm2) : null,
);
const setLattice = (to: Partial<Lattice> | null): void =>
  store.edit('Scored pattern', (draft) => {
    const own = draft.tiers.find((each) => each.id === tier.value.id)!;
    own.carving ??= newCarving();
    const start: Lattice = own.carving.lattice ?? { angleDeg: 45, spacingMm: 25, studs: true };
    own.carving.lattice = to === null ? null : { ...start, ...to };
  });
</script>

<template>
  <div data-test="carved">
    <p v-if="!result" class="lead">Worked out once something is cut.</p>
    <template v-else>
      <dl>
        <div>
          <dt>Cake and filling left</dt>
          <dd>
            <FigureValue :value="result.leftG" kind="bowl" :figure="`${tier.id}/carved`" /> of
            {{ text(result.stackG, 'bowl') }}, {{ text(result.leftMl, 'volume') }}
          </dd>
        </div>
        <div>
          <dt>Portions left</dt>
          <dd>{{ tierPlan.servings }}, its share of the stack’s</dd>
        </div>
        <div>
          <dt>Stands on</dt>
          <dd>{{ cm2(result.footMm2) }}</dd>
        </div>
        <div>
          <dt>Centre of mass</dt>
          <dd>
            {{ text(result.centre[2], 'span') }} up,
            {{ text(Math.hypot(result.centre[0], result.centre[1]), 'fine') }} off the axis{{
              result.stands ? '' : ': it falls over'
            }}
          </dd>
        </div>
        <div v-if="result.neck">
          <dt>Thinnest place</dt>
          <dd>
            {{ text(result.neck.acrossMm, 'span') }} across, {{ text(result.neck.upMm, 'span') }} up
          </dd>
        </div>
        <div>
          <dt>Beyond its foot</dt>
          <dd>
            {{
              result.overhang.mm < 1
                ? 'nothing'
                : `${text(result.overhang.mm, 'span')} on ${sideName(result.overhang.bearingDeg)}`
            }}
          </dd>
        </div>
        <div>
          <dt>Surface to coat</dt>
          <dd>{{ cm2(result.surfaceMm2) }}, {{ text(fillingShare, 'share') }} of it filling</dd>
        </div>
        <div>
          <dt>Crumb coat and coat</dt>
          <dd v-if="tierPlan.coat.ok">
            <FigureValue
              :value="tierPlan.coat.value.crumbG + tierPlan.coat.value.coatG"
              kind="bowl"
              :figure="`${tier.id}/coat`"
            />{{ result.coat.exact ? ', measured on the solid' : ', being measured' }}
          </dd>
        </div>
      </dl>
      <h2>Cover</h2>
      <p class="sentence">
        {{
          result.drapes
            ? 'One sheet of fondant drapes over this shape.'
            : 'One sheet will not drape over this shape without folds: cover it in panels, seams on the back or under decoration.'
        }}
      </p>
      <table v-if="!result.drapes" class="ledger">
        <thead>
          <tr>
            <th>Panel</th>
            <th class="end">Area</th>
            <th class="end">Sheet to roll</th>
            <th class="end">Seams</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="panel in result.panels" :key="panel.name">
            <td>{{ valueWord(panel.name) }}</td>
            <td class="end">{{ cm2(panel.areaMm2) }}</td>
            <td class="end">
              {{ text(panel.wideMm + 2 * panelAllowanceMm, 'size') }} ×
              {{ text(panel.highMm + 2 * panelAllowanceMm, 'size') }}
            </td>
            <td class="end">{{ text(panel.seamMm, 'size') }}</td>
          </tr>
        </tbody>
      </table>
      <p class="sentence">
        <v-checkbox
          :model-value="lattice !== null"
          label="a scored pattern"
          @update:model-value="setLattice(lattice === null ? {} : null)"
        /><template v-if="lattice && scored"
          >: lines at
          <QuantityField
            :model-value="lattice.angleDeg"
            :of="limits.latticeDeg"
            label="Angle of the lines"
            @update:model-value="(n) => setLattice({ angleDeg: n })"
          />° both ways,
          <QuantityField
            :model-value="lattice.spacingMm"
            :of="limits.latticeMm"
            label="Between two lines"
            @update:model-value="(mm) => setLattice({ spacingMm: mm })"
          />
          apart: about {{ scored.cells }} diamonds,
          <v-checkbox
            :model-value="lattice.studs"
            label="a stud at each corner"
            @update:model-value="setLattice({ studs: !lattice.studs })"
          />{{ lattice.studs ? `, ${scored.studs} of them` : '' }}</template
        >.
      </p>
    </template>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 8px 20px;
  margin: 8px 0 0;
}
dt {
  font-size: var(--size-note);
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: 600;
}
</style>
