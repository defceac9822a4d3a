import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Pump } from '../document/scapeSchema';
import { frictionFactor, hoseLoss, VISCOSITY, workingPoint } from './pump';

const hose = (diameter: number, length: number, bends = 0) => ({ diameter, length, bends });
const HOUR = 3.6e6;

describe('water in a hose', () => {
  it('friction factor: Hagen–Poiseuille 64/Re, Blasius 0.3164·Re^−¼', () => {
    expect(frictionFactor(1000)).toBeCloseTo(0.064, 9);
    expect(frictionFactor(2000)).toBeCloseTo(0.032, 9);
    // Blasius 1913, at the round numbers of the handbooks: 10⁴ → 0.0316, 10⁵ → 0.0178.
    expect(frictionFactor(1e4)).toBeCloseTo(0.0316, 4);
    expect(frictionFactor(1e5)).toBeCloseTo(0.0178, 4);
    expect(frictionFactor(0)).toBe(0);
  });

  it('laminar, worked by Hagen–Poiseuille: 12 L/h through 2 m of 4 mm', () => {
    const flow = 12 / HOUR;
    const loss = hoseLoss(flow, hose(0.004, 2));
    expect(loss.regime).toBe('laminar');
    expect(loss.velocity).toBeCloseTo(0.26526, 4);
    expect(loss.reynolds).toBeCloseTo(1056.8, 0);
    // h = 128·ν·L·Q / (π·g·D⁴), the same law without a friction factor.
    const direct = (128 * VISCOSITY * 2 * flow) / (Math.PI * 9.80665 * 0.004 ** 4);
    expect(loss.tube).toBeCloseTo(direct, 9);
    expect(loss.tube).toBeCloseTo(0.1086, 3);
  });

  it('turbulent, worked by Darcy–Weisbach: 300 L/h through 1 m of 12 mm', () => {
    // v = 0.7368 m/s, Re = 8807, f = 0.03266, h = f·(1/0.012)·v²/2g = 0.0753 m.
    const loss = hoseLoss(300 / HOUR, hose(0.012, 1, 2));
    expect(loss.regime).toBe('turbulent');
    expect(loss.velocity).toBeCloseTo(0.7368, 3);
    expect(loss.reynolds).toBeCloseTo(8807, -1);
    expect(loss.tube).toBeCloseTo(0.0753, 3);
    // Two bends of 0.9 and 1.5 for the ends: 3.3 velocity heads.
    expect(loss.fittings).toBeCloseTo((3.3 * 0.7368 ** 2) / 19.62, 4);
  });

  it('what comes out stands on the pump’s curve and on the hose’s', () => {
    const pump: Pump = { maxHead: 0.9, maxFlow: 300 / HOUR, hose: hose(0.012, 0.5, 2), guarded: true };
    const working = workingPoint(pump, 0.3);
    expect(working.head).toBeCloseTo(0.9 * (1 - working.flow / pump.maxFlow), 6);
    expect(working.head).toBeCloseTo(0.3 + working.tube + working.fittings, 9);
    expect(workingPoint(pump, 0.95)).toMatchObject({ flow: 0 });
  });

  it('higher lifts less, a wider hose never does; never more than the pump moves at no height', () => {
    const any = fc.record({
      maxHead: fc.double({ min: 0.3, max: 3, noNaN: true }),
      flow: fc.double({ min: 50, max: 2000, noNaN: true }),
      diameter: fc.double({ min: 0.004, max: 0.03, noNaN: true }),
      length: fc.double({ min: 0, max: 5, noNaN: true }),
      lift: fc.double({ min: 0, max: 2, noNaN: true }),
    });
    fc.assert(
      fc.property(any, ({ maxHead, flow, diameter, length, lift }) => {
        const pump = (d: number): Pump => ({
          maxHead,
          maxFlow: flow / HOUR,
          hose: hose(d, length, 1),
          guarded: true,
        });
        const here = workingPoint(pump(diameter), lift).flow;
        expect(here).toBeLessThanOrEqual(flow / HOUR + 1e-12);
        expect(workingPoint(pump(diameter), lift + 0.1).flow).toBeLessThanOrEqual(here + 1e-12);
        expect(workingPoint(pump(diameter * 1.3), lift).flow).toBeGreaterThanOrEqual(here - 1e-12);
      }),
    );
  });
});
