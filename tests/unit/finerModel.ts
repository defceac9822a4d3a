/**
 * A model of a box that is not the engine: eight layers of air in one column, a pane for each, a soil of twelve layers,
 * explicit steps of two seconds, exchange by a law of its own. It writes records as a cheap logger would: late, noisy,
 * rounded. For tests of calibration only; nothing of it is meant to be built.
 */
export interface FinerBox {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
  readonly soil: number;
  /** m³/s at rest, and for each √K the box is warmer than the room. */
  readonly leak: number;
  readonly draws: number;
  /** How freely its moist ground dries through the litter: share of bare wet ground. */
  readonly wetness: number;
  /** W that stay in the box by day. */
  readonly lamps: number;
  /** g at each misting, hours of the day. */
  readonly mist: number;
  readonly mistings: readonly number[];
}

export interface FinerReading {
  readonly t: number;
  readonly temperature: number;
  readonly humidity: number;
  readonly roomTemperature: number;
  readonly roomHumidity: number;
}

const es = (t: number): number => 610.94 * Math.exp((17.625 * t) / (t + 243.04));
const ws = (t: number): number => (0.622 * es(t)) / (101_325 - es(t));

export function finerRecord(box: FinerBox, days: number, seed: number): readonly FinerReading[] {
  let state = seed;
  const next = (): number => {
    state = (state * 48_271) % 2_147_483_647;
    return state / 2_147_483_647 - 0.5;
  };
  const n = 8;
  const floor = box.width * box.depth;
  const tall = (box.height - box.soil) / n;
  const air = 1.19 * floor * tall;
  const pane = 2 * (box.width + box.depth) * tall;
  const t = new Float64Array(n).fill(21);
  const w = new Float64Array(n).fill(0.009);
  const glass = new Float64Array(n).fill(21);
  const m = 12;
  const soil = new Float64Array(m).fill(21);
  const thick = box.soil / m;
  let leaf = 0;
  // Moist soil, kg: it lasts.
  let stored = 40 * floor;
  const dt = 2;
  let probeT = 21;
  let probeH = 0.5;
  const readings: FinerReading[] = [];
  const warmup = 6;
  for (let step = 0; step < ((days + warmup) * 86_400) / dt; step += 1) {
    const time = step * dt - warmup * 86_400;
    const day = (((time % 86_400) + 86_400) % 86_400) / 3600;
    const roomT = 21 + 1.3 * Math.cos(((day - 15) / 12) * Math.PI);
    const roomW = 0.0062 + 0.0006 * Math.sin(time / 260_000);
    const lit = day >= 8 && day < 20;
    for (const hour of box.mistings) {
      if (Math.abs(day - hour) < dt / 7200) {
        leaf += (box.mist / 1000) * 0.55;
        stored += (box.mist / 1000) * 0.45;
      }
    }
    const mean = t.reduce((sum, it) => sum + it, 0) / n;
    const q = 1.19 * (box.leak + box.draws * Math.sqrt(Math.max(0, mean - roomT)));
    const dT = new Float64Array(n);
    const dW = new Float64Array(n);
    for (let i = 0; i < n; i += 1) {
      const from = i === 0 ? roomT : t[i - 1]!;
      const fromW = i === 0 ? roomW : w[i - 1]!;
      dT[i]! += (q * 1010 * (from - t[i]!)) / (air * 1010);
      dW[i]! += (q * (fromW - w[i]!)) / air;
      if (i < n - 1) {
        // Neighbours mix, faster when it is warmer below.
        const mixed = 1.19 * floor * (0.003 + (t[i]! > t[i + 1]! ? 0.01 : 0));
        const heat = mixed * (t[i + 1]! - t[i]!);
        const damp = mixed * (w[i + 1]! - w[i]!);
        dT[i]! += heat / air;
        dT[i + 1]! -= heat / air;
        dW[i]! += damp / air;
        dW[i + 1]! -= damp / air;
      }
      const toGlass = 3.2 * pane * (t[i]! - glass[i]!);
      dT[i]! -= toGlass / (air * 1010);
      glass[i]! += (dt * (toGlass - 6.6 * pane * (glass[i]! - roomT))) / (pane * 0.005 * 2500 * 750);
      if (lit) dT[i]! += (box.lamps * 0.5) / n / (air * 1010);
    }
    // The leaves dry in the upper half, the ground at the bottom.
    if (leaf > 0) {
      const gives = Math.min(
        leaf / dt,
        0.0055 * floor * 0.6 * Math.min(1, leaf / (0.06 * floor)) * Math.max(0, ws(t[5]!) - w[5]!),
      );
      leaf -= gives * dt;
      dW[5]! += gives / air;
      dT[5]! -= (gives * 2.45e6) / (air * 1010);
    }
    const dries = Math.min(1, stored / (10 * floor));
    const ground = 0.0026 * floor * box.wetness * dries * Math.max(0, ws(soil[0]!) - w[0]!);
    stored = Math.max(0, stored - ground * dt);
    dW[0]! += ground / air;
    const up = 3 * floor * (soil[0]! - t[0]!);
    dT[0]! += up / (air * 1010);
    const c = floor * thick * 2e6;
    const sun = lit ? box.lamps * 0.5 : 0;
    soil[0]! += (dt * (sun - up - ground * 2.45e6)) / c;
    for (let i = 0; i < m - 1; i += 1) {
      const down = ((0.35 * floor) / thick) * (soil[i]! - soil[i + 1]!);
      soil[i]! -= (dt * down) / c;
      soil[i + 1]! += (dt * down) / c;
    }
    soil[m - 1]! -= (dt * 2.2 * floor * (soil[m - 1]! - roomT)) / c;
    for (let i = 0; i < n; i += 1) {
      t[i]! += dt * dT[i]!;
      w[i]! = Math.min(ws(t[i]!), w[i]! + dt * dW[i]!);
    }
    const rh = (w[1]! / (0.622 + w[1]!)) * (101_325 / es(t[1]!));
    probeT += (dt / 240) * (t[1]! - probeT);
    probeH += (dt / 240) * (rh - probeH);
    if (time >= 0 && Math.round(time) % 600 === 0) {
      const roomRh = (roomW / (0.622 + roomW)) * (101_325 / es(roomT));
      readings.push({
        t: time,
        temperature: Math.round((probeT + 0.3 * next()) * 10) / 10,
        humidity: Math.round((probeH + 0.02 * next()) * 1000) / 1000,
        roomTemperature: Math.round((roomT + 0.3 * next()) * 10) / 10,
        roomHumidity: Math.round((roomRh + 0.02 * next()) * 1000) / 1000,
      });
    }
  }
  return readings;
}
