import Dexie, { type Table } from 'dexie';

/** A picture of a cake as it was drawn last: it can be drawn anew, so it lies beside what is kept. */
export interface DrawnPicture {
  /** The cake's id and the scheme that it is drawn for. */
  key: string;
  cakeId: string;
  /** Of all that it was drawn from: where that is another, the picture is of yesterday. */
  stamp: string;
  image: Blob;
}

class DrawnPictures extends Dexie {
  pictures!: Table<DrawnPicture, string>;
  constructor() {
    super('pyrgotect drawn');
    this.version(1).stores({ pictures: 'key, cakeId' });
  }
}
const drawn = new DrawnPictures();

export const drawnKey = (cakeId: string, scheme: string): string => `${cakeId} ${scheme}`;

/** The picture drawn last; undefined for none, and where the browser keeps none. */
export const drawnPicture = (key: string): Promise<DrawnPicture | undefined> =>
  drawn.pictures.get(key).catch(() => undefined);

/** Keeps a picture; where there is no room for it, it is drawn again the next time. */
export const keepDrawn = (picture: DrawnPicture): Promise<unknown> =>
  drawn.pictures.put(picture).catch(() => undefined);

/** Lets go of the pictures of all other cakes. */
export async function keepDrawnOf(cakeIds: ReadonlySet<string>): Promise<void> {
  try {
    const keys = await drawn.pictures.filter(({ cakeId }) => !cakeIds.has(cakeId)).primaryKeys();
    await drawn.pictures.bulkDelete(keys);
  } catch {
    // the next time
  }
}
