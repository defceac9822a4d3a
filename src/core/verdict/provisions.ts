import type { Climate, Design, Pour } from '../document/schema';
import { soilIsKept } from '../climate/watering';
import type { Verdict } from './answer';

/** Days between two waterings, the longest first (common practice: by the week, the fortnight, the month). */
const RHYTHMS = [28, 14, 7, 3, 2, 1] as const;
/** m³/m³ by which a soil may dry from one watering to the next (common practice: it is watered before a fistful crumbles). */
const MAY_DRY = 0.05;
/** kg a day under which nobody fetches a jug. */
const NOTHING = 0.003;
/** Ends whose loss differs by less than this share of the larger are watered alike. */
const ALIKE = 0.25;

/** m³ as one measures them: to 10 mL, from half a litre on to 50. */
const measured = (litres: number): number => {
  const step = litres < 0.5 ? 0.01 : 0.05;
  return Number((Math.max(step, Math.round(litres / step) * step) / 1000).toFixed(6));
};

interface End {
  readonly end: Pour['end'];
  /** kg a day, and m³ of soil. */
  readonly loses: number;
  readonly volume: number;
}

/** kg a day the soil of each half loses in the mean of the year, where the forecast keeps it as it was filled; else nothing. */
export function soilNeeds(
  { days }: Pick<Verdict, 'days'>,
  design: Pick<Design, 'ground' | 'climate'>,
): readonly End[] {
  if (!soilIsKept(design)) return [];
  return ([0, 1] as const).flatMap((half): End[] => {
    const loses = days.reduce((sum, it) => sum + it.soil[half].loses, 0) / Math.max(1, days.length);
    const volume = days[0]?.soil[half].volume ?? 0;
    return loses > NOTHING && volume > 0 ? [{ end: half === 0 ? 'warm' : 'cool', loses, volume }] : [];
  });
}

/**
 * Water from the jug that keeps the soil as damp as it was filled, by what its year loses: to the foot, so that the top stays
 * as dry as it is; empty: it needs none. Only where the forecast keeps the soil; null elsewhere.
 */
export function poursFor(
  verdict: Pick<Verdict, 'days'>,
  design: Pick<Design, 'ground' | 'climate'>,
): Climate['watering'] {
  if (!soilIsKept(design)) return null;
  const ends = soilNeeds(verdict, design);
  const [warm, cool] = ends;
  const more = Math.max(...ends.map((it) => it.loses));
  const alike = warm && cool && Math.abs(warm.loses - cool.loses) < ALIKE * more;
  const told: readonly End[] = alike
    ? [{ end: 'both', loses: warm.loses + cool.loses, volume: warm.volume + cool.volume }]
    : ends;
  // One rhythm for all of it: that of the end which dries the sooner.
  const [slowest] = RHYTHMS;
  const everyDays = Math.min(
    slowest,
    ...told.map(({ loses, volume }) => RHYTHMS.find((it) => (loses * it) / 1000 <= MAY_DRY * volume) ?? 1),
  );
  return told.map(({ end, loses }) => ({
    end,
    into: 'foot',
    amount: measured(loses * everyDays),
    everyDays,
  }));
}

/** Canisters that are sold for water, m³ (common practice). */
const CANISTERS = [0.005, 0.01, 0.02, 0.03] as const;
/** Days that a canister should last, so that it is filled when there is time. */
const SHOULD_LAST = 3;

/** The smallest canister that lasts a fogger three days of its thirstiest season, or the largest; m³. */
export const canisterFor = (perDay: number): number =>
  CANISTERS.find((it) => it * 1000 >= SHOULD_LAST * perDay) ?? CANISTERS[CANISTERS.length - 1] ?? 0.03;

/** Each fogger with what it gives in its thirstiest season, kg a day, and days its bottle lasts then. */
export function thirstiest({ days }: Pick<Verdict, 'days'>) {
  const most = new Map<string, { season: Verdict['days'][number]['season']; perDay: number; days: number }>();
  for (const { season, bottles } of days)
    for (const { device, perDay, days: lasts } of bottles)
      if (lasts !== null && lasts < (most.get(device)?.days ?? Infinity))
        most.set(device, { season, perDay, days: lasts });
  return [...most].map(([device, it]) => ({ device, ...it }));
}

/** A design with canisters that last its foggers; itself, if it needs none. @param held foggers that stay as they are, by id */
export function withCanisters(
  design: Design,
  verdict: Pick<Verdict, 'days'>,
  held: readonly string[] = [],
): Design {
  const { climate } = design;
  const short = thirstiest(verdict).flatMap(({ device, perDay, days }) => {
    const own = climate.devices.find((it) => it.id === device);
    const tank = canisterFor(perDay);
    return own && !held.includes(device) && days < SHOULD_LAST && tank > (own.tank ?? 0)
      ? [{ device, tank }]
      : [];
  });
  if (short.length === 0) return design;
  return {
    ...design,
    climate: {
      ...climate,
      devices: climate.devices.map((it) => {
        const more = short.find((own) => own.device === it.id);
        return more ? { ...it, tank: more.tank } : it;
      }),
    },
  };
}

/** A design with water for its soil, where nothing else waters it; itself, where something does. */
export function withWatering(design: Design, verdict: Pick<Verdict, 'days'>): Design {
  const watering = poursFor(verdict, design);
  return watering === null ? design : { ...design, climate: { ...design.climate, watering } };
}
