import type { Source } from '@/core/catalogue';

/**
 * Works that values and judgements name. Fetched when somebody looks, not with the page. `use`: what of the program itself
 * rests on it; what of the catalogue does is counted. A value marked *cited* is recalled, and to be checked in its work.
 */
export const works: readonly Source[] = [
  {
    id: 'carsel-parrish-1988',
    citation:
      'Carsel, R. F. & Parrish, R. S. 1988. Developing joint probability distributions of soil water retention characteristics. Water Resour. Res. 24: 755.',
  },
  {
    id: 'schaap-2001',
    citation:
      'Schaap, M. G., Leij, F. J. & van Genuchten, M. Th. 2001. ROSETTA: a computer program for estimating soil hydraulic parameters with hierarchical pedotransfer functions. J. Hydrol. 251: 163. Class means.',
  },
  {
    id: 'van-genuchten-1980',
    citation:
      'van Genuchten, M. Th. 1980. A closed-form equation for predicting the hydraulic conductivity of unsaturated soils. Soil Sci. Soc. Am. J. 44: 892.',
    use: 'water, air and flow in soil',
  },
  {
    id: 'yeager-bmp',
    citation:
      'Yeager, T. et al. Best Management Practices: Guide for Producing Nursery Crops. Southern Nursery Association.',
    use: 'bands of mixes that are watered',
  },
  {
    id: 'de-boodt-verdonck-1972',
    citation:
      'de Boodt, M. & Verdonck, O. 1972. The physical properties of the substrates in horticulture. Acta Hortic. 26: 37.',
    use: 'easily available water',
  },
  {
    id: 'scott-kilgour-1969',
    citation:
      'Scott, G. D. & Kilgour, D. M. 1969. The density of random close packing of spheres. J. Phys. D 2: 863.',
    use: 'space between beads',
  },
  {
    id: 'miller-1956',
    citation:
      'Miller, E. E. & Miller, R. D. 1956. Physical theory for capillary flow phenomena. J. Appl. Phys. 27: 324.',
    use: 'the curve of an ingredient that is finer or coarser than its likeness',
  },
  {
    id: 'en-13041',
    citation: 'EN 13041. Soil improvers and growing media. Determination of physical properties.',
    use: 'what the solids of soils weigh, organic and mineral',
  },
  {
    id: 'ferguson-2010',
    citation:
      'Ferguson, G. W. et al. 2010. Voluntary exposure of some western-hemisphere snake and lizard species to ultraviolet-B radiation in the field. Zoo Biology 29: 317.',
    use: 'the four UV zones',
  },
  {
    id: 'baines-2016',
    citation: 'Baines, F. et al. 2016. How much UV-B does my reptile need? J. Zoo Aquarium Research 4: 42.',
    use: 'bands of the UV zones (table 1)',
  },
  {
    id: 'nist-sp-811',
    citation: 'Thompson, A. & Taylor, B. N. 2008. Guide for the use of the SI. NIST SP 811, appendix B.',
    use: 'units',
  },
  {
    id: 'hse-l23',
    citation: 'Health and Safety Executive. Manual handling. Guidance on Regulations, L23.',
    use: 'what one or two people lift',
  },
  {
    id: 'ilo-r128',
    citation: 'International Labour Organization 1967. Maximum Weight Recommendation, R128.',
    use: 'what two people should not lift',
  },
  {
    id: 'nagy-2001',
    citation:
      'Nagy, K. A. 2001. Food requirements of wild animals: predictive equations for free-living mammals, reptiles, and birds. Nutr. Abstr. Rev. B 71: 21R.',
    use: 'what an animal eats, and so what it leaves',
  },
  {
    id: 'olson-1963',
    citation:
      'Olson, J. S. 1963. Energy storage and the balance of producers and decomposers in ecological systems. Ecology 44: 322.',
    use: 'how long leaves and wood last',
  },
  {
    id: 'thimijan-heins-1983',
    citation:
      'Thimijan, R. W. & Heins, R. D. 1983. Photometric, radiometric, and quantum light units of measure: a review. HortScience 18: 818.',
    use: 'lux of daylight, fluorescent and incandescent lamps to μmol',
  },
  {
    id: 'torres-lopez-ho238',
    citation:
      'Torres, A. P. & Lopez, R. G. Measuring daily light integral in a greenhouse. Purdue Extension HO-238-W.',
    use: 'classes of light for plants',
  },
  {
    id: 'emerson-1975',
    citation:
      'Emerson, K. et al. 1975. Aqueous ammonia equilibrium calculations. J. Fish. Res. Board Can. 32: 2379.',
    use: 'the share of ammonia that harms',
  },
  {
    id: 'brundrett-1990',
    citation: 'Brundrett, G. W. 1990. Criteria for moisture control. Butterworth.',
    use: 'moisture and mould in rooms',
  },
  {
    id: 'en-1991-1-1',
    citation:
      'EN 1991-1-1. Actions on structures. Densities, self-weight, imposed loads for buildings. Table 6.2.',
    use: 'what floors of dwellings are designed for',
  },
  {
    id: 'timoshenko-1959',
    citation:
      'Timoshenko, S. & Woinowsky-Krieger, S. 1959. Theory of Plates and Shells, 2nd ed. Tables of plates under water.',
    use: 'thickness of panes against water',
  },
  {
    id: 'iso-6946',
    citation:
      'ISO 6946. Building components and building elements. Thermal resistance and thermal transmittance.',
    use: 'heat through panes and boards',
  },
  {
    id: 'ashrae-fundamentals',
    citation: 'ASHRAE Handbook. Fundamentals.',
    use: 'moist air, heat transfer and air through openings',
  },
  {
    id: 'fao-56',
    citation: 'Allen, R. G. et al. 1998. Crop evapotranspiration. FAO Irrigation and Drainage Paper 56.',
    use: 'what plants and soil evaporate',
  },
  {
    id: 'cites',
    citation: 'Convention on International Trade in Endangered Species (CITES), Appendices I, II and III.',
    use: 'what is marked protected, or wants papers of its own',
  },
  {
    id: 'eu-1143-2014',
    citation: 'Regulation (EU) 1143/2014, Union list of invasive alien species, and lists of single states.',
    use: 'what is marked invasive',
  },
  {
    id: 'cfr-50-16',
    citation: 'United States, 50 CFR 16.14, injurious amphibians.',
    use: 'what is marked injurious',
  },
  {
    id: 'local-acts',
    citation: 'Acts of single states and towns on dangerous animals; the local authority names its own.',
    use: 'what is marked venomous',
  },
  {
    id: 'uetz',
    citation: 'Uetz, P. et al. (eds.) The Reptile Database, reptile-database.org.',
  },
  {
    id: 'frost',
    citation:
      'Frost, D. R. Amphibian Species of the World: an online reference. American Museum of Natural History.',
  },
  {
    id: 'oliveira-2017',
    citation:
      'Oliveira, B. F. et al. 2017. AmphiBIO, a global database for amphibian ecological traits. Sci. Data 4: 170123.',
  },
  {
    id: 'meiri-2018',
    citation: 'Meiri, S. 2018. Traits of lizards of the world. Global Ecol. Biogeogr. 27: 1168. Data table.',
  },
  {
    id: 'ttwg-2021',
    citation:
      'Turtle Taxonomy Working Group 2021. Turtles of the World: annotated checklist and atlas, 9th ed. Chelonian Res. Monogr. 8.',
  },
  {
    id: 'koehler-2005',
    citation: 'Köhler, G. 2005. Incubation of Reptile Eggs. Krieger. Tables by species.',
  },
  {
    id: 'world-spider-catalog',
    citation: 'World Spider Catalog. Natural History Museum Bern, wsc.nmbe.ch.',
  },
  {
    id: 'powell-2016',
    citation:
      'Powell, R., Conant, R. & Collins, J. T. 2016. Peterson Field Guide to Reptiles and Amphibians of Eastern and Central North America, 4th ed.',
  },
  {
    id: 'stebbins-2018',
    citation:
      'Stebbins, R. C. & McGinnis, S. M. 2018. Peterson Field Guide to Western Reptiles and Amphibians, 4th ed.',
  },
  {
    id: 'glaw-vences-2007',
    citation:
      'Glaw, F. & Vences, M. 2007. A Field Guide to the Amphibians and Reptiles of Madagascar, 3rd ed.',
  },
  { id: 'cogger-2014', citation: 'Cogger, H. G. 2014. Reptiles and Amphibians of Australia, 7th ed. CSIRO.' },
  {
    id: 'spawls-2018',
    citation:
      'Spawls, S., Howell, K., Hinkel, H. & Menegon, M. 2018. Field Guide to East African Reptiles, 2nd ed.',
  },
  {
    id: 'das-2010',
    citation: 'Das, I. 2010. A Field Guide to the Reptiles of South-East Asia. New Holland.',
  },
  {
    id: 'sparreboom-2014',
    citation: 'Sparreboom, M. 2014. Salamanders of the Old World. KNNV.',
  },
  {
    id: 'seufer-2005',
    citation: 'Seufer, H., Kaverkin, Y. & Kirschner, A. (eds.) 2005. The Eyelash Geckos. Kirschner & Seufer.',
  },
  {
    id: 'speybroeck-2016',
    citation:
      'Speybroeck, J. et al. 2016. Field Guide to the Amphibians and Reptiles of Britain and Europe. Bloomsbury.',
  },
  {
    id: 'savage-2002',
    citation: 'Savage, J. M. 2002. The Amphibians and Reptiles of Costa Rica. University of Chicago Press.',
  },
  {
    id: 'bauer-sadlier-2000',
    citation: 'Bauer, A. M. & Sadlier, R. A. 2000. The Herpetofauna of New Caledonia. SSAR.',
  },
  {
    id: 'du-preez-2017',
    citation: 'du Preez, L. & Carruthers, V. 2017. Frogs of Southern Africa: a complete guide. Struik.',
  },
  {
    id: 'loetters-2007',
    citation: 'Lötters, S., Jungfer, K.-H., Henkel, F. W. & Schmidt, W. 2007. Poison Frogs. Chimaira.',
  },
  { id: 'powo', citation: 'Plants of the World Online. Royal Botanic Gardens, Kew.' },
  {
    id: 'aspca',
    citation: 'ASPCA Animal Poison Control Center. Toxic and non-toxic plants list. By genus.',
  },
  {
    id: 'fountain-hopkin-2005',
    citation:
      'Fountain, M. T. & Hopkin, S. P. 2005. Folsomia candida (Collembola): a “standard” soil arthropod. Annu. Rev. Entomol. 50: 201.',
  },
  {
    id: 'boyko-isopods',
    citation:
      'Boyko, C. B. et al. World Marine, Freshwater and Terrestrial Isopod Crustaceans database, marinespecies.org/isopoda.',
  },
  {
    id: 'bellinger-collembola',
    citation:
      'Bellinger, P. F., Christiansen, K. A. & Janssens, F. Checklist of the Collembola of the World, collembola.org.',
  },
  {
    id: 'ashburner-1989',
    citation: 'Ashburner, M. 1989. Drosophila: a laboratory handbook. Cold Spring Harbor Laboratory Press.',
    use: 'how fast a culture of fruit flies comes on, cool and warm',
  },
];

/** How what is estimated was come by. */
export const rules: readonly Source[] = [
  {
    id: 'accounts',
    citation:
      'Between what accounts of the species tell, wide where they differ; no one work is recalled for it.',
  },
  {
    id: 'kin',
    citation: 'As of near relatives of its size.',
  },
  {
    id: 'lands',
    citation: 'Between the edges of the lands that checklists name for it, to about two degrees.',
  },
  {
    id: 'uv-by-habit',
    citation:
      'By its habit, as the zones are told apart: 1 in shade or at dusk, 2 in part sun, 3 in open sun, 4 in the midday sun.',
  },
  {
    id: 'light-class',
    citation:
      'By its class of light in a published table of extension (Purdue HO-238-W), wide where growers differ.',
  },
  {
    id: 'habitat',
    citation: 'By where it grows: shade or sun, wet ground, tree or rock.',
  },
  {
    id: 'roots-by-size',
    citation: 'By its form and how tall it grows.',
  },
  {
    id: 'doubling',
    citation: 'Set so that a culture in the forecast grows and dies back as breeders tell of it.',
  },
  {
    id: 'decay-warmed',
    citation:
      'Olson’s k as told of temperate woods, twice as large for each step as from a cool wood to a warm room.',
  },
  {
    id: 'balanced',
    citation: 'Solids times what is not pores, within a tenth of what they are made of (EN 13041).',
  },
  {
    id: 'fitted',
    citation:
      'A curve fitted to points of suction and water as told of such media; the points ship with the project.',
  },
  {
    id: 'fitted-bound',
    citation:
      'Fitted as the others, but the fit stands on its bound: the points do not tell how it goes on beyond them. Good at the points, rough between and outside.',
  },
  {
    id: 'labels',
    citation: 'The middle of what labels and data sheets of such goods print.',
  },
  {
    id: 'degree-days',
    citation:
      'A straight line of speed over temperature through the times breeders give at two temperatures.',
  },
  { id: 'volume', citation: 'From its size and what such stuff weighs.' },
];
