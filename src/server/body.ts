/** A body read piece by piece, whatever its length is said to be; null: more than that. */
export async function readUpTo(request: Request, most: number): Promise<Uint8Array<ArrayBuffer> | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array(0);
  const pieces: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
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
