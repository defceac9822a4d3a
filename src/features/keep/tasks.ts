import type { Due } from '@/core/care';
import type { BoxDue } from '@/ui/due';

/** One enclosure in which a task is due. */
export interface TaskIn {
  readonly design: BoxDue['design'];
  readonly due: Due;
}

/** The same work in all enclosures in which it is due. */
export interface Task {
  readonly key: string;
  readonly rule: Due['rule'];
  readonly boxes: readonly TaskIn[];
  readonly minutes: number;
  /** Days the latest of them is late. */
  readonly late: number;
}

/** Words by which work is the same: an animal’s name does not make it another. */
const ONE: Readonly<Record<string, string>> = { look: 'Look them over', weigh: 'Weigh', feed: 'Feed' };

/** What makes work of two enclosures the same. */
export const taskKey = ({ id, what }: Due['rule']): string => (id in ONE ? id : `${id} ${what}`);

/** What a task is called where it is due in several enclosures. */
export const taskTitle = ({
  rule,
  boxes,
}: {
  readonly rule: Due['rule'];
  readonly boxes: readonly unknown[];
}): string => (boxes.length > 1 ? (ONE[rule.id] ?? rule.what) : rule.what);

/** What is due now, by the work that is to be done: what is latest first, then what is to be done in most enclosures. */
export function tasksOf(boxes: readonly BoxDue[]): readonly Task[] {
  const tasks = new Map<string, TaskIn[]>();
  for (const { design, due } of boxes)
    for (const it of due) {
      if (it.late < 0) continue;
      const key = taskKey(it.rule);
      const own = tasks.get(key);
      if (own) own.push({ design, due: it });
      else tasks.set(key, [{ design, due: it }]);
    }
  return [...tasks]
    .flatMap(([key, own]): Task[] => {
      const [first] = own;
      return first
        ? [
            {
              key,
              rule: first.due.rule,
              boxes: own,
              minutes: own.reduce((sum, it) => sum + it.due.rule.minutes, 0),
              late: Math.max(...own.map((it) => it.due.late)),
            },
          ]
        : [];
    })
    .sort((a, b) => b.late - a.late || b.boxes.length - a.boxes.length);
}
