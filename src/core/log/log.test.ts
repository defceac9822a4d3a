import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOfLine, Entry, entryOf, ENTRY_KINDS, mergeLogs, quickEntries, type QuickPlace } from '.';

const PLACES: readonly QuickPlace[] = [
  { id: '1', name: 'Bog shelf' },
  { id: '2', name: 'Hedge' },
  { id: '3', name: 'Limestone' },
  { id: '4', name: 'Lime tree' },
];
const read = (line: string, open: QuickPlace | null = null) => quickEntries(line, PLACES, open);
const one = (line: string) => read(line, PLACES[1]!)[0]!;

describe('a line in a hurry', () => {
  it('is parted by semicolons, and a place holds till another is named', () => {
    const parts = read('bog mist 20s; fed 3 crickets, 1 left; 23.4 C 81 %; hedge cleaned');
    expect(parts.map((it) => [it.place?.name, it.draft?.kind, it.wrong])).toEqual([
      ['Bog shelf', 'mist', null],
      ['Bog shelf', 'feed', null],
      ['Bog shelf', 'reading', null],
      ['Hedge', 'clean', null],
    ]);
    expect(parts[0]!.draft!.values).toEqual({ seconds: 20 });
    expect(parts[1]!.draft).toMatchObject({ values: { count: 3, left: 1 }, text: 'crickets' });
    expect(parts[2]!.draft!.values).toMatchObject({ temperature: 23.4, humidity: 0.81, point: null });
  });
  it.each([
    ['mist 2 min', 'mist', { seconds: 120 }],
    ['refused', 'feed', { refused: true }],
    ['fed 5 flies', 'feed', { count: 5, left: null }],
    ['weighed 42,5 g', 'weight', { mass: 0.0425 }],
    ['42 g', 'weight', { mass: 0.042 }],
    ['1.2 kg', 'weight', { mass: 1.2 }],
    ['weighed 3 oz', 'weight', { mass: 3 * 0.028349523125 }],
    ['2 lb', 'weight', { mass: 2 * 0.45359237 }],
    ['74 F 60% basking', 'reading', { humidity: 0.6, point: 'basking' }],
    ['warm 28,5 °C', 'reading', { temperature: 28.5, point: 'warm' }],
    ['uvi 1.4', 'reading', { uvIndex: 1.4 }],
    ['eggs 2 under bark', 'eggs', { count: 2 }],
    ['born 3, all stay', 'birth', { count: 3 }],
    ['shed in one piece', 'shed', {}],
    ['looked sleepy today', 'note', {}],
  ] as const)('%s', (line, kind, values) => {
    const { draft, wrong } = one(line);
    expect(wrong).toBeNull();
    expect(draft!.kind).toBe(kind);
    expect(draft!.values).toMatchObject(values);
  });
  it('“all” and the name of a room mean each of them, with the animal that lives there', () => {
    const places: readonly QuickPlace[] = [
      { id: '1', name: 'Box 1', room: 'Cellar', animals: [{ id: 'a', name: 'Drip' }] },
      { id: '2', name: 'Box 10', room: 'Cellar' },
      { id: '3', name: 'Hall', room: 'Back room' },
    ];
    const told = (line: string) =>
      quickEntries(line, places, null).map((it) => [
        it.place?.id,
        it.animal?.id ?? null,
        it.draft?.kind,
        it.draft?.values.seconds ?? it.draft?.values.mass ?? null,
      ]);
    expect(told('all mist 20 s')).toEqual([
      ['1', null, 'mist', 20],
      ['2', null, 'mist', 20],
      ['3', null, 'mist', 20],
    ]);
    expect(told('CELLAR weighed 42 g')).toEqual([
      ['1', 'a', 'weight', 0.042],
      ['2', null, 'weight', 0.042],
    ]);
    expect(told('back room mist 5s; box 1 mist 9s')).toEqual([
      ['3', null, 'mist', 5],
      ['1', null, 'mist', 9],
    ]);
    // A box that is called like a room is meant by its name; “all” alone is nothing to write down.
    const named = [...places, { id: '4', name: 'Cellar', room: 'Hall' }];
    expect(quickEntries('cellar clean', named, null).map((it) => it.place?.id)).toEqual(['4']);
    expect(quickEntries('all', places, null).map((it) => it.draft)).toEqual([null]);
  });

  it('a number is not told twice', () => {
    expect(one('eggs 2 under bark').draft!.text).toBe('under bark');
    expect(one('born 3, all stay').draft!.text).toBe('all stay');
    expect(one('died').draft!.text).toBe('');
  });
  it('reads Fahrenheit as what it is', () => {
    expect(one('74 F').draft!.values.temperature).toBeCloseTo(23.333, 3);
  });
  it.each([
    ['mist 20s', null, /Begin with the name/],
    ['lim 20 C', null, /Which one: Limestone or Lime tree/],
    ['hedge', null, /What about Hedge/],
    ['fed 1 cricket, 3 left', PLACES[0]!, /3 left of 1 given/],
    ['812 %', PLACES[0]!, /between 0 and 100/],
    ['400 C', PLACES[0]!, /no thermometer/],
    ['weighed well', PLACES[0]!, /how much it weighs is missing/],
  ] as const)('%s is not written: it says why', (line, open, why) => {
    const [part] = read(line, open);
    expect(part!.draft).toBeNull();
    expect(part!.wrong).toMatch(why);
  });
  describe('changes more than the log', () => {
    const fern = { id: 'a3', name: 'Old Fern' };
    const tube = { device: 'uv', name: 'UV tube', rule: 'uv-uv' };
    const spot = { device: 'halogen', name: 'Mercury lamp', rule: 'uv-halogen' };
    const places: readonly QuickPlace[] = [
      { id: '1', name: 'Bog shelf' },
      { id: '2', name: 'Hedge', animals: [fern], lamps: [tube] },
      { id: '3', name: 'Dry wash', lamps: [tube, spot] },
    ];
    const of = (line: string) => {
      const [{ draft, wrong }] = quickEntries(line, places, null) as [
        ReturnType<typeof quickEntries>[number],
      ];
      return wrong ?? { kind: draft?.kind, rule: draft?.rule ?? null, effect: draft?.effect ?? null };
    };
    const lamp = { kind: 'repair', rule: 'uv-uv', effect: { does: 'lamp', device: 'uv' } };
    const mercury = { kind: 'repair', rule: 'uv-halogen', effect: { does: 'lamp', device: 'halogen' } };
    const count = (kind: string, by: number) => ({ kind, rule: null, effect: { does: 'count', by } });
    const nothing = (kind: string) => ({ kind, rule: null, effect: null });
    it.each([
      ['hedge replaced lamp', lamp],
      ['hedge replaced the bulb', lamp],
      ['hedge replaced UV', lamp],
      ['dry wash replaced mercury lamp', mercury],
      ['dry wash replaced lamp', 'Which one: UV tube or Mercury lamp?'],
      ['hedge replaced the pump', nothing('repair')],
      ['hedge replaced the lamp holder', nothing('repair')],
      ['hedge replaced the battery of the uv meter', nothing('repair')],
      ['hedge repaired the lamp holder', nothing('repair')],
      ['bog replaced lamp', nothing('repair')],
      ['bog died', count('death', -1)],
      ['bog died 3', count('death', -3)],
      ['bog born 4, stay', count('birth', 4)],
      ['bog hatched 2 stayed', count('hatching', 2)],
      ['bog born 4', nothing('birth')],
      ['bog hatched 2', nothing('hatching')],
      // Where one lives that is written down, it is that one.
      ['hedge died', { kind: 'death', rule: null, effect: { does: 'left' } }],
      ['Old Fern died', { kind: 'death', rule: null, effect: { does: 'left' } }],
    ] as const)('%s', (line, expected) => {
      expect(of(line)).toEqual(expected);
    });
  });
  describe('with animals named in it', () => {
    const sedge = { id: 'a1', name: 'Sedge' };
    const moss = { id: 'a2', name: 'Moss' };
    const old = { id: 'a3', name: 'Old Fern' };
    const places: readonly QuickPlace[] = [
      { id: '1', name: 'Bog shelf', animals: [sedge, moss] },
      { id: '2', name: 'Hedge', animals: [old] },
    ];
    const of = (line: string, open: QuickPlace | null = null) =>
      quickEntries(line, places, open).map(({ place, animal, draft, wrong }) => [
        place?.name,
        animal?.name,
        draft?.kind,
        draft?.animal,
        draft?.rule,
        draft?.values,
        wrong,
      ]);
    it.each([
      ['bog weighed Sedge 15.2 g', 'Bog shelf', 'Sedge', 'weight', 'a1', undefined, { mass: 0.0152 }],
      ['bog sedge 15,2 g', 'Bog shelf', 'Sedge', 'weight', 'a1', undefined, { mass: 0.0152 }],
      // By its name alone it is known where it lives.
      [
        'Sedge refused',
        'Bog shelf',
        'Sedge',
        'feed',
        'a1',
        undefined,
        { count: null, left: null, refused: true },
      ],
      [
        'fed Moss: 3 crickets',
        'Bog shelf',
        'Moss',
        'feed',
        'a2',
        undefined,
        { count: 3, left: null, refused: null },
      ],
      // Where one lives, what it is fed is what the box is fed, and what is weighed is that one.
      [
        'fed old fern 2 flies',
        'Hedge',
        'Old Fern',
        'feed',
        'a3',
        'feed',
        { count: 2, left: null, refused: null },
      ],
      ['hedge weighed 44 g', 'Hedge', 'Old Fern', 'weight', 'a3', undefined, { mass: 0.044 }],
      ['bog weighed 44 g', 'Bog shelf', undefined, 'weight', undefined, undefined, { mass: 0.044 }],
      [
        'bog fed 6 crickets',
        'Bog shelf',
        undefined,
        'feed',
        undefined,
        undefined,
        { count: 6, left: null, refused: null },
      ],
      // A reading is of a place.
      [
        'bog moss 23.4 C',
        'Bog shelf',
        undefined,
        'reading',
        undefined,
        undefined,
        { temperature: 23.4, point: 'moss' },
      ],
    ] as const)('%s', (line, place, animal, kind, id, rule, values) => {
      expect(of(line)).toEqual([[place, animal, kind, id, rule, values, null]]);
    });
    it('of one enclosure it is meant without its name', () => {
      const [own] = places;
      const [told] = quickEntries('mist 20s', [own!], null);
      expect([told!.place?.id, told!.wrong]).toEqual([own!.id, null]);
    });
    it('of two enclosures it does not guess, and a name within a word is none', () => {
      const twice = [...places, { id: '3', name: 'Fen', animals: [sedge] }];
      expect(quickEntries('Sedge refused', twice, null)[0]?.wrong).toMatch(/Begin with the name/);
      expect(of('bog sedges cut')[0]?.slice(0, 3)).toEqual(['Bog shelf', undefined, 'note']);
    });
  });
  it('never throws, and loses no part of what was typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (line) => {
        const parts = read(line, PLACES[0]!);
        const typed = line.split(/;|\n/).filter((it) => it.trim() !== '');
        expect(parts.map((it) => it.source)).toEqual(typed.map((it) => it.trim()));
        for (const it of parts) expect((it.draft === null) !== (it.wrong === null)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});

const entry = fc
  .record({
    id: fc.constantFrom('a', 'b', 'c', 'd'),
    at: fc.integer({ min: 0, max: 50 }),
    changed: fc.integer({ min: 0, max: 5 }),
    kind: fc.constantFrom(...ENTRY_KINDS),
    text: fc.string({ maxLength: 3 }),
    gone: fc.boolean(),
  })
  .map(({ id, at, changed, kind, text, gone }): Entry => ({
    ...entryOf({ kind, values: {}, text }, { id, design: 'd', at, changed }),
    gone,
  }));
const log = fc.array(entry, { maxLength: 6 });

describe('logs of two devices', () => {
  it('merge in any order, twice, to the same log; every line once, the later version of it', () => {
    fc.assert(
      fc.property(log, log, log, (a, b, c) => {
        const merged = mergeLogs(a, b);
        expect(mergeLogs(b, a)).toEqual(merged);
        expect(mergeLogs(merged, b)).toEqual(merged);
        expect(mergeLogs(mergeLogs(a, b), c)).toEqual(mergeLogs(a, mergeLogs(b, c)));
        expect(new Set(merged.map((it) => it.id))).toEqual(new Set([...a, ...b].map((it) => it.id)));
        for (const it of merged)
          expect(it.changed).toBe(
            Math.max(...[...a, ...b].filter((own) => own.id === it.id).map((own) => own.changed)),
          );
      }),
    );
  });
  it('every line can be written and read', () => {
    fc.assert(
      fc.property(entry, (it) => {
        expect(Entry.parse(JSON.parse(JSON.stringify(it)))).toEqual(it);
      }),
    );
  });
});

describe('the day of a line', () => {
  it('is that of the clock it was written by, wherever it is read; without one, the reader’s', () => {
    // Twenty past eight in the evening of the 27th in Mexico City, UTC−6; in Auckland it is the 28th.
    const at = Date.parse('2026-11-28T02:20:00Z');
    const auckland = (it: number): string => new Date(it + 13 * 3_600_000).toISOString().slice(0, 10);
    expect(dayOfLine({ at, ahead: -360 }, auckland)).toBe('2026-11-27');
    expect(dayOfLine({ at, ahead: null }, auckland)).toBe('2026-11-28');
    // As rows were kept before there was such a field.
    expect(dayOfLine({ at }, auckland)).toBe('2026-11-28');
  });
});
