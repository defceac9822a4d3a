import { carried, openingsOf } from '../../scape/fits';
import { clashOf } from '../../scape/overlap';
import { length, percent, message } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

const at = (piece: string) => ({ at: 'scape', piece }) as const;
const cut = (value: number): number => Math.floor(value * 200) / 200;

/** Pieces that stick out of the box, that go through no door, or whose far end reaches nothing. */
export const pieceFits: Rule = ({ design, scape }) =>
  scape.pieces.flatMap(({ placed, goesIn, sticksOut }): Finding[] => {
    const { piece, solid } = placed;
    const { body } = piece;
    const found: Finding[] = [];
    if (sticksOut > 0.0015) {
      const up = solid.bounds.z1 - design.enclosure.height;
      const upright = up >= sticksOut - 1e-6;
      found.push({
        code: 'piece-outside',
        severity: 'severe',
        place: at(piece.id),
        what: upright
          ? message`${piece.name} stands ${length(up)} over the lid.`
          : message`${piece.name} is ${length(sticksOut)} too large for the enclosure.`,
        because: message`It reaches ${length(solid.bounds.z1)} up in an enclosure of ${length(design.enclosure.height)}, ${length(solid.bounds.x1 - solid.bounds.x0)} across and ${length(solid.bounds.y1 - solid.bounds.y0)} deep. Measure before you buy or cut.`,
        remedies:
          upright && body.shape === 'block' && body.height > up + 0.01
            ? [
                {
                  label: message`Make it ${length(cut(body.height - up))} high`,
                  call: {
                    edit: 'setPiece',
                    change: { piece: piece.id, change: { body: { ...body, height: cut(body.height - up) } } },
                  },
                },
              ]
            : upright && body.shape !== 'block' && body.rise > up + 0.02
              ? [
                  {
                    label: message`Cut it ${length(Math.ceil(up * 200) / 200)} shorter`,
                    call: {
                      edit: 'setPiece',
                      change: {
                        piece: piece.id,
                        change: { body: { ...body, rise: cut(body.rise - up - 0.002) } },
                      },
                    },
                  },
                ]
              : [],
        basis: 'computed',
      });
    }
    if (!goesIn) {
      const [a, b, c] = carried(body);
      const [door] = openingsOf(design.enclosure);
      found.push({
        code: 'piece-not-through-door',
        severity: 'severe',
        place: at(piece.id),
        what: message`${piece.name} does not go through any opening.`,
        because: message`It is ${length(a)} × ${length(b)} × ${length(c)}; ${door ? (door.side === 'front' ? 'the doors open' : 'the top opens') : 'nothing opens'} ${door ? length(door.width) : ''} × ${door ? length(door.height) : ''}. Choose a smaller piece, or two that are joined inside.`,
        remedies: [],
        basis: 'computed',
      });
    }
    return found;
  });

/** Held at one end, it has to reach something with the other; m. */
const NEAR = 0.02;
const LONG = 0.15;

/** A pole that is held by a wall and ends in the air. */
export const poleTooShort: Rule = ({ design, scape }) => {
  const { width, depth, height } = design.enclosure;
  return scape.pieces.flatMap(({ placed }): Finding[] => {
    const { piece, solid } = placed;
    const { body, support } = piece;
    if (body.shape === 'block' || support.on !== 'wall') return [];
    const long = Math.hypot(body.run.x, body.run.y, body.rise);
    if (body.shape === 'plank' || long < LONG || Math.abs(body.rise) > 3 * Math.hypot(body.run.x, body.run.y))
      return [];
    const { head } = solid;
    const half = body.diameter / 2;
    const walls = [
      { wall: 'left', gap: head.x - half, x: 0, y: head.y },
      { wall: 'right', gap: width - half - head.x, x: width, y: head.y },
      { wall: 'front', gap: head.y - half, x: head.x, y: 0 },
      { wall: 'back', gap: depth - half - head.y, x: head.x, y: depth },
    ];
    const touches =
      walls.some((it) => it.gap <= NEAR) ||
      head.z - half - placed.ground <= NEAR ||
      height - head.z - half <= NEAR ||
      scape.pieces.some((other) => {
        if (other.placed === placed) return false;
        const { bounds } = other.placed.solid;
        return (
          head.x > bounds.x0 - NEAR - half &&
          head.x < bounds.x1 + NEAR + half &&
          head.y > bounds.y0 - NEAR - half &&
          head.y < bounds.y1 + NEAR + half &&
          head.z > bounds.z0 - NEAR - half &&
          head.z < bounds.z1 + NEAR + half
        );
      });
    if (touches) return [];
    // Onwards the way it runs.
    const ahead =
      Math.abs(body.run.x) >= Math.abs(body.run.y) ? (body.run.x > 0 ? 1 : 0) : body.run.y > 0 ? 3 : 2;
    const goal = walls[ahead];
    if (!goal) return [];
    // It is held by its flat end, which is as far off as the middle of it.
    const short = goal.gap + half;
    return [
      {
        code: 'pole-too-short',
        severity: 'look',
        place: at(piece.id),
        what: message`${piece.name} ends ${length(short)} short of the ${goal.wall} wall.`,
        because: message`It is ${length(long)} long and held by the ${support.wall} wall alone. Told now, before it is bought: ask for ${length(long + short)} at least, and cut off what is over.`,
        remedies: [
          {
            label: message`Let it reach the ${goal.wall} wall`,
            call: {
              edit: 'stretchPiece',
              change: { piece: piece.id, end: 'head', to: { x: goal.x, y: goal.y, z: head.z } },
            },
          },
        ],
        basis: 'computed',
      },
    ];
  });
};

/** More of a piece than this runs through another: they cannot both stand there. */
const CLASH = 0.15;

export const piecesClash: Rule = ({ scape }) => {
  const found: Finding[] = [];
  const { pieces } = scape;
  for (let i = 0; i < pieces.length; i += 1) {
    const one = pieces[i];
    for (let j = i + 1; one && j < pieces.length; j += 1) {
      const other = pieces[j];
      if (!other) continue;
      const share = clashOf(one.placed.solid, other.placed.solid);
      if (share <= CLASH) continue;
      // What is held by a wall, or what a lamp is set for, stays; of the others the lighter one goes.
      const [moves] = [one, other]
        .filter(({ placed: { piece, on } }) => !piece.basking && on !== 'wall' && on !== 'lid')
        .sort((a, b) => a.mass - b.mass);
      found.push({
        code: 'pieces-clash',
        severity: 'look',
        place: at(other.placed.piece.id),
        what: message`${one.placed.piece.name} and ${other.placed.piece.name} stand in the same place.`,
        because: message`${percent(share)} of one lies inside the other. Wood may be notched; stone and dishes may not.`,
        remedies: moves
          ? [
              {
                label: message`Move ${moves.placed.piece.name.toLowerCase()} to where there is room`,
                call: { edit: 'makeRoom', change: { piece: moves.placed.piece.id } },
              },
            ]
          : [],
        basis: 'computed',
      });
    }
  }
  return found;
};

/** Room over a box for lamps, their brackets and warm air, m (common practice). */
const LAMP_ROOM = 0.2;

/** Whether lamps find room between the box and what is over it. */
export const headroom: Rule = ({ design }) => {
  const { above } = design.scape;
  if (above === null || design.enclosure.top === 'solid') return [];
  const enough = above >= LAMP_ROOM - 1e-9;
  return [
    {
      code: enough ? 'lamp-room' : 'no-lamp-room',
      severity: enough ? 'fine' : 'look',
      place: { at: 'scape' },
      what: enough
        ? message`There is room over the enclosure for lamps.`
        : message`There is little room over the enclosure for lamps.`,
      because: message`${length(above)} to the shelf above; a tube or a lamp on its bracket wants about ${length(LAMP_ROOM)}, and nothing that burns may be near a hot one.`,
      remedies: [],
      basis: 'practice',
    },
  ];
};
