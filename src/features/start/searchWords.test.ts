import { describe, expect, it } from 'vitest';
import type { Proposal } from '@/core/search';
import type { Verdict, VerdictState } from '@/core/verdict';
import { coverWords, crewWords, searchWords, verdictOf } from './searchWords';

const found = (verdict: Partial<Verdict> | null, looks = 12) => ({
  at: 'found' as const,
  seconds: 7.6,
  proposal: { verdict, looks } as unknown as Proposal,
});
const known = { at: 'known' } as VerdictState;

describe('what is said while a design that holds is sought', () => {
  it('the quick design is never called good, and a better one takes its place', () => {
    expect(verdictOf({ at: 'looking', looking: null }, known)).toEqual({ at: 'calculating' });
    expect(verdictOf(found({ answer: 'holds' }), known)).toBe(known);
    expect(verdictOf(found(null), known)).toMatchObject({ at: 'failed' });
    expect(searchWords({ at: 'looking', looking: { looks: 1, seconds: 2.4, first: null } })).toBe(
      'A first design stands; one that holds is sought: 1 way played in 2 s.',
    );
    expect(searchWords(found({ answer: 'holds' }))).toBe(
      'This design replaced the first one: 12 ways played in 8 s.',
    );
  });

  it('what does not hold says so, and whether the room allows it at all', () => {
    expect(searchWords(found({ answer: 'fails' }))).toBe('This comes nearest: 12 ways played in 8 s.');
    expect(searchWords(found({ answer: 'cannot', bound: {} as Verdict['bound'] }))).toMatch(
      /^No fitting makes this room do; this comes nearest/,
    );
  });

  it('the crew is told in cultures as they are bought, and when it sustains itself', () => {
    const crew = [
      { name: 'temperate springtails', cultures: 2, stands: 35 },
      { name: 'dwarf white isopods', cultures: 1, stands: null },
    ] as unknown as Verdict['crew'];
    expect(crewWords(found({ crew }))).toMatch(
      /^Cleanup crew: 2 cultures of temperate springtails, self-sustaining after .*; 1 culture of dwarf white isopods, to be topped up now and then\.$/,
    );
    expect(crewWords(found({ crew: [] }))).toBe('');
  });

  it('the top is told by what the enclosure is made of', () => {
    expect(coverWords('glass', 0.7)).toBe('Glass, 70 % of the top covered to hold moisture.');
    expect(coverWords('pvc', 0)).toBe('PVC, the top left open.');
    expect(coverWords('mesh', 0.5)).toBe('Mesh all round, so that air moves.');
  });
});
