import { useEffect, useState } from 'react';
import type { Feeder } from '@/core/living';

let loaded: readonly Feeder[] | undefined;

/** The feeders, fetched when somebody looks; until they are there undefined. */
export function useFeeders(wanted = true): readonly Feeder[] | undefined {
  const [feeders, setFeeders] = useState(loaded);
  useEffect(() => {
    if (wanted && !feeders)
      void import('@/catalogue/feeders').then((it) => {
        loaded = it.feeders;
        setFeeders(loaded);
      });
  }, [wanted, feeders]);
  return feeders;
}
