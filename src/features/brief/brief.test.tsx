// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { US } from '@/core/units';
import { eventually, made, open } from '../testing/open';
import { Brief } from './Brief';

const FROG = 'dendrobates-tinctorius';
const box = (name: string | RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const pick = async (field: string, option: string): Promise<void> => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: field }));
  fireEvent.click(await screen.findByRole('option', { name: option }));
};
const read = (name: string): string => box(name).value.replaceAll('\u00a0', ' ');

describe('the enclosure', () => {
  it('given outside, its walls are taken off each side; the floor counts for its height', async () => {
    const { stored } = await open(<Brief />, made(FROG));
    expect(read('Width inside')).toBe('60 cm');
    fireEvent.click(screen.getByRole('checkbox', { name: 'Sides given outside' }));
    expect([read('Width outside'), read('Depth outside'), read('Height outside')]).toEqual([
      '61 cm',
      '46 cm',
      '60.5 cm',
    ]);
    enter(box('Width outside'), '81 cm');
    enter(box('Height outside'), '50.5 cm');
    await eventually(async () =>
      expect((await stored()).enclosure).toMatchObject({
        width: expect.closeTo(0.8, 9),
        depth: 0.45,
        height: expect.closeTo(0.5, 9),
      }),
    );
    fireEvent.click(screen.getByRole('checkbox', { name: 'Sides given outside' }));
    expect(read('Width inside')).toBe('80 cm');
  });

  it('each wall is made as the box is, as gauze, or of a make and thickness of its own', async () => {
    const { stored } = await open(<Brief />, made(FROG));
    await pick('Left wall', 'gauze');
    await pick('Back wall', 'gauze');
    await pick('Left wall', 'as the box');
    await eventually(async () => expect((await stored()).enclosure.screened).toEqual(['back']));
    await pick('Back wall', 'timber');
    enter(box('Back wall, thickness'), '18 mm');
    await eventually(async () =>
      expect((await stored()).enclosure).toMatchObject({
        screened: [],
        panels: [{ wall: 'back', material: 'timber', thickness: expect.closeTo(0.018, 9) }],
      }),
    );
    // By hand: 45 cm inside, a pane of 5 mm before it and a board of 18 mm behind.
    expect(screen.getByText(/^Outside .*47\.3/)).toBeDefined();
  });

  it('a box of board opens by panes of glass, until they are made otherwise', async () => {
    const { stored } = await open(<Brief />, made(FROG));
    await pick('Made of', 'timber');
    await eventually(async () =>
      expect((await stored()).enclosure.panels).toEqual([
        { wall: 'front', material: 'glass', thickness: 0.005 },
      ]),
    );
    await pick('Front doors', 'as the box');
    await eventually(async () => expect((await stored()).enclosure.panels).toEqual([]));
  });

  it('a stand’s rating is judged as soon as it is known, and forgotten when it is cleared', async () => {
    const { stored } = await open(<Brief />, made(FROG), US);
    enter(box('Stand rated for'), '30 lb');
    await eventually(() =>
      expect(document.querySelector('[data-finding="stand-overloaded"]')).not.toBeNull(),
    );
    expect((await stored()).enclosure.standRating).toBeCloseTo(13.608, 3);
    enter(box('Stand rated for'), '');
    await eventually(async () => expect((await stored()).enclosure.standRating).toBeNull());
    expect(document.querySelector('[data-finding="stand-overloaded"]')).toBeNull();
  });

  it('says what it weighs and how it presses', async () => {
    await open(<Brief />, made(FROG));
    expect(
      screen.getByText(/162.L inside, .*kg empty \(calculated\), .*kg standing; presses \d\.\d kN\/m²/),
    ).toBeDefined();
  });
});

describe('animal and proposal', () => {
  it('how many is a number with a range', async () => {
    const { stored } = await open(<Brief />, made(FROG));
    enter(box('How many'), '3');
    await eventually(async () => expect((await stored()).brief.count).toBe(3));
    enter(box('How many'), '0');
    expect(screen.getByText('A number from 1 to 500.')).toBeDefined();
    expect((await stored()).brief.count).toBe(3);
  });

  it('a ground proposed afresh keeps the approaches that are followed', async () => {
    const { stored } = await open(
      <Brief />,
      made(
        FROG,
        { edit: 'setSchools', change: { renewal: 'replace', microbes: 'bring' } },
        { edit: 'addRegion', change: { kind: 'den' } },
      ),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Propose the ground afresh' }));
    await eventually(async () => expect((await stored()).ground.regions).toEqual([]));
    expect((await stored()).ground.schools).toMatchObject({ renewal: 'replace', microbes: 'bring' });
  });
});

describe('the name', () => {
  it('is changed by Enter, never to nothing, and Esc brings the old one back', async () => {
    const { stored } = await open(<Brief />, made(FROG));
    enter(box('Name'), '  Moss corner ');
    await eventually(async () => expect((await stored()).name).toBe('Moss corner'));
    enter(box('Name'), '   ');
    expect(screen.getByText('A name is expected.')).toBeDefined();
    fireEvent.keyDown(box('Name'), { key: 'Escape' });
    expect(box('Name').value).toBe('Moss corner');
    expect((await stored()).name).toBe('Moss corner');
  });
});
