// @vitest-environment happy-dom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { METRIC, US } from '@/core/units';
import type { VerdictState } from '@/core/verdict';
import { BuyTable } from './BuyTable';
import { Choice } from './Choice';
import { FindingList } from './FindingList';
import { Ledger } from './shell/Ledger';
import { ListDetail } from './shell/ListDetail';
import { UnitsMenu } from './shell/UnitsMenu';
import { draw } from './testing/render';
import { useReader } from './units';
import { layerName, OUTER_PLACES } from './words';

const type = userEvent.setup();
const [bog, hedge, limestone, wash] = demoDesigns(catalogue);

describe('choices', () => {
  const options = [
    { value: 'a', name: 'Bake it', why: 'Kills pests.' },
    { value: 'b', name: 'Boil it', why: 'Surest.' },
    { value: 'c', name: 'Leave it' },
  ] as const;
  function Cards({ onChange }: { readonly onChange: (value: string) => void }) {
    const [value, setValue] = useState<'a' | 'b' | 'c'>('a');
    return (
      <Choice
        label="Litter"
        options={options}
        value={value}
        onChange={(next) => {
          setValue(next);
          onChange(next);
        }}
      />
    );
  }
  it('are one stop for the keyboard, and arrows go round', async () => {
    const onChange = vi.fn();
    draw(<Cards onChange={onChange} />);
    expect(screen.getByRole('radiogroup', { name: 'Litter' })).toBeDefined();
    await type.tab();
    expect(document.activeElement).toBe(screen.getByRole('radio', { name: /Bake/ }));
    await type.keyboard('{ArrowRight}');
    expect(onChange).toHaveBeenLastCalledWith('b');
    expect(document.activeElement).toBe(screen.getByRole('radio', { name: /Boil/ }));
    await type.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(onChange).toHaveBeenLastCalledWith('c');
    expect(screen.getByRole('radio', { name: 'Leave it' }).getAttribute('aria-checked')).toBe('true');
    const stops = screen.getAllByRole('radio').filter((it) => it.tabIndex === 0);
    expect(stops).toHaveLength(1);
  });
  it('are taken by a click', async () => {
    const onChange = vi.fn();
    draw(<Cards onChange={onChange} />);
    await type.click(screen.getByRole('radio', { name: /Boil/ }));
    expect(onChange).toHaveBeenCalledWith('b');
  });
});

describe('findings', () => {
  it('say what, because, and where it comes from; their remedy is what is called', async () => {
    const onMend = vi.fn();
    const { findings } = assess(hedge!, catalogue);
    draw(<FindingList findings={findings} onMend={onMend} />);
    const beads = within(document.querySelector<HTMLElement>('[data-finding="beads-in-the-drain"]')!);
    expect(beads.getByText('Beads would run into the drain.')).toBeDefined();
    expect(beads.getByText(/The smallest are 0.8.cm across, the drain is 1.2.cm wide/)).toBeDefined();
    expect(beads.getByText('computed')).toBeDefined();
    expect(beads.getByText(/^By hand: put a strainer/)).toBeDefined();
    const other = screen.queryAllByRole('button');
    for (const button of other) await type.click(button);
    expect(onMend).toHaveBeenCalledTimes(other.length);
  });
  it('read in inches where inches are read', () => {
    const { findings } = assess(hedge!, catalogue);
    draw(<FindingList findings={findings} onMend={() => {}} />, US);
    expect(screen.getByText(/The smallest are 0.31.in across, the drain is 0.47.in wide/)).toBeDefined();
  });
  it('offer a fix only when it was tried, and say what a bad one would do', async () => {
    const onMend = vi.fn();
    const [first] = assess(hedge!, catalogue).findings;
    const call = { edit: 'removePlant', change: { plant: 'x' } } as const;
    const remedies = [
      { label: ['Use peat'], call, trial: 'waits' as const },
      { label: ['Use sand'], call, trial: ['The water is too warm all year.'] },
      { label: ['Use bark'], call, trial: 'good' as const },
    ];
    draw(<FindingList findings={[{ ...first!, remedies }]} onMend={onMend} />);
    expect(screen.getByRole('button', { name: 'Use peat' })).toHaveProperty('disabled', true);
    expect(screen.queryByRole('button', { name: /Use sand/ })).toBeNull();
    expect(screen.getByText('Not advised: Use sand. The water is too warm all year.')).toBeDefined();
    await type.click(screen.getByRole('button', { name: 'Use bark' }));
    expect(onMend).toHaveBeenCalledExactlyOnceWith(call);
  });
  it('of none there is nothing', () => {
    const { container } = draw(<FindingList findings={[]} onMend={() => {}} />);
    expect(container.textContent).toBe('');
  });
});

describe('the ledger', () => {
  it('holds the sums, how many hands it takes, and what is to be looked at', () => {
    const assessment = assess(limestone!, catalogue);
    const buying = buyingOf([{ design: limestone!, assessment }], catalogue);
    const drawn = (verdict: VerdictState): string => {
      draw(
        <Ledger
          described
          assessment={assessment}
          buying={buying}
          verdict={verdict}
          findings={assessment.findings}
          findingsHref="#findings"
        />,
      );
      const text = screen.getByRole('contentinfo', { name: 'Ledger' }).textContent!;
      cleanup();
      return text;
    };
    // What is not known yet is not called good.
    expect(drawn({ at: 'calculating' })).toContain('Being calculated');
    expect(drawn({ at: 'calculating' })).not.toMatch(/nothing to fix|holds/i);
    const text = drawn({ at: 'failed', message: 'the air would come to 99 °C' });
    expect(text).toContain('Cannot be calculated');
    expect(text).toContain(buying.price.toFixed(2));
    expect(text).toMatch(/standing, (build in place|two people|one person)/);
    const open = assessment.findings.filter(
      (it) => it.severity === 'severe' || it.severity === 'look',
    ).length;
    expect(text).toContain(`${open} to check`);
  });
});

describe('the buying list', () => {
  const buying = buyingOf(
    [{ design: wash!, assessment: assess(wash!, catalogue) }],
    catalogue,
    { 'washed-sand': 0.004 },
    0.1,
  );
  const onSpare = vi.fn();
  const onBought = vi.fn();
  function Table({ onPrice }: { readonly onPrice: Parameters<typeof BuyTable>[0]['onPrice'] }) {
    const reader = useReader();
    return (
      <BuyTable
        buying={buying}
        prices={{}}
        spare={0.1}
        onSpare={onSpare}
        reader={reader}
        onBought={onBought}
        onPrice={onPrice}
        currency={null}
        onCurrency={() => {}}
      />
    );
  }
  it('shows need, shelf, packs and price of each, and takes the builder’s own price', async () => {
    const onPrice = vi.fn();
    draw(<Table onPrice={onPrice} />);
    const sand = within(document.querySelector<HTMLElement>('[data-material="washed-sand"]')!);
    expect(sand.getByText(/^4.0?.L from the shelf$/)).toBeDefined();
    const row = buying.rows.find((it) => it.key === 'washed-sand')!;
    const [first] = row.packs;
    const price = sand.getAllByRole<HTMLInputElement>('textbox')[0]!;
    expect(price.value).toBe(first!.price.toFixed(2));
    await type.clear(price);
    await type.type(price, '3,20{Enter}');
    expect(onPrice).toHaveBeenLastCalledWith(`washed-sand/${first!.id}`, 3.2);
    onPrice.mockClear();
    await type.clear(price);
    await type.type(price, 'free{Enter}');
    expect(onPrice).not.toHaveBeenCalled();
    expect(screen.getByText('A price, or 0 for a gift.')).toBeDefined();
    await type.clear(price);
    await type.type(price, '0{Enter}');
    expect(onPrice).toHaveBeenLastCalledWith(`washed-sand/${first!.id}`, 0);
  });

  it('bought, every pack is a line of the shelf’s book: packs times what one holds', () => {
    draw(<Table onPrice={vi.fn()} />);
    fireEvent.click(screen.getByRole('button', { name: /^All bought/ }));
    const [receipts] = onBought.mock.calls[0] as [{ material: string; amount: number; label: string }[]];
    for (const row of buying.rows) {
      const got = receipts.filter((it) => it.material === row.key).reduce((sum, it) => sum + it.amount, 0);
      expect(got, row.name).toBeCloseTo(row.bought, 6);
      if (row.measure === 'volume')
        expect(got).toBeCloseTo(row.needed + row.spare - row.fromShelf + row.leftOver, 5);
    }
    expect(receipts[0]!.label).toMatch(/^\d+ × /);
  });

  it('stands shop by shop, with a sum for each; one shop alone can be bought at', async () => {
    draw(<Table onPrice={vi.fn()} />);
    onBought.mockClear();
    for (const { shop, rows, price } of buying.byShop) {
      const own = document.querySelector<HTMLElement>(`[data-shop=${shop}]`)!;
      expect(own.textContent).toContain(price.toFixed(2));
      expect(own.querySelectorAll('tbody tr').length).toBe(rows.length);
    }
    const [first] = buying.byShop;
    await type.click(screen.getAllByRole('button', { name: /^Bought at/ })[0]!);
    const [receipts] = onBought.mock.calls[0] as [{ material: string }[]];
    expect(new Set(receipts.map((it) => it.material))).toEqual(
      new Set(first!.rows.filter((it) => it.packs.length > 0).map((it) => it.key)),
    );
  });
});

describe('a list with a search', () => {
  const items = [
    { id: '1', name: 'Hainan cave gecko', hint: 'Goniurosaurus hainanensis' },
    { id: '2', name: 'Crested gecko', hint: 'Correlophus ciliatus', own: true },
    { id: '3', name: 'Kenyan sand boa', hint: 'Eryx colubrinus' },
  ];
  it('finds by any word of name or hint, in any order and without its accents', async () => {
    const onSelect = vi.fn();
    draw(
      <ListDetail label="Animals" items={items} selected="1" onSelect={onSelect}>
        <p>detail</p>
      </ListDetail>,
    );
    const names = () =>
      within(screen.getByRole('list', { name: 'Animals' }))
        .queryAllByRole('button')
        .map((it) => it.textContent);
    const search = screen.getByLabelText('Find in animals');
    await type.type(search, 'gecko');
    expect(names()).toHaveLength(2);
    await type.clear(search);
    await type.type(search, 'ciliátus cre');
    expect(names()).toEqual([expect.stringContaining('Crested gecko')]);
    expect(screen.getByText('your own')).toBeDefined();
    await type.click(screen.getByRole('button', { name: /Crested/ }));
    expect(onSelect).toHaveBeenCalledWith('2');
    await type.clear(search);
    await type.type(search, 'newt');
    expect(names()).toEqual([]);
    expect(screen.getByText('Nothing here is called “newt”.')).toBeDefined();
  });
});

describe('units', () => {
  it('are chosen as a set', async () => {
    const onChange = vi.fn();
    draw(<UnitsMenu prefs={METRIC} onChange={onChange} />);
    await type.click(screen.getByRole('button', { name: /^Units/ }));
    await type.click(await screen.findByRole('menuitem', { name: /gallons, dry quarts/ }));
    expect(onChange).toHaveBeenCalledWith(US);
  });
});

describe('words', () => {
  it('a soil is called by its own name, everything else by what it is', () => {
    const names = [bog!, limestone!].flatMap((design) =>
      assess(design, catalogue).layers.map(({ layer }) => layerName(layer, catalogue)),
    );
    expect(names).toEqual(
      expect.arrayContaining(['Open water', 'Drainage · raised panel', 'Plain sandy base']),
    );
  });
  it('the places outside an enclosure know which is open', () => {
    expect(
      OUTER_PLACES('/stores')
        .filter((it) => it.current)
        .map((it) => it.label),
    ).toEqual(['Stores']);
  });
});
