import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  BASES,
  Catalogue,
  countBasis,
  countSources,
  LAW_WORK,
  Legal,
  ScientificName,
  sourcedShare,
  withFiveMarks,
  type Sourced,
} from '@/core/catalogue';
import { UV_ZONES } from '@/core/light/zones';
import { catalogue, withPrices } from '.';
import { feeders } from './feeders';
import { otherNames, OTHERWISE_NAMED } from './otherNames';
import { rules, works } from './works';

/** Every sourced value anywhere in the catalogue. */
function sourced(value: unknown, found: Sourced<unknown>[] = []): Sourced<unknown>[] {
  if (typeof value === 'object' && value !== null) {
    if ('basis' in value && 'value' in value) found.push(value as Sourced<unknown>);
    else for (const part of Object.values(value)) sourced(part, found);
  }
  return found;
}

describe('other names', () => {
  it('are of rows that are there, and no two species are called the same', () => {
    const rows = [...catalogue.animals, ...catalogue.living.plants, ...catalogue.living.crew];
    const ids = new Set(rows.map((it) => it.id));
    expect(OTHERWISE_NAMED.filter((it) => !ids.has(it))).toEqual([]);
    const english = new Set(rows.map((it) => it.english.toLowerCase()));
    for (const row of rows)
      for (const name of otherNames(row.id)) {
        expect(name, row.id).not.toBe('');
        // It is another name, not that of another.
        expect(english.has(name.toLowerCase()), `${row.id}: ${name}`).toBe(false);
      }
  });
  it.each([
    ['white tree frog', 'ranoidea-caerulea'],
    ['dumpy', 'ranoidea-caerulea'],
    ['Litoria', 'ranoidea-caerulea'],
    ['superworm', 'zophobas-atratus'],
    ['powder orange', 'porcellionides-pruinosus'],
    ['dairy cow', 'porcellio-laevis'],
    ['wandering', 'tradescantia-zebrina'],
    ['Königspython', 'python-regius'],
    ['beardie', 'pogona-vitticeps'],
  ])('%s is found', (called, id) => {
    const rows = [...catalogue.animals, ...catalogue.living.plants, ...catalogue.living.crew];
    const found = rows.filter((row) =>
      [row.english, row.scientific, ...otherNames(row.id)].some((it) =>
        it.toLowerCase().includes(called.toLowerCase()),
      ),
    );
    expect(found.map((it) => it.id)).toContain(id);
  });
});

describe('the catalogue', () => {
  it('follows its schema: every value has a basis, and a published one a source', () => {
    expect(Catalogue.safeParse(catalogue).error).toBeUndefined();
    const known = new Set([...works, ...rules].map((it) => it.id));
    const values = sourced(catalogue);
    expect(values.length).toBeGreaterThan(300);
    for (const it of values) if (it.source) expect(known).toContain(it.source);
    // What is published or cited names a work, what is estimated a rule, and nothing else names anything.
    const named = new Set(works.map((it) => it.id));
    for (const it of values) {
      if (it.basis === 'practice') expect(it.source).toBeUndefined();
      else expect(named.has(it.source ?? ''), JSON.stringify(it)).toBe(it.basis !== 'estimated');
    }
  });

  it('holds what this version promises: animals, plants, crew, litters, materials, recipes; no name twice', () => {
    expect(catalogue.animals.length).toBeGreaterThanOrEqual(60);
    const { plants, crew, litters } = catalogue.living;
    expect(plants.length).toBeGreaterThanOrEqual(120);
    expect(crew.length).toBeGreaterThanOrEqual(30);
    expect(litters.length).toBeGreaterThanOrEqual(12);
    for (const rows of [plants, crew, litters, catalogue.animals]) {
      expect(new Set(rows.map((it) => it.id)).size).toBe(rows.length);
      expect(new Set(rows.map((it) => it.english.toLowerCase())).size).toBe(rows.length);
    }
    for (const rows of [plants, crew, catalogue.animals]) {
      expect(new Set(rows.map((it) => it.scientific)).size).toBe(rows.length);
      for (const it of rows)
        expect(ScientificName.safeParse(it.scientific).success, it.scientific).toBe(true);
    }
    expect(new Set(catalogue.animals.map((it) => it.kind)).size).toBe(7);
    expect(new Set(plants.map((it) => it.form)).size).toBe(9);
    expect(new Set(crew.map((it) => it.group)).size).toBe(8);
    expect(crew.some((it) => !it.wanted)).toBe(true);
    expect(catalogue.materials.length).toBeGreaterThanOrEqual(40);
    expect(catalogue.recipes.length).toBeGreaterThanOrEqual(12);
    // Wet, in between and dry; with peat and without.
    expect(new Set(catalogue.recipes.map((it) => it.family))).toEqual(new Set(['wet', 'middle', 'dry']));
    const peat = (it: (typeof catalogue.recipes)[number]) =>
      it.parts.some((part) => part.material === 'peat');
    expect(catalogue.recipes.some(peat) && catalogue.recipes.some((it) => !peat(it))).toBe(true);
    for (const rows of [catalogue.animals, catalogue.materials, catalogue.recipes, works, rules]) {
      expect(new Set(rows.map((it) => it.id)).size).toBe(rows.length);
    }
    expect(new Set(catalogue.animals.map((it) => it.scientific)).size).toBe(catalogue.animals.length);
    expect(new Set(catalogue.materials.map((it) => it.name)).size).toBe(catalogue.materials.length);
  });

  it('recipes and animals name only what is there; a recipe without peat is peat-free', () => {
    const materials = new Map(catalogue.materials.map((it) => [it.id, it]));
    for (const recipe of catalogue.recipes) {
      for (const part of recipe.parts)
        expect(materials.get(part.material)?.roles, part.material).toContain('mix');
      if (/peat-free/.test(recipe.name))
        expect(recipe.parts.every((part) => materials.get(part.material)!.peatFree)).toBe(true);
    }
    const recipes = catalogue.recipes.map((it) => it.id);
    for (const animal of catalogue.animals) {
      expect(recipes).toContain(animal.recipe);
      if (animal.upperRecipe) expect(recipes).toContain(animal.upperRecipe);
    }
  });

  it('animals stand inside sane bounds: warm over cool over night, wetter by night, a UV zone of the published table', () => {
    for (const { english, climate, mass, space } of catalogue.animals) {
      const { warm, cool, night, basking, humidityDay, humidityNight } = climate;
      expect(warm.value.low, english).toBeGreaterThanOrEqual(cool.value.low);
      expect(cool.value.low, english).toBeGreaterThanOrEqual(night.value.low);
      if (basking) expect(basking.value.high, english).toBeGreaterThan(warm.value.low);
      expect(night.value.low, english).toBeGreaterThan(5);
      expect(basking?.value.high ?? 0, english).toBeLessThanOrEqual(60);
      expect(humidityNight.value.low, english).toBeGreaterThanOrEqual(humidityDay.value.low);
      expect(Object.keys(UV_ZONES).map(Number), english).toContain(climate.uvZone.value);
      expect(mass.value.high, english).toBeLessThan(12);
      expect(space.value.width, english).toBeGreaterThanOrEqual(space.value.depth);
    }
  });

  it('plants and crew stand inside sane bounds', () => {
    for (const it of catalogue.living.plants) {
      const { light, temperature, humidity, wetness, height, width } = it;
      expect(light.value.low, it.english).toBeGreaterThan(0);
      expect(light.value.high).toBeLessThanOrEqual(40);
      expect(temperature.value.low).toBeGreaterThanOrEqual(-10);
      expect(temperature.value.high).toBeLessThanOrEqual(38);
      expect(temperature.value.high - temperature.value.low, it.english).toBeGreaterThan(6);
      expect(humidity.value.high).toBeLessThanOrEqual(1);
      expect(wetness.value.high).toBeLessThanOrEqual(1);
      expect(height.value.high).toBeLessThanOrEqual(2);
      expect(width.value.high).toBeLessThanOrEqual(1);
      // Duckweed doubles in three days or four; nothing that roots is so fast.
      expect(it.months.value, it.english).toBeGreaterThanOrEqual(it.form === 'floating' ? 1 : 3);
      expect(it.bears.value).toBeLessThanOrEqual(2);
      if (it.form === 'succulent') expect(wetness.value.high, it.english).toBeLessThan(0.5);
      if (it.form === 'floating' || it.form === 'submerged')
        expect(wetness.value.low, it.english).toBeGreaterThan(0.9);
    }
    for (const it of catalogue.living.crew) {
      const { low, best, high } = it.temperature.value;
      expect(low < best && best < high, it.english).toBe(true);
      const { litter, waste, mould } = it.diet.value;
      expect(litter + waste + mould, it.english).toBeCloseTo(1, 9);
      // A body of its size and about the density of water, at most as thick as it is long.
      expect(it.mass.value, it.english).toBeLessThan(1000 * it.size.value ** 3);
      expect(it.youngKeep.value).toBeGreaterThan(0.9);
      expect(it.start.value).toBeLessThan(it.crowd.value);
    }
    for (const it of catalogue.living.litters) expect(it.decay.value, it.english).toBeLessThan(5);
    for (const it of catalogue.animals) {
      const life = it.growing!;
      expect(life, it.english).toBeDefined();
      expect(life.hatched.value).toBeLessThan(it.length.value.high);
      expect(life.years.value * 12, it.english).toBeGreaterThan(life.monthsToAdult.value);
      expect(life.young.value === 'live', it.english).toBe(life.incubation === undefined);
    }
  });

  it('counts every value once, by its mark; the keeper’s own are none of what ships', () => {
    const count = countBasis(catalogue);
    expect(count.measured).toBe(0);
    expect(BASES.reduce((sum, it) => sum + count[it], 0)).toBe(sourced(catalogue).length);
    const few = [{ a: { value: 1, basis: 'practice' }, b: [{ value: 2, basis: 'measured' }] }];
    expect(countBasis(few)).toEqual({ measured: 1, published: 0, cited: 0, practice: 1, estimated: 0 });
  });

  it('tells the share that stands in a named work, without what keepers judge', () => {
    // By hand: 1 + 1 + 2 of 1 + 1 + 2 + 6.
    expect(sourcedShare({ measured: 1, published: 1, cited: 2, practice: 99, estimated: 6 })).toBe(0.4);
    expect(sourcedShare({ measured: 0, published: 0, cited: 0, practice: 5, estimated: 0 })).toBe(1);
  });

  it('a curve of which a value stands on the bound of its fit says so', () => {
    const rough = catalogue.materials.filter((it) => it.retention?.source === 'fitted-bound');
    expect(rough.map((it) => it.id)).toEqual(
      expect.arrayContaining(['pumice-5-12', 'coarse-orchid-bark', 'diatomite']),
    );
    const points = JSON.parse(readFileSync('data/retention-points.json', 'utf8')) as {
      materials: Record<string, { held: number[] }>;
    };
    // Looked at again, from the curve as it is rounded: α up to e^2.5, n from 1 + e^−2.5, residual water up to the driest point.
    for (const { id, retention } of catalogue.materials) {
      const held = points.materials[id]?.held;
      if (!retention || !held || retention.source?.startsWith('fitted') !== true) continue;
      const { residual, alpha, n } = retention.value;
      const isOn =
        alpha > 0.998 * Math.exp(2.5) ||
        n < 1 + 1.002 * Math.exp(-2.5) ||
        residual < 1e-4 ||
        residual > Math.min(...held) - 1e-4;
      expect(retention.source, id).toBe(isOn ? 'fitted-bound' : 'fitted');
    }
  });
  it('every work is named by a value or by what the program does, every rule by a value', () => {
    const count = countSources({ ...catalogue, feeders });
    expect(works.filter((it) => !count.has(it.id) && !it.use).map((it) => it.id)).toEqual([]);
    expect(rules.filter((it) => !count.has(it.id)).map((it) => it.id)).toEqual([]);
    for (const law of Legal.options) expect(works.map((it) => it.id)).toContain(LAW_WORK[law]);
  });

  it('rows of before come out with the marks of now, and nothing else of them changes', () => {
    const before = {
      id: 'a',
      basis: 'own',
      of: [
        { value: 1, basis: 'memory' },
        { value: 'memory', basis: 'published', source: 'own' },
      ],
    };
    expect(withFiveMarks(before)).toEqual({
      id: 'a',
      basis: 'practice',
      of: [
        { value: 1, basis: 'estimated' },
        { value: 'memory', basis: 'published', source: 'own' },
      ],
    });
  });

  it('materials stand inside sane bounds', () => {
    for (const row of catalogue.materials) {
      const cloth = row.roles.includes('barrier');
      if (!cloth) expect(row.density.value, row.name).toBeGreaterThan(10);
      expect(row.density.value, row.name).toBeLessThan(1800);
      expect(row.settling.value, row.name).toBeLessThanOrEqual(0.25);
      expect(row.waterMoist.value, row.name).toBeGreaterThanOrEqual(row.waterReceived.value);
      if (row.roles.includes('bead-bed')) expect(row.grain, row.name).toBeDefined();
      const prices = row.packs.map((pack) => pack.price.value);
      expect(Math.max(...prices), row.name).toBeLessThan(100);
    }
  });

  it('UV zones as published (Ferguson et al. 2010; Baines et al. 2016, table 1)', () => {
    expect(UV_ZONES).toEqual({
      1: { mean: [0, 0.7], maximum: [0.6, 1.4] },
      2: { mean: [0.7, 1.0], maximum: [1.1, 3.0] },
      3: { mean: [1.0, 2.6], maximum: [2.9, 7.4] },
      4: { mean: [2.6, 3.5], maximum: [4.5, 9.5] },
    });
  });

  it('own prices stand in place of the typical ones, and nowhere else', () => {
    const priced = withPrices(catalogue, { 'charcoal/bag-5l': 11.5 });
    const prices = priced.materials.find((it) => it.id === 'charcoal')!.packs.map((it) => it.price.value);
    expect(prices).toEqual([5.5, 11.5, 19.5]);
    expect(withPrices(catalogue, {})).toBe(catalogue);
  });
});
