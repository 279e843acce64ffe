import { xchacha20poly1305 } from '@noble/ciphers/chacha.js';
import { ed25519, x25519 } from '@noble/curves/ed25519.js';
import { hkdf } from '@noble/hashes/hkdf.js';
import { hmac } from '@noble/hashes/hmac.js';
import { sha256 } from '@noble/hashes/sha2.js';
import { concatBytes, randomBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { base64urlnopad } from '@scure/base';

/*
 * What paired devices say to each other is sealed: XChaCha20-Poly1305 under a key of the kitchen, or of one
 * device. All of it is plain JavaScript, for a page without a secure origin has no cryptography of the browser.
 */

export const textOf = (bytes: Uint8Array): string => base64urlnopad.encode(bytes);
/** @throws where the text is none that textOf gave */
export const bytesOf = (text: string): Uint8Array => base64urlnopad.decode(text);

/** A device's own keys: with one it says who it is, with the other it is told what is for it alone. */
export interface DeviceKeys {
  sign: Uint8Array;
  box: Uint8Array;
}
export const newDeviceKeys = (): DeviceKeys => ({
  sign: ed25519.utils.randomSecretKey(),
  box: x25519.utils.randomSecretKey(),
});
export const publicKeys = (keys: DeviceKeys): { sign: string; box: string } => ({
  sign: textOf(ed25519.getPublicKey(keys.sign)),
  box: textOf(x25519.getPublicKey(keys.box)),
});

/** A key of the kitchen; a new one is made when a device is shut out. */
export interface KitchenKey {
  id: string;
  key: Uint8Array;
}
export const newKitchenKey = (): KitchenKey => ({
  id: textOf(randomBytes(6)),
  key: randomBytes(32),
});
/** A secret of that many bytes, as text. */
export const newSecret = (bytes: number): string => textOf(randomBytes(bytes));

const nonceBytes = 24;

function sealed(key: Uint8Array, plain: Uint8Array, bound: string): Uint8Array {
  const nonce = randomBytes(nonceBytes);
  const box = xchacha20poly1305(key, nonce, utf8ToBytes(bound)).encrypt(plain);
  return concatBytes(nonce, box);
}
/** Null where it was sealed by another key, bound to something else, or changed on the way. */
function opened(key: Uint8Array, box: Uint8Array, bound: string): Uint8Array | null {
  if (box.length <= nonceBytes) return null;
  const [nonce, rest] = [box.subarray(0, nonceBytes), box.subarray(nonceBytes)];
  try {
    return xchacha20poly1305(key, nonce, utf8ToBytes(bound)).decrypt(rest);
  } catch {
    return null;
  }
}

/** What was sealed, and for whom: the kitchen, by the id of its key, or one device. */
export type Box =
  { kind: 'kitchen'; keyId: string; body: string } | { kind: 'device'; body: string };

/** Seals for all of the kitchen. @param bound what it is the content of: it opens for nothing else */
export const sealForKitchen = (key: KitchenKey, plain: Uint8Array, bound: string): Box => ({
  kind: 'kitchen',
  keyId: key.id,
  body: textOf(sealed(key.key, plain, bound)),
});

const pairKey = (shared: Uint8Array, ephemeral: Uint8Array, theirs: Uint8Array): Uint8Array =>
  hkdf(sha256, shared, concatBytes(ephemeral, theirs), utf8ToBytes('pyrgotect device box'), 32);

/** Seals for one device alone, by its public key. */
export function sealForDevice(publicKey: string, plain: Uint8Array, bound: string): Box {
  const theirs = bytesOf(publicKey);
  const own = x25519.utils.randomSecretKey();
  const ephemeral = x25519.getPublicKey(own);
  const key = pairKey(x25519.getSharedSecret(own, theirs), ephemeral, theirs);
  return { kind: 'device', body: textOf(concatBytes(ephemeral, sealed(key, plain, bound))) };
}

/** What a box holds; null where no key of ours opens it. */
export function openBox(
  box: Box,
  kitchen: readonly KitchenKey[],
  device: DeviceKeys,
  bound: string,
): Uint8Array | null {
  let body: Uint8Array;
  try {
    body = bytesOf(box.body);
  } catch {
    return null;
  }
  if (box.kind === 'kitchen') {
    const known = kitchen.find(({ id }) => id === box.keyId);
    return known ? opened(known.key, body, bound) : null;
  }
  if (body.length <= 32) return null;
  const [ephemeral, rest] = [body.subarray(0, 32), body.subarray(32)];
  try {
    const shared = x25519.getSharedSecret(device.box, ephemeral);
    return opened(pairKey(shared, ephemeral, x25519.getPublicKey(device.box)), rest, bound);
  } catch {
    return null;
  }
}

/** The name under which the server knows a thing, which says nothing of it. */
export const tagOf = (tagKey: string, item: string): string =>
  textOf(hmac(sha256, bytesOf(tagKey), utf8ToBytes(item)).subarray(0, 16));

/** The mark of a box: the same for the same bytes, and for no others. */
export const markOf = (box: Box): string =>
  textOf(sha256(utf8ToBytes(`${box.kind}|${box.kind === 'kitchen' ? box.keyId : ''}|${box.body}`)).subarray(0, 16)); // prettier-ignore

/** What a device signs to say that it is the one: the question of the server, and which mailbox it is about. */
const proofText = (challenge: string, mailbox: string, device: string): Uint8Array =>
  utf8ToBytes(`pyrgotect mailbox|${challenge}|${mailbox}|${device}`);
export const prove = (
  keys: DeviceKeys,
  challenge: string,
  mailbox: string,
  device: string,
): string => textOf(ed25519.sign(proofText(challenge, mailbox, device), keys.sign));
export function isProved(
  publicKey: string,
  signature: string,
  challenge: string,
  mailbox: string,
  device: string,
): boolean {
  try {
    return ed25519.verify(
      bytesOf(signature),
      proofText(challenge, mailbox, device),
      bytesOf(publicKey),
    );
  } catch {
    return false;
  }
}

/** Seals and opens under one secret that two have agreed on. @param bound says which message it is */
export const sealUnder = (secret: Uint8Array, plain: Uint8Array, bound: string): string =>
  textOf(sealed(secret, plain, bound));
export function openUnder(secret: Uint8Array, body: string, bound: string): Uint8Array | null {
  try {
    return opened(secret, bytesOf(body), bound);
  } catch {
    return null;
  }
}
