'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { AnimalRecord, EquipmentRecord } from '@/core/records';
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

/** Ways to write animals and equipment down. */
export function useRecordBook() {
  const { db } = useStore();
  return useMemo(
    () => ({
      changeAnimal: (id: string, part: Change<AnimalRecord>) =>
        changeRecord(db, 'animals', id, part, Date.now()),
      changeEquipment: (id: string, part: Change<EquipmentRecord>) =>
        changeRecord(db, 'equipment', id, part, Date.now()),
      saveAnimal: (record: AnimalRecord) => putRecords(db, 'animals', [changed(record, Date.now())]),
      saveEquipment: (record: EquipmentRecord) => putRecords(db, 'equipment', [changed(record, Date.now())]),
    }),
    [db],
  );
}
