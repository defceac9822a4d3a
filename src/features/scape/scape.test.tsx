// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { EditCall } from '@/core/edits';
import { US } from '@/core/units';
import { eventually, made, open } from '../testing/open';
import { Scape } from './Scape';
import { sizeWords } from './words';

const FROG = 'theloderma-corticale';
const BOA = 'eryx-colubrinus';
const PROPOSE: EditCall = { edit: 'proposeScape', change: {} };
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const box = (name: string | RegExp) => screen.getByRole('textbox', { name });
const tab = (name: string): void => {
  fireEvent.click(screen.getByRole('tab', { name }));
};
const choose = async (field: HTMLElement, option: string | RegExp): Promise<void> => {
  fireEvent.mouseDown(field);
  fireEvent.click(within(await screen.findByRole('listbox')).getByRole('option', { name: option }));
};
const pieces = () =>
  within(screen.getByRole('table', { name: 'Pieces' }))
    .getAllByRole('button')
    .map((it) => it.textContent);

describe('words', () => {
  it('a long piece is told by its length and thickness, a block by its three sides', () => {
    const reader = { write: (it: { si: number }) => String(Math.round(it.si * 1000) / 10) } as never;
    expect(
      sizeWords({ shape: 'rod', run: { x: 0.3, y: 0 }, rise: 0.4, diameter: 0.02, wall: null }, reader),
    ).toBe('50 long, ⌀ 2');
    expect(
      sizeWords(
        { shape: 'block', form: 'box', width: 0.2, depth: 0.1, height: 0.05, turn: 0, wall: null },
        reader,
      ),
    ).toBe('20 × 10 × 5');
  });
});

describe('Hardscape', () => {
  it('empty, it offers a first layout; that is taken, cleared, and each is one step', async () => {
    const { stored } = await open(<Scape />, made(BOA));
    expect(screen.getByText(/Nothing stands in the enclosure yet\. Lay out/)).toBeDefined();
    fireEvent.click(screen.getAllByRole('button', { name: 'Lay out a first hardscape' })[0]!);
    await eventually(async () => expect((await stored()).scape.pieces.length).toBeGreaterThan(6));
    expect(pieces()).toContain('Slate on edge stones');
    fireEvent.click(screen.getByRole('button', { name: 'Take all out' }));
    await eventually(async () => expect((await stored()).scape.pieces).toEqual([]));
  });

  it('a piece is added, opened, sized, turned, stood on something else, copied and taken out', async () => {
    const { stored } = await open(<Scape />, made(BOA));
    const add = screen.getByRole('combobox', { name: /^Add wood/ });
    fireEvent.change(add, { target: { value: 'flat stone' } });
    fireEvent.click(await screen.findByRole('option', { name: /^Flat stone/ }));
    const detail = within(await screen.findByRole('region', { name: 'Flat stone' }));
    enter(box('Wide'), '30 cm');
    enter(box('Turned, °'), '45');
    enter(box('From the left'), '31 cm');
    enter(box('Name'), 'Sun stone');
    await eventually(async () => {
      const [piece] = (await stored()).scape.pieces;
      expect(piece).toMatchObject({ name: 'Sun stone', at: { x: 0.31 }, body: { width: 0.3 } });
      expect(piece!.body.shape === 'block' && piece!.body.turn).toBeCloseTo(Math.PI / 4, 6);
    });
    fireEvent.click(detail.getByRole('checkbox', { name: 'basking spot' }));
    await choose(screen.getByRole('combobox', { name: 'Stands' }), 'held by a wall');
    enter(box('Height'), '25');
    await eventually(async () =>
      expect((await stored()).scape.pieces[0]).toMatchObject({
        basking: true,
        support: { on: 'wall', height: 0.25 },
      }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'One more like it' }));
    expect(pieces()).toEqual(['Sun stone', 'Sun stone 2']);
    fireEvent.click(screen.getByRole('button', { name: 'Take it out' }));
    await eventually(async () =>
      expect((await stored()).scape.pieces.map((it) => it.name)).toEqual(['Sun stone 2']),
    );
  });

  it('a long piece keeps its direction when it gets longer, and its length when it is tilted', async () => {
    const { stored } = await open(
      <Scape />,
      made(BOA, { edit: 'addPiece', change: { kind: 'log', at: { x: 0.1, y: 0.2 } } }),
    );
    fireEvent.click(
      within(screen.getByRole('table', { name: 'Pieces' })).getByRole('button', { name: 'Log' }),
    );
    enter(box('Length'), '40 cm');
    enter(box('Tilt, °'), '30');
    await eventually(async () => {
      const body = (await stored()).scape.pieces[0]!.body;
      if (body.shape !== 'rod') throw new Error('a log is long');
      expect(Math.hypot(body.run.x, body.run.y, body.rise)).toBeCloseTo(0.4, 3);
      expect(body.rise).toBeCloseTo(0.2, 3);
    });
  });

  it('a background is chosen, changed, cut through, and says what it takes and waits for', async () => {
    const { stored } = await open(<Scape />, made(FROG));
    tab('Background');
    await choose(screen.getByRole('combobox', { name: 'On the back wall' }), /^Carved foam/);
    const supplies = within(await screen.findByRole('table', { name: 'What the backgrounds take' }));
    expect(supplies.getByText(/pond foam/)).toBeDefined();
    expect(supplies.getByText(/Masonry sealer/)).toBeDefined();
    enter(box('Coats'), '5');
    enter(box('Thick, on average'), '4 cm');
    fireEvent.click(screen.getByRole('button', { name: 'Openings, joins and glue' }));
    expect(screen.getByText(/Coat of sealer, 5 times: 5 to 10 days/)).toBeDefined();
    expect(screen.getByText('solvent glue and spray paint')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Drain' }));
    enter(box('From the left'), '12');
    await choose(screen.getByRole('combobox', { name: 'Surface' }), 'silicone and fibre');
    await eventually(async () =>
      expect((await stored()).scape.backgrounds[0]).toMatchObject({
        kind: 'carved-foam',
        thickness: 0.04,
        finish: 'fibre',
        cutouts: [{ use: 'drain', across: 0.12 }],
      }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Close the opening for the drain' }));
    await choose(screen.getByRole('combobox', { name: 'On the back wall' }), 'bare');
    await eventually(async () => expect((await stored()).scape.backgrounds).toEqual([]));
  });

  it('a pump tells what comes out, how, and when it is too weak; the trial is written down', async () => {
    const { stored } = await open(<Scape />, made(FROG, PROPOSE));
    tab('Water');
    fireEvent.click(screen.getByRole('button', { name: 'Internal filter' }));
    tab('Water');
    const pump = within(await screen.findByRole('region', { name: 'Pump of internal filter' }));
    expect(pump.getByText(/an hour come out/)).toBeDefined();
    expect(pump.getByText(/Reynolds [\d,]+, rough \(turbulent\)/)).toBeDefined();
    enter(pump.getByRole('textbox', { name: 'Lifts at most' }), '5 cm');
    expect(pump.getByText(/Nothing comes out/)).toBeDefined();
    fireEvent.click(pump.getByRole('checkbox', { name: 'intake behind sponge or stones' }));
    fireEvent.change(screen.getByLabelText('Tight, before the soil'), { target: { value: '2026-11-02' } });
    await eventually(async () => {
      const { scape } = await stored();
      expect(scape.trial.before).toBe('2026-11-02');
      expect(scape.pieces.at(-1)!.pump).toMatchObject({ maxHead: 0.05, guarded: false });
    });
    expect(screen.getByText(/The intake of internal filter is open/)).toBeDefined();
  });

  it('the warm side turns what is warm and what is cool; the room above is judged', async () => {
    const { stored } = await open(<Scape />, made(BOA, PROPOSE), US);
    tab('Warm side and access');
    fireEvent.click(screen.getByRole('radio', { name: /^Left/ }));
    enter(box('To the shelf or ceiling above'), '4 in');
    await eventually(async () =>
      expect((await stored()).scape).toMatchObject({ warm: 'left', above: expect.closeTo(0.1016, 6) }),
    );
    expect(screen.getByText(/little room over the enclosure for lamps/)).toBeDefined();
    expect(screen.getByText(/Sliding doors, one half at a time/)).toBeDefined();
  });
});
