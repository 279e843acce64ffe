import { word } from '@pyrgotect/core';
/** A name for this device, as one would call it. */
export function nameOfThis(): string {
  if (!matchMedia('(pointer: coarse)').matches) return word('Desk');
  return Math.min(screen.width, screen.height) < 600 ? word('Phone') : word('Tablet');
}

const head = '#pair=';
/** The address that a new device opens to be paired by this code. */
export const pairingLink = (origin: string, code: string): string =>
  `${origin}/backup?turn=devices${head}${code}`;
/** The code that such an address brought; it goes no further, for what stands after # is sent to nobody. */
export const codeInAddress = (): string =>
  location.hash.startsWith(head) ? location.hash.slice(head.length).replace(/\D/g, '') : '';
