import type { SoilMoisture } from '@/core/ground';
import { LEAST_AIR } from '@/core/ground';
import { length } from '@/core/units';
import { useEarth } from '../theme/useEarth';
import { useReader } from '../units';
import type { Span } from './cut';

type ToPx = (metres: number) => number;

const WATER = '#2F7C90';

interface StripProps {
  readonly moisture: SoilMoisture;
  /** px of its left edge. */
  readonly left: number;
  readonly y: ToPx;
  /** Water kept in the bed, m. */
  readonly bed: number;
}

const WIDTH = 46;

/** Water and pores up the deepest column, beside the drawing and at its scale. */
export function MoistureStrip({ moisture, left, y, bed }: StripProps) {
  const earth = useEarth();
  const { write } = useReader();
  const { column, airless, air, airlessToo = airless } = moisture;
  const [least, most] = [Math.min(airless, airlessToo), Math.max(airless, airlessToo)];
  const upTo =
    most - least < 0.001
      ? write(length(most))
      : `${write(length(least))} or ${write(length(most))}, by one published table or another,`;
  const bottom = column[0]?.from ?? 0;
  const top = column.at(-1)?.to ?? 0;
  const px = (share: number): number => left + share * WIDTH;
  const water = column.map((it) => `L ${px(it.water)} ${y((it.from + it.to) / 2)}`).join(' ');
  const pores = column.map((it) => `L ${px(it.water + it.air)} ${y((it.from + it.to) / 2)}`).join(' ');
  const sour = y(bottom + airless);
  return (
    <g
      role="img"
      aria-label={`Moisture of the soil once drained: ${Math.round(air * 100)} % air on average, airless up to ${upTo} over the bed`}
    >
      <text x={left} y={y(top) - 8} fontSize={11} fill={earth.quiet}>
        water
      </text>
      <rect x={left} y={y(top)} width={WIDTH} height={y(0) - y(top)} fill={earth.card} stroke={earth.rule} />
      <path d={`M ${left} ${y(bottom)} ${pores} L ${left} ${y(top)} Z`} fill={earth.mossWash} />
      <path d={`M ${left} ${y(bottom)} ${water} L ${left} ${y(top)} Z`} fill={WATER} opacity={0.65} />
      {bed > 0 && (
        <rect x={left} y={y(bed)} width={WIDTH} height={y(0) - y(bed)} fill={WATER} opacity={0.85} />
      )}
      {airless > 0.001 && (
        <>
          <path
            d={`M ${left - 4} ${sour} h ${WIDTH + 8}`}
            stroke={earth.clay}
            strokeDasharray="4 3"
            fill="none"
          />
          <text x={left + WIDTH + 6} y={sour - 2} fontSize={11} fill={earth.clay}>
            airless
          </text>
          <text x={left + WIDTH + 6} y={sour + 10} fontSize={11} fill={earth.clay}>
            below
          </text>
        </>
      )}
    </g>
  );
}

interface OverlayProps {
  readonly moisture: SoilMoisture;
  readonly outlines: ReadonlyMap<string, string>;
  readonly prefix: string;
  readonly left: number;
  readonly width: number;
  readonly y: ToPx;
}

/** The same moisture laid over the soil itself; where air is short it is hatched, so that colour is not alone. */
export function MoistureOverlay({ moisture, outlines, prefix, left, width, y }: OverlayProps) {
  const earth = useEarth();
  return (
    <g pointerEvents="none">
      <defs>
        <pattern
          id={`${prefix}-airless`}
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M 0 0 V 7" stroke={earth.card} strokeWidth={1.6} opacity={0.75} />
        </pattern>
      </defs>
      {Object.entries(moisture.layers).map(([id, bands]) => (
        <g key={id} clipPath={`url(#${prefix}-wet-${id})`} shapeRendering="crispEdges">
          <clipPath id={`${prefix}-wet-${id}`}>
            <polygon points={outlines.get(id)} />
          </clipPath>
          {bands.map((band) => {
            const box = { x: left, width, y: y(band.to), height: y(band.from) - y(band.to) };
            return (
              <g key={band.from}>
                <rect {...box} fill="#F3EFE5" opacity={0.5} />
                <rect {...box} fill={WATER} opacity={(0.95 * band.water) / (band.water + band.air)} />
                {band.air < LEAST_AIR && <rect {...box} fill={`url(#${prefix}-airless)`} />}
              </g>
            );
          })}
        </g>
      ))}
    </g>
  );
}

interface DampProps {
  readonly span: Span;
  /** Share of the soil's depth that is moistened. */
  readonly share: number;
  readonly x: ToPx;
  readonly y: ToPx;
}

/** Damp below, dry above: the part that is moistened, darker, with its boundary. */
export function Damp({ span, share, x, y }: DampProps) {
  const soils = span.layers.filter((it) => it.result.layer.kind === 'substrate');
  const base = soils[0]?.base;
  const top = soils.at(-1)?.top;
  if (!base || !top || share >= 1 || share <= 0) return null;
  const at = (end: 0 | 1): number => base[end] + share * (top[end] - base[end]);
  const [from, to] = [x(span.from), x(span.to)];
  return (
    <g pointerEvents="none">
      <polygon
        points={`${from},${y(base[0])} ${to},${y(base[1])} ${to},${y(at(1))} ${from},${y(at(0))}`}
        fill="#1F3A40"
        opacity={0.3}
      />
      <path
        d={`M ${from} ${y(at(0))} L ${to} ${y(at(1))}`}
        stroke="#D8ECF0"
        strokeWidth={1.2}
        strokeDasharray="2 4"
        fill="none"
      />
    </g>
  );
}
