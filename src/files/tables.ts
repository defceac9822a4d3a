import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import type { AnimalRecord, EquipmentRecord } from '@/core/records';
import { csvOf } from './cell';

const moment = (at: number): string => new Date(at).toISOString();
const said = (value: number | string | boolean | null): string => (value === null ? '' : String(value));

/** The log for a spreadsheet, the oldest line first; struck lines are left out. */
export function logCsv(
  log: readonly Entry[],
  designs: readonly Design[],
  animals: readonly AnimalRecord[],
): string {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  const names = new Map(animals.map((it) => [it.id, it.name]));
  return csvOf([
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
    ...log
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
        said(it.ahead ?? null),
      ]),
  ]);
}

/** Animals for a spreadsheet. */
export function animalsCsv(animals: readonly AnimalRecord[], designs: readonly Design[]): string {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  return csvOf([
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
    ...animals
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
  ]);
}

/** Equipment for a spreadsheet. */
export function equipmentCsv(equipment: readonly EquipmentRecord[], designs: readonly Design[]): string {
  const boxes = new Map(designs.map((it) => [it.id, it.name]));
  return csvOf([
    ['enclosure', 'name', 'installed', 'guaranteed_to', 'failed', 'in_reserve', 'months', 'note'],
    ...equipment
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
  ]);
}
