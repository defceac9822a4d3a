import { patchOf, PATCHES } from './rays';

/**
 * Light that is thrown back and forth in a box: the radiosity of its sixteen patches, exactly.
 *
 *   J = ρ·(E + Fᵀ·J)        J what leaves each patch, E what lands on it first, F view factors
 *
 * Patches reflect evenly to all sides (Lambert). Flux in any unit (lm, W), lengths in m.
 */
export interface Cavity {
  readonly width: number;
  readonly depth: number;
  /** Ground, where the tiers meet, and lid, m above the floor. */
  readonly floor: number;
  readonly tier: number;
  readonly height: number;
  /** m² */
  readonly areas: Float64Array;
  /** Share of what leaves patch i that meets patch j, at i · 16 + j. */
  readonly views: Float64Array;
}

type Size = Pick<Cavity, 'width' | 'depth' | 'floor' | 'tier' | 'height'>;

/** A patch as a rectangle: the axis it is square to, where on it, and its stretch along the other two. */
interface Rectangle {
  readonly axis: 0 | 1 | 2;
  readonly at: number;
  readonly spans: readonly [readonly [number, number], readonly [number, number], readonly [number, number]];
}

function rectanglesOf({ width, depth, floor, tier, height }: Size): readonly Rectangle[] {
  const halves = [
    [0, width / 2],
    [width / 2, width],
  ] as const;
  const tiers = [
    [floor, tier],
    [tier, height],
  ] as const;
  const list: Rectangle[] = [];
  const put = (patch: number, axis: 0 | 1 | 2, at: number, spans: Rectangle['spans']): void =>
    void (list[patch] = { axis, at, spans });
  for (const side of [0, 1] as const) {
    const x = halves[side];
    put(patchOf('ground', side, 0), 2, floor, [x, [0, depth], [floor, floor]]);
    put(patchOf('lid', side, 0), 2, height, [x, [0, depth], [height, height]]);
    for (const high of [0, 1] as const) {
      put(patchOf('front', side, high), 1, 0, [x, [0, 0], tiers[high]]);
      put(patchOf('back', side, high), 1, depth, [x, [depth, depth], tiers[high]]);
    }
  }
  for (const high of [0, 1] as const) {
    put(patchOf('left', 0, high), 0, 0, [[0, 0], [0, depth], tiers[high]]);
    put(patchOf('right', 0, high), 0, width, [[width, width], [0, depth], tiers[high]]);
  }
  return list;
}

const AXES = [0, 1, 2] as const;

/**
 * Share of what leaves one rectangle that meets another, square or level to it: closed forms of Gross, Spindler & Hahne
 * 1981 (Lett. Heat Mass Transfer 8: 219), as in Howell’s catalogue C-13 and C-14.
 */
export function viewFactor(one: Rectangle, other: Rectangle): number {
  const area = AXES.filter((it) => it !== one.axis).reduce<number>(
    (product, axis) => product * (one.spans[axis][1] - one.spans[axis][0]),
    1,
  );
  if (area <= 0) return 0;
  let sum = 0;
  if (one.axis === other.axis) {
    const c = Math.abs(other.at - one.at);
    if (c < 1e-9) return 0;
    const [u, v] = AXES.filter((it) => it !== one.axis) as [0 | 1 | 2, 0 | 1 | 2];
    for (let i = 0; i < 2; i += 1)
      for (let j = 0; j < 2; j += 1)
        for (let k = 0; k < 2; k += 1)
          for (let l = 0; l < 2; l += 1) {
            const dx = (one.spans[u][i] ?? 0) - (other.spans[u][l] ?? 0);
            const dy = (one.spans[v][j] ?? 0) - (other.spans[v][k] ?? 0);
            const a = Math.sqrt(dx * dx + c * c);
            const b = Math.sqrt(dy * dy + c * c);
            const g =
              dy * a * Math.atan(dy / a) +
              dx * b * Math.atan(dx / b) -
              0.5 * c * c * Math.log(dx * dx + dy * dy + c * c);
            sum += ((i + j + k + l) % 2 === 0 ? 1 : -1) * g;
          }
    return sum / (2 * Math.PI * area);
  }
  const common = AXES.find((it) => it !== one.axis && it !== other.axis) as 0 | 1 | 2;
  // Distances from the edge both planes share.
  const near = (it: Rectangle, axis: 0 | 1 | 2, edge: number): readonly [number, number] => {
    const [a, b] = it.spans[axis].map((value) => Math.abs(value - edge)) as [number, number];
    return a < b ? [a, b] : [b, a];
  };
  const y = near(one, other.axis, other.at);
  const z = near(other, one.axis, one.at);
  for (let i = 0; i < 2; i += 1)
    for (let j = 0; j < 2; j += 1)
      for (let k = 0; k < 2; k += 1)
        for (let l = 0; l < 2; l += 1) {
          const d = (one.spans[common][i] ?? 0) - (other.spans[common][l] ?? 0);
          const r2 = (y[j] ?? 0) ** 2 + (z[k] ?? 0) ** 2;
          const r = Math.sqrt(r2);
          const all = r2 + d * d;
          const g =
            (r > 0 ? d * r * Math.atan(d / r) : 0) - (all > 0 ? 0.25 * (r2 - d * d) * Math.log(all) : 0);
          sum += ((i + j + k + l) % 2 === 0 ? 1 : -1) * g;
        }
  return sum / (2 * Math.PI * area);
}

const cavities = new Map<string, Cavity>();

/** The patches of a box and what they see of each other; made once for each size. */
export function cavityOf(size: Size): Cavity {
  const { width, depth, height } = size;
  const floor = Math.min(size.floor, height - 0.02);
  const tier = Math.min(height - 0.005, Math.max(floor + 0.005, size.tier));
  const key = [width, depth, floor, tier, height].map((it) => it.toFixed(4)).join(' ');
  let cavity = cavities.get(key);
  if (!cavity) {
    const rectangles = rectanglesOf({ width, depth, floor, tier, height });
    const areas = Float64Array.from(rectangles, (it) =>
      AXES.filter((axis) => axis !== it.axis).reduce<number>(
        (product, axis) => product * (it.spans[axis][1] - it.spans[axis][0]),
        1,
      ),
    );
    const views = new Float64Array(PATCHES * PATCHES);
    for (let i = 0; i < PATCHES; i += 1)
      for (let j = i + 1; j < PATCHES; j += 1) {
        const [one, other] = [rectangles[i], rectangles[j]];
        if (!one || !other) continue;
        const view = Math.max(0, viewFactor(one, other));
        views[i * PATCHES + j] = view;
        views[j * PATCHES + i] = (view * (areas[i] ?? 0)) / Math.max(1e-12, areas[j] ?? 0);
      }
    cavity = { width, depth, floor, tier, height, areas, views };
    if (cavities.size > 200) cavities.clear();
    cavities.set(key, cavity);
  }
  return cavity;
}

export interface Bounced {
  /** Flux that leaves each patch by reflection, and that meets it in all. */
  readonly leaving: Float64Array;
  readonly meeting: Float64Array;
  /** Flux that leaves keep on its way between the patches. */
  readonly kept: number;
}

/**
 * Solves the radiosity of a box.
 * @param reflects of each patch, 0 to under 1
 * @param first flux that lands on each at first
 * @param clear share of what goes from patch to patch that leaves on the way let through
 */
export function bounce(
  { views }: Cavity,
  reflects: ArrayLike<number>,
  first: ArrayLike<number>,
  clear = 1,
): Bounced {
  const n = PATCHES;
  const a = new Float64Array(n * (n + 1));
  for (let i = 0; i < n; i += 1) {
    const rho = reflects[i] ?? 0;
    for (let j = 0; j < n; j += 1)
      a[i * (n + 1) + j] = (i === j ? 1 : 0) - rho * clear * (views[j * n + i] ?? 0);
    a[i * (n + 1) + n] = rho * (first[i] ?? 0);
  }
  // The diagonal outweighs its row: no pivots are needed.
  for (let p = 0; p < n; p += 1)
    for (let r = p + 1; r < n; r += 1) {
      const m = a[r * (n + 1) + p]! / a[p * (n + 1) + p]!;
      if (m === 0) continue;
      for (let c = p; c <= n; c += 1) a[r * (n + 1) + c]! -= m * a[p * (n + 1) + c]!;
    }
  const leaving = new Float64Array(n);
  for (let r = n - 1; r >= 0; r -= 1) {
    let sum = a[r * (n + 1) + n]!;
    for (let c = r + 1; c < n; c += 1) sum -= a[r * (n + 1) + c]! * leaving[c]!;
    leaving[r] = sum / a[r * (n + 1) + r]!;
  }
  const meeting = Float64Array.from({ length: n }, (_, i) => first[i] ?? 0);
  let sent = 0;
  for (let j = 0; j < n; j += 1) {
    sent += leaving[j]!;
    for (let i = 0; i < n; i += 1) meeting[i]! += clear * leaving[j]! * views[j * n + i]!;
  }
  return { leaving, meeting, kept: (1 - clear) * sent };
}

/**
 * What a level receiver, facing up, gets from patches above it, for each m²: view factors of a point (Howell’s catalogue
 * B-3 and B-4).
 * @param exitance flux that leaves each m² of each patch
 */
export function upwardLook(
  cavity: Cavity,
  exitance: ArrayLike<number>,
  x: number,
  y: number,
  z: number,
): number {
  const { width, depth, floor, tier, height } = cavity;
  const middle = width / 2;
  let sum = 0;
  // The lid: level, h over the point.
  const h = Math.max(1e-4, height - z);
  const level = (a: number, b: number): number => {
    const [u, v] = [Math.hypot(a, h), Math.hypot(b, h)];
    return (a / u) * Math.atan(b / u) + (b / v) * Math.atan(a / v);
  };
  const [y0, y1] = [-y, depth - y];
  const [xa, xb, xc] = [-x, middle - x, width - x];
  const lidB = level(xb, y1) - level(xb, y0);
  sum += (exitance[2] ?? 0) * (lidB - level(xa, y1) + level(xa, y0));
  sum += (exitance[3] ?? 0) * (level(xc, y1) - level(xc, y0) - lidB);
  // Walls: c away, from b0 to b1 along them, from the height of the point up.
  const upright = (c: number, b: number, top: number): number => {
    const far = Math.hypot(top, c);
    return Math.atan(b / c) - (c / far) * Math.atan(b / far);
  };
  const low = Math.max(0, Math.min(tier, height) - Math.max(z, floor - 1));
  const wall = (c: number, b0: number, b1: number, under: number, over: number): void => {
    const away = Math.max(1e-4, c);
    const toTier = low > 0 ? upright(away, b1, low) - upright(away, b0, low) : 0;
    const toLid = upright(away, b1, h) - upright(away, b0, h);
    sum += under * toTier + over * (toLid - toTier);
  };
  wall(x, y0, y1, exitance[4] ?? 0, exitance[5] ?? 0);
  wall(width - x, y0, y1, exitance[6] ?? 0, exitance[7] ?? 0);
  for (const [c, base] of [
    [y, 8],
    [depth - y, 12],
  ] as const) {
    wall(c, xa, xb, exitance[base] ?? 0, exitance[base + 1] ?? 0);
    wall(c, xb, xc, exitance[base + 2] ?? 0, exitance[base + 3] ?? 0);
  }
  return sum / (2 * Math.PI);
}
