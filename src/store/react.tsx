'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { DAY_MS } from '@/core/physics/constants';
import { catalogue as shipped, withOwn, withPrices, type OwnRows } from '@/catalogue';
import type { Catalogue } from '@/core/catalogue';
import { asOf } from '@/core/brief/age';
import type { Design } from '@/core/document';
import type { PlannedComparison } from '@/core/compare/planned';
import type { Shelf } from '@/core/ground';
import type { Entry } from '@/core/log';
import { shelfAmounts, stockOf, type ShelfMove, type Stock } from '@/core/shelf';
import {
  animalGoes,
  editAndTell,
  record,
  type Gone as Left,
  type Fed,
  type Line,
  type ToldEdit,
} from './acts';
import { changeAll, type EditForAll } from './forAll';
import { createStanding, type StandingBox } from './stands';
import { RinconDatabase, type PictureRow } from './database';
import { isOfDemo, layDemo, loadDemo } from './demo';
import { emptyOldBin, listDesigns } from './designs';
import type { Loaded } from './openRow';
import {
  changeComparisons,
  changeOwnRow,
  DEFAULT_SETTINGS,
  loadSettings,
  ownRows,
  putOwnRows,
  removeOwnRow,
  saveOwnRow,
  saveSetting,
  setPrice,
  type OwnRowPut,
  type Settings,
} from './settings';
import { addPicture, isThere, listPictures, NotAPicture, removePicture, shrinkPicture } from './pictures';
import { storageTrouble } from './persist';
import { listCareLog, listLog, rewriteEntry, strike } from './log';
import { dateMove, listMoves, setUndone, writeMoves, type NewMove } from './shelf';

type Gone = 'deleted' | 'newer';

/** Days of the log that are read whole for what is due: before them only the last line of each rule counts. */
const LOOK_BACK = 800;

interface Store {
  readonly db: RinconDatabase;
  readonly settings: Settings;
  /** What ships, with the builder's own rows and prices. */
  readonly catalogue: Catalogue;
  /** The book of the shelf, what follows from it, and what the lists may take from it. */
  readonly moves: readonly ShelfMove[];
  readonly stocks: ReadonlyMap<string, Stock>;
  readonly shelf: Shelf;
  /**
   * What lists of these enclosures may take from it: those of the demo from all of it, a keeper's own only from what was
   * bought for them.
   */
  readonly shelfFor: (designs: readonly string[]) => Shelf;
  /** Why nothing can be stored any more: it was deleted from outside, or a newer version has it; null: it can. */
  readonly gone: Gone | null;
  readonly today: string;
  readonly set: <K extends keyof Settings>(key: K, value: Settings[K]) => Promise<void>;
}

const StoreContext = createContext<Store | undefined>(undefined);

interface ProviderProps {
  /** Lay out the demo on the first visit. */
  readonly demo: boolean;
  /** Day that is today here, ISO 8601: how old animals are that grow. */
  readonly today: string;
  /** Shown until the store answers, and when it cannot. */
  readonly waiting: ReactNode;
  /** Shown while another window holds the store that is to be brought up to date. */
  readonly blocked: ReactNode;
  readonly broken: (message: string) => ReactNode;
  readonly children: ReactNode;
}

/** Opens the browser's database once and hands it down. */
export function StoreProvider({ demo, today, waiting, blocked, broken, children }: ProviderProps) {
  const [db, setDb] = useState<RinconDatabase>();
  const [error, setError] = useState<string>();
  const [gone, setGone] = useState<Gone | null>(null);
  const [held, setHeld] = useState(false);

  useEffect(() => {
    const opened = new RinconDatabase();
    let stale = false;
    let ended = false;
    // Nothing is opened anew: what is on the screen would be taken for what is stored.
    const close = (why: Gone): void => {
      if (stale || ended) return;
      ended = true;
      opened.close({ disableAutoOpen: true });
      setGone(why);
    };
    opened.on('versionchange', (event) => {
      close(event.newVersion === null ? 'deleted' : 'newer');
      return false;
    });
    // Told in the midst of its own closing, which would let it be opened anew.
    opened.on('close', () => queueMicrotask(() => close('deleted')));
    opened.on('blocked', () => {
      if (!stale) setHeld(true);
    });
    (async () => {
      await opened.open();
      const settings = await loadSettings(opened);
      await emptyOldBin(opened, Date.now());
      if (demo && !settings.demoLaid && (await opened.designs.count()) === 0)
        await layDemo(opened, await loadDemo());
      if (!stale) setDb(opened);
    })().catch((cause: unknown) => {
      if (!stale) setError(cause instanceof Error ? cause.message : String(cause));
    });
    return () => {
      stale = true;
      opened.close();
    };
  }, [demo]);

  const settings = useLiveQuery(() => (db ? loadSettings(db) : undefined), [db]);
  const moves = useLiveQuery(() => (db ? listMoves(db) : undefined), [db]);
  const stocks = useMemo(() => stockOf(moves ?? []), [moves]);
  const shelf = useMemo(() => shelfAmounts(stocks), [stocks]);
  const own = useMemo(() => shelfAmounts(stockOf((moves ?? []).filter((it) => !isOfDemo(it.id)))), [moves]);
  const shelfFor = useCallback(
    (designs: readonly string[]) => (designs.length > 0 && designs.every(isOfDemo) ? shelf : own),
    [shelf, own],
  );
  const prices = settings?.prices ?? DEFAULT_SETTINGS.prices;
  // Read anew at every change of any setting: the same words mean the same rows.
  const written = JSON.stringify(settings ? [ownRows(settings), prices] : null);
  const catalogue = useMemo(() => {
    const [own, paid] = (JSON.parse(written) as [OwnRows, Settings['prices']] | null) ?? [undefined, {}];
    return withPrices(own ? withOwn(shipped, own) : shipped, paid);
  }, [written]);
  const store = useMemo(
    () =>
      db && settings && moves
        ? {
            db,
            settings,
            catalogue,
            moves,
            stocks,
            shelf,
            shelfFor,
            gone,
            today,
            set: <K extends keyof Settings>(key: K, value: Settings[K]) => saveSetting(db, key, value),
          }
        : undefined,
    [db, settings, catalogue, moves, stocks, shelf, shelfFor, gone, today],
  );

  if (error !== undefined) return broken(error);
  if (!store) return held ? blocked : waiting;
  return <StoreContext value={store}>{children}</StoreContext>;
}

/** The open store. Throws outside its provider. */
export function useStore(): Store {
  const store = useContext(StoreContext);
  if (!store) throw new Error('useStore needs a StoreProvider above it');
  return store;
}

/** All living designs, their animals as old as they are today; undefined while they load. */
export function useDesigns() {
  const { db, today } = useStore();
  const designs = useLiveQuery(() => listDesigns(db), [db]);
  return useMemo(
    () =>
      designs?.map((it): Loaded => {
        if (it.state !== 'ready') return it;
        const design = asOf(it.row.design, today);
        return design === it.row.design ? it : { ...it, row: { ...it.row, design } };
      }),
    [designs, today],
  );
}

/** Rooms enclosures stand in, and shelves, read when they are asked for. */
export function usePlacesKnown() {
  const { db } = useStore();
  const [places, setPlaces] = useState<readonly Design['brief']['place'][]>([]);
  const load = (): void =>
    void listDesigns(db).then((all) =>
      setPlaces(all.flatMap((it) => (it.state === 'ready' ? [it.row.design.brief.place] : []))),
    );
  const tidy = (words: readonly string[]): readonly string[] =>
    [...new Set(words)].filter((it) => it !== '').sort((a, b) => a.localeCompare(b));
  return {
    load,
    rooms: tidy(places.map((it) => it.room)),
    shelvesIn: (room: string) => tidy(places.flatMap((it) => (it.room === room ? [it.shelf] : []))),
  };
}

/** Writes down the builder's own price of a pack; null brings the typical one back. */
export function useSetPrice() {
  const { db } = useStore();
  /** Keys are `material/pack`, or those of `priceKey`. */
  return (key: string, price: number | null): void => void setPrice(db, key, price);
}

/** Pictures of one thing in an enclosure; adding shrinks them first, and throws `NotAPicture`. */
export function usePictures(design: string, about: string) {
  const { db } = useStore();
  const pictures = useLiveQuery(() => listPictures(db, design, about), [db, design, about]);
  return useMemo(
    () => ({
      pictures: pictures ?? [],
      add: async (file: Blob): Promise<void> => {
        const small = await shrinkPicture(file);
        await addPicture(db, { id: crypto.randomUUID(), design, about, at: Date.now(), ...small });
      },
      remove: async (id: string) => {
        const row = await removePicture(db, id, Date.now());
        return row && (() => addPicture(db, row));
      },
    }),
    [db, design, about, pictures],
  );
}

/** All pictures of an enclosure, by what they are of, the oldest first. */
export function usePicturesOf(design: string): ReadonlyMap<string, readonly PictureRow[]> {
  const { db } = useStore();
  const rows = useLiveQuery(() => db.pictures.where({ design }).sortBy('at'), [db, design]);
  return useMemo(() => {
    const by = new Map<string, PictureRow[]>();
    for (const it of rows ?? []) if (isThere(it)) by.set(it.about, [...(by.get(it.about) ?? []), it]);
    return by;
  }, [rows]);
}

/** The log since so many days, or all of it, of one enclosure or of all; undefined while it is read. */
export function useLog(design: string | null, days: number | 'all'): readonly Entry[] | undefined {
  const { db } = useStore();
  const [since] = useState(() => (days === 'all' ? 0 : Date.now() - days * DAY_MS));
  return useLiveQuery(() => listLog(db, design, since), [db, design, since]);
}

/** What care is counted from, of one enclosure or of all: the last days of the log, and the last line of each rule before. */
export function useCareLog(design: string | null): readonly Entry[] | undefined {
  const { db } = useStore();
  const [since] = useState(() => Date.now() - LOOK_BACK * DAY_MS);
  return useLiveQuery(() => listCareLog(db, design, since), [db, design, since]);
}

/** All lines of several enclosures, the oldest first; undefined while they are read. */
export function useLogIn(designs: readonly string[]): readonly Entry[] | undefined {
  const { db } = useStore();
  const ids = [...new Set(designs)].sort().join(' ');
  return useLiveQuery(async () => {
    const all = await Promise.all(ids.split(' ').map((id) => listLog(db, id, 0)));
    return all.flat().sort((a, b) => a.at - b.at);
  }, [db, ids]);
}

/** Has what fails say why in words for the reader. */
async function readable<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act();
  } catch (error) {
    throw new Error(error instanceof NotAPicture ? error.message : `${storageTrouble(error)}.`);
  }
}

/** Ways to change lines of the log that stand; new ones are written by `useActs().record`. */
export function useLogBook() {
  const { db } = useStore();
  return useMemo(
    () => ({
      rewrite: (entry: Entry, files: readonly File[] = []) =>
        readable(async () =>
          rewriteEntry(db, entry, Date.now(), await Promise.all(files.map(shrinkPicture))),
        ),
      strike: (ids: readonly string[], gone = true) => strike(db, ids, gone, Date.now()),
    }),
    [db],
  );
}

/**
 * What is done and written down: all that it changes together, or nothing. Each gives how it is taken back; what fails says
 * so in words for the reader.
 */
export function useActs() {
  const { db, catalogue } = useStore();
  return useMemo(
    () => ({
      record: (lines: readonly Line[], files: readonly File[] = [], fed: readonly Fed[] = []) =>
        readable(async () => {
          // A file that is no picture is found out before anything is written.
          const pictures = await Promise.all(files.map(shrinkPicture));
          return record(db, lines, catalogue, Date.now(), pictures, fed);
        }),
      editAndTell: (told: ToldEdit) => readable(() => editAndTell(db, told, catalogue, Date.now())),
      createStanding: (boxes: readonly StandingBox[]) =>
        readable(() => createStanding(db, boxes, Date.now())),
      /** One edit in several enclosures. */
      changeAll: (ids: readonly string[], how: EditForAll) =>
        readable(() => changeAll(db, ids, how, catalogue, Date.now())),
      animalGoes: (gone: Left) => readable(() => animalGoes(db, gone, catalogue, Date.now())),
    }),
    [db, catalogue],
  );
}

/** When the keeper is away, and who looks in meanwhile. */
export function useAway() {
  const { db, settings } = useStore();
  return [settings.away, (away: Settings['away']): void => void saveSetting(db, 'away', away)] as const;
}

/** Comparisons that were planned and not ended, and a way to change them. */
export function useComparisons() {
  const { db, settings } = useStore();
  const open = useMemo(() => settings.comparisons.filter((it) => !it.closed), [settings.comparisons]);
  return {
    open,
    plan: (it: PlannedComparison): Promise<void> => changeComparisons(db, (all) => [...all, it]),
    close: (id: string): Promise<void> =>
      changeComparisons(db, (all) => all.map((it) => (it.id === id ? { ...it, closed: true } : it))),
    reopen: (id: string): Promise<void> =>
      changeComparisons(db, (all) => all.map((it) => (it.id === id ? { ...it, closed: false } : it))),
  };
}

/** Share of what is measured out that is bought to spare. */
export function useSpare() {
  const { db, settings } = useStore();
  return [settings.spare, (spare: number): void => void saveSetting(db, 'spare', spare)] as const;
}

/** Ways to change the rows of the catalogue that the builder wrote down himself. */
export function useOwn() {
  const { db } = useStore();
  return useMemo(
    () => ({
      save: <K extends keyof OwnRows>(kind: K, row: OwnRows[K][number]) => saveOwnRow(db, kind, row),
      change: <K extends keyof OwnRows>(
        kind: K,
        base: OwnRows[K][number],
        how: (row: OwnRows[K][number]) => OwnRows[K][number],
      ) => changeOwnRow(db, kind, base, how),
      remove: (kind: keyof OwnRows, id: string) => removeOwnRow(db, kind, id),
      /** Several rows, all or none. */
      putAll: (rows: readonly OwnRowPut[]) => putOwnRows(db, rows),
    }),
    [db],
  );
}

/** Ways to write in the book of the shelf. Each gives the batch it can be undone by. */
export function useShelfBook() {
  const { db } = useStore();
  return useMemo(() => {
    const makeId = (): string => crypto.randomUUID();
    return {
      write: (moves: readonly NewMove[]) => writeMoves(db, moves, makeId, Date.now()),
      undo: (batch: string, undone = true) => setUndone(db, batch, undone),
      date: (id: string, change: Parameters<typeof dateMove>[2]) => dateMove(db, id, change),
    };
  }, [db]);
}
