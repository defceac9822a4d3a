// @vitest-environment happy-dom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useTurn } from './useTurn';

function Waits({ name, wanted = true }: { readonly name: string; readonly wanted?: boolean }) {
  return useTurn(wanted) ? <p>{name}</p> : null;
}
const drawn = (): readonly (string | null)[] =>
  [...document.querySelectorAll('p')].map((it) => it.textContent);

describe('turns over the page', () => {
  const frames: FrameRequestCallback[] = [];
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('requestAnimationFrame', (it: FrameRequestCallback) => frames.push(it));
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
    frames.length = 0;
  });
  /** The page is painted, and what waited for it goes on. */
  const paint = (): void =>
    act(() => {
      frames.splice(0).forEach((it) => it(0));
      vi.runAllTimers();
    });

  it('come one a frame, in the order they were asked for', () => {
    render(['first', 'second', 'third'].map((it) => <Waits key={it} name={it} />));
    expect(drawn()).toEqual(['first']);
    paint();
    expect(drawn()).toEqual(['first', 'second']);
    paint();
    expect(drawn()).toEqual(['first', 'second', 'third']);
    paint();
    expect(frames).toEqual([]);
  });

  it('what is not wanted has none; what is gone gives its turn to the next', () => {
    const { rerender } = render(
      <>
        <Waits key="a" name="a" />
        <Waits key="b" name="b" />
        <Waits key="c" name="c" />
        <Waits key="d" name="d" wanted={false} />
      </>,
    );
    rerender(
      <>
        <Waits key="a" name="a" />
        <Waits key="c" name="c" />
        <Waits key="d" name="d" wanted={false} />
      </>,
    );
    paint();
    expect(drawn()).toEqual(['a', 'c']);
    paint();
    expect(screen.queryByText('d')).toBeNull();
  });
});
