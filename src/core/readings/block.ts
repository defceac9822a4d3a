import { deflateSync, inflateSync } from 'fflate';
import type { Summary, Track } from './track';

/**
 * Columns as bytes: each column as differences of differences (times) or differences (values), zigzag, in groups of
 * seven bits, all of it deflated. Readings that come by the clock cost nothing for their times, and a reading that
 * moved little costs a byte before it is deflated.
 */
class Bytes {
  private data = new Uint8Array(1024);
  length = 0;
  /** Whole numbers up to 2^52 in size. */
  put(value: number): void {
    let rest = value < 0 ? -2 * value - 1 : 2 * value;
    if (this.length + 10 > this.data.length) {
      const wider = new Uint8Array(this.data.length * 2);
      wider.set(this.data);
      this.data = wider;
    }
    while (rest >= 128) {
      this.data[this.length] = (rest % 128) + 128;
      this.length += 1;
      rest = Math.floor(rest / 128);
    }
    this.data[this.length] = rest;
    this.length += 1;
  }
  pack(): Uint8Array {
    return deflateSync(this.data.subarray(0, this.length), { level: 6 });
  }
}

class Taker {
  private at = 0;
  constructor(private readonly data: Uint8Array) {}
  take(): number {
    let [value, scale] = [0, 1];
    for (;;) {
      const byte = this.data[this.at];
      if (byte === undefined) throw new Error('a block of readings ends too early');
      this.at += 1;
      value += (byte & 127) * scale;
      if (byte < 128) break;
      scale *= 128;
    }
    return value % 2 === 1 ? -(value + 1) / 2 : value / 2;
  }
}

function putTimes(out: Bytes, at: Float64Array): void {
  let [before, step] = [0, 0];
  for (const t of at) {
    const whole = Math.round(t);
    out.put(whole - before - step);
    step = whole - before;
    before = whole;
  }
}

function takeTimes(from: Taker, count: number): Float64Array {
  const at = new Float64Array(count);
  let [before, step] = [0, 0];
  for (let i = 0; i < count; i += 1) {
    step += from.take();
    before += step;
    at[i] = before;
  }
  return at;
}

function putValues(out: Bytes, values: Int32Array): void {
  let before = 0;
  for (const value of values) {
    out.put(value - before);
    before = value;
  }
}

function takeValues(from: Taker, count: number): Int32Array {
  const values = new Int32Array(count);
  let before = 0;
  for (let i = 0; i < count; i += 1) {
    before += from.take();
    values[i] = before;
  }
  return values;
}

/** Moments are kept to the millisecond. */
export function packTrack({ at, steps }: Track): Uint8Array {
  const out = new Bytes();
  out.put(at.length);
  putTimes(out, at);
  putValues(out, steps);
  return out.pack();
}

/** Throws where the bytes are no block. */
export function unpackTrack(bytes: Uint8Array): Track {
  const from = new Taker(inflateSync(bytes));
  const count = from.take();
  return { at: takeTimes(from, count), steps: takeValues(from, count) };
}

export function packSummary({ at, low, mean, high, count }: Summary): Uint8Array {
  const out = new Bytes();
  out.put(at.length);
  putTimes(out, at);
  for (const column of [low, mean, high, count]) putValues(out, column);
  return out.pack();
}

export function unpackSummary(bytes: Uint8Array): Summary {
  const from = new Taker(inflateSync(bytes));
  const length = from.take();
  const column = (): Int32Array => takeValues(from, length);
  return { at: takeTimes(from, length), low: column(), mean: column(), high: column(), count: column() };
}
