/** Work that can be left at any yield and gone on with later: it stands where it was. */
export type InSlices<T> = Generator<undefined, T, undefined>;

/** Does all of it now. */
export function atOnce<T>(work: InSlices<T>): T {
  for (;;) {
    const slice = work.next();
    if (slice.done) return slice.value;
  }
}
