// @vitest-environment happy-dom
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { draw } from './testing/render';
import { Windowed } from './Windowed';

beforeEach(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe(): void {}
      unobserve(): void {}
      disconnect(): void {}
    },
  );
});

const list = (count: number) => (
  <Windowed
    items={Array.from({ length: count }, (_, i) => `Bay ${i + 1}`)}
    keyOf={(it) => it}
    estimate={() => 200}
    gap={16}
  >
    {(it) => <h2>{it}</h2>}
  </Windowed>
);

it('of a few all stand on the page', () => {
  draw(list(24));
  expect(screen.getAllByRole('heading')).toHaveLength(24);
});

it('of many only those near sight do, in a space that is as high as all of them', () => {
  draw(list(200));
  const shown = screen.getAllByRole('heading').map((it) => it.textContent);
  expect(shown[0]).toBe('Bay 1');
  expect(shown.length).toBeGreaterThan(3);
  expect(shown.length).toBeLessThan(60);
  const frame = document.querySelector<HTMLElement>('[data-index="0"]')!.parentElement!;
  // Those that were drawn are measured: here, where nothing is laid out, none of them has a height.
  expect(parseFloat(frame.style.height)).toBe((200 - shown.length) * 200 + 199 * 16);
});
