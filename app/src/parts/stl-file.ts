/** Larger files are not opened: they would fill the memory before anything is known of them. */
const mostBytes = 120_000_000;

/** The bytes of a chosen STL file; throws with a sentence where it is too large. */
export async function stlBytes(file: File): Promise<Uint8Array> {
  if (file.size > mostBytes)
    throw new Error('The file is larger than 120 MB: make the shape coarser first.');
  return new Uint8Array(await file.arrayBuffer());
}
