import { findDeviceKind } from '../../catalogue';
import { length, message } from '../../units';
import type { Rule } from '../../finding/finding';

/** m under the top from which a lamp no longer hangs at it but on a wire. */
const FREE = 0.3;
const HANGS: ReadonlySet<string> = new Set(['bulb', 'tube', 'panel']);

/** A lamp or heater that hangs free in an enclosure falls on the animal if what holds it gives way. */
export const hungLamps: Rule = ({ design, catalogue }) => {
  const hung = design.climate.devices.filter((device) => {
    const form = findDeviceKind(catalogue, device.kind)?.form;
    return form !== undefined && HANGS.has(form) && design.enclosure.height - device.at.z > FREE;
  });
  const [first] = hung;
  return first
    ? [
        {
          code: 'lamp-hung',
          severity: 'note',
          place: { at: 'climate', device: first.id },
          what:
            hung.length === 1
              ? message`${first.name} hangs free, ${length(design.enclosure.height - first.at.z)} under the top.`
              : message`${hung.length} lamps or heaters hang free under the top.`,
          because: message`Hang each on a steel chain or wire that is rated for its weight, from the frame and never by its cord, with a second one that catches it. Out of reach of a jump, and with a guard where it is hot. Wiring is for a licensed electrician, to the local code.`,
          remedies: [],
          basis: 'practice',
          routine: true,
        },
      ]
    : [];
};
