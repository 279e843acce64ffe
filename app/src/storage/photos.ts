import { database, type Database, type Photo } from './database.ts';

/** Longest side a photo is kept at, pixels, and how finely. */
const longestPx = 1280;
const quality = 0.82;
/** What a camera or a gallery may hand over, bytes. */
export const largestPhoto = 40_000_000;

/** A photo made smaller in the browser. @throws Error where it is no picture that can be read */
export async function shrunk(file: Blob): Promise<Blob> {
  if (file.size > largestPhoto) throw new Error('This picture is larger than 40 MB.');
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error('This is no picture that the browser can read.');
  });
  const by = Math.min(1, longestPx / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * by));
  canvas.height = Math.max(1, Math.round(picture.height * by));
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture cannot be made smaller.'))),
      'image/jpeg',
      quality,
    ),
  );
}

export const keepPhoto = (photo: Photo, db: Database = database): Promise<string> =>
  db.photos.put(photo);
