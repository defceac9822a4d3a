import type { Basis } from '@/core/catalogue';
import type { Layer, LayerKind, Method, Stage } from '@/core/design';
import type { Severity } from '@/core/findings';

/** What things are called on screen. */
export const BASIS_WORD: Record<Basis | 'computed', string> = {
  published: 'published',
  practice: 'common practice',
  memory: 'from memory',
  computed: 'computed',
};

export const SEVERITY_WORD: Record<Severity, string> = {
  severe: 'Mend this',
  look: 'Look at this',
  note: 'Good to know',
  fine: 'Fine',
};

export const METHOD_WORD: Record<Method, { readonly name: string; readonly why: string }> = {
  'bead-bed': { name: 'Bead bed', why: 'Water waits under the soil. For wet boxes.' },
  'raised-panel': { name: 'Raised panel', why: 'Lighter, and holds more water per centimetre.' },
  none: { name: 'No drainage', why: 'Damp below, dry on top. For dry and temperate boxes.' },
};

export const STAGE_WORD: Record<Stage, string> = {
  planned: 'planned',
  building: 'being built',
  curing: 'curing',
  'growing-in': 'growing in',
  inhabited: 'lived in',
};

export const KIND_WORD: Record<LayerKind, string> = {
  drainage: 'Drainage',
  barrier: 'Barrier',
  substrate: 'Soil',
  thin: 'Thin layer',
  moss: 'Moss',
  litter: 'Leaf litter',
};

/** A layer's name: a soil's own, otherwise its kind and material. */
export function layerName(layer: Layer, material: string): string {
  switch (layer.kind) {
    case 'substrate':
      return layer.name;
    case 'drainage':
    case 'barrier':
      return `${KIND_WORD[layer.kind]} · ${lower(material)}`;
    default:
      return material;
  }
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** One animal or several: “3 green anoles”. */
export const counted = (count: number, name: string): string => (count === 1 ? name : `${count} ${name}s`);
