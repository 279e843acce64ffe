/** Hands a text to the user as a file. */
export const download = (name: string, text: string, type = 'application/json'): void =>
  downloadBytes(name, text, type);

/** Hands bytes, or a text, to the user as a file. */
export function downloadBytes(
  name: string,
  content: string | Uint8Array | Blob,
  type: string,
): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
