import { liveQuery, type Subscription } from 'dexie';
import type { Catalogue } from '@/core/catalogue';
import { applyEdit, EDIT_LABELS, type EditCall } from '@/core/edits';
import {
  mergeDesigns,
  refusalIn,
  fieldKey,
  withValue,
  type Design,
  type FieldClash,
  type Refusal,
} from '@/core/document';
import { asOf } from '@/core/brief/age';
import { localDay } from '@/core/time';
import type { DesignRow, RinconDatabase } from './database';
import { storageTrouble } from './persist';
import { loadDesign } from './designs';
import type { Loaded } from './openRow';
import { saveDesign, stepsAround, travel } from './steps';
import { thisWindow, type Windows } from './windows';

export type SaveState =
  | { readonly state: 'saved'; readonly at: number }
  /** `again`: it failed before. */
  | { readonly state: 'saving'; readonly again?: boolean }
  | { readonly state: 'failed'; readonly message: string };

export interface SessionView {
  readonly loaded: 'loading' | 'missing' | 'ready' | 'broken';
  readonly design: Design | undefined;
  readonly broken: Extract<Loaded, { state: 'broken' }> | undefined;
  readonly save: SaveState;
  readonly undo: string | undefined;
  readonly redo: string | undefined;
  /** The last edit that was not taken over, since it could not be read again, and how many there were. */
  readonly refused: (Refusal & { readonly count: number }) | null;
  /** Fields that another window set too, in another way, since: what it set stands, and either can be had. */
  readonly clashes: readonly FieldClash[];
}

interface Pending {
  /** What it was made on. */
  readonly base: Design;
  readonly design: Design;
  readonly label: string;
  readonly gesture: string | null;
}

/** A drag is written when it has rested so long, and at least so often, ms; not at every frame. */
const GESTURE_REST = 150;
const GESTURE_MOST = 1000;

/**
 * One open design. An edit shows at once and is written behind; the view never says saved before it is.
 * Knows no framework: `subscribe` and `view` are all a screen needs.
 */
export class DesignSession {
  private current: SessionView = {
    loaded: 'loading',
    design: undefined,
    broken: undefined,
    save: { state: 'saving' },
    undo: undefined,
    redo: undefined,
    refused: null,
    clashes: [],
  };
  /** The last design that is known to be readable. */
  private sound: Design | undefined;
  private revision = 0;
  /** Edits not yet begun to be written, oldest first; `writingNow` is the one that is. */
  private queue: Pending[] = [];
  private writingNow: Pending | undefined;
  private writing: Promise<void> | undefined;
  private resting: ReturnType<typeof setTimeout> | undefined;
  /** When the drag that is not yet written began. */
  private restless: number | undefined;
  private readonly listeners = new Set<() => void>();
  private live: Subscription | undefined;

  constructor(
    readonly db: RinconDatabase,
    readonly id: string,
    private readonly now: () => number,
    private readonly windows: Windows = thisWindow(),
  ) {}

  readonly view = (): SessionView => this.current;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    this.live ??= liveQuery(() => this.news()).subscribe({
      next: (loaded) => {
        if (loaded) this.adopt(loaded).catch((error: unknown) => this.fail(error));
      },
      error: (error: unknown) => this.fail(error),
    });
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size === 0) {
        this.live?.unsubscribe();
        this.live = undefined;
      }
    };
  };

  private set(change: Partial<SessionView>): void {
    this.current = { ...this.current, ...change };
    for (const listener of this.listeners) listener();
  }

  private fail(error: unknown): void {
    this.set({ save: { state: 'failed', message: storageTrouble(error) } });
  }

  /** What is stored, unless it is what this session wrote itself: that need not be read again. */
  private async news(): Promise<Loaded | undefined> {
    const row = await this.db.designs.get(this.id);
    const known = this.current.loaded === 'ready' && row?.deleted === 0 && row.revision <= this.revision;
    if (known || this.busy()) return undefined;
    return loadDesign(this.db, this.id);
  }

  /** Takes over what is stored, here or by another tab, unless an edit of our own is still on its way. */
  private async adopt(loaded: Loaded): Promise<void> {
    if (this.busy()) return;
    if (loaded.state !== 'ready') {
      this.set({
        loaded: loaded.state,
        design: undefined,
        broken: loaded.state === 'broken' ? loaded : undefined,
      });
      return;
    }
    if (this.current.loaded === 'ready' && loaded.row.revision <= this.revision) return;
    await this.take(loaded.row);
  }

  private async take(row: DesignRow): Promise<void> {
    this.revision = row.revision;
    const around = await stepsAround(this.db, row, this.windows);
    if (this.busy()) return;
    if (row.deleted !== 0) {
      this.set({ loaded: 'missing', design: undefined });
      return;
    }
    this.sound = row.design;
    this.set({ loaded: 'ready', design: row.design, save: { state: 'saved', at: row.updated }, ...around });
  }

  /**
   * Applies a named edit. Edits of one `gesture` (a drag) are one step of undo.
   * @returns why it was not taken over, where it was not
   */
  edit(call: EditCall, catalogue: Catalogue, gesture: string | null = null): string | undefined {
    const { design } = this.current;
    if (!design) return undefined;
    // What is set up by the animal is by the animal of today.
    const today = asOf(design, localDay(this.now()));
    const next = applyEdit(today, call, catalogue);
    if (next === today) return undefined;
    return this.enter(design, next, EDIT_LABELS[call.edit], gesture && `${call.edit} ${gesture}`);
  }

  /** Shows a change at once, and has it written. */
  private enter(base: Design, design: Design, label: string, gesture: string | null): string | undefined {
    if (gesture === null && this.refuses(design)) return this.current.refused?.message;
    const last = this.queue.at(-1);
    const goesOn = last !== undefined && last.gesture !== null && last.gesture === gesture;
    if (goesOn) this.queue.pop();
    this.queue.push({ base: goesOn ? last.base : base, design, label, gesture });
    this.set({
      design,
      save: this.current.save.state === 'saving' ? this.current.save : { state: 'saving' },
      undo: label,
      redo: undefined,
    });
    if (gesture === null) this.flush();
    else this.rest();
    return undefined;
  }

  /** Of fields that two windows set, takes what this one set after all. */
  settle(...clashes: readonly FieldClash[]): void {
    const { design } = this.current;
    if (!design) return;
    const next = clashes.reduce((now, it) => withValue(now, it.path, it.mine), design);
    this.enter(design, next, 'choice between two windows', null);
    if (this.current.design === next) this.leave(...clashes);
  }

  /** Leaves fields as the other window set them. */
  leave(...clashes: readonly FieldClash[]): void {
    this.set({ clashes: this.current.clashes.filter((it) => !clashes.includes(it)) });
  }

  private tellClashes(clashes: readonly FieldClash[]): void {
    if (clashes.length === 0) return;
    const told = new Set(clashes.map(fieldKey));
    this.set({ clashes: [...this.current.clashes.filter((it) => !told.has(fieldKey(it))), ...clashes] });
  }

  /** Whether a design could not be read again once it is stored; then that is told. */
  private refuses(design: Design): boolean {
    const wrong = refusalIn(design);
    if (wrong) this.set({ refused: { ...wrong, count: (this.current.refused?.count ?? 0) + 1 } });
    else this.sound = design;
    return wrong !== null;
  }

  /** Whether something was changed that has not reached storage. */
  isUnsaved(): boolean {
    return this.busy();
  }

  /** Gives up what could not be written: what is stored is shown again. */
  drop(): void {
    this.queue = [];
    this.set({ save: { state: 'saving' } });
    loadDesign(this.db, this.id)
      .then((loaded) => {
        this.revision = 0;
        return this.adopt(loaded);
      })
      .catch((error: unknown) => this.fail(error));
  }

  /** Writes once the drag rests, and now and then while it goes on. */
  private rest(): void {
    clearTimeout(this.resting);
    this.restless ??= this.now();
    const left = GESTURE_MOST - (this.now() - this.restless);
    this.resting = setTimeout(() => this.flush(), Math.max(0, Math.min(GESTURE_REST, left)));
  }

  /** Begins to write what waits. */
  private flush(): void {
    clearTimeout(this.resting);
    this.resting = undefined;
    this.restless = undefined;
    // A drag is looked at as it rests, not at every frame.
    const last = this.queue.at(-1);
    if (last && last.gesture !== null && last.design !== this.sound && this.refuses(last.design)) {
      this.queue.pop();
      this.set({ design: this.sound, ...(this.busy() ? {} : { save: { state: 'saved', at: this.now() } }) });
    }
    // A writing that found nothing to do would end before it is noted here, and be taken for one that still goes on.
    if (this.queue.length > 0) this.writing ??= this.write();
  }

  private busy(): boolean {
    return this.queue.length > 0 || this.writingNow !== undefined;
  }

  private async write(): Promise<void> {
    try {
      while ((this.writingNow = this.queue.shift())) {
        const edit = { ...this.writingNow, revision: this.revision, by: this.windows.me };
        const saved = await saveDesign(this.db, edit, this.now());
        this.writingNow = undefined;
        this.revision = saved.row.revision;
        if (saved.merged) this.rebase(saved.row.design);
        this.tellClashes(saved.clashes);
        await this.take(saved.row);
      }
    } catch (error) {
      // The edit stays on the screen and in the queue: `retry` writes it again.
      if (this.writingNow) this.queue.unshift(this.writingNow);
      this.writingNow = undefined;
      this.fail(error);
    } finally {
      this.writing = undefined;
    }
  }

  /** Puts what still waits on what the other window made of the design, and shows that. */
  private rebase(onto: Design): void {
    let base = onto;
    this.queue = this.queue.map((it) => {
      const { design, clashes } = mergeDesigns(it.base, it.design, base);
      const next = { ...it, base, design };
      base = design;
      this.tellClashes(clashes);
      return next;
    });
    if (this.queue.length > 0) this.set({ design: base });
  }

  /** Tries again to write what could not be written. */
  retry(): void {
    if (this.queue.length > 0) {
      this.set({ save: { state: 'saving', again: true } });
      this.writing ??= this.write();
    }
  }

  /** One step back (−1) or on (+1). */
  async travel(by: -1 | 1): Promise<void> {
    if (this.resting !== undefined) this.flush();
    await this.writing;
    if (this.busy()) return;
    try {
      const gone = await travel(this.db, this.id, by, this.now(), this.windows);
      if (!gone) return;
      this.tellClashes(gone.clashes);
      await this.take(gone.row);
    } catch (error) {
      this.fail(error);
    }
  }
}
