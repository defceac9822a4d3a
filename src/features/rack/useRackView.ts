import { useSearchParams } from 'next/navigation';
import { useCallback, useState } from 'react';
import { useStore } from '@/store';
import { GROUPS, ONLY, SORTS, type Group, type Only, type Sort } from './arranged';

/** How the rack is looked at. */
export interface RackView {
  readonly text: string;
  readonly sort: Sort;
  readonly group: Group;
  readonly only: Only;
  readonly as: 'cards' | 'list';
  readonly order: readonly string[];
}

const one = <T extends string>(all: readonly T[], ...told: readonly (string | null)[]): T | undefined =>
  told.flatMap((own) => all.find((it) => it === own) ?? [])[0];
const LOOKS = ['cards', 'list'] as const;

/**
 * How the rack is looked at: as its address says, else as it was left. What is looked for is in the address alone; how it
 * is sorted and shown is remembered as well.
 */
export function useRackView(): readonly [RackView, (change: Partial<Omit<RackView, 'order'>>) => void] {
  const { settings, set } = useStore();
  const asked = useSearchParams();
  const [own, setOwn] = useState<Partial<RackView>>(() => ({
    text: asked.get('q') ?? '',
    only: one(ONLY, asked.get('only')) ?? 'all',
    sort: one(SORTS, asked.get('sort')),
    group: one(GROUPS, asked.get('group')),
    as: one(LOOKS, asked.get('as')),
  }));
  const { rack } = settings;
  const view: RackView = {
    text: own.text ?? '',
    only: own.only ?? 'all',
    sort: own.sort ?? one(SORTS, rack.sort) ?? 'name',
    group: own.group ?? one(GROUPS, rack.group) ?? 'none',
    as: own.as ?? rack.as,
    order: rack.order,
  };
  const change = (part: Partial<Omit<RackView, 'order'>>): void => {
    const next = { ...view, ...part };
    setOwn(next);
    const address = new URL(window.location.href);
    const put = (key: string, value: string, usual: string): void => {
      if (value === usual) address.searchParams.delete(key);
      else address.searchParams.set(key, value);
    };
    put('q', next.text, '');
    put('only', next.only, 'all');
    put('sort', next.sort, 'name');
    put('group', next.group, 'none');
    put('as', next.as, 'cards');
    window.history.replaceState(null, '', address);
    const { sort, group, as } = next;
    if (sort !== rack.sort || group !== rack.group || as !== rack.as)
      void set('rack', { ...rack, sort, group, as });
  };
  return [view, change];
}

/** Puts the rack in its keeper's own order: takes ids, the first being the first of them. */
export function useOwnOrder(): (ids: readonly string[]) => void {
  const { settings, set } = useStore();
  const { rack } = settings;
  return useCallback((ids: readonly string[]) => void set('rack', { ...rack, order: [...ids] }), [rack, set]);
}

/** Enclosures that were chosen, while some are being. */
export function useChosen() {
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const toggle = useCallback(
    (id: string): void =>
      setChosen((all) => {
        const next = new Set(all);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  return { chosen, setChosen, toggle };
}
