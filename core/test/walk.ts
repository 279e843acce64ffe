import {
  addTier,
  buildSchema,
  leaveOutLayer,
  limits,
  mayLeaveOut,
  newCarving,
  newCut,
  newDrip,
  newOnSide,
  newPiped,
  newPiping,
  newPour,
  newSurface,
  newTopping,
  planBuild,
  removeTier,
  setAsTin,
  setGapHeight,
  setLayerCount,
  setLayerHeight,
  stretchLayers,
  takeShape,
  asTins,
  cutKinds,
  surfaceWays,
  unsoundIn,
  type Build,
  type Pantry,
  type Plan,
  type Tier,
} from '../src/index.ts';
import { build as buildField } from '../src/document/build-fields.ts';
import type { Field } from '../src/fields/field.ts';

/* A walk from edit to edit over what a build may be: the program's own, and every figure and choice that a form has. */

type Random = () => number;
type Parent = Record<string | number, unknown>;
/** Where something stands in a build, and what may stand there. */
interface Site {
  at: Parent;
  key: string | number;
  field: Field<unknown>;
}

/** Names and notes that no figure rests on. */
const idle = new Set(['id', 'name', 'createdAt', 'bench', 'notes', 'occasion', 'place', 'format']);

/** Everything inside a value that one edit can change. */
function* sitesIn(at: Parent, key: string | number, field: Field<unknown>): Generator<Site> {
  yield { at, key, field };
  const value = at[key];
  if (typeof value !== 'object' || value === null) return;
  const { shape } = field;
  switch (shape.kind) {
    case 'null or':
      yield* sitesIn(at, key, shape.of);
      return;
    case 'record':
      for (const [name, of] of Object.entries(shape.fields))
        if (!idle.has(name) && Object.hasOwn(value, name))
          yield* sitesIn(value as Parent, name, of);
      return;
    case 'list':
      for (let i = 0; i < (value as unknown[]).length; i += 1)
        yield* sitesIn(value as Parent, i, shape.of);
      return;
    case 'by kind': {
      const of = shape.of[(value as { kind: string }).kind];
      if (of) yield* sitesIn(at, key, of);
      return;
    }
    default:
      return;
  }
}

const oneOf = <T>(all: readonly T[], random: Random): T => all[Math.floor(random() * all.length)]!;
const whole = (most: number, random: Random): number => Math.floor(random() * (most + 1));

/** A figure as people set them: its ends, near what it was, anywhere, or small of its kind. */
function figureFor(now: unknown, min: number, max: number, random: Random): number {
  const kind = random();
  const was = typeof now === 'number' ? now : min;
  const wanted =
    kind < 0.1
      ? min
      : kind < 0.2
        ? max
        : kind < 0.5
          ? was * (0.5 + random())
          : kind < 0.75
            ? min + random() * (max - min)
            : min + (max - min) * random() ** 6;
  return Math.min(max, Math.max(min, wanted));
}

/** Changes one thing by its description; false where there is nothing to change. */
function changeSite({ at, key, field }: Site, donor: readonly Site[], random: Random): boolean {
  const { shape } = field;
  switch (shape.kind) {
    case 'figure': {
      const next = figureFor(at[key], shape.range.min, shape.range.max, random);
      at[key] = shape.whole ? Math.round(next) : next;
      return true;
    }
    case 'flag':
      at[key] = !at[key];
      return true;
    case 'choice':
      at[key] = oneOf(shape.values, random);
      return true;
    default: {
      // what no description makes by itself is taken from another build, where the same thing stands
      const other = donor.filter((one) => one.field === field);
      const list = at[key];
      if (shape.kind === 'list' && Array.isArray(list) && random() < 0.5) {
        if (list.length > 0 && random() < 0.5) list.splice(whole(list.length - 1, random), 1);
        else if (list.length > 0) list.push(structuredClone(oneOf(list, random)));
        return list.length > 0;
      }
      if (other.length === 0) return false;
      const from = oneOf(other, random);
      at[key] = structuredClone(from.at[from.key]);
      return true;
    }
  }
}

const room = { radiusMm: 100, widthMm: 200, heightMm: 120 };
/** The program's own edits of a tier, each with what it was given. */
const tierEdits: readonly ((tier: Tier, random: Random, pantry: Pantry) => void)[] = [
  (tier, random) => setLayerCount(tier, whole(limits.layers.max, random)),
  (tier, random) => setLayerHeight(tier, random() < 0.5 ? null : whole(tier.layers.length - 1, random), random() * 120), // prettier-ignore
  (tier, random) => setGapHeight(tier, random() < 0.5 ? null : whole(tier.gaps.length, random), random() * 60), // prettier-ignore
  (tier, random) => stretchLayers(tier, (random() - 0.5) * 200),
  (tier, random) => {
    const index = whole(tier.layers.length - 1, random);
    if (mayLeaveOut(tier, index)) leaveOutLayer(tier, index);
  },
  (tier, random, { tins }) => setAsTin(tier, oneOf(asTins, random), tins),
  (tier, _random, { tins }) => takeShape(tier, tins),
  (tier, random, { ganaches }) => (tier.drip = newDrip(oneOf(ganaches, random).id)),
  (tier, random, { ganaches }) => (tier.pour = newPour(oneOf(ganaches, random).id)),
  (tier, random) => {
    if (tier.toppings.length < limits.toppings.max)
      tier.toppings.push({
        ...newTopping(`topping-${Math.floor(random() * 1e9)}`),
        ...(random() < 0.5 ? { side: newOnSide() } : {}),
      });
  },
  (tier, random) => {
    tier.carving ??= newCarving();
    const kind = oneOf(cutKinds.filter((one) => one !== 'set' && one !== 'target') as never[], random); // prettier-ignore
    tier.carving.cuts.push(newCut(kind, `cut-${Math.floor(random() * 1e9)}`, room));
  },
  (tier, random) => {
    const way = oneOf(surfaceWays, random);
    tier.surfaces.push(newSurface(`surface-${Math.floor(random() * 1e9)}`, way));
  },
];
/** And of the whole build. */
const buildEdits: readonly ((build: Build, random: Random) => void)[] = [
  (build) => build.tiers.length < limits.tiers.max && addTier(build),
  (build, random) => removeTier(build, oneOf(build.tiers, random).id),
  (build, random) => {
    const job = newPiping(`piping-${Math.floor(random() * 1e9)}`, random() * 300);
    build.piping.push({ ...job, piped: newPiped(oneOf(build.tiers, random).id) });
  },
];

/** What one step of the walk came to. */
export interface WalkStep {
  build: Build;
  /** What its plan must not hold, or what the program's own edit made that no file may be. */
  faults: string[];
  /** How long its whole plan took, ms. */
  ms: number;
}

/** A plan and what is wrong with it. */
export function tried(build: Build, pantry: Pantry): { faults: string[]; ms: number } {
  const began = performance.now();
  let plan: Plan;
  try {
    plan = planBuild(build, pantry);
  } catch (error) {
    return { faults: [`threw ${String(error).slice(0, 160)}`], ms: performance.now() - began };
  }
  const ms = performance.now() - began;
  return { faults: unsoundIn(plan), ms };
}

/**
 * Goes so many steps from one build to the next, each one edit further; a step that no file may hold
 * is taken back, and is a fault where the program's own edit made it.
 *
 * @param starts builds to begin at, and to take parts from; after every 40 steps it begins at another
 * @param every how many steps go by before one is planned
 */
export function* walk(
  starts: readonly Build[],
  pantry: Pantry,
  steps: number,
  random: Random,
  every = 1,
): Generator<WalkStep> {
  const donors = starts.map((build) => [...sitesIn({ build }, 'build', buildField)]);
  let now = oneOf(starts, random);
  for (let done = 0; done < steps;) {
    if (done % 40 === 0) now = oneOf(starts, random);
    const next = structuredClone(now);
    const own = random() < 0.3;
    try {
      if (own) {
        if (random() < 0.7) oneOf(tierEdits, random)(oneOf(next.tiers, random), random, pantry);
        else oneOf(buildEdits, random)(next, random);
      } else {
        const sites = [...sitesIn({ build: next }, 'build', buildField)].slice(1);
        if (!changeSite(oneOf(sites, random), oneOf(donors, random), random)) continue;
      }
    } catch (error) {
      done += 1;
      yield { build: now, faults: [`an edit threw ${String(error).slice(0, 160)}`], ms: 0 };
      continue;
    }
    if (!buildSchema.isValidSync(next, { strict: true })) {
      if (!own) continue;
      done += 1;
      yield { build: next, faults: [`an own edit made what no file may hold: ${whyNot(next)}`], ms: 0 }; // prettier-ignore
      continue;
    }
    done += 1;
    now = next;
    yield { build: now, ...(done % every === 0 ? tried(now, pantry) : { faults: [], ms: 0 }) };
  }
}

function whyNot(build: Build): string {
  try {
    buildSchema.validateSync(build, { strict: true });
  } catch (error) {
    const { path, message } = error as Error & { path?: string };
    return `${(path ?? '').replace(/\d+/g, 'i')} ${message}`;
  }
  return '';
}
