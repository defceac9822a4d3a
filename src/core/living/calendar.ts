import { underLeaves } from '../light/sources';
import type { Design } from '../document/schema';
import { SLACK } from './fit';
import { leafIndex, monthsUntil, sizeAfter } from '../pieces/growth';
import { sproutMonths, type PlantedResult } from './planted';

export type GrowthEvent =
  /** It reaches the lid or the lamp over it. */
  | { readonly at: number; readonly plant: string; readonly what: 'reaches the lid' }
  /** It grows into its neighbour or the pane. */
  | { readonly at: number; readonly plant: string; readonly what: 'outgrows its place' }
  /** It takes another plant's light below what that one lives by. */
  | { readonly at: number; readonly plant: string; readonly what: 'shades'; readonly other: string }
  /** To be cut back. */
  | { readonly at: number; readonly plant: string; readonly what: 'cut back' };

export interface GrowthInput {
  readonly design: Design;
  readonly plants: readonly PlantedResult[];
  /** Fit of each plant by id, and light where it stands, mol/m² a day. */
  readonly fit: (id: string) => number;
  readonly light: (id: string) => number;
  readonly months: number;
}

/** Room kept under the lid, m. */
const UNDER_LID = 0.02;
/** Cut back to this share of what it was. */
const CUT_TO = 0.6;
/** Plants that spread beyond this share of the room they have are in their neighbours. */
const SQUEEZED = 1.9;

/**
 * What growth comes to, in months from now, soonest first: when one reaches the lid, outgrows its place, shades another
 * to death, and each time it is then to be cut.
 */
export function growthEvents({ design, plants, fit, light, months }: GrowthInput): readonly GrowthEvent[] {
  const { height, width, depth } = design.enclosure;
  const events: GrowthEvent[] = [];
  for (const it of plants) {
    const { planted, plant } = it;
    if (!plant) continue;
    const own = Math.max(0.15, fit(planted.id));
    const pace = plant.months.value;
    const start = planted.size;
    const cutFrom = (at: number, share: number): void => {
      // Cut, it grows back to the same size and is cut again.
      const again = monthsUntil(share * CUT_TO, pace, share, own);
      for (let t = at; t <= months; t += Math.max(0.5, again ?? Infinity))
        events.push({ at: t, plant: planted.id, what: 'cut back' });
    };
    let first: { at: number; share: number } | undefined;
    const wait = sproutMonths(planted, plant);
    const reach = (share: number): number | null => {
      const grows = share >= 1 ? null : monthsUntil(start, pace, share, own);
      return grows === null ? null : wait + grows;
    };
    const headroom = height - UNDER_LID - it.z;
    if (!it.hangs && plant.form !== 'climber' && it.grown.height > headroom) {
      const share = headroom / it.grown.height;
      const at = reach(Math.max(0.02, share));
      if (at !== null && at <= months) {
        events.push({ at, plant: planted.id, what: 'reaches the lid' });
        first = { at, share };
      }
    }
    // Room to the panes on both sides of it and to the nearest neighbour of its own height.
    const toPane =
      planted.spot.on === 'ground' ? Math.min(it.x, width - it.x) + 0.5 * Math.min(it.y, depth - it.y) : 0.4;
    let room = Math.max(0.05, toPane * 2);
    for (const other of plants) {
      if (other === it || (other.stratum === 'carpet') !== (it.stratum === 'carpet')) continue;
      const far = Math.hypot(other.x - it.x, other.y - it.y, other.z - it.z);
      const share = it.grown.width / Math.max(0.01, it.grown.width + other.grown.width);
      room = Math.min(room, Math.max(0.03, far * share * 2));
    }
    const share = (room * SQUEEZED) / it.grown.width;
    if (share < 1) {
      const at = reach(Math.max(0.02, share));
      if (at !== null && at <= months) {
        events.push({ at, plant: planted.id, what: 'outgrows its place' });
        if (!first || at < first.at) first = { at, share };
      }
    }
    if (first) cutFrom(first.at, Math.max(0.05, first.share));
  }

  // Shade: under a taller neighbour's leaves, month by month.
  const told = new Set<string>();
  for (let month = 0; month <= months; month += 1) {
    for (const over of plants) {
      if (!over.plant || over.hangs || over.planted.spot.on === 'wall') continue;
      const share = sizeAfter(
        over.planted.size,
        over.plant.months.value,
        Math.max(0, month - sproutMonths(over.planted, over.plant)),
        Math.max(0.15, fit(over.planted.id)),
      );
      const crown = over.grown.width * share;
      const top = over.z + over.grown.height * share;
      for (const under of plants) {
        const key = `${over.planted.id} ${under.planted.id}`;
        if (under === over || !under.plant || told.has(key)) continue;
        const size = sizeAfter(
          under.planted.size,
          under.plant.months.value,
          Math.max(0, month - sproutMonths(under.planted, under.plant)),
          Math.max(0.15, fit(under.planted.id)),
        );
        if (under.z + under.grown.height * size >= top * 0.9) continue;
        if (Math.hypot(over.x - under.x, over.y - under.y) > crown * 0.4) continue;
        // High over it a crown shades hardly: light comes in from all sides.
        if (over.z - under.z > crown * 2) continue;
        const left = light(under.planted.id) * underLeaves(leafIndex(over.plant));
        const needs = under.plant.light.value.low * SLACK.dim;
        if (left < needs && light(under.planted.id) >= needs) {
          told.add(key);
          events.push({ at: month, plant: over.planted.id, what: 'shades', other: under.planted.id });
        }
      }
    }
  }
  return events.sort((a, b) => a.at - b.at || a.plant.localeCompare(b.plant));
}
