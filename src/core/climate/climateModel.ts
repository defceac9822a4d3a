import { factorsOf } from './calibrated';
import { findDeviceKind, type Catalogue, type DeviceKind } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { isGauze } from '../enclosure/shell';
import { siteOf } from '../ground/bodies';
import type { GroundResult } from '../ground/layers';
import { placeLayers } from '../ground/placedLayers';
import { cavityOf } from '../light/cavity';
import { PATCHES } from '../light/rays';
import { WATER_DENSITY } from '../physics/constants';
import { leavesOf } from '../pieces/growth';
import type { Placed } from '../pieces/place';
import { pressureAt } from './air';
import { baskingPoint, warmPlace } from './basking';
import type {
  BoxModel,
  Cell,
  CellModel,
  ChamberModel,
  Column,
  ColumnModel,
  ControlModel,
  FanModel,
  HeaterModel,
  Probe,
  WetterModel,
} from './box';
import { cellModel } from './cells';
import { columnModel, samplesOf } from './columns';
import { lampsOf, type Lit } from './lamps';
import { exchangeOf } from './openings';
import { chamberOf } from './hides';
import { sceneOf } from './scene';
import { aroundOf, fogTargets, heatTargets, waterTargets } from './sharing';
import { sprayOf } from './spray';
import { A_PULL } from './misting';
import { jugsOf } from './watering';

/** A design as the engine takes it, with what the screens need to point back at it. */
export interface ClimateModel {
  readonly box: BoxModel;
  readonly lit: readonly Lit[];
  /** Devices in the order of the model's lists; null: mist by the keeper's hand. Jugs come after all wetters. */
  readonly heaterDevices: readonly Device[];
  readonly wetterDevices: readonly (Device | null)[];
  readonly fanDevices: readonly Device[];
  /** Where the warmest place under the lamps is, m. */
  readonly basking: {
    readonly x: number;
    readonly y: number;
    readonly z: number;
    readonly column: Column;
  } | null;
  /** Mean ground of both columns and where the tiers meet, m above the floor. */
  readonly groundHeight: readonly [number, number];
  readonly tierHeight: number;
  /** kg of water kept in the bed. */
  readonly bedFull: number;
  /** Openings for air, for those who look at them. */
  readonly openings: { readonly low: number; readonly high: number; readonly top: number };
}

/** Share of the floor leaves cover, each side counted once, until plants are chosen: by stage (from memory). */
const LEAVES: Record<Design['brief']['stage'], number> = {
  planned: 1,
  building: 1,
  curing: 0.4,
  'growing-in': 1,
  inhabited: 1.5,
};

/** Heat and water of a design as numbers for the engine. */
export function climateModelOf(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  today: string | null = null,
): ClimateModel {
  const { enclosure: shape, scape } = design;
  const { width, depth, height } = shape;
  const laid = placeLayers(design);
  const site = siteOf(design, laid.stackAt);
  const columnAt = (x: number): Column => (x >= width / 2 === (scape.warm === 'right') ? 0 : 1);
  const samples = samplesOf(design, laid.stackAt, columnAt);
  const pieces = ground.pieces;
  const highest = Math.max(0, ...samples.map((it) => Math.max(it.top, it.foot + it.water))) + 0.02;
  const half = (width / 2) * depth;

  const groundHeight = ([0, 1] as const).map((column) => {
    const own = samples.filter((it) => it.column === column);
    return (
      own.reduce((sum, it) => sum + Math.max(it.top, it.water > 0 ? it.foot + it.water : 0), 0) /
      Math.max(1, own.length)
    );
  }) as [number, number];
  const middle = (groundHeight[0] + groundHeight[1]) / 2;
  const tierHeight = Math.min(height - 0.02, middle + Math.max(0.03, (height - middle) * 0.45));
  const cellAt = (x: number, z: number): Cell => (columnAt(x) * 2 + (z < tierHeight ? 0 : 1)) as Cell;

  const lit = lampsOf(design, catalogue, today);
  const basking = baskingPlace(design, pieces, lit, site.groundAt, columnAt);
  const drainage = ground.layers.filter((it) => it.layer.kind === 'drainage');
  const bedFull = drainage.reduce((sum, it) => sum + it.placed * (it.voids ?? 0.4), 0) * WATER_DENSITY;
  const floorHeight = Math.max(0, Math.min(middle, height - 0.03));
  const sky = skyOf(design, cavityOf({ width, depth, floor: floorHeight, tier: tierHeight, height }));
  const columns = ([0, 1] as const).map((column) =>
    columnModel({
      design,
      column,
      samples: samples.filter((it) => it.column === column),
      pieces,
      catalogue,
      half,
      columnAt,
      basks: basking?.column ?? null,
      bedFull,
      sky,
    }),
  ) as [ColumnModel, ColumnModel];
  // Before plants are chosen, a moist box is taken to be planted as its stage lets it be, a dry one to be bare.
  const planted = leavesOf(design, catalogue) / (width * depth);
  const leafy = planted > 0 ? planted : columns[0].start[0] > 0.12 ? LEAVES[design.brief.stage] : 0;
  const cells = ([0, 1, 2, 3] as const).map((cell) =>
    cellModel({ design, cell, groundHeight, tierHeight, pieces, columnAt, leafy, catalogue }),
  ) as [CellModel, CellModel, CellModel, CellModel];
  const { exchange, openings } = exchangeOf(design, catalogue, Math.max(...groundHeight));
  const around = aroundOf({
    design,
    catalogue,
    scene: sceneOf({ design, groundHeight, tierHeight, cells, pieces }),
    columns,
    cells,
    tierHeight,
  });

  const heaters: HeaterModel[] = [];
  const heaterDevices: Device[] = [];
  const wetters: WetterModel[] = [];
  const wetterDevices: (Device | null)[] = [];
  const fans: FanModel[] = [];
  const fanDevices: Device[] = [];
  const probeAt = (at: Device['at'], kind: DeviceKind): Probe => {
    const column = columnAt(at.x);
    if (kind.id === 'water-heater') return { at: 'pool', column };
    if (basking && Math.hypot(at.x - basking.x, at.y - basking.y, at.z - basking.z) < 0.06)
      return { at: 'spot', column: basking.column };
    if (at.z <= 0.02 && (kind.form === 'mat' || kind.form === 'cable')) return { at: 'bed', column };
    if (at.z <= site.groundAt(at.x, at.y) + 0.012) return { at: 'soil', column };
    return { at: 'air', cell: cellAt(at.x, at.z) };
  };
  const heldBy = (device: Device, kind: DeviceKind): ControlModel | null =>
    device.thermostat && {
      probe: probeAt(device.thermostat.probe, kind),
      day: device.thermostat.day,
      night: device.thermostat.night,
      band: device.thermostat.kind === 'on-off' ? 1 : 2,
      lag: 60,
      acts: 1,
    };
  const dampBy = (device: Device, acts: 1 | -1): ControlModel | null =>
    device.humidistat && {
      probe: { at: 'humidity', cell: cellAt(device.humidistat.probe.x, device.humidistat.probe.z) },
      day: device.humidistat.day,
      night: device.humidistat.night,
      band: 0.06,
      // The duty that holds the air, not the cycling about it: a probe that lags by minutes swings a small box to and fro.
      lag: 5,
      acts,
    };
  let stir = 0;
  for (const device of design.climate.devices) {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind) continue;
    const cell = cellAt(device.at.x, device.at.z);
    if (kind.form === 'fan') {
      if (kind.id === 'fan-stirring') stir = 0.05;
      else {
        fans.push({
          id: device.id,
          flow: (kind.flow?.value ?? 0) * device.dim * 0.6,
          control: dampBy(device, -1),
        });
        fanDevices.push(device);
      }
      continue;
    }
    if (kind.water) {
      const spray = kind.spray && sprayOf(device.at, kind.spray.value, shape, site, pieces, highest);
      wetters.push({
        id: device.id,
        rate: kind.water.value * device.dim,
        targets: spray
          ? waterTargets(around, [spray], kind.id === 'nozzle-fine')
          : fogTargets(around, device.at),
        control: kind.form === 'fogger' ? dampBy(device, 1) : null,
        // A fogger stands in a bottle of its own.
        bottle: kind.form === 'nozzle' ? 'bottle' : null,
        ...(kind.tank ? { tank: (device.tank ?? kind.tank.value) * WATER_DENSITY } : {}),
      });
      wetterDevices.push(device);
      if (device.power === 0) continue;
    }
    if (device.power > 0 && device.dim > 0 && !kind.water) {
      heaters.push({
        id: device.id,
        power: device.power * device.dim,
        targets: heatTargets({
          around,
          device,
          kind,
          cell,
          column: columnAt(device.at.x),
          basking,
          lit,
        }),
        control: heldBy(device, kind),
      });
      heaterDevices.push(device);
    }
  }
  const sprayers = wetterDevices.filter(
    (it) => it && (it.kind === 'hand-sprayer' || findDeviceKind(catalogue, it.kind)?.form === 'nozzle'),
  );
  if (sprayers.length === 0 && design.climate.mist.times.length > 0) {
    // The hand goes along the front.
    const hand = HAND.places.map((part) =>
      sprayOf({ x: width * part, y: depth * 0.2, z: height - 0.02 }, HAND.half, shape, site, pieces, highest),
    );
    wetters.push({
      id: 'hand',
      rate: HAND.rate,
      targets: waterTargets(around, hand, false),
      control: null,
      bottle: null,
    });
    wetterDevices.push(null);
  }
  wetters.push(...jugsOf(design.climate, columns));

  const bedWater =
    ground.layers.reduce((sum, it) => sum + (it.layer.kind === 'drainage' ? it.water : 0), 0) * WATER_DENSITY;
  const { outlet } = design.ground;
  const deepest = drainage.reduce((most, it) => Math.max(most, ...Object.values(it.top)), 0);
  const flooded = design.ground.method === 'full-water';
  return {
    box: {
      pressure: pressureAt(design.climate.room.altitude),
      cells,
      columns,
      exchange: { ...exchange, stir },
      reservoir: {
        takes: flooded ? 'pool' : drainage.length > 0 ? 'bed' : 'nowhere',
        start: flooded ? 0 : bedWater,
        full: flooded || bedFull === 0 ? 1e6 : bedFull,
        drain: outlet.kind === 'drain' && deepest > 0 ? bedFull * Math.min(1, outlet.height / deepest) : null,
      },
      heaters,
      wetters,
      fans,
      chambers: pieces
        .flatMap((placed): ChamberModel[] => {
          const { foot, bounds } = placed.solid;
          const chamber = chamberOf(placed, cellAt(foot.x, (bounds.z0 + bounds.z1) / 2));
          return chamber && chamber.wet > 0 ? [chamber] : [];
        })
        .slice(0, MOST_CHAMBERS),
      factors: factorsOf(design),
    },
    lit,
    heaterDevices,
    wetterDevices,
    fanDevices,
    basking,
    groundHeight,
    tierHeight,
    bedFull,
    openings,
  };
}

/** Places along the front a sprayer is held, half of its cone, radians, and kg/s of its pulls (from memory). */
const HAND = { places: [1 / 4, 3 / 4], half: 0.9, rate: A_PULL } as const;
/** Moist hides that are followed as cells of their own. */
const MOST_CHAMBERS = 4;

/** Share of what the ground sees that is room: open lid and gauze walls, by view. */
function skyOf(design: Design, cavity: ReturnType<typeof cavityOf>): number {
  const { top, topCover } = design.enclosure;
  const open = (patch: number): number => {
    if (patch < 2) return 0;
    if (patch < 4) return top === 'solid' ? 0 : 1 - topCover;
    const wall = patch < 6 ? 'left' : patch < 8 ? 'right' : patch < 12 ? 'front' : 'back';
    return isGauze(design.enclosure, wall) ? 1 : 0;
  };
  let sum = 0;
  for (let ground = 0; ground < 2; ground += 1)
    for (let patch = 0; patch < PATCHES; patch += 1)
      sum += 0.5 * (cavity.views[ground * PATCHES + patch] ?? 0) * open(patch);
  return Math.min(1, sum);
}

function baskingPlace(
  design: Design,
  pieces: readonly Placed[],
  lit: readonly Lit[],
  groundAt: (x: number, y: number) => number,
  columnAt: (x: number) => Column,
): ClimateModel['basking'] {
  const chosen = pieces.find(({ piece }) => piece.basking);
  if (chosen) {
    const at = baskingPoint(chosen, warmPlace(design.enclosure.width, design.scape.warm), groundAt);
    return { ...at, column: columnAt(at.x) };
  }
  const strongest = [...lit].filter((it) => it.kind.heats).sort((a, b) => b.lamp.radiant - a.lamp.radiant)[0];
  if (!strongest) return null;
  const x = Math.min(design.enclosure.width, Math.max(0, strongest.lamp.x));
  const y = Math.min(design.enclosure.depth, Math.max(0, strongest.lamp.y));
  return { x, y, z: groundAt(x, y), column: columnAt(x) };
}

/** Whether a wetter of a model stops with the power: a hand at the sprayer and a jug need no plug. */
export const isPlugged = ({ wetterDevices }: Pick<ClimateModel, 'wetterDevices'>, wetter: number): boolean =>
  (wetterDevices[wetter] ?? null) !== null;
