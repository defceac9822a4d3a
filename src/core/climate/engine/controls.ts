/**
 * Thermostats and humidistats: a probe that lags, and a duty 0 to 1 that holds it.
 *
 *   d probe/dt = (value − probe)/lag         value: a temperature, or w/w_s(T) of the air
 *   duty = ½ + acts·(set − probe)/band       between none and full; on-off cycling follows from it
 */
import type { SaturationCurve } from '../air';
import type { BoxModel, ControlModel, Switches } from '../box';
import { AT, followed } from '../states';
import type { Assembly, Flow, Part } from './assembly';

export type DeviceKindOf = 'heaters' | 'wetters' | 'fans';

export interface Controls extends Part {
  /** State of the probe that holds a device; null: nothing does. */
  probeOf(kind: DeviceKindOf, index: number): number | null;
  /** Duty, 0 to 1, of a device at a state; how it changes with its probe is left in `slope`. */
  duty(kind: DeviceKindOf, index: number, y: Float64Array): number;
  readonly slope: number;
  /** m³/s that a fan draws, and how it changes with its probe as `fanFlow` was asked last. */
  fanFlow(index: number, y: Float64Array): number;
  fanSlope(index: number): number;
}

export function controlsOf(
  box: BoxModel,
  assembly: Assembly,
  curve: SaturationCurve,
  switches: Switches,
): Controls {
  const first: Record<DeviceKindOf, number> = {
    heaters: 0,
    wetters: box.heaters.length,
    fans: box.heaters.length + box.wetters.length,
  };
  const all: readonly (ControlModel | null)[] = [...box.heaters, ...box.wetters, ...box.fans].map(
    (it) => it.control,
  );
  const damp: {
    readonly t: number;
    readonly ratio: number;
    readonly probe: number;
    readonly lag: number;
    readonly flow: Flow;
  }[] = [];
  all.forEach((control, index) => {
    if (!control) return;
    const probe = AT.probes + index;
    const { state, cell } = followed(control.probe);
    if (cell === null) {
      assembly.add(probe, probe, -1 / control.lag);
      assembly.add(probe, state, 1 / control.lag);
      return;
    }
    const t = AT.airT(cell);
    damp.push({
      t,
      ratio: state,
      probe,
      lag: control.lag,
      flow: assembly.flow([[probe, 1]], [probe, state, t]),
    });
  });
  const fanSlopes = new Float64Array(box.fans.length);
  let slope = 0;

  function duty(kind: DeviceKindOf, index: number, y: Float64Array): number {
    slope = 0;
    const at = first[kind] + index;
    const control = all[at];
    if (!control) return 1;
    const set = switches.day >= 0.5 ? control.day : control.night;
    if (set === null) return 0;
    const raw = 0.5 + (control.acts * (set - y[AT.probes + at]!)) / control.band;
    if (raw <= 0) return 0;
    if (raw >= 1) return 1;
    slope = -control.acts / control.band;
    return raw;
  }

  return {
    duty,
    get slope() {
      return slope;
    },
    probeOf: (kind, index) => (all[first[kind] + index] ? AT.probes + first[kind] + index : null),
    fanFlow(index, y) {
      const most = switches.fans[index]! * box.fans[index]!.flow;
      if (most === 0) {
        fanSlopes[index] = 0;
        return 0;
      }
      const flow = most * duty('fans', index, y);
      fanSlopes[index] = most * slope;
      return flow;
    },
    fanSlope: (index) => fanSlopes[index]!,
    evaluate(y, dy, jac) {
      for (let i = 0; i < damp.length; i += 1) {
        const { t, ratio, probe, lag, flow } = damp[i]!;
        const saturated = curve.at(y[t]!);
        const reads = y[ratio]! / saturated;
        flow.by[0] = -1 / lag;
        flow.by[1] = 1 / (saturated * lag);
        flow.by[2] = (-reads * curve.slope) / (saturated * lag);
        flow.book((reads - y[probe]!) / lag, dy, jac);
      }
    },
  };
}
