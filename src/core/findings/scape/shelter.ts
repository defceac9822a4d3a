import { many } from '../../catalogue';
import type { EditCall } from '../../edits/edits';
import { climbing } from '../../scape/wants';
import { waysUp, stepOf } from '../../scape/ways';
import { capital, length, percent, message } from '../../units';
import type { Finding, RuleContext, Remedy, Rule } from '../../finding/finding';

const PLACE = { at: 'scape' } as const;

/** Middle of an end of the box, for a piece that is put there. */
function endOf({ design }: RuleContext, zone: 'warm' | 'cool') {
  const { width, depth } = design.enclosure;
  const right = (design.scape.warm === 'right') === (zone === 'warm');
  return { x: width * (right ? 0.8 : 0.2), y: depth * 0.65 };
}

/** A hide on the warm side, one on the cool side, a moist one where it is wanted; and ways in that fit the body. */
export const hides: Rule = (looked) => {
  const { scape, animal } = looked;
  const { wants, pieces } = scape;
  if (pieces.length === 0)
    return [
      {
        code: 'scape-empty',
        severity: 'note',
        place: PLACE,
        what: message`Nothing stands in the enclosure yet.`,
        because: message`Hides, something to climb, a dish and a feeding place need room of their own: lay them out before you buy soil.`,
        remedies: [{ label: message`Lay out a first hardscape`, call: { edit: 'proposeScape', change: {} } }],
        basis: 'practice',
        routine: true,
      },
    ];
  const hidden = pieces.flatMap((it) => (it.hide ? [{ ...it.hide, piece: it.placed.piece }] : []));
  const found: Finding[] = [];
  const who = animal ? many(animal.english) : 'most species';
  for (const zone of ['warm', 'cool'] as const) {
    if (hidden.some((it) => it.zone === zone && it.fit !== 'tight')) continue;
    found.push({
      code: `no-${zone}-hide`,
      severity: 'look',
      place: PLACE,
      what: message`There is no hide on the ${zone} side.`,
      because: message`An animal that can hide at one temperature only has to choose between feeling safe and being well.`,
      remedies: [
        {
          label: message`Put a half round of cork there`,
          call: { edit: 'addPiece', change: { kind: 'cork-half', at: endOf(looked, zone) } },
        },
      ],
      basis: 'practice',
    });
  }
  if (wants.moistHide && !hidden.some((it) => it.moist)) {
    found.push({
      code: 'no-moist-hide',
      severity: 'look',
      place: PLACE,
      what: message`There is no moist hide.`,
      because: message`${capital(who)} shed in one piece where the air is nearly full of moisture. Damp moss in a box does it, refilled by the week; what it comes to is in the forecast.`,
      remedies: [
        {
          label: message`Put in a box of damp moss`,
          call: { edit: 'addPiece', change: { kind: 'moss-box', at: endOf(looked, 'cool') } },
        },
      ],
      basis: wants.basis,
    });
  }
  for (const { fit, entrance, piece } of hidden) {
    if (fit === 'snug') continue;
    const right = Math.round(wants.girth * 2 * 200) / 200;
    const call: EditCall = { edit: 'setPiece', change: { piece: piece.id, change: { entrance: right } } };
    found.push({
      code: fit === 'tight' ? 'hide-too-tight' : 'hide-too-wide',
      severity: fit === 'tight' ? 'severe' : 'note',
      place: { at: 'scape', piece: piece.id },
      what:
        fit === 'tight'
          ? message`${piece.name} is too narrow: an animal could get stuck.`
          : message`${piece.name} is wide open for so slender a body.`,
      because: message`Its entrance is ${length(entrance)}; a body of ${length(wants.girth)} wants about ${length(right)}.`,
      remedies: [{ label: message`Make the entrance ${length(right)}`, call }],
      basis: wants.basis,
    });
  }
  return found;
};

/** Enough of the floor under something. */
export const cover: Rule = ({ design, scape, animal }) => {
  const { cover: share, wants, pieces } = scape;
  if (pieces.length === 0) return [];
  const enough = share >= wants.cover - 0.005;
  if (enough)
    return [
      {
        code: 'cover-enough',
        severity: 'fine',
        place: PLACE,
        what: message`Enough of the floor lies under cover.`,
        because: message`${percent(share)}; ${animal ? animal.english : 'a shy species'} wants about ${percent(wants.cover)}.`,
        remedies: [],
        basis: 'practice',
      },
    ];
  return [
    {
      code: 'cover-little',
      severity: wants.shy && share < wants.cover * 0.75 ? 'look' : 'note',
      place: PLACE,
      what: message`Little of the floor lies under cover.`,
      because: message`${percent(share)} of it; ${wants.shy ? 'a species that keeps out of sight' : 'any species'} wants about ${percent(wants.cover)}. Plants will add to it once they stand.`,
      remedies: [
        // Beside open water there is little land, and cork floats.
        design.ground.method === 'full-water'
          ? {
              label: message`Lay in a slate on edge stones`,
              call: { edit: 'addPiece', change: { kind: 'slate-roof' } },
            }
          : {
              label: message`Lay in a half round of cork`,
              call: { edit: 'addPiece', change: { kind: 'cork-half' } },
            },
      ],
      basis: 'practice',
    },
  ];
};

/** Perches for kinds that perch: some, at several heights, as thick as they are sat on. */
export const perches: Rule = ({ design, scape, animal }) => {
  const { wants } = scape;
  if (
    scape.pieces.length === 0 ||
    !animal ||
    !climbing(animal) ||
    !wants.perch ||
    animal.life.value !== 'climbing'
  )
    return [];
  const bars = scape.pieces.filter((it) => it.uses.includes('perch') && it.placed.piece.body.shape === 'rod');
  const { low, high } = wants.perch;
  const right = bars.filter(({ placed: { piece } }) => {
    const { body } = piece;
    return body.shape === 'rod' && body.diameter >= low * 0.8 && body.diameter <= high * 1.6;
  });
  if (right.length === 0) {
    const middle = (low + high) / 2;
    const remedies: Remedy[] = bars.slice(0, 1).flatMap(({ placed: { piece } }): Remedy[] =>
      piece.body.shape === 'rod'
        ? [
            {
              label: message`Make ${piece.name.toLowerCase()} ${length(middle)} thick`,
              call: {
                edit: 'setPiece',
                change: { piece: piece.id, change: { body: { ...piece.body, diameter: middle } } },
              },
            },
          ]
        : [],
    );
    if (bars.length === 0)
      remedies.push({
        label: message`Span a branch from wall to wall`,
        call: { edit: 'addPerch', change: { diameter: middle } },
      });
    return [
      {
        code: bars.length === 0 ? 'no-perch' : 'perches-wrong',
        severity: 'look',
        place: PLACE,
        what:
          bars.length === 0
            ? message`There is nothing to perch on.`
            : message`No perch is as thick as it is sat on.`,
        because: message`${capital(many(animal.english))} sit on branches ${length(low)} to ${length(high)} thick.`,
        remedies,
        basis: wants.basis,
      },
    ];
  }
  const { height } = design.enclosure;
  const tops = right.map((it) => it.placed.solid.bounds.z1);
  if (Math.max(...tops) < height * 0.5 || Math.max(...tops) - Math.min(...tops) < height * 0.1) {
    return [
      {
        code: 'perches-one-height',
        severity: 'note',
        place: PLACE,
        what: message`All perches are at about one height.`,
        because: message`They reach ${length(Math.max(...tops))} in an enclosure of ${length(height)}. At several heights an animal can choose how warm it sits.`,
        remedies: [],
        basis: 'practice',
      },
    ];
  }
  return [];
};

/** Ledges nobody gets up to. */
export const waysToLedges: Rule = ({ design, scape, ground }) => {
  const rough = new Set(
    scape.pieces.filter((it) => it.kind?.rough !== false).map((it) => it.placed.piece.id),
  );
  const up = waysUp(ground.pieces, ground.backs, design.enclosure, scape.wants, (it) =>
    rough.has(it.piece.id),
  );
  return scape.pieces.flatMap(({ placed, uses }): Finding[] => {
    const { piece, solid } = placed;
    const meant = uses.includes('ledge') || piece.basking;
    if (!meant || up.has(piece.id)) return [];
    return [
      {
        code: 'ledge-out-of-reach',
        severity: 'look',
        place: { at: 'scape', piece: piece.id },
        what: message`The animal has no way up to ${piece.name.toLowerCase()}.`,
        because: message`It lies ${length(solid.bounds.z0 - placed.ground)} over the ground, and nothing that leads there comes within ${length(stepOf(scape.wants))} of it. Lean a branch against it.`,
        remedies: [
          {
            label: message`Lean a branch there`,
            call: {
              edit: 'leanOn',
              change: { piece: piece.id },
            },
          },
        ],
        basis: 'computed',
      },
    ];
  });
};

/** Steep bank over the water an animal cannot climb, m over its surface, as a share of its step. */
export const wayOutOfWater: Rule = ({ ground, scape }) => {
  if (scape.pieces.length === 0) return [];
  const step = stepOf(scape.wants);
  return ground.parts.flatMap((part): Finding[] => {
    const water = part.stack.at(-1);
    if (water?.layer.kind !== 'water') return [];
    const level = Math.max(...Object.values(water.top));
    const depth = Math.max(...Object.values(water.thickness));
    if (depth < 0.01) return [];
    const others = ground.parts.filter((it) => it !== part);
    const shore = others.some((it) => it.low - level <= step && it.high > 0);
    const out = scape.pieces.find(({ placed: { solid }, wet, placed }) => {
      const afloat = placed.on === 'water';
      return wet > 0 && solid.bounds.z1 > level && (afloat || solid.bounds.z0 < level);
    });
    if (out || (shore && others.some((it) => it.low - level <= 0.005)))
      return [
        {
          code: 'way-out-of-water',
          severity: 'fine',
          place: { at: 'layer', layer: water.layer.id },
          what: message`Whatever falls into the water can climb out.`,
          because: out
            ? message`${out.placed.piece.name} leads out of ${length(depth)} of water.`
            : message`Its shore is level with it.`,
          remedies: [],
          basis: 'computed',
        },
      ];
    return [
      {
        code: 'no-way-out-of-water',
        severity: shore ? 'look' : 'severe',
        place: { at: 'layer', layer: water.layer.id },
        what: message`Nothing leads out of the water.`,
        because: message`It is ${length(depth)} deep and the ground beside it stands higher. What falls in, and every insect, swims until it drowns.`,
        remedies: [
          {
            label: message`Lay a piece of cork on it`,
            call: { edit: 'addPiece', change: { kind: 'cork-raft' } },
          },
        ],
        basis: 'practice',
      },
    ];
  });
};
