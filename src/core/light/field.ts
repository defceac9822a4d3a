import { upwardLook, type Cavity } from './cavity';
import { inBeam, LUX_PER_PPFD, onAxis, pointRatio, tubeAt } from './sources';

/** A lamp as a field sees it. Positions m, inside the box; lamps over the lid have z above its height. */
export interface Lamp {
  readonly id: string;
  readonly form: 'tube' | 'bulb' | 'panel';
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** m of a tube or panel; along the width (x) or the depth (y). */
  readonly length: number;
  readonly along: 'x' | 'y';
  /** Half-power angle of a bulb, radians. */
  readonly half: number;
  /** UV index at the reference distance, straight under its middle, as new; 0: none. */
  readonly uvIndex: number;
  readonly reference: number;
  readonly lumens: number;
  readonly light: keyof typeof LUX_PER_PPFD;
  /** W that leave it as radiation. */
  readonly radiant: number;
  /**
   * Light that ground, walls and lid throw back, made when it is first asked for: lm that leave each m² of each patch of
   * the box. Left out: nothing is thrown back.
   */
  readonly thrownBack?: () => { readonly cavity: Cavity; readonly exitance: Float64Array };
  /** What gauze, cover and age leave of UV, of light and of warmth. */
  readonly passes: { readonly uv: number; readonly light: number; readonly heat: number };
}

export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

const references = new WeakMap<Lamp, number>();
/** Of a tube at its reference distance, calculated once for each lamp. */
function referenceOf(lamp: Lamp): number {
  let found = references.get(lamp);
  if (found === undefined) {
    found = tubeAt(lamp.length, 0, lamp.reference);
    references.set(lamp, found);
  }
  return found;
}

/** UV index on a level receiver at a point; 0 above the lamp. */
export function uvFrom(lamp: Lamp, x: number, y: number, z: number): number {
  if (lamp.uvIndex <= 0) return 0;
  const dx = x - lamp.x;
  const dy = y - lamp.y;
  const h = lamp.z - z;
  if (h <= 0.01) return 0;
  if (lamp.form === 'tube') {
    const across = lamp.along === 'x' ? dy : dx;
    const off = Math.sqrt(h * h + across * across);
    const tube = tubeAt(lamp.length, lamp.along === 'x' ? dx : dy, off);
    return (lamp.uvIndex * lamp.passes.uv * tube * h) / (off * referenceOf(lamp));
  }
  const far = Math.sqrt(dx * dx + dy * dy + h * h);
  return (lamp.uvIndex * lamp.passes.uv * pointRatio(far, lamp.reference) * h) / far;
}

/**
 * Lux on a level surface, straight from the lamp. A tube shines all round its axis, a panel or strip by the cosine, a
 * bulb by its beam.
 */
export function luxFrom(lamp: Lamp, x: number, y: number, z: number): number {
  if (lamp.lumens <= 0) return 0;
  const dx = x - lamp.x;
  const dy = y - lamp.y;
  const h = lamp.z - z;
  if (h <= 0.005) return 0;
  const lumens = lamp.lumens * lamp.passes.light;
  if (lamp.form === 'bulb') {
    const far = Math.sqrt(dx * dx + dy * dy + h * h);
    return (onAxis(lumens, lamp.half) * inBeam(Math.acos(h / far), lamp.half) * h) / (far * far * far);
  }
  // A bare tube: lumens per m over π², all round; half as much again by its reflector. A strip shines by the cosine
  // (Lambert) into the half below it: lumens per m over π on its axis.
  const across = lamp.along === 'x' ? dy : dx;
  const off = Math.sqrt(h * h + across * across);
  const perLength = lumens / Math.max(0.02, lamp.length);
  const tube =
    ((perLength / (2 * Math.PI * Math.PI)) * tubeAt(lamp.length, lamp.along === 'x' ? dx : dy, off) * h) /
    off;
  return lamp.form === 'tube' ? REFLECTOR * tube : (Math.PI * tube * h) / off;
}
/** What a tube gives downwards in its fitting, against bare: half of what goes up is thrown back (from memory). */
const REFLECTOR = 1.5;

/** W/m² of warmth on a level surface. */
export function heatFrom(lamp: Lamp, x: number, y: number, z: number): number {
  if (lamp.radiant <= 0) return 0;
  const dx = x - lamp.x;
  const dy = y - lamp.y;
  const h = lamp.z - z;
  if (h <= 0.01) return 0;
  const watts = lamp.radiant * lamp.passes.heat;
  if (lamp.form === 'bulb') {
    const far = Math.sqrt(dx * dx + dy * dy + h * h);
    return (onAxis(watts, lamp.half) * inBeam(Math.acos(h / far), lamp.half) * h) / (far * far * far);
  }
  const across = lamp.along === 'x' ? dy : dx;
  const off = Math.sqrt(h * h + across * across);
  return (
    ((REFLECTOR * watts) / Math.max(0.02, lamp.length) / (2 * Math.PI * Math.PI)) *
    tubeAt(lamp.length, lamp.along === 'x' ? dx : dy, off) *
    (h / off)
  );
}

/** Lux on a level surface that comes back from ground, walls and lid. */
export function thrownBackFrom(lamp: Lamp, x: number, y: number, z: number): number {
  const found = lamp.lumens > 0 ? lamp.thrownBack?.() : undefined;
  return found ? upwardLook(found.cavity, found.exitance, x, y, z) : 0;
}

/** µmol/m²s of light plants use, with what is thrown back. */
export const ppfdFrom = (lamp: Lamp, x: number, y: number, z: number): number =>
  (luxFrom(lamp, x, y, z) + thrownBackFrom(lamp, x, y, z)) / LUX_PER_PPFD[lamp.light];

const FIELDS = { uv: uvFrom, lux: luxFrom, heat: heatFrom } as const;
export type FieldName = 'uv' | 'ppfd' | 'heat';

/** A plane through the box on which a field is laid: seen from the front (y fixed) or the side (x fixed). */
export interface Plane {
  readonly view: 'front' | 'side';
  readonly cut: number;
  readonly width: number;
  readonly height: number;
}

/** A field on a grid: rows from the floor up, each from left to right; `columns` values a row, at the cells' middles. */
export interface Field {
  readonly columns: number;
  readonly rows: number;
  readonly values: Float32Array;
}

/** Columns of the grid on which what is thrown back is made: it is even, and read between them. */
const EVEN_COLUMNS = 20;

/** The sum of some lamps over a plane. */
export function fieldOf(
  name: FieldName,
  lamps: readonly Lamp[],
  plane: Plane,
  columns: number,
  rows: number,
): Field {
  const values = new Float32Array(columns * rows);
  const from = FIELDS[name === 'ppfd' ? 'lux' : name];
  const front = plane.view === 'front';
  for (const lamp of lamps) {
    const share = name === 'ppfd' ? 1 / LUX_PER_PPFD[lamp.light] : 1;
    // A strip’s UV falls off from its middle; all else of tubes and strips goes by the tube’s geometry.
    const along = front === (lamp.along === 'x') && (name !== 'uv' || lamp.form === 'tube');
    for (let row = 0; row < rows; row += 1) {
      const z = ((row + 0.5) * plane.height) / rows;
      const at = row * columns;
      if (lamp.form !== 'bulb' && along) addRow(values, at, columns, name, lamp, share, plane, z);
      else
        for (let column = 0; column < columns; column += 1) {
          const s = ((column + 0.5) * plane.width) / columns;
          values[at + column]! += share * (front ? from(lamp, s, plane.cut, z) : from(lamp, plane.cut, s, z));
        }
    }
    if (name === 'ppfd' && lamp.thrownBack) addThrownBack(values, lamp, share, plane, columns, rows);
  }
  return { columns, rows, values };
}

/** A row under a tube or strip that runs along the plane: its distance from the axis is the same all along. */
function addRow(
  values: Float32Array,
  at: number,
  columns: number,
  name: FieldName,
  lamp: Lamp,
  share: number,
  plane: Plane,
  z: number,
): void {
  const front = plane.view === 'front';
  const h = lamp.z - z;
  const across = front ? plane.cut - lamp.y : plane.cut - lamp.x;
  const off = Math.sqrt(h * h + across * across);
  // What the field is for each unit of the tube’s own geometry, read where it is straight across.
  const middle = front ? lamp.x : lamp.y;
  const straight = tubeAt(lamp.length, 0, off);
  const own = FIELDS[name === 'ppfd' ? 'lux' : name];
  const by = (share * (front ? own(lamp, middle, plane.cut, z) : own(lamp, plane.cut, middle, z))) / straight;
  if (by <= 0) return;
  for (let column = 0; column < columns; column += 1) {
    const s = ((column + 0.5) * plane.width) / columns;
    values[at + column]! += by * tubeAt(lamp.length, s - middle, off);
  }
}

/** Adds what is thrown back, from a coarse grid and straight between its points. */
function addThrownBack(
  values: Float32Array,
  lamp: Lamp,
  share: number,
  plane: Plane,
  columns: number,
  rows: number,
): void {
  const across = Math.min(columns, EVEN_COLUMNS);
  const up = Math.min(rows, Math.max(4, Math.round((across * plane.height) / plane.width)));
  const coarse = new Float64Array((across + 1) * (up + 1));
  for (let j = 0; j <= up; j += 1) {
    const z = (j * plane.height) / up;
    for (let i = 0; i <= across; i += 1) {
      const s = (i * plane.width) / across;
      coarse[j * (across + 1) + i] =
        share *
        (plane.view === 'front'
          ? thrownBackFrom(lamp, s, plane.cut, z)
          : thrownBackFrom(lamp, plane.cut, s, z));
    }
  }
  for (let row = 0; row < rows; row += 1) {
    const v = ((row + 0.5) * up) / rows;
    const j = Math.min(up - 1, Math.floor(v));
    const fv = v - j;
    for (let column = 0; column < columns; column += 1) {
      const u = ((column + 0.5) * across) / columns;
      const i = Math.min(across - 1, Math.floor(u));
      const fu = u - i;
      const a = j * (across + 1) + i;
      const b = a + across + 1;
      values[row * columns + column]! +=
        (1 - fv) * ((1 - fu) * coarse[a]! + fu * coarse[a + 1]!) +
        fv * ((1 - fu) * coarse[b]! + fu * coarse[b + 1]!);
    }
  }
}

/** Something opaque: the heights it reaches over a place of the floor. */
export interface Shade {
  readonly bounds: {
    readonly x0: number;
    readonly x1: number;
    readonly y0: number;
    readonly y1: number;
    readonly z0: number;
    readonly z1: number;
  };
  readonly reachAt: (x: number, y: number) => readonly [number, number] | undefined;
}

/** Places along a lamp from which shadow is looked for. */
function spotsOf(lamp: Lamp): readonly Point3[] {
  if (lamp.form === 'bulb') return [lamp];
  return [-0.4, -0.2, 0, 0.2, 0.4].map((part) => ({
    x: lamp.x + (lamp.along === 'x' ? part * lamp.length : 0),
    y: lamp.y + (lamp.along === 'y' ? part * lamp.length : 0),
    z: lamp.z,
  }));
}

/** Whether something stands between two points. Bodies are looked through at steps of about a centimetre. */
export function hides(shades: readonly Shade[], from: Point3, to: Point3): boolean {
  const d = { x: from.x - to.x, y: from.y - to.y, z: from.z - to.z };
  const long = Math.hypot(d.x, d.y, d.z);
  for (const { bounds: b, reachAt } of shades) {
    let low = 0.02 / long;
    let high = 1;
    for (const [axis, min, max] of [
      ['x', b.x0, b.x1],
      ['y', b.y0, b.y1],
      ['z', b.z0, b.z1],
    ] as const) {
      if (Math.abs(d[axis]) < 1e-9) {
        if (to[axis] < min || to[axis] > max) low = 2;
        continue;
      }
      const one = (min - to[axis]) / d[axis];
      const other = (max - to[axis]) / d[axis];
      low = Math.max(low, Math.min(one, other));
      high = Math.min(high, Math.max(one, other));
    }
    if (low >= high) continue;
    const steps = Math.max(3, Math.ceil(((high - low) * long) / 0.008));
    for (let i = 0; i <= steps; i += 1) {
      const part = low + ((high - low) * i) / steps;
      const z = to.z + part * d.z;
      const reach = reachAt(to.x + part * d.x, to.y + part * d.y);
      if (reach && z > reach[0] && z < reach[1]) return true;
    }
  }
  return false;
}

/** Share of a lamp that is seen from a point, 0 to 1. */
export function seenFrom(lamp: Lamp, shades: readonly Shade[], point: Point3): number {
  const spots = spotsOf(lamp);
  return spots.filter((spot) => !hides(shades, spot, point)).length / spots.length;
}

/** As `fieldOf`, with the shadows of what stands in the box; shadows on a coarser grid, `coarse` columns. */
export function shadedField(
  name: FieldName,
  lamps: readonly Lamp[],
  shades: readonly Shade[],
  plane: Plane,
  columns: number,
  rows: number,
  coarse = 48,
): Field {
  const fine = new Float32Array(columns * rows);
  const across = Math.min(coarse, columns);
  const up = Math.max(2, Math.round((across * plane.height) / plane.width));
  for (const lamp of lamps) {
    const seen = new Float32Array(across * up);
    for (let row = 0; row < up; row += 1) {
      for (let column = 0; column < across; column += 1) {
        const s = ((column + 0.5) * plane.width) / across;
        const z = ((row + 0.5) * plane.height) / up;
        const point = plane.view === 'front' ? { x: s, y: plane.cut, z } : { x: plane.cut, y: s, z };
        seen[row * across + column] = seenFrom(lamp, shades, point);
      }
    }
    const { thrownBack, ...straight } = lamp;
    const own = fieldOf(name, [straight], plane, columns, rows);
    // What is thrown back comes from all round: no one body keeps it off.
    if (name === 'ppfd' && thrownBack)
      addThrownBack(fine, lamp, 1 / LUX_PER_PPFD[lamp.light], plane, columns, rows);
    for (let row = 0; row < rows; row += 1) {
      for (let column = 0; column < columns; column += 1) {
        const at = row * columns + column;
        const share = between(
          seen,
          across,
          up,
          ((column + 0.5) / columns) * across - 0.5,
          ((row + 0.5) / rows) * up - 0.5,
        );
        fine[at] = (fine[at] ?? 0) + (own.values[at] ?? 0) * share;
      }
    }
  }
  return { columns, rows, values: fine };
}

function between(grid: Float32Array, columns: number, rows: number, x: number, y: number): number {
  const x0 = Math.min(columns - 1, Math.max(0, Math.floor(x)));
  const y0 = Math.min(rows - 1, Math.max(0, Math.floor(y)));
  const x1 = Math.min(columns - 1, x0 + 1);
  const y1 = Math.min(rows - 1, y0 + 1);
  const fx = Math.min(1, Math.max(0, x - x0));
  const fy = Math.min(1, Math.max(0, y - y0));
  const at = (row: number, column: number): number => grid[row * columns + column] ?? 0;
  return (
    at(y0, x0) * (1 - fx) * (1 - fy) +
    at(y0, x1) * fx * (1 - fy) +
    at(y1, x0) * (1 - fx) * fy +
    at(y1, x1) * fx * fy
  );
}
