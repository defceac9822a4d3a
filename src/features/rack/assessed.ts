import { useEffect, useSyncExternalStore } from 'react';
import { assess, type Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';

interface Known {
  readonly catalogue: Catalogue;
  /** null: it cannot be worked out. */
  readonly assessment: Assessment | null;
}
const known = new WeakMap<Design, Known>();

/** What follows from a design, if it was worked out; null where it cannot be. */
export function assessedNow(design: Design, catalogue: Catalogue): Assessment | null | undefined {
  const found = known.get(design);
  return found?.catalogue === catalogue ? found.assessment : undefined;
}

/** What follows from a design, worked out once for its card and for the list below. */
export function assessed(design: Design, catalogue: Catalogue): Assessment | null {
  const found = assessedNow(design, catalogue);
  if (found !== undefined) return found;
  let assessment: Assessment | null = null;
  try {
    assessment = assess(design, catalogue);
  } catch {
    // One of a rack must not stop the others; opened it says what is wrong.
  }
  known.set(design, { catalogue, assessment });
  return assessment;
}

/** Designs that wait, each with whether it is in sight. */
const waiting = new Map<Design, { catalogue: Catalogue; inSight: boolean }>();
const listeners = new Set<() => void>();
let done = 0;
let isGoing = false;

/** ms that are worked at a time, and between two tellings. */
const SLICE = 8;
const TOLD_EVERY = 200;
let toldAt = -Infinity;

const whenIdle = (work: () => void): void => {
  if (typeof requestIdleCallback === 'undefined') setTimeout(work);
  else requestIdleCallback(work, { timeout: 100 });
};

function work(): void {
  const began = performance.now();
  while (waiting.size > 0 && performance.now() - began < SLICE) {
    const [design, { catalogue }] =
      [...waiting].find(([, it]) => it.inSight) ?? ([...waiting][0] as [Design, { catalogue: Catalogue }]);
    waiting.delete(design);
    assessed(design, catalogue);
    done += 1;
  }
  isGoing = waiting.size > 0;
  if (isGoing) whenIdle(work);
  if (!isGoing || began - toldAt > TOLD_EVERY) {
    toldAt = began;
    listeners.forEach((it) => it());
  }
}

function want(design: Design, catalogue: Catalogue, inSight: boolean): void {
  if (assessedNow(design, catalogue) !== undefined) return;
  const before = waiting.get(design);
  waiting.set(design, { catalogue, inSight: inSight || (before?.inSight ?? false) });
  if (isGoing) return;
  isGoing = true;
  whenIdle(work);
}

const onAssessed = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** A number that is another one whenever more was worked out. */
const useDone = (): number =>
  useSyncExternalStore(
    onAssessed,
    () => done,
    () => 0,
  );

/**
 * What follows from a design, undefined until it is worked out: many are in slices between frames, those in sight first.
 */
export function useAssessed(
  design: Design,
  catalogue: Catalogue,
  inSight: boolean,
): Assessment | null | undefined {
  useEffect(() => want(design, catalogue, inSight), [design, catalogue, inSight]);
  return useSyncExternalStore(
    onAssessed,
    () => assessedNow(design, catalogue),
    () => undefined,
  );
}

/** How many of these are worked out; the others follow. */
export function useAllAssessed(designs: readonly Design[], catalogue: Catalogue): number {
  const news = useDone();
  useEffect(() => designs.forEach((it) => want(it, catalogue, false)), [designs, catalogue]);
  return news;
}
