import { materialOf, type Catalogue, type Pack } from '../catalogue';
import type { Design } from '../document/schema';
import { length, mass, message, tank, type Message, bag } from '../units';
import type { LayerResult } from './layers';
import { blendOf, SQUEEZE } from './water';
import { single } from './mix';

/** Work on a material before it goes in, with what it comes to for this design. */
export interface Preparation {
  readonly code: 'brick' | 'sterilise' | 'microbes' | 'renewal';
  readonly title: Message;
  readonly text: Message;
}

/** A baking tray or a large pot takes so much loose litter, m³ (common practice). */
const BATCH = 0.004;
const MINUTES = 15;
/** Share of the mixing water squeezed from a mature filter (common practice). */
const STARTER = 0.05;
/** Depth of a yearly top-up, m: 2 to 5 cm (common practice). */
const TOP_UP = 0.03;

/**
 * Water a pressed brick takes up until it is as moist as the squeeze test wants it, m³, from its dry mass. A seventh of
 * its mass is water as it leaves the wrapper (common practice).
 */
export function brickWater(
  pack: Extract<Pack, { form: 'brick' }>,
  material: string,
  suction: number,
  catalogue: Catalogue,
): number {
  const row = materialOf(catalogue, material);
  const loose = pack.dryMass / row.density.value;
  const held = blendOf(single(material), catalogue)?.held(suction) ?? row.waterMoist.value;
  return Math.max(0, held * loose * (1 - row.settling.value) - row.waterReceived.value * loose);
}

export function preparationsOf(
  design: Design,
  layers: readonly LayerResult[],
  catalogue: Catalogue,
): Preparation[] {
  const { schools, squeeze } = design.ground;
  return [
    ...bricks(layers, SQUEEZE[squeeze], catalogue),
    ...sterilising(schools.collected, layers, catalogue),
    ...microbes(schools.microbes, layers),
    ...renewal(schools.renewal, layers),
  ];
}

function bricks(layers: readonly LayerResult[], suction: number, catalogue: Catalogue): Preparation[] {
  const wanted = new Set(layers.flatMap((it) => it.need?.ingredients.map((part) => part.material) ?? []));
  return [...wanted].flatMap((id) => {
    const row = materialOf(catalogue, id);
    const brick = row.packs.find((pack) => pack.form === 'brick');
    if (!brick) return [];
    return [
      {
        code: 'brick' as const,
        title: message`Soak the ${row.name.toLowerCase()}`,
        text: message`By its dry mass a ${mass(brick.dryMass)} brick gives ${bag(brick.dryMass / row.density.value)} loose and takes ${tank(brickWater(brick, id, suction, catalogue))} of water. Labels promise less water and ten minutes; give it an hour, warm water is quicker.`,
      },
    ];
  });
}

function sterilising(
  school: Design['ground']['schools']['collected'],
  layers: readonly LayerResult[],
  catalogue: Catalogue,
): Preparation[] {
  const loose = layers.reduce((sum, it) => {
    const own = it.need?.ingredients.filter((part) =>
      materialOf(catalogue, part.material).cautions.includes('collecting'),
    );
    return sum + (own ?? []).reduce((n, part) => n + part.loose, 0);
  }, 0);
  if (loose < 1e-6) return [];
  const batches = Math.ceil(loose / BATCH - 1e-9);
  const plural = batches === 1 ? '' : school === 'bake' ? 's' : 'fuls';
  const text =
    school === 'bake'
      ? message`${bag(loose)}: ${batches} tray${plural}, about ${MINUTES} minutes each at low heat, ${batches * MINUTES} in all. Stay with it.`
      : school === 'boil'
        ? message`${bag(loose)}: ${batches} pot${plural}, about ${MINUTES} minutes each, ${batches * MINUTES} in all. It loses its tannin and rots sooner.`
        : message`${bag(loose)} go in as they are, with all that lives in them: rinse, look through by hand, and take nothing from where animals of the same species live.`;
  const title =
    school === 'bake'
      ? message`Bake what you collect`
      : school === 'boil'
        ? message`Boil what you collect`
        : message`Leave what you collect alive`;
  return [{ code: 'sterilise', title, text }];
}

function microbes(
  school: Design['ground']['schools']['microbes'],
  layers: readonly LayerResult[],
): Preparation[] {
  const water = layers.reduce(
    (sum, it) => sum + (it.layer.kind === 'substrate' ? (it.need?.waterToMixIn ?? 0) : 0),
    0,
  );
  if (water < 1e-6) return [];
  return school === 'bring'
    ? [
        {
          code: 'microbes',
          title: message`Bring the bacteria in`,
          text: message`Let ${tank(water * STARTER)} of the ${tank(water)} to mix in be squeezed from a mature filter sponge, never from a tank with sick animals.`,
        },
      ]
    : [
        {
          code: 'microbes',
          title: message`Let the bacteria arrive`,
          text: message`Nothing to add: they come with soil, leaves and crew. Give them some weeks more before the animal.`,
        },
      ];
}

/** What keeping the soil going takes, by the school followed. */
function renewal(
  school: Design['ground']['schools']['renewal'],
  layers: readonly LayerResult[],
): Preparation[] {
  const soils = layers.filter((it) => it.layer.kind === 'substrate' && it.placed > 0 && it.need);
  // On top lies what is topped up: the highest soil of each part.
  const upper = soils.filter(
    (it) => !soils.some((other) => other.region === it.region && soils.indexOf(other) > soils.indexOf(it)),
  );
  const loose = (it: LayerResult, placed: number): number => ((it.need?.loose ?? 0) / it.placed) * placed;
  if (soils.length === 0) return [];
  if (school === 'replace') {
    const all = soils.reduce((sum, it) => sum + (it.need?.loose ?? 0), 0);
    const wet = soils.reduce((sum, it) => sum + it.wetMass, 0);
    return [
      {
        code: 'renewal',
        title: message`Replace it when it has broken down`,
        text: message`${bag(all)} loose, and ${mass(wet)} of old soil to carry out. Surer against waste that has gathered; the crew starts again.`,
      },
    ];
  }
  const more = upper.reduce((sum, it) => sum + loose(it, Math.min(it.placed, it.area * TOP_UP)), 0);
  return [
    {
      code: 'renewal',
      title: message`Top it up when it has broken down`,
      text: message`${bag(more)} loose for ${length(TOP_UP)} over the soil there is. Crew and roots stay; what has gathered stays too.`,
    },
  ];
}
