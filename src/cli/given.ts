import { catalogue } from '@/catalogue';
import { heightNeed } from '@/core/brief';
import { seededRandom } from '@/core/random';
import type { EditCall } from '@/core/edits';
import type { Enclosure } from '@/core/document';

/** A box somebody owns: what it is made of, how large, and the kind that is to live in it. */
export interface Given {
  readonly animal: string;
  readonly size: { readonly width: number; readonly depth: number; readonly height: number };
  readonly edits: readonly EditCall[];
  readonly what: string;
}

const SIZES = [
  [0.2, 0.2, 0.2],
  [0.3, 0.3, 0.45],
  [0.45, 0.45, 0.45],
  [0.6, 0.45, 0.9],
  [0.9, 0.45, 0.45],
  [1.2, 0.6, 0.6],
  [1.2, 0.6, 1.2],
  [2, 1.2, 2.1],
] as const;

type Shape = Partial<Enclosure> & Pick<Enclosure, 'material' | 'top'>;
const MADE: readonly (Shape & { readonly name: string })[] = [
  { name: 'glass, open gauze', material: 'glass', top: 'mesh', wallThickness: 0.005, topCover: 0 },
  { name: 'glass, half covered', material: 'glass', top: 'mesh', wallThickness: 0.006, topCover: 0.5 },
  { name: 'gauze all round', material: 'mesh', top: 'mesh', wallThickness: 0.002, watertightHeight: 0.05 },
  { name: 'timber, gauze over', material: 'timber', top: 'mesh', wallThickness: 0.012, topCover: 0.3 },
  { name: 'plastic, closed', material: 'pvc', top: 'solid', wallThickness: 0.01 },
];

/** Forty boxes from 20 cm cubes to rooms, each with the kind, of a seed, that has room in it or comes nearest to it. */
export function givenBoxes(): readonly Given[] {
  return SIZES.flatMap(([width, depth, height], i) =>
    MADE.map(({ name, ...shape }, j): Given => {
      const next = seededRandom(100 * i + j + 1);
      const kinds = catalogue.animals
        .map((it) => ({ id: it.id, order: next(), need: it.space.value, tall: heightNeed(it) }))
        .sort((a, b) => a.order - b.order);
      const short = (it: (typeof kinds)[number]): number =>
        Math.max(0, it.need.width - width) +
        Math.max(0, it.need.depth - depth) +
        Math.max(0, it.tall - height);
      // In a large box a kind that fills it, not the smallest there is.
      const wide = (it: (typeof kinds)[number]): number =>
        Math.abs(Math.log((width * depth) / (it.need.width * it.need.depth)));
      const kind = [...kinds].sort(
        (a, b) => short(a) - short(b) || Math.floor(wide(a)) - Math.floor(wide(b)),
      )[0];
      const walkIn = width >= 2;
      return {
        animal: kind?.id ?? '',
        size: { width, depth, height },
        edits: [
          { edit: 'setEnclosure', change: { ...shape, ...(walkIn ? { build: 'walk-in' as const } : {}) } },
        ],
        what: `${width * 100} × ${depth * 100} × ${height * 100}, ${walkIn ? 'walk-in, ' : ''}${name}`,
      };
    }),
  );
}
