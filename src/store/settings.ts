import { z } from 'zod';
import { METRIC, type UnitPrefs } from '@/core/units';
import type { RinconDatabase } from './database';

const Units = z.strictObject({
  length: z.enum(['mm', 'cm', 'in']),
  tank: z.enum(['L', 'gal']),
  bag: z.enum(['L', 'dryQuart', 'cuFt']),
  mass: z.enum(['kg', 'lb']),
  temperature: z.enum(['C', 'F']),
}) satisfies z.ZodType<UnitPrefs>;

const Settings = z.object({
  units: Units.catch(METRIC),
  /** The builder's own prices by `material/pack`. */
  prices: z.record(z.string(), z.number().min(0)).catch({}),
  /** Set once the demo has been laid out, so that clearing it away lasts. */
  demoLaid: z.boolean().catch(false),
  /** When everything was last exported, ms since 1970; null: never. */
  exported: z.number().nullable().catch(null),
});
export type Settings = z.infer<typeof Settings>;

export const DEFAULT_SETTINGS: Settings = { units: METRIC, prices: {}, demoLaid: false, exported: null };

/** Settings as stored; whatever cannot be read falls back to its default. */
export async function loadSettings(db: RinconDatabase): Promise<Settings> {
  const rows = await db.settings.toArray();
  return Settings.parse(Object.fromEntries(rows.map((row) => [row.key, row.value])));
}

export async function saveSetting<K extends keyof Settings>(
  db: RinconDatabase,
  key: K,
  value: Settings[K],
): Promise<void> {
  await db.settings.put({ key, value });
}
