'use client';

import { useEarth } from '../theme/useEarth';
import { useId, type PointerEvent, type ReactNode } from 'react';
import type { Assessment } from '@/core/assess';
import { type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { PlantedResult } from '@/core/living';
import { corners as cornersOf, type Corner } from '@/core/ground';
import { length } from '@/core/units';
import { useReader } from '../units';
import { cutThrough, farCut, nearCut, VIEWS, type View } from './cut';
import { Damp, MoistureStrip } from './Moisture';
import { Ruler } from './Ruler';
import { BackLayer } from './pieces/BackLayer';
import { PieceEnds, type PieceTools } from './pieces/ResizeHandles';
import { PieceLayer } from './pieces/PieceLayer';
import { PlantLayer } from './plants/PlantLayer';
import { textureOf, TexturePatterns } from './textures';
import { DampOver, FarGround, Layers, outlineOf, pickedIn, StandingWater, TopHandles } from './SectionGround';
import { Legs, Outlet, Walls } from './SectionParts';

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

/** Where the box lies in the picture: its scale, its walls and its floor, px. */
function layoutOf(props: Props, across: number, strip: boolean) {
  const { plain = false, width, height, headroom = 0, span = 0 } = props;
  const box = props.design.enclosure;
  const margin = plain
    ? { left: 4, right: 4, top: 4, bottom: 4 }
    : { left: 52, right: strip && !props.over ? 126 : 26, top: 22, bottom: 56 };
  const wide = width - margin.left - margin.right;
  const high = height - margin.top - margin.bottom;
  const scale = Math.min(wide / Math.max(across, span), high / Math.max(box.height + headroom, span));
  const boxWidth = across * scale;
  const boxHeight = box.height * scale;
  const left = margin.left + (wide - boxWidth) / 2;
  // On a card boxes stand on one floor; alone, a low box is better in the middle of its pane.
  const spare = high - boxHeight - headroom * scale;
  const floor = height - margin.bottom - (plain ? 0 : spare / 2);
  const x = (metres: number): number => left + metres * scale;
  const y = (metres: number): number => floor - metres * scale;
  return { scale, boxWidth, boxHeight, left, floor, x, y };
}

/** Metres of the box at a place of the pointer. */
const pointed =
  ({ left, floor, scale }: ReturnType<typeof layoutOf>, width: number, height: number): Frame['at'] =>
  (event) => {
    const svg = event.currentTarget.ownerSVGElement ?? event.currentTarget;
    const frame = svg.getBoundingClientRect();
    return {
      across: (((event.clientX - frame.left) / frame.width) * width - left) / scale,
      up: (floor - ((event.clientY - frame.top) / frame.height) * height) / scale,
    };
  };

/** The enclosure cut open and drawn to scale, from the design alone. */
export function Section(props: Props) {
  const { design, assessment, catalogue, view, overlay = 'layers', plain = false, selected = null } = props;
  const { onSelect, onShift } = props;
  const earth = useEarth();
  const { write } = useReader();
  const prefix = useId().replaceAll(':', '');
  const { edges } = VIEWS[view];
  const box = design.enclosure;
  const across = view === 'front' ? box.width : box.depth;
  const chosenLayer = assessment.layers.find((it) => it.layer.id === selected);
  const moisture =
    (chosenLayer?.region ? assessment.moistureOf[chosenLayer.region] : undefined) ??
    assessment.moisture ??
    Object.values(assessment.moistureOf)[0];

  const layout = layoutOf(props, across, Boolean(moisture));
  const { scale, boxWidth, boxHeight, left, floor, x, y } = layout;

  const spans = cutThrough(assessment, design, view, props.cut ?? nearCut(view, box));
  const far = cutThrough(assessment, design, view, farCut(view, box));
  const drawn = { catalogue, prefix, x, y, scale };

  const beds = spans.flatMap((span) =>
    span.layers.filter((it) => it.result.layer.kind === 'drainage').map((it) => outlineOf(drawn, span, it)),
  );
  const water = design.ground.waterDepth;
  const picked = pickedIn(spans, selected);
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
        <FarGround {...{ far, spans, drawn }} />
        <Layers {...{ spans, drawn, selected, onSelect }} />
        {!plain && <Legs {...{ spans, design, catalogue, x, y, scale }} />}
        {beds.length > 0 && water > 0 && (
          <StandingWater {...{ drawn, plain }} depth={water} width={boxWidth} />
        )}
        {spans.map((span) => (
          <Damp
            key={span.from}
            span={span}
            share={span.part.region?.moistShare ?? design.ground.moistShare}
            {...{ x, y }}
          />
        ))}
        {overlay === 'moisture' && <DampOver {...{ spans, drawn, assessment }} />}
        {!plain &&
          picked.map(({ span, it }) => (
            <polygon
              key={span.from}
              points={outlineOf(drawn, span, it)}
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
      <Walls {...{ box, view, across, x, y, plain }} ink={earth.ink} water={earth.water} />
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

      {onShift && (
        <TopHandles {...{ design, assessment, view, drawn, picked, floor, onShift }} height={props.height} />
      )}
      {props.over?.({
        x,
        y,
        scale,
        across,
        height: box.height,
        size,
        at: pointed(layout, props.width, props.height),
      })}
    </svg>
  );
}
