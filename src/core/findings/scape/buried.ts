import { findDeviceKind } from '../../catalogue';
import type { Design, Device, Piece } from '../../document/schema';
import { reachesOut } from '../../climate/within';
import { siteAt } from '../../ground/bodies';
import type { Placed, Site } from '../../pieces/place';
import { goesIn } from '../../scape/fits';
import { highestUnder, showing } from '../../scape/showing';
import type { PieceResult } from '../../scape/scape';
import { length, message } from '../../units';
import type { Finding, Remedy, Rule } from '../../finding/finding';

/** Reaching less over the ground than this it is buried, m. */
const NOTHING = 0.003;
/** m a thing that lay in the ground is brought over it: a hand’s breadth of a slate, a probe over the litter. */
const OVER = 0.04;
/** Share of its way in that has to be free: of one that is twice as wide as the body, four fifths of the body (practice). */
const FREE = 0.4;

/** What is in the ground with all of it, or whose way in is. */
export const piecesBuried: Rule = ({ design, scape, highest }) => {
  const site = siteAt(design);
  return scape.pieces.flatMap((result): Finding[] => {
    const { placed, uses } = result;
    const { piece, solid } = placed;
    const inner = hollow(piece);
    // Most reach over all of the ground.
    if (solid.bounds.z1 - highest > Math.max(NOTHING, inner.wall + FREE * inner.way)) return [];
    const shows = showing(solid, site);
    const wanted = Math.max(OVER, inner.wall + inner.way);
    const place = { at: 'scape', piece: piece.id } as const;
    const remedies = raised(design, placed, wanted, site);
    if (shows <= NOTHING) {
      const needed = piece.basking || uses.some((it) => NEEDED.has(it));
      return [
        {
          code: 'piece-buried',
          severity: needed ? 'severe' : 'look',
          place,
          what: uses.includes('measure')
            ? message`${piece.name} lies in the ground and reads the ground.`
            : message`${piece.name} lies under the ground.`,
          because: message`Its upper side is ${length(solid.bounds.z1)} over the floor of the enclosure, and the ground there ${length(highestUnder(solid, site))}. ${why(result)}`,
          remedies,
          basis: 'computed',
        },
      ];
    }
    if (piece.entrance === null || shows - inner.wall >= FREE * inner.way) return [];
    return [
      {
        code: 'way-in-buried',
        severity: 'look',
        place,
        what: message`The way in to ${piece.name.toLowerCase()} lies under the ground.`,
        because: message`${length(Math.max(0, shows - inner.wall))} of it are over the ground, of ${length(inner.way)}. Only what digs gets in, and soil falls in after it.`,
        remedies,
        basis: 'computed',
      },
    ];
  });
};

/** Useless, and worse than that, in the ground. */
const NEEDED: ReadonlySet<string> = new Set(['drink', 'soak', 'feed', 'fly-cup']);

const why = ({ placed: { piece }, uses }: PieceResult): string =>
  piece.basking
    ? 'Lamp, thermostat and UV are set for a place on it.'
    : uses.some((it) => NEEDED.has(it))
      ? 'Soil falls in.'
      : 'Nobody sees it or gets on it.';

/** m of wall over the hollow of a piece, and m of its way in, upright. */
function hollow({ body, entrance }: Piece): { readonly wall: number; readonly way: number } {
  if (entrance === null) return { wall: 0, way: 0 };
  const wall = body.shape === 'plank' ? body.thickness : (body.wall ?? 0);
  const tall = body.shape === 'block' ? body.height : body.shape === 'rod' ? body.diameter : entrance;
  return { wall, way: Math.max(0, Math.min(entrance, tall - wall)) };
}

/** Taller, or less deep in the ground, until so much of it is seen. */
function raised(
  { enclosure }: Design,
  { piece, solid, on }: Placed,
  shows: number,
  site: Site,
): readonly Remedy[] {
  const { body, support } = piece;
  const up = highestUnder(solid, site) + shows;
  if (up > enclosure.height - 0.02) return [];
  const half = (value: number): number => Math.ceil(value * 200 - 1e-6) / 200;
  if (on === 'floor' && body.shape === 'block') {
    const taller = { ...body, height: half(up) };
    return goesIn(taller, enclosure)
      ? [
          {
            label: message`Make it ${length(taller.height)} high`,
            call: { edit: 'setPiece', change: { piece: piece.id, change: { body: taller } } },
          },
        ]
      : [];
  }
  const tall = solid.bounds.z1 - solid.bounds.z0;
  if (support.on === 'ground' && support.sunk > 0 && tall >= shows)
    return [
      {
        label: message`Let it stand on the ground`,
        call: {
          edit: 'setSupport',
          change: {
            piece: piece.id,
            support: { on: 'ground', sunk: Math.max(0, Math.round((tall - shows) * 1000) / 1000) },
          },
        },
      },
    ];
  if (support.on === 'wall')
    return [
      {
        label: message`Hold it ${length(half(up))} over the floor`,
        call: {
          edit: 'setSupport',
          change: { piece: piece.id, support: { ...support, height: half(up) } },
        },
      },
    ];
  return [];
}

/** Made to lie in the ground or under water. */
const BELOW: ReadonlySet<string> = new Set(['mat', 'cable', 'heater', 'fogger']);
/** m over the lid at which a lamp still belongs to it. */
const OVER_LID = 1;

/** A lamp, nozzle or fan, or the probe that holds it, in the ground or beside the box. */
export const devicesBuried: Rule = ({ design, catalogue }) => {
  const { devices } = design.climate;
  if (devices.length === 0) return [];
  const site = siteAt(design);
  const { width, depth, height } = design.enclosure;
  const beside = ({ x, y, z }: Device['at'], most: number): boolean =>
    x < -NOTHING || x > width + NOTHING || y < -NOTHING || y > depth + NOTHING || z > most;
  return devices.flatMap((device): Finding[] => {
    const form = findDeviceKind(catalogue, device.kind)?.form;
    if (form === undefined) return [];
    const place = { at: 'climate', device: device.id } as const;
    const found: Finding[] = [];
    const told = (
      code: string,
      what: Finding['what'],
      because: Finding['because'],
      remedies: readonly Remedy[] = [],
    ): void => {
      found.push({ code, severity: 'severe', place, what, because, remedies, basis: 'computed' });
    };
    const ground = site.groundAt(device.at.x, device.at.y);
    if (beside(device.at, height + OVER_LID))
      told(
        'device-outside',
        message`${device.name} is not over the enclosure.`,
        message`It hangs ${length(device.at.x)} from the left, ${length(device.at.y)} from the front and ${length(device.at.z)} over the floor of an enclosure of ${length(width)} × ${length(depth)} × ${length(height)}.`,
      );
    else if (!BELOW.has(form) && device.at.z < ground - NOTHING)
      told(
        'device-buried',
        message`${device.name} is in the ground.`,
        message`It is ${length(device.at.z)} over the floor of the enclosure, and the ground there ${length(ground)}.`,
      );
    const out = reachesOut(design.enclosure, device, form);
    if (out > 0)
      told(
        'device-reaches-out',
        message`${device.name} reaches ${length(out)} through the wall.`,
        message`It is ${length(device.length)} long and hangs inside the enclosure.`,
        [
          {
            label: message`Bring it within the walls`,
            call: { edit: 'moveDevice', change: { device: device.id, to: device.at } },
          },
        ],
      );
    if (BELOW.has(form)) return found;
    for (const by of ['thermostat', 'humidistat'] as const) {
      const probe = device[by]?.probe;
      if (!probe) continue;
      const under = site.groundAt(probe.x, probe.y);
      const beyond = beside(probe, height);
      if (!beyond && probe.z >= under - NOTHING) continue;
      const to = {
        x: Math.min(width, Math.max(0, probe.x)),
        y: Math.min(depth, Math.max(0, probe.y)),
      };
      const z = Math.min(height, Math.max(0, site.groundAt(to.x, to.y)) + OVER);
      told(
        beyond ? 'probe-outside' : 'probe-buried',
        beyond
          ? message`The probe of ${device.name} is outside the enclosure.`
          : message`The probe of ${device.name} is in the ground.`,
        beyond
          ? message`It holds what the room has, not what the animal has.`
          : message`It is ${length(probe.z)} over the floor of the enclosure, and the ground there ${length(under)}: soil warms hours later than the animal does, and less.`,
        [
          {
            label: message`Fix it ${length(OVER)} over the ground`,
            call: {
              edit: 'setDevice',
              change: {
                device: device.id,
                change:
                  by === 'thermostat' && device.thermostat
                    ? { thermostat: { ...device.thermostat, probe: { ...to, z } } }
                    : device.humidistat
                      ? { humidistat: { ...device.humidistat, probe: { ...to, z } } }
                      : {},
              },
            },
          },
        ],
      );
    }
    return found;
  });
};
