// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { SnackbarProvider } from 'notistack';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useAct } from './useAct';

afterEach(cleanup);

function Button({ act, onDone }: { act: () => Promise<() => unknown>; onDone: (done: boolean) => void }) {
  const carryOut = useAct();
  return (
    <button type="button" onClick={() => void carryOut('It is done.', act).then(onDone)}>
      Do it
    </button>
  );
}
const pressed = (act: () => Promise<() => unknown>): ReturnType<typeof vi.fn> => {
  const onDone = vi.fn();
  render(
    <SnackbarProvider>
      <Button act={act} onDone={onDone} />
    </SnackbarProvider>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Do it' }));
  return onDone;
};

describe('an act', () => {
  it('that is done says so, and is taken back by Undo', async () => {
    const back = vi.fn();
    const onDone = pressed(() => Promise.resolve(back));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await vi.waitFor(() => expect(back).toHaveBeenCalledTimes(1), { timeout: 20_000 });
    expect(onDone).toHaveBeenCalledWith(true);
  });
  it('that fails says why, and offers nothing to take back', async () => {
    const onDone = pressed(() => Promise.reject(new Error('the browser’s storage is full.')));
    expect(await screen.findByText('Not written: the browser’s storage is full.')).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    expect(onDone).toHaveBeenCalledWith(false);
  });
  it('that cannot be taken back any more says why', async () => {
    pressed(() => Promise.resolve(() => Promise.reject(new Error('Fig has moved since'))));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(await screen.findByText('Not taken back: Fig has moved since.')).toBeDefined();
  });
});
