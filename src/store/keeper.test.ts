import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { careNow } from '@/core/care';
import { seededRandom } from '@/core/random';
import { homeOf, livedIn } from '@/core/records';
import { dayPlus } from '@/core/time';
import { tries } from '../../tests/effort';
import { animalGoes, editAndTell, record } from './acts';
import { animalRecord } from '@/core/records';
import { RinconDatabase } from './database';
import { loadDesign } from './designs';
import { listLog } from './log';
import { listRecords, putRecords } from './records';
import { createDesign } from './steps';
import { RefusedWrite } from './written';

/*
 * A keeper of several enclosures: animals move, die, are given away and born, all at once move in, an enclosure is rebuilt,
 * and each of it is now and then taken back, at once or after others. A book kept by hand says where each lives on each day
 * and how many live in each enclosure.
 */

const BEGAN = '2027-01-10';
const BOXES = demoDesigns(catalogue).map((it) => it.id);
const NAMES = ['Fig', 'Ivy', 'Oak', 'Elm', 'Yew', 'Ash'];

let db: RinconDatabase;
beforeEach(() => {
  db = new RinconDatabase();
});
afterEach(async () => {
  db.close();
  await Dexie.delete('rincon');
});

const animal = (id: string, design: string) => animalRecord(id, design, BEGAN, { changed: 1 });

/** Where an animal lives by the book; null: nowhere, or dead. */
interface Page {
  readonly moves: { readonly on: string; readonly to: string | null }[];
}
/** Something done, and what it did by the book. */
interface Act {
  readonly undo: () => Promise<void>;
  readonly counts: readonly (readonly [box: string, by: number])[];
  readonly who: string | null;
  readonly lines: number;
}

async function lived(seed: number): Promise<void> {
  const random = seededRandom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const at = (day: string): number => Date.parse(`${day}T12:00:00Z`);
  const counts = new Map<string, number>();
  const pages = new Map<string, Page>();
  for (const design of demoDesigns(catalogue)) {
    // Two nobody wrote down live in each, and those that were.
    const named = NAMES.filter((_, i) => BOXES[i % BOXES.length] === design.id);
    counts.set(design.id, 2 + named.length);
    await createDesign(
      db,
      { ...design, brief: { ...design.brief, count: 2 + named.length, stage: 'inhabited', since: BEGAN } },
      at(BEGAN),
    );
    await putRecords(
      db,
      'animals',
      named.map((name) => animal(name, design.id)),
    );
    for (const name of named) pages.set(name, { moves: [{ on: BEGAN, to: design.id }] });
  }
  const home = (name: string): string | null => pages.get(name)?.moves.at(-1)?.to ?? null;
  const recordOf = async (name: string) => (await listRecords(db, 'animals')).find((it) => it.id === name)!;
  const done: Act[] = [];
  let lines = 0;
  const note = (act: Act): void => {
    done.push(act);
    lines += act.lines;
    for (const [box, by] of act.counts) counts.set(box, (counts.get(box) ?? 0) + by);
  };
  let today = BEGAN;
  for (let n = 0; n < 60; n += 1) {
    today = dayPlus(today, 1 + Math.floor(random() * 20));
    const what = random();
    const living = NAMES.filter((name) => home(name) !== null);
    const box = pick(BOXES);
    const last = done.at(-1);
    if (what < 0.15 && last) {
      // The last act, or one before it: refused where its animal went on since.
      const act = random() < 0.7 ? last : pick(done);
      const later = done.slice(done.indexOf(act) + 1);
      if (act.who !== null && later.some((it) => it.who === act.who)) {
        await expect(act.undo()).rejects.toThrow(RefusedWrite);
      } else if (act.counts.every(([own, by]) => (counts.get(own) ?? 0) - by >= 0)) {
        await act.undo();
        done.splice(done.indexOf(act), 1);
        lines -= act.lines;
        for (const [own, by] of act.counts) counts.set(own, (counts.get(own) ?? 0) - by);
        if (act.who !== null) pages.get(act.who)?.moves.pop();
      }
    } else if (what < 0.4 && living.length > 0) {
      const name = pick(living);
      const from = home(name)!;
      const to = pick(BOXES.filter((it) => it !== from));
      const gone = { animal: await recordOf(name), what: 'moved', to, on: today, at: at(today) } as const;
      const undo = await animalGoes(db, gone, catalogue, at(today));
      pages.get(name)?.moves.push({ on: today, to });
      note({
        undo,
        counts: [
          [from, -1],
          [to, 1],
        ],
        who: name,
        lines: 2,
      });
    } else if (what < 0.55 && living.length > 1) {
      const name = pick(living);
      const from = home(name)!;
      const draft = { kind: 'death', values: {}, text: '', animal: name, effect: { does: 'left' } } as const;
      const undo =
        random() < 0.5
          ? await record(db, [{ design: from, draft, at: at(today) }], catalogue, at(today))
          : await animalGoes(
              db,
              { animal: await recordOf(name), what: 'given away', to: null, on: today, at: at(today) },
              catalogue,
              at(today),
            );
      pages.get(name)?.moves.push({ on: today, to: null });
      note({ undo, counts: [[from, -1]], who: name, lines: 1 });
    } else if (what < 0.8) {
      // Unnamed ones are born or die; of none that are left none dies, nor is any born.
      const here = counts.get(box) ?? 0;
      const named = living.filter((name) => home(name) === box).length;
      const by = random() < 0.5 ? 1 + Math.floor(random() * 3) : -Math.min(here - named, 1);
      if (here === 0 || by === 0 || Object.is(by, -0)) continue;
      const kind = by > 0 ? 'birth' : 'death';
      const draft = {
        kind,
        values: { count: Math.abs(by) },
        text: '',
        effect: { does: 'count', by },
      } as const;
      const undo = await record(db, [{ design: box, draft, at: at(today) }], catalogue, at(today));
      note({ undo, counts: [[box, by]], who: null, lines: 1 });
    } else {
      // It is rebuilt, while whoever lives there waits: they are as many before, meanwhile and after.
      const begin = { edit: 'beginRebuild', change: { since: today } } as const;
      const end = { edit: 'endRebuild', change: { on: today } } as const;
      for (const call of [begin, end])
        await editAndTell(db, { design: box, call, drafts: [], at: at(today) }, catalogue, at(today));
    }
    for (const id of BOXES) {
      const loaded = await loadDesign(db, id);
      if (loaded.state !== 'ready') throw new Error('gone');
      const { design } = loaded.row;
      const own = counts.get(id) ?? 0;
      const told = `seed ${seed}, act ${n}, ${id}`;
      expect(design.brief, told).toMatchObject({
        count: Math.max(1, own),
        stage: own > 0 ? 'inhabited' : 'growing-in',
      });
      expect(
        careNow(design, catalogue).some((it) => it.id === 'look'),
        told,
      ).toBe(own > 0);
    }
    for (const name of NAMES) {
      const own = await recordOf(name);
      expect(homeOf(own), `seed ${seed}, act ${n}, ${name}`).toBe(home(name));
    }
  }
  // At the end each day of each life is asked for.
  for (const name of NAMES) {
    const own = await recordOf(name);
    const { moves } = pages.get(name)!;
    for (let day = BEGAN; day <= today; day = dayPlus(day, 1)) {
      const before = moves.findLast((it) => it.on < day)?.to ?? null;
      const onDay = moves.filter((it) => it.on === day).map((it) => it.to);
      // On the day it moves it lives in both.
      const expected = new Set([before, ...onDay].filter((it) => it !== null));
      expect(
        BOXES.filter((box) => livedIn(own, box, day)),
        `seed ${seed}, ${name} on ${day}`,
      ).toEqual(BOXES.filter((box) => expected.has(box)));
    }
  }
  const written = await Promise.all(BOXES.map((box) => listLog(db, box, 0)));
  expect(written.flat().filter((it) => !it.gone)).toHaveLength(lines);
}

describe('a keeper of several enclosures', () => {
  it.each(Array.from({ length: tries(4, 40) }, (_, seed) => seed))(
    'moved, died, born, rebuilt and taken back, seed %i: who lives where, and how many, is what the book says',
    lived,
  );
});
