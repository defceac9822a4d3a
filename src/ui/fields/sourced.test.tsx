// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { works } from '@/catalogue/works';
import { Count, PlainSpan, Single, Span } from './SourcedFields';

const enter = (name: RegExp | string, text: string): void => {
  const field = screen.getByRole('textbox', { name });
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const told = (): string => (document.body.textContent ?? '').replaceAll('\u00a0', ' ');
const none = (): void => undefined;

afterEach(cleanup);

describe('a value with its source', () => {
  it('is told in the reader’s units, with its basis and the whole citation of its source', async () => {
    const source = works[0]!;
    render(
      <Single
        label="Settles by"
        measure="percent"
        of={{ value: 0.125, basis: 'published', source: source.id }}
        max={1}
        decimals={1}
        own={false}
        onPut={none}
      />,
    );
    expect(told()).toContain('12.5 %');
    fireEvent.pointerEnter(screen.getByText('published'));
    await waitFor(() => expect(screen.getByText('published').getAttribute('title')).toBe(source.citation), {
      timeout: 20_000,
    });
  });

  it('is told for so many, and typed for so many: a litre of a cubic metre', () => {
    const put = vi.fn();
    const of = { value: 400, basis: 'measured' } as const;
    const { rerender } = render(
      <Single label="A litre weighs" measure="mass" of={of} per={0.001} max={5} own={false} onPut={none} />,
    );
    expect(told()).toContain('0.40 kg');
    rerender(<Single label="A litre weighs" measure="mass" of={of} per={0.001} max={5} own onPut={put} />);
    enter(/^A litre weighs/, '0.5 kg');
    expect(put).toHaveBeenCalledWith({ value: 500, basis: 'measured' });
  });

  it('keeps the ends of a range in their order', () => {
    const put = vi.fn();
    const of = { value: { low: 24, high: 28 }, basis: 'published' } as const;
    render(<Span label="Warm side" measure="temperature" of={of} max={60} own onPut={put} />);
    enter(/^Warm side, from/, '30');
    expect(put).not.toHaveBeenCalledWith(expect.objectContaining({ value: { low: 30, high: 28 } }));
    enter(/^Warm side, to/, '29.5');
    expect(put).toHaveBeenLastCalledWith({ value: { low: 24, high: 29.5 }, basis: 'measured' });
  });

  it('writes plain numbers without decimals they do not have, and one where both ends are one', () => {
    render(
      <>
        <PlainSpan
          label="pH"
          unit=""
          of={{ value: { low: 4.5, high: 6 }, basis: 'published' }}
          max={14}
          own={false}
          onPut={none}
        />
        <PlainSpan
          label="Eggs"
          unit="eggs"
          of={{ value: { low: 2, high: 2 }, basis: 'published' }}
          max={9}
          own={false}
          onPut={none}
        />
        <Count
          label="Salts"
          unit="dS/m"
          of={{ value: 0.35, basis: 'published' }}
          max={20}
          own={false}
          onPut={none}
        />
      </>,
    );
    expect(screen.getByText('4.5 to 6')).toBeDefined();
    expect(screen.getByText('2 eggs')).toBeDefined();
    expect(screen.getByText('0.35 dS/m')).toBeDefined();
  });
});
