import { DAY } from '../readings';
import { ROWS, type Known, type SignInput } from './signRows';
import type { Cause, Evidence, SignId } from './types';

/** Causes that what was seen speaks for, each with its evidence. */
export function signCauses(asked: SignInput): readonly Cause[] {
  const { design, log, signs, now } = asked;
  const lastOf = (what: string): number | null => {
    const at = log
      .filter(
        (it) =>
          !it.gone && it.outcome === 'done' && (it.kind === what || (it.rule?.startsWith(what) ?? false)),
      )
      .reduce((latest, it) => Math.max(latest, it.at), -1);
    return at < 0 ? null : (now - at) / DAY;
  };
  const { since } = design.brief;
  const known: Known = {
    ...asked,
    since: lastOf,
    stageDays: since === null ? null : (now - Date.parse(since)) / DAY,
  };
  return ROWS.filter((row) => row.signs.some((it) => signs.has(it))).map((row): Cause => {
    const evidence = row
      .evidence(known)
      .filter((it): it is Evidence => it !== null && it !== false && it.weight !== 0);
    return {
      id: row.id,
      what: row.what,
      evidence,
      score: row.prior + evidence.reduce((sum, it) => sum + it.weight, 0),
      share: 0,
      since: null,
      check: row.check,
      change: row.change,
      edits: [],
      vet: row.vet ?? null,
      caution: row.caution ?? null,
      basis: 'practice',
    };
  });
}

/** Signs that speak for a cause. */
export const signsOf = (id: string): readonly SignId[] =>
  ROWS.filter((row) => row.id === id).flatMap((row) => row.signs);
