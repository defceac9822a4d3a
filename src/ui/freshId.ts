/** An id of this stem that no row has yet: stem, stem-2, stem-3. */
export function freshId(stem: string, rows: readonly { readonly id: string }[]): string {
  const taken = new Set(rows.map((row) => row.id));
  const short = stem.slice(0, 70);
  if (!taken.has(short)) return short;
  let count = 2;
  while (taken.has(`${short}-${count}`)) count += 1;
  return `${short}-${count}`;
}
