import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { applyEdit, type EditCall } from '@/core/edits';
import { valueAt, type Design } from '@/core/document';
import { seededRandom } from '@/core/random';
import { tries } from '../../tests/effort';
import { RinconDatabase } from './database';
import { deleteDesign, loadDesign } from './designs';
import { listLog, rewriteEntry, strike, writeEntries } from './log';
import { belongingsOf } from './records';
import { DesignSession } from './session';
import { createDesign } from './steps';
import { clashesWith, takeIn } from './takeIn';
import { putBack } from './trash';

/** About four edits each. */
const ROUNDS = tries(50, 125);

let db: RinconDatabase;
let clock = 0;
const now = (): number => (clock += 1000);
const first = demoDesigns(catalogue)[0]!;

beforeEach(() => {
  db = new RinconDatabase(`windows ${now()}`);
});
afterEach(() => db.delete());

const eventually = <T>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: 20_000, interval: 5 });
const stored = async (from = db): Promise<Design> => {
  const loaded = await loadDesign(from, first.id);
  if (loaded.state !== 'ready') throw new Error(loaded.state);
  return loaded.row.design;
};

/** A window in which the enclosure is open, beside another one. */
async function open(me: string): Promise<DesignSession> {
  const session = new DesignSession(db, first.id, now, { me, isOther: (id) => id !== me });
  session.subscribe(() => undefined);
  await eventually(() => expect(session.view().loaded).toBe('ready'));
  return session;
}
const name = (to: string): EditCall => ({ edit: 'rename', change: { name: to } });
const note = (to: string): EditCall => ({ edit: 'setNote', change: { note: to } });
const count = (to: number): EditCall => ({ edit: 'setCount', change: { count: to } });
const saved = (...sessions: readonly DesignSession[]) =>
  eventually(() => {
    for (const it of sessions) expect(it.view().save.state).toBe('saved');
    const [a, ...rest] = sessions.map((it) => it.view().design);
    for (const it of rest) expect(it).toEqual(a);
  });

describe('one enclosure in two windows', () => {
  it('edits of both at once are kept where they set different fields', async () => {
    await createDesign(db, first, now());
    const [here, there] = [await open('a'), await open('b')];
    here.edit(name('Fen'), catalogue);
    there.edit(note('wet'), catalogue);
    await saved(here, there);
    expect((await stored()).name).toBe('Fen');
    expect((await stored()).brief.note).toBe('wet');
    expect([here.view().clashes, there.view().clashes]).toEqual([[], []]);
  });

  it('of the same field the first one stands; the other is told what its own was, and can have it', async () => {
    await createDesign(db, first, now());
    const [here, there] = [await open('a'), await open('b')];
    here.edit(name('Fen'), catalogue);
    there.edit(name('Bog'), catalogue);
    there.edit(note('wet'), catalogue);
    await saved(here, there);
    const loser = here.view().clashes.length > 0 ? here : there;
    const [clash, ...more] = loser.view().clashes;
    expect(more).toEqual([]);
    expect(clash).toMatchObject({ path: ['name'], theirs: (await stored()).name });
    expect([clash!.mine, clash!.theirs].sort()).toEqual(['Bog', 'Fen']);
    expect((await stored()).brief.note).toBe('wet');
    loser.settle(clash!);
    await saved(here, there);
    expect((await stored()).name).toBe(clash!.mine);
    expect(loser.view().clashes).toEqual([]);
  });

  it('what is told of a field can be left as it stands', async () => {
    await createDesign(db, first, now());
    const [here, there] = [await open('a'), await open('b')];
    here.edit(name('Fen'), catalogue);
    there.edit(name('Bog'), catalogue);
    await saved(here, there);
    const loser = here.view().clashes.length > 0 ? here : there;
    const { name: stands } = await stored();
    loser.leave(...loser.view().clashes);
    expect(loser.view().clashes).toEqual([]);
    expect((await stored()).name).toBe(stands);
  });

  it('undo takes back one’s own edits only, however many came from the other since', async () => {
    await createDesign(db, first, now());
    const [here, there] = [await open('a'), await open('b')];
    here.edit(name('Fen'), catalogue);
    await saved(here, there);
    here.edit(count(3), catalogue);
    await saved(here, there);
    there.edit(note('wet'), catalogue);
    await saved(here, there);
    expect([here.view().undo, there.view().undo]).toEqual(['number of animals', 'note']);

    await here.travel(-1);
    await saved(here, there);
    expect(await stored()).toMatchObject({ name: 'Fen', brief: { count: first.brief.count, note: 'wet' } });
    await here.travel(-1);
    await saved(here, there);
    expect(await stored()).toMatchObject({ name: first.name, brief: { note: 'wet' } });
    expect([here.view().undo, here.view().redo]).toEqual([undefined, 'name']);
    // The other window’s own edit is still there to be taken back, and mine to be brought again.
    expect(there.view().undo).toBe('note');
    await there.travel(-1);
    await saved(here, there);
    expect((await stored()).brief.note).toBe(first.brief.note);
    await here.travel(1);
    await here.travel(1);
    await saved(here, there);
    expect(await stored()).toMatchObject({ name: 'Fen', brief: { count: 3, note: first.brief.note } });
  });

  it('undo leaves a field that the other one has set since, and says so', async () => {
    await createDesign(db, first, now());
    const [here, there] = [await open('a'), await open('b')];
    here.edit(name('Fen'), catalogue);
    await saved(here, there);
    there.edit(name('Bog'), catalogue);
    await saved(here, there);
    await here.travel(-1);
    await saved(here, there);
    expect((await stored()).name).toBe('Bog');
    expect(here.view().clashes).toEqual([{ path: ['name'], mine: first.name, theirs: 'Bog' }]);
  });

  it('an edit on its way to an enclosure that the other one deletes goes into the bin with it', async () => {
    await createDesign(db, first, now());
    const here = await open('a');
    const gone = deleteDesign(db, first.id, now());
    here.edit(name('Fen'), catalogue);
    await gone;
    await eventually(() => expect(here.view().loaded).toBe('missing'));
    await eventually(async () => expect((await db.designs.get(first.id))?.design.name).toBe('Fen'));
    await putBack(db, { of: 'design', id: first.id, name: 'Fen', at: 0 }, now());
    expect((await stored()).name).toBe('Fen');
  });

  it('an edit whose enclosure is gone for good brings it back: nothing is lost', async () => {
    await createDesign(db, first, now());
    const here = await open('a');
    const put = vi.spyOn(db.designs, 'put').mockImplementation(() => {
      throw new Error('no space left');
    });
    here.edit(name('Fen'), catalogue);
    await eventually(() => expect(here.view().save.state).toBe('failed'));
    put.mockRestore();
    await db.designs.delete(first.id);
    await db.steps.clear();
    here.retry();
    await eventually(async () => expect((await db.designs.get(first.id))?.design.name).toBe('Fen'));
  });

  it('what a later version wrote is not written over', async () => {
    await createDesign(db, first, now());
    const here = await open('a');
    const row = (await db.designs.get(first.id))!;
    here.edit(name('Fen'), catalogue);
    await db.designs.put({ ...row, revision: 9, design: { ...first, version: 99 } as unknown as Design });
    await eventually(() => expect(here.view().save.state).not.toBe('saving'));
    const kept = (await db.designs.get(first.id))!.design as { version: number };
    expect(kept.version).toBe(99);
  });

  const calls: readonly ((n: number) => EditCall)[] = [
    (n) => name(`name ${n}`),
    (n) => note(`note ${n}`),
    (n) => count(1 + (n % 90)),
    (n) => ({ edit: 'setRoom', change: { temperature: 10 + (n % 200) / 10 } }),
    (n) => ({ edit: 'setRoom', change: { humidity: (n % 100) / 100 } }),
    (n) => ({ edit: 'setEnclosure', change: { topCover: (n % 100) / 100 } }),
    (n) => ({ edit: 'setWaterDepth', change: { depth: (n % 40) / 1000 } }),
  ];

  it(`${4 * ROUNDS} edits of both in any order: both converge, and no edit is lost without being shown`, async () => {
    const next = seededRandom(20);
    await createDesign(db, first, now());
    const sessions = [await open('a'), await open('b')];
    let [told, n] = [0, 0];
    for (let round = 0; round < ROUNDS; round += 1) {
      const before = await stored();
      const made = sessions.flatMap((session) =>
        Array.from({ length: Math.floor(next() * 4.999) }, () => ({
          session,
          call: calls[Math.floor(next() * calls.length)]!((n += 1)),
        })),
      );
      made.sort(() => next() - 0.5);
      for (const { session, call } of made) {
        session.edit(call, catalogue);
        // Now and then a write gets through in between.
        if (next() < 0.3) await new Promise((done) => setTimeout(done, 0));
      }
      await saved(...sessions);
      const end = await stored();
      for (const session of sessions) {
        // What this window alone would have come to: each field it changed stands, or is told.
        const own = made.filter((it) => it.session === session).map((it) => it.call);
        const alone = own.reduce((now, call) => applyEdit(now, call, catalogue), before);
        for (const path of [
          ['name'],
          ['brief', 'note'],
          ['brief', 'count'],
          ['brief', 'room', 'temperature'],
          ['brief', 'room', 'humidity'],
          ['enclosure', 'topCover'],
          ['ground', 'waterDepth'],
        ]) {
          const [was, mine, stands] = [before, alone, end].map((it) => valueAt(it, path));
          if (mine === was || mine === stands) continue;
          const other = sessions.find((it) => it !== session)!;
          const isTold = sessions.some((it) =>
            it
              .view()
              .clashes.some(
                (clash) => clash.path.join() === path.join() && [clash.mine, clash.theirs].includes(mine),
              ),
          );
          const seen = made.some(
            (it) => it.session === other && valueAt(applyEdit(before, it.call, catalogue), path) === stands,
          );
          // Set again by the other one after it had seen it, or told to one of the two.
          expect(isTold || seen, `${path.join('.')} in round ${round}`).toBe(true);
          told += isTold ? 1 : 0;
        }
      }
      for (const session of sessions) session.leave(...session.view().clashes);
    }
    expect(n).toBeGreaterThan(3.6 * ROUNDS);
    expect(told).toBeGreaterThan(10);
  });

  it('lines of the log written, changed and struck from both sides all come through', async () => {
    const next = seededRandom(21);
    const other = new RinconDatabase(db.name);
    const both = [db, other];
    const expected = new Map<string, string>();
    for (let i = 0; i < 120; i += 1) {
      const side = both[Math.floor(next() * 2)]!;
      const known = [...expected.keys()];
      const at = Math.floor(next() * known.length);
      if (known.length < 5 || next() < 0.5) {
        const [id] = await writeEntries(
          side,
          [{ design: first.id, draft: { kind: 'note', values: {}, text: `line ${i}` } }],
          now(),
        );
        expected.set(id!, `line ${i}`);
      } else if (next() < 0.6) {
        const entry = (await side.log.get(known[at]!))!;
        await rewriteEntry(side, { ...entry, text: `again ${i}` }, now());
        expected.set(entry.id, `again ${i}`);
      } else {
        await strike(side, [known[at]!], true, now());
        expected.delete(known[at]!);
      }
    }
    for (const side of both) {
      const lines = await listLog(side, null, 0);
      expect(new Map(lines.map((it) => [it.id, it.text]))).toEqual(expected);
    }
    other.close();
  });
});

describe('one enclosure on two devices', () => {
  let there: RinconDatabase;
  beforeEach(() => {
    there = new RinconDatabase(`device ${now()}`);
  });
  afterEach(() => there.delete());

  const change = async (on: RinconDatabase, ...calls: readonly EditCall[]): Promise<void> => {
    const session = new DesignSession(on, first.id, now, { me: on.name, isOther: () => false });
    const end = session.subscribe(() => undefined);
    await eventually(() => expect(session.view().loaded).toBe('ready'));
    for (const call of calls) session.edit(call, catalogue);
    await eventually(() => expect(session.view().save.state).toBe('saved'));
    end();
  };
  /** What one hands over to the other. */
  const handed = async (from: RinconDatabase) => ({
    designs: [await stored(from)],
    trails: (await belongingsOf(from, first.id)).trails,
  });
  const give = async (from: RinconDatabase, to: RinconDatabase, which = {}) => {
    const { designs, trails } = await handed(from);
    return takeIn(to, designs, () => 'copy', now(), which, trails);
  };

  it('what each changed since is merged without a question, there and back', async () => {
    await createDesign(db, first, now());
    await give(db, there);
    await change(db, name('Fen'));
    await change(there, note('wet'));
    const { designs, trails } = await handed(there);
    expect(await clashesWith(db, designs, trails)).toEqual([]);
    expect(await give(there, db)).toEqual({ added: 1, same: 0, copies: [] });
    expect(await stored()).toMatchObject({ name: 'Fen', brief: { note: 'wet' } });
    // What goes back has all of it: it is taken as it is, and then there is nothing left to take.
    await give(db, there);
    expect(await stored(there)).toEqual(await stored());
    expect(await give(there, db)).toEqual({ added: 0, same: 1, copies: [] });
    await change(db, count(7));
    await give(db, there);
    expect((await stored(there)).brief.count).toBe(7);
  });

  it('what both set is asked field by field; all else is merged', async () => {
    await createDesign(db, first, now());
    await give(db, there);
    await change(db, name('Fen'), note('dry'));
    await change(there, name('Bog'), note('wet'), count(5));
    const { designs, trails } = await handed(there);
    const [asked] = await clashesWith(db, designs, trails);
    expect(asked?.clashes).toEqual([
      { path: ['name'], mine: 'Bog', theirs: 'Fen' },
      { path: ['brief', 'note'], mine: 'wet', theirs: 'dry' },
    ]);
    const fromFile = [JSON.stringify(['brief', 'note'])];
    expect(await give(there, db, { [first.id]: { fromFile } })).toEqual({ added: 1, same: 0, copies: [] });
    expect(await stored()).toMatchObject({ name: 'Fen', brief: { note: 'wet', count: 5 } });
  });

  it('what is older here is gone on with; what is older there changes nothing', async () => {
    await createDesign(db, first, now());
    await give(db, there);
    const old = await handed(there);
    await change(db, name('Fen'));
    expect(await takeIn(db, old.designs, () => 'copy', now(), {}, old.trails)).toEqual({
      added: 0,
      same: 1,
      copies: [],
    });
    await give(db, there);
    expect((await stored(there)).name).toBe('Fen');
  });

  it('without a state in common both are kept, as before', async () => {
    await createDesign(db, first, now());
    await change(db, name('Fen'));
    await createDesign(there, applyEdit(first, name('Bog'), catalogue), now());
    const { designs, trails } = await handed(there);
    expect(await clashesWith(db, designs, trails)).toMatchObject([{ clashes: null }]);
    expect(await give(there, db)).toEqual({ added: 0, same: 0, copies: ['Bog (file)'] });
    expect((await stored()).name).toBe('Fen');
  });
});
