/** A new id with so many letters and digits, in the browser and out of it, with or without a secure origin. */
export function freshId(head: string, length = 8): string {
  const bytes = crypto.getRandomValues(new Uint8Array(length));
  return `${head}-${[...bytes].map((byte) => (byte % 36).toString(36)).join('')}`;
}
