import { useEffect, useState } from 'react';

type OtherNames = (id: string) => readonly string[];
const NONE: OtherNames = () => [];
let loaded: OtherNames | undefined;

/** What else people call a species, by its id; fetched when somebody looks for one, not with the page. */
export const loadOtherNames = async (): Promise<OtherNames> =>
  (loaded ??= (await import('@/catalogue/otherNames')).otherNames);

/** Other names of species, once they are wanted and there; until then none. */
export function useOtherNames(wanted = true): OtherNames {
  const [names, setNames] = useState<OtherNames | undefined>(() => loaded);
  useEffect(() => {
    if (wanted && !names) void loadOtherNames().then((it) => setNames(() => it));
  }, [wanted, names]);
  return names ?? NONE;
}
