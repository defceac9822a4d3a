import type { Source } from '@/core/catalogue';

export const sources: Source[] = [
  {
    id: 'carsel-parrish-1988',
    citation:
      'Carsel, R. F. & Parrish, R. S. 1988. Developing joint probability distributions of soil water retention characteristics. Water Resour. Res. 24: 755.',
  },
  {
    id: 'van-genuchten-1980',
    citation:
      'van Genuchten, M. Th. 1980. A closed-form equation for predicting the hydraulic conductivity of unsaturated soils. Soil Sci. Soc. Am. J. 44: 892.',
  },
  {
    id: 'yeager-bmp',
    citation:
      'Yeager, T. et al. Best Management Practices: Guide for Producing Nursery Crops. Southern Nursery Association.',
  },
  {
    id: 'de-boodt-verdonck-1972',
    citation:
      'de Boodt, M. & Verdonck, O. 1972. The physical properties of the substrates in horticulture. Acta Hortic. 26: 37.',
  },
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
  {
    id: 'nagy-2001',
    citation:
      'Nagy, K. A. 2001. Food requirements of wild animals: predictive equations for free-living mammals, reptiles, and birds. Nutr. Abstr. Rev. B 71: 21R.',
  },
];
