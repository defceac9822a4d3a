// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns } from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { applyEdit, REGION_KINDS } from '@/core/edits';
import { type Design } from '@/core/document';
import { US } from '@/core/units';
import { draw } from '../testing/render';
import { cutThrough, farCut, nearCut } from './cut';
import { drawingText } from './exportSvg';
import { Plan } from './Plan';
import { Section } from './Section';

const type = userEvent.setup();
const [bog, hedge] = demoDesigns(catalogue) as [Design, Design];
const size = { width: 560, height: 600 };

const section = (design: Design, more: Partial<Parameters<typeof Section>[0]> = {}) => (
  <Section
    design={design}
    assessment={assess(design, catalogue)}
    catalogue={catalogue}
    view="side"
    {...size}
    {...more}
  />
);
const plan = (design: Design, more: Partial<Parameters<typeof Plan>[0]> = {}) => (
  <Plan design={design} assessment={assess(design, catalogue)} catalogue={catalogue} {...size} {...more} />
);

describe('a cut through the ground', () => {
  it('runs from wall to wall without gap or overlap, and each layer rests on the one below', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...REGION_KINDS), { maxLength: 4 }),
        fc.constantFrom('front' as const, 'side' as const),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (kinds, view, share) => {
          const design = kinds.reduce(
            (it, kind) => applyEdit(it, { edit: 'addRegion', change: { kind } }, catalogue),
            hedge,
          );
          const { width, depth } = design.enclosure;
          const across = view === 'front' ? width : depth;
          const spans = cutThrough(
            assess(design, catalogue),
            design,
            view,
            share * (view === 'front' ? depth : width),
          );
          const length = spans.reduce((sum, span) => sum + span.to - span.from, 0);
          expect(length).toBeCloseTo(across, 3);
          for (const span of spans) {
            span.layers.forEach((it, index) => {
              const below = span.layers[index - 1];
              for (const end of [0, 1] as const) {
                expect(it.base[end]).toBeCloseTo(below?.top[end] ?? 0, 9);
                expect(it.top[end]).toBeGreaterThanOrEqual(it.base[end] - 1e-9);
              }
            });
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it('stands at the glass one looks through, and the wall opposite behind it', () => {
    expect(nearCut('front', bog.enclosure)).toBe(0);
    expect(farCut('front', bog.enclosure)).toBe(0.45);
    expect(nearCut('side', bog.enclosure)).toBe(0.6);
    expect(farCut('side', bog.enclosure)).toBe(0);
  });
});

describe('the section', () => {
  it('is called by name, view and size, in the reader’s units', () => {
    const { unmount } = draw(section(hedge));
    expect(
      screen.getByRole('group', { name: /^Hedge, cut from front to back, 45.cm across and 90.cm high$/ }),
    ).toBeDefined();
    unmount();
    draw(section(hedge, { view: 'front' }), US);
    expect(
      screen.getByRole('group', { name: /^Hedge, seen from the front, 17.7.in across and 35.4.in high$/ }),
    ).toBeDefined();
  });

  it('each layer is one stop for the keyboard, also where regions part it', async () => {
    const parted = applyEdit(hedge, { edit: 'addRegion', change: { kind: 'den' } }, catalogue);
    const onSelect = vi.fn();
    draw(section(parted, { onSelect, cut: 0.3 }));
    const stops = screen.getAllByRole('button').map((it) => it.getAttribute('aria-label'));
    expect(new Set(stops).size).toBe(stops.length);
    const soil = screen.getByRole('button', { name: /^Den fill/ });
    soil.focus();
    await type.keyboard('{Enter}');
    expect(onSelect).toHaveBeenCalledWith(parted.ground.regions[0]!.layers[0]!.id);
  });

  it('the top of what is picked is moved by arrow keys, 5 mm or 1 mm, and never through the lid', async () => {
    const onShift = vi.fn();
    const soil = hedge.ground.layers.find((it) => it.kind === 'substrate')!;
    draw(section(hedge, { selected: soil.id, onSelect: () => {}, onShift }));
    const handle = screen.getByRole('slider', { name: /back$/ });
    handle.focus();
    await type.keyboard('{ArrowUp}');
    expect(onShift).toHaveBeenLastCalledWith(
      soil.id,
      ['backLeft', 'backRight'],
      expect.closeTo(0.005, 9),
      expect.any(String),
    );
    await type.keyboard('{Shift>}{ArrowDown}{/Shift}');
    expect(onShift).toHaveBeenLastCalledWith(
      soil.id,
      ['backLeft', 'backRight'],
      expect.closeTo(-0.001, 9),
      expect.any(String),
    );
    expect(Number(handle.getAttribute('aria-valuemax'))).toBeLessThan(900);
    const [first, second] = onShift.mock.calls.map((call) => call[3] as string);
    expect(first).not.toBe(second);
  });

  it('shows moisture as words, and open water nowhere it is not', () => {
    draw(section(hedge, { overlay: 'moisture' }));
    expect(screen.getByRole('img', { name: /^Moisture of the soil once drained: \d+ % air/ })).toBeDefined();
    expect(screen.queryByRole('button', { name: /^Open water/ })).toBeNull();
  });

  it('plain, for a card, it is one picture', () => {
    draw(section(bog, { plain: true, span: 0.95 }));
    expect(screen.getByRole('img', { name: /^Bog shelf/ })).toBeDefined();
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});

describe('the plan', () => {
  it('names each region with its size and place', () => {
    draw(plan(bog));
    expect(
      screen.getByRole('button', {
        name: /^Land, 60.cm by 31.5.cm, 0.cm from the left, 13.5.cm from the front$/,
      }),
    ).toBeDefined();
  });

  it('a region is picked by Enter and moved whole by arrow keys', async () => {
    const onRegion = vi.fn();
    const onMove = vi.fn();
    const pooled = applyEdit(hedge, { edit: 'addRegion', change: { kind: 'pool' } }, catalogue);
    const { redraw } = draw(plan(pooled, { onRegion, onMove, onOutline: () => {} }));
    const pool = () => screen.getByRole('button', { name: /^Pool, / });
    pool().focus();
    await type.keyboard('{ArrowRight}');
    expect(onMove).not.toHaveBeenCalled();
    await type.keyboard('{Enter}');
    expect(onRegion).toHaveBeenCalledWith('region-1');
    redraw(plan(pooled, { region: 'region-1', onRegion, onMove, onOutline: () => {} }));
    pool().focus();
    await type.keyboard('{ArrowRight}{Shift>}{ArrowUp}{/Shift}');
    expect(onMove.mock.calls.map(([id, x, y]) => [id, x, y])).toEqual([
      ['region-1', 0.005, 0],
      ['region-1', 0, 0.001],
    ]);
  });

  it('each of its corners is moved by itself', async () => {
    const onOutline = vi.fn();
    draw(plan(bog, { region: 'region-1', onRegion: () => {}, onMove: () => {}, onOutline }));
    const corner = screen.getByRole('button', { name: /^Corner 2 of Land/ });
    corner.focus();
    await type.keyboard('{ArrowDown}');
    const [id, outline] = onOutline.mock.calls[0]!;
    expect(id).toBe('region-1');
    const before = bog.ground.regions[0]!.outline;
    expect(outline).toHaveLength(before.length);
    expect(outline[1].y).toBeCloseTo(before[1]!.y - 0.005, 9);
    expect(outline.filter((_: unknown, index: number) => index !== 1)).toEqual(
      before.filter((_, index) => index !== 1),
    );
  });

  it('dragged, it follows the pointer to the millimetre, all in one gesture', () => {
    const onMove = vi.fn();
    draw(plan(bog, { region: 'region-1', onRegion: () => {}, onMove, onOutline: () => {} }));
    const land = screen.getByRole('button', { name: /^Land, / });
    const svg = land.closest('svg')!;
    svg.getBoundingClientRect = () =>
      ({ left: 0, top: 0, width: size.width, height: size.height }) as DOMRect;
    land.setPointerCapture = () => {};
    const scale = Number(svg.dataset.scale);
    fireEvent.pointerDown(land, { pointerId: 1, clientX: 200, clientY: 300 });
    fireEvent.pointerMove(land, { pointerId: 1, clientX: 200 + 0.02 * scale, clientY: 300 });
    fireEvent.pointerMove(land, { pointerId: 1, clientX: 200 + 0.02 * scale, clientY: 300 - 0.01 * scale });
    fireEvent.pointerUp(land, { pointerId: 1 });
    fireEvent.pointerMove(land, { pointerId: 1, clientX: 400, clientY: 100 });
    expect(onMove.mock.calls.map(([, x, y]) => [x, y])).toEqual([
      [expect.closeTo(0.02, 9), expect.closeTo(0, 9)],
      [expect.closeTo(0, 9), expect.closeTo(0.01, 9)],
    ]);
    expect(new Set(onMove.mock.calls.map(([, , , gesture]) => gesture)).size).toBe(1);
  });
});

describe('a drawing as a file', () => {
  it('has no handles, is no longer asked for by keys, and carries a scale bar of a round length', () => {
    const soil = hedge.ground.layers.find((it) => it.kind === 'substrate')!;
    draw(section(hedge, { selected: soil.id, onSelect: () => {}, onShift: () => {} }));
    const svg = document.querySelector('svg')!;
    const text = drawingText(svg, { ...US, length: 'cm' });
    expect(text).not.toContain('rincon-handle');
    expect(text).not.toContain('tabindex');
    const bar = /data-scale-bar="(\d+) cm".*?H ([\d.]+)/s.exec(text)!;
    const start = Number(/data-scale-bar="[^"]*"[^>]*><path d="M ([\d.]+)/.exec(text)![1]);
    const metres = (Number(bar[2]) - start) / Number(svg.dataset.scale);
    expect(metres).toBeCloseTo(Number(bar[1]) / 100, 9);
    // The drawing on screen stays as it was.
    expect(svg.querySelectorAll('.rincon-handle')).toHaveLength(2);
  });
});
