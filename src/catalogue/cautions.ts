import type { CautionStep } from '@/core/catalogue';

/** The caution of each step, shown once, where the step is. Rincon names who decides; it does not. */
export const CAUTIONS: Record<CautionStep, { readonly title: string; readonly text: string }> = {
  mixing: {
    title: 'Dust',
    text: 'Damp down sand, charcoal, perlite and dry coir before you pour; stone dust holds silica: wear a mask of class FFP2 or N95. Compost, castings and leaf mould can carry Legionella: open bags away from your face, and wash your hands. Gloves for sphagnum.',
  },
  curing: {
    title: 'Foam, silicone, sealer, epoxy',
    text: 'Fumes and skin contact: work outdoors or with strong ventilation, wear gloves and something over the eyes, no flame near by, read the label. Foam and some glues hold isocyanates, which sensitise: who has asthma leaves them to others. Nothing alive goes in before all of it has cured and nothing smells.',
  },
  stone: {
    title: 'Stone',
    text: 'On the floor of the enclosure or fixed, never on soil an animal can dig away: it crushes what lies below. Lay something thin and soft between stone and glass, and lift with two hands.',
  },
  electric: {
    title: 'Electricity near water',
    text: 'Residual-current protection of 30 mA, a drip loop in every cable, a thermostat on every heater, fittings rated for spray near mist, a guard over every bulb an animal can reach. A broken mercury lamp is aired and swept up, not vacuumed. Fixed wiring is for a licensed electrician, to the local code.',
  },
  pumps: {
    title: 'Pumps and filters',
    text: 'Unplug before hands or a hose go into the water. Never let them run dry, and keep the intake guarded.',
  },
  collecting: {
    title: 'Collecting and baking',
    text: 'Collect only with permission, where nothing is sprayed, and never a protected plant. No oleander, yew, cherry laurel, rhododendron, walnut, cedar or fresh conifer: they are poisonous. Not from where wild amphibians live: chytrid travels with soil and leaves. Bake leaves at low heat or boil them, and never leave them unattended.',
  },
  cutting: {
    title: 'Cutting',
    text: 'Wear eye protection when you cut a panel or drill for a drain. Toughened glass cannot be drilled.',
  },
  drilling: {
    title: 'Drilling',
    text: 'Eye protection and water on the drill. Toughened glass shatters when it is drilled: ask what the panes are, and let a glazier bore them.',
  },
  vents: {
    title: 'Sawing vents',
    text: 'Animals out before you saw. Wear eye protection and a mask, file the edges smooth and cover the opening with gauze before anything moves back in.',
  },
  sealing: {
    title: 'Sealer and resin',
    text: 'Fumes and skin contact: open air or strong ventilation, gloves, read the label. Full cure and no smell before life goes in.',
  },
  panes: {
    title: 'Water against glass',
    text: 'The pane check is an estimate, not a rating. The maker’s rating decides; test with plain water outdoors, and stand clear of a full enclosure that leaks.',
  },
  water: {
    title: 'Water',
    text: 'Fill it with plain water outdoors first and look for leaks. The maker’s rating of the enclosure decides what it may hold.',
  },
  lifting: {
    title: 'Lifting',
    text: 'Two people, and a stand and floor rated for the standing mass. Lift it empty.',
  },
  hygiene: {
    title: 'Hands',
    text: 'Wash your hands after soil, animals and thawed food: all can carry Salmonella. Not in the kitchen sink. Children under five, pregnant and immunocompromised people keep away from reptiles and amphibians, or ask a doctor first.',
  },
  mist: {
    title: 'Water that is sprayed',
    text: 'Warm water that stands in a bottle or a fogger grows Legionella: empty, rinse and dry it every week, fill it fresh, and keep your face out of the fog. Who has a weak immune system stays away from it.',
  },
  feeders: {
    title: 'Insects and their dust',
    text: 'Droppings, scales and shed skins of crickets, locusts, roaches, beetles and moths bring on asthma in time: a mask of class FFP2 or N95 and open air when tubs are cleaned, and none kept where people sleep. Who reacts to them leaves them to others, and asks a doctor. Lids closed: what gets out breeds in a warm house.',
  },
  cleaning: {
    title: 'Cleaning',
    text: 'Hot water first. Never bleach on urates or with anything sour: the gas is poisonous. No phenol and no pine oil; rinse until nothing smells.',
  },
  release: {
    title: 'Nothing alive leaves',
    text: 'Soil, water, crew and plants are frozen or baked and go into the bin, never outside or down a drain: they carry chytrid, among salamanders the one that kills them (Batrachochytrium salamandrivorans), and settle where they do not belong.',
  },
  law: {
    title: 'Permits',
    text: 'Some species are protected or need a permit. Ask the local authority before you buy.',
  },
};
