import { describe, expect, it } from 'vitest';
import { dark, light } from './theme';

/** Relative luminance of a colour (WCAG 2.2). */
function luminance(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
};

describe.each([
  ['light', light],
  ['dark', dark],
] as const)('the %s scheme', (_, earth) => {
  it('is measured as the standard measures: black on white is 21 to 1', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  });
  // WCAG 2.2, 1.4.3 and 1.4.11.
  it.each(['ink', 'quiet', 'moss', 'clay', 'water', 'amber'] as const)('%s is read as text', (text) => {
    for (const ground of [earth.paper, earth.card])
      expect(contrast(earth[text], ground)).toBeGreaterThanOrEqual(4.5);
  });
  it('what can be typed in or pressed has an outline that is seen', () => {
    for (const ground of [earth.paper, earth.card])
      expect(contrast(earth.edge, ground)).toBeGreaterThanOrEqual(3);
  });
});
