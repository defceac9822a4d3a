import { relativeAt } from './air';
import { NO_AREA, type BoxModel, type Cell } from './box';
import { AT } from './states';

/**
 * What no enclosure comes to: beyond it the model, not the box, is at fault, and nothing is told of it. A step may leave
 * a little over saturation (2 % were met in random boxes full of misters), which becomes fog at the next record; more
 * than `humidity` is no step's rest.
 */
export const LIMITS = { coldest: -60, hottest: 90, humidity: 1.05, changesPerHour: 400 } as const;

const CELL_NAME: Record<Cell, string> = {
  0: 'near the ground on the warm side',
  1: 'high up on the warm side',
  2: 'near the ground on the cool side',
  3: 'high up on the cool side',
};

/** A run that left what can be; its message names the part. */
export class ImpossibleClimate extends Error {
  constructor(part: string, value: string, hour: number) {
    super(`${part} would come to ${value} after ${hour.toFixed(1)} hours, which no enclosure does`);
    this.name = 'ImpossibleClimate';
  }
}

/**
 * Refuses a state outside what can be: air or a leaf over 90 °C, humidity under 0 or over 105 %, more than 400 changes
 * of air an hour without a fan. It is asked before what lies over saturation is condensed.
 * @param exchange m³/s with the room; @param fans whether a fan draws air
 * @throws ImpossibleClimate
 */
export function guard(
  box: BoxModel,
  y: Float64Array,
  exchange: number,
  fans: boolean,
  seconds: number,
): void {
  for (let c = 0; c < 4; c += 1) {
    const cell = c as Cell;
    const air = y[c]!;
    const leaf = box.cells[cell].leaves > NO_AREA ? y[AT.leafT(cell)]! : air;
    if (!(air < LIMITS.hottest && air > LIMITS.coldest))
      refuse('The air', cell, `${air.toFixed(0)} °C`, seconds);
    if (!(leaf < LIMITS.hottest && leaf > LIMITS.coldest))
      refuse('A leaf', cell, `${leaf.toFixed(0)} °C`, seconds);
    const humidity = relativeAt(air, y[4 + c]!, box.pressure);
    if (!(humidity >= 0 && humidity <= LIMITS.humidity))
      refuse('The humidity', cell, `${(100 * humidity).toFixed(1)} %`, seconds);
  }
  if (fans) return;
  const volume = box.cells[0].air + box.cells[1].air + box.cells[2].air + box.cells[3].air;
  const changes = (3600 * exchange) / volume;
  if (!(changes <= LIMITS.changesPerHour))
    throw new ImpossibleClimate(
      'The exchange of air',
      `${changes.toFixed(0)} changes an hour without a fan`,
      seconds / 3600,
    );
}

function refuse(what: string, cell: Cell, value: string, seconds: number): never {
  throw new ImpossibleClimate(`${what} ${CELL_NAME[cell]}`, value, seconds / 3600);
}
