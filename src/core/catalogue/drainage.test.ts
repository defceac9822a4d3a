import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { applyEdit } from '../edits';
import { type Design } from '../document';
import {
  BED_IDS,
  bedOf,
  bedOfMaterial,
  DRAINAGE_METHOD_IDS,
  drainageMethodOf,
  findMaterial,
  materialsFor,
  methodOfBed,
  usualBedDepth,
} from '.';

const frog = firstDesign('dendrobates-auratus', 'middle');
const drained = (design: Design) =>
  [...design.ground.layers, ...design.ground.regions.flatMap((it) => it.layers)].flatMap((it) =>
    it.kind === 'drainage' ? [it] : [],
  );

describe('methods of drainage', () => {
  it('lie as deep as is usual, between two limits', () => {
    // A share of 0.11 of a box of 45 cm, and the limits of one of 20 cm and of 2 m (common practice: 4 to 6 cm).
    expect(usualBedDepth('bead-bed', 0.45)).toBeCloseTo(0.0495, 12);
    expect(usualBedDepth('bead-bed', 0.2)).toBe(0.04);
    expect(usualBedDepth('bead-bed', 2)).toBe(0.06);
    expect(usualBedDepth('raised-panel', 0.4)).toBeCloseTo(0.06, 12);
    expect(usualBedDepth('none', 1)).toBe(0);
  });

  it.each(DRAINAGE_METHOD_IDS)('%s can be chosen for a box and taken out again', (method) => {
    const { bed, openWater } = drainageMethodOf(method);
    const next = applyEdit(frog, { edit: 'setMethod', change: { method } }, catalogue);
    expect(next.ground.method).toBe(method);
    const beds = drained(next);
    if (bed === null) expect(beds).toEqual([]);
    else {
      expect(beds).toHaveLength(1);
      expect(bedOfMaterial(findMaterial(catalogue, beds[0]!.material)!)).toEqual(bedOf(bed));
    }
    expect(next.ground.layers.some((it) => it.kind === 'water')).toBe(openWater);
    const back = applyEdit(next, { edit: 'setMethod', change: { method: 'none' } }, catalogue);
    expect(drained(back)).toEqual([]);
  });

  it.each(BED_IDS)('%s has materials to lay, and a method of its own', (bed) => {
    expect(materialsFor(catalogue, bed).length).toBeGreaterThan(0);
    expect(drainageMethodOf(methodOfBed(bed))).toMatchObject({ bed, openWater: false });
    const { under } = bedOf(bed);
    if (under) expect(bedOf(under).poured).toBe(false);
  });
});

describe('what drains nothing', () => {
  const [bed] = drained(frog);
  it('is not laid as a drainage layer', () => {
    const change = { layer: bed!.id, material: 'washed-sand' };
    expect(applyEdit(frog, { edit: 'setLayerMaterial', change }, catalogue).ground).toEqual(frog.ground);
  });
  it('has a severe finding where a file holds it, and each of its remedies ends it', () => {
    const sand: Design = {
      ...frog,
      ground: {
        ...frog.ground,
        layers: frog.ground.layers.map((it) =>
          it.kind === 'drainage' ? { ...it, material: 'washed-sand' } : it,
        ),
      },
    };
    const found = assess(sand, catalogue).findings.find((it) => it.code === 'drainage-material');
    expect(found).toMatchObject({ severity: 'severe', place: { at: 'layer', layer: bed!.id } });
    expect(found!.remedies).toHaveLength(BED_IDS.length);
    for (const { call } of found!.remedies)
      expect(
        assess(applyEdit(sand, call!, catalogue), catalogue).findings.map((it) => it.code),
      ).not.toContain('drainage-material');
  });
});
