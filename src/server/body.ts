/** ms a body may take to come, however slowly it is sent. */
const MOST_TIME = 30_000;

/** A body read piece by piece, whatever its length is said to be; null: more than that, too slow, or broken off. */
export async function readUpTo(
  request: Request,
  most: number,
  within = MOST_TIME,
): Promise<Uint8Array<ArrayBuffer> | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array(0);
  const pieces: Uint8Array[] = [];
  let size = 0;
  let isLate = false;
  const late = setTimeout(() => {
    isLate = true;
    void reader.cancel();
  }, within);
  for (;;) {
    const piece = await reader.read().catch(() => null);
    if (!piece || piece.done) {
      clearTimeout(late);
      // Broken off is not whole, however much of it came.
      if (!piece || isLate) return null;
      break;
    }
    const { value } = piece;
    size += value.length;
    if (size > most) {
      clearTimeout(late);
      await reader.cancel();
      return null;
    }
    pieces.push(value);
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const it of pieces) {
    all.set(it, at);
    at += it.length;
  }
  return all;
}
