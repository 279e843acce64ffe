import {
  headsAtOnce,
  markOf,
  newSecret,
  type Box,
  type Heads,
  type Member,
} from '@pyrgotect/core/pairing';

/** What a mailbox holds at most: a kitchen with many thousand photos. */
export const mailboxLimits = { heads: 60_000, characters: 1_000_000_000, members: 20 } as const;

interface Device {
  key: string;
  /** All up to there it has taken in. */
  seen: number;
  lastAt: string | null;
}
interface Standing {
  mark: string;
  at: number;
  /** Null once every device has taken it in. */
  box: Box | null;
}
/** A mailbox without its boxes, as it is written down. */
export interface MailboxSheet {
  id: string;
  /** When it was made anew, another one. */
  of: string;
  at: number;
  members: [string, Device][];
  heads: [string, { mark: string; at: number }][];
}
/** Where boxes are kept. */
export interface BoxShelf {
  put(tag: string, box: Box): void;
  drop(tag: string): void;
}
const noShelf: BoxShelf = { put: () => undefined, drop: () => undefined };

/** After the server was started anew, so many counts are left out: who saw one that was not written down misses nothing. */
const skipped = 1_000_000;

/** The sealed boxes of one kitchen: each tag has one, and one takes its place only by who knew it. */
export class Mailbox {
  readonly #members = new Map<string, Device>();
  readonly #heads = new Map<string, Standing>();
  #at = 0;
  #characters = 0;
  /** Tags in the order in which they came, as far as their boxes are still here. */
  #waiting: { tag: string; at: number }[] = [];

  constructor(
    readonly id: string,
    private readonly shelf: BoxShelf = noShelf,
    private readonly of = newSecret(6),
  ) {}

  /** A mailbox as it was written down, with the boxes that are there. What was not written down is found by its box. */
  static from(sheet: MailboxSheet, boxes: ReadonlyMap<string, Box>, shelf: BoxShelf): Mailbox {
    const made = new Mailbox(sheet.id, shelf, sheet.of);
    made.#at = sheet.at + skipped;
    for (const [device, of] of sheet.members) made.#members.set(device, { ...of });
    for (const [tag, { mark, at }] of sheet.heads) made.#heads.set(tag, { mark, at, box: null });
    const inOrder = [...boxes].sort(
      ([a], [b]) => (made.#heads.get(a)?.at ?? Infinity) - (made.#heads.get(b)?.at ?? Infinity),
    );
    for (const [tag, box] of inOrder) {
      const mark = markOf(box);
      const known = made.#heads.get(tag);
      const at = known?.mark === mark ? known.at : ++made.#at;
      made.#heads.set(tag, { mark, at, box });
      made.#waiting.push({ tag, at });
      made.#characters += box.body.length;
    }
    made.#waiting.sort((a, b) => a.at - b.at);
    return made;
  }
  sheet(): MailboxSheet {
    return {
      id: this.id,
      of: this.of,
      at: this.#at,
      members: [...this.#members],
      heads: [...this.#heads].map(([tag, { mark, at }]) => [tag, { mark, at }]),
    };
  }

  get at(): number {
    return this.#at;
  }
  keyOf(device: string): string | null {
    return this.#members.get(device)?.key ?? null;
  }
  /** False where there are as many as may be. */
  admit(device: string, key: string): boolean {
    if (this.#members.size >= mailboxLimits.members || this.#members.has(device)) return false;
    this.#members.set(device, { key, seen: 0, lastAt: null });
    return true;
  }
  revoke(device: string): void {
    this.#members.delete(device);
    this.#forget();
  }
  wasHere(device: string, at: string): void {
    const one = this.#members.get(device);
    if (one) one.lastAt = at;
  }
  members(isHere: (device: string) => boolean): Member[] {
    return [...this.#members].map(([device, { lastAt }]) => ({
      device,
      lastAt,
      isHere: isHere(device),
    }));
  }

  /** Puts a box where its sender knew what stands there; else gives what does. Null where there is no room. */
  put(
    tag: string,
    after: string | null,
    box: Box,
  ):
    | { kind: 'kept'; mark: string }
    | { kind: 'other'; mark: string | null; box: Box | null }
    | null {
    const head = this.#heads.get(tag);
    const mark = markOf(box);
    // sent twice, for the answer was lost
    if (head?.mark === mark) return { kind: 'kept', mark };
    if ((head?.mark ?? null) !== after)
      return { kind: 'other', mark: head?.mark ?? null, box: head?.box ?? null };
    if (!head && this.#heads.size >= mailboxLimits.heads) return null;
    const grown = this.#characters + box.body.length - (head?.box?.body.length ?? 0);
    if (grown > mailboxLimits.characters) return null;
    this.#characters = grown;
    this.#at += 1;
    this.#heads.set(tag, { mark, at: this.#at, box });
    this.#waiting.push({ tag, at: this.#at });
    this.shelf.put(tag, box);
    return { kind: 'kept', mark };
  }

  get(tag: string): { mark: string | null; box: Box | null } {
    const head = this.#heads.get(tag);
    return { mark: head?.mark ?? null, box: head?.box ?? null };
  }
  /** Heads that came after a count, the earliest first. */
  since(at: number): Heads {
    const all = [...this.#heads]
      .filter(([, head]) => head.at > at)
      .map(([tag, { mark, at: came }]) => ({ tag, mark, at: came }))
      .sort((a, b) => a.at - b.at);
    const heads = all.slice(0, headsAtOnce);
    const isAll = heads.length === all.length;
    return { of: this.of, heads, at: isAll ? this.#at : heads.at(-1)!.at, isAll };
  }
  /** Lets go of the boxes that every device has taken in. */
  seen(device: string, of: string, at: number): void {
    const one = this.#members.get(device);
    // what was seen of a mailbox that is no more says nothing of this one
    if (!one || of !== this.of || at <= one.seen) return;
    one.seen = Math.min(at, this.#at);
    this.#forget();
  }
  #forget(): void {
    const least = Math.min(...[...this.#members.values()].map(({ seen }) => seen));
    let done = 0;
    for (const { tag, at } of this.#waiting) {
      if (at > least) break;
      done += 1;
      const head = this.#heads.get(tag);
      // a later box stands there by now
      if (!head || head.at !== at || !head.box) continue;
      this.#characters -= head.box.body.length;
      head.box = null;
      this.shelf.drop(tag);
    }
    this.#waiting.splice(0, done);
  }
}
