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
  /** What gauze, cover and age leave of UV, of light and of warmth. */
  readonly passes: { readonly uv: number; readonly light: number; readonly heat: number };
}

export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Spread of light under a tube or panel: a flat strip gives its most straight down (cosine). */
function geometry(lamp: Lamp, x: number, y: number, z: number) {
  const dx = x - lamp.x;
  const dy = y - lamp.y;
  const h = lamp.z - z;
  const along = lamp.along === 'x' ? dx : dy;
  const across = lamp.along === 'x' ? dy : dx;
  return {
    h,
    along,
    across,
    off: Math.sqrt(h * h + across * across),
    far: Math.sqrt(dx * dx + dy * dy + h * h),
  };
}

const references = new WeakMap<Lamp, number>();
/** Of a tube at its reference distance, reckoned once for each lamp. */
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
  const { h, along, off, far } = geometry(lamp, x, y, z);
  if (h <= 0.01) return 0;
  if (lamp.form === 'tube') {
    const reference = referenceOf(lamp);
    return (lamp.uvIndex * lamp.passes.uv * tubeAt(lamp.length, along, off) * (h / off)) / reference;
  }
  return lamp.uvIndex * lamp.passes.uv * pointRatio(far, lamp.reference) * (h / far);
}

/** Lux on a level surface. A tube shines all round its axis, a panel or strip by the cosine, a bulb by its beam. */
export function luxFrom(lamp: Lamp, x: number, y: number, z: number): number {
  if (lamp.lumens <= 0) return 0;
  const { h, along, off, far } = geometry(lamp, x, y, z);
  if (h <= 0.005) return 0;
  const lumens = lamp.lumens * lamp.passes.light;
  if (lamp.form === 'bulb') {
    return (onAxis(lumens, lamp.half) * inBeam(Math.acos(h / far), lamp.half) * (h / far)) / (far * far);
  }
  // A bare tube: lumens per m over π², all round; half as much again by its reflector. A strip shines by the cosine
  // (Lambert) into the half below it: lumens per m over π on its axis.
  const perLength = lumens / Math.max(0.02, lamp.length);
  const tube = (perLength / (2 * Math.PI * Math.PI)) * tubeAt(lamp.length, along, off) * (h / off);
  return lamp.form === 'tube' ? 1.5 * tube : Math.PI * tube * (h / off);
}

/** W/m² of warmth on a level surface. */
export function heatFrom(lamp: Lamp, x: number, y: number, z: number): number {
  if (lamp.radiant <= 0) return 0;
  const { h, along, off, far } = geometry(lamp, x, y, z);
  if (h <= 0.01) return 0;
  const watts = lamp.radiant * lamp.passes.heat;
  if (lamp.form === 'bulb')
    return (onAxis(watts, lamp.half) * inBeam(Math.acos(h / far), lamp.half) * (h / far)) / (far * far);
  return (
    ((1.5 * watts) / Math.max(0.02, lamp.length) / (2 * Math.PI * Math.PI)) *
    tubeAt(lamp.length, along, off) *
    (h / off)
  );
}

/** µmol/m²s of light plants use. */
export const ppfdFrom = (lamp: Lamp, x: number, y: number, z: number): number =>
  luxFrom(lamp, x, y, z) / LUX_PER_PPFD[lamp.light];

export const FIELDS = { uv: uvFrom, ppfd: ppfdFrom, heat: heatFrom } as const;
export type FieldName = keyof typeof FIELDS;

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

/** The sum of some lamps over a plane. */
export function fieldOf(
  name: FieldName,
  lamps: readonly Lamp[],
  plane: Plane,
  columns: number,
  rows: number,
): Field {
  const values = new Float32Array(columns * rows);
  const from = FIELDS[name];
  for (const lamp of lamps) {
    for (let row = 0; row < rows; row += 1) {
      const z = ((row + 0.5) * plane.height) / rows;
      for (let column = 0; column < columns; column += 1) {
        const s = ((column + 0.5) * plane.width) / columns;
        const at = row * columns + column;
        values[at] =
          (values[at] ?? 0) +
          (plane.view === 'front' ? from(lamp, s, plane.cut, z) : from(lamp, plane.cut, s, z));
      }
    }
  }
  return { columns, rows, values };
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
    const own = fieldOf(name, [lamp], plane, columns, rows);
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
