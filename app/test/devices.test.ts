import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { useDevices } from '../src/stores/devices.ts';
import { useSettings } from '../src/stores/settings.ts';

/* Scale and thermometer: heard while somebody listens, believed while they speak, asked for again when away. */

class Socket extends EventTarget {
  static readonly OPEN = 1;
  static all: Socket[] = [];
  readyState = 0;
  sent: string[] = [];
  readonly url: URL;
  constructor(url: URL) {
    super();
    this.url = url;
    Socket.all.push(this);
  }
  send(text: string): void {
    this.sent.push(text);
  }
  close(): void {
    this.readyState = 3;
    this.dispatchEvent(new Event('close'));
  }
  open(): void {
    this.readyState = Socket.OPEN;
    this.dispatchEvent(new Event('open'));
  }
  say(message: unknown): void {
    this.dispatchEvent(new MessageEvent('message', { data: JSON.stringify(message) }));
  }
}
const last = (): Socket => Socket.all.at(-1)!;
const weighs = (g: number, times = 1): void => {
  for (let i = 0; i < times; i++) last().say({ device: 'scale', g });
};

beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
  Socket.all = [];
  vi.stubGlobal('WebSocket', Socket);
  localStorage.clear();
  useSettings().devices = true;
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the devices', () => {
  it('are asked for by nobody until they are turned on, and left when they are turned off', async () => {
    const settings = useSettings();
    settings.devices = false;
    const devices = useDevices();
    const stop = devices.listen();
    expect(Socket.all).toHaveLength(0);
    settings.devices = true;
    await nextTick();
    expect(Socket.all).toHaveLength(1);
    last().open();
    weighs(50);
    expect(devices.scaleIsThere).toBe(true);
    settings.devices = false;
    await nextTick();
    expect([last().readyState, devices.scaleIsThere]).toEqual([3, false]);
    stop();
  });
  it('are there while they speak, and away when they are silent', () => {
    const devices = useDevices();
    const stop = devices.listen();
    expect([devices.connected, devices.scaleIsThere, devices.grams]).toEqual([false, false, null]);
    last().open();
    weighs(120);
    expect([devices.scaleIsThere, devices.grams]).toEqual([true, 120]);
    expect(devices.probeIsThere).toBe(false);
    vi.advanceTimersByTime(4000);
    expect([devices.scaleIsThere, devices.grams, devices.settledG]).toEqual([false, null, null]);
    stop();
  });
  it('that say nonsense are not believed, and what they said is told', () => {
    const devices = useDevices();
    const stop = devices.listen();
    last().open();
    weighs(80);
    last().say({ device: 'scale', g: 'heavy' });
    expect(devices.nonsense).not.toBe('');
    expect(devices.grams).toBe(80);
    weighs(81);
    expect(devices.nonsense).toBe('');
    stop();
  });
  it('are heard by several, and left when the last one is gone', () => {
    const devices = useDevices();
    const stops = [devices.listen(), devices.listen()];
    expect(Socket.all).toHaveLength(1);
    last().open();
    stops[0]!();
    expect(last().readyState).toBe(Socket.OPEN);
    stops[1]!();
    expect(last().readyState).toBe(3);
    vi.advanceTimersByTime(60_000);
    expect(Socket.all).toHaveLength(1);
  });
  it('are asked for again when the server goes away, later and later', () => {
    const devices = useDevices();
    const stop = devices.listen();
    last().open();
    weighs(55);
    last().close();
    expect([devices.connected, devices.grams]).toEqual([false, null]);
    vi.advanceTimersByTime(499);
    expect(Socket.all).toHaveLength(1);
    vi.advanceTimersByTime(1);
    expect(Socket.all).toHaveLength(2);
    last().close();
    vi.advanceTimersByTime(999);
    expect(Socket.all).toHaveLength(2);
    vi.advanceTimersByTime(1);
    expect(Socket.all).toHaveLength(3);
    stop();
  });
  it('know their bench over a reload, and are asked only while they are there', () => {
    const devices = useDevices();
    const stop = devices.listen();
    const bench = last().url.searchParams.get('bench');
    expect(bench).toMatch(/^bench-[0-9a-z]{13}$/);
    devices.ask({ do: 'tare' });
    expect(last().sent).toEqual([]);
    last().open();
    devices.ask({ do: 'tare' });
    expect(last().sent.map((text) => JSON.parse(text) as unknown)).toEqual([{ do: 'tare' }]);
    stop();
    setActivePinia(createPinia());
    const again = useDevices().listen();
    expect(last().url.searchParams.get('bench')).toBe(bench);
    again();
  });
  it('a jump of the thermometer is another bowl, whose curve begins anew', () => {
    const devices = useDevices();
    const stop = devices.listen();
    last().open();
    for (const tempC of [80, 79.4, 78.9]) last().say({ device: 'probe', tempC });
    expect(devices.tempC).toBe(78.9);
    last().say({ device: 'probe', tempC: 40 });
    expect(devices.tempC).toBe(40);
    expect(devices.fitFor(21)).toBeNull();
    stop();
  });
});
