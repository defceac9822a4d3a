import { z } from 'zod';
import { writeSingle, readingsIn, readSenml, type NamedReading } from '@/files';
import { toSteps, trackOf, type MeasuringPlace } from '@/core/readings';
import type { Design } from '@/core/document';
import type { OwnRows } from '@/catalogue';
import type { SourceTrack } from '@/store';

const BASE = '/api/devices';

/** A device that cannot be reached, or says no; the message says what to do. */
export class DeviceTrouble extends Error {}

async function ask(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`${BASE}/${path}`, { ...init, cache: 'no-store' });
  } catch {
    throw new DeviceTrouble('The devices do not answer. Is the server still running?');
  }
  if (!response.ok) {
    const said = (await response.json().catch(() => ({}))) as { readonly message?: string };
    throw new DeviceTrouble(said.message ?? `The device answers ${response.status}.`);
  }
  return response;
}

async function readings(path: string): Promise<readonly NamedReading[]> {
  const text = await (await ask(path)).text();
  if (text === '[]') return [];
  const found = readSenml(text, Date.now() / 1000);
  if (!found.ok) throw new DeviceTrouble(`${found.place}: ${found.message}.`);
  return readingsIn(found.value);
}

/** Puts a box on the bench of the stand-ins: they then read that box as it is calculated. */
export function placeBox(design: Design, own: OwnRows): Promise<Response> {
  told.delete(design.id);
  return ask(`${design.id}?zone=${-new Date().getTimezoneOffset()}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: writeSingle(design, own, new Date()),
  });
}
export const hubSince = (design: string, since: number): Promise<readonly NamedReading[]> =>
  readings(`${design}/hub?since=${since}`);
export const hubEvents = (design: string): EventSource => new EventSource(`${BASE}/${design}/hub/events`);
export const isThere = (design: string): Promise<boolean> =>
  ask(design).then(
    () => true,
    () => false,
  );
export const meter = (design: string): Promise<readonly NamedReading[]> => readings(`${design}/meter`);
export const scale = (design: string): Promise<readonly NamedReading[]> => readings(`${design}/scale`);
export const mistFor = (design: string, seconds: number): Promise<Response> =>
  ask(`${design}/mist`, { method: 'POST', body: JSON.stringify({ seconds }) });
/** By box: which of its histories is told now. */
const told = new Map<string, number>();

export async function setFaults(
  design: string,
  faults: readonly { readonly kind: string; readonly probe: string; readonly hours: number }[],
): Promise<void> {
  const reply = await ask(`${design}/faults`, { method: 'PUT', body: JSON.stringify(faults) });
  const { history } = History.parse(await reply.json());
  told.set(design, history);
}
const History = z.object({ history: z.number() });

/** Whether a reading that was on its way is of a history that has been told anew since. */
export const isOutdated = (design: string, { lastEventId }: Pick<MessageEvent, 'lastEventId'>): boolean =>
  Number(lastEventId) < (told.get(design) ?? 0);

const PLACE: Record<string, MeasuringPlace> = {
  warm: 'warm',
  cool: 'cool',
  canopy: 'canopy',
};

/** Named readings as tracks of points, named as one would say them. */
export function sourceTracks(all: readonly NamedReading[]): readonly SourceTrack[] {
  const by = new Map<string, NamedReading[]>();
  for (const it of all) {
    const key = `${it.name}\n${it.quantity}`;
    const own = by.get(key);
    if (own) own.push(it);
    else by.set(key, [it]);
  }
  return [...by.values()].flatMap((own): readonly SourceTrack[] => {
    const [first] = own;
    if (!first) return [];
    const { name, quantity } = first;
    const parts = name.split('/').filter((it) => it !== '');
    const probe = parts.find((it) => it in PLACE) ?? (/cool/i.test(name) ? 'cool' : null);
    const place: MeasuringPlace =
      quantity === 'mass'
        ? 'scale'
        : quantity === 'uvIndex'
          ? 'basking'
          : quantity === 'soilWater'
            ? 'soil'
            : (PLACE[probe ?? ''] ?? 'warm');
    return [
      {
        source: name,
        name: (parts.length > 2 ? parts.slice(1) : parts.slice(-1)).join(' ').replaceAll('-', ' ') || name,
        quantity,
        place,
        track: trackOf(
          own.map((it) => it.at),
          own.map((it) => toSteps(it.value, quantity)),
        ),
      },
    ];
  });
}
