import { ristretto255, ristretto255_hasher } from '@noble/curves/ed25519.js';
import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { concatBytes, randomBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { bytesOf, textOf } from './seal.ts';

/*
 * A short code makes a long secret between two devices: a balanced password-authenticated exchange over
 * ristretto255 (CPace, draft-irtf-cfrg-cpace). Who listens learns nothing of the code, and who pretends has one
 * guess for each code that is shown.
 */

type Point = InstanceType<typeof ristretto255.Point>;
const { Point } = ristretto255;

/** Of a code the first digits say where the two meet, the others are the secret. */
export const roomDigits = 3;
export const secretDigits = 6;
const isCode = new RegExp(`^\\d{${roomDigits + secretDigits}}$`);

/** The code as it is shown, in groups of three. */
export const codeText = (code: string): string => code.replace(/(\d{3})(?=\d)/g, '$1 ');
/** The room and the secret of a code that was typed; null where it is none. */
export function readCode(typed: string): { room: string; code: string } | null {
  const code = typed.replace(/[\s.-]/g, '');
  return isCode.test(code) ? { room: code.slice(0, roomDigits), code } : null;
}
/** A code of a room: its digits, and as many that nobody can foresee. */
export function newCode(room: string): string {
  const most = 10 ** secretDigits;
  // so far beyond the codes that none is likelier than another
  const drawn = numberOf(randomBytes(8)) % BigInt(most);
  return room + String(drawn).padStart(secretDigits, '0');
}

const numberOf = (bytes: Uint8Array): bigint =>
  [...bytes].reduce((sum, byte) => sum * 256n + BigInt(byte), 0n);

/** One side of an exchange: what it says, and its secret until the other has spoken. */
export interface Half {
  says: string;
  scalar: bigint;
}
const generator = (code: string): Point =>
  ristretto255_hasher.hashToCurve(utf8ToBytes(`pyrgotect pairing|${code}`), {
    DST: 'pyrgotect-pairing-v1',
  });

/** Begins an exchange with a code. */
export function beginExchange(code: string): Half {
  // as evenly over all scalars as can be, and never none
  const scalar = (numberOf(randomBytes(64)) % (Point.Fn.ORDER - 1n)) + 1n;
  return { says: textOf(generator(code).multiply(scalar).toBytes()), scalar };
}

/** What both sides have when both gave the same code: a secret, and proofs of it, one for each side. */
export interface Agreed {
  secret: Uint8Array;
  proofOfDesk: string;
  proofOfGuest: string;
}

/**
 * Ends an exchange with what the other side said. That both gave the same code is known only once the other's
 * proof is the one that stands here.
 *
 * @returns null where what was said is no point that an honest side can say
 */
export function endExchange(mine: Half, theirs: string, side: 'desk' | 'guest'): Agreed | null {
  let shared: Point;
  try {
    const point = Point.fromBytes(bytesOf(theirs));
    if (point.equals(Point.ZERO)) return null;
    shared = point.multiply(mine.scalar);
  } catch {
    return null;
  }
  const [desk, guest] = side === 'desk' ? [mine.says, theirs] : [theirs, mine.says];
  const saidByBoth = utf8ToBytes(`${desk}|${guest}`);
  const of = (label: string): Uint8Array =>
    hmac(sha256, shared.toBytes(), concatBytes(utf8ToBytes(`pyrgotect ${label}|`), saidByBoth));
  return {
    secret: of('secret'),
    proofOfDesk: textOf(of('desk')),
    proofOfGuest: textOf(of('guest')),
  };
}
