// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { Animal, asLike, countBasis } from '@/core/catalogue';
import { catalogue } from '@/catalogue';
import { eventually, open } from '../testing/open';
import { Animals } from './Animals';

const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const choose = async (field: string, option: string): Promise<void> => {
  await userEvent.click(screen.getByRole('combobox', { name: field }));
  await userEvent.click(await screen.findByRole('option', { name: option }));
};

it('every value of a likeness is estimated, says of which, and is still a row', () => {
  for (const row of catalogue.animals) {
    const like = asLike(row, row.scientific);
    expect(Animal.safeParse(like).success, row.id).toBe(true);
    const count = countBasis(like);
    expect(count.estimated, row.id).toBe(Object.values(countBasis(row)).reduce((a, b) => a + b, 0));
    expect(like.mass).toEqual({
      ...row.mass,
      basis: 'estimated',
      source: `As of ${row.scientific}, its likeness.`,
    });
    expect(like.recipe).toBe(row.recipe);
  }
});

it('what was taken over can be set right: body, food, life, law, and a basking spot it lacked', async () => {
  const { settings } = await open(<Animals />);
  fireEvent.click(screen.getByRole('button', { name: /^Crested gecko/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Make one like it' }));
  const stored = async () => (await settings()).animals[0]!;
  await eventually(async () => expect((await stored()).english).toBe('Like crested gecko'));
  expect((await stored()).growing!.diet.basis).toBe('estimated');
  enter(await screen.findByRole('textbox', { name: /^Thickness of its body/ }), '1.5');
  await eventually(async () => expect((await stored()).girth).toEqual({ value: 0.015, basis: 'measured' }));
  await choose('Eats', 'insects');
  await eventually(async () =>
    expect((await stored()).growing!.diet).toEqual({ value: 'insects', basis: 'measured' }),
  );
  fireEvent.click(screen.getByRole('button', { name: 'Add a basking spot' }));
  const warm = (await stored()).climate.warm.value.high;
  await eventually(async () =>
    expect((await stored()).climate.basking?.value).toEqual({ low: warm + 2, high: warm + 6 }),
  );
  expect(await screen.findByRole('textbox', { name: /^Basking spot, from/ })).toBeDefined();
  fireEvent.click(screen.getByRole('button', { name: 'Remove the basking spot' }));
  await eventually(async () => expect((await stored()).climate.basking).toBeUndefined());
  fireEvent.click(screen.getByRole('checkbox', { name: /^Commonly protected/ }));
  await eventually(async () => expect((await stored()).growing!.legal).toHaveLength(1));
  enter(screen.getByRole('textbox', { name: /^Grown after/ }), '14');
  await eventually(async () => expect((await stored()).growing!.monthsToAdult.value).toBe(14));
  expect(Animal.safeParse(await stored()).success).toBe(true);
});

it('what a likeness lacks can be added: rest, laying, sexes, a fall, water, latitudes, and taken out again', async () => {
  const { settings } = await open(<Animals />);
  fireEvent.click(screen.getByRole('button', { name: /^Leopard gecko/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Make one like it' }));
  const stored = async () => (await settings()).animals[0]!;
  await eventually(async () => expect((await stored()).growing!.laying).toBeUndefined());
  // The storage has it before the page is drawn.
  const click = async (name: string) => fireEvent.click(await screen.findByRole('button', { name }));
  await click('Add how it buries eggs');
  enter(await screen.findByRole('textbox', { name: /^Damp soil to lay in/ }), '12');
  await eventually(async () =>
    expect((await stored()).growing!.laying).toEqual({
      value: { depth: 0.12, alone: false, medium: 'soil', wetness: { low: 0.15, high: 0.5 } },
      basis: 'measured',
    }),
  );
  await click('Remove the winter rest');
  await eventually(async () => expect((await stored()).growing!.rest).toBeUndefined());
  await click('Add a winter rest');
  enter(await screen.findByRole('textbox', { name: /^It lasts, to/ }), '12');
  await eventually(async () =>
    expect((await stored()).growing!.rest!.value).toEqual({
      need: 'usual',
      weeks: { low: 8, high: 12 },
      temperature: { low: 10, high: 15 },
      light: 8,
    }),
  );
  await click('Add sizes of the sexes');
  enter(await screen.findByRole('textbox', { name: /^Males, long, to/ }), '22');
  await eventually(async () => expect((await stored()).sexes!.value.male.length.high).toBe(0.22));
  for (const [add, key] of [
    ['Add a fall that hurts it', 'fall'],
    ['Add water it lives in', 'pool'],
  ] as const) {
    await click(add);
    await eventually(async () => expect((await stored())[key]).toBeDefined());
  }
  await click('Add heat that harms it');
  await eventually(async () => expect((await stored()).climate.heat?.basis).toBe('estimated'));
  fireEvent.click(screen.getByRole('checkbox', { name: 'females fight' }));
  await eventually(async () =>
    expect((await stored()).growing!.cautions.value).toEqual(['males fight', 'females fight']),
  );
  await click('Remove latitudes');
  await eventually(async () => expect((await stored()).latitude).toBeUndefined());
  expect(Animal.safeParse(await stored()).success).toBe(true);
});
