import { describe, expect, it } from 'vitest';
import { catalogue, withPrices } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { findAnimal, type Animal } from '../catalogue';
import { applyEdit, type EditCall } from '../edits';
import { Design as DesignSchema, type Design } from '../document';
import { proposeDesign } from '../propose';
import { layGround } from '../ground';
import {
  allFindings,
  ANSWER_WORDS,
  borneIn,
  borneOf,
  boundOf,
  criteriaIn,
  criteriaOf,
  dependsOn,
  rowsOf,
  GLANCE,
  HOLDS,
  harmsIn,
  judgeDesign,
  roomsCounted,
  JUDGING,
  lineOf,
  measure,
  outsideOf,
  playToJudge,
  playYear,
  ROOMS,
  seasonsWord,
  TOLERANCE,
  wantedIn,
  wordOf,
  yearFindings,
  type CriterionId,
  type YearRun,
} from '.';
import { judgeUv } from '../fitting';
import { DAY } from '../physics/constants';
import type { Season } from '../climate/roomProfile';

type RoomKind = 'dry' | 'middle' | 'humid';
const FIRST: readonly EditCall[] = [
  { edit: 'proposeScape', change: {} },
  { edit: 'proposeClimate', change: {} },
  { edit: 'proposeLiving', change: {} },
];
const made = (animal: string, kind: RoomKind, edits: readonly EditCall[] = FIRST): Design =>
  edits.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: null,
        room: { kind, temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
const row = (id: string): Animal => findAnimal(catalogue, id)!;
const plain = {
  seasons: ['winter', 'summer'],
  seeds: null,
  days: 1,
  every: 1800,
  looser: 3,
  settling: [14, 14],
} as const;

describe('what is asked of a place', () => {
  it('wanted is the band of the catalogue, borne goes beyond by the rule of the group', () => {
    const gecko = criteriaOf(row('correlophus-ciliatus'), { moistHide: false });
    const night = gecko.find((it) => it.id === 'night')!;
    expect(night.wanted).toEqual({ low: 18, high: 22 });
    // A night two kelvin over the band is a note for a gecko: inside 22 + 4.
    expect(night.borne).toEqual({ low: 15, high: 26 });
    // For a salamander it is harm: its night band ends at 16, and 17 is borne.
    const salamander = criteriaOf(row('salamandra-salamandra'), { moistHide: false });
    expect(salamander.find((it) => it.id === 'night')!.borne.high).toBe(17);
    expect(TOLERANCE).toEqual({ temperature: 1, humidity: 0.05 });
  });
  it('a cool side may be as cool as the nights; it has no place of its own to be too cold by day', () => {
    for (const animal of catalogue.animals) {
      const cool = criteriaOf(animal, { moistHide: false }).find((it) => it.id === 'cool')!;
      expect(cool.wanted.low).toBe(Math.min(animal.climate.cool.value.low, animal.climate.night.value.low));
      expect(cool.wanted.high).toBe(animal.climate.cool.value.high);
    }
  });
  it('a moist hide answers for drier air, as far as that is borne, and is then judged itself', () => {
    const leopard = row('eublepharis-macularius');
    const without = criteriaOf(leopard, { moistHide: false });
    const having = criteriaOf(leopard, { moistHide: true });
    const low = (all: typeof having): number => all.find((it) => it.id === 'humidity-day')!.wanted.low;
    expect(low(without)).toBe(0.3);
    expect(low(having)).toBeCloseTo(0.15, 9);
    expect(having.some((it) => it.id === 'hide')).toBe(true);
    expect(without.some((it) => it.id === 'hide')).toBe(false);
    // A kind that sheds without one is not excused by it.
    const frog = row('agalychnis-callidryas');
    expect(criteriaOf(frog, { moistHide: true })).toEqual(criteriaOf(frog, { moistHide: false }));
  });
  it('every species has borne edges outside its wanted ones; a row of its own goes before the rule', () => {
    for (const animal of catalogue.animals)
      for (const { wanted, borne } of criteriaOf(animal, { moistHide: true })) {
        expect(borne.low, animal.id).toBeLessThanOrEqual(wanted.low);
        expect(borne.high, animal.id).toBeGreaterThanOrEqual(wanted.high);
      }
    const own = { hot: 0, warmNight: 0.5, cold: 1, coldNight: 1, dry: 0, damp: 0 };
    const tender: Animal = {
      ...row('eublepharis-macularius'),
      climate: { ...row('eublepharis-macularius').climate, borne: { value: own, basis: 'measured' } },
    };
    expect(borneOf(tender)).toEqual(own);
  });
});

describe('a winter rest', () => {
  const rested = (place: 'here' | 'apart') => {
    const design = made('eublepharis-macularius', 'middle');
    const rest = { from: '12-10', weeks: 8, place, since: null };
    const verdict = judgeDesign({
      design: { ...design, living: { ...design.living, rest } },
      catalogue,
      playing: plain,
      alone: true,
    })!;
    return (season: Season, criterion: CriterionId) =>
      verdict.places.find((it) => it.season === season && it.criterion === criterion)!.wanted;
  };
  it('here: in the season it rests in it may be as cold as it rests, in no other, and no warmer than ever', () => {
    const { warm, night } = row('eublepharis-macularius').climate;
    const wanted = rested('here');
    expect(wanted('winter', 'warm')).toEqual({ low: 14, high: warm.value.high });
    expect(wanted('winter', 'night')).toEqual({ low: 14, high: night.value.high });
    expect(wanted('summer', 'warm')).toEqual(warm.value);
  });
  it('somewhere else: nothing is asked otherwise', () => {
    expect(rested('apart')('winter', 'warm')).toEqual(row('eublepharis-macularius').climate.warm.value);
  });
});

describe('hours', () => {
  const design = made('eublepharis-macularius', 'middle');
  const animal = row('eublepharis-macularius');
  const year = playYear(design, catalogue, layGround(design, catalogue), plain);
  /** The same year with one series made flat by day and by night. */
  const told = (name: 'felt0' | 'felt1', day: number, night: number): YearRun => ({
    ...year,
    played: year.played.map((it) => ({
      ...it,
      run: {
        ...it.run,
        series: {
          ...it.run.series,
          [name]: Float32Array.from(it.run.t, (t) => {
            const { from, to } = it.plan(0).day[0]!;
            const at = t % DAY;
            return at > from && at <= to ? day : night;
          }),
        },
      },
    })),
  });
  const warm = (day: number) =>
    measure(told('felt0', day, 21), animal, criteriaOf(animal, { moistHide: false })).find(
      (it) => it.criterion.id === 'warm' && it.season === 'winter',
    )!;
  it('inside is within a kelvin of the band, and every hour but that of the change is counted once', () => {
    // 29 to 32 is wanted.
    expect(warm(30).inside).toBe(1);
    expect(warm(28.01).inside).toBe(1);
    expect(warm(32.99).inside).toBe(1);
    expect(warm(27.9)).toMatchObject({ inside: 0, under: 1, over: 0 });
    expect(warm(33.1)).toMatchObject({ inside: 0, under: 0, over: 1 });
    // Misted by the week: seven days of twelve hours of light, the first of each left out.
    expect(warm(30).hours).toBe(7 * 11);
  });
  it('hours outside weigh by how far they are: a tenth of a kelvin for eleven hours 1.1 K·h, five 55', () => {
    expect(warm(30).weight).toBe(0);
    expect(warm(27.9).weight).toBeCloseTo(1.1, 3);
    expect(warm(23).weight).toBeCloseTo(55, 3);
    // Borne down to 26: two kelvin under that and its tolerance.
    expect(warm(23).harm).toBeCloseTo(22, 3);
    expect(warm(23).borne).toBe(0);
    expect(warm(26).borne).toBe(1);
  });
  it('too warm a night is judged where it is coolest, too cold a one where it is warmest', () => {
    // 19 to 23 is wanted by night.
    const night = (warmSide: number, coolSide: number) => {
      const both = told('felt0', 30, warmSide);
      const run: YearRun = {
        ...both,
        played: both.played.map((it) => ({
          ...it,
          run: {
            ...it.run,
            series: { ...it.run.series, felt1: Float32Array.from(it.run.t, () => coolSide) },
          },
        })),
      };
      return measure(run, animal, criteriaOf(animal, { moistHide: false })).find(
        (it) => it.criterion.id === 'night' && it.season === 'summer',
      )!;
    };
    expect(night(28, 23)).toMatchObject({ inside: 1, over: 0 });
    expect(night(28, 25)).toMatchObject({ inside: 0, over: 1 });
    expect(night(20, 12)).toMatchObject({ inside: 1, under: 0 });
    expect(night(16, 12)).toMatchObject({ inside: 0, under: 1 });
  });
});

describe('the room as a bound', () => {
  it('a fire salamander cannot be held at 21 °C: its nights are warmer than it bears, and what would do is said', () => {
    const design = made('salamandra-salamandra', 'middle');
    const bound = boundOf(design, row('salamandra-salamandra'), catalogue)!;
    expect(bound.what).toBe('too warm');
    expect(bound.borne).toBeLessThanOrEqual(21);
    // A room brought down by as much would do: asked again there, nothing stands against it.
    const cooler = applyEdit(
      design,
      { edit: 'setRoom', change: { temperature: 21 - (bound.room - bound.cure) - 2 } },
      catalogue,
    );
    expect(boundOf(cooler, row('salamandra-salamandra'), catalogue)).toBeNull();
    const verdict = judgeDesign({ design, catalogue, alone: true })!;
    expect(verdict.answer).toBe('cannot');
    const [first] = yearFindings(verdict, design, catalogue);
    expect(first).toMatchObject({ code: 'room-too-warm', severity: 'severe', place: { at: 'brief' } });
  });
  it('heat and vapour can be added: a cold dry room is no bound, a steaming one is for a desert species', () => {
    const at = (temperature: number, humidity: number, animal: string) =>
      boundOf(
        applyEdit(
          made(animal, 'middle', []),
          { edit: 'setRoom', change: { temperature, humidity } },
          catalogue,
        ),
        row(animal),
        catalogue,
      );
    expect(at(14, 0.15, 'agalychnis-callidryas')).toBeNull();
    expect(at(14, 0.15, 'pogona-vitticeps')).toBeNull();
    expect(at(22, 0.4, 'pogona-vitticeps')).toBeNull();
    // One that bears nothing beyond its bands, in a steaming room: too damp at the warmest it bears, and how dry would do.
    const dragon = row('pogona-vitticeps');
    const none = { hot: 0, warmNight: 0, cold: 0, coldNight: 0, dry: 0, damp: 0 };
    const tender: Animal = {
      ...dragon,
      climate: { ...dragon.climate, borne: { value: none, basis: 'measured' } },
    };
    const steaming = (humidity: number): Design =>
      applyEdit(
        made(dragon.id, 'middle', []),
        { edit: 'setRoom', change: { temperature: 20, humidity } },
        catalogue,
      );
    const damp = boundOf(steaming(0.95), tender, catalogue)!;
    expect(damp.what).toBe('too damp');
    expect(damp.cure).toBeLessThan(0.9);
    // The cure is of the hours that are too damp: a damp summer’s night, a third over the mean of the year.
    expect(boundOf(steaming(damp.cure * 0.65), tender, catalogue)).toBeNull();
  });
});

describe('UV', () => {
  it('is judged by its middle at the basking spot; species of the shade may go without', () => {
    const dragon = made('pogona-vitticeps', 'middle');
    const ground = layGround(dragon, catalogue);
    const uv = judgeUv(dragon, row('pogona-vitticeps'), ground, catalogue)!;
    expect([uv.zone, uv.at, uv.wanted]).toEqual([3, 'basking', { low: 2.9, high: 7.4 }]);
    expect(uv.index[1]).toBeGreaterThan(2.9);
    expect(uv.index[1]).toBeLessThan(7.4);
    expect(uv.answer).toBe('inside');
    // The same tube hung far over the lid gives a fraction of it.
    const tube = dragon.climate.devices.find((it) => it.kind.startsWith('uv-'))!;
    const far = applyEdit(
      dragon,
      {
        edit: 'moveDevice',
        change: { device: tube.id, to: { ...tube.at, z: dragon.enclosure.height + 0.4 } },
      },
      catalogue,
    );
    const weak = judgeUv(far, row('pogona-vitticeps'), ground, catalogue)!;
    expect(weak.index[1]).toBeLessThan(uv.index[1] / 2);
    expect(weak.answer).toBe('weak');
    const leopard = made('eublepharis-macularius', 'middle');
    expect(
      judgeUv(leopard, row('eublepharis-macularius'), layGround(leopard, catalogue), catalogue),
    ).toBeNull();
  });
});

describe('one verdict', () => {
  const design = made('dendrobates-auratus', 'dry');
  const verdict = judgeDesign({ design, catalogue })!;
  it('a quick design for a frog in a dry room does not hold: its air, where, when, how much', () => {
    expect(verdict.answer).toBe('fails');
    const dry = outsideOf(verdict).find((it) => it.criterion === 'humidity-night')!;
    expect(dry.way).toBe('under');
    expect(dry.harms).toBe(true);
    expect(dry.seasons).toContain('winter');
    expect(dry.worst.inside).toBeLessThan(0.1);
    const findings = yearFindings(verdict, design, catalogue);
    expect(findings.map((it) => it.code)).toContain('night-dry');
    expect(findings[0]!.severity).toBe('severe');
  });
  it('is the same for the same design, and for one that differs by name and note alone', () => {
    expect(judgeDesign({ design, catalogue })).toEqual(verdict);
    const other = { ...design, name: 'y', brief: { ...design.brief, note: 'told by a friend' } };
    expect(dependsOn(other)).toBe(dependsOn(design));
    expect(
      dependsOn(applyEdit(design, { edit: 'setEnclosure', change: { topCover: 0.5 } }, catalogue)),
    ).not.toBe(dependsOn(design));
    // All of it goes to a worker and into storage as it is.
    expect(structuredClone(verdict)).toEqual(verdict);
  });
  it('looks at four seasons, every place in each, and at four rooms more', () => {
    const seasons = new Set(verdict.places.map((it) => it.season));
    expect(seasons).toEqual(new Set(['winter', 'spring', 'summer', 'autumn']));
    for (const season of seasons)
      expect(verdict.places.filter((it) => it.season === season).map((it) => it.criterion)).toEqual([
        'warm',
        'cool',
        'night',
        'humidity-day',
        'humidity-night',
      ]);
    expect(verdict.sure.of).toBe(ROOMS.length);
    // Counted after the answer it is the same.
    expect(roomsCounted({ design, catalogue, harms: harmsIn(verdict) })).toEqual(verdict.sure);
    expect(verdict.sure.fine).toBeLessThan(ROOMS.length);
  });
  it('the answer follows from its parts', () => {
    const harms = verdict.places.some((it) => !borneIn(it));
    expect(harms).toBe(true);
    for (const it of verdict.places) if (wantedIn(it)) expect(it.inside).toBeGreaterThanOrEqual(HOLDS);
    // Without an animal there is nothing to judge it by.
    expect(
      judgeDesign({ design: made('dendrobates-auratus', 'dry', []), catalogue, alone: true }),
    ).not.toBeNull();
    const nobody = applyEdit(design, { edit: 'setAnimal', change: { animal: null } }, catalogue);
    expect(judgeDesign({ design: nobody, catalogue })).toBeNull();
  });
  it('a first look and a judgement tell the same of a season’s mean day', () => {
    const ground = layGround(design, catalogue);
    const glance = measure(
      playYear(design, catalogue, ground, GLANCE),
      row('dendrobates-auratus'),
      criteriaOf(row('dendrobates-auratus'), { moistHide: false }),
    );
    for (const it of glance) {
      const judged = verdict.places.find(
        (own) => own.criterion === it.criterion.id && own.season === it.season,
      )!;
      expect(Math.abs(it.mean - judged.mean), `${it.criterion.id} ${it.season}`).toBeLessThan(
        it.criterion.measure === 'temperature' ? 0.8 : 0.06,
      );
    }
  });
});

describe('a year that leaves it in doubt', () => {
  it('is played in five weathers, and judged by all of them; one that holds well, or does not, in three', () => {
    const design = demoDesigns(catalogue)[3]!;
    const ground = layGround(design, catalogue);
    const animal = findAnimal(catalogue, design.brief.animal)!;
    const year = playYear(design, catalogue, ground, JUDGING);
    const upTo = (high: number): Animal => {
      const { night } = animal.climate;
      return {
        ...animal,
        climate: { ...animal.climate, night: { ...night, value: { ...night.value, high } } },
      };
    };
    const least = (of: Animal, played: YearRun): number =>
      Math.min(...measure(played, of, criteriaIn(of, played)).map((it) => it.inside));
    const nights = (high: number): number => playToJudge(design, catalogue, ground, upTo(high)).played.length;
    // The warmest night that may be, so that nine in ten of its hours are inside, and a few more.
    let [low, high] = [0, 40];
    for (let i = 0; i < 30; i += 1) {
      const middle = (low + high) / 2;
      if (least(upTo(middle), year) < 0.92) low = middle;
      else high = middle;
    }
    const barely = playToJudge(design, catalogue, ground, upTo(high));
    expect(least(upTo(high), year)).toBeGreaterThanOrEqual(0.92);
    expect(least(upTo(high), year)).toBeLessThan(0.95);
    expect(barely.played).toHaveLength(20);
    expect(barely.played.slice(0, 12).map((it) => it.run.end)).toEqual(year.played.map((it) => it.run.end));
    expect(least(upTo(high), barely)).not.toBe(least(upTo(high), year));
    expect(nights(high + 3)).toBe(12);
    expect(nights(high - 3)).toBe(12);
  });
});

describe('what a verdict depends on', () => {
  it('is the same of the demo as it is made, and as it was kept and read again', () => {
    for (const design of demoDesigns(catalogue))
      expect(dependsOn(DesignSchema.parse(JSON.parse(JSON.stringify(design)))), design.name).toBe(
        dependsOn(design),
      );
  });
});

describe('the rows', () => {
  it('another price judges nothing anew; another band does', () => {
    expect(rowsOf(withPrices(catalogue, { 'charcoal/bag-5l': 11.5 }))).toBe(rowsOf(catalogue));
    const [first, ...others] = catalogue.animals;
    const climate = { ...first!.climate, warm: { ...first!.climate.warm, value: { low: 30, high: 31 } } };
    expect(rowsOf({ ...catalogue, animals: [{ ...first!, climate }, ...others] })).not.toBe(
      rowsOf(catalogue),
    );
  });
});

describe('the words', () => {
  it('five answers and three that are none; unknown is never good', () => {
    expect(wordOf({ at: 'calculating' })).toBe('calculating');
    expect(ANSWER_WORDS.calculating).toBe('Being calculated');
    expect(new Set(Object.values(ANSWER_WORDS)).size).toBe(8);
    expect(ANSWER_WORDS.undescribed).toBe('Not described');
    expect(lineOf({ at: 'undescribed' }).join('')).toBe('Describe what stands in it to forecast its year.');
    expect(lineOf({ at: 'calculating' }).join('')).not.toMatch(/holds|fine|fix/i);
    expect(allFindings([], { at: 'calculating' })).toEqual([]);
  });
  it('seasons as one says them', () => {
    expect(seasonsWord(['summer'])).toBe('in summer');
    expect(seasonsWord(['autumn', 'winter'])).toBe('in winter and autumn');
    expect(seasonsWord(['winter', 'spring', 'summer', 'autumn'])).toBe('all year');
  });
});

describe('the demo', () => {
  const told = demoDesigns(catalogue).map((design) => {
    const verdict = judgeDesign({ design, catalogue, alone: true })!;
    return [design.name, verdict.answer, yearFindings(verdict, design, catalogue)] as const;
  });
  it('holds, all but the hedge, whose fogger is still to be bought: its air is too dry, and its note says so', () => {
    expect(told.map(([name, answer]) => [name, answer])).toEqual([
      ['Bog shelf', 'holds'],
      ['Hedge', 'fails'],
      ['Limestone', 'holds'],
      ['Dry wash', 'holds'],
    ]);
    expect(told[1]![2][0]).toMatchObject({ code: 'air-dry', severity: 'severe' });
    expect(demoDesigns(catalogue)[1]!.brief.note).toMatch(/fogger is still to be bought/);
    for (const [name, , findings] of told)
      if (name !== 'Hedge')
        expect(
          findings.filter((it) => it.severity === 'severe' || it.severity === 'look'),
          name,
        ).toEqual([]);
  });
});
