import type { Enclosure } from '@/core/document';

type Board = Enclosure['made']['board'];
type Seal = Enclosure['made']['seal'];

/** Which wood, and what it asks for (common practice). */
export const BOARDS: Record<Board, { readonly name: string; readonly text: string }> = {
  'birch-plywood': {
    name: 'birch plywood',
    text: 'Takes resin and varnish evenly; seal the cut edges twice, they drink.',
  },
  'softwood-plywood': { name: 'softwood plywood', text: 'Rough and knotty: sand, prime thin, then seal.' },
  melamine: {
    name: 'melamine-faced board',
    text: 'Its faces keep water out, its edges swell: run silicone into every joint and seal each cut.',
  },
  osb: {
    name: 'oriented strand board',
    text: 'Open and splintery: two thin coats of resin to fill it, then the coats below.',
  },
  'solid-softwood': {
    name: 'solid softwood',
    text: 'Moves with the seasons, so a stiff coat cracks: varnish, or a liner.',
  },
};

/** What keeps the wet out, and why one would choose it (common practice). */
export const SEALS: Record<Seal, { readonly name: string; readonly text: string }> = {
  none: { name: 'nothing', text: 'For dry enclosures with a tray only.' },
  varnish: { name: 'water-based varnish', text: 'Three coats against splashes; not for standing water.' },
  epoxy: { name: 'epoxy resin', text: 'Two coats, watertight and hard; fumes until it has cured for weeks.' },
  liner: { name: 'pond liner', text: 'Folded up the walls, no fumes, can be replaced; hide its folds.' },
};
