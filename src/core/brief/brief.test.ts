import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '../assess';
import { findAnimal, type Animal } from '../catalogue';
import { applyEdit } from '../edits';
import { proposeDesign, proposeSize } from '../propose';
import { type Design, type Room } from '../document';
import { corners } from '../ground';
import { heightNeed, roomClimate, spaceNeed } from '.';

const room = (kind: Room['kind'], humidity: number | null = null): Room => ({
  kind,
  temperature: null,
  humidity,
});
const animal = (id: string): Animal => findAnimal(catalogue, id)!;
const propose = (
  id: string | null,
  kind: Room['kind'],
  size: Parameters<typeof proposeDesign>[0]['size'] = { width: 0.6, depth: 0.45, height: 0.6 },
): Design => proposeDesign({ id: 'x', name: 'x', animal: id, count: 1, size, room: room(kind) }, catalogue);

describe('the room', () => {
  it('unknown counts as middling, and is known to be unknown', () => {
    expect(roomClimate(room(null))).toEqual({ kind: 'middle', temperature: 21, humidity: 0.5, known: false });
  });
  it('a reading decides over the answer', () => {
    expect(roomClimate(room('humid', 0.3))).toMatchObject({ kind: 'dry', humidity: 0.3, known: true });
    expect(roomClimate(room(null, 0.75))).toMatchObject({ kind: 'humid', known: true });
    expect(roomClimate({ kind: 'dry', temperature: 26, humidity: null })).toMatchObject({
      kind: 'dry',
      temperature: 26,
      humidity: 0.35,
    });
  });
});

describe('the space', () => {
  it('by hand: a lone species counts each further one, a pairing species from the third on', () => {
    const gecko = animal('hemitheconyx-caudicinctus'); // alone, 60 × 40 cm, half more for each
    expect(spaceNeed(gecko, 1).floor).toBeCloseTo(0.24, 12);
    expect(spaceNeed(gecko, 3).floor).toBeCloseTo(0.24 * 2, 12);
    const anole = animal('anolis-carolinensis'); // groups, 40 × 40 cm, 15 % more for each
    expect(spaceNeed(anole, 2).floor).toBeCloseTo(0.16, 12);
    expect(spaceNeed(anole, 4).floor).toBeCloseTo(0.16 * 1.3, 12);
  });
  it('the enclosure taken when none is known fits every species in every number, in steps of 5 cm', () => {
    for (const row of catalogue.animals) {
      for (const count of [1, 2, 5]) {
        const size = proposeSize(row, count);
        expect(size.width * size.depth, row.english).toBeGreaterThanOrEqual(
          spaceNeed(row, count).floor - 1e-9,
        );
        expect(size.height, row.english).toBeGreaterThanOrEqual(heightNeed(row));
        for (const side of Object.values(size)) expect(side / 0.05).toBeCloseTo(Math.round(side / 0.05), 9);
      }
    }
  });
});

describe('a proposal follows animal and room', () => {
  it('a dry room asks for more cover, more soil and more water than a humid one', () => {
    for (const id of ['dendrobates-tinctorius', 'correlophus-ciliatus', 'goniurosaurus-hainanensis']) {
      const [dry, humid] = [propose(id, 'dry'), propose(id, 'humid')];
      expect(dry.enclosure.topCover).toBeGreaterThan(humid.enclosure.topCover);
      expect(dry.ground.waterDepth).toBeGreaterThan(humid.ground.waterDepth);
      expect(assess(dry, catalogue).substrateVolume).toBeGreaterThanOrEqual(
        assess(humid, catalogue).substrateVolume,
      );
    }
  });
  it('a climbing lizard in a humid room gets mesh, with a tray that holds its bed', () => {
    const design = propose('furcifer-pardalis', 'humid', { width: 0.6, depth: 0.6, height: 1.2 });
    expect(design.enclosure.material).toBe('mesh');
    expect(design.enclosure.watertightHeight).toBeGreaterThan(design.ground.waterDepth);
    expect(
      propose('furcifer-pardalis', 'dry', { width: 0.6, depth: 0.6, height: 1.2 }).enclosure.material,
    ).toBe('glass');
  });
  it('wet species stand on drainage and are moistened throughout; dry species on none, damp only below', () => {
    for (const row of catalogue.animals) {
      const design = propose(row.id, 'middle', null);
      const wet = row.ground.value === 'wet' || row.ground.value === 'half-water';
      expect(design.ground.method === 'none', row.english).toBe(!wet);
      expect(design.ground.moistShare, row.english)[wet ? 'toBe' : 'toBeLessThan'](1);
      if (row.ground.value === 'half-water') expect(design.ground.waterDepth).toBeGreaterThan(0.02);
    }
  });
  it('front low, back high, and at least as deep as the animal digs', () => {
    for (const row of catalogue.animals) {
      const { surface, layers } = assess(propose(row.id, 'middle', null), catalogue);
      expect(corners.edgeMean(surface, 'back')).toBeGreaterThanOrEqual(corners.edgeMean(surface, 'front'));
      const soil = layers
        .filter((it) => it.layer.kind === 'substrate')
        .reduce((sum, it) => sum + corners.highest(it.thickness), 0);
      expect(soil, row.english).toBeGreaterThanOrEqual(row.digs.value - 0.0011);
    }
  });
  it('no animal known: drained and planted, with a note and nothing severe', () => {
    const { findings } = assess(propose(null, null, null), catalogue);
    expect(findings.map((it) => it.code)).toEqual(expect.arrayContaining(['animal-open', 'room-open']));
    expect(findings.some((it) => it.severity === 'severe' || it.severity === 'look')).toBe(false);
  });
});

describe('moistening', () => {
  const wet = propose('dendrobates-tinctorius', 'middle');
  const water = (design: Design): number => assess(design, catalogue).waterToMixIn;
  it('the strict approach mixes in less than the generous one', () => {
    expect(
      water(applyEdit(wet, { edit: 'setSqueeze', change: { squeeze: 'strict' } }, catalogue)),
    ).toBeLessThan(water(wet));
  });
  it('half the depth damp takes half the water, and weighs less', () => {
    const half = applyEdit(wet, { edit: 'setMoistShare', change: { share: 0.5 } }, catalogue);
    expect(water(half)).toBeCloseTo(water(wet) / 2, 9);
    expect(assess(half, catalogue).standingMass).toBeLessThan(assess(wet, catalogue).standingMass);
  });
  it('of two soils the lower is damp first', () => {
    const two = applyEdit(
      propose('correlophus-ciliatus', 'middle'),
      { edit: 'setMoistShare', change: { share: 0.4 } },
      catalogue,
    );
    const soils = assess(two, catalogue).layers.filter((it) => it.layer.kind === 'substrate');
    expect(soils[0]!.need!.waterToMixIn).toBeGreaterThan(0);
    expect(soils[1]!.need!.waterToMixIn).toBeLessThan(soils[0]!.need!.waterToMixIn * 0.05);
  });
});
