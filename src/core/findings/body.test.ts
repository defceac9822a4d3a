import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import type { Design } from '../document';
import { applyEdit, type EditCall } from '../edits';
import { dayLength } from '../light/dayLength';

const found = (design: Design, code: string) =>
  assess(design, catalogue).findings.find((it) => it.code === code);
const edited = (design: Design, call: EditCall): Design => applyEdit(design, call, catalogue);
const high = (id: string, height: number): Design =>
  edited(firstDesign(id), { edit: 'setEnclosure', change: { height } });
const TARANTULA = 'brachypelma-hamorii';

describe('a fall', () => {
  it('is told of where a tarantula can fall more than 20 cm, and its remedy ends it without another', () => {
    const tall = high(TARANTULA, 0.5);
    expect(found(tall, 'falls-far')).toMatchObject({ severity: 'look' });
    const [remedy] = found(tall, 'falls-far')!.remedies;
    const mended = edited(tall, remedy!.call!);
    expect(found(mended, 'falls-far')).toBeUndefined();
    for (const code of ['box-too-small', 'too-deep-for-the-box'])
      expect(found(mended, code), code).toBeUndefined();
  });
  it('is none in what is proposed, nor of one that falls lightly', () => {
    for (const { id, fall } of catalogue.animals)
      if (fall) expect(found(firstDesign(id), 'falls-far'), id).toBeUndefined();
    expect(found(high('caribena-versicolor', 0.6), 'falls-far')).toBeUndefined();
  });
});

describe('water that is lived in', () => {
  it('is deep enough in every proposal, and stands clear of the soil', () => {
    const swimmers = catalogue.animals.filter((it) => it.pool);
    expect(swimmers).toHaveLength(5);
    for (const { id, pool } of swimmers) {
      const design = firstDesign(id);
      expect(design.ground.waterDepth, id).toBeGreaterThanOrEqual(pool!.value.depth.low);
      expect(found(design, 'pool-shallow'), id).toBeUndefined();
      expect(found(design, 'freeboard-fine'), id).toBeDefined();
      expect(design.enclosure.watertightHeight, id).toBeGreaterThan(design.ground.waterDepth + 0.02);
    }
  });
  it('of 4 cm is shallow for a ribbed newt, which swims in 12', () => {
    const newt = firstDesign('pleurodeles-waltl');
    const shallow = { ...newt, ground: { ...newt.ground, waterDepth: 0.04 } };
    expect(found(shallow, 'pool-shallow')).toMatchObject({ severity: 'look', basis: 'practice' });
  });
});

describe('days through the year', () => {
  it('of 12 h in winter are long for a bearded dragon, and as at its latitude they are right', () => {
    const dragon = firstDesign('pogona-vitticeps');
    const long = found(dragon, 'days-stay-long')!;
    expect(long).toMatchObject({ severity: 'note', routine: true });
    const call = long.remedies[0]!.call!;
    // Between 23° and 36° south: 30°, on the side of the room.
    expect(call).toMatchObject({ change: { day: { by: 'latitude', latitude: 30 } } });
    expect(found(edited(dragon, call), 'days-stay-long')).toBeUndefined();
  });
  it('of 12 h are right for one of the tropics, and too short where they are set as far in the north', () => {
    const frog = firstDesign('dendrobates-tinctorius');
    expect(found(frog, 'days-stay-long')).toBeUndefined();
    const north = edited(frog, {
      edit: 'setClimate',
      change: { day: { ...frog.climate.day, by: 'latitude', latitude: 52 } },
    });
    // Forsythe et al. 1995: 7.7 h at 52° in the middle of winter, 12.1 on the equator.
    expect(dayLength(52, 355)).toBeCloseTo(7.7, 1);
    expect(found(north, 'days-too-short')).toMatchObject({ severity: 'note' });
  });
  it('every species has latitudes, south before north', () => {
    for (const { english, latitude } of catalogue.animals) {
      expect(latitude, english).toBeDefined();
      expect(latitude!.value.low, english).toBeLessThan(latitude!.value.high);
    }
  });
});
