import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { materialOf } from '@/core/catalogue';
import { TARGETS } from '@/core/mixing';
import type { KnownSoil } from './Bench';
import { questionOf, type Terms } from './question';

const coir = materialOf(catalogue, 'coir');
const loam = materialOf(catalogue, 'topsoil');
const terms: Terms = {
  goal: 'cheapest',
  tolerance: 0.05,
  peatFree: false,
  banded: false,
  buy: 'anything',
  only: [loam],
  besides: [coir],
  bagOf: 'washed-sand',
};
const mix = {
  name: 'Forest floor',
  mix: {
    recipe: null,
    parts: [
      { material: 'coir', parts: 2 },
      { material: 'topsoil', parts: 1 },
    ],
    packingLoss: 0.1,
  },
};
const asked = {
  terms,
  mix,
  soil: undefined,
  family: 'damp',
  placed: 0.02,
  also: [],
  shelf: { coir: 0.004 },
  inHand: 0.004,
  budget: null,
} as const;

describe('the question a mix is worked out from', () => {
  it('is one build of mix A, with what may go in besides, and whatever is sold', () => {
    const question = questionOf(asked);
    expect(question).toMatchObject({
      goal: 'cheapest',
      buyable: null,
      peatFree: false,
      budget: null,
      stretch: null,
    });
    expect(question.builds).toHaveLength(1);
    expect(question.builds[0]).toMatchObject({
      name: 'Forest floor',
      placed: 0.02,
      mix: mix.mix,
      besides: ['coir'],
      tolerance: 0.05,
      bands: {},
    });
  });

  it('buys nothing, or only what is sold here', () => {
    expect(questionOf({ ...asked, terms: { ...terms, buy: 'nothing' } }).buyable).toEqual([]);
    expect(questionOf({ ...asked, terms: { ...terms, buy: 'only' } }).buyable).toEqual(['topsoil']);
  });

  it('holds every property in the range its family wants, where that is asked', () => {
    const [build] = questionOf({ ...asked, terms: { ...terms, banded: true } }).builds;
    const wanted = Object.entries(TARGETS.damp).map(([property, target]) => [property, target.range]);
    expect(Object.keys(build!.bands).length).toBeGreaterThan(3);
    for (const [property, range] of Object.entries(build!.bands))
      expect(wanted).toContainEqual([property, range]);
  });

  it('fills others from the same purchase, each by its own mix and family', () => {
    const [soil] = demoDesigns(catalogue).flatMap((design): KnownSoil[] =>
      design.ground.layers.flatMap((layer) =>
        layer.kind === 'substrate' ? [{ design, layer, placed: 0.03, depth: 0.1, family: 'dry' }] : [],
      ),
    );
    const { design, layer } = soil!;
    const [, second] = questionOf({ ...asked, also: [soil!] }).builds;
    expect(second).toMatchObject({
      id: `${design!.id}/${layer.id}`,
      name: `${design!.name} · ${layer.name}`,
      placed: 0.03,
      mix: layer.mix,
    });
  });

  it('stretches a bag by all that is left of it and common things, never by itself', () => {
    const question = questionOf({
      ...asked,
      also: [],
      terms: { ...terms, goal: 'stretch', besides: [coir, materialOf(catalogue, 'washed-sand')] },
    });
    expect(question.stretch).toMatchObject({ material: 'washed-sand', have: 0.004, most: 4 });
    const [build] = question.builds;
    expect(build!.mix.parts).toEqual([{ material: 'washed-sand', parts: 1 }]);
    expect(build!.besides).not.toContain('washed-sand');
    expect(new Set(build!.besides).size).toBe(build!.besides.length);
    expect(build!.besides).toContain('leaf-mould');
  });
});
