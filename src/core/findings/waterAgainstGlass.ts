import { length, message } from '../units';
import type { Rule } from '../finding/finding';

/** Under this, water asks nothing of a pane worth telling, m. */
const SHALLOW = 0.05;

/** Pane thickness under the water that is kept and under a flooded box. A check, never a rating. */
export const waterAgainstGlass: Rule = ({ design, panes }) => {
  if (!panes || panes.flooded < SHALLOW) return [];
  const { thickness } = panes;
  const place = { at: 'enclosure' } as const;
  const millimetres = Math.ceil(panes.neededFlooded * 1000) / 1000;
  const remedies = [
    {
      label: message`Take panes of ${length(millimetres)}`,
      call: {
        edit: 'setEnclosure',
        change: panes.own
          ? {
              panels: design.enclosure.panels.map((it) =>
                it.wall === panes.side ? { ...it, thickness: millimetres } : it,
              ),
            }
          : { wallThickness: millimetres },
      } as const,
    },
  ];
  if (panes.neededKept > thickness + 1e-6) {
    return [
      {
        code: 'panes-too-thin',
        severity: 'severe',
        place,
        what: message`The panes are too thin for this water.`,
        because: message`${length(panes.kept)} of water ask for ${length(panes.neededKept)} by calculation; they are ${length(thickness)}. This is a check only: the maker’s rating decides.`,
        remedies,
        basis: 'cited',
        source: 'timoshenko-1959',
      },
    ];
  }
  if (panes.neededFlooded > thickness + 1e-6) {
    return [
      {
        code: 'panes-thin-when-flooded',
        severity: 'look',
        place,
        what: message`Flooded to the brim, the panes are too thin.`,
        because: message`Filled as high as it holds, ${length(panes.flooded)}, it asks for ${length(panes.neededFlooded)} of glass; it has ${length(thickness)}. The maker’s rating decides.`,
        remedies,
        basis: 'cited',
        source: 'timoshenko-1959',
      },
    ];
  }
  return [
    {
      code: 'panes-hold',
      severity: 'fine',
      place,
      what: message`By calculation the panes hold the water.`,
      because: message`Filled as high as it holds, ${length(panes.flooded)}, it asks for ${length(panes.neededFlooded)}; the panes are ${length(thickness)}. A check only: the maker’s rating decides, and plain water outdoors proves it.`,
      remedies: [],
      basis: 'cited',
      source: 'timoshenko-1959',
    },
  ];
};
