import type { Catalogue } from '@/core/catalogue';
import { careNow } from '@/core/care';
import type { Design } from '@/core/document';
import { entryOf, type Draft, type Entry } from '@/core/log';
import { midnightAgo } from './records';

/** Days between two meals of the frogs, as their rule of care has it: the last was a whole turn ago, so that today one is due. */
const FED_EVERY = 3;
const HOUR = 3_600_000;

/** How far into its rhythm each rule of the demo stands, one after the other: most are in hand, a few are due. */
const SHARES = [0.3, 0.7, 1, 0.5, 0.85, 0.2, 1.15, 0.6];

/** A fortnight of the made-up nature room’s log: what was done when, what was read, seen and fed. */
export function demoLog(designs: readonly Design[], catalogue: Catalogue, now: number): readonly Entry[] {
  const entries: Entry[] = [];
  const write = (design: Design, key: string, daysAgo: number, hour: number, draft: Draft): void => {
    const at = midnightAgo(now, daysAgo) + hour * HOUR;
    if (at <= now)
      entries.push(entryOf(draft, { id: `${design.id} ${key}`, design: design.id, at, changed: at }));
  };
  for (const design of designs) {
    const lived = design.brief.stage === 'inhabited';
    careNow(design, catalogue).forEach((rule, index) => {
      // Fed in the evenings, below.
      if (lived && rule.id === 'feed') return;
      const share = SHARES[index % SHARES.length] ?? 0.5;
      const ago =
        rule.when.by === 'since'
          ? Math.round(rule.when.days * share)
          : rule.when.rrule.includes('DAILY')
            ? 1
            : 3;
      write(design, rule.id, Math.max(1, ago), 8, { kind: 'care', values: {}, text: '', rule: rule.id });
    });
    if (design.brief.stage !== 'inhabited' && design.brief.stage !== 'growing-in') continue;
    for (let ago = 1; ago <= 14; ago += 1) {
      const swing = Math.sin(ago * 1.7);
      write(design, `warm ${ago}`, ago, 9, {
        kind: 'reading',
        values: { temperature: 23.4 + 0.6 * swing, humidity: 0.78 + 0.05 * swing, point: 'warm side' },
        text: '',
      });
      if (lived && ago % FED_EVERY === 0)
        write(design, `feed ${ago}`, ago, 18, {
          kind: 'feed',
          values: { count: 6, left: ago % 2 === 0 ? 2 : 0 },
          text: 'small crickets',
          rule: 'feed',
        });
    }
    if (lived) {
      write(design, 'call', 3, 21, {
        kind: 'behaviour',
        values: {},
        text: 'Two males call from the cork after lights off.',
      });
    } else {
      write(design, 'crew', 4, 20, {
        kind: 'crew',
        values: {},
        text: 'Young isopods under the half round of cork.',
      });
      write(design, 'mould', 9, 9, {
        kind: 'mould',
        values: {},
        text: 'White threads on the log, as expected of fresh wood.',
      });
    }
  }
  return entries;
}
