import { BARE_PLAN, type Design } from '../document/schema';

/**
 * A copy of an enclosure to be made otherwise and compared: as it is built, but planned. Nobody lives in it, nothing was done
 * in it and nothing is due; how it is calibrated, and when its plants were set, is of the same box and stays.
 */
export const variantOf = (design: Design, id: string, name: string): Design => ({
  ...design,
  id,
  name,
  brief: { ...design.brief, stage: 'planned', since: null },
  plan: { ...BARE_PLAN, pace: design.plan.pace, animal: design.plan.animal },
  care: { ...design.care, settled: null },
});

/**
 * Another enclosure like one that is there: built as that is drawn, planned, and with nothing of its own history. It is another
 * box: what was measured in that one, planted, let in, kept and settled there is not of this one.
 * @param today local day it is planned, ISO 8601
 */
export function anotherLike(design: Design, id: string, name: string, today: string): Design {
  const { brief, climate, living, care } = design;
  return {
    ...design,
    id,
    name,
    brief: {
      ...brief,
      stage: 'planned',
      since: null,
      note: '',
      place: { room: brief.place.room, shelf: '' },
    },
    climate: { ...climate, meter: null, calibration: null },
    living: {
      ...living,
      plants: living.plants.map((it) => ({ ...it, planted: null })),
      crew: living.crew.map((it) => ({ ...it, on: null })),
      water: { ...living.water, since: null },
      company: { ...living.company, hatched: null },
      rest: living.rest && { ...living.rest, since: today },
      moveIn: { quarantine: null, tested: null },
    },
    plan: { ...BARE_PLAN, pace: design.plan.pace },
    care: {
      changes: care.changes
        .filter((it) => it.when !== null)
        .map((it) => ({ ...it, paused: false, until: null, from: null })),
      own: care.own.map((it) => ({ ...it, from: null })),
      settled: null,
    },
  };
}

/** Names a name has letters for at most, and its number. */
const [LONGEST, NUMBER] = [80, 5];

/**
 * Names for so many more of one: its own with the numbers that follow it and are not taken, a 2 where it has none.
 * @param taken names that stand already, whatever their letters’ case
 */
export function numberedNames(name: string, taken: readonly string[], count: number): readonly string[] {
  const found = /^(.*?)\s*(\d{1,4})$/.exec(name);
  const base = (found?.[1] ?? name).trim().slice(0, LONGEST - NUMBER);
  const known = new Set(taken.map((it) => it.toLowerCase()));
  const names: string[] = [];
  for (let next = found ? Number(found[2]) + 1 : 2; names.length < count; next += 1) {
    const own = `${base} ${next}`.trim();
    if (!known.has(own.toLowerCase())) names.push(own);
  }
  return names;
}
