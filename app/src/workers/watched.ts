import { wrap, type Remote } from 'comlink';

/** A worker that says nothing for so long is taken for dead, ms; twice as long after each time that it was. */
const silentMs = 10_000;
/** One that somebody said they would wait for is given so many times as long: a busy machine is slow, not dead. */
const furtherPatience = 5;

/** Why a worker gave no answer, in words that a screen may show. */
export class NoAnswer extends Error {
  override readonly name = 'NoAnswer';
}

/** Says that the worker still works, such as at each step of its progress. */
export type Pulse = () => void;
/** Hears that nothing came for ten seconds, where an answer is still welcome when it comes later. */
export type OnSilence = (why: string) => void;

/**
 * A worker that is watched: what is asked of it is answered, or fails with a reason, never neither. One that
 * failed is ended, and another is started with the next question.
 */
export class Watched<T> {
  #worker: Worker | null = null;
  #remote: Remote<T> | null = null;
  #patience = silentMs;
  #silence: ReturnType<typeof setTimeout> | undefined;
  readonly #asked = new Map<(error: Error) => void, OnSilence | undefined>();

  /** @param start starts the worker */
  constructor(private readonly start: () => Worker) {}

  /**
   * Asks the worker.
   *
   * @param onSilence told after ten seconds of silence; the answer is then waited for five times as long
   * @throws NoAnswer where the worker could not be loaded, broke down, or said nothing for ten seconds
   */
  ask<A>(work: (remote: Remote<T>, pulse: Pulse) => Promise<A>, onSilence?: OnSilence): Promise<A> {
    return new Promise<A>((resolve, reject) => {
      const end = (): void => {
        this.#asked.delete(fail);
        this.#listen();
      };
      const fail = (error: Error): void => {
        end();
        reject(error);
      };
      this.#asked.set(fail, onSilence);
      if (this.#asked.size === 1) this.#listen();
      try {
        work(this.#running(), () => this.#listen()).then((answer) => {
          end();
          resolve(answer);
        }, fail);
      } catch (error) {
        fail(error as Error);
      }
    });
  }

  /** Ends a worker that nobody wants to wait for any more; another is started with the next question. */
  giveUp(): void {
    this.#drop('it was given up');
  }

  /**
   * Something was heard: silence begins anew while anything is still asked. What waits behind another question
   * is not silent as long as that one is being answered.
   */
  #listen(): void {
    clearTimeout(this.#silence);
    if (this.#asked.size === 0) return;
    this.#silence = setTimeout(() => this.#silent(), this.#patience);
  }

  #silent(): void {
    const givenUp = (): void => {
      this.#patience *= 2;
      this.#drop('it did not answer');
    };
    const waiting = [...this.#asked].filter(([, onSilence]) => onSilence);
    if (waiting.length === 0) return givenUp();
    for (const [fail, onSilence] of [...this.#asked])
      if (onSilence) onSilence('it did not answer so far');
      else fail(new NoAnswer('it did not answer'));
    clearTimeout(this.#silence);
    this.#silence = setTimeout(givenUp, furtherPatience * this.#patience);
  }

  #running(): Remote<T> {
    if (this.#remote) return this.#remote;
    this.#worker = this.start();
    this.#worker.addEventListener('error', (event) => {
      event.preventDefault();
      // a worker that could not be loaded says nothing of why
      this.#drop(event.message ? `it broke down (${event.message})` : 'it could not be loaded');
    });
    this.#worker.addEventListener('messageerror', () => this.#drop('its answer cannot be read'));
    return (this.#remote = wrap<T>(this.#worker));
  }

  /** Ends the worker; everything it was asked fails. */
  #drop(why: string): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#remote = null;
    for (const fail of [...this.#asked.keys()]) fail(new NoAnswer(why));
  }
}
