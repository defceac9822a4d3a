import { grownIn } from '../brief';
import { agingLamps, careRules, meteredLamp } from '../care';
import { UV_ZONES, type UvZone } from '../light';
import { DAY } from '../readings';
import { dayPlus, localDay } from '../time';
import { asMessage } from '../units';
import type { DiagnosisInput } from './diagnose';
import type { Evidence } from './types';

const drawn = (words: string, weight: number): Evidence => ({
  words: asMessage(words),
  weight,
  from: 'design',
});

/**
 * What speaks for a UV lamp past its use: the age of the lamps against how long their UV lasts, and what a meter read. Which
 * animals need it is what their UV zone says.
 */
export function uvEvidence({ design, catalogue, log, now }: DiagnosisInput): readonly Evidence[] {
  const animal = grownIn(design, catalogue);
  const needed = animal ? UV_ZONES[animal.climate.uvZone.value as UvZone].mean[0] : 0;
  if (needed <= 0) return [drawn('It needs next to no UV', -5)];
  const lamps = agingLamps(design, catalogue);
  if (lamps.length === 0) return [drawn('It needs UV, and no lamp of it is drawn', 2)];
  const today = localDay(now);
  const rules = careRules(design, catalogue);
  const ages = lamps.flatMap(({ device, name, rule }): Evidence[] => {
    const since = design.climate.devices.find((it) => it.id === device)?.since ?? null;
    const when = rules.find((it) => it.id === rule)?.when;
    if (since === null) return [drawn(`When ${name} was fitted is not written down`, 0.2 / lamps.length)];
    if (when?.by !== 'since') return [];
    const months = Math.round((now - Date.parse(since)) / (30.44 * DAY));
    return dayPlus(since, when.days) <= today
      ? [drawn(`${name} is ${months} months old: its UV is gone before its light is`, 2.2)]
      : [drawn(`${name} is ${months} months old, within its time`, -1.5 / lamps.length)];
  });
  const metered = meteredLamp(design, log, catalogue, localDay);
  if (metered === null) return ages;
  const words =
    metered.day <= today ? 'By its meter it gives less UV than is needed' : 'By its meter it gives enough UV';
  return [...ages, { words: asMessage(words), weight: metered.day <= today ? 2 : -2, from: 'readings' }];
}
