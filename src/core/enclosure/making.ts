import type { Bore, Enclosure } from '../document/schema';
import { outsideSize } from './box';
import { floorOf, isGauze, lidOf, sideOf, type Made, type Solid } from './shell';

export interface Piece {
  /** What it is called on the sheet. */
  readonly name: string;
  readonly count: number;
  /** m */
  readonly width: number;
  readonly height: number;
  /** m; absent for gauze. */
  readonly thickness?: number;
  readonly of: 'wall' | 'gauze' | 'door' | 'stud';
  /** Absent for gauze and studs. */
  readonly material?: Solid;
  readonly note?: string;
}

export interface Making {
  readonly pieces: readonly Piece[];
  readonly bores: readonly (Bore & { readonly from: string })[];
  /** m² of board to be sealed on the inside, its cut edges included; 0 for what needs no sealing. */
  readonly sealArea: number;
}

/** Sliding panes pass each other by so much, m; panes and leaves move in so much play (common practice). */
const PASS = 0.03;
const TRACK = 0.008;
const PLAY = 0.003;
/** A leaf a person walks through, m. */
const LEAF = { width: 0.7, height: 2 } as const;
const STUDS_APART = 0.6;

/**
 * The box as a glazier or joiner would be asked to make it: panes stand on the floor, back and front run over the ends
 * of the sides. Sizes follow from the inside of the box and the thickness of its walls; joints are the maker's.
 */
export function makingOf(box: Enclosure): Making {
  const { width, depth, height, made } = box;
  const outer = outsideSize(box);
  const pieces: Piece[] = [];
  const wall = (name: string, w: number, h: number, of: Made | null, note?: string): void => {
    // A tray in a frame of gauze is the maker’s own.
    const stuff = of ?? { thickness: box.wallThickness };
    pieces.push({ name, count: 1, width: w, height: h, ...stuff, of: 'wall', ...(note ? { note } : {}) });
  };
  const gauze = (name: string, w: number, h: number, note?: string): void => {
    pieces.push({ name, count: 1, width: w, height: h, of: 'gauze', ...(note ? { note } : {}) });
  };
  /** A wall, or gauze in a frame of its own that stands on a sill as high as the box holds water. */
  const side = (name: string, which: 'left' | 'right' | 'back' | 'front', w: number, h: number): void => {
    if (!isGauze(box, which)) return wall(name, w, h, sideOf(box, which));
    if (box.watertightHeight > 0 && box.watertightHeight < h) {
      wall(`${name}, sill`, w, box.watertightHeight, floorOf(box));
      gauze(`${name}, gauze in a frame`, w, h - box.watertightHeight);
    } else gauze(`${name}, gauze in a frame`, w, h);
  };

  if (box.build === 'box') wall('Floor', outer.width, outer.depth, floorOf(box));
  const backHeight = height - made.ventHigh;
  side('Back', 'back', outer.width, backHeight);
  if (made.ventHigh > 0) gauze('Vent strip over the back', width, made.ventHigh);
  side('Left side', 'left', depth, height);
  side('Right side', 'right', depth, height);
  if (box.build === 'walk-in') walkInFront(box, outer.width, pieces);
  else if (box.front === 'fixed') side('Front', 'front', outer.width, height);
  else {
    const sill = Math.min(box.watertightHeight, Math.max(0, height - made.ventLow - 0.05));
    if (sill > 0) wall('Front, sill', outer.width, sill, floorOf(box), 'holds the ground, and the water');
    if (made.ventLow > 0) gauze('Vent strip under the doors', width, made.ventLow);
    pieces.push(doorsOf(box, height - sill - made.ventLow));
  }
  if (box.top === 'solid') wall('Lid', outer.width, outer.depth, lidOf(box));
  if (box.top === 'mesh') gauze('Lid, gauze in a frame', outer.width, outer.depth);

  const inside = pieces
    .filter((piece) => piece.of === 'wall' && piece.material === 'timber')
    .reduce((sum, it) => sum + it.width * it.height + 2 * (it.width + it.height) * (it.thickness ?? 0), 0);
  return {
    pieces,
    bores: made.bores.map((bore) => ({ ...bore, from: bore.wall === 'bottom' ? 'front' : 'floor' })),
    sealArea: inside,
  };
}

function doorsOf(box: Enclosure, opening: number): Piece {
  const { width, made } = box;
  const pane = sideOf(box, 'front');
  const sliding = made.doors === 'sliding';
  return {
    name: sliding ? 'Sliding panes' : 'Hinged leaves',
    count: 2,
    width: sliding ? (width + PASS) / 2 : width / 2 - PLAY,
    height: sliding ? opening - TRACK : opening - 2 * PLAY,
    ...(pane ?? {}),
    of: pane ? 'door' : 'gauze',
    note: sliding ? 'run in a double track; edges ground' : 'closed with a lock the animal cannot push open',
  };
}

function walkInFront(box: Enclosure, outerWidth: number, pieces: Piece[]): void {
  const leaf = {
    width: Math.min(LEAF.width, box.width - 0.1),
    height: Math.min(LEAF.height, box.height - 0.05),
  };
  const made = sideOf(box, 'front');
  const gauze = made === null;
  pieces.push({
    name: gauze ? 'Front, gauze in a frame' : 'Front',
    count: 1,
    width: outerWidth,
    height: box.height,
    ...(made ?? {}),
    of: gauze ? 'gauze' : 'wall',
    note: 'the door is cut out of it',
  });
  pieces.push({ name: 'Door', count: 1, ...leaf, of: 'door', note: 'opens outwards, with a lock' });
  const studs = 2 * (Math.ceil(box.width / STUDS_APART) + 1) + 2 * (Math.ceil(box.depth / STUDS_APART) - 1);
  pieces.push({
    name: 'Studs',
    count: studs,
    width: 0.045,
    height: box.height,
    of: 'stud',
    note: 'at most 60 cm apart',
  });
}

/** How a sealer is put on: coats, and m² a litre (or kg of resin) covers in one (common practice). */
export const SEALERS: Record<'varnish' | 'epoxy', { readonly coats: number; readonly covers: number }> = {
  varnish: { coats: 3, covers: 10 },
  epoxy: { coats: 2, covers: 4 },
};

/** What sealing takes: m³ of sealer over all coats, or m² of liner; undefined where nothing is sealed. */
export function sealingOf(box: Enclosure, sealArea: number) {
  const { seal } = box.made;
  if (sealArea <= 0 || seal === 'none') return undefined;
  if (seal === 'liner') {
    const rise = box.watertightHeight;
    return { seal, coats: 1, volume: 0, liner: (box.width + 2 * rise) * (box.depth + 2 * rise) } as const;
  }
  const { coats, covers } = SEALERS[seal];
  return { seal, coats, volume: (sealArea * coats) / covers / 1000, liner: 0 } as const;
}
