import { isMoistened } from '../ground/mix';
import { materialsIn } from '../document/schema';
import { length, mass, message, tank } from '../units';
import { days, type Work } from './work';

/** From the bare floor to the last of the soil. Gives what comes before all that stands on it. */
export function groundSteps(work: Work, smell: string): string[] {
  const { design, assessment, animal, wet, pool, placed, steps, add, layersOf, named, filled } = work;
  const { ground } = design;
  // What stands on the bare floor goes in before anything is poured round it.
  const onFloor = placed.filter((it) => it.placed.on === 'floor');
  let below = [smell];
  if (onFloor.length > 0) {
    below = [
      add({
        id: 'floor-pieces',
        phase: 'scape',
        title: 'Stand what is heavy on the floor of the enclosure',
        why: 'On soil it would sink on to an animal that digs under it.',
        tools: ['thin foam or cork to lay under', 'two hands'],
        amounts: onFloor.map((it) => message`${it.placed.piece.name}, ${mass(it.mass)}`),
        hands: 10 + 5 * onFloor.length,
        after: below,
        cautions: ['stone', 'lifting'],
        holds: onFloor.map((it) => it.placed.piece.id),
      }),
    ];
  }

  // The ground, from the floor up; moss and litter wait for the plants.
  const drainage = layersOf(['drainage']);
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
          wanted: message`${length(it.thickness.frontLeft)} and ${length(it.thickness.backLeft)}`,
        })),
        holds: drainage.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  const barriers = layersOf(['barrier']);
  if (barriers.length > 0) {
    below = [
      add({
        id: 'barrier',
        phase: 'ground',
        title: 'Cut and lay the barrier',
        why: 'Soil that falls through fouls the water below.',
        tools: ['scissors', 'tape'],
        amounts: barriers.map((it) => message`${named(it)}`),
        hands: 25,
        after: below,
        cautions: ['cutting'],
        measures: [{ what: 'every edge and every pipe', wanted: message`no gap to see light through` }],
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
        amounts: wet ? [message`${tank(assessment.standingWater)} of water`] : [],
        hands: 30,
        wait: days(1, 1, 2),
        waitFor: 'the level to hold',
        after: below,
        cautions: ['pumps', 'electric', 'water'],
        measures: [
          {
            what: 'water level after a day',
            wanted: message`as high as before, less a finger’s breadth at most`,
          },
        ],
        holds: layersOf(['water']).flatMap((it) => materialsIn(it.layer)),
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
  const soils = layersOf(['substrate']);
  const moistened = soils.filter((it) => it.need && isMoistened(it.need));
  if (soils.length > 0) {
    add({
      id: 'mix',
      phase: 'ground',
      title: moistened.length > 0 ? 'Mix and moisten the soil' : 'Mix the soil',
      why:
        moistened.length > 0
          ? 'Dry soil floats and never wets evenly once it lies.'
          : 'Mixed in a tub it is one soil; poured in one after the other it is layers of dust.',
      tools: ['tub', 'measuring jug', 'gloves', 'mask'],
      amounts: soils.map((it) =>
        it.need && isMoistened(it.need)
          ? message`${named(it)}: ${tank(it.need.waterToMixIn)} of water`
          : message`${named(it)}: no water`,
      ),
      hands: 30 + 20 * soils.length,
      wait: animal?.ground.value === 'dry' ? days(2, 4, 7) : days(0, 1, 3),
      waitFor: 'moisture to spread; turn it daily',
      after: steps.some((it) => it.id === 'prepare') ? ['prepare'] : [],
      cautions: ['mixing', 'hygiene'],
      measures: moistened.slice(0, 1).map(() => ({
        what: 'a fistful, squeezed',
        wanted:
          ground.squeeze === 'strict'
            ? message`holds its shape and glistens, without a drop`
            : message`holds its shape, with a drop or two`,
      })),
      holds: soils.flatMap((it) => materialsIn(it.layer)),
    });
  }
  const bedded = layersOf(['substrate', 'thin']);
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
          wanted: message`${length(it.thickness.frontLeft)} and ${length(it.thickness.backLeft)}`,
        })),
        holds: bedded.flatMap((it) => materialsIn(it.layer)),
      }),
    ];
  }
  return below;
}
