// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { MixAnswer, MixProblem, Progress } from '@/core/mixing';
import { eventually, made, open } from '../testing/open';
import { Bench } from './Bench';
import { Sheet } from './Sheet';

const asked = vi.hoisted(() => ({
  problems: [] as MixProblem[],
  answer: undefined as MixAnswer | undefined,
  progress: undefined as ((progress: Progress) => void) | undefined,
  stopped: 0,
  finish: undefined as (() => void) | undefined,
}));

// The solver itself is tested beside its worker, and with the interface in a real browser.
vi.mock('@/workers/mixing', () => {
  class Stopped extends Error {}
  return {
    Stopped,
    startMix: (problem: MixProblem, _: unknown, onProgress: (progress: Progress) => void) => {
      asked.problems.push(problem);
      asked.progress = onProgress;
      let refuse: (cause: Error) => void = () => undefined;
      const done = new Promise<{ answer: MixAnswer; seconds: number }>((resolve, reject) => {
        refuse = reject;
        asked.finish = () => {
          if (asked.answer) resolve({ answer: asked.answer, seconds: 0.3 });
        };
      });
      return {
        done,
        stop: () => {
          asked.stopped += 1;
          refuse(new Stopped());
        },
      };
    },
  };
});
vi.mock('@/ui/Chart', () => ({
  Chart: ({ label }: { label: string }) => <div role="img" aria-label={label} />,
}));

afterEach(() => {
  asked.problems.length = 0;
  asked.answer = undefined;
});

const FROG = 'dendrobates-tinctorius';
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const mix = (letter: string) => within(screen.getByRole('region', { name: `Mix ${letter}` }));
const shares = (letter: string): number[] =>
  mix(letter)
    .getAllByText(/^[\d.,]+.%$/)
    .map((it) => Number.parseFloat(it.textContent!));

describe('the bench', () => {
  it('lays the soil of an enclosure beside the bag one would buy instead', async () => {
    const design = made(FROG);
    const soil = design.ground.layers.find((it) => it.kind === 'substrate')!;
    await open(<Bench design={design.id} layer={soil.id} />, design);
    await screen.findByRole('region', { name: 'Mix A' });
    expect(mix('A').getAllByRole('slider').length).toBeGreaterThan(1);
    expect(mix('B').getByText('Ready-made forest soil')).toBeDefined();
    expect(screen.getByText(/in place.*Judged as wet ground/)).toBeDefined();
    const table = within(screen.getByRole('table', { name: 'What they will be like' }));
    expect(table.getByRole('row', { name: /^Air, once drained 10 – 30.%/ })).toBeDefined();
    expect(screen.getAllByText(/keeps \d+.% of water and \d+.% of air in this depth/)).toHaveLength(2);
  });

  it('parts and sliders: shares come to a hundred whatever is moved, and a held one stays', async () => {
    const { settings } = await open(<Bench design={null} layer={null} />);
    await screen.findByRole('region', { name: 'Mix A' });
    const sum = (): number => shares('A').reduce((all, it) => all + it, 0);
    expect(sum()).toBeCloseTo(100, 0);
    const [first] = mix('A').getAllByRole('slider');
    const held = shares('A')[1]!;
    fireEvent.click(mix('A').getAllByRole('button', { name: /^Hold the share/ })[1]!);
    fireEvent.change(first!, { target: { value: '60' } });
    expect(shares('A')[0]).toBe(60);
    expect(shares('A')[1]).toBe(held);
    expect(sum()).toBeCloseTo(100, 0);
    // In parts: more of one, and the rest has less of the whole.
    enter(mix('A').getAllByRole('textbox', { name: /^Parts of/ })[0]!, '0');
    expect(shares('A')[0]).toBe(0);
    expect(sum()).toBeCloseTo(100, 0);
    // What stands on the bench is kept.
    await eventually(async () => expect((await settings()).bench?.mixes[0]?.mix.parts[0]?.parts).toBe(0));
  });

  it('a third mix comes beside, and goes again', async () => {
    await open(<Bench design={null} layer={null} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Another mix beside' }));
    expect(screen.getByRole('region', { name: 'Mix C' })).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Another mix beside' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Take mix B off the bench' }));
    expect(screen.queryByRole('region', { name: 'Mix C' })).toBeNull();
  });

  it('a soil in no enclosure is judged by the ground one names', async () => {
    await open(<Bench design={null} layer={null} />);
    enter(await screen.findByRole('textbox', { name: /^Deep/ }), '20 cm');
    expect(screen.getByRole('img', { name: /Water up 20.cm of soil/ })).toBeDefined();
    fireEvent.mouseDown(screen.getByRole('combobox', { name: /Judged as/ }));
    fireEvent.click(screen.getByRole('option', { name: 'Dry, dug in' }));
    expect(screen.getByText('Air, once moistened')).toBeDefined();
    expect(screen.getByText('Tunnel stability, 0 to 1')).toBeDefined();
  });
});

describe('the solver on the bench', () => {
  const LITRE = 0.001;
  it('asks what is on screen, shows how far it is, and can be stopped', async () => {
    await open(<Bench design={null} layer={null} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Work it out' }));
    expect(asked.problems[0]).toMatchObject({
      goal: 'cheapest',
      buyable: null,
      budget: null,
      peatFree: false,
    });
    asked.progress!({ step: 1, of: 2, gap: 0.12 });
    expect(await screen.findByText(/Step 1 of 2: the best so far is within 12 %/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(await screen.findByText('Stopped. Nothing was changed.')).toBeDefined();
    expect(asked.stopped).toBeGreaterThan(0);
  });

  it('a budget that is no sum cannot be asked', async () => {
    await open(<Bench design={null} layer={null} />);
    fireEvent.change(await screen.findByRole('textbox', { name: 'Spend at most' }), {
      target: { value: 'plenty' },
    });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Work it out' }).disabled).toBe(true);
    fireEvent.change(screen.getByRole('textbox', { name: 'Spend at most' }), { target: { value: '12,50' } });
    fireEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    expect(asked.problems[0]!.budget).toBe(12.5);
  });

  it('a stretched bag is asked for by what is left of it', async () => {
    await open(<Bench design={null} layer={null} />);
    fireEvent.click(await screen.findByRole('radio', { name: /^Stretch a bag/ }));
    enter(screen.getByRole('textbox', { name: 'Left of it, loose' }), '6 L');
    fireEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    expect(asked.problems[0]).toMatchObject({
      goal: 'stretch',
      stretch: { material: 'ready-forest', have: expect.closeTo(0.006, 9), most: 4 },
    });
    expect(asked.problems[0]!.builds[0]!.besides).toContain('coir');
  });

  it('found: goes into the ground, is bought onto the shelf, and each is taken back', async () => {
    const design = made(FROG);
    const soil = design.ground.layers.find((it) => it.kind === 'substrate')!;
    asked.answer = {
      kind: 'solved',
      plan: {
        made: [
          {
            build: 'this',
            loose: { coir: 6 * LITRE, charcoal: 2 * LITRE },
            mix: {
              recipe: null,
              parts: [
                { material: 'coir', parts: 6 },
                { material: 'charcoal', parts: 2 },
              ],
              packingLoss: 0,
            },
            placed: 7 * LITRE,
          },
        ],
        bought: [{ material: 'charcoal', pack: 'bag-5l', count: 1 }],
        fromShelf: { coir: 6 * LITRE },
        leftOver: { charcoal: 3 * LITRE },
        price: 12,
        departure: 0,
        reached: 12,
      },
    };
    const { stored, shelf } = await open(<Bench design={design.id} layer={soil.id} />, design);
    fireEvent.click(await screen.findByRole('button', { name: 'Work it out' }));
    asked.finish!();
    const table = within(await screen.findByRole('table', { name: 'What goes in' }));
    expect(
      table.getByRole('row', { name: /^Horticultural charcoal.*2.0.L.*25.0.%.*1 × 5.L bag.*3.0.L.*12.00/ }),
    ).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Use it in Box' }));
    const parts = async () => {
      const layer = (await stored()).ground.layers.find((it) => it.id === soil.id);
      return layer?.kind === 'substrate' ? layer.mix.parts : [];
    };
    await eventually(async () =>
      expect(await parts()).toEqual([
        { material: 'coir', parts: 6 },
        { material: 'charcoal', parts: 2 },
      ]),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await eventually(async () =>
      expect(await parts()).toEqual(soil.kind === 'substrate' ? soil.mix.parts : []),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Bought: put it on the shelf' }));
    await eventually(async () => expect(await shelf()).toEqual({ charcoal: 0.005 }));
    const there = await screen.findByRole<HTMLButtonElement>('button', { name: 'On the shelf' });
    expect(there.disabled).toBe(true);
  });

  it('impossible: says what is short, by how much, and shows the nearest', async () => {
    asked.answer = {
      kind: 'short',
      lacks: [
        { what: 'material', material: 'charcoal', amount: 4 * LITRE },
        { what: 'money', amount: 3.5 },
        { what: 'band', build: 'this', property: 'air', amount: 0.04 },
      ],
      nearest: {
        made: [
          {
            build: 'this',
            loose: { coir: 5 * LITRE },
            mix: { recipe: null, parts: [{ material: 'coir', parts: 5 }], packingLoss: 0 },
            placed: 4 * LITRE,
          },
        ],
        bought: [],
        fromShelf: { coir: 5 * LITRE },
        leftOver: {},
        price: 0,
        departure: 2 * LITRE,
        reached: 0,
      },
    };
    await open(<Bench design={null} layer={null} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Work it out' }));
    asked.finish!();
    const short = within(await screen.findByRole('list', { name: 'What is short' }));
    expect(short.getByText(/^4.0.L of horticultural charcoal is short/)).toBeDefined();
    expect(short.getByText('3.50 more would have to be spent.')).toBeDefined();
    expect(short.getByText(/its air stays 4.% outside the strip/)).toBeDefined();
    expect(screen.getByText(/fills 4.0.L of 20.0.L/)).toBeDefined();
  });
});

describe('the mixing sheet', () => {
  it('tubfuls follow the tub; the shelf is charged once, says what is short, and is paid back', async () => {
    const { moves, settings } = await open(<Sheet />, made('eryx-colubrinus'));
    const tubfuls = (): number =>
      screen
        .getAllByRole('heading', { level: 3, name: /tubfuls?/ })
        .reduce((sum, it) => sum + Number(/: (\d+) tubful/.exec(it.textContent!)![1]), 0);
    const before = tubfuls();
    enter(screen.getByRole('textbox', { name: 'The tub holds' }), '12 L');
    await eventually(async () => expect((await settings()).tub).toBeCloseTo(0.012, 9));
    await eventually(() => expect(tubfuls()).toBeGreaterThan(before));
    expect(screen.getByText(/wear a mask of class FFP2/)).toBeDefined();
    expect(screen.getByText(/turn it daily/)).toBeDefined();
    expect(screen.getByText(/The book has too little of washed sand/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Mixed: take it off the shelf' }));
    expect(await screen.findByText(/^Taken off the shelf for Box on/)).toBeDefined();
    const used = await moves();
    expect(used.every((it) => it.kind === 'use' && it.design === 'x' && !it.undone)).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Put it back' }));
    expect(await screen.findByRole('button', { name: 'Mixed: take it off the shelf' })).toBeDefined();
    expect((await moves()).every((it) => it.undone)).toBe(true);
  });

  it('an epiphyte mix is soaked, squeezed and topped up', async () => {
    await open(<Sheet />, made(FROG));
    expect(
      screen.getAllByText(/squeezing a fistful after each|Squeeze a fistful all the same/).length,
    ).toBeGreaterThan(0);
    expect(screen.getAllByText(/To fill it up again after one/).length).toBeGreaterThan(0);
  });

  it('an enclosure without soil leads to the ground', async () => {
    const bare = made(FROG);
    await open(<Sheet />, { ...bare, ground: { ...bare.ground, layers: [], regions: [] } });
    expect(screen.getByText('No soil to mix')).toBeDefined();
    expect(screen.getByRole('link', { name: 'To the ground' }).getAttribute('href')).toBe('/e/x/ground');
  });
});
