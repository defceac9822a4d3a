'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { Beside } from '@/core/care';
import { feedersApart, type CultureDue } from '@/core/living/cultureCare';
import type { AnimalRecord, CultureAct, CultureRecord, EquipmentRecord } from '@/core/records';
import { useStore } from './react';
import { changed, changeRecord, type Change, listRecords, putRecords } from './records';

/** Every animal that is written down; undefined while they are read. */
export function useAnimals(): readonly AnimalRecord[] | undefined {
  const { db } = useStore();
  return useLiveQuery(async () => {
    const all = await listRecords(db, 'animals');
    return [...all].sort((a, b) => a.name.localeCompare(b.name));
  }, [db]);
}

/** Equipment of a box; undefined while it is read. */
export function useEquipment(design: string): readonly EquipmentRecord[] | undefined {
  const { db } = useStore();
  return useLiveQuery(
    async () => (await listRecords(db, 'equipment')).filter((it) => it.design === design),
    [db, design],
  );
}

/** Every culture that is written down, ended ones too; undefined while they are read. */
export function useCultures(): readonly CultureRecord[] | undefined {
  const { db } = useStore();
  return useLiveQuery(async () => {
    const all = await listRecords(db, 'cultures');
    return [...all].sort((a, b) => a.name.localeCompare(b.name) || a.started.localeCompare(b.started));
  }, [db]);
}

/** What is kept beside the enclosures, as far as it changes their care. */
export function useBeside(today: string): Beside {
  const cultures = useCultures();
  const isApart = feedersApart(cultures ?? [], today);
  return useMemo(() => ({ feedersApart: isApart }), [isApart]);
}

/** Ways to write animals, cultures and equipment down. */
export function useRecordBook() {
  const { db } = useStore();
  return useMemo(() => {
    const changeCulture = (id: string, part: Change<CultureRecord>): Promise<void> =>
      changeRecord(db, 'cultures', id, part, Date.now());
    /** Writes an act of a culture down; the answer takes it back. */
    const actOnCulture = async (
      id: string,
      what: CultureAct['what'],
      on: string,
      count: number | null = null,
    ): Promise<() => Promise<void>> => {
      const act: CultureAct = { id: crypto.randomUUID(), on, what, count, gone: false };
      const put = (gone: boolean): Promise<void> =>
        changeCulture(id, ({ acts }) => ({
          acts: [...acts.filter((it) => it.id !== act.id), { ...act, gone }],
        }));
      await put(false);
      return () => put(true);
    };
    return {
      changeAnimal: (id: string, part: Change<AnimalRecord>) =>
        changeRecord(db, 'animals', id, part, Date.now()),
      changeEquipment: (id: string, part: Change<EquipmentRecord>) =>
        changeRecord(db, 'equipment', id, part, Date.now()),
      changeCulture,
      actOnCulture,
      /** Does what a culture is due for; the answer takes it back. */
      settleCulture: async ({ culture, task }: CultureDue, today: string): Promise<() => Promise<void>> => {
        if (task === 'feed' || task === 'split')
          return actOnCulture(culture.id, task === 'feed' ? 'fed' : 'split', today);
        if (task === 'end') {
          await changeCulture(culture.id, { ended: today });
          return () => changeCulture(culture.id, { ended: null });
        }
        const id = crypto.randomUUID();
        const next = { ...culture, id, started: today, ended: null, acts: [], note: '' };
        await putRecords(db, 'cultures', [changed(next, Date.now())]);
        return () => changeCulture(id, { gone: true });
      },
      saveCulture: (record: CultureRecord) => putRecords(db, 'cultures', [changed(record, Date.now())]),
      saveAnimal: (record: AnimalRecord) => putRecords(db, 'animals', [changed(record, Date.now())]),
      saveEquipment: (record: EquipmentRecord) => putRecords(db, 'equipment', [changed(record, Date.now())]),
    };
  }, [db]);
}
