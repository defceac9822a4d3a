// @vitest-environment happy-dom
import { act, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import type { Design } from '@/core/document';
import type { EditCall } from '@/core/edits';
import type { Finding } from '@/core/findings';
import { judgeDesign, type Verdict, type VerdictState } from '@/core/verdict';
import { made, open } from '@/features/testing/open';
import { FindingList } from '@/ui/FindingList';
import { useTried } from './useTried';

const listeners = vi.hoisted(() => new Set<() => void>());
const states = vi.hoisted(() => ({ asItStands: null as unknown, changed: null as unknown, asked: 0 }));
vi.mock('./verdicts', () => ({
  onVerdicts: (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  // The one change that is tried is of the water.
  verdictNow: (design: Design) =>
    design.climate.room.water === 'filtered' ? states.changed : states.asItStands,
  wantVerdict: (design: Design) => {
    if (design.climate.room.water === 'filtered') states.asked += 1;
    return () => undefined;
  },
}));
vi.stubGlobal('Worker', class {});

const finding = (call: EditCall): Finding => ({
  code: 'tap-water',
  severity: 'note',
  place: { at: 'climate' },
  what: ['Tap water goes in.'],
  because: ['It may harm.'],
  remedies: [{ label: ['Filter it'], call }],
  basis: 'practice',
});
const FILTER: EditCall = { edit: 'setClimateRoom', change: { water: 'filtered' } };

function Shows({ call }: { readonly call: EditCall }) {
  return <FindingList findings={useTried([finding(call)])} onMend={() => undefined} />;
}

describe('a fix that a rule thought of', () => {
  const design = made('dendrobates-auratus');
  const verdict = judgeDesign({ design, catalogue, alone: true })!;
  const known = (it: Verdict): VerdictState => ({ at: 'known', verdict: it, findings: [] });
  const tell = (state: VerdictState): void =>
    act(() => {
      states.changed = state;
      listeners.forEach((it) => it());
    });
  const button = (): Promise<HTMLButtonElement> => screen.findByRole('button', { name: 'Filter it' });
  beforeEach(() => {
    states.asItStands = known(verdict);
    states.changed = { at: 'calculating' } satisfies VerdictState;
    states.asked = 0;
  });

  it('waits until its forecast is known, and is offered where nothing is worse', async () => {
    await open(<Shows call={FILTER} />, design);
    expect((await button()).disabled).toBe(true);
    await vi.waitFor(() => expect(states.asked).toBeGreaterThan(0), { timeout: 20_000 });
    expect((await button()).disabled).toBe(true);
    tell(known(verdict));
    await vi.waitFor(async () => expect((await button()).disabled).toBe(false), { timeout: 20_000 });
  });

  it('that makes a place worse is not offered, and says what it would do', async () => {
    await open(<Shows call={FILTER} />, design);
    await vi.waitFor(() => expect(states.asked).toBeGreaterThan(0), { timeout: 20_000 });
    tell(
      known({
        ...verdict,
        places: verdict.places.map((it) =>
          it.criterion === 'warm' ? { ...it, inside: 0.4, over: 0.6, under: 0, borne: 0.5, weight: 40 } : it,
        ),
      }),
    );
    expect(
      await screen.findByText(
        /^Not advised: Filter it\. The warm side is too hot all year: 60.% of its day\.$/,
      ),
    ).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Filter it' })).toBeNull();
  });

  it('that changes nothing a climate hangs on is offered without one', async () => {
    await open(<Shows call={{ edit: 'rename', change: { name: 'Another' } }} />, design);
    await vi.waitFor(async () => expect((await button()).disabled).toBe(false), { timeout: 20_000 });
    expect(states.asked).toBe(0);
  });
});
