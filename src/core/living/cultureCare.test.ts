import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { feeders } from '@/catalogue/feeders';
import { careNow } from '../care';
import { findCrew } from '../catalogue';
import type { CultureAct, CultureRecord } from '../records';
import { applyEdit } from '../edits';
import { proposeDesign } from '../propose';
import {
  crewRhythm,
  culturesDue,
  culturesFed,
  feedersApart,
  firstHarvestOf,
  givesAt,
  harvestOf,
  rhythmOf,
} from '.';

const TODAY = '2026-11-28';
const feeder = (id: string) => feeders.find((it) => it.id === id)!;
const culture = (id: string, rest: Partial<CultureRecord> = {}): CultureRecord => ({
  id,
  changed: 0,
  gone: false,
  name: id,
  kind: 'drosophila-hydei',
  gutLoaded: false,
  tubs: 1,
  temperature: 22,
  started: '2026-11-01',
  ended: null,
  feedEvery: null,
  firstHarvest: 24,
  givesFor: 24,
  nextAfter: 10,
  splitEvery: null,
  acts: [],
  note: '',
  ...rest,
});
const act = (what: CultureAct['what'], on: string, gone = false): CultureAct => ({
  id: `${what} ${on}`,
  on,
  what,
  count: null,
  gone,
});
const told = (...all: CultureRecord[]) =>
  culturesDue(all, TODAY).map((it) => [it.culture.id, it.task, it.day, it.late]);

describe('the rhythm of a culture', () => {
  it('gives from its first harvest until it is spent', () => {
    expect(harvestOf(culture('a'))).toEqual({ from: '2026-11-25', to: '2026-12-19' });
    expect(harvestOf(culture('a', { givesFor: null }))).toEqual({ from: '2026-11-25', to: null });
    expect(harvestOf(culture('a', { firstHarvest: null }))).toBeNull();
  });
  it('of two of a species only the youngest asks for the next; what is spent is thrown out', () => {
    expect(
      told(culture('old', { started: '2026-10-01' }), culture('young', { started: '2026-11-20' })),
    ).toEqual([
      ['old', 'end', '2026-11-18', 10],
      ['young', 'next', '2026-11-30', -2],
      ['young', 'end', '2027-01-07', -40],
    ]);
  });
  it('is fed from its last meal on, a split counting as one, struck acts not', () => {
    const worms = (...acts: CultureAct[]) =>
      culture('worms', { feedEvery: 5, nextAfter: null, givesFor: null, splitEvery: 30, acts });
    expect(told(worms())).toEqual([
      ['worms', 'feed', '2026-11-06', 22],
      ['worms', 'split', '2026-12-01', -3],
    ]);
    expect(told(worms(act('fed', '2026-11-24')))[0]).toEqual(['worms', 'feed', '2026-11-29', -1]);
    expect(told(worms(act('fed', '2026-11-24', true)))[0]).toEqual(['worms', 'feed', '2026-11-06', 22]);
    expect(told(worms(act('fed', '2026-11-10'), act('split', '2026-11-26')))).toEqual([
      ['worms', 'feed', '2026-12-01', -3],
      ['worms', 'split', '2026-12-26', -28],
    ]);
  });
  it('ended or removed it is due for nothing; spent it is not fed', () => {
    expect(told(culture('a', { ended: TODAY }), culture('b', { gone: true }))).toEqual([]);
    expect(told(culture('c', { started: '2026-09-01', feedEvery: 2, nextAfter: null }))).toEqual([
      ['c', 'end', '2026-10-19', 40],
    ]);
  });
  it('away, it is fed on each day it will be due, and not once it is spent', () => {
    const days = (it: CultureRecord) => culturesFed([it], '2026-12-01', '2026-12-10').map(({ day }) => day);
    expect(days(culture('w', { feedEvery: 4, givesFor: null, acts: [act('fed', '2026-11-29')] }))).toEqual([
      '2026-12-03',
      '2026-12-07',
    ]);
    expect(days(culture('w', { feedEvery: 4, givesFor: 10, acts: [act('fed', '2026-11-29')] }))).toEqual([
      '2026-12-03',
    ]);
  });
});

describe('feeders', () => {
  it('fruit flies come on as fast as the laboratory handbook has it: 9 to 10 days at 25 °C, 19 at 18 °C, and some to be laid', () => {
    // Ashburner 1989, egg to adult: 8.5 to 10 days at 25 °C and about 19 at 18 °C; the flies that start it lay for one to three.
    const fly = feeder('drosophila-melanogaster');
    expect(firstHarvestOf(fly, 25)).toBe(12);
    expect(firstHarvestOf(fly, 18)).toBe(22);
    expect(firstHarvestOf(fly, 17)).toBeNull();
    expect(firstHarvestOf(fly, 30)).toBeNull();
  });
  it('springtails can be taken about when OECD 232 counts their young, water fleas when OECD 211 does', () => {
    // OECD 232: 28 days at 20 °C. OECD 211: 21 days at 20 °C, the first brood after 8 to 10.
    expect(firstHarvestOf(feeder('folsomia-candida'), 20)).toBe(30);
    const fleas = firstHarvestOf(feeder('daphnia-magna'), 20)!;
    expect(fleas).toBe(14);
    expect(fleas).toBeGreaterThan(10);
    expect(fleas).toBeLessThan(21);
  });
  it('bean beetles take five weeks at 25 °C and under four at 30 °C, crickets eight at 31 °C and eleven at 27 °C (common practice)', () => {
    expect(firstHarvestOf(feeder('callosobruchus-maculatus'), 25)).toBe(36);
    expect(firstHarvestOf(feeder('callosobruchus-maculatus'), 30)).toBe(25);
    expect(firstHarvestOf(feeder('acheta-domesticus'), 31)).toBe(57);
    expect(firstHarvestOf(feeder('acheta-domesticus'), 27)).toBe(79);
  });
  it('are 23, each breeding over a range, faster and more the warmer, its size a range', () => {
    expect(feeders).toHaveLength(23);
    for (const it of feeders) {
      const { low, high } = it.temperature.value;
      expect(it.pace.value.zero, it.english).toBeLessThan(low);
      const [slow, fast] = [firstHarvestOf(it, low)!, firstHarvestOf(it, high)!];
      expect(fast, it.english).toBeLessThanOrEqual(slow);
      expect(slow, it.english).toBeLessThan(366);
      expect(givesAt(it, low)).toBeLessThan(givesAt(it, high));
      expect(givesAt(it, high)).toBeCloseTo(it.givesADay.value, 9);
      expect(givesAt(it, high + 1)).toBe(0);
      // What gives for a time has a next; what goes on is split.
      expect(it.givesFor.value === null, it.english).toBe(it.splitEvery.value !== null);
      expect(it.givesFor.value === null, it.english).toBe(it.nextAfter.value === null);
    }
  });
});

describe('crew that is bred apart', () => {
  it('has the rhythm its forecast gives, and none where it is too cold to breed', () => {
    const kind = findCrew(catalogue, 'folsomia-candida')!;
    const rhythm = crewRhythm(kind, 0.04, 20);
    expect(rhythm).toMatchObject({ feedEvery: 7, givesFor: null, gutLoaded: false });
    expect(rhythm.firstHarvest).toBeGreaterThan(14);
    expect(rhythm.firstHarvest).toBeLessThan(120);
    expect(rhythm.splitEvery! >= rhythm.firstHarvest!).toBe(true);
    expect(crewRhythm(kind, 0.04, 3).firstHarvest).toBeNull();
  });
});

describe('feeders that are fed as cultures', () => {
  const crickets = culture('crickets', {
    kind: 'acheta-domesticus',
    ...rhythmOf(feeder('acheta-domesticus'), 28),
  });
  it('are one line of care, and no enclosure asks for it again', () => {
    const proposed = proposeDesign(
      {
        id: 'x',
        name: 'Box',
        animal: 'eublepharis-macularius',
        count: 1,
        size: { width: 0.9, depth: 0.45, height: 0.45 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    );
    const design = applyEdit(
      proposed,
      { edit: 'setStage', change: { stage: 'inhabited', since: TODAY } },
      catalogue,
    );
    const asks = (cultures: readonly CultureRecord[]): boolean =>
      careNow(design, catalogue, { feedersApart: feedersApart(cultures, TODAY) }).some(
        (it) => it.id === 'feeders',
      );
    expect(asks([])).toBe(true);
    expect(asks([crickets])).toBe(false);
    // Flies live on what they were started with; a culture that has ended feeds nothing.
    expect(asks([culture('flies')])).toBe(true);
    expect(asks([{ ...crickets, ended: '2026-11-20' }])).toBe(true);
  });
});
