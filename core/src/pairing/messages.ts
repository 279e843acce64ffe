import { checksOf } from '../fields/checks.ts';
import {
  byKind,
  list,
  oneOf,
  orNull,
  record,
  wholeFigure,
  words,
  wordsLike,
  type Field,
} from '../fields/field.ts';
import type { Box } from './seal.ts';

/*
 * What devices and server say to each other, as JSON over a socket. The server knows a mailbox, the devices that
 * may use it, and sealed boxes under tags that say nothing; each tag has one box, its head, and a box takes the
 * place of the head that its sender knew, or none.
 */

/** Longest message that is taken, characters: a photo is sealed in one. */
export const maxMessage = 2_000_000;
/** Heads that the server names in one answer. */
export const headsAtOnce = 500;

/** The head of a tag: which box stands there, and when it came, counted over the whole mailbox. */
export interface Head {
  tag: string;
  mark: string;
  at: number;
}
/** Heads that came after a count, the earliest first. */
export interface Heads {
  /** The mailbox as it was made: one made anew counts anew. */
  of: string;
  heads: Head[];
  /** The count up to which these are all. */
  at: number;
  isAll: boolean;
}

export type Ask =
  /** Begins: who speaks, and about which mailbox. Answered by a challenge. */
  | { kind: 'hello'; mailbox: string; device: string }
  /** Answers the challenge. */
  | { kind: 'prove'; signature: string }
  /** Makes the mailbox with its devices, all at once; answers the challenge as well. */
  | { kind: 'found'; key: string; signature: string; others: { device: string; key: string }[] }
  | { kind: 'admit'; device: string; key: string }
  | { kind: 'revoke'; device: string }
  | { kind: 'members' }
  | { kind: 'put'; tag: string; after: string | null; box: Box }
  | { kind: 'heads'; since: number }
  | { kind: 'get'; tag: string }
  /** All up to there of that mailbox is taken in: what everybody has taken in is let go. */
  | { kind: 'seen'; of: string; at: number }
  /** Opens a room where a new device is met. */
  | { kind: 'offer' }
  /** Comes into a room; the only thing that a stranger may ask. */
  | { kind: 'meet'; room: string }
  /** Says something to the other one in the room. */
  | { kind: 'relay'; body: string };
export type AskKind = Ask['kind'];

export interface Member {
  device: string;
  /** When it was last here, an ISO time by the clock of the server; null if never. */
  lastAt: string | null;
  isHere: boolean;
}
export type Refusal =
  'not a member' | 'no such mailbox' | 'no such room' | 'too much' | 'not understood' | 'taken';

export type Answer =
  | { kind: 'challenge'; challenge: string; isKnown: boolean }
  | { kind: 'done' }
  | { kind: 'members'; members: Member[] }
  | { kind: 'kept'; mark: string }
  /** Another box stands there. */
  | { kind: 'other'; mark: string | null; box: Box | null }
  | ({ kind: 'heads' } & Heads)
  | { kind: 'box'; mark: string | null; box: Box | null }
  | { kind: 'room'; room: string; addresses: string[] }
  | { kind: 'refused'; why: Refusal };

/** What the server says unasked. */
export type News =
  | { kind: 'news'; at: number }
  | { kind: 'guest' }
  | { kind: 'relay'; body: string }
  /** The other one has left the room, or it was closed. */
  | { kind: 'left' }
  | { kind: 'shut out' };

export type ToServer = { ask: number; say: Ask };
export type FromServer = { answer: number; say: Answer } | { say: News };

const token = (most = 100): Field<string> =>
  wordsLike(/^[A-Za-z0-9_-]+$/, most, 'is no token of letters, digits, - and _');
const box = byKind<Box>({
  kitchen: record({ kind: oneOf(['kitchen']), keyId: token(), body: token(maxMessage) }),
  device: record({ kind: oneOf(['device']), body: token(maxMessage) }),
});
const count = wholeFigure({ min: 0, max: Number.MAX_SAFE_INTEGER });
const kindOf = <K extends string>(kind: K): { kind: Field<K> } => ({ kind: oneOf([kind]) });
const ask: Field<Ask> = byKind<Ask>({
  hello: record({ ...kindOf('hello'), mailbox: token(), device: token() }),
  prove: record({ ...kindOf('prove'), signature: token(200) }),
  found: record({
    ...kindOf('found'),
    key: token(),
    signature: token(200),
    others: list(record({ device: token(), key: token() }), 30),
  }),
  admit: record({ ...kindOf('admit'), device: token(), key: token() }),
  revoke: record({ ...kindOf('revoke'), device: token() }),
  members: record(kindOf('members')),
  put: record({ ...kindOf('put'), tag: token(), after: orNull(token()), box }),
  heads: record({ ...kindOf('heads'), since: count }),
  get: record({ ...kindOf('get'), tag: token() }),
  seen: record({ ...kindOf('seen'), of: token(), at: count }),
  offer: record(kindOf('offer')),
  meet: record({ ...kindOf('meet'), room: token(8) }),
  relay: record({ ...kindOf('relay'), body: words(20_000, 1) }),
});
const toServer = checksOf(record<ToServer>({ ask: count, say: ask }));

/** What a device asks; null where it is nothing that one does. */
export function readToServer(text: string): ToServer | null {
  if (text.length > maxMessage) return null;
  try {
    const message: unknown = JSON.parse(text);
    return toServer.isValidSync(message, { strict: true }) ? message : null;
  } catch {
    return null;
  }
}

/** What the server says; null where it is nothing that one does. Only its shape is looked at: it is not trusted for more. */
export function readFromServer(text: string): FromServer | null {
  try {
    const message = JSON.parse(text) as FromServer | null;
    const say: unknown = message && typeof message === 'object' ? message.say : null;
    return typeof (say as { kind?: unknown } | null)?.kind === 'string' ? message : null;
  } catch {
    return null;
  }
}
