import { unknownColour } from '../styles/palette.ts';

/** A computed colour, its channels in its text, as hex digits; null for what is no such text. */
export function toHex(computed: string): string | null {
  const channels = computed.match(/\d+/g)?.slice(0, 3);
  if (channels?.length !== 3) return null;
  return `#${channels.map((one) => Number(one).toString(16).padStart(2, '0')).join('')}`;
}

/**
 * A look to begin with: the colour that style sheets know by this name, or by its last word; to be
 * changed at once where it is another.
 */
export function suggestHex(name: string): string {
  const words = name.trim().toLowerCase();
  for (const one of [words.replaceAll(/\s+/g, ''), words.split(/\s+/).at(-1) ?? '']) {
    if (!/^[a-z]+$/.test(one) || !CSS.supports('color', one)) continue;
    const probe = document.createElement('span');
    probe.style.color = one;
    document.body.append(probe);
    const hex = toHex(getComputedStyle(probe).color);
    probe.remove();
    if (hex) return hex;
  }
  return unknownColour;
}
