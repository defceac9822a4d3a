import { describe, expect, it } from 'vitest';
import { catalogue, withPrices } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '../assess';
import { choosePacks, offered } from './packs';
import { listsOf } from './shopping';
import { jointLists } from './joint';

const pack = (id: string, litres: number, price: number, basis: 'measured' | 'practice' = 'practice') => ({
  id,
  form: 'bag' as const,
  volume: litres / 1000,
  price: { value: price, basis },
});

describe('packs on offer', () => {
  it('are those with a price of one’s own, or all of them', () => {
    const packs = [pack('a', 10, 8), pack('b', 20, 20, 'measured')];
    expect(offered(packs, (it) => it).map((it) => it.id)).toEqual(['b']);
    expect(offered(packs.slice(0, 1), (it) => it).map((it) => it.id)).toEqual(['a']);
  });
  it('one that is given costs nothing, and is taken as often as it is needed', () => {
    expect(choosePacks(0.025, [pack('gift', 10, 0, 'measured'), pack('b', 20, 9)])).toMatchObject({
      packs: [{ count: 3, pack: { id: 'gift' } }],
      price: 0,
    });
  });
});

describe('a price of one’s own', () => {
  const designs = demoDesigns(catalogue);
  const rowsIn = (prices: Record<string, number>) => {
    const own = withPrices(catalogue, prices);
    return designs.map((design) => listsOf(design, assess(design, own).ground, own).buy);
  };
  it('never puts another pack in the place of the one it was written for, however dear it is', () => {
    let tried = 0;
    rowsIn({}).forEach((rows, at) => {
      for (const row of rows) {
        const [bought] = row.packs;
        if (!bought) continue;
        const key = `${row.material}/${bought.pack.id}`;
        const after = rowsIn({ [key]: bought.pack.price.value * 5 })[at]!;
        const same = after.filter((it) => it.material === row.material);
        expect(same.flatMap((it) => it.packs.map((own) => own.pack.id))).toEqual(
          same.flatMap((it) => it.packs.map(() => bought.pack.id)),
        );
        tried += 1;
      }
    });
    expect(tried).toBeGreaterThan(20);
  });
  it('holds on a roll that several share too', () => {
    const builds = (prices: Record<string, number>) => {
      const own = withPrices(catalogue, prices);
      const all = designs.map((design) => {
        const { ground, lists } = assess(design, own);
        return { design, ground, lists };
      });
      return jointLists(all, own).rolls.map((it) => [it.material, it.roll.id] as const);
    };
    const [first] = builds({});
    expect(builds({ [`${first![0]}/${first![1]}`]: 99 })[0]).toEqual(first);
  });
});
