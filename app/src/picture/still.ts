import { askPictures } from '../workers/pictures.ts';
import type { StillAsked } from './still-room.ts';

/**
 * The picture as an image, drawn in a worker; on the page where the browser draws none there.
 *
 * @throws when the browser has no WebGL at all
 */
export async function stillOf(asked: StillAsked): Promise<Blob> {
  try {
    return await stillAside(asked);
  } catch {
    const { StillRoom } = await import('./still-room.ts');
    const room = new StillRoom(document.createElement('canvas'));
    try {
      return await room.still(asked);
    } finally {
      room.end();
    }
  }
}

/** The same, only in the worker. @throws where the browser draws nothing there */
export const stillAside = (asked: StillAsked): Promise<Blob> =>
  askPictures((pictures) => pictures.still(asked));
