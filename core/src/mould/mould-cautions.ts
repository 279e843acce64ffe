import type { Tier } from '../document/types.ts';
import { widthMm } from '../outline/outline.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import {
  builtUpMm,
  mouldMl,
  mouldMlBetween,
  mouldWidest,
  shapeOffMm,
  type MouldShape,
} from './mould.ts';

/** So near is as good as the same, mm. */
const nearMm = 1.5;

/** A mould that is not there, is of another size than its tier, or does not hold it. */
export function warnOfMould(tier: Tier, shape: MouldShape | null, cautions: Caution[]): void {
  if (!tier.mould && tier.asTin === null) return;
  const part = `${tier.id}/cake`;
  const say = (
    what: string,
    severity: Caution['severity'],
    title: Caution['title'],
    todo: Caution['todo'],
  ): void =>
    void cautions.push({ id: `${tier.id}/mould/${what}`, severity, stage: 'stack', part, title, todo }); // prettier-ignore
  if (!shape) {
    say(
      'missing',
      'stop',
      phrase(`The mould of ${tier.name} is not in the pantry.`),
      phrase(
        'Choose a ring or mould that is there, or put it in: its size, or the water it holds.',
      ),
    );
    return;
  }
  const foot = mouldWidest(shape);
  if (shapeOffMm(tier, shape) > nearMm)
    say(
      'size',
      'mind',
      phrase(
        `${tier.name} is planned {own} across, and what comes out of its ${tier.mould ? 'mould' : 'tin'} is {foot} where it is widest.`,
        { own: [widthMm(tier.outline), 'span'], foot: [widthMm(foot), 'span'] },
      ),
      phrase(
        `Take the size of the ${tier.mould ? 'mould, or another mould' : 'tin, or another tin'}.`,
      ),
    );
  if (!tier.mould) return;
  const highMm = builtUpMm(tier);
  const overMm = highMm - shape.tin.depthMm;
  if (overMm > nearMm)
    say(
      'high',
      'stop',
      phrase(`${tier.name} is {high} high, {over} over the brim of its mould.`, {
        high: [highMm, 'span'],
        over: [overMm, 'thickness'],
      }),
      phrase('Layers of {depth} together fill it; or a collar of film that stands {over} higher.', {
        depth: [shape.tin.depthMm, 'span'],
        over: [overMm, 'thickness'],
      }),
    );
  else if (overMm < -nearMm)
    say(
      'low',
      'note',
      phrase(`The mould of ${tier.name} is filled to {high}; it holds {left} more.`, {
        high: [highMm, 'span'],
        left: [mouldMl(shape) - mouldMlBetween(shape, 0, highMm), 'volume'],
      }),
      phrase('{depth} fill it to the brim, where a palette knife strikes it level.', {
        depth: [shape.tin.depthMm, 'span'],
      }),
    );
}
