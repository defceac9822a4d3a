import { useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { findAnimal } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { homeOf } from '@/core/records';
import { allFindings } from '@/core/verdict';
import { useAnimals, useBeside, useCareLog, useOtherNames, useStore } from '@/store';
import type { keepingDues } from '@/ui/due';
import type { seek } from '@/ui/seek';
import { onVerdicts, verdictNews, verdictNow } from '@/workers/verdicts';
import type { RackRow } from './arranged';
import { assessedNow, useAllAssessed } from './assessed';

export type DueHere = NonNullable<RackRow['due']>;

/** What is due in each enclosure, once it is worked out: after the cards stand. */
function useDues(designs: readonly Design[]): ReadonlyMap<string, DueHere> {
  const { catalogue, today } = useStore();
  const log = useCareLog(null);
  const beside = useBeside(today);
  const [duesOf, setDuesOf] = useState<ReturnType<typeof keepingDues>>();
  useEffect(() => {
    void import('@/ui/due').then((it) => setDuesOf(() => it.keepingDues()));
  }, []);
  const asked = useDeferredValue(designs);
  return useMemo(
    () =>
      new Map(
        duesOf && log
          ? duesOf(asked, log, today, catalogue, beside).map(({ design, due }) => [
              design.id,
              {
                now: due.filter((it) => it.late >= 0).length,
                late: due.filter((it) => it.late > 0).length,
              },
            ])
          : [],
      ),
    [duesOf, log, asked, today, catalogue, beside],
  );
}

/** Enclosures of the rack with what they are looked for and put in order by. */
export function useRows(designs: readonly Design[], isSought: boolean): readonly RackRow[] {
  const { catalogue } = useStore();
  const dues = useDues(designs);
  const animals = useAnimals();
  const otherNames = useOtherNames(isSought);
  const checked = useDeferredValue(useAllAssessed(designs, catalogue));
  const news = useDeferredValue(useSyncExternalStore(onVerdicts, verdictNews, () => 0));
  const homes = useMemo(() => {
    const by = new Map<string, string[]>();
    for (const it of animals ?? []) {
      const home = homeOf(it);
      if (home !== null) by.set(home, [...(by.get(home) ?? []), it.name]);
    }
    return by;
  }, [animals]);
  return useMemo(
    () =>
      designs.map((design): RackRow => {
        const animal = findAnimal(catalogue, design.brief.animal);
        const found = allFindings(
          assessedNow(design, catalogue)?.findings ?? [],
          verdictNow(design, catalogue),
        ).filter((it) => it.routine !== true);
        const worst = (['severe', 'look', 'note'] as const).find((it) =>
          found.some((own) => own.severity === it),
        );
        return {
          design,
          species: animal?.english ?? '',
          also: animal ? [animal.scientific, ...otherNames(animal.id)] : [],
          animals: homes.get(design.id) ?? [],
          due: dues.get(design.id),
          worst,
        };
      }),
    // Checks and verdicts come in one by one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [designs, catalogue, dues, homes, otherNames, checked, news],
  );
}

/** What forgives slips of spelling, fetched once somebody looks for something. */
export function useNear(isSought: boolean): typeof seek | null {
  const [near, setNear] = useState<typeof seek | null>(null);
  useEffect(() => {
    if (isSought) void import('@/ui/seek').then((it) => setNear(() => it.seek));
  }, [isSought]);
  return near;
}
