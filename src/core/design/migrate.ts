import { DESIGN_VERSION } from './schema';

/** One step from a version to the next. Works on plain JSON: the old types are gone by then. */
interface Migration {
  readonly from: number;
  readonly name: string;
  readonly up: (document: Record<string, unknown>) => Record<string, unknown>;
}

/** In order; an old file runs through all that are newer than itself. Version 1 is the first. */
const MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    name: 'how fresh soil is moistened; enclosures put away',
    // Version 1 moistened all of the soil, to one fixed content between the two schools.
    up: (document) => ({
      ...document,
      brief: { ...(document.brief as Record<string, unknown> | undefined), putAway: false },
      ground: {
        squeeze: 'generous',
        moistShare: 1,
        ...(document.ground as Record<string, unknown> | undefined),
      },
    }),
  },
];

export type Migrated =
  | { readonly ok: true; readonly document: Record<string, unknown> }
  | { readonly ok: false; readonly path: readonly (string | number)[]; readonly message: string };

/** Brings a document up to this version. A later version is refused by name rather than half understood. */
export function migrate(document: Record<string, unknown>): Migrated {
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { ok: false, path: ['version'], message: 'a whole number from 1 up is expected' };
  }
  if (version > DESIGN_VERSION) {
    return {
      ok: false,
      path: ['version'],
      message: `this file is of version ${version}; this Rincon reads up to ${DESIGN_VERSION}. Update Rincon, then read it again`,
    };
  }
  let current = document;
  for (const step of MIGRATIONS) {
    if (step.from >= version) current = { ...step.up(current), version: step.from + 1 };
  }
  return { ok: true, document: current };
}
