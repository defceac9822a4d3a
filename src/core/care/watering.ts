import { findDeviceKind, type Catalogue } from '../catalogue';
import { pourSaid, soilIsKept } from '../climate/watering';
import type { Design, Device } from '../document/schema';
import { message, tank } from '../units';
import { after, daily, type Draft } from './rule';

/** Minutes of a day a fogger can run at the most. */
const ALL_DAY = 1440;
/** Days after which a fogger’s bottle is looked at, however little it may give. */
const LOOKED_AT = 7;

/** Minutes of a day something is switched on, light taken as so long. */
function minutesOn({ timer, duty }: Device, light: number): number {
  const on =
    timer.by === 'always'
      ? ALL_DAY
      : timer.by === 'day'
        ? light
        : timer.by === 'night'
          ? ALL_DAY - light
          : timer.spans.reduce((sum, it) => sum + it.to - it.from, 0);
  return duty ? (on * duty.on) / Math.max(duty.on, duty.every) : on;
}

/**
 * Filling what a fogger stands in, and water for the soil. How long a bottle lasts is told by what its fogger can give at the
 * most: its humidistat may ask for all of it on a dry day.
 */
export function watered(design: Design, catalogue: Catalogue, add: (draft: Draft) => void): void {
  const { climate, ground } = design;
  const light = Math.max(0, climate.day.off - climate.day.on);
  for (const device of climate.devices) {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind?.tank || !kind.water) continue;
    const holds = device.tank ?? kind.tank.value;
    const most = (kind.water.value * device.dim * minutesOn(device, light) * 60) / 1000;
    if (most <= 0) continue;
    const days = Math.min(LOOKED_AT, Math.floor(holds / most));
    add({
      id: `fogger-fill-${device.id}`,
      group: 'water',
      what: `Fill the bottle of ${device.name}`,
      why: 'Dry, it gives nothing, and the air falls to that of the room.',
      when: days > 1 ? after(days) : daily(),
      amount:
        days >= 1
          ? message`with distilled or filtered water; it holds ${tank(holds)}, and gives ${tank(most)} a day at the most`
          : message`with distilled or filtered water, morning and evening: it holds ${tank(holds)}, and gives ${tank(most)} a day at the most`,
      minutes: days >= 1 ? 3 : 6,
      caution: 'mist',
      sitter: true,
    });
  }
  // Soil that was filled dry to its foot is kept dry.
  const soil = ground.moistShare > 0 && ground.layers.some((it) => it.kind === 'substrate');
  if (soil && soilIsKept(design))
    add({
      id: 'watering',
      group: 'water',
      what: 'Water the soil from the jug',
      why: 'Nothing else brings water to its depth, and the forecast counts on its staying as damp as it was filled.',
      when: after(7),
      amount: message`as much as keeps it as damp as it was filled; the verdict says how much it loses`,
      minutes: 3,
      sitter: true,
    });
  (climate.watering ?? []).forEach((pour, index) =>
    add({
      id: `watering-${index + 1}`,
      group: 'water',
      what: 'Water the soil from the jug',
      why:
        pour.into === 'foot'
          ? 'It goes to the foot of the soil, where what digs finds it damp, and leaves the top dry.'
          : 'It wets the top as rain does, and sinks from there.',
      when: pour.everyDays > 1 ? after(pour.everyDays) : daily(),
      amount: pourSaid(pour),
      minutes: 3,
      sitter: true,
    }),
  );
}
