import { afterEach, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { proposeDesign } from '@/core/propose';

/** A worker that never answers, and counts who listens for its end. */
class Silent extends EventTarget {
  static made: Silent[] = [];
  listening = 0;
  constructor() {
    super();
    Silent.made.push(this);
  }
  override addEventListener(...told: Parameters<EventTarget['addEventListener']>): void {
    if (told[0] === 'error') this.listening += 1;
    super.addEventListener(...told);
  }
  override removeEventListener(...told: Parameters<EventTarget['removeEventListener']>): void {
    if (told[0] === 'error') this.listening -= 1;
    super.removeEventListener(...told);
  }
  postMessage(): void {}
  terminate(): void {}
}

afterEach(() => vi.unstubAllGlobals());

it('a forecast that is overtaken leaves nobody listening at the worker', async () => {
  vi.stubGlobal('Worker', Silent);
  const { startForecast } = await import('./climate');
  const design = proposeDesign(
    {
      id: 'x',
      name: 'x',
      animal: null,
      count: 1,
      size: null,
      room: { kind: 'middle', temperature: null, humidity: null },
    },
    catalogue,
  );
  for (let edit = 0; edit < 5; edit += 1) {
    const working = startForecast(design, catalogue, { span: 'day', season: 'winter', seed: 1 });
    working.stop();
    await expect(working.done).rejects.toThrow('stopped');
  }
  expect(Silent.made).toHaveLength(1);
  expect(Silent.made[0]!.listening).toBe(0);
});
