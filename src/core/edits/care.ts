import type { Care, Design, When } from '../document/schema';
import { nextId, type Edit } from './shared';

const inCare = (design: Design, change: Partial<Care>): Design => ({
  ...design,
  care: { ...design.care, ...change },
});

/** Changes when care is due, or pauses it. A change that says nothing is taken away. */
export const changeCare: Edit<{
  rule: string;
  change: Partial<Omit<Care['changes'][number], 'rule'>>;
}> = (design, { rule, change }) => {
  const { changes } = design.care;
  const before = changes.find((it) => it.rule === rule) ?? {
    rule,
    when: null,
    paused: false,
    until: null,
    from: null,
    reason: '',
  };
  const next = { ...before, ...change, reason: (change.reason ?? before.reason).slice(0, 400) };
  const rest = changes.filter((it) => it.rule !== rule);
  const empty = next.when === null && !next.paused && next.reason === '' && next.from === null;
  return inCare(design, { changes: empty ? rest : [...rest, next] });
};

/** All that came round up to a day is settled, whatever the log says of it; null: only what it says. */
export const settleCare: Edit<{ settled: string | null }> = (design, { settled }) =>
  inCare(design, { settled });

export const addCare: Edit<{
  what: string;
  why: string;
  when: When;
  sitter: boolean;
  from: string | null;
}> = (design, change) => {
  const what = change.what.trim().slice(0, 120);
  if (what === '') return design;
  const { own } = design.care;
  return inCare(design, {
    own: [...own, { ...change, id: nextId('own', own), what, why: change.why.slice(0, 400) }],
  });
};

export const removeCare: Edit<{ rule: string }> = (design, { rule }) =>
  inCare(design, {
    own: design.care.own.filter((it) => it.id !== rule),
    changes: design.care.changes.filter((it) => it.rule !== rule),
  });
