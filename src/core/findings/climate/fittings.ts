import { findDeviceKind, findGauze } from '../../catalogue';
import { burns } from '../../climate/burns';
import { tooNear } from '../../climate/clearance';
import { firstThermostat } from '../../climate/controlled';
import { FIRST_BOTTLE, USUAL_NOZZLE, mistBy, nozzleRate, nozzlesOf } from '../../climate/misting';
import type { Design, Device } from '../../document/schema';
import { isGauze, SIDES } from '../../enclosure/shell';
import { heightAt } from '../../ground/floor';
import { placeLayers } from '../../ground/placedLayers';
import { length, message, difference, tank, flux as power } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

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
        what: message`${device.name} has no thermostat.`,
        because: message`It warms on, whatever the room does. A thermostat with its probe where the animal is holds it; a dimming one suits lamps.`,
        remedies: [
          {
            label: message`Put it on a thermostat`,
            call: {
              edit: 'setDevice',
              change: {
                device: device.id,
                change: { thermostat: firstThermostat(design, device, catalogue) },
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

/** A mat under deep moist soil stands far over what lies on it: by the soil that lies over the mat itself. */
export const matUnderSoil: Rule = ({ design, catalogue }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (kind?.form !== 'mat' || device.at.z > 0.03 || device.power <= 0) return [];
    const over = soilOver(design, device);
    const area = device.length * Math.min(device.length, 0.28);
    const flux = (device.power * device.dim * 0.75) / area;
    const stands = (flux * over) / MOIST_SOIL;
    if (over < 0.05 || stands < 8) return [];
    const { x, y } = device.at;
    return [
      {
        code: 'mat-under-soil',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: message`${device.name} lies under ${length(over)} of soil.`,
        because: message`At ${power(flux)} it would stand ${difference(stands, 0)} over the soil’s surface: moist soil holds the heat back. Keep a shallow dry bay over it, behind a log, or warm from above.`,
        remedies: [
          {
            label: message`Lay a shallow bay over it`,
            call: {
              edit: 'addRegion',
              change: { kind: 'bark-bay', over: { x, y, reach: device.length / 2 } },
            },
          },
          { label: message`Take it out`, call: { edit: 'removeDevice', change: { device: device.id } } },
        ],
        basis: 'computed',
      },
    ];
  });

/** Soil over a mat, m: the mean of what lies over its middle and the middles of its quarters. */
function soilOver(design: Design, { at, length: side }: Device): number {
  const { width, depth } = design.enclosure;
  const { stackAt } = placeLayers(design);
  const deep = Math.min(side, 0.28);
  const points = [
    [0, 0],
    ...[-1, 1].flatMap((i) => [-1, 1].map((j) => [(i * side) / 4, (j * deep) / 4])),
  ].map(([dx = 0, dy = 0]) => ({
    x: Math.min(width - 1e-6, Math.max(1e-6, at.x + dx)),
    y: Math.min(depth - 1e-6, Math.max(1e-6, at.y + dy)),
  }));
  const soil = ({ x, y }: { readonly x: number; readonly y: number }): number =>
    stackAt(x, y)
      .filter((it) => it.layer.kind === 'substrate')
      .reduce((sum, it) => sum + heightAt(it.top, it.field, x, y) - heightAt(it.base, it.field, x, y), 0);
  return points.reduce((sum, it) => sum + soil(it), 0) / points.length;
}

/** Hot lamps keep clear of what burns or melts. */
export const lampClear: Rule = ({ design, catalogue, ground }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const hit = tooNear(design, device, ground.pieces, catalogue);
    if (!hit) return [];
    const near = hit === 'wall' ? undefined : hit;
    const clear = findDeviceKind(catalogue, device.kind)?.clearance?.value ?? 0;
    const { x, y, z } = device.at;
    const { material } = design.enclosure;
    const higher = (near?.solid.bounds.z1 ?? z) + clear + 0.01;
    return [
      {
        code: 'lamp-too-near',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: near
          ? message`${device.name} is nearer than ${length(clear)} to ${near.piece.name}.`
          : message`${device.name} hangs close to a wall of ${material === 'timber' ? 'wood' : 'plastic'}.`,
        because: message`Its face is hot enough to char wood and melt plastic. Keep it clear, guard it where it hangs inside, and never hang it on a plastic mesh.`,
        remedies:
          design.enclosure.top === 'solid' && higher > roofOf(design)
            ? []
            : [
                {
                  label: message`Hang it higher`,
                  call: { edit: 'moveDevice', change: { device: device.id, to: { x, y, z: higher } } },
                },
              ],
        basis: 'practice',
      },
    ];
  });

/** m over the floor up to which something hangs under a closed top. */
const roofOf = ({ enclosure }: Design): number => enclosure.height - 0.03;
const SHINES: ReadonlySet<string> = new Set(['bulb', 'tube', 'panel']);

/** Nothing shines through a closed top, and a hot lamp on it chars what it lies on. */
export const lampOverClosedTop: Rule = ({ design, catalogue }) => {
  if (design.enclosure.top !== 'solid') return [];
  return design.climate.devices.flatMap((device): Finding[] => {
    const form = findDeviceKind(catalogue, device.kind)?.form;
    if (form === undefined || !SHINES.has(form) || device.at.z < design.enclosure.height) return [];
    return [
      {
        code: 'lamp-over-closed-top',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: message`${device.name} hangs over a closed top.`,
        because: message`Neither its light nor its heat comes through, and what it lies on may char. It belongs inside, hot ones behind a guard.`,
        remedies: [
          {
            label: message`Hang it inside`,
            call: {
              edit: 'moveDevice',
              change: { device: device.id, to: { ...device.at, z: design.enclosure.height - 0.05 } },
            },
          },
        ],
        basis: 'practice',
      },
    ];
  });
};

/** What hangs inside and burns is behind a guard: animals do not draw back from heat that comes from above. */
export const lampGuarded: Rule = ({ design, catalogue }) =>
  design.climate.devices.flatMap((device): Finding[] => {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind || device.guarded || !burns(design.enclosure, device, kind)) return [];
    return [
      {
        code: 'lamp-unguarded',
        severity: 'severe',
        place: { at: 'climate', device: device.id },
        what: message`${device.name} hangs inside without a guard.`,
        because: message`Its face burns skin and scale, and an animal that climbs to it or lies against it does not draw back in time. A guard that no foot fits through, fixed to the frame and not to the lamp.`,
        remedies: [
          {
            label: message`Put a guard around it`,
            call: { edit: 'setDevice', change: { device: device.id, change: { guarded: true } } },
          },
        ],
        basis: 'practice',
      },
    ];
  });

/** Never a closed box in direct sun. */
export const directSun: Rule = ({ design }) => {
  const { window, sunlit } = design.climate.room;
  if (window === null || sunlit < 0.05 || SIDES.every((it) => isGauze(design.enclosure, it))) return [];
  return [
    {
      code: 'direct-sun',
      severity: 'severe',
      place: { at: 'climate' },
      what: message`Sun falls on the enclosure through the window.`,
      because: message`A glass enclosure overheats in minutes. Move it out of the sun, or shade the window for good.`,
      remedies: [
        {
          label: message`It stands out of the sun`,
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
        ? message`${device.name} lights the enclosure at night.`
        : message`${device.name} shines faintly at night.`,
      because: bright
        ? message`Light by night breaks the rhythm of animals and plants. Dark emitters warm without it.`
        : message`Faint light serves the viewer. Some keep the enclosure quite dark; watch whether the animal comes out less.`,
      otherSchool:
        'None at night; or faint blue or white; red only where it does not disturb the day’s rhythm.',
      remedies: [
        {
          label: message`Only by day`,
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
  const airy = SIDES.some((it) => isGauze(enclosure, it));
  if (!moist || airy || open > 0.03 || vents > 0.0005 || low + enclosure.made.ventHigh > 0.002) return [];
  const fan = climate.devices.some((it) => it.kind.startsWith('fan-') && it.kind !== 'fan-stirring');
  if (fan) return [];
  return [
    {
      code: 'no-air',
      severity: 'look',
      place: { at: 'climate' },
      what: message`Nothing lets air through this enclosure.`,
      because: message`Moist chambers still need moving air: without it mould and gnats come, and the glass never clears.`,
      remedies: [
        {
          label: message`Add a vent low in the back`,
          call: { edit: 'addVent', change: { wall: 'back', where: 'low' } },
        },
        { label: message`Add a small fan`, call: { edit: 'addDevice', change: { kind: 'fan-small' } } },
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
    what: message`A vent in the ${vent.wall} has no gauze.`,
    because: message`Crew and feeders walk out of it.`,
    remedies: [
      {
        label: message`Put gauze behind it`,
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
      what: message`Young animals may pass ${gauze.name.toLowerCase()}.`,
      because: message`Its holes are ${length(gauze.hole.value)} wide; a young one is about ${length(young)} thick.`,
      remedies: [
        { label: message`Take fine mesh`, call: { edit: 'setClimate', change: { topGauze: 'fine-mesh' } } },
      ],
      basis: 'estimated',
      source: 'kin',
    });
  }
  return found;
};

/** Nozzles want a pump and something to draw on; mist that is by hand does not drive them. */
export const mistDriven: Rule = ({ design, catalogue }) => {
  const { mist } = design.climate;
  const [first] = nozzlesOf(design, catalogue);
  if (!first) {
    return mist.by === 'nozzles' && mist.times.length > 0
      ? [
          {
            code: 'no-nozzles',
            severity: 'severe',
            place: { at: 'climate' },
            what: message`Mist is set to come by nozzles, and there are none.`,
            because: message`Nothing is misted at all. Install nozzles with their pump, or mist by hand.`,
            remedies: [
              {
                label: message`Mist by hand`,
                // What was sprayed by the second is pulled by hand: as much water as the usual nozzle gives.
                call: { edit: 'setClimate', change: mistBy(design.climate, 'hand', USUAL_NOZZLE) },
              },
            ],
            basis: 'computed',
          },
        ]
      : [];
  }
  if (mist.by === 'nozzles') return [];
  return [
    {
      code: 'nozzles-undriven',
      severity: 'look',
      place: { at: 'climate', device: first.id },
      what: message`${first.name} has neither pump nor bottle: mist is set to come by hand.`,
      because: message`Nozzles want high pressure. With a pump and a bottle of ${tank(FIRST_BOTTLE)} they run by the clock.`,
      remedies: [
        {
          label: message`Drive them with a pump and a bottle`,
          call: {
            edit: 'setClimate',
            change: mistBy(design.climate, 'nozzles', nozzleRate(design, catalogue)),
          },
        },
      ],
      basis: 'practice',
    },
  ];
};

/** Moist soil that nothing waters dries out. */
export const soilUnwatered: Rule = ({ design, catalogue, animal, drainage }) => {
  const { mist, devices } = design.climate;
  if (!animal || animal.ground.value === 'dry' || devices.length === 0) return [];
  const waters =
    mist.times.length > 0 ||
    devices.some((it) => (findDeviceKind(catalogue, it.kind)?.water?.value ?? 0) > 0);
  if (waters || (drainage && design.ground.waterDepth > 0)) return [];
  return [
    {
      code: 'soil-unwatered',
      severity: 'look',
      place: { at: 'climate' },
      what: message`Nothing waters the soil.`,
      because: message`No mist, no fog, no water in the drainage: a moist soil dries within weeks, and what lives in it with it.`,
      remedies: [
        {
          label: message`Mist by hand every second morning`,
          call: {
            edit: 'setClimate',
            change: { mist: { ...mist, by: 'hand', times: [{ at: 490, seconds: 30 }], everyDays: 2 } },
          },
        },
      ],
      basis: 'practice',
    },
  ];
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
      what: message`Tap water goes into an enclosure for amphibians.`,
      because: message`Chlorine and chloramine harm their skin. Treat it, filter it, or use well water that was tested.`,
      remedies: [
        {
          label: message`It is dechlorinated`,
          call: { edit: 'setClimateRoom', change: { water: 'dechlorinated' } },
        },
        { label: message`It is filtered`, call: { edit: 'setClimateRoom', change: { water: 'filtered' } } },
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
          what: message`No lamps, heat or mist are installed yet.`,
          because: message`Its climate can be forecast before anything is bought.`,
          remedies: [{ label: message`Propose equipment`, call: { edit: 'proposeClimate', change: {} } }],
          basis: 'practice',
        },
      ];
