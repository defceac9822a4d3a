'use client';

import { useEarth } from '../theme/useEarth';
import { useId, type KeyboardEvent, type PointerEvent } from 'react';
import type { Assessment } from '@/core/assess';
import type { Catalogue } from '@/core/catalogue';
import type { Corners, Design } from '@/core/design';
import { materialOf } from '@/core/catalogue';
import { corners as cornersOf, type Corner, type Edge } from '@/core/ground';
import { bag, length } from '@/core/units';
import { useReader } from '../units';
import { layerName } from '../words';
import { Handle } from './Handle';
import { Damp, MoistureOverlay, MoistureStrip } from './Moisture';
import { Ruler } from './Ruler';
import { textureOf, TexturePatterns } from './textures';

export type View = 'front' | 'side';
export type Overlay = 'layers' | 'moisture';

/** Which corners of a surface stand at the two ends of the picture, near the eye and far from it. */
const VIEWS: Record<
  View,
  { near: readonly [Corner, Corner]; far: readonly [Corner, Corner]; edges: readonly [Edge, Edge] }
> = {
  front: { near: ['frontLeft', 'frontRight'], far: ['backLeft', 'backRight'], edges: ['left', 'right'] },
  side: { near: ['frontRight', 'backRight'], far: ['frontLeft', 'backLeft'], edges: ['front', 'back'] },
};

interface Props {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly catalogue: Catalogue;
  readonly view: View;
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
}

/** The enclosure cut open and drawn to scale, from the design alone. */
export function Section(props: Props) {
  const { design, assessment, catalogue, view, overlay = 'layers', plain = false, selected = null } = props;
  const { onSelect, onShift } = props;
  const earth = useEarth();
  const { write } = useReader();
  const prefix = useId().replaceAll(':', '');
  const { near, far, edges } = VIEWS[view];
  const box = design.enclosure;
  const across = view === 'front' ? box.width : box.depth;

  const margin = plain
    ? { left: 4, right: 4, top: 4, bottom: 4 }
    : { left: 52, right: assessment.moisture ? 126 : 26, top: 22, bottom: 56 };
  const scale = Math.min(
    (props.width - margin.left - margin.right) / Math.max(across, props.span ?? 0),
    (props.height - margin.top - margin.bottom) / Math.max(box.height, props.span ?? 0),
  );
  const boxWidth = across * scale;
  const boxHeight = box.height * scale;
  const left = margin.left + (props.width - margin.left - margin.right - boxWidth) / 2;
  // On a card boxes stand on one floor; alone, a low box is better in the middle of its pane.
  const spare = props.height - margin.top - margin.bottom - boxHeight;
  const floor = props.height - margin.bottom - (plain ? 0 : spare / 2);
  const x = (metres: number): number => left + metres * scale;
  const y = (metres: number): number => floor - metres * scale;

  const outline = (base: Corners, top: Corners, ends: readonly [Corner, Corner], upper = ends): string =>
    [
      `${x(0)},${y(base[ends[0]])}`,
      `${x(across)},${y(base[ends[1]])}`,
      `${x(across)},${y(top[upper[1]])}`,
      `${x(0)},${y(top[upper[0]])}`,
    ].join(' ');

  const layers = assessment.layers.map((it) => ({ ...it, texture: textureOf(it.layer, catalogue) }));
  const topmost = layers.at(-1);
  const active = layers.find((it) => it.layer.id === selected && it.layer.kind !== 'barrier');
  const bed = layers.find((it) => it.layer.kind === 'drainage');
  const water = design.ground.waterDepth;
  const room = cornersOf.highest(assessment.surface);

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
          textures={layers.map((it) => it.texture)}
          scale={Math.max(scale, 350)}
        />
        <clipPath id={`${prefix}-box`}>
          <rect x={x(0)} y={y(box.height)} width={boxWidth} height={boxHeight} />
        </clipPath>
        {bed && (
          <clipPath id={`${prefix}-bed`}>
            <polygon points={outline(bed.base, bed.top, near)} />
          </clipPath>
        )}
      </defs>

      <rect x={x(0)} y={y(box.height)} width={boxWidth} height={boxHeight} fill={earth.sky} />

      <g clipPath={`url(#${prefix}-box)`}>
        {/* The ground that rises behind the near section is seen from above: only its top layer shows. */}
        {topmost && (
          <polygon
            points={outline(topmost.top, topmost.top, near, far)}
            fill={`url(#${prefix}-${topmost.texture})`}
            opacity={0.5}
            aria-hidden
          />
        )}
        {layers.map((it) => {
          const name = layerName(
            it.layer,
            materialOf(catalogue, 'material' in it.layer ? it.layer.material : '').name,
          );
          const chosen = it.layer.id === selected;
          const pick = onSelect && {
            role: 'button',
            tabIndex: 0,
            'aria-pressed': chosen,
            'aria-label': it.layer.kind === 'barrier' ? name : `${name}, ${write(bag(it.placed))}`,
            onClick: () => onSelect(it.layer.id),
            onKeyDown: (event: KeyboardEvent) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onSelect(it.layer.id);
              }
            },
            style: { cursor: 'pointer' },
          };
          return (
            <polygon
              key={it.layer.id}
              className="rincon-layer"
              points={outline(it.base, it.top, near)}
              fill={`url(#${prefix}-${it.texture})`}
              stroke={it.layer.kind === 'barrier' ? '#23281F' : 'rgba(30,26,18,0.35)'}
              strokeWidth={it.layer.kind === 'barrier' ? 1.5 : 0.75}
              {...pick}
            />
          );
        })}
        {bed && water > 0 && (
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
        <Damp
          soils={layers.filter((it) => it.layer.kind === 'substrate')}
          share={design.ground.moistShare}
          ends={near}
          {...{ x, y, across }}
        />
        {overlay === 'moisture' && assessment.moisture && (
          <MoistureOverlay
            moisture={assessment.moisture}
            outlines={new Map(layers.map((it) => [it.layer.id, outline(it.base, it.top, near)]))}
            prefix={prefix}
            left={x(0)}
            width={boxWidth}
            y={y}
          />
        )}
        {active && !plain && (
          <polygon
            points={outline(active.base, active.top, near)}
            fill="none"
            stroke="#F6F2E8"
            strokeWidth={2}
            strokeDasharray="7 4"
            pointerEvents="none"
          />
        )}
      </g>

      <Walls {...{ box, across, x, y, plain }} ink={earth.ink} water={earth.water} />

      {!plain && assessment.moisture && (
        <MoistureStrip
          moisture={assessment.moisture}
          left={x(across) + 26}
          y={y}
          bed={design.ground.waterDepth}
        />
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
        onShift &&
        edges.map((edge, index) => {
          const corner = near[index === 0 ? 0 : 1];
          const spare = Math.max(0, box.height - room);
          return (
            <Handle
              key={`${active.layer.id} ${edge}`}
              label={`Top of ${layerName(active.layer, materialOf(catalogue, 'material' in active.layer ? active.layer.material : '').name)}, ${edge}`}
              x={x(index === 0 ? 0 : across)}
              y={y(active.top[corner])}
              value={active.thickness[corner]}
              max={active.thickness[corner] + spare}
              metresAt={(event: PointerEvent<SVGElement>) => {
                const svg = event.currentTarget.ownerSVGElement;
                if (!svg) return 0;
                const frame = svg.getBoundingClientRect();
                const drawn = ((event.clientY - frame.top) / frame.height) * props.height;
                return (floor - drawn) / scale - active.base[corner];
              }}
              onShift={(by, gesture) => onShift(active.layer.id, cornersOf.EDGE_CORNERS[edge], by, gesture)}
            />
          );
        })}
    </svg>
  );
}

function wave(x: number, y: number, width: number): string {
  const step = 14;
  let path = `M ${x} ${y}`;
  for (let at = 0; at < width; at += step) path += ` q ${step / 4} -2.2 ${step / 2} 0 t ${step / 2} 0`;
  return path;
}

interface WallsProps {
  readonly box: Design['enclosure'];
  readonly across: number;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly plain: boolean;
  readonly ink: string;
  readonly water: string;
}

/** Sides, floor and lid; the tray that holds water is drawn heavier. */
function Walls({ box, across, x, y, plain, ink, water }: WallsProps) {
  const stroke = plain ? 1.75 : 2.5;
  const mesh = box.material === 'mesh' ? '5 3' : undefined;
  const top = y(box.height);
  const covered = x(across * (box.top === 'solid' ? 1 : box.topCover));
  return (
    <g fill="none" stroke={ink} strokeWidth={stroke} pointerEvents="none">
      <path d={`M ${x(0)} ${top} V ${y(0)} H ${x(across)} V ${top}`} strokeDasharray={mesh} />
      {box.watertightHeight > 0 && (
        <path
          d={`M ${x(0)} ${y(box.watertightHeight)} V ${y(0)} H ${x(across)} V ${y(box.watertightHeight)}`}
          strokeWidth={stroke + (plain ? 0.75 : 1.75)}
        />
      )}
      {!plain && box.watertightHeight > 0 && (
        <path d={`M ${x(across) + 3} ${y(box.watertightHeight)} h 9`} stroke={water} strokeWidth={2} />
      )}
      {box.top !== 'open' && (
        <path d={`M ${covered} ${top} H ${x(across)}`} strokeDasharray={plain ? '3 2' : '4 3'} />
      )}
      <path d={`M ${x(0)} ${top} H ${covered}`} strokeWidth={stroke + 0.5} />
    </g>
  );
}
