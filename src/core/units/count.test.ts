import { expect, it } from 'vitest';
import { capital, counted } from '.';

it('a number of things: one has no plural, none has; only whole numbers are told', () => {
  expect(counted(1, 'day')).toBe('1 day');
  expect(counted(0, 'day')).toBe('0 days');
  expect(counted(2.6, 'month')).toBe('3 months');
  expect(counted(1.2, 'week')).toBe('1 week');
  expect(counted(2, 'leaf', 'leaves')).toBe('2 leaves');
  expect(counted(1072, 'thing', 'things', (it) => it.toLocaleString('en-GB'))).toBe('1,072 things');
});

it('a sentence begins with a capital', () => {
  expect(capital('leopard geckos')).toBe('Leopard geckos');
  expect(capital('')).toBe('');
});
