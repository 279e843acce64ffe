import {
  beginExchange,
  endExchange,
  newCode,
  openUnder,
  readCode,
  sealUnder,
  type Agreed,
} from '@pyrgotect/core/pairing';

/*
 * How a desk and a new device meet: by a code that one shows and the other is given. What is said goes through
 * the server, which learns nothing of it; each code is good for one try.
 */

const encode = (value: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(value));
const decode = (bytes: Uint8Array): unknown =>
  JSON.parse(new TextDecoder().decode(bytes)) as unknown;
/** Which message is which: one cannot be passed off as the other. */
const bound = { guest: 'pyrgotect guest', invitation: 'pyrgotect invitation' } as const;

/** What the new device says of itself. */
export interface Guest {
  device: string;
  name: string;
  sign: string;
  box: string;
}
/** What it is given: where the kitchen's mailbox is, and its keys. */
export interface Invitation {
  mailbox: string;
  tagKey: string;
  kitchen: { id: string; key: string }[];
  desk: string;
}

type Said =
  | { step: 'guest'; says: string }
  | { step: 'desk'; says: string; proof: string }
  | { step: 'proof'; proof: string; guest: string }
  | { step: 'invitation'; body: string };
const readSaid = (body: string): Said | null => {
  try {
    const said = JSON.parse(body) as Said | null;
    return said && typeof said.step === 'string' ? said : null;
  } catch {
    return null;
  }
};
const isText = (value: unknown): value is string => typeof value === 'string' && value.length < 300;

/** The desk's side: it hears, and says what comes back; `done` is told the guest that gave the right code. */
export class DeskMeeting {
  readonly code: string;
  readonly #half;
  #agreed: Agreed | null = null;

  /** @param room where the two meet, of the server */
  constructor(
    room: string,
    private readonly invitation: Invitation,
    private readonly admit: (guest: Guest) => Promise<void>,
  ) {
    this.code = newCode(room);
    this.#half = beginExchange(this.code);
  }

  /** What the desk says to it; null where nothing is to be said. @throws Error in words where the code was wrong */
  async hear(body: string): Promise<string | null> {
    const said = readSaid(body);
    if (said?.step === 'guest' && !this.#agreed && isText(said.says)) {
      this.#agreed = endExchange(this.#half, said.says, 'desk');
      if (!this.#agreed) throw new Error('wrong code');
      const answer: Said = {
        step: 'desk',
        says: this.#half.says,
        proof: this.#agreed.proofOfDesk,
      };
      return JSON.stringify(answer);
    }
    if (said?.step === 'proof' && this.#agreed) {
      if (said.proof !== this.#agreed.proofOfGuest) throw new Error('wrong code');
      const opened = openUnder(this.#agreed.secret, said.guest, bound.guest);
      const guest = opened ? (decode(opened) as Guest) : null;
      if (!guest || ![guest.device, guest.name, guest.sign, guest.box].every(isText))
        throw new Error('wrong code');
      await this.admit(guest);
      const sealed = sealUnder(this.#agreed.secret, encode(this.invitation), bound.invitation);
      const answer: Said = { step: 'invitation', body: sealed };
      return JSON.stringify(answer);
    }
    return null;
  }
}

/** The new device's side. */
export class GuestMeeting {
  readonly room: string;
  readonly first: string;
  readonly #half;
  #agreed: Agreed | null = null;

  /** @throws Error in words where what was typed is no code */
  constructor(
    typed: string,
    private readonly guest: Guest,
  ) {
    const read = readCode(typed);
    if (!read) throw new Error('A code has nine digits.');
    this.room = read.room;
    this.#half = beginExchange(read.code);
    const first: Said = { step: 'guest', says: this.#half.says };
    this.first = JSON.stringify(first);
  }

  /** @throws Error in words where the code was wrong */
  hear(body: string): { say: string } | { invitation: Invitation } | null {
    const said = readSaid(body);
    if (said?.step === 'desk' && !this.#agreed && isText(said.says)) {
      const agreed = endExchange(this.#half, said.says, 'guest');
      if (!agreed || agreed.proofOfDesk !== said.proof)
        throw new Error('The code is not the one that is shown. Each is good for one try: take the next one.'); // prettier-ignore
      this.#agreed = agreed;
      const guest = sealUnder(agreed.secret, encode(this.guest), bound.guest);
      const answer: Said = { step: 'proof', proof: agreed.proofOfGuest, guest };
      return { say: JSON.stringify(answer) };
    }
    if (said?.step === 'invitation' && this.#agreed) {
      const opened = openUnder(this.#agreed.secret, said.body, bound.invitation);
      if (!opened) throw new Error('The invitation was changed on its way.');
      return { invitation: decode(opened) as Invitation };
    }
    return null;
  }
}
