import { catalogue } from '@/catalogue';
import { firstDesign } from '@/catalogue/testing';
import { assess, type Assessment } from '@/core/assess';
import type { Design } from '@/core/document';
import { applyEdit, type EditCall } from '@/core/edits';
import type { Answer } from '@/core/verdict';

/** An edit, or one that is found in the design as it is by then. */
export type Made = EditCall | ((design: Design) => EditCall);

/** What someone who has built it before would expect, by the usual figures of the trade (common practice, no source). */
export interface Figure {
  readonly what: string;
  readonly of: (it: Assessment, design: Design) => number;
  readonly low: number;
  readonly high: number;
}

/** A build as someone makes it: what is told at the beginning, and what is changed by hand after. */
export interface Build {
  readonly name: string;
  readonly animal: string;
  readonly count: number;
  /** Inside, m; null: as it is proposed. */
  readonly size: { readonly width: number; readonly depth: number; readonly height: number } | null;
  readonly room: 'dry' | 'middle' | 'humid';
  readonly made: readonly Made[];
  readonly figures: readonly Figure[];
  /** Findings of weight that stand at the end, which one who knows the build would nod at; none is severe. */
  readonly stands: readonly string[];
  /** What its first two seasons come to as it is laid out, before anything is searched for that holds. */
  readonly answer: Answer;
}

/** The build with all its edits made; each has to change something. */
export function finished({ animal, count, size, room, made }: Build): {
  readonly design: Design;
  readonly idle: readonly string[];
} {
  const idle: string[] = [];
  const design = made.reduce(
    (it, next) => {
      const call = typeof next === 'function' ? next(it) : next;
      const changed = applyEdit(it, call, catalogue);
      if (changed === it) idle.push(JSON.stringify(call));
      return changed;
    },
    firstDesign(animal, room, [], { count, size }),
  );
  return { design, idle };
}

/** The first fix the program itself offers for a finding. */
export const fixOf =
  (code: string): Made =>
  (design) => {
    const call = assess(design, catalogue).findings.find((it) => it.code === code)?.remedies[0]?.call;
    if (!call) throw new Error(`nothing is offered for ${code}`);
    return call;
  };

export const assessed = (design: Design): Assessment => assess(design, catalogue);

/** Litres of a kind of layer, or of all soil. */
export const litres = (it: Assessment, kind: string): number =>
  it.layers.reduce((sum, { layer, placed }) => sum + (layer.kind === kind ? placed * 1000 : 0), 0);
/** cm of the thickest corner of a kind of layer. */
export const deepest = (it: Assessment, kind: string): number =>
  Math.max(
    0,
    ...it.layers
      .filter(({ layer }) => layer.kind === kind)
      .flatMap(({ thickness }) => Object.values(thickness).map((depth) => depth * 100)),
  );
/** Lumens a litre of box of all its lamps that light. */
export const lumensPerLitre = ({ climate, enclosure }: Design): number =>
  climate.devices.reduce((sum, { kind, power, dim }) => {
    const row = catalogue.climate.devices.find((it) => it.id === kind);
    return sum + (row?.group === 'light' ? power * dim * (row.lumensPerWatt?.value ?? 0) : 0);
  }, 0) /
  (enclosure.width * enclosure.depth * enclosure.height * 1000);
/** m over the ground where the animal basks. */
export const baskingOver = (it: Assessment): number => {
  const placed = it.scape.pieces.find((own) => own.placed.piece.basking)?.placed;
  return placed ? placed.solid.bounds.z1 - placed.ground : NaN;
};
/** Hides on a side. */
export const hidesOn = (it: Assessment, zone: 'warm' | 'cool'): number =>
  it.scape.pieces.filter((own) => own.hide?.zone === zone).length;
/** Kinds a material is bought in packs, by its id. */
export const packsOf = (it: Assessment, material: string): number =>
  it.lists.buy
    .filter((row) => row.material === material)
    .flatMap((row) => row.packs)
    .reduce((sum, pack) => sum + pack.count, 0);

export const bed: Figure = { what: 'cm of bed', of: (it) => deepest(it, 'drainage'), low: 4, high: 7 };
export const water: Figure = {
  what: 'cm of water in it',
  of: (_, it) => it.ground.waterDepth * 100,
  low: 1,
  high: 1.5,
};
export const light: Figure = {
  what: 'lumens a litre',
  of: (_, it) => lumensPerLitre(it),
  low: 10,
  high: 20.5,
};
export const warmHides: Figure = {
  what: 'hides, warm side',
  of: (it) => hidesOn(it, 'warm'),
  low: 1,
  high: 3,
};
export const coolHides: Figure = {
  what: 'hides, cool side',
  of: (it) => hidesOn(it, 'cool'),
  low: 1,
  high: 6,
};
export const soil = (low: number, high: number): Figure => ({
  what: 'L of soil in place',
  of: (it) => litres(it, 'substrate'),
  low,
  high,
});
export const standing = (low: number, high: number): Figure => ({
  what: 'kg standing',
  of: (it) => it.standingMass,
  low,
  high,
});
export const corners = ['frontLeft', 'frontRight', 'backLeft', 'backRight'] as const;
export const layerOf = ({ ground }: Design, kind: string): string =>
  ground.layers.find((it) => it.kind === kind)?.id ?? '';
export const mistSeconds = (_: Assessment, { climate }: Design): number =>
  climate.mist.times.reduce((sum, it) => sum + it.seconds, 0) / climate.mist.everyDays;
export const perches = (it: Assessment): number =>
  it.scape.pieces.filter((own) => own.uses.includes('perch')).length;
/** Pieces, as they are named, of a kind of the catalogue. */
export const countOf = ({ scape }: Design, kind: string): number =>
  scape.pieces.filter((it) => it.kind === kind).length;
/** L an hour that come out at the top of the first fall. */
export const fallOf = (it: Assessment): number =>
  (it.scape.pieces.find((own) => own.uses.includes('fall'))?.water?.working.flow ?? 0) * 3.6e6;
/** The tub so large, m: the first, or the one after so many others. */
export const tubOf =
  (width: number, depth: number, height: number, after = 0): Made =>
  ({ scape }) => {
    const tub = scape.pieces.filter((it) => it.kind === 'soaking-tub')[after];
    if (tub?.body.shape !== 'block') throw new Error('no such tub stands there');
    return {
      edit: 'setPiece',
      change: { piece: tub.id, change: { body: { ...tub.body, width, depth, height } } },
    };
  };
/** The basking place built up by so much, m. */
export const higher =
  (by: number): Made =>
  ({ scape }) => {
    const stack = scape.pieces.find((it) => it.basking);
    if (stack?.body.shape !== 'block') throw new Error('nothing to bask on');
    return {
      edit: 'setPiece',
      change: { piece: stack.id, change: { body: { ...stack.body, height: stack.body.height + by } } },
    };
  };
