/**
 * What people put in: heat of lamps and heaters, water of nozzles, hand and fog, sun; by the shares of the model, at the
 * duty its control gives. Each is counted as it is given, so that what is told of it is what was given.
 */
import type { BoxModel, Cell, RoomNow, Switches, Target } from '../box';
import { AT, counted, givenBy, usedBy } from '../states';
import { COLUMNS } from '../stores';
import type { Assembly, Flow, Part } from './assembly';
import type { Controls, DeviceKindOf } from './controls';

/** Shares of the sun that comes in, for each half: most of it falls on ground and wood (from memory). */
const SUNLIT = { soil: 0.2, hardLow: 0.1, hardHigh: 0.1, pane: 0.05, air: 0.05 } as const;

interface SourcesInput {
  readonly box: BoxModel;
  readonly assembly: Assembly;
  readonly controls: Controls;
  readonly switches: Switches;
  readonly room: RoomNow;
}

export function sources({ box, assembly, controls, switches, room }: SourcesInput): Part {
  const heatOut = counted(box, 'heatOut');
  const liquidOut = counted(box, 'liquidOut');
  const sunCount = counted(box, 'sun');
  const there = (state: number): boolean => assembly.inverse[state] !== 0;
  /** Heat for a body that is not there warms the air beside it. */
  const heatState = (target: Target): number => {
    switch (target.to) {
      case 'air':
        return AT.airT(target.cell);
      case 'pane':
      case 'leaves':
      case 'hard': {
        const own = { pane: AT.paneT, leaves: AT.leafT, hard: AT.hardT }[target.to](target.cell);
        return there(own) ? own : AT.airT(target.cell);
      }
      case 'soil':
      case 'deep':
      case 'foot':
      case 'pool':
      case 'spot': {
        const { column } = target;
        const own = {
          soil: AT.soilT(column, 0),
          deep: AT.soilT(column, 2),
          foot: AT.soilT(column, 3),
          pool: AT.poolT(column),
          spot: AT.spotT(column),
        }[target.to];
        return there(own) ? own : AT.bedT(column);
      }
      case 'bed':
        return AT.bedT(target.column);
      case 'lost':
        return heatOut;
    }
  };
  const landing = (column: 0 | 1): number =>
    there(AT.soilT(column, 0)) ? AT.soilWater(column, 0) : AT.pool(column);
  /** Water for a face that is not there lands below it. */
  const waterState = (target: Target): number => {
    switch (target.to) {
      case 'air':
        return AT.fog(target.cell);
      case 'pane':
      case 'leaves':
      case 'hard': {
        const column = (target.cell >> 1) as 0 | 1;
        const [heat, own] = {
          pane: [AT.paneT, AT.paneFilm] as const,
          leaves: [AT.leafT, AT.leafFilm] as const,
          hard: [AT.hardT, AT.hardFilm] as const,
        }[target.to];
        return there(heat(target.cell)) ? own(target.cell) : landing(column);
      }
      case 'soil':
      case 'spot':
        return landing(target.column);
      case 'deep':
        return there(AT.soilT(target.column, 2)) ? AT.soilWater(target.column, 2) : landing(target.column);
      case 'foot':
        return there(AT.soilT(target.column, 3)) ? AT.soilWater(target.column, 3) : landing(target.column);
      case 'bed':
        return AT.reservoir;
      case 'pool':
        return AT.pool(target.column);
      case 'lost':
        return liquidOut;
    }
  };
  interface Source {
    readonly kind: DeviceKindOf;
    readonly index: number;
    readonly most: number;
    readonly flow: Flow;
  }
  const source = (
    kind: 'heaters' | 'wetters',
    index: number,
    most: number,
    count: readonly (readonly [state: number, share: number])[],
    to: readonly (readonly [state: number, share: number])[],
  ): Source => {
    const probe = controls.probeOf(kind, index);
    return { kind, index, most, flow: assembly.flow([...count, ...to], probe === null ? [] : [probe]) };
  };
  const all: readonly Source[] = [
    ...box.heaters.map((it, index) =>
      source(
        'heaters',
        index,
        it.power,
        [[usedBy(box, index), 1]],
        it.targets.flatMap((target): [number, number][] => {
          const state = heatState(target);
          const { gain } = box.factors;
          // What calibration found to stay less, or more, was lost, or not lost.
          return state === heatOut
            ? [[heatOut, target.share]]
            : [
                [state, target.share * gain],
                [heatOut, target.share * (1 - gain)],
              ];
        }),
      ),
    ),
    ...box.wetters.map((it, index) =>
      source(
        'wetters',
        index,
        it.rate,
        [[givenBy(box, index), 1]],
        it.targets.map((target) => [waterState(target), target.share] as const),
      ),
    ),
  ];
  const sun = assembly.flow(
    [
      [sunCount, 1],
      ...COLUMNS.flatMap((column): [number, number][] => {
        const low = (column * 2) as Cell;
        const high = (low + 1) as Cell;
        return [
          [heatState({ to: 'soil', column, share: 1 }), SUNLIT.soil],
          [heatState({ to: 'hard', cell: low, share: 1 }), SUNLIT.hardLow],
          [heatState({ to: 'hard', cell: high, share: 1 }), SUNLIT.hardHigh],
          [heatState({ to: 'pane', cell: high, share: 1 }), SUNLIT.pane],
          [AT.airT(high), SUNLIT.air],
        ];
      }),
    ],
    [],
  );
  return {
    evaluate(y, dy, jac) {
      for (let i = 0; i < all.length; i += 1) {
        const { kind, index, most, flow } = all[i]!;
        const on = most * (kind === 'heaters' ? switches.heaters[index]! : switches.wetters[index]!);
        if (on === 0) continue;
        const duty = controls.duty(kind, index, y);
        if (flow.by.length > 0) flow.by[0] = on * controls.slope;
        flow.book(on * duty, dy, jac);
      }
      if (room.sun > 0) sun.book(room.sun, dy, jac);
    },
  };
}
