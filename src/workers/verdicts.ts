import { wrap, type Remote } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { harmsIn, yearFindings, type Verdict, type VerdictState } from '@/core/verdict';
import { keepDerived, readDerivedMany } from '@/store';
import type { Judged, VerdictApi } from './verdict.worker';
import { verdictKey } from './verdictKey';

const UNASKED: VerdictState = { at: 'unasked' };
const UNDESCRIBED: VerdictState = { at: 'undescribed' };
const CALCULATING: VerdictState = { at: 'calculating' };

/** Workers: two at the least; a core is left to the page where there are more. */
const HANDS = Math.min(3, Math.max(2, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));
/** Whether that leaves no core to the page. */
const ALL_CORES = (globalThis.navigator?.hardwareConcurrency ?? 2) <= HANDS;
/** ms after a scroll, a key or a touch for which a core is left to the page, so that it answers at once. */
const HEED = 1200;
let touchedAt = -Infinity;
if (ALL_CORES && typeof window !== 'undefined')
  for (const kind of ['scroll', 'wheel', 'keydown', 'pointerdown', 'touchmove'])
    window.addEventListener(kind, () => (touchedAt = Date.now()), { passive: true, capture: true });
/** Workers that may be busy now. */
const mayWork = (): number => (ALL_CORES && Date.now() - touchedAt < HEED ? HANDS - 1 : HANDS);
let again: ReturnType<typeof setTimeout> | undefined;

/** Verdicts held in memory. */
const MOST = 400;

interface Waiting {
  readonly key: string;
  readonly design: Design;
  readonly catalogue: Catalogue;
  /** Lower first: what is in sight before what is not, what was asked last before what was asked first. */
  urgency: number;
  /** How many wait for it. */
  wishes: number;
  /** Whether it is to be said how sure it is, when there is time. */
  counts: boolean;
  /** Whether it was looked for among what is kept. */
  looked: 'not yet' | 'now' | 'done';
}
/** Answers whose rooms are still to be counted: when nothing waits for an answer. */
const uncounted = new Map<string, Pick<Waiting, 'design' | 'catalogue'>>();

const states = new Map<string, VerdictState>();
const queue = new Map<string, Waiting>();
const listeners = new Set<() => void>();
/** ms between two tellings: a rack of many is not drawn anew for each of its verdicts. */
const TOLD_EVERY = 250;
let toldAt = -Infinity;
let telling: ReturnType<typeof setTimeout> | undefined;
function notify(): void {
  if (telling !== undefined) return;
  telling = setTimeout(
    () => {
      telling = undefined;
      toldAt = Date.now();
      listeners.forEach((it) => it());
    },
    Math.max(0, toldAt + TOLD_EVERY - Date.now()),
  );
}
export const onVerdicts = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What is known of a design now; nothing is begun by asking. */
export function verdictNow(design: Design, catalogue: Catalogue): VerdictState {
  if (!design.brief.described) return UNDESCRIBED;
  if (design.brief.animal === null) return UNASKED;
  return states.get(verdictKey(design, catalogue)) ?? CALCULATING;
}

let count = 0;
/**
 * Asks for a verdict, from what was kept or from a worker.
 * @param inSight it is looked at now
 * @param counts whether its rooms are counted too; a change that is only tried needs none
 * @returns takes the wish back: what nobody waits for is not begun
 */
export function wantVerdict(
  design: Design,
  catalogue: Catalogue,
  inSight: boolean,
  counts = true,
): () => void {
  // Without workers it stays unknown; nothing is calculated on the page itself.
  const { animal, described } = design.brief;
  if (animal === null || !described || typeof Worker === 'undefined') return () => undefined;
  const key = verdictKey(design, catalogue);
  if (states.has(key)) return () => undefined;
  count += 1;
  const urgency = (inSight ? 0 : 1e9) - count;
  const waiting = queue.get(key);
  if (waiting) {
    waiting.urgency = Math.min(waiting.urgency, urgency);
    waiting.wishes += 1;
    waiting.counts ||= counts;
  } else queue.set(key, { key, design, catalogue, urgency, wishes: 1, counts, looked: 'not yet' });
  void work();
  return () => {
    const left = queue.get(key);
    if (!left) return;
    left.wishes -= 1;
    if (left.wishes <= 0) queue.delete(key);
  };
}

/** Takes over a verdict that a search came to: it is not calculated again, only how sure it is. */
export function knowVerdict(design: Design, catalogue: Catalogue, verdict: Verdict): void {
  const key = verdictKey(design, catalogue);
  if (states.has(key)) return;
  queue.delete(key);
  const judged: Judged = { ok: true, verdict, findings: yearFindings(verdict, design, catalogue) };
  remember(key, stateOf(judged));
  uncounted.set(key, { design, catalogue });
  void keepDerived(key, judged, Date.now());
  void work();
}

let news = 0;
/** A number that is another one whenever any verdict has come in: for lists over many. */
export const verdictNews = (): number => news;

/** Progress over all that was wanted: how many still wait or are at work. */
export const verdictsOpen = (): number => queue.size + busy;

interface Helper {
  worker: Worker;
  api: Remote<VerdictApi>;
  told: Catalogue | null;
  free: boolean;
}
const hands: Helper[] = [];
let busy = 0;

function newHand(): Pick<Helper, 'worker' | 'api'> {
  const worker = new Worker(new URL('./verdict.worker.ts', import.meta.url), {
    type: 'module',
    name: 'years',
  });
  return { worker, api: wrap<VerdictApi>(worker) };
}

function remember(key: string, state: VerdictState): void {
  states.set(key, state);
  news += 1;
  if (states.size > MOST) {
    const [oldest] = states.keys();
    if (oldest !== undefined) states.delete(oldest);
  }
  notify();
}

const stateOf = (judged: Judged): VerdictState =>
  judged.ok
    ? { at: 'known', verdict: judged.verdict, findings: judged.findings }
    : { at: 'failed', message: judged.message };

/** ms in which wishes gather: a rack asks for all of its boxes at once. */
const GATHERED = 10;

/** Takes what is kept of all that waits, at one go. */
async function lookUp(): Promise<void> {
  if (![...queue.values()].some((it) => it.looked === 'not yet')) return;
  await new Promise((resolve) => setTimeout(resolve, GATHERED));
  const fresh = [...queue.values()].filter((it) => it.looked === 'not yet');
  if (fresh.length === 0) return;
  for (const it of fresh) it.looked = 'now';
  const kept = await readDerivedMany(fresh.map((it) => it.key));
  fresh.forEach((it, index) => {
    it.looked = 'done';
    const judged = kept[index] as Judged | undefined;
    if (!judged || !queue.delete(it.key)) return;
    remember(it.key, stateOf(judged));
    if (judged.ok && it.counts && judged.verdict.sure.of === 0) uncounted.set(it.key, it);
  });
}

/** Gives what waits to hands that are free, the most urgent first; when nothing does, counts rooms. */
async function work(): Promise<void> {
  await lookUp();
  while (hands.length < HANDS) hands.push({ ...newHand(), told: null, free: true });
  const hand = hands.find((it) => it.free);
  if (!hand) return;
  if (hands.filter((it) => !it.free).length >= mayWork()) {
    again ??= setTimeout(() => {
      again = undefined;
      void work();
    }, HEED);
    return;
  }
  let next: Waiting | undefined;
  for (const it of queue.values())
    if (it.looked === 'done' && (!next || it.urgency < next.urgency)) next = it;
  if (next) await judgeBy(hand, next);
  else if (queue.size === 0) await countBy(hand);
}

async function judgeBy(hand: Helper, { key, design, catalogue, counts }: Waiting): Promise<void> {
  queue.delete(key);
  hand.free = false;
  busy += 1;
  try {
    const judged = await answered<Judged>(hand, catalogue, async (api) => api.judge(design));
    remember(key, stateOf(judged));
    if (judged.ok) {
      if (counts) uncounted.set(key, { design, catalogue });
      void keepDerived(key, judged, Date.now());
    }
  } catch (error) {
    remember(key, { at: 'failed', message: error instanceof Error ? error.message : String(error) });
  } finally {
    hand.free = true;
    busy -= 1;
    notify();
    void work();
  }
}

/** How sure one answer is, the last that was given first. */
async function countBy(hand: Helper): Promise<void> {
  const next = [...uncounted].at(-1);
  if (!next) return;
  const [key, { design, catalogue }] = next;
  uncounted.delete(key);
  const state = states.get(key);
  if (state?.at !== 'known') return;
  hand.free = false;
  try {
    const sure = await answered(hand, catalogue, (api) => api.rooms(design, harmsIn(state.verdict)));
    if (sure) {
      const verdict = { ...state.verdict, sure };
      remember(key, { ...state, verdict });
      void keepDerived(key, { ok: true, verdict, findings: state.findings } satisfies Judged, Date.now());
    }
  } catch {
    // The answer stands; how sure it is stays unsaid.
  } finally {
    hand.free = true;
    void work();
  }
}

/** Asks a worker that knows the catalogue. One that could not be loaded never answers: then this fails, and another takes its place. */
async function answered<T>(
  hand: Helper,
  catalogue: Catalogue,
  ask: (api: Remote<VerdictApi>) => Promise<T>,
): Promise<T> {
  if (hand.told !== catalogue) {
    await hand.api.tell(catalogue);
    hand.told = catalogue;
  }
  return new Promise((resolve, reject) => {
    const fails = (event: ErrorEvent): void => {
      hand.worker.terminate();
      Object.assign(hand, newHand(), { told: null });
      reject(new Error(event.message || 'the worker could not be loaded'));
    };
    const { worker } = hand;
    worker.addEventListener('error', fails);
    ask(hand.api)
      .then(resolve, reject)
      .finally(() => worker.removeEventListener('error', fails));
  });
}
