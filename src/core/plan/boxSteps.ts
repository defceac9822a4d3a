import { length, message } from '../units';
import { days, paced, type Work } from './work';

/** The empty box: built, bored, tested for leaks, its backgrounds cured, until nothing smells. Gives the last step. */
export function boxSteps({ design, assessment, wet, add }: Work): string {
  const { enclosure, ground } = design;
  // The box.
  let box: string[] = [];
  if (enclosure.material === 'timber' || enclosure.panels.some((it) => it.material === 'timber')) {
    box = [
      add({
        id: 'box',
        phase: 'box',
        title: 'Build the enclosure and seal it',
        why: 'Water that gets into board swells it from inside.',
        tools: ['saw', 'drill', 'brush', 'clamps'],
        hands: 360,
        wait: enclosure.made.seal === 'none' ? null : days(3, 7, 14),
        waitFor: 'the seal to harden and stop smelling',
        after: [],
        cautions: ['cutting', 'sealing'],
      }),
    ];
  }
  if (enclosure.made.bores.length > 0 || ground.outlet.kind === 'drain') {
    box = [
      add({
        id: 'bores',
        phase: 'box',
        title: 'Drill the holes',
        why: 'Later they would drop chips into the soil.',
        tools: ['drill', 'hole saw', 'water to cool it'],
        amounts: enclosure.made.bores.map((it) => message`${it.use}, ${length(it.diameter)} across`),
        hands: 30 + 10 * enclosure.made.bores.length,
        after: box,
        cautions: ['drilling'],
      }),
    ];
  }
  if (wet || enclosure.watertightHeight > 0) {
    box = [
      add({
        id: 'leak-test',
        phase: 'box',
        title: 'Fill it outdoors and leave it a day',
        why: 'A leak found now costs a towel.',
        tools: ['bucket', 'towel'],
        hands: 30,
        wait: days(1, 1, 2),
        waitFor: 'the seams to show whether they hold',
        after: box,
        cautions: wet ? ['water', 'lifting'] : ['lifting'],
        measures: [{ what: 'every seam and corner', wanted: message`dry to a paper towel` }],
      }),
    ];
  }

  // Backgrounds.
  const cured: string[] = [];
  for (const { back, kind, curing, cures } of assessment.scape.backs) {
    const { id, wall, thickness } = back.background;
    cured.push(
      add({
        id: `background-${id}`,
        phase: 'background',
        title: `Make the background of the ${wall} wall`,
        why: 'It needs the whole empty enclosure, and longest to stop smelling.',
        tools: ['gloves', 'knife', 'brush', 'silicone gun'],
        amounts: [
          message`${kind?.name ?? 'Background'}, ${length(back.width)} by ${length(back.height)}, ${length(thickness)} thick`,
          ...cures.map((it) => message`${it.step}`),
        ],
        hands: 60 + 90 * back.width * back.height * 4,
        wait: days(curing.low, (curing.low + curing.high) / 2, Math.max(curing.low, curing.high)),
        waitFor: 'every coat to cure',
        after: box,
        cautions: ['curing'],
        holds: [id],
      }),
    );
  }
  const [least, most] = assessment.scape.backs.reduce(
    ([low, high], { airing }) => [Math.max(low, airing.low), Math.max(high, airing.high)],
    [0, 0],
  );
  return add({
    id: 'smell',
    phase: 'background',
    title: 'Smell it after a night with the lid closed',
    why: 'What still smells still gives off what made it liquid.',
    hands: 5,
    // A night and a nose decide; how soon one first asks them is a matter of pace.
    wait:
      most > 0
        ? paced(design.plan.pace, days(2, least / 2, most))
        : cured.length > 0
          ? paced(design.plan.pace, days(1, 3, 14))
          : null,
    waitFor: 'nothing to smell',
    after: cured.length > 0 ? cured : box,
    measures: [{ what: 'air under the lid, in the morning', wanted: message`no smell at all` }],
    gate: 'smell',
  });
}
