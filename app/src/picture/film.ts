import type { Film } from '@pyrgotect/core';
import { Color } from 'three';
import type { PictureColours } from './paints.ts';

/** A colour with films over it, as they lie on the side or on the top. It is changed in place. */
export function film(
  colour: Color,
  films: readonly Film[] | undefined,
  where: 'side' | 'top',
  colours: PictureColours,
): void {
  for (const { look, cover, on } of films ?? [])
    if (on === 'all over' || on === where) colour.lerp(new Color(colours.of(look)), cover);
}
