// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '@/core/assess';
import { US } from '@/core/units';
import { eventually, made, open } from '../testing/open';
import { Ground } from './Ground';
import { partOf, REGION_WORD, stackIn } from './places';

const FROG = 'dendrobates-tinctorius';
const BOA = 'eryx-colubrinus';
const add = (kind: 'den' | 'pool' | 'bark-bay') => ({ edit: 'addRegion', change: { kind } }) as const;

/** Typed and taken over at once: a key at a time would draw the whole place anew at each. */
const enter = (field: HTMLElement, text: string): void => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const box = (name: string | RegExp) => screen.getByRole('textbox', { name });
const rows = () =>
  within(screen.getByRole('table', { name: 'Layers' }))
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]!.textContent);

describe('where one works', () => {
  it('each kind of region is called something and says why', () => {
    for (const { name, why } of Object.values(REGION_WORD)) {
      expect(name.length).toBeGreaterThan(2);
      expect(why).toMatch(/\.$/);
    }
  });
  it('a region shows its own layers first, then those that run on under it', () => {
    const design = made(FROG, add('den'));
    const assessment = assess(design, catalogue);
    const stack = stackIn(assessment, design, 'region-1');
    expect(stack.map((it) => [it.result.layer.kind, it.shared])).toEqual([
      ['substrate', false],
      ['barrier', true],
      ['drainage', true],
    ]);
    expect(partOf(assessment, 'region-1')!.region!.name).toBe('Den');
    expect(stackIn(assessment, design, 'region-9')).toEqual([]);
    expect(stackIn(assessment, design, null).every((it) => !it.shared)).toBe(true);
  });
});

describe('Ground', () => {
  it('a depth typed in any unit is stored, and every figure follows', async () => {
    const design = made(FROG);
    const { stored } = await open(<Ground />, design);
    const before = assess(design, catalogue).substrateVolume;
    enter(box(/^Forest mix.*depth at the back, cm$/), '4 in');
    await eventually(async () => {
      const soil = (await stored()).ground.layers.find((it) => it.kind === 'substrate')!;
      expect(soil).toMatchObject({ thickness: { backLeft: 0.1016, backRight: 0.1016 } });
    });
    expect(assess(await stored(), catalogue).substrateVolume).not.toBeCloseTo(before, 6);
  });

  it('reads and writes in inches', async () => {
    const { stored } = await open(<Ground />, made(FROG), US);
    enter(box(/^Forest mix.*depth at the front, in$/), '2');
    await eventually(async () => {
      const soil = (await stored()).ground.layers.find((it) => it.kind === 'substrate')!;
      expect(soil).toMatchObject({ thickness: { frontLeft: expect.closeTo(0.0508, 9) } });
    });
  });

  it('a region is added, opened, named, sized and taken out', async () => {
    const { stored } = await open(<Ground />, made(FROG));
    fireEvent.click(screen.getByRole('button', { name: 'Add a region' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: /^Bark bay/ }));
    const region = within(await screen.findByRole('region', { name: 'Region Bark bay' }));
    expect(screen.getByRole('button', { name: 'Bark bay' }).getAttribute('aria-pressed')).toBe('true');
    expect(rows()).toEqual(['Dry bark']);
    enter(region.getByRole('textbox', { name: 'Width' }), '20 cm');
    enter(box('Name of this region'), 'Warm bay');
    await eventually(async () => {
      const [bay] = (await stored()).ground.regions;
      expect(bay!.name).toBe('Warm bay');
      const xs = bay!.outline.map((it) => it.x);
      expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(0.2, 9);
    });
    const again = within(screen.getByRole('region', { name: 'Region Warm bay' }));
    fireEvent.click(again.getByRole('button', { name: 'Take out' }));
    await eventually(async () => expect((await stored()).ground.regions).toEqual([]));
    expect(screen.getByRole('button', { name: 'Whole floor' })).toBeDefined();
  });

  it('a layer is added to the region that is open, and to no other', async () => {
    const { stored } = await open(<Ground />, made(FROG, add('den')));
    fireEvent.click(screen.getByRole('button', { name: 'Den' }));
    fireEvent.click(screen.getByRole('button', { name: 'Add a layer' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Leaf litter' }));
    await eventually(async () => {
      const { ground } = await stored();
      expect(ground.regions[0]!.layers.map((it) => it.kind)).toEqual(['substrate', 'litter']);
      expect(ground.layers.filter((it) => it.kind === 'litter')).toHaveLength(1);
    });
    expect(rows()).toEqual([
      'Oak leaf litter',
      'Den fill',
      'Barrier · fibreglass insect mesh',
      'Drainage · clay pebbles 8–16 mm',
    ]);
  });

  it('one starts on the land where the rest is water', async () => {
    await open(<Ground />, made('theloderma-corticale'));
    expect(screen.getByRole('button', { name: 'Land' }).getAttribute('aria-pressed')).toBe('true');
    expect(rows()).toContain('Drainage · raised panel');
    fireEvent.click(screen.getByRole('button', { name: 'Rest of the floor' }));
    expect(rows()).toEqual(['Open water']);
    expect(
      screen
        .getByRole('radio', { name: /^As high as the water in the enclosure/ })
        .getAttribute('aria-checked'),
    ).toBe('true');
  });

  it('open water gets a level of its own, and gives it up again', async () => {
    const { stored } = await open(<Ground />, made(FROG, add('pool')));
    fireEvent.click(screen.getByRole('button', { name: 'Pool' }));
    const level = async () => {
      const water = (await stored()).ground.regions[0]!.layers[0]!;
      return water.kind === 'water' ? water.level : undefined;
    };
    fireEvent.click(screen.getByRole('radio', { name: /^At a level of its own/ }));
    enter(box('Level above the floor'), '9 cm');
    await eventually(async () => expect(await level()).toBeCloseTo(0.09, 9));
    fireEvent.click(screen.getByRole('radio', { name: /^As high as/ }));
    await eventually(async () => expect(await level()).toBeNull());
  });

  it('the way out for the water is chosen and placed', async () => {
    const { stored } = await open(<Ground />, made(FROG));
    fireEvent.click(screen.getByRole('button', { name: /^Drainage · / }));
    fireEvent.click(screen.getByRole('radio', { name: /^Drain / }));
    enter(box('Opens above the floor'), '2 cm');
    await eventually(async () =>
      expect((await stored()).ground.outlet).toEqual({ kind: 'drain', bore: 0.012, height: 0.02 }),
    );
    fireEvent.click(screen.getByRole('radio', { name: /^Lift-out corner/ }));
    enter(box('Width'), '8');
    await eventually(async () =>
      expect((await stored()).ground.outlet).toMatchObject({ kind: 'lift-out', width: 0.08 }),
    );
    fireEvent.click(screen.getByRole('radio', { name: /^Siphon tube/ }));
    enter(box('From the left'), '30 cm');
    await eventually(async () =>
      expect((await stored()).ground.outlet).toMatchObject({ kind: 'siphon', at: { x: 0.3 } }),
    );
    fireEvent.click(screen.getByRole('radio', { name: /^None/ }));
    await eventually(async () => expect((await stored()).ground.outlet).toEqual({ kind: 'none' }));
  });

  it('a hole is cut in the barrier, moved and closed', async () => {
    const { stored } = await open(<Ground />, made(FROG));
    fireEvent.click(screen.getByRole('button', { name: /^Barrier · / }));
    fireEvent.click(screen.getByRole('button', { name: 'Hole for a pipe' }));
    const hole = within(await screen.findByRole('group', { name: 'Hole 1' }));
    enter(hole.getByRole('textbox', { name: 'From the left' }), '10 cm');
    enter(hole.getByRole('textbox', { name: 'Hole across' }), '32 mm');
    const holes = async () => {
      const barrier = (await stored()).ground.layers.find((it) => it.kind === 'barrier');
      return barrier?.kind === 'barrier' ? barrier.holes : [];
    };
    await eventually(async () => expect(await holes()).toEqual([{ x: 0.1, y: 0.4, diameter: 0.032 }]));
    fireEvent.click(screen.getByRole('button', { name: 'Take out hole 1' }));
    await eventually(async () => expect(await holes()).toEqual([]));
  });

  it('what is sunk is entered, and the soil gives way', async () => {
    const { stored } = await open(<Ground />, made(FROG));
    fireEvent.click(screen.getByRole('button', { name: 'Add a piece' }));
    enter(await screen.findByRole('textbox', { name: 'Displaces' }), '2 L');
    enter(box('What'), 'Stump');
    await eventually(async () =>
      expect((await stored()).ground.sunk).toEqual([
        expect.objectContaining({ name: 'Stump', volume: expect.closeTo(0.002, 9), mass: null }),
      ]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take out Stump' }));
    await eventually(async () => expect((await stored()).ground.sunk).toEqual([]));
  });

  it('soil of a dry enclosure is chosen by approach; a wet one is not asked', async () => {
    const { stored } = await open(<Ground />, made(BOA));
    fireEvent.click(screen.getByRole('radio', { name: /^Paper at first/ }));
    await eventually(async () =>
      expect((await stored()).ground.layers.map((it) => it.kind)).toEqual(['thin']),
    );
    fireEvent.click(screen.getByRole('radio', { name: /^Soil and sand/ }));
    await eventually(async () => {
      const [soil] = (await stored()).ground.layers;
      expect(soil?.kind === 'substrate' && soil.mix.recipe).toBe('soil-sand-clay');
    });
  });

  it('approaches are followed: peat goes out of every mix', async () => {
    const { stored } = await open(
      <Ground />,
      made(FROG, { edit: 'useRecipe', change: { layer: 'layer-3', recipe: 'forest-five-peat' } }),
    );
    expect(screen.queryByRole('radiogroup', { name: 'Soil of a dry enclosure' })).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: /^Coir instead/ }));
    await eventually(async () => {
      const { ground } = await stored();
      expect(ground.schools.peat).toBe('coir');
      expect(JSON.stringify(ground.layers)).not.toContain('"peat"');
    });
  });

  it('a remedy is taken by its button', async () => {
    const { stored } = await open(<Ground />, made(FROG, { edit: 'setWaterDepth', change: { depth: 0.1 } }));
    const water = within(document.querySelector<HTMLElement>('[data-finding="barrier-in-water"]')!);
    fireEvent.click(water.getByRole('button', { name: /^Keep / }));
    await eventually(async () => expect((await stored()).ground.waterDepth).toBeLessThan(0.06));
    expect(document.querySelector('[data-finding="barrier-in-water"]')).toBeNull();
  });
});
