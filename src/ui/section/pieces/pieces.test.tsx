// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '@/core/assess';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { type Design } from '@/core/document';
import { draw } from '../../testing/render';
import { Plan } from '../Plan';
import { Section } from '../Section';
import type { PieceTools } from './ResizeHandles';
import { flat, hull, moved, nearness, polygon, soft, streamOf } from './projection';

const design = (animal: string, ...calls: EditCall[]): Design =>
  calls.reduce(
    (it, call) => applyEdit(it, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'Box',
        animal,
        count: 1,
        size: { width: 0.6, depth: 0.45, height: 0.6 },
        room: { kind: 'middle', temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
const PROPOSE: EditCall = { edit: 'proposeScape', change: {} };

describe('from the box to the drawing', () => {
  const at = { x: 0.1, y: 0.2, z: 0.3 };
  it('each view shows two of three directions, and keeps the third when something is moved in it', () => {
    const on = (view: 'front' | 'side' | 'plan') => flat({ view, left: 10, floor: 500, scale: 100 }, at);
    expect(on('front')).toEqual([20, 470]);
    expect(on('side')).toEqual([30, 470]);
    expect(on('plan')).toEqual([20, 480]);
    expect(moved('front', at, 1, 2)).toEqual({ x: 1, y: 0.2, z: 2 });
    expect(moved('side', at, 1, 2)).toEqual({ x: 0.1, y: 1, z: 2 });
    expect(moved('plan', at, 1, 2)).toEqual({ x: 1, y: 2, z: 0.3 });
  });
  it('what is nearer is drawn later: the front, the right, the top', () => {
    expect(nearness('front', { ...at, y: 0 })).toBeGreaterThan(nearness('front', at));
    expect(nearness('side', { ...at, x: 1 })).toBeGreaterThan(nearness('side', at));
    expect(nearness('plan', { ...at, z: 1 })).toBeGreaterThan(nearness('plan', at));
  });
  it('an outline holds every point it was drawn around, and has no corner that is not one of them', () => {
    const point = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 12 }), (points) => {
        const around = hull(points);
        for (const corner of around) expect(points).toContainEqual(corner);
        for (const [x, y] of points) {
          for (let i = 0; i < around.length; i += 1) {
            const [a, b] = [around[i]!, around[(i + 1) % around.length]!];
            expect((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])).toBeGreaterThanOrEqual(0);
          }
        }
      }),
    );
  });
  it('a piece keeps its looks: the same name, the same grain', () => {
    const [a, b, c] = [streamOf('piece-1'), streamOf('piece-1'), streamOf('piece-2')];
    const three = (next: () => number) => [next(), next(), next()];
    expect(three(a)).toEqual(three(b));
    expect(three(c)).not.toEqual(three(streamOf('piece-1')));
    expect(polygon([])).toBe('');
    expect(soft([])).toBe('');
    expect(
      soft([
        [0, 0],
        [10, 0],
        [10, 10],
      ]),
    ).toMatch(/^M5\.0 5\.0Q.*Z$/);
  });
});

describe('pieces in the drawing', () => {
  const tools = (): PieceTools => ({
    selected: null,
    onSelect: vi.fn(),
    onMove: vi.fn(),
    onStretch: vi.fn(),
    onBody: vi.fn(),
    onRemove: vi.fn(),
  });
  const show = (it: Design, view: 'front' | 'side' | 'plan', pieces: PieceTools) => {
    const shared = {
      design: it,
      assessment: assess(it, catalogue),
      catalogue,
      width: 600,
      height: 500,
      pieces,
    };
    draw(view === 'plan' ? <Plan {...shared} /> : <Section {...shared} view={view} />);
  };

  it('every piece of every animal’s first layout is drawn in every view, by name and place', () => {
    for (const { id } of catalogue.animals.filter((_, index) => index % 4 === 0)) {
      for (const view of ['front', 'side', 'plan'] as const) {
        const it = design(id, PROPOSE);
        const { unmount } = draw(
          view === 'plan' ? (
            <Plan
              design={it}
              assessment={assess(it, catalogue)}
              catalogue={catalogue}
              width={600}
              height={500}
              pieces={tools()}
            />
          ) : (
            <Section
              design={it}
              assessment={assess(it, catalogue)}
              catalogue={catalogue}
              width={600}
              height={500}
              view={view}
              pieces={tools()}
            />
          ),
        );
        const drawn = document.querySelectorAll('[data-piece]');
        expect(drawn.length).toBe(it.scape.pieces.length);
        for (const one of drawn) {
          expect(one.getAttribute('aria-label')).toMatch(/cm from the left, .*cm from the front, .*cm up/);
          expect(one.innerHTML).not.toMatch(/NaN|Infinity|undefined/);
        }
        unmount();
      }
    }
  });

  it('arrow keys move a piece in the view it is seen in; Page keys in the direction that is not seen', () => {
    const it = design('eryx-colubrinus', {
      edit: 'addPiece',
      change: { kind: 'boulder', at: { x: 0.3, y: 0.2 } },
    });
    const acts = { ...tools(), selected: 'piece-1' };
    show(it, 'front', acts);
    const stone = screen.getByRole('button', { name: /^Boulder, stands on the floor/ });
    const { x, y } = it.scape.pieces[0]!.at;
    const last = () => vi.mocked(acts.onMove).mock.lastCall!;
    fireEvent.keyDown(stone, { key: 'ArrowRight' });
    expect(last()[1]).toEqual({ x: expect.closeTo(x + 0.005, 9), y });
    fireEvent.keyDown(stone, { key: 'ArrowLeft', shiftKey: true });
    expect(last()[1]).toEqual({ x: expect.closeTo(x - 0.001, 9), y });
    fireEvent.keyDown(stone, { key: 'ArrowUp' });
    // Over what it would come to rest on again.
    expect(last()[1].z).toBeCloseTo(0.015, 9);
    fireEvent.keyDown(stone, { key: 'PageUp' });
    expect(last()[1]).toEqual({ x, y: expect.closeTo(y + 0.005, 9) });
    fireEvent.keyDown(stone, { key: 'Enter' });
    expect(acts.onSelect).toHaveBeenLastCalledWith(null);
    fireEvent.keyDown(stone, { key: 'Delete' });
    expect(acts.onRemove).toHaveBeenCalledWith('piece-1');
    // Each key press is a step of undo of its own.
    const gestures = vi.mocked(acts.onMove).mock.calls.map((call) => call[2]);
    expect(new Set(gestures).size).toBe(gestures.length);
  });

  it('the ends of a branch and the corner of a block are taken hold of', () => {
    const branch = design('eryx-colubrinus', {
      edit: 'addPiece',
      change: { kind: 'log', at: { x: 0.1, y: 0.2 } },
    });
    const acts = { ...tools(), selected: 'piece-1' };
    show(branch, 'front', acts);
    fireEvent.keyDown(screen.getByRole('button', { name: /^Head of Log/ }), { key: 'ArrowUp' });
    const [id, end, to] = vi.mocked(acts.onStretch).mock.lastCall!;
    const head = assess(branch, catalogue).scape.pieces[0]!.placed.solid.head;
    expect([id, end]).toEqual(['piece-1', 'head']);
    expect(to.z).toBeCloseTo(head.z + 0.005, 9);
    const block = design('eryx-colubrinus', {
      edit: 'addPiece',
      change: { kind: 'boulder', at: { x: 0.3, y: 0.2 } },
    });
    const sized = { ...tools(), selected: 'piece-1' };
    show(block, 'plan', sized);
    fireEvent.keyDown(screen.getByRole('button', { name: /^Size of Boulder/ }), { key: 'ArrowRight' });
    expect(vi.mocked(sized.onBody).mock.lastCall![1]).toMatchObject({ width: expect.closeTo(0.17, 6) });
  });

  it('where pieces are only seen, they are no stops for the keyboard', () => {
    const it = design('eryx-colubrinus', PROPOSE);
    draw(
      <Section
        design={it}
        assessment={assess(it, catalogue)}
        catalogue={catalogue}
        width={600}
        height={500}
        view="front"
      />,
    );
    expect(document.querySelectorAll('[data-piece]').length).toBe(0);
    expect(document.querySelectorAll('svg g[clip-path]').length).toBeGreaterThan(0);
  });
});
