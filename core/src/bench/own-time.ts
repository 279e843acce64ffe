import { factorOf, type Corrections } from '../hand/corrections.ts';
import { cakeLine } from '../workflow/operation.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Recordable, Step } from './steps.ts';

/** Waits for something to get firm or to set; what was made and cools goes by its heat. */
const isChill = ({ kind, hold, line }: Step): boolean =>
  (hold === null || line.id === cakeLine.id) &&
  (kind === 'put in' || kind === 'weigh down' || kind === 'flood');
/** Steps shorter than this are not worth a clock, min. */
const clockedMin = 3;

/**
 * A step with its minutes as they are in this hand and this fridge, and with the clock among what
 * can be noted; figures that the hand moved say so, so that records mend it and do not chase it.
 */
export function inOwnTime(step: Step, corrections: Corrections): Step {
  const time = factorOf(corrections, 'time');
  const chill = isChill(step) ? factorOf(corrections, 'chill') : 1;
  const handsOnMin = step.handsOnMin * time;
  const timer =
    step.timer && chill !== 1
      ? {
          ...step.timer,
          minutes: Math.round(step.timer.minutes * chill),
          usualMin: step.timer.minutes,
          lookMin: step.timer.lookMin === null ? null : step.timer.lookMin * chill,
        }
      : step.timer;
  const lead = step.lead && timer && timer !== step.timer ? inMinutes(step, timer.minutes) : step.lead; // prettier-ignore
  const also: Recordable[] = [...step.also];
  if (timer && isChill(step))
    also.push({
      kind: 'minutes',
      label: 'minutes until it was firm',
      planned: timer.minutes,
      show: 'minutes',
      hand: 'chill',
      movedBy: chill,
    });
  if (handsOnMin >= clockedMin)
    also.push({
      kind: 'minutes',
      label: 'minutes of work',
      planned: handsOnMin,
      show: 'minutes',
      hand: 'time',
      movedBy: time,
    });
  const { record } = step;
  if (time === 1 && timer === step.timer && also.length === step.also.length && !record)
    return step;
  return {
    ...step,
    lead,
    handsOnMin,
    timer,
    also,
    record: record && moved(record, corrections),
  };
}

/** The words of a step with its minutes as its timer has them: one fact is one figure. */
function inMinutes({ lead, timer }: Step, minutes: number): Phrase {
  const { text, values = {} } = lead!;
  return {
    text,
    values: Object.fromEntries(
      Object.entries(values).map(([name, figure]) => [
        name,
        figure.kind === 'minutes' && Math.round(figure.value) === Math.round(timer!.minutes)
          ? { ...figure, value: minutes }
          : figure,
      ]),
    ),
  };
}

/** Kinds of figures that a plan has moved where they stand on the step; amounts to weigh it never corrects. */
const movedAtStep = new Set<Recordable['hand']>(['bake', 'rise', 'batter', 'drip', 'piping']);

const moved = (record: Recordable, corrections: Corrections): Recordable =>
  record.hand && movedAtStep.has(record.hand)
    ? { ...record, movedBy: factorOf(corrections, record.hand) }
    : record;
