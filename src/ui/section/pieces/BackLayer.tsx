'use client';

import { memo } from 'react';
import type { Back } from '@/core/pieces';
import type { BackResult } from '@/core/scape';
import { flat, type Projection } from './projection';

type Look = NonNullable<BackResult['kind']>['look'];

const TONES: Record<Look, readonly [base: string, dark: string, light: string]> = {
  foam: ['#5B5046', '#3F362E', '#746759'],
  cork: ['#8B6C48', '#5C4630', '#A88A62'],
  clay: ['#9A6A4C', '#6E4630', '#B5866A'],
  rock: ['#77756C', '#55534C', '#96948A'],
  moss: ['#5F7F45', '#42602F', '#86A667'],
};

interface Props {
  readonly backs: readonly BackResult[];
  readonly projection: Projection;
  readonly prefix: string;
  readonly selected: string | null;
}

/** Backgrounds on their walls: seen in full on the wall one looks at, as a band where the wall is cut. */
export const BackLayer = memo(function BackLayer({ backs, projection, prefix, selected }: Props) {
  return (
    <g pointerEvents="none">
      {backs.map(({ back, kind }) => (
        <g key={back.background.id}>
          <Face
            back={back}
            look={kind?.look ?? 'foam'}
            projection={projection}
            prefix={`${prefix}-${back.background.id}`}
            chosen={selected === back.background.id}
          />
        </g>
      ))}
    </g>
  );
});

interface FaceProps {
  readonly back: Back;
  readonly look: Look;
  readonly projection: Projection;
  readonly prefix: string;
  readonly chosen: boolean;
}

function Face({ back, look, projection, prefix, chosen }: FaceProps) {
  const { bounds } = back.solid;
  const { view, scale } = projection;
  const [x0, y1] = flat(projection, { x: bounds.x0, y: bounds.y0, z: bounds.z0 });
  const [x1, y0] = flat(projection, { x: bounds.x1, y: bounds.y1, z: bounds.z1 });
  const { wall, cutouts } = back.background;
  const [base, dark, light] = TONES[look];
  const facing = (view === 'front' && wall === 'back') || (view === 'side' && wall === 'left');
  // From the side one looks through the right wall: what hangs there stands before everything.
  const before = view === 'side' && wall === 'right';
  const size = 0.09 * scale;
  return (
    <>
      <defs>
        <pattern id={prefix} width={size} height={size * 0.7} patternUnits="userSpaceOnUse" x={x0} y={y0}>
          <rect width={size} height={size * 0.7} fill={base} />
          {look === 'cork' || look === 'foam' ? (
            <path
              d={`M0 ${size * 0.2}q${size * 0.25} ${size * 0.12} ${size * 0.5} 0t${size * 0.5} 0M0 ${size * 0.52}q${size * 0.25} ${-size * 0.1} ${size * 0.5} 0t${size * 0.5} 0M${size * 0.3} ${size * 0.2}v${size * 0.3}M${size * 0.75} ${size * 0.5}v${size * 0.2}`}
              stroke={dark}
              strokeWidth={1}
              fill="none"
              opacity={0.7}
            />
          ) : look === 'moss' ? (
            <path
              d={[0.1, 0.35, 0.6, 0.85]
                .map(
                  (s) =>
                    `M${size * s} ${size * 0.4}q${-size * 0.06} ${-size * 0.14} ${size * 0.02} ${-size * 0.24}M${size * (s + 0.05)} ${size * 0.68}q${size * 0.06} ${-size * 0.12} 0 ${-size * 0.2}`,
                )
                .join('')}
              stroke={light}
              strokeWidth={1.2}
              fill="none"
            />
          ) : (
            <path
              d={`M0 ${size * 0.33}L${size * 0.4} ${size * 0.26}L${size * 0.62} ${size * 0.4}L${size} ${size * 0.33}M${size * 0.4} ${size * 0.26}L${size * 0.3} 0M${size * 0.62} ${size * 0.4}L${size * 0.7} ${size * 0.7}`}
              stroke={dark}
              strokeWidth={1}
              fill="none"
              opacity={0.7}
            />
          )}
        </pattern>
      </defs>
      <rect
        x={x0}
        y={y0}
        width={x1 - x0}
        height={y1 - y0}
        fill={`url(#${prefix})`}
        opacity={facing ? 0.5 : before ? 0.12 : 0.95}
        stroke={chosen ? '#FFFFFF' : dark}
        strokeWidth={chosen ? 2.5 : 1}
        strokeDasharray={chosen ? '7 4' : undefined}
      />
      {facing &&
        cutouts.map((hole) => {
          const along = view === 'front' ? bounds.x0 : bounds.y0;
          const left = projection.left + (along + hole.across) * scale;
          const foot = projection.floor - (bounds.z0 + hole.up) * scale;
          return hole.shape === 'round' ? (
            <ellipse
              key={hole.id}
              cx={left + (hole.width / 2) * scale}
              cy={foot - (hole.height / 2) * scale}
              rx={(hole.width / 2) * scale}
              ry={(hole.height / 2) * scale}
              fill="#E9EEE6"
              stroke={dark}
            />
          ) : (
            <rect
              key={hole.id}
              x={left}
              y={foot - hole.height * scale}
              width={hole.width * scale}
              height={hole.height * scale}
              fill="#E9EEE6"
              stroke={dark}
            />
          );
        })}
    </>
  );
}
