import fontUrl from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff?url';

/** The font that PDFs are written in; it is kept with the program, so that they are made without a network. */
export const letters = async (): Promise<Uint8Array> =>
  new Uint8Array(await (await fetch(fontUrl)).arrayBuffer());
