// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { otherNames } from '@/catalogue/otherNames';
import { AnimalPicker } from './AnimalPicker';

afterEach(cleanup);

const type = userEvent.setup();
const opened = async (onChange = vi.fn()): Promise<HTMLElement> => {
  render(
    <AnimalPicker
      catalogue={catalogue}
      value={null}
      onChange={onChange}
      label="Animal"
      loadNames={() => Promise.resolve(otherNames)}
    />,
  );
  const field = screen.getByRole('combobox', { name: 'Animal' });
  await type.click(field);
  return field;
};
const found = (): readonly (string | null)[] =>
  screen.queryAllByRole('option').map((it) => it.firstChild?.textContent ?? null);

describe('the picker of species', () => {
  it.each([
    ['crested', ['crested gecko']],
    ['Correlophus', ['crested gecko']],
    // What people call it, in any language, and what it was called before.
    ['dumpy', ['green tree frog of Australia']],
    ['Königspython', ['royal python']],
    ['Litoria', ['green tree frog of Australia']],
    // A slip of spelling.
    ['leopart gekko', ['leopard gecko']],
  ])('%s', async (typed, names) => {
    const field = await opened();
    await vi.waitFor(() => expect(found().length).toBe(catalogue.animals.length), { timeout: 20_000 });
    await type.type(field, typed);
    await vi.waitFor(() => expect(found().slice(0, names.length)).toEqual(names), { timeout: 20_000 });
  });
  it('gives the species that is picked, and nothing that was only typed', async () => {
    const onChange = vi.fn();
    const field = await opened(onChange);
    await type.type(field, 'tokay');
    await type.click(await screen.findByRole('option', { name: /tokay/ }));
    expect(onChange.mock.calls).toEqual([['gekko-gecko']]);
  });
});
