import { describe, expect, it } from 'vitest';
import { FAULTS } from './faultyBoxes';
import { BOXES, canHave, tellOf, type Told } from './faultyCases';
import { UNSEEN } from './faultySeeds';

/** Hours before the end at which a fault begins: since last night, some days, weeks. */
const AGES = [14, 60, 480] as const;
/** Days that are known before it at the least. */
const KNOWN = 6;

function all(first: number): readonly Told[] {
  let n = 0;
  return FAULTS.flatMap((fault) =>
    BOXES.filter((box) => canHave(box, fault)).flatMap((box) =>
      AGES.map((age) => {
        const seed = first + ((n * 7 + age) % 97);
        n += 1;
        return tellOf(box, fault, Math.min(age, (21 + (seed % 8) - KNOWN) * 24), seed);
      }),
    ),
  );
}

/** What readings cannot show, nobody can find: a fault that changes less than 0.8 K or four points in its last day. */
const shows = (told: readonly Told[]): readonly Told[] => told.filter((own) => own.effect >= 1);
const share = (told: readonly Told[], is: (own: Told) => boolean): number =>
  told.filter(is).length / told.length;
const report = (told: readonly Told[]): string =>
  told
    .filter((own) => !own.right)
    .map(
      (own) =>
        `${own.name}: ${own.found.verdict} ${own.found.causes
          .slice(0, 2)
          .map((cause) => `${cause.id} ${cause.score.toFixed(1)}`)
          .join(', ')}`,
    )
    .join('\n');

/* Data from elsewhere: 21 faults in four boxes of an independent generator. What was measured stands in docs/testing.md. */
describe.each([
  ['seen while the weights were set', 1],
  ['never looked at', UNSEEN],
])('faults of an independent generator, %s', (_, first) => {
  const told = shows(all(first));
  it('are more than a hundred that readings can show', () => {
    expect(told.length).toBeGreaterThan(100);
  });
  it('the true cause is first in at least eight of ten, and among three in nineteen of twenty', () => {
    const words = first === UNSEEN ? '' : report(told);
    expect(
      share(told, (own) => own.right),
      words,
    ).toBeGreaterThanOrEqual(0.8);
    expect(
      share(told, (own) => own.rank !== null && own.rank < 3),
      words,
    ).toBeGreaterThanOrEqual(0.95);
  });
  it('a wrong cause is named in at most one of twenty', () => {
    expect(share(told, (own) => own.found.verdict === 'named' && !own.right)).toBeLessThanOrEqual(0.05);
  });
  it('of what it is more than nine tenths sure of nine in ten are true, of what it is less sure of less', () => {
    const sure = told.filter((own) => (own.found.causes[0]?.share ?? 0) > 0.9);
    const unsure = told.filter((own) => {
      const of = own.found.causes[0]?.share ?? 0;
      return of > 0.35 && of < 0.7;
    });
    expect(sure.length).toBeGreaterThan(50);
    expect(share(sure, (own) => own.right)).toBeGreaterThanOrEqual(0.9);
    expect(share(unsure, (own) => own.right)).toBeLessThan(0.85);
  });
  it('a fault of weeks is found about as often as one of days: it never becomes what is usual', () => {
    const of = (hours: (own: Told) => boolean): number => share(told.filter(hours), (own) => own.right);
    const old = of((own) => own.name.includes(' h') && Number(/(\d+) h,/.exec(own.name)?.[1]) > 200);
    const fresh = of((own) => / 60 h,/.test(own.name));
    expect(Math.abs(old - fresh)).toBeLessThan(0.12);
  });
});

it('of forty sound boxes, ten of them in rough weather, at most two are accused', () => {
  const accused = Array.from({ length: 40 }, (_, i) => {
    const box = BOXES[i % 4];
    if (!box) throw new Error('no box');
    return tellOf(box, null, 0, UNSEEN + 400 + i, i >= 30 ? { rough: 2.5 } : {});
  }).filter((own) => own.found.verdict === 'named');
  expect(accused.length, report(accused)).toBeLessThanOrEqual(2);
});
