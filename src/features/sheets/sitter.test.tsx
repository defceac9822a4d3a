// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { demoCultures } from '@/catalogue/demo';
import { dayPlus, localDay } from '@/core/time';
import { RinconDatabase } from '@/store';
import { open } from '../testing/open';
import { Sitter } from './Sitter';

it('a sheet for cultures alone tells each feeding on its day', async () => {
  const db = new RinconDatabase();
  await db.open();
  await db.cultures.bulkAdd([...demoCultures(Date.now())]);
  db.close();
  await open(<Sitter tools={null} />);
  // Fed two days ago, every five days: due in three, and not again within the week.
  const lines = await screen.findAllByText(/Feed Springtails on charcoal/);
  expect(lines).toHaveLength(1);
  const day = new Date(`${dayPlus(localDay(Date.now()), 3)}T12:00:00Z`).toLocaleDateString(undefined, {
    weekday: 'long',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  expect(lines[0]!.closest('tr')!.textContent).toContain(day);
  expect(screen.getByRole('button', { name: 'Print it' })).toHaveProperty('disabled', false);
});
