import type { Catalogue } from '../catalogue';
import { endsOf } from '../climate/calibrated';
import type { Factors } from '../climate/box';
import { readyOf, settled, type Ready } from '../climate/forecast';
import { dayOfSeason, type Season } from '../climate/roomProfile';
import { simulate, type Run } from '../climate/simulate';
import { zonesFor } from '../climate/zones';
import type { Design } from '../document/schema';
import { bearsOf, edgeOf, limitsOf } from './limits';
import { BEGAN, daysOf, play } from './play';
import { altered, ideasFor } from './preventions';
import type { FirstSign, Limit, Prevention, RoomKeeps, WhatIfId, WhatIfResult } from './types';

/** h that something must give to be told. */
const GIVES = 0.4;
/** K and share by which readings are other than usual when anyone would notice. */
const [NOTICED, NOTICED_DAMP] = [1, 0.06];

/**
 * Plays what goes wrong through from the settled box, one thing or several at once; what would buy time is played through
 * as well. Where the box is calibrated both ends of what that leaves open are played too.
 */
export function playWhatIf(
  ids: readonly WhatIfId[],
  design: Design,
  catalogue: Catalogue,
  season: Season,
  seed: number,
  room: RoomKeeps = 'solid',
  stopped: () => boolean = () => false,
): WhatIfResult {
  const from = dayOfSeason(season, design.climate.room.latitude);
  const ready = readyOf(design, catalogue, from);
  const start = settled(ready);
  const bears = bearsOf(design, catalogue);
  const told = (run: Run, own: Ready, of: Design): readonly Limit[] =>
    limitsOf(run, own.bands, own, bears, edgeOf(of, own));
  const played = play(ids, ready, design, start, seed, room);
  const ends = (endsOf(design) ?? []).map((factors: Factors) => {
    const own = { ...ready, box: { ...ready.box, factors } };
    return told(play(ids, own, design, settled(own, undefined, undefined, start), seed, room), own, design);
  });
  const limits = told(played, ready, design).map((it, i): Limit => {
    const [warm, cool] = [ends[0]?.[i], ends[1]?.[i]];
    return { ...it, ends: warm && cool ? [warm, cool] : null };
  });
  const span = daysOf(ids) * 24 - BEGAN;
  const first = firstOf(limits);
  const buys: Prevention[] = [];
  for (const { what, when, calls } of ideasFor(ids)) {
    if (stopped()) break;
    const own = calls(design);
    if (!own) continue;
    const other = altered(design, own, catalogue);
    // What was found out of the box stays true of it, whatever its drawing's marks say of the change.
    const drawn = readyOf(other, catalogue, from);
    const again = { ...drawn, box: { ...drawn.box, factors: ready.box.factors } };
    // What is built in has long been there when it happens; what is done then begins where the box stands.
    const begins = when === 'before' ? settled(again, undefined, undefined, start) : start;
    const late = firstOf(told(play(ids, again, other, begins, seed, room), again, other));
    const hours = Math.min(late, span) - Math.min(first, span);
    if (hours > GIVES) buys.push({ what, hours, calls: when === 'before' ? own : [] });
  }
  buys.sort((a, b) => b.hours - a.hours);
  const sound = simulate({
    box: ready.box,
    weather: ready.weather(played.days + 1, seed),
    plan: ready.plan,
    days: played.days,
    every: (played.t[1] ?? 900) - (played.t[0] ?? 0),
    start,
  });
  return {
    ids,
    run: played,
    began: BEGAN,
    limits,
    buys,
    sign: signOf(played, sound),
    zones: zonesFor(ready.bands),
  };
}

const firstOf = (limits: readonly Limit[]): number =>
  limits.reduce((least, it) => (it.after === null ? least : Math.min(least, it.after)), Infinity);

/** Where and when readings are first other than they would have been. */
function signOf(played: Run, sound: Run): FirstSign | null {
  const probes = [
    { side: 'warm', quantity: 'temperature', of: 'air0', least: NOTICED },
    { side: 'cool', quantity: 'temperature', of: 'air2', least: NOTICED },
    { side: 'warm', quantity: 'humidity', of: 'rh0', least: NOTICED_DAMP },
    { side: 'cool', quantity: 'humidity', of: 'rh2', least: NOTICED_DAMP },
  ] as const;
  for (let i = 0; i < played.t.length; i += 1) {
    const after = (played.t[i] ?? 0) / 3600 - BEGAN;
    if (after < 0) continue;
    for (const { side, quantity, of, least } of probes) {
      const by = (played.series[of][i] ?? 0) - (sound.series[of][i] ?? 0);
      if (Math.abs(by) >= least) return { side, quantity, after, by };
    }
  }
  return null;
}
