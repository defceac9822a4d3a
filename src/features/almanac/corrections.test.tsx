// @vitest-environment happy-dom
import 'fake-indexeddb/auto';
import { fireEvent, screen, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { corrected, type Correction } from '@/core/catalogue';
import { writeCorrections } from '@/files';
import { eventually, open } from '../testing/open';
import { CorrectionTools } from './CorrectionTools';

const gecko = catalogue.animals.find((it) => it.id === 'correlophus-ciliatus')!;
const of = (field: string, value: Correction['value'], row = gecko.id): Correction => ({
  table: 'animals',
  row,
  name: gecko.english,
  field,
  value,
});
const WARM = { value: { low: 23, high: 26 }, basis: 'cited' as const, source: 'Doe, J. 2019, table 2' };
const DIGS = { value: 0.11, basis: 'measured' as const };

it('corrections of a file are reviewed one by one, taken over at once, and taken back', async () => {
  const { settings } = await open(<CorrectionTools />);
  expect(screen.queryByRole('button', { name: /^Export/ })).toBeNull();
  const text = writeCorrections(
    [of('climate.warm', WARM), of('digs', DIGS), of('climate.warm', WARM, 'a-dragon')],
    new Date('2026-11-29T12:00:00Z'),
  );
  fireEvent.change(screen.getByLabelText('File of corrections'), {
    target: { files: [new File([text], 'c.json')] },
  });
  const table = within(await screen.findByRole('table', { name: 'Corrections' }));
  expect(table.getAllByText(/23.°C to 26.°C \(cited, to check: Doe, J. 2019, table 2\)/)).toHaveLength(2);
  expect(table.getByText(/11.cm \(measured\)/)).toBeDefined();
  expect(table.getByText('Not taken: it is not in this catalogue.')).toBeDefined();
  fireEvent.click(table.getByRole('checkbox', { name: `Take Digs of ${gecko.english}` }));
  fireEvent.click(screen.getByRole('button', { name: 'Take 1 over' }));
  await eventually(async () =>
    expect((await settings()).animals).toEqual([corrected(gecko, 'climate.warm', WARM)]),
  );
  // What was taken over is there to be given on.
  expect(await screen.findByRole('button', { name: 'Export 1 correction' })).toBeDefined();
  fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
  await eventually(async () => expect((await settings()).animals).toEqual([]));
});
