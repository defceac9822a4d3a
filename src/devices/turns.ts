import type { InSlices } from '@/core/climate';

/** ms of work after which all else that waits has its turn. */
const TURN = 10;

/** Does work in turns: whatever else the server is asked in between is answered in between. */
export async function inTurns<T>(work: InSlices<T>): Promise<T> {
  for (;;) {
    const until = performance.now() + TURN;
    do {
      const slice = work.next();
      if (slice.done) return slice.value;
    } while (performance.now() < until);
    await new Promise((resolve) => {
      setImmediate(resolve);
    });
  }
}
