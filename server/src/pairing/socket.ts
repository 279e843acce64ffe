import { networkInterfaces } from 'node:os';
import { randomBytes } from 'node:crypto';
import {
  isProved,
  maxMessage,
  readToServer,
  type Answer,
  type Ask,
  type News,
  type Refusal,
} from '@pyrgotect/core/pairing';
import type { FastifyInstance } from 'fastify';
import { isOwn } from '../own-origin.ts';
import type { Mailbox } from './mailbox.ts';
import { Rooms, type Side } from './rooms.ts';
import type { Mailboxes } from './store.ts';

export const pairingPath = '/api/pairing';
/** What one address may hold open, and ask for: enough for a kitchen, too little to hold up others. */
const limits = {
  fromAddress: 24,
  askedASecond: 400,
  foundedByAddress: 6,
  /** Codes that may be tried from one address in a minute. */
  metAMinute: 6,
  mailboxes: 60,
} as const;
/** A reader that has not taken so much gets no news until it has, bytes. */
const mostWaiting = 16_000_000;

interface Connection extends Side {
  /** What it says it is; it is it once it has proved so. */
  claim: { mailbox: string; device: string; challenge: string } | null;
  member: { mailbox: Mailbox; device: string } | null;
  tell(news: News): void;
  close(): void;
}

/** Addresses of this machine at which others of its network find it. */
const addressesNow = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);

/** How often something was done by an address within a time. */
class Tally {
  readonly #times = new Map<string, number[]>();
  constructor(
    private readonly most: number,
    private readonly withinMs: number,
  ) {}
  /** Counts once more; false where that is too often. */
  count(who: string): boolean {
    const now = Date.now();
    const times = (this.#times.get(who) ?? []).filter((at) => now - at < this.withinMs);
    if (times.length >= this.most) return false;
    this.#times.set(who, [...times, now]);
    if (this.#times.size > 5000) this.#times.clear();
    return true;
  }
}

/**
 * Lets paired devices find each other's sealed changes, over a WebSocket. A device proves by its key that it is a
 * member of the mailbox before it reads or writes anything; a stranger may only come into a room that a member
 * opened, where the two agree by a code that the server never learns.
 *
 * @param reach how others reach this server: at which port, and whether they can at all
 */
export function servePairing(
  app: FastifyInstance,
  mailboxes: Mailboxes,
  reach: { isOpen: boolean },
): void {
  const connections = new Set<Connection>();
  const rooms = new Rooms();
  const fromAddress = new Map<string, number>();
  const founded = new Map<string, number>();
  const met = new Tally(limits.metAMinute, 60_000);
  app.addHook('onClose', () => mailboxes.close());

  const ofMailbox = (mailbox: Mailbox): Connection[] =>
    [...connections].filter(({ member }) => member?.mailbox === mailbox);
  const refused = (why: Refusal): Answer => ({ kind: 'refused', why });

  /** What a member asks about its mailbox. */
  function askMember(ask: Ask, me: Connection, mailbox: Mailbox, device: string): Answer {
    switch (ask.kind) {
      case 'put': {
        const answer = mailbox.put(ask.tag, ask.after, ask.box);
        if (!answer) return refused('too much');
        if (answer.kind === 'kept') {
          mailboxes.changed(mailbox);
          for (const other of ofMailbox(mailbox))
            if (other !== me) other.tell({ kind: 'news', at: mailbox.at });
        }
        return answer;
      }
      case 'get':
        return { kind: 'box', ...mailbox.get(ask.tag) };
      case 'heads':
        return { kind: 'heads', ...mailbox.since(ask.since) };
      case 'seen':
        mailbox.seen(device, ask.of, ask.at);
        mailboxes.changed(mailbox);
        return { kind: 'done' };
      case 'members': {
        const here = new Set(ofMailbox(mailbox).map(({ member }) => member!.device));
        return { kind: 'members', members: mailbox.members((one) => here.has(one)) };
      }
      case 'admit':
        if (!mailbox.admit(ask.device, ask.key)) return refused('too much');
        mailboxes.changed(mailbox);
        return { kind: 'done' };
      case 'revoke':
        mailbox.revoke(ask.device);
        mailboxes.changed(mailbox);
        for (const other of ofMailbox(mailbox))
          if (other.member!.device === ask.device) {
            other.tell({ kind: 'shut out' });
            other.member = null;
            other.close();
          }
        if (mailbox.members(() => false).length === 0) mailboxes.drop(mailbox.id);
        return { kind: 'done' };
      case 'offer': {
        const room = rooms.open(me);
        if (room === null) return refused('too much');
        return { kind: 'room', room, addresses: reach.isOpen ? addressesNow() : [] };
      }
      default:
        return refused('not understood');
    }
  }

  function answerTo(ask: Ask, me: Connection, ip: string): Answer {
    switch (ask.kind) {
      case 'hello': {
        const challenge = randomBytes(24).toString('base64url');
        me.claim = { mailbox: ask.mailbox, device: ask.device, challenge };
        return { kind: 'challenge', challenge, isKnown: mailboxes.get(ask.mailbox) !== null };
      }
      case 'prove': {
        const { claim } = me;
        me.claim = null;
        const mailbox = claim && mailboxes.get(claim.mailbox);
        const key = mailbox?.keyOf(claim!.device);
        if (!claim || !mailbox) return refused('no such mailbox');
        if (!key || !isProved(key, ask.signature, claim.challenge, claim.mailbox, claim.device))
          return refused('not a member');
        return enter(me, mailbox, claim.device);
      }
      case 'found': {
        const { claim } = me;
        me.claim = null;
        if (!claim || mailboxes.get(claim.mailbox)) return refused('taken');
        if (!isProved(ask.key, ask.signature, claim.challenge, claim.mailbox, claim.device))
          return refused('not a member');
        const before = founded.get(ip) ?? 0;
        if (before >= limits.foundedByAddress || mailboxes.count >= limits.mailboxes)
          return refused('too much');
        founded.set(ip, before + 1);
        const mailbox = mailboxes.found(claim.mailbox);
        mailbox.admit(claim.device, ask.key);
        // at once: one of them that comes now is not taken for a stranger
        for (const other of ask.others) mailbox.admit(other.device, other.key);
        return enter(me, mailbox, claim.device);
      }
      case 'meet':
        if (!met.count(ip)) return refused('too much');
        return rooms.enter(ask.room, me) ? { kind: 'done' } : refused('no such room');
      case 'relay':
        return rooms.say(me, ask.body) ? { kind: 'done' } : refused('no such room');
      default:
        return me.member
          ? askMember(ask, me, me.member.mailbox, me.member.device)
          : refused('not a member');
    }
  }
  function enter(me: Connection, mailbox: Mailbox, device: string): Answer {
    me.member = { mailbox, device };
    mailbox.wasHere(device, new Date().toISOString());
    return { kind: 'done' };
  }

  app.get(pairingPath, { websocket: true }, (socket, request) => {
    const { origin, host } = request.headers;
    const { ip } = request;
    const others = fromAddress.get(ip) ?? 0;
    if (!isOwn(origin, host)) return socket.close(1008);
    if (others >= limits.fromAddress) return socket.close(1013);
    fromAddress.set(ip, others + 1);
    const send = (message: object): void => {
      if (socket.readyState === socket.OPEN) socket.send(JSON.stringify(message));
    };
    const tell = (news: News): void => {
      if (socket.bufferedAmount < mostWaiting) send({ say: news });
    };
    const me: Connection = {
      claim: null,
      member: null,
      tell,
      hear: (body) => tell({ kind: 'relay', body }),
      left: () => tell({ kind: 'left' }),
      guest: () => tell({ kind: 'guest' }),
      close: () => socket.close(1000),
    };
    connections.add(me);
    let [second, asked] = [0, 0];
    socket.on('message', (data: Buffer) => {
      const now = Math.floor(Date.now() / 1000);
      [second, asked] = now === second ? [second, asked + 1] : [now, 1];
      if (asked > limits.askedASecond || data.length > maxMessage) return socket.close(1008);
      const message = readToServer(data.toString('utf8'));
      if (!message) return socket.close(1008);
      send({ answer: message.ask, say: answerTo(message.say, me, ip) });
    });
    socket.on('error', () => socket.close());
    socket.on('close', () => {
      connections.delete(me);
      rooms.leave(me);
      if (me.member) me.member.mailbox.wasHere(me.member.device, new Date().toISOString());
      const left = (fromAddress.get(ip) ?? 1) - 1;
      if (left > 0) fromAddress.set(ip, left);
      else fromAddress.delete(ip);
    });
  });
}
