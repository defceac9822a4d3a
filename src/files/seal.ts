import { gcm } from '@noble/ciphers/aes.js';
import { randomBytes } from '@noble/ciphers/utils.js';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

/** Base 32 of RFC 4648 without padding: no letter is taken for a figure. */
export function toBase32(bytes: Uint8Array): string {
  let [text, bits, value] = ['', 0, 0];
  for (const byte of bytes) {
    value = (value << 8) | byte;
    bits += 8;
    while (bits >= 5) {
      text += LETTERS[(value >>> (bits - 5)) & 31] ?? '';
      bits -= 5;
    }
    value &= (1 << bits) - 1;
  }
  return bits > 0 ? text + (LETTERS[(value << (5 - bits)) & 31] ?? '') : text;
}

/** null: a letter that is none, or bits left over that a writer sets to nought (RFC 4648, 3.5): one of its letters is wrong. */
export function fromBase32(text: string): Uint8Array | null {
  const bytes: number[] = [];
  let [bits, value] = [0, 0];
  for (const letter of text) {
    const at = LETTERS.indexOf(letter);
    if (at < 0) return null;
    value = (value << 5) | at;
    bits += 5;
    if (bits >= 8) {
      bytes.push((value >>> (bits - 8)) & 255);
      bits -= 8;
    }
    value &= (1 << bits) - 1;
  }
  return bits >= 5 || value !== 0 ? null : Uint8Array.from(bytes);
}

/** A one-time code: the name a package waits under, and the key that only the two devices have. */
export interface Code {
  readonly id: string;
  readonly key: Uint8Array;
}

export const newCode = (): Code => ({ id: toBase32(randomBytes(4)).slice(0, 6), key: randomBytes(16) });

/** A code as it is read aloud: groups of four. */
export const codeText = ({ id, key }: Code): string => `${id}${toBase32(key)}`.replace(/(.{4})(?=.)/g, '$1 ');

/** A code as it was typed or scanned; null: it is none. */
export function readCode(text: string): Code | null {
  const plain = text
    .toUpperCase()
    .replace(/0/g, 'O')
    .replace(/1/g, 'I')
    .replace(/8/g, 'B')
    .replace(/[^A-Z2-7]/g, '');
  const key = fromBase32(plain.slice(6));
  return plain.length === 32 && key?.length === 16 ? { id: plain.slice(0, 6), key } : null;
}

/** Seals bytes with a key (AES-128 in GCM, NIST SP 800-38D): a nonce of 12 bytes, then what is sealed with its tag. */
export function seal(bytes: Uint8Array, key: Uint8Array): Uint8Array<ArrayBuffer> {
  const nonce = randomBytes(12);
  const sealed = gcm(key, nonce).encrypt(bytes);
  const out = new Uint8Array(12 + sealed.length);
  out.set(nonce);
  out.set(sealed, 12);
  return out;
}

/** null: the key is another one, or a byte was changed on the way. */
export function unseal(sealed: Uint8Array, key: Uint8Array): Uint8Array<ArrayBuffer> | null {
  if (sealed.length < 28) return null;
  try {
    return Uint8Array.from(gcm(key, sealed.slice(0, 12)).decrypt(sealed.slice(12)));
  } catch {
    return null;
  }
}
