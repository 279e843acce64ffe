import {
  anyWish,
  newBuild,
  newJourney,
  type Allergen,
  type Build,
  type Diet,
  type Journey,
  type ProportionId,
  type Shape,
  type Wish,
} from '@pyrgotect/core';
import { format, nextSaturday, set } from 'date-fns';
import { computed, reactive } from 'vue';

/** A cake is most often wanted for a Saturday afternoon. */
const usualTime = { hours: 16, minutes: 0 };
/** What is left open in the sentence. */
export const anything = 'any';

/** What a customer says, as it stands in the sentence. */
export interface Asked extends Pick<Build['brief'], 'servings' | 'portion' | 'occasion' | 'look'> {
  keepOut: Allergen[];
  diets: Diet[];
  serveAt: string;
  sponge: string;
  filling: string;
  frosting: string;
  shape: string;
  tiers: string;
  proportion: string;
  mayKitchen: string;
  mayBuy: string;
  mostMm: number | null;
  mostG: number | null;
  travels: string;
  minutes: Journey['minutes'];
}

const orNone = <T extends string>(value: string): T | null =>
  value === anything ? null : (value as T);

/** What is asked for in New cake, with a sensible value for everything; and the question that it is. */
export function useAsked() {
  const { byRoad, minutes } = newJourney();
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
    mostMm: null,
    mostG: null,
    travels: byRoad ? 'yes' : 'no',
    minutes,
  });
  const isPast = computed(() => asked.serveAt !== '' && new Date(asked.serveAt) < new Date());
  const base = computed<Build>(() => {
    const build = newBuild('new', 'New cake', '2000-01-01T00:00:00Z');
    const { servings, portion, occasion, look, keepOut, diets } = asked;
    const serveAt = asked.serveAt || null;
    return {
      ...build,
      brief: { ...build.brief, servings, portion, occasion, look, keepOut, diets, serveAt },
      journey: { ...build.journey, byRoad: asked.travels === 'yes', minutes: asked.minutes },
    };
  });
  const wish = computed<Wish>(() => ({
    ...anyWish,
    shape: orNone<Shape>(asked.shape),
    tiers: asked.tiers === anything ? null : Number(asked.tiers),
    proportion: orNone<ProportionId>(asked.proportion),
    mayKitchen: asked.mayKitchen === 'yes',
    mayBuy: asked.mayBuy === 'yes',
    mostMm: asked.mostMm,
    mostG: asked.mostG,
    flavour: {
      spongeId: orNone(asked.sponge),
      fillingId: orNone(asked.filling),
      frostingId: orNone(asked.frosting),
    },
  }));
  return { asked, isPast, base, wish };
}
