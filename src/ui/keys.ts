/** The places inside an enclosure, in the order of work; the first nine have a digit each. */
export const PLACES = [
  { path: 'brief', label: 'Brief' },
  { path: 'ground', label: 'Ground' },
  { path: 'scape', label: 'Hardscape' },
  { path: 'living', label: 'Living' },
  { path: 'climate', label: 'Climate' },
  { path: 'build', label: 'Build' },
  { path: 'keep', label: 'Keep' },
] as const;

const digits = PLACES.map((_, index) => String(index + 1));

/** Keys that hold on every page or in an open enclosure: as they are bound, as they are shown, and what they do. */
export const KEYS = {
  find: { bound: '/', shown: '/', does: 'find an enclosure, an animal or a place' },
  keys: { bound: '?', shown: '?', does: 'this list' },
  places: {
    bound: digits,
    shown: `${digits[0]} … ${digits.at(-1)}`,
    does: `in an open enclosure: ${PLACES.map((it) => it.label).join(', ')}`,
  },
  undo: { bound: 'mod+z', shown: 'Ctrl Z', does: 'undo' },
  redo: { bound: 'mod+shift+z, mod+y', shown: 'Ctrl Shift Z', does: 'redo' },
} as const;

/** A list, a menu or a dialog is open: single keys belong to it. */
export const isTaken = (): boolean =>
  document.querySelector('[role=dialog], [role=menu], [role=listbox]') !== null;
