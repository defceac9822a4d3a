import type { Design } from '../document/schema';
import type { Finding, Place } from '../finding/finding';
import { message, number, percent, tank, type Message } from '../units';
import { LEAST_BOTTLE, type Verdict } from './answer';
import { canisterFor, poursFor, soilNeeds, thirstiest } from './provisions';
import { seasonsWord } from './seasons';

/** Days under which a bottle is told of. */
const OFTEN = 3;

/** A fogger gives what its bottle holds, and no more: how often it is filled is part of whether a box holds. */
export function bottleFindings(verdict: Verdict, { climate }: Design): readonly Finding[] {
  return thirstiest(verdict).flatMap(({ device, season, perDay, days }): Finding[] => {
    const own = climate.devices.find((it) => it.id === device);
    if (!own || days >= OFTEN) return [];
    const tank_ = canisterFor(perDay);
    const lasts = (tank_ * 1000) / perDay;
    return [
      {
        code: 'fogger-bottle-small',
        severity: days < LEAST_BOTTLE ? 'look' : 'note',
        place: { at: 'climate', device },
        what:
          days < LEAST_BOTTLE
            ? message`${own.name} runs dry before the day is over: its bottle lasts ${number(24 * days, 0)} h ${seasonsWord([season])}.`
            : message`The bottle of ${own.name} lasts ${number(days, 1)} days ${seasonsWord([season])}.`,
        because: message`It gives ${tank(perDay / 1000)} a day, and the forecast counts on it running. Once it is dry the air is as dry as without it.`,
        remedies:
          lasts > days
            ? [
                {
                  label: message`Stand it in a canister of ${tank(tank_)}`,
                  call: { edit: 'setDevice', change: { device, change: { tank: tank_ } } },
                },
              ]
            : [],
        basis: 'computed',
      },
    ];
  });
}

/** Share of the water it was filled with and gives up under which the foot of a soil has dried out. */
const DRIED = 0.35;

/** Without drainage nothing but the jug brings water to the depth of a soil. */
export function soilFindings(verdict: Verdict, design: Design): readonly Finding[] {
  if (design.ground.method !== 'none') return [];
  const place: Place = { at: 'climate' };
  const needs = soilNeeds(verdict, design);
  const watering = poursFor(verdict, design);
  if (needs.length > 0 && watering) {
    const all = needs.reduce((sum, it) => sum + it.loses, 0);
    return [
      {
        code: 'soil-watering',
        severity: 'note',
        place,
        what: message`To stay as damp as it was filled, the soil takes ${tank((all * 7) / 1000)} a week from the jug.`,
        because: [
          ...needs.flatMap((it): Message =>
            it.end === 'warm'
              ? message`${tank((it.loses * 7) / 1000)} at the warm end. `
              : message`${tank((it.loses * 7) / 1000)} at the cool end. `,
          ),
          ...message`The forecast counts on it: without drainage nothing else brings water to its depth. Poured in a corner or down a tube it goes to the foot and leaves the top dry.`,
        ],
        remedies: [
          {
            label: message`Plan the watering`,
            call: { edit: 'setClimate', change: { watering } },
          },
        ],
        basis: 'computed',
      },
    ];
  }
  const halves = verdict.days.flatMap(({ season, soil }) => soil.map((it) => ({ season, ...it })));
  const dry = halves.filter((it) => it.filled > 0 && it.foot - it.bound < DRIED * (it.filled - it.bound));
  const [driest] = [...dry].sort((a, b) => a.foot - b.foot);
  const { watering: pours } = design.climate;
  return [
    ...(driest && pours !== null
      ? [
          {
            code: 'soil-dries-out',
            severity: 'note',
            place,
            what: message`The soil dries out to its foot ${seasonsWord(dry.map((it) => it.season))}.`,
            because: message`It comes to ${percent(driest.foot)} of water where it was filled with ${percent(driest.filled)}, and a den dug into it is as dry. More from the jug keeps it.`,
            remedies: [
              {
                label: message`Keep it as damp as it was filled`,
                call: { edit: 'setClimate', change: { watering: null } },
              },
            ],
            basis: 'computed',
          } satisfies Finding,
        ]
      : []),
  ];
}
