/** Word between tabs that something was saved. */
export type Word =
  | { kind: 'build'; id: string; revision: number }
  | { kind: 'removed'; id: string }
  /** Another device had changed the same of a cake as this one, at these places. */
  | { kind: 'met'; id: string; from: string; places: string[] }
  | { kind: 'shelf' }
  | { kind: 'pantry' }
  | { kind: 'hand' }
  | { kind: 'settings' }
  | { kind: 'devices' };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('pyrgotect');

export const tell = (word: Word): void => channel?.postMessage(word);

/** Calls `hear` for every word from another tab; returns how to stop listening. */
export function listen(hear: (word: Word) => void): () => void {
  const on = (event: MessageEvent<Word>): void => hear(event.data);
  channel?.addEventListener('message', on);
  return () => channel?.removeEventListener('message', on);
}
