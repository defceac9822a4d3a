import { careNow, daysTill, dueOf, lastDone, meteredLamp, type Due } from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import { counted } from '@/core/units';
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
  const due = dueOf(careNow(design, catalogue), lastDone(own, localDay), design.brief.since ?? today, today);
  const metered = meteredLamp(design, own, catalogue, localDay);
  if (!metered) return due;
  // A meter knows better than the calendar when a tube is spent.
  return due.map((it) =>
    /^uv-(?!meter)/.test(it.rule.id)
      ? {
          ...it,
          day: metered.day,
          late: daysTill(metered.day, today),
          rule: {
            ...it.rule,
            why: `By ${counted(metered.readings, 'reading')} of the meter: a UV index of ${metered.needed} is needed at its back.`,
          },
        }
      : it,
  );
}
