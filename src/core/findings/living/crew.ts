import { crewOf } from '../../living/crew';
import { judgeCompany } from '../../living/company';
import { say } from '../../units';
import type { Finding, Rule } from '../finding';

/** A living box without a crew, though its school has one. */
export const noCrew: Rule = ({ design, animal }) =>
  design.living.school === 'none' || design.living.crew.length > 0 || !animal
    ? []
    : [
        {
          code: 'no-crew',
          severity: 'note',
          place: { at: 'living' },
          what: say`No crew is chosen yet.`,
          because: say`Springtails shorten the mould of fresh wood; isopods or beetles break down what the animal leaves. It lessens the work, it does not end it.`,
          remedies: [
            { label: say`Plant it and introduce a crew`, call: { edit: 'proposeLiving', change: {} } },
          ],
          basis: 'practice',
          otherSchool: 'A plain natural enclosure is kept without: everything is lifted out by hand.',
          routine: true,
        },
      ];

/** Crew that gets out, nibbles, or is not allowed. */
export const crewHabits: Rule = ({ design, catalogue }) =>
  crewOf(design, catalogue).flatMap(({ kind }): Finding[] => {
    const found: Finding[] = [];
    const place = { at: 'living', crew: kind.id } as const;
    const out = [
      { label: say`Take it out`, call: { edit: 'setCrew', change: { kind: kind.id, count: 0 } } },
    ] as const;
    if (!kind.wanted)
      found.push({
        code: 'crew-unwanted',
        severity: 'look',
        place,
        what: say`The ${kind.english} is not a crew: it eats soft plants and breeds fast.`,
        because: say`It comes with plants. Rinse and quarantine them; pick it off a slice of cucumber at night.`,
        remedies: out,
        basis: 'practice',
      });
    if (kind.escapes)
      found.push({
        code: 'crew-escapes',
        severity: 'look',
        place,
        what: say`The ${kind.english} gets out of open enclosures and may settle in a house.`,
        because: say`Fine gauze over every vent, or another species.`,
        remedies: out,
        basis: 'memory',
      });
    if (kind.protein && design.living.supplement === 0)
      found.push({
        code: 'crew-hungry',
        severity: 'note',
        place,
        what: say`The ${kind.english} nibbles soft plants and moulting animals when it lacks protein.`,
        because: say`Put some dry food down each week when the animal is tidy, and cull when they swarm.`,
        remedies: [
          { label: say`Feed 2 g a week`, call: { edit: 'setLiving', change: { supplement: 0.002 } } },
        ],
        basis: 'practice',
        routine: true,
      });
    return found;
  });

/** Who is kept with whom. */
export const company: Rule = ({ design, animal }) =>
  judgeCompany(design, animal).map((it) => ({
    code: it.code,
    severity: it.severity,
    place: { at: 'living' as const },
    what: say`${it.what}`,
    because: say`${it.because}`,
    remedies: [],
    basis: 'memory' as const,
    ...(it.severity === 'note' ? { routine: true as const } : {}),
  }));
