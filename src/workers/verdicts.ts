import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { wrap, type Remote } from 'comlink';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/design';
import { dependsOn, rowsOf, type VerdictState } from '@/core/verdict';
import { keepDerived, readDerived } from '@/store';
import type { Judged, VerdictApi } from './verdict.worker';

const UNASKED: VerdictState = { at: 'unasked' };
const CALCULATING: VerdictState = { at: 'calculating' };

/** Workers: two at the least; a core is left to the page where there are more. */
const HANDS = Math.min(3, Math.max(2, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));
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
}

const states = new Map<string, VerdictState>();
const queue = new Map<string, Waiting>();
const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((it) => it());
export const onVerdicts = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

const rowHashes = new WeakMap<Catalogue, string>();
function hashOfRows(catalogue: Catalogue): string {
  let found = rowHashes.get(catalogue);
  if (!found) {
    found = bytesToHex(sha256(utf8ToBytes(rowsOf(catalogue))));
    rowHashes.set(catalogue, found);
  }
  return found;
}

const keys = new WeakMap<Design, { readonly catalogue: Catalogue; readonly key: string }>();
/** Hash of all that a verdict depends on. */
function keyOf(design: Design, catalogue: Catalogue): string {
  const known = keys.get(design);
  if (known?.catalogue === catalogue) return known.key;
  const key = bytesToHex(sha256(utf8ToBytes(`${hashOfRows(catalogue)} ${dependsOn(design)}`)));
  keys.set(design, { catalogue, key });
  return key;
}

/** What is known of a design now; nothing is begun by asking. */
export function verdictNow(design: Design, catalogue: Catalogue): VerdictState {
  if (design.brief.animal === null) return UNASKED;
  return states.get(keyOf(design, catalogue)) ?? CALCULATING;
}

let count = 0;
/**
 * Asks for a verdict, from what was kept or from a worker.
 * @param inSight it is looked at now
 * @returns takes the wish back: what nobody waits for is not begun
 */
export function wantVerdict(design: Design, catalogue: Catalogue, inSight: boolean): () => void {
  // Without workers it stays unknown; nothing is calculated on the page itself.
  if (design.brief.animal === null || typeof Worker === 'undefined') return () => undefined;
  const key = keyOf(design, catalogue);
  if (states.has(key)) return () => undefined;
  count += 1;
  const urgency = (inSight ? 0 : 1e9) - count;
  const waiting = queue.get(key);
  if (waiting) {
    waiting.urgency = Math.min(waiting.urgency, urgency);
    waiting.wishes += 1;
  } else queue.set(key, { key, design, catalogue, urgency, wishes: 1 });
  void work();
  return () => {
    const left = queue.get(key);
    if (!left) return;
    left.wishes -= 1;
    if (left.wishes <= 0) queue.delete(key);
  };
}

/** Progress over all that was wanted: how many still wait or are at work. */
export const verdictsOpen = (): number => queue.size + busy;

interface Hand {
  worker: Worker;
  api: Remote<VerdictApi>;
  told: Catalogue | null;
  free: boolean;
}
const hands: Hand[] = [];
let busy = 0;

function newHand(): Pick<Hand, 'worker' | 'api'> {
  const worker = new Worker(new URL('./verdict.worker.ts', import.meta.url), { type: 'module' });
  return { worker, api: wrap<VerdictApi>(worker) };
}

function remember(key: string, state: VerdictState): void {
  states.set(key, state);
  if (states.size > MOST) {
    const [oldest] = states.keys();
    if (oldest !== undefined) states.delete(oldest);
  }
  tell();
}

const stateOf = (judged: Judged): VerdictState =>
  judged.ok
    ? { at: 'known', verdict: judged.verdict, findings: judged.findings }
    : { at: 'failed', message: judged.message };

/** Gives what waits to hands that are free, the most urgent first. */
async function work(): Promise<void> {
  while (hands.length < HANDS) hands.push({ ...newHand(), told: null, free: true });
  const hand = hands.find((it) => it.free);
  if (!hand) return;
  let next: Waiting | undefined;
  for (const it of queue.values()) if (!next || it.urgency < next.urgency) next = it;
  if (!next) return;
  const { key, design, catalogue } = next;
  queue.delete(key);
  hand.free = false;
  busy += 1;
  try {
    const kept = (await readDerived(key)) as Judged | undefined;
    if (kept) remember(key, stateOf(kept));
    else {
      if (hand.told !== catalogue) {
        await hand.api.tell(catalogue);
        hand.told = catalogue;
      }
      const judged = await answered(hand, design);
      remember(key, stateOf(judged));
      if (judged.ok) void keepDerived(key, judged, Date.now());
    }
  } catch (error) {
    remember(key, { at: 'failed', message: error instanceof Error ? error.message : String(error) });
  } finally {
    hand.free = true;
    busy -= 1;
    tell();
    void work();
  }
}

/** A worker that could not be loaded never answers: then this fails, and another takes its place. */
function answered(hand: Hand, design: Design): Promise<Judged> {
  return new Promise((resolve, reject) => {
    const fails = (event: ErrorEvent): void => {
      hand.worker.terminate();
      Object.assign(hand, newHand(), { told: null });
      reject(new Error(event.message || 'the worker could not be loaded'));
    };
    const { worker } = hand;
    worker.addEventListener('error', fails);
    hand.api
      .judge(design)
      .then(resolve, reject)
      .finally(() => worker.removeEventListener('error', fails));
  });
}
