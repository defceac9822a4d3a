import { harvestOf, type CultureDue, type CultureTask } from '@/core/living/cultureCare';
import type { CultureRecord } from '@/core/records';
import { dayWords } from './days';

const TASK: Record<CultureTask, (name: string) => string> = {
  feed: (name) => `Feed ${name}`,
  split: (name) => `Split ${name}`,
  next: (name) => `Start the next ${name}`,
  end: (name) => `Throw out ${name}`,
};
const WHY: Record<CultureTask, string> = {
  feed: 'What it eats is what the animals eat.',
  split: 'Half of it goes into a fresh tub, before it is crowded.',
  next: 'Then it gives by the time this one is spent.',
  end: 'It is spent: into the freezer for two days, then into the bin.',
};

/** What is to be done with a culture, as a line of a list. */
export const taskWords = ({ task, culture }: Pick<CultureDue, 'task' | 'culture'>): string =>
  TASK[task](culture.name);
export const taskWhy = ({ task, culture }: CultureDue): string =>
  task === 'feed' && !culture.gutLoaded ? 'Hungry, it dwindles.' : WHY[task];

/** What it gives, and until when. */
export function stateWords(culture: CultureRecord, today: string): string {
  if (culture.ended !== null && culture.ended <= today) return `ended ${dayWords(culture.ended)}`;
  const harvest = harvestOf(culture);
  if (!harvest) return 'does not breed as it is kept';
  if (today < harvest.from) return `first to take ${dayWords(harvest.from)}`;
  if (harvest.to === null) return 'can be harvested';
  return today < harvest.to ? `gives until ${dayWords(harvest.to)}` : `spent since ${dayWords(harvest.to)}`;
}
