import { findAnimal, findDeviceKind, type Catalogue } from '../catalogue';
import type { Design, Device } from '../document/schema';
import { siteAt } from '../ground/bodies';

/** m over the ground at which a probe is fixed at least: soil warms hours later than the animal does, and less. */
const OVER_GROUND = 0.06;
/** °C a thermostat is first set to where no animal says what it wants (practice). */
const UNTOLD = 28;

/** The place of a probe at `at.z` m over the floor, or a little over the ground where that is higher. m. */
export function probeOver(design: Design, at: Device['at']): Device['at'] {
  const ground = siteAt(design).groundAt(at.x, at.y);
  return { ...at, z: Math.min(design.enclosure.height - 0.02, Math.max(at.z, ground + OVER_GROUND)) };
}

/** Where nothing else is told a humidistat measures: in the middle of the box, `share` of its height over the floor. */
export function probeInAir(design: Design, share: number, deep = 0.5): Device['at'] {
  const mm = (value: number): number => Math.round(value * 1000) / 1000;
  const { width, depth, height } = design.enclosure;
  return probeOver(design, { x: mm(width / 2), y: mm(depth * deep), z: mm(height * share) });
}

/**
 * The thermostat a heater is first put on: by day at the middle of what its animal wants where it is warm, with the
 * probe under the heater, low in the air, where the animal is. On a mat, a cable and in water the probe lies on it.
 */
export function firstThermostat(
  design: Design,
  { kind, at }: Pick<Device, 'kind' | 'at'>,
  catalogue: Catalogue,
): NonNullable<Device['thermostat']> {
  const form = findDeviceKind(catalogue, kind)?.form;
  const warm = findAnimal(catalogue, design.brief.animal)?.climate.warm.value;
  const touches = form === 'mat' || form === 'cable' || form === 'heater';
  return {
    kind: touches ? 'on-off' : 'proportional',
    day: warm ? Math.round((warm.low + warm.high) * 2) / 4 : UNTOLD,
    night: null,
    probe: touches ? at : probeOver(design, { ...at, z: 0 }),
  };
}
