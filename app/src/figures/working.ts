import { ref } from 'vue';

/** The figure whose working is open, by its id in the plan; the way back through those before it. */
const trail = ref<string[]>([]);

export const useWorking = () => ({
  trail,
  open: (id: string): void => {
    trail.value = [id];
  },
  deeper: (id: string): void => {
    trail.value = [...trail.value, id];
  },
  back: (): void => {
    trail.value = trail.value.slice(0, -1);
  },
  close: (): void => {
    trail.value = [];
  },
});
