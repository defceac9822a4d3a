'use client';

import { memo } from 'react';
import type { Assessment } from '@/core/assess';
import type { Design } from '@/core/document';
import { heightAt, within } from '@/core/ground';
import type { PieceResult } from '@/core/scape';
import type { Vec } from '@/core/pieces';
import { ResizeHandles, type PieceTools } from './ResizeHandles';
import { PieceShape } from './PieceShape';
import { nearness, type Projection } from './projection';

interface Props {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly projection: Projection;
  /** px of the whole drawing. */
  readonly size: { readonly width: number; readonly height: number };
  readonly prefix: string;
  readonly tools: PieceTools | undefined;
  /** Ground that lies between the piece and who looks: as high as where the drawing is cut. */
  readonly cut: number;
  readonly plain: boolean;
}

/** Everything that stands in the box, the farthest first, each clipped to the ground it stands in. */
export function PieceLayer({ design, assessment, projection, size, prefix, tools, cut, plain }: Props) {
  const { view, left, floor, scale } = projection;
  const far = [...assessment.scape.pieces].sort(
    (a, b) => nearness(view, middleOf(a)) - nearness(view, middleOf(b)),
  );
  return (
    <>
      {far.map((it) => {
        const { piece, base, ground } = it.placed;
        const buried = view !== 'plan' && (base < ground - 0.001 || it.buried > 1e-7);
        return (
          <Item
            key={piece.id}
            result={it}
            line={buried ? groundLine(assessment, design, projection, it, cut) : undefined}
            clip={`${prefix}-clip-${piece.id}`}
            tools={tools}
            chosen={tools?.selected === piece.id}
            plain={plain}
            {...{ view, left, floor, scale }}
            width={size.width}
            height={size.height}
          />
        );
      })}
    </>
  );
}

interface ItemProps extends Projection {
  readonly result: PieceResult;
  /** What is seen over the ground; undefined where all of it is. */
  readonly line: string | undefined;
  readonly clip: string;
  readonly tools: PieceTools | undefined;
  readonly chosen: boolean;
  readonly plain: boolean;
  readonly width: number;
  readonly height: number;
}

/** Drawn anew only when it moves, is picked, or the ground in it changes: the others stand still while one is dragged. */
const Item = memo(
  function Item({ result, line, clip, tools, chosen, plain, width, height, ...projection }: ItemProps) {
    const { piece, grounded, base } = result.placed;
    // Drawn on the floor and moved up: ground that rises under a piece does not draw it anew.
    const up = projection.view === 'plan' ? 0 : -base * projection.scale;
    const shape = (
      <g transform={`translate(0 ${up.toFixed(2)})`}>
        <PieceShape
          piece={piece}
          solid={grounded}
          look={result.kind?.look ?? 'wood'}
          water={result.uses.includes('fall') ? 'fall' : result.uses.includes('drink') ? 'dish' : undefined}
          {...projection}
        />
      </g>
    );
    const url = line === undefined ? undefined : `url(#${clip})`;
    return (
      <g>
        {line !== undefined && (
          <clipPath id={clip}>
            <polygon points={line} />
          </clipPath>
        )}
        {tools ? (
          <ResizeHandles {...{ result, tools, chosen, projection }} size={{ width, height }}>
            {url && chosen && <g opacity={0.35}>{shape}</g>}
            <g clipPath={url}>{shape}</g>
          </ResizeHandles>
        ) : (
          <g clipPath={url} pointerEvents="none" aria-hidden={plain || undefined}>
            {shape}
          </g>
        )}
      </g>
    );
  },
  (before, after) =>
    // Another piece that is picked changes the tools, and nothing of this one.
    (Object.keys(after) as (keyof ItemProps)[]).every(
      (key) => key === 'tools' || Object.is(before[key], after[key]),
    ) &&
    (before.tools === undefined) === (after.tools === undefined) &&
    before.tools?.onMove === after.tools?.onMove,
);

const middleOf = ({ placed: { solid } }: PieceResult): Vec => ({
  x: (solid.bounds.x0 + solid.bounds.x1) / 2,
  y: (solid.bounds.y0 + solid.bounds.y1) / 2,
  z: (solid.bounds.z0 + solid.bounds.z1) / 2,
});

/**
 * What is seen over the ground at a piece, as a polygon in px: over the ground it runs through, place by place, and over
 * what lies before it where the drawing is cut.
 */
function groundLine(
  assessment: Assessment,
  design: Design,
  projection: Projection,
  result: PieceResult,
  cut: number,
): string {
  const { view, left, floor, scale } = projection;
  const key = `${view} ${left} ${floor} ${scale} ${cut}`;
  const before = lines.get(result);
  if (before?.ground === design.ground && before.key === key) return before.line;
  const line = lineOf(assessment, design, projection, result, cut);
  lines.set(result, { ground: design.ground, key, line });
  return line;
}

const lines = new WeakMap<
  PieceResult,
  { readonly ground: Design['ground']; readonly key: string; readonly line: string }
>();

function lineOf(
  assessment: Assessment,
  design: Design,
  { view, left, floor, scale }: Projection,
  { placed: { solid } }: PieceResult,
  cut: number,
): string {
  const { width, depth } = design.enclosure;
  const front = view === 'front';
  const across = front ? width : depth;
  const [a, b] = [solid.foot, solid.head];
  const [from, to] = front ? [a.x, b.x] : [a.y, b.y];
  /** How far in a long piece is, where it passes a place of the drawing. */
  const inAt = (s: number): number => {
    const t = Math.abs(to - from) < 1e-3 ? 0 : Math.min(1, Math.max(0, (s - from) / (to - from)));
    return front ? a.y + (b.y - a.y) * t : a.x + (b.x - a.x) * t;
  };
  const at = (s: number, deep: number): number =>
    front ? groundTop(assessment, design, s, deep) : groundTop(assessment, design, deep, s);
  const steps = 24;
  const points = Array.from({ length: steps + 1 }, (_, index) => {
    const s = (across * index) / steps;
    const high = Math.max(at(s, inAt(s)), at(s, cut));
    return [left + s * scale, floor - high * scale] as const;
  });
  const top = floor - design.enclosure.height * scale - 200;
  const first = points[0]?.[1] ?? floor;
  const last = points.at(-1)?.[1] ?? floor;
  const right = left + across * scale + 40;
  return [[left - 40, top], [left - 40, first], ...points, [right, last], [right, top]]
    .map(([x = 0, y = 0]) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
}

/** Height of the ground at a place, m: litter and moss hide what lies in them, water does not. */
function groundTop({ ground }: Assessment, { enclosure }: Design, x: number, y: number): number {
  const u = Math.min(enclosure.width - 1e-6, Math.max(1e-6, x));
  const v = Math.min(enclosure.depth - 1e-6, Math.max(1e-6, y));
  const part =
    ground.parts.length === 1 ? ground.parts[0] : ground.parts.find((it) => within(it.outline, u, v));
  const top = part?.stack.findLast((it) => it.layer.kind !== 'water');
  return top ? heightAt(top.top, top.field, u, v) : 0;
}
