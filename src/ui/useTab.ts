import { useSearchParams } from 'next/navigation';
import { useCallback, useState } from 'react';

/**
 * Which tab of a page is open. Its address names it, so that it is a link, and stands through a reload.
 * @param tabs the first is open where the address names none
 */
export function useTab<T extends string>(
  tabs: readonly [T, ...(readonly T[])],
): readonly [T, (next: T) => void] {
  const asked = useSearchParams().get('tab');
  const told = tabs.find((it) => it === asked) ?? tabs[0];
  const [tab, setTab] = useState(told);
  const [seen, setSeen] = useState(asked);
  if (asked !== seen) {
    setSeen(asked);
    setTab(told);
  }
  const [first] = tabs;
  const open = useCallback(
    (next: T): void => {
      setTab(next);
      const address = new URL(window.location.href);
      if (next === first) address.searchParams.delete('tab');
      else address.searchParams.set('tab', next);
      // What was picked is of the tab one leaves.
      if (next !== tab) address.searchParams.delete('row');
      // At once: asking the server for the same page would let a click go to the tab one is leaving.
      if (address.href !== window.location.href) window.history.replaceState(null, '', address);
    },
    [first, tab],
  );
  return [tab, open];
}
