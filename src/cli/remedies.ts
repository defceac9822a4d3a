import { catalogue } from '@/catalogue';
import { assess } from '@/core/assess';
import { applyEdit } from '@/core/edits';
import { proposeWhole } from '@/core/propose';
import { type Design } from '@/core/document';
import { newlyPressing, type Finding } from '@/core/findings';
import { remediesFor, runSearch } from '@/core/search';
import { judgeDesign, worseIn, yearFindings } from '@/core/verdict';
import type { RoomKind } from './matrix';

export interface RemedyCase {
  readonly animal: string;
  readonly room: RoomKind;
}

export interface RemedyRow extends RemedyCase {
  readonly offered: number;
  /** Fixes that were tried and not offered, since the forecast is worse with them. */
  readonly withheld: number;
  /** Remedies after which their finding is still there, or something worse has come. */
  readonly broken: readonly string[];
}

const pressing = (all: readonly Finding[]): readonly Finding[] =>
  all.filter((it) => it.severity === 'severe' || it.severity === 'look');

/** All that presses in a design: what is told at once, and what its year tells. */
function findingsOf(design: Design) {
  const verdict = judgeDesign({ design, catalogue, alone: true });
  const year = verdict ? yearFindings(verdict, design, catalogue) : [];
  return { verdict, all: pressing([...assess(design, catalogue).findings, ...year]) };
}

/** Every remedy of every finding of a first design, taken over by itself and judged again. */
export function remedyRow({ animal, room }: RemedyCase): RemedyRow {
  const design = proposeWhole(
    {
      id: 'x',
      name: 'x',
      animal,
      count: 1,
      size: null,
      room: { kind: room, temperature: null, humidity: null },
    },
    catalogue,
  );
  const before = findingsOf(design);
  const played = before.verdict ? runSearch(remediesFor(design, before.verdict, catalogue), catalogue) : {};
  const broken: string[] = [];
  let offered = 0;
  let withheld = 0;
  for (const finding of before.all)
    for (const { call } of [...finding.remedies, ...(played[finding.code] ?? [])]) {
      if (!call) continue;
      const { verdict, all: after } = findingsOf(applyEdit(design, call, catalogue));
      // As a screen does with what a rule thought of: tried, and not offered where the forecast is worse.
      const tried = call.edit !== 'adoptFound';
      if (tried && before.verdict && verdict && worseIn(before.verdict, verdict)) {
        withheld += 1;
        continue;
      }
      offered += 1;
      const place = JSON.stringify(finding.place);
      const stands = after.some((it) => it.code === finding.code && JSON.stringify(it.place) === place);
      const worse = newlyPressing(before.all, after);
      if (stands || worse.length > 0)
        broken.push(
          `${finding.code} by ${call.edit}: ${stands ? 'it stands' : `brings ${worse.map((it) => it.code).join(', ')}`}`,
        );
    }
  return { animal, room, offered, withheld, broken };
}
