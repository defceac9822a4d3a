import {
  findBackgroundKind,
  findDeviceKind,
  findGauze,
  materialOf,
  type Catalogue,
  type DeviceKind,
} from '../catalogue';
import type { Design, Device } from '../design/schema';
import { siteOf } from '../ground/bodies';
import { heightAt } from '../ground/floor';
import type { GroundResult } from '../ground/layers';
import { layAll, type Lying } from '../ground/lying';
import { blendOf, SQUEEZE, type Blend } from '../ground/water';
import { normalise } from '../ground/parts';
import { heatFrom, type Lamp } from '../light/field';
import type { Placed } from '../scape/place';
import { pressureAt } from './air';
import { baskingPoint, warmPlace } from './basking';
import type {
  BoxModel,
  Cell,
  CellModel,
  Column,
  ColumnModel,
  ControlModel,
  FanModel,
  HeaterModel,
  Probe,
  SoilNode,
  Target,
  WetterModel,
} from './box';
import { lampsOf, overLid, type Lit } from './lamps';
import { sprayOf } from './spray';
import { stackLaw, type Gauze, type Opening } from './vents';
import { letsThrough, WALL_STUFF } from './walls';

/** A design as the engine takes it, with what the screens need to point back at it. */
export interface Outfit {
  readonly box: BoxModel;
  readonly lit: readonly Lit[];
  /** Devices in the order of the model's lists; null: mist by the keeper's hand. */
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

const WATER = 998;
/** Share of the floor leaves cover, each side counted once, until plants are chosen: by stage (from memory). */
const LEAVES: Record<Design['brief']['stage'], number> = {
  planned: 1,
  building: 1,
  curing: 0.4,
  'growing-in': 1,
  inhabited: 1.5,
};

interface Sample {
  readonly x: number;
  readonly y: number;
  readonly column: Column;
  readonly soil: number;
  readonly top: number;
  readonly foot: number;
  readonly bed: number;
  readonly water: number;
  readonly litter: number;
  readonly lying: readonly Lying[];
}

const GRID = [12, 8] as const;

/** Heat and water of a design as numbers for the engine. */
export function outfitOf(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  today: string | null = null,
): Outfit {
  const { enclosure: shape, scape } = design;
  const { width, depth, height } = shape;
  const laid = layAll(design);
  const site = siteOf(design, laid.stackAt);
  const columnAt = (x: number): Column => (x >= width / 2 === (scape.warm === 'right') ? 0 : 1);
  const samples = samplesOf(design, laid.stackAt, columnAt);
  const pieces = ground.pieces;
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
  const columns = ([0, 1] as const).map((column) =>
    columnModel({
      design,
      column,
      samples: samples.filter((it) => it.column === column),
      pieces,
      catalogue,
      half,
      columnAt,
      basking,
    }),
  ) as [ColumnModel, ColumnModel];
  const dampness = columns[0].soil[0].rest;
  const leafy = dampness > 0.12 ? LEAVES[design.brief.stage] : 0.15;
  const cells = ([0, 1, 2, 3] as const).map((cell) =>
    cellModel({ design, cell, groundHeight, tierHeight, pieces, columnAt, leafy, catalogue }),
  ) as [CellModel, CellModel, CellModel, CellModel];
  const { exchange, openings } = exchangeOf(design, catalogue, Math.max(...groundHeight));

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
      lag: 90,
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
      const spray = kind.spray && sprayOf(device.at, kind.spray.value, shape, site, pieces);
      wetters.push({
        id: device.id,
        rate: kind.water.value * device.dim,
        targets: spray
          ? wets(spray.shares, cell, columnAt(device.at.x), columns, cells, kind)
          : [{ to: 'air', cell, share: 1 }],
        control: kind.form === 'fogger' ? dampBy(device, 1) : null,
        bottle: 'bottle',
      });
      wetterDevices.push(device);
      if (device.power === 0) continue;
    }
    if (device.power > 0 && device.dim > 0 && !kind.water) {
      heaters.push({
        id: device.id,
        power: device.power * device.dim,
        targets: warms({
          design,
          device,
          kind,
          cell,
          column: columnAt(device.at.x),
          basking,
          lit,
          columns,
          cells,
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
    const hand = sprayOf({ x: width / 2, y: depth * 0.2, z: height - 0.02 }, 0.9, shape, site, pieces);
    wetters.push({
      id: 'hand',
      rate: 0.0012,
      targets: [0, 1].flatMap((column) =>
        wets(hand.shares, (column * 2 + 1) as Cell, column as Column, columns, cells, null).map((it) => ({
          ...it,
          share: it.share / 2,
        })),
      ),
      control: null,
      bottle: null,
    });
    wetterDevices.push(null);
  }

  const bedWater =
    ground.layers.reduce((sum, it) => sum + (it.layer.kind === 'drainage' ? it.water : 0), 0) * WATER;
  const drainage = ground.layers.filter((it) => it.layer.kind === 'drainage');
  const bedFull = drainage.reduce((sum, it) => sum + it.placed * (it.voids ?? 0.4), 0) * WATER;
  const { outlet } = design.ground;
  const deepest = drainage.reduce((most, it) => Math.max(most, ...Object.values(it.top)), 0);
  const flooded = design.ground.method === 'full-water';
  const calibration = design.climate.calibration;
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
      factors: {
        exchange: calibration?.exchange ?? 1,
        wetness: calibration?.wetness ?? 1,
        gain: calibration?.gain ?? 1,
      },
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

function samplesOf(
  design: Design,
  stackAt: (x: number, y: number) => readonly Lying[],
  columnAt: (x: number) => Column,
): readonly Sample[] {
  const { width, depth } = design.enclosure;
  const samples: Sample[] = [];
  for (let i = 0; i < GRID[0]; i += 1) {
    for (let j = 0; j < GRID[1]; j += 1) {
      const x = (width * (i + 0.5)) / GRID[0];
      const y = (depth * (j + 0.5)) / GRID[1];
      const lying = stackAt(x, y);
      let [soil, bed, water, litter, top, foot] = [0, 0, 0, 0, 0, 0];
      for (const it of lying) {
        const low = heightAt(it.base, it.field, x, y);
        const high = heightAt(it.top, it.field, x, y);
        const thick = Math.max(0, high - low);
        if (it.layer.kind === 'substrate') {
          if (soil === 0) foot = low;
          soil += thick;
        } else if (it.layer.kind === 'drainage') bed += thick;
        else if (it.layer.kind === 'water') {
          water += thick;
          if (thick > 0) foot = low;
        } else if (it.layer.kind === 'litter' || it.layer.kind === 'moss') litter += thick;
        top = Math.max(top, high);
      }
      samples.push({ x, y, column: columnAt(x), soil, top, foot, bed, water, litter, lying });
    }
  }
  return samples;
}

/** Diffusion through litter: 2.5e-5 m²/s in air, porosity 0.9, tortuosity 0.64: about 2100 s/m for 3 cm. */
const LITTER_DIFFUSION = 2.5e-5 * 0.9 * 0.64;

const DEFAULT_BLEND: Blend = { porosity: 0.6, held: (suction) => 0.05 + 0.45 / (1 + (suction / 12) ** 0.9) };

interface ColumnAsked {
  readonly design: Design;
  readonly column: Column;
  readonly samples: readonly Sample[];
  readonly pieces: readonly Placed[];
  readonly catalogue: Catalogue;
  readonly half: number;
  readonly columnAt: (x: number) => Column;
  readonly basking: Outfit['basking'];
}

function columnModel({
  design,
  column,
  samples,
  pieces,
  catalogue,
  half,
  columnAt,
  basking,
}: ColumnAsked): ColumnModel {
  const per = half / Math.max(1, samples.length);
  const wet = samples.filter((it) => it.water > 0.003);
  const land = samples.filter((it) => it.water <= 0.003 && it.soil > 0.005);
  const mean = (of: (it: Sample) => number, over: readonly Sample[]): number =>
    over.length === 0 ? 0 : over.reduce((sum, it) => sum + of(it), 0) / over.length;
  const area = land.length * per;
  const soilDepth = Math.max(
    0.025,
    mean((it) => it.soil, land),
  );
  const bed = mean((it) => it.bed, samples);
  // The layers of a place in the middle stand for the column.
  const typical = land[Math.floor(land.length / 2)];
  const drained = design.ground.method !== 'none';
  const foot = mean((it) => it.foot, land);
  const datum = Math.max(0, drained ? design.ground.waterDepth - foot : 0);
  const deep = (soilDepth - 0.01) / 3;
  const thicknesses = [0.01, deep, deep, deep] as const;
  let from = soilDepth;
  const soil: SoilNode[] = [];
  const start: number[] = [];
  const moistShare = design.ground.moistShare;
  for (const thickness of thicknesses) {
    const level = from - thickness / 2;
    const layer = typical ? layerAtLevel(typical, level / soilDepth) : undefined;
    const mix = layer?.layer.kind === 'substrate' ? layer.layer.mix : undefined;
    const blend = (mix && blendOf(mix, catalogue)) ?? DEFAULT_BLEND;
    const dry = mix
      ? normalise(mix).reduce(
          (sum, part) => sum + part.share * materialOf(catalogue, part.material).density.value,
          0,
        )
      : 600;
    const rest = blend.held(Math.max(0, level - datum) * 100);
    const residual = Math.min(rest * 0.8, blend.held(15_000));
    const moist =
      drained || level / soilDepth <= moistShare
        ? Math.min(blend.held(SQUEEZE[design.ground.squeeze]), blend.porosity)
        : residual + 0.02;
    const begins = drained ? rest : moist;
    soil.push({
      thickness,
      rest,
      porosity: blend.porosity,
      residual,
      heat: Math.max(1e-4, area) * thickness * (dry * 1100 + begins * 4.18e6),
      conducts: [0.05 + (0.2 * dry) / 1500, 0.45 + (1.3 * dry) / 1500],
    });
    start.push(begins);
    from -= thickness;
  }
  const { enclosure } = design;
  const dishes = pieces.filter(
    ({ piece, solid }) => columnAt(solid.foot.x) === column && dishOf(piece.kind, catalogue),
  );
  const dishArea = dishes.reduce((sum, { solid }) => sum + solid.shades * 0.8, 0);
  const poolArea = wet.length * per + dishArea;
  const poolWater = (wet.reduce((sum, it) => sum + it.water, 0) * per + dishArea * 0.02) * WATER;
  const falls = pieces.reduce(
    (sum, { piece, solid }) =>
      piece.pump && columnAt(solid.foot.x) === column ? sum + Math.min(0.3, solid.surface * 0.4) : sum,
    0,
  );
  const floorArea = half;
  const t = enclosure.wallThickness;
  const stuff = enclosure.material === 'mesh' ? null : WALL_STUFF[enclosure.material];
  const floorSheets = [
    ...(stuff ? [{ thickness: t, conducts: stuff.conducts }] : []),
    { thickness: 0.018, conducts: 0.13 },
  ];
  const sideRun = enclosure.width / 2 + enclosure.depth + enclosure.width / 2;
  const litter = Math.min(
    0.05,
    mean((it) => it.litter, land),
  );
  return {
    area,
    soil: soil as [SoilNode, SoilNode, SoilNode, SoilNode],
    start: start as [number, number, number, number],
    litter: litter / LITTER_DIFFUSION,
    sides: stuff ? letsThrough([{ thickness: t, conducts: stuff.conducts }]) * sideRun * deep * 0.5 : 0.5,
    bed: {
      heat: floorArea * (Math.max(0.005, bed) * 1.4e6 + (stuff ? t * stuff.density * stuff.heat : 5000)),
      toSoil: area / (bed > 0 ? bed / 0.35 + 0.01 : 0.02),
      down: floorArea * letsThrough(floorSheets, 'down'),
    },
    pool: { area: poolArea, full: poolWater, toBed: poolArea * 30 },
    falls,
    spot: basking?.column === column ? { area: 0.02, heat: 0.02 * 0.012 * 1.6e6 } : { area: 0, heat: 0 },
  };
}

const dishOf = (kind: string, catalogue: Catalogue): boolean =>
  catalogue.scape.pieces.some(
    (it) =>
      it.id === kind && it.uses.some((use) => use === 'drink' || use === 'soak') && it.group !== 'stone',
  );

function layerAtLevel(sample: Sample, part: number): Lying | undefined {
  const soils = sample.lying.filter((it) => it.layer.kind === 'substrate');
  let left = part * sample.soil;
  for (const it of soils) {
    const thick =
      heightAt(it.top, it.field, sample.x, sample.y) - heightAt(it.base, it.field, sample.x, sample.y);
    if (left <= thick) return it;
    left -= thick;
  }
  return soils.at(-1);
}

interface CellAsked {
  readonly design: Design;
  readonly cell: Cell;
  readonly groundHeight: readonly [number, number];
  readonly tierHeight: number;
  readonly pieces: readonly Placed[];
  readonly columnAt: (x: number) => Column;
  readonly leafy: number;
  readonly catalogue: Catalogue;
}

function cellModel({
  design,
  cell,
  groundHeight,
  tierHeight,
  pieces,
  columnAt,
  leafy,
  catalogue,
}: CellAsked): CellModel {
  const { width, depth, height, material, wallThickness, screened, top, topCover } = design.enclosure;
  const column = (cell >> 1) as Column;
  const canopy = (cell & 1) === 1;
  const from = canopy ? tierHeight : groundHeight[column];
  const to = canopy ? height : tierHeight;
  const tall = Math.max(0.01, to - from);
  const floor = (width / 2) * depth;
  const warmRight = design.scape.warm === 'right';
  const outer = (column === 0) === warmRight ? 'right' : 'left';
  const walls = [
    { wall: outer, run: depth },
    { wall: 'back', run: width / 2 },
    { wall: 'front', run: width / 2 },
  ].filter(({ wall }) => material !== 'mesh' && !screened.some((it) => it === wall));
  const stuff = material === 'mesh' ? WALL_STUFF.glass : WALL_STUFF[material];
  const side = walls.reduce((sum, { run }) => sum + run, 0) * tall;
  const lid = canopy ? floor * (top === 'solid' ? 1 : topCover) : 0;
  const pane = Math.max(0.01, side + lid);
  const behind = (wall: string): number =>
    design.scape.backgrounds.find((it) => it.wall === wall)?.thickness ?? 0;
  // A background insulates its wall.
  const toRoom =
    walls.reduce(
      (sum, { wall, run }) =>
        sum + (run * tall) / (wallThickness / stuff.conducts + 0.13 + behind(wall) / 0.05),
      0,
    ) +
    lid / (wallThickness / stuff.conducts + 0.1);
  const own = pieces.filter(({ solid }) => {
    const { x0, x1, z0, z1 } = solid.bounds;
    const z = (z0 + z1) / 2;
    return (
      columnAt((x0 + x1) / 2) === column &&
      z >= (canopy ? tierHeight : -1) &&
      z < (canopy ? height + 1 : tierHeight)
    );
  });
  const backs = design.scape.backgrounds.reduce((sum, it) => {
    const run = it.wall === 'back' ? width / 2 : it.wall === outer ? depth : 0;
    return sum + run * Math.max(0, Math.min(to, it.top ?? height) - Math.max(from, it.bottom));
  }, 0);
  const density = (kind: string): number =>
    catalogue.scape.pieces.find((it) => it.id === kind)?.density.value ?? 600;
  const taken = own.reduce((sum, { solid }) => sum + solid.stuff, 0);
  const hard = own.reduce((sum, { solid }) => sum + Math.min(solid.surface, 0.6), 0) + backs;
  const heat =
    own.reduce((sum, { piece, solid }) => sum + solid.stuff * density(piece.kind) * 1300, 0) +
    backs * 0.01 * 1.2e6;
  // Backgrounds of foam weigh next to nothing.
  const foam = design.scape.backgrounds.some((it) => findBackgroundKind(catalogue, it.kind)?.look === 'foam')
    ? 0.3
    : 1;
  return {
    air: Math.max(1e-3, floor * tall - taken),
    pane: {
      area: pane,
      heat: pane * wallThickness * stuff.density * stuff.heat,
      toRoom: Math.max(0.02, toRoom),
    },
    leaves: leafy * floor * (canopy ? 0.5 : 0.5),
    hard: { area: Math.max(0.005, hard), heat: Math.max(50, Math.min(heat * foam, 60_000)) },
    floor,
    height: tall,
  };
}

/** Air the room's own draught moves through an opening, m/s: k of model section 7, in its middle (to be calibrated). */
const DRAUGHT = 0.0025;

function exchangeOf(design: Design, catalogue: Catalogue, ground: number) {
  const { width, depth, height, material, screened, top, topCover, made, front } = design.enclosure;
  const gauze = findGauze(catalogue, design.climate.topGauze);
  const cloth: Gauze | null = gauze ? { open: gauze.open.value, wire: gauze.wire.value } : null;
  const roof = width * depth;
  const open = top === 'solid' ? 0 : roof * (1 - topCover);
  const openings: Opening[] = [];
  // The strips under the doors and over the back are punched sheet in a frame that takes a third of them.
  const strip = findGauze(catalogue, 'punched-sheet');
  const sheet: Gauze | null = strip ? { open: strip.open.value, wire: strip.wire.value } : cloth;
  if (front === 'doors' && made.ventLow > 0)
    openings.push({
      area: width * made.ventLow * 0.65,
      height: Math.min(height, ground + made.ventLow / 2),
      gauze: sheet,
    });
  if (made.ventHigh > 0)
    openings.push({ area: width * made.ventHigh * 0.65, height: height - made.ventHigh / 2, gauze: sheet });
  for (const vent of design.climate.vents) {
    const own = findGauze(catalogue, vent.gauze);
    openings.push({
      area: vent.area,
      height: vent.height,
      gauze: own ? { open: own.open.value, wire: own.wire.value } : null,
    });
  }
  if (open > 1e-4) openings.push({ area: open, height, gauze: top === 'mesh' ? cloth : null });
  const split = (ground + height) / 2;
  const gather = (own: readonly Opening[]): Opening | null => {
    const area = own.reduce((sum, it) => sum + it.area, 0);
    if (area <= 0) return null;
    return {
      area,
      height: own.reduce((sum, it) => sum + it.area * it.height, 0) / area,
      gauze: own.find((it) => it.gauze)?.gauze ?? null,
    };
  };
  const low = gather(openings.filter((it) => it.height < split));
  const high = gather(openings.filter((it) => it.height >= split));
  const through = top === 'mesh' ? (gauze?.open.value ?? 0.5) * 0.6 : 1;
  const sides =
    material === 'mesh'
      ? 2 * (width + depth)
      : screened.reduce((sum, it) => sum + (it === 'left' || it === 'right' ? depth : width), 0);
  const tall = Math.max(0.05, height - ground);
  const side = sides * tall * 0.5 * DRAUGHT * 1.2;
  const volume = roof * height;
  return {
    exchange: {
      stack: low && high ? stackLaw(low, high) : null,
      top: open * through,
      topDraught: DRAUGHT * open * through,
      sideDraught: [side, side] as [number, number],
      // Doors and joints: a quarter of its air in an hour, half of that where nothing opens (from memory).
      leak: (volume * (front === 'doors' ? 0.25 : 0.12)) / 3600,
    },
    openings: { low: low?.area ?? 0, high: high?.area ?? 0, top: open },
  };
}

function baskingPlace(
  design: Design,
  pieces: readonly Placed[],
  lit: readonly Lit[],
  groundAt: (x: number, y: number) => number,
  columnAt: (x: number) => Column,
): Outfit['basking'] {
  const chosen = pieces.find(({ piece }) => piece.basking);
  if (chosen) {
    const at = baskingPoint(chosen, warmPlace(design.enclosure.width, design.scape.warm));
    return { ...at, column: columnAt(at.x) };
  }
  const strongest = [...lit].filter((it) => it.kind.heats).sort((a, b) => b.lamp.radiant - a.lamp.radiant)[0];
  if (!strongest) return null;
  const x = Math.min(design.enclosure.width, Math.max(0, strongest.lamp.x));
  const y = Math.min(design.enclosure.depth, Math.max(0, strongest.lamp.y));
  return { x, y, z: groundAt(x, y), column: columnAt(x) };
}

interface WarmsAsked {
  readonly design: Design;
  readonly device: Device;
  readonly kind: DeviceKind;
  readonly cell: Cell;
  readonly column: Column;
  readonly basking: Outfit['basking'];
  readonly lit: readonly Lit[];
  readonly columns: readonly [ColumnModel, ColumnModel];
  readonly cells: readonly CellModel[];
}

/** Where the heat of a device goes, summing to one (shares from memory; calibration corrects what stays). */
function warms({
  design,
  device,
  kind,
  cell,
  column,
  basking,
  lit,
  columns,
  cells,
}: WarmsAsked): readonly Target[] {
  const canopy = (column * 2 + 1) as Cell;
  const low = (column * 2) as Cell;
  switch (kind.form) {
    case 'mat':
      return device.at.z > 0.05
        ? [
            { to: 'pane', cell, share: 0.75 },
            { to: 'lost', share: 0.25 },
          ]
        : [
            { to: 'bed', column, share: 0.75 },
            { to: 'lost', share: 0.25 },
          ];
    case 'cable':
      return [
        { to: 'deep', column, share: 0.9 },
        { to: 'lost', share: 0.1 },
      ];
    case 'heater':
      return kind.id === 'water-heater'
        ? [{ to: 'pool', column, share: 1 }]
        : [
            { to: 'air', cell, share: 0.8 },
            { to: 'hard', cell, share: 0.2 },
          ];
    default:
      break;
  }
  const lamp = lit.find((it) => it.device.id === device.id)?.lamp;
  const over = overLid(device, design);
  const shines = lamp ? kind.radiant.value * lamp.passes.heat : 0;
  const targets: Target[] = [];
  let left = shines;
  const spot = basking && lamp ? spotShare(lamp, basking, columns[basking.column].spot.area) : 0;
  if (basking && spot > 0) {
    const share = Math.min(left * 0.6, spot / Math.max(1, device.power * device.dim));
    targets.push({ to: 'spot', column: basking.column, share: share * 0.85 });
    left -= share * 0.85;
  }
  // Long lamps light both columns; a bulb nearly all of its own.
  const { width } = design.enclosure;
  const across = kind.form === 'bulb' ? 0.12 : Math.min(1, device.length / width);
  const edge = Math.min(1, Math.abs(device.at.x - width / 2) / (width / 4));
  const own = 1 - 0.5 * Math.max(across * 0.9, 1 - edge) * (kind.form === 'bulb' ? 0.9 : 1);
  for (const [at, part] of [
    [column, own],
    [(1 - column) as Column, 1 - own],
  ] as const) {
    const land = columns[at].area > 1e-4;
    const g = (at * 2) as Cell;
    const c = (g + 1) as Cell;
    const leafy = cells[g]!.leaves > 0.01;
    targets.push(
      land
        ? { to: 'soil', column: at, share: left * part * 0.4 }
        : { to: 'pool', column: at, share: left * part * 0.4 },
      { to: 'hard', cell: g, share: left * part * 0.2 },
      { to: leafy ? 'leaves' : 'hard', cell: c, share: left * part * 0.15 },
      { to: 'pane', cell: c, share: left * part * 0.15 },
      { to: 'lost', share: left * part * 0.1 },
    );
  }
  const warmsAir = 1 - shines;
  targets.push(over ? { to: 'lost', share: warmsAir * 0.85 } : { to: 'air', cell: canopy, share: warmsAir });
  if (over) targets.push({ to: 'pane', cell: canopy, share: warmsAir * 0.15 });
  void low;
  return targets;
}

/** W of a lamp that fall on the basking place. */
const spotShare = (
  lamp: Lamp,
  at: { readonly x: number; readonly y: number; readonly z: number },
  area: number,
): number => heatFrom(lamp, at.x, at.y, at.z) * area;

/** Mist by where its rays end; fine drops stay partly in the air. Leaves catch before the ground does. */
function wets(
  shares: ReturnType<typeof sprayOf>['shares'],
  cell: Cell,
  column: Column,
  columns: readonly [ColumnModel, ColumnModel],
  cells: readonly CellModel[],
  kind: DeviceKind | null,
): readonly Target[] {
  const fine = kind?.id === 'nozzle-fine' ? 0.12 : 0.04;
  const canopy = (column * 2 + 1) as Cell;
  const low = (column * 2) as Cell;
  const glass = (shares.left + shares.right + shares.back + shares.front) * (1 - fine);
  const down = (shares.ground + shares.piece + shares.water) * (1 - fine);
  const leafy = cells[canopy]!.leaves / Math.max(1e-6, cells[canopy]!.floor);
  const caught = Math.min(0.6, 0.5 * leafy);
  const pool = columns[column].area > 1e-4 ? shares.water : shares.water + shares.ground;
  const land = columns[column].area > 1e-4 ? shares.ground : 0;
  const through = (1 - fine) * (1 - caught);
  return [
    { to: 'air', cell, share: fine },
    { to: 'pane', cell: canopy, share: glass * 0.6 },
    { to: 'pane', cell: low, share: glass * 0.4 },
    { to: 'leaves', cell: canopy, share: down * caught * 0.6 },
    { to: 'leaves', cell: low, share: down * caught * 0.4 },
    { to: 'soil', column, share: land * through },
    { to: 'pool', column, share: pool * through },
    { to: 'hard', cell: low, share: shares.piece * through },
  ];
}
