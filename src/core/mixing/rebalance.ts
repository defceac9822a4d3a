/**
 * Moves one share and lets the others make room in proportion, so that all sum to one. Locked ones stay; where nothing is
 * left to give, the moved share goes only as far as it can.
 * @param shares sum to one
 * @param at which is moved
 * @param to where, 0 to 1
 * @param locked those that may not change
 * @returns new shares, summing to one
 */
export function rebalance(
  shares: readonly number[],
  at: number,
  to: number,
  locked: ReadonlySet<number> = new Set(),
): number[] {
  const free = (index: number): boolean => index !== at && !locked.has(index);
  const fixed = shares.reduce((sum, it, index) => (index !== at && locked.has(index) ? sum + it : sum), 0);
  const others = shares.filter((_, index) => free(index));
  if (others.length === 0) return [...shares];
  const moved = Math.min(Math.max(0, to), Math.max(0, 1 - fixed));
  const rest = Math.max(0, 1 - fixed - moved);
  const now = others.reduce((sum, it) => sum + it, 0);
  return shares.map((share, index) => {
    if (index === at) return moved;
    if (!free(index)) return share;
    // From nothing, what is left is shared out evenly.
    return now > 1e-12 ? (share / now) * rest : rest / others.length;
  });
}
