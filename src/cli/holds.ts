import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { catalogue } from '@/catalogue';
import { givenBoxes } from './given';
import { gridCase, type GridCase } from './grid';
import { lineOf, ROOM_KINDS, rowOf, sumLine, sumOf, type Row, type Task } from './matrix';
import { remedyRow, type RemedyCase, type RemedyRow } from './remedies';

/** What is dealt out to the workers, by what it is about. */
interface Jobs {
  readonly matrix: { readonly asked: Task; readonly answer: Row };
  readonly grid: { readonly asked: number; readonly answer: GridCase };
  readonly remedies: { readonly asked: RemedyCase; readonly answer: RemedyRow };
}
type About = keyof Jobs;
interface Job {
  readonly about: About;
  readonly asked: unknown;
}

const WORK: { readonly [K in About]: (asked: Jobs[K]['asked']) => Jobs[K]['answer'] } = {
  matrix: rowOf,
  grid: gridCase,
  remedies: remedyRow,
};

/** Has all of them done in two workers; each answer is heard of as it comes, and all are given back in their order. */
async function deal<K extends About>(
  about: K,
  all: readonly Jobs[K]['asked'][],
  onAnswer: (answer: Jobs[K]['answer']) => void,
): Promise<readonly Jobs[K]['answer'][]> {
  const answers = new Array<Jobs[K]['answer'] | undefined>(all.length);
  let next = 0;
  await Promise.all(
    Array.from({ length: Math.min(2, availableParallelism(), all.length) }, async () => {
      const worker = new Worker(fileURLToPath(import.meta.url));
      while (next < all.length) {
        const index = next;
        next += 1;
        const answer = await new Promise<Jobs[K]['answer']>((resolve, reject) => {
          worker.removeAllListeners();
          worker.once('message', resolve);
          worker.once('error', reject);
          worker.postMessage({ about, asked: all[index] } satisfies Job);
        });
        answers[index] = answer;
        onAnswer(answer);
      }
      await worker.terminate();
    }),
  );
  return answers.flatMap((it) => it ?? []);
}

/** So many seeded cases of the search against all of a small grid. */
async function gridReport(cases: number): Promise<number> {
  const beats = ({ better, found }: GridCase): boolean => better !== null && found > 1.02 * better;
  const seeds = Array.from({ length: cases }, (_, seed) => seed);
  const all = await deal('grid', seeds, (it) => {
    const told = it.better === null ? 'nothing better' : `grid ${it.better.toFixed(3)} at ${it.what}`;
    console.log(
      `${String(it.seed).padStart(3)} ${it.animal.padEnd(30)} found ${it.found.toFixed(3)} ${told}${beats(it) ? ' (over 2 %)' : ''}`,
    );
  });
  const beaten = all.filter(beats).length;
  console.log(`\n${cases} cases: the grid is better by more than 2 % in ${beaten}`);
  return beaten > 0 ? 1 : 0;
}

/** Every remedy of every finding of first designs, taken over and judged. */
async function remedyReport(cases: readonly RemedyCase[]): Promise<number> {
  const all = await deal('remedies', cases, ({ animal, room, offered, withheld, broken }) =>
    console.log(
      `${animal.padEnd(30)} ${room.padEnd(7)} ${offered} offered, ${withheld} held back ${broken.join('; ')}`,
    ),
  );
  const offered = all.reduce((sum, it) => sum + it.offered, 0);
  const broken = all.reduce((sum, it) => sum + it.broken.length, 0);
  console.log(`\n${offered} remedies of ${all.length} designs: ${broken} do not do what they are for`);
  return broken > 0 ? 1 : 0;
}

async function matrixReport(tasks: readonly Task[], json: boolean): Promise<number> {
  const began = performance.now();
  const rows = await deal('matrix', tasks, (it) => {
    if (!json) console.log(lineOf(it));
  });
  const minutes = (performance.now() - began) / 60_000;
  if (json) console.log(JSON.stringify({ rows, ...sumOf(rows), minutes }, null, 2));
  else console.log(`\n${sumLine(rows)}; ${minutes.toFixed(1)} min`);
  return sumOf(rows).false > 0 ? 1 : 0;
}

const USAGE =
  'usage: npm run -s holds [-- --animal ID --room dry|middle|humid] [--json | --given | --remedies | --grid 20]';

async function main(argv: readonly string[]): Promise<number> {
  const words = [...argv];
  const take = (name: string): string | undefined => {
    const at = words.indexOf(name);
    return at < 0 ? undefined : words.splice(at, 2)[1];
  };
  const flag = (name: string): boolean => {
    const at = words.indexOf(name);
    if (at >= 0) words.splice(at, 1);
    return at >= 0;
  };
  const grid = take('--grid');
  const animal = take('--animal');
  const room = take('--room');
  const [json, given, remedies] = [flag('--json'), flag('--given'), flag('--remedies')];
  const known = catalogue.animals.filter((it) => animal === undefined || it.id === animal);
  const rooms = ROOM_KINDS.filter((it) => room === undefined || it === room);
  const cases = grid === undefined ? 1 : Number(grid);
  if (words.length > 0 || known.length === 0 || rooms.length === 0 || !(cases >= 1 && cases <= 1000)) {
    console.error(USAGE);
    if (known.length === 0) console.error(`There is no animal “${String(animal)}” in the catalogue.`);
    return 2;
  }
  if (grid !== undefined) return gridReport(Math.floor(cases));
  const tasks = known.flatMap((it) => rooms.map((kind): Task => ({ animal: it.id, room: kind })));
  if (remedies) return remedyReport(tasks);
  if (!given) return matrixReport(tasks, json);
  const boxes = givenBoxes().map((it, i): Task => ({
    animal: it.animal,
    room: ROOM_KINDS[i % 3] ?? 'dry',
    given: it,
  }));
  return matrixReport(boxes, json);
}

if (isMainThread) process.exitCode = await main(process.argv.slice(2));
else
  parentPort?.on('message', ({ about, asked }: Job) =>
    // Each kind of work is asked what belongs to it: see `deal`.
    parentPort?.postMessage((WORK[about] as (it: unknown) => unknown)(asked)),
  );
