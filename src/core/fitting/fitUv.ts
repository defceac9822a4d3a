import { findDeviceKind, type Animal, type Catalogue } from '../catalogue';
import { lampsOf, uvSum } from '../climate/lamps';
import type { Design, Device } from '../document/schema';
import type { GroundResult } from '../ground/layers';
import { brightestPlace, judgeUv, type UvJudged } from './uv';
import { fitted, kindOf, overOf, without, withNew } from './fittings';

/** Tubes by watts and length, m, as they are made (common practice). */
const TUBES: Readonly<Record<'T5' | 'T8', readonly (readonly [watts: number, length: number])[]>> = {
  T5: [
    [8, 0.288],
    [14, 0.4],
    [24, 0.55],
    [39, 0.85],
    [54, 1.15],
  ],
  T8: [
    [15, 0.45],
    [18, 0.59],
    [30, 0.9],
  ],
};

/** UV lamps of a design. */
export const uvLamps = (design: Design, catalogue: Catalogue): readonly Device[] =>
  design.climate.devices.filter((it) => kindOf(it, catalogue)?.uvIndex !== undefined);

/** m a tube keeps from an animal’s back at the least (common practice: more is better, burns begin nearer). */
const NEAREST = 0.1;

interface Way {
  readonly kind: string;
  readonly watts: number;
  readonly length: number;
  readonly z: number;
}

/** m over an animal’s back that a tube hangs at on a wire. */
const ON_A_WIRE = [0.2, 0.25, 0.3, 0.4, 0.5] as const;

/** Every tube that fits, at every height it may hang: over the lid, then under it, then on a wire. */
function waysFor(design: Design, catalogue: Catalogue, spot: { readonly z: number }): readonly Way[] {
  const { width, height } = design.enclosure;
  const over = overOf(design);
  const heights = [
    ...(over > height ? [over, over + 0.1, over + 0.2, over + 0.3] : []),
    ...[0.05, 0.1, 0.15, 0.2].map((down) => height - down),
    // On a wire, where the top is far off.
    ...ON_A_WIRE.map((up) => spot.z + up).filter((z) => z < height - 0.2),
  ].filter((z) => z > spot.z + NEAREST);
  return catalogue.climate.devices
    .filter((it) => it.uvIndex && it.form === 'tube')
    .flatMap((kind) =>
      (kind.id.includes('t8') ? TUBES.T8 : TUBES.T5)
        .filter(([watts, length]) => kind.powers.includes(watts) && length <= width - 0.01)
        .flatMap(([watts, length]) => heights.map((z) => ({ kind: kind.id, watts, length, z }))),
    );
}

/**
 * Fits a UV tube whose middle at the place where it is met most lies in the animal's zone, with a shaded place left; kinds
 * of the shade go without. What hangs there already stays when it does.
 * @returns the design, and what its UV comes to; null: no tube does
 */
export function fitUv(
  design: Design,
  animal: Animal,
  ground: GroundResult,
  catalogue: Catalogue,
  locked: readonly string[] = [],
): { readonly design: Design; readonly uv: UvJudged | null } | null {
  const now = judgeUv(design, animal, ground, catalogue);
  if (now === null || now.answer === 'inside') return { design, uv: now };
  const old = uvLamps(design, catalogue);
  if (old.some((it) => locked.includes(it.id))) return null;
  const bare = without(design, ...old.map((it) => it.id));
  const dark = judgeUv(bare, animal, ground, catalogue);
  if (dark === null) return { design: bare, uv: null };
  const { topCover, top } = bare.enclosure;
  // Glass stops UV: where the cover leaves no room for a tube, less of the top is covered.
  const covers = [topCover, ...(top === 'solid' ? [] : [0.7, 0.55, 0.4, 0.2].filter((it) => it < topCover))];
  for (const cover of covers) {
    const found = tubeFor(
      { ...bare, enclosure: { ...bare.enclosure, topCover: cover } },
      animal,
      ground,
      catalogue,
      dark,
      old[0]?.id,
    );
    if (found) return found;
  }
  return null;
}

/** The tube that serves best under such a cover; null: none does. */
function tubeFor(
  bare: Design,
  animal: Animal,
  ground: GroundResult,
  catalogue: Catalogue,
  dark: UvJudged,
  id: string | undefined,
): { readonly design: Design; readonly uv: UvJudged } | null {
  const { place } = brightestPlace(bare, animal, ground);
  const { width, depth, height } = bare.enclosure;
  const aim = Math.sqrt(dark.wanted.low * dark.wanted.high);
  const tried = waysFor(bare, catalogue, place).flatMap((way) => {
    const kind = findDeviceKind(catalogue, way.kind);
    if (!kind) return [];
    const half = way.length / 2;
    const at = {
      x: Math.min(width - half - 0.01, Math.max(half + 0.01, place.x)),
      y: Math.min(depth - 0.05, Math.max(0.05, place.y)),
      z: way.z,
    };
    const next = withNew(
      bare,
      fitted(bare, kind, { at, length: way.length, power: way.watts, ...(id ? { id } : {}) }),
    );
    const uv = uvSum(
      lampsOf(next, catalogue, null).map((it) => it.lamp),
      place,
    );
    // Near the middle of the zone; over the lid before inside; one that is cheap before one that is not.
    const off = Math.abs(Math.log(uv / aim));
    const inside = way.z < height ? Math.min(0.6, 0.15 + 2 * (height - way.z)) : way.z - height;
    return [{ next, uv, cost: off + inside + kind.price.value / 200 + way.watts / 200 }];
  });
  tried.sort((a, b) => a.cost - b.cost);
  for (const { next, uv } of tried) {
    if (uv < dark.wanted.low * 1.05 || uv > dark.wanted.high * 0.95) continue;
    const judged = judgeUv(next, animal, ground, catalogue);
    if (judged?.answer === 'inside') return { design: next, uv: judged };
  }
  return null;
}
