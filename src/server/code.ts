import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** The cookie that tells a device that has typed the code. */
export const CODE_COOKIE = 'rincon-code';

/** What the cookie holds: not the code itself. */
export const passOf = (code: string): string => bytesToHex(sha256(utf8ToBytes(`rincon ${plain(code)}`)));

/** A code as it is compared: however it was spaced, in capitals or not. */
const plain = (code: string): string => code.toUpperCase().replace(/[^A-Z2-7]/g, '');

/** In the same time however much of it is right. */
function same(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  let differs = 0;
  for (let i = 0; i < a.length; i += 1) differs |= a.charCodeAt(i) ^ b.charCodeAt(i);
  return differs === 0;
}

/** Whether a device has typed the code before. */
export const hasPass = (cookie: string | undefined, code: string): boolean =>
  cookie !== undefined && same(cookie, passOf(code));

/** Whether what was typed is the code. */
export const isCode = (typed: string, code: string): boolean => same(passOf(typed), passOf(code));

/** So many in so long a time, of all who ask together; what is over is refused until some of it has passed. */
export class Allowance {
  #left: number;
  #at = -Infinity;
  constructor(
    readonly most: number,
    /** ms in which it is full again. */
    readonly within: number,
  ) {
    this.#left = most;
  }
  /** Takes one; false where there is none. */
  take(now: number): boolean {
    const since = Math.max(0, now - this.#at);
    if (Number.isFinite(since))
      this.#left = Math.min(this.most, this.#left + (since / this.within) * this.most);
    this.#at = now;
    if (this.#left < 1) return false;
    this.#left -= 1;
    return true;
  }
}
