import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '../edits';
import { allDifferencesOf, planComparison, PlannedComparison, progressOf, showsAfter } from '.';

const [bog] = demoDesigns(catalogue);
if (!bog) throw new Error('no demo');
const covered = (share: number) =>
  applyEdit(bog, { edit: 'setEnclosure', change: { topCover: share } }, catalogue);
const pair = [bog, { ...covered(0.9), id: 'other' }] as const;
const differ = (other: (typeof pair)[number], one: (typeof pair)[number] = bog) =>
  allDifferencesOf([one, other], catalogue);

describe('a comparison that is planned ahead', () => {
  const planned = planComparison({ id: 'c', of: [bog.id, 'other'], weeks: 2 }, differ(pair[1]), '2026-11-18');
  it('knows what is meant to differ, runs for whole weeks, and can be written and read', () => {
    expect(planned).toMatchObject({ since: '2026-11-18', until: '2026-12-02', closed: false });
    expect(Object.keys(planned.differs)).toHaveLength(1);
    expect(PlannedComparison.parse(JSON.parse(JSON.stringify(planned)))).toEqual(planned);
  });
  it('counts its days, and is over on the last', () => {
    expect(progressOf(planned, differ(pair[1]), '2026-11-23')).toEqual({
      day: 5,
      days: 14,
      isOver: false,
      changed: [],
    });
    expect(progressOf(planned, differ(pair[1]), '2026-12-02')).toMatchObject({ day: 14, isOver: true });
    expect(progressOf(planned, differ(pair[1]), '2027-01-02')).toMatchObject({ day: 14, isOver: true });
  });
  it('tells what has changed: a value that was meant to differ, one that was not, and what was made alike', () => {
    const [name] = differ(pair[1]).map((it) => it.what);
    const changed = (other: (typeof pair)[number]) =>
      progressOf(planned, differ(other), '2026-11-20').changed;
    expect(changed({ ...covered(0.5), id: 'other' })).toEqual([name]);
    expect(changed({ ...bog, id: 'other' })).toEqual([name]);
    const later = applyEdit(pair[1], { edit: 'setEnclosure', change: { height: 0.7 } }, catalogue);
    expect(changed(later).length).toBeGreaterThan(0);
    expect(changed(later)).not.toContain(name);
  });
});

describe('what could show after so many days', () => {
  // Two weeks of pairs of days are seven: t of six degrees of freedom is 2.45 (Fisher and Yates, table III).
  it('is Student’s interval of days that hang together by twos, and what probes differ by', () => {
    expect(showsAfter({ quantity: 'temperature', spread: 1 }, 14)).toBeCloseTo(
      Math.hypot(2.45 / Math.sqrt(7), 1.96 * 0.35),
      3,
    );
    expect(showsAfter({ quantity: 'humidity', spread: 0 }, 14)).toBeCloseTo(1.96 * 0.021, 6);
  });
});
