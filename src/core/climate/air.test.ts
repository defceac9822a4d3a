import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import {
  agedUv,
  airDensity,
  beamAt,
  counterflow,
  dewPoint,
  distanceFor,
  FACE,
  flowBy,
  gauzeFlow,
  gauzeLoss,
  inSeries,
  irradianceFor,
  letsThrough,
  pressureAt,
  ratioAt,
  relativeAt,
  saturated,
  saturation,
  saturationCurve,
  stackFlow,
  stackLaw,
  surfaceUnder,
  WALL_STUFF,
  wattsFor,
  wetBulb,
} from '.';
import { soilResistance } from './properties';

interface Psychrometrics {
  SetUnitSystem(system: number): void;
  readonly SI: number;
  GetSatVapPres(celsius: number): number;
  GetHumRatioFromRelHum(celsius: number, relative: number, pressure: number): number;
  GetTDewPointFromHumRatio(celsius: number, ratio: number, pressure: number): number;
  GetTWetBulbFromHumRatio(celsius: number, ratio: number, pressure: number): number;
  GetMoistAirDensity(celsius: number, ratio: number, pressure: number): number;
}
const referee = createRequire(import.meta.url)('psychrolib') as Psychrometrics;
referee.SetUnitSystem(referee.SI);

const SEA = 101_325;

describe('moist air', () => {
  // ASHRAE Handbook Fundamentals, ch. 1, table 3.
  it.each([
    [10, 1228.0],
    [20, 2338.8],
    [25, 3169.2],
    [30, 4246.0],
    [35, 5627.8],
  ])('saturation at %d °C as ASHRAE prints it', (t, pascals) => {
    expect(saturation(t) / pascals).toBeCloseTo(1, 3);
  });
  // FAO Irrigation and Drainage Paper 56, annex 2, table 2.3 (kPa, three decimals).
  it.each([
    [20, 2.338],
    [30, 4.243],
  ])('saturation at %d °C as the FAO prints it', (t, kilopascals) => {
    expect(saturation(t) / 1000).toBeCloseTo(kilopascals, 2);
  });
  it('25 °C at half humidity: ratio, dew point, wet bulb (ASHRAE chart 1)', () => {
    const w = ratioAt(25, 0.5, SEA);
    expect(w).toBeCloseTo(0.009881, 5);
    expect(dewPoint(w, SEA)).toBeCloseTo(13.86, 1);
    expect(wetBulb(25, w, SEA)).toBeCloseTo(17.89, 1);
    expect(relativeAt(25, w, SEA)).toBeCloseTo(0.5, 9);
  });
  it('against the referee over temperatures, humidities and heights', () => {
    for (const t of [-5, 2, 11, 19.5, 27, 38, 45])
      for (const rh of [0.1, 0.35, 0.6, 0.95])
        for (const p of [SEA, 84_556]) {
          const w = referee.GetHumRatioFromRelHum(t, rh, p);
          expect(saturation(t) / referee.GetSatVapPres(t)).toBeCloseTo(1, 3);
          expect(ratioAt(t, rh, p) / w).toBeCloseTo(1, 3);
          expect(airDensity(t, w, p) / referee.GetMoistAirDensity(t, w, p)).toBeCloseTo(1, 3);
          expect(dewPoint(w, p)).toBeCloseTo(referee.GetTDewPointFromHumRatio(t, w, p), 1);
          expect(wetBulb(t, w, p)).toBeCloseTo(referee.GetTWetBulbFromHumRatio(t, w, p), 1);
        }
  });
  it('pressure 1500 m up is 84.56 kPa (ASHRAE ch. 1, table 1)', () => {
    expect(pressureAt(1500) / 1000).toBeCloseTo(84.556, 2);
  });
  it('the quick curve is the full one within 6e-7, and its slope its own; it never stops rising', () => {
    for (const pressure of [SEA, pressureAt(2500)]) {
      const curve = saturationCurve(pressure);
      for (let t = -30; t <= 70; t += 0.37) {
        expect(Math.abs(curve.at(t) / saturated(t, pressure) - 1)).toBeLessThan(
          Math.abs(t) < 1 ? 1e-4 : 6e-7,
        );
        const [low, high] = [curve.at(t - 1e-4), curve.at(t + 1e-4)];
        curve.at(t);
        if (Math.abs(t) > 1e-3) expect(curve.slope / ((high - low) / 2e-4)).toBeCloseTo(1, 4);
      }
      for (let t = 60; t < 400; t += 7) expect(curve.at(t + 7)).toBeGreaterThan(curve.at(t));
    }
  });
});

describe('walls: ISO 6946, a room on both faces', () => {
  it.each([
    ['glass', 0.005, 3.77],
    ['timber', 0.018, 2.51],
    ['pvc', 0.01, 2.34],
    ['acrylic', 0.006, 3.43],
  ] as const)('%s %f m upright lets through %f W/m²K', (stuff, thickness, u) => {
    expect(letsThrough([{ thickness, conducts: WALL_STUFF[stuff].conducts }])).toBeCloseTo(u, 2);
  });
  it('surface resistances by the way heat goes (ISO 6946, table 7)', () => {
    expect([FACE.up, FACE.sideways, FACE.down]).toEqual([0.1, 0.13, 0.17]);
  });
});

describe('vents', () => {
  it('two openings of 100 cm², half a metre apart, 3 K: worked by ASHRAE’s stack equation', () => {
    // Q = 0.65 · 0.01/√2 · √(2 · 9.80665 · 0.5 · 3/293) = 1.456e-3 m³/s.
    expect(inSeries(0.01, 0.01)).toBeCloseTo(0.01 / Math.SQRT2, 12);
    expect(stackFlow(inSeries(0.01, 0.01), 0.5, 3 / 293)).toBeCloseTo(1.456e-3, 6);
  });
  it('without gauze the general balance gives the same', () => {
    const opening = (height: number) => ({ area: 0.01, height, gauze: null });
    expect(gauzeFlow(opening(0), opening(0.5), 3 / 293)).toBeCloseTo(1.456e-3, 6);
    expect(flowBy(stackLaw(opening(0), opening(0.5))!, 3 / 293)).toBeCloseTo(1.456e-3, 6);
  });
  it('gauze cuts the flow two to five times (common practice), and the quick law follows the full one', () => {
    const gauze = { open: 0.58, wire: 0.00028 };
    const opening = (height: number) => ({ area: 0.01, height, gauze });
    for (const kelvin of [0.5, 1, 3, 6]) {
      const full = gauzeFlow(opening(0), opening(0.5), kelvin / 293);
      const cut = stackFlow(inSeries(0.01, 0.01), 0.5, kelvin / 293) / full;
      expect(cut).toBeGreaterThan(1.8);
      expect(cut).toBeLessThan(8);
      expect(flowBy(stackLaw(opening(0), opening(0.5))!, kelvin / 293) / full).toBeCloseTo(1, 0);
      expect(Math.abs(flowBy(stackLaw(opening(0), opening(0.5))!, kelvin / 293) / full - 1)).toBeLessThan(
        0.08,
      );
    }
    expect(gauzeLoss(gauze, 0.01)).toBeGreaterThan(gauzeLoss(gauze, 1));
  });
  it('a round opening of 20 cm with air 1 % lighter under it: Epstein 1988, 0.055·√(g·D⁵·Δρ/ρ)', () => {
    // √(9.80665 · 0.00032 · 0.01) = 5.602e-3; times 0.055 = 3.081e-4 m³/s.
    expect(counterflow(Math.PI * 0.01, 0.01)).toBeCloseTo(3.081e-4, 6);
    expect(counterflow(Math.PI * 0.01, -0.01)).toBe(0);
  });
});

describe('under a lamp', () => {
  it('half the flux of a Gaussian beam lies inside its half-power angle', () => {
    const half = 0.2;
    let inside = 0;
    let all = 0;
    const beam = { radiant: 1, half };
    for (let angle = 0.0005; angle < 1.2; angle += 0.001) {
      const ring = beamAt(100, beam, 1, angle) * 2 * Math.PI * angle * 0.001;
      all += ring;
      if (angle < half) inside += ring;
    }
    expect(inside / all).toBeCloseTo(0.5, 2);
    expect(all).toBeCloseTo(100, 0);
  });
  it('balance, watts and distance undo one another', () => {
    const beam = { radiant: 0.85, half: 0.26 };
    const need = irradianceFor(34, 25);
    expect(surfaceUnder(need, 25)).toBeCloseTo(34, 6);
    const watts = wattsFor(need, beam, 0.3, 0.6);
    expect(beamAt(watts, beam, 0.3) * 0.6).toBeCloseTo(need, 9);
    expect(distanceFor(need, watts, beam, 0.6)).toBeCloseTo(0.3, 9);
  });
  it('without a lamp a surface is as warm as the air', () => {
    expect(surfaceUnder(0, 22)).toBeCloseTo(22, 9);
  });
  it('a tube halves each half-life', () => {
    expect(agedUv(6000, 6000)).toBe(0.5);
    expect(agedUv(0, 6000)).toBe(1);
  });
  it('soil of 5 % resists 353 s/m, wet soil 10 (van de Griend & Owe 1994)', () => {
    expect(soilResistance(0.05)).toBeCloseTo(353, 0);
    expect(soilResistance(0.3)).toBe(10);
  });
});
