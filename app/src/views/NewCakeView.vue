<script setup lang="ts">
import {
  allergens,
  anyWish,
  coatStyles,
  diets,
  limits,
  newBuild,
  shapes,
  styleRows,
  type Build,
  type Design,
  type Portion,
  type ProportionId,
  type Shape,
  type Wish,
} from '@pyrgotect/core';
import { format, nextSaturday, set } from 'date-fns';
import { computed, onMounted, reactive, ref } from 'vue';
import { useRouter } from 'vue-router';
import DesignCards from '../designs/DesignCards.vue';
import WeighedChart from '../designs/WeighedChart.vue';
import { useDesigns } from '../designs/useDesigns.ts';
import ChoiceField from '../figures/ChoiceField.vue';
import QuantityField from '../figures/QuantityField.vue';
import TroubleLine from '../figures/TroubleLine.vue';
import WordField from '../figures/WordField.vue';
import OwnRowDialog from '../pantry/OwnRowDialog.vue';
import TopBar from '../parts/TopBar.vue';
import { usePantry } from '../stores/pantry.ts';
import { useShelf } from '../stores/shelf.ts';

/** What a customer would say, in one sentence, and the cakes that it could become. Nothing is kept until one is taken. */
const shelf = useShelf();
const pantry = usePantry();
const router = useRouter();

/** A cake is most often wanted for a Saturday afternoon. */
const usualTime = { hours: 16, minutes: 0 };
const anything = 'any';
interface Asked extends Pick<
  Build['brief'],
  'servings' | 'portion' | 'occasion' | 'look' | 'keepOut' | 'diets'
> {
  serveAt: string;
  sponge: string;
  filling: string;
  frosting: string;
  shape: string;
  tiers: string;
  proportion: string;
  mayKitchen: string;
  mayBuy: string;
}
const asked = reactive<Asked>({
  servings: 40,
  portion: 'dessert',
  serveAt: format(set(nextSaturday(new Date()), usualTime), "yyyy-MM-dd'T'HH:mm"),
  occasion: '',
  look: 'smooth',
  keepOut: [],
  diets: [],
  sponge: anything,
  filling: anything,
  frosting: anything,
  shape: anything,
  tiers: anything,
  proportion: anything,
  mayKitchen: 'no',
  mayBuy: 'no',
});
const isPast = computed(() => asked.serveAt !== '' && new Date(asked.serveAt) < new Date());
/** What is due that day already. */
const sameDay = computed(() =>
  shelf.entries.filter(
    ({ serveAt, finished }) =>
      serveAt && !finished && serveAt.slice(0, 10) === asked.serveAt.slice(0, 10),
  ),
);
onMounted(() => void shelf.load());
const orNone = <T extends string>(value: string): T | null =>
  value === anything ? null : (value as T);

const portions: { value: Portion; text: string }[] = [
  { value: 'dessert', text: 'dessert portions' },
  { value: 'small', text: 'small portions' },
];
const looks = coatStyles.map((value) => ({ value, text: styleRows[value].title.toLowerCase() }));
const rowsOf = (rows: readonly { id: string; name: string }[], any: string) => [
  { value: anything, text: any },
  ...rows.map(({ id, name }) => ({ value: id, text: name.toLowerCase() })),
];
const sponges = computed(() => rowsOf(pantry.pantry.sponges, 'any sponge'));
const fillings = computed(() =>
  rowsOf(
    pantry.pantry.spreads.filter(({ canFill }) => canFill),
    'its frosting',
  ),
);
const frostings = computed(() =>
  rowsOf(
    pantry.pantry.spreads.filter(({ canFill, canCoat }) => canFill && canCoat),
    'any frosting',
  ),
);
const shapeChoices = [
  { value: anything, text: 'any shape' },
  ...shapes.map((value) => ({
    value,
    text: { round: 'round', square: 'square', rectangle: 'a tray' }[value],
  })),
];
const tierChoices = [
  { value: anything, text: 'as many tiers as it takes' },
  ...[1, 2, 3, 4, 5].map((n) => ({
    value: String(n),
    text: n === 1 ? 'one tier' : `${n} tiers`,
  })),
];
const proportionChoices = [
  { value: anything, text: 'of any height' },
  { value: 'short and wide', text: 'as low as can be' },
  { value: 'even steps', text: 'in even steps' },
  { value: 'tall', text: 'tall' },
  { value: 'one tall tier', text: 'with one tall tier' },
];
const kitchenChoices = [
  { value: 'no', text: 'all of it on the table' },
  { value: 'yes', text: 'with plain cakes cut in the kitchen' },
];
const buyChoices = [
  { value: 'no', text: 'my own tins' },
  { value: 'yes', text: 'any tin of the pantry, to buy or borrow' },
];

const base = computed<Build>(() => {
  const build = newBuild('new', 'New cake', '2000-01-01T00:00:00Z');
  const { servings, portion, occasion, look, keepOut, diets: eaten } = asked;
  return {
    ...build,
    brief: {
      ...build.brief,
      servings,
      portion,
      occasion,
      look,
      keepOut,
      diets: eaten,
      serveAt: asked.serveAt || null,
    },
  };
});
const wish = computed<Wish>(() => ({
  ...anyWish,
  shape: orNone<Shape>(asked.shape),
  tiers: asked.tiers === anything ? null : Number(asked.tiers),
  proportion: orNone<ProportionId>(asked.proportion),
  mayKitchen: asked.mayKitchen === 'yes',
  mayBuy: asked.mayBuy === 'yes',
  flavour: {
    spongeId: orNone(asked.sponge),
    fillingId: orNone(asked.filling),
    frostingId: orNone(asked.frosting),
  },
}));
const { answer, current, progress, trouble, again } = useDesigns(() =>
  isPast.value ? null : { base: base.value, wish: wish.value },
);
const title = computed(() => {
  if (isPast.value) return 'For when?';
  if (!answer.value) return 'Weighing cakes…';
  return answer.value.ok
    ? `${answer.value.designs.length} ${answer.value.designs.length === 1 ? 'cake' : 'cakes'} for ${asked.servings} guests`
    : 'Nothing serves that yet';
});
const toggle = <T,>(from: T[], one: T): T[] =>
  from.includes(one) ? from.filter((each) => each !== one) : [...from, one];

/** What of one's own is being named. */
const making = ref<'sponge' | 'filling' | 'frosting' | null>(null);
const taking = ref(false);
async function take(design: Design): Promise<void> {
  if (taking.value) return;
  taking.value = true;
  const build = await shelf.take(design, asked.occasion || 'New cake');
  await router.push(`/build/${build.id}/stack`);
}
async function empty(): Promise<void> {
  const build = await shelf.create();
  await router.push(`/build/${build.id}/brief`);
}
</script>

<template>
  <div class="new">
    <TopBar here="shelf">
      <button type="button" class="key" data-test="new-empty" @click="empty">
        Begin with an empty cake
      </button>
    </TopBar>
    <main>
      <p class="sentence">
        A cake for
        <QuantityField
          :model-value="asked.servings"
          :of="limits.servings"
          label="Guests"
          @update:model-value="(n) => (asked.servings = n)"
        />
        guests in
        <ChoiceField v-model="asked.portion" label="Portion" :options="portions" />, for
        <WordField
          v-model="asked.occasion"
          class="date what"
          :most="80"
          aria-label="Occasion"
          placeholder="what for"
        />, served
        <WordField
          v-model="asked.serveAt"
          class="date"
          type="datetime-local"
          aria-label="Date and time of serving"
        />:
        <ChoiceField
          v-model="asked.sponge"
          label="Sponge"
          :options="sponges"
          more="new sponge …"
          @more="making = 'sponge'"
        />, filled with
        <ChoiceField
          v-model="asked.filling"
          label="Filling"
          :options="fillings"
          more="new filling …"
          @more="making = 'filling'"
        />, under
        <ChoiceField
          v-model="asked.frosting"
          label="Frosting"
          :options="frostings"
          more="new frosting …"
          @more="making = 'frosting'"
        />, <ChoiceField v-model="asked.look" label="Look" :options="looks" />;
        <ChoiceField v-model="asked.shape" label="Shape" :options="shapeChoices" />,
        <ChoiceField v-model="asked.tiers" label="Tiers" :options="tierChoices" />,
        <ChoiceField v-model="asked.proportion" label="Height" :options="proportionChoices" />;
        <ChoiceField v-model="asked.mayKitchen" label="Kitchen cakes" :options="kitchenChoices" />,
        from <ChoiceField v-model="asked.mayBuy" label="Tins" :options="buyChoices" />.
      </p>
      <p v-if="isPast" class="warn" role="alert">
        That day and hour have passed. Choose one that is still to come.
      </p>
      <p v-if="sameDay.length > 0 && !isPast" class="soft" data-test="same-day">
        That day
        {{ sameDay.length === 1 ? 'one cake is' : `${sameDay.length} cakes are` }} due already:
        {{ sameDay.map(({ name }) => name).join(', ') }}. The
        <router-link to="/calendar">calendar</router-link> says what the days before it hold.
      </p>
      <v-expansion-panels variant="accordion" class="diets">
        <v-expansion-panel
          :title="
            asked.keepOut.length + asked.diets.length === 0
              ? 'Everybody eats everything'
              : `Keep out: ${[...asked.keepOut, ...asked.diets].join(', ')}`
          "
        >
          <template #text>
            <p class="chips">
              <v-chip
                v-for="allergen in allergens"
                :key="allergen"
                :variant="asked.keepOut.includes(allergen) ? 'flat' : 'outlined'"
                :color="asked.keepOut.includes(allergen) ? 'secondary' : undefined"
                :aria-pressed="asked.keepOut.includes(allergen)"
                @click="asked.keepOut = toggle(asked.keepOut, allergen)"
                >{{ allergen }}</v-chip
              >
              <v-chip
                v-for="diet in diets"
                :key="diet"
                :variant="asked.diets.includes(diet) ? 'flat' : 'outlined'"
                :color="asked.diets.includes(diet) ? 'secondary' : undefined"
                :aria-pressed="asked.diets.includes(diet)"
                @click="asked.diets = toggle(asked.diets, diet)"
                >{{ diet }}</v-chip
              >
            </p>
            <p class="lead">
              By what the pantry says of its recipes. What it may have touched in your kitchen the
              program cannot know; your local food code says what to declare.
            </p>
          </template>
        </v-expansion-panel>
      </v-expansion-panels>

      <h1 data-test="new-title" aria-live="polite">{{ title }}</h1>
      <v-progress-linear
        v-if="progress !== null"
        :model-value="100 * progress"
        color="primary"
        aria-label="Weighing cakes"
      />
      <TroubleLine :trouble="trouble" what="The cakes" @again="again" />
      <p v-if="answer && !answer.ok && !isPast" class="lead" role="alert">{{ answer.problem }}</p>
      <template v-if="answer?.ok && !isPast">
        <p class="lead">
          Drawn to one scale and planned whole: each stands, bakes in your tins and serves everyone.
          Nothing is kept until you take one; then everything of it can be changed.
        </p>
        <DesignCards :designs="answer.designs" :old="!current || taking" @take="take" />
        <WeighedChart :weighed="answer.weighed" />
      </template>
    </main>
    <OwnRowDialog
      v-if="making"
      :kind="making"
      @close="making = null"
      @made="(id) => making && (asked[making] = id)"
    />
  </div>
</template>

<style scoped>
.new {
  min-height: 100dvh;
  background: var(--milk);
}
main {
  max-width: 1240px;
  margin: 0 auto;
  padding: 16px 24px 40px;
}
.sentence {
  max-width: none;
}
.what {
  width: 12ch;
}
.what::placeholder {
  color: var(--soft);
  font-weight: 400;
}
.diets {
  margin: 12px 0 18px;
  max-width: 760px;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.warn {
  color: var(--warn);
}
@media (max-width: 599px) {
  main {
    padding: 12px 16px 32px;
  }
}
</style>
