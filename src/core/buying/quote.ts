/** On what terms a maker works. Prices have no currency here: they are all in the same. */
export interface Terms {
  /** For an hour of work. */
  readonly rate: number;
  /** Share put on goods and work. */
  readonly margin: number;
  /** A line for a tax, named by the maker; null: none. Which applies is not known here. */
  readonly tax: { readonly name: string; readonly share: number } | null;
  /** What one is asked for is rounded up to a multiple of this; 0: not rounded. */
  readonly roundTo: number;
}

/** What is made: so many of one design. */
export interface Job {
  readonly count: number;
  /** All that is bought for all of them, in whole packs. */
  readonly goods: number;
  /** Each bare enclosure. */
  readonly box: number;
  /** Minutes of work on each. */
  readonly minutes: number;
}

/** What a job comes to. Of all of them together, but for `each`. */
export interface Quote {
  readonly goods: number;
  readonly boxes: number;
  readonly hours: number;
  readonly work: number;
  readonly margin: number;
  /** What rounding adds. */
  readonly rounding: number;
  /** One of them before tax, rounded. */
  readonly each: number;
  /** All of them before tax, the tax on it, and both together, each to the hundredth. */
  readonly net: number;
  readonly tax: number;
  readonly total: number;
}

const cents = (value: number): number => Math.round(value * 100) / 100;
/** Below this a price is its own multiple: what computing adds to it is no money. */
const EPS = 1e-6;

/** What a job is charged at: cost, work and margin, each of them rounded up, then the tax on the sum. */
export function quoteOf({ count, goods, box, minutes }: Job, { rate, margin, tax, roundTo }: Terms): Quote {
  const boxes = box * count;
  const hours = (minutes * count) / 60;
  const work = hours * rate;
  const put = (goods + boxes + work) * margin;
  const exact = (goods + boxes + work + put) / count;
  const each = cents(roundTo > 0 ? Math.ceil(exact / roundTo - EPS) * roundTo : exact);
  const net = cents(each * count);
  const taxed = cents(net * (tax?.share ?? 0));
  return {
    goods,
    boxes,
    hours,
    work,
    margin: put,
    rounding: net - exact * count,
    each,
    net,
    tax: taxed,
    total: cents(net + taxed),
  };
}
