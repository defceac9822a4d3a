import type { Design } from '@/core/document';
import { animalRecord } from '@/core/records';
import type { RinconDatabase } from './database';
import { changed, putRecords } from './records';
import { createDesign } from './steps';

/**
 * Writes an enclosure down that stands already, with its animals by name, each at home there since it has been lived in: all
 * or nothing of it.
 */
export async function createStanding(
  db: RinconDatabase,
  design: Design,
  names: readonly string[],
  now: number,
): Promise<void> {
  const animals = names.map((name) =>
    changed(
      animalRecord(crypto.randomUUID(), design.id, design.brief.since, {
        name,
        kind: design.brief.animal,
      }),
      now,
    ),
  );
  await db.transaction('rw', db.designs, db.steps, db.animals, async () => {
    await createDesign(db, design, now);
    await putRecords(db, 'animals', animals);
  });
}
