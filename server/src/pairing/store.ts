import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Box } from '@pyrgotect/core/pairing';
import { ownerOnly, writeWhole } from '../write-whole.ts';
import { Mailbox, type BoxShelf, type MailboxSheet } from './mailbox.ts';

/** The list of a mailbox is written so long after it changed, ms; its boxes are written at once. */
const writesAfterMs = 300;
/** Where calendars are kept, in the same folder. */
export const calendarsFolder = 'calendars';
const sheetName = 'mailbox.json';

/** Mailboxes, kept in a folder, or in memory alone where there is none. */
export class Mailboxes {
  readonly #known = new Map<string, Mailbox>();
  readonly #late = new Map<string, ReturnType<typeof setTimeout>>();

  /** @param folder where they are kept; null for memory alone */
  constructor(private readonly folder: string | null) {
    if (folder === null || !existsSync(folder)) return;
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const id = entry.name;
      // other things are kept beside the mailboxes
      if (!entry.isDirectory() || id === calendarsFolder) continue;
      const mailbox = this.#read(folder, id);
      if (mailbox) this.#known.set(id, mailbox);
    }
  }

  get count(): number {
    return this.#known.size;
  }
  get(id: string): Mailbox | null {
    return this.#known.get(id) ?? null;
  }
  found(id: string): Mailbox {
    const made = new Mailbox(id, this.#shelf(id));
    this.#known.set(id, made);
    this.changed(made);
    return made;
  }
  drop(id: string): void {
    clearTimeout(this.#late.get(id));
    this.#late.delete(id);
    this.#known.delete(id);
    if (this.folder !== null) rmSync(join(this.folder, id), { recursive: true, force: true });
  }
  /** Its list is written down soon. */
  changed(mailbox: Mailbox): void {
    if (this.folder === null || this.#late.has(mailbox.id)) return;
    this.#late.set(
      mailbox.id,
      setTimeout(() => this.#write(mailbox), writesAfterMs),
    );
  }
  /** All that waits is written now. */
  close(): void {
    for (const id of [...this.#late.keys()]) this.#write(this.#known.get(id)!);
  }

  #write(mailbox: Mailbox): void {
    clearTimeout(this.#late.get(mailbox.id));
    this.#late.delete(mailbox.id);
    writeWhole(join(this.#own(mailbox.id), sheetName), JSON.stringify(mailbox.sheet()));
  }
  #own(id: string): string {
    const own = join(this.folder!, id);
    mkdirSync(own, { recursive: true, mode: ownerOnly.folder });
    return own;
  }
  #shelf(id: string): BoxShelf | undefined {
    if (this.folder === null) return undefined;
    return {
      put: (tag, box) => writeWhole(join(this.#own(id), `${tag}.box`), JSON.stringify(box)),
      drop: (tag) => rmSync(join(this.#own(id), `${tag}.box`), { force: true }),
    };
  }
  /** A mailbox as it was written down; null where its list cannot be read. */
  #read(folder: string, id: string): Mailbox | null {
    const own = join(folder, id);
    try {
      const sheet = JSON.parse(readFileSync(join(own, sheetName), 'utf8')) as MailboxSheet;
      const boxes = new Map<string, Box>();
      for (const name of readdirSync(own)) {
        if (!name.endsWith('.box')) continue;
        boxes.set(name.slice(0, -4), JSON.parse(readFileSync(join(own, name), 'utf8')) as Box);
      }
      return Mailbox.from(sheet, boxes, this.#shelf(id)!);
    } catch (error) {
      process.stderr.write(
        `The mailbox in ${own} cannot be read (${error instanceof Error ? error.message : String(error)}); its devices must be paired anew.\n`,
      );
      return null;
    }
  }
}
