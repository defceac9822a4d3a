'use client';

import { useEarth } from '../theme/useEarth';
import { useId, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Assessment } from '@/core/assess';
import { type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { PlantedResult } from '@/core/living';
import { corners as cornersOf, type Corner } from '@/core/ground';
import { bag, length } from '@/core/units';
import { useReader } from '../units';
import { layerName } from '../words';
import { cutThrough, farCut, nearCut, VIEWS, type Span, type View } from './cut';
import { Handle } from './Handle';
import { Damp, MoistureOverlay, MoistureStrip } from './Moisture';
import { Ruler } from './Ruler';
import { BackLayer } from './pieces/BackLayer';
import { PieceEnds, type PieceTools } from './pieces/ResizeHandles';
import { PieceLayer } from './pieces/PieceLayer';
import { PlantLayer } from './plants/PlantLayer';
import { textureOf, TexturePatterns } from './textures';
import { Legs, Outlet, wave, Walls } from './SectionParts';

export type { View } from './cut';

export type Overlay = 'layers' | 'moisture';

interface Props {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly view: View;
  /** Where the ground is cut, m from the front (seen from the front) or from the left (seen from the side). */
  readonly cut?: number;
  /** What is laid over the layers. */
  readonly overlay?: Overlay;
  /** px the picture may take, rulers included. */
  readonly width: number;
  readonly height: number;
  /** A small picture without rulers, handles or names. */
  readonly plain?: boolean;
  /** m the plain picture's box may be at most, so that several share one scale. */
  readonly span?: number;
  readonly selected?: string | null;
  readonly onSelect?: (layer: string) => void;
  /** Moves the top of a layer at one end by so much, m. Calls of one drag share a gesture. */
  readonly onShift?: (layer: string, corners: readonly Corner[], by: number, gesture: string) => void;
  /** Set where pieces can be taken hold of; otherwise they are only seen. */
  readonly pieces?: PieceTools | undefined;
  /** The background that is picked. */
  readonly background?: string | null;
  /** m kept free over the lid, for what hangs there. */
  readonly headroom?: number;
  /** Plants as they are to be drawn; left out: as they are planted. */
  readonly plants?: readonly PlantedResult[];
  /** Drawn over all of it, in its measures. */
  readonly over?: (frame: Frame) => ReactNode;
}

/** How metres of the box lie in the picture, px. */
export interface Frame {
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
  /** m of the side one looks at. */
  readonly across: number;
  readonly height: number;
  readonly size: { readonly width: number; readonly height: number };
  /** Metres at a place of the pointer. */
  readonly at: (event: PointerEvent<SVGElement>) => { readonly across: number; readonly up: number };
}

/** The enclosure cut open and drawn to scale, from the design alone. */
export function Section(props: Props) {
  const { design, assessment, catalogue, view, overlay = 'layers', plain = false, selected = null } = props;
  const { onSelect, onShift } = props;
  const earth = useEarth();
  const { write } = useReader();
  const prefix = useId().replaceAll(':', '');
  const { near, edges } = VIEWS[view];
  const box = design.enclosure;
  const across = view === 'front' ? box.width : box.depth;
  const chosenLayer = assessment.layers.find((it) => it.layer.id === selected);
  const moisture =
    (chosenLayer?.region ? assessment.moistureOf[chosenLayer.region] : undefined) ??
    assessment.moisture ??
    Object.values(assessment.moistureOf)[0];

  const margin = plain
    ? { left: 4, right: 4, top: 4, bottom: 4 }
    : { left: 52, right: moisture && !props.over ? 126 : 26, top: 22, bottom: 56 };
  const scale = Math.min(
    (props.width - margin.left - margin.right) / Math.max(across, props.span ?? 0),
    (props.height - margin.top - margin.bottom) /
      Math.max(box.height + (props.headroom ?? 0), props.span ?? 0),
  );
  const boxWidth = across * scale;
  const boxHeight = box.height * scale;
  const left = margin.left + (props.width - margin.left - margin.right - boxWidth) / 2;
  // On a card boxes stand on one floor; alone, a low box is better in the middle of its pane.
  const spare = props.height - margin.top - margin.bottom - boxHeight - (props.headroom ?? 0) * scale;
  const floor = props.height - margin.bottom - (plain ? 0 : spare / 2);
  const x = (metres: number): number => left + metres * scale;
  const y = (metres: number): number => floor - metres * scale;

  const spans = cutThrough(assessment, design, view, props.cut ?? nearCut(view, box));
  const far = cutThrough(assessment, design, view, farCut(view, box));
  const outline = (span: Span, it: Span['layers'][number]): string =>
    `${x(span.from)},${y(it.base[0])} ${x(span.to)},${y(it.base[1])} ${x(span.to)},${y(it.top[1])} ${x(span.from)},${y(it.top[0])}`;
  const fillOf = (it: Span['layers'][number]): string =>
    `url(#${prefix}-${textureOf(it.result.layer, catalogue)})`;

  const beds = spans.flatMap((span) =>
    span.layers.filter((it) => it.result.layer.kind === 'drainage').map((it) => outline(span, it)),
  );
  const water = design.ground.waterDepth;
  // What is picked, where the cut meets it.
  const picked = spans.flatMap((span) =>
    span.layers
      .filter(
        ({ result: { layer } }) =>
          layer.id === selected && layer.kind !== 'barrier' && layer.kind !== 'water',
      )
      .map((it) => ({ span, it })),
  );
  const first = picked[0];
  const last = picked.at(-1);
  const active = first?.it.result;
  const over = active && assessment.ground.parts.find((part) => (part.region?.id ?? null) === active.region);
  const projection = { view, left, floor, scale };
  // What grows on the wall one looks at lies behind all pieces.
  const plants = props.plants ?? assessment.living.plants;
  const facing = view === 'front' ? 'back' : 'right';
  const isBehind = ({ planted: { spot } }: PlantedResult): boolean =>
    spot.on === 'wall' && spot.wall === facing;
  const behind = plants.filter(isBehind);
  const standing = plants.filter((it) => !isBehind(it));
  const size = { width: props.width, height: props.height };
  const held = assessment.scape.pieces.find((it) => it.placed.piece.id === props.pieces?.selected);

  return (
    <svg
      width={props.width}
      height={props.height}
      viewBox={`0 0 ${props.width} ${props.height}`}
      role={plain ? 'img' : 'group'}
      data-scale={scale}
      aria-label={`${design.name}, ${view === 'front' ? 'seen from the front' : 'cut from front to back'}, ${write(length(across))} across and ${write(length(box.height))} high`}
      style={{ display: 'block', touchAction: plain ? undefined : 'pan-y', maxWidth: '100%' }}
    >
      <defs>
        <TexturePatterns
          prefix={prefix}
          textures={assessment.layers.map((it) => textureOf(it.layer, catalogue))}
          scale={Math.max(scale, 350)}
        />
        <clipPath id={`${prefix}-box`}>
          <rect x={x(0)} y={y(box.height)} width={boxWidth} height={boxHeight} />
        </clipPath>
        {beds.length > 0 && (
          <clipPath id={`${prefix}-bed`}>
            {beds.map((points, index) => (
              <polygon key={index} points={points} />
            ))}
          </clipPath>
        )}
      </defs>

      <rect x={x(0)} y={y(box.height)} width={boxWidth} height={boxHeight} fill={earth.sky} />

      <g clipPath={`url(#${prefix}-box)`}>
        <BackLayer
          backs={assessment.scape.backs}
          projection={projection}
          prefix={prefix}
          selected={props.background ?? null}
        />
        {/* Ground that rises behind the cut is seen from above, by its top layer; the face of another part by all of its. */}
        {far.map((span) => {
          const top = span.layers.at(-1);
          const same = spans.some((near) => near.part === span.part);
          return (
            top && (
              <g key={span.from} opacity={0.5} aria-hidden>
                {same ? (
                  <polygon
                    points={`${x(span.from)},${y(0)} ${x(span.to)},${y(0)} ${x(span.to)},${y(top.top[1])} ${x(span.from)},${y(top.top[0])}`}
                    fill={fillOf(top)}
                  />
                ) : (
                  span.layers.map((it) => (
                    <polygon key={it.result.layer.id} points={outline(span, it)} fill={fillOf(it)} />
                  ))
                )}
              </g>
            )
          );
        })}
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
                points={outline(span, it)}
                fill={fillOf(it)}
                stroke={layer.kind === 'barrier' ? '#23281F' : 'rgba(30,26,18,0.35)'}
                strokeWidth={layer.kind === 'barrier' ? 1.5 : 0.75}
                {...pick}
              />
            );
          }),
        )}
        {!plain && <Legs {...{ spans, design, catalogue, x, y, scale }} />}
        {beds.length > 0 && water > 0 && (
          <g clipPath={`url(#${prefix}-bed)`} pointerEvents="none">
            <rect
              x={x(0)}
              y={y(water)}
              width={boxWidth}
              height={water * scale}
              fill="#2F7C90"
              opacity={0.74}
            />
            <path
              d={wave(x(0), y(water), boxWidth)}
              fill="none"
              stroke="#D8ECF0"
              strokeWidth={plain ? 0.8 : 1.4}
              opacity={0.9}
            />
          </g>
        )}
        {spans.map((span) => (
          <Damp
            key={span.from}
            span={span}
            share={span.part.region?.moistShare ?? design.ground.moistShare}
            {...{ x, y }}
          />
        ))}
        {overlay === 'moisture' &&
          spans.map((span, index) => {
            const own = span.part.region ? assessment.moistureOf[span.part.region.id] : assessment.moisture;
            return (
              own && (
                <MoistureOverlay
                  key={span.from}
                  moisture={own}
                  outlines={new Map(span.layers.map((it) => [it.result.layer.id, outline(span, it)]))}
                  prefix={`${prefix}-${index}`}
                  left={x(span.from)}
                  width={(span.to - span.from) * scale}
                  y={y}
                />
              )
            );
          })}
        {!plain &&
          picked.map(({ span, it }) => (
            <polygon
              key={span.from}
              points={outline(span, it)}
              fill="none"
              stroke="#F6F2E8"
              strokeWidth={2}
              strokeDasharray="7 4"
              pointerEvents="none"
            />
          ))}
        {!plain && (
          <Outlet
            {...{ design, view, x, y, scale }}
            top={cornersOf.highest(assessment.surface)}
            ink={earth.ink}
          />
        )}
      </g>

      <g clipPath={`url(#${prefix}-box)`}>
        <PlantLayer plants={behind} {...{ view, x, y, scale }} />
      </g>
      <PieceLayer
        design={design}
        assessment={assessment}
        projection={projection}
        size={size}
        prefix={prefix}
        tools={props.pieces}
        cut={props.cut ?? nearCut(view, box)}
        plain={plain}
      />
      <g clipPath={`url(#${prefix}-box)`}>
        <PlantLayer plants={standing} {...{ view, x, y, scale }} />
      </g>
      <Walls {...{ box, across, x, y, plain }} ink={earth.ink} water={earth.water} />
      {held && props.pieces && (
        <PieceEnds
          piece={held.placed.piece}
          result={held}
          tools={props.pieces}
          projection={projection}
          size={size}
        />
      )}

      {!plain && moisture && !props.over && (
        <MoistureStrip moisture={moisture} left={x(across) + 26} y={y} bed={water} />
      )}
      {!plain && (
        <>
          <Ruler axis="up" from={y(0)} to={y(box.height)} at={left - 12} metres={box.height} />
          <Ruler axis="across" from={x(0)} to={x(across)} at={floor + 14} metres={across} />
          <g fill={earth.quiet} fontSize={12}>
            <text x={x(0)} y={floor + 51}>
              {edges[0]}
            </text>
            <text x={x(across)} y={floor + 51} textAnchor="end">
              {edges[1]}
            </text>
          </g>
        </>
      )}

      {active &&
        active.layer.kind !== 'barrier' &&
        active.layer.kind !== 'water' &&
        onShift &&
        edges.map((edge, index) => {
          const end = index === 0 ? first : last;
          const corner = near[index === 0 ? 0 : 1];
          const room = Math.max(0, box.height - (over?.high ?? 0));
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
                const drawn = ((event.clientY - frame.top) / frame.height) * props.height;
                return (floor - drawn) / scale - base;
              }}
              onShift={(by, gesture) => onShift(active.layer.id, cornersOf.EDGE_CORNERS[edge], by, gesture)}
            />
          );
        })}
      {props.over?.({
        x,
        y,
        scale,
        across,
        height: box.height,
        size,
        at: (event) => {
          const svg = event.currentTarget.ownerSVGElement ?? event.currentTarget;
          const frame = svg.getBoundingClientRect();
          return {
            across: (((event.clientX - frame.left) / frame.width) * props.width - left) / scale,
            up: (floor - ((event.clientY - frame.top) / frame.height) * props.height) / scale,
          };
        },
      })}
    </svg>
  );
}
