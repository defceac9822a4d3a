import { grownIn } from '../brief';
import { arrangeClimate } from '../climate/arrange';
import { firstThermostat, probeInAir } from '../climate/controlled';
import { mistBy, nozzleRate, nozzlesOf } from '../climate/misting';
import { burns } from '../climate/burns';
import { withinWalls } from '../climate/within';
import { findDeviceKind, type Catalogue } from '../catalogue';
import { boundsOf } from '../ground/floor';
import { layGround } from '../ground/layers';
import { fitUv } from '../fitting/fitUv';
import {
  monthsOf,
  MOST_SEASONS,
  type Climate,
  type ClimateRoom,
  type Design,
  type Device,
  type SeasonSettings,
  type Vent,
} from '../document/schema';
import { nextId, type Edit } from './shared';
import { clamp } from '../physics/constants';

const inClimate = (design: Design, change: Partial<Climate>): Design => ({
  ...design,
  climate: { ...design.climate, ...change },
});

const inDevice = (design: Design, id: string, change: (it: Device) => Device): Design =>
  inClimate(design, { devices: design.climate.devices.map((it) => (it.id === id ? change(it) : it)) });

/** Within the box and the half metre over it. */
const placed = (design: Design, at: Device['at']): Device['at'] => {
  const { width, depth, height } = design.enclosure;
  const mm = (value: number): number => Math.round(value * 1000) / 1000;
  return {
    x: mm(clamp(at.x, 0, width)),
    y: mm(clamp(at.y, 0, depth)),
    z: mm(clamp(at.z, 0, height + 0.5)),
  };
};

export const setClimateRoom: Edit<Partial<ClimateRoom>> = (design, change) =>
  inClimate(design, { room: { ...design.climate.room, ...change } });

/** Hours of light, light at night, mist, gauze, filling, falls, meter: what belongs to no single device. */
export const setClimate: Edit<Partial<Omit<Climate, 'room' | 'devices' | 'vents'>>> = (design, change) =>
  inClimate(design, change);

/** Soil over a mat that does not keep its heat in, m (common practice: a shallow dry bay). */
const SHALLOW = 0.05;

/** Middle and width of the shallowest region a mat goes under; null: there is none. */
function shallowBay({
  ground,
}: Design): { readonly x: number; readonly y: number; readonly width: number } | null {
  const bays = ground.regions.flatMap((region) => {
    if (region.replaces === 'topping') return [];
    const deep = region.layers.reduce(
      (sum, it) => ('thickness' in it ? sum + Math.max(...Object.values(it.thickness)) : sum),
      0,
    );
    const wet = region.layers.some((it) => it.kind === 'water');
    return deep <= SHALLOW && !wet ? [{ region, deep }] : [];
  });
  const [first] = bays.sort((a, b) => a.deep - b.deep);
  if (!first) return null;
  const { x0, x1, y0, y1 } = boundsOf(first.region.outline);
  return { x: (x0 + x1) / 2, y: (y0 + y1) / 2, width: x1 - x0 };
}

/** Puts a device where its kind usually hangs, or lies. */
export const addDevice: Edit<{ kind: string; at?: Device['at'] }> = (design, { kind, at }, catalogue) => {
  const row = findDeviceKind(catalogue, kind);
  const { devices } = design.climate;
  if (!row || devices.length >= 40) return design;
  const { width, depth, height, top } = design.enclosure;
  const warmX = design.scape.warm === 'right' ? width * 0.75 : width * 0.25;
  const over = top === 'solid' || design.enclosure.build === 'walk-in' ? height - 0.05 : height + 0.04;
  const bay = row.form === 'mat' ? shallowBay(design) : null;
  const usual: Record<typeof row.form, Device['at']> = {
    tube: { x: width / 2, y: depth / 2, z: over },
    panel: { x: width / 2, y: depth / 2, z: over },
    bulb: { x: warmX, y: depth / 2, z: over },
    // Where the ground is shallow, if there is such a place: deep soil keeps its heat in.
    mat: { ...(bay ?? { x: warmX, y: depth / 2 }), z: 0 },
    cable: { x: warmX, y: depth / 2, z: 0 },
    heater: { x: warmX, y: depth * 0.8, z: 0.05 },
    nozzle: { x: width / 2, y: depth * 0.4, z: height - 0.02 },
    sprayer: { x: width / 2, y: depth * 0.2, z: height - 0.02 },
    fogger: { x: width - warmX, y: depth * 0.8, z: height * 0.5 },
    fan: { x: width / 2, y: depth, z: height - 0.05 },
  };
  const alike = devices.filter((it) => it.kind === kind).length;
  const spot = placed(design, at ?? usual[row.form]);
  const device: Device = {
    id: nextId('device', devices),
    name: alike > 0 ? `${row.name} ${alike + 1}` : row.name,
    kind,
    at: spot,
    length: Math.min(row.length, bay && !at ? Math.max(0.1, bay.width) : Math.max(width, depth)),
    along: 'x',
    power: row.powers[0] ?? 0,
    dim: 1,
    timer:
      row.form === 'nozzle'
        ? { by: 'clock', spans: [] }
        : row.dark && row.heats
          ? { by: 'always' }
          : row.id === 'moon-strip' || row.id === 'red-bulb'
            ? { by: 'night' }
            : { by: 'day' },
    thermostat: row.heats ? firstThermostat(design, { kind, at: spot }, catalogue) : null,
    humidistat: row.form === 'fogger' ? { day: 0.75, night: 0.85, probe: probeInAir(design, 0.5) } : null,
    duty: null,
    since: null,
    tank: null,
    guarded: false,
  };
  const fitted = inClimate(design, {
    devices: [
      ...devices,
      { ...withinWalls(design.enclosure, device, row.form), guarded: burns(design.enclosure, device, row) },
    ],
  });
  // The first nozzle brings its pump and its bottle, and takes over what was misted by hand.
  return row.form === 'nozzle' && nozzlesOf(design, catalogue).length === 0
    ? inClimate(fitted, mistBy(design.climate, 'nozzles', nozzleRate(fitted, catalogue)))
    : fitted;
};

export const setDevice: Edit<{ device: string; change: Partial<Omit<Device, 'id' | 'at'>> }> = (
  design,
  { device, change },
  catalogue,
) =>
  inDevice(design, device, (it) => {
    const next = {
      ...it,
      ...change,
      name: change.name?.trim().slice(0, 80) || it.name,
      dim: clamp(change.dim ?? it.dim, 0, 1),
      power: clamp(change.power ?? it.power, 0, 5000),
    };
    return change.length === undefined && change.along === undefined ? next : inside(design, next, catalogue);
  });

/** Whatever is long stays within the walls: it is moved along them, turned or shortened. */
const inside = (design: Design, it: Device, catalogue: Catalogue): Device =>
  withinWalls(design.enclosure, it, findDeviceKind(catalogue, it.kind)?.form ?? '');

export const moveDevice: Edit<{ device: string; to: Device['at'] }> = (design, { device, to }, catalogue) =>
  inDevice(design, device, (it) => {
    const moved = inside(design, { ...it, at: placed(design, to) }, catalogue);
    const kind = findDeviceKind(catalogue, it.kind);
    // What is brought inside comes with its guard.
    const comesIn = kind && burns(design.enclosure, moved, kind) && !burns(design.enclosure, it, kind);
    return comesIn ? { ...moved, guarded: true } : moved;
  });

/** Takes a device out, of every season too; with the last nozzle its pump and bottle go, and the mist comes by hand. */
export const removeDevice: Edit<{ device: string }> = (design, { device }, catalogue) => {
  const taken = inClimate(design, {
    devices: design.climate.devices.filter((it) => it.id !== device),
    seasons: design.climate.seasons.map((it) => ({
      ...it,
      devices: it.devices.filter((own) => own.device !== device),
    })),
  });
  return nozzlesOf(design, catalogue).length > 0 && nozzlesOf(taken, catalogue).length === 0
    ? inClimate(taken, mistBy(taken.climate, 'hand', nozzleRate(design, catalogue)))
    : taken;
};

/** A vent low or high in a wall. */
export const addVent: Edit<{ wall: Vent['wall']; where: 'low' | 'high' }> = (design, { wall, where }) => {
  const { vents, topGauze } = design.climate;
  if (vents.length >= 12) return design;
  const { width, height } = design.enclosure;
  const vent: Vent = {
    id: nextId('vent', vents),
    wall,
    height: where === 'low' ? Math.min(height, 0.45 * height) : Math.max(0, height - 0.04),
    area: Math.round(width * 0.03 * 1e4) / 1e4,
    gauze: topGauze,
  };
  return inClimate(design, { vents: [...vents, vent] });
};

export const setVent: Edit<{ vent: string; change: Partial<Omit<Vent, 'id'>> }> = (
  design,
  { vent, change },
) =>
  inClimate(design, {
    vents: design.climate.vents.map((it) =>
      it.id === vent
        ? {
            ...it,
            ...change,
            area: clamp(change.area ?? it.area, 0, 4),
            height: clamp(change.height ?? it.height, 0, design.enclosure.height),
          }
        : it,
    ),
  });

export const removeVent: Edit<{ vent: string }> = (design, { vent }) =>
  inClimate(design, { vents: design.climate.vents.filter((it) => it.id !== vent) });

/** What a search found: cover, strips, devices and their settings, mist and hours of light, all in one step. */
export interface FoundClimate {
  readonly topCover: number;
  readonly made: Design['enclosure']['made'];
  readonly climate: Pick<Climate, 'devices' | 'vents' | 'mist' | 'day' | 'seasons'>;
}

export const foundIn = ({ enclosure, climate }: Design): FoundClimate => ({
  topCover: enclosure.topCover,
  made: enclosure.made,
  climate: {
    devices: climate.devices,
    vents: climate.vents,
    mist: climate.mist,
    day: climate.day,
    seasons: climate.seasons,
  },
});

export const adoptFound: Edit<FoundClimate> = (design, { topCover, made, climate }) => ({
  ...inClimate(design, climate),
  enclosure: { ...design.enclosure, topCover: clamp(topCover, 0, 1), made },
});

/** Adds a part of the year with settings of its own, or changes it; months that another part holds already stay with that. */
export const setSeason: Edit<SeasonSettings> = (design, season) => {
  const { seasons } = design.climate;
  const others = seasons.filter((it) => it.id !== season.id);
  const taken = new Set(others.flatMap(monthsOf));
  if (monthsOf(season).some((it) => taken.has(it)) || others.length >= MOST_SEASONS) return design;
  return inClimate(design, {
    seasons:
      others.length === seasons.length
        ? [...seasons, season]
        : seasons.map((it) => (it.id === season.id ? season : it)),
  });
};

export const removeSeason: Edit<{ season: string }> = (design, { season }) =>
  inClimate(design, { seasons: design.climate.seasons.filter((it) => it.id !== season) });

/** Fits everything afresh for the animal; the room stays as it is. */
export const proposeClimate: Edit<Record<never, never>> = (design, _, catalogue) => {
  const animal = grownIn(design, catalogue);
  const laid = { ...design, climate: arrangeClimate(design, animal, catalogue) };
  // A tube by rule of thumb is seldom in the zone: one that is takes its place.
  return animal ? (fitUv(laid, animal, layGround(laid, catalogue), catalogue)?.design ?? laid) : laid;
};

export const clearDevices: Edit<Record<never, never>> = (design) => inClimate(design, { devices: [] });
