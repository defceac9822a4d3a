import type { Source } from '@/core/catalogue';

export const sources: Source[] = [
  {
    id: 'scott-kilgour-1969',
    citation:
      'Scott, G. D. & Kilgour, D. M. 1969. The density of random close packing of spheres. J. Phys. D 2: 863.',
  },
  {
    id: 'ferguson-2010',
    citation:
      'Ferguson, G. W. et al. 2010. Voluntary exposure of some western-hemisphere snake and lizard species to ultraviolet-B radiation in the field. Zoo Biology 29: 317.',
  },
  {
    id: 'baines-2016',
    citation: 'Baines, F. et al. 2016. How much UV-B does my reptile need? J. Zoo Aquarium Research 4: 42.',
  },
  {
    id: 'nist-sp-811',
    citation: 'Thompson, A. & Taylor, B. N. 2008. Guide for the use of the SI. NIST SP 811, appendix B.',
  },
  { id: 'hse-l23', citation: 'Health and Safety Executive. Manual handling. Guidance on Regulations, L23.' },
];
