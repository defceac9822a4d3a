import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { formatMessage, METRIC, US } from '../units';
import { fieldsWords, fieldValue, fieldWords } from './fields';

const hedge = demoDesigns(catalogue).find((it) => it.name === 'Hedge')!;
const words = (...path: string[]): string => fieldWords(path, [hedge], catalogue);
const value = (path: string[], of: unknown, prefs = METRIC): string =>
  formatMessage(fieldValue(path, of, catalogue), { prefs, locale: 'en-GB' }).replaceAll('\u00a0', ' ');

describe('fields in words', () => {
  const moss = hedge.ground.layers.find((it) => it.kind === 'moss')!;
  const mix = hedge.ground.layers.find((it) => it.kind === 'substrate')!;
  const [plant] = hedge.living.plants;

  it('are called by place, thing and field', () => {
    expect(words('name')).toBe('Name');
    expect(words('brief', 'room', 'temperature')).toBe('Brief: room, temperature');
    expect(words('ground', 'layers', `#${moss.id}`, 'thickness', 'backLeft')).toBe(
      'Ground: Sheet moss, live, thickness, back left',
    );
    expect(words('ground', 'layers', '#')).toBe('Ground: layers, order');
    expect(words('ground', 'layers', `#${mix.id}`, 'mix', 'parts', '#coir', 'parts')).toMatch(
      /^Ground: .+, mix, Coconut coir, pressed, parts$/,
    );
    expect(words('living', 'plants', `#${plant!.id}`, 'spot')).toMatch(/^Living: .+, place$/);
    expect(words('climate', 'devices', '#no-such-lamp', 'dim')).toBe('Climate: no such lamp, dim');
  });

  it('of one thing are called together', () => {
    const corner = (it: string): string[] => ['ground', 'layers', `#${moss.id}`, 'thickness', it];
    expect(fieldsWords([corner('frontLeft'), corner('frontRight')], [hedge], catalogue)).toBe(
      'Ground: Sheet moss, live, thickness, front left and front right',
    );
  });

  it('are told in the reader’s units, rows by their names', () => {
    expect(value(['brief', 'room', 'temperature'], 20)).toBe('20 °C');
    expect(value(['brief', 'room', 'temperature'], 20, US)).toBe('68 °F');
    expect(value(['brief', 'room', 'humidity'], 0.4)).toBe('40 %');
    expect(value(['ground', 'waterDepth'], 0.02)).toBe('2 cm');
    expect(value(['climate', 'devices', '#a', 'thermostat', 'night'], 18)).toBe('18 °C');
    expect(value(['climate', 'devices', '#a', 'humidistat', 'night'], 0.8)).toBe('80 %');
    // Where its probe is fixed is a place, not what it holds.
    expect(value(['climate', 'devices', '#a', 'thermostat', 'probe', 'x'], 0.3)).toBe('30 cm');
    expect(value(['climate', 'devices', '#a', 'spans', '0', 'from'], 450)).toBe('07:30');
    expect(value(['climate', 'mist', 'times', '0', 'at'], 1230)).toBe('20:30');
    expect(value(['climate', 'devices', '#a', 'power'], 25)).toBe('25 W');
    expect(value(['enclosure', 'emptyMass'], 12)).toBe('12.0 kg');
    expect(value(['brief', 'animal'], 'no-such')).toBe('no-such');
    expect(value(['ground', 'layers', '#a', 'material'], moss.material)).toBe('Sheet moss, live');
    expect(value(['brief', 'putAway'], true)).toBe('yes');
    expect(value(['brief', 'note'], '')).toBe('empty');
    expect(value(['brief', 'since'], null)).toBe('not set');
    expect(value(['ground', 'layers', '#a'], undefined)).toBe('not there');
    expect(value(['ground', 'layers', '#a'], moss)).toBe('there');
    expect(value(['ground', 'outlet'], { kind: 'siphon' })).toBe('siphon');
    expect(value(['ground', 'layers', '#'], ['a', 'coir'])).toMatch(/coir/i);
    expect(value(['climate', 'mist', 'times'], [{}, {}])).toBe('2 of them');
  });
});
