import fc from 'fast-check';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { assess } from '@/core/assess';
import { applyEdit, type EditCall } from '@/core/edits';
import { proposeDesign } from '@/core/propose';
import { PAPERS, templateOf, type Paper, type Template } from '@/core/scape';
import { templatePdf } from './templatePdf';
import { templateSvg } from './templateSvg';

const CUTOUTS = [
  { id: 'a', use: 'drain', shape: 'round', across: 0.1, up: 0.05, width: 0.032, height: 0.032 },
  { id: 'b', use: 'filter', shape: 'square', across: 0.3, up: 0.2, width: 0.08, height: 0.16 },
] as const;

function templateFor(width: number, height: number, kind = 'lift-out', paper: Paper = 'A4'): Template {
  const calls: EditCall[] = [
    { edit: 'addBackground', change: { wall: 'back', kind } },
    {
      edit: 'setBackground',
      change: {
        background: 'background-1',
        change: { clearance: 0.002, cutouts: CUTOUTS.map((it) => ({ ...it })) },
      },
    },
  ];
  const design = calls.reduce(
    (it, call) => applyEdit(it, call, catalogue),
    proposeDesign(
      {
        id: 'x',
        name: 'x',
        animal: null,
        count: 1,
        size: { width, depth: 0.45, height },
        room: { kind: null, temperature: null, humidity: null },
      },
      catalogue,
    ),
  );
  return templateOf(assess(design, catalogue).scape.backs[0]!, paper);
}

const attribute = (text: string, name: string): number =>
  Number(new RegExp(` ${name}="([^"]+)"`).exec(text)![1]);
const TENTH = 0.1;

describe('the template as SVG', () => {
  const template = templateFor(0.6, 0.6);
  const svg = templateSvg(template, 'Bog & shelf');

  it('is as large on paper as it says, in millimetres', () => {
    // Its width in mm over its view box is one: a millimetre drawn is a millimetre printed.
    const [, w] = /width="([\d.]+)mm"/.exec(svg)!;
    const [, h] = /height="([\d.]+)mm"/.exec(svg)!;
    expect(/viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg)!.slice(1)).toEqual([w, h]);
  });

  it('measured back: the panel 596 × 596 mm, its openings where they were asked for, to 0.1 mm', () => {
    const outline = /<rect data-cut="outline"[^>]*>/.exec(svg)![0];
    expect(attribute(outline, 'width')).toBeCloseTo(596, 1);
    expect(attribute(outline, 'height')).toBeCloseTo(596, 1);
    const [x0, y0] = [attribute(outline, 'x'), attribute(outline, 'y') + attribute(outline, 'height')];
    const round = /<ellipse data-cut="drain"[^>]*>/.exec(svg)![0];
    expect(Math.abs(attribute(round, 'cx') - x0 - 116)).toBeLessThan(TENTH);
    expect(Math.abs(y0 - attribute(round, 'cy') - 66)).toBeLessThan(TENTH);
    expect(2 * attribute(round, 'rx')).toBeCloseTo(32, 1);
    const square = /<rect data-cut="filter"[^>]*>/.exec(svg)![0];
    expect(Math.abs(attribute(square, 'x') - x0 - 300)).toBeLessThan(TENTH);
    expect(Math.abs(y0 - (attribute(square, 'y') + attribute(square, 'height')) - 200)).toBeLessThan(TENTH);
    expect(attribute(square, 'height')).toBeCloseTo(160, 1);
    // Joined from sheets of 1 × 0.5 m: one join, at 0.5 m.
    expect(/data-join="sheets"/.test(svg)).toBe(true);
    expect(svg).toContain('<title>Bog &#38; shelf');
  });
});

/** Every straight line and closed outline of a page, mm from its lower left corner, as another program reads it. */
async function linesOf(bytes: Uint8Array) {
  const document = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const pages: { size: readonly [number, number]; points: [number, number][][]; text: string }[] = [];
  for (let number = 1; number <= document.numPages; number += 1) {
    const page = await document.getPage(number);
    const { fnArray, argsArray } = await page.getOperatorList();
    const mm = (points: number): number => (points / 72) * 25.4;
    const points: [number, number][][] = [];
    let matrix = [1, 0, 0, 1, 0, 0];
    const stack: number[][] = [];
    fnArray.forEach((fn: number, index: number) => {
      const args = argsArray[index] as never[];
      if (fn === OPS.save) stack.push(matrix);
      else if (fn === OPS.restore) matrix = stack.pop() ?? [1, 0, 0, 1, 0, 0];
      else if (fn === OPS.transform) {
        const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = args as number[];
        const [A = 1, B = 0, C = 0, D = 1, E = 0, F = 0] = matrix;
        matrix = [
          A * a + C * b,
          B * a + D * b,
          A * c + C * d,
          B * c + D * d,
          A * e + C * f + E,
          B * e + D * f + F,
        ];
      } else if (fn === OPS.constructPath) {
        const [, [path]] = args as unknown as [number, [ArrayLike<number>]];
        const here: [number, number][] = [];
        const [A = 1, B = 0, C = 0, D = 1, E = 0, F = 0] = matrix;
        const put = (x: number, y: number): void => {
          const to: [number, number] = [mm(A * x + C * y + E), mm(B * x + D * y + F)];
          const last = here.at(-1);
          // A pen that is set down twice draws nothing between.
          if (!last || Math.hypot(last[0] - to[0], last[1] - to[1]) > 1e-6) here.push(to);
        };
        // 0 move, 1 line, 2 curve, 3 quadratic, 4 close
        for (let at = 0; at < path.length;) {
          const op = path[at];
          const number_ = (by: number): number => path[at + by] ?? 0;
          if (op === 0 || op === 1) {
            put(number_(1), number_(2));
            at += 3;
          } else if (op === 2) {
            put(number_(5), number_(6));
            at += 7;
          } else if (op === 3) {
            put(number_(3), number_(4));
            at += 5;
          } else at += 1;
        }
        points.push(here);
      }
    });
    const text = (await page.getTextContent()).items.map((it) => ('str' in it ? it.str : '')).join('\n');
    const [, , w = 0, h = 0] = page.view;
    pages.push({ size: [mm(w), mm(h)], points, text });
  }
  return pages;
}

const straight = (points: [number, number][][]) =>
  points.flatMap((it) => {
    const [a, b] = it;
    return it.length === 2 && a && b ? [{ a, b, long: Math.hypot(b[0] - a[0], b[1] - a[1]) }] : [];
  });

describe('the template as PDF, read by another program', () => {
  it('pages of the paper that was asked for; the check line 100 mm; every piece of edge adds up to the panel', async () => {
    const template = templateFor(0.6, 0.6);
    const pages = await linesOf(await templatePdf(template, 'Bog shelf, back wall'));
    expect(pages).toHaveLength(template.tiles.length + 1);
    for (const { size } of pages) {
      const sides = [...size].sort((a, b) => a - b);
      expect(sides[0]).toBeCloseTo(210, 1);
      expect(sides[1]).toBeCloseTo(297, 1);
    }
    const [first, ...sheets] = pages;
    expect(first!.text).toContain('596 x 596 mm');
    expect(straight(first!.points).some((it) => Math.abs(it.long - 100) < TENTH)).toBe(true);

    // Each tile's lower left corner lies 10 mm in; put back on the panel, its longest lines are the panel's edges.
    const edges = { low: 0, left: 0 };
    template.tiles.forEach((tile, index) => {
      for (const { a, b } of straight(sheets[index]!.points)) {
        const at = ([x, y]: [number, number]): [number, number] => [
          x - 10 + tile.x * 1000,
          y - 10 + tile.y * 1000,
        ];
        const [p, q] = [at(a), at(b)];
        if (Math.abs(p[1]) < TENTH && Math.abs(q[1]) < TENTH) edges.low = Math.max(edges.low, p[0], q[0]);
        if (Math.abs(p[0]) < TENTH && Math.abs(q[0]) < TENTH) edges.left = Math.max(edges.left, p[1], q[1]);
      }
    });
    expect(Math.abs(edges.low - 596)).toBeLessThan(TENTH);
    expect(Math.abs(edges.left - 596)).toBeLessThan(TENTH);
  });

  it('an opening that runs over two sheets lies in the same place of both, to 0.1 mm', async () => {
    const template = templateFor(0.6, 0.6);
    const pages = await linesOf(await templatePdf(template, 'x'));
    const seen: number[] = [];
    template.tiles.forEach((tile, index) => {
      for (const shape of pages[index + 1]!.points) {
        if (shape.length < 4) continue;
        const xs = shape.map(([x]) => x - 10 + tile.x * 1000);
        const ys = shape.map(([, y]) => y - 10 + tile.y * 1000);
        const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
        if (Math.abs(w - 80) > 0.5 || Math.abs(h - 160) > 0.5) continue;
        expect(Math.abs(Math.min(...xs) - 300)).toBeLessThan(TENTH);
        expect(Math.abs(Math.min(...ys) - 200)).toBeLessThan(TENTH);
        seen.push(index);
      }
    });
    expect(seen.length).toBeGreaterThan(1);
  });

  it('US letter is 8.5 × 11 in', async () => {
    const [page] = await linesOf(await templatePdf(templateFor(0.3, 0.3, 'lift-out', 'Letter'), 'x'));
    const [a = 0, b = 0] = [...page!.size].sort((p, q) => p - q);
    expect(a / 25.4).toBeCloseTo(8.5, 3);
    expect(b / 25.4).toBeCloseTo(11, 3);
  });

  it('a name in any script is written as far as the letters go, never an error', async () => {
    expect((await templatePdf(templateFor(0.3, 0.3), 'Käfig “木” × 2')).length).toBeGreaterThan(500);
  });
});

describe('sheets of a template', () => {
  it('cover all of the panel, overlap by a centimetre, and every cross stands on two of them at least', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.06, max: 2.5, noNaN: true }),
        fc.double({ min: 0.12, max: 2.5, noNaN: true }),
        fc.constantFrom('A4' as const, 'Letter' as const),
        (width, height, paper) => {
          const it = templateFor(width, height, 'carved-foam', paper);
          const { tiles, printed, marks } = it;
          expect(printed.width + 0.02).toBeCloseTo(
            it.landscape ? PAPERS[paper].height : PAPERS[paper].width,
            9,
          );
          const covered = (x: number, y: number): number =>
            tiles.filter(
              (tile) =>
                x >= tile.x - 1e-9 &&
                x <= tile.x + tile.width + 1e-9 &&
                y >= tile.y - 1e-9 &&
                y <= tile.y + tile.height + 1e-9,
            ).length;
          for (const x of [0, 0.31, 0.5, 0.77, 1])
            for (const y of [0, 0.29, 0.5, 0.81, 1])
              expect(covered(x * it.width, y * it.height)).toBeGreaterThan(0);
          for (const { x, y } of marks) expect(covered(x, y)).toBeGreaterThanOrEqual(2);
          for (const tile of tiles) {
            expect(tile.width).toBeLessThanOrEqual(printed.width + 1e-9);
            expect(tile.height).toBeGreaterThan(0);
          }
          expect(new Set(tiles.map((tile) => tile.name)).size).toBe(tiles.length);
        },
      ),
      { numRuns: 60 },
    );
  });
});
