import { createWriteStream } from 'node:fs';
import { catalogue } from '@/catalogue';
import { dayAgo } from '@/catalogue/demo';
import { careNow } from '@/core/care';
import type { Design } from '@/core/document';
import { entryOf, type Entry } from '@/core/log';
import { DAY_MS } from '@/core/physics/constants';
import { proposeWhole } from '@/core/propose';
import { seededRandom } from '@/core/random';
import { toSteps, trackOf, type Series, type Track } from '@/core/readings';
import type { AnimalRecord } from '@/core/records';
import { NO_STORES, writeBackup } from '@/files';
import { ROOM_KINDS } from './matrix';

/** How much a generated rack holds. */
interface Size {
  readonly enclosures: number;
  /** Enclosures with a logger. */
  readonly logged: number;
  /** Years of readings at five minutes of each. */
  readonly years: number;
  /** Lines of the log, and animals, over all of them. */
  readonly lines: number;
  readonly animals: number;
}

const FIVE_MINUTES = 300_000;
const HOUR_MS = 3_600_000;

/** Enclosures that are lived in: every species in turn, each proposed once, in rooms of all kinds. */
function enclosures(count: number, now: number): readonly Design[] {
  const known = catalogue.animals.slice(0, count).map((animal, i) =>
    proposeWhole(
      {
        id: 'first',
        name: animal.english,
        animal: animal.id,
        count: 1,
        size: null,
        room: { kind: ROOM_KINDS[i % ROOM_KINDS.length] ?? 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
  return Array.from({ length: count }, (_, i): Design => {
    const first = known[i % known.length];
    if (!first) throw new Error('the catalogue holds no animals');
    const since = dayAgo(now, 200 + (i % 900));
    const { living } = first;
    return {
      ...first,
      id: `rack-${i + 1}`,
      name: `Bay ${Math.floor(i / 10) + 1}, number ${(i % 10) + 1}`,
      brief: { ...first.brief, stage: 'inhabited', since },
      living: {
        ...living,
        plants: living.plants.map((it) => ({ ...it, planted: since })),
        crew: living.crew.map((it) => ({ ...it, on: since })),
      },
    };
  });
}

/** Lines of care, spread over the years before now: each enclosure's rules in turn. */
function log(designs: readonly Design[], { lines, years }: Size, now: number): readonly Entry[] {
  const each = Math.ceil(lines / designs.length);
  return designs
    .flatMap((design) => {
      const rules = careNow(design, catalogue);
      return Array.from({ length: each }, (_, n): Entry => {
        const at = Math.round(now - (1 + n) * ((years * 365 * DAY_MS) / each) - (n % 9) * HOUR_MS);
        const rule = rules[n % Math.max(1, rules.length)];
        return entryOf(
          n % 5 === 4 || !rule
            ? {
                kind: 'reading',
                values: { temperature: 21 + (n % 80) / 10, humidity: 0.4 + (n % 50) / 100 },
                text: '',
              }
            : { kind: 'care', values: {}, text: '', rule: rule.id },
          { id: `${design.id} line ${n + 1}`, design: design.id, at, changed: at },
        );
      });
    })
    .slice(0, lines);
}

const animals = (designs: readonly Design[], count: number, now: number): readonly AnimalRecord[] =>
  Array.from({ length: count }, (_, i): AnimalRecord => {
    const home = designs[i % designs.length];
    return {
      id: `rack animal ${i + 1}`,
      changed: 0,
      gone: false,
      name: `Number ${i + 1}`,
      kind: home?.brief.animal ?? null,
      sex: (['unknown', 'female', 'male'] as const)[i % 3] ?? 'unknown',
      sexKnown: 'guess',
      hatched: dayAgo(now, 300 + (i % 2000)),
      source: '',
      parents: [],
      quarantine: null,
      homes: home ? [{ design: home.id, from: dayAgo(now, 150), to: null }] : [],
      papers: [],
      left: null,
      note: '',
    };
  });

/** One measuring point on the warm side of an enclosure. */
const pointOf = (design: Design): Series => ({
  id: `${design.id} warm`,
  design: design.id,
  name: 'warm side',
  quantity: 'temperature',
  place: 'warm',
  at: { x: 0.7 * design.enclosure.width, y: 0.5 * design.enclosure.depth, z: 0.3 * design.enclosure.height },
  instrument: 'logger',
  source: null,
  alarm: null,
  changed: 0,
  gone: false,
});

/** A day's and a year's wave with some noise, a value every five minutes. */
function readings(seed: number, years: number, now: number): Track {
  const count = Math.floor((years * 365.25 * DAY_MS) / FIVE_MINUTES);
  const random = seededRandom(seed);
  const last = Math.floor(now / FIVE_MINUTES) * FIVE_MINUTES;
  const times = Array.from({ length: count }, (_, i) => last - (count - 1 - i) * FIVE_MINUTES);
  let noise = 0;
  return trackOf(
    times,
    times.map((at) => {
      noise = 0.95 * noise + 0.2 * (random() - 0.5);
      const day = Math.sin((2 * Math.PI * (at % DAY_MS)) / DAY_MS - 2);
      const year = Math.cos((2 * Math.PI * at) / (365.25 * DAY_MS));
      return toSteps(Math.round((25 + 3 * day - 1.5 * year + noise) * 10) / 10, 'temperature');
    }),
  );
}

/** Writes a generated rack as a backup, to be read in by File, Read a file in. */
async function writeRack(size: Size, path: string, now: number): Promise<void> {
  const designs = enclosures(size.enclosures, now);
  const points = designs.slice(0, size.logged).map(pointOf);
  const out = createWriteStream(path);
  const ended = new Promise<void>((done, refuse) => {
    out.on('finish', done);
    out.on('error', refuse);
  });
  await writeBackup(
    {
      designs,
      stores: {
        ...NO_STORES,
        log: log(designs, size, now),
        animals: animals(designs, size.animals, now),
        points,
      },
      written: new Date(now),
      unreadable: [],
      settings: {},
      tables: {},
      tracks: (function* () {
        for (const [i, { id, quantity }] of points.entries())
          yield { series: id, quantity, track: readings(i + 1, size.years, now) };
      })(),
      pictures: [],
    },
    (piece) => void out.write(piece.slice()),
  );
  out.end();
  await ended;
}

const USAGE =
  'usage: npm run -s rack -- ENCLOSURES [--logged 20] [--years 10] [--lines 50000] [--animals 2000] [--out FILE]';

async function main(argv: readonly string[]): Promise<number> {
  const words = [...argv];
  const take = (name: string, otherwise: string): string => {
    const at = words.indexOf(`--${name}`);
    return at < 0 ? otherwise : (words.splice(at, 2)[1] ?? '');
  };
  const count = (name: string, otherwise: number): number => Number(take(name, String(otherwise)));
  const [logged, years, lines, animalCount] = [
    count('logged', 20),
    count('years', 10),
    count('lines', 50_000),
    count('animals', 2000),
  ];
  const out = take('out', '');
  const many = Number(words.shift());
  const numbers = [many, logged, years, lines, animalCount];
  if (words.length > 0 || !(many >= 1) || !numbers.every((it) => Number.isFinite(it) && it >= 0)) {
    console.error(USAGE);
    return 2;
  }
  const path = out === '' ? `.rincon/rack-${many}.zip` : out;
  await writeRack(
    { enclosures: Math.floor(many), logged, years, lines, animals: animalCount },
    path,
    Date.now(),
  );
  console.log(`${path}: read it in by File, Read a file in`);
  return 0;
}

process.exitCode = await main(process.argv.slice(2));
