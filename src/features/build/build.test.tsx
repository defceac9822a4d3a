// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { EditCall } from '@/core/edits';
import { US } from '@/core/units';
import { eventually, made, open } from '../testing/open';
import { Build } from './Build';

const FROG = 'dendrobates-tinctorius';
const cells = (row: HTMLElement): string[] =>
  within(row)
    .getAllByRole('cell')
    .map((it) => it.textContent!.replaceAll('\u00a0', ' '));
const piece = (name: RegExp): string[] =>
  cells(within(screen.getByRole('table', { name: 'Pieces' })).getByRole('row', { name }));
const toCut = (): void => {
  fireEvent.click(screen.getByRole('tab', { name: 'To cut and prepare' }));
};
const toMake = (): void => {
  fireEvent.click(screen.getByRole('tab', { name: 'To be made' }));
};

describe('to buy and to cut', () => {
  it('counts legs and plies, tells holes, and says what is trimmed to a region', async () => {
    await open(<Build />, made('theloderma-corticale', siphon));
    toCut();
    expect(screen.getByText(/^Pipe for panel legs: \d+ × 10\.7.cm long$/)).toBeDefined();
    expect(screen.getAllByText(/Then trimmed to the outline of its region/).length).toBeGreaterThan(0);
    expect(
      screen.getByText(/Holes: 2\.5.cm across at 50.cm from the left, 40.cm from the front\./),
    ).toBeDefined();
  });

  it('what is to be prepared stands with its amounts, in the reader’s units', async () => {
    await open(<Build />, made(FROG), US);
    toCut();
    expect(screen.getByText(/By its dry mass a 1\.43.lb brick gives/)).toBeDefined();
    expect(screen.getByText('Bake what you collect')).toBeDefined();
  });

  it('with nothing in the enclosure it says so', async () => {
    const empty = made(null, { edit: 'setMethod', change: { method: 'none' } });
    const bare = { ...empty, ground: { ...empty.ground, layers: [] } };
    await open(<Build />, bare);
    expect(screen.getByText(/^Nothing is to be bought/)).toBeDefined();
  });
});

const siphon: EditCall = {
  edit: 'setOutlet',
  change: { outlet: { kind: 'siphon', diameter: 0.025, at: { x: 0.5, y: 0.4 } } },
};

describe('to be made', () => {
  it('names every pane with its size; thicknesses in millimetres', async () => {
    await open(<Build />, made(FROG));
    toMake();
    expect(piece(/^Floor/)).toEqual(['Floor', '1', '61.0 × 46.0', '5 mm']);
    expect(piece(/^Left side/)).toEqual(['Left side', '1', '45.0 × 60.0', '5 mm']);
    expect(piece(/^Vent strip/)).toEqual(['Vent strip under the doors', '1', '60.0 × 2.0', 'gauze']);
    expect(
      screen.getByText(/^Glass, walls 5.mm thick\. Inside 60 × 45 × 60.*outside 61 × 46 × 60\.5/),
    ).toBeDefined();
    expect(screen.queryByRole('combobox', { name: 'Board' })).toBeNull();
  });

  it('in inches it is in inches throughout', async () => {
    await open(<Build />, made(FROG), US);
    toMake();
    expect(piece(/^Floor/)).toEqual(['Floor', '1', '24.0 × 18.1', '0.2 in']);
  });

  it('a vent changes the doors over it', async () => {
    const { stored } = await open(<Build />, made(FROG));
    toMake();
    const height = (): number => Number(/× ([\d.]+)/.exec(piece(/^Sliding panes/)[2]!)![1]);
    const before = height();
    const vent = screen.getByRole('textbox', { name: 'Vent under the doors' });
    fireEvent.focus(vent);
    fireEvent.change(vent, { target: { value: '60 mm' } });
    fireEvent.keyDown(vent, { key: 'Enter' });
    await eventually(async () => expect((await stored()).enclosure.made.ventLow).toBeCloseTo(0.06, 9));
    expect(height()).toBeCloseTo(before - 4, 6);
  });

  it('a hole is drilled, numbered on its wall and taken out; the drain of the ground is told besides', async () => {
    const { stored } = await open(
      <Build />,
      made(FROG, { edit: 'setOutlet', change: { outlet: { kind: 'drain', bore: 0.012, height: 0.015 } } }),
    );
    toMake();
    expect(
      screen.getByText(/a drain besides: 12.mm inside, its lower edge 15.mm over the floor/),
    ).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Add a hole' }));
    expect(await screen.findByRole('img', { name: 'lid, 1 hole' })).toBeDefined();
    await eventually(async () =>
      expect((await stored()).enclosure.made.bores).toEqual([
        expect.objectContaining({ id: 'bore-1', use: 'nozzle', wall: 'top', diameter: 0.012 }),
      ]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take out hole 1' }));
    await eventually(async () => expect((await stored()).enclosure.made.bores).toEqual([]));
  });

  it('wood tells what seals it and how much that takes', async () => {
    await open(
      <Build />,
      made(FROG, { edit: 'setEnclosure', change: { material: 'timber', wallThickness: 0.015 } }),
    );
    toMake();
    expect(
      screen.getByText(/^Birch plywood: .*Sealed with epoxy resin: .*2 coats over \d\.\d\d m² take/),
    ).toBeDefined();
  });
});
