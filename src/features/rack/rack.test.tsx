// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import type { Design } from '@/core/document';
import { assess } from '@/core/assess';
import { made, open } from '../testing/open';
import { assessed, assessedNow, useAllAssessed } from './assessed';
import { Card } from './Card';
import { LookList } from './LookList';

/** Too small a box for what lives in it, and more that is told of it. */
const crowded = (n: number) => ({
  ...made('pogona-vitticeps', { edit: 'setCount', change: { count: 6 } }),
  id: `box-${n}`,
  name: `Box ${n}`,
});

describe('what wants looking at over the whole rack', () => {
  const designs = Array.from({ length: 20 }, (_, n) => crowded(n));
  const told = assess(designs[0]!, catalogue).findings.filter(
    (it) => it.severity !== 'fine' && it.routine !== true,
  );
  it('shows forty, the gravest first, and all when they are asked for', async () => {
    await open(<LookList designs={designs} catalogue={catalogue} />, designs[0]);
    const rows = () => screen.getAllByRole('listitem');
    expect(told.length).toBeGreaterThan(2);
    await screen.findByRole('button', { name: `Show all ${20 * told.length}` });
    expect(rows()).toHaveLength(40);
    const severe = 20 * told.filter((it) => it.severity === 'severe').length;
    expect(severe).toBeGreaterThan(0);
    expect(rows().filter((it) => it.textContent.startsWith('Fix this'))).toHaveLength(Math.min(40, severe));
    fireEvent.click(screen.getByRole('button', { name: `Show all ${20 * told.length}` }));
    expect(rows()).toHaveLength(20 * told.length);
    expect(screen.queryByRole('button', { name: /^Show all/ })).toBeNull();
  });
  it('is worked out once for each design, anew for another catalogue', () => {
    const [first] = designs;
    expect(assessed(first!, catalogue)).toBe(assessed(first!, catalogue));
    expect(assessed(first!, { ...catalogue })).not.toBe(assessed(first!, catalogue));
  });
});

it('one that cannot be worked out is told, and stops no other', async () => {
  const torn = { ...crowded(1), id: 'torn', ground: null } as unknown as Design;
  const sound = { ...crowded(2), id: 'sound' };
  const act = () => Promise.resolve();
  await open(
    <ul>
      {[torn, sound].map((design) => (
        <Card
          key={design.id}
          {...{ design, catalogue }}
          onDuplicate={act}
          onRename={act}
          onPutAway={act}
          onDelete={act}
        />
      ))}
    </ul>,
    sound,
  );
  expect(await screen.findByText('Could not be checked. Open it to see why.')).toBeDefined();
  expect(await screen.findByText(/to check/)).toBeDefined();
});

it('a rack of many is worked out between frames: at first nothing is known, then all of it', async () => {
  const designs = Array.from({ length: 30 }, (_, n) => ({ ...crowded(n), id: `slow-${n}` }));
  function Count() {
    useAllAssessed(designs, catalogue);
    return <p>{designs.filter((it) => assessedNow(it, catalogue)).length} known</p>;
  }
  await open(<Count />, designs[0]);
  expect(await screen.findByText('30 known')).toBeDefined();
  expect(assessedNow(designs[29]!, catalogue)).toEqual(assess(designs[29]!, catalogue));
});
