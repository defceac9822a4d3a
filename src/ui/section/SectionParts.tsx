'use client';

import { type Catalogue, bedOfMaterial, materialOf } from '@/core/catalogue';
import type { Design, Side } from '@/core/document';
import { isGauze } from '@/core/enclosure';
import { liftOutMiddle, PANEL_SHEET } from '@/core/ground';
import { VIEWS, type Span, type View } from './cut';

interface LegsProps {
  readonly spans: readonly Span[];
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
}

/** Legs of a raised panel and the sheet on them, where the cut meets one. */
export function Legs({ spans, design, catalogue, x, y, scale }: LegsProps) {
  const { spacing, leg } = design.ground.panel;
  return (
    <g pointerEvents="none" fill="#5F665C" aria-hidden>
      {spans.flatMap((span) =>
        span.layers
          .filter(
            ({ result: { layer } }) =>
              layer.kind === 'drainage' && bedOfMaterial(materialOf(catalogue, layer.material))?.legs,
          )
          .map((it) => {
            const wide = span.to - span.from;
            const count = Math.max(1, Math.ceil(wide / spacing - 1e-9));
            const top = it.top[0] - PANEL_SHEET;
            return (
              <g key={span.from}>
                <rect
                  x={x(span.from)}
                  y={y(it.top[0])}
                  width={wide * scale}
                  height={Math.max(1, PANEL_SHEET * scale)}
                  opacity={0.8}
                />
                {Array.from({ length: count + 1 }, (_, index) => {
                  const middle = span.from + leg / 2 + ((wide - leg) * index) / count;
                  return (
                    <rect
                      key={index}
                      x={x(middle - leg / 2)}
                      y={y(top)}
                      width={leg * scale}
                      height={Math.max(0, (top - it.base[0]) * scale)}
                      opacity={0.55}
                    />
                  );
                })}
              </g>
            );
          }),
      )}
    </g>
  );
}

interface OutletProps {
  readonly design: Design;
  readonly view: View;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly scale: number;
  /** Highest ground, m. */
  readonly top: number;
  readonly ink: string;
}

/** The way out for the water: a siphon tube, a basket, or the mouth of a drain. */
export function Outlet({ design, view, x, y, scale, top, ink }: OutletProps) {
  const { outlet } = design.ground;
  const at = (point: { x: number; y: number }): number => (view === 'front' ? point.x : point.y);
  if (outlet.kind === 'siphon') {
    const middle = at(outlet.at);
    return (
      <rect
        x={x(middle - outlet.diameter / 2)}
        y={y(top + 0.03)}
        width={outlet.diameter * scale}
        height={(top + 0.03) * scale}
        fill="#DDE3DC"
        fillOpacity={0.75}
        stroke={ink}
        strokeWidth={1.25}
        pointerEvents="none"
      />
    );
  }
  if (outlet.kind === 'lift-out') {
    const middle = at(liftOutMiddle(outlet, design.enclosure));
    const wide = view === 'front' ? outlet.width : outlet.depth;
    return (
      <rect
        x={x(middle - wide / 2)}
        y={y(top)}
        width={wide * scale}
        height={top * scale}
        fill="none"
        stroke="#F6F2E8"
        strokeDasharray="3 3"
        strokeWidth={1.5}
        pointerEvents="none"
      />
    );
  }
  if (outlet.kind === 'drain') {
    const across = view === 'front' ? design.enclosure.width : design.enclosure.depth;
    return (
      <rect
        x={x(across) - 7}
        y={y(outlet.height + outlet.bore)}
        width={7}
        height={Math.max(2, outlet.bore * scale)}
        fill={ink}
        pointerEvents="none"
      />
    );
  }
  return null;
}

/** A waterline of small waves, as a path. */
export function wave(x: number, y: number, width: number): string {
  const step = 14;
  let path = `M ${x} ${y}`;
  for (let at = 0; at < width; at += step) path += ` q ${step / 4} -2.2 ${step / 2} 0 t ${step / 2} 0`;
  return path;
}

interface WallsProps {
  readonly box: Design['enclosure'];
  readonly view: View;
  readonly across: number;
  readonly x: (metres: number) => number;
  readonly y: (metres: number) => number;
  readonly plain: boolean;
  readonly ink: string;
  readonly water: string;
}

/** Sides, floor and lid; the tray that holds water is drawn heavier. */
export function Walls({ box, view, across, x, y, plain, ink, water }: WallsProps) {
  const stroke = plain ? 1.75 : 2.5;
  const dashed = (side: Side): string | undefined => (isGauze(box, side) ? '5 3' : undefined);
  const [near, far] = VIEWS[view].edges;
  const top = y(box.height);
  const covered = x(across * (box.top === 'solid' ? 1 : box.topCover));
  return (
    <g fill="none" stroke={ink} strokeWidth={stroke} pointerEvents="none">
      <path d={`M ${x(0)} ${top} V ${y(0)}`} strokeDasharray={dashed(near)} />
      <path d={`M ${x(across)} ${top} V ${y(0)}`} strokeDasharray={dashed(far)} />
      <path
        d={`M ${x(0)} ${y(0)} H ${x(across)}`}
        strokeLinecap="square"
        strokeDasharray={box.material === 'mesh' ? '5 3' : undefined}
      />
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
