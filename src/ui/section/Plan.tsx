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
      <defs>
        <clipPath id={`${prefix}-floor`}>
          <rect x={left} y={back} width={right - left} height={front - back} />
        </clipPath>
        {topmost && (
          <TexturePatterns
            prefix={prefix}
            textures={[textureOf(topmost, catalogue)]}
            scale={Math.max(scale, 350)}
          />
        )}
      </defs>
      <rect
        x={left}
        y={back}
        width={right - left}
        height={front - back}
        fill={topmost ? `url(#${prefix}-${textureOf(topmost, catalogue)})` : earth.sky}
      />
      <g clipPath={`url(#${prefix}-floor)`}>
        <g
          transform={`translate(${left} ${back}) scale(${right - left} ${front - back})`}
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

/**
 * Lines of equal height of a bilinear surface, as paths over a unit square. The grid reaches a cell beyond the floor on
 * every side, so that where a ring closes along its edge lies outside the drawing and is clipped away.
 */
function contourPaths(surface: Corners, step: number): { level: number; path: string }[] {
  const along = (index: number): number => (index - 1) / (GRID - 3);
  const values = Array.from({ length: GRID * GRID }, (_, index) => {
    const u = along(index % GRID);
    const v = along(Math.floor(index / GRID));
    const back = surface.backLeft * (1 - u) + surface.backRight * u;
    const front = surface.frontLeft * (1 - u) + surface.frontRight * u;
    return back * (1 - v) + front * v;
  });
  const [low, high] = [corners.lowest(surface), corners.highest(surface)];
  const levels: number[] = [];
  for (let level = Math.ceil((low + 1e-6) / step) * step; level < high - 1e-6; level += step)
    levels.push(level);
  // The grid's points lie at the middle of its cells.
  const point = ([x = 0, y = 0]: readonly number[]): string =>
    `${along(x - 0.5).toFixed(4)} ${along(y - 0.5).toFixed(4)}`;
  return contours()
    .size([GRID, GRID])
    .thresholds(levels)(values)
    .map(({ value, coordinates }) => ({
      level: value,
      path: coordinates
        .flat()
        .map((ring) => `M${ring.map(point).join('L')}`)
        .join(''),
    }));
}
