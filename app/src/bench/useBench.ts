import {
  freshId,
  doneOf,
  keptCorrections,
  newBench,
  noteOf,
  weighedKey,
  type BenchTimer,
  type Build,
  type Recordable,
  type Step,
  type WeighTarget,
} from '@pyrgotect/core';
import { computed } from 'vue';
import { keepPicture } from '../storage/photos.ts';
import { useBuild } from '../stores/build.ts';
import { useSecond } from './useSecond.ts';

const now = (): string => new Date().toISOString();
const shortId = (): string => freshId('note', 13);
export const checkKey = (step: Step, check: string): string => `${step.key}|${check}`.slice(0, 200);

export interface RunningTimer extends BenchTimer {
  /** Seconds to go; negative when it is over. */
  left: number;
}

/** The bench's own edits of a build: steps done, checks ticked, timers, notes. */
export function useBench(steps: () => Step[]) {
  const store = useBuild();
  const clockNow = useSecond();
  const bench = computed<Build['bench']>(() => store.build?.bench ?? newBench());
  const done = computed(() => doneOf({ bench: bench.value }, steps()));
  const index = computed(() => {
    const at = steps().findIndex((step) => step.key === bench.value.stepKey);
    if (at >= 0) return at;
    // the first open part of a step that has become several
    const part = steps().findIndex(
      ({ key, wholeKey }) =>
        wholeKey !== null && wholeKey === bench.value.stepKey && !done.value.has(key),
    );
    if (part >= 0) return part;
    const open = steps().findIndex((step) => !done.value.has(step.key));
    return open >= 0 ? open : Math.max(0, steps().length - 1);
  });
  const step = computed<Step | null>(() => steps()[index.value] ?? null);
  const timers = computed<RunningTimer[]>(() =>
    bench.value.timers
      .filter((timer) => timer.stoppedAt === null)
      .map((timer) => ({
        ...timer,
        left: Math.ceil(
          (Date.parse(timer.startedAt) + timer.minutes * 60_000 - clockNow.value.getTime()) / 1000,
        ),
      }))
      .sort((a, b) => a.left - b.left),
  );
  const edit = (label: string, recipe: (bench: Build['bench']) => void): void =>
    store.edit(label, (draft) => recipe(draft.bench));

  function goTo(at: number): void {
    const to = steps()[Math.min(steps().length - 1, Math.max(0, at))];
    if (to) edit('Bench step', (b) => void (b.stepKey = to.key));
  }
  /** Ticks the step off and turns to the next one that is still to do. */
  function finish(): void {
    const current = step.value;
    if (!current) return;
    const after =
      steps()
        .slice(index.value + 1)
        .find((s) => !done.value.has(s.key)) ?? steps()[index.value + 1];
    edit(`Done: ${current.title}`, (b) => {
      if (!b.done.some((d) => d.stepKey === current.key))
        b.done.push({ stepKey: current.key, at: now() });
      b.stepKey = after?.key ?? current.key;
    });
  }
  function reopen(key: string): void {
    const whole = steps().find((one) => one.key === key)?.wholeKey ?? null;
    // of what was ticked off in one, the other parts stay done
    const others = steps().filter((one) => whole && one.wholeKey === whole && one.key !== key);
    edit('Not done after all', (b) => {
      b.done = b.done.flatMap((d) => {
        if (d.stepKey === key) return [];
        return d.stepKey === whole ? others.map((one) => ({ stepKey: one.key, at: d.at })) : [d];
      });
    });
  }
  /** Ticks what is not ticked, and the other way round, each as its key says. */
  function tick(keys: readonly string[]): void {
    if (!step.value) return;
    const at = step.value.key;
    edit('Check', (b) => {
      // where work was begun it stays, whatever order the days come to
      b.stepKey ??= at;
      for (const key of keys)
        if (b.checks.includes(key)) b.checks = b.checks.filter((c) => c !== key);
        else b.checks.push(key);
    });
  }
  function startTimer(minutes: number): void {
    const current = step.value;
    if (!current?.timer) return;
    const { label } = current.timer;
    edit(`Timer: ${label}`, (b) => {
      b.timers.push({
        id: shortId(),
        stepKey: current.key,
        label,
        startedAt: now(),
        minutes,
        stoppedAt: null,
      });
    });
  }
  function stopTimer(id: string): void {
    edit('Timer stopped', (b) => {
      const timer = b.timers.find((t) => t.id === id);
      if (timer) timer.stoppedAt = now();
    });
  }
  function addMinutes(id: string, minutes: number): void {
    edit('Timer longer', (b) => {
      const timer = b.timers.find((t) => t.id === id);
      if (timer) timer.minutes = Math.min(20000, timer.minutes + minutes);
    });
  }
  /** So long in all from when it was started. */
  function setMinutes(id: string, minutes: number): void {
    edit('Timer set', (b) => {
      const timer = b.timers.find((t) => t.id === id);
      if (timer) timer.minutes = Math.min(20000, minutes);
    });
  }
  /** Notes what happened at a step; nothing where there is nothing to note. Returns the note's id. */
  function addNote(at: Step, record: Recordable | null, value: number | null, text = ''): string {
    const id = shortId();
    store.edit('Note', (draft) => {
      draft.bench.notes.push(noteOf(draft, at, record, { id, at: now(), value, text }));
    });
    return id;
  }
  /** Takes what the scale says for one target: ticked, and noted where there is a figure to note. */
  function weighed(at: Step, target: WeighTarget, g: number): void {
    const id = shortId();
    store.edit(`Weighed: ${target.label}`, (draft) => {
      const key = weighedKey(at, target);
      if (!draft.bench.checks.includes(key)) draft.bench.checks.push(key);
      if (target.record)
        draft.bench.notes.push(
          noteOf(draft, at, target.record, { id, at: now(), value: g, text: '' }),
        );
    });
  }
  async function addPhoto(at: Step, file: Blob): Promise<void> {
    const id = await keepPicture(file, store.build!.id);
    store.edit('Photo', (draft) => {
      const note = noteOf(draft, at, null, { id, at: now(), value: null, text: '' });
      draft.bench.notes.push({ ...note, kind: 'photo' });
    });
  }
  /** Done for good, with what the hand did to its plan; or taken up again. */
  const close = (done: boolean): void =>
    store.edit(done ? 'Finished' : 'Taken up again', (draft) => {
      draft.bench.finished = done ? { at: now(), moves: keptCorrections(store.corrections) } : null;
    });
  function removeNote(id: string): void {
    edit('Note taken out', (b) => {
      b.notes = b.notes.filter((n) => n.id !== id);
    });
  }
  return {
    bench,
    done,
    index,
    step,
    timers,
    goTo,
    finish,
    reopen,
    tick,
    startTimer,
    stopTimer,
    addMinutes,
    setMinutes,
    addNote,
    weighed,
    addPhoto,
    close,
    removeNote,
  };
}

/** What the parts of the bench screen work with. */
export type BenchHand = ReturnType<typeof useBench>;
