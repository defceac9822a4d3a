import { many } from '../../catalogue';
import { capital, length, percent, message, tank } from '../../units';
import type { Finding, Rule } from '../../finding/finding';

/** What backgrounds do to the box: room they take, traps behind them, what has still to cure. */
export const backgrounds: Rule = ({ design, scape, animal }) => {
  const found: Finding[] = [];
  const { girth } = scape.wants;
  for (const { back, kind, curing, airing } of scape.backs) {
    const { background } = back;
    const place = { at: 'scape', background: background.id } as const;
    const name = kind?.name ?? `unknown background “${background.kind}”`;
    if (!kind) {
      found.push({
        code: 'unknown-background',
        severity: 'look',
        place,
        what: message`${name} is not in the catalogue.`,
        because: message`Its amounts count as nothing until another kind is chosen.`,
        remedies: [],
        basis: 'computed',
      });
      continue;
    }
    if (background.gap > 0.002) {
      const trap = background.gap >= girth * 0.5;
      found.push({
        code: 'background-gap',
        severity: trap ? 'severe' : 'look',
        place,
        what: message`Behind the ${name.toLowerCase()} is a gap of ${length(background.gap)}.`,
        because: trap
          ? message`${animal ? capital(many(animal.english)) : 'A small animal'} of ${length(girth)} girth get in behind it and not out again. Pack it with sponge, or bond it to the wall.`
          : message`Prey and young animals end up behind it. Pack it, or seal it all round.`,
        remedies: [
          {
            label: message`Bond it to the wall`,
            call: {
              edit: 'setBackground',
              change: { background: background.id, change: { gap: 0 } },
            },
          },
        ],
        basis: 'practice',
      });
    }
    if (background.clearance > 0.004) {
      found.push({
        code: 'background-short',
        severity: background.clearance >= girth * 0.5 ? 'look' : 'note',
        place,
        what: message`The ${name.toLowerCase()} is cut ${length(background.clearance)} short at every edge.`,
        because: message`Too large is trimmed for an hour; too short leaves a gap in which something gets caught. ${length(0.002)} let a panel in.`,
        remedies: [
          {
            label: message`Cut it ${length(0.002)} short`,
            call: {
              edit: 'setBackground',
              change: { background: background.id, change: { clearance: 0.002 } },
            },
          },
        ],
        basis: 'practice',
      });
    }
    if (kind.id === 'living-wall' && animal?.ground.value === 'dry') {
      found.push({
        code: 'living-wall-dry',
        severity: 'look',
        place,
        what: message`A living wall keeps a dry enclosure wet.`,
        because: message`${capital(many(animal.english))} want dry air, and the moss wants rain.`,
        remedies: [
          {
            label: message`Take it out`,
            call: { edit: 'removeBackground', change: { background: background.id } },
          },
        ],
        basis: 'practice',
      });
    }
    if (background.finish === 'sealer' && background.coats < 3) {
      found.push({
        code: 'few-coats',
        severity: 'note',
        place,
        what: message`${background.coats === 1 ? 'One coat' : `${background.coats} coats`} of sealer will not last.`,
        because: message`3 to 5 are usual, dark first, lighter over it: claws and damp get through fewer.`,
        remedies: [
          {
            label: message`4 coats`,
            call: { edit: 'setBackground', change: { background: background.id, change: { coats: 4 } } },
          },
        ],
        basis: 'practice',
      });
    }
    if (background.finished === null && design.brief.stage !== 'inhabited' && curing.high > 0) {
      found.push({
        code: 'background-cures',
        severity: 'note',
        place,
        what: message`The ${name.toLowerCase()} takes ${Math.round(curing.low)} to ${Math.round(curing.high)} days to harden.`,
        because:
          airing.high > 0
            ? message`Then it airs until nothing smells after a night with the lid closed, commonly ${Math.round(airing.low)} to ${Math.round(airing.high)} days. Fumes meanwhile: open air or strong ventilation, gloves, and nothing alive in it.`
            : message`Fumes meanwhile: open air or strong ventilation, gloves, and nothing alive until nothing smells.`,
        remedies: [],
        basis: 'practice',
        routine: true,
      });
    }
    const bed = design.ground.layers.find((it) => it.kind === 'barrier');
    if (bed && background.bottom < 0.01) {
      found.push({
        code: 'background-through-barrier',
        severity: 'note',
        place,
        what: message`The ${name.toLowerCase()} stands on the floor, through drainage and barrier.`,
        because: message`The barrier is then cut ${length(background.thickness + background.gap)} shorter on that side, and turned up against the background instead of the glass. Begun above the barrier, the cloth closes on the glass.`,
        remedies: [],
        basis: 'practice',
      });
    }
  }
  const { inside } = scape;
  const lost = inside.lost / (design.enclosure.width * design.enclosure.depth * design.enclosure.height);
  if (lost > 0.12) {
    found.push({
      code: 'background-takes-room',
      severity:
        animal &&
        (inside.width < animal.space.value.width - 1e-6 || inside.depth < animal.space.value.depth - 1e-6)
          ? 'look'
          : 'note',
      place: { at: 'scape' },
      what: message`The backgrounds take ${percent(lost)} of the room inside.`,
      because: message`${tank(inside.lost)}; what is left is ${length(inside.width)} × ${length(inside.depth)}.`,
      remedies: [],
      basis: 'computed',
    });
  }
  return found;
};
