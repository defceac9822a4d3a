'use client';

import { startTransition, useEffect, useState } from 'react';

const waiting: (() => void)[] = [];
let isGoing = false;

/** Gives the next its turn, and the one after it no sooner than the page was painted. */
function next(): void {
  const give = waiting.shift();
  isGoing = give !== undefined;
  if (!give) return;
  give();
  requestAnimationFrame(() => setTimeout(next));
}

/**
 * True once it is wanted and its turn has come: one after the other over the whole page, a frame for each, so that many
 * drawings that come into sight together do not hold up the scrolling. It stays true.
 */
export function useTurn(wanted: boolean): boolean {
  const [has, setHas] = useState(false);
  useEffect(() => {
    if (!wanted || has) return undefined;
    // In slices: what is drawn at a turn may take longer than a frame.
    const give = (): void => startTransition(() => setHas(true));
    waiting.push(give);
    if (!isGoing) next();
    return () => {
      const at = waiting.indexOf(give);
      if (at >= 0) waiting.splice(at, 1);
    };
  }, [wanted, has]);
  return has;
}
