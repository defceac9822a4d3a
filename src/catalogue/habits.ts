import type { Animal } from '@/core/catalogue';
import { memory, range } from './basis';

type Climbs = NonNullable<Animal['climbs']>['value'];

/**
 * What a kind asks of the place it lives in, from memory: how thick its body is (m), whether it keeps under cover,
 * whether it wants a moist hide besides, how thick the branches are it sits on (m), and what it can go up.
 */
const rows: Record<string, readonly [number, boolean, boolean, readonly [number, number] | null, Climbs]> = {
  'theloderma-corticale': [0.03, true, false, [0.02, 0.08], 'glass'],
  'dendrobates-tinctorius': [0.02, false, false, null, 'glass'],
  'goniurosaurus-hainanensis': [0.02, true, true, null, 'rough'],
  'hemitheconyx-caudicinctus': [0.035, true, true, null, 'poorly'],
  'correlophus-ciliatus': [0.025, true, false, [0.015, 0.04], 'glass'],
  'anolis-carolinensis': [0.015, false, false, [0.008, 0.025], 'glass'],
  'pogona-vitticeps': [0.09, false, false, [0.05, 0.12], 'rough'],
  'teratoscincus-scincus': [0.03, true, true, null, 'poorly'],
  'varanus-acanthurus': [0.045, true, true, null, 'rough'],
  'eryx-colubrinus': [0.03, true, true, null, 'poorly'],
  'pantherophis-guttatus': [0.035, true, true, [0.02, 0.06], 'rough'],
  'cynops-orientalis': [0.015, false, false, null, 'glass'],
  'ranitomeya-imitator': [0.01, false, false, [0.006, 0.02], 'glass'],
  'agalychnis-callidryas': [0.03, false, false, [0.01, 0.03], 'glass'],
  'ceratophrys-cranwelli': [0.08, true, false, null, 'poorly'],
  'bombina-orientalis': [0.025, false, false, null, 'poorly'],
  'ambystoma-tigrinum': [0.035, true, true, null, 'poorly'],
  'lepidodactylus-lugubris': [0.01, true, false, [0.006, 0.02], 'glass'],
  'phelsuma-grandis': [0.03, false, false, [0.02, 0.05], 'glass'],
  'eublepharis-macularius': [0.035, true, true, null, 'poorly'],
  'chalcides-ocellatus': [0.025, true, true, null, 'poorly'],
  'lampropeltis-californiae': [0.03, true, true, null, 'rough'],
  'thamnophis-sirtalis': [0.025, true, false, null, 'rough'],
  'furcifer-pardalis': [0.06, true, false, [0.008, 0.03], 'rough'],
};

/** Those values of a kind, as they stand in its row; nothing for a kind not listed. */
export function habitsOf(id: string): Pick<Animal, 'girth' | 'shy' | 'moistHide' | 'perch' | 'climbs'> {
  const row = rows[id];
  if (!row) return {};
  const [girth, shy, moistHide, perch, climbs] = row;
  return {
    girth: memory(girth),
    shy: memory(shy),
    moistHide: memory(moistHide),
    ...(perch ? { perch: memory(range(...perch)) } : {}),
    climbs: memory(climbs),
  };
}
