/**
 * What is sold for enclosures and harms in them, known by its name: nobody writes down an ingredient of one's own by
 * anything else. Common practice of keepers and veterinarians; no source is claimed.
 */
const UNSUITABLE: readonly (readonly [name: RegExp, why: string])[] = [
  [
    /calci\w*[ -]sand|vita[ -]?sand|\bcalcit/i,
    'It is swallowed for its taste, clumps when wet and blocks the gut. Washed quartz sand or soil in its place.',
  ],
  [
    /walnut|nut ?shell/i,
    'Its pieces are sharp, are swallowed and injure mouth and gut; of black walnut they are poisonous besides.',
  ],
  [/corn ?cob|maize/i, 'It moulds within days in moist air, swells when swallowed and blocks the gut.'],
  [
    /cedar|juniper|(fresh|green) (pine|spruce|fir|conifer)|(pine|spruce|fir) shavings/i,
    'Its oils harm lungs and liver of animals and kill the crew. Aspen, or bark that has been seasoned, in its place.',
  ],
  [
    /oleander|\byew\b|cherry laurel|rhododendron|azalea|eucalypt/i,
    'Its leaves and wood are poisonous to animals that taste them and to the crew.',
  ],
  [
    /cat litter|scented|perfumed|dyed|coloured sand/i,
    'Scents, dyes and clumping agents go through skin and gut.',
  ],
];

/** Why something of this name does not belong into living soil; null: nothing is known against it. */
export const unsuitableNamed = (name: string): string | null =>
  UNSUITABLE.find(([it]) => it.test(name))?.[1] ?? null;
