import { many } from '../../catalogue';
import { feedsAnywhere } from '../../scape/wants';
import { ARM, reachTo } from '../../scape/reach';
import { fallAsks, fittedPump, PUMP_WANTS } from '../../scape/pump';
import { length, message, tank } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

const PLACE = { at: 'scape' } as const;
/** m of water kept for a pump: what it wants, and as much again as dries up between two fillings (practice). */
const KEPT = 0.04;

/** Dishes, a feeding place, a cup for flies, probes: what is forgotten until the end. */
export const thingsForgotten: Rule = (looked) => {
  const { scape, animal, ground, design } = looked;
  const { pieces, wants } = scape;
  if (pieces.length === 0) return [];
  const has = (use: (typeof pieces)[number]['uses'][number]): boolean =>
    pieces.some((it) => it.uses.includes(use));
  const found: Finding[] = [];
  const missing = (code: string, kind: string, what: string, because: string, label: string): void => {
    found.push({
      code,
      severity: 'look',
      place: PLACE,
      what: message`${what}`,
      because: message`${because}`,
      remedies: [{ label: message`${label}`, call: { edit: 'addPiece', change: { kind } } }],
      basis: 'practice',
    });
  };
  const water = animal?.water.value ?? 'dish';
  const open = ground.parts.some((part) => part.stack.at(-1)?.layer.kind === 'water');
  if (water !== 'drops' && !open && !has('drink'))
    missing(
      'no-dish',
      water.endsWith('dish') && water !== 'soaking dish' ? 'water-dish' : 'soaking-dish',
      'There is nothing to drink from.',
      'A dish needs room of its own and is easily forgotten until the enclosure is full.',
      'Put a dish in',
    );
  if ((water === 'soaking dish' || water === 'pool') && !open) {
    const dishes = pieces.filter((it) => it.uses.includes('soak'));
    const wanted = wants.length * (animal?.kind === 'snake' ? 0.22 : 0.55);
    const size = Math.max(
      0,
      ...dishes.map(({ placed: { solid } }) =>
        Math.max(solid.bounds.x1 - solid.bounds.x0, solid.bounds.y1 - solid.bounds.y0),
      ),
    );
    const piece = dishes[0]?.placed.piece;
    if (piece && size < wanted * 0.7 && piece.body.shape === 'block') {
      const broad = Math.round(Math.min(wanted, design.enclosure.width * 0.5) * 200) / 200;
      found.push({
        code: 'dish-too-small',
        severity: 'look',
        place: { at: 'scape', piece: piece.id },
        what: message`${piece.name} is too small to soak in.`,
        because: message`It is ${length(size)} across; ${animal ? many(animal.english) : 'the animal'} of ${length(wants.length)} want about ${length(wanted)}.`,
        remedies: [
          {
            label: message`Make it ${length(broad)} across`,
            call: {
              edit: 'setPiece',
              change: { piece: piece.id, change: { body: { ...piece.body, width: broad } } },
            },
          },
        ],
        basis: 'practice',
      });
    }
  }
  if (!has('feed') && !feedsAnywhere(animal))
    missing(
      'no-feeding-place',
      'feeding-place',
      'There is no place to feed at.',
      'In the open, away from hides: what is fed there is eaten there, and what is left is found.',
      'Keep a place free',
    );
  if (animal?.kind === 'frog' && wants.length <= 0.065 && !open && !has('fly-cup'))
    missing(
      'no-fly-cup',
      'fly-cup',
      'There is no cup for dusted flies.',
      'Feeder dust kills leaves: fed in a cup it is rinsed out.',
      'Put a cup in',
    );
  if (!has('measure'))
    missing(
      'no-probe',
      'probe',
      'Nothing measures what the enclosure is like.',
      'A probe at each end, where the animal is, tells what no label does.',
      'Put a probe in',
    );
  return found;
};

const REACHED = ['drink', 'soak', 'feed', 'fly-cup', 'filter', 'pump', 'heat'] as const;

/** Whether an arm gets to dishes, filters, moist hides and the corners. */
export const reachable: Rule = ({ design, ground, scape }) => {
  if (design.enclosure.build === 'walk-in') return [];
  const found: Finding[] = [];
  for (const { placed, uses, hide } of scape.pieces) {
    const tended = uses.some((use) => (REACHED as readonly string[]).includes(use)) || hide?.moist;
    if (!tended) continue;
    const { piece, solid } = placed;
    const to = {
      x: (solid.bounds.x0 + solid.bounds.x1) / 2,
      y: (solid.bounds.y0 + solid.bounds.y1) / 2,
      z: solid.bounds.z1,
    };
    const { distance } = reachTo(to, design.enclosure, ground.pieces, piece.id);
    if (distance <= ARM) continue;
    found.push({
      code: 'out-of-hand',
      severity: 'look',
      place: { at: 'scape', piece: piece.id },
      what: message`A hand hardly gets to ${piece.name.toLowerCase()}.`,
      because:
        distance === Infinity
          ? message`Pieces stand in the way from every opening. It is cleaned every day or week: leave a way to it.`
          : message`It lies ${length(distance)} from the nearest opening; an arm reaches ${length(ARM)}.`,
      remedies: [],
      basis: 'practice',
    });
  }
  const { width, depth } = design.enclosure;
  const corners = [
    ['front left', 0.04, 0.04],
    ['front right', width - 0.04, 0.04],
    ['back left', 0.04, depth - 0.04],
    ['back right', width - 0.04, depth - 0.04],
  ] as const;
  const lowest = ground.parts.reduce((least, part) => Math.min(least, part.low), Infinity);
  const z = (Number.isFinite(lowest) ? lowest : 0) + 0.02;
  const far = corners.filter(([, x, y]) => reachTo({ x, y, z }, design.enclosure, []).distance > ARM);
  if (far.length > 0) {
    found.push({
      code: 'corner-out-of-hand',
      severity: 'note',
      place: { at: 'enclosure' },
      what: message`An arm does not reach the ${far.map(([name]) => name).join(' and ')} corner.`,
      because: message`From the nearest opening it is more than ${length(ARM)}. Plan for tongs, a second door, or ground there that needs no care.`,
      remedies: [],
      basis: 'practice',
    });
  }
  return found;
};

/** Pumps that do not lift so high, that run without a guard, or that have no water to stand in. */
export const pumps: Rule = ({ design, scape }) => {
  const found: Finding[] = [];
  for (const { placed, water, uses } of scape.pieces) {
    const { piece } = placed;
    if (!piece.pump || !water) continue;
    const place = { at: 'scape', piece: piece.id } as const;
    const { lift, working } = water;
    const { wide, flow: wanted } = fallAsks(piece);
    const fitted = fittedPump(wanted, lift);
    // A pump that stands for itself is told of by its own name.
    const drives = uses.includes('pump') ? null : piece.name.toLowerCase();
    const falls = uses.includes('fall');
    if (falls && (working.flow <= 0 || working.flow < wanted)) {
      found.push({
        code: working.flow <= 0 ? 'pump-too-weak' : 'fall-dribbles',
        severity: 'look',
        place,
        what:
          working.flow <= 0
            ? message`The pump does not lift water to the top of ${piece.name.toLowerCase()}.`
            : message`Little water comes over ${piece.name.toLowerCase()}.`,
        because: message`It has ${length(lift)} to lift and gives ${tank(working.flow * 3600)} an hour there; a lip of ${length(wide)} is wetted by ${tank(wanted * 3600)}.`,
        remedies: fitted
          ? [
              {
                label: message`Take a pump of ${tank(fitted.maxFlow * 3600)} an hour that lifts ${length(fitted.maxHead)}, with a hose of ${length(fitted.hose.diameter)}`,
                call: {
                  edit: 'setPiece',
                  change: { piece: piece.id, change: { pump: { ...fitted, guarded: piece.pump.guarded } } },
                },
              },
            ]
          : [{ label: message`Build it lower or narrower, or with two pumps` }],
        basis: 'computed',
      });
    }
    if (!piece.pump.guarded) {
      found.push({
        code: 'intake-open',
        severity: 'severe',
        place,
        what: message`The intake of ${piece.name.toLowerCase()} is open.`,
        because: message`Small animals are drawn on to it and drown. Sponge or stones in front of it.`,
        remedies: [
          {
            label: message`It will be guarded`,
            call: {
              edit: 'setPiece',
              change: { piece: piece.id, change: { pump: { ...piece.pump, guarded: true } } },
            },
          },
        ],
        basis: 'practice',
      });
    }
    if (design.ground.waterDepth < PUMP_WANTS - 1e-9) {
      found.push({
        code: 'pump-dry',
        severity: 'look',
        place,
        what: drives
          ? message`The pump of ${drives} has no water to stand in.`
          : message`${piece.name} has no water to stand in.`,
        because: message`${length(design.ground.waterDepth)} are kept in the enclosure; a pump wants ${length(PUMP_WANTS)} over it and must never run dry.`,
        remedies: design.ground.layers.some((it) => it.kind === 'drainage')
          ? [
              {
                label: message`Keep ${length(KEPT)} of water in the bed`,
                call: { edit: 'keepWater', change: { depth: KEPT } },
              },
            ]
          : [],
        basis: 'practice',
      });
    }
  }
  return found;
};

/** Planters from which no water gets out. */
export const planters: Rule = ({ scape }) =>
  scape.pieces.flatMap(({ placed: { piece }, uses }): Finding[] =>
    uses.includes('plant') && !piece.drained
      ? [
          {
            code: 'planter-closed',
            severity: 'look',
            place: { at: 'scape', piece: piece.id },
            what: message`Water cannot leave ${piece.name.toLowerCase()}.`,
            because: message`Roots stand in it and rot. Three or four holes in its base, with gauze over them.`,
            remedies: [
              {
                label: message`It will be drilled`,
                call: { edit: 'setPiece', change: { piece: piece.id, change: { drained: true } } },
              },
            ],
            basis: 'practice',
          },
        ]
      : [],
  );

/** A trial with water before the soil goes in, and again after. */
export const waterTrial: Rule = ({ design, scape }) => {
  const runs =
    scape.pieces.some((it) => it.placed.piece.pump !== null) || design.ground.method === 'full-water';
  const { before, after } = design.scape.trial;
  if (!runs || (before !== null && after !== null)) return [];
  return [
    {
      code: 'water-trial',
      severity: 'note',
      place: PLACE,
      what:
        before === null
          ? message`Let the water run for a day before any soil goes in.`
          : message`Let the water run again now that the soil is in.`,
      because: message`Look which walls get wet, where it drips, whether the level falls. Leaks are found then, or under everything.`,
      remedies: [],
      basis: 'practice',
      routine: true,
    },
  ];
};

/** Cables and hoses that have no way out of a closed box. */
export const cables: Rule = ({ design, scape }) => {
  const { top, made, height, width } = design.enclosure;
  const wired = scape.pieces.filter((it) => it.kind?.cable);
  // Over the edge of an open lid, or through the corner of a meshed one, a cable finds its way.
  if (wired.length === 0 || top !== 'solid') return [];
  if (made.bores.some((it) => it.use === 'cable')) return [];
  return [
    {
      code: 'no-cable-slot',
      severity: 'look',
      place: PLACE,
      what: message`${wired.length === 1 ? 'A cable has' : `${wired.length} cables have`} no way out of the enclosure.`,
      because: message`A slot is bored before anything goes in, high up, with a grommet: a cable pinched under glass or door is a fire. What lives there must not fit through.`,
      remedies: [
        {
          label: message`A slot high in the back wall`,
          call: {
            edit: 'setEnclosure',
            change: {
              made: {
                ...made,
                bores: [
                  ...made.bores,
                  {
                    id: `bore-${made.bores.length + 1}-cable`,
                    use: 'cable',
                    wall: 'back',
                    across: width / 2,
                    up: Math.max(0.02, height - 0.04),
                    diameter: 0.025,
                  },
                ],
              },
            },
          },
        },
      ],
      basis: 'practice',
    },
  ];
};
