import type { Step } from '../bench/steps.ts';
import type { Build } from '../document/types.ts';
import { code } from './holds.ts';

/** By so many minutes after it was put to cool it is as cold as that, C. */
export interface CodeLimit {
  toC: number;
  withinMin: number;
}

/** What is measured with a thermometer, against what, what was read, and what is done where it is outside. */
export interface TemperatureLine {
  id: string;
  title: string;
  /** What was measured, and where the probe was. */
  label: string;
  /** As warm as the work wants it, C; null where nothing is wanted. */
  wanted: { fromC: number; toC: number } | null;
  /** What food codes want of what spoils and was hot; empty for what does not. */
  limits: readonly CodeLimit[];
  /** Readings noted of it, the first before the last; null where nothing says what they should be. */
  readings: { at: string; tempC: number; isWithin: boolean | null }[];
  action: 'cool faster' | 'bring it there' | 'measure again';
}

/** From hot to the room, and from there to the cold (usual food code; the local one decides). */
export const codeLimits: readonly CodeLimit[] = [
  { toC: code.toC, withinMin: code.mostMin },
  { toC: 5, withinMin: code.mostMin + 240 },
];

/** A thermometer for the kitchen is believed to half a degree, K. */
const nearK = 0.5;

/**
 * Everything that is measured against a temperature, with what was read (docs/model.md#holds): a log to
 * print, with room for what is written by hand. What spoils and was hot is held against usual food
 * code by the minutes since its timer was started; without one only against how warm it is wanted.
 */
export function temperatureLog(build: Build, steps: readonly Step[]): TemperatureLine[] {
  const { timers } = build.bench;
  const notes = build.bench.notes.filter(
    ({ kind, value }) => kind === 'temperature' && value !== null,
  );
  const known = new Set(steps.map(({ key }) => key));
  const lines = steps.flatMap((step): TemperatureLine[] => {
    const own = notes.filter(({ stepKey }) => stepKey === step.key);
    const { probe, hold } = step;
    if (!probe && own.length === 0) return [];
    const limits = hold?.spoils && (step.hotC ?? 0) >= code.fromC ? codeLimits : [];
    const wanted = probe ? { fromC: probe.fromC, toC: probe.toC } : null;
    const begun = timers.find(({ stepKey }) => stepKey === step.key)?.startedAt;
    const isWithin = (at: string, tempC: number): boolean | null => {
      const minutes = begun === undefined ? null : (Date.parse(at) - Date.parse(begun)) / 60_000;
      const due = minutes === null ? [] : limits.filter(({ withinMin }) => minutes >= withinMin);
      if (due.some(({ toC }) => tempC > toC + nearK)) return false;
      if (!wanted) return null;
      // what is on its way down is neither in nor out until it is there
      if (hold !== null || step.kind === 'put in') return tempC <= wanted.toC + nearK ? true : null;
      return tempC >= wanted.fromC - nearK && tempC <= wanted.toC + nearK;
    };
    return [
      {
        id: step.key,
        title: step.title,
        label: probe?.label ?? 'measured',
        wanted,
        limits,
        readings: own.map(({ at, value }) => ({
          at,
          tempC: value!,
          isWithin: isWithin(at, value!),
        })),
        action: limits.length > 0 ? 'cool faster' : probe ? 'bring it there' : 'measure again',
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
      wanted: null,
      limits: [],
      readings: [{ at: note.at, tempC: note.value!, isWithin: null }],
      action: 'measure again',
    }));
  return [...lines, ...earlier];
}
