import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../../assess';
import { lawsOf } from '../../catalogue';
import { applyEdit, type EditCall } from '../../edits';
import { proposeDesign } from '../../propose';
import { type Design } from '../../document';
import { METRIC, formatMessage } from '../../units';

const build = (animal: string | null, ...calls: EditCall[]): Design =>
  calls.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal,
        count: 1,
        size: { width: 0.9, depth: 0.45, height: 0.45 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
const found = (design: Design, code: string) =>
  assess(design, catalogue).findings.find((it) => it.code === code);
const said = (design: Design, code: string): string | undefined => {
  const it = found(design, code);
  return it && formatMessage(it.what, { prefs: METRIC, locale: 'en' }).replaceAll('\u00a0', ' ');
};
/** Carries out the first remedy the program offers. */
const mended = (design: Design, code: string): Design =>
  applyEdit(design, found(design, code)!.remedies[0]!.call!, catalogue);
const ground = { on: 'ground', at: { x: 0.4, y: 0.2 }, pot: false } as const;
const put = (kind: string, size = 0.4): EditCall => ({
  edit: 'addPlant',
  change: { kind, spot: ground, size },
});
const GECKO = 'goniurosaurus-hainanensis';

describe('findings of what lives in an enclosure', () => {
  it.each([
    ['nothing-planted', build(GECKO, { edit: 'proposeClimate', change: {} }), 'No plants are chosen yet.'],
    ['no-crew', build(GECKO), 'No crew is chosen yet.'],
    [
      'plant-too-tall',
      build(GECKO, put('hibiscus-rosa-sinensis', 1)),
      'The China rose is taller than the room over it.',
    ],
    [
      'plant-poisonous',
      build('pogona-vitticeps', put('kalanchoe-tomentosa')),
      'The panda plant is poisonous to eat.',
    ],
    [
      'plant-spines',
      build('teratoscincus-scincus', put('opuntia-microdasys')),
      'The bunny-ears prickly pear has barbed hairs that lodge in skin, mouth and eyes.',
    ],
    [
      'crew-unwanted',
      build(GECKO, { edit: 'setCrew', change: { kind: 'oxidus-gracilis', count: 20 } }),
      'The greenhouse millipede is not a crew: disturbed it gives off hydrogen cyanide.',
    ],
    [
      'crew-unwanted',
      build(GECKO, { edit: 'setCrew', change: { kind: 'dermestes-maculatus', count: 20 } }),
      'The hide beetle is not a crew: its young bore into cork, wood and foam, and gnaw at animals that moult or rest.',
    ],
    [
      'plant-dug-up',
      build('eryx-colubrinus', put('haworthia-cooperi')),
      'The window haworthia stands free in soil that is dug over.',
    ],
    [
      'crew-unwanted',
      build(GECKO, { edit: 'setCrew', change: { kind: 'subulina-octona', count: 5 } }),
      'The miniature awl snail is not a crew: it eats soft plants and breeds fast.',
    ],
    [
      'crew-escapes',
      build(GECKO, { edit: 'setCrew', change: { kind: 'alphitobius-diaperinus', count: 50 } }),
      'The lesser mealworm beetle gets out of open enclosures and may settle in a house.',
    ],
    [
      'crew-hungry',
      build(GECKO, { edit: 'setCrew', change: { kind: 'porcellio-laevis', count: 20 } }),
      'The smooth isopod nibbles soft plants and moulting animals when it lacks protein.',
    ],
  ] as const)('%s is told, and its remedy takes it away', (code, design, words) => {
    expect(said(design, code)).toBe(words);
    expect(found(mended(design, code), code)).toBeUndefined();
  });

  it('law and group have no remedy but people; each stands beside Living', () => {
    for (const [code, design, severity] of [
      ['plant-invasive', build(GECKO, put('hedera-helix')), 'note'],
      ['plant-protected', build(GECKO, put('ludisia-discolor')), 'note'],
      [
        'company-alone',
        build('eublepharis-macularius', { edit: 'setCount', change: { count: 2 } }),
        'severe',
      ],
    ] as const) {
      const it = found(design, code)!;
      expect(it, code).toMatchObject({ severity, place: { at: 'living' } });
      expect(it.remedies).toEqual([]);
      expect(found(build(GECKO), code)).toBeUndefined();
    }
  });

  it('law is told of crew and of soils too; several grades of it stand side by side', () => {
    const roach = build('tribolonotus-gracilis', {
      edit: 'setCrew',
      change: { kind: 'blaptica-dubia', count: 10 },
    });
    expect(said(roach, 'plant-invasive')).toBe('The spotted wood roach runs wild where it is let out.');
    const plain = build(GECKO);
    const fern: Design = {
      ...plain,
      ground: {
        ...plain.ground,
        layers: plain.ground.layers.map((it) =>
          it.kind === 'substrate'
            ? { ...it, mix: { ...it.mix, parts: [{ material: 'tree-fern-fibre', parts: 1 }] } }
            : it,
        ),
      },
    };
    expect(found(fern, 'material-protected')).toMatchObject({ severity: 'note', place: { at: 'ground' } });
    const laws = (id: string) => lawsOf(catalogue.animals.find((it) => it.id === id)!.growing);
    expect(laws('chamaeleo-calyptratus')).toEqual(['protected', 'invasive']);
    // US 50 CFR 16.14: salamanders of these genera are injurious for the fungus they may carry.
    for (const it of catalogue.animals)
      expect(laws(it.id).includes('injurious'), it.id).toBe(
        /^(Cynops|Plethodon|Pleurodeles|Salamandra|Tylototriton) /.test(it.scientific),
      );
    // One word, as rows of one’s own from before have it, is read as one grade.
    expect(lawsOf({ legal: 'venomous' })).toEqual(['venomous']);
    expect(lawsOf({})).toEqual([]);
  });

  it('poison does not matter to what eats no leaves; an enclosure of the approach of none wants no crew', () => {
    expect(found(build(GECKO, put('kalanchoe-tomentosa')), 'plant-poisonous')).toBeUndefined();
    expect(found(build(GECKO, { edit: 'setLiving', change: { school: 'none' } }), 'no-crew')).toBeUndefined();
    expect(found(build(null), 'nothing-planted')).toBeUndefined();
  });

  it('the whole proposal leaves nothing severe for any species', () => {
    for (const { id } of catalogue.animals) {
      const design = build(id, { edit: 'proposeLiving', change: {} });
      const severe = assess(design, catalogue).findings.filter(
        (it) => it.severity === 'severe' && it.place.at === 'living',
      );
      expect(
        severe.map((it) => it.code),
        id,
      ).toEqual([]);
    }
  });
});
