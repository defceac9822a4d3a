import { describe, expect, it } from 'vitest';
import { refusedFor } from './admit';

const ask = (
  host: string,
  headers: Record<string, string> = {},
  method = 'GET',
  path = '/api/devices/bog/hub',
): number => {
  const all = new Headers(headers);
  all.set('host', host);
  return refusedFor({ method, headers: all, path }, ['rincon.example.org'])?.status ?? 200;
};

describe('who is answered', () => {
  it.each([
    'localhost:3000',
    '127.0.0.1:3000',
    '[::1]:3000',
    '192.168.1.20',
    'shelf-pi',
    'shelf-pi.local:80',
    'rincon.example.org',
  ])('a page that calls this machine %s', (host) => expect(ask(host)).toBe(200));
  it.each(['evil.example.com', 'localhost.evil.com', '127.0.0.1.nip.example', '', 'local'.concat('.com')])(
    'not one that calls it “%s”: its page is of another site',
    (host) => {
      expect(ask(host)).toBe(421);
      expect(ask(host, {}, 'GET', '/')).toBe(421);
    },
  );
  it('no other site, by any method, and none of the same domain on another host', () => {
    for (const method of ['GET', 'PUT', 'POST', 'DELETE'])
      for (const site of ['cross-site', 'same-site'])
        expect(ask('localhost', { 'sec-fetch-site': site }, method)).toBe(403);
    expect(ask('localhost:3000', { origin: 'http://localhost:4000' }, 'POST')).toBe(403);
    expect(ask('localhost:3000', { origin: 'null' }, 'POST')).toBe(403);
    expect(ask('localhost:3000', { origin: 'http://localhost:3000' }, 'POST')).toBe(200);
    // Typed into the address bar, or asked for by a program: reading only for the former.
    expect(ask('localhost', { 'sec-fetch-site': 'none' })).toBe(200);
    expect(ask('localhost', { 'sec-fetch-site': 'none' }, 'POST')).toBe(403);
    expect(ask('localhost', {}, 'POST')).toBe(200);
  });
  it('pages may be linked to from anywhere', () => {
    expect(ask('localhost', { 'sec-fetch-site': 'cross-site' }, 'GET', '/today')).toBe(200);
  });
});
