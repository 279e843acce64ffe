import { codeText } from '@pyrgotect/core/pairing';
import type { Database } from '../storage/database.ts';
import { devicesNow, pairingNow } from './kept-pairing.ts';
import { DeskMeeting, type Guest } from './meeting.ts';
import type { PairingState } from './pairing-state.ts';
import { LineCut, type ServerLine } from './server-line.ts';

/** The code that this device shows to a new one, and the talk with whoever comes with it. */
export class CodeOffer {
  #meeting: DeskMeeting | null = null;

  constructor(
    private readonly db: Database,
    private readonly lineNow: () => ServerLine | null,
    private readonly set: (change: Partial<PairingState>) => void,
    private readonly admit: (guest: Guest) => Promise<void>,
  ) {}

  /** Shows the next code. @param said what happened to the one before, in words */
  async show(said = ''): Promise<void> {
    const [kept, line] = [await pairingNow(this.db), this.lineNow()];
    if (!kept || !line) return;
    const { room, addresses } = await line.ask({ kind: 'offer' }, 'room');
    const { mailbox, tagKey, kitchen, device } = kept;
    const desk = (await devicesNow(this.db))[device]?.name ?? '';
    this.#meeting = new DeskMeeting(room, { mailbox, tagKey, kitchen, desk }, (guest) =>
      this.#came(guest),
    );
    const { code } = this.#meeting;
    this.set({ offer: { code, shown: codeText(code), addresses }, said });
  }
  async #came(guest: Guest): Promise<void> {
    await this.admit(guest);
    this.withdraw(`${guest.name} is paired.`);
  }
  /** The code is not shown any more. */
  withdraw(said = ''): void {
    this.#meeting = null;
    this.set({ offer: null, said });
  }
  /** The line was cut, and with it the talk. */
  end(): void {
    if (!this.#meeting) return;
    this.#meeting = null;
    this.set({ offer: null });
  }
  async hear(body: string): Promise<void> {
    if (!this.#meeting) return;
    try {
      const say = await this.#meeting.hear(body);
      if (say) await this.lineNow()?.ask({ kind: 'relay', body: say }, 'done');
    } catch (error) {
      if (error instanceof LineCut) return;
      await this.show('Who came gave a wrong code. Here is a new one.');
    }
  }
  async left(): Promise<void> {
    if (this.#meeting) await this.show('Who came gave a wrong code, or left. Here is a new one.');
  }
}
