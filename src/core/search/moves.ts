import { type Move, type Fault, type Setting, type Maker, free } from './change';
import { baskingLamp, darkHeaters, fanOf, foggerOf, without, withClimate } from '../fitting/fittings';
import { coverMore, coverLess, stripMore, stripLess, ventMore, ventLess, fan, dimmer, shiftDay } from './air';
import { fog, SECONDS, mist } from './damp';
import { heaterSet, heaterProbe, power, heaterKind, coolHeater, baskSet, baskLamp } from './heat';

/** Every change that could mend a fault, in the order they are tried. */
export function movesFor(setting: Setting, fault: Fault): readonly Move[] {
  const key = `${fault.it.criterion.id} ${fault.way}` as const;
  const makers = MAKERS[key] ?? [];
  const seen = new Set<string>();
  return makers
    .flatMap((make) => make(setting, fault))
    .filter((it): it is Move => {
      if (!it || seen.has(it.id)) return false;
      seen.add(it.id);
      return true;
    });
}

const MAKERS: Readonly<Record<string, readonly Maker[]>> = {
  'warm under': [heaterSet('day', 1), heaterKind, heaterProbe, coverMore, coverLess, ventLess, baskSet(1)],
  'warm over': [
    heaterSet('day', -1),
    heaterProbe,
    coverLess,
    stripMore,
    ventMore,
    dimmer,
    power(baskingLamp, false),
    baskSet(-1),
    fan('warm', true),
    baskLamp(false),
  ],
  'cool under': [heaterSet('day', 1), coverMore, coolHeater, heaterSet('day', 1, 'cool'), fan('warm', false)],
  'cool over': [
    heaterSet('day', -1),
    heaterSet('day', -1, 'cool'),
    coverLess,
    stripMore,
    ventMore,
    dimmer,
    fan('warm', true),
    power(baskingLamp, false),
    baskSet(-1),
    heaterProbe,
    fog(true),
    mist(true),
  ],
  'water over': [heaterSet('day', -1), coverLess, dimmer, fan('warm', true)],
  'water under': [heaterSet('day', 1), heaterSet('night', 1), coverMore],
  'basking under': [baskSet(1), baskLamp(true), heaterSet('day', 1), coverLess],
  'basking over': [
    baskSet(-1),
    power(baskingLamp, false),
    baskLamp(false),
    heaterKind,
    heaterSet('day', -1),
    heaterProbe,
  ],
  'night under': [heaterSet('night', 1), heaterKind, coverMore, ventLess],
  'night over': [
    heaterSet('night', -1),
    heaterSet('night', -1, 'cool'),
    coverLess,
    stripMore,
    ventMore,
    fan('warm', true),
    shiftDay,
    dimmer,
    fog(true),
    mist(true),
  ],
  'humidity-day under': [
    fog(true),
    mist(true),
    coverMore,
    stripLess,
    ventLess,
    fan('damp', false),
    heaterSet('day', -1),
  ],
  'humidity-night under': [fog(true), mist(true), coverMore, stripLess, ventLess, fan('damp', false)],
  'humidity-day over': [
    coverLess,
    mist(false),
    fog(false),
    fan('damp', true),
    stripMore,
    ventMore,
    heaterSet('day', 1),
    heaterKind,
  ],
  'humidity-night over': [
    coverLess,
    mist(false),
    fog(false),
    fan('damp', true),
    stripMore,
    ventMore,
    heaterSet('night', 1),
    heaterKind,
  ],
  'soil over': [mist(false), fog(false), coverLess, fan('damp', true), stripMore, ventMore],
  'hide under': [coverMore, fog(true)],
};

/** Changes that ask less of the keeper: each thing left out, the heater exchanged, less mist, lights that are softer. */
export function easements({ design, animal, catalogue, locks }: Setting): readonly Move[] {
  const moves: Move[] = [];
  const own = [
    ...darkHeaters(design, catalogue),
    ...[foggerOf(design, catalogue), fanOf(design, catalogue)].flatMap((it) => it ?? []),
  ].filter((it) => free(locks, it));
  for (const it of own) moves.push({ id: `without ${it.id}`, design: without(design, it.id) });
  const { mist } = design.climate;
  if (!locks.mist && mist.times.length > 0) {
    const to = (id: string, change: Partial<typeof mist>): Move => ({
      id: `mist ${id}`,
      design: withClimate(design, { mist: { ...mist, ...change } }),
    });
    if (mist.times.length > 1) moves.push(to('fewer', { times: mist.times.slice(0, -1) }));
    else if (animal.ground.value === 'dry') moves.push(to('none', { times: [] }));
    moves.push(
      to('less', { times: mist.times.map((it) => ({ ...it, seconds: SECONDS(it.seconds * 0.6) })) }),
    );
    if (mist.by === 'hand' && mist.everyDays < 7) moves.push(to('rarer', { everyDays: mist.everyDays * 2 }));
  }
  const setting = { design, animal, catalogue, locks };
  moves.push(...heaterKind(setting), ...dimmer(setting));
  return moves;
}
