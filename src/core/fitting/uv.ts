import type { Animal, Catalogue } from '../catalogue';
import { baskingPoint, warmPlace } from '../climate/basking';
import { lampsOf, uvAt, type Lit } from '../climate/lamps';
import type { Design } from '../document/schema';
import { isOff, withSettings } from '../document/seasonal';
import { siteAt } from '../ground/bodies';
import type { GroundResult } from '../ground/layers';
import { seenFrom, uvFrom, type Point3 } from '../light/field';
import { UV_ZONES, type UvZone } from '../light/zones';

/** UV where the animal meets most of it, against its zone. */
export interface UvJudged {
  readonly zone: UvZone;
  /** UV index it is met at its brightest by kinds of this zone: least, most. */
  readonly wanted: { readonly low: number; readonly high: number };
  readonly place: Point3;
  readonly at: 'basking' | 'perch' | 'ground';
  readonly index: readonly [low: number, middle: number, high: number];
  /** Least that is met on the ground, as a share of that. */
  readonly shade: number;
  readonly lamps: readonly string[];
  readonly answer: 'inside' | 'weak' | 'strong' | 'no shade';
  /** Name of the part of the year this is met in, where its settings are not those of the rest; null: the whole year. */
  readonly season: string | null;
}

/** Share of the brightest place that a shaded one may have (common practice: out of the beam, behind a leaf). */
export const SHADE = 0.25;
/** m over what it lies on: its back. */
const BACK = 0.02;

/** Where it is met: the basking place, else the highest perch, else the ground under the warm place. */
export function brightestPlace(
  design: Design,
  animal: Animal,
  ground: GroundResult,
): { readonly place: Point3; readonly at: UvJudged['at'] } {
  const { width, depth } = design.enclosure;
  const warm = warmPlace(width, design.scape.warm);
  const basking = ground.pieces.find(({ piece }) => piece.basking);
  const up = (at: Point3): Point3 => ({ ...at, z: at.z + BACK });
  if (basking) return { place: up(baskingPoint(basking, warm, siteAt(design).groundAt)), at: 'basking' };
  if (animal.perch || animal.life.value === 'climbing') {
    const rods = ground.pieces.filter(({ piece }) => piece.body.shape === 'rod');
    const highest = [...rods].sort((a, b) => b.solid.bounds.z1 - a.solid.bounds.z1)[0];
    if (highest) {
      const { head } = highest.solid;
      const clamp = (value: number, most: number): number => Math.min(most - 0.01, Math.max(0.01, value));
      const at = { x: clamp(head.x, width), y: clamp(head.y, depth) };
      return {
        place: up({ ...at, z: highest.solid.reachAt(at.x, at.y)?.[1] ?? highest.solid.bounds.z1 }),
        at: 'perch',
      };
    }
  }
  const at = { x: warm, y: depth / 2 };
  return { place: up({ ...at, z: siteAt(design).groundAt(at.x, at.y) }), at: 'ground' };
}

/**
 * Judges UV by the middle of what is known of the lamps, in every part of the year that is set otherwise: the first that is
 * out of its zone, else that of the whole year.
 * @param known its lamps, where they were made already
 * @returns null without any lamp for a kind that needs none
 */
export function judgeUv(
  design: Design,
  animal: Animal,
  ground: GroundResult,
  catalogue: Catalogue,
  known?: readonly Lit[],
): UvJudged | null {
  const whole = judgedAs(design, animal, ground, catalogue, null, known);
  if (whole?.answer !== 'inside') return whole;
  for (const season of design.climate.seasons) {
    const own = judgedAs(withSettings(design, season), animal, ground, catalogue, season.name);
    if (own && own.answer !== 'inside') return own;
  }
  return whole;
}

function judgedAs(
  design: Design,
  animal: Animal,
  ground: GroundResult,
  catalogue: Catalogue,
  season: string | null,
  known?: readonly Lit[],
): UvJudged | null {
  const zone = animal.climate.uvZone.value as UvZone;
  const lit = (known ?? lampsOf(design, catalogue, null)).filter(
    (it) => it.lamp.uvIndex > 0 && !isOff(it.device),
  );
  const [least, most] = UV_ZONES[zone].maximum;
  // Kinds of the shade meet little and are kept without as well.
  const wanted = { low: zone === 1 ? 0 : least, high: most };
  if (lit.length === 0 && zone === 1) return null;
  const { place, at } = brightestPlace(design, animal, ground);
  const index = uvAt(lit, place);
  const [, middle] = index;
  const shade = lit.length === 0 ? 0 : darkest(design, ground, lit) / Math.max(1e-6, middle);
  return {
    zone,
    wanted,
    place,
    at,
    index,
    shade,
    lamps: lit.map((it) => it.device.id),
    season,
    answer:
      middle < wanted.low
        ? 'weak'
        : middle > wanted.high
          ? 'strong'
          : zone > 1 && shade >= SHADE
            ? 'no shade'
            : 'inside',
  };
}

/** Least UV on the ground of the box, shadows counted. */
function darkest(design: Design, ground: GroundResult, lit: readonly Lit[]): number {
  const { width, depth } = design.enclosure;
  const site = siteAt(design);
  const shades = ground.pieces.map((it) => it.solid);
  let least = Infinity;
  for (let i = 0; i < 6; i += 1)
    for (let j = 0; j < 4; j += 1) {
      const x = (width * (i + 0.5)) / 6;
      const y = (depth * (j + 0.5)) / 4;
      const point = { x, y, z: Math.max(site.groundAt(x, y), site.waterAt(x, y) ?? 0) + BACK };
      // Under a broad piece there is hardly any sky.
      let sum = 0;
      for (const { lamp } of lit)
        sum += uvFrom(lamp, point.x, point.y, point.z) * seenFrom(lamp, shades, point);
      least = Math.min(least, sum);
    }
  return least;
}
