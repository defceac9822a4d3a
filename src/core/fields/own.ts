/** What a record holds under a name of its own: an id may be called “constructor”, which every object has. */
export const ownOf = <T>(record: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(record, name) ? record[name] : undefined;
