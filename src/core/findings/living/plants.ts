import { findCrew, findPlant, LAW_WORK, lawsOf, materialOf, type Legal, type Plant } from '../../catalogue';
import { materialsIn } from '../../document/schema';
import { siteAt } from '../../ground/bodies';
import { asksForPots, heldAgainstDigging, pricks, treadOf } from '../../living/fit';
import { nearestLand, underWater } from '../../scape/land';
import { length, message, type Message } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

/** The plant taken out. */
const takenOut = (plant: string): Finding['remedies'][number] => ({
  label: message`Take it out`,
  call: { edit: 'removePlant', change: { plant } },
});

/** Nothing is planted in a box that lives by being planted. */
export const nothingPlanted: Rule = ({ design, animal }) =>
  design.living.plants.length > 0 || !animal
    ? []
    : [
        {
          code: 'nothing-planted',
          severity: 'note',
          place: { at: 'living' },
          what: message`No plants are chosen yet.`,
          because:
            animal.ground.value === 'dry'
              ? message`A few strong ones give shade and cover; a dry enclosure can do without.`
              : message`They hold moisture, give cover and take up what the crew leaves.`,
          // Without light nothing lives: that comes first.
          remedies:
            design.climate.devices.length > 0
              ? [
                  {
                    label: message`Plant it and introduce a crew`,
                    call: { edit: 'proposeLiving', change: {} },
                  },
                ]
              : [],
          basis: 'practice',
          routine: true,
        },
      ];

/** Plants of the soil that stand in a pool. */
export const plantsUnderWater: Rule = ({ design }) => {
  const spots = design.living.plants.filter(({ spot }) => spot.on === 'ground');
  if (spots.length === 0) return [];
  const site = siteAt(design);
  return spots.flatMap(({ id, name, spot }): Finding[] => {
    if (spot.on !== 'ground' || !underWater(site, spot.at)) return [];
    const at = nearestLand(design, site, spot.at);
    return [
      {
        code: 'plant-under-water',
        severity: 'look',
        place: { at: 'living', plant: id },
        what: message`The ${name} is planted in the water.`,
        because: message`Roots that grow in soil get no air there and rot.`,
        remedies: [
          ...(at
            ? [
                {
                  label: message`Plant it on the nearest land`,
                  call: {
                    edit: 'setPlant' as const,
                    change: { plant: id, change: { spot: { ...spot, at } } },
                  },
                },
              ]
            : []),
          takenOut(id),
        ],
        basis: 'practice',
      },
    ];
  });
};

/** Too little room over it; whether its roots find soil enough is part of its fit. */
export const plantRoom: Rule = ({ design, living }) =>
  living.plants.flatMap(({ planted, plant, z, height }) => {
    // What climbs follows its wall, and is cut back.
    if (!plant || plant.form === 'climber' || planted.spot.on !== 'ground') return [];
    const room = design.enclosure.height - z;
    if (height > room) {
      return [
        {
          code: 'plant-too-tall',
          severity: 'look' as const,
          place: { at: 'living' as const, plant: planted.id },
          what: message`The ${planted.name} is taller than the room over it.`,
          because: message`It stands ${length(height)} high under ${length(room)}. Take a smaller one, or cut it back.`,
          remedies: [takenOut(planted.id)],
          basis: 'computed' as const,
        },
      ];
    }
    return [];
  });

/** On what a plant is called harmful. */
const basisOfHarm = (plant: Plant | undefined): Pick<Finding, 'basis' | 'source'> =>
  plant
    ? { basis: plant.harm.basis, ...(plant.harm.source ? { source: plant.harm.source } : {}) }
    : { basis: 'practice' };

/** Poisonous to an animal that eats leaves. */
export const poisonous: Rule = ({ living, animal }) =>
  treadOf(animal).grazes
    ? living.plants
        .filter(({ plant }) => plant?.harm.value === 'toxic')
        .map(({ planted, plant }) => ({
          code: 'plant-poisonous',
          severity: 'severe' as const,
          place: { at: 'living' as const, plant: planted.id },
          what: message`The ${planted.name} is poisonous to eat.`,
          because: message`This species eats leaves.`,
          remedies: [takenOut(planted.id)],
          ...basisOfHarm(plant),
        }))
    : [];

/** Spines where an animal goes that they lodge in. */
export const spiny: Rule = ({ living, animal }) =>
  treadOf(animal).pricked
    ? living.plants
        .filter(({ plant }) => plant !== undefined && pricks(plant))
        .map(({ planted, plant }) => ({
          code: 'plant-spines',
          severity: 'look' as const,
          place: { at: 'living' as const, plant: planted.id },
          what:
            plant?.harm.value === 'glochids'
              ? message`The ${planted.name} has barbed hairs that lodge in skin, mouth and eyes.`
              : message`The ${planted.name} has spines that lodge in skin, mouth and eyes.`,
          because: message`An animal that climbs, flees or feeds there runs into them, and they do not come out by themselves.`,
          remedies: [takenOut(planted.id)],
          basis: 'practice' as const,
        }))
    : [];

/** How well roots must hold for a plant to stand free where it is dug. */
const HELD = 0.5;

/** Dug up unless its pot is sunk. */
export const dugUp: Rule = ({ design, animal, catalogue }) => {
  const tread = treadOf(animal);
  if (!asksForPots(tread)) return [];
  const loose = design.living.plants.filter(({ spot, kind }) => {
    const roots = findPlant(catalogue, kind)?.roots.value ?? 0;
    return spot.on === 'ground' && !spot.pot && roots > 0 && heldAgainstDigging(roots, tread) < HELD;
  });
  const [first] = loose;
  if (!first || first.spot.on !== 'ground') return [];
  return [
    {
      code: 'plant-dug-up',
      severity: 'look',
      place: { at: 'living', plant: first.id },
      what:
        loose.length === 1
          ? message`The ${first.name} stands free in soil that is dug over.`
          : message`${loose.length} plants stand free in soil that is dug over.`,
      because: message`Sunk in a pot its roots are kept.`,
      remedies: [
        {
          label: message`Sink it in a pot`,
          call: {
            edit: 'setPlant',
            change: { plant: first.id, change: { spot: { ...first.spot, pot: true } } },
          },
        },
      ],
      basis: 'practice',
    },
  ];
};

/** Plants and crew that are protected by law, or run wild where they are let out; soils made of protected plants. */
export const plantLaw: Rule = ({ design, catalogue, layers }) => {
  const { plants, crew } = design.living;
  const living = [
    ...[...new Set(plants.map((it) => it.kind))].map((kind) => findPlant(catalogue, kind)),
    ...crew.map((it) => findCrew(catalogue, it.kind)),
  ].flatMap((it) => it ?? []);
  const invasive = living.find((it) => lawsOf(it).includes('invasive'));
  const kept = living.find((it) => lawsOf(it).some((law) => law === 'protected' || law === 'certificate'));
  const soil = layers
    .flatMap(({ layer }) => materialsIn(layer))
    .map((id) => materialOf(catalogue, id))
    .find((it) => lawsOf(it).length > 0);
  const note = (
    code: string,
    at: 'living' | 'ground',
    law: Legal,
    what: Message,
    because: Message,
  ): Finding => ({
    code,
    severity: 'note',
    place: { at },
    what,
    because,
    remedies: [],
    basis: 'cited',
    source: LAW_WORK[law],
    routine: true,
  });
  return [
    ...(invasive
      ? [
          note(
            'plant-invasive',
            'living',
            'invasive',
            message`The ${invasive.english} runs wild where it is let out.`,
            message`In some places it may not be kept at all: ask the local authority. What is cut or culled goes into the freezer or the bin, never outside.`,
          ),
        ]
      : []),
    ...(kept
      ? [
          note(
            'plant-protected',
            'living',
            'protected',
            message`The ${kept.english} is commonly protected.`,
            message`Buy it propagated, with its papers; never from the wild.`,
          ),
        ]
      : []),
    ...(soil
      ? [
          note(
            'material-protected',
            'ground',
            'protected',
            message`${soil.name} comes of a protected plant.`,
            message`Tree ferns are in trade with papers only (CITES Appendix II): keep the seller’s, and ask the local authority before it crosses a border.`,
          ),
        ]
      : []),
  ];
};
