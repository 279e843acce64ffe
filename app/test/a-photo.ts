/** The heads of a photo of 3 by 2 pixels; `fill` tells one from another. */
export const aPhoto = (fill: number): Uint8Array<ArrayBuffer> =>
  Uint8Array.from([
    ...[0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0],
    ...[0xff, 0xc0, 0, 17, 8, 0, 2, 0, 3, 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1],
    ...[fill, fill, fill, 0xff, 0xd9],
  ]);
