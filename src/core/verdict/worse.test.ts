import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { formatMessage, METRIC, type Message } from '../units';
import { type Place, type Verdict } from './answer';
import { judgeDesign } from './verdict';
import { worseIn } from './worse';

const read = (it: Message | null): string | null =>
  it && formatMessage(it, { prefs: METRIC, locale: 'en' }).replaceAll('\u00a0', ' ');

describe('what a change makes worse', () => {
  const design = firstDesign('dendrobates-auratus', 'middle');
  const told = judgeDesign({ design, catalogue, alone: true })!;
  /** The verdict with every place inside, but for those given. */
  const verdict = (change: Partial<Place> = {}, rest: Partial<Verdict> = {}): Verdict => ({
    ...told,
    plants: [],
    crew: [],
    uv: null,
    places: told.places.map((it) => {
      const fine = { ...it, inside: 1, under: 0, over: 0, borne: 1, harm: 0, weight: 0 };
      return it.criterion === 'warm' && it.season === 'summer' ? { ...fine, ...change } : fine;
    }),
    ...rest,
  });
  const plant = { id: 'p', name: 'moss fern', fit: 0, by: 'dry air', season: 'winter' } as const;

  it('is nothing where all is as it was', () => expect(worseIn(verdict(), verdict())).toBeNull());

  it('is a place that comes out of its band, by the sentence of its finding', () =>
    expect(read(worseIn(verdict(), verdict({ inside: 0.7, over: 0.3 })))).toBe(
      'The warm side is too hot in summer: 30 % of its day.',
    ));

  it('is what lies further out by more than a tenth of a kelvin all day, however few hours that is', () => {
    const before = verdict({ inside: 0.7, over: 0.3, weight: 3 });
    expect(worseIn(before, verdict({ inside: 0.6, over: 0.4, weight: 5.3 }))).toBeNull();
    expect(worseIn(before, verdict({ inside: 0.7, over: 0.3, weight: 5.5 }))).not.toBeNull();
  });

  it('is the other edge: too cold in place of too hot', () =>
    expect(read(worseIn(verdict({ inside: 0.7, over: 0.3 }), verdict({ inside: 0.75, under: 0.25 })))).toBe(
      'The warm side is too cool in summer: 25 % of its day.',
    ));

  it('is harm where there was none, though the hours are the same', () => {
    const before = verdict({ inside: 0.7, over: 0.3 });
    expect(worseIn(before, verdict({ inside: 0.7, over: 0.3, borne: 0.8 }))).not.toBeNull();
  });

  it('is a plant that dies, and is no plant that died before', () => {
    const dead = verdict({}, { plants: [plant] });
    expect(read(worseIn(verdict(), dead))).toBe('Moss fern dies where it stands.');
    expect(worseIn(dead, dead)).toBeNull();
    expect(worseIn(dead, verdict())).toBeNull();
  });

  it('is a crew that lasts in 8 of 10 draws, where nine are asked', () => {
    const crew = (lasts: number): Verdict =>
      verdict(
        {},
        { crew: [{ kind: 'folsomia-candida', name: 'springtail', lasts }] as unknown as Verdict['crew'] },
      );
    expect(read(worseIn(crew(1), crew(0.8)))).toBe(
      'The springtail does not last: gone within three years in 2 of 10 draws.',
    );
    expect(worseIn(crew(1), crew(0.9))).toBeNull();
  });

  it('is a plant that comes to want light', () =>
    expect(read(worseIn(verdict(), verdict({}, { plants: [{ ...plant, fit: 0.4, by: 'light' }] })))).toBe(
      'The light becomes too weak for 1 of the plants.',
    ));
});
