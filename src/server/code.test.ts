import { describe, expect, it } from 'vitest';
import { Allowance, hasPass, isCode, passOf } from './code';

describe('the code of the local network', () => {
  it('is taken however it is spaced and spelt, and nothing else is', () => {
    for (const typed of ['ABCD-2345', 'abcd2345', ' AbCd 2345 '])
      expect(isCode(typed, 'ABCD-2345'), typed).toBe(true);
    for (const typed of ['ABCD-2346', 'ABCD-234', '', 'ABCD-23455'])
      expect(isCode(typed, 'ABCD-2345'), typed).toBe(false);
  });

  it('is remembered by a pass that is not the code', () => {
    expect(passOf('ABCD-2345')).toMatch(/^[0-9a-f]{64}$/);
    expect(hasPass(passOf('abcd2345'), 'ABCD-2345')).toBe(true);
    expect(hasPass(passOf('ABCD-2346'), 'ABCD-2345')).toBe(false);
    expect(hasPass(undefined, 'ABCD-2345')).toBe(false);
    expect(hasPass('', 'ABCD-2345')).toBe(false);
  });
});

describe('an allowance', () => {
  it('is used up, and comes back with time, never to more than it was', () => {
    const ten = new Allowance(10, 60_000);
    expect(Array.from({ length: 12 }, () => ten.take(0))).toEqual([
      ...Array<boolean>(10).fill(true),
      false,
      false,
    ]);
    // One in six seconds.
    expect(ten.take(5_900)).toBe(false);
    expect(ten.take(12_000)).toBe(true);
    expect(Array.from({ length: 12 }, () => ten.take(10_000_000)).filter(Boolean)).toHaveLength(10);
    // A clock that was set back gives nothing, and takes nothing away.
    expect(ten.take(9_000_000)).toBe(false);
  });
});
