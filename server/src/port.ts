/**
 * The port that the environment asks for; null where it asks for none.
 *
 * @throws Error in plain words where it is no port
 */
export function portFrom(text: string | undefined): number | null {
  if (text === undefined || text.trim() === '') return null;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`PORT is “${text}”: a whole number from 0 to 65535 is wanted.`);
  return port;
}
