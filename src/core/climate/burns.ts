import type { DeviceKind } from '../catalogue';
import type { Design, Device } from '../document/schema';

/** Whether a device is hot enough to burn what touches it, and hangs where an animal can: a bulb inside the box. */
export const burns = (
  { height }: Pick<Design['enclosure'], 'height'>,
  { at, power }: Pick<Device, 'at' | 'power'>,
  kind: Pick<DeviceKind, 'form' | 'heats' | 'clearance'>,
): boolean =>
  kind.form === 'bulb' && kind.heats === true && kind.clearance !== undefined && power > 0 && at.z < height;
