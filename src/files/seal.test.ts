import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { codeText, fromBase32, newCode, readCode, seal, toBase32, unseal } from '.';

const hex = (text: string) => Uint8Array.from(text.match(/../g)!, (it) => parseInt(it, 16));
const ascii = (text: string) => new TextEncoder().encode(text);

describe('sealed packages', () => {
  it('open as the published test vector has it (NIST SP 800-38D, AES-128, test case 2)', () => {
    const sealed = hex(`${'00'.repeat(12)}0388dace60b6a392f328c2b971b2fe78ab6e47d42cec13bdf53a67b21257bddf`);
    expect(unseal(sealed, new Uint8Array(16))).toEqual(new Uint8Array(16));
  });
  it('open with their key, not with another, and not when a byte was changed', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), fc.nat(), (bytes, at) => {
        const { key } = newCode();
        const sealed = seal(bytes, key);
        expect(unseal(sealed, key)).toEqual(Uint8Array.from(bytes));
        expect(unseal(sealed, newCode().key)).toBeNull();
        const changed = Uint8Array.from(sealed);
        changed[at % changed.length]! ^= 1;
        expect(unseal(changed, key)).toBeNull();
      }),
      { numRuns: 50 },
    );
    expect(unseal(new Uint8Array(5), newCode().key)).toBeNull();
  });
});

describe('codes', () => {
  it.each([
    ['f', 'MY'],
    ['fo', 'MZXQ'],
    ['foo', 'MZXW6'],
    ['foob', 'MZXW6YQ'],
    ['fooba', 'MZXW6YTB'],
    ['foobar', 'MZXW6YTBOI'],
  ])('base 32 of %s as RFC 4648 has it', (plain, coded) => {
    expect(toBase32(ascii(plain))).toBe(coded);
    expect(fromBase32(coded)).toEqual(ascii(plain));
  });
  it('are read as they were said, with blanks, small letters and figures taken for letters', () => {
    for (let i = 0; i < 50; i += 1) {
      const code = newCode();
      expect(readCode(codeText(code))).toEqual(code);
      expect(readCode(` ${codeText(code).toLowerCase().replaceAll('o', '0').replaceAll('i', '1')}`)).toEqual(
        code,
      );
    }
    expect(readCode('ABCD')).toBeNull();
    expect(readCode(`${codeText(newCode())}A`)).toBeNull();
  });
  it('with one letter changed are refused or another code, never the same: the last letter too', () => {
    expect(fromBase32('MY')).toEqual(ascii('f'));
    expect(fromBase32('MZ')).toBeNull();
    expect(fromBase32('MYA')).toBeNull();
    const plain = 'ABCDEF'.padEnd(32, 'A');
    const code = readCode(plain)!;
    for (let at = 0; at < plain.length; at += 1)
      for (const letter of 'BEZ27') {
        const changed = `${plain.slice(0, at)}${letter}${plain.slice(at + 1)}`;
        if (changed !== plain) expect(readCode(changed)).not.toEqual(code);
      }
  });
});
