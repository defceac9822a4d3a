import type { Animal, Legal, Life } from '../catalogue';

export interface MoveInStep {
  readonly id: string;
  readonly what: string;
  readonly why: string;
  /** Days; common practice. */
  readonly days?: readonly [number, number];
  readonly caution?: string;
}

/** Days of quarantine by what may be carried (common practice). */
export const quarantineDays = (animal: Animal | undefined): readonly [number, number] =>
  animal?.kind === 'invertebrate'
    ? [14, 30]
    : animal?.kind === 'snake' || animal?.kind === 'tortoise'
      ? [60, 90]
      : [30, 90];

/** What its defence asks of hands (common practice). */
export const DEFENCE_WORD: Record<NonNullable<Life['defence']>['value'], string> = {
  'skin poison':
    'Its skin or spray is poisonous: wet gloves without powder, nothing near the eyes, and never two species together.',
  hairs:
    'It throws hairs that lodge in eyes and skin: gloves and goggles whenever the enclosure is opened or soil is moved.',
  sting: 'It stings: long tongs, never a hand, and help at hand for those who react badly.',
  bite: 'It bites hard or holds on: a hook or a screen between it and the hand, and never at face height.',
};

/** What each grade of law asks (common practice; the local authority decides). */
export const LAW_WORD: Record<Legal, string> = {
  protected: 'Commonly protected: bred or propagated only, with its papers; keep them.',
  certificate:
    'Strictly protected: it may not be bought, sold or lent without a certificate of its own, which goes with it.',
  invasive: 'Runs wild where it gets out, and in some places may not be kept or bred: never release it.',
  injurious:
    'In some countries it may not be brought in or over inner borders, for the fungus it may carry: ask before you travel.',
  venomous: 'Counted as venomous in some places: ask before you buy.',
};

/** Before an animal moves in, and its first week. A veterinarian decides about health; Rincon gives no medical advice. */
export function moveInOf(animal: Animal | undefined): readonly MoveInStep[] {
  const amphibian = animal?.kind === 'frog' || animal?.kind === 'newt';
  const spineless = animal?.kind === 'invertebrate';
  const defence = animal?.growing?.defence?.value;
  const wet = animal?.water.value === 'pool' || animal?.ground.value === 'half-water';
  const steps: MoveInStep[] = [
    {
      id: 'quarantine',
      what: 'Quarantine in a plain enclosure of its own, in another room',
      why: 'On paper towel every dropping is seen; nothing living has to be thrown away if it is ill.',
      days: quarantineDays(animal),
      caution: 'Own tools, own water, and always last in the round. Wash hands before and after.',
    },
    spineless
      ? {
          id: 'look',
          what: 'Look it over for mites and wounds',
          why: 'Mites come with food and soil, and stay.',
        }
      : {
          id: 'faecal',
          what: 'Have a fresh dropping tested, twice, some weeks apart',
          why: 'Parasites show only now and then. A qualified veterinarian reads the test and decides.',
          caution: 'Medicines only by the veterinarian. Rincon stores dates, not doses.',
        },
  ];
  if (amphibian)
    steps.push({
      id: 'skin',
      what: 'Have its skin tested for chytrid fungus and ranavirus',
      why: 'Both kill whole collections, and a carrier looks well.',
      caution: 'Never let its water, soil or plants into drains or the garden untreated.',
    });
  if (animal?.kind === 'snake')
    steps.push({
      id: 'mites',
      what: 'Look for mites in its water dish and under its chin',
      why: 'They hide for weeks and walk from enclosure to enclosure.',
    });
  steps.push(
    {
      id: 'box',
      what: 'The enclosure has run as it will run for a week: probes in band, crew seen, nothing smells',
      why: 'What is wrong now is fixed without an animal in the way.',
      days: [7, 14],
    },
    {
      id: 'temperature',
      what: wet
        ? 'Let its water and the enclosure come to the same temperature, within 2 K'
        : 'Let it come to the temperature of the room in its closed tub, then open it inside the enclosure',
      why: 'It is chilled or warm from travelling: no lamp on it, and no heat rock. Warm it slowly.',
      caution: 'No sudden heat for an animal that travelled.',
    },
    {
      id: 'leave',
      what: 'First week: water, dim light, no handling, a little food after two or three days',
      why: 'It must find hides and water before it meets hands.',
      days: [7, 7],
      ...(defence ? { caution: DEFENCE_WORD[defence] } : {}),
    },
    {
      id: 'watch',
      what: 'Write down where it is seen, what it eats and what it leaves',
      why: 'A place it never uses is a place to change.',
    },
  );
  if (!spineless)
    steps.push({
      id: 'hands',
      what: 'Wash hands after every visit',
      why: 'Reptiles and amphibians may carry Salmonella.',
      caution: 'Small children, pregnant and immunocompromised people ask a doctor first.',
    });
  return steps;
}
