/** How text is written in bytes, as `TextDecoder` names it. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/**
 * Tells it by its mark, or by how it looks: Latin letters in UTF-16 have a zero in every other byte; what is no UTF-8 is
 * what Windows wrote before it (WHATWG Encoding names both).
 */
export function encodingOf(bytes: Uint8Array): Encoding {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const pairs = Math.floor(Math.min(bytes.length, 4096) / 2);
  let [even, odd] = [0, 0];
  for (let i = 0; i < pairs; i += 1) {
    if (bytes[2 * i] === 0) even += 1;
    if (bytes[2 * i + 1] === 0) odd += 1;
  }
  if (pairs > 0 && odd > 0.7 * pairs && even < 0.1 * pairs) return 'utf-16le';
  if (pairs > 0 && even > 0.7 * pairs && odd < 0.1 * pairs) return 'utf-16be';
  try {
    // The last letter of a cut may not be whole.
    new TextDecoder('utf-8', { fatal: true }).decode(bytes, { stream: true });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** Bytes as text, without their mark. */
export const decodeText = (bytes: Uint8Array, encoding = encodingOf(bytes)): string =>
  new TextDecoder(encoding).decode(bytes).replace(/^\uFEFF/, '');
