import type { Background } from '../document/scapeSchema';
import { solidOf, type Solid } from './solid';

interface Room {
  readonly width: number;
  readonly depth: number;
  readonly height: number;
}

/** A background on its wall. */
export interface Back {
  readonly background: Background;
  readonly solid: Solid;
  /** The panel as it is cut, m: its place less the clearance. */
  readonly width: number;
  readonly height: number;
  /** Floor and air it takes from the box, m³: with the gap behind it. */
  readonly takes: number;
}

interface Reach {
  readonly bottom: number;
  readonly top: number;
}

const reachOf = ({ bottom, top }: Background, height: number): Reach => ({
  bottom: Math.min(bottom, height),
  top: Math.min(height, top ?? height),
});

const overlap = (a: Reach, b: Reach): number => Math.min(a.top, b.top) - Math.max(a.bottom, b.bottom);

/** How far a background stands into the box, m. */
const standsIn = ({ thickness, gap }: Background): number => thickness + gap;

const known = new WeakMap<
  Background,
  { readonly box: Room; readonly against: number; readonly back: Back }
>();

/**
 * Backgrounds on their walls. That of the back wall runs from side to side; those of the sides end where it begins, if
 * they meet at any height.
 */
export function backsOf(backgrounds: readonly Background[], box: Room): readonly Back[] {
  return backgrounds.map((background) => {
    const own = reachOf(background, box.height);
    const against =
      background.wall === 'back'
        ? 0
        : backgrounds
            .filter((it) => it.wall === 'back' && overlap(reachOf(it, box.height), own) > 0)
            .reduce((most, it) => Math.max(most, standsIn(it)), 0);
    const before = known.get(background);
    if (before?.against === against && before.box === box) return before.back;
    const back = backOf(background, box, own, against);
    known.set(background, { box, against, back });
    return back;
  });
}

function backOf(background: Background, box: Room, { bottom, top }: Reach, against: number): Back {
  const { wall, thickness, gap, clearance } = background;
  const run = wall === 'back' ? box.width : Math.max(0.002, box.depth - against);
  const width = Math.max(0.001, run - 2 * clearance);
  const height = Math.max(0.001, top - bottom - 2 * clearance);
  const middle = gap + thickness / 2;
  const at =
    wall === 'back'
      ? { x: box.width / 2, y: box.depth - middle }
      : { x: wall === 'left' ? middle : box.width - middle, y: run / 2 };
  const solid = solidOf(
    {
      shape: 'block',
      form: 'box',
      width: wall === 'back' ? width : thickness,
      depth: wall === 'back' ? thickness : width,
      height,
      turn: 0,
      wall: null,
    },
    at,
    bottom + clearance,
  );
  return {
    background,
    solid,
    width,
    height,
    takes: run * Math.max(0, top - bottom) * standsIn(background),
  };
}
