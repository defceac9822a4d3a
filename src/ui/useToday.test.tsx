// @vitest-environment happy-dom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useToday } from './useToday';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

describe('a page left open', () => {
  it('turns to the next day within half a minute of midnight', () => {
    vi.setSystemTime(new Date(2026, 10, 30, 23, 59, 40));
    const { result, unmount } = renderHook(() => useToday());
    expect(result.current).toBe('2026-11-30');
    act(() => void vi.advanceTimersByTime(60_000));
    expect(result.current).toBe('2026-12-01');
    unmount();
    expect(vi.getTimerCount()).toBe(0);
  });

  it('knows the day at once when it is seen again after a sleep', () => {
    vi.setSystemTime(new Date(2026, 1, 27, 12));
    const { result } = renderHook(() => useToday());
    // A machine that sleeps runs no timers.
    vi.setSystemTime(new Date(2026, 2, 1, 7));
    expect(result.current).toBe('2026-02-27');
    act(() => void window.dispatchEvent(new Event('focus')));
    expect(result.current).toBe('2026-03-01');
  });

  it('is drawn anew only as the day turns', () => {
    vi.setSystemTime(new Date(2026, 10, 30, 8));
    let drawn = 0;
    renderHook(() => {
      drawn += 1;
      return useToday();
    });
    act(() => void vi.advanceTimersByTime(10 * 3_600_000));
    expect(drawn).toBe(1);
  });
});
