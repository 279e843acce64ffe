import { freshId } from '@pyrgotect/core';
import { database, type Database, type Photo } from './database.ts';

/** Longest side a photo is kept at, pixels, and how finely. */
const longestPx = 1280;
const quality = 0.82;
/** What a camera or a gallery may hand over, bytes, and pixels: beyond them the page would be held up. */
export const largestPhoto = 40_000_000;
const mostPixels = 64e6;
/** What a photo is; a drawing is none, and may hold more than it shows. */
const photoTypes = ['jpg', 'png', 'webp', 'gif', 'bmp', 'heif', 'avif', 'tiff'];
/** The size stands at the beginning of a file. */
const headBytes = 512_000;

/** Width and height a picture is kept at, pixels. @throws Error in words */
const keptSize = async (file: Blob): Promise<Size> => {
  if (file.size > largestPhoto) throw new Error('This picture is larger than 40 MB.');
  return sizeOf(new Uint8Array(await file.slice(0, headBytes).arrayBuffer()));
};
interface Size {
  width: number;
  height: number;
}
/** The same, read from its first bytes. @throws Error in words */
async function sizeOf(head: Uint8Array): Promise<Size> {
  const { imageSize } = await import('image-size');
  const none = 'This is no picture that the browser can read.';
  const measured = (): ReturnType<typeof imageSize> => {
    try {
      return imageSize(head);
    } catch {
      throw new Error(none);
    }
  };
  const { width, height, type, orientation = 1 } = measured();
  if (type === undefined || !photoTypes.includes(type))
    throw new Error('This is no photo: take one from the camera, or a JPEG, PNG or WebP file.');
  if (!(width > 0 && height > 0)) throw new Error(none);
  if (width * height > mostPixels)
    throw new Error(
      `This picture has ${Math.round((width * height) / 1e6)} million pixels. At most ${mostPixels / 1e6} are taken: make it smaller first.`,
    );
  const by = Math.min(1, longestPx / Math.max(width, height));
  const kept = [width, height].map((px) => Math.max(1, Math.round(px * by))) as [number, number];
  // held upright, a camera writes down that it lay on its side
  const [wide, high] = orientation >= 5 ? kept.reverse() : kept;
  return { width: wide!, height: high! };
}

/** True of bytes that are a photo that would be kept. */
export const isPhoto = (bytes: Uint8Array): Promise<boolean> =>
  bytes.length > largestPhoto
    ? Promise.resolve(false)
    : sizeOf(bytes.subarray(0, headBytes)).then(
        () => true,
        () => false,
      );

/** A photo made smaller in the browser. @throws Error where it is no picture that can be read */
export async function shrunk(file: Blob): Promise<Blob> {
  const { width, height } = await keptSize(file);
  // the browser makes it smaller beside the page
  const picture = await createImageBitmap(file, {
    resizeWidth: width,
    resizeHeight: height,
    resizeQuality: 'high',
  }).catch(() => {
    throw new Error('This is no picture that the browser can read.');
  });
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.drawImage(picture, 0, 0, width, height);
  picture.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture cannot be made smaller.'))),
      'image/jpeg',
      quality,
    ),
  );
}

const keepPhoto = (photo: Photo, db: Database = database): Promise<string> => db.photos.put(photo);
/** Keeps a picture of a cake, made smaller, and gives its id. @throws Error in words where it is none */
export async function keepPicture(file: Blob, buildId: string): Promise<string> {
  const blob = await shrunk(file);
  const id = freshId('photo', 13);
  await keepPhoto({ id, buildId, at: new Date().toISOString(), blob });
  return id;
}
