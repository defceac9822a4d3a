import type { Series } from '@/core/readings';

/** A probe of the demo's nature room. */
export interface DemoPoint {
  readonly key: string;
  readonly name: string;
  readonly quantity: 'temperature' | 'humidity';
  readonly place: Series['place'];
  /** Share of width, depth and height of the box. */
  readonly at: readonly [number, number, number];
}

export const DEMO_POINTS: Readonly<Record<string, readonly DemoPoint[]>> = {
  'demo-bog-shelf': [
    { key: 'warm', name: 'warm side', quantity: 'temperature', place: 'warm', at: [0.8, 0.5, 0.6] },
    { key: 'cool', name: 'over the water', quantity: 'temperature', place: 'cool', at: [0.2, 0.5, 0.25] },
    { key: 'air', name: 'air among the cork', quantity: 'humidity', place: 'warm', at: [0.6, 0.6, 0.5] },
  ],
  'demo-limestone': [
    { key: 'warm', name: 'warm side', quantity: 'temperature', place: 'warm', at: [0.75, 0.5, 0.4] },
    { key: 'air', name: 'cool side air', quantity: 'humidity', place: 'cool', at: [0.25, 0.5, 0.4] },
  ],
};

/** The box of which nothing has been misted for so many days: what the demo has to be found out. */
export const UNMISTED = { design: 'demo-bog-shelf', days: 6 } as const;

/** s between two values of a played day. */
export const STEP = 3600;
/** Days that are played without mist: from the second on they are alike. */
export const DRY_DAYS = 2;
/** Months from one that is played to the next. */
export const MONTHS_APART = 2;
