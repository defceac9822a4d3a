import type { Assessment } from '../assess';
import { findAnimal, findPieceKind, materialOf, type Catalogue } from '../catalogue';
import type { Design, Layer } from '../design/schema';
import { materialsIn, type LayerResult } from '../ground/layers';
import { moveInOf, quarantineDays } from '../living/moveIn';
import { bag, length, mass, percent, say, tank, temperature, type Said } from '../units';
import type { Days } from './network';
import type { Step } from './step';

const days = (low: number, likely: number, high: number): Days => ({ low, likely, high });
const MINUTE = 1 / (24 * 60);

type Draft = Omit<Step, 'tools' | 'amounts' | 'wait' | 'cautions' | 'measures' | 'holds'> & Partial<Step>;

const step = (draft: Draft): Step => ({
  tools: [],
  amounts: [],
  wait: null,
  cautions: [],
  measures: [],
  holds: [],
  ...draft,
});

/** Every id a design holds that some step must put in. */
export function heldBy(design: Design): ReadonlySet<string> {
  const layers = [...design.ground.layers, ...design.ground.regions.flatMap((it) => it.layers)];
  return new Set([
    ...layers.flatMap(materialsIn),
    ...design.scape.pieces.map((it) => it.id),
    ...design.scape.backgrounds.map((it) => it.id),
    ...design.climate.devices.map((it) => it.id),
    ...design.living.plants.map((it) => it.id),
    ...design.living.crew.map((it) => it.kind),
  ]);
}

/**
 * The whole build from a design, in the order of work: each step with what goes in, how long it takes by hand, what is
 * waited for, and what comes before it. Times of work are common practice; waits those of what was chosen.
 */
export function stepsOf(design: Design, assessment: Assessment, catalogue: Catalogue): readonly Step[] {
  const steps: Step[] = [];
  const add = (draft: Draft): string => {
    steps.push(step(draft));
    return draft.id;
  };
  const { enclosure, ground, climate, living } = design;
  const animal = findAnimal(catalogue, design.brief.animal);
  const { layers } = assessment;
  const wet = assessment.standingWater > 0.0005;
  const pool = layers.some((it) => it.layer.kind === 'water');
  const named = (it: LayerResult): string => nameOf(it.layer, catalogue);
  const filled = (it: LayerResult): Said =>
    it.need ? say`${named(it)}: ${bag(it.need.loose)} loose, ${bag(it.placed)} settled` : say`${named(it)}`;

  // The box.
  let box: string[] = [];
  if (enclosure.material === 'timber') {
    box = [
      add({
        id: 'box',
        phase: 'box',
        title: 'Build the box and seal it',
        why: 'Water that gets into board swells it from inside.',
        tools: ['saw', 'drill', 'brush', 'clamps'],
        hands: 360,
        wait: enclosure.made.seal === 'none' ? null : days(3, 7, 14),
        waitFor: 'the seal to harden and stop smelling',
        after: [],
        cautions: ['cutting', 'sealing'],
      }),
    ];
  }
  if (enclosure.made.bores.length > 0 || ground.outlet.kind === 'drain') {
    box = [
      add({
        id: 'bores',
        phase: 'box',
        title: 'Drill the holes',
        why: 'Later they would drop chips into the soil.',
        tools: ['drill', 'hole saw', 'water to cool it'],
        amounts: enclosure.made.bores.map((it) => say`${it.use}, ${length(it.diameter)} across`),
        hands: 30 + 10 * enclosure.made.bores.length,
        after: box,
        cautions: ['drilling'],
      }),
    ];
  }
  if (wet || enclosure.watertightHeight > 0) {
    box = [
      add({
        id: 'leak-test',
        phase: 'box',
        title: 'Fill it outdoors and leave it a day',
        why: 'A leak found now costs a towel.',
        tools: ['bucket', 'towel'],
        hands: 30,
        wait: days(1, 1, 2),
        waitFor: 'the seams to show whether they hold',
        after: box,
        cautions: wet ? ['water', 'lifting'] : ['lifting'],
        measures: [{ what: 'every seam and corner', wanted: say`dry to a paper towel` }],
      }),
    ];
  }

  // Backgrounds.
  const cured: string[] = [];
  for (const { back, kind, curing, cures } of assessment.scape.backs) {
    const { id, wall, thickness } = back.background;
    cured.push(
      add({
        id: `background-${id}`,
        phase: 'background',
        title: `Make the background of the ${wall} wall`,
        why: 'It needs the whole empty box, and longest to stop smelling.',
        tools: ['gloves', 'knife', 'brush', 'silicone gun'],
        amounts: [
          say`${kind?.name ?? 'Background'}, ${length(back.width)} by ${length(back.height)}, ${length(thickness)} thick`,
          ...cures.map((it) => say`${it.step}`),
        ],
        hands: 60 + 90 * back.width * back.height * 4,
        wait: days(curing.low, (curing.low + curing.high) / 2, Math.max(curing.low, curing.high)),
        waitFor: 'every coat to cure',
        after: box,
        cautions: ['curing'],
        holds: [id],
      }),
    );
  }
  const smell = add({
    id: 'smell',
    phase: 'background',
    title: 'Smell it after a night with the lid closed',
    why: 'What still smells still gives off what made it liquid.',
    hands: 5,
    wait: cured.length > 0 ? days(0, 3, 14) : null,
    waitFor: 'nothing to smell',
    after: cured.length > 0 ? cured : box,
    measures: [{ what: 'air under the lid, in the morning', wanted: say`no smell at all` }],
    gate: 'smell',
  });

  // What stands on the bare floor goes in before anything is poured round it.
  const placed = assessment.scape.pieces;
  const onFloor = placed.filter((it) => it.placed.on === 'floor');
  let below = [smell];
  if (onFloor.length > 0) {
    below = [
      add({
        id: 'floor-pieces',
        phase: 'scape',
        title: 'Stand what is heavy on the floor of the box',
        why: 'On soil it would sink on to an animal that digs under it.',
        tools: ['thin foam or cork to lay under', 'two hands'],
        amounts: onFloor.map((it) => say`${it.placed.piece.name}, ${mass(it.mass)}`),
        hands: 10 + 5 * onFloor.length,
        after: below,
        cautions: ['stone', 'lifting'],
        holds: onFloor.map((it) => it.placed.piece.id),
      }),
    ];
  }

  // The ground, from the floor up; moss and litter wait for the plants.
  const lying = (kinds: readonly Layer['kind'][]): readonly LayerResult[] =>
    layers.filter((it) => kinds.includes(it.layer.kind));
  const drainage = lying(['drainage']);
  if (drainage.length > 0) {
    below = [
      add({
        id: 'drainage',
        phase: 'ground',
        title: 'Lay the drainage',
        why: 'Water that runs through must have somewhere to go.',
        tools: ['sieve', 'bucket', 'tape'],
        amounts: drainage.map(filled),
        hands: 20 + 20 * drainage.length,
        after: below,
        cautions: ['mixing'],
        measures: drainage.map((it) => ({
          what: 'depth at front and back',
          wanted: say`${length(it.thickness.frontLeft)} and ${length(it.thickness.backLeft)}`,
        })),
        holds: drainage.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  const barriers = lying(['barrier']);
  if (barriers.length > 0) {
    below = [
      add({
        id: 'barrier',
        phase: 'ground',
        title: 'Cut and lay the barrier',
        why: 'Soil that falls through fouls the water below.',
        tools: ['scissors', 'tape'],
        amounts: barriers.map((it) => say`${named(it)}`),
        hands: 25,
        after: below,
        cautions: ['cutting'],
        measures: [{ what: 'every edge and every pipe', wanted: say`no gap to see light through` }],
        holds: barriers.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  const pumps = placed.filter((it) => it.placed.piece.pump !== null);
  if (pumps.length > 0 || pool) {
    below = [
      add({
        id: 'water-trial',
        phase: 'ground',
        title: 'Run the water for a day before soil goes in',
        why: 'Splashes and leaks are seen now, and nothing is spoiled.',
        tools: ['towel', 'watch'],
        amounts: wet ? [say`${tank(assessment.standingWater)} of water`] : [],
        hands: 30,
        wait: days(1, 1, 2),
        waitFor: 'the level to hold',
        after: below,
        cautions: ['pumps', 'electric', 'water'],
        measures: [
          {
            what: 'water level after a day',
            wanted: say`as high as before, less a finger’s breadth at most`,
          },
        ],
        holds: lying(['water']).flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  if (assessment.preparations.length > 0) {
    add({
      id: 'prepare',
      phase: 'ground',
      title: 'Soak, bake or boil what needs it',
      why: 'Bricks take longer than their label says; what was collected brings its guests.',
      tools: ['tub', 'pot or baking tray'],
      amounts: assessment.preparations.map((it) => it.title),
      hands: 45,
      wait: days(0.5, 1, 2),
      waitFor: 'bricks to take up their water and all to cool',
      after: [],
      cautions: ['collecting'],
    });
  }
  const soils = lying(['substrate']);
  if (soils.length > 0) {
    add({
      id: 'mix',
      phase: 'ground',
      title: 'Mix and moisten the soil',
      why: 'Dry soil floats and never wets evenly once it lies.',
      tools: ['tub', 'measuring jug', 'gloves', 'mask'],
      amounts: soils.map((it) => say`${named(it)}: ${tank(it.need?.waterToMixIn ?? 0)} of water`),
      hands: 30 + 20 * soils.length,
      wait: animal?.ground.value === 'dry' ? days(2, 4, 7) : days(0, 1, 3),
      waitFor: 'moisture to spread; turn it daily',
      after: steps.some((it) => it.id === 'prepare') ? ['prepare'] : [],
      cautions: ['mixing', 'hygiene'],
      measures: [
        {
          what: 'a fistful, squeezed',
          wanted:
            ground.squeeze === 'strict'
              ? say`holds its shape and glistens, without a drop`
              : say`holds its shape, with a drop or two`,
        },
      ],
      holds: soils.flatMap((it) => materialsIn(it.layer)),
    });
  }
  const bedded = lying(['substrate', 'thin']);
  if (bedded.length > 0) {
    below = [
      add({
        id: 'soil',
        phase: 'ground',
        title: 'Lay the soil from below upwards',
        why: 'Low in front, high at the back; firm it, never stamp it.',
        tools: ['scoop', 'tape'],
        amounts: bedded.map(filled),
        hands: 25 + 10 * bedded.length,
        after: [...below, ...(steps.some((it) => it.id === 'mix') ? ['mix'] : [])],
        cautions: ['mixing'],
        measures: bedded.map((it) => ({
          what: `${named(it)}, front and back`,
          wanted: say`${length(it.thickness.frontLeft)} and ${length(it.thickness.backLeft)}`,
        })),
        holds: bedded.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }

  // Wood, stone, hides; dishes and the like, which are forgotten until the end, are a step of their own.
  const small = (it: (typeof placed)[number]): boolean =>
    it.uses.some((use) => ['drink', 'soak', 'feed', 'fly-cup', 'measure'].includes(use));
  const standing = placed.filter((it) => it.placed.on !== 'floor' && !small(it));
  if (standing.length > 0) {
    below = [
      add({
        id: 'scape',
        phase: 'scape',
        title: 'Set wood, cork and hides',
        why: 'Hides on both sides, perches at several heights, nothing that can fall.',
        tools: ['screws or silicone', 'level'],
        amounts: standing.map((it) => say`${it.placed.piece.name}`),
        hands: 20 + 8 * standing.length,
        after: below,
        cautions: standing.some((it) => it.kind?.group === 'stone') ? ['stone'] : [],
        measures: [{ what: 'each piece, pushed with a finger', wanted: say`does not move` }],
        holds: standing.map((it) => it.placed.piece.id),
      }),
    ];
  }
  const set = below;

  // Lamps, heat, mist.
  const { devices } = climate;
  let fitted: string[] = [];
  if (devices.length > 0) {
    fitted = [
      add({
        id: 'climate',
        phase: 'climate',
        title: 'Fit lamps, heat and mist',
        why: 'Before planting, so that light and warmth are right from the first day.',
        tools: ['cable ties', 'timer', 'plug strip with residual-current protection'],
        amounts: devices.map((it) => say`${it.name}${it.power > 0 ? `, ${it.power} W` : ''}`),
        hands: 20 + 15 * devices.length,
        after: set,
        cautions: ['electric'],
        holds: devices.map((it) => it.id),
      }),
    ];
  }

  // Plants, then moss and litter on top, the crew under them.
  const { plants } = living;
  let planted = set;
  if (plants.length > 0) {
    const fresh = plants.filter((it) => it.planted === null);
    const names = [...new Set(plants.map((it) => it.name))];
    const counts = names.map((name) => say`${name} × ${plants.filter((it) => it.name === name).length}`);
    const waits =
      fresh.length > 0
        ? [
            add({
              id: 'plants-quarantine',
              phase: 'living',
              title: 'Wash the plants and keep them apart',
              why: 'Pests show within a month, and treated leaves have time to be clean again.',
              tools: ['bowl', 'gloves', 'tub with a lid'],
              amounts: counts,
              hands: 20 + 4 * fresh.length,
              wait: days(21, 30, 42),
              waitFor: 'pests to show themselves',
              after: [],
              cautions: ['hygiene', 'law'],
            }),
          ]
        : [];
    planted = [
      add({
        id: 'plant',
        phase: 'living',
        title: 'Plant, the large ones first',
        why: 'Tall at the back, climbers on the walls, more than one for each place that is trodden.',
        tools: ['spoon', 'cotton thread or gel superglue'],
        amounts: counts,
        hands: 15 + 6 * plants.length,
        after: [...set, ...fitted, ...waits],
        cautions: ['hygiene'],
        holds: plants.map((it) => it.id),
      }),
    ];
  }
  let topped = planted;
  const moss = lying(['moss']);
  if (moss.length > 0) {
    topped = [
      add({
        id: 'moss',
        phase: 'living',
        title: 'Lay the moss last',
        why: 'Under plants that are still moved it is torn; keep it off the base of bromeliads.',
        tools: ['sprayer'],
        amounts: moss.map(filled),
        hands: 20,
        after: topped,
        holds: moss.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  const litter = lying(['litter']);
  if (litter.length > 0) {
    topped = [
      add({
        id: 'litter',
        phase: 'living',
        title: 'Strew the leaf litter',
        why: 'The crew eats it and hides in it, and it keeps the soil from drying out.',
        amounts: litter.map(filled),
        hands: 10,
        after: topped,
        cautions: ['collecting'],
        holds: litter.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  const things = placed.filter((it) => it.placed.on !== 'floor' && small(it));
  if (things.length > 0) {
    topped = [
      add({
        id: 'things',
        phase: 'scape',
        title: 'Put in dishes, feeding place and probes',
        why: 'They are forgotten until the end, and then there is no room.',
        amounts: things.map((it) => say`${it.placed.piece.name}`),
        hands: 5 + 4 * things.length,
        after: topped,
        cautions: things.some((it) => findPieceKind(catalogue, it.placed.piece.kind)?.cable)
          ? ['electric']
          : [],
        holds: things.map((it) => it.placed.piece.id),
      }),
    ];
  }
  const gates: string[] = [];
  if (living.crew.length > 0) {
    const crewed = add({
      id: 'crew',
      phase: 'living',
      title: 'Let the crew in',
      why: 'It must breed before anything eats it.',
      tools: ['spoon'],
      amounts: living.crew.map(
        (it) =>
          say`${catalogue.living.crew.find((row) => row.id === it.kind)?.english ?? it.kind} × ${it.count}`,
      ),
      hands: 10,
      wait: days(14, 28, 56),
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
        measures: [{ what: 'under bark and litter, after dark', wanted: say`adults and young` }],
        gate: 'crew',
      }),
    );
  }
  if (plants.length > 0) {
    gates.push(
      add({
        id: 'rooted',
        phase: 'settling',
        title: 'Tug gently at the plants',
        why: 'Rooted ones hold; loose ones are pulled out by the first animal.',
        hands: 10,
        wait: days(14, 28, 56),
        waitFor: 'roots',
        after: planted,
        measures: [{ what: 'each plant, between two fingers', wanted: say`holds` }],
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
        measures: [{ what: 'ammonia and nitrite', wanted: say`not to be measured, twice a week apart` }],
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
              {
                what: 'warm side, by day',
                wanted: say`${temperature(bands.warm.value.low)} to ${temperature(bands.warm.value.high)}`,
              },
              {
                what: 'cool side, by day',
                wanted: say`${temperature(bands.cool.value.low)} to ${temperature(bands.cool.value.high)}`,
              },
              {
                what: 'at night',
                wanted: say`${temperature(bands.night.value.low)} to ${temperature(bands.night.value.high)}`,
              },
              {
                what: 'humidity by day',
                wanted: say`${percent(bands.humidityDay.value.low)} to ${percent(bands.humidityDay.value.high)}`,
              },
              ...(bands.basking
                ? [
                    {
                      what: 'basking place, its surface',
                      wanted: say`${temperature(bands.basking.value.low)} to ${temperature(bands.basking.value.high)}`,
                    },
                  ]
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
            ? say`under ${length(animal.girth.value * 0.35)}`
            : say`narrower than its head`,
        },
      ],
      gate: 'locks',
    }),
  );

  // The animal.
  if (animal) {
    const [least, most] = quarantineDays(animal);
    const words = moveInOf(animal);
    const quarantine = add({
      id: 'quarantine',
      phase: 'animal',
      title: 'Quarantine the animal',
      why: words[0]?.why ?? '',
      tools: ['plain box', 'paper towel', 'own tools'],
      hands: 30,
      wait: days(least, (least + most) / 2, most),
      waitFor: 'what it may carry to show',
      after: [],
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
        after: [],
        cautions: ['hygiene'],
        gate: 'tests',
      }),
    );
  }
  const home = add({
    id: 'move-in',
    phase: 'animal',
    title: animal ? `Move the ${animal.english} in` : 'Ready for an animal',
    why: 'At room temperature, without sudden heat; then leave it alone.',
    hands: 20,
    after: [smell, ...gates],
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
  return steps;
}

function nameOf(layer: Layer, catalogue: Catalogue): string {
  if (layer.kind === 'substrate') return layer.name;
  if (layer.kind === 'water') return 'Open water';
  return materialOf(catalogue, layer.material).name;
}

/** Days of work: four hours are a day at the bench, shared out. */
export const workDays = (minutes: number): number => Math.max(minutes * MINUTE, minutes / 240);

/** What a step takes from its start to the start of what follows. */
export function takesOf({ hands, wait }: Step): Days {
  const work = workDays(hands);
  return {
    low: work + (wait?.low ?? 0),
    likely: work + (wait?.likely ?? 0),
    high: work * 1.5 + (wait?.high ?? 0),
  };
}
