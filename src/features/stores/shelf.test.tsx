// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { eventually, open } from '../testing/open';
import { Materials } from './Materials';
import { Shelf } from './Shelf';

const type = userEvent.setup();
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const pick = async (name: string, words: string): Promise<void> => {
  await type.type(screen.getByRole('combobox', { name }), words);
  fireEvent.click((await screen.findAllByRole('option'))[0]!);
};

describe('the shelf', () => {
  it('empty, it says what to do', async () => {
    await open(<Shelf />);
    expect(screen.getByText('The shelf is empty')).toBeDefined();
  });

  it('bought, opened, taken, counted: every line in the book, each taken back', async () => {
    const { shelf, moves } = await open(<Shelf />);
    await pick('Something new', 'worm');
    enter(screen.getByRole('textbox', { name: 'How many' }), '3');
    fireEvent.change(screen.getByLabelText('Best before'), { target: { value: '2020-01-31' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    await eventually(async () =>
      expect(await shelf()).toEqual({ 'worm-castings': expect.closeTo(0.006, 12) }),
    );
    // Past its day, and it says so in the list.
    expect(await screen.findByRole('button', { name: /^Worm castings.*past its day/ })).toBeDefined();
    const lots = within(screen.getByRole('table', { name: 'Lots' }));
    fireEvent.change(lots.getByLabelText(/^Opened, 3 × 2.L bag/), { target: { value: '2019-12-01' } });
    await eventually(async () => expect((await moves())[0]!.opened).toBe('2019-12-01'));

    enter(screen.getByRole('textbox', { name: 'Litres, loose' }), '8 L');
    // Said before it is done, and after.
    expect(screen.getByText(/^Taken, that would be 2.0.L more than the book has/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Taken' }));
    expect(await screen.findByText(/^More was taken than the book had: 2.0.L too much/)).toBeDefined();
    expect(screen.getByRole('button', { name: /^Worm castings.*count it/ })).toBeDefined();
    expect(await shelf()).toEqual({});

    enter(screen.getByRole('textbox', { name: 'Litres, loose' }), '1,5 L');
    fireEvent.click(screen.getByRole('button', { name: 'Counted' }));
    await eventually(async () => expect(await shelf()).toEqual({ 'worm-castings': 0.0015 }));
    const book = within(screen.getByRole('table', { name: 'The book' }));
    fireEvent.click(await book.findByRole('button', { name: /^Undo: Counted/ }));
    fireEvent.click(await book.findByRole('button', { name: /^Undo: Taken/ }));
    await eventually(async () =>
      expect(await shelf()).toEqual({ 'worm-castings': expect.closeTo(0.006, 12) }),
    );
    fireEvent.click(await book.findByRole('button', { name: /^Do again: Counted/ }));
    await eventually(async () => expect(await shelf()).toEqual({ 'worm-castings': 0.0015 }));
    expect(await moves()).toHaveLength(3);
  });

  it('what is counted in pieces is bought and counted so', async () => {
    const { shelf } = await open(<Shelf />);
    await pick('Something new', 'open filter foam');
    fireEvent.click(screen.getByRole('button', { name: 'Put it there' }));
    await eventually(async () => expect(await shelf()).toEqual({ 'filter-foam': 1 }));
    enter(screen.getByRole('textbox', { name: 'Sheets' }), '4');
    fireEvent.click(screen.getByRole('button', { name: 'Counted' }));
    await eventually(async () => expect(await shelf()).toEqual({ 'filter-foam': 4 }));
  });
});

describe('an ingredient of one’s own', () => {
  it('is like another, but finer; measured in a cup it is what the scales say', async () => {
    const { settings } = await open(<Materials />);
    fireEvent.click(screen.getByRole('button', { name: 'New' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'An ingredient of your own' }));
    expect(dialog.getByRole<HTMLButtonElement>('button', { name: 'Write it down' }).disabled).toBe(true);
    fireEvent.change(dialog.getByRole('textbox', { name: 'Name' }), {
      target: { value: 'Yard coir' },
    });
    await type.type(dialog.getByRole('combobox', { name: 'It is like' }), 'Coconut coir, fine');
    fireEvent.click((await screen.findAllByRole('option'))[0]!);
    expect(dialog.getByText(/At 10 cm of suction it should hold \d+.%/)).toBeDefined();
    fireEvent.click(dialog.getByRole('button', { name: 'Write it down' }));
    await eventually(async () =>
      expect((await settings()).materials[0]).toMatchObject({
        id: 'coir-fine-own',
        name: 'Yard coir',
        retention: { basis: 'estimated', source: 'miller-1956' },
      }),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Measure it in a cup' }));
    const cup = within(await screen.findByRole('dialog', { name: 'Yard coir, in a cup' }));
    const put = (label: string, value: string): void => {
      fireEvent.change(cup.getByRole('textbox', { name: label }), { target: { value } });
    };
    put('Cup, empty, g', '20');
    put('with water, g', '520');
    put('with the ingredient, g', '80');
    put('stands high, cm', '9');
    put('soaked, g', '480');
    put('drained, g', '500');
    expect(cup.getByText(/Drained it cannot weigh more than soaked/)).toBeDefined();
    put('drained, g', 'heavy');
    expect(cup.getByRole<HTMLButtonElement>('button', { name: 'Use these values' }).disabled).toBe(true);
    put('drained, g', '0.37 kg');
    expect(cup.getByText(/of it is pores/).textContent).toMatch(
      /^80.% of it is pores.*58.% of water.*22.% of air/,
    );
    fireEvent.click(cup.getByRole('button', { name: 'Use these values' }));
    await eventually(async () => {
      const [own] = (await settings()).materials;
      expect(own!.retention!.value.saturated).toBeCloseTo(0.8, 6);
      // 60 g in half a litre, settled; loose it is lighter by the 18 % it settles.
      expect(own!.density).toEqual({ value: expect.closeTo(98.4, 6), basis: 'measured' });
    });
  });

  it('what counts of it in a mix can be changed once it is one’s own', async () => {
    const { settings } = await open(<Materials />);
    fireEvent.click(screen.getByRole('button', { name: /^Kaolin powder/ }));
    expect(screen.getByText('4.5 to 6.5')).toBeDefined();
    expect(screen.getByText(/Dusty: damp it down/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Change its values' }));
    enter(await screen.findByRole('textbox', { name: 'pH in water, to' }), '7');
    enter(await screen.findByRole('textbox', { name: /^Tunnel stability/ }), '0,8');
    await eventually(async () =>
      expect((await settings()).materials[0]!.mixing).toMatchObject({
        ph: { value: { low: 4.5, high: 7 }, basis: 'measured' },
        hold: { value: 0.8, basis: 'measured' },
      }),
    );
  });
});
