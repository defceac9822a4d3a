import type { Design } from '@/core/document';
import type { Draft } from '@/core/log';
import { animalRecord, type AnimalRecord } from '@/core/records';
import type { RinconDatabase } from './database';
import { deleteDesign } from './designs';
import { strike, writeEntries } from './log';
import { changed, changeRecord, putRecords } from './records';
import { createDesign } from './steps';

/** An animal of an enclosure that stands already. */
export interface StandingAnimal {
  readonly name: string;
  readonly rest?: Partial<AnimalRecord>;
  /** Day it came there, if it is not that of its enclosure. */
  readonly since?: string | null;
  /** kg, and the moment it weighed that. */
  readonly weight?: { readonly mass: number; readonly at: number } | null;
}
export interface StandingBox {
  readonly design: Design;
  readonly animals: readonly StandingAnimal[];
}

/**
 * Writes enclosures down that stand already, with their animals by name, each at home there since it has been lived in: all
 * or nothing of it. Gives how all of it is taken back.
 */
export async function createStanding(
  db: RinconDatabase,
  boxes: readonly StandingBox[],
  now: number,
): Promise<() => Promise<void>> {
  const all = [db.designs, db.steps, db.animals, db.log, db.pictures];
  const animals = boxes.flatMap(({ design, animals: own }) =>
    own.map(({ name, rest, since, weight }) => ({
      weight: weight ?? null,
      design: design.id,
      record: changed(
        animalRecord(crypto.randomUUID(), design.id, since ?? design.brief.since, {
          name,
          kind: design.brief.animal,
          ...rest,
        }),
        now,
      ),
    })),
  );
  const weights = animals.flatMap(({ weight, design, record }) =>
    weight ? [{ design, at: weight.at, draft: weightOf(record.id, weight.mass) }] : [],
  );
  return db.transaction('rw', all, async () => {
    for (const { design } of boxes) await createDesign(db, design, now);
    await putRecords(
      db,
      'animals',
      animals.map((it) => it.record),
    );
    const lines = await writeEntries(db, weights, now);
    return () =>
      db.transaction('rw', all, async () => {
        const later = Date.now();
        for (const { design } of boxes) await deleteDesign(db, design.id, later);
        for (const { record } of animals) await changeRecord(db, 'animals', record.id, { gone: true }, later);
        await strike(db, lines, true, later);
      });
  });
}

const weightOf = (animal: string, mass: number): Draft => ({
  kind: 'weight',
  values: { mass },
  text: '',
  animal,
});
