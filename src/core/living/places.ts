import type { Catalogue } from '../catalogue';
import { climateModelOf, type ClimateModel } from '../climate/climateModel';
import { lightHours, windowsOf } from '../climate/timetable';
import type { Design } from '../document/schema';
import { isGauze } from '../enclosure/shell';
import { siteOf } from '../ground/bodies';
import { heightAt } from '../ground/floor';
import type { GroundResult } from '../ground/layers';
import { placeLayers, type PlacedLayer } from '../ground/placedLayers';
import { heatFrom, luxFrom, seenFrom, thrownBackFrom, type Shade } from '../light/field';
import { dailyLight, LUX_PER_PPFD } from '../light/sources';
import { propertiesOf } from '../mixing/properties';
import type { PlantedResult } from './planted';
import type { Survey } from './survey';

/** What a place of the box is like in one season. */
export interface Conditions {
  readonly season: string;
  /** mol/m² a day */
  readonly light: number;
  /** °C, of a leaf: warmest by day, mean by day and by night, coldest. */
  readonly hot: number;
  readonly day: number;
  readonly night: number;
  readonly cold: number;
  readonly humidity: number;
  /** Share of the pores filled; null where there is no soil. */
  readonly wetness: number | null;
}

export type PlaceKind = 'ground' | 'wall' | 'piece' | 'water';

/** A place where something could live. Lengths in m. */
export interface Place {
  readonly id: string;
  readonly kind: PlaceKind;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly wall?: 'left' | 'right' | 'back';
  readonly piece?: string;
  /** It has something rough to hold on to or be tied to. */
  readonly rough: boolean;
  /** Soil or water over what bears it. */
  readonly depth: number;
  /** From it up to the next piece, or the lid; and down to the ground. */
  readonly room: number;
  readonly below: number;
  readonly warm: boolean;
  /** What the soil that roots stand in holds: pH, and salts in dS/m; absent where there is none or it is not known. */
  readonly soil?: RootSoil;
  readonly conditions: readonly Conditions[];
}

export interface RootSoil {
  readonly ph: number;
  readonly salts: number;
}

/** Looks up the soil of the topmost mixed layer of a stack; each mix is worked out once. */
function rootSoils(catalogue: Catalogue): (stack: readonly PlacedLayer[]) => { soil?: RootSoil } {
  const known = new Map<string, { soil?: RootSoil }>();
  return (stack) => {
    const layer = stack.findLast((it) => it.layer.kind === 'substrate')?.layer;
    if (layer?.kind !== 'substrate') return {};
    const before = known.get(layer.id);
    if (before) return before;
    const { ph, salts } = propertiesOf(layer.mix, catalogue);
    const found = ph === undefined || salts === undefined ? {} : { soil: { ph, salts } };
    known.set(layer.id, found);
    return found;
  };
}

/** Share of what lamps warm a small body by that a leaf keeps, which sheds heat by evaporating (from memory). */
const LEAF_KEEPS = 0.5;
const ABSORBS = 0.85;
const GIVES_OFF = 10.7;
/** Room kept under lid and lamps, m. */
const MARGIN = 0.02;

/** Reads light, air and soil at any point of the box, for one survey. */
export type Reader = (
  x: number,
  y: number,
  z: number,
  soil: boolean,
  water: boolean,
) => readonly Conditions[];

/** Hours a day that each lamp is on, in the middle of the year. */
function hoursOf(design: Design, lit: ClimateModel['lit']): readonly number[] {
  const light = lightHours(design.climate, 81);
  return lit.map(({ device }) =>
    windowsOf(device.timer, light).reduce((sum, { from, to }) => sum + (to - from) / 3600, 0),
  );
}

export function readerOf(design: Design, ground: GroundResult, catalogue: Catalogue, survey: Survey): Reader {
  const { width, height } = design.enclosure;
  const model = climateModelOf(design, ground, catalogue);
  const shades: readonly Shade[] = ground.pieces.map((it) => it.solid);
  const hours = hoursOf(design, model.lit);
  const { warm } = design.scape;
  const floor = (model.groundHeight[0] + model.groundHeight[1]) / 2;
  const low = (floor + model.tierHeight) / 2;
  const high = (model.tierHeight + height) / 2;
  return (x, y, z, soil, water) => {
    const across = Math.min(1, Math.max(0, (x - width / 4) / (width / 2)));
    const toWarm = warm === 'right' ? across : 1 - across;
    const up = Math.min(1, Math.max(0, (z - low) / Math.max(0.01, high - low)));
    const shares = [toWarm * (1 - up), toWarm * up, (1 - toWarm) * (1 - up), (1 - toWarm) * up] as const;
    let daily = 0;
    const warmed: number[] = [];
    const at = { x, y, z: z + 0.01 };
    model.lit.forEach(({ lamp }, index) => {
      const seen = seenFrom(lamp, shades, at);
      daily += dailyLight(
        (seen * luxFrom(lamp, at.x, at.y, at.z) + thrownBackFrom(lamp, at.x, at.y, at.z)) /
          LUX_PER_PPFD[lamp.light],
        hours[index] ?? 0,
      );
      warmed.push((seen * LEAF_KEEPS * ABSORBS * heatFrom(lamp, at.x, at.y, at.z)) / GIVES_OFF);
    });
    return survey.seasons.map((season): Conditions => {
      let [day, night, cold, hot, humid] = [0, 0, 0, 0, 0];
      for (let cell = 0; cell < 4; cell += 1) {
        const air = season.air[cell];
        const share = shares[cell] ?? 0;
        if (!air) continue;
        day += share * air.day;
        night += share * air.night;
        cold += share * air.low;
        hot += share * air.high;
        humid += (share * (air.humidDay + air.humidNight)) / 2;
      }
      let shine = 0;
      model.lit.forEach(({ device }, index) => {
        shine += (warmed[index] ?? 0) * (season.lit[device.id] ?? 1);
      });
      const [w, c] = season.wetness;
      return {
        season: season.season,
        light: daily,
        hot: hot + shine,
        day: day + shine,
        night,
        cold,
        humidity: humid,
        wetness: water ? 1 : soil ? toWarm * (w[0] + w[1]) * 0.5 + (1 - toWarm) * (c[0] + c[1]) * 0.5 : null,
      };
    });
  };
}

/**
 * Places over the whole box: a grid on the ground and on open water, on the walls, and along the pieces that something
 * can be tied to. Places inside a piece or without soil are left out.
 */
export function placesOf(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  survey: Survey,
): readonly Place[] {
  const { width, depth, height } = design.enclosure;
  const { stackAt } = placeLayers(design);
  const site = siteOf(design, stackAt);
  const read = readerOf(design, ground, catalogue, survey);
  const soilOf = rootSoils(catalogue);
  const solids = ground.pieces.map((it) => it.solid);
  const isWarm = (x: number): boolean => x >= width / 2 === (design.scape.warm === 'right');
  const places: Place[] = [];
  const roomOver = (x: number, y: number, z: number): number => {
    let top = height - MARGIN;
    for (const solid of solids) {
      const reach = solid.reachAt(x, y);
      if (reach && reach[1] > z + 0.01) top = Math.min(top, reach[0]);
    }
    return top - z;
  };

  const columns = Math.min(10, Math.max(3, Math.round(width / 0.09)));
  const rows = Math.min(7, Math.max(3, Math.round(depth / 0.08)));
  for (let i = 0; i < columns; i += 1) {
    for (let j = 0; j < rows; j += 1) {
      const x = (width * (i + 0.5)) / columns;
      const y = (depth * (j + 0.5)) / rows;
      const water = site.waterAt(x, y);
      const floor = site.groundAt(x, y);
      const stack = stackAt(x, y);
      const soil = stack
        .filter((it) => it.layer.kind === 'substrate' || it.layer.kind === 'thin')
        .reduce((sum, it) => sum + heightAt(it.top, it.field, x, y) - heightAt(it.base, it.field, x, y), 0);
      const z = water ?? floor;
      const room = roomOver(x, y, z);
      if (room < 0.04 || (water === undefined && soil < 0.005)) continue;
      const kind = water === undefined ? 'ground' : 'water';
      places.push({
        id: `${kind}-${i}-${j}`,
        kind,
        x,
        y,
        z,
        rough: true,
        depth: water === undefined ? soil : water - floor,
        room,
        below: 0,
        warm: isWarm(x),
        ...(water === undefined ? soilOf(stack) : {}),
        conditions: read(x, y, z, water === undefined, water !== undefined),
      });
    }
  }

  for (const wall of ['back', 'left', 'right'] as const) {
    const run = wall === 'back' ? width : depth;
    const background = design.scape.backgrounds.find((it) => it.wall === wall);
    const across = Math.min(6, Math.max(2, Math.round(run / 0.14)));
    for (let i = 0; i < across; i += 1) {
      const s = (run * (i + 0.5)) / across;
      const off = (background?.thickness ?? 0) + (background?.gap ?? 0) + 0.005;
      const x = wall === 'back' ? s : wall === 'left' ? off : width - off;
      const y = wall === 'back' ? depth - off : s;
      const foot = Math.max(site.groundAt(x, y), site.waterAt(x, y) ?? 0);
      const tall = height - foot;
      if (tall < 0.1) continue;
      for (const part of [0.3, 0.55, 0.8]) {
        const z = foot + tall * part;
        if (background && (z < background.bottom || z > (background.top ?? height))) continue;
        places.push({
          id: `${wall}-${i}-${Math.round(part * 100)}`,
          kind: 'wall',
          wall,
          x,
          y,
          z,
          rough: background !== undefined || isGauze(design.enclosure, wall),
          depth: 0,
          room: Math.min(z - foot, height - MARGIN - z),
          below: z - foot,
          warm: isWarm(x),
          conditions: read(x, Math.max(0.01, y - 0.01), z, false, false),
        });
      }
    }
  }

  const tied = new Set(['wood', 'bamboo', 'cork', 'stone', 'slate']);
  for (const { piece, solid } of ground.pieces) {
    const kind = catalogue.scape.pieces.find((it) => it.id === piece.kind);
    if (!kind || !tied.has(kind.look) || piece.basking || solid.volume < 2e-5) continue;
    const { foot, head } = solid;
    const parts = piece.body.shape === 'block' ? [1] : [0.35, 0.7];
    for (const part of parts) {
      const x = foot.x + (head.x - foot.x) * part;
      const y = foot.y + (head.y - foot.y) * part;
      const reach = solid.reachAt(x, y);
      if (!reach || x < 0 || y < 0 || x > width || y > depth) continue;
      const z = reach[1];
      const room = roomOver(x, y, z);
      if (room < 0.04 || z < site.groundAt(x, y) + 0.02) continue;
      places.push({
        id: `piece-${piece.id}-${Math.round(part * 100)}`,
        kind: 'piece',
        piece: piece.id,
        x,
        y,
        z,
        rough: true,
        depth: 0,
        room,
        below: z - site.groundAt(x, y),
        warm: isWarm(x),
        conditions: read(x, y, z, false, false),
      });
    }
  }
  return places;
}

/** Reads a survey at any place, with the depth of soil there: what a plant that someone moved is judged by. */
export function conditionsAt(
  design: Design,
  ground: GroundResult,
  catalogue: Catalogue,
  survey: Survey,
): (plant: PlantedResult) => Place {
  const { width, height } = design.enclosure;
  const { stackAt } = placeLayers(design);
  const site = siteOf(design, stackAt);
  const read = readerOf(design, ground, catalogue, survey);
  const soilOf = rootSoils(catalogue);
  const solids = ground.pieces.map((it) => it.solid);
  return ({ planted, x, y, z }) => {
    const { spot } = planted;
    const water = spot.on === 'water' ? site.waterAt(x, y) : undefined;
    const inside = {
      x: Math.min(width - 1e-6, Math.max(1e-6, x)),
      y: Math.min(design.enclosure.depth - 1e-6, Math.max(1e-6, y)),
    };
    const stack = stackAt(inside.x, inside.y);
    const soil = stack
      .filter((it) => it.layer.kind === 'substrate' || it.layer.kind === 'thin')
      .reduce(
        (sum, it) =>
          sum +
          heightAt(it.top, it.field, inside.x, inside.y) -
          heightAt(it.base, it.field, inside.x, inside.y),
        0,
      );
    let top = height - MARGIN;
    for (const solid of solids) {
      const reach = solid.reachAt(x, y);
      if (reach && reach[1] > z + 0.01 && spot.on !== 'wall') top = Math.min(top, Math.max(z, reach[0]));
    }
    const kind: PlaceKind =
      spot.on === 'wall' ? 'wall' : spot.on === 'piece' ? 'piece' : spot.on === 'water' ? 'water' : 'ground';
    const foot = site.groundAt(x, y);
    return {
      id: planted.id,
      kind,
      x,
      y,
      z,
      ...(spot.on === 'wall' ? { wall: spot.wall } : {}),
      rough:
        spot.on !== 'wall' ||
        isGauze(design.enclosure, spot.wall) ||
        design.scape.backgrounds.some((it) => it.wall === spot.wall),
      depth: spot.on === 'water' ? Math.max(0, (water ?? foot) - foot) : spot.on === 'ground' ? soil : 0,
      room: spot.on === 'wall' ? Math.min(Math.max(0, z - foot) + 0.1, height - MARGIN - z) : top - z,
      below: Math.max(0, z - foot),
      warm: x >= width / 2 === (design.scape.warm === 'right'),
      ...(spot.on === 'ground' ? soilOf(stack) : {}),
      conditions: read(x, y, z, spot.on === 'ground', spot.on === 'water'),
    };
  };
}
