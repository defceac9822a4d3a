import type { AnimalRecord } from './records';

/** An animal of which nothing is known but its name and where it lives, since a day or since ever: for tests. */
export const animalRecord = (
  id: string,
  design: string,
  from: string | null,
  rest: Partial<AnimalRecord> = {},
): AnimalRecord => ({
  id,
  changed: 0,
  gone: false,
  name: id,
  kind: null,
  sex: 'unknown',
  sexKnown: 'guess',
  hatched: null,
  source: '',
  parents: [],
  quarantine: null,
  homes: [{ design, from, to: null }],
  papers: [],
  left: null,
  note: '',
  ...rest,
});
