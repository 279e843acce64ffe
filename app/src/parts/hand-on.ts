/* A text is handed on: through what the device shares by, or into its clipboard. */

export const canShare = (): boolean => typeof navigator.share === 'function';

/** Lets the device share a text; false where the user left it. @throws where it cannot */
export async function shareText(title: string, text: string): Promise<boolean> {
  try {
    await navigator.share({ title, text });
    return true;
  } catch (error) {
    if ((error as DOMException).name === 'AbortError') return false;
    throw error;
  }
}

/** Copies a text; also on a page without a secure origin, where the browser has no clipboard to write to. */
export async function copyText(text: string): Promise<boolean> {
  try {
    if (navigator.clipboard) {
      await navigator.clipboard.writeText(text);
      return true;
    }
  } catch {
    // it is tried in the other way
  }
  const field = document.createElement('textarea');
  field.value = text;
  field.className = 'visually-hidden';
  // beside what has the focus, so that a dialog does not take it back
  const had = document.activeElement as HTMLElement | null;
  (had?.closest('[role="dialog"]') ?? document.body).append(field);
  field.select();
  const isCopied = document.execCommand('copy');
  field.remove();
  had?.focus();
  return isCopied;
}
