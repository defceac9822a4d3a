// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { fireEvent, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { demoCultures } from '@/catalogue/demo';
import { dayPlus, localDay } from '@/core/time';
import { RinconDatabase } from '@/store';
import { saveSetting } from '@/store/settings';
import { eventually, open } from '../testing/open';
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

it('a culture that was fed meanwhile is settled with what was done in the enclosures, and taken back with it', async () => {
  const db = new RinconDatabase();
  await db.open();
  const today = localDay(Date.now());
  const [first] = demoCultures(Date.now());
  await db.cultures.clear();
  await db.cultures.add({ ...first!, acts: [], started: dayPlus(today, -8), feedEvery: 5, ended: null });
  await saveSetting(db, 'away', { from: dayPlus(today, -6), to: dayPlus(today, 3), who: 'Ada' });
  await open(<Sitter tools={null} />);
  const acts = async () => (await db.cultures.toArray())[0]!.acts.filter((it) => !it.gone);
  // Started eight days ago and fed every five: due three days ago, and in two days, which has not come.
  const box = await screen.findByRole('checkbox', { name: `Cultures: feed ${first!.name}` });
  fireEvent.click(box);
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  await eventually(async () =>
    expect((await acts()).map(({ on, what }) => [on, what])).toEqual([[dayPlus(today, -3), 'fed']]),
  );
  fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
  await eventually(async () => expect(await acts()).toEqual([]));
  db.close();
});
