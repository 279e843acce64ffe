<script setup lang="ts">
import { flavoursOf, heldBy, notFoodByName } from '@pyrgotect/core';
import { computed, ref, watch } from 'vue';
import HoldsLine from '../figures/HoldsLine.vue';
import { useUnits } from '../figures/units.ts';
import { servedText } from '../locale/when.ts';
import SizeBeside from '../offer/SizeBeside.vue';
import CarvingNote from '../parts/CarvingNote.vue';
import FailedPlan from '../parts/FailedPlan.vue';
import MissingCake from '../parts/MissingCake.vue';
import { usePrint } from '../parts/usePrint.ts';
import PictureStill from '../picture/PictureStill.vue';
import { useBuild } from '../stores/build.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSettings } from '../stores/settings.ts';

/** The sheet for the one who orders: what the cake looks like and what is in it, nothing of how it is made. */
const props = defineProps<{ id: string }>();
const store = useBuild();
const pantry = usePantry();
const settings = useSettings();
const { text } = useUnits();
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
const withPrice = ref(false);
const { print } = usePrint(() => store.build?.name ?? '');
const flavours = computed(() =>
  store.build
    ? flavoursOf(store.build, pantry.pantry).map((tier) => ({
        ...tier,
        layers: tier.layers.map((name) => settings.words(name)).join(' and '),
        fillings: tier.fillings.map((name) => settings.words(name)).join(', '),
        outside: tier.outside.map((name) => settings.words(name)).join(', '),
      }))
    : [],
);
const notFood = computed(() =>
  notFoodByName(store.cake?.nonFood ?? []).map(
    ({ name, count }) => `${count} × ${settings.words(name)}`,
  ),
);
</script>

<template>
  <main v-if="store.build && store.cake" id="content" tabindex="-1" class="paper" data-test="offer">
    <p class="no-print bar">
      <KeyButton :to="`/build/${id}/brief`">Back</KeyButton>
      <KeyButton variant="flat" data-test="print-now" @click="print">Print this sheet</KeyButton>
      <KeyButton @click="settings.switchUnits()">{{ settings.unitsText }}</KeyButton>
      <v-checkbox
        v-model="withPrice"
        label="with the price"
        data-test="with-price"
        :disabled="store.build.order.priceOffered === null"
      />
    </p>
    <CarvingNote :tiers="store.cake.tiers" />
    <h1>{{ store.build.name }}</h1>
    <p class="lead">
      {{
        [store.build.brief.occasion, servedText(store.build.brief.serveAt), store.build.brief.place]
          .filter(Boolean)
          .join(' · ')
      }}
    </p>
    <div class="looks">
      <PictureStill :build="store.build" :plan="store.cake" />
      <SizeBeside :plan="store.cake" />
    </div>
    <dl>
      <dt>Size</dt>
      <dd>
        {{ text(store.cake.tally.heightMm, 'size') }} high and
        {{ text(store.cake.tally.widthMm, 'size') }} wide<template v-if="store.cake.tally.massG"
          >; {{ text(store.cake.tally.massG, 'weight') }} with its board</template
        >
      </dd>
      <dt>Servings</dt>
      <dd>{{ store.cake.tally.servings }}</dd>
      <template v-for="tier in flavours" :key="tier.tierId">
        <dt>{{ flavours.length > 1 ? tier.name : 'Flavours' }}</dt>
        <dd>
          {{ tier.layers
          }}<template v-if="tier.fillings">, filled with {{ tier.fillings }}</template
          ><template v-if="tier.outside">; outside {{ tier.outside }}</template>
        </dd>
      </template>
      <dt>Contents</dt>
      <dd><HoldsLine :held="heldBy(store.cake)" /></dd>
      <template v-if="notFood.length > 0">
        <dt>Not food</dt>
        <dd>{{ notFood.join(', ') }}: taken out before it is eaten</dd>
      </template>
      <template v-if="withPrice && store.build.order.priceOffered !== null">
        <dt>Price</dt>
        <dd>
          {{ text(store.build.order.priceOffered, 'money')
          }}<template v-if="store.build.order.deposit !== null"
            >, of which {{ text(store.build.order.deposit, 'money') }} beforehand{{
              store.build.order.depositPaid ? ', paid' : ''
            }}</template
          >
        </dd>
      </template>
    </dl>
    <p class="soft">
      The picture is worked out from the plan; what hands make differs a little. Contents are as far
      as the ingredients are known; whoever has an allergy asks before eating.
    </p>
  </main>
  <FailedPlan v-else-if="store.cakeFault" :fault="store.cakeFault" :build-id="id" />
  <MissingCake v-else-if="store.missing" />
</template>

<style scoped>
.lead {
  color: var(--soft);
  margin-top: 0;
}
.looks {
  display: grid;
  grid-template-columns: 1.15fr 1fr;
  gap: 16px;
  align-items: end;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 5px 16px;
  margin: 16px 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
@media screen and (max-width: 699px) {
  .looks,
  dl {
    grid-template-columns: 1fr;
  }
}
</style>
