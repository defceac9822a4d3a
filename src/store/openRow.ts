import { Design, migrate, refusalOf, type Migrated } from '@/core/document';
import type { DesignRow } from './database';

export type Loaded =
  | { readonly state: 'ready'; readonly row: DesignRow }
  | { readonly state: 'missing' }
  /** Stored, but no longer readable; the raw value can still be saved to a file. */
  | { readonly state: 'broken'; readonly id: string; readonly raw: unknown; readonly message: string };

/** Brings a stored row up to this version of the document, or says why that cannot be. */
export function openRow(row: DesignRow): Loaded {
  const raw: unknown = row.design;
  const broken = (message: string): Loaded => ({ state: 'broken', id: row.id, raw, message });
  if (typeof raw !== 'object' || raw === null) return broken('an enclosure is expected');
  let migrated: Migrated;
  try {
    migrated = migrate(raw as Record<string, unknown>);
  } catch (error) {
    return broken(error instanceof Error ? error.message : String(error));
  }
  if (!migrated.ok) return broken(migrated.message);
  const parsed = Design.safeParse(migrated.document);
  if (!parsed.success) {
    const { place, message } = refusalOf(parsed.error.issues[0]);
    return broken(`${place}: ${message}`);
  }
  return { state: 'ready', row: { ...row, design: parsed.data } };
}
