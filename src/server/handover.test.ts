import { describe, expect, it } from 'vitest';
import { fetchOnce, leave, MOST } from './handover';

const put = (id: string, body: BodyInit, now: number) =>
  leave(new Request(`http://localhost/api/handover/${id}`, { method: 'PUT', body }), id, now);
const NOW = 1_000_000;
const told = async (reply: Response) =>
  [reply.status, ((await reply.json()) as { message: string }).message] as const;

describe('the hand-over', () => {
  it('is fetched once and gone', async () => {
    expect((await put('AAAAAA', 'sealed', NOW)).status).toBe(200);
    const reply = fetchOnce('AAAAAA', NOW + 1);
    expect(await reply.text()).toBe('sealed');
    expect(reply.headers.get('cache-control')).toBe('no-store');
    expect(await told(fetchOnce('AAAAAA', NOW + 2))).toEqual([
      404,
      expect.stringMatching(/ten minutes are over/),
    ]);
  });
  it('is gone after ten minutes', async () => {
    await put('BBBBBB', 'sealed', NOW);
    expect(fetchOnce('BBBBBB', NOW + 10 * 60_000).status).toBe(404);
  });
  it('is limited in size, whatever it says of itself, and in all', async () => {
    const large = new Uint8Array(MOST + 1);
    expect((await told(await put('CCCCCC', large, NOW)))[0]).toBe(413);
    const stream = new ReadableStream({
      start(out) {
        for (let i = 0; i < 5; i += 1) out.enqueue(new Uint8Array(MOST / 4));
        out.close();
      },
    });
    const request = new Request('http://localhost/', {
      method: 'PUT',
      body: stream,
      duplex: 'half',
    } as RequestInit);
    expect((await leave(request, 'DDDDDD', NOW)).status).toBe(413);
    for (const id of ['EEEEEE', 'FFFFFF', 'GGGGGG'])
      expect((await put(id, new Uint8Array(MOST), NOW)).status).toBe(200);
    expect((await put('HHHHHH', 'x', NOW)).status).toBe(503);
    for (const id of ['EEEEEE', 'FFFFFF', 'GGGGGG']) fetchOnce(id, NOW);
    expect((await put('HHHHHH', 'x', NOW)).status).toBe(200);
    fetchOnce('HHHHHH', NOW);
  });
  it('refuses names that are none, and empty packages', async () => {
    expect((await put('short', 'x', NOW)).status).toBe(400);
    expect((await put('IIIIII', '', NOW)).status).toBe(400);
    await put('JJJJJJ', 'x', NOW);
    expect((await put('JJJJJJ', 'y', NOW)).status).toBe(409);
  });
});
