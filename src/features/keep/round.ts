import { careNow, daysAhead, lastDone, type Beside, type HeldRule } from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import { dayPlus, localDay } from '@/core/time';
import type { RoundDay } from '@/files/calendar';
import { taskKey, taskTitle } from './tasks';

/** Days a calendar of reminders reaches: longer would tell of days that were changed long since. */
export const REMINDED = 42;

/** What is to be done on each of the coming days over all enclosures, if each day's round is gone. */
export function roundDays(
  designs: readonly Design[],
  log: readonly Entry[],
  today: string,
  catalogue: Catalogue,
  beside: Beside,
): readonly RoundDay[] {
  const last = dayPlus(today, REMINDED - 1);
  const days = new Map<
    string,
    { minutes: number; tasks: Map<string, { rule: HeldRule; boxes: string[] }> }
  >();
  for (let day = today; day <= last; day = dayPlus(day, 1)) days.set(day, { minutes: 0, tasks: new Map() });
  const lines = new Map<string, Entry[]>();
  for (const it of log) lines.set(it.design, [...(lines.get(it.design) ?? []), it]);
  for (const design of designs) {
    const rules = careNow(design, catalogue, beside);
    if (rules.length === 0) continue;
    const done = lastDone(lines.get(design.id) ?? [], localDay);
    const began = design.brief.since ?? today;
    for (const { day, rules: due } of daysAhead(rules, done, began, today, last, design.care.settled)) {
      const own = days.get(day);
      if (!own) continue;
      for (const rule of due) {
        own.minutes += rule.minutes;
        const task = own.tasks.get(taskKey(rule));
        if (task) task.boxes.push(design.name);
        else own.tasks.set(taskKey(rule), { rule, boxes: [design.name] });
      }
    }
  }
  return [...days].map(([day, { minutes, tasks }]) => ({
    day,
    minutes,
    tasks: [...tasks.values()].map((it) => ({ what: taskTitle(it), where: it.boxes })),
  }));
}
