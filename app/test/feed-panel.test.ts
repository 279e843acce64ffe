import { newBuild } from '@pyrgotect/core';
import { flushPromises, mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { computed, ref } from 'vue';
import { beforeEach, expect, it, vi } from 'vitest';
import FeedPanel from '../src/calendar/FeedPanel.vue';
import { download } from '../src/parts/download.ts';
import { mergesNothing, saveBuild } from '../src/storage/builds.ts';
import { useShelf } from '../src/stores/shelf.ts';
import './with-library.ts';

vi.mock('../src/parts/download.ts', () => ({ download: vi.fn() }));
// the hours come from a worker, which is not here; a cake without any is known at once
vi.mock('../src/calendar/useLoads.ts', () => ({
  useLoads: (ids: () => string[]) => ({
    loads: computed(() =>
      ids().map((cakeId) => ({ cakeId, hours: [], people: 1, stretches: null })),
    ),
    progress: ref(null),
    trouble: ref(null),
    again: vi.fn(),
  }),
}));
beforeEach(() => setActivePinia(createPinia()));

it('makes no file of an empty shelf while the shelf is still being read', async () => {
  const build = newBuild('moon', 'Half moon', '2027-05-03T09:30:00Z');
  const due = { ...build, brief: { ...build.brief, serveAt: '2999-06-12T16:00' } };
  await saveBuild(due, 0, mergesNothing, 'New cake');
  const panel = mount(FeedPanel);
  await panel.get('[data-test="feed-file"]').trigger('click');
  await flushPromises();
  expect(download).not.toHaveBeenCalled();
  await useShelf().load();
  await flushPromises();
  expect(download).toHaveBeenCalledOnce();
  expect(vi.mocked(download).mock.calls[0]![1]).toContain('Half moon is served');
});
