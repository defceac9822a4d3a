import { useEffect, useState } from 'react';
import type { Source } from '@/core/catalogue';

interface Works {
  readonly works: readonly Source[];
  readonly rules: readonly Source[];
}
let loaded: Works | undefined;
let known: ReadonlyMap<string, Source> = new Map();

async function load(): Promise<Works> {
  if (!loaded) {
    const { works, rules } = await import('@/catalogue/works');
    known = new Map([...works, ...rules].map((it) => [it.id, it]));
    loaded = { works, rules };
  }
  return loaded;
}

/** The lists of works and rules, fetched when somebody looks; until they are there nothing. */
export function useWorks(wanted = true): Works | undefined {
  const [works, setWorks] = useState(loaded);
  useEffect(() => {
    if (wanted && !works) void load().then(setWorks);
  }, [wanted, works]);
  return works;
}

/** What a source is written out as: a work or rule of the lists; anything else as its keeper wrote it. Until then nothing. */
export function useCitation(source: string | undefined, wanted = true): string | undefined {
  const works = useWorks(wanted && source !== undefined);
  return source === undefined || !works ? undefined : (known.get(source)?.citation ?? source);
}
