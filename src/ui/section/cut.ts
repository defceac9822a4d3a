import type { Assessment } from '@/core/assess';
import type { Design } from '@/core/document';
import { heightAt, spansOf, type Corner, type Edge, type LayerResult, type Part } from '@/core/ground';

export type View = 'front' | 'side';

/** How each view looks at the box: what runs across the picture, and which corners stand at its two ends. */
export const VIEWS: Record<
  View,
  {
    readonly along: 'x' | 'y';
    readonly near: readonly [Corner, Corner];
    readonly edges: readonly [Edge, Edge];
  }
> = {
  front: { along: 'x', near: ['frontLeft', 'frontRight'], edges: ['left', 'right'] },
  side: { along: 'y', near: ['frontRight', 'backRight'], edges: ['front', 'back'] },
};

/** A stretch of the cut that runs through one part of the floor. */
export interface Span {
  readonly part: Part;
  /** m across the picture. */
  readonly from: number;
  readonly to: number;
  readonly layers: readonly {
    readonly result: LayerResult;
    /** Underside and upper side at both ends, m above the floor: straight between them. */
    readonly base: readonly [number, number];
    readonly top: readonly [number, number];
  }[];
}

/** Where a view cuts when nothing else is asked for: at the glass one looks through. */
export const nearCut = (view: View, { width }: Design['enclosure']): number => (view === 'front' ? 0 : width);
/** The wall opposite. */
export const farCut = (view: View, { depth }: Design['enclosure']): number => (view === 'front' ? depth : 0);

/** The ground along a straight cut: a bilinear surface is straight where x or y stays the same. */
export function cutThrough(assessment: Assessment, design: Design, view: View, at: number): readonly Span[] {
  const { along } = VIEWS[view];
  const reach = along === 'x' ? design.enclosure.depth : design.enclosure.width;
  // A hair inside the walls, where every part of the floor has two sides.
  const inside = Math.min(reach - 1e-6, Math.max(1e-6, at));
  const height = (result: LayerResult, which: 'base' | 'top', across: number): number =>
    along === 'x'
      ? heightAt(result[which], result.field, across, inside)
      : heightAt(result[which], result.field, inside, across);
  return assessment.ground.parts
    .flatMap((part) =>
      spansOf(part.outline, { along, at: inside }).map(([from, to]): Span => ({
        part,
        from,
        to,
        layers: part.stack.map((result) => ({
          result,
          base: [height(result, 'base', from), height(result, 'base', to)],
          top: [height(result, 'top', from), height(result, 'top', to)],
        })),
      })),
    )
    .sort((a, b) => a.from - b.from);
}
