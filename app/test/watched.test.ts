import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick, ref } from 'vue';
import { mount } from '@vue/test-utils';
import { timersTitle, useAlarms } from '../src/bench/useAlarms.ts';
import type { RunningTimer } from '../src/bench/useBench.ts';
import { NoAnswer, Watched } from '../src/workers/watched.ts';

/** A worker that does nothing but what the test tells it. */
class StillWorker extends EventTarget {
  static all: StillWorker[] = [];
  isEnded = false;
  constructor() {
    super();
    StillWorker.all.push(this);
  }
  terminate(): void {
    this.isEnded = true;
  }
  postMessage(): void {}
  fail(message: string): void {
    this.dispatchEvent(Object.assign(new Event('error', { cancelable: true }), { message }));
  }
}
vi.mock('comlink', () => ({ wrap: () => ({}) }));
const watched = (): Watched<object> =>
  new Watched<object>(() => new StillWorker() as unknown as Worker);
const never = (): Promise<string> => new Promise(() => undefined);
/** What came of a question: its answer, or why there is none. */
const told = (asked: Promise<string>): Promise<string> =>
  asked.catch((error: unknown) => (error as Error).message);

beforeEach(() => {
  vi.useFakeTimers();
  StillWorker.all = [];
});
afterEach(() => void vi.useRealTimers());

describe('a watched worker', () => {
  it('answers, and is the same for the next question', async () => {
    const of = watched();
    expect(await of.ask(() => Promise.resolve('one'))).toBe('one');
    expect(await of.ask(() => Promise.resolve('two'))).toBe('two');
    expect(StillWorker.all).toHaveLength(1);
  });

  it('fails everything that was asked of it when it breaks down, and another is started', async () => {
    const of = watched();
    const both = [told(of.ask(never)), told(of.ask(never))];
    StillWorker.all[0]!.fail('out of flour');
    expect(await Promise.all(both)).toEqual(Array(2).fill('it broke down (out of flour)'));
    expect(StillWorker.all[0]!.isEnded).toBe(true);
    expect(await of.ask(() => Promise.resolve('well'))).toBe('well');
    expect(StillWorker.all).toHaveLength(2);
  });

  it('is given up after ten seconds of silence, later after twenty, and not while it tells of progress', async () => {
    const of = watched();
    const first = told(of.ask(never));
    await vi.advanceTimersByTimeAsync(9_900);
    expect(StillWorker.all[0]!.isEnded).toBe(false);
    await vi.advanceTimersByTimeAsync(200);
    expect(await first).toBe('it did not answer');
    let pulse = (): void => undefined;
    const second = told(
      of.ask((_remote, tell) => {
        pulse = tell;
        return never();
      }),
    );
    await vi.advanceTimersByTimeAsync(15_000);
    pulse();
    await vi.advanceTimersByTimeAsync(15_000);
    expect(StillWorker.all[1]!.isEnded).toBe(false);
    await vi.advanceTimersByTimeAsync(6_000);
    expect(await second).toBe('it did not answer');
  });

  it('is waited for where an answer is welcome later, and the others hear that there is none', async () => {
    const of = watched();
    const heard: string[] = [];
    let answer = (text: string): void => void text;
    const patient = told(
      of.ask(
        () => new Promise((resolve) => (answer = resolve)),
        (why) => heard.push(why),
      ),
    );
    const hasty = told(of.ask(never));
    await vi.advanceTimersByTimeAsync(10_100);
    expect(heard).toEqual(['it did not answer so far']);
    expect(await hasty).toBe('it did not answer');
    expect(StillWorker.all[0]!.isEnded).toBe(false);
    await vi.advanceTimersByTimeAsync(30_000);
    answer('late');
    expect(await patient).toBe('late');
    const lost = told(of.ask(never, (why) => heard.push(why)));
    await vi.advanceTimersByTimeAsync(59_000);
    expect(StillWorker.all[0]!.isEnded).toBe(false);
    await vi.advanceTimersByTimeAsync(2_000);
    expect(await lost).toBe('it did not answer');
    expect(StillWorker.all[0]!.isEnded).toBe(true);
    const left = told(of.ask(never, () => undefined));
    of.giveUp();
    expect(await left).toBe('it was given up');
  });

  it('is not silent to a question that waits behind another, as long as that one is being answered', async () => {
    const of = watched();
    let answer = (text: string): void => void text;
    let pulse = (): void => undefined;
    const first = told(
      of.ask((_remote, tell) => {
        pulse = tell;
        return new Promise((resolve) => (answer = resolve));
      }),
    );
    const second = told(of.ask(never));
    for (let i = 0; i < 3; i++) {
      await vi.advanceTimersByTimeAsync(8_000);
      pulse();
    }
    answer('done');
    expect(await first).toBe('done');
    await vi.advanceTimersByTimeAsync(9_000);
    expect(StillWorker.all[0]!.isEnded).toBe(false);
    await vi.advanceTimersByTimeAsync(2_000);
    expect(await second).toBe('it did not answer');
  });

  it('passes on what the work itself throws, and goes on', async () => {
    const of = watched();
    expect(await told(of.ask(() => Promise.reject(new Error('no such tin'))))).toBe('no such tin');
    expect(StillWorker.all[0]!.isEnded).toBe(false);
    expect(new NoAnswer('why')).toBeInstanceOf(Error);
  });
});

const timer = (id: string, left: number): RunningTimer => ({
  id,
  stepKey: 'bake',
  label: `Bake ${id}`,
  startedAt: '2027-06-12T08:00:00Z',
  minutes: 30,
  stoppedAt: null,
  left,
});

describe('timers', () => {
  it('are in the name of the window: the next, the one that is up, or how many', () => {
    const clock = (s: number): string => `${s} s`;
    expect(timersTitle([], clock)).toBeNull();
    expect(timersTitle([timer('a', 60), timer('b', 90)], clock)).toBe('60 s Bake a');
    expect(timersTitle([timer('a', 0), timer('b', 90)], clock)).toBe('Time is up: Bake a');
    expect(timersTitle([timer('a', -5), timer('b', 0)], clock)).toBe('2 timers are up');
  });

  it('tell the system once when the page is hidden, and buzz every half minute', async () => {
    const shown: string[] = [];
    vi.stubGlobal(
      'Notification',
      class {
        static permission = 'granted';
        constructor(title: string) {
          shown.push(title);
        }
      },
    );
    const vibrate = vi.fn();
    Object.defineProperty(navigator, 'vibrate', { value: vibrate, configurable: true });
    vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    const timers = ref<RunningTimer[]>([timer('a', 1), timer('b', 400)]);
    const wrapper = mount({
      setup: () => void useAlarms(timers, () => 'Meridian'),
      template: '<p />',
    });
    expect(vibrate).not.toHaveBeenCalled();
    for (const left of [0, -1, -29, -31, -61]) {
      timers.value = [timer('a', left), timer('b', 400 + left)];
      await nextTick();
      await Promise.resolve();
    }
    await vi.advanceTimersByTimeAsync(1);
    expect(shown).toEqual(['Time is up: Bake a']);
    expect(vibrate).toHaveBeenCalledTimes(3);
    wrapper.unmount();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });
});
