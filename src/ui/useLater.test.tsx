// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { SnackbarProvider } from 'notistack';
import { expect, it, vi } from 'vitest';
import { Chart } from './Chart';
import { draw } from './testing/render';
import { useLater } from './useLater';

vi.stubGlobal(
  'ResizeObserver',
  class {
    observe(): void {}
    disconnect(): void {}
  },
);
vi.mock('./echarts', () => {
  throw new Error('no network');
});

function Asks({ load, then }: { readonly load: () => Promise<string>; readonly then: (it: string) => void }) {
  const later = useLater();
  return <button onClick={() => void later(load, then)}>Save as calendar</button>;
}

it('what needs a part is done once the part has come', async () => {
  const then = vi.fn();
  draw(
    <SnackbarProvider>
      <Asks load={() => Promise.resolve('a writer')} then={then} />
    </SnackbarProvider>,
  );
  fireEvent.click(screen.getByRole('button'));
  await vi.waitFor(() => expect(then).toHaveBeenCalledWith('a writer'), { timeout: 20_000 });
  expect(screen.queryByText(/could not be loaded/)).toBeNull();
});

it('a part that cannot be loaded is told, and loads when it is asked for again', async () => {
  const then = vi.fn();
  const load = vi.fn(() => Promise.resolve('a writer')).mockRejectedValueOnce(new Error('no network'));
  draw(
    <SnackbarProvider>
      <Asks load={load} then={then} />
    </SnackbarProvider>,
  );
  fireEvent.click(screen.getByRole('button'));
  await screen.findByText('A part of Rincon could not be loaded. Check the connection, then try again.');
  expect(then).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button'));
  await vi.waitFor(() => expect(then).toHaveBeenCalledWith('a writer'), { timeout: 20_000 });
});

it('what the part then cannot do is told as what it is', async () => {
  const then = (): never => {
    throw new Error('the storage is full');
  };
  draw(
    <SnackbarProvider>
      <Asks load={() => Promise.resolve('a writer')} then={then} />
    </SnackbarProvider>,
  );
  fireEvent.click(screen.getByRole('button'));
  await screen.findByText('That did not work: the storage is full.');
  expect(screen.queryByText(/could not be loaded/)).toBeNull();
});

it('in place of a chart that cannot be loaded stands why', async () => {
  draw(<Chart label="Humidity" height={200} option={() => ({})} />);
  const told = await screen.findByRole('status');
  expect(told.textContent).toBe(
    'Humidity: the chart could not be loaded. Check the connection, then load the page again.',
  );
});
