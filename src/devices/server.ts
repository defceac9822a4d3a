import { serverNow } from './clock';
import { z } from 'zod';
import { ImpossibleClimate } from '@/core/climate';
import { readUpTo } from '@/server/body';
import { MAX_BYTES, readEnvelope, writeSenml, type NamedReading } from '@/files';
import { FAULTS, MEMORY, SimulatedBox, type Fault } from './bench';

/** Between two readings that are sent as they come, ms. */
const BEAT = 5000;

/** All boxes on the bench, by the id of their design. One process, in memory only. */
const BOXES = Symbol.for('rincon.devices');
type Held = typeof globalThis & { [BOXES]?: Map<string, SimulatedBox> };
const boxes = (): Map<string, SimulatedBox> => ((globalThis as Held)[BOXES] ??= new Map());
/** Older ones give way: a bench is not a rack. */
const MOST = 20;

/** A page that listens, and how long one does at most before it must come back, ms. */
const MOST_STREAMS = 24;
const LISTENS = 30 * 60_000;
const STREAMS = Symbol.for('rincon.streams');
type Listening = typeof globalThis & { [STREAMS]?: Set<object> };
const streams = (): Set<object> => ((globalThis as Listening)[STREAMS] ??= new Set());

/** Bytes of what devices are told. */
const MOST_SAID = 64 * 1024;
/** Minutes any clock on earth is ahead of UTC, or behind it. */
const MOST_AHEAD = 14 * 60;

const SENML = { 'Content-Type': 'application/senml+json', 'Cache-Control': 'no-store' };
const senml = (readings: readonly NamedReading[]): Response =>
  new Response(readings.length === 0 ? '[]' : writeSenml(readings), { headers: SENML });
const json = (value: unknown, status = 200): Response =>
  Response.json(value, { status, headers: { 'Cache-Control': 'no-store' } });
const fault = (status: number, message: string): Response => json({ message }, status);

const Faults = z
  .array(
    z.strictObject({
      kind: z.enum(FAULTS),
      probe: z.enum(['warm', 'cool', 'canopy']).default('warm'),
      /** h since it began. */
      hours: z.number().min(0).max(48).default(0),
    }),
  )
  .max(12);
const Mist = z.strictObject({ seconds: z.number().min(1).max(600) });

/**
 * Answers for the simulated devices; see docs/devices.md.
 * @param path below `/api/devices`
 */
export async function answer(request: Request, path: readonly string[]): Promise<Response> {
  const real = process.env.RINCON_DEVICES;
  if (real !== undefined && real !== '') return passOn(request, path, real);
  const [id, device, part] = path;
  if (id === undefined) return fault(404, 'name an enclosure');
  if (device === undefined) {
    if (request.method === 'PUT') return putBox(request, id);
    if (request.method === 'DELETE') return json({ removed: boxes().delete(id) });
  }
  const box = boxes().get(id);
  if (!box) return fault(404, 'no such enclosure is on the bench. Put it there first');
  const now = serverNow();
  const url = new URL(request.url);
  switch (`${request.method} ${[device, part].filter(Boolean).join('/')}`) {
    case 'GET ':
      return json({
        id,
        name: box.name,
        devices: ['hub', 'mist', 'meter', 'scale'],
        faults: box.listFaults(),
      });
    case 'GET hub': {
      const since = Number(url.searchParams.get('since') ?? now - MEMORY);
      if (!Number.isFinite(since)) return fault(400, 'since: milliseconds since 1970 are expected');
      return heard(box.since(since, now));
    }
    case 'GET hub/events':
      return events(request, box);
    case 'GET mist': {
      const last = box.lastMist(now);
      return json([{ n: 'mist/last', ...(last === null ? { vs: 'never' } : { v: last / 1000, u: 's' }) }]);
    }
    case 'POST mist': {
      const asked = Mist.safeParse(await jsonOf(request));
      if (!asked.success) return fault(400, 'seconds between 1 and 600 are expected');
      await box.mist(asked.data.seconds, now);
      return json({ misted: asked.data.seconds });
    }
    case 'GET meter':
      return senml([box.uvIndex(now)]);
    case 'GET scale': {
      const weight = box.weigh(now);
      return weight ? senml([weight]) : fault(409, 'nothing lives in this enclosure that could be weighed');
    }
    case 'PUT faults': {
      const asked = Faults.safeParse(await jsonOf(request));
      if (!asked.success)
        return fault(
          400,
          `a list of faults is expected: ${FAULTS.join(', ')}, with the probe and the hours since`,
        );
      await box.setFaults(
        asked.data.map(({ kind, probe, hours }): Fault => ({ kind, probe, since: now - hours * 3_600_000 })),
      );
      return json({ faults: box.listFaults(), history: box.history });
    }
    default:
      return fault(404, 'there is no such device');
  }
}

/** Readings, or why there can be none. */
async function heard(asked: Promise<readonly NamedReading[]>): Promise<Response> {
  try {
    return senml(await asked);
  } catch (error) {
    if (error instanceof ImpossibleClimate) return fault(422, error.message);
    throw error;
  }
}

/** What a request says, if it is JSON of a modest size; else null. */
async function jsonOf(request: Request): Promise<unknown> {
  const bytes = await readUpTo(request, MOST_SAID);
  try {
    return bytes && (JSON.parse(new TextDecoder().decode(bytes)) as unknown);
  } catch {
    return null;
  }
}

/** Real devices in place of the simulated ones: what is asked goes on to them, and what they say comes back. */
async function passOn(request: Request, path: readonly string[], base: string): Promise<Response> {
  const body = request.method === 'GET' ? null : await readUpTo(request, MAX_BYTES);
  if (request.method !== 'GET' && body === null) return fault(413, 'larger than 20 MB, or too slow');
  const to = `${base.replace(/\/$/, '')}/${path.map(encodeURIComponent).join('/')}${new URL(request.url).search}`;
  try {
    const reply = await fetch(to, {
      method: request.method,
      headers: { 'Content-Type': request.headers.get('content-type') ?? 'application/json' },
      signal: request.signal,
      ...(body ? { body } : {}),
    });
    return new Response(reply.body, {
      status: reply.status,
      headers: {
        'Content-Type': reply.headers.get('content-type') ?? 'application/json',
        'Cache-Control': 'no-store',
      },
    });
  } catch {
    return fault(502, 'the devices named by RINCON_DEVICES do not answer');
  }
}

/** A box is put on the bench as the file an enclosure is saved as. */
async function putBox(request: Request, id: string): Promise<Response> {
  const ahead = Number(new URL(request.url).searchParams.get('zone') ?? 0);
  if (!(Math.abs(ahead) <= MOST_AHEAD))
    return fault(400, `zone: minutes ahead of UTC from ${-MOST_AHEAD} to ${MOST_AHEAD} are expected`);
  const bytes = await readUpTo(request, MAX_BYTES);
  if (!bytes) return fault(413, 'larger than 20 MB, or too slow');
  const read = readEnvelope(new TextDecoder().decode(bytes));
  if (!read.ok) return fault(400, `${read.place}: ${read.message}`);
  const design = read.value.designs.find((it) => it.id === id);
  if (!design) return fault(400, 'the file holds another enclosure');
  const all = boxes();
  let box: SimulatedBox;
  try {
    box = new SimulatedBox(design, read.value.own, serverNow(), ahead * 60_000);
  } catch (error) {
    if (error instanceof ImpossibleClimate) return fault(422, error.message);
    throw error;
  }
  all.delete(id);
  for (const oldest of [...all.keys()].slice(0, Math.max(0, all.size - MOST + 1))) all.delete(oldest);
  all.set(id, box);
  return json({ id, name: box.name });
}

/** Readings as they come, as server-sent events of SenML packs. */
function events(request: Request, box: SimulatedBox): Response {
  const open = streams();
  if (open.size >= MOST_STREAMS)
    return fault(503, 'too many pages listen to devices. Close some, then try again');
  const text = new TextEncoder();
  const own = {};
  open.add(own);
  let timer: ReturnType<typeof setInterval> | undefined;
  const end = (): void => {
    clearInterval(timer);
    open.delete(own);
  };
  const stream = new ReadableStream<Uint8Array>({
    start(out) {
      let isSending = false;
      const send = async (): Promise<void> => {
        // One that is still being calculated is not asked for twice.
        if (isSending) return;
        isSending = true;
        const pack = await box.readings(Math.floor(serverNow() / 1000) * 1000).catch(() => null);
        isSending = false;
        if (!open.has(own)) return;
        if (pack === null) {
          // What cannot be calculated is said where its past is asked for; who listens comes back.
          end();
          out.close();
          return;
        }
        // A hub that hears nothing still says that it is there.
        out.enqueue(
          text.encode(
            pack.length === 0 ? ': nothing heard\n\n' : `id: ${box.history}\ndata: ${writeSenml(pack)}\n\n`,
          ),
        );
      };
      out.enqueue(text.encode('retry: 3000\n\n'));
      void send();
      const began = Date.now();
      timer = setInterval(() => {
        if (Date.now() - began < LISTENS) void send();
        else {
          // Who still listens comes back by itself.
          end();
          out.close();
        }
      }, BEAT);
      request.signal.addEventListener('abort', () => {
        end();
        try {
          out.close();
        } catch {
          // It was closed by the other side.
        }
      });
    },
    cancel: end,
  });
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
  });
}
