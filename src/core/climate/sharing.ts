import type { DeviceKind } from '../catalogue';
import type { Design, Device } from '../design/schema';
import { heatFrom, type Lamp } from '../light/field';
import type { Cell, CellModel, Column, ColumnModel, Target } from './box';
import { overLid, type Lit } from './lamps';
import type { Outfit } from './outfit';
import type { sprayOf } from './spray';

interface WarmsAsked {
  readonly design: Design;
  readonly device: Device;
  readonly kind: DeviceKind;
  readonly cell: Cell;
  readonly column: Column;
  readonly basking: Outfit['basking'];
  readonly lit: readonly Lit[];
  readonly columns: readonly [ColumnModel, ColumnModel];
  readonly cells: readonly CellModel[];
}

/** Where the heat of a device goes, summing to one (shares from memory; calibration corrects what stays). */
export function warms({
  design,
  device,
  kind,
  cell,
  column,
  basking,
  lit,
  columns,
  cells,
}: WarmsAsked): readonly Target[] {
  const canopy = (column * 2 + 1) as Cell;
  const low = (column * 2) as Cell;
  switch (kind.form) {
    case 'mat':
      return device.at.z > 0.05
        ? [
            { to: 'pane', cell, share: 0.75 },
            { to: 'lost', share: 0.25 },
          ]
        : [
            { to: 'bed', column, share: 0.75 },
            { to: 'lost', share: 0.25 },
          ];
    case 'cable':
      return [
        { to: 'deep', column, share: 0.9 },
        { to: 'lost', share: 0.1 },
      ];
    case 'heater':
      return kind.id === 'water-heater'
        ? [{ to: 'pool', column, share: 1 }]
        : [
            { to: 'air', cell, share: 0.8 },
            { to: 'hard', cell, share: 0.2 },
          ];
    default:
      break;
  }
  const lamp = lit.find((it) => it.device.id === device.id)?.lamp;
  const over = overLid(device, design);
  const shines = lamp ? kind.radiant.value * lamp.passes.heat : 0;
  const targets: Target[] = [];
  let left = shines;
  const spot = basking && lamp ? spotShare(lamp, basking, columns[basking.column].spot.area) : 0;
  if (basking && spot > 0) {
    const share = Math.min(left * 0.6, spot / Math.max(1, device.power * device.dim));
    targets.push({ to: 'spot', column: basking.column, share: share * 0.85 });
    left -= share * 0.85;
  }
  // Long lamps light both columns; a bulb nearly all of its own.
  const { width } = design.enclosure;
  const across = kind.form === 'bulb' ? 0.12 : Math.min(1, device.length / width);
  const edge = Math.min(1, Math.abs(device.at.x - width / 2) / (width / 4));
  const own = 1 - 0.5 * Math.max(across * 0.9, 1 - edge) * (kind.form === 'bulb' ? 0.9 : 1);
  for (const [at, part] of [
    [column, own],
    [(1 - column) as Column, 1 - own],
  ] as const) {
    const land = columns[at].area > 1e-4;
    const g = (at * 2) as Cell;
    const c = (g + 1) as Cell;
    const leafy = cells[g]!.leaves > 0.01;
    targets.push(
      land
        ? { to: 'soil', column: at, share: left * part * 0.4 }
        : { to: 'pool', column: at, share: left * part * 0.4 },
      { to: 'hard', cell: g, share: left * part * 0.2 },
      { to: leafy ? 'leaves' : 'hard', cell: c, share: left * part * 0.15 },
      { to: 'pane', cell: c, share: left * part * 0.15 },
      { to: 'lost', share: left * part * 0.1 },
    );
  }
  const warmsAir = 1 - shines;
  targets.push(over ? { to: 'lost', share: warmsAir * 0.85 } : { to: 'air', cell: canopy, share: warmsAir });
  if (over) targets.push({ to: 'pane', cell: canopy, share: warmsAir * 0.15 });
  void low;
  return targets;
}

/** W of a lamp that fall on the basking place. */
const spotShare = (
  lamp: Lamp,
  at: { readonly x: number; readonly y: number; readonly z: number },
  area: number,
): number => heatFrom(lamp, at.x, at.y, at.z) * area;

/** Mist by where its rays end; fine drops stay partly in the air. Leaves catch before the ground does. */
export function wets(
  shares: ReturnType<typeof sprayOf>['shares'],
  cell: Cell,
  column: Column,
  columns: readonly [ColumnModel, ColumnModel],
  cells: readonly CellModel[],
  kind: DeviceKind | null,
): readonly Target[] {
  const fine = kind?.id === 'nozzle-fine' ? 0.12 : 0.04;
  const canopy = (column * 2 + 1) as Cell;
  const low = (column * 2) as Cell;
  const glass = (shares.left + shares.right + shares.back + shares.front) * (1 - fine);
  const down = (shares.ground + shares.piece + shares.water) * (1 - fine);
  const leafy = cells[canopy]!.leaves / Math.max(1e-6, cells[canopy]!.floor);
  const caught = Math.min(0.6, 0.5 * leafy);
  const pool = columns[column].area > 1e-4 ? shares.water : shares.water + shares.ground;
  const land = columns[column].area > 1e-4 ? shares.ground : 0;
  const through = (1 - fine) * (1 - caught);
  return [
    { to: 'air', cell, share: fine },
    { to: 'pane', cell: canopy, share: glass * 0.6 },
    { to: 'pane', cell: low, share: glass * 0.4 },
    { to: 'leaves', cell: canopy, share: down * caught * 0.6 },
    { to: 'leaves', cell: low, share: down * caught * 0.4 },
    { to: 'soil', column, share: land * through },
    { to: 'pool', column, share: pool * through },
    { to: 'hard', cell: low, share: shares.piece * through },
  ];
}
