import type { Room, Stage, Enclosure, Design, Point } from '../document/schema';
import { type Edit, inBrief, MAX, inLayers, inGround, NO_CATALOGUE } from './shared';
import { clamp } from '../physics/constants';

export const rename: Edit<{ name: string }> = (design, { name }) => {
  const trimmed = name.trim().slice(0, 80);
  return trimmed === '' ? design : { ...design, name: trimmed };
};

export const setAnimal: Edit<{ animal: string | null }> = (design, change) => inBrief(design, change);

export const setCount: Edit<{ count: number }> = (design, { count }) =>
  inBrief(design, { count: clamp(Math.round(count), 1, 500) });

export const setRoom: Edit<Partial<Room>> = (design, change) =>
  inBrief(design, { room: { ...design.brief.room, ...change } });

export const setStage: Edit<{ stage: Stage; since: string | null }> = (design, change) =>
  inBrief(design, change);

export const setNote: Edit<{ note: string }> = (design, { note }) =>
  inBrief(design, { note: note.slice(0, 4000) });

export const setPutAway: Edit<{ putAway: boolean }> = (design, change) => inBrief(design, change);

export const setEnclosure: Edit<Partial<Enclosure>> = (design, change) => {
  const enclosure = { ...design.enclosure, ...change };
  return {
    ...fitFloor(design, clamp(enclosure.width, 0.05, MAX), clamp(enclosure.depth, 0.05, MAX)),
    enclosure: {
      ...enclosure,
      width: clamp(enclosure.width, 0.05, MAX),
      depth: clamp(enclosure.depth, 0.05, MAX),
      height: clamp(enclosure.height, 0.05, MAX),
      watertightHeight: clamp(enclosure.watertightHeight, 0, clamp(enclosure.height, 0.05, MAX)),
    },
  };
};

/** Regions, holes and tubes keep their place in the floor when the box changes size. */
function fitFloor(design: Design, width: number, depth: number): Design {
  const wide = width / design.enclosure.width;
  const deep = depth / design.enclosure.depth;
  const { regions, outlet } = design.ground;
  if (wide === 1 && deep === 1) return design;
  const at = ({ x, y }: Point): Point => ({ x: x * wide, y: y * deep });
  const moved = inLayers(design, (layer) =>
    layer.kind === 'barrier' && layer.holes.length > 0
      ? { ...layer, holes: layer.holes.map((hole) => ({ ...hole, ...at(hole) })) }
      : layer,
  );
  return inGround(moved, {
    regions: regions.map((region, index) => ({
      ...(moved.ground.regions[index] ?? region),
      outline: region.outline.map(at),
    })),
    outlet: outlet.kind === 'siphon' ? { ...outlet, at: at(outlet.at) } : outlet,
  });
}

/**
 * Stands the box on its short side, or back: width and height change places, and the lid becomes the front. What hangs in
 * it or over it goes with it: each device keeps its share of the way across and of the way up, one over the lid stays as
 * far over it, and none is longer than the box now is. Vents keep their share of the height.
 */
export const turnEnclosure: Edit<Record<never, never>> = (design) => {
  const { enclosure, climate } = design;
  const turned = setEnclosure(
    design,
    {
      width: enclosure.height,
      height: enclosure.width,
      stands: enclosure.stands === 'upright' ? 'on-end' : 'upright',
    } satisfies Partial<Enclosure>,
    NO_CATALOGUE,
  );
  const { width, depth, height } = turned.enclosure;
  const wide = width / enclosure.width;
  const tall = height / enclosure.height;
  const place = (at: { readonly x: number; readonly y: number; readonly z: number }) => ({
    ...at,
    x: at.x * wide,
    z: at.z > enclosure.height ? height + (at.z - enclosure.height) : at.z * tall,
  });
  return {
    ...turned,
    climate: {
      ...climate,
      devices: climate.devices.map((device) => {
        const room = device.along === 'x' ? width : depth;
        const length = Math.min(device.length, LONGEST * room);
        const at = place(device.at);
        const half = device.along === 'x' ? length / 2 : 0;
        return {
          ...device,
          length,
          at: { ...at, x: Math.min(width - half, Math.max(half, at.x)) },
          thermostat: device.thermostat && { ...device.thermostat, probe: place(device.thermostat.probe) },
          humidistat: device.humidistat && { ...device.humidistat, probe: place(device.humidistat.probe) },
        };
      }),
      vents: climate.vents.map((vent) => ({ ...vent, height: vent.height * tall })),
      meter: climate.meter && { ...climate.meter, at: place(climate.meter.at) },
    },
  };
};

/** Share of a box that a bar or tube may be long. */
const LONGEST = 0.95;
