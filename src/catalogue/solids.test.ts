import { describe, expect, it } from 'vitest';
import { catalogue } from '.';

/**
 * Density of the solids themselves, kg/m³. Organic and mineral matter as the standard for growing media takes them (EN
 * 13041: 1550 and 2650, by the share of organic matter); single minerals by handbooks of mineralogy (from memory). What
 * has cells or bubbles that no water gets into within days counts with them: its solids seem lighter than they are.
 */
const ORGANIC = 1550;
const MINERAL = 2650;
const media = (organic: number): number => 1 / (organic / ORGANIC + (1 - organic) / MINERAL);
const CLOSED_WOOD = 1150;
const SOLIDS: Readonly<Record<string, number>> = {
  coir: media(0.95),
  'coir-loose': media(0.95),
  'coir-chips': media(0.97),
  'coir-fine': media(0.95),
  'coir-fibre': media(0.97),
  peat: media(0.97),
  'fibrous-peat': media(0.98),
  'tree-fern-fibre': media(0.95),
  'tree-fern-chunks': media(0.95),
  'long-fibre-sphagnum': media(0.98),
  'chopped-sphagnum': media(0.98),
  'leaf-mould': media(0.85),
  'rotted-wood': media(0.98),
  'flake-soil': media(0.95),
  'washed-manure': media(0.9),
  'composted-bark': media(0.95),
  'ready-forest': media(0.95),
  compost: media(0.45),
  'worm-castings': media(0.4),
  // Closed cells.
  'fine-orchid-bark': CLOSED_WOOD,
  'medium-orchid-bark': CLOSED_WOOD,
  'coarse-orchid-bark': CLOSED_WOOD,
  'bark-fines': CLOSED_WOOD,
  'cypress-chips': CLOSED_WOOD,
  'aspen-shavings': CLOSED_WOOD,
  'pine-needles': CLOSED_WOOD,
  'rice-hulls': CLOSED_WOOD,
  'crumbled-leaves': CLOSED_WOOD,
  charcoal: 1000,
  'fine-char': 1100,
  'cork-granules': 200,
  // Closed bubbles.
  perlite: 450,
  'pumice-5-12': 1950,
  'fine-pumice': 1950,
  // Minerals of their own.
  vermiculite: 2500,
  zeolite: 2200,
  diatomite: 2200,
  gypsum: 2320,
  'dolomite-lime': 2850,
  'oyster-shell': 2710,
  'limestone-grit': 2710,
  'basalt-dust': 2900,
  'fine-lava': 2750,
};

describe('the solids of a soil', () => {
  const rows = catalogue.materials.filter((it) => it.retention);
  it.each(rows.map((it) => [it.id, it] as const))(
    '%s: what it weighs settled over what is no pore is within a tenth of what it is made of',
    (id, row) => {
      const settled = row.density.value / (1 - row.settling.value);
      const solids = settled / (1 - row.retention!.value.saturated);
      expect(solids / (SOLIDS[id] ?? MINERAL)).toBeGreaterThan(0.9);
      expect(solids / (SOLIDS[id] ?? MINERAL)).toBeLessThan(1.1);
    },
  );

  it('is asked of every soil there is', () => {
    expect(rows.length).toBeGreaterThanOrEqual(59);
    const ids = new Set(rows.map((it) => it.id));
    expect(Object.keys(SOLIDS).filter((it) => !ids.has(it))).toEqual([]);
  });
});
