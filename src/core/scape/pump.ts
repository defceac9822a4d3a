import { GRAVITY } from '../physics/constants';
import type { Piece, Pump } from '../document/scapeSchema';

/** Kinematic viscosity of fresh water at 20 °C, m²/s (1.004e-6; CRC Handbook). */
export const VISCOSITY = 1.004e-6;
/** Loss of a bend, and of the way in and out together, in velocity heads (common practice for hose fittings). */
const BEND = 0.9;
const ENDS = 1.5;

/** Laminar below, turbulent above; between them it is neither. */
const LAMINAR = 2300;
const TURBULENT = 4000;

/**
 * Darcy friction factor of a smooth tube: 64/Re below 2300 (Hagen–Poiseuille), 0.3164·Re^−¼ from 4000 to 10⁵ (Blasius
 * 1913); straight between them.
 */
export function frictionFactor(reynolds: number): number {
  const blasius = (re: number): number => 0.3164 * re ** -0.25;
  if (reynolds <= 0) return 0;
  if (reynolds < LAMINAR) return 64 / reynolds;
  if (reynolds >= TURBULENT) return blasius(reynolds);
  const share = (reynolds - LAMINAR) / (TURBULENT - LAMINAR);
  return (64 / LAMINAR) * (1 - share) + blasius(TURBULENT) * share;
}

export interface HoseLoss {
  /** m/s */
  readonly velocity: number;
  readonly reynolds: number;
  readonly regime: 'laminar' | 'between' | 'turbulent';
  /** m of water: along the tube, and at its bends and ends. */
  readonly tube: number;
  readonly fittings: number;
}

/**
 * What a flow loses in a hose: Darcy–Weisbach, h = f·(L/D)·v²/2g, and so many velocity heads for bends and ends.
 * @param flow m³/s
 */
export function hoseLoss(flow: number, { diameter, length, bends }: Pump['hose']): HoseLoss {
  const velocity = flow / ((Math.PI * diameter ** 2) / 4);
  const reynolds = (velocity * diameter) / VISCOSITY;
  const head = velocity ** 2 / (2 * GRAVITY);
  return {
    velocity,
    reynolds,
    regime: reynolds < LAMINAR ? 'laminar' : reynolds < TURBULENT ? 'between' : 'turbulent',
    tube: frictionFactor(reynolds) * (length / diameter) * head,
    fittings: (bends * BEND + ENDS) * head,
  };
}

export interface Working extends HoseLoss {
  /** m³/s that comes out at the top; 0 when it does not get so high. */
  readonly flow: number;
  /** m it lifts and loses in all. */
  readonly head: number;
}

/**
 * What a pump moves up to a height through its hose: where its curve, taken as straight from its greatest head to its
 * greatest flow (common practice, on the safe side of a curved one), meets the height and the losses.
 * @param lift m from the water to where it comes out
 */
export function workingPoint({ maxHead, maxFlow, hose }: Pump, lift: number): Working {
  const spare = (flow: number): number => {
    const loss = hoseLoss(flow, hose);
    return maxHead * (1 - flow / maxFlow) - lift - loss.tube - loss.fittings;
  };
  if (spare(0) <= 0) return { ...hoseLoss(0, hose), flow: 0, head: lift };
  let [low, high] = [0, maxFlow];
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2;
    if (spare(middle) > 0) low = middle;
    else high = middle;
  }
  const flow = (low + high) / 2;
  const loss = hoseLoss(flow, hose);
  return { ...loss, flow, head: lift + loss.tube + loss.fittings };
}

/** Flow asked for, m³/s for each m of width: drops all along a wall, and a trickle that wets a whole lip (from memory). */
const ASKS = { drip: 2 / 3.6e6 / 0.01, trickle: 15 / 3.6e6 / 0.01 } as const;

/** m of lip, or of wall that drips, and m³/s that wet all of it. */
export function fallAsks({ body }: Pick<Piece, 'body'>): { readonly wide: number; readonly flow: number } {
  const wide = body.shape === 'block' ? body.width : Math.hypot(body.run.x, body.run.y);
  return { wide, flow: wide * (body.shape === 'plank' ? ASKS.drip : ASKS.trickle) };
}

/** Small pumps as they are sold, weakest first: L/h at no height, m of greatest head, m of hose inside (common practice). */
const SIZES = [
  [200, 0.8, 0.008],
  [300, 0.9, 0.012],
  [600, 1.2, 0.016],
  [1000, 1.6, 0.016],
  [1500, 2, 0.02],
  [2500, 2.5, 0.025],
  [4000, 3.2, 0.032],
] as const;
/** m of hose beyond the height it rises, at its two ends. */
const ENDS_OF_HOSE = 0.3;

/**
 * The weakest usual pump, with its hose, that brings a flow up to a height.
 * @param flow m³/s
 * @param lift m
 */
export function fittedPump(flow: number, lift: number): Pump | undefined {
  const length = Math.ceil((lift + ENDS_OF_HOSE) * 10) / 10;
  return SIZES.map(([litres, maxHead, diameter]): Pump => ({
    maxFlow: litres / 3.6e6,
    maxHead,
    hose: { diameter, length, bends: 2 },
    guarded: true,
  })).find((it) => workingPoint(it, lift).flow >= flow);
}

/** m of water a small pump wants over its intake, and must never run without (common practice). */
export const PUMP_WANTS = 0.025;
