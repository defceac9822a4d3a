import { many } from '../../catalogue';
import type { Design } from '../../document/schema';
import { siteAt } from '../../ground/bodies';
import type { Placed } from '../../pieces/place';
import { WATER_DENSITY } from '../../physics/constants';
import { goesIn } from '../../scape/fits';
import { keepsDry, underWater } from '../../scape/land';
import { downToFloor } from '../../scape/showing';
import { length, mass, message } from '../../units';
import type { Finding, Remedy, Rule } from '../../finding/finding';

/** Lighter than this a stone hurts nobody that undermines it, kg (common practice). */
const HEAVY = 0.5;
/** The same of caves and dishes, which are broad and hollow, kg. */
const HEAVY_FITTING = 3;
/** m of water over the ground that press as hard as the wet soil an animal digs in (common practice). */
const DEEP_WATER = 0.15;
/** An animal that digs so deep gets under a stone, m (common practice). */
const DIGS = 0.03;

/** Heavy things on soil that will be dug under, stacks that can fall, and hard things on glass. */
export const stoneOnSoil: Rule = ({ design, animal, scape }) =>
  scape.pieces.flatMap(({ placed, mass: full, holds, kind }): Finding[] => {
    const { piece, on, solid } = placed;
    // Shallow water presses no more than the soil beside it does; deep water does.
    const deep = solid.bounds.z1 - placed.ground > DEEP_WATER;
    const kg = deep ? full : full - holds * WATER_DENSITY;
    const stone = kind?.group === 'stone' || kg > HEAVY_FITTING;
    const place = { at: 'scape', piece: piece.id } as const;
    const found: Finding[] = [];
    if (stone && kg >= HEAVY && on === 'ground' && placed.base > 0.01) {
      const digs = animal?.digs.value ?? DIGS;
      const burrows = animal?.life.value === 'burrowing' || digs > 0.05;
      found.push({
        code: 'stone-on-soil',
        severity: burrows ? 'severe' : 'look',
        place,
        what: message`${piece.name} stands on soil that can be dug away.`,
        because: animal
          ? message`It weighs ${mass(kg)} and has ${length(placed.base)} of ground under it; ${many(animal.english)} dig ${length(digs)} deep. On the floor of the enclosure it cannot sink on to an animal.`
          : message`It weighs ${mass(kg)} and has ${length(placed.base)} of ground under it. On the floor of the enclosure it cannot sink on to an animal.`,
        remedies: onFloor(design, placed),
        basis: 'practice',
      });
    }
    const { bounds } = placed.solid;
    const base = Math.min(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0);
    // What the soil holds does not fall.
    const stands = bounds.z1 - Math.max(bounds.z0, placed.ground);
    if (kind?.group === 'stone' && !piece.fixed && stands > base * 0.9 && kg > HEAVY) {
      found.push({
        code: 'stack-loose',
        severity: 'look',
        place,
        what: message`${piece.name} is tall for its foot and not fixed.`,
        because: message`It stands ${length(stands)} over the ground on a foot of ${length(base)}. Glue its stones to one another, or make it broader.`,
        remedies: [
          {
            label: message`It will be glued`,
            call: { edit: 'setPiece', change: { piece: piece.id, change: { fixed: true } } },
          },
        ],
        basis: 'practice',
      });
    }
    return found;
  });

/** Down on the floor of the box, where it goes through the door so. */
function onFloor(design: Design, placed: Placed): readonly Remedy[] {
  const down = downToFloor(placed, design, siteAt(design));
  if (down === null || !goesIn(down.body, design.enclosure)) return [];
  const { body } = down;
  const label =
    body.shape === 'block'
      ? message`Stand it on the floor of the enclosure, ${length(body.height)} high`
      : message`Stand it on the floor of the enclosure`;
  return [{ label, call: { edit: 'standOnFloor', change: { piece: down.id } } }];
}

/** Cork and boxes that stand where water is: they float up, or fill. */
export const piecesUnderWater: Rule = ({ design, scape, catalogue }) => {
  const site = siteAt(design);
  return scape.pieces.flatMap(({ placed: { piece }, kind }): Finding[] =>
    keepsDry(piece, catalogue) && underWater(site, piece.at)
      ? [
          {
            code: 'piece-under-water',
            severity: 'look',
            place: { at: 'scape', piece: piece.id },
            what: message`${piece.name} stands in the water.`,
            because:
              kind?.group === 'cork'
                ? message`Cork floats: it turns over, and what hides in it with it.`
                : message`It fills with water, and nothing hides or feeds in it.`,
            remedies: [
              {
                label: message`Move it on to land`,
                call: { edit: 'makeRoom', change: { piece: piece.id } },
              },
            ],
            basis: 'practice',
          },
        ]
      : [],
  );
};

/** Fresh wood and its mould, wood that stands in water. */
export const wood: Rule = ({ scape }) => {
  const fresh = scape.pieces.filter((it) => it.kind?.moulds?.value);
  const soaked = scape.pieces.filter(
    (it) => it.kind?.group === 'wood' && it.kind.moulds?.value && it.wet > it.placed.solid.volume * 0.05,
  );
  const found: Finding[] = soaked.map((it) => ({
    code: 'wood-in-water',
    severity: 'look',
    place: { at: 'scape', piece: it.placed.piece.id },
    what: message`${it.placed.piece.name} stands in water and will rot there.`,
    because: message`Wood that has not lain in water floats at first, colours the water and softens within a year or two. Roots sold soaked, or stone, stay.`,
    remedies: [],
    basis: 'practice',
  }));
  if (fresh.length > 0) {
    found.push({
      code: 'wood-moulds',
      severity: 'note',
      place: { at: 'scape' },
      what: message`Fresh wood will mould for some weeks, and stop.`,
      because: message`${fresh.length === 1 ? 'One piece' : `${fresh.length} pieces`} of it. Scrub and bake or boil what fits; springtails shorten the rest. Wait with the animal until it has passed.`,
      remedies: [],
      basis: 'practice',
      routine: true,
    });
  }
  return found;
};
