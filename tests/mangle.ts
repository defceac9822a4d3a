/** What files are mangled with: by a seed, so that what is found can be found again. */
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const NUMBERS = [
  0, -0, 1, -1, 0.001, 0.05, 0.5, 0.999, 2, 7, 12, 31, 60, 366, 500, 1440, 5000, 1e6, 1e9, 1e15, 9e15,
  -5e-324, 1e300,
];
const DAYS = [
  '0001-01-01',
  '1970-01-01',
  '2024-02-29',
  '2023-02-29',
  '9999-12-31',
  '12026-01-01',
  '2026-13-40',
];
const TEXTS = [
  '',
  ' ',
  'x'.repeat(79),
  'y'.repeat(5000),
  '\u0000',
  '\ud800',
  '\u202e\u2066',
  '👩‍🌾'.repeat(8),
  '<img src=x onerror=alert(1)>',
  '"><script>alert(1)</script>',
  "javascript:alert('x')",
  '=HYPERLINK("http://x")',
  '@SUM(1)',
  '../../etc/passwd',
  '%00%2e%2e',
  '__proto__',
  'constructor',
  'toString',
  'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
  'FREQ=DAILY;INTERVAL=999',
  ...DAYS,
];

type Pick = <T>(from: readonly T[]) => T;

/** Every place of a value, as the holder and the key; the whole itself is left out. */
function placesIn(value: Json, into: [Json[] | { [key: string]: Json }, string | number][] = []) {
  if (Array.isArray(value))
    value.forEach((it, key) => {
      into.push([value, key]);
      placesIn(it, into);
    });
  else if (value !== null && typeof value === 'object')
    for (const [key, it] of Object.entries(value)) {
      into.push([value, key]);
      placesIn(it, into);
    }
  return into;
}

const copy = (value: Json): Json => JSON.parse(JSON.stringify(value)) as Json;

/** A value like the one that stands there, but another: the kind that may be accepted. */
function near(value: Json, pick: Pick, next: () => number): Json {
  if (typeof value === 'number')
    return next() < 0.5 ? value * pick([0, 0.01, 0.5, 0.9, 1.1, 2, 10, 1000]) : pick(NUMBERS);
  if (typeof value === 'string') return /^\d{4}-\d\d-\d\d$/.test(value) ? pick(DAYS) : pick(TEXTS);
  if (typeof value === 'boolean') return !value;
  if (value === null) return pick<Json>([0.5, 1, '2026-01-01', 'x', {}]);
  if (Array.isArray(value)) {
    if (value.length === 0) return [];
    const at = Math.floor(next() * value.length);
    return pick([
      () => value.toSpliced(at, 1),
      () => [...value, copy(value[at]!)],
      () => value.toReversed(),
      () => [],
      () => value.slice(0, at),
    ])();
  }
  return pick<() => Json>([() => ({}), () => null, () => ({ ...value, more: 1 })])();
}

const HOSTILE: readonly Json[] = [
  null,
  true,
  [],
  {},
  [[]],
  [null],
  'x',
  0,
  { __proto__: null } as Json,
  { length: 1e9 },
];

/**
 * A file changed in one to four places: values like those that stood there, values of another kind, members taken out,
 * doubled, or changed for one another; now and then the text itself is cut, or a sign of it turned.
 */
export function mangled(file: unknown, next: () => number): string {
  const pick: Pick = (from) => from[Math.floor(next() * from.length)]!;
  const value = copy(file as Json);
  const changes = 1 + Math.floor(next() * 4);
  for (let i = 0; i < changes; i += 1) {
    const places = placesIn(value);
    if (places.length === 0) break;
    const [holder, key] = pick(places);
    const own = (holder as Record<string | number, Json>)[key]!;
    const put = (it: Json): void => void ((holder as Record<string | number, Json>)[key] = it);
    const way = next();
    if (way < 0.7) put(near(own, pick, next));
    // A copy each time: what is put in may be changed in turn, and would be in all files after it.
    else if (way < 0.8) put(copy(pick(HOSTILE)));
    else if (way < 0.9 && !Array.isArray(holder)) delete holder[key];
    else {
      const [other, at] = pick(places);
      put(copy((other as Record<string | number, Json>)[at] ?? null));
    }
  }
  let text = JSON.stringify(value);
  const way = next();
  const at = Math.floor(next() * text.length);
  if (way < 0.03) text = text.slice(0, at);
  else if (way < 0.06)
    text = text.slice(0, at) + String.fromCharCode(text.charCodeAt(at) ^ 4) + text.slice(at + 1);
  else if (way < 0.08) text = text.slice(0, at) + pick(TEXTS) + text.slice(at);
  return text;
}

/** A table of readings, or any other text, with signs turned, lines doubled, taken out or cut. */
export function mangledText(text: string, next: () => number): string {
  const pick: Pick = (from) => from[Math.floor(next() * from.length)]!;
  let out = text;
  for (let i = 0; i < 1 + Math.floor(next() * 4); i += 1) {
    const at = Math.floor(next() * out.length);
    const lines = out.split('\n');
    const line = Math.floor(next() * lines.length);
    out = pick([
      () =>
        out.slice(0, at) +
        pick([...TEXTS, ',', ';', '\t', '"', '\r', '-', '1e300', 'NaN', '99999']) +
        out.slice(at + 1),
      () => lines.toSpliced(line, 1).join('\n'),
      () => [...lines, lines[line]].join('\n'),
      () => out.slice(0, at),
      () => out.replaceAll('\n', pick(['\r', '\r\n', '\n\n', ' '])),
      () => out.replaceAll(',', pick([';', '\t', '.', ''])),
    ])();
  }
  return out;
}
