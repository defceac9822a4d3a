import type { Bore, Design, Enclosure, Piece, Vent } from '../document/schema';
import { siteAt } from '../ground/bodies';
import { placePieces } from '../pieces/place';
import { goesIn, sticksOut } from '../scape/fits';
import { clamp } from '../physics/constants';
import { turnedSides, usuallyInFront, type InFront } from '../enclosure/turning';
import { setEnclosure } from './brief';
import { proposeScape } from './scape';
import { type Edit } from './shared';

/** What becomes of pieces that do not fit: they stay and are told, come out, or all is laid out anew. */
export type TurnedPieces = 'keep' | 'out' | 'afresh';

/** Share of a box that a bar or tube may be long. */
const LONGEST = 0.95;
/** m of the strips of gauze under and over a door that is fitted to what was a lid (common practice). */
const STRIP = 0.02;
/** More than this beyond its box a piece does not fit, m. */
const FITS = 0.0015;

type Walls = Readonly<Record<Bore['wall'], Bore['wall']>>;
/** Where each wall comes to: on its right side, lid to the right or to the front. */
const WALLS: Readonly<Record<InFront, Walls>> = {
  front: { left: 'top', top: 'right', right: 'bottom', bottom: 'left', front: 'front', back: 'back' },
  lid: { right: 'bottom', left: 'top', front: 'left', back: 'right', top: 'front', bottom: 'back' },
};
const backwards = (walls: Walls): Walls =>
  Object.fromEntries(Object.entries(walls).map(([from, to]) => [to, from])) as Record<
    Bore['wall'],
    Bore['wall']
  >;

type Sides = Pick<Enclosure, 'width' | 'depth' | 'height'>;
interface At {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** Where a hole is: from the left end of its wall as one looks at it from outside, and up; of lid and floor from the front. */
function offWall({ wall, across, up }: Bore, { width, depth, height }: Sides): At {
  switch (wall) {
    case 'front':
      return { x: across, y: 0, z: up };
    case 'back':
      return { x: width - across, y: depth, z: up };
    case 'left':
      return { x: 0, y: depth - across, z: up };
    case 'right':
      return { x: width, y: across, z: up };
    case 'top':
      return { x: across, y: up, z: height };
    case 'bottom':
      return { x: width - across, y: up, z: 0 };
  }
}

/** The same backwards. */
function onWall({ x, y, z }: At, wall: Bore['wall'], { width, depth }: Sides): Pick<Bore, 'across' | 'up'> {
  const found = {
    front: { across: x, up: z },
    back: { across: width - x, up: z },
    left: { across: depth - y, up: z },
    right: { across: y, up: z },
    top: { across: x, up: y },
    bottom: { across: width - x, up: y },
  }[wall];
  return { across: Math.max(0, found.across), up: Math.max(0, found.up) };
}

/** A place in the glass of a box, once the box is turned over its right side, or laid back. */
function turnedPoint({ x, y, z }: At, { width, depth, height, stands }: Enclosure, front: InFront): At {
  if (stands === 'upright')
    return front === 'front' ? { x: z, y, z: width - x } : { x: y, y: height - z, z: width - x };
  return front === 'front' ? { x: height - z, y, z: x } : { x: height - z, y: x, z: depth - y };
}

/** The box itself as it stands once it is turned, or laid back down. */
function turnedBox(box: Enclosure, front: InFront): Enclosure {
  const { made } = box;
  const up = box.stands === 'upright';
  const walls = up ? WALLS[front] : backwards(WALLS[front]);
  const sides = turnedSides(box, front);
  const bores = made.bores.map((it): Bore => {
    const wall = walls[it.wall];
    return { ...it, wall, ...onWall(turnedPoint(offWall(it, box), box, front), wall, sides) };
  });
  const airy = box.top !== 'solid';
  const shell: Partial<Enclosure> = up
    ? front === 'lid'
      ? {
          front: 'doors',
          top: 'solid',
          made: {
            ...made,
            bores,
            doors: 'hinged',
            ventLow: Math.max(made.ventLow, STRIP),
            ventHigh: Math.max(made.ventHigh, STRIP),
          },
        }
      : {
          top: airy ? 'solid' : box.top,
          screened: airy ? [...new Set([...box.screened, 'right' as const])] : box.screened,
          made: { ...made, bores, doors: 'hinged' },
        }
    : front === 'lid'
      ? { front: 'fixed', top: 'mesh', made: { ...made, bores, ventLow: 0, ventHigh: 0 } }
      : {
          top: box.screened.includes('right') ? 'mesh' : box.top,
          screened: box.screened.filter((it) => it !== 'right'),
          made: { ...made, bores },
        };
  // A sill under the door is all that holds back soil and water; a box laid down holds as it did.
  const sill = clamp(sides.height * 0.15, 0.06, 0.2);
  return {
    ...box,
    ...sides,
    ...shell,
    // What comes to lie below is the floor, of the box’s own make.
    panels: box.panels.flatMap((it) => {
      const wall = walls[it.wall];
      return wall === 'bottom' ? [] : [{ ...it, wall }];
    }),
    stands: up ? 'on-end' : 'upright',
    watertightHeight: Math.min(box.watertightHeight, up ? sill : sides.height),
  };
}

/**
 * Stands the box on its short side, or back. What hangs in it or over it goes with it: each device keeps its share of the
 * way across and of the way up, one over the lid stays as far over it, and none is longer than the box now is. Vents and
 * bores stay in the wall they are in, wherever that now is; pieces keep their share of the floor and of the way up.
 */
export const turnEnclosure: Edit<{ front?: InFront; pieces?: TurnedPieces }> = (
  design,
  change,
  catalogue,
) => {
  const { enclosure, climate, scape } = design;
  const front = change.front ?? usuallyInFront(enclosure);
  const box = turnedBox(enclosure, front);
  const turned = setEnclosure(design, box, catalogue);
  const { width, depth, height } = turned.enclosure;
  const wide = width / enclosure.width;
  const deep = depth / enclosure.depth;
  const tall = height / enclosure.height;
  const place = (at: { readonly x: number; readonly y: number; readonly z: number }) => ({
    x: at.x * wide,
    y: at.y * deep,
    z: at.z > enclosure.height ? height + (at.z - enclosure.height) : at.z * tall,
  });
  const walls = enclosure.stands === 'upright' ? WALLS[front] : backwards(WALLS[front]);
  const moved = drawnIn({
    ...turned,
    scape: {
      ...scape,
      pieces: scape.pieces.map((it): Piece => ({
        ...it,
        at: { x: it.at.x * wide, y: it.at.y * deep },
        support: it.support.on === 'wall' ? { ...it.support, height: it.support.height * tall } : it.support,
      })),
      backgrounds: scape.backgrounds.map((it) => ({
        ...it,
        top: it.top === null ? null : it.top * tall,
        cutouts: it.cutouts.map((cut) => ({ ...cut, across: cut.across * wide, up: cut.up * tall })),
      })),
    },
    climate: {
      ...climate,
      devices: climate.devices.map((device) => {
        const room = device.along === 'x' ? width : depth;
        const length = Math.min(device.length, LONGEST * room);
        const at = place(device.at);
        const half = device.along === 'x' ? length / 2 : 0;
        return {
          ...device,
          length,
          at: { ...at, x: Math.min(width - half, Math.max(half, at.x)) },
          thermostat: device.thermostat && { ...device.thermostat, probe: place(device.thermostat.probe) },
          humidistat: device.humidistat && { ...device.humidistat, probe: place(device.humidistat.probe) },
        };
      }),
      vents: climate.vents.flatMap((vent): readonly Vent[] => {
        const wall = walls[vent.wall];
        if (wall === 'bottom') return [];
        // In what is now the top it lies as high as can be in the wall beside it.
        return wall === 'top'
          ? [{ ...vent, wall: 'back', height: height - Math.sqrt(vent.area) / 2 }]
          : [{ ...vent, wall, height: vent.height * tall }];
      }),
      meter: climate.meter && { ...climate.meter, at: place(climate.meter.at) },
    },
  });
  switch (change.pieces ?? 'keep') {
    case 'keep':
      return moved;
    case 'out': {
      const out = new Set(unfit(moved).map((it) => it.id));
      const pieces = moved.scape.pieces.filter((it) => !out.has(it.id));
      return { ...moved, scape: { ...moved.scape, pieces } };
    }
    case 'afresh':
      return proposeScape(moved, {}, catalogue);
  }
};

/** Pieces that would fit, drawn in from the walls they came to stick out of. */
function drawnIn(design: Design): Design {
  const { enclosure, scape } = design;
  const within = (low: number, high: number, size: number): number =>
    high - low > size ? 0 : low < 0 ? -low : high > size ? size - high : 0;
  const pieces = placePieces(scape.pieces, siteAt(design)).map(({ piece, solid: { bounds } }): Piece => {
    const by = {
      x: within(bounds.x0, bounds.x1, enclosure.width),
      y: within(bounds.y0, bounds.y1, enclosure.depth),
      z: within(bounds.z0, bounds.z1, enclosure.height),
    };
    if (by.x === 0 && by.y === 0 && by.z === 0) return piece;
    const { support } = piece;
    return {
      ...piece,
      at: { x: piece.at.x + by.x, y: piece.at.y + by.y },
      support: support.on === 'wall' ? { ...support, height: Math.max(0, support.height + by.z) } : support,
    };
  });
  return { ...design, scape: { ...scape, pieces } };
}

/** Pieces that stick out of their box or go through none of its openings. */
function unfit(design: Design): readonly Piece[] {
  return placePieces(design.scape.pieces, siteAt(design)).flatMap(({ piece, solid }) =>
    sticksOut(solid.bounds, design.enclosure) > FITS || !goesIn(piece.body, design.enclosure) ? [piece] : [],
  );
}

/** What a turn changes beside moving it, and what cannot come along. */
export interface Turned {
  readonly enclosure: Enclosure;
  readonly moves: { readonly devices: number; readonly vents: number; readonly bores: number };
  /** Pieces that no longer fit. */
  readonly unfit: readonly Piece[];
  /** Bars and tubes that are longer than the box now is, with what fits, m. */
  readonly tooLong: readonly { readonly name: string; readonly length: number; readonly most: number }[];
  /** Backgrounds that are cut anew. */
  readonly backgrounds: number;
  /** Vents that come to lie in the floor, and are closed. */
  readonly ventsClosed: number;
}

/** Told before it is done. */
export function whatTurns(design: Design, front: InFront, catalogue: Parameters<Edit<unknown>>[2]): Turned {
  const turned = turnEnclosure(design, { front }, catalogue);
  return {
    enclosure: turned.enclosure,
    moves: {
      devices: turned.climate.devices.length,
      vents: turned.climate.vents.length,
      bores: turned.enclosure.made.bores.length,
    },
    unfit: unfit(turned),
    tooLong: design.climate.devices.flatMap(({ name, length }, i) => {
      const most = turned.climate.devices[i]?.length ?? length;
      return most < length - 1e-9 ? [{ name, length, most }] : [];
    }),
    backgrounds: design.scape.backgrounds.length,
    ventsClosed: design.climate.vents.length - turned.climate.vents.length,
  };
}
