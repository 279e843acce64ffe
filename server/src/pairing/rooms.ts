/** A room is open so long, ms. */
const openMs = 10 * 60_000;
const mostRooms = 100;

/** One side of a room: where what the other one says is brought, and that it has left. */
export interface Side {
  hear(body: string): void;
  left(): void;
  guest(): void;
}
interface Room {
  desk: Side;
  guest: Side | null;
  till: number;
}

/** Rooms where a desk meets a new device, once each: who goes in and comes out again has used it up. */
export class Rooms {
  readonly #rooms = new Map<string, Room>();
  constructor(
    private readonly now: () => number = Date.now,
    private readonly drawn: () => number = Math.random,
  ) {}

  /** Opens a room; null where there are too many. Any room that the side had before is closed. */
  open(desk: Side): string | null {
    this.leave(desk);
    for (const [name, { till }] of this.#rooms) if (till < this.now()) this.#rooms.delete(name);
    if (this.#rooms.size >= mostRooms) return null;
    for (;;) {
      const name = String(Math.floor(this.drawn() * 1000)).padStart(3, '0');
      if (this.#rooms.has(name)) continue;
      this.#rooms.set(name, { desk, guest: null, till: this.now() + openMs });
      return name;
    }
  }
  /** False where there is no such room, or somebody was in it already. */
  enter(name: string, guest: Side): boolean {
    const room = this.#rooms.get(name);
    if (!room || room.guest || room.till < this.now()) return false;
    room.guest = guest;
    room.desk.guest();
    return true;
  }
  /** Brings what one side says to the other; false where nobody is there. */
  say(from: Side, body: string): boolean {
    for (const { desk, guest } of this.#rooms.values()) {
      if (!guest || (from !== desk && from !== guest)) continue;
      (from === desk ? guest : desk).hear(body);
      return true;
    }
    return false;
  }
  /** One side goes: the room is closed, and the other one is told. */
  leave(side: Side): void {
    for (const [name, { desk, guest }] of this.#rooms) {
      if (side !== desk && side !== guest) continue;
      this.#rooms.delete(name);
      if (side === desk) guest?.left();
      else desk.left();
    }
  }
}
