import { burns } from '../climate/burns';
import { withinWalls } from '../climate/within';
import { findDeviceKind, type Animal, type Catalogue, type DeviceKind } from '../catalogue';
import { baskingPoint, warmPlace } from '../climate/basking';
import { clearOver, tooNear } from '../climate/clearance';
import type { Design, Device } from '../document/schema';
import { siteAt } from '../ground/bodies';
import { placePieces } from '../pieces/place';
import { clamp } from '../physics/constants';

/** What the search may turn: small changes of a design that hold for any box. All lengths m, temperatures °C. */

const mm = (value: number): number => Math.round(value * 1000) / 1000;

export const withClimate = (design: Design, change: Partial<Design['climate']>): Design => ({
  ...design,
  climate: { ...design.climate, ...change },
});
export const withDevices = (design: Design, ids: readonly string[], change: (it: Device) => Device): Design =>
  withClimate(design, {
    devices: design.climate.devices.map((it) => (ids.includes(it.id) ? change(it) : it)),
  });
export const withDevice = (design: Design, id: string, change: (it: Device) => Device): Design =>
  withDevices(design, [id], change);
export const without = (design: Design, ...ids: readonly string[]): Design =>
  withClimate(design, { devices: design.climate.devices.filter((it) => !ids.includes(it.id)) });

export const kindOf = (device: Device, catalogue: Catalogue): DeviceKind | undefined =>
  findDeviceKind(catalogue, device.kind);

/** A lamp that lights and warms a basking place. */
export const baskingLamp = (design: Design, catalogue: Catalogue): Device | undefined =>
  design.climate.devices.find((it) => {
    const kind = kindOf(it, catalogue);
    return kind?.heats && !kind.dark && kind.form === 'bulb' && it.power > 0;
  });

/** What warms the air of the box without light. */
export const darkHeaters = (design: Design, catalogue: Catalogue): readonly Device[] =>
  design.climate.devices.filter((it) => {
    const kind = kindOf(it, catalogue);
    return kind?.heats && kind.dark && kind.form !== 'mat' && kind.id !== 'water-heater' && it.power > 0;
  });

export const foggerOf = (design: Design, catalogue: Catalogue): Device | undefined =>
  design.climate.devices.find((it) => kindOf(it, catalogue)?.form === 'fogger');

/** A fan that changes the air; one that only stirs it is left alone. */
export const fanOf = (design: Design, catalogue: Catalogue): Device | undefined =>
  design.climate.devices.find((it) => kindOf(it, catalogue)?.form === 'fan' && it.kind !== 'fan-stirring');

/** Lamps for plants: light without much warmth and without UV. */
export const plantLights = (design: Design, catalogue: Catalogue): readonly Device[] =>
  design.climate.devices.filter((it) => {
    const kind = kindOf(it, catalogue);
    return kind?.group === 'light' && !kind.heats && (kind.lumensPerWatt?.value ?? 0) > 20;
  });

/** Where a probe measures what the animal is judged by: in the branches for climbers, near the ground for others. */
export function judgedPlace(design: Design, animal: Animal, side: 'warm' | 'cool'): Device['at'] {
  const { width, depth, height } = design.enclosure;
  const right = (design.scape.warm === 'right') === (side === 'warm');
  const x = mm(width * (right ? 0.75 : 0.25));
  // Not where it basks: there a probe would read the stone.
  const spot = baskingSpot(design);
  const y = mm(Math.abs(spot.y - depth * 0.25) > Math.abs(spot.y - depth * 0.75) ? depth * 0.2 : depth * 0.8);
  const ground = siteAt(design).groundAt(x, y);
  const climbs = animal.life.value === 'climbing' && side === 'warm';
  return { x, y, z: mm(climbs ? ground + (height - ground) * 0.72 : Math.min(height - 0.02, ground + 0.05)) };
}

/** Id no device has yet. */
export function freeId(design: Design): string {
  const taken = new Set(design.climate.devices.map((it) => it.id));
  let n = design.climate.devices.length + 1;
  while (taken.has(`device-${n}`)) n += 1;
  return `device-${n}`;
}

/** Over the lid, or under it where nothing shines through it. */
export const overOf = ({ enclosure }: Design): number =>
  enclosure.top === 'solid' || enclosure.build === 'walk-in'
    ? mm(enclosure.height - 0.05)
    : mm(enclosure.height + 0.04);

/** m over the floor up to which a lamp may be hung: on a stand over a lid, under a closed top never through it. */
export const mostOver = ({ enclosure }: Design): number =>
  enclosure.top === 'solid' ? mm(enclosure.height - 0.05) : enclosure.height + 0.45;

export function fitted(design: Design, kind: DeviceKind, told: Partial<Device> & Pick<Device, 'at'>): Device {
  const { width, depth, height } = design.enclosure;
  const alike = design.climate.devices.filter((it) => it.kind === kind.id).length;
  const device: Device = {
    id: freeId(design),
    name: alike > 0 ? `${kind.name} ${alike + 1}` : kind.name,
    kind: kind.id,
    length: Math.min(kind.length, Math.max(width, depth)),
    along: 'x',
    power: kind.powers[0] ?? 0,
    dim: 1,
    timer: { by: 'day' },
    thermostat: null,
    humidistat: null,
    duty: null,
    since: null,
    tank: null,
    guarded: false,
    ...told,
    at: {
      x: mm(clamp(told.at.x, 0, width)),
      y: mm(clamp(told.at.y, 0, depth)),
      z: mm(clamp(told.at.z, 0, height + 0.5)),
    },
  };
  const within = withinWalls(design.enclosure, device, kind.form);
  return { ...within, guarded: within.guarded || burns(design.enclosure, within, kind) };
}

export const withNew = (design: Design, device: Device): Design =>
  withClimate(design, { devices: [...design.climate.devices, device] });

/** Where the animal basks: the upper side of what it lies on, else the ground under the warm place. */
export function baskingSpot(design: Design): Device['at'] {
  const { width, depth } = design.enclosure;
  const site = siteAt(design);
  const warm = warmPlace(width, design.scape.warm);
  const chosen = placePieces(design.scape.pieces, site).find(({ piece }) => piece.basking);
  if (chosen) {
    const { x, y, z } = baskingPoint(chosen, warm, site.groundAt);
    return { x: mm(x), y: mm(y), z: mm(z) };
  }
  return { x: mm(warm), y: mm(depth / 2), z: mm(site.groundAt(warm, depth / 2)) };
}

/** As high as a hot lamp must hang to keep clear of all that stands under it and could burn; null: there is no room. */
export function clearHeight(
  design: Design,
  at: { readonly x: number; readonly y: number },
  clear: number,
  most: number,
): number | null {
  const least = clearOver(placePieces(design.scape.pieces, siteAt(design)), at, clear);
  return least > most ? null : mm(least);
}

/** Lamps that hang too near to what burns or melts. */
export function lampsTooNear(design: Design, catalogue: Catalogue): number {
  const pieces = placePieces(design.scape.pieces, siteAt(design));
  return design.climate.devices.filter((it) => tooNear(design, it, pieces, catalogue) !== null).length;
}
