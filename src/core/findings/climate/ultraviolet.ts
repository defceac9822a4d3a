import { lampsOf } from '../../climate/lamps';
import { judgeUv, type UvJudged } from '../../fitting/uv';
import type { Device } from '../../document/schema';
import { length, message, number } from '../../units';
import type { Finding, RuleContext, Rule } from '../../finding/finding';

/** UV where the animal meets most of it, by the middle of what is known of the lamps, against its zone; and its shade. */
export const ultraviolet: Rule = (looked) => {
  const { design, catalogue, animal, ground } = looked;
  if (!animal || design.climate.devices.length === 0) return [];
  const uv = judgeUv(design, animal, ground, catalogue);
  if (!uv || uv.answer === 'inside') return [];
  const { zone, wanted, index, lamps } = uv;
  const strongest = design.climate.devices.find((it) => it.id === lamps[0]);
  const told = message`${number(index[0], 1)} to ${number(index[2], 1)}, in the middle ${number(index[1], 1)}`;
  const band = message`${wanted.low} to ${wanted.high}`;
  const where =
    uv.at === 'basking' ? 'where it basks' : uv.at === 'perch' ? 'on its highest perch' : 'under the lamps';
  const of = {
    place: strongest ? { at: 'climate' as const, device: strongest.id } : { at: 'climate' as const },
    basis: 'computed' as const,
    source: 'ferguson-2010',
  };
  if (!strongest)
    return [
      {
        ...of,
        code: 'no-uv',
        severity: zone >= 3 ? 'severe' : 'look',
        what: message`There is no UV lamp; this species is of UV zone ${zone}.`,
        because: message`It meets an index of ${band} at its brightest. A linear tube along the warm side, and shade beside it: “Find what holds” fits one.`,
        remedies: [],
      },
    ];
  if (uv.answer === 'strong')
    return [
      {
        ...of,
        code: 'uv-too-strong',
        severity: 'severe',
        what: message`UV is too strong ${where}: index ${told}.`,
        because: message`Species of zone ${zone} meet ${band}. A weaker tube, or one hung higher: “Find what holds” fits one. Measure at the animal’s back.`,
        remedies: hangs(looked, strongest, uv, 0.01),
      },
    ];
  if (uv.answer === 'weak')
    return [
      {
        ...of,
        code: 'uv-too-weak',
        severity: zone >= 3 ? 'severe' : 'look',
        what: message`UV is too weak ${where}: index ${told}.`,
        because: message`Species of zone ${zone} bask in ${band}. A stronger tube, one that hangs nearer or inside, or less cover over it: “Find what holds” fits one. How much gauze takes is disputed: a meter at the animal’s back decides.`,
        remedies: hangs(looked, strongest, uv, -0.01),
      },
    ];
  return [
    {
      ...of,
      code: 'uv-no-shade',
      severity: 'look',
      what: message`There is no shade from UV: everywhere on the ground is over a quarter of the brightest place.`,
      because: message`It must be able to leave it. A shorter tube, a broad plant or a ledge over part of the floor.`,
      remedies: [],
    },
  ];
};

/** Higher or lower until UV is in its zone, played through before it is offered; nothing where that alone does not do it. */
function hangs(
  { design, catalogue, animal, ground }: RuleContext,
  device: Device,
  { index, place }: UvJudged,
  step: number,
): Finding['remedies'] {
  const { height } = design.enclosure;
  const over = device.at.z > height;
  for (let z = device.at.z + step; z < height + 0.5 && z > place.z + 0.1; z += step) {
    // A lamp over the lid stays over it, one inside stays inside.
    if (z > height !== over || (over && z < height + 0.02)) break;
    const to = { ...device.at, z: Math.round(z * 100) / 100 };
    const lit = lampsOf(
      {
        ...design,
        climate: {
          ...design.climate,
          devices: design.climate.devices.map((it) => (it.id === device.id ? { ...it, at: to } : it)),
        },
      },
      catalogue,
      null,
    );
    const now = animal ? judgeUv(design, animal, ground, catalogue, lit) : null;
    if (now?.answer !== 'inside') continue;
    const far = Math.abs(to.z - device.at.z);
    return [
      {
        label:
          step > 0
            ? message`Hang it ${length(far)} higher: index ${number(index[1], 1)} → ${number(now.index[1], 1)}`
            : message`Hang it ${length(far)} lower: index ${number(index[1], 1)} → ${number(now.index[1], 1)}`,
        call: { edit: 'moveDevice', change: { device: device.id, to } },
      },
    ];
  }
  return [];
}
