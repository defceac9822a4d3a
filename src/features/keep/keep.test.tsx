// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { eventually, made, open } from '../testing/open';
import { RinconDatabase } from '@/store';
import { writeEntries } from '@/store/log';
import { LogTab } from './LogTab';
import { QuickLine } from './QuickLine';

afterEach(() => vi.restoreAllMocks());

const place = { id: 'x', name: 'Box' };
const type = (text: string): HTMLInputElement => {
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Write down' });
  fireEvent.change(field, { target: { value: text } });
  return field;
};
const write = (): HTMLButtonElement => screen.getByRole<HTMLButtonElement>('button', { name: 'Write' });

describe('the log', () => {
  it('shows and finds what was written years ago', async () => {
    const design = made('theloderma-corticale');
    const db = new RinconDatabase();
    const note = (text: string, daysAgo: number) => ({
      design: design.id,
      at: Date.now() - daysAgo * 86_400_000,
      draft: { kind: 'note' as const, values: {}, text },
    });
    await writeEntries(db, [note('Cork replaced', 1500), note('Called at night', 2)], Date.now());
    db.close();
    await open(<LogTab />, design);
    expect(await screen.findByText(/Cork replaced/)).toBeDefined();
    expect(screen.getByText(/Called at night/)).toBeDefined();
    fireEvent.change(screen.getByRole('textbox', { name: 'Search the log' }), {
      target: { value: 'note cork' },
    });
    await eventually(() => expect(screen.queryByText(/Called at night/)).toBeNull());
    expect(screen.getByText(/Cork replaced/)).toBeDefined();
  });
});

describe('a line written down', () => {
  it('is shown as it is understood, written, and the field is free for the next', async () => {
    await open(<QuickLine places={[place]} open={place} />, made('theloderma-corticale'));
    const field = type('mist 20s; 74 F');
    expect(screen.getByText('Misted: 20 s')).toBeDefined();
    expect(screen.getByText(/^Reading: 23\.3.°C$/)).toBeDefined();
    fireEvent.click(write());
    await eventually(() => expect(field.value).toBe(''));
    expect(await screen.findByText('2 lines written.')).toBeDefined();
  });

  it('with the storage full it is not written, says what to do, and stands in the field still', async () => {
    await open(<QuickLine places={[place]} open={place} />, made('theloderma-corticale'));
    vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    });
    const field = type('fed 3 crickets');
    fireEvent.click(write());
    expect(await screen.findByText(/^Not written: the browser’s storage is full/)).toBeDefined();
    expect(field.value).toBe('fed 3 crickets');
  });

  it('that cannot be is not offered to be written', async () => {
    await open(<QuickLine places={[place]} open={place} />, made('theloderma-corticale'));
    type('fed 1 cricket, 3 left');
    expect(write().disabled).toBe(true);
    expect(screen.getByText(/3 left of 1 given/)).toBeDefined();
  });
});
