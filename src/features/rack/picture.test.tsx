// @vitest-environment happy-dom
import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { US } from '@/core/units';
import { made, open } from '../testing/open';
import { assessed } from './assessed';
import { CardPicture } from './Picture';

vi.mock('@/ui/useElementSize', () => ({ useElementSize: () => ({ width: 300, height: 220 }) }));

// Where nothing can tell what is in sight, all is.
vi.stubGlobal('IntersectionObserver', undefined);

describe('the picture at the head of a card', () => {
  const design = { ...made('pogona-vitticeps'), name: 'Dry box' };
  const card = <CardPicture design={design} assessment={assessed(design, catalogue)} catalogue={catalogue} />;
  const drawing = async (name: RegExp): Promise<string> => {
    const picture = (await screen.findByRole('img', { name })) as HTMLImageElement;
    return decodeURIComponent(picture.src.replace(/^data:image\/svg\+xml;charset=utf-8,/, ''));
  };

  it('is one element, with the inks of both schemes in it', async () => {
    await open(card, design);
    const text = await drawing(/^Dry box, seen from the front, \d+.cm across and \d+.cm high$/);
    expect(text).toMatch(/^<svg /);
    expect(text).toContain('prefers-color-scheme:dark');
    expect(text).toContain('var(--mui-palette-earth-ink)');
    expect(document.querySelectorAll('svg')).toHaveLength(0);
  });

  it('is told in the units of its reader, whoever read it before', async () => {
    await open(card, design, US);
    await drawing(/^Dry box, seen from the front, [\d.]+.in across and [\d.]+.in high$/);
  });
});
