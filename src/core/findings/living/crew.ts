import { grownIn } from '../../brief';
import { type CrewKind } from '../../catalogue';
import { allWater } from '../../ground/layers';
import { crewOf } from '../../living/crew';
import { judgeGroup } from '../../living/group';
import { message, light } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

/** Why a kind is no crew, by its group (common practice): what comes with plants, unless it is told otherwise. */
const PEST = {
  what: 'it eats soft plants and breeds fast',
  because: 'It comes with plants. Rinse and quarantine them; pick it off a slice of cucumber at night.',
};
const UNWANTED: Partial<Record<CrewKind['group'], typeof PEST>> = {
  millipede: {
    what: 'disturbed it gives off hydrogen cyanide',
    because:
      'In a closed enclosure that harms frogs and other small animals. It comes with leaf litter: sift and bake that.',
  },
  beetle: {
    what: 'its young bore into cork, wood and foam, and gnaw at animals that moult or rest',
    because: 'It is bred to clean bones, apart from anything that lives.',
  },
};

/** A living box without a crew, though its school has one. */
export const noCrew: Rule = ({ design, animal, ground }) =>
  design.living.school === 'none' || design.living.crew.length > 0 || !animal || allWater(ground)
    ? []
    : [
        {
          code: 'no-crew',
          severity: 'note',
          place: { at: 'living' },
          what: message`No crew is chosen yet.`,
          because: message`Springtails shorten the mould of fresh wood; isopods or beetles break down what the animal leaves. It lessens the work, it does not end it.`,
          remedies: [
            { label: message`Plant it and introduce a crew`, call: { edit: 'proposeLiving', change: {} } },
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
      { label: message`Take it out`, call: { edit: 'setCrew', change: { kind: kind.id, count: 0 } } },
    ] as const;
    if (!kind.wanted)
      found.push({
        code: 'crew-unwanted',
        severity: 'look',
        place,
        what: message`The ${kind.english} is not a crew: ${UNWANTED[kind.group]?.what ?? PEST.what}.`,
        because: [UNWANTED[kind.group]?.because ?? PEST.because],
        remedies: out,
        basis: 'practice',
      });
    if (kind.escapes)
      found.push({
        code: 'crew-escapes',
        severity: 'look',
        place,
        what: message`The ${kind.english} gets out of open enclosures and may settle in a house.`,
        because: message`Fine gauze over every vent, or another species.`,
        remedies: out,
        basis: 'practice',
      });
    if (kind.protein && design.living.supplement === 0)
      found.push({
        code: 'crew-hungry',
        severity: 'note',
        place,
        what: message`The ${kind.english} nibbles soft plants and moulting animals when it lacks protein.`,
        because: message`Put some dry food down each week when the animal is tidy, and cull when they swarm.`,
        remedies: [
          {
            label: message`Feed ${light(0.002)} a week`,
            call: { edit: 'setLiving', change: { supplement: 0.002 } },
          },
        ],
        basis: 'practice',
        routine: true,
      });
    return found;
  });

/** Who is kept with whom. */
export const company: Rule = ({ design, catalogue }) =>
  judgeGroup(design, grownIn(design, catalogue)).map((it) => ({
    code: it.code,
    severity: it.severity,
    place: { at: 'living' as const },
    what: message`${it.what}`,
    because: message`${it.because}`,
    remedies: [],
    basis: 'practice' as const,
    ...(it.severity === 'note' ? { routine: true as const } : {}),
  }));
