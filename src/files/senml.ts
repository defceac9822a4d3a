import { z } from 'zod';
import { POSSIBLE, type ReadQuantity } from '@/core/readings';
import type { Read } from './outcome';

/** One record of a SenML pack (RFC 8428, section 4); labels in its JSON form. */
const SenmlRecord = z
  .object({
    bn: z.string(),
    bt: z.number(),
    bu: z.string(),
    bv: z.number(),
    bs: z.number(),
    bver: z.number().int(),
    n: z.string(),
    u: z.string(),
    v: z.number(),
    vs: z.string(),
    vb: z.boolean(),
    vd: z.string(),
    s: z.number(),
    t: z.number(),
    ut: z.number(),
  })
  .partial()
  .loose();
const Pack = z.array(SenmlRecord).min(1).max(1_000_000);

/** A record with what its base fields said put into it (RFC 8428, section 4.6). */
export interface Resolved {
  readonly n: string;
  readonly u?: string;
  readonly v?: number;
  readonly vs?: string;
  readonly vb?: boolean;
  readonly vd?: string;
  readonly s?: number;
  /** s since 1970 */
  readonly t: number;
}

/** Version of the format that RFC 8428 sets; a pack that says a higher one is not to be read. */
const VERSION = 10;
/** Times under it are counted from now (section 4.5.3). */
const RELATIVE_UNDER = 2 ** 28;

/** Reads and resolves a pack. @param now s since 1970, for times that are counted from it */
export function readSenml(text: string, now: number): Read<readonly Resolved[]> {
  const fault = (place: string, message: string) => ({ ok: false, place, message }) as const;
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return fault(
      'the whole file',
      'this is not JSON. The JSON form of SenML is read, not its XML or binary ones',
    );
  }
  const parsed = Pack.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return fault(
      issue && issue.path.length > 0 ? `record ${Number(issue.path[0]) + 1}` : 'the whole file',
      `a list of SenML records is expected (${issue?.path.slice(1).join('.') || 'list'}: ${issue?.message ?? ''})`,
    );
  }
  const base: { bn: string; bt: number; bu?: string; bv: number; bs: number; bver?: number } = {
    bn: '',
    bt: 0,
    bv: 0,
    bs: 0,
  };
  const out: Resolved[] = [];
  for (const [index, record] of parsed.data.entries()) {
    const place = `record ${index + 1}`;
    const strange = Object.keys(record).find((key) => key.endsWith('_'));
    if (strange !== undefined)
      return fault(place, `“${strange}” must be understood by who reads it, and is not known here`);
    if (record.bver !== undefined) {
      if (record.bver > VERSION)
        return fault(place, `version ${record.bver} is newer than ${VERSION}, which is read here`);
      if (base.bver !== undefined && base.bver !== record.bver)
        return fault(place, 'the version changes within the pack');
      base.bver = record.bver;
    }
    base.bn = record.bn ?? base.bn;
    base.bt = record.bt ?? base.bt;
    base.bu = record.bu ?? base.bu;
    base.bv = record.bv ?? base.bv;
    base.bs = record.bs ?? base.bs;
    const held = [record.v, record.vs, record.vb, record.vd].filter((it) => it !== undefined).length;
    if (held > 1) return fault(place, 'it holds more than one value');
    // A record of base fields only sets them for those that follow.
    if (held === 0 && record.s === undefined) continue;
    const n = base.bn + (record.n ?? '');
    if (!/^[A-Za-z0-9][A-Za-z0-9\-:./_]*$/.test(n))
      return fault(
        place,
        `“${n.slice(0, 60)}” is no name: letters, figures and - : . / _ are allowed, a letter or figure first`,
      );
    const time = base.bt + (record.t ?? 0);
    const u = record.u ?? base.bu;
    out.push({
      n,
      t: time < RELATIVE_UNDER ? now + time : time,
      ...(u === undefined ? {} : { u }),
      ...(record.v === undefined ? {} : { v: base.bv + record.v }),
      ...(record.vs === undefined ? {} : { vs: record.vs }),
      ...(record.vb === undefined ? {} : { vb: record.vb }),
      ...(record.vd === undefined ? {} : { vd: record.vd }),
      ...(record.s === undefined ? {} : { s: base.bs + record.s }),
    });
  }
  return { ok: true, value: out };
}

/** One reading in SI. */
export interface NamedReading {
  readonly name: string;
  readonly quantity: ReadQuantity;
  /** ms since 1970 */
  readonly at: number;
  readonly value: number;
}

/** Readings among resolved records: temperature, humidity, mass, UV index and soil water; others are left out. */
export function readingsIn(records: readonly Resolved[]): readonly NamedReading[] {
  return records.flatMap(({ n, u, v, t }): NamedReading[] => {
    if (v === undefined) return [];
    const found = quantityIn(n, u, v);
    if (!found) return [];
    const [low, high] = POSSIBLE[found.quantity];
    if (found.value < low || found.value > high) return [];
    return [{ name: n, at: Math.round(t * 1000), ...found }];
  });
}

function quantityIn(
  name: string,
  unit: string | undefined,
  value: number,
): { readonly quantity: ReadQuantity; readonly value: number } | null {
  switch (unit) {
    case 'Cel':
      return { quantity: 'temperature', value };
    case 'K':
      return { quantity: 'temperature', value: value - 273.15 };
    case '%RH':
      return { quantity: 'humidity', value: value / 100 };
    case 'kg':
      return { quantity: 'mass', value };
    case 'g':
      return { quantity: 'mass', value: value / 1000 };
    case '/':
      // No unit is registered for the UV index, nor for water in soil: the name tells.
      return /uv/i.test(name)
        ? { quantity: 'uvIndex', value }
        : /soil/i.test(name)
          ? { quantity: 'soilWater', value }
          : null;
    default:
      return null;
  }
}

const UNIT: Record<ReadQuantity, string> = {
  temperature: 'Cel',
  humidity: '%RH',
  uvIndex: '/',
  soilWater: '/',
  mass: 'kg',
};

/** A name as the format allows it, that still tells what it was. */
export const senmlName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9\-:./_]+/g, '-')
    .replace(/^[^A-Za-z0-9]+/, '') || 'point';

/** Readings as a pack: the first of each name carries its base name, unit and time, those after it only what changes. */
export function writeSenml(readings: readonly NamedReading[]): string {
  let name: string | undefined;
  let began = 0;
  const records = readings.map(({ name: own, quantity, at, value }) => {
    const scaled = quantity === 'humidity' ? value * 100 : value;
    const v = Number(scaled.toFixed(6));
    if (own !== name) {
      name = own;
      began = at;
      return { bn: own, bt: at / 1000, bu: UNIT[quantity], v };
    }
    return { t: Number(((at - began) / 1000).toFixed(3)), v };
  });
  return JSON.stringify(records);
}
