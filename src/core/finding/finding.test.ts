import { describe, expect, it } from 'vitest';
import { newlyPressing, type Finding, type Severity } from './finding';

const found = (code: string, severity: Severity): Finding => ({
  code,
  severity,
  place: { at: 'ground' },
  what: [code],
  because: [],
  remedies: [],
  basis: 'computed',
});

describe('what presses after a change and did not before', () => {
  const before = [found('floor-load', 'look'), found('tall', 'note')];
  it.each([
    ['the same', [found('floor-load', 'look')], []],
    ['less of it', [found('floor-load', 'note')], []],
    ['one more', [found('floor-load', 'look'), found('bed-fills', 'look')], ['bed-fills']],
    ['a note more', [found('fogged', 'note')], []],
    ['what has become severe', [found('floor-load', 'severe')], ['floor-load']],
    ['a note that presses now', [found('tall', 'look')], ['tall']],
  ])('%s', (_, after, codes) => expect(newlyPressing(before, after).map((it) => it.code)).toEqual(codes));
});
