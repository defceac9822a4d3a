import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import type { Animal } from '../catalogue';
import { preyRule } from '../living/group';
import { feedingOf, isWeighed } from './food';
import { careRules } from './rules';
import { firstDesign } from '@/catalogue/testing';

const animal = (id: string): Animal => catalogue.animals.find((it) => it.id === id)!;
/** Days between two feedings. */
const every = (id: string, young = false): number => {
  const { when } = feedingOf(animal(id), young);
  if (when.by === 'since') return when.days;
  return Number(/INTERVAL=(\d+)/.exec(when.rrule)?.[1] ?? 1);
};

/*
 * What any good keeper would expect of well-known animals: days between feedings when grown and while they grow, whether
 * calcium and vitamins go on the food, and whether live insects are kept for it. Common practice; no source is claimed.
 */
const SHEETS: readonly (readonly [
  id: string,
  grown: number,
  young: number,
  calcium: boolean,
  vitamins: boolean,
  feeders: boolean,
])[] = [
  ['dendrobates-tinctorius', 1, 1, true, true, true],
  ['ranitomeya-imitator', 1, 1, true, true, true],
  ['phyllobates-terribilis', 1, 1, true, true, true],
  ['mantella-aurantiaca', 1, 1, true, true, true],
  ['agalychnis-callidryas', 3, 1, true, true, true],
  ['ranoidea-caerulea', 3, 1, true, true, true],
  ['bombina-orientalis', 3, 1, true, true, true],
  ['ceratophrys-cranwelli', 7, 3, true, true, true],
  ['pyxicephalus-adspersus', 7, 3, true, true, true],
  // Worms and water animals: powder washes off, and flies are no food for a newt.
  ['cynops-orientalis', 3, 1, false, false, false],
  ['pleurodeles-waltl', 3, 1, false, false, false],
  ['salamandra-salamandra', 3, 1, false, false, false],
  ['ambystoma-tigrinum', 3, 1, false, false, false],
  ['eublepharis-macularius', 3, 1, true, true, true],
  ['hemitheconyx-caudicinctus', 3, 1, true, true, true],
  ['goniurosaurus-hainanensis', 3, 1, true, true, true],
  // A prepared diet holds its vitamins.
  ['correlophus-ciliatus', 2, 2, true, false, true],
  ['phelsuma-grandis', 2, 2, true, false, true],
  ['anolis-carolinensis', 2, 1, true, true, true],
  ['furcifer-pardalis', 2, 1, true, true, true],
  ['pogona-vitticeps', 1, 1, true, true, true],
  ['chamaeleo-calyptratus', 1, 1, true, true, true],
  ['basiliscus-plumifrons', 2, 1, true, true, true],
  // Whole prey is dusted by nobody.
  ['pantherophis-guttatus', 14, 7, false, false, false],
  ['python-regius', 14, 7, false, false, false],
  ['eryx-colubrinus', 14, 7, false, false, false],
  ['thamnophis-sirtalis', 5, 2, false, false, false],
  ['boa-imperator', 14, 7, false, false, false],
  ['antaresia-childreni', 14, 7, false, false, false],
  ['phelsuma-laticauda', 2, 2, true, false, true],
  ['physignathus-cocincinus', 2, 1, true, true, true],
  ['anolis-equestris', 2, 1, true, true, true],
  ['tiliqua-scincoides', 2, 1, true, true, false],
  ['uromastyx-geyri', 1, 1, true, true, false],
  // What has no bones is not dusted, whatever it eats.
  ['brachypelma-hamorii', 10, 4, false, false, true],
  ['phidippus-regius', 4, 2, false, false, true],
  ['hierodula-membranacea', 4, 2, false, false, true],
  ['gromphadorhina-portentosa', 2, 1, false, false, false],
  ['coenobita-clypeatus', 2, 1, false, false, false],
  // What has a shell needs calcium most of all.
  ['testudo-hermanni', 1, 1, true, true, false],
  ['terrapene-carolina', 2, 1, true, true, false],
  ['cuora-flavomarginata', 2, 1, true, true, false],
  // Seldom, and never dusted.
  ['tliltocatl-albopilosus', 10, 4, false, false, true],
  ['pandinus-imperator', 10, 4, false, false, true],
  ['archispirostreptus-gigas', 14, 14, false, false, false],
  ['phyllium-philippinicum', 2, 2, false, false, false],
];

describe('what an animal is fed', () => {
  it.each(SHEETS)('%s, as any good keeper expects', (id, grown, young, calcium, vitamins, feeders) => {
    const food = feedingOf(animal(id), false);
    expect([every(id), every(id, true)]).toEqual([grown, young]);
    expect([food.calcium !== null, food.vitamins !== null, food.feeders]).toEqual([
      calcium,
      vitamins,
      feeders,
    ]);
    const rules = careRules(firstDesign(id, 'middle'), catalogue).map((it) => it.id);
    expect(['feed', 'dust', 'vitamins', 'powders', 'feeders'].filter((it) => rules.includes(it))).toEqual([
      'feed',
      ...(calcium ? ['dust'] : []),
      ...(vitamins ? ['vitamins'] : []),
      ...(calcium ? ['powders'] : []),
      ...(feeders ? ['feeders'] : []),
    ]);
  });
  it('says what harms in its own food, at the feeding', () => {
    const why = (id: string): string =>
      careRules(firstDesign(id, 'middle'), catalogue).find((it) => it.id === 'feed')!.why;
    expect(why('thamnophis-sirtalis')).toMatch(/thiaminase/);
    expect(why('pantherophis-guttatus')).toMatch(/hands washed/);
    expect(why('tliltocatl-albopilosus')).toMatch(/before a moult/);
    expect(why('eublepharis-macularius')).toMatch(/crickets bite/);
  });
  it('measures prey by what swallows it', () => {
    expect(preyRule(animal('pantherophis-guttatus'))).toBe('no thicker than its body at its widest');
    expect(preyRule(animal('eublepharis-macularius'))).toBe('no wider than the gap between its eyes');
    expect(preyRule(animal('salamandra-salamandra'))).toBe('no wider than its head');
    expect(preyRule(animal('tliltocatl-albopilosus'))).toBe('no longer than its own body');
    for (const id of ['testudo-hermanni', 'archispirostreptus-gigas', 'phyllium-philippinicum'])
      expect(preyRule(animal(id))).toBeNull();
  });
  it('weighs no animal that a catch harms more than a scale tells', () => {
    const left = catalogue.animals.filter((it) => !isWeighed(it)).map((it) => it.id);
    expect(left).toContain('ranitomeya-imitator');
    expect(left).toContain('tliltocatl-albopilosus');
    for (const id of [
      'eublepharis-macularius',
      'python-regius',
      'dendrobates-tinctorius',
      'furcifer-pardalis',
    ])
      expect(left).not.toContain(id);
  });
});
