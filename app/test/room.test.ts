import { describe, expect, it, vi } from 'vitest';
import { askToKeep, isShort, roomNow, roomText } from '../src/storage/room.ts';

describe('the room that the browser has', () => {
  const storage = (usage: number, quota: number, persisted = false) => {
    const persist = vi.fn(() => Promise.resolve(true));
    vi.stubGlobal('navigator', {
      storage: {
        estimate: () => Promise.resolve({ usage, quota }),
        persisted: () => Promise.resolve(persisted),
        persist,
      },
    });
    return persist;
  };
  it('is said in megabytes, and that it gets short from nine tenths on', async () => {
    storage(91e6, 100e6);
    const room = (await roomNow())!;
    expect(room).toEqual({ usedMb: 91, mostMb: 100, isKept: false });
    expect(isShort(room)).toBe(true);
    expect(isShort({ ...room, usedMb: 89 })).toBe(false);
    expect([0.34, 91.4, 10_738].map(roomText)).toEqual(['0.3 MB', '91 MB', '10.7 GB']);
    vi.unstubAllGlobals();
  });
  it('is asked for once, and not where it is given already or nobody can say', async () => {
    const ask = storage(0, 1);
    await askToKeep();
    expect(ask).toHaveBeenCalledOnce();
    const given = storage(0, 1, true);
    await askToKeep();
    expect(given).not.toHaveBeenCalled();
    vi.stubGlobal('navigator', {});
    await askToKeep();
    expect(await roomNow()).toBeNull();
    vi.unstubAllGlobals();
  });
});
