import 'fake-indexeddb/auto';
import { configure, screen } from '@testing-library/react';
import Dexie from 'dexie';
import { SnackbarProvider } from 'notistack';
import { type ReactElement } from 'react';
import { afterEach, expect, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { type Design } from '@/core/document';
import { shelfAmounts, stockOf } from '@/core/shelf';
import { localDay } from '@/core/time';
import { METRIC, type UnitPrefs } from '@/core/units';
import {
  createDesign,
  listMoves,
  loadDesign,
  loadSettings,
  OpenDesignProvider,
  RinconDatabase,
  StoreProvider,
} from '@/store';
import { draw } from '@/ui/testing/render';

// A drawing fills its pane; without a layout it has a size all the same.
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
);

// A dialog fades out, on a busy machine in more than the usual second.
configure({ asyncUtilTimeout: 20_000 });

afterEach(() => Dexie.delete('rincon'));

/** Waits until something holds: a write reaches the store in its own time, on a busy machine in more than a second. */
export const eventually = <T,>(check: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(check, { timeout: 20_000 });

/** A proposed design, changed by named edits. */
export const made = (animal: string | null, ...calls: EditCall[]): Design =>
  calls.reduce(
    (design, call) => applyEdit(design, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'Box',
        animal,
        count: 1,
        size: { width: 0.6, depth: 0.45, height: 0.6 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );

/** Draws a place of the application over a real store; gives a way to read what was stored. */
export async function open(element: ReactElement, design?: Design, prefs: UnitPrefs = METRIC) {
  const db = new RinconDatabase();
  await db.open();
  if (design) await createDesign(db, design, 1);
  draw(
    <SnackbarProvider>
      <StoreProvider
        demo={false}
        today={localDay(Date.now())}
        waiting={<p>waiting</p>}
        blocked={<p>blocked</p>}
        broken={(message) => <p>broken: {message}</p>}
      >
        {design ? (
          <OpenDesignProvider id={design.id} waiting={<p>waiting</p>} lost={() => <p>lost</p>}>
            {element}
          </OpenDesignProvider>
        ) : (
          element
        )}
      </StoreProvider>
    </SnackbarProvider>,
    prefs,
  );
  await eventually(() => expect(screen.queryByText('waiting')).toBeNull());
  return {
    stored: async (): Promise<Design> => {
      const loaded = await loadDesign(db, design?.id ?? '');
      if (loaded.state !== 'ready') throw new Error(loaded.state);
      return loaded.row.design;
    },
    settings: () => loadSettings(db),
    /** What the book says is on the shelf. */
    shelf: async () => shelfAmounts(stockOf(await listMoves(db))),
    moves: () => listMoves(db),
  };
}
