import { capital, counted } from '@/core/units';
import type { VerdictState } from '@/core/verdict';
import { daysWord } from '@/ui/days';
import type { ProposalState } from './useProposal';

/** The verdict of what is shown: of the quick design nothing is known while a better one is sought. */
export function verdictOf(search: ProposalState, judged: VerdictState): VerdictState {
  switch (search.at) {
    case 'unasked':
      return { at: 'unasked' };
    case 'looking':
      return { at: 'calculating' };
    case 'failed':
      return { at: 'failed', message: search.message };
    case 'found':
      return search.proposal.verdict ? judged : { at: 'failed', message: 'its climate could not be played' };
  }
}

/** How the search stands, in one line. */
export function searchWords(search: ProposalState): string {
  switch (search.at) {
    case 'unasked':
      return '';
    case 'looking':
      return search.looking
        ? `A first design stands; one that holds is sought: ${counted(search.looking.looks, 'way')} played in ${Math.round(search.looking.seconds)} s.`
        : 'A first design stands; one that holds is sought.';
    case 'failed':
      return 'The first design stands. It can be saved, and looked at in Climate.';
    case 'found': {
      const { verdict, looks } = search.proposal;
      const played = `${counted(looks, 'way')} played in ${Math.round(search.seconds)} s`;
      if (verdict?.answer === 'holds') return `This design replaced the first one: ${played}.`;
      return verdict?.bound
        ? `No fitting makes this room do; this comes nearest: ${played}.`
        : `This comes nearest: ${played}.`;
    }
  }
}

/** The crew in the portions it is sold in, and how long it takes from them. */
export function crewWords(search: ProposalState): string {
  const crew = search.at === 'found' ? (search.proposal.verdict?.crew ?? []) : [];
  const kinds = crew.map(({ name, cultures, stands }) => {
    const bought = `${counted(cultures, 'culture')} of ${name}`;
    return stands === null
      ? `${bought}, to be topped up now and then`
      : `${bought}, self-sustaining after ${daysWord(stands)}`;
  });
  return kinds.length === 0 ? '' : `Cleanup crew: ${kinds.join('; ')}.`;
}

/** What the top is like, in one sentence. */
export function coverWords(material: string, cover: number): string {
  const box = material === 'pvc' ? 'PVC' : capital(material);
  if (material === 'mesh') return 'Mesh all round, so that air moves.';
  return cover > 0
    ? `${box}, ${Math.round(cover * 100)} % of the top covered to hold moisture.`
    : `${box}, the top left open.`;
}
