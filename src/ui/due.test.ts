import { expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns, demoLog } from '@/catalogue/demo';
import { entryOf } from '@/core/log';
import { dueIn, keepingDues } from './due';

const BESIDE = { feedersApart: false };
const TODAY = '2026-11-25';
const now = Date.parse(`${TODAY}T12:00:00Z`);
const designs = demoDesigns(catalogue);
const log = demoLog(designs, catalogue, now);

it('of many is what it is of each alone, and only what a line of the log changed is worked out anew', () => {
  const duesOf = keepingDues();
  const before = duesOf(designs, log, TODAY, catalogue, BESIDE);
  expect(before).toEqual(designs.map((design) => ({ design, due: dueIn(design, log, TODAY, catalogue) })));
  const [lived] = before.filter((it) => it.due.some((own) => own.late >= 0));
  const late = lived!.due.find((it) => it.late >= 0)!;
  const tick = entryOf(
    { kind: 'care', values: {}, text: '', rule: late.rule.id },
    { id: 'tick', design: lived!.design.id, at: now, changed: now },
  );
  // Read from storage again, every line is another object.
  const after = duesOf(designs, [...structuredClone(log), tick], TODAY, catalogue, BESIDE);
  expect(after.map((it, i) => it === before[i])).toEqual(
    designs.map((design) => design.id !== lived!.design.id),
  );
  const own = after.find((it) => it.design === lived!.design)!;
  expect(own.due.find((it) => it.rule.id === late.rule.id)?.last).toBe(TODAY);
  // Taken back, it is as it was.
  expect(duesOf(designs, log, TODAY, catalogue, BESIDE)).toEqual(before);
});

it('is worked out anew on another day, and for a line that was changed in place', () => {
  const duesOf = keepingDues();
  const before = duesOf(designs, log, TODAY, catalogue, BESIDE);
  const [changed, ...rest] = log;
  const moved = [{ ...changed!, at: changed!.at - 40 * 86_400_000, changed: now }, ...rest];
  const after = duesOf(designs, moved, TODAY, catalogue, BESIDE);
  expect(after.filter((it, i) => it !== before[i]).map((it) => it.design.id)).toEqual([changed!.design]);
  expect(duesOf(designs, log, '2026-11-26', catalogue, BESIDE)).toEqual(
    designs.map((design) => ({ design, due: dueIn(design, log, '2026-11-26', catalogue) })),
  );
});
