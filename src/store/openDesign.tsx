'use client';

import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { assess, type Assessment } from '@/core/assess';
import { asOf } from '@/core/brief/age';
import { buyingOf, type Buying } from '@/core/buying';
import type { Design } from '@/core/document';
import type { EditCall } from '@/core/edits';
import { keeping } from '@/core/finding/kept';
import { useStore } from './react';
import { DesignSession, type SessionView } from './session';
import { heldSession, sessionOpened } from './unsaved';

/*
 * One open enclosure: kept apart from the store, so that pages without one load neither the engine that judges it nor
 * its edits.
 */

interface Editing {
  /** Gives why it was not taken over, where it was not. */
  readonly edit: (call: EditCall, gesture?: string) => string | undefined;
  /** One step back (−1) or on (+1). */
  readonly travel: (by: -1 | 1) => Promise<void>;
  /** Tries again to write what could not be written. */
  readonly retry: () => void;
  /** Of fields that two windows set, takes what this one set after all; or leaves fields as the other one set them. */
  readonly settle: DesignSession['settle'];
  readonly leave: DesignSession['leave'];
}

interface OpenDesign {
  readonly design: Design;
  readonly assessment: Assessment;
}

/** Apart from the design, so that what only edits is not drawn anew at every edit. */
const EditingContext = createContext<Editing | undefined>(undefined);
const OpenDesignContext = createContext<OpenDesign | undefined>(undefined);
/** Apart too: being saved changes nothing of the design. */
const SavingContext = createContext<SessionView | undefined>(undefined);

interface OpenProps {
  readonly id: string;
  readonly waiting: ReactNode;
  /** Shown when the design is gone or can no longer be read. */
  readonly lost: (view: SessionView) => ReactNode;
  readonly children: ReactNode;
}

/** Opens one design: every number below it follows from the same assessment. */
export function OpenDesignProvider({ id, waiting, lost, children }: OpenProps) {
  const { db, catalogue, shelf, today } = useStore();
  // One that was left unsaved is gone on with.
  const session = useMemo(() => heldSession(db, id) ?? new DesignSession(db, id, Date.now), [db, id]);
  useEffect(() => sessionOpened(session), [session]);
  const view = useSyncExternalStore(session.subscribe, session.view, session.view);
  const design = view.design && asOf(view.design, today);
  // What an edit leaves alone is not calculated anew.
  const [keep] = useState(keeping);
  const assessment = useMemo(
    () => design && assess(design, catalogue, shelf, keep),
    [design, catalogue, shelf, keep],
  );
  const editing = useMemo(
    (): Editing => ({
      edit: (call, gesture) => session.edit(call, catalogue, gesture ?? null),
      travel: (by) => session.travel(by),
      retry: () => session.retry(),
      settle: (...clashes) => session.settle(...clashes),
      leave: (...clashes) => session.leave(...clashes),
    }),
    [session, catalogue],
  );
  const open = useMemo(
    (): OpenDesign | undefined => design && assessment && { design, assessment },
    [design, assessment],
  );
  if (view.loaded === 'loading') return waiting;
  if (!open) return lost(view);
  return (
    <EditingContext value={editing}>
      <SavingContext value={view}>
        <OpenDesignContext value={open}>{children}</OpenDesignContext>
      </SavingContext>
    </EditingContext>
  );
}

/** The open design and what follows from it. Throws outside its provider. */
export function useOpenDesign(): OpenDesign {
  const open = useContext(OpenDesignContext);
  if (!open) throw new Error('useOpenDesign needs an OpenDesignProvider above it');
  return open;
}

/** Whether the open design is saved, and what undo and redo would do. */
export function useSaving(): SessionView {
  const view = useContext(SavingContext);
  if (!view) throw new Error('useSaving needs an OpenDesignProvider above it');
  return view;
}

/** The ways to change the open design; the same functions as long as it is open. */
export function useEditing(): Editing {
  const editing = useContext(EditingContext);
  if (!editing) throw new Error('useEditing needs an OpenDesignProvider above it');
  return editing;
}

/** What is to be bought for the open enclosure, less what is on the shelf. */
export function useBuying(): Buying {
  const { catalogue, shelfFor, settings } = useStore();
  const { design, assessment } = useOpenDesign();
  return useMemo(
    () =>
      buyingOf([{ design, assessment }], catalogue, shelfFor([design.id]), settings.spare, settings.prices),
    [design, assessment, catalogue, shelfFor, settings.spare, settings.prices],
  );
}
