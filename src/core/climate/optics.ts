import { findBackgroundKind, findDeviceKind, findGauze, type Catalogue, type DeviceKind } from '../catalogue';
import type { Design } from '../document/schema';
import { lidOf, sideOf } from '../enclosure/shell';
import { patchOf, PATCHES } from '../light/rays';
import type { Column, ColumnModel } from './box';

/** Light, near infrared under 3 µm as a filament gives it, and far infrared of warm bodies: matter sees them apart. */
export const BANDS = ['visible', 'near', 'far'] as const;
export type Band = (typeof BANDS)[number];

type By = Readonly<Record<Band, number>>;
interface Matter {
  readonly reflects: By;
  /** Lets through. What is neither reflected nor let through warms it. */
  readonly passes: By;
}
const NOTHING: By = { visible: 0, near: 0, far: 0 };

/**
 * Even light on usual surfaces. Glass by EN 410 for 4 to 5 mm float glass, turned from straight on to even light from
 * all sides (ASHRAE Handbook Fundamentals, ch. 15); opaque to far infrared (EN 12898: 0.837 of it is taken up). The rest
 * from memory: moist dark soil, cork and dark foam between 0.08 and 0.15, white plastic 0.75.
 */
const MATTER = {
  glass: {
    reflects: { visible: 0.15, near: 0.13, far: 0.11 },
    passes: { visible: 0.78, near: 0.68, far: 0 },
  },
  acrylic: {
    reflects: { visible: 0.15, near: 0.13, far: 0.06 },
    passes: { visible: 0.81, near: 0.7, far: 0 },
  },
  pvc: { reflects: { visible: 0.75, near: 0.6, far: 0.08 }, passes: NOTHING },
  timber: { reflects: { visible: 0.4, near: 0.5, far: 0.1 }, passes: NOTHING },
  background: { reflects: { visible: 0.12, near: 0.35, far: 0.06 }, passes: NOTHING },
  soil: { reflects: { visible: 0.1, near: 0.22, far: 0.05 }, passes: NOTHING },
  water: { reflects: { visible: 0.06, near: 0.05, far: 0.04 }, passes: NOTHING },
  /** Wires of gauze, mostly dark. */
  wire: { reflects: { visible: 0.15, near: 0.2, far: 0.1 }, passes: NOTHING },
} as const satisfies Record<string, Matter>;

/** Glass of a cover under a lamp, straight through: EN 410 for 4 mm float glass. */
const STRAIGHT: Matter = {
  reflects: { visible: 0.08, near: 0.07, far: 0.11 },
  passes: { visible: 0.89, near: 0.8, far: 0 },
};

/** Share a green leaf takes up of what it meets (Campbell & Norman 1998, ch. 11: 0.85 of light, 0.15 of near infrared). */
const LEAF_TAKES: By = { visible: 0.85, near: 0.15, far: 0.96 };

/** Extinction of leaves by what they take up: K·√α (Goudriaan 1977), K of leaves turned every way. */
export const leafExtinction = (band: Band, k: number): number => k * Math.sqrt(LEAF_TAKES[band]);

/** lm for each W of light itself, by its colour: 683 lm/W weighted by the eye (from memory: white diode 300 to 330). */
const EFFICACY = { led: 310, fluorescent: 330, incandescent: 150 } as const;

/** What a lamp gives, as shares of its power: light, near and far infrared; the rest warms its fitting. */
export function bandsGiven(kind: DeviceKind): By & { readonly fitting: number } {
  const radiant = kind.radiant.value;
  const visible = Math.min(
    radiant,
    (kind.lumensPerWatt?.value ?? 0) / EFFICACY[kind.light ?? 'incandescent'],
  );
  const rest = radiant - visible;
  const filament = kind.light === 'incandescent';
  return {
    visible,
    near: filament ? rest : 0,
    far: filament ? 0 : rest,
    fitting: 1 - radiant,
  };
}

/** m of lid on a side that a lamp with a hood looks through, and across a tube or bar in its reflector (from memory). */
const HOOD = 0.14;
const REFLECTOR = 0.07;

/** A lamp whose warmth or UV glass would stop. */
const wantsOpen = (kind: DeviceKind): boolean => kind.heats || kind.uvIndex !== undefined;

/**
 * Share of the lamps over the lid that stand on its cover: those whose warmth or UV glass would stop get the open part
 * first, then those for plants, whose light goes through glass.
 */
export function underCover(
  { enclosure, climate }: Design,
  catalogue: Catalogue,
): { readonly open: number; readonly light: number } {
  const { top, topCover, width, depth, height } = enclosure;
  if (top === 'solid' || topCover <= 0) return { open: 0, light: 0 };
  let [open, light] = [0, 0];
  for (const device of climate.devices) {
    const kind = findDeviceKind(catalogue, device.kind);
    if (!kind || device.at.z <= height || device.power * device.dim <= 0) continue;
    if (kind.lumensPerWatt === undefined && kind.radiant.value === 0) continue;
    const foot =
      kind.form === 'bulb'
        ? HOOD * HOOD
        : device.length * (kind.form === 'panel' ? device.length : REFLECTOR);
    if (wantsOpen(kind)) open += foot;
    else light += foot;
  }
  const free = width * depth * (1 - topCover);
  const short = (wanted: number, there: number): number =>
    wanted <= 0 ? 0 : Math.min(1, Math.max(0, (wanted - there) / wanted));
  return { open: short(open, free), light: short(light, Math.max(0, free - open)) };
}

/** Share of a band that the lid lets through over a lamp, and that its glass takes up. */
export function lidFor(
  design: Design,
  catalogue: Catalogue,
  band: Band,
  kind: DeviceKind,
): { readonly passes: number; readonly takes: number } {
  const { enclosure, climate } = design;
  const { top } = enclosure;
  const takes = (matter: Matter): number => 1 - matter.reflects[band] - matter.passes[band];
  if (top === 'solid') {
    const matter: Matter = MATTER[lidOf(enclosure).material];
    return { passes: matter.passes[band], takes: takes(matter) };
  }
  const gauze = top === 'mesh' ? findGauze(catalogue, climate.topGauze) : undefined;
  const open = gauze?.open.value ?? 1;
  const under = underCover(design, catalogue)[wantsOpen(kind) ? 'open' : 'light'];
  return {
    passes: open * (1 - under + under * STRAIGHT.passes[band]),
    takes: under * takes(STRAIGHT),
  };
}

/** W/m²K of a warm fitting’s upper side and lower side: convection of ISO 6946 annex C, and radiation of 0.9. */
const FITTING = { up: 5 + 5.1, downConvection: 0.7, downRadiation: 5.1 } as const;

/**
 * Share of a fitting’s own heat that reaches the box from above the lid: what its lower side radiates through the gauze,
 * half of what the wires take up, and half of the little it gives to still air under it; the rest rises into the room.
 */
export function fittingDown(design: Design, catalogue: Catalogue, kind: DeviceKind): number {
  const all = FITTING.up + FITTING.downConvection + FITTING.downRadiation;
  const { passes, takes } = lidFor(design, catalogue, 'far', kind);
  const caught = 1 - passes - takes;
  return (FITTING.downRadiation * (passes + takes + caught / 2) + FITTING.downConvection / 2) / all;
}

/** What becomes of what meets a patch, as shares: thrown back, taken up by panes, by hard stuff, by soil, by water, let out. */
export interface Face {
  readonly reflects: number;
  readonly pane: number;
  readonly hard: number;
  readonly soil: number;
  readonly water: number;
  readonly out: number;
}

interface FacesInput {
  readonly design: Design;
  readonly catalogue: Catalogue;
  readonly band: Band;
  readonly columns: readonly Pick<ColumnModel, 'area' | 'pool'>[];
  /** Column of a side: 0 left, 1 right. */
  readonly columnOf: (side: 0 | 1) => Column;
  readonly tier: number;
}

const NONE = { pane: 0, hard: 0, soil: 0, water: 0, out: 0 } as const;

/** The sixteen patches of a box as a band meets them. */
export function facesOf({ design, catalogue, band, columns, columnOf, tier }: FacesInput): readonly Face[] {
  const { enclosure, scape, climate } = design;
  const { top, topCover, height } = enclosure;
  const lid: Matter = top === 'solid' ? MATTER[lidOf(enclosure).material] : MATTER.glass;
  const gauze = findGauze(catalogue, climate.topGauze);
  const wires = 1 - (gauze?.open.value ?? 0.6);
  const of = (matter: Matter, share: number, to: 'pane' | 'hard' | 'soil' | 'water') => ({
    reflects: share * matter.reflects[band],
    taken: { to, by: share * (1 - matter.reflects[band] - matter.passes[band]) },
    out: share * matter.passes[band],
  });
  const face = (...parts: readonly ReturnType<typeof of>[]): Face =>
    parts.reduce(
      (sum, it) => ({
        ...sum,
        reflects: sum.reflects + it.reflects,
        out: sum.out + it.out,
        [it.taken.to]: sum[it.taken.to] + it.taken.by,
      }),
      { reflects: 0, ...NONE } as Face,
    );
  const net = (share: number): ReturnType<typeof of> => ({
    // What wires take up they share with the room’s air.
    reflects: share * wires * MATTER.wire.reflects[band],
    taken: { to: 'pane', by: 0 },
    out: share * (1 - wires * MATTER.wire.reflects[band]),
  });
  const faces: Face[] = Array.from({ length: PATCHES }, () => ({ reflects: 0, ...NONE }));
  for (const side of [0, 1] as const) {
    const column = columns[columnOf(side)];
    const land = column?.area ?? 0;
    const wet = column?.pool.area ?? 0;
    const part = land + wet > 0 ? land / (land + wet) : 1;
    faces[patchOf('ground', side, 0)] = face(
      of(MATTER.soil, part, 'soil'),
      of(MATTER.water, 1 - part, 'water'),
    );
    const closed = top === 'solid' ? 1 : topCover;
    const open =
      top === 'mesh'
        ? net(1 - closed)
        : { reflects: 0, taken: { to: 'pane' as const, by: 0 }, out: 1 - closed };
    faces[patchOf('lid', side, 0)] = face(of(lid, closed, 'pane'), open);
  }
  for (const wall of ['left', 'right', 'front', 'back'] as const) {
    const back = scape.backgrounds.find((it) => it.wall === wall && findBackgroundKind(catalogue, it.kind));
    const made = sideOf(enclosure, wall);
    for (const high of [0, 1] as const) {
      const [from, to] = high === 0 ? [0, tier] : [tier, height];
      const covered = back
        ? Math.max(0, Math.min(to, back.top ?? height) - Math.max(from, back.bottom)) /
          Math.max(1e-6, to - from)
        : 0;
      const seen = face(
        of(MATTER.background, covered, 'hard'),
        made ? of(MATTER[made.material], 1 - covered, 'pane') : net(1 - covered),
      );
      for (const side of [0, 1] as const)
        if (wall === 'front' || wall === 'back' || (wall === 'left') === (side === 0))
          faces[patchOf(wall, side, high)] = seen;
    }
  }
  return faces;
}
