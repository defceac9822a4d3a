import { findDeviceKind, findGauze, findPieceKind } from '../../catalogue';
import { lampsOf, uvAt } from '../../climate/lamps';
import { UV_ZONES, type UvZone } from '../../light/zones';
import { length, say } from '../../units';
import type { Finding, Rule } from '../finding';

/** Every heater is held by a thermostat. */
export const heaterHeld: Rule = ({ design, catalogue }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind?.heats || device.thermostat !== null || device.power * device.dim < 5) return [];
    return [
      {
        code: 'heater-unheld',
        severity: kind.dark ? 'severe' : 'look',
        place: { at: 'climate', device: device.id },
        what: say`${device.name} has no thermostat.`,
        because: say`It warms on, whatever the room does. A thermostat with its probe where the animal is holds it; a dimming one suits lamps.`,
        remedies: [
          {
            label: say`Put it on a thermostat`,
            call: {
              edit: 'setDevice',
              change: {
                device: device.id,
                change: {
                  thermostat: {
                    kind: 'proportional',
                    day: 28,
                    night: null,
                    probe: { ...device.at, z: Math.min(device.at.z, 0.1) },
                  },
                },
              },
            },
          },
        ],
        basis: 'practice',
      },
    ];
  });

/** Conductivity of moist soil, W/m K (model of soil heat; loams stand near it). */
const MOIST_SOIL = 0.5;

/** A mat under deep moist soil stands far over what lies on it. */
export const matUnderSoil: Rule = ({ design, catalogue, deepestSoil }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (kind?.form !== 'mat' || device.at.z > 0.03 || device.power <= 0) return [];
    const area = device.length * Math.min(device.length, 0.28);
    const flux = (device.power * device.dim * 0.75) / area;
    const over = (flux * deepestSoil) / MOIST_SOIL;
    if (deepestSoil < 0.05 || over < 8) return [];
    return [
      {
        code: 'mat-under-soil',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: say`${device.name} lies under ${length(deepestSoil)} of soil.`,
        because: say`At ${String(Math.round(flux))} W/m² it would stand ${String(Math.round(over))} K over the soil’s surface: moist soil holds the warmth back. Keep a shallow dry bay over it, behind a log, or warm from above.`,
        remedies: [
          { label: say`Add a shallow bay`, call: { edit: 'addRegion', change: { kind: 'bark-bay' } } },
          { label: say`Take it out`, call: { edit: 'removeDevice', change: { device: device.id } } },
        ],
        basis: 'computed',
      },
    ];
  });

/** Hot lamps keep clear of what burns or melts. */
export const lampClear: Rule = ({ design, catalogue, ground }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    const clear = kind?.clearance?.value;
    if (
      !kind ||
      clear === undefined ||
      kind.form === 'mat' ||
      kind.form === 'cable' ||
      device.power * device.dim < 15
    )
      return [];
    const { x, y, z } = device.at;
    const near = ground.pieces.find(({ piece, solid: { bounds: b } }) => {
      const row = findPieceKind(catalogue, piece.kind);
      if (!row || row.group === 'stone' || row.look === 'clay' || row.look === 'metal' || row.look === 'open')
        return false;
      const dx = Math.max(b.x0 - x, 0, x - b.x1);
      const dy = Math.max(b.y0 - y, 0, y - b.y1);
      const dz = Math.max(b.z0 - z, 0, z - b.z1);
      return Math.hypot(dx, dy, dz) < clear;
    });
    const { material, height, width, depth, top } = design.enclosure;
    const melts = material === 'acrylic' || material === 'pvc' || material === 'timber';
    const wall = Math.min(x, width - x, y, depth - y, top === 'solid' ? Math.abs(height - z) : Infinity);
    if (!near && !(melts && z < height + 0.02 && wall < clear * 0.6)) return [];
    return [
      {
        code: 'lamp-too-near',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: near
          ? say`${device.name} is nearer than ${length(clear)} to ${near.piece.name}.`
          : say`${device.name} hangs close to a wall of ${material === 'timber' ? 'wood' : 'plastic'}.`,
        because: say`Its face is hot enough to char wood and melt plastic. Keep it clear, guard it inside a box, and never hang it on a plastic mesh.`,
        remedies: [
          {
            label: say`Hang it higher`,
            call: {
              edit: 'moveDevice',
              change: { device: device.id, to: { x, y, z: (near?.solid.bounds.z1 ?? z) + clear + 0.01 } },
            },
          },
        ],
        basis: 'practice',
      },
    ];
  });

/** Never a closed box in direct sun. */
export const directSun: Rule = ({ design }) => {
  const { window, sunlit } = design.climate.room;
  if (window === null || sunlit < 0.05 || design.enclosure.material === 'mesh') return [];
  return [
    {
      code: 'direct-sun',
      severity: 'severe',
      place: { at: 'climate' },
      what: say`Sun falls on the box through the window.`,
      because: say`A glass box overheats in minutes. Move it out of the sun, or shade the window for good.`,
      remedies: [
        {
          label: say`It stands out of the sun`,
          call: { edit: 'setClimateRoom', change: { window: null, sunlit: 0 } },
        },
      ],
      basis: 'practice',
    },
  ];
};

/** Light at night breaks the day’s rhythm; schools differ on faint light. */
export const nightLight: Rule = ({ design, catalogue }) => {
  const lit = design.climate.devices.filter((device) => {
    const kind = findDeviceKind(catalogue, device.kind);
    const lumens = (kind?.lumensPerWatt?.value ?? 0) * device.power * device.dim;
    if (lumens < 1) return false;
    const { on, off } = design.climate.day;
    return (
      device.timer.by === 'always' ||
      device.timer.by === 'night' ||
      (device.timer.by === 'clock' && device.timer.spans.some((it) => it.from < on - 30 || it.to > off + 30))
    );
  });
  return lit.map((device): Finding => {
    const lumens =
      (findDeviceKind(catalogue, device.kind)?.lumensPerWatt?.value ?? 0) * device.power * device.dim;
    const bright = lumens > 60;
    return {
      code: 'light-at-night',
      severity: bright ? 'severe' : 'note',
      place: { at: 'climate', device: device.id },
      what: bright
        ? say`${device.name} lights the box at night.`
        : say`${device.name} shines faintly at night.`,
      because: bright
        ? say`Light by night breaks the rhythm of animals and plants. Dark emitters warm without it.`
        : say`Faint light serves the viewer. Some keep the box quite dark; watch whether the animal comes out less.`,
      otherSchool:
        'None at night; or faint blue or white; red only where it does not disturb the day’s rhythm.',
      remedies: [
        {
          label: say`Only by day`,
          call: { edit: 'setDevice', change: { device: device.id, change: { timer: { by: 'day' } } } },
        },
      ],
      basis: 'practice',
    };
  });
};

/** A moist box wants moving air. */
export const airless: Rule = ({ design, animal }) => {
  const { enclosure, climate } = design;
  const moist = animal ? animal.ground.value !== 'dry' : true;
  const open = enclosure.top === 'solid' ? 0 : 1 - enclosure.topCover;
  const vents = climate.vents.reduce((sum, it) => sum + it.area, 0);
  const low = enclosure.front === 'doors' ? enclosure.made.ventLow : 0;
  const airy = enclosure.material === 'mesh' || enclosure.screened.length > 0;
  if (!moist || airy || open > 0.03 || vents > 0.0005 || low + enclosure.made.ventHigh > 0.002) return [];
  const fan = climate.devices.some((it) => it.kind.startsWith('fan-') && it.kind !== 'fan-stirring');
  if (fan) return [];
  return [
    {
      code: 'no-air',
      severity: 'look',
      place: { at: 'climate' },
      what: say`Nothing lets air through this box.`,
      because: say`Moist chambers still need moving air: without it mould and gnats come, and the glass never clears.`,
      remedies: [
        {
          label: say`Add a vent low in the back`,
          call: { edit: 'addVent', change: { wall: 'back', where: 'low' } },
        },
        { label: say`Add a small fan`, call: { edit: 'addDevice', change: { kind: 'fan-small' } } },
      ],
      basis: 'practice',
    },
  ];
};

/** Gauze holds what lives behind it: newborn of small kinds, and the crew. */
export const gauzeHolds: Rule = ({ design, catalogue, animal }) => {
  const { top, topCover, material } = design.enclosure;
  const used = new Set<string>();
  if ((top === 'mesh' && topCover < 0.98) || material === 'mesh') used.add(design.climate.topGauze);
  for (const vent of design.climate.vents) if (vent.gauze) used.add(vent.gauze);
  const bare = design.climate.vents.filter((it) => it.gauze === null && it.area > 0);
  const girth = animal?.girth?.value;
  // Young are commonly a third of the grown animal's thickness (common practice).
  const young = girth === undefined ? undefined : girth / 3;
  const found: Finding[] = bare.map((vent): Finding => ({
    code: 'vent-open',
    severity: 'look',
    place: { at: 'climate' },
    what: say`A vent in the ${vent.wall} has no gauze.`,
    because: say`Crew and feeders walk out of it.`,
    remedies: [
      {
        label: say`Put gauze behind it`,
        call: { edit: 'setVent', change: { vent: vent.id, change: { gauze: 'fine-mesh' } } },
      },
    ],
    basis: 'practice',
  }));
  for (const id of used) {
    const gauze = findGauze(catalogue, id);
    if (!gauze || young === undefined || gauze.hole.value < young) continue;
    found.push({
      code: 'gauze-too-wide',
      severity: 'look',
      place: { at: 'climate' },
      what: say`Young animals may pass ${gauze.name.toLowerCase()}.`,
      because: say`Its holes are ${length(gauze.hole.value)} wide; a young one is about ${length(young)} thick.`,
      remedies: [
        { label: say`Take fine mesh`, call: { edit: 'setClimate', change: { topGauze: 'fine-mesh' } } },
      ],
      basis: 'memory',
    });
  }
  return found;
};

/** UV where the animal basks, against its zone; shade; age of the tube. */
export const ultraviolet: Rule = ({ design, catalogue, animal, ground }) => {
  const lit = lampsOf(design, catalogue, null);
  const uv = lit.filter((it) => it.lamp.uvIndex > 0);
  const zone = animal?.climate.uvZone.value as UvZone | undefined;
  if (!zone) return [];
  if (uv.length === 0) {
    if (zone === 1 || design.climate.devices.length === 0) return [];
    return [
      {
        code: 'no-uv',
        severity: 'look',
        place: { at: 'climate' },
        what: say`There is no UV lamp; this kind is of UV zone ${String(zone)}.`,
        because: say`It basks in sun of index ${UV_ZONES[zone].maximum.join(' to ')} at its brightest. A linear tube along the warm side, and shade beside it.`,
        remedies: [
          {
            label: say`Add a linear tube`,
            call: {
              edit: 'addDevice',
              change: { kind: zone === 2 ? 'uv-tube-low' : zone === 3 ? 'uv-tube-middle' : 'uv-tube-high' },
            },
          },
        ],
        basis: 'published',
        source: 'ferguson-2010',
      },
    ];
  }
  const strongest = uv.reduce((a, b) => (b.lamp.uvIndex > a.lamp.uvIndex ? b : a));
  const bask = ground.pieces.find(({ piece }) => piece.basking);
  const at = bask
    ? {
        x: (bask.solid.bounds.x0 + bask.solid.bounds.x1) / 2,
        y: (bask.solid.bounds.y0 + bask.solid.bounds.y1) / 2,
        z: bask.solid.bounds.z1,
      }
    : { x: strongest.lamp.x, y: strongest.lamp.y, z: (ground.parts[0]?.high ?? 0) + 0.01 };
  const [low, , high] = uvAt(uv, at);
  const [least, most] = UV_ZONES[zone].maximum;
  const index = `${low.toFixed(1)} to ${high.toFixed(1)}`;
  if (low > most) {
    return [
      {
        code: 'uv-too-strong',
        severity: 'severe',
        place: { at: 'climate', device: strongest.device.id },
        what: say`UV is too strong where it basks: index ${index}.`,
        because: say`Kinds of zone ${String(zone)} meet ${String(least)} to ${String(most)} at most. Hang the lamp higher, take a weaker one, and measure at the animal’s back.`,
        remedies: [
          {
            label: say`Hang it ${length(0.1)} higher`,
            call: {
              edit: 'moveDevice',
              change: {
                device: strongest.device.id,
                to: { ...strongest.device.at, z: strongest.device.at.z + 0.1 },
              },
            },
          },
        ],
        basis: 'computed',
        source: 'ferguson-2010',
      },
    ];
  }
  if (high < least && zone > 1) {
    return [
      {
        code: 'uv-too-weak',
        severity: 'look',
        place: { at: 'climate', device: strongest.device.id },
        what: say`UV is weak where it basks: index ${index}.`,
        because: say`Kinds of zone ${String(zone)} bask in ${String(least)} to ${String(most)}. Gauze takes some of it, how much is disputed: a meter at the animal’s back decides.`,
        remedies: [],
        basis: 'computed',
        source: 'ferguson-2010',
      },
    ];
  }
  return [];
};

/** Tap water for frogs and newts. */
export const waterKind: Rule = ({ design, animal }) => {
  if (design.climate.room.water !== 'tap' || !animal || (animal.kind !== 'frog' && animal.kind !== 'newt'))
    return [];
  return [
    {
      code: 'tap-water',
      severity: 'note',
      place: { at: 'climate' },
      what: say`Tap water goes into a box for amphibians.`,
      because: say`Chlorine and chloramine harm their skin. Treat it, filter it, or use well water that was tested.`,
      remedies: [
        {
          label: say`It is dechlorinated`,
          call: { edit: 'setClimateRoom', change: { water: 'dechlorinated' } },
        },
        { label: say`It is filtered`, call: { edit: 'setClimateRoom', change: { water: 'filtered' } } },
      ],
      basis: 'practice',
    },
  ];
};

/** Nothing fitted at all. */
export const nothingFitted: Rule = ({ design, animal }) =>
  design.climate.devices.length > 0 || !animal
    ? []
    : [
        {
          code: 'no-climate',
          severity: 'look',
          place: { at: 'climate' },
          what: say`No lamps, heat or mist are fitted yet.`,
          because: say`Its climate can be reckoned before anything is bought.`,
          remedies: [{ label: say`Fit a first climate`, call: { edit: 'proposeClimate', change: {} } }],
          basis: 'practice',
        },
      ];
