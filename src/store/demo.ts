import { localDay } from '@/core/time';
import { catalogue } from '@/catalogue';
import type * as Rows from '@/catalogue/demo/beside';
import { DESIGN_VERSION, type Design } from '@/core/document';
import type { RinconDatabase } from './database';
import { fetched, takeDerived } from './derived';
import { takeIn } from './takeIn';
import { addReadings } from './readings';
import { saveSetting } from './settings';

type Demo = typeof Rows;

/** The demo’s rows: they come when they are asked for. */
export const loadDemo = (): Promise<Demo> => import('@/catalogue/demo/beside');

/** As the server has them ready, if they are of this version; null where none answers. */
async function readyDesigns(): Promise<readonly Design[] | null> {
  const designs = (await fetched('/demo/designs')) as readonly Design[] | null;
  return designs?.every((it) => it.version === DESIGN_VERSION) ? designs : null;
}

/**
 * Lays out the demo's enclosures with their log, readings, animals, equipment and shelf; enclosures already here stay as
 * they are, and what is not empty stays too.
 * @param demo as `loadDemo` gives it
 */
export async function layDemo(db: RinconDatabase, demo: Demo): Promise<void> {
  const now = Date.now();
  const ready = await readyDesigns();
  const told = ready ?? (await import('@/catalogue/demo/designs')).demoDesigns(catalogue);
  const designs = demo.demoOn(told, localDay(now));
  await takeDerived(
    designs.map(({ id }) => `/demo/verdicts/${id}`),
    now,
  );
  const tables = [
    db.designs,
    db.steps,
    db.settings,
    db.shelf,
    db.log,
    db.series,
    db.blocks,
    db.animals,
    db.cultures,
    db.equipment,
  ];
  await db.transaction('rw', tables, async () => {
    await takeIn(db, designs, () => crypto.randomUUID(), now);
    if ((await db.log.count()) === 0)
      await db.log.bulkAdd([...demo.demoLog(designs, catalogue, now), ...demo.demoSeen(designs, now)]);
    if ((await db.series.count()) === 0) await addReadings(db, demo.demoReadings(designs, now));
    if ((await db.animals.count()) === 0) await db.animals.bulkAdd([...demo.demoAnimals(now)]);
    if ((await db.cultures.count()) === 0) await db.cultures.bulkAdd([...demo.demoCultures(now)]);
    if ((await db.equipment.count()) === 0) await db.equipment.bulkAdd([...demo.demoEquipment(now)]);
    if ((await db.shelf.count()) === 0) await db.shelf.bulkAdd([...demo.DEMO_SHELF]);
    await saveSetting(db, 'demoLaid', true);
  });
}

/** Whether a row came with the demo, by its id. */
export const isOfDemo = (id: string): boolean => /^demo[- ]/.test(id);

/**
 * Takes the demo away in one step: its enclosures into the trash, and all else that came with it. What its keeper wrote down
 * in them goes with them. Gives how it is laid out again as it was.
 */
export async function takeDemoAway(db: RinconDatabase, now: number): Promise<() => Promise<void>> {
  const tables = [db.designs, db.log, db.series, db.blocks, db.animals, db.cultures, db.equipment, db.shelf];
  return db.transaction('rw', tables, async () => {
    const designs = await db.designs.filter((it) => isOfDemo(it.id) && it.deleted === 0).primaryKeys();
    const gone = new Set(designs);
    const log = await db.log.filter((it) => gone.has(it.design)).toArray();
    const series = await db.series.filter((it) => gone.has(it.design)).toArray();
    const points = new Set(series.map((it) => it.id));
    const blocks = await db.blocks.filter((it) => points.has(it.series)).toArray();
    const animals = await db.animals.filter((it) => isOfDemo(it.id)).toArray();
    const cultures = await db.cultures.filter((it) => isOfDemo(it.id)).toArray();
    const equipment = await db.equipment.filter((it) => gone.has(it.design)).toArray();
    const shelf = await db.shelf.filter((it) => isOfDemo(it.id)).toArray();
    await db.designs.where('id').anyOf(designs).modify({ deleted: now });
    await db.log.bulkDelete(log.map((it) => it.id));
    await db.series.bulkDelete(series.map((it) => it.id));
    await db.blocks
      .where('series')
      .anyOf([...points])
      .delete();
    await db.animals.bulkDelete(animals.map((it) => it.id));
    await db.cultures.bulkDelete(cultures.map((it) => it.id));
    await db.equipment.bulkDelete(equipment.map((it) => it.id));
    await db.shelf.bulkDelete(shelf.map((it) => it.id));
    return () =>
      db.transaction('rw', tables, async () => {
        await db.designs.where('id').anyOf(designs).modify({ deleted: 0 });
        await db.log.bulkPut(log);
        await db.series.bulkPut(series);
        await db.blocks.bulkPut(blocks);
        await db.animals.bulkPut(animals);
        await db.cultures.bulkPut(cultures);
        await db.equipment.bulkPut(equipment);
        await db.shelf.bulkPut(shelf);
      });
  });
}
