import { useSearchParams } from 'next/navigation';
import { useCallback, useState } from 'react';

/**
 * Which row of a list is open. Its address names it, so that it is a link, and stands through a reload.
 * @param rows ids that are there; the first is open where the address names none of them
 */
export function useRow(rows: readonly { readonly id: string }[]): readonly [string, (id: string) => void] {
  const asked = useSearchParams().get('row');
  const [row, setRow] = useState(() =>
    asked !== null && rows.some((it) => it.id === asked) ? asked : (rows[0]?.id ?? ''),
  );
  const [seen, setSeen] = useState(asked);
  // A link to another row of the page that is open already.
  if (asked !== seen) {
    setSeen(asked);
    if (asked !== null && rows.some((it) => it.id === asked)) setRow(asked);
  }
  const open = useCallback((id: string): void => {
    setRow(id);
    const address = new URL(window.location.href);
    address.searchParams.set('row', id);
    if (address.href !== window.location.href) window.history.replaceState(null, '', address);
  }, []);
  return [row, open];
}
