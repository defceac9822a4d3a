// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { eventually, made, open } from '../testing/open';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { agingLamps } from '@/core/care';
import { localDay } from '@/core/time';
import { RinconDatabase } from '@/store';
import { writeEntries } from '@/store/log';
import { EntryFormCard } from './EntryFormCard';
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

  it('that somebody died, or a lamp is new, says what changes with it, and changes it', async () => {
    const design = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
    const uv = agingLamps(design, catalogue)[0]!;
    const db = new RinconDatabase();
    await open(
      <QuickLine
        places={[{ ...place, id: design.id, lamps: [uv] }]}
        open={{ ...place, id: design.id, lamps: [uv] }}
      />,
      {
        ...design,
        brief: { ...design.brief, count: 3, stage: 'inhabited', since: '2026-01-01' },
      },
    );
    type('died 1; replaced lamp');
    expect(screen.getByText(/one less lives here/)).toBeDefined();
    expect(screen.getByText(/the new lamp counts from now/)).toBeDefined();
    fireEvent.click(write());
    await eventually(async () => {
      const row = (await db.designs.get(design.id))!;
      expect(row.design.brief.count).toBe(2);
      expect(row.design.climate.devices.find((it) => it.id === uv.device)!.since).toBe(localDay(Date.now()));
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await eventually(async () => expect((await db.designs.get(design.id))!.design.brief.count).toBe(3));
    db.close();
  });

  it('that cannot be is not offered to be written', async () => {
    await open(<QuickLine places={[place]} open={place} />, made('theloderma-corticale'));
    type('fed 1 cricket, 3 left');
    expect(write().disabled).toBe(true);
    expect(screen.getByText(/3 left of 1 given/)).toBeDefined();
  });
});

describe('a line by its fields', () => {
  const briefIn = async (id: string) => {
    const db = new RinconDatabase();
    const { brief } = (await db.designs.get(id))!.design;
    db.close();
    return brief;
  };
  const kind = (name: string): void => {
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'What' }));
    fireEvent.click(screen.getByRole('option', { name }));
  };
  it('of young asks whether they stay, of the dead whether they are counted', async () => {
    const design = made('theloderma-corticale');
    const lived = { ...design, brief: { ...design.brief, count: 4, stage: 'inhabited' as const } };
    await open(<EntryFormCard entry={null} onDone={() => undefined} />, lived);
    kind('Born');
    expect(
      screen.getByRole<HTMLInputElement>('checkbox', { name: 'They stay in this enclosure' }).checked,
    ).toBe(false);
    fireEvent.click(screen.getByRole('checkbox', { name: 'They stay in this enclosure' }));
    fireEvent.change(screen.getByRole('textbox', { name: 'Young' }), { target: { value: '5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await eventually(async () => expect((await briefIn(design.id)).count).toBe(9));
    kind('Died');
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Fewer live here now' }).checked).toBe(
      true,
    );
    fireEvent.change(screen.getByRole('textbox', { name: 'How many' }), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
    await eventually(async () => expect((await briefIn(design.id)).count).toBe(7));
  });
});
