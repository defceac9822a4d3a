// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import type { Sourced } from '@/core/catalogue';
import { METRIC } from '@/core/units';
import { draw } from '../testing/render';
import { Single } from './SourcedFields';

const put = vi.fn<(value: Sourced<number>) => void>();
function Field({ own, start }: { readonly own: boolean; readonly start: Sourced<number> }) {
  const [value, setValue] = useState(start);
  return (
    <Single
      label="Soil to dig in"
      measure="length"
      of={value}
      max={1}
      own={own}
      onPut={(next) => {
        put(next);
        setValue(next);
      }}
    />
  );
}
const mark = () => screen.getByRole('button', { name: /^Where “Soil to dig in” comes from/ });
const choose = async (name: RegExp): Promise<void> => {
  await userEvent.click(screen.getByRole('combobox', { name: 'It is' }));
  await userEvent.click(screen.getByRole('option', { name }));
};

describe('the mark of a value of one’s own', () => {
  it('can be cited, and then names its work; the value stays', async () => {
    draw(<Field own start={{ value: 0.2, basis: 'measured' }} />, METRIC);
    await userEvent.click(mark());
    const dialog = within(await screen.findByRole('dialog', { name: 'Where “Soil to dig in” comes from' }));
    await choose(/^cited/);
    // Without a work it is not taken.
    expect(dialog.getByRole('button', { name: 'Set it' })).toHaveProperty('disabled', true);
    expect(dialog.getByText('A published or cited value names the work it stands in.')).toBeDefined();
    fireEvent.change(dialog.getByRole('textbox', { name: 'Author, year, work, table' }), {
      target: { value: 'Doe, J. 2019. Sand and burrows, table 3' },
    });
    await userEvent.click(dialog.getByRole('button', { name: 'Set it' }));
    expect(put.mock.lastCall?.[0]).toEqual({
      value: 0.2,
      basis: 'cited',
      source: 'Doe, J. 2019. Sand and burrows, table 3',
    });
    expect(mark().getAttribute('aria-label')).toContain('cited, to check');
  });
  it('of the list keeps its id while only the mark changes, and goes when the work is cleared', async () => {
    draw(<Field own start={{ value: 0.2, basis: 'estimated', source: 'kin' }} />, METRIC);
    await userEvent.click(mark());
    await screen.findByDisplayValue('As of near relatives of its size.');
    await choose(/^common practice/);
    await userEvent.click(screen.getByRole('button', { name: 'Set it' }));
    expect(put.mock.lastCall?.[0]).toEqual({ value: 0.2, basis: 'practice', source: 'kin' });
    await userEvent.click(mark());
    fireEvent.change(await screen.findByDisplayValue('As of near relatives of its size.'), {
      target: { value: '' },
    });
    await userEvent.click(screen.getByRole('button', { name: 'Set it' }));
    expect(put.mock.lastCall?.[0]).toEqual({ value: 0.2, basis: 'practice' });
  });
  it('is read, not changed, where the row ships', () => {
    draw(<Field own={false} start={{ value: 0.2, basis: 'practice' }} />, METRIC);
    expect(screen.queryByRole('button', { name: /^Where/ })).toBeNull();
    expect(screen.getByText('common practice')).toBeDefined();
  });
});
