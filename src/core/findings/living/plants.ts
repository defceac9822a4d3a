import { findPlant } from '../../catalogue';
import { asksForPots, heldAgainstDigging, treadOf } from '../../living/fit';
import { length, say } from '../../units';
import type { Rule } from '../finding';

/** Nothing is planted in a box that lives by being planted. */
export const nothingPlanted: Rule = ({ design, animal }) =>
  design.living.plants.length > 0 || !animal
    ? []
    : [
        {
          code: 'nothing-planted',
          severity: 'note',
          place: { at: 'living' },
          what: say`No plants are chosen yet.`,
          because:
            animal.ground.value === 'dry'
              ? say`A few strong ones give shade and cover; a dry enclosure can do without.`
              : say`They hold moisture, give cover and take up what the crew leaves.`,
          // Without light nothing lives: that comes first.
          remedies:
            design.climate.devices.length > 0
              ? [{ label: say`Plant it and introduce a crew`, call: { edit: 'proposeLiving', change: {} } }]
              : [],
          basis: 'practice',
          routine: true,
        },
      ];

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
          what: say`The ${planted.name} is taller than the room over it.`,
          because: say`It stands ${length(height)} high under ${length(room)}. Take a smaller one, or cut it back.`,
          remedies: [
            {
              label: say`Take it out`,
              call: { edit: 'removePlant' as const, change: { plant: planted.id } },
            },
          ],
          basis: 'computed' as const,
        },
      ];
    }
    return [];
  });

/** Poisonous to an animal that eats leaves. */
export const poisonous: Rule = ({ living, animal }) =>
  treadOf(animal).grazes
    ? living.plants
        .filter(({ plant }) => plant?.harm.value === 'toxic')
        .map(({ planted }) => ({
          code: 'plant-poisonous',
          severity: 'severe' as const,
          place: { at: 'living' as const, plant: planted.id },
          what: say`The ${planted.name} is poisonous to eat.`,
          because: say`This species eats leaves.`,
          remedies: [
            {
              label: say`Take it out`,
              call: { edit: 'removePlant' as const, change: { plant: planted.id } },
            },
          ],
          basis: 'memory' as const,
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
          ? say`The ${first.name} stands free in soil that is dug over.`
          : say`${loose.length.toFixed(0)} plants stand free in soil that is dug over.`,
      because: say`Sunk in a pot its roots are kept.`,
      remedies: [
        {
          label: say`Sink it in a pot`,
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

/** Protected by law, or runs wild where it is let out. */
export const plantLaw: Rule = ({ design, catalogue }) => {
  const rows = [...new Set(design.living.plants.map((it) => it.kind))].flatMap((kind) => {
    const row = findPlant(catalogue, kind);
    return row?.legal ? [row] : [];
  });
  const invasive = rows.filter((it) => it.legal === 'invasive');
  const kept = rows.filter((it) => it.legal === 'protected');
  return [
    ...(invasive[0]
      ? [
          {
            code: 'plant-invasive',
            severity: 'note' as const,
            place: { at: 'living' as const },
            what: say`The ${invasive[0].english} runs wild where it is let out.`,
            because: say`In some places it may not be kept at all: ask the local authority. Cuttings go into the freezer or the bin, never outside.`,
            remedies: [],
            basis: 'memory' as const,
            routine: true as const,
          },
        ]
      : []),
    ...(kept[0]
      ? [
          {
            code: 'plant-protected',
            severity: 'note' as const,
            place: { at: 'living' as const },
            what: say`The ${kept[0].english} is commonly protected.`,
            because: say`Buy it propagated, with its papers; never from the wild.`,
            remedies: [],
            basis: 'memory' as const,
            routine: true as const,
          },
        ]
      : []),
  ];
};
