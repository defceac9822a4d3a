import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess } from '../assess';
import { buyingOf } from '../buying';
import type { Design } from '../document';
import { applyEdit } from '../edits';
import { planOf } from '../plan';
import { propose, runSearch } from '../search';
import { forkedDesign, forkSize, proposeSize, type Fork } from '.';

const row = (id: string) => catalogue.animals.find((it) => it.id === id)!;
const forked = (from: Design, as: Fork): Design =>
  forkedDesign(
    {
      id: 'y',
      name: 'y',
      animal: from.brief.animal,
      count: from.brief.count,
      size: forkSize(from, as, catalogue),
      room: from.brief.room,
    },
    from,
    as,
    catalogue,
  );
const severe = (design: Design): readonly string[] =>
  assess(design, catalogue).findings.flatMap((it) => (it.severity === 'severe' ? [it.code] : []));
const steps = (design: Design): readonly string[] =>
  planOf(design, assess(design, catalogue), catalogue, '2026-11-30').steps.map((it) => it.step.id);

const GECKO = 'eublepharis-macularius';
const small = firstDesign(GECKO, 'middle', [], { size: { width: 0.5, depth: 0.35, height: 0.35 } });

describe('a larger enclosure', () => {
  it('suits the grown animal where the one before was short of it, and is a quarter more where it was not', () => {
    const suits = proposeSize(row(GECKO), 1);
    expect(forkSize(small, 'larger', catalogue)).toEqual({
      width: Math.max(0.5, suits.width),
      depth: Math.max(0.35, suits.depth),
      height: Math.max(0.35, suits.height),
    });
    const ample = firstDesign(GECKO, 'middle', [], { size: { width: 1.2, depth: 0.6, height: 0.6 } });
    expect(forkSize(ample, 'larger', catalogue)).toEqual({ width: 1.5, depth: 0.75, height: 0.6 });
  });

  it('keeps the company and their age, and asks what is here already for no quarantine', () => {
    const pair = applyEdit(
      firstDesign('correlophus-ciliatus', 'middle', [], { count: 2 }),
      {
        edit: 'setLiving',
        change: {
          company: {
            males: 0,
            females: 2,
            hatched: '2026-06-01',
            ageMonths: null,
            lightSensitive: false,
          },
        },
      },
      catalogue,
    );
    const next = forked(pair, 'larger');
    expect(next.living.company).toEqual(pair.living.company);
    expect(next.brief).toMatchObject({ animal: 'correlophus-ciliatus', count: 2, stage: 'planned' });
    expect(steps(pair)).toContain('quarantine');
    expect(steps(next)).not.toContain('quarantine');
  });
});

describe('a quarantine tub', () => {
  const tub = forked(small, 'quarantine');

  it('has paper for a floor, hides on both sides and a dish; no plants, no crew, no background', () => {
    expect(tub.ground.layers.map((it) => it.kind)).toEqual(['thin']);
    expect(tub.living.plants).toEqual([]);
    expect(tub.living.crew).toEqual([]);
    expect(tub.scape.backgrounds).toEqual([]);
    const { scape, findings } = assess(tub, catalogue);
    expect(new Set(scape.pieces.flatMap((it) => (it.hide ? [it.hide.zone] : [])))).toEqual(
      new Set(['warm', 'cool']),
    );
    expect(findings.map((it) => it.code)).toContain('on-paper');
  });

  it('is plain and cheap: a hide for each and one more, one lamp to see by, misted by hand', () => {
    const geckos = firstDesign('goniurosaurus-hainanensis', 'middle', [], { count: 2 });
    const own = forked(geckos, 'quarantine');
    const result = assess(own, catalogue);
    const uses = (design: Design, use: string): number =>
      assess(design, catalogue).scape.pieces.filter((it) => it.uses.some((own) => own === use)).length;
    expect(uses(own, 'hide')).toBeLessThan(uses(geckos, 'hide'));
    expect(uses(own, 'hide')).toBeGreaterThanOrEqual(2);
    expect(uses(own, 'hide')).toBeLessThanOrEqual(4);
    expect(own.climate.mist.by).toBe('hand');
    expect(own.climate.devices.map((it) => it.kind)).toEqual(['led-bar', 'infrared-emitter']);
    const price = (design: Design): number =>
      buyingOf([{ design, assessment: assess(design, catalogue) }], catalogue).price;
    expect(price(own)).toBeLessThan(0.6 * price(geckos));
    expect(result.findings.filter((it) => it.severity === 'severe')).toEqual([]);
  });

  it('stays plain when what holds is searched for', () => {
    const { design } = runSearch(propose(tub, catalogue, { most: 3 }), catalogue);
    expect(design.living.plants).toEqual([]);
    expect(design.living.crew).toEqual([]);
    expect(design.ground.layers.map((it) => it.kind)).toEqual(['thin']);
  });

  it('of what lives in water has its water', () => {
    const newts = forked(firstDesign('pleurodeles-waltl'), 'quarantine');
    expect(newts.ground.method).toBe('full-water');
    expect(newts.ground.waterDepth).toBeGreaterThan(0.1);
    expect(newts.living.plants).toEqual([]);
  });
});

describe('what follows an enclosure', () => {
  it.each([
    'dendrobates-tinctorius',
    'pogona-vitticeps',
    'python-regius',
    'furcifer-pardalis',
    'ceratophrys-cranwelli',
    'testudo-hermanni',
    'theloderma-corticale',
    'pandinus-imperator',
  ])('%s: neither is severe in anything', (animal) => {
    const first = firstDesign(animal);
    for (const as of ['larger', 'quarantine'] as const) expect(severe(forked(first, as)), as).toEqual([]);
  });
});
