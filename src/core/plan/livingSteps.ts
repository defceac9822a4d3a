import { findDeviceKind, findPieceKind, findPlant } from '../catalogue';
import { materialsIn } from '../document/schema';
import type { PieceResult } from '../scape/scape';
import { bag, message } from '../units';
import { days, type Work } from './work';

/** Steps after which others may begin. */
export interface Filled {
  readonly fitted: readonly string[];
  readonly planted: readonly string[];
  /** Moss, litter, dishes: nothing more goes in but what lives. */
  readonly topped: readonly string[];
}

/** Wood and hides, lamps, plants, then moss and litter on top. */
export function livingSteps(work: Work, below: readonly string[]): Filled {
  const { design, catalogue, placed, add, layersOf, filled } = work;
  const { climate, living } = design;
  let set = [...below];
  // Wood, stone, hides; dishes and the like, which are forgotten until the end, are a step of their own.
  const small = (it: PieceResult): boolean =>
    it.uses.some((use) => ['drink', 'soak', 'feed', 'fly-cup', 'measure'].includes(use));
  const standing = placed.filter((it) => it.placed.on !== 'floor' && !small(it));
  if (standing.length > 0) {
    set = [
      add({
        id: 'scape',
        phase: 'scape',
        title: 'Set wood, cork and hides',
        why: 'Hides on both sides, perches at several heights, nothing that can fall.',
        tools: ['screws or silicone', 'level'],
        amounts: standing.map(({ placed: { piece }, fill }) =>
          fill > 1e-6 ? message`${piece.name}, filled with ${bag(fill)} of soil` : message`${piece.name}`,
        ),
        hands: 20 + 8 * standing.length,
        after: set,
        cautions: standing.some((it) => it.kind?.group === 'stone') ? ['stone'] : [],
        measures: [{ what: 'each piece, pushed with a finger', wanted: message`does not move` }],
        holds: standing.map((it) => it.placed.piece.id),
      }),
    ];
  }

  // Lamps, heat, mist.
  const { devices } = climate;
  let fitted: string[] = [];
  const sprays =
    design.climate.mist.by === 'nozzles' ||
    devices.some((it) => findDeviceKind(catalogue, it.kind)?.form === 'fogger');
  if (devices.length > 0) {
    fitted = [
      add({
        id: 'climate',
        phase: 'climate',
        title: 'Install lamps, heat and mist',
        why: 'Before planting, so that light and temperature are right from the first day.',
        tools: ['cable ties', 'timer', 'plug strip with residual-current protection'],
        amounts: devices.map((it) => message`${it.name}${it.power > 0 ? `, ${it.power} W` : ''}`),
        hands: 20 + 15 * devices.length,
        after: set,
        cautions: sprays ? ['electric', 'mist'] : ['electric'],
        holds: devices.map((it) => it.id),
      }),
    ];
  }

  // Plants, then moss and litter on top, the crew under them.
  const { plants } = living;
  // What is sown of a species that is no longer known is put in as anything else.
  const isSown = (it: (typeof plants)[number]): boolean =>
    it.sown && findPlant(catalogue, it.kind)?.sows !== undefined;
  const potted = plants.filter((it) => !isSown(it));
  let planted = set;
  if (potted.length > 0) {
    const fresh = potted.filter((it) => it.planted === null);
    const names = [...new Set(potted.map((it) => it.name))];
    const counts = names.map((name) => message`${name} × ${potted.filter((it) => it.name === name).length}`);
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
        hands: 15 + 6 * potted.length,
        after: [...set, ...fitted, ...waits],
        cautions: ['hygiene'],
        holds: potted.map((it) => it.id),
      }),
    ];
  }
  let topped = planted;
  const sown = plants.filter(isSown);
  if (sown.length > 0) {
    const names = [...new Set(sown.map((it) => it.name))];
    const kinds = sown.flatMap((it) => findPlant(catalogue, it.kind)?.sows?.value ?? []);
    const [low, high] = [
      Math.min(...kinds.map((it) => it.days.low)),
      Math.max(...kinds.map((it) => it.days.high)),
    ];
    topped = [
      add({
        id: 'sow',
        phase: 'living',
        title: 'Sow and spread what is not planted',
        why: 'Pieces of moss are chopped, stirred with rain water and brushed on; spores and fine seed are dusted on and left uncovered; coarser seed is pressed in. Film over it keeps it moist until it is green.',
        tools: ['brush', 'film', 'sprayer'],
        amounts: names.map((name) => message`${name} × ${sown.filter((it) => it.name === name).length}`),
        hands: 10 + 5 * sown.length,
        wait: days(low, Math.round((low + high) / 2), high),
        waitFor: 'green to be seen',
        after: topped,
        cautions: ['hygiene'],
        holds: sown.map((it) => it.id),
      }),
    ];
  }
  const moss = layersOf(['moss']);
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
  const litter = layersOf(['litter']);
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
        amounts: things.map((it) => message`${it.placed.piece.name}`),
        hands: 5 + 4 * things.length,
        after: topped,
        cautions: things.some((it) => findPieceKind(catalogue, it.placed.piece.kind)?.cable)
          ? ['electric']
          : [],
        holds: things.map((it) => it.placed.piece.id),
      }),
    ];
  }
  return { fitted, planted, topped };
}
