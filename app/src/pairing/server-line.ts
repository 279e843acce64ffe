import {
  maxMessage,
  readFromServer,
  type Answer,
  type Ask,
  type Box,
  type Heads,
  type Line,
  type News,
  type Refusal,
} from '@pyrgotect/core/pairing';

/** The server said no. */
export class Refused extends Error {
  override readonly name = 'Refused';
  constructor(readonly why: Refusal) {
    super(why);
  }
}
/** The way to the server was cut. */
export class LineCut extends Error {
  override readonly name = 'LineCut';
}

/** An answer that does not come within this is none, ms. */
const patienceMs = 20_000;
/** @param home the folder of the program */
export const pairingAddress = (home: string): string =>
  new URL('api/pairing', home).href.replace(/^http/, 'ws');

interface Waiting {
  resolve: (answer: Answer) => void;
  reject: (error: Error) => void;
  timer: ReturnType<typeof setTimeout>;
}

/** A socket to the server: what is asked is answered, refused or cut. */
export class ServerLine implements Line {
  #next = 1;
  readonly #waiting = new Map<number, Waiting>();

  private constructor(
    private readonly socket: WebSocket,
    private readonly hear: (news: News) => void,
    private readonly cut: () => void,
  ) {
    socket.addEventListener('message', ({ data }) => this.#take(String(data)));
    socket.addEventListener('close', () => this.#end());
  }

  /** @param hear is told what the server says unasked; @param cut that the line is no more */
  static open(address: string, hear: (news: News) => void, cut: () => void): Promise<ServerLine> {
    return new Promise((resolve, reject) => {
      const socket = new WebSocket(address);
      socket.addEventListener('open', () => resolve(new ServerLine(socket, hear, cut)), {
        once: true,
      });
      socket.addEventListener('error', () => reject(new LineCut('The server does not answer.')), {
        once: true,
      });
    });
  }
  close(): void {
    this.socket.close();
  }

  #take(data: string): void {
    const message = readFromServer(data);
    if (!message) return;
    if (!('answer' in message)) return this.hear(message.say);
    const waiting = this.#waiting.get(message.answer);
    if (!waiting) return;
    clearTimeout(waiting.timer);
    this.#waiting.delete(message.answer);
    if (message.say.kind === 'refused') waiting.reject(new Refused(message.say.why));
    else waiting.resolve(message.say);
  }
  #end(): void {
    for (const { reject, timer } of this.#waiting.values()) {
      clearTimeout(timer);
      reject(new LineCut('The line was cut.'));
    }
    this.#waiting.clear();
    this.cut();
  }

  /** @throws Refused, LineCut */
  ask<K extends Answer['kind']>(say: Ask, ...kinds: K[]): Promise<Extract<Answer, { kind: K }>> {
    const ask = this.#next++;
    const text = JSON.stringify({ ask, say });
    if (text.length > maxMessage) return Promise.reject(new Refused('too much'));
    if (this.socket.readyState !== WebSocket.OPEN)
      return Promise.reject(new LineCut('The line was cut.'));
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => this.socket.close(), patienceMs);
      this.#waiting.set(ask, {
        resolve: (answer) =>
          kinds.includes(answer.kind as K)
            ? resolve(answer as Extract<Answer, { kind: K }>)
            : reject(new Refused('not understood')),
        reject,
        timer,
      });
      this.socket.send(text);
    });
  }

  put(
    tag: string,
    after: string | null,
    box: Box,
  ): Promise<Extract<Answer, { kind: 'kept' | 'other' }>> {
    return this.ask({ kind: 'put', tag, after, box }, 'kept', 'other');
  }
  heads = (since: number): Promise<Heads> => this.ask({ kind: 'heads', since }, 'heads');
  get = (tag: string): Promise<{ mark: string | null; box: Box | null }> =>
    this.ask({ kind: 'get', tag }, 'box');
  async seen(of: string, at: number): Promise<void> {
    await this.ask({ kind: 'seen', of, at }, 'done');
  }
}
