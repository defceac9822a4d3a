// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { METRIC, US, type UnitPrefs } from '@/core/units';
import { draw } from '../testing/render';
import { DateField } from './DateField';
import { NameField } from './NameField';
import { LineField, NumberField } from './PlainFields';
import { QuantityField } from './QuantityField';

const type = userEvent.setup();

/** A field that keeps what it is given, as a screen does. */
function Depth({
  start,
  onCommit,
  ...more
}: { start: number | null; onCommit?: (si: number | null) => void } & Partial<
  Parameters<typeof QuantityField>[0]
>) {
  const [value, setValue] = useState(start);
  const put = (si: number | null): void => {
    setValue(si);
    onCommit?.(si);
  };
  return (
    <QuantityField
      label="Depth"
      measure="length"
      value={value}
      onCommit={put}
      onClear={() => put(null)}
      {...more}
    />
  );
}
const field = () => screen.getByLabelText<HTMLInputElement>('Depth');

async function enter(text: string): Promise<void> {
  await type.click(field());
  await type.clear(field());
  if (text !== '') await type.type(field(), text);
  await type.keyboard('{Enter}');
}

describe('a number with a unit', () => {
  it.each<[string, UnitPrefs, number, string]>([
    ['45,5 cm', METRIC, 0.455, '45.5 cm'],
    ['18"', METRIC, 0.4572, '45.7 cm'],
    ['1\' 6"', METRIC, 0.4572, '45.7 cm'],
    ['120 mm', METRIC, 0.12, '12 cm'],
    ['12', METRIC, 0.12, '12 cm'],
    ['12', US, 0.3048, '12 in'],
    ['3 1/2 in', US, 0.0889, '3.5 in'],
    ['5 cm', US, 0.05, '1.97 in'],
  ])('takes “%s”', async (text, prefs, si, shown) => {
    const onCommit = vi.fn();
    draw(<Depth start={0.2} onCommit={onCommit} />, prefs);
    await enter(text);
    expect(onCommit).toHaveBeenCalledTimes(1);
    expect(onCommit.mock.calls[0]![0]).toBeCloseTo(si, 9);
    await type.tab();
    expect(field().value.replace('\u00a0', ' ')).toBe(shown);
  });

  it.each([
    ['4 parsecs', /at character 3/],
    ['abc', /at character 1/],
    ['4 kg', /at character/],
  ])('refuses “%s” where the fault stands, and keeps what was there', async (text, message) => {
    const onCommit = vi.fn();
    draw(<Depth start={0.2} onCommit={onCommit} />);
    await enter(text);
    expect(screen.getByRole('alert').textContent).toMatch(message);
    expect(onCommit).not.toHaveBeenCalled();
    await type.keyboard('{Escape}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(field().value.replace('\u00a0', ' ')).toBe('20 cm');
  });

  it('says what fits when it does not', async () => {
    const onCommit = vi.fn();
    draw(<Depth start={0.2} min={0.05} max={0.3} onCommit={onCommit} />);
    await enter('40 cm');
    expect(screen.getByRole('alert').textContent?.replaceAll('\u00a0', ' ')).toBe('5 cm to 30 cm fits here.');
    expect(onCommit).not.toHaveBeenCalled();
  });

  it('asks for the most it may be when it is entered, not before', async () => {
    let most = 0.3;
    const onCommit = vi.fn();
    draw(<Depth start={0.2} max={() => most} onCommit={onCommit} />);
    most = 0.5;
    await enter('40 cm');
    expect(onCommit).toHaveBeenCalledWith(expect.closeTo(0.4, 9));
  });

  it('steps by arrow keys, finer with Shift, and stops at its ends', async () => {
    const onCommit = vi.fn();
    draw(<Depth start={0.2} min={0} max={0.21} step={0.005} onCommit={onCommit} />);
    await type.click(field());
    await type.keyboard('{ArrowUp}');
    expect(onCommit).toHaveBeenLastCalledWith(expect.closeTo(0.205, 9));
    await type.keyboard('{Shift>}{ArrowUp}{/Shift}');
    expect(onCommit).toHaveBeenLastCalledWith(expect.closeTo(0.206, 9));
    await type.keyboard('{ArrowUp}{ArrowUp}');
    expect(onCommit).toHaveBeenLastCalledWith(expect.closeTo(0.21, 9));
    await type.keyboard('{ArrowDown}');
    expect(onCommit).toHaveBeenLastCalledWith(expect.closeTo(0.205, 9));
  });

  it('emptied it is cleared where that means something, and springs back where it does not', async () => {
    const onCommit = vi.fn();
    const { unmount } = draw(<Depth start={0.2} placeholder="not known" onCommit={onCommit} />);
    await enter('');
    expect(onCommit).toHaveBeenCalledWith(null);
    await type.tab();
    expect(field().value).toBe('');
    unmount();
    draw(<QuantityField label="Depth" measure="length" value={0.2} onCommit={onCommit} />);
    await enter('');
    await type.tab();
    expect(field().value.replace('\u00a0', ' ')).toBe('20 cm');
  });

  it('what is only looked at is not written', async () => {
    const onCommit = vi.fn();
    draw(<Depth start={0.123456} onCommit={onCommit} />);
    await type.click(field());
    await type.tab();
    expect(onCommit).not.toHaveBeenCalled();
  });

  it('bare, in a table, it is still called by name and unit', () => {
    draw(
      <QuantityField bare label="Depth at the front" measure="length" value={0.05} onCommit={() => {}} />,
      US,
    );
    expect(screen.getByRole('textbox', { name: 'Depth at the front, in' })).toHaveProperty('value', '1.97');
  });
});

describe('a bare number', () => {
  const parts = () => screen.getByLabelText<HTMLInputElement>('Parts');
  it('takes a comma or a point, steps by arrows, and tells its range', async () => {
    const onCommit = vi.fn();
    const { redraw } = draw(
      <NumberField key={2} label="Parts" value={2} min={0} max={10} onCommit={onCommit} />,
    );
    await type.clear(parts());
    await type.type(parts(), '2,5{Enter}');
    expect(onCommit).toHaveBeenLastCalledWith(2.5);
    redraw(<NumberField key={2.5} label="Parts" value={2.5} min={0} max={10} onCommit={onCommit} />);
    await type.click(parts());
    await type.keyboard('{ArrowUp}');
    expect(onCommit).toHaveBeenLastCalledWith(3.5);
    await type.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(onCommit).toHaveBeenLastCalledWith(2.4);
    onCommit.mockClear();
    await type.clear(parts());
    await type.type(parts(), '11{Enter}');
    expect(screen.getByText('A number from 0 to 10.')).toBeDefined();
    expect(onCommit).not.toHaveBeenCalled();
  });
  it('shows as many decimals as it is told to', () => {
    draw(<NumberField label="Parts" value={5.5} min={0} max={10} decimals={2} onCommit={() => {}} />);
    expect(parts().value).toBe('5.50');
  });
});

describe('a line of text', () => {
  const name = () => screen.getByLabelText<HTMLInputElement>('Name');
  it('is taken over when one leaves it or presses Enter, never empty, never unchanged', async () => {
    const onCommit = vi.fn();
    draw(<LineField label="Name" value="Hedge" onCommit={onCommit} />);
    await type.click(name());
    await type.tab();
    expect(onCommit).not.toHaveBeenCalled();
    await type.clear(name());
    await type.tab();
    expect(onCommit).not.toHaveBeenCalled();
    await type.type(name(), '  Bramble {Enter}');
    expect(onCommit).toHaveBeenCalledWith('Bramble');
  });
  it('what will not do is told and not taken over', async () => {
    const onCommit = vi.fn();
    draw(
      <LineField
        label="Name"
        value="Anolis carolinensis"
        check={(text) => (text.includes(' ') ? undefined : 'Two words.')}
        onCommit={onCommit}
      />,
    );
    await type.clear(name());
    await type.type(name(), 'Anolis{Enter}');
    expect(screen.getByText('Two words.')).toBeDefined();
    expect(onCommit).not.toHaveBeenCalled();
  });
});

describe('what is refused by the document', () => {
  const refuse = () => 'at most 60 is expected';

  it('stays in the field with what is wrong, whatever the field', async () => {
    draw(
      <>
        <QuantityField label="Room" measure="temperature" value={20} onCommit={refuse} min={-100} />
        <NumberField label="Number" value={1} min={0} max={1e9} onCommit={refuse} />
        <LineField label="Line" value="a" onCommit={refuse} />
        <NameField label="Name" value="b" onCommit={refuse} />
      </>,
    );
    for (const [label, text] of [
      ['Room', '99'],
      ['Number', '77'],
      ['Line', 'longer'],
      ['Name', 'another'],
    ] as const) {
      const own = screen.getByLabelText<HTMLInputElement>(label);
      await type.clear(own);
      await type.type(own, `${text}{Enter}`);
      expect(own.value, label).toBe(text);
      expect(own.getAttribute('aria-invalid'), label).toBe('true');
    }
    expect(screen.getAllByText('at most 60 is expected')).toHaveLength(4);
    // Typed on, it is no longer said to be wrong.
    await type.type(screen.getByLabelText('Name'), 's');
    expect(screen.getAllByText('at most 60 is expected')).toHaveLength(3);
  });
});

describe('a day', () => {
  const drawn = (value: string | null, onCommit: (day: string | null) => unknown, max?: string) => {
    draw(<DateField label="Day" value={value} onCommit={onCommit} {...(max ? { max } : {})} />);
    return screen.getByLabelText<HTMLInputElement>('Day');
  };
  /** As a browser gives it: whole dates, or nothing. */
  const give = (field: HTMLInputElement, text: string): void => {
    fireEvent.change(field, { target: { value: text } });
  };

  it('is taken over once it can be meant: not at each figure of the year', () => {
    const put = vi.fn();
    const field = drawn(null, put);
    for (const half of ['0002-03-04', '0020-03-04', '0202-03-04']) give(field, half);
    expect(put).not.toHaveBeenCalled();
    give(field, '2026-03-04');
    expect(put.mock.calls).toEqual([['2026-03-04']]);
  });

  it('that cannot be meant stays in the field, and says so', () => {
    const put = vi.fn();
    const field = drawn('2026-03-04', put, '2026-11-28');
    give(field, '2027-01-01');
    fireEvent.blur(field);
    expect(field.value).toBe('2027-01-01');
    expect(screen.getByRole('alert').textContent).toBe('Not after 2026-11-28.');
    give(field, '0202-01-01');
    fireEvent.blur(field);
    expect(screen.getByRole('alert').textContent).toBe('A day between 1900 and 2200.');
    expect(put).not.toHaveBeenCalled();
  });

  it('that is cleared is none, once the field is left; what is refused is said', () => {
    const put = vi.fn(() => 'a day is expected');
    const field = drawn('2026-03-04', put);
    give(field, '');
    expect(put).not.toHaveBeenCalled();
    fireEvent.blur(field);
    expect(put.mock.calls).toEqual([[null]]);
    expect(screen.getByRole('alert').textContent).toBe('a day is expected');
  });
});
