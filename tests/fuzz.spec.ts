import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import fc from 'fast-check';
import { serve } from '../scripts/serve.mjs';
import { NO_OWN_ROWS } from '@/catalogue';
import type { Design } from '@/core/document';
import { writeSingle } from '@/files';
import { expect, test } from './test';

/** ms the copy of the server is asked nonsense for; how many askers at once. */
const LASTS = 20_000;
/** So much is asked at least, however long a busy machine takes for it. */
const LEAST = 300;
const ASKERS = 6;
const SEED = 2026;

interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string;
  /** Broken off after so many bytes of the body. */
  readonly cut: number | null;
}

const id = fc.constantFrom('demo-hedge', 'AB', 'ABCDEF', '..', '%00', '%2e%2e%2f', 'a'.repeat(3000), '');
const part = fc.oneof(
  id,
  fc.constantFrom('hub', 'mist', 'meter', 'scale', 'faults', 'events'),
  fc.webSegment(),
);
const odd = fc.oneof(
  fc.constantFrom('1e300', '-1', 'NaN', '0x10', '9'.repeat(400), '', 'null', '__proto__'),
  fc.webQueryParameters(),
);
const body = fc.oneof(
  fc.json(),
  fc.string(),
  fc.constantFrom(
    '{"seconds":1e400}',
    '[{"kind":"drift","hours":1e9}]',
    '{"__proto__":{"x":1}}',
    '['.repeat(60_000),
    '"'.repeat(2_000_000),
    '{"format":"rincon","version":1e9,"designs":[]}',
  ),
);
const header = fc.constantFrom(
  {},
  { 'content-type': 'application/json' },
  { 'content-encoding': 'gzip' },
  { host: 'rebound.example.com' },
  { origin: 'http://other.example.com' },
  { 'sec-fetch-site': 'cross-site' },
  { cookie: 'rincon-code=' + 'x'.repeat(2000) },
  { accept: 'text/event-stream' },
  { range: 'bytes=0-99999999999' },
  { 'next-router-state-tree': '%5B%22' },
);
const asked: fc.Arbitrary<Asked> = fc.record({
  method: fc.constantFrom('GET', 'PUT', 'POST', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD'),
  path: fc
    .tuple(
      fc.constantFrom('/api/devices', '/api/handover', '/api', '/demo/designs', '/demo/verdicts', '/e', ''),
      fc.array(part, { maxLength: 4 }),
      fc.constantFrom('zone', 'since', 'x', '__proto__'),
      odd,
    )
    .map(
      ([root, parts, name, value]) =>
        `${[root, ...parts].join('/') || '/'}?${name}=${encodeURIComponent(value)}`,
    ),
  headers: header as fc.Arbitrary<Readonly<Record<string, string>>>,
  body,
  cut: fc.oneof({ weight: 7, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: fc.nat(50) }),
});

/** The status of an answer; 0: none came, since the question was broken off or was no HTTP. */
function ask(url: string, { method, path, headers, body: said, cut }: Asked): Promise<number> {
  return new Promise((done) => {
    const stop = AbortSignal.timeout(15_000);
    const to = request(`${url}${path}`, { method, headers, signal: stop }, (answer) => {
      // Events do not end: what they begin with is enough.
      const isStream = answer.headers['content-type'] === 'text/event-stream';
      answer.once(isStream ? 'data' : 'end', () => {
        done(answer.statusCode ?? 0);
        to.destroy();
      });
      answer.on('error', () => done(answer.statusCode ?? 0));
      answer.resume();
    });
    to.on('error', () => done(stop.aborted ? -1 : 0));
    if (method === 'GET' || method === 'HEAD') to.end();
    else if (cut === null) to.end(said);
    else {
      to.write(said.slice(0, cut));
      setTimeout(() => {
        to.destroy();
      }, 20);
    }
  });
}

const megabytes = (pid: number | undefined): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? NaN) / 1024;

test('twenty seconds of nonsense: the server answers each, fails at none, and goes on', async () => {
  const { url, pid, stop } = await serve(4187, { demo: true, quiet: true });
  const counts = new Map<number, number>();
  const wrong: string[] = [];
  try {
    const designs = (await (await fetch(`${url}/demo/designs`)).json()) as readonly Design[];
    const hedge = designs.find((it) => it.id === 'demo-hedge');
    const onBench = (): Promise<Response> =>
      fetch(`${url}/api/devices/demo-hedge`, {
        method: 'PUT',
        body: hedge ? writeSingle(hedge, NO_OWN_ROWS, new Date()) : '',
      });
    expect((await onBench()).status).toBe(200);
    const before = megabytes(pid);
    const asks = (): number => [...counts.values()].reduce((sum, n) => sum + n, 0);
    const until = Date.now() + LASTS;
    // One of the generated may take it off. A kept connection may be closed just as it is used again: the next second comes.
    const again = setInterval(() => void onBench().catch(() => undefined), 1000);
    await Promise.all(
      Array.from({ length: ASKERS }, async (_, own) => {
        for (const one of fc.sample(asked, { numRuns: 5000, seed: SEED + own })) {
          if (Date.now() > until && asks() > LEAST) return;
          const status = await ask(url, one);
          counts.set(status, (counts.get(status) ?? 0) + 1);
          if (status >= 500 && status !== 501)
            wrong.push(`${status} ${one.method} ${one.path.slice(0, 200)}`);
          if (status === -1) wrong.push(`no answer: ${one.method} ${one.path.slice(0, 200)}`);
          // Not faster than the allowance of all together, or most would only be turned away.
          await new Promise((go) => setTimeout(go, 60));
        }
      }),
    );
    clearInterval(again);
    const told = [...counts].sort(([a], [b]) => a - b).map(([status, n]) => `${status}: ${n}`);
    console.log(`${told.join(', ')}; ${before.toFixed(0)} MB, then ${megabytes(pid).toFixed(0)} MB`);
    expect(wrong).toEqual([]);
    expect(asks()).toBeGreaterThan(LEAST);
    // Nothing of it is kept: what was held for a moment is of the order of what a page takes.
    expect(megabytes(pid) - before).toBeLessThan(400);
    await expect.poll(async () => (await fetch(`${url}/today`)).status).toBe(200);
    expect((await fetch(`${url}/api/devices/nobody/hub`)).status).toBe(404);
  } finally {
    stop();
  }
});
