/** True where a page of this very server asks; a program that is no page has no origin. */
export function isOwn(origin: string | undefined, host: string | undefined): boolean {
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}
