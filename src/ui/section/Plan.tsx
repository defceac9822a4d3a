'use client';

import { useId } from 'react';
import { length, UNITS } from '@/core/units';
import { useEarth } from '../theme/useEarth';
import { useReader } from '../units';
import { Ruler } from './Ruler';
import { BackLayer } from './pieces/BackLayer';
import { PieceEnds } from './pieces/ResizeHandles';
import { PieceLayer } from './pieces/PieceLayer';
import { PlantLayer } from './plants/PlantLayer';
import { textureOf, TexturePatterns } from './textures';
import { type PlanProps, topOf, pathOf, cornerIn, Contours, Outlined, Outlet } from './PlanParts';

const MARGIN = { left: 56, right: 40, top: 40, bottom: 56 };

/** The ground from above, the front at the bottom, with lines of equal height. */
export function Plan(props: PlanProps) {
  const { design, assessment, catalogue, width, height, region: picked = null, onRegion } = props;
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
  const x = (metres: number): number => left + metres * scale;
  const y = (metres: number): number => front - metres * scale;
  const { parts } = assessment.ground;
  const { surface } = assessment;
  const rest = parts.some((part) => part.region === null && topOf(part)?.kind !== 'water');
  const low = Math.min(...parts.map((part) => part.low));
  const high = Math.max(...parts.map((part) => part.high));
  const step = prefs.length === 'in' ? UNITS.in.factor : 0.01;
  const chosen = parts.find((part) => part.region !== null && part.region.id === picked);
  const projection = { view: 'plan', left, floor: front, scale } as const;
  const held = assessment.scape.pieces.find((it) => it.placed.piece.id === props.pieces?.selected);

  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="group"
      data-scale={scale}
      aria-label={`${design.name} from above, ${write(length(box.width))} by ${write(length(box.depth))}; the ground stands ${write(length(low))} to ${write(length(high))} high`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <defs>
        <TexturePatterns
          prefix={prefix}
          textures={parts.flatMap((part) => {
            const top = topOf(part);
            return top ? [textureOf(top, catalogue)] : [];
          })}
          scale={Math.max(scale, 350)}
        />
      </defs>
      {parts.map((part) => {
        const top = topOf(part);
        const id = part.region?.id ?? 'rest';
        return (
          <g key={id}>
            <path
              d={pathOf(part.outline, x, y)}
              fillRule="evenodd"
              fill={top ? `url(#${prefix}-${textureOf(top, catalogue)})` : earth.sky}
              onClick={onRegion && (() => onRegion(part.region?.id ?? null))}
              style={onRegion && { cursor: 'pointer' }}
            />
            {top?.kind !== 'water' && (
              <Contours
                part={part}
                step={step}
                clip={`${prefix}-${id}`}
                {...{ x, y }}
                path={pathOf(part.outline, x, y)}
              />
            )}
          </g>
        );
      })}
      <Outlet design={design} {...{ x, y, scale }} ink={earth.ink} />
      {parts.map(
        (part) =>
          part.region && (
            <Outlined
              key={part.region.id}
              {...{ onRegion, onMove: props.onMove, onOutline: props.onOutline, width, height }}
              part={part}
              region={part.region}
              chosen={part === chosen}
              {...{ x, y, scale }}
            />
          ),
      )}
      <BackLayer
        backs={assessment.scape.backs}
        projection={projection}
        prefix={prefix}
        selected={props.background ?? null}
      />
      <PieceLayer
        design={design}
        assessment={assessment}
        projection={projection}
        size={{ width, height }}
        prefix={prefix}
        tools={props.pieces}
        cut={0}
        plain={false}
      />
      {held && props.pieces && (
        <PieceEnds
          piece={held.placed.piece}
          result={held}
          tools={props.pieces}
          projection={projection}
          size={{ width, height }}
        />
      )}
      <clipPath id={`${prefix}-floor`}>
        <rect x={left} y={back} width={right - left} height={front - back} />
      </clipPath>
      <g clipPath={`url(#${prefix}-floor)`}>
        <PlantLayer plants={props.plants ?? assessment.living.plants} view="plan" {...{ x, y, scale }} />
      </g>
      <rect
        x={left}
        y={back}
        width={right - left}
        height={front - back}
        fill="none"
        stroke={earth.ink}
        strokeWidth={2.5}
        pointerEvents="none"
      />
      {rest &&
        (
          [
            ['backLeft', left, back - 8, 'start'],
            ['backRight', right, back - 8, 'end'],
            ['frontLeft', left, front - 8, 'start'],
            ['frontRight', right, front - 8, 'end'],
          ] as const
        )
          .filter(([corner]) => !parts.some((part) => part.region && cornerIn(part.outline, corner, box)))
          .map(([corner, atX, atY, anchor]) => (
            <text
              key={corner}
              x={atX + (anchor === 'start' ? 6 : -6)}
              y={atY}
              textAnchor={anchor}
              fontSize={12}
              fontWeight={650}
              fill={corner.startsWith('back') ? earth.ink : '#FFFFFF'}
              stroke={corner.startsWith('back') ? 'none' : '#23281F'}
              strokeWidth={3}
              paintOrder="stroke"
              pointerEvents="none"
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
      {props.over?.({
        x,
        y,
        scale,
        at: (event) => {
          const svg = event.currentTarget.ownerSVGElement ?? event.currentTarget;
          const frame = svg.getBoundingClientRect();
          return {
            x: ((event.clientX - frame.left) * (width / frame.width) - left) / scale,
            y: (front - (event.clientY - frame.top) * (height / frame.height)) / scale,
          };
        },
      })}
    </svg>
  );
}
