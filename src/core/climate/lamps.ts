import { findDeviceKind, findGauze, type Catalogue, type DeviceKind } from '../catalogue';
import type { Design, Device } from '../design/schema';
import { uvFrom, type Lamp } from '../light/field';
import type { Point3 } from '../light/field';

/** How far UV may be from what is reckoned: of the tube itself, by its make and reflector; and by the gauze. */
export interface UvRange {
  /** Times the middle value. */
  readonly low: number;
  readonly high: number;
}

/** A meter is good to a tenth (from memory). */
const METER = 0.1;

/** Share of UV a tube still gives after so many hours, halving each `half`. */
export const agedUv = (hours: number, half: number): number => 2 ** (-hours / half);

/** Hours a device has burned since a day, by so many hours a day; 0 when it is not known. */
export function burned(device: Device, today: string | null, hours: number): number {
  if (device.since === null || today === null) return 0;
  return Math.max(0, (Date.parse(today) - Date.parse(device.since)) / 86_400_000) * hours;
}

/** Above the lid, with gauze or a cover between it and the box. */
export const overLid = (device: Device, design: Design): boolean => device.at.z > design.enclosure.height;

export interface Lit {
  readonly device: Device;
  readonly kind: DeviceKind;
  /** In the middle of what is known of it. */
  readonly lamp: Lamp;
  readonly uv: UvRange;
}

/**
 * Every lamp as the fields see it, in the middle of its range. A meter read at a place scales all UV, and leaves a
 * narrow range round it.
 */
export function lampsOf(
  design: Design,
  catalogue: Catalogue,
  today: string | null,
  hours = 12,
): readonly Lit[] {
  const gauze = findGauze(catalogue, design.climate.topGauze);
  const { top, topCover, build } = design.enclosure;
  const lit = design.climate.devices.flatMap((device): Lit[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind || (kind.lumensPerWatt === undefined && kind.radiant.value === 0)) return [];
    if (kind.form === 'mat' || kind.form === 'cable' || kind.form === 'heater') return [];
    const over = overLid(device, design) && build === 'box';
    const meshed = over && top === 'mesh' && gauze;
    const closed = over && top === 'solid';
    const uvBand = meshed ? gauze.uv.value : closed ? { low: 0, high: 0 } : { low: 1, high: 1 };
    const open = meshed ? gauze.open.value : 1;
    // A cover of glass lies on part of the lid: it stops UV, and some warmth.
    const covered = over && top !== 'solid' ? topCover : 0;
    const under = Math.min(1, Math.max(0, covered - 0.5) * 2);
    const own = kind.uvIndex?.value ?? { low: 0, high: 0 };
    const age = kind.uvHalf ? agedUv(burned(device, today, hours), kind.uvHalf.value) : 1;
    const low = own.low * uvBand.low * age * (1 - under);
    const high = own.high * uvBand.high * age * (1 - under);
    const middle = (low + high) / 2;
    return [
      {
        device,
        kind,
        lamp: {
          id: device.id,
          // Diodes on a bar face down, as those of a panel do; a tube shines all round.
          form:
            kind.form === 'bulb' ? 'bulb' : kind.form === 'panel' || kind.light === 'led' ? 'panel' : 'tube',
          ...device.at,
          length: device.length,
          along: device.along,
          half: kind.half?.value ?? 1,
          uvIndex: middle,
          reference: 0.3,
          lumens: (kind.lumensPerWatt?.value ?? 0) * device.power * device.dim,
          light: kind.light ?? 'incandescent',
          radiant: kind.radiant.value * device.power * device.dim,
          passes: {
            uv: 1,
            light: open * (1 - 0.1 * under),
            heat: closed ? 0.5 : open * (1 - 0.4 * under),
          },
        },
        uv: middle > 0 ? { low: low / middle, high: high / middle } : { low: 1, high: 1 },
      },
    ];
  });
  return anchored(lit, design);
}

function anchored(lit: readonly Lit[], design: Design): readonly Lit[] {
  const { meter } = design.climate;
  if (!meter) return lit;
  const reckoned = uvSum(
    lit.map((it) => it.lamp),
    meter.at,
  );
  if (reckoned <= 0.02) return lit;
  const scale = meter.index / reckoned;
  return lit.map((it) => ({
    ...it,
    lamp: { ...it.lamp, uvIndex: it.lamp.uvIndex * scale },
    uv: { low: 1 - METER, high: 1 + METER },
  }));
}

export const uvSum = (lamps: readonly Lamp[], { x, y, z }: Point3): number =>
  lamps.reduce((sum, lamp) => sum + uvFrom(lamp, x, y, z), 0);

/** UV index at a place as a range: low, middle, high. */
export function uvAt(
  lit: readonly Lit[],
  place: Point3,
): readonly [low: number, middle: number, high: number] {
  let [low, middle, high] = [0, 0, 0];
  for (const { lamp, uv } of lit) {
    const index = uvFrom(lamp, place.x, place.y, place.z);
    low += index * uv.low;
    middle += index;
    high += index * uv.high;
  }
  return [low, middle, high];
}
