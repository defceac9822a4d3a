import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { INGREDIENT_SORTS } from '../catalogue';
import { mixOfRecipe } from '../edits';
import { brickWater, mixNeed } from '../ground';
import { looseNeeds, saturationPressure, soilSheet, TUB_SHARE, yearOn, type SoilToMix, type TubLot } from '.';

const ROOM = { temperature: 21.5, humidity: 0.38 };
const soil = (recipe: string, told: Partial<SoilToMix> = {}): SoilToMix => ({
  id: 's',
  name: 'Soil',
  mix: mixOfRecipe(recipe, catalogue),
  placed: 0.024,
  area: 0.27,
  moistShare: 1,
  suction: 60,
  temper: false,
  ...told,
});
const sheet = (it: SoilToMix, tub = 0.03) => soilSheet(it, tub, ROOM, catalogue);
const inAll = (lot: TubLot | undefined, of: (lot: TubLot) => number): number =>
  lot ? of(lot) * lot.batches : 0;
const measured = (lot: TubLot): number => lot.measures.reduce((sum, it) => sum + it.loose, 0);

describe('the mixing sheet', () => {
  it('batches fit the tub two thirds full, and together are all of it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...catalogue.recipes.map((it) => it.id)),
        fc.double({ min: 0.005, max: 0.2, noNaN: true }),
        fc.double({ min: 0.001, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (recipe, tub, placed, moistShare) => {
          const it = soil(recipe, { placed, moistShare });
          const made = sheet(it, tub);
          const need = mixNeed(it.mix, placed, catalogue, { suction: 60, share: moistShare });
          expect(made.loose).toBeCloseTo(need.loose, 9);
          for (const lot of [made.damp, made.dry]) {
            if (lot) expect(measured(lot)).toBeLessThanOrEqual(tub * TUB_SHARE + 1e-9);
          }
          const slack = need.loose * 2e-6;
          expect(Math.abs(inAll(made.damp, measured) + inAll(made.dry, measured) - need.loose)).toBeLessThan(
            slack + 1e-9,
          );
          // One batch less would not fit.
          if (made.damp && made.damp.batches > 1) {
            expect((measured(made.damp) * made.damp.batches) / (made.damp.batches - 1)).toBeGreaterThan(
              tub * TUB_SHARE - 1e-9,
            );
          }
        },
      ),
    );
  });

  it('water: what the soil takes in all is poured or comes with the soaked coir, nothing twice', () => {
    const it = soil('coir-bark-leaf');
    const made = sheet(it);
    const need = mixNeed(it.mix, it.placed, catalogue, { suction: 60, share: 1 });
    const coir = need.ingredients.find((part) => part.material === 'coir')!.loose;
    const soak = made.soaks[0]!;
    const inCoir = (soak.water / soak.gives) * coir;
    expect(inAll(made.damp, (lot) => lot.water) + inCoir).toBeCloseTo(Math.max(need.waterToMixIn, inCoir), 9);
    // 650 g of dry coir at 80 g a litre give 8.125 L.
    expect(soak.pack.dryMass).toBe(0.65);
    expect(soak.gives / soak.count).toBeCloseTo(0.008125, 9);
    expect(soak.water / soak.count).toBeCloseTo(brickWater(soak.pack, 'coir', 60, catalogue), 12);
    expect(soak.count * 0.008125).toBeGreaterThanOrEqual(coir - 1e-9);
  });

  it('what soaks goes in first, dust over damp matter, what lives last', () => {
    const { damp } = sheet(soil('coir-bark-leaf'));
    const sorts = damp!.measures.map((it) => INGREDIENT_SORTS.indexOf(it.sort));
    expect(sorts).toEqual([...sorts].sort((a, b) => a - b));
    expect(damp!.measures[0]!.material).toBe('coir');
    expect(damp!.measures.at(-1)!.sort).toBe('living');
  });

  it('two thirds of the water first, the rest between squeezes; a loose litre weighs its solids and its water', () => {
    const it = soil('forest-five-coir');
    const { damp } = sheet(it);
    expect(damp!.firstPour).toBeCloseTo(damp!.water * (2 / 3), 12);
    expect(damp!.squeezes).toBeGreaterThanOrEqual(1);
    expect(damp!.squeezes).toBeLessThanOrEqual(4);
    const need = mixNeed(it.mix, it.placed, catalogue, { suction: 60, share: 1 });
    const litres = need.loose * (1 - it.mix.packingLoss) * 1000;
    expect(damp!.litre).toBeCloseTo((need.dryMass + need.water * it.placed * 1000) / litres, 6);
  });

  it('damp below, dry above: shares of it, and the dry part gets no water', () => {
    const made = sheet(soil('soil-sand-clay', { moistShare: 0.5 }));
    expect(inAll(made.damp, measured)).toBeCloseTo(made.loose / 2, 9);
    expect(inAll(made.dry, measured)).toBeCloseTo(made.loose / 2, 9);
    expect(made.dry!.water).toBe(0);
    expect(made.dry!.litre).toBeLessThan(made.damp!.litre);
    expect(sheet(soil('soil-sand-clay', { moistShare: 0 })).damp).toBeUndefined();
    expect(sheet(soil('soil-sand-clay')).dry).toBeUndefined();
  });

  it('vapour pressure: FAO 56 (Allen et al. 1998), table 2.3: 2.338 kPa at 20 °C, 4.243 at 30 °C', () => {
    expect(saturationPressure(20)).toBeCloseTo(2.338, 3);
    expect(saturationPressure(30)).toBeCloseTo(4.243, 3);
  });

  it('a dry enclosure’s soil is tempered some days: more in a humid room, and never where there is nothing to lose', () => {
    const dry = soil('soil-sand-clay', { placed: 0.0405, area: 0.405, temper: true });
    const days = sheet(dry).temper!.days;
    expect(days).toBeGreaterThanOrEqual(2);
    expect(days).toBeLessThanOrEqual(10);
    const humid = soilSheet(dry, 0.03, { temperature: 21.5, humidity: 0.8 }, catalogue).temper!;
    expect(humid.days).toBeGreaterThan(days);
    expect(sheet(soil('forest-five-coir')).temper).toBeUndefined();
    expect(sheet({ ...dry, moistShare: 0 }).temper).toBeUndefined();
  });

  it('a year on: each part at its own rate, and the top-up puts back just what is gone', () => {
    const it = soil('forest-floor', { placed: 0.02, area: 0.2 });
    const one = yearOn(it, 1, catalogue);
    // By hand, placed shares of 4 leaf mould (s 0.2), 2 coir (0.15), 2 topsoil (0.15), 1 rotted wood (0.15), 1 bark (0.08).
    const parts = [3.2, 1.7, 1.7, 0.85, 0.92];
    const whole = parts.reduce((sum, part) => sum + part, 0);
    const rates = [0.35, 0.1, 0.03, 0.4, 0.12];
    const share = parts.reduce((sum, part, index) => sum + (part / whole) * rates[index]!, 0);
    expect(one.lost).toBeCloseTo(0.02 * share, 9);
    expect(one.sunk).toBeCloseTo((0.02 * share) / 0.2, 9);
    expect(one.topUp[0]!.material).toBe('leaf-mould');
    // Settled and packed again the loose litres are the lost ones.
    const back = one.topUp.reduce(
      (sum, part) =>
        sum +
        part.loose * (1 - catalogue.materials.find((row) => row.id === part.material)!.settling.value) * 0.9,
      0,
    );
    expect(back).toBeCloseTo(one.lost, 9);
    const years = sheet(it).years.map((year) => year.lost);
    expect(years[1]! - years[0]!).toBeLessThan(years[0]!);
    expect(years[2]!).toBeGreaterThan(years[1]!);
  });

  it('what the shelf is charged with is what goes into the tub', () => {
    const all = [soil('forest-five-coir'), soil('plain-base', { placed: 0.01 })];
    const needs = looseNeeds(all, catalogue);
    const sum = Object.values(needs).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo(
      all.reduce((a, it) => a + sheet(it).loose, 0),
      9,
    );
    const charcoal = all.map(
      (it) => mixNeed(it.mix, it.placed, catalogue).ingredients.find((p) => p.material === 'charcoal')!.loose,
    );
    expect(needs.charcoal).toBeCloseTo(charcoal[0]! + charcoal[1]!, 9);
  });
});
