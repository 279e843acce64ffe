import { nextTick, ref, watch, type Ref } from 'vue';

/** The text of a field that is taken when the field is left. */
export interface Draft {
  text: Readonly<Ref<string>>;
  /** Why what was typed cannot be taken; '' where it can. */
  problem: Ref<string>;
  /** Something was typed that was neither taken nor given up. */
  isTyped: () => boolean;
  /** Somebody types. */
  type: (text: string) => void;
  /** What stands there is shown again, whatever was typed. */
  show: () => void;
  /** What was typed is given on: what then stands there is shown, once it has come back. */
  given: () => void;
}

/**
 * Shows what stands, and lets somebody type over it. What is being typed stays, whatever an answer of the plan, another
 * window or another device puts there meanwhile: it is the later word of the two once it is taken.
 */
export function useDraft(stands: () => string): Draft {
  const text = ref(stands());
  const problem = ref('');
  let isTyped = false;
  function show(): void {
    isTyped = false;
    text.value = stands();
    problem.value = '';
  }
  watch(stands, () => {
    if (!isTyped) show();
  });
  return {
    text,
    problem,
    isTyped: () => isTyped,
    type(now) {
      text.value = now;
      isTyped = true;
    },
    show,
    given() {
      isTyped = false;
      problem.value = '';
      void nextTick(() => {
        if (!isTyped) show();
      });
    },
  };
}
