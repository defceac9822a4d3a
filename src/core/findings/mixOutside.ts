import type { Catalogue } from '../catalogue';
import type { Mix } from '../document/schema';
import { MEDIUM_RANGES, POROMETER } from '../ground/mediumRanges';
import { capacityOf, placedShares, propertiesOf } from '../mixing/properties';
import { stateOf, type Family } from '../mixing/targets';
import { length, percent, message, type Message } from '../units';
import type { Finding } from '../finding/finding';

/**
 * Air and water of a mix against what nurseries grow in (Yeager et al.), in a vessel as tall as theirs. Ground for
 * animals may well lie outside; then it is said why, and what follows.
 */
export function mixOutside(mix: Mix, family: Family, catalogue: Catalogue): Finding[] {
  const { air, capacity } = propertiesOf(mix, catalogue);
  if (air === undefined || capacity === undefined) return [];
  const found: Finding[] = [];
  const add = (code: string, what: Message, because: Message): void => {
    found.push({
      code,
      severity: 'note',
      place: { at: 'mix' },
      what,
      because,
      remedies: [],
      basis: 'published',
      source: 'yeager-bmp',
    });
  };
  const dry = stateOf(family) === 'moistened';
  const at = (value: number): number => Math.round(value * 100) / 100;

  if (at(air) < MEDIUM_RANGES.air.low) {
    add(
      'mix-little-air',
      message`Once drained it holds ${percent(air)} of air; nurseries grow in ${percent(MEDIUM_RANGES.air.low)} to ${percent(MEDIUM_RANGES.air.high)}.`,
      dry
        ? message`${wettest(mix, catalogue)} fill their pores when they are soaked. Ground like this is moistened by hand and never watered through: do not lay it over a bed that floods.`
        : message`${wettest(mix, catalogue)} keep their pores full for ${length(POROMETER)} and more over an open bed. Lay it over a coarser mix, or deep enough that roots have the upper part.`,
    );
  }
  if (at(air) > MEDIUM_RANGES.air.high) {
    add(
      'mix-much-air',
      message`Once drained it holds ${percent(air)} of air; nurseries stay below ${percent(MEDIUM_RANGES.air.high)}.`,
      message`${driest(mix, catalogue)} let water through. It never sours, even shallow over a bed, and dries sooner: it wants water oftener.`,
    );
  }
  if (at(capacity) < MEDIUM_RANGES.capacity.low) {
    add(
      'mix-little-water',
      message`Once drained it keeps ${percent(capacity)} of water; nurseries want ${percent(MEDIUM_RANGES.capacity.low)} at least.`,
      dry
        ? message`${driest(mix, catalogue)} have few pores for it. Dry ground should keep little.`
        : message`${driest(mix, catalogue)} have few pores for it. As a lower layer that is no fault; on top it dries sooner.`,
    );
  }
  if (at(capacity) > MEDIUM_RANGES.capacity.high) {
    add(
      'mix-much-water',
      message`Once drained it keeps ${percent(capacity)} of water; nurseries stay below ${percent(MEDIUM_RANGES.capacity.high)}.`,
      dry
        ? message`${wettest(mix, catalogue)} would keep it if they were soaked. Moisten this ground by hand, little at a time.`
        : message`${wettest(mix, catalogue)} hold on to it: good for what lives damp, bad for roots in a shallow bed. Water it less often.`,
    );
  }
  return found;
}

/** The two parts that do most to keep water, or to let it go. */
function named(mix: Mix, catalogue: Catalogue, most: 1 | -1): string {
  const parts = placedShares(mix, catalogue).map(({ row, share }) => ({
    name: row.name,
    pull: share * ((capacityOf(row, 'drained') ?? 0) / (row.retention?.value.saturated ?? 1) - 0.6) * most,
  }));
  const names = parts
    .sort((a, b) => b.pull - a.pull)
    .slice(0, 2)
    .filter((part, index) => index === 0 || part.pull > 0)
    .map((part) => part.name.split(',')[0] ?? part.name);
  return names.map((name, index) => (index === 0 ? name : name.toLowerCase())).join(' and ');
}

const wettest = (mix: Mix, catalogue: Catalogue): string => named(mix, catalogue, 1);
const driest = (mix: Mix, catalogue: Catalogue): string => named(mix, catalogue, -1);
