import { findBackgroundKind, type Catalogue, type DeviceKind } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { isGauze } from '../enclosure/shell';
import { bounce, cavityOf } from '../light/cavity';
import { heatFrom } from '../light/field';
import { landingOf, LEAF_EXTINCTION, PATCHES, type Scene } from '../light/rays';
import { NO_AREA, type Cell, type CellModel, type Column, type ColumnModel, type Target } from './box';
import { overLid, type Lit } from './lamps';
import {
  BANDS,
  bandsGiven,
  facesOf,
  fittingDown,
  leafExtinction,
  lidFor,
  type Band,
  type Face,
} from './optics';
import type { ClimateModel } from './climateModel';
import { cellOfQuarter, columnOfSide } from './scene';
import type { Spray } from './spray';

/** Sums shares by where they go. */
class Shares {
  private readonly sums = new Map<string, { readonly target: Target; share: number }>();
  private told = 0;

  add(target: Target, share: number): void {
    if (share <= 0) return;
    this.told += share;
    const key = `${target.to} ${'cell' in target ? target.cell : 'column' in target ? target.column : ''}`;
    const sum = this.sums.get(key);
    if (sum) sum.share += share;
    else this.sums.set(key, { target, share });
  }
  /** All of it; what is left to one, by rounding or because it met nothing, is lost. */
  all(): readonly Target[] {
    this.add({ to: 'lost', share: 0 }, Math.max(0, 1 - this.told));
    return [...this.sums.values()].map(({ target, share }) => ({ ...target, share }));
  }
}

/** What heat and water share out among. */
export interface Around {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly scene: Scene;
  readonly columns: readonly [ColumnModel, ColumnModel];
  readonly cells: readonly CellModel[];
  readonly tierHeight: number;
  /** Faces of the box by band, made when they are first asked for. */
  readonly faces: (band: Band) => readonly Face[];
}

export function aroundOf(asked: Omit<Around, 'faces'>): Around {
  const known = new Map<Band, readonly Face[]>();
  const { design, catalogue, columns, tierHeight: tier } = asked;
  return {
    ...asked,
    faces: (band) => {
      let faces = known.get(band);
      if (!faces) {
        faces = facesOf({
          design,
          catalogue,
          band,
          columns,
          columnOf: (side) => columnOfSide(design, side),
          tier,
        });
        known.set(band, faces);
      }
      return faces;
    },
  };
}

/** Cell beside a patch, or under it. */
function cellOfPatch(design: Design, patch: number): Cell {
  if (patch < 2) return cellOfQuarter(design, patch * 2);
  if (patch < 4) return cellOfQuarter(design, (patch - 2) * 2 + 1);
  if (patch < 8) return cellOfQuarter(design, patch < 6 ? patch - 4 : 2 + patch - 6);
  return cellOfQuarter(design, (patch - 8) % 4);
}

interface HeatInput {
  readonly around: Around;
  readonly device: Device;
  readonly kind: DeviceKind;
  readonly cell: Cell;
  readonly column: Column;
  readonly basking: ClimateModel['basking'];
  readonly lit: readonly Lit[];
}

/** Of a mat or cable: what goes into the box, and what into what it lies on (from memory; calibration corrects it). */
const MAT_IN = 0.75;
const CABLE_IN = 0.9;
/** Of a space heater with a fan: what goes into the air, the rest is radiated (from memory). */
const HEATER_AIR = 0.8;
/** Of what falls on skin, wood or stone, taken up (from memory). */
const SPOT_TAKES = 0.85;
/** A basking place never takes more of a lamp than this: its beam is wider than the place (numerical). */
const SPOT_MOST = 0.5;

/**
 * Where the heat of a device goes, summing to one. What a lamp radiates lands by what covers what, in its own bands, and
 * is thrown back and forth until it is taken up or let out; its fitting warms the air, from above the lid by what its
 * lower side gives.
 */
export function heatTargets({
  around,
  device,
  kind,
  cell,
  column,
  basking,
  lit,
}: HeatInput): readonly Target[] {
  const { design, catalogue, columns } = around;
  const canopy = (column * 2 + 1) as Cell;
  const shares = new Shares();
  switch (kind.form) {
    case 'mat':
      shares.add(
        device.at.z > 0.05 ? { to: 'pane', cell, share: 0 } : { to: 'bed', column, share: 0 },
        MAT_IN,
      );
      return shares.all();
    case 'cable':
      shares.add({ to: 'deep', column, share: 0 }, CABLE_IN);
      return shares.all();
    case 'heater':
      if (kind.id === 'water-heater') shares.add({ to: 'pool', column, share: 0 }, 1);
      else {
        shares.add({ to: 'air', cell, share: 0 }, HEATER_AIR);
        shares.add({ to: 'hard', cell, share: 0 }, 1 - HEATER_AIR);
      }
      return shares.all();
    default:
      break;
  }
  const lamp = lit.find((it) => it.device.id === device.id)?.lamp;
  if (!lamp) {
    shares.add({ to: 'air', cell: canopy, share: 0 }, 1);
    return shares.all();
  }
  const over = overLid(device, design);
  const given = bandsGiven(kind);
  const power = Math.max(1e-9, device.power * device.dim);
  // What lies under the lamp takes its own first.
  const area = basking ? columns[basking.column].spot.area : 0;
  const spot =
    basking && area > 0
      ? Math.min(
          SPOT_MOST * kind.radiant.value,
          (SPOT_TAKES * heatFrom(lamp, basking.x, basking.y, basking.z) * area) / power,
        )
      : 0;
  if (basking) shares.add({ to: 'spot', column: basking.column, share: 0 }, spot);
  const left = kind.radiant.value > 0 ? 1 - spot / kind.radiant.value : 1;
  for (const band of BANDS)
    if (given[band] > 0)
      radiate(around, shares, given[band] * left, band, (extinction) => {
        const lid = over ? lidFor(design, catalogue, band, kind) : { passes: 1, takes: 0 };
        const landing = landingOf(lamp, around.scene, { passes: lid.passes, extinction });
        const kept = 1 - lid.passes;
        return { ...landing, glass: kept > 0 ? (landing.lid * lid.takes) / kept : 0 };
      });
  if (over) {
    // From the lid downwards, as far infrared of a warm plate.
    const down = given.fitting * fittingDown(design, catalogue, kind);
    const under = { ...lamp, form: 'panel' as const, z: design.enclosure.height - 0.001 };
    radiate(around, shares, down, 'far', (extinction) => ({
      ...landingOf(under, around.scene, { passes: 1, extinction }),
      glass: 0,
    }));
    shares.add({ to: 'lost', share: 0 }, given.fitting - down);
  } else shares.add({ to: 'air', cell: canopy, share: 0 }, given.fitting);
  return shares.all();
}

interface Landed {
  readonly patches: Float64Array;
  readonly leaves: Float64Array;
  readonly bodies: Float64Array;
  /** Taken up by glass that lies on the lid. */
  readonly glass: number;
}

/** Shares out what is radiated in one band. */
function radiate(
  { design, scene, columns, cells, faces: facesIn }: Around,
  shares: Shares,
  amount: number,
  band: Band,
  send: (extinction: number) => Landed,
): void {
  const extinction = leafExtinction(band, LEAF_EXTINCTION);
  const landed = send(extinction);
  const faces = facesIn(band);
  const floor = (scene.ground[0] + scene.ground[1]) / 2;
  const { width, depth, height } = scene;
  const cavity = cavityOf({ width, depth, floor, tier: scene.tier, height });
  // Leaves on the way from face to face: the mean way through a body of air is 4·V/S.
  const volume = width * depth * Math.max(0.01, height - floor);
  const surface = cavity.areas.reduce((sum, it) => sum + it, 0);
  const density = cells.reduce((sum, it) => sum + it.leaves, 0) / volume;
  const clear = Math.exp((-extinction * density * 4 * volume) / surface);
  const { meeting, kept } = bounce(
    cavity,
    faces.map((it) => it.reflects),
    landed.patches,
    clear,
  );
  const leafArea = cells.reduce((sum, it) => sum + it.leaves, 0);
  for (let quarter = 0; quarter < 4; quarter += 1) {
    const cell = cellOfQuarter(design, quarter);
    shares.add({ to: 'leaves', cell, share: 0 }, amount * (landed.leaves[quarter] ?? 0));
    shares.add({ to: 'hard', cell, share: 0 }, amount * (landed.bodies[quarter] ?? 0));
  }
  for (const cell of [0, 1, 2, 3] as const)
    if (leafArea > 0)
      shares.add({ to: 'leaves', cell, share: 0 }, (amount * kept * (cells[cell]?.leaves ?? 0)) / leafArea);
  for (let patch = 0; patch < PATCHES; patch += 1) {
    const face = faces[patch];
    const flux = amount * (meeting[patch] ?? 0);
    if (!face || flux <= 0) continue;
    const cell = cellOfPatch(design, patch);
    const column = (cell >> 1) as Column;
    shares.add({ to: 'pane', cell, share: 0 }, flux * face.pane);
    shares.add({ to: 'hard', cell, share: 0 }, flux * face.hard);
    shares.add(
      columns[column].area > NO_AREA ? { to: 'soil', column, share: 0 } : { to: 'pool', column, share: 0 },
      flux * face.soil,
    );
    shares.add({ to: 'pool', column, share: 0 }, flux * face.water);
    shares.add({ to: 'lost', share: 0 }, flux * face.out);
  }
  for (const side of [0, 1] as const)
    shares.add(
      { to: 'pane', cell: (columnOfSide(design, side) * 2 + 1) as Cell, share: 0 },
      (amount * landed.glass) / 2,
    );
}

/** Of a spray, what is so fine that it floats until it dries or settles (from memory: fine nozzles 12 %, others 4 %). */
const FLOATS = { fine: 0.12, coarse: 0.04 } as const;

/** How long a straight way runs in each quarter, m, in the order they are met. */
export function quartersAlong(
  scene: Scene,
  from: { readonly x: number; readonly y: number; readonly z: number },
  to: { readonly x: number; readonly y: number; readonly z: number },
): readonly { readonly quarter: number; readonly length: number }[] {
  const d = { x: to.x - from.x, y: to.y - from.y, z: to.z - from.z };
  const long = Math.hypot(d.x, d.y, d.z);
  const cuts = [0, 1];
  const cut = (t: number): void => void (t > 0 && t < 1 && cuts.push(t));
  if (Math.abs(d.x) > 1e-9) cut((scene.width / 2 - from.x) / d.x);
  if (Math.abs(d.z) > 1e-9) cut((scene.tier - from.z) / d.z);
  cuts.sort((a, b) => a - b);
  return cuts.slice(1).map((end, i) => {
    const start = cuts[i] ?? 0;
    const half = (start + end) / 2;
    return {
      quarter: (from.x + half * d.x < scene.width / 2 ? 0 : 2) + (from.z + half * d.z < scene.tier ? 0 : 1),
      length: (end - start) * long,
    };
  });
}

/** Mist by where its drops end: each in its own half and tier; leaves on the way keep what they cover, the finest floats. */
export function waterTargets(around: Around, sprays: readonly Spray[], fine: boolean): readonly Target[] {
  const { design, scene, columns } = around;
  const floats = fine ? FLOATS.fine : FLOATS.coarse;
  const shares = new Shares();
  for (const { from, drops } of sprays) {
    const each = 1 / (drops.length * sprays.length);
    for (const drop of drops) {
      let left = each * (1 - floats);
      const way = quartersAlong(scene, from, drop);
      const long = way.reduce((sum, it) => sum + it.length, 0);
      for (const { quarter, length } of way) {
        const cell = cellOfQuarter(design, quarter);
        shares.add({ to: 'air', cell, share: 0 }, long > 0 ? (each * floats * length) / long : 0);
        const kept = left * (1 - Math.exp(-LEAF_EXTINCTION * (scene.leafDensity[quarter] ?? 0) * length));
        shares.add({ to: 'leaves', cell, share: 0 }, kept);
        left -= kept;
      }
      const side = drop.x < scene.width / 2 ? 0 : 1;
      const column = columnOfSide(design, side);
      const cell = (column * 2 + (drop.z < scene.tier ? 0 : 1)) as Cell;
      switch (drop.on) {
        case 'ground':
          shares.add(
            columns[column].area > NO_AREA
              ? { to: 'soil', column, share: 0 }
              : { to: 'pool', column, share: 0 },
            left,
          );
          break;
        case 'water':
          shares.add({ to: 'pool', column, share: 0 }, left);
          break;
        case 'piece':
          shares.add({ to: 'hard', cell, share: 0 }, left);
          break;
        default: {
          const wall = drop.on;
          const back = design.scape.backgrounds.find(
            (it) => it.wall === wall && findBackgroundKind(around.catalogue, it.kind),
          );
          const behind =
            back && drop.z >= back.bottom && drop.z <= (back.top ?? design.enclosure.height) ? true : false;
          if (behind) shares.add({ to: 'hard', cell, share: 0 }, left);
          // What flies through gauze is outside.
          else if (isGauze(design.enclosure, wall)) shares.add({ to: 'lost', share: 0 }, left);
          else shares.add({ to: 'pane', cell, share: 0 }, left);
        }
      }
    }
  }
  return shares.all();
}

/** Fog spreads to all sides from where it is let out: by how much of each quarter lies about it. */
export function fogTargets(
  around: Around,
  at: { readonly x: number; readonly y: number; readonly z: number },
): readonly Target[] {
  const { design, scene } = around;
  const shares = new Shares();
  const rings = 6;
  const round = 12;
  const from = {
    x: Math.min(scene.width - 0.005, Math.max(0.005, at.x)),
    y: Math.min(scene.depth - 0.005, Math.max(0.005, at.y)),
    z: Math.min(scene.height - 0.005, Math.max(0.005, at.z)),
  };
  const ways: { readonly quarter: number; readonly length: number }[] = [];
  for (let ring = 0; ring < rings; ring += 1) {
    const cos = 1 - (2 * (ring + 0.5)) / rings;
    const sin = Math.sqrt(1 - cos * cos);
    for (let ray = 0; ray < round; ray += 1) {
      const turn = (2 * Math.PI * (ray + 0.5)) / round;
      const way = { x: sin * Math.cos(turn), y: sin * Math.sin(turn), z: cos };
      const to = (o: number, d: number, most: number): number =>
        Math.abs(d) < 1e-9 ? Infinity : ((d > 0 ? most : 0) - o) / d;
      const end = Math.min(
        to(from.x, way.x, scene.width),
        to(from.y, way.y, scene.depth),
        to(from.z, way.z, scene.height),
      );
      ways.push(
        ...quartersAlong(scene, from, {
          x: from.x + end * way.x,
          y: from.y + end * way.y,
          z: from.z + end * way.z,
        }),
      );
    }
  }
  const all = ways.reduce((sum, it) => sum + it.length, 0);
  for (const { quarter, length } of ways)
    shares.add({ to: 'air', cell: cellOfQuarter(design, quarter), share: 0 }, all > 0 ? length / all : 0);
  return shares.all();
}
