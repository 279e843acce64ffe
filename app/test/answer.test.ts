import { mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h, nextTick, ref } from 'vue';
import { useAnswer, type Answer } from '../src/workers/useAnswer.ts';

vi.mock('comlink', () => ({ wrap: () => ({}) }));
beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal(
    'Worker',
    class extends EventTarget {
      terminate(): void {}
    },
  );
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

interface Asked {
  question: number;
  answer: (text: string) => Promise<void>;
  tell: (share: number) => void;
}

/** A component that keeps the answer to a number, with a hand on when each answer comes. */
function setUp() {
  const question = ref<number | null>(1);
  const asked: Asked[] = [];
  let kept!: Answer<string>;
  const wrapper = mount(
    defineComponent({
      setup() {
        kept = useAnswer<number, string>(
          () => question.value,
          (_solver, q, tell) =>
            new Promise((done) => {
              asked.push({
                question: q,
                tell,
                answer: async (text) => {
                  done(text);
                  await vi.advanceTimersByTimeAsync(0);
                  await nextTick();
                },
              });
            }),
        );
        return () => h('p');
      },
    }),
  );
  const ask = async (next: number | null): Promise<void> => {
    question.value = next;
    await nextTick();
    await vi.advanceTimersByTimeAsync(80);
  };
  return { question, asked, kept, ask, wrapper };
}

describe('the answer of the worker', () => {
  it('is kept, and is old as soon as the question changes', async () => {
    const { question, asked, kept } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    expect(kept.current.value).toBe(false);
    await asked[0]!.answer('one');
    expect([kept.answer.value, kept.current.value]).toEqual(['one', true]);
    question.value = 2;
    await nextTick();
    // it may still be shown, but not acted on
    expect([kept.answer.value, kept.current.value]).toEqual(['one', false]);
  });
  it('is missed after ten seconds, taken when it comes later, and asked for once more', async () => {
    const { asked, kept } = setUp();
    await vi.advanceTimersByTimeAsync(10_100);
    expect(kept.trouble.value).toBe('it did not answer so far');
    await asked[0]!.answer('late');
    expect([kept.answer.value, kept.trouble.value]).toEqual(['late', null]);
    kept.again();
    await vi.advanceTimersByTimeAsync(10_100);
    kept.again();
    await vi.advanceTimersByTimeAsync(0);
    expect([asked.length, kept.trouble.value]).toEqual([3, null]);
    // the one that was given up has no say any more
    await asked[1]!.answer('given up');
    await asked[2]!.answer('again');
    expect([kept.answer.value, kept.current.value]).toEqual(['again', true]);
  });
  it('to an older question is dropped, whenever it comes', async () => {
    const { asked, kept, ask } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    await ask(2);
    await asked[0]!.answer('one');
    expect(kept.answer.value).toBeNull();
    await asked[1]!.answer('two');
    expect([kept.answer.value, kept.current.value]).toEqual(['two', true]);
  });
  it('that comes before the changed question is even asked is dropped too', async () => {
    const { question, asked, kept } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    question.value = 2;
    await nextTick();
    await asked[0]!.answer('one');
    expect(kept.current.value).toBe(false);
    expect(kept.answer.value).toBeNull();
  });
  it('asks once for a run of changes, and not at all for nothing', async () => {
    const { question, asked, kept, ask } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    await asked[0]!.answer('one');
    for (const next of [2, 3, 4]) {
      question.value = next;
      await nextTick();
      await vi.advanceTimersByTimeAsync(10);
    }
    await vi.advanceTimersByTimeAsync(80);
    expect(asked.map((a) => a.question)).toEqual([1, 4]);
    await ask(null);
    expect(kept.answer.value).toBeNull();
    expect(asked).toHaveLength(2);
  });
  it('tells its progress until it is there, and nothing after that', async () => {
    const { asked, kept } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    asked[0]!.tell(0.5);
    expect(kept.progress.value).toBe(0.5);
    await asked[0]!.answer('one');
    asked[0]!.tell(1);
    expect(kept.progress.value).toBeNull();
  });
  it('is let go when its screen is left', async () => {
    const { asked, kept, wrapper } = setUp();
    await vi.advanceTimersByTimeAsync(80);
    wrapper.unmount();
    await asked[0]!.answer('one');
    expect(kept.answer.value).toBeNull();
  });
});
