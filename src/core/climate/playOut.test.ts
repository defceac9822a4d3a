import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit } from '../edits';
import { readyOf } from './forecast';
import { playOut, type TroubleKind } from './playOut';

const DAY = 86_400;

/** kg each wetter gave and J each heater used on one day with something wrong for all of it, by the kind of device. */
function dayWith(kind: TroubleKind | null, added: string): ReadonlyMap<string, number> {
  const bog = demoDesigns(catalogue).find(({ climate }) => climate.mist.by === 'nozzles');
  if (!bog) throw new Error('nothing of the demo is misted by nozzles');
  const design = applyEdit(bog, { edit: 'addDevice', change: { kind: added } }, catalogue);
  // Both are on all day, whatever is read.
  const devices = design.climate.devices.map((it) =>
    it.kind === added ? { ...it, thermostat: null, humidistat: null, timer: { by: 'always' as const } } : it,
  );
  const ready = readyOf({ ...design, climate: { ...design.climate, devices } }, catalogue, 100);
  const troubles = kind === null ? [] : [{ kind, from: 0, to: Infinity }];
  const run = playOut({ ready, days: 1, every: 3600, seed: null, troubles });
  const kindOf = (id: string | null): string => devices.find((it) => it.id === id)?.kind ?? 'by hand';
  const told = new Map<string, number>();
  const tell = (id: string | null, amount: number): void => {
    told.set(kindOf(id), (told.get(kindOf(id)) ?? 0) + amount);
  };
  ready.model.wetterDevices.forEach((it, i) => tell(it?.id ?? null, run.drawn[i] ?? 0));
  ready.model.heaterDevices.forEach(({ id }, i) => tell(id, run.used[i] ?? 0));
  return told;
}

describe('something wrong in a box stops what it stops, and nothing else', () => {
  it('misting off: the nozzles give nothing, a fogger with a bottle of its own goes on as before', () => {
    const sound = dayWith(null, 'fogger');
    const off = dayWith('mist-off', 'fogger');
    const nozzle = [...sound.keys()].find((it) => it.includes('nozzle')) ?? '';
    expect(sound.get(nozzle)).toBeGreaterThan(0.01);
    expect(off.get(nozzle)).toBe(0);
    expect(sound.get('fogger')).toBeGreaterThan(0.1);
    expect(off.get('fogger')).toBeCloseTo(sound.get('fogger') ?? 0, 6);
  });

  it('heating off: an emitter that gives no light is heating, the lamps stay on', () => {
    const sound = dayWith(null, 'ceramic-emitter');
    const off = dayWith('heat-off', 'ceramic-emitter');
    expect(sound.get('ceramic-emitter')).toBeGreaterThan(0.5 * DAY);
    expect(off.get('ceramic-emitter')).toBe(0);
    const lamps = [...sound].filter(([kind, used]) => /bar|tube/.test(kind) && used > 0);
    expect(lamps.length).toBeGreaterThan(0);
    for (const [kind, used] of lamps) expect(off.get(kind), kind).toBeCloseTo(used, 3);
  });
});
