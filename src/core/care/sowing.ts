import { findPlant, type Catalogue } from '../catalogue';
import type { Design } from '../document/schema';
import { daily, type Draft } from './rule';

/** What was sown is kept wet until it takes: once for each day something was sown on. */
export function sowing({ living }: Design, catalogue: Catalogue, add: (draft: Draft) => void): void {
  const byDay = new Map<string, { names: string[]; days: number }>();
  for (const { kind, planted, sown: isSown } of living.plants) {
    const plant = findPlant(catalogue, kind);
    if (!isSown || planted === null || !plant?.sows) continue;
    const own = byDay.get(planted) ?? { names: [], days: 0 };
    if (!own.names.includes(plant.english)) own.names.push(plant.english);
    byDay.set(planted, { names: own.names, days: Math.max(own.days, plant.sows.value.days.high) });
  }
  for (const [day, { names, days }] of byDay)
    add({
      id: `sown-${day}`,
      group: 'plants',
      what: 'Mist what was sown, and look for green',
      why: 'Dry for one day before it has taken, it begins again. Lift the film once green is seen, a little more each day.',
      when: daily(),
      amount: [names.join(', ')],
      since: day,
      season: { how: 'only', part: { from: day.slice(5), days, since: day, once: true } },
      minutes: 2,
      sitter: true,
    });
}
