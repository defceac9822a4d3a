import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { applyEdit, type EditCall } from '../edits';
import { type Design } from '../document';
import { CORNERS } from '../ground/corners';
import { heldBy } from '../plan';
import { buyingOf, shopOfMaterial, SHOPS, wareKey, wareName, wareOf, type Buying } from '.';

const DEMO = demoDesigns(catalogue);
const edit = (design: Design, ...calls: readonly EditCall[]): Design =>
  calls.reduce((it, call) => applyEdit(it, call, catalogue), design);
const build = (design: Design) => ({ design, assessment: assess(design, catalogue) });
const of = (name: string): Design => DEMO.find((it) => it.name === name)!;
const row = (buying: Buying, key: string) => buying.rows.find((it) => it.key === key);
const WARES = [...new Set(buyingOf(DEMO.map(build), catalogue).rows.map((it) => it.key))];

describe('what to buy', () => {
  it('is needed − there − on the shelf + spare, in whole packs, and not a pack more; for random builds and shelves', () => {
    fc.assert(
      fc.property(
        fc.subarray([...DEMO], { minLength: 1 }),
        fc.dictionary(fc.constantFrom(...WARES), fc.double({ min: 0, max: 0.05, noNaN: true }), {
          maxKeys: 12,
        }),
        fc.constantFrom(0, 0.05, 0.1, 0.25),
        fc.integer({ min: -2, max: 6 }),
        (designs, shelf, spare, more) => {
          const builds = designs.map((design) => {
            const layer = design.ground.layers.find((it) => it.kind === 'substrate');
            return build(
              layer
                ? edit(design, {
                    edit: 'shiftThickness',
                    change: { layer: layer.id, corners: CORNERS, by: more / 100 },
                  })
                : design,
            );
          });
          const buying = buyingOf(builds, catalogue, shelf, spare);
          for (const it of buying.rows) {
            const open = it.needed - it.there - it.fromShelf + it.spare;
            expect(it.fromShelf).toBeLessThanOrEqual((shelf[it.key] ?? 0) + 1e-12);
            expect(it.bought, it.name).toBeGreaterThanOrEqual(open - 2e-6);
            if (it.measure === 'volume' || it.measure === 'mass' || it.measure === 'area')
              expect(it.spare).toBeCloseTo((it.needed - it.there) * spare, 12);
            else expect(it.spare).toBe(0);
            if (it.measure !== 'sheets' && it.packs.length > 0)
              expect(it.bought - Math.max(0, open), it.name).toBeCloseTo(it.leftOver, 5);
            // One pack fewer, of whichever sort, would be too few.
            if (it.measure === 'volume' && !it.key.includes(':'))
              for (const { pack, count } of it.packs) {
                expect(count).toBeGreaterThan(0);
                expect(it.bought - (pack && 'volume' in pack ? pack.volume : 0)).toBeLessThan(open);
              }
            expect(it.price).toBeCloseTo(
              it.packs.reduce((all, pack) => all + pack.count * pack.price, 0),
              6,
            );
          }
          expect(buying.price).toBeCloseTo(
            buying.byShop.reduce((all, shop) => all + shop.price, 0),
            9,
          );
          expect(buying.byShop.flatMap((it) => it.rows).length).toBe(buying.rows.length);
          // Nothing that a build holds is forgotten.
          for (const { design } of builds)
            for (const id of heldBy(design)) {
              if (!catalogue.materials.some((it) => it.id === id)) continue;
              expect(row(buying, id)?.builds, id).toContain(design.name);
            }
        },
      ),
      { numRuns: 120 },
    );
  });

  it('for several builds at once is never dearer for loose goods than one by one', () => {
    const alone = DEMO.map((design) => buyingOf([build(design)], catalogue));
    const together = buyingOf(DEMO.map(build), catalogue);
    const loose = (it: Buying): number =>
      it.rows.filter((own) => own.measure === 'volume').reduce((all, own) => all + own.price, 0);
    expect(loose(together)).toBeLessThanOrEqual(alone.reduce((all, it) => all + loose(it), 0) + 1e-9);
    for (const it of together.rows.filter((own) => own.measure === 'volume' || own.measure === 'count'))
      expect(it.needed, it.name).toBeLessThanOrEqual(
        alone.reduce((all, own) => all + (row(own, it.key)?.needed ?? 0), 0) + 1e-9,
      );
  });

  it('counts lamps by kind and power, what holds them, and one timer for what goes on together', () => {
    const hedge = of('Hedge');
    const buying = buyingOf([build(hedge)], catalogue);
    const lamps = buying.rows.filter((it) => it.key.startsWith('device:'));
    expect(lamps.reduce((all, it) => all + it.needed, 0)).toBe(hedge.climate.devices.length);
    const held = hedge.climate.devices.filter((it) => it.thermostat !== null);
    expect(
      ['on-off', 'proportional'].reduce(
        (all, it) => all + (row(buying, wareKey('control', it))?.needed ?? 0),
        0,
      ),
    ).toBe(held.length);
    const timed = hedge.climate.devices.filter(
      (it) => it.timer.by !== 'always' && !it.thermostat && !it.humidistat && !it.kind.startsWith('nozzle'),
    );
    expect(row(buying, wareKey('control', 'timer'))?.needed).toBe(
      new Set(timed.map((it) => JSON.stringify(it.timer))).size,
    );
  });

  it('of a background that is finished needs nothing; of one to be made, its packs', () => {
    const limestone = of('Limestone');
    const [back] = limestone.scape.backgrounds;
    const after = (finished: string | null) =>
      buyingOf(
        [
          build(
            edit(limestone, {
              edit: 'setBackground',
              change: { background: back!.id, change: { finished } },
            }),
          ),
        ],
        catalogue,
      ).rows.filter((it) => it.key.startsWith('supply:'));
    expect(after('2026-09-01')).toEqual([]);
    expect(after(null).length).toBeGreaterThan(0);
    for (const it of after(null)) expect(it.packs.length, it.name).toBeGreaterThan(0);
  });

  it('of a rebuild only what is new: a thicker bed is pebbles for three centimetres, nothing else', () => {
    const begun = edit(of('Hedge'), { edit: 'beginRebuild', change: { since: '2026-11-25' } });
    expect(buyingOf([build(begun)], catalogue).price).toBe(0);
    const bed = begun.ground.layers.find((it) => it.kind === 'drainage')!;
    const thicker = edit(begun, {
      edit: 'shiftThickness',
      change: { layer: bed.id, corners: CORNERS, by: 0.03 },
    });
    const { rows } = buyingOf([build(thicker)], catalogue);
    expect(rows.filter((it) => it.packs.length > 0).map((it) => it.key)).toEqual([
      bed.kind === 'drainage' ? bed.material : '',
    ]);
    const [pebbles] = rows.filter((it) => it.packs.length > 0);
    const { width, depth } = begun.enclosure;
    const settling = catalogue.materials.find((it) => it.id === pebbles!.key)!.settling.value;
    // Backgrounds and wood stand in some of it.
    expect(pebbles!.needed - pebbles!.there).toBeGreaterThan((0.6 * width * depth * 0.03) / (1 - settling));
    expect(pebbles!.needed - pebbles!.there).toBeLessThanOrEqual(
      (width * depth * 0.03) / (1 - settling) + 1e-9,
    );
  });

  it('each ware has one name and one kind of shop', () => {
    const buying = buyingOf(DEMO.map(build), catalogue);
    expect(new Set(buying.rows.map((it) => it.shop)).size).toBeGreaterThanOrEqual(5);
    for (const it of buying.rows) {
      expect(SHOPS).toContain(it.shop);
      expect(wareName(catalogue, it.key), it.key).toBe(it.name);
    }
    expect(wareOf('washed-sand')).toBeUndefined();
    expect(wareOf('device:led-bar@12')).toEqual({ group: 'device', id: 'led-bar@12' });
    expect(wareName(catalogue, 'piece:no-such')).toBe('no-such');
    for (const it of catalogue.materials) expect(SHOPS).toContain(shopOfMaterial(it));
  });
});
