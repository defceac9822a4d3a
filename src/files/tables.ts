import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import type { AnimalRecord, EquipmentRecord } from '@/core/records';
import { csvOfTable, type DataCell, type DataColumn, type DataTable } from './dataTable';

const moment = (at: number): string => new Date(at).toISOString();
const said = (value: number | string | boolean | null | undefined): DataCell =>
  value === undefined ? null : typeof value === 'boolean' ? String(value) : value;
/** Columns of text, but for those that are told. */
const headed = (
  titles: readonly string[],
  holds: Readonly<Partial<Record<string, DataColumn['holds']>>>,
): readonly DataColumn[] => titles.map((title) => ({ title, holds: holds[title] ?? 'text' }));
const numbers = (...titles: readonly string[]): Record<string, 'number'> =>
  Object.fromEntries(titles.map((it) => [it, 'number' as const]));

/** The log for a spreadsheet, the oldest line first; struck lines are left out. */
export function logTable(
  log: readonly Entry[],
  designs: readonly Design[],
  animals: readonly AnimalRecord[],
): DataTable {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  const names = new Map(animals.map((it) => [it.id, it.name]));
  const columns = headed(
    [
      'time',
      'enclosure',
      'kind',
      'animal',
      'care',
      'outcome',
      'text',
      'temperature_C',
      'humidity',
      'uv_index',
      'point',
      'seconds',
      'count',
      'left',
      'refused',
      'mass_kg',
      'ammonia_mg_L',
      'nitrite_mg_L',
      'nitrate_mg_L',
      'ph',
      'x_m',
      'y_m',
      'z_m',
      'clock_ahead_of_utc_min',
    ],
    {
      time: 'moment',
      ...numbers('temperature_C', 'humidity', 'uv_index', 'seconds', 'count', 'left', 'mass_kg'),
      ...numbers('ammonia_mg_L', 'nitrite_mg_L', 'nitrate_mg_L', 'ph', 'x_m', 'y_m', 'z_m'),
      ...numbers('clock_ahead_of_utc_min'),
    },
  );
  return {
    name: 'Log',
    columns,
    rows: log
      .filter((it) => !it.gone)
      .map(({ values, ...it }) => [
        moment(it.at),
        boxes.get(it.design) ?? it.design,
        it.kind,
        names.get(it.animal ?? '') ?? '',
        it.rule ?? '',
        it.outcome,
        it.text,
        said(values.temperature),
        said(values.humidity),
        said(values.uvIndex),
        said(values.point),
        said(values.seconds),
        said(values.count),
        said(values.left),
        said(values.refused),
        said(values.mass),
        said(values.ammonia),
        said(values.nitrite),
        said(values.nitrate),
        said(values.ph),
        said(values.x),
        said(values.y),
        said(values.z),
        said(it.ahead),
      ]),
  };
}
export const logCsv = (...given: Parameters<typeof logTable>): string => csvOfTable(logTable(...given));

/** Animals for a spreadsheet. */
export function animalsTable(animals: readonly AnimalRecord[], designs: readonly Design[]): DataTable {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  const columns = headed(
    [
      'name',
      'kind',
      'sex',
      'how_sure',
      'hatched',
      'from_whom',
      'parents',
      'quarantine',
      'homes',
      'papers',
      'left',
      'note',
    ],
    { hatched: 'day', left: 'day' },
  );
  return {
    name: 'Animals',
    columns,
    rows: animals
      .filter((it) => !it.gone)
      .map((it) => [
        it.name,
        it.kind ?? '',
        it.sex,
        it.sexKnown,
        it.hatched ?? '',
        it.source,
        it.parents.map((own) => animals.find((other) => other.id === own)?.name ?? own).join('; '),
        it.quarantine ? `${it.quarantine.from}/${it.quarantine.to ?? ''}` : '',
        it.homes
          .map((home) => `${boxes.get(home.design) ?? home.design} ${home.from ?? ''}/${home.to ?? ''}`)
          .join('; '),
        it.papers.map((own) => `${own.what} ${own.number} ${own.until ?? ''}`.trim()).join('; '),
        it.left ?? '',
        it.note,
      ]),
  };
}
export const animalsCsv = (...given: Parameters<typeof animalsTable>): string =>
  csvOfTable(animalsTable(...given));

/** Equipment for a spreadsheet. */
export function equipmentTable(equipment: readonly EquipmentRecord[], designs: readonly Design[]): DataTable {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  return {
    name: 'Equipment',
    columns: headed(
      ['enclosure', 'name', 'installed', 'guaranteed_to', 'failed', 'in_reserve', 'months', 'note'],
      { installed: 'day', guaranteed_to: 'day', failed: 'day' },
    ),
    rows: equipment
      .filter((it) => !it.gone)
      .map((it) => [
        boxes.get(it.design) ?? it.design,
        it.name,
        it.installed ?? '',
        it.warranty ?? '',
        it.failed ?? '',
        it.spare ? 'yes' : '',
        it.months.join(' '),
        it.note,
      ]),
  };
}
export const equipmentCsv = (...given: Parameters<typeof equipmentTable>): string =>
  csvOfTable(equipmentTable(...given));

/** Enclosures for a spreadsheet: what each is, who lives there and since when. */
export function enclosuresTable(
  designs: readonly Design[],
  nameOf: (animal: string) => string | undefined,
): DataTable {
  return {
    name: 'Enclosures',
    columns: headed(
      [
        'enclosure',
        'species',
        'how_many',
        'stage',
        'since',
        'room',
        'shelf',
        'width_m',
        'depth_m',
        'height_m',
        'made_of',
        'archived',
        'note',
      ],
      { since: 'day', ...numbers('how_many', 'width_m', 'depth_m', 'height_m') },
    ),
    rows: designs.map(({ name, brief, enclosure }) => [
      name,
      brief.animal === null ? '' : (nameOf(brief.animal) ?? brief.animal),
      brief.count,
      brief.stage,
      brief.since,
      brief.place.room,
      brief.place.shelf,
      enclosure.width,
      enclosure.depth,
      enclosure.height,
      enclosure.material,
      brief.putAway ? 'yes' : '',
      brief.note,
    ]),
  };
}
