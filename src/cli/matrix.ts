import { catalogue } from '@/catalogue';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { proposeWhole } from '@/core/propose';
import { type Design, type Room } from '@/core/document';
import { proposeWhatHolds } from '@/core/search';
import {
  dying,
  failing,
  HOLDS,
  judgeDesign,
  JUDGING,
  worstPlace,
  type Place,
  type Verdict,
} from '@/core/verdict';
import type { Given } from './given';

export type RoomKind = NonNullable<Room['kind']>;
export const ROOM_KINDS: readonly RoomKind[] = ['dry', 'middle', 'humid'];

export interface Task {
  readonly animal: string;
  readonly room: RoomKind;
  /** A box that is given, not proposed. */
  readonly given?: Given;
}

export interface Row extends Task {
  readonly answer: Verdict['answer'] | 'impossible climate';
  /** What is least inside, where it does not hold. */
  readonly worst: Pick<Place, 'criterion' | 'season' | 'inside' | 'under' | 'over'> | null;
  /** Least share of hours inside over all places and seasons. */
  readonly inside: number;
  readonly uv: string;
  readonly plants: { readonly chosen: number; readonly dying: number; readonly pining: number };
  readonly crew: { readonly kinds: number; readonly failing: number };
  readonly cost: number;
  readonly sure: string;
  readonly cure: string;
  /** Of what holds: least share when it is played again at half the step with other weather. */
  readonly again: number | null;
  readonly seconds: number;
}

const firstDesign = ({ animal, room, given }: Task): Design =>
  proposeWhole(
    {
      id: `${animal}-${room}`,
      name: animal,
      animal,
      count: 1,
      size: given?.size ?? null,
      room: { kind: room, temperature: null, humidity: null },
    },
    catalogue,
    given?.edits,
  );

/** Other weather, and steps half as loose. */
const AGAIN = { ...JUDGING, seeds: [201, -201, 202, -202], every: 900, looser: 1 } as const;

export function rowOf(task: Task): Row {
  const began = performance.now();
  const none = { plants: { chosen: 0, dying: 0, pining: 0 }, crew: { kinds: 0, failing: 0 }, cost: 0 };
  try {
    const { design } = proposeWhatHolds(firstDesign(task), catalogue);
    const verdict = judgeDesign({ design, catalogue });
    const seconds = (performance.now() - began) / 1000;
    if (!verdict) throw new Error('no animal');
    const worst = worstPlace(verdict);
    const assessment = assess(design, catalogue);
    const again =
      verdict.answer === 'holds'
        ? (judgeDesign({ design, catalogue, playing: AGAIN, alone: true })?.places.reduce(
            (least, it) => Math.min(least, it.inside),
            1,
          ) ?? null)
        : null;
    const { bound, uv } = verdict;
    return {
      ...task,
      answer: verdict.answer,
      worst: worst
        ? {
            criterion: worst.criterion,
            season: worst.season,
            inside: worst.inside,
            under: worst.under,
            over: worst.over,
          }
        : null,
      inside: verdict.places.reduce((least, it) => Math.min(least, it.inside), 1),
      uv: uv ? `${uv.answer} ${uv.index[1].toFixed(1)}` : '–',
      plants: {
        chosen: design.living.plants.length,
        dying: dying(verdict.plants).length,
        pining: verdict.plants.length - dying(verdict.plants).length,
      },
      crew: { kinds: verdict.crew.length, failing: failing(verdict.crew).length },
      cost: buyingOf([{ design, assessment }], catalogue).price,
      sure: `${verdict.sure.fine}/${verdict.sure.of}`,
      cure: bound
        ? bound.what === 'too warm'
          ? `cool to ${bound.cure.toFixed(1)} °C`
          : `dry to ${(100 * bound.cure).toFixed(0)} %`
        : '',
      again,
      seconds,
    };
  } catch (error) {
    return {
      ...task,
      ...none,
      answer: 'impossible climate',
      worst: null,
      inside: 0,
      uv: '–',
      sure: '–',
      cure: error instanceof Error ? error.message : String(error),
      again: null,
      seconds: (performance.now() - began) / 1000,
    };
  }
}

const pct = (share: number): string => `${Math.round(100 * share)} %`;
const WORDS: Record<Row['answer'], string> = {
  holds: 'holds',
  'holds-but': 'holds, but',
  fails: 'does not hold',
  cannot: 'cannot hold',
  'impossible climate': 'not calculated',
};

export function lineOf(it: Row): string {
  const worst = it.worst
    ? `${it.worst.criterion} ${it.worst.season} ${it.worst.under >= it.worst.over ? 'under' : 'over'} ${pct(it.worst.inside)}`
    : '';
  return [
    it.animal.padEnd(29),
    it.room.padEnd(7),
    ...(it.given ? [it.given.what.padEnd(44)] : []),
    WORDS[it.answer].padEnd(14),
    worst.padEnd(36),
    `UV ${it.uv}`.padEnd(15),
    `plants ${it.plants.chosen}${it.plants.dying + it.plants.pining > 0 ? ` (${it.plants.dying} die, ${it.plants.pining} pine)` : ''}`.padEnd(
      13,
    ),
    `crew ${it.crew.kinds}${it.crew.failing > 0 ? ` (${it.crew.failing} fail)` : ''}`.padEnd(8),
    it.cost.toFixed(0).padStart(6),
    it.sure.padStart(4),
    (it.again === null ? '' : `again ${pct(it.again)}`).padEnd(12),
    `${it.seconds.toFixed(1)} s`.padStart(7),
    it.cure,
  ].join(' ');
}

/** What a matrix comes to, in one line. */
export function sumOf(rows: readonly Row[]) {
  const count = (answer: Row['answer']): number => rows.filter((it) => it.answer === answer).length;
  return {
    designs: rows.length,
    holds: count('holds'),
    but: count('holds-but'),
    cannot: count('cannot'),
    fails: count('fails') + count('impossible climate'),
    /** Said to hold, but under 85 % of hours when played again. */
    false: rows.filter((it) => it.answer === 'holds' && it.again !== null && it.again < HOLDS - 0.05).length,
  };
}

export function sumLine(rows: readonly Row[]): string {
  const { designs, holds, but, cannot, fails, false: lies } = sumOf(rows);
  const of = (count: number): string => pct(count / designs);
  return `${designs} designs: ${of(holds)} hold, ${of(but)} hold with a note, ${of(cannot)} cannot in that room, ${of(fails)} do not hold; ${lies} false`;
}
