import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { many } from '.';

describe('names', () => {
  it('more than one: the head takes its ending, what it is of does not', () => {
    expect(many('leopard gecko')).toBe('leopard geckos');
    expect(many('green tree frog of Australia')).toBe('green tree frogs of Australia');
    expect(many('guppy')).toBe('guppies');
    expect(many('monkey')).toBe('monkeys');
    expect(many('cockroach')).toBe('cockroaches');
    expect(many('fox')).toBe('foxes');
    expect(many('tomato frog')).toBe('tomato frogs');
  });
  it('of every animal of the catalogue ends in one s', () => {
    for (const { english } of catalogue.animals) expect(many(english)).toMatch(/[^s]s( of .+)?$/);
  });
});
