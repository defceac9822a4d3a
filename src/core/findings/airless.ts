import { findMaterial, findRecipe, type Catalogue } from '../catalogue';
import type { Mix } from '../document/schema';
import { mixOfRecipe } from '../edits/mixOfRecipe';
import { mean } from '../ground/corners';
import { materialsIn } from '../document/schema';
import type { Part } from '../ground/layers';
import type { SoilMoisture } from '../ground/moisture';
import { airlessZone, blendOf, blendToo, type Stratum } from '../ground/water';
import { length, percent, message, type Message } from '../units';
import type { Finding, RuleContext, Remedy, Rule } from '../finding/finding';

/** A thin airless film over the bed is in every soil; this much of it sours, m (common practice). */
const TOLERATED = 0.025;

/** Fine soil over an open bed keeps its water: only a coarser mix lets air in. */
export const airless: Rule = (looked) =>
  looked.moistures.flatMap(({ part, moisture }) => ofPart(looked, part, moisture));

function ofPart(looked: RuleContext, part: Part, moisture: SoilMoisture): Finding[] {
  const lowest = part.stack.find((it) => it.layer.kind === 'substrate' && mean(it.thickness) > 0);
  if (!lowest) return [];
  // Over soil that it shares with the rest of the floor there is nothing new to say.
  if (part.region && lowest.region === null) return [];
  const place = { at: 'layer', layer: lowest.layer.id } as const;
  // Where published tables differ the judgement is made over both.
  const [least, most] = [moisture.airless, moisture.airlessToo ?? moisture.airless].sort((a, b) => a - b);
  if (least === undefined || most === undefined) return [];
  const all = least >= moisture.depth - 1e-4;
  const where = part.region ? `${part.region.name}: ` : '';
  if (most <= TOLERATED && !all) {
    return [
      {
        code: 'soil-airy',
        severity: 'fine',
        place,
        what: message`${where}${where ? 'the' : 'The'} soil stays open.`,
        because: message`Once drained it holds ${percent(moisture.air)} of air over its depth; only the lowest ${spread(least, most)} stay airless.`,
        remedies: [],
        ...grounds(looked, part),
      },
    ];
  }
  // Told by the kinder table alone, only a measurement says which it is.
  if (least <= TOLERATED)
    return [
      {
        code: 'soil-may-be-airless',
        severity: 'note',
        place,
        what: message`${where}${where ? 'the' : 'The'} lowest ${spread(least, most)} of soil may stay airless.`,
        because: message`Published tables of soils by their class differ by as much. A cup of it, wetted and drained, tells which yours is: measure it in Stores.`,
        remedies: [],
        ...grounds(looked, part),
      },
    ];
  return [
    {
      code: 'soil-airless',
      severity: 'look',
      place,
      what: all
        ? message`${where}${where ? 'the' : 'The'} soil stays airless all through.`
        : message`${where}${where ? 'the' : 'The'} lowest ${spread(least, most)} of soil stay airless.`,
      because: message`Fine soil holds its water above an open bed: the coarse layer does not pull it down, and more drainage would not help. Only a coarser mix lets air in.`,
      remedies: coarser(looked, part, lowest.layer.id, most),
      ...grounds(looked, part),
    },
  ];
}

/** One length, or both ends where they differ by more than a millimetre. */
const spread = (least: number, most: number): Message =>
  most - least < 0.001 ? [length(most)] : message`${length(least)} to ${length(most)}`;

/** The equation is published; the judgement is only as good as the weakest curve put into it. */
function grounds({ catalogue }: RuleContext, { stack }: Part): Pick<Finding, 'basis' | 'source'> {
  const published = stack
    .filter((it) => it.layer.kind === 'substrate')
    .flatMap((it) => materialsIn(it.layer))
    .every((id) => findMaterial(catalogue, id)?.retention?.basis === 'published');
  return published ? { basis: 'published', source: 'van-genuchten-1980' } : { basis: 'estimated' };
}

/** The mix of each recipe, the same object each time, so that its blend is worked out once. */
const mixes = new WeakMap<Catalogue, Map<string, Mix>>();

function recipeMix(recipe: string, catalogue: Catalogue): Mix {
  const known = mixes.get(catalogue) ?? new Map<string, Mix>();
  mixes.set(catalogue, known);
  const mix = known.get(recipe) ?? mixOfRecipe(recipe, catalogue);
  known.set(recipe, mix);
  return mix;
}

/** The wet or middling recipe that, in place of the lowest soil, leaves least of it airless by either table. */
function coarser({ catalogue }: RuleContext, { stack }: Part, layer: string, now: number): Remedy[] {
  const zoneWith = (recipe: string): number => {
    const [strata, others]: [Stratum[], Stratum[]] = [[], []];
    for (const it of stack) {
      if (it.layer.kind !== 'substrate') continue;
      const mix = it.layer.id === layer ? recipeMix(recipe, catalogue) : it.layer.mix;
      const blend = blendOf(mix, catalogue);
      if (!blend) return Infinity;
      const thickness = mean(it.thickness);
      strata.push({ blend, thickness });
      others.push({ blend: blendToo(mix, catalogue) ?? blend, thickness });
    }
    return Math.max(airlessZone(strata), airlessZone(others));
  };
  const best = catalogue.recipes
    .filter((row) => row.family !== 'dry')
    .map((row) => ({ id: row.id, zone: zoneWith(row.id) }))
    .reduce((a, b) => (b.zone < a.zone ? b : a), { id: '', zone: now });
  const recipe = findRecipe(catalogue, best.id);
  if (!recipe || best.zone > TOLERATED) return [];
  return [
    {
      label: message`Use ${recipe.name.toLowerCase()} below: ${length(best.zone)} airless`,
      call: { edit: 'useRecipe', change: { layer, recipe: recipe.id } },
    },
  ];
}
