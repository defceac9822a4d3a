import { careNow, dueOf, lastDone, type Due } from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/design';
import type { Entry } from '@/core/log';
import { localDay } from '@/ui/days';

/** Further back nothing that comes again is looked for, days. */
export const LOOK_BACK = 800;

/** What is due of one enclosure, from its part of the log. */
export function dueIn(
  design: Design,
  log: readonly Entry[],
  today: string,
  catalogue: Catalogue,
): readonly Due[] {
  const own = log.filter((it) => it.design === design.id);
  return dueOf(careNow(design, catalogue), lastDone(own, localDay), design.brief.since ?? today, today);
}
