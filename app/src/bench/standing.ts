import {
  boxOf,
  type CakePicture,
  type CakePlan,
  type Film,
  type PictureBody,
  type Section,
  type Step,
} from '@pyrgotect/core';
import { chosenBy } from '../parts/part-edits.ts';
import { placedAt } from './progress.ts';

/** A picture of what stands on the bench. */
export interface Standing {
  picture: CakePicture;
  /** Carved tiers that have no coat yet: cake is seen. */
  bare: ReadonlySet<string>;
}

/** Bodies that the section knows by other names than the picture does. */
const outer: Partial<Record<PictureBody['kind'], 'crumb' | 'fondant' | 'veil' | 'flood'>> = {
  'crumb coat': 'crumb',
  cover: 'fondant',
  poured: 'veil',
  flood: 'flood',
};

/**
 * What of a cake stands once the step at `now` is done, of the tiers that stand on each other by then and are worked
 * on; null where nothing of them does.
 */
export function standingAt(
  picture: CakePicture,
  { section, support }: Pick<CakePlan, 'section' | 'support'>,
  steps: readonly Step[],
  now: number,
): Standing | null {
  const byKey = (key: string): number => steps.findIndex((step) => step.key === key);
  const lastOf = (part: string): number =>
    steps.findLastIndex((step) => step.part === chosenBy(part));
  const isDone = (at: number): boolean => at <= now;
  const tiers = tiersTogether(picture, steps, now);
  const isHere = ({ tierId }: { tierId: string | null }): boolean =>
    tierId === null ? tiers.has(picture.tiers[0]?.id ?? '') : tiers.has(tierId);
  const sectionKind = kindsOf(section);
  // a coat that is left thin has no step but the crumb coat, a bare cake none at all
  const coatAt = (tierId: string): number =>
    [`${tierId}/coat`, `${tierId}/crumb`, `${tierId}/settle`, `${tierId}/first`]
      .map(byKey)
      .find((at) => at >= 0) ?? -1;
  const bodyAt = ({ kind, part, tierId }: PictureBody): number => {
    if (kind === 'ribbon') return lastOf(part);
    // each tier stands on its own board from the first
    if (kind === 'board' || kind === 'card') return -1;
    if (kind === 'dowel' || kind === 'post') {
      const lift = support?.lifts.find(({ id }) => part.startsWith(`${id}/`));
      return lift ? byKey(`in/${lift.id}`) : -1;
    }
    if (tierId === null) return -1;
    if (kind === 'coat' || kind === 'thin coat') return coatAt(tierId);
    const known = outer[kind];
    if (known) return placedAt(steps, `${tierId}/${known}`, known);
    return placedAt(steps, part, sectionKind.get(part) ?? '');
  };
  const onIt = ({ films }: { films?: readonly Film[] }): Film[] =>
    (films ?? []).filter(({ key }) =>
      isDone(steps.findLastIndex((step) => step.key === key || step.key.startsWith(`${key}/`))),
    );
  const bodies = picture.bodies
    .filter((body) => isHere(body) && isDone(bodyAt(body)))
    .map((body) => ({ ...body, films: onIt(body) }));
  const carved = picture.carved
    .filter(
      (one) =>
        isHere(one) &&
        isDone(steps.findLastIndex(({ part }) => part?.startsWith(`${one.tierId}/cut/`) ?? false)),
    )
    .map((one) => ({ ...one, films: onIt(one) }));
  // what is pressed into a coat goes by that coat's name; nothing is put on before there is a coat
  const isPutOn = ({ tierId, part }: { tierId: string; part: string }): boolean =>
    isHere({ tierId }) &&
    isDone(
      Math.max(
        coatAt(tierId),
        part === `${tierId}/coat` ? byKey(`${tierId}/pressed`) : lastOf(part),
      ),
    );
  const whole = {
    ...picture,
    bodies,
    carved,
    drips: picture.drips.filter((one) => isHere(one) && isDone(byKey(`${one.tierId}/drip`))),
    groups: picture.groups.filter(isPutOn),
    runs: picture.runs.filter(isPutOn),
    words: picture.words.filter(isPutOn),
    tiers: picture.tiers.filter(({ id }) => tiers.has(id)),
  };
  const isEmpty =
    carved.length === 0 && bodies.every(({ kind }) => kind === 'board' || kind === 'card');
  if (isEmpty) return null;
  return {
    picture: { ...whole, box: boxOf(whole) },
    bare: new Set(carved.flatMap(({ tierId }) => (isDone(coatAt(tierId)) ? [] : [tierId]))),
  };
}

/** The tier that is worked on, or was last, with those that it stands on and that stand on it by now. */
function tiersTogether(
  { tiers }: CakePicture,
  steps: readonly Step[],
  now: number,
): ReadonlySet<string> {
  const tierAt = ({ tierId, part }: Step): number =>
    tiers.findIndex(({ id }) => id === tierId || part?.startsWith(`${id}/`));
  const worked = steps.slice(0, now + 1).findLast((step) => tierAt(step) >= 0);
  const at = worked ? tierAt(worked) : 0;
  const isSet = (tier: number): boolean =>
    steps.findIndex(({ key }) => key === `in/${tiers[tier]!.id}/card`) <= now;
  let [low, high] = [at, at];
  while (low > 0 && isSet(low)) low -= 1;
  while (high < tiers.length - 1 && isSet(high + 1)) high += 1;
  return new Set(tiers.slice(low, high + 1).map(({ id }) => id));
}

const kindsOf = ({ parts }: Section): ReadonlyMap<string, string> =>
  new Map(parts.map(({ id, kind }) => [id, kind]));
