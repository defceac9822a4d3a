import { findMaterial, many } from '../catalogue';
import type { Point } from '../document/schema';
import { length, percent, message, tank } from '../units';
import type { Finding, RuleContext, Rule } from '../finding/finding';

/** Small frogs drown in more than this, m (common practice). */
const SMALL_FROG_WATER = 0.015;
/** m of water a small frog is safe in (common practice). */
const SAFE = 0.01;
const SMALL_FROG = 0.045;

/** Regions that cannot be seen, pools that need an edge or a bowl, water too deep for small frogs. */
export const regions: Rule = (looked) => [
  ...looked.design.ground.regions.flatMap((region) => {
    const part = looked.ground.parts.find((it) => it.region?.id === region.id);
    if (part) return [];
    return [
      {
        code: 'region-hidden',
        severity: 'note' as const,
        place: { at: 'region' as const, region: region.id },
        what: message`${region.name} lies wholly under other regions.`,
        because: message`A later region covers an earlier one; nothing of it is counted.`,
        remedies: [
          {
            label: message`Lay it over the next`,
            call: { edit: 'orderRegion' as const, change: { region: region.id, by: 1 as const } },
          },
        ],
        basis: 'computed' as const,
      },
    ];
  }),
  ...looked.ground.parts.flatMap((part) => waterOf(looked, part)),
];

function waterOf(
  { design, animal, catalogue }: RuleContext,
  { region, stack }: RuleContext['ground']['parts'][number],
): Finding[] {
  const water = stack.find((it) => it.layer.kind === 'water');
  if (water?.layer.kind !== 'water') return [];
  const place = { at: 'layer', layer: water.layer.id } as const;
  const deepest = Math.max(...Object.values(water.thickness));
  const found: Finding[] = [];
  if (
    animal?.kind === 'frog' &&
    animal.length.value.high <= SMALL_FROG &&
    deepest > SMALL_FROG_WATER + 1e-6
  ) {
    found.push({
      code: 'pool-too-deep',
      severity: 'look',
      place,
      what: message`The water is deep for so small a frog.`,
      because: message`It stands ${length(deepest)} deep; ${many(animal.english)} are safe in about ${length(SAFE)}. Otherwise give them a way out at every edge.`,
      remedies: region
        ? [
            {
              label: message`Fill it with gravel to ${length(SAFE)} under the water`,
              call: { edit: 'shallowWater', change: { region: region.id, by: deepest - SAFE } },
            },
          ]
        : [],
      basis: 'practice',
    });
  }
  const wanted = animal?.pool?.value.depth;
  if (animal?.pool && wanted && !region && deepest < wanted.low - 0.005) {
    found.push({
      code: 'pool-shallow',
      severity: 'look',
      place,
      what: message`The water is shallow for what lives in it.`,
      because: message`It stands ${length(deepest)} deep; ${many(animal.english)} swim in ${length(wanted.low)} to ${length(wanted.high)}. The panel that carries the land must stand as much higher.`,
      remedies: [],
      basis: animal.pool.basis,
    });
  }
  if (!region) return found;
  const under = stack.slice(0, stack.indexOf(water));
  const lined = under.some(
    ({ layer }) => layer.kind === 'barrier' && findMaterial(catalogue, layer.material)?.tight === true,
  );
  if (lined) return found;
  if (water.layer.level !== null) {
    found.push({
      code: 'pool-wants-a-bowl',
      severity: 'note',
      place,
      what: message`This pool stands by itself and wants a bowl or a liner.`,
      because: message`Its ${tank(water.placed)} are kept at ${length(water.layer.level)}, apart from the ${length(design.ground.waterDepth)} in the bed. Without a bowl they run into it.`,
      remedies: [
        {
          label: message`Line it`,
          call: { edit: 'lineWater', change: { region: region.id } },
        },
        {
          label: message`Let it stand as high as the bed`,
          call: { edit: 'setWaterLevel', change: { layer: water.layer.id, level: null } },
        },
      ],
      basis: 'computed',
    });
  } else if (design.ground.method !== 'full-water') {
    const shore = shoreOf(design, region.outline);
    found.push({
      code: 'pool-edge',
      severity: 'note',
      place,
      what: message`The ground beside the pool must be held back.`,
      because: message`Its edge runs ${length(shore)} through the soil: stone, cork or a strip of liner keeps the soil out of ${tank(water.placed)} of water.`,
      remedies: [],
      basis: 'practice',
    });
  }
  return found;
}

/** Length of an outline that does not run along a wall, m. */
function shoreOf({ enclosure }: RuleContext['design'], outline: readonly Point[]): number {
  const { width, depth } = enclosure;
  const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-3;
  return outline.reduce((sum, a, index) => {
    const b = outline[(index + 1) % outline.length] ?? a;
    const along =
      (near(a.x, b.x) && (near(a.x, 0) || near(a.x, width))) ||
      (near(a.y, b.y) && (near(a.y, 0) || near(a.y, depth)));
    return along ? sum : sum + Math.hypot(b.x - a.x, b.y - a.y);
  }, 0);
}

/** More sunk into a layer than it can hold. */
export const sunkTooLarge: Rule = ({ layers, design }) =>
  layers.flatMap((it) => {
    const wanted = design.ground.sunk
      .filter((piece) => piece.layer === it.layer.id)
      .reduce((sum, piece) => sum + piece.volume, 0);
    if (wanted === 0 || wanted <= it.gross * 0.6) return [];
    return [
      {
        code: 'sunk-too-large',
        severity: 'look' as const,
        place: { at: 'layer' as const, layer: it.layer.id },
        what:
          wanted > it.gross
            ? message`More is sunk in this layer than it holds.`
            : message`Most of this layer is what is sunk in it.`,
        because: message`The pieces displace ${tank(wanted)}, ${percent(wanted / Math.max(it.gross, 1e-9))} of its ${tank(it.gross)}. Check their sunk volume: only what lies below the surface counts.`,
        remedies: [],
        basis: 'computed' as const,
      },
    ];
  });
