import type { PictureBody } from '@pyrgotect/core';
import { hatches } from '../section/tones.ts';
import { drawn, type Colours } from '../styles/palette.ts';
import type { PictureColours } from './paints.ts';

/** Colours of the picture: foods as in the drawings' hatches, board and paper of the scheme. */
export const pictureColours = ({ ink, line, raised, oat }: Colours): PictureColours => ({
  ink,
  shadow: `${drawn.pen}44`,
  of: (look: PictureBody['look']): string => {
    if (look === 'wood') return drawn.wood;
    if (look === 'board') return raised;
    if (look === 'paper') return oat;
    return look in hatches ? hatches[look as keyof typeof hatches].ground : look || line;
  },
});
