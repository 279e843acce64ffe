import { buildVersion } from '@pyrgotect/core';
import {
  Carrier,
  NewerProgram,
  newKitchenKey,
  prove,
  publicKeys,
  type Identity,
  type Member,
  type News,
} from '@pyrgotect/core/pairing';
import type { Word } from '../storage/channel.ts';
import type { Database } from '../storage/database.ts';
import { CodeOffer } from './code-offer.ts';
import { askInvitation } from './invited.ts';
import {
  changePairing,
  devicesNow,
  forgetPairing,
  identityOf,
  keyText,
  pairingNow,
} from './kept-pairing.ts';
import { KeptReplica, type BothChanged } from './kept-replica.ts';
import {
  deviceLines,
  joinKitchen,
  letIn,
  makeKitchen,
  newDevice,
  renameDevice,
  setWelcomed,
  strikeOut,
} from './members.ts';
import { GuestMeeting, type Guest } from './meeting.ts';
import { aloneState, type PairingState } from './pairing-state.ts';
import { LineCut, Refused, ServerLine } from './server-line.ts';
import { itemOf, kindOf } from './things.ts';
import { itemsFor, wordsFor } from './words-of.ts';

const firstRetryMs = 500;
const lastRetryMs = 8000;
/** Words that follow each other so closely are sent together, ms. */
const gatherMs = 15;
const mostTroubles = 20;

/** Keeps this device in step with those it is paired with; it runs beside the page. */
export class PairingDesk {
  #state: PairingState = aloneState;
  #tell: (state: PairingState) => void = () => undefined;
  #line: ServerLine | null = null;
  #carrier: Carrier | null = null;
  #retryMs = firstRetryMs;
  #retry: ReturnType<typeof setTimeout> | undefined;
  /** Work at the server goes one after the other. */
  #work: Promise<void> = Promise.resolve();
  readonly #changed = new Set<string>();
  #isGathering = false;
  readonly #channel = new BroadcastChannel('pyrgotect');
  readonly #replica: KeptReplica;
  readonly #offer: CodeOffer;

  /** Of the server's socket. */
  #address = '';

  constructor(private readonly db: Database) {
    this.#replica = new KeptReplica(db, (what) => this.#bothChanged(what));
    this.#offer = new CodeOffer(
      db,
      () => this.#line,
      (change) => this.#set(change),
      (guest) => this.#admit(guest),
    );
    this.#channel.addEventListener(
      'message',
      ({ data }: MessageEvent<Word>) => void this.#hearWindow(data),
    );
  }

  /** Begins, and tells how it stands whenever that changes. @param address of the server's socket */
  start(address: string, tell: (state: PairingState) => void): void {
    this.#address = address;
    this.#tell = tell;
    this.#set({});
    // how that goes is told; nobody waits for it
    void this.#connect();
  }
  /** Whoever has that cake open is told at once; the list of devices says it as well. */
  #bothChanged(what: BothChanged): void {
    this.#set({ troubles: [...this.#state.troubles, what].slice(-mostTroubles) });
    const of = kindOf(what.item);
    if (!of || !what.item.startsWith('cake/')) return;
    const from = this.#state.devices.find(({ id }) => id === what.from)?.name ?? 'Another device';
    const word: Word = { kind: 'met', id: of.id, from, places: what.places };
    this.#channel.postMessage(word);
  }
  #set(change: Partial<PairingState>): void {
    this.#state = { ...this.#state, ...change };
    this.#tell(this.#state);
  }

  // ---- the line

  async #connect(): Promise<void> {
    const kept = await pairingNow(this.db);
    if (!kept || this.#line) return;
    this.#set({ phase: 'connecting' });
    try {
      const line = await ServerLine.open(
        this.#address,
        (news) => void this.#hearServer(news),
        () => this.#cut(),
      );
      this.#line = line;
      const identity = identityOf(kept);
      await this.#enter(line, identity);
      this.#carrier = this.#carrierOf(line, identity);
      this.#retryMs = firstRetryMs;
      this.#set({ phase: 'together' });
      await this.#showDevices();
      await this.#queue(() => this.#meet());
    } catch (error) {
      await this.#failed(error);
    }
  }
  /** Proves who this is; makes the mailbox anew where the server has none. */
  async #enter(line: ServerLine, { mailbox, device, keys }: Identity): Promise<void> {
    const { challenge, isKnown } = await line.ask({ kind: 'hello', mailbox, device }, 'challenge');
    const signature = prove(keys, challenge, mailbox, device);
    if (isKnown) {
      await line.ask({ kind: 'prove', signature }, 'done');
      return;
    }
    const all = Object.entries(await devicesNow(this.db));
    const others = all
      .filter(([id]) => id !== device)
      .map(([id, { sign }]) => ({ device: id, key: sign }));
    await line.ask({ kind: 'found', key: publicKeys(keys).sign, signature, others }, 'done');
  }
  #carrierOf(line: ServerLine, identity: Identity): Carrier {
    return new Carrier(this.#replica, line, identity, {
      buildVersion,
      now: () => new Date().toISOString(),
      count: () => Date.now(),
      keepKey: (key) =>
        changePairing(this.db, ({ kitchen }) => ({ kitchen: [...kitchen, keyText(key)] })),
      trouble: (what) =>
        this.#set({ troubles: [...this.#state.troubles, what].slice(-mostTroubles) }),
      // at once: whoever looks at it waits for nothing else
      changed: (item) => void this.#told([item]),
    });
  }
  #cut(): void {
    this.#line = null;
    this.#carrier = null;
    this.#offer.end();
    if (this.#state.phase !== 'together' && this.#state.phase !== 'connecting') return;
    this.#set({ phase: 'away', devices: this.#state.devices.map((one) => ({ ...one, isHere: false })) }); // prettier-ignore
    clearTimeout(this.#retry);
    this.#retry = setTimeout(() => void this.#connect(), this.#retryMs);
    this.#retryMs = Math.min(lastRetryMs, this.#retryMs * 2);
  }
  async #failed(error: unknown): Promise<void> {
    if (error instanceof NewerProgram) {
      this.#set({ phase: 'newer' });
      this.#line?.close();
    } else if (error instanceof Refused && error.why === 'not a member') await this.#shutOut();
    else if (error instanceof LineCut || error instanceof Refused) {
      // it is tried again by the cut, where there was a line to cut
      if (this.#line) this.#line.close();
      else this.#cut();
    } else {
      // nothing was lost: it is tried again with the next change
      console.error(error);
      this.#set({ said: error instanceof Error ? error.message : String(error) });
    }
  }
  async #shutOut(): Promise<void> {
    await forgetPairing(this.db);
    this.#set({ phase: 'shut out', devices: [], offer: null });
    this.#line?.close();
  }

  // ---- what is heard

  async #hearServer(news: News): Promise<void> {
    switch (news.kind) {
      case 'news':
        await this.#queue(() => this.#pull());
        return;
      case 'relay':
        await this.#offer.hear(news.body);
        return;
      case 'left':
        await this.#offer.left();
        return;
      case 'shut out':
        await this.#shutOut();
        return;
      case 'guest':
        this.#set({ said: 'A device is here …' });
    }
  }
  async #hearWindow(word: Word): Promise<void> {
    if (!this.#carrier) return;
    for (const item of await itemsFor(this.db, word)) this.#changed.add(item);
    if (this.#isGathering) return;
    this.#isGathering = true;
    setTimeout(() => {
      this.#isGathering = false;
      void this.#queue(() => this.#push());
    }, gatherMs);
  }

  /** Work at the server, after what was begun before; in one window at a time where the browser can say so. */
  #queue(work: () => Promise<void>): Promise<void> {
    const run = async (): Promise<void> => {
      if (!this.#carrier) return;
      try {
        if (navigator.locks) await navigator.locks.request('pyrgotect pairing', work);
        else await work();
      } catch (error) {
        await this.#failed(error);
      }
    };
    return (this.#work = this.#work.then(run));
  }
  async #meet(): Promise<void> {
    const kept = await pairingNow(this.db);
    if (!kept || !this.#carrier) return;
    if (kept.isNew) return this.#pull();
    await this.#carrier.meet();
    for (const device of kept.owed) await this.#welcome(device);
  }
  async #pull(): Promise<void> {
    if (!this.#carrier) return;
    const changed = await this.#carrier.pull();
    const kept = await pairingNow(this.db);
    if (!kept?.isNew) {
      // what was put together here is sent
      await this.#carrier?.pushAll(changed);
      return;
    }
    const own = (await devicesNow(this.db))[kept.device];
    if (!own?.welcomed) return;
    await changePairing(this.db, () => ({ isNew: false }));
    await this.#meet();
  }
  async #push(): Promise<void> {
    const items = [...this.#changed];
    this.#changed.clear();
    if ((await pairingNow(this.db))?.isNew) return;
    await this.#carrier?.pushAll(items);
  }
  /** Other windows show what came. */
  async #told(items: readonly string[]): Promise<void> {
    for (const word of await wordsFor(this.db, items)) this.#channel.postMessage(word);
    if (items.some((item) => item.startsWith('device/'))) await this.#showDevices();
  }

  // ---- who is paired

  async #showDevices(): Promise<void> {
    const kept = await pairingNow(this.db);
    if (!kept) return;
    const members: Member[] = this.#line
      ? await this.#line
          .ask({ kind: 'members' }, 'members')
          .then((answer) => answer.members)
          .catch(() => [])
      : [];
    const devices = await deviceLines(this.db, kept.device, members);
    this.#set({ devices });
  }
  /** How the devices stand now. */
  look = (): Promise<void> => this.#showDevices();

  /** Shows a code for a new device; the kitchen is made with the first. */
  async offer(name: string): Promise<void> {
    if (!(await pairingNow(this.db))) await makeKitchen(this.db, name);
    if (!this.#line) await this.#connect();
    if (!this.#line) throw new Error('The server does not answer.');
    await this.#offer.show();
  }
  withdraw(): void {
    this.#offer.withdraw();
  }
  /** Lets a device in that gave the right code, and sends it everything. */
  async #admit(guest: Guest): Promise<void> {
    const { device, sign } = guest;
    await this.#line!.ask({ kind: 'admit', device, key: sign }, 'done');
    await letIn(this.db, guest);
    void this.#queue(async () => {
      await this.#carrier?.push(itemOf('device', device));
      await this.#meet();
    });
  }
  async #welcome(device: string): Promise<void> {
    await this.#carrier!.sendAll((sending) => this.#set({ sending }));
    await setWelcomed(this.db, device);
    await this.#carrier?.push(itemOf('device', device));
    this.#set({ sending: null });
    await this.#showDevices();
  }

  /** Comes into the kitchen of a desk that shows this code. @throws Error in words */
  async join(typed: string, name: string): Promise<void> {
    if (await pairingNow(this.db)) throw new Error('This device is paired already.');
    const device = newDevice(name);
    const { sign, box } = device.entry;
    const meeting = new GuestMeeting(typed, { device: device.id, name, sign, box });
    await joinKitchen(this.db, device, await askInvitation(this.#address, meeting));
    await this.#connect();
  }
  /** Shuts a device out: it reads and writes nothing any more; those who stay get a new key. */
  async revoke(device: string): Promise<void> {
    if (!this.#line || !this.#carrier) throw new Error('That takes the server, which does not answer now.'); // prettier-ignore
    await this.#line.ask({ kind: 'revoke', device }, 'done');
    const others = await strikeOut(this.db, device);
    await this.#queue(async () => {
      await this.#carrier!.changeKey(newKitchenKey(), others);
      await this.#carrier!.push(itemOf('device', device));
    });
    await this.#showDevices();
  }
  /** Calls this device otherwise. */
  async rename(name: string): Promise<void> {
    const kept = await pairingNow(this.db);
    if (!kept || !(await renameDevice(this.db, kept.device, name))) return;
    await this.#queue(async () => void (await this.#carrier?.push(itemOf('device', kept.device))));
    await this.#showDevices();
  }
  /** Takes this device out; what it keeps stays here. */
  async leave(): Promise<void> {
    const kept = await pairingNow(this.db);
    if (!kept) return;
    await this.#line?.ask({ kind: 'revoke', device: kept.device }, 'done').catch(() => undefined);
    await forgetPairing(this.db);
    this.#set({ phase: 'alone', devices: [], offer: null, said: '' });
    this.#line?.close();
  }
}
