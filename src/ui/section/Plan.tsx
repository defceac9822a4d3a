'use client';

import { contours } from 'd3-contour';
import { useId, useMemo } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Corners, Design } from '@/core/design';
import { corners } from '@/core/ground';
import { length, UNITS } from '@/core/units';
import { useEarth } from '../theme/useEarth';
import { useReader } from '../units';
import { Ruler } from './Ruler';
import { textureOf, TexturePatterns } from './textures';

interface Props {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly width: number;
  readonly height: number;
}

const MARGIN = { left: 56, right: 40, top: 40, bottom: 56 };
const GRID = 48;

/** The ground from above, the front at the bottom, with lines of equal height. */
export function Plan({ design, assessment, catalogue, width, height }: Props) {
  const earth = useEarth();
  const { write, prefs } = useReader();
  const prefix = useId().replaceAll(':', '');
  const box = design.enclosure;
  const scale = Math.min(
    (width - MARGIN.left - MARGIN.right) / box.width,
    (height - MARGIN.top - MARGIN.bottom) / box.depth,
  );
  const left = MARGIN.left + (width - MARGIN.left - MARGIN.right - box.width * scale) / 2;
  const back = MARGIN.top + (height - MARGIN.top - MARGIN.bottom - box.depth * scale) / 2;
  const front = back + box.depth * scale;
  const right = left + box.width * scale;
  const { surface } = assessment;
  const step = prefs.length === 'in' ? UNITS.in.factor : 0.01;
  const lines = useMemo(() => contourPaths(surface, step), [surface, step]);
  const topmost = assessment.layers.at(-1)?.layer;

  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      data-scale={scale}
      aria-label={`${design.name} from above, ${write(length(box.width))} by ${write(length(box.depth))}; the ground stands ${write(length(corners.lowest(surface)))} to ${write(length(corners.highest(surface)))} high`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      {topmost && (
        <defs>
          <TexturePatterns
            prefix={prefix}
            textures={[textureOf(topmost, catalogue)]}
            scale={Math.max(scale, 350)}
          />
        </defs>
      )}
      <rect
        x={left}
        y={back}
        width={right - left}
        height={front - back}
        fill={topmost ? `url(#${prefix}-${textureOf(topmost, catalogue)})` : earth.sky}
      />
      <g
        transform={`translate(${left} ${back}) scale(${(right - left) / GRID} ${(front - back) / GRID})`}
        fill="none"
        stroke="#F6F2E8"
      >
        {lines.map((line) => (
          <path
            key={line.level}
            d={line.path}
            vectorEffect="non-scaling-stroke"
            strokeWidth={1.25}
            opacity={0.85}
          />
        ))}
      </g>
      <rect
        x={left}
        y={back}
        width={right - left}
        height={front - back}
        fill="none"
        stroke={earth.ink}
        strokeWidth={2.5}
      />
      {(
        [
          ['backLeft', left, back - 8, 'start'],
          ['backRight', right, back - 8, 'end'],
          ['frontLeft', left, front - 8, 'start'],
          ['frontRight', right, front - 8, 'end'],
        ] as const
      ).map(([corner, x, y, anchor]) => (
        <text
          key={corner}
          x={x + (anchor === 'start' ? 6 : -6)}
          y={y}
          textAnchor={anchor}
          fontSize={12}
          fontWeight={650}
          fill={corner.startsWith('back') ? earth.ink : '#FFFFFF'}
          stroke={corner.startsWith('back') ? 'none' : '#23281F'}
          strokeWidth={3}
          paintOrder="stroke"
        >
          {write(length(surface[corner]))} high
        </text>
      ))}
      <Ruler axis="up" from={front} to={back} at={left - 12} metres={box.depth} />
      <Ruler axis="across" from={left} to={right} at={front + 14} metres={box.width} />
      <text x={(left + right) / 2} y={front + 51} textAnchor="middle" fontSize={12} fill={earth.quiet}>
        front
      </text>
      <text x={(left + right) / 2} y={back - 8} textAnchor="middle" fontSize={12} fill={earth.quiet}>
        back · a line each {write(length(step))}
      </text>
    </svg>
  );
}

/** Lines of equal height of a bilinear surface, as paths over a grid of unit cells. */
function contourPaths(surface: Corners, step: number): { level: number; path: string }[] {
  const values = Array.from({ length: GRID * GRID }, (_, index) => {
    const u = ((index % GRID) + 0.5) / GRID;
    const v = (Math.floor(index / GRID) + 0.5) / GRID;
    const back = surface.backLeft * (1 - u) + surface.backRight * u;
    const front = surface.frontLeft * (1 - u) + surface.frontRight * u;
    return back * (1 - v) + front * v;
  });
  const [low, high] = [corners.lowest(surface), corners.highest(surface)];
  const levels: number[] = [];
  for (let level = Math.ceil((low + 1e-6) / step) * step; level < high - 1e-6; level += step)
    levels.push(level);
  return contours()
    .size([GRID, GRID])
    .thresholds(levels)(values)
    .map(({ value, coordinates }) => ({ level: value, path: coordinates.flat().map(openRing).join('') }));
}

/** A ring without its stretches along the edge of the grid, which are no lines of height. */
function openRing(ring: readonly (readonly number[])[]): string {
  const atEdge = ([x = 0, y = 0]: readonly number[]): boolean =>
    x <= 0.01 || y <= 0.01 || x >= GRID - 0.01 || y >= GRID - 0.01;
  let path = '';
  let pen = false;
  for (const [index, point] of ring.entries()) {
    const previous = ring[index - 1];
    const along = previous !== undefined && atEdge(previous) && atEdge(point);
    const [x = 0, y = 0] = point;
    path += pen && !along ? `L${x.toFixed(2)} ${y.toFixed(2)}` : `M${x.toFixed(2)} ${y.toFixed(2)}`;
    pen = true;
  }
  return path;
}
