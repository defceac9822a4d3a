import { readUpTo } from './body';

/** Sealed packages on their way from one device to another: in memory only, gone after one fetch or ten minutes. */
const MINUTES = 10;
/** One package at most, and all of them together, bytes. */
export const MOST = 32 * 1024 * 1024;
const MOST_ALL = 96 * 1024 * 1024;

interface Held {
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly until: number;
}
const HELD = Symbol.for('rincon.handover');
type Holder = typeof globalThis & { [HELD]?: Map<string, Held> };
const packages = (): Map<string, Held> => ((globalThis as Holder)[HELD] ??= new Map());

const fault = (status: number, message: string): Response =>
  Response.json({ message }, { status, headers: { 'Cache-Control': 'no-store' } });

function forgetOld(now: number): void {
  for (const [id, it] of packages()) if (it.until <= now) packages().delete(id);
}

/** Takes a package in under a name the sender chose. What is in it the server cannot read: the key never comes here. */
export async function leave(request: Request, id: string, now: number): Promise<Response> {
  if (!/^[A-Z2-7]{6}$/.test(id)) return fault(400, 'a name of six letters and figures is expected');
  forgetOld(now);
  const all = packages();
  if (all.has(id)) return fault(409, 'that name is taken. Try again');
  const bytes = await readUpTo(request, MOST);
  if (bytes === null) return fault(413, 'larger than 32 MB, or too slow. Save it as a file and carry that');
  if (bytes.length === 0) return fault(400, 'nothing was sent');
  const held = [...all.values()].reduce((sum, it) => sum + it.bytes.length, 0);
  if (held + bytes.length > MOST_ALL)
    return fault(503, 'too much waits to be fetched. Try again in ten minutes');
  const until = now + MINUTES * 60_000;
  all.set(id, { bytes, until });
  // It goes even if nobody asks for anything any more.
  setTimeout(() => forgetOld(Date.now()), MINUTES * 60_000 + 1000).unref();
  return Response.json({ until }, { headers: { 'Cache-Control': 'no-store' } });
}

/** Hands a package over, once. */
export function fetchOnce(id: string, now: number): Response {
  forgetOld(now);
  const it = packages().get(id);
  if (!it)
    return fault(
      404,
      'nothing waits under this code: it was fetched, or ten minutes are over. Hand it over again',
    );
  packages().delete(id);
  return new Response(it.bytes, {
    headers: { 'Content-Type': 'application/octet-stream', 'Cache-Control': 'no-store' },
  });
}
