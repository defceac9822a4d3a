import { describe, expect, it } from 'vitest';
import { formatMessage, METRIC, prose, US } from '.';

const read = (text: string, prefs = METRIC, locale = 'en'): string =>
  formatMessage(prose(text), { prefs, locale }).replaceAll('\u00a0', ' ');

describe('prose with amounts', () => {
  it.each([
    ['in 20 to 30 cm of damp soil', 'in 8 to 12 in of damp soil'],
    ['top up 2 to 5 cm when it has sunk', 'top up 0.75 to 2 in when it has sunk'],
    ['The room stands 8 K warmer for a week.', 'The room stands 14 °F warmer for a week.'],
    ['Dry it at 100 °C on a tray.', 'Dry it at 212 °F on a tray.'],
    ['A middling one is taken, 21 °C and 50 %.', 'A middling one is taken, 70 °F and 50 %.'],
    ['cut 2 mm clear of each wall', 'cut 0.08 in clear of each wall'],
    ['a bottle of 10 L', 'a bottle of 2.6 gal'],
    ['Feed 2 g a week', 'Feed 0.07 oz a week'],
    ['over 1.5 kN/m²', 'over 31 lb/sq ft'],
    ['27-30 °C', '81-86 °F'],
  ])('%s', (text, us) => {
    expect(read(text, US)).toBe(us);
    expect(read(text).replace(/8 °C warmer/, '8 K warmer')).toBe(text);
  });

  it('keeps its decimals in the mark of the locale', () => {
    expect(read('wet enclosures keep 1 to 1.5 cm', METRIC, 'de')).toBe('wet enclosures keep 1 to 1,5 cm');
  });

  it('takes no word for a unit', () => {
    for (const text of [
      '3 Kings',
      '5 males',
      '2 L-shaped legs',
      '4 greens',
      '12 months',
      'pH 6 to 7',
      '40 %',
    ])
      expect(prose(text).filter((it) => typeof it !== 'string').length, text).toBe(0);
  });
});
