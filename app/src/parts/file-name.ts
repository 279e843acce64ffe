/** What a file may be called after something that has a name: its letters, figures, blanks and strokes. */
export const fileName = (name: string): string =>
  name.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'cake';
