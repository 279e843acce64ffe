import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import { code } from './holds.ts';

/** What a reading is held against, C, and what is done where it is outside. */
export interface TemperatureLine {
  id: string;
  title: string;
  /** What was measured, and where the probe was. */
  label: string;
  fromC: number | null;
  toC: number | null;
  /** By when, minutes from when it was put to cool; null where no code says. */
  withinMin: number | null;
  /** Readings noted of it, the first before the last. */
  readings: { at: string; tempC: number; isWithin: boolean | null }[];
  action: string;
}

const coolingAction = 'Spread it on a tray in the fridge, or set the bowl in ice and water; not below 21 °C in two hours: thrown away.'; // prettier-ignore
const workingAction = 'Warmed or cooled until it is there, stirred, and measured again.';
/** Coldest that a chilled filling may be kept at, and what is done otherwise, C (usual food code). */
const usualAction = 'Measured again after ten minutes; if it is still outside, it is not used.';

/**
 * Everything that is to be measured with a thermometer against its limit, with what was read
 * (docs/model.md#holds): a log to print, with room for what is written by hand. Usual food code stands beside
 * what cools from hot; the local one decides.
 */
export function temperatureLog(build: Build, steps: readonly Step[]): TemperatureLine[] {
  const notes = build.bench.notes.filter(
    ({ kind, value }) => kind === 'temperature' && value !== null,
  );
  const known = new Set(steps.map(({ key }) => key));
  const lines = steps.flatMap((step): TemperatureLine[] => {
    const own = notes.filter(({ stepKey }) => stepKey === step.key);
    const { probe, hold } = step;
    if (!probe && own.length === 0) return [];
    const cools = hold !== null && (step.hotC ?? 0) >= code.fromC;
    const [fromC, toC] = [probe?.fromC ?? null, probe?.toC ?? null];
    return [
      {
        id: step.key,
        title: step.title,
        label: probe?.label ?? 'measured',
        fromC: cools ? null : fromC,
        toC,
        withinMin: cools ? code.mostMin : null,
        readings: own.map(({ at, value }) => ({
          at,
          tempC: value!,
          isWithin:
            toC === null
              ? null
              : cools
                ? value! <= toC + 0.5
                : value! >= (fromC ?? -Infinity) - 0.5 && value! <= toC + 0.5,
        })),
        action: cools ? coolingAction : probe ? workingAction : usualAction,
      },
    ];
  });
  // what was measured at a step of an earlier plan stays in the log
  const earlier = notes
    .filter(({ stepKey }) => !known.has(stepKey))
    .map((note): TemperatureLine => ({
      id: note.id,
      title: note.planned?.title ?? note.stepKey,
      label: note.planned?.label ?? 'measured',
      fromC: null,
      toC: null,
      withinMin: null,
      readings: [{ at: note.at, tempC: note.value!, isWithin: null }],
      action: '',
    }));
  return [...lines, ...earlier];
}
