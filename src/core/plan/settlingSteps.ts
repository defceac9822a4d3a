import { moveInOf, quarantineDays } from '../living/moveIn';
import type { Range } from '../catalogue';
import {
  difference,
  length,
  percent,
  message,
  temperature,
  type Measure as Unit,
  type Quantity,
} from '../units';
import type { Filled } from './livingSteps';
import type { Measure } from './step';
import { days, paced, type Work } from './work';

/** mg/L of ammonia or nitrite that the usual drop tests do not show (common practice: under the first step of their colours). */
const UNSEEN = 0.1;

const within = (what: string, unit: Unit, told: (si: number) => Quantity, { low, high }: Range): Measure => ({
  what,
  wanted: message`${told(low)} to ${told(high)}`,
  band: { unit, low, high },
});

/** What is waited for before an animal, gate by gate; and the animal itself. */
export function settlingSteps(work: Work, smell: string, { fitted, planted, topped }: Filled): void {
  const { design, catalogue, animal, pool, add } = work;
  const { climate, living } = design;
  const { devices } = climate;
  const { plants } = living;
  const gates: string[] = [];
  if (living.crew.length > 0) {
    const crewed = add({
      id: 'crew',
      phase: 'living',
      title: 'Introduce the crew',
      why: 'It must breed before anything eats it. Look into each tub before it is paid for: many, lively, of all sizes, no mites, no sour smell. What travelled cold warms up closed and away from lamps, is then misted and fed, and moves in once it runs about: in the evening, under leaves, on damp ground.',
      tools: ['spoon', 'torch'],
      amounts: living.crew.map(
        (it) =>
          message`${catalogue.living.crew.find((row) => row.id === it.kind)?.english ?? it.kind} × ${it.count}`,
      ),
      hands: 10,
      wait: paced(design.plan.pace, days(14, 28, 56)),
      waitFor: 'young to be seen',
      after: topped,
      cautions: ['law'],
      holds: living.crew.map((it) => it.kind),
    });
    gates.push(
      add({
        id: 'crew-seen',
        phase: 'settling',
        title: 'Look for the crew at night, with a torch',
        why: 'Alive and breeding it takes what the animal leaves; eaten before, it never stands.',
        tools: ['torch'],
        hands: 10,
        after: [crewed],
        measures: [{ what: 'under bark and litter, after dark', wanted: message`adults and young` }],
        gate: 'crew',
      }),
    );
  }
  if (plants.length > 0) {
    gates.push(
      add({
        id: 'rooted',
        phase: 'settling',
        title: 'Check that the plants have rooted',
        why: 'Rooted ones hold; loose ones are pulled out by the first animal.',
        hands: 10,
        wait: paced(design.plan.pace, days(14, 28, 56)),
        waitFor: 'roots',
        after: planted,
        measures: [{ what: 'each plant, between two fingers', wanted: message`holds` }],
        gate: 'rooted',
      }),
    );
  }
  if (pool) {
    gates.push(
      add({
        id: 'water-tested',
        phase: 'settling',
        title: 'Test the water',
        why: 'A new filter takes weeks to ripen; the test decides, not the calendar.',
        tools: ['test kit for ammonia and nitrite'],
        hands: 15,
        wait: living.water.seeded ? days(3, 7, 14) : days(21, 35, 56),
        waitFor: 'the filter to ripen',
        after: topped,
        cautions: ['pumps'],
        measures: ['ammonia, mg/L', 'nitrite, mg/L'].map((what) => ({
          what,
          wanted: message`not to be measured, twice a week apart`,
          band: { unit: 'number', low: null, high: UNSEEN },
        })),
        gate: 'water',
      }),
    );
  }
  if (devices.length > 0) {
    const bands = animal?.climate;
    gates.push(
      add({
        id: 'measure',
        phase: 'settling',
        title: 'Measure for a week, by day and by night',
        why: 'Set and adjusted by what the probe says, not by the label.',
        tools: [
          'two probes',
          'infrared thermometer',
          ...(bands && bands.uvZone.value > 1 ? ['UV index meter'] : []),
        ],
        hands: 40,
        wait: days(7, 7, 14),
        waitFor: 'seven days within the band',
        after: [...fitted, ...topped],
        cautions: ['electric'],
        measures: bands
          ? [
              within('warm side, by day', 'temperature', temperature, bands.warm.value),
              within('cool side, by day', 'temperature', temperature, bands.cool.value),
              within('at night', 'temperature', temperature, bands.night.value),
              within('humidity by day', 'percent', percent, bands.humidityDay.value),
              ...(bands.basking
                ? [within('basking spot, its surface', 'temperature', temperature, bands.basking.value)]
                : []),
            ]
          : [],
        gate: 'band',
      }),
    );
  }
  gates.push(
    add({
      id: 'locks',
      phase: 'settling',
      title: 'Close it: locks, gaps, gauze',
      why: 'Young animals slip through what adults cannot, and crew walks out of an open vent.',
      tools: ['ruler'],
      hands: 10,
      after: topped,
      measures: [
        {
          what: 'the widest gap',
          wanted: animal?.girth
            ? message`under ${length(animal.girth.value * 0.35)}`
            : message`narrower than its head`,
          ...(animal?.girth
            ? { band: { unit: 'length', low: null, high: animal.girth.value * 0.35 } as const }
            : {}),
        },
      ],
      gate: 'locks',
    }),
  );

  // The animal. One that is kept for long has been through quarantine and tests: it only moves.
  const { comes } = design.plan.animal;
  if (animal && comes !== 'here') {
    const [least, most] = quarantineDays(animal);
    const words = moveInOf(animal);
    const arrives =
      comes === 'post'
        ? [
            add({
              id: 'arrives',
              phase: 'animal',
              title: `Receive the ${animal.english}`,
              why: 'Opened at once and at home, in dim light: weighed, looked over, and left closed at room temperature until it has come to it. Water that day, food in two or three.',
              tools: ['scales', 'plain tub', 'paper towel', 'torch'],
              hands: 40,
              after: [],
              cautions: ['hygiene', 'law'],
            }),
          ]
        : [];
    const quarantine = add({
      id: 'quarantine',
      phase: 'animal',
      title: 'Quarantine the animal',
      why: words[0]?.why ?? '',
      tools: ['plain tub', 'paper towel', 'own tools'],
      hands: 30,
      wait: days(least, (least + most) / 2, most),
      waitFor: 'what it may carry to show',
      after: arrives,
      cautions: ['hygiene', 'law'],
      gate: 'quarantine',
    });
    gates.push(
      quarantine,
      add({
        id: 'tests',
        phase: 'animal',
        title:
          animal.kind === 'invertebrate'
            ? 'Look it over for mites and wounds'
            : 'Have it tested by a veterinarian',
        why: words[1]?.why ?? '',
        hands: 60,
        wait: days(2, 7, 14),
        waitFor: 'the results',
        after: arrives,
        cautions: ['hygiene'],
        gate: 'tests',
      }),
    );
  }
  // What lives in water takes harm from water that is suddenly another (common practice). One that is in it by now was
  // moved in without: that is not made up for.
  const moved = design.plan.marks.some((it) => it.step === 'move-in' && it.done !== null);
  const asked = design.plan.marks.some((it) => it.step === 'temper');
  const tempered =
    animal?.ground.value === 'half-water' && (asked || !moved)
      ? [
          add({
            id: 'temper',
            phase: 'animal',
            title: 'Let it come to its new water',
            why: 'Another temperature or hardness shocks what breathes through its skin. The tub it comes in floats for a quarter of an hour; then a cup of the new water goes in every five minutes.',
            tools: ['tub with a lid', 'cup', 'thermometer'],
            hands: 45,
            after: [smell, ...gates],
            measures: [
              {
                what: 'water of the tub, beside that of the enclosure',
                wanted: message`within ${difference(1)}`,
              },
            ],
            cautions: ['hygiene'],
          }),
        ]
      : [];
  const home = add({
    id: 'move-in',
    phase: 'animal',
    title: animal ? `Move the ${animal.english} in` : 'Ready for an animal',
    why:
      comes === 'here'
        ? 'It waits where it is until everything holds. Take its hide along, with its smell; then leave it alone.'
        : 'At room temperature, without sudden heat; then leave it alone.',
    hands: 20,
    after: tempered.length > 0 ? tempered : [smell, ...gates],
    cautions: ['hygiene'],
  });
  if (animal)
    add({
      id: 'first-week',
      phase: 'animal',
      title: 'First week: water, dim light, no hands',
      why: 'It finds hides and water before it meets people.',
      hands: 30,
      wait: days(7, 7, 7),
      waitFor: 'it to settle',
      after: [home],
      cautions: [],
    });
}
