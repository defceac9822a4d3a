import { Entry, entryOf, mergeLogs, type Draft, settledBy } from '@/core/log';
import type { RinconDatabase } from './database';
import { addPicturesOf, type SmallPicture } from './pictures';
import { readable } from './readable';
import { changed, putRecords } from './records';
import { written } from './written';

/**
 * Lines of now, unless they say when, and pictures of the first of them. What is written down at once is written in one
 * transaction, all or none; gives the ids of its lines, to take them back.
 */
export async function writeEntries(
  db: RinconDatabase,
  lines: readonly { readonly design: string; readonly draft: Draft; readonly at?: number }[],
  now: number,
  pictures: readonly SmallPicture[] = [],
): Promise<readonly string[]> {
  const entries = lines.map(({ design, draft, at = now }) =>
    written(
      Entry,
      entryOf(draft, {
        id: crypto.randomUUID(),
        design,
        at,
        changed: now,
        ahead: -new Date(at).getTimezoneOffset(),
      }),
    ),
  );
  await db.transaction('rw', [db.log, db.pictures], async () => {
    await db.log.bulkAdd(entries);
    const [first] = entries;
    if (first) await addPicturesOf(db, first, pictures, now);
  });
  return entries.map((it) => it.id);
}

/** Lines from a file: each once, of two versions the later one. */
export const takeInLog = (db: RinconDatabase, entries: readonly Entry[]): Promise<void> =>
  putRecords(db, 'log', entries);

/** Writes a line anew in place of an earlier version of it, with pictures that come to it; both or neither. */
export const rewriteEntry = (
  db: RinconDatabase,
  entry: Entry,
  now: number,
  pictures: readonly SmallPicture[] = [],
): Promise<void> =>
  db.transaction('rw', [db.log, db.pictures], async () => {
    await putRecords(db, 'log', [changed(entry, now)]);
    await addPicturesOf(db, entry, pictures, now);
  });

/** Strikes lines out, or takes that back; a struck line is kept, so that no merge brings it back. */
export async function strike(
  db: RinconDatabase,
  ids: readonly string[],
  gone: boolean,
  now: number,
): Promise<void> {
  await db.transaction('rw', db.log, async () => {
    for (const id of ids) {
      const entry = await db.log.get(id);
      // A clock that was set back must not make this change the older one.
      if (entry) await db.log.put(changed({ ...entry, gone }, now));
    }
  });
}

/** Lines since a time, of one enclosure or of all, the oldest first; struck ones are left out. */
export async function listLog(
  db: RinconDatabase,
  design: string | null,
  since: number,
): Promise<readonly Entry[]> {
  const rows =
    design === null
      ? await db.log.where('at').aboveOrEqual(since).toArray()
      : await db.log.where('[design+at]').between([design, since], [design, Infinity]).toArray();
  return mergeLogs(
    readable('log', rows, Entry).filter((it) => !it.gone),
    [],
  );
}

/**
 * What care is counted from: all lines since a time, and of what was done before it the last line of each rule, however long
 * ago that was. The oldest first.
 */
export async function listCareLog(
  db: RinconDatabase,
  design: string | null,
  since: number,
): Promise<readonly Entry[]> {
  const last = new Map<string, Entry>();
  const before =
    design === null
      ? db.log.where('at').below(since)
      : db.log.where('[design+at]').between([design, 0], [design, since], true, false);
  // In the order of their days: the last of each stays.
  await before.each((it) => {
    const rule = it.gone ? null : settledBy(it);
    if (rule !== null) last.set(`${it.design} ${rule}`, it);
  });
  const old = readable('log', [...last.values()], Entry);
  return [...old].sort((a, b) => a.at - b.at).concat(await listLog(db, design, since));
}
