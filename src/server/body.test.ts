import { describe, expect, it } from 'vitest';
import { readUpTo } from './body';

/** A request whose body comes in pieces, each after so many ms; the last may break off. */
function request(pieces: readonly string[], every: number, breaks = false): Request {
  let at = 0;
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      await new Promise((done) => setTimeout(done, every));
      const piece = pieces[at];
      at += 1;
      if (piece !== undefined) controller.enqueue(new TextEncoder().encode(piece));
      else if (breaks) controller.error(new Error('gone'));
      else controller.close();
    },
  });
  return new Request('http://localhost/', { method: 'PUT', body, duplex: 'half' } as RequestInit);
}
const text = async (asked: Promise<Uint8Array | null>): Promise<string | null> => {
  const bytes = await asked;
  return bytes && new TextDecoder().decode(bytes);
};

describe('a body', () => {
  it('is read whole, piece by piece', async () => {
    expect(await text(readUpTo(request(['ab', 'cd', 'e'], 1), 5))).toBe('abcde');
    expect(await text(readUpTo(new Request('http://localhost/'), 5))).toBe('');
  });

  it('that is too long, too slow or broken off is none', async () => {
    expect(await readUpTo(request(['ab', 'cd', 'ef'], 1), 5)).toBeNull();
    expect(await readUpTo(request(Array<string>(200).fill('a'), 20), 1000, 100)).toBeNull();
    expect(await readUpTo(request(['ab'], 1, true), 5)).toBeNull();
  });
});
