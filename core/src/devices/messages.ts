/* What bench devices say, and what is believed of it. */

/** A reading of the scale in g, less what was tared away; or of the thermometer in C. */
export type Reading = { device: 'scale'; g: number } | { device: 'probe'; tempC: number };

/** What a bench device is asked to do. Putting things on it is for the stand-ins alone. */
export type DeviceAsk =
  | { do: 'tare' }
  | { do: 'put'; g: number }
  | { do: 'clear' }
  | { do: 'bowl'; tempC: number; massG: number; aroundC: number }
  | { do: 'no bowl' };

/** The most that a kitchen scale carries and a kitchen thermometer reads. */
export const deviceLimits = {
  g: { min: -60_000, max: 60_000 },
  tempC: { min: -40, max: 300 },
} as const;

const isWithin = (n: unknown, { min, max }: { min: number; max: number }): n is number =>
  typeof n === 'number' && Number.isFinite(n) && n >= min && n <= max;

/** Reads what a device sent. Nonsense is said, with what it was, and is never taken for a figure. */
export function readMessage(
  text: unknown,
): { ok: true; reading: Reading } | { ok: false; problem: string } {
  const said = typeof text === 'string' ? text.slice(0, 60) : typeof text;
  const wrong = (why: string) => ({ ok: false as const, problem: `${why}: ${said}` });
  if (typeof text !== 'string' || text.length > 500)
    return wrong('a device sent what is no message');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return wrong('a device sent what cannot be read');
  }
  const { device, g, tempC } = (value ?? {}) as Record<string, unknown>;
  if (device === 'scale')
    return isWithin(g, deviceLimits.g)
      ? { ok: true, reading: { device, g } }
      : wrong('the scale sent no weight');
  if (device === 'probe')
    return isWithin(tempC, deviceLimits.tempC)
      ? { ok: true, reading: { device, tempC } }
      : wrong('the thermometer sent no temperature');
  return wrong('an unknown device spoke');
}

/** Reads what a stand-in is asked to do; null for nonsense. */
export function readAsk(text: unknown): DeviceAsk | null {
  if (typeof text !== 'string' || text.length > 500) return null;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  const ask = (value ?? {}) as Record<string, unknown>;
  switch (ask.do) {
    case 'tare':
    case 'clear':
    case 'no bowl':
      return { do: ask.do };
    case 'put':
      return isWithin(ask.g, deviceLimits.g) ? { do: 'put', g: ask.g } : null;
    case 'bowl':
      return isWithin(ask.tempC, deviceLimits.tempC) &&
        isWithin(ask.aroundC, deviceLimits.tempC) &&
        isWithin(ask.massG, { min: 1, max: deviceLimits.g.max })
        ? { do: 'bowl', tempC: ask.tempC, massG: ask.massG, aroundC: ask.aroundC }
        : null;
    default:
      return null;
  }
}
