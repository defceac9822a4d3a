/* eslint-disable react/display-name -- these functions draw marks; they are not components */
import { memo, type ReactElement } from 'react';
import { type Catalogue, type Material, bedOfMaterial, findMaterial, materialOf } from '@/core/catalogue';
import type { Layer } from '@/core/document';
import { normalise } from '@/core/ground';

/** How a layer looks through the glass. Grains are drawn at their true size. */
export type Texture =
  | 'beads'
  | 'small-beads'
  | 'panel'
  | 'foam'
  | 'paper'
  | 'water'
  | 'cloth'
  | 'forest'
  | 'chunky'
  | 'base'
  | 'sand'
  | 'charcoal'
  | 'moss'
  | 'litter';

type Sort = NonNullable<Material['mixing']>['sort'];
/** Sorts of ingredient by what they look like; whatever is in neither is fine and dark. */
const CHUNKS: readonly Sort[] = ['bark', 'mineral', 'char'];
const EARTHY: readonly Sort[] = ['soil', 'clay', 'sand'];

/** Chooses a texture from what the layer is made of. */
export function textureOf(layer: Layer, catalogue: Catalogue): Texture {
  switch (layer.kind) {
    case 'drainage': {
      const row = materialOf(catalogue, layer.material);
      const texture = bedOfMaterial(row)?.texture ?? 'base';
      return texture === 'beads' && (row.grain?.value.low ?? 0.008) < 0.006 ? 'small-beads' : texture;
    }
    case 'barrier':
      return 'cloth';
    case 'thin': {
      const row = materialOf(catalogue, layer.material);
      if (row.roles.includes('paper')) return 'paper';
      return row.mixing?.sort === 'sand' ? 'sand' : 'charcoal';
    }
    case 'moss':
      return 'moss';
    case 'litter':
      return 'litter';
    case 'water':
      return 'water';
    case 'substrate': {
      const shares = normalise(layer.mix);
      const of = (sorts: readonly Sort[]): number =>
        shares.reduce((sum, { material, share }) => {
          const sort = findMaterial(catalogue, material)?.mixing?.sort;
          return sort && sorts.includes(sort) ? sum + share : sum;
        }, 0);
      if (of(['sand']) > 0.5) return 'sand';
      if (of(EARTHY) > 0.4) return 'base';
      return of(CHUNKS) > 0.5 ? 'chunky' : 'forest';
    }
  }
}

/** A flat colour of the same kind, for swatches and far-off sections. */
export const TEXTURE_COLOUR: Record<Texture, string> = {
  beads: '#B96F4A',
  'small-beads': '#B4714F',
  panel: '#8C9388',
  foam: '#5E6B63',
  paper: '#E4DFD0',
  water: '#4E8FA0',
  cloth: '#4A4A40',
  forest: '#57432F',
  chunky: '#6E4B33',
  base: '#7C6748',
  sand: '#C9A76B',
  charcoal: '#3B3A36',
  moss: '#6F8F4E',
  litter: '#A87A35',
};

/** A repeatable stream of numbers from 0 to 1, so that a drawing never flickers. */
function stream(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

type Draw = (x: number, y: number, next: () => number, key: string) => ReactElement;

/** Scatters marks over a tile (mm), repeating those near its edge on the far side so that tiles join. */
function scatter(size: number, count: number, reach: number, seed: number, draw: Draw): ReactElement[] {
  const next = stream(seed);
  const marks: ReactElement[] = [];
  // A jittered grid: even, but with no rows to see.
  const side = Math.ceil(Math.sqrt(count));
  for (let i = 0; i < count; i += 1) {
    const x = (((i % side) + 0.15 + 0.7 * next()) / side) * size;
    const y = ((Math.floor(i / side) + 0.15 + 0.7 * next()) / side) * size;
    const own = next() * 1e9;
    for (const dx of [-size, 0, size]) {
      for (const dy of [-size, 0, size]) {
        if (x + dx < -reach || x + dx > size + reach || y + dy < -reach || y + dy > size + reach) continue;
        marks.push(draw(x + dx, y + dy, stream(own), `${seed} ${i} ${dx} ${dy}`));
      }
    }
  }
  return marks;
}

const pick = (list: readonly string[], at: number): string => list[Math.floor(at * list.length)] ?? '#000';

const bead =
  (low: number, high: number): Draw =>
  (x, y, next, key) => {
    const r = (low + next() * (high - low)) / 2;
    const tone = pick(['#C27A53', '#B5683F', '#CC8A63', '#A9623C', '#BE7650'], next());
    return (
      <g key={key}>
        <circle cx={x} cy={y} r={r} fill={tone} stroke="#8A4B2B" strokeWidth={0.5} />
        <circle cx={x - r * 0.3} cy={y - r * 0.35} r={r * 0.32} fill="#E3AD8B" opacity={0.55} />
      </g>
    );
  };

const fleck =
  (tones: readonly string[], length: number, breadth: number): Draw =>
  (x, y, next, key) => (
    <rect
      key={key}
      x={x - length / 2}
      y={y - breadth / 2}
      width={length * (0.5 + next())}
      height={breadth * (0.6 + 0.8 * next())}
      rx={breadth / 3}
      fill={pick(tones, next())}
      transform={`rotate(${Math.round((next() - 0.5) * 150)} ${x} ${y})`}
    />
  );

const grain =
  (tones: readonly string[], radius: number): Draw =>
  (x, y, next, key) => (
    <circle key={key} cx={x} cy={y} r={radius * (0.5 + next())} fill={pick(tones, next())} />
  );

const leaf: Draw = (x, y, next, key) => {
  const length = 9 + next() * 9;
  const turn = Math.round((next() - 0.5) * 70);
  return (
    <path
      key={key}
      d={`M ${x - length / 2} ${y} Q ${x} ${y - length * 0.28} ${x + length / 2} ${y} Q ${x} ${y + length * 0.28} ${x - length / 2} ${y} Z`}
      fill={pick(['#B5853B', '#8F6329', '#C79A52', '#7C5424', '#A67233'], next())}
      stroke="#6B481E"
      strokeWidth={0.35}
      transform={`rotate(${turn} ${x} ${y})`}
    />
  );
};

const tuft: Draw = (x, y, next, key) => {
  const h = 4 + next() * 5;
  return (
    <path
      key={key}
      d={`M ${x} ${y + h / 2} q ${-2 + next() * 1.5} ${-h * 0.6} ${-1.6} ${-h} M ${x} ${y + h / 2} q ${1 + next()} ${-h * 0.6} ${2} ${-h * 0.9}`}
      fill="none"
      stroke={pick(['#8DAE63', '#557A3A', '#A3C07A', '#3F6230'], next())}
      strokeWidth={1.1}
      strokeLinecap="round"
    />
  );
};

/** Tile size in mm and its marks. */
const TILES: Record<Texture, { readonly size: number; readonly marks: readonly ReactElement[] }> = {
  beads: { size: 88, marks: scatter(88, 81, 9, 7, bead(8, 15)) },
  'small-beads': { size: 60, marks: scatter(60, 121, 5, 11, bead(4, 8)) },
  panel: {
    size: 24,
    marks: [
      <rect key="void" x={0} y={0} width={24} height={24} fill="#DDE3DC" />,
      <path key="ribs" d="M0 12 H24 M6 0 V24 M18 0 V24" stroke="#8C9388" strokeWidth={2} />,
    ],
  },
  foam: { size: 30, marks: scatter(30, 90, 2, 41, grain(['#4A564F', '#74827A', '#39433E'], 1.1)) },
  paper: {
    size: 10,
    marks: [<path key="p" d="M0 3 H10 M0 7 H10" stroke="#CFC8B4" strokeWidth={0.6} />],
  },
  water: {
    size: 60,
    marks: scatter(60, 14, 8, 43, (x, y, next, key) => (
      <path
        key={key}
        d={`M ${x - 6} ${y} q 3 -1.6 6 0 t 6 0`}
        fill="none"
        stroke="#8FBFCB"
        strokeWidth={0.8}
        opacity={0.3 + 0.4 * next()}
      />
    )),
  },
  cloth: { size: 6, marks: [<path key="w" d="M0 3 H3.4" stroke="#F3EFE5" strokeWidth={6} />] },
  forest: {
    size: 70,
    marks: [
      ...scatter(70, 64, 8, 3, fleck(['#3B2C1E', '#7A6144', '#8F7450', '#2E2419', '#6A5238'], 7, 2.4)),
      ...scatter(70, 25, 4, 5, grain(['#1F1B16', '#2A251E', '#9C8762'], 1.4)),
    ],
  },
  chunky: {
    size: 84,
    marks: scatter(84, 49, 12, 37, fleck(['#8A5F40', '#4F3524', '#A57650', '#5E412C', '#94694A'], 15, 8)),
  },
  base: {
    size: 56,
    marks: [
      ...scatter(56, 120, 3, 13, grain(['#97805B', '#5F4E36', '#B29C73', '#6E5B3F'], 1)),
      ...scatter(56, 12, 3, 17, grain(['#332D25'], 1.6)),
    ],
  },
  sand: {
    size: 44,
    marks: scatter(44, 170, 2, 19, grain(['#DABD86', '#B08F55', '#E6CFA0', '#9C7E49'], 0.7)),
  },
  charcoal: {
    size: 40,
    marks: scatter(40, 64, 5, 23, fleck(['#1F1E1B', '#55534C', '#2C2B27', '#6B685F'], 5, 3.6)),
  },
  moss: { size: 40, marks: scatter(40, 64, 6, 29, tuft) },
  litter: { size: 60, marks: scatter(60, 42, 12, 31, leaf) },
};

interface Props {
  readonly prefix: string;
  readonly textures: readonly Texture[];
  /** px per metre of the drawing. */
  readonly scale: number;
}

/** The SVG patterns a drawing needs, sized in millimetres of the real thing. */
export const TexturePatterns = memo(function TexturePatterns({ prefix, textures, scale }: Props) {
  return (
    <>
      {[...new Set(textures)].map((texture) => {
        const { size, marks } = TILES[texture];
        return (
          <pattern
            key={texture}
            id={`${prefix}-${texture}`}
            width={size}
            height={size}
            patternUnits="userSpaceOnUse"
            patternTransform={`scale(${scale / 1000})`}
          >
            <rect width={size} height={size} fill={TEXTURE_COLOUR[texture]} />
            {marks}
          </pattern>
        );
      })}
    </>
  );
});
