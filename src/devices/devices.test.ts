import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import fc from 'fast-check';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { catalogue, NO_OWN_ROWS } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { readingsIn, readSenml, writeSingle, type NamedReading } from '@/files';
import { EVERY, MEMORY, SimulatedBox, type FaultKind } from './bench';
import { answer } from './server';

const NOW = Date.UTC(2026, 5, 3, 15);
const HOUR = 3_600_000;
const hedge = demoDesigns(catalogue).find((it) => it.id === 'demo-hedge')!;
const box = () => new SimulatedBox(hedge, NO_OWN_ROWS, NOW, 0);
const of = (all: readonly NamedReading[], name: string) => all.filter((it) => it.name === name);
const broken = async (kind: FaultKind, hours = 6, probe = 'warm') => {
  const own = box();
  await own.setFaults([{ kind, probe, since: NOW - hours * HOUR }]);
  return own.since(NOW - MEMORY, NOW);
};
const values = (all: readonly NamedReading[], name: string, from = NOW - 5 * HOUR) =>
  of(all, name)
    .filter((it) => it.at >= from)
    .map((it) => it.value);
const mean = (all: readonly number[]) => all.reduce((sum, it) => sum + it, 0) / all.length;

describe('the simulated enclosure', () => {
  let sound: readonly NamedReading[] = [];
  beforeAll(async () => {
    sound = await box().since(0, NOW);
  });
  it('remembers two days by five minutes, of three probes, the same each time it is asked', async () => {
    expect(of(sound, 'hub/warm/air')).toHaveLength(MEMORY / EVERY + 1);
    expect(new Set(sound.map((it) => it.name)).size).toBe(6);
    expect(await box().since(0, NOW)).toEqual(sound);
  });
  it('is warm by day and cooler by night, as the engine has it', async () => {
    const at = (hour: number) =>
      mean(
        of(sound, 'hub/warm/air')
          .filter((it) => new Date(it.at).getUTCHours() === hour)
          .map((it) => it.value),
      );
    expect(at(14)).toBeGreaterThan(at(4) + 2);
  });
  it('a probe that drops out is not heard; the others are', async () => {
    const all = await broken('dropout');
    expect(values(all, 'hub/warm/air')).toEqual([]);
    expect(values(all, 'hub/cool/air').length).toBeGreaterThan(50);
  });
  it('one that sticks says one thing, one that drifts goes away from what was', async () => {
    expect(new Set(values(await broken('stuck'), 'hub/warm/air')).size).toBe(1);
    const drifted = values(await broken('drift'), 'hub/warm/air');
    const sane = values(sound, 'hub/warm/air');
    expect(drifted.at(-1)! - sane.at(-1)!).toBeCloseTo(0.35 * 6, 0);
  });
  it('that stood there for months is calculated for the last days alone', async () => {
    const own = box();
    const later = NOW + 300 * 24 * HOUR;
    expect(await own.since(0, later)).toHaveLength(6 * (MEMORY / EVERY + 1));
    // Its past was told anew: it no longer begins on the day it was put there.
    expect(own.history).toBe(1);
    expect(await own.since(0, later + HOUR)).toHaveLength(6 * (MEMORY / EVERY + 1));
    expect(own.history).toBe(1);
  });
  it('without power it cools down to the room; with heat that does not stop it is hotter; without mist drier', async () => {
    const warm = mean(values(sound, 'hub/warm/air'));
    expect(mean(values(await broken('power-cut'), 'hub/warm/air'))).toBeLessThan(warm - 2);
    expect(mean(values(await broken('heat-stuck', 24), 'hub/warm/air', NOW - 20 * HOUR))).toBeGreaterThan(
      mean(values(sound, 'hub/warm/air', NOW - 20 * HOUR)) + 1,
    );
    const humid = mean(values(sound, 'hub/cool/humidity', NOW - 20 * HOUR));
    expect(mean(values(await broken('mist-off', 24), 'hub/cool/humidity', NOW - 20 * HOUR))).toBeLessThan(
      humid - 0.05,
    );
  });
  it('while it is calculated all else has its turn', async () => {
    let turns = 0;
    let isAnswered = false;
    const answer = box()
      .since(0, NOW)
      .then(() => {
        isAnswered = true;
      });
    const beat = (): void => {
      turns += 1;
      if (!isAnswered) setImmediate(beat);
    };
    beat();
    await answer;
    // Three days and where they begin take hundreds of milliseconds, in turns of ten.
    expect(turns).toBeGreaterThan(8);
  });
  it('what is changed while it is asked is not half in the answer', async () => {
    const own = box();
    const [before, , after] = await Promise.all([
      own.since(0, NOW),
      own.setFaults([{ kind: 'dropout', probe: 'warm', since: NOW - MEMORY }]),
      own.since(0, NOW),
    ]);
    expect(before).toEqual(sound);
    expect(of(after, 'hub/warm/air')).toEqual([]);
    expect(of(after, 'hub/cool/air')).toEqual(of(sound, 'hub/cool/air'));
  });
  it('misted by hand it is wetter than it was', async () => {
    const own = box();
    const before = (await own.readings(NOW)).find((it) => it.name === 'hub/cool/humidity')!.value;
    await own.mist(60, NOW);
    expect(own.lastMist(NOW)).toBe(NOW);
    const after = (await own.readings(NOW + 4 * 60_000)).find((it) => it.name === 'hub/cool/humidity')!.value;
    expect(after).toBeGreaterThan(before + 0.05);
  });
});

describe('what the server answers', () => {
  afterEach(() => vi.unstubAllEnvs());
  const url = (path: string) => `http://localhost/api/devices/${path}`;
  const ask = (path: string, init?: RequestInit) =>
    answer(new Request(url(path), init), path.split('?')[0]!.split('/').filter(Boolean));
  const put = () =>
    ask(`${hedge.id}?zone=0`, { method: 'PUT', body: writeSingle(hedge, NO_OWN_ROWS, new Date(NOW)) });

  it('readings as SenML once the enclosure is there; before, what to do', async () => {
    await ask(hedge.id, { method: 'DELETE' });
    const missing = await ask(`${hedge.id}/hub`);
    expect(missing.status).toBe(404);
    expect(await missing.json()).toMatchObject({ message: /Put it there first/ });
    expect((await put()).status).toBe(200);
    for (const device of ['hub', 'meter', 'scale']) {
      const reply = await ask(`${hedge.id}/${device}`);
      expect(reply.headers.get('content-type')).toBe('application/senml+json');
      const read = readSenml(await reply.text(), 0);
      expect(read.ok && readingsIn(read.value).length).toBeGreaterThan(0);
    }
  });
  it('events as they come', async () => {
    await put();
    const stop = new AbortController();
    const reply = await ask(`${hedge.id}/hub/events`, { signal: stop.signal });
    const reader = reply.body!.getReader();
    const text = new TextDecoder();
    expect(text.decode((await reader.read()).value)).toMatch(/^retry/);
    const event = text.decode((await reader.read()).value);
    const [told, data] = event.split('\n');
    expect(told).toBe('id: 0');
    const read = readSenml(data!.replace(/^data: /, ''), 0);
    expect(read.ok && readingsIn(read.value)).toHaveLength(6);
    stop.abort();
    expect((await reader.read()).done).toBe(true);
  });
  it('a fault tells the past anew: events say which history they are of', async () => {
    await put();
    const body = JSON.stringify([{ kind: 'stuck', probe: 'warm', hours: 12 }]);
    const reply = await ask(`${hedge.id}/faults`, { method: 'PUT', body });
    expect(await reply.json()).toMatchObject({ history: 1 });
    const stop = new AbortController();
    const events = (await ask(`${hedge.id}/hub/events`, { signal: stop.signal })).body!.getReader();
    await events.read();
    expect(new TextDecoder().decode((await events.read()).value)).toMatch(/^id: 1\ndata: /);
    stop.abort();
  });
  it.each([
    [`${hedge.id}/mist`, 'POST', '{"seconds":0}', 400],
    [`${hedge.id}/mist`, 'POST', 'nonsense', 400],
    [`${hedge.id}/mist`, 'POST', '{"seconds":20}', 200],
    [`${hedge.id}/faults`, 'PUT', '[{"kind":"fire"}]', 400],
    [`${hedge.id}/faults`, 'PUT', '[]', 200],
    [`${hedge.id}/toaster`, 'POST', '{}', 404],
    [hedge.id, 'PUT', '{"format":"other"}', 400],
    ['another', 'PUT', writeSingle(hedge, NO_OWN_ROWS, new Date(NOW)), 400],
  ])('%s, %s is checked', async (path, method, body, status) => {
    await put();
    expect((await ask(path, { method, body })).status).toBe(status);
  });
  it.each(['1e300', 'x', '-841', 'Infinity'])('no clock is ahead of UTC by %s minutes', async (zone) => {
    const body = writeSingle(hedge, NO_OWN_ROWS, new Date(NOW));
    const reply = await ask(`${hedge.id}?zone=${zone}`, { method: 'PUT', body });
    expect(reply.status).toBe(400);
    expect(await reply.json()).toMatchObject({ message: /from -840 to 840/ });
  });
  it('a body that does not end is not waited for beyond its bound', async () => {
    await put();
    let given = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(out) {
        given += 1;
        out.enqueue(new Uint8Array(1024 * 1024).fill(32));
      },
    });
    const init = { method: 'PUT', body: endless, duplex: 'half' } as RequestInit;
    expect((await ask(`${hedge.id}/faults`, init)).status).toBe(400);
    expect(given).toBeLessThan(5);
  });
  it('so many pages may listen at once, and one that stops makes room', async () => {
    await put();
    const stops = Array.from({ length: 24 }, () => new AbortController());
    for (const { signal } of stops)
      expect((await ask(`${hedge.id}/hub/events`, { signal })).status).toBe(200);
    expect((await ask(`${hedge.id}/hub/events`)).status).toBe(503);
    stops[0]!.abort();
    const last = new AbortController();
    expect((await ask(`${hedge.id}/hub/events`, { signal: last.signal })).status).toBe(200);
    [...stops, last].forEach((it) => it.abort());
  });
  it('whatever it is asked, it answers what it is or what is wrong with it, and never fails', async () => {
    await put();
    const words = fc.oneof(
      fc.constantFrom(hedge.id, 'hub', 'mist', 'meter', 'scale', 'faults', 'events', '..', ''),
      fc.string({ maxLength: 12 }),
    );
    const numbers = fc.oneof(fc.double(), fc.constantFrom('1e300', '-1e300', 'NaN', '0x10', '', '９'));
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('GET', 'PUT', 'POST', 'DELETE'),
        fc.array(words, { maxLength: 4 }),
        fc.constantFrom('zone', 'since', 'x'),
        numbers,
        fc.oneof(
          fc.json(),
          fc.string(),
          fc.constant('{"seconds":1e400}'),
          fc.constant('[{"kind":"drift","hours":1e9}]'),
        ),
        async (method, path, name, value, body) => {
          const stop = new AbortController();
          const request = new Request(`http://localhost/api/devices/x?${name}=${encodeURIComponent(value)}`, {
            method,
            signal: stop.signal,
            ...(method === 'GET' ? {} : { body }),
          });
          const reply = await answer(request, path);
          expect(reply.status).toBeLessThan(500);
          if (reply.headers.get('content-type') !== 'text/event-stream') await reply.text();
          stop.abort();
        },
      ),
      { numRuns: 400, seed: 20 },
    );
  });
  it('real devices are asked in place of the simulated ones, where they are named', async () => {
    const asked: string[] = [];
    const server = createServer((request, reply) => {
      asked.push(`${request.method} ${request.url}`);
      reply.setHeader('Content-Type', 'application/senml+json').end('[{"n":"real","u":"Cel","v":20}]');
    }).listen(0);
    vi.stubEnv('RINCON_DEVICES', `http://127.0.0.1:${(server.address() as AddressInfo).port}/base/`);
    const reply = await ask('bog/hub?since=5');
    expect(await reply.text()).toContain('real');
    expect(asked).toEqual(['GET /base/bog/hub?since=5']);
    server.close();
    server.closeAllConnections();
    expect((await ask('bog/hub')).status).toBe(502);
  });
});
