import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CultureRecord, mergeCulture, type CultureAct } from '.';

const act = (id: string, rest: Partial<CultureAct> = {}): CultureAct => ({
  id,
  on: '2026-11-20',
  what: 'fed',
  count: null,
  gone: false,
  ...rest,
});
const culture = (rest: Partial<CultureRecord>): CultureRecord =>
  CultureRecord.parse({
    id: 'c',
    changed: 1,
    gone: false,
    name: 'Flies',
    kind: 'drosophila-hydei',
    gutLoaded: false,
    tubs: 1,
    temperature: 22,
    started: '2026-11-01',
    ended: null,
    feedEvery: 5,
    firstHarvest: 24,
    givesFor: 24,
    nextAfter: 10,
    splitEvery: null,
    acts: [],
    note: '',
    ...rest,
  });

describe('a culture on two devices', () => {
  it('keeps what was done on both, and its fields as changed last', () => {
    const here = culture({ changed: 5, tubs: 3, acts: [act('a'), act('b', { on: '2026-11-22' })] });
    const there = culture({ changed: 4, tubs: 2, acts: [act('c', { on: '2026-11-21', what: 'split' })] });
    const both = mergeCulture(there, here);
    expect(both.tubs).toBe(3);
    expect(both.acts.map((it) => it.id)).toEqual(['a', 'c', 'b']);
  });
  it('an act struck out on one of them stays so', () => {
    const struck = culture({ changed: 2, acts: [act('a', { gone: true })] });
    const later = culture({ changed: 9, acts: [act('a')] });
    for (const it of [mergeCulture(struck, later), mergeCulture(later, struck)])
      expect(it.acts).toEqual([act('a', { gone: true })]);
  });
  it('in whatever order, any number of times, comes to the same', () => {
    const any = fc
      .record({
        changed: fc.integer({ min: 0, max: 3 }),
        tubs: fc.integer({ min: 1, max: 3 }),
        acts: fc.uniqueArray(
          fc.record({
            id: fc.constantFrom('a', 'b', 'c'),
            gone: fc.boolean(),
            count: fc.constantFrom(null, 4),
          }),
          { selector: (it) => it.id },
        ),
      })
      .map(({ acts, ...rest }) => culture({ ...rest, acts: acts.map(({ id, ...own }) => act(id, own)) }));
    fc.assert(
      fc.property(any, any, any, (a, b, c) => {
        const ab = mergeCulture(a, b);
        expect(mergeCulture(b, a)).toEqual(ab);
        expect(mergeCulture(ab, b)).toEqual(ab);
        expect(mergeCulture(ab, c)).toEqual(mergeCulture(a, mergeCulture(b, c)));
      }),
    );
  });
});
