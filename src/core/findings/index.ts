import { airless } from './airless';
import { barrierMissing } from './barrierMissing';
import { boxSize } from './boxSize';
import {
  airless as noAir,
  directSun,
  gauzeHolds,
  heaterHeld,
  lampClear,
  lampGuarded,
  lampOverClosedTop,
  matUnderSoil,
  mistDriven,
  nightLight,
  nothingFitted,
  soilUnwatered,
  waterKind,
} from './climate/fittings';
import { daysOfYear } from './climate/dayLength';
import { ultraviolet } from './climate/ultraviolet';
import { hungLamps } from './climate/hung';
import { digDepth } from './digDepth';
import { drainageMaterial } from './drainageMaterial';
import { drainageMethod } from './drainageMethod';
import { drainBore } from './drainBore';
import { freeboard } from './freeboard';
import { falls } from './falls';
import { floorLoad } from './floorLoad';
import { freeHeight } from './freeHeight';
import { lifting } from './lifting';
import { litterForgotten } from './litterForgotten';
import { company, crewHabits, noCrew } from './living/crew';
import {
  dugUp,
  nothingPlanted,
  plantLaw,
  plantRoom,
  poisonous,
  spiny,
  plantsUnderWater,
} from './living/plants';
import { nestDepth } from './living/laying';
import { winterRest } from './living/rest';
import { mixSum } from './mixSum';
import { panelLoad } from './panelLoad';
import { regions, sunkTooLarge } from './regions';
import { rollTooShort } from './rollTooShort';
import { backgrounds } from './scape/backs';
import { devicesBuried, piecesBuried } from './scape/buried';
import { headroom, pieceFits, piecesClash, poleTooShort } from './scape/fits';
import { cover, hides, perches, wayOutOfWater, waysToLedges } from './scape/shelter';
import { stoneOnSoil, wood, piecesUnderWater } from './scape/stone';
import { cables, planters, pumps, reachable, thingsForgotten, waterTrial } from './scape/things';
import { timberUnsealed } from './timberUnsealed';
import { unanswered } from './unanswered';
import { unknownMaterial } from './unknownMaterial';
import { unsuitable } from './unsuitable';
import { waterAgainstGlass } from './waterAgainstGlass';
import { waterOutlet } from './waterOutlet';
import { watertight } from './watertight';
import { SEVERITY_RANK, type Finding, type RuleContext, type Rule } from '../finding/finding';
import { fresh, type Keep } from '../finding/kept';

export type { Finding, RuleContext, Severity, Trial } from '../finding/finding';
export { newlyPressing } from '../finding/finding';
export { ONE_PERSON, TWO_PEOPLE } from './lifting';
export { mixOutside } from './mixOutside';

const RULES: readonly Rule[] = [
  unknownMaterial,
  unsuitable,
  boxSize,
  digDepth,
  freeHeight,
  falls,
  drainageMethod,
  drainageMaterial,
  freeboard,
  airless,
  watertight,
  waterAgainstGlass,
  barrierMissing,
  drainBore,
  waterOutlet,
  panelLoad,
  nestDepth,
  winterRest,
  regions,
  sunkTooLarge,
  rollTooShort,
  litterForgotten,
  mixSum,
  pieceFits,
  piecesBuried,
  poleTooShort,
  piecesClash,
  stoneOnSoil,
  hides,
  cover,
  perches,
  waysToLedges,
  wayOutOfWater,
  backgrounds,
  wood,
  planters,
  pumps,
  waterTrial,
  thingsForgotten,
  cables,
  reachable,
  headroom,
  nothingFitted,
  daysOfYear,
  directSun,
  heaterHeld,
  matUnderSoil,
  devicesBuried,
  piecesUnderWater,
  plantsUnderWater,
  lampClear,
  lampGuarded,
  lampOverClosedTop,
  hungLamps,
  ultraviolet,
  mistDriven,
  soilUnwatered,
  nightLight,
  noAir,
  gauzeHolds,
  waterKind,
  timberUnsealed,
  lifting,
  floorLoad,
  unanswered,
  nothingPlanted,
  plantRoom,
  poisonous,
  spiny,
  dugUp,
  plantLaw,
  noCrew,
  crewHabits,
  company,
];

/** Rules that ask only for the box and who lives there. */
const OF_ITS_OUTSIDE = new Set<Rule>([boxSize, unanswered, company]);

/**
 * Every rule, the gravest findings first, otherwise in the order of the rules. Of an enclosure that nobody has described only
 * what is known is judged.
 */
export function judge(context: RuleContext, keep: Keep = fresh): readonly Finding[] {
  const { described } = context.design.brief;
  return RULES.flatMap((rule, index) =>
    described || OF_ITS_OUTSIDE.has(rule) ? keep(`rule ${index}`, context, rule) : [],
  ).sort((a, b) => SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity]);
}
