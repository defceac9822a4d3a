// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { eventually, open } from '../testing/open';
import { freshId } from '@/ui/freshId';
import { Materials } from './Materials';
import { Recipes } from './Recipes';

const type = userEvent.setup();
/** Typed and taken over at once: a key at a time would draw the whole place anew at each. */
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const list = (label: string) => within(screen.getByRole('list', { name: label }));

describe('ids of own rows', () => {
  it('count up, and stay short enough for a file', () => {
    expect(freshId('coir-own', [])).toBe('coir-own');
    expect(freshId('coir-own', [{ id: 'coir-own' }, { id: 'coir-own-2' }])).toBe('coir-own-3');
    expect(freshId('x'.repeat(200), []).length).toBeLessThanOrEqual(80);
  });
});

describe('Materials', () => {
  it('every one is there, with its values, where they come from, and what packs cost', async () => {
    await open(<Materials />);
    expect(list('Materials').getAllByRole('button')).toHaveLength(catalogue.materials.length);
    fireEvent.click(list('Materials').getByRole('button', { name: 'Washed sand' }));
    const card = within(screen.getByRole('region', { name: 'Washed sand' }));
    expect(card.getByText('published')).toBeDefined();
    expect(await card.findByText(/Carsel, R\. F\. & Parrish.*the other row is by Schaap/)).toBeDefined();
    // θ(10 cm) of sand by Carsel & Parrish is 0.2143, θ(100 cm) 0.0493
    const held = within(card.getByRole('table', { name: 'Water held by suction' })).getAllByRole('cell');
    expect(held.map((it) => it.textContent?.replace('\u00a0', ' '))).toEqual(
      expect.arrayContaining(['21 %', '5 %']),
    );
  });

  it('the shelf takes any unit and forgets what is taken off it', async () => {
    const { shelf } = await open(<Materials />);
    fireEvent.click(list('Materials').getByRole('button', { name: /^Washed sand/ }));
    enter(screen.getByRole('textbox', { name: 'There, loose' }), '0.5 cu ft');
    await eventually(async () => expect((await shelf())['washed-sand']).toBeCloseTo(0.014158, 6));
    expect(
      await list('Materials').findByRole('button', { name: /^Washed sand.*14\.2.L there/ }),
    ).toBeDefined();
    enter(screen.getByRole('textbox', { name: 'There, loose' }), '');
    await eventually(async () => expect(await shelf()).toEqual({}));
  });

  it('a shipped value is changed, marked, and brought back', async () => {
    const { settings } = await open(<Materials />);
    fireEvent.click(list('Materials').getByRole('button', { name: /^Garden loam, unfertilised/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Change its values' }));
    enter(await screen.findByRole('textbox', { name: /^Water in it as bought/ }), '25');
    await eventually(async () =>
      expect((await settings()).materials).toEqual([
        expect.objectContaining({ id: 'loam', waterReceived: { value: 0.25, basis: 'measured' } }),
      ]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Back to what ships' }));
    await eventually(async () => expect((await settings()).materials).toEqual([]));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await eventually(async () => expect((await settings()).materials).toHaveLength(1));
  });

  it('one is made from a likeness, with a bag and a price of its own', async () => {
    const { settings } = await open(<Materials />);
    fireEvent.click(list('Materials').getByRole('button', { name: /^Garden loam, unfertilised/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Make one like it' }));
    enter(await screen.findByRole('textbox', { name: 'Name' }), 'Terrace loam');
    enter(await screen.findByRole('textbox', { name: 'Another bag, of' }), '40 L');
    fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
    enter(await screen.findByRole('textbox', { name: /^Price of 40/ }), '6');
    await eventually(async () => {
      const { materials, prices } = await settings();
      expect(materials[0]).toMatchObject({ id: 'loam-own', name: 'Terrace loam' });
      const own = materials[0]!.packs.at(-1)!;
      expect(own).toMatchObject({ form: 'bag', volume: 0.04 });
      expect(prices[`loam-own/${own.id}`]).toBe(6);
    });
    expect(list('Materials').getByRole('button', { name: /^Terrace loam/ })).toBeDefined();
  });
});

describe('Recipes', () => {
  it('tell what they will be like, against what nurseries grow in', async () => {
    await open(<Recipes />);
    fireEvent.click(list('Recipes').getByRole('button', { name: /^Plain sandy base/ }));
    const card = within(screen.getByRole('region', { name: 'Plain sandy base' }));
    expect(card.getByText('Air, once drained')).toBeDefined();
    expect(card.getAllByText('below').length + card.getAllByText('above').length).toBeGreaterThan(0);
  });

  it('one is made from a likeness: parts, packing, a new ingredient; its shares sum to a hundred', async () => {
    const { settings } = await open(<Recipes />);
    fireEvent.click(list('Recipes').getByRole('button', { name: /^Sand and clay/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Make one like it' }));
    enter(await screen.findByRole('textbox', { name: 'Name' }), 'Hard pan');
    enter(screen.getByRole('textbox', { name: 'Parts of Burrowing clay' }), '5');
    await type.type(screen.getByRole('combobox', { name: 'Add an ingredient' }), 'pumice');
    fireEvent.click(await screen.findByRole('option', { name: /^Pumice 5/ }));
    await eventually(async () => {
      const [own] = (await settings()).recipes;
      expect(own).toMatchObject({ name: 'Hard pan', basis: 'practice' });
      expect(own!.parts).toEqual(
        expect.arrayContaining([
          { material: 'burrowing-clay', parts: 5 },
          { material: 'pumice-5-12', parts: 1 },
        ]),
      );
    });
    const shares = within(screen.getByRole('table', { name: 'Parts' }))
      .getAllByText(/%$/)
      .map((it) => Number(/[\d.]+/.exec(it.textContent!)![0]));
    expect(shares.reduce((sum, it) => sum + it, 0)).toBeCloseTo(100, 0);
  });
});
