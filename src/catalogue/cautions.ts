import type { CautionStep } from '@/core/catalogue';

/** The caution of each step, shown once, where the step is. Rincon names who decides; it does not. */
export const CAUTIONS: Record<CautionStep, { readonly title: string; readonly text: string }> = {
  mixing: {
    title: 'Dust',
    text: 'Damp down sand, charcoal, perlite and dry coir before you pour, and wear a mask.',
  },
  curing: {
    title: 'Foam, silicone, sealer, epoxy',
    text: 'Fumes and skin contact: work outdoors or with strong ventilation, wear gloves, read the label. Nothing alive goes in before all of it has cured and nothing smells.',
  },
  stone: {
    title: 'Stone',
    text: 'On the floor of the enclosure or fixed, never on soil an animal can dig away: it crushes what lies below. Lay something thin and soft between stone and glass, and lift with two hands.',
  },
  electric: {
    title: 'Electricity near water',
    text: 'Residual-current protection, a drip loop in every cable, a thermostat on every heater. Fixed wiring is for a licensed electrician, to the local code.',
  },
  pumps: {
    title: 'Pumps and filters',
    text: 'Unplug before hands or a hose go into the water. Never let them run dry, and keep the intake guarded.',
  },
  collecting: {
    title: 'Collecting and baking',
    text: 'Collect only with permission, where nothing is sprayed, and never a protected plant. Bake leaves at low heat or boil them, and never leave them unattended.',
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
    text: 'Wash your hands after soil and animals: both can carry Salmonella. Small children, pregnant and immunocompromised people ask a doctor first.',
  },
  law: {
    title: 'Permits',
    text: 'Some species are protected or need a permit. Ask the local authority before you buy.',
  },
};
