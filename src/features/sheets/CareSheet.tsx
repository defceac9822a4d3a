'use client';

import Box from '@mui/material/Box';
import { CAUTIONS } from '@/catalogue';
import { animalOn, restOf, restPhase, type RestPhase } from '@/core/brief';
import { CARE_GROUPS, careOf, isInSeason, isPaused, type CareGroup, type CareRule } from '@/core/care';
import { clock } from '@/core/units';
import { findAnimal, findDeviceKind, type Animal, type Range } from '@/core/catalogue';
import { capital, length, light, mass, percent, spanned, temperature, type Quantity } from '@/core/units';
import { ANSWER_WORDS, lineOf, wordOf } from '@/core/verdict';
import { useBeside, useOpenDesign, useStore } from '@/store';
import { dayWords } from '@/ui/days';
import { useReader } from '@/ui/units';
import { useToday } from '@/ui/useToday';
import { animalsWord } from '@/ui/words';
import { whenWords } from '@/ui/whenWords';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import { Blank, Paper } from './Paper';

const GROUP_WORD: Record<CareGroup, string> = {
  look: 'Every day',
  water: 'Water',
  food: 'Food',
  clean: 'Cleaning',
  plants: 'Plants and soil',
  crew: 'Crew',
  equipment: 'Lamps, heat, mist',
  animal: 'The animal',
  records: 'Records',
};

const REST_SAID: Record<RestPhase, (until: string) => string> = {
  fasts: (until) => `Its winter rest begins ${until}: it is not fed.`,
  cools: (until) => `It is being cooled for its winter rest until ${until}: it is not fed.`,
  rests: (until) => `It is at its winter rest until ${until}: it is not fed, handled or woken.`,
  wakes: (until) => `It wakes from its winter rest, and is fed from ${until}.`,
};

/** What whoever looks after it needs to know: who lives there, what is right, what is due, what is an emergency. */
export function CareSheet() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { write, tell: told } = useReader();
  const { verdict } = useOpenVerdict();
  const animal = findAnimal(catalogue, design.brief.animal);
  const today = useToday();
  const rest = restPhase(restOf(design, animal), today);
  // What is right is what it wants now: at rest it wants other air.
  const here = animalOn(design, catalogue, today);
  const isAway = animal !== undefined && here === undefined;
  const now = here ?? animal;
  // As its keeper has it: with what he added and changed, without what rests.
  const rules = careOf(design, catalogue, useBeside(today)).filter(
    (it) => !isPaused(it, today) && isInSeason(it, today),
  );
  const { climate, enclosure } = design;
  const band = ({ low, high }: Range, unit: (value: number) => Quantity): string =>
    spanned(write(unit(low), { trim: true }), write(unit(high), { trim: true }));
  const switched = climate.devices.map((it) => {
    const kind = findDeviceKind(catalogue, it.kind);
    const held = it.thermostat
      ? ` (thermostat ${it.thermostat.day === null ? 'off' : write(temperature(it.thermostat.day))} by day, ${it.thermostat.night === null ? 'off' : write(temperature(it.thermostat.night))} by night)`
      : '';
    return `${it.name || (kind?.name ?? it.kind)}${held}`;
  });
  const bands = now && [
    ...(now.climate.basking
      ? [['Basking spot, its surface', band(now.climate.basking.value, temperature)] as const]
      : []),
    ['Warm side by day', band(now.climate.warm.value, temperature)] as const,
    ['Cool side by day', band(now.climate.cool.value, temperature)] as const,
    ['At night', band(now.climate.night.value, temperature)] as const,
    [
      'Humidity by day, and by night',
      `${band(now.climate.humidityDay.value, percent)}; ${band(now.climate.humidityNight.value, percent)}`,
    ] as const,
  ];
  const right = [
    ...(bands ?? []),
    [
      'Light',
      climate.day.by === 'clock'
        ? `from ${clock(climate.day.on)} to ${clock(climate.day.off)}, by timer`
        : 'as long as the day where it comes from, by timer',
    ] as const,
    ['What is switched on', switched.join('; ') || 'nothing'] as const,
  ];
  const title = animal ? `${design.name}: ${animalsWord(design.brief.count, animal.english)}` : design.name;
  const code = codeText(title, [
    ...(animal ? [animal.scientific] : []),
    ...(bands ?? []).map(([what, value]) => `${what}: ${value}`),
    ...rules
      .filter((it) => it.group === 'look' || it.group === 'food' || it.group === 'water')
      .map((it) => `${it.what}: ${whenWords(it.when)}`),
  ]);
  return (
    <Paper
      kicker="Care sheet"
      title={title}
      code={{ holds: code, words: 'In short, for any phone: scan it, no network needed' }}
      lines={[
        ...(animal
          ? [
              ...(rest
                ? [
                    isAway
                      ? `It rests somewhere else until ${dayWords(rest.until)}: it is not fed, handled or woken, and looked at every week.`
                      : REST_SAID[rest.phase](dayWords(rest.until)),
                  ]
                : []),
              `${animal.scientific}, grown ${band(animal.length.value, length)} long, ${band(animal.mass.value, animal.mass.value.high < 2 ? light : mass)}`,
              activeWords(animal),
            ]
          : ['No animal yet']),
        `${ANSWER_WORDS[wordOf(verdict)]}: ${told(lineOf(verdict))}`,
        `Written ${dayWords(today)}. Enclosure ${write(length(enclosure.width))} × ${write(length(enclosure.depth))} × ${write(length(enclosure.height))}, ${write(mass(assessment.standingMass))}: not to be moved by one.`,
      ]}
    >
      {animal && now && (
        <>
          <h3>{isAway ? 'What is right once it is back' : 'What is right'}</h3>
          <table>
            <colgroup>
              <col style={{ width: '34%' }} />
            </colgroup>
            <tbody>
              {right.map(([what, value]) => (
                <tr key={what}>
                  <td>{what}</td>
                  <td>{value}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="quiet">
            Outside these for an hour or two is no emergency. For half a day it is: see below.
          </div>
        </>
      )}

      <h3>What is due</h3>
      <table>
        <thead>
          <tr>
            <th style={{ width: '34%' }}>What</th>
            <th style={{ width: '22%' }}>When</th>
            <th>How, and why</th>
          </tr>
        </thead>
        <tbody>
          {CARE_GROUPS.flatMap((group) => {
            const own = rules.filter((it) => it.group === group);
            return own.length === 0
              ? []
              : [
                  <tr key={group}>
                    <td
                      colSpan={3}
                      className="quiet"
                      style={{ fontWeight: 600, fontSize: '0.78rem', paddingTop: 8 }}
                    >
                      {GROUP_WORD[group]}
                    </td>
                  </tr>,
                  ...own.map((it) => <RuleRow key={it.id} rule={it} words={told(it.amount)} />),
                ];
          })}
        </tbody>
      </table>

      <h3>Never</h3>
      <ul>
        <li>In direct sun, not for a minute: a glass enclosure overheats.</li>
        <li>Sprays, candles, paint or cleaners in the room.</li>
        <li>Anything collected outdoors as food.</li>
        <li>
          Let anything go: animals, crew, plants and soil never get outdoors. Freeze or bin what is left over.
        </li>
        {animal?.growing?.handling.value === 'never' && <li>Handle it: it is looked at, not held.</li>}
        {animal?.growing?.handling.value === 'rarely' && (
          <li>Handle it but when it must be: it is easily upset.</li>
        )}
        <li>More food because it begs, or a meal to make up for a missed one.</li>
      </ul>

      <h3>Call the veterinarian at once</h3>
      <div>
        {emergencies(animal).join('; ')}. Rincon gives no medical advice: a qualified veterinarian decides,
        also about every medicine.
      </div>

      <h3>When the power fails</h3>
      <div>
        Leave the enclosure shut: soil and glass hold their heat for hours. Cover it with a blanket against
        cold, never over a lamp that may come on again. In heat open it, mist, and carry it to the coolest
        room if two can. Call the keeper.
      </div>

      <h3>Who to ask</h3>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, columnGap: 4 }}>
        <Blank label="Keeper" />
        <Blank label="Telephone" />
        <Blank label="Veterinarian" />
        <Blank label="Telephone" />
        <Blank label="Food stands" />
        <Blank label="Fuse and plug" />
      </Box>
      <Box sx={{ mt: 1.5, breakInside: 'avoid' }}>
        <strong>{CAUTIONS.hygiene.title}.</strong> {CAUTIONS.hygiene.text}
      </Box>
      {design.brief.note !== '' && (
        <>
          <h3>Note of the keeper</h3>
          <div style={{ whiteSpace: 'pre-wrap' }}>{design.brief.note}</div>
        </>
      )}
    </Paper>
  );
}

/** Bytes a code on paper holds that an ordinary phone still reads at the size it is printed. */
const CODE_BYTES = 480;

/** Lines as a phone shows them when it scans the code: as many as go in, whole ones only. */
function codeText(title: string, lines: readonly string[]): string {
  const size = (text: string): number => new TextEncoder().encode(text).length;
  return lines.reduce(
    (text, line) => {
      const longer = `${text}\n${line}`.replaceAll('\u00a0', ' ');
      return size(longer) > CODE_BYTES ? text : longer;
    },
    title.slice(0, 120),
  );
}

function RuleRow({ rule, words }: { readonly rule: CareRule; readonly words: string }) {
  return (
    <tr>
      <td style={{ fontWeight: 600 }}>{rule.what}</td>
      <td>{whenWords(rule.when)}</td>
      <td>
        {words !== '' && `${capital(words)}. `}
        <span className="quiet">{rule.why}</span>
      </td>
    </tr>
  );
}

const activeWords = (animal: Animal): string => {
  const life = {
    ground: 'Lives on the ground',
    climbing: 'Climbs',
    burrowing: 'Digs; may not be seen for days',
    'half-water': 'Lives half in water',
  }[animal.life.value];
  return `${life}. ${animal.company.value === 'alone' ? 'Lives alone.' : ''}`.trim();
};

/** What cannot wait, by sort of animal (common practice). */
function emergencies(animal: Animal | undefined): readonly string[] {
  if (!animal) return ['anything that frightens you'];
  const all = [
    'it lies still and does not answer a touch',
    'it bleeds or something hangs out of it',
    'it cannot right itself',
  ];
  if (animal.kind === 'frog' || animal.kind === 'newt')
    return [
      ...all,
      'it is bloated like a ball',
      'its skin peels, reddens or has sores',
      'it gapes or sits in water and does not leave it',
    ];
  if (animal.kind === 'invertebrate')
    return ['it leaks', 'it lies on its back and it is not moulting', 'legs fold under it'];
  return [
    ...all,
    'it breathes with an open mouth or bubbles',
    'a shed is stuck round toes, tail tip or eyes',
    'a limb is swollen or hangs',
  ];
}
