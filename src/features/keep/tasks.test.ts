import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { standsAlready } from '@/core/propose';
import { dayPlus } from '@/core/time';
import { dueIn } from '@/ui/due';
import { tasksOf, taskTitle } from './tasks';

const TODAY = '2026-11-18';
const boxes = ['correlophus-ciliatus', 'correlophus-ciliatus', 'pogona-vitticeps'].map((animal, i) =>
  standsAlready(
    {
      id: `box-${i}`,
      name: `Box ${i}`,
      animal,
      count: 1,
      size: null,
      material: 'glass',
      since: '2024-03-02',
      note: '',
    },
    TODAY,
    catalogue,
  ),
);
const tasksOn = (day: string) =>
  tasksOf(boxes.map((design) => ({ design, due: dueIn(design, [], day, catalogue) })));

describe('the round by task', () => {
  it('on the first day: each thing once, with the enclosures it is due in; nothing late', () => {
    const tasks = tasksOn(TODAY);
    expect(tasks.every((it) => it.late === 0)).toBe(true);
    const look = tasks.find((it) => it.rule.id === 'look')!;
    // Of two kinds, and yet one task.
    expect(look.boxes.map((it) => it.design.id)).toEqual(['box-0', 'box-1', 'box-2']);
    expect(taskTitle(look)).toBe('Look them over');
    expect(look.minutes).toBe(3);
    const due = boxes.flatMap((it) => dueIn(it, [], TODAY, catalogue)).filter((it) => it.late >= 0);
    expect(tasks.reduce((sum, it) => sum + it.boxes.length, 0)).toBe(due.length);
    expect(tasks.length).toBeLessThan(due.length);
  });

  it('in one enclosure it is called as there', () => {
    const tasks = tasksOf([{ design: boxes[0]!, due: dueIn(boxes[0]!, [], TODAY, catalogue) }]);
    expect(tasks.map(taskTitle)).toContain('Look for the crested gecko: bright, whole, where it should be');
  });

  it('what is asked for, because nobody told of it, is never called late', () => {
    const tasks = tasksOn(dayPlus(TODAY, 21));
    const powders = tasks.find((it) => it.rule.id === 'powders')!;
    expect(powders.late).toBe(0);
    expect(powders.boxes.every((it) => it.due.untold)).toBe(true);
  });
});
