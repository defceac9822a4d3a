import { findDeviceKind } from '../catalogue';
import { probeInAir } from '../climate/controlled';
import type { Design } from '../document/schema';
import { type Move, type Setting, type Maker, free, round, tidy } from './change';
import { fanOf, fitted, plantLights, without, withClimate, withDevice, withNew } from '../fitting/fittings';
import { clamp } from '../physics/constants';

function cover(by: readonly number[]): Maker {
  return ({ design, locks }) => {
    const { top, topCover } = design.enclosure;
    if (locks.cover || top === 'solid') return [];
    return by.map((step): Move | null => {
      const next = clamp(round(topCover + step, 0.05), 0, 0.95);
      return Math.abs(next - topCover) < 0.01
        ? null
        : {
            id: `cover ${next.toFixed(2)}`,
            design: { ...design, enclosure: { ...design.enclosure, topCover: tidy(next) } },
          };
    });
  };
}

export const coverMore = cover([0.1, 0.3]);

export const coverLess = cover([-0.1, -0.3]);

/** The strip of air under the doors. */
function strip(by: number): Maker {
  return ({ design, locks }) => {
    const { front, made } = design.enclosure;
    if (locks.vents || front !== 'doors') return [];
    const next = clamp(made.ventLow + by, 0, 0.06);
    return Math.abs(next - made.ventLow) < 0.001
      ? []
      : [
          {
            id: `strip ${next.toFixed(3)}`,
            design: { ...design, enclosure: { ...design.enclosure, made: { ...made, ventLow: tidy(next) } } },
          },
        ];
  };
}

export const stripMore = strip(0.02);

export const stripLess = strip(-0.02);

/** Walls a keeper saws a hole into; glass is left as it is. */
const SAWN: readonly Design['enclosure']['material'][] = ['pvc', 'timber', 'acrylic'];
/** Whether one comes from the other by a saw: a vent that was not there, or a wider one. */
export const sawsVents = (from: Design, to: Design): boolean =>
  to.climate.vents.some((it) => it.area > (from.climate.vents.find((was) => was.id === it.id)?.area ?? 0));

/** Ids of the vents a search cuts: low on the cool side, high on the warm one, so that air passes through. */
const CUT = ['vent-low', 'vent-high'] as const;

/** A vent low and one high in the side walls, or twice as wide. */
export const ventMore: Maker = ({ design, locks }) => {
  const { material, width, depth, height } = design.enclosure;
  const { vents, topGauze } = design.climate;
  if (locks.vents || locks.buying || !SAWN.includes(material) || vents.length > 10) return [];
  const right = design.scape.warm === 'right';
  const own = vents.filter((it) => CUT.some((id) => id === it.id));
  if (own.length > 0)
    return own.some((it) => it.area >= 0.08 * depth)
      ? []
      : [
          {
            id: 'vents twice as wide',
            design: withClimate(design, {
              vents: vents.map((it) => (own.includes(it) ? { ...it, area: tidyArea(2 * it.area) } : it)),
            }),
          },
        ];
  const area = tidyArea(Math.min(width, depth) * 0.03);
  return [
    {
      id: 'vents low and high',
      design: withClimate(design, {
        vents: [
          ...vents,
          { id: CUT[0], wall: right ? 'left' : 'right', height: tidy(0.45 * height), area, gauze: topGauze },
          { id: CUT[1], wall: right ? 'right' : 'left', height: tidy(height - 0.04), area, gauze: topGauze },
        ],
      }),
    },
  ];
};

/** Vents closed, all of them or by half. */
export const ventLess: Maker = ({ design, locks }) => {
  const { vents } = design.climate;
  if (locks.vents || !vents.some((it) => it.area > 0)) return [];
  const to = (id: string, by: number): Move => ({
    id,
    design: withClimate(design, { vents: vents.map((it) => ({ ...it, area: tidyArea(by * it.area) })) }),
  });
  return [to('vents half', 0.5), to('vents closed', 0)];
};

const tidyArea = (area: number): number => Math.round(area * 1e4) / 1e4;

/** A fan that draws room air in: while it is too damp, while it is too warm, or by night. */
export function fan(why: 'damp' | 'warm', more: boolean): Maker {
  return ({ design, animal, catalogue, locks }, { it }) => {
    const own = fanOf(design, catalogue);
    const { width, depth, height } = design.enclosure;
    if (!own) {
      if (!more || locks.buying) return [];
      const right = design.scape.warm === 'right';
      return (['fan-small', 'fan-middle'] as const).flatMap((id): Move[] => {
        const kind = findDeviceKind(catalogue, id);
        if (!kind) return [];
        const at = { x: width * (right ? 0.25 : 0.75), y: depth, z: height - 0.05 };
        const { humidityDay, humidityNight } = animal.climate;
        const damp = {
          day: tidy(humidityDay.value.high - 0.03),
          night: tidy(Math.min(0.97, humidityNight.value.high - 0.03)),
          probe: probeInAir(design, 0.5, 0.4),
        };
        const night = it.criterion.id === 'night';
        return [
          {
            id: `${id} ${why}`,
            design: withNew(
              design,
              fitted(design, kind, {
                at,
                timer: why === 'damp' ? { by: 'always' } : night ? { by: 'night' } : { by: 'day' },
                humidistat: why === 'damp' ? damp : null,
              }),
            ),
          },
        ];
      });
    }
    if (!free(locks, own)) return [];
    const moves: Move[] = [];
    if (own.humidistat) {
      const sign = more ? -0.04 : 0.04;
      for (const when of ['day', 'night'] as const) {
        const set = own.humidistat[when];
        if (set === null) continue;
        const next = tidy(clamp(set + sign, 0.2, 0.98));
        moves.push({
          id: `fan ${when} ${next}`,
          design: withDevice(design, own.id, (d) => ({
            ...d,
            humidistat: d.humidistat && { ...d.humidistat, [when]: next },
          })),
        });
      }
    }
    if (more && own.timer.by !== 'always')
      moves.push({
        id: 'fan always',
        design: withDevice(design, own.id, (d) => ({ ...d, timer: { by: 'always' } })),
      });
    if (more && own.kind === 'fan-small' && !locks.buying)
      moves.push({
        id: 'fan larger',
        design: withDevice(design, own.id, (d) => ({
          ...d,
          kind: 'fan-middle',
          name: findDeviceKind(catalogue, 'fan-middle')?.name ?? d.name,
          power: 2,
        })),
      });
    if (!more) {
      moves.push({ id: 'no fan', design: without(design, own.id) });
      if (own.timer.by === 'always' && !own.humidistat)
        moves.push({
          id: 'fan by night',
          design: withDevice(design, own.id, (d) => ({ ...d, timer: { by: 'night' } })),
        });
    }
    return moves;
  };
}

/** Plant lights dimmed: what they take from the mains stays in the box as warmth. */
export const dimmer = ({ design, catalogue, locks }: Setting): readonly Move[] => {
  // What is planted already was chosen for its light.
  if (locks.lights || design.living.plants.some((it) => it.planted !== null)) return [];
  const lights = plantLights(design, catalogue).filter((it) => free(locks, it) && it.dim > 0.6);
  if (lights.length === 0) return [];
  const ids = new Set(lights.map((it) => it.id));
  return [0.7].map((by) => ({
    id: `lights ×${by}`,
    design: withClimate(design, {
      devices: design.climate.devices.map((it) =>
        ids.has(it.id) ? { ...it, dim: Math.round(it.dim * by * 20) / 20 } : it,
      ),
    }),
  }));
};

/** The day of the box earlier or later: its nights then fall into the coolest hours of the room. */
export const shiftDay: Maker = ({ design, locks }) => {
  if (locks.lights) return [];
  const { day } = design.climate;
  return [60, 120, -60].flatMap((by): Move[] => {
    const on = day.on + by;
    const off = day.off + by;
    if (on < 300 || off > 1380) return [];
    return [
      {
        id: `day ${on}`,
        design: withClimate(design, {
          day: { ...day, on, off },
          mist: {
            ...design.climate.mist,
            times: design.climate.mist.times.map((it) => ({ ...it, at: clamp(it.at + by, 0, 1435) })),
          },
        }),
      },
    ];
  });
};
