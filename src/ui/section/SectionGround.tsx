'use client';

import type { KeyboardEvent, PointerEvent } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { corners as cornersOf, type Corner } from '@/core/ground';
import { bag } from '@/core/units';
import { useReader } from '../units';
import { layerName } from '../words';
import { VIEWS, type Span, type View } from './cut';
import { Handle } from './Handle';
import { MoistureOverlay } from './Moisture';
import { wave } from './SectionParts';
import { textureOf } from './textures';

/** What the parts of a section are drawn by. */
export interface Drawn {
  readonly catalogue: Catalogue;
  /** Unlike in every drawing of a page. */
  readonly prefix: string;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
}

type Slice = Span['layers'][number];

/** Corners of a layer where the cut meets it, as SVG writes them. */
export const outlineOf = ({ x, y }: Pick<Drawn, 'x' | 'y'>, span: Span, it: Slice): string =>
  `${x(span.from)},${y(it.base[0])} ${x(span.to)},${y(it.base[1])} ${x(span.to)},${y(it.top[1])} ${x(span.from)},${y(it.top[0])}`;
const fillOf = ({ prefix, catalogue }: Drawn, it: Slice): string =>
  `url(#${prefix}-${textureOf(it.result.layer, catalogue)})`;

/** Ground that rises behind the cut is seen from above, by its top layer; the face of another part by all of its. */
export function FarGround({
  far,
  spans,
  drawn,
}: {
  readonly far: readonly Span[];
  readonly spans: readonly Span[];
  readonly drawn: Drawn;
}) {
  const { x, y } = drawn;
  return (
    <>
      {far.map((span) => {
        const top = span.layers.at(-1);
        const same = spans.some((near) => near.part === span.part);
        return (
          top && (
            <g key={span.from} opacity={0.5} aria-hidden>
              {same ? (
                <polygon
                  points={`${x(span.from)},${y(0)} ${x(span.to)},${y(0)} ${x(span.to)},${y(top.top[1])} ${x(span.from)},${y(top.top[0])}`}
                  fill={fillOf(drawn, top)}
                />
              ) : (
                span.layers.map((it) => (
                  <polygon
                    key={it.result.layer.id}
                    points={outlineOf(drawn, span, it)}
                    fill={fillOf(drawn, it)}
                  />
                ))
              )}
            </g>
          )
        );
      })}
    </>
  );
}

interface LayersProps {
  readonly spans: readonly Span[];
  readonly drawn: Drawn;
  readonly selected: string | null;
  /** Set where layers can be picked. */
  readonly onSelect: ((layer: string) => void) | undefined;
}

/** Every layer as the cut meets it. */
export function Layers({ spans, drawn, selected, onSelect }: LayersProps) {
  const { write } = useReader();
  const { catalogue } = drawn;
  return (
    <>
      {spans.map((span) =>
        span.layers.map((it) => {
          const { layer, placed } = it.result;
          const name = layerName(layer, catalogue);
          // Only one stretch of a layer is a stop for the keyboard.
          const stop = spans.find((other) => other.layers.some((own) => own.result === it.result)) === span;
          const pick = onSelect && {
            ...(stop
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-pressed': layer.id === selected,
                  'aria-label': layer.kind === 'barrier' ? name : `${name}, ${write(bag(placed))}`,
                }
              : { 'aria-hidden': true }),
            onClick: () => onSelect(layer.id),
            onKeyDown: (event: KeyboardEvent) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onSelect(layer.id);
              }
            },
            style: { cursor: 'pointer' },
          };
          return (
            <polygon
              key={`${span.from} ${layer.id}`}
              className="rincon-layer"
              points={outlineOf(drawn, span, it)}
              fill={fillOf(drawn, it)}
              stroke={layer.kind === 'barrier' ? '#23281F' : 'rgba(30,26,18,0.35)'}
              strokeWidth={layer.kind === 'barrier' ? 1.5 : 0.75}
              {...pick}
            />
          );
        }),
      )}
    </>
  );
}

interface WaterProps {
  readonly drawn: Drawn;
  /** m of water over the floor. */
  readonly depth: number;
  /** px */
  readonly width: number;
  readonly plain: boolean;
}

/** Water that stands in the drainage layers. */
export function StandingWater({ drawn: { prefix, x, y, scale }, depth, width, plain }: WaterProps) {
  return (
    <g clipPath={`url(#${prefix}-bed)`} pointerEvents="none">
      <rect x={x(0)} y={y(depth)} width={width} height={depth * scale} fill="#2F7C90" opacity={0.74} />
      <path
        d={wave(x(0), y(depth), width)}
        fill="none"
        stroke="#D8ECF0"
        strokeWidth={plain ? 0.8 : 1.4}
        opacity={0.9}
      />
    </g>
  );
}

interface DampProps {
  readonly spans: readonly Span[];
  readonly drawn: Drawn;
  readonly assessment: Assessment;
}

/** How damp the ground is, laid over its layers. */
export function DampOver({ spans, drawn, assessment }: DampProps) {
  const { prefix, x, y, scale } = drawn;
  return (
    <>
      {spans.map((span, index) => {
        const own = span.part.region ? assessment.moistureOf[span.part.region.id] : assessment.moisture;
        return (
          own && (
            <MoistureOverlay
              key={span.from}
              moisture={own}
              outlines={new Map(span.layers.map((it) => [it.result.layer.id, outlineOf(drawn, span, it)]))}
              prefix={`${prefix}-${index}`}
              left={x(span.from)}
              width={(span.to - span.from) * scale}
              y={y}
            />
          )
        );
      })}
    </>
  );
}

/** Where the cut meets a layer that has a thickness. */
export const pickedIn = (spans: readonly Span[], selected: string | null) =>
  spans.flatMap((span) =>
    span.layers
      .filter(
        ({ result: { layer } }) =>
          layer.id === selected && layer.kind !== 'barrier' && layer.kind !== 'water',
      )
      .map((it) => ({ span, it })),
  );

interface HandlesProps {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly view: View;
  readonly drawn: Drawn;
  readonly picked: ReturnType<typeof pickedIn>;
  /** px from the top of the picture to the floor, and of the whole picture. */
  readonly floor: number;
  readonly height: number;
  readonly onShift: (layer: string, corners: readonly Corner[], by: number, gesture: string) => void;
}

/** What the top of the picked layer is moved by, at both ends. */
export function TopHandles({
  design,
  assessment,
  view,
  drawn,
  picked,
  floor,
  height,
  onShift,
}: HandlesProps) {
  const { catalogue, x, y, scale } = drawn;
  const { near, edges } = VIEWS[view];
  const first = picked[0];
  const last = picked.at(-1);
  const active = first?.it.result;
  if (!active) return null;
  const over = assessment.ground.parts.find((part) => (part.region?.id ?? null) === active.region);
  return (
    <>
      {edges.map((edge, index) => {
        const end = index === 0 ? first : last;
        const corner = near[index === 0 ? 0 : 1];
        const room = Math.max(0, design.enclosure.height - (over?.high ?? 0));
        if (!end) return null;
        const base = end.it.base[index === 0 ? 0 : 1];
        const top = end.it.top[index === 0 ? 0 : 1];
        return (
          <Handle
            key={`${active.layer.id} ${edge}`}
            label={`Top of ${layerName(active.layer, catalogue)}, ${edge}`}
            x={x(index === 0 ? end.span.from : end.span.to)}
            y={y(top)}
            value={active.thickness[corner]}
            max={active.thickness[corner] + room}
            metresAt={(event: PointerEvent<SVGElement>) => {
              const svg = event.currentTarget.ownerSVGElement;
              if (!svg) return 0;
              const frame = svg.getBoundingClientRect();
              const drawn = ((event.clientY - frame.top) / frame.height) * height;
              return (floor - drawn) / scale - base;
            }}
            onShift={(by, gesture) => onShift(active.layer.id, cornersOf.EDGE_CORNERS[edge], by, gesture)}
          />
        );
      })}
    </>
  );
}
