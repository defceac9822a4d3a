import { prose, message, type Message, difference } from '../units';
import { SEVERITY_RANK, type Finding } from '../finding/finding';
import { ROOMS, type Answer, type Verdict } from './answer';

/** What is known of a design’s year. What is not known yet is never shown as good. */
export type VerdictState =
  | { readonly at: 'unasked' }
  /** Only its box and its animal are known. */
  | { readonly at: 'undescribed' }
  | { readonly at: 'calculating' }
  | { readonly at: 'known'; readonly verdict: Verdict; readonly findings: readonly Finding[] }
  | { readonly at: 'failed'; readonly message: string };

/** The five answers, in the same words everywhere. */
export const ANSWER_WORDS: Readonly<Record<Answer | Exclude<VerdictState['at'], 'known'>, string>> = {
  calculating: 'Being calculated',
  holds: 'Holds',
  'holds-but': 'Holds, but…',
  fails: 'Does not hold',
  cannot: 'Cannot hold in this room',
  failed: 'Cannot be calculated',
  unasked: 'No animal chosen',
  undescribed: 'Not described',
};

/** How grave a finding of the year must be to be the reason of an answer. */
const REASONS = new Set(['severe', 'look']);

/** The reason of an answer in one line: what is outside, where and when; how sure where it holds. */
export function reasonOf(verdict: Verdict, findings: readonly Finding[]): Message {
  const first = findings.find((it) => REASONS.has(it.severity));
  if (verdict.answer !== 'holds' && first) return first.what;
  return sureWords(verdict);
}

/** How sure it is: rooms in which it does no harm, of those tried. */
export function sureWords({ sure }: Verdict): Message {
  if (sure.of === 0) return message`Inside its bands in all seasons.`;
  if (sure.fine === sure.of) return message`No harm either if the room is ${difference(3)} or 15 points off.`;
  return message`No harm in ${sure.fine} of ${ROOMS.length} rooms: as told, ${difference(3)} and 15 points off.`;
}

/** Which of the words stands for a state. */
export const wordOf = (state: VerdictState): keyof typeof ANSWER_WORDS =>
  state.at === 'known' ? state.verdict.answer : state.at;

/** What stands under the answer, in one line. */
export function lineOf(state: VerdictState): Message {
  switch (state.at) {
    case 'known':
      return reasonOf(state.verdict, state.findings);
    case 'failed':
      return message`The engine came to what no enclosure does: ${prose(state.message)}.`;
    case 'calculating':
      return message`Its year is played: four seasons, three weathers of each.`;
    case 'unasked':
      return message`Choose an animal to forecast its year.`;
    case 'undescribed':
      return message`Describe what stands in it to forecast its year.`;
  }
}

/** What rules find at once and what the year adds, as one list, the gravest first. */
export const allFindings = (fixed: readonly Finding[], state: VerdictState): readonly Finding[] =>
  state.at === 'known'
    ? [...fixed, ...state.findings].sort((a, b) => SEVERITY_RANK[a.severity] - SEVERITY_RANK[b.severity])
    : fixed;
