import type { Body } from '../document/scapeSchema';

/** A place in the box, m: x to the right, y to the back, z up from the floor. */
export interface Vec {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** What a body takes up, upright, m. */
export interface Bounds {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly z1: number;
}

/** A body cut into upright columns: where one stands, its floor area, and from where to where it reaches. */
export interface Column {
  readonly x: number;
  readonly y: number;
  /** m² */
  readonly area: number;
  readonly low: number;
  readonly high: number;
}

/** A body where it stands. */
export interface Solid {
  readonly body: Body;
  /** Middle of the foot's end face; of a block the middle of its base. */
  readonly foot: Vec;
  /** Middle of the other end; of a block the middle of its top. */
  readonly head: Vec;
  readonly bounds: Bounds;
  /** m³ it takes up, its hollow included. */
  readonly volume: number;
  /** m³ of its own stuff. */
  readonly stuff: number;
  /** m³ inside it. */
  readonly encloses: number;
  /** m² of its outside. */
  readonly surface: number;
  /** m² of floor it shades from straight above. */
  readonly shades: number;
  /** From where to where it reaches over a place of the floor, m; undefined where it is not. */
  readonly reachAt: (x: number, y: number) => readonly [low: number, high: number] | undefined;
  /** Columns whose volumes add up to its own. */
  readonly columns: readonly Column[];
}

/** Shorter than this a long body has no direction, m. */
const LEAST = 1e-4;

interface Axis {
  /** Along the body, one long. */
  readonly u: Vec;
  readonly long: number;
  /** Across it and level, one long. */
  readonly b: Vec;
  /** Across both. */
  readonly n: Vec;
}

/** Directions of a long body; upright ones lie across the box. */
export function axisOf(run: { readonly x: number; readonly y: number }, rise: number): Axis {
  const level = Math.hypot(run.x, run.y);
  const long = Math.max(LEAST, Math.hypot(level, rise));
  // A tilt too small to see would leave the axes not quite square to one another: such a body is upright.
  const u =
    level >= LEAST
      ? { x: run.x / long, y: run.y / long, z: rise / long }
      : Math.abs(rise) < LEAST
        ? { x: 1, y: 0, z: 0 }
        : { x: 0, y: 0, z: Math.sign(rise) };
  const b = level < LEAST ? { x: 0, y: 1, z: 0 } : { x: -run.y / level, y: run.x / level, z: 0 };
  const n = {
    x: u.y * b.z - u.z * b.y,
    y: u.z * b.x - u.x * b.z,
    z: u.x * b.y - u.y * b.x,
  };
  return { u, long, b, n };
}

/** How far the underside of a long body's foot lies under the middle of its end, m. */
function footDrop(body: Exclude<Body, { shape: 'block' }>): number {
  const { u } = axisOf(body.run, body.rise);
  const flat = Math.hypot(u.x, u.y);
  return (body.shape === 'rod' ? body.diameter : body.thickness) * 0.5 * flat;
}

/**
 * A body with the underside of its foot at a height.
 * @param at its foot, or the middle of a block, m
 * @param base m above the floor
 */
export function solidOf(body: Body, at: { readonly x: number; readonly y: number }, base: number): Solid {
  return body.shape === 'block' ? blockAt(body, at, base) : longAt(body, at, base);
}

/** The same body so much higher: what was calculated of it is moved, not calculated again. */
export function lifted(solid: Solid, by: number): Solid {
  if (by === 0) return solid;
  const up = ({ x, y, z }: Vec): Vec => ({ x, y, z: z + by });
  const { bounds } = solid;
  return {
    ...omitColumns(solid),
    foot: up(solid.foot),
    head: up(solid.head),
    bounds: { ...bounds, z0: bounds.z0 + by, z1: bounds.z1 + by },
    reachAt: (x, y) => {
      const reach = solid.reachAt(x, y);
      return reach && [reach[0] + by, reach[1] + by];
    },
    get columns() {
      return lazy(this, () =>
        solid.columns.map(({ x, y, area, low, high }) => ({ x, y, area, low: low + by, high: high + by })),
      );
    },
  };
}

/** All of it but its columns, which would be cut by merely being copied. */
function omitColumns({ body, volume, stuff, encloses, surface, shades }: Solid) {
  return { body, volume, stuff, encloses, surface, shades };
}

/** The narrower of two intervals; undefined when they do not meet. */
type Interval = readonly [number, number];
const meet = (a: Interval, b: Interval): Interval | undefined => {
  const low = Math.max(a[0], b[0]);
  const high = Math.min(a[1], b[1]);
  return high > low ? [low, high] : undefined;
};

/** Heights ζ for which low ≤ c + s·ζ ≤ high. */
function between(c: number, s: number, low: number, high: number): Interval | undefined {
  if (Math.abs(s) < 1e-9) return c >= low && c <= high ? [-Infinity, Infinity] : undefined;
  const a = (low - c) / s;
  const b = (high - c) / s;
  return [Math.min(a, b), Math.max(a, b)];
}

function longAt(
  body: Exclude<Body, { shape: 'block' }>,
  at: { readonly x: number; readonly y: number },
  base: number,
): Solid {
  const { u, long, b, n } = axisOf(body.run, body.rise);
  const foot: Vec = { x: at.x, y: at.y, z: base + footDrop(body) };
  const head: Vec = { x: foot.x + u.x * long, y: foot.y + u.y * long, z: foot.z + u.z * long };
  const rod = body.shape === 'rod';
  const halfB = (rod ? body.diameter : body.breadth) / 2;
  const halfN = (rod ? body.diameter : body.thickness) / 2;
  /** Half of what the cross-section reaches along an axis of the box. */
  const spread = (axis: keyof Vec): number =>
    rod
      ? halfB * Math.sqrt(Math.max(0, 1 - u[axis] ** 2))
      : halfB * Math.abs(b[axis]) + halfN * Math.abs(n[axis]);
  const bounds = boundsFrom(foot, head, spread);

  const reachAt = (x: number, y: number): Interval | undefined => {
    const px = x - foot.x;
    const py = y - foot.y;
    const along = px * u.x + py * u.y;
    const within = between(along, u.z, 0, long);
    if (!within) return undefined;
    const across = rod
      ? roundAcross(px * px + py * py - along * along, along, u.z, halfB)
      : meetAll([
          between(px * b.x + py * b.y, b.z, -halfB, halfB),
          between(px * n.x + py * n.y, n.z, -halfN, halfN),
        ]);
    const both = across && meet(within, across);
    return both && [foot.z + both[0], foot.z + both[1]];
  };

  const hollow = rod && body.wall !== null ? Math.max(0, halfB - body.wall) : 0;
  const volume = rod ? Math.PI * halfB ** 2 * long : 4 * halfB * halfN * long;
  const encloses = Math.PI * hollow ** 2 * long;
  const flat = Math.hypot(u.x, u.y);
  return {
    body,
    foot,
    head,
    bounds,
    volume,
    stuff: volume - encloses,
    encloses,
    surface: rod ? 2 * Math.PI * halfB * (long + halfB) : 4 * (halfB * 2 * halfN + (halfB + halfN) * long),
    shades: rod
      ? 2 * halfB * long * flat + Math.PI * halfB ** 2 * Math.abs(u.z)
      : 4 * (halfB * halfN * Math.abs(u.z)) + 2 * halfB * long * Math.abs(n.z),
    reachAt,
    get columns() {
      const e = flat < LEAST ? { x: 1, y: 0 } : { x: u.x / flat, y: u.y / flat };
      const ends = halfN * Math.abs(u.z);
      const runs = long * flat;
      return lazy(this, () =>
        columnsOf(volume, reachAt, {
          at: foot,
          e,
          from: -ends,
          to: runs + ends,
          half: halfB,
          counts: [flat < 0.3 ? 12 : 24, 9],
        }),
      );
    },
  };
}

const meetAll = (all: readonly (Interval | undefined)[]): Interval | undefined =>
  all.reduce<Interval | undefined>((sum, it) => sum && it && meet(sum, it), [-Infinity, Infinity]);

/**
 * Where an upright line crosses a round rod. With ζ the height over its foot: (1 − u_z²)ζ² − 2·along·u_z·ζ +
 * (|p|² − along²) ≤ r².
 */
function roundAcross(off: number, along: number, uz: number, radius: number): Interval | undefined {
  const a = 1 - uz * uz;
  const half = along * uz;
  const c = off - radius * radius;
  if (a < 1e-9) return c <= 0 ? [-Infinity, Infinity] : undefined;
  const under = half * half - a * c;
  if (under <= 0) return undefined;
  const root = Math.sqrt(under);
  return [(half - root) / a, (half + root) / a];
}

function boundsFrom(foot: Vec, head: Vec, spread: (axis: keyof Vec) => number): Bounds {
  const range = (axis: keyof Vec): readonly [number, number] => {
    const by = spread(axis);
    return [Math.min(foot[axis], head[axis]) - by, Math.max(foot[axis], head[axis]) + by];
  };
  const [x0, x1] = range('x');
  const [y0, y1] = range('y');
  const [z0, z1] = range('z');
  return { x0, x1, y0, y1, z0, z1 };
}

function blockAt(
  body: Extract<Body, { shape: 'block' }>,
  at: { readonly x: number; readonly y: number },
  base: number,
): Solid {
  const { width, depth, height, form, wall } = body;
  const cos = Math.cos(body.turn);
  const sin = Math.sin(body.turn);
  const [a, b] = [width / 2, depth / 2];
  // A turned box reaches to its corners, a turned oval to where its rim turns back.
  const [halfX, halfY] =
    form === 'box'
      ? [Math.abs(a * cos) + Math.abs(b * sin), Math.abs(a * sin) + Math.abs(b * cos)]
      : [Math.hypot(a * cos, b * sin), Math.hypot(a * sin, b * cos)];
  const foot = { x: at.x, y: at.y, z: base };
  const head = { x: at.x, y: at.y, z: base + height };
  const reachAt = (x: number, y: number): Interval | undefined => {
    const dx = x - at.x;
    const dy = y - at.y;
    const p = (dx * cos + dy * sin) / a;
    const q = (dy * cos - dx * sin) / b;
    if (form === 'box') return Math.abs(p) <= 1 && Math.abs(q) <= 1 ? [base, base + height] : undefined;
    const off = p * p + q * q;
    if (off > 1) return undefined;
    if (form === 'round') return [base, base + height];
    const up = Math.sqrt(1 - off);
    return form === 'dome'
      ? [base, base + height * up]
      : [base + (height / 2) * (1 - up), base + (height / 2) * (1 + up)];
  };
  const fill = { box: 1, round: Math.PI / 4, boulder: Math.PI / 6, dome: Math.PI / 6 }[form];
  const volume = fill * width * depth * height;
  const t = wall ?? 0;
  const inner = (size: number, walls: number): number => Math.max(0, size - walls * t);
  const encloses = wall === null ? 0 : fill * inner(width, 2) * inner(depth, 2) * inner(height, 1);
  return {
    body,
    foot,
    head,
    bounds: {
      x0: at.x - halfX,
      x1: at.x + halfX,
      y0: at.y - halfY,
      y1: at.y + halfY,
      z0: base,
      z1: base + height,
    },
    volume,
    stuff: volume - encloses,
    encloses,
    surface: blockSurface(body),
    shades: (form === 'box' ? 1 : Math.PI / 4) * width * depth,
    reachAt,
    get columns() {
      return lazy(this, () =>
        columnsOf(volume, reachAt, {
          at,
          e: { x: cos, y: sin },
          from: -a,
          to: a,
          half: b,
          counts: [14, 14],
        }),
      );
    },
  };
}

/** Outside of a block, m². Ovals by Ramanujan's perimeter; ellipsoids by Thomsen's formula, p = 1.6075. */
function blockSurface({ form, width, depth, height }: Extract<Body, { shape: 'block' }>): number {
  const [a, b] = [width / 2, depth / 2];
  if (form === 'box') return 2 * (width * depth + (width + depth) * height);
  const base = Math.PI * a * b;
  if (form === 'round') {
    const h = ((a - b) / (a + b)) ** 2;
    const rim = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    return 2 * base + rim * height;
  }
  const c = form === 'boulder' ? height / 2 : height;
  const p = 1.6075;
  const whole = 4 * Math.PI * (((a * b) ** p + (a * c) ** p + (b * c) ** p) / 3) ** (1 / p);
  return form === 'boulder' ? whole : whole / 2 + base;
}

const cut = new WeakMap<object, readonly Column[]>();

/** Made when first asked for. */
function lazy(solid: object, make: () => readonly Column[]): readonly Column[] {
  const known = cut.get(solid);
  if (known) return known;
  const made = make();
  cut.set(solid, made);
  return made;
}

interface Grid {
  readonly at: { readonly x: number; readonly y: number };
  /** Along the grid, one long. */
  readonly e: { readonly x: number; readonly y: number };
  readonly from: number;
  readonly to: number;
  /** Half its breadth. */
  readonly half: number;
  readonly counts: readonly [along: number, across: number];
}

/** Columns on a grid along the body; their areas are scaled so that together they are its volume to rounding. */
function columnsOf(
  volume: number,
  reachAt: Solid['reachAt'],
  { at, e, from, to, half, counts: [n, m] }: Grid,
): readonly Column[] {
  const columns: { x: number; y: number; area: number; low: number; high: number }[] = [];
  const cell = ((to - from) / n) * ((2 * half) / m);
  let sum = 0;
  for (let i = 0; i < n; i += 1) {
    const s = from + ((to - from) * (i + 0.5)) / n;
    for (let j = 0; j < m; j += 1) {
      const t = -half + (2 * half * (j + 0.5)) / m;
      const x = at.x + e.x * s - e.y * t;
      const y = at.y + e.y * s + e.x * t;
      const reach = reachAt(x, y);
      if (!reach) continue;
      sum += cell * (reach[1] - reach[0]);
      columns.push({ x, y, area: cell, low: reach[0], high: reach[1] });
    }
  }
  if (sum <= 0) return [];
  const scale = volume / sum;
  for (const column of columns) column.area *= scale;
  return columns;
}
