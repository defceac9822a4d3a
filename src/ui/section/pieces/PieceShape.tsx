'use client';

import { memo } from 'react';
import type { PieceKind } from '@/core/catalogue';
import type { Piece } from '@/core/document';
import type { Solid, Vec } from '@/core/pieces';
import { flat, hull, polygon, soft, streamOf, type Projection } from './projection';

type Look = PieceKind['look'];

interface Tones {
  readonly base: string;
  readonly dark: string;
  readonly light: string;
}

/** What pieces are made of, seen in daylight; the same in both schemes, as soil is. */
const TONES: Record<Look, Tones> = {
  wood: { base: '#7C5836', dark: '#4B3320', light: '#A27C55' },
  bamboo: { base: '#BFA25C', dark: '#8A7137', light: '#DCC68D' },
  cork: { base: '#8B6C48', dark: '#57412A', light: '#AE9069' },
  stone: { base: '#8E8C82', dark: '#5D5B54', light: '#B3B1A5' },
  slate: { base: '#616B6E', dark: '#3D4548', light: '#858F92' },
  clay: { base: '#B8704C', dark: '#80462C', light: '#D69872' },
  plastic: { base: '#D4D0BF', dark: '#8F8B78', light: '#EDEADD' },
  metal: { base: '#4B514C', dark: '#2B302C', light: '#7B827C' },
  moss: { base: '#6F8F4E', dark: '#456030', light: '#98B874' },
  sponge: { base: '#46555C', dark: '#2A353A', light: '#6B7B82' },
  open: { base: 'none', dark: '#6B5A34', light: 'none' },
};
const HOLLOW = '#241B12';
const WATER = '#5E9DAE';

interface Props {
  readonly piece: Piece;
  readonly solid: Solid;
  readonly look: Look;
  /** Holds water, or lets it fall. */
  readonly water: 'dish' | 'fall' | undefined;
  readonly view: Projection['view'];
  readonly left: number;
  readonly floor: number;
  readonly scale: number;
}

/** One piece as it is seen: its true outline, with a little of what it is made of. */
export const PieceShape = memo(function PieceShape({ view, left, floor, scale, ...props }: Props) {
  const projection = { view, left, floor, scale };
  const { body } = props.piece;
  if (body.shape === 'block') return <Block {...props} projection={projection} />;
  return body.shape === 'rod' ? (
    <Rod {...props} projection={projection} />
  ) : (
    <Plank {...props} projection={projection} />
  );
});

type Drawn = Omit<Props, 'view' | 'left' | 'floor' | 'scale'> & { readonly projection: Projection };

/** A stem with bark; a tube shows its hollow ends. */
function Rod({ piece, solid, look, projection }: Drawn) {
  const { body } = piece;
  if (body.shape !== 'rod') return null;
  const tones = TONES[look];
  const [ax, ay] = flat(projection, solid.foot);
  const [bx, by] = flat(projection, solid.head);
  const r = (body.diameter / 2) * projection.scale;
  const long = Math.hypot(bx - ax, by - ay);
  // Seen end on it is a disc.
  if (long < r * 0.7) {
    const [cx, cy] = [(ax + bx) / 2, (ay + by) / 2];
    return (
      <g>
        <circle cx={cx} cy={cy} r={r} fill={tones.base} stroke={tones.dark} strokeWidth={1} />
        {body.wall === null ? (
          <circle cx={cx} cy={cy} r={r * 0.55} fill="none" stroke={tones.dark} opacity={0.6} />
        ) : (
          <circle cx={cx} cy={cy} r={Math.max(1, r - body.wall * projection.scale)} fill={HOLLOW} />
        )}
      </g>
    );
  }
  const next = streamOf(piece.id + piece.kind);
  const [ux, uy] = [(bx - ax) / long, (by - ay) / long];
  // Grown wood wavers and tapers; tubes and poles do not.
  const grown = look === 'wood' && body.wall === null;
  const taper = grown ? 0.7 : 1;
  const waver = grown ? 0.16 : 0.03;
  const steps = grown ? Math.max(4, Math.min(14, Math.round(long / (r * 3)))) : 3;
  const bend = grown ? (next() - 0.5) * Math.min(r * 1.2, long * 0.06) : 0;
  const side = (sign: 1 | -1) =>
    Array.from({ length: steps + 1 }, (_, index): readonly [number, number] => {
      const t = index / steps;
      const half = r * (1 - (1 - taper) * t) * (1 - waver * next());
      const off = sign * half + bend * Math.sin(Math.PI * t);
      return [ax + ux * long * t - uy * off, ay + uy * long * t + ux * off];
    });
  const outline = [...side(1), ...side(-1).reverse()];
  const lines = Array.from({ length: Math.min(5, Math.max(2, Math.round(r / 4))) }, (_, index) => {
    const at = ((index + 0.7) / 5 - 0.45) * 2 * r * 0.8;
    const from = 0.04 + 0.3 * next();
    const to = 0.6 + 0.36 * next();
    const [p, q] = [from, to].map((t): readonly [number, number] => {
      const off = at * (1 - (1 - taper) * t) + bend * Math.sin(Math.PI * t);
      return [ax + ux * long * t - uy * off, ay + uy * long * t + ux * off];
    });
    return p && q ? `M${p[0].toFixed(1)} ${p[1].toFixed(1)}L${q[0].toFixed(1)} ${q[1].toFixed(1)}` : '';
  }).join('');
  // Side arms, short: more than a hint would claim room the piece does not take.
  const arms =
    grown && /root/.test(piece.kind)
      ? [0.38, 0.62, 0.82].map((t, index) => {
          const sign = index % 2 === 0 ? 1 : -1;
          const [x, y] = [ax + ux * long * t, ay + uy * long * t];
          const reach = r * (2.1 - t) * (0.9 + 0.3 * next());
          const turn = sign * (0.75 + 0.25 * next());
          const [vx, vy] = [
            ux * Math.cos(turn) - uy * Math.sin(turn),
            ux * Math.sin(turn) + uy * Math.cos(turn),
          ];
          const half = r * (0.42 - 0.12 * t);
          return polygon([
            [x - vy * half, y + vx * half],
            [x + vx * reach * 1.6 - vy * half * 0.5, y + vy * reach * 1.6 + vx * half * 0.5],
            [x + vx * reach * 1.7, y + vy * reach * 1.7],
            [x + vx * reach * 1.6 + vy * half * 0.5, y + vy * reach * 1.6 - vx * half * 0.5],
            [x + vy * half, y - vx * half],
          ]);
        })
      : [];
  const angle = (Math.atan2(uy, ux) * 180) / Math.PI;
  const upright = body.shape === 'rod' && projection.view !== 'plan';
  return (
    <g>
      {arms.map((arm) => (
        <path
          key={arm}
          d={arm}
          fill={tones.base}
          stroke={tones.dark}
          strokeWidth={1}
          strokeLinejoin="round"
        />
      ))}
      <path
        d={grown ? soft(outline) : polygon(outline)}
        fill={tones.base}
        stroke={tones.dark}
        strokeWidth={1.1}
      />
      <path d={lines} stroke={tones.dark} strokeWidth={Math.max(0.7, r * 0.06)} opacity={0.55} fill="none" />
      <path
        d={lines}
        stroke={tones.light}
        strokeWidth={Math.max(0.5, r * 0.05)}
        opacity={0.5}
        fill="none"
        transform={`translate(${(-uy * 1.6).toFixed(1)} ${(ux * 1.6).toFixed(1)})`}
      />
      {look === 'bamboo' && (
        <path
          d={[0.2, 0.5, 0.8]
            .map((t) => {
              const [x, y] = [ax + ux * long * t, ay + uy * long * t];
              return `M${(x - uy * r).toFixed(1)} ${(y + ux * r).toFixed(1)}L${(x + uy * r).toFixed(1)} ${(y - ux * r).toFixed(1)}`;
            })
            .join('')}
          stroke={tones.dark}
          strokeWidth={1.4}
        />
      )}
      {body.wall !== null &&
        upright &&
        [
          [ax, ay],
          [bx, by],
        ].map(([x, y], index) => (
          <ellipse
            key={index}
            cx={x}
            cy={y}
            rx={Math.max(1.5, r * 0.22)}
            ry={Math.max(2, r - (body.wall ?? 0) * projection.scale * 0.6)}
            transform={`rotate(${angle.toFixed(1)} ${x ?? 0} ${y ?? 0})`}
            fill={HOLLOW}
            stroke={tones.dark}
          />
        ))}
    </g>
  );
}

/** The eight corners of a slab. */
function cornersOf({ foot, head }: Solid, body: Extract<Piece['body'], { shape: 'plank' }>): Vec[] {
  const { run } = body;
  const level = Math.hypot(run.x, run.y) || 1;
  const flatRun = Math.hypot(run.x, run.y) < 1e-4;
  const b = flatRun ? { x: 0, y: 1 } : { x: -run.y / level, y: run.x / level };
  const long = Math.hypot(head.x - foot.x, head.y - foot.y, head.z - foot.z) || 1;
  const u = { x: (head.x - foot.x) / long, y: (head.y - foot.y) / long, z: (head.z - foot.z) / long };
  const up = { x: u.y * 0 - u.z * b.y, y: u.z * b.x - u.x * 0, z: u.x * b.y - u.y * b.x };
  return [foot, head].flatMap((end) =>
    [-1, 1].flatMap((s) =>
      [-1, 1].map((t) => ({
        x: end.x + (s * b.x * body.breadth) / 2 + (t * up.x * body.thickness) / 2,
        y: end.y + (s * b.y * body.breadth) / 2 + (t * up.y * body.thickness) / 2,
        z: end.z + (t * up.z * body.thickness) / 2,
      })),
    ),
  );
}

/** A slab of bark or stone. */
function Plank({ piece, solid, look, water, projection }: Drawn) {
  const { body } = piece;
  if (body.shape !== 'plank') return null;
  const tones = TONES[look];
  const outline = hull(cornersOf(solid, body).map((corner) => flat(projection, corner)));
  const [ax, ay] = flat(projection, solid.foot);
  const [bx, by] = flat(projection, solid.head);
  const next = streamOf(piece.id + piece.kind);
  return (
    <g>
      <path
        d={polygon(outline)}
        fill={tones.base}
        stroke={tones.dark}
        strokeWidth={1.1}
        strokeLinejoin="round"
      />
      <path
        d={Array.from({ length: 4 }, () => {
          const t = 0.08 + next() * 0.5;
          const s = t + 0.15 + next() * 0.25;
          return `M${(ax + (bx - ax) * t).toFixed(1)} ${(ay + (by - ay) * t).toFixed(1)}L${(ax + (bx - ax) * s).toFixed(1)} ${(ay + (by - ay) * s).toFixed(1)}`;
        }).join('')}
        stroke={tones.dark}
        strokeWidth={1}
        opacity={0.6}
      />
      {water === 'fall' && <path d={polygon(outline)} fill={WATER} opacity={0.35} stroke="none" />}
    </g>
  );
}

/** Stones, caves, dishes, pots. */
function Block({ piece, solid, look, water, projection }: Drawn) {
  const { body } = piece;
  if (body.shape !== 'block') return null;
  const tones = TONES[look];
  const { bounds } = solid;
  const plan = projection.view === 'plan';
  const next = streamOf(piece.id + piece.kind);
  const [x0, y1] = flat(projection, { x: bounds.x0, y: bounds.y0, z: bounds.z0 });
  const [x1, y0] = flat(projection, { x: bounds.x1, y: bounds.y1, z: bounds.z1 });
  const [w, h] = [x1 - x0, y1 - y0];
  const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
  if (look === 'open') {
    return plan ? (
      <ellipse
        cx={cx}
        cy={cy}
        rx={w / 2}
        ry={h / 2}
        fill={tones.dark}
        fillOpacity={0.12}
        stroke={tones.dark}
        strokeDasharray="5 4"
        strokeWidth={1.4}
      />
    ) : (
      <g>
        <rect x={x0} y={y1 - 10} width={w} height={12} fill="transparent" />
        <path d={`M${x0} ${y1 - 2}H${x1}`} stroke={tones.dark} strokeDasharray="5 4" strokeWidth={2.4} />
      </g>
    );
  }
  const stroke = { stroke: tones.dark, strokeWidth: 1.1, strokeLinejoin: 'round' as const };
  if (plan) {
    const turn = (-body.turn * 180) / Math.PI;
    const [rx, ry] = [(body.width / 2) * projection.scale, (body.depth / 2) * projection.scale];
    const rotate = `rotate(${turn.toFixed(1)} ${cx.toFixed(1)} ${cy.toFixed(1)})`;
    return (
      <g transform={rotate}>
        {body.form === 'box' ? (
          <rect
            x={cx - rx}
            y={cy - ry}
            width={2 * rx}
            height={2 * ry}
            rx={Math.min(4, rx / 4)}
            fill={tones.base}
            {...stroke}
          />
        ) : body.form === 'boulder' ? (
          <path d={soft(pebble(cx, cy, rx, ry, next))} fill={tones.base} {...stroke} />
        ) : (
          <ellipse cx={cx} cy={cy} rx={rx} ry={ry} fill={tones.base} {...stroke} />
        )}
        {body.wall !== null && body.form === 'round' && (
          <ellipse
            cx={cx}
            cy={cy}
            rx={Math.max(1, rx - body.wall * projection.scale)}
            ry={Math.max(1, ry - body.wall * projection.scale)}
            fill={water === 'dish' ? WATER : look === 'clay' || look === 'cork' ? '#4A3A29' : tones.dark}
            opacity={0.85}
          />
        )}
        {body.form === 'box' && look !== 'moss' && (
          <rect
            x={cx - rx * 0.86}
            y={cy - ry * 0.84}
            width={rx * 1.72}
            height={ry * 1.68}
            rx={3}
            fill="none"
            stroke={tones.light}
            strokeWidth={1.2}
            opacity={0.55}
          />
        )}
        {body.form === 'dome' &&
          [0.72, 0.42].map((share) => (
            <ellipse
              key={share}
              cx={cx}
              cy={cy}
              rx={rx * share}
              ry={ry * share}
              fill="none"
              stroke={tones.light}
              strokeWidth={1.1}
              opacity={0.55}
            />
          ))}
        {piece.entrance !== null && body.form !== 'round' && (
          <path
            d={`M${cx - Math.min(rx * 0.8, (piece.entrance / 2) * projection.scale)} ${cy + ry}A${Math.min(rx * 0.8, (piece.entrance / 2) * projection.scale)} ${ry * 0.3} 0 0 1 ${cx + Math.min(rx * 0.8, (piece.entrance / 2) * projection.scale)} ${cy + ry}Z`}
            fill={HOLLOW}
            opacity={0.85}
          />
        )}
      </g>
    );
  }
  const entrance = piece.entrance === null ? null : Math.min(piece.entrance * projection.scale, w * 0.7);
  const door = entrance !== null && h > 5 && (
    <path
      d={`M${cx - entrance / 2} ${y1}v${-Math.max(2, Math.min(h * 0.72, entrance) - entrance / 2)}a${entrance / 2} ${Math.min(entrance / 2, h * 0.4)} 0 0 1 ${entrance} 0V${y1}Z`}
      fill={HOLLOW}
      opacity={0.88}
    />
  );
  if (body.form === 'boulder') {
    return (
      <g>
        <path d={soft(pebble(cx, cy, w / 2, h / 2, next))} fill={tones.base} {...stroke} />
        <path
          d={`M${cx - w * 0.25} ${cy - h * 0.22}q${w * 0.18} ${-h * 0.14} ${w * 0.38} ${-h * 0.02}`}
          fill="none"
          stroke={tones.light}
          strokeWidth={Math.max(1, h * 0.05)}
          strokeLinecap="round"
          opacity={0.8}
        />
      </g>
    );
  }
  if (body.form === 'dome') {
    return (
      <g>
        <path d={`M${x0} ${y1}A${w / 2} ${h} 0 0 1 ${x1} ${y1}Z`} fill={tones.base} {...stroke} />
        <path
          d={`M${x0 + w * 0.12} ${y1 - h * 0.35}A${w * 0.42} ${h * 0.7} 0 0 1 ${x1 - w * 0.2} ${y1 - h * 0.6}`}
          fill="none"
          stroke={tones.light}
          strokeWidth={1.2}
          opacity={0.7}
        />
        {door}
      </g>
    );
  }
  const strata =
    look === 'slate' && piece.entrance === null ? Math.max(0, Math.round(body.height / 0.025) - 1) : 0;
  const pot = body.form === 'round' && body.height > body.width * 0.45;
  const dish = body.form === 'round' && !pot;
  return (
    <g>
      <path
        d={
          pot
            ? `M${x0} ${y0}H${x1}L${x1 - w * 0.12} ${y1}H${x0 + w * 0.12}Z`
            : dish
              ? `M${x0} ${y0}H${x1}L${x1 - w * 0.1} ${y1}H${x0 + w * 0.1}Z`
              : `M${x0 + 2} ${y0}H${x1 - 2}Q${x1} ${y0} ${x1} ${y0 + 2}V${y1}H${x0}V${y0 + 2}Q${x0} ${y0} ${x0 + 2} ${y0}Z`
        }
        fill={tones.base}
        {...stroke}
      />
      {strata > 0 && (
        <path
          d={Array.from({ length: strata }, (_, index) => {
            const y = y0 + (h * (index + 1)) / (strata + 1);
            return `M${x0 + w * 0.03 * next()} ${y}H${x1 - w * 0.03 * next()}`;
          }).join('')}
          stroke={tones.dark}
          strokeWidth={1.2}
          opacity={0.8}
        />
      )}
      {(pot || dish) && (
        <path
          d={`M${x0} ${y0}H${x1}`}
          stroke={water === 'dish' ? WATER : tones.light}
          strokeWidth={water === 'dish' ? 3 : 1.6}
        />
      )}
      {water === 'fall' && (
        <path
          d={[0.35, 0.5, 0.65]
            .map((share) => `M${x0 + w * share} ${y0}q${w * 0.06} ${h * 0.4} ${-w * 0.02} ${h}`)
            .join('')}
          fill="none"
          stroke={WATER}
          strokeWidth={Math.max(1.5, w * 0.05)}
          opacity={0.8}
        />
      )}
      {door}
    </g>
  );
}

/** A round that is none: eleven points about an oval. */
function pebble(cx: number, cy: number, rx: number, ry: number, next: () => number): [number, number][] {
  return Array.from({ length: 11 }, (_, index) => {
    const angle = (index / 11) * 2 * Math.PI;
    const by = 1.02 - 0.1 * next();
    return [cx + Math.cos(angle) * rx * by, cy + Math.sin(angle) * ry * by];
  });
}
