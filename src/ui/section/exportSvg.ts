'use client';

import { UNITS, type UnitPrefs } from '@/core/units';

/**
 * A drawing on screen as a file of its own: colours written out, the interface's handles left out, a scale bar put in.
 * @param svg drawn by Section or Plan, which note their px per metre in `data-scale`
 */
export function drawingText(svg: SVGSVGElement, prefs: UnitPrefs): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.querySelectorAll('.rincon-handle').forEach((it) => it.remove());
  copy.querySelectorAll('[tabindex], [role=button]').forEach((it) => {
    for (const name of ['tabindex', 'role', 'aria-pressed', 'style', 'class']) it.removeAttribute(name);
  });
  copy.removeAttribute('style');
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', 'Figtree, sans-serif');

  const root = getComputedStyle(document.documentElement);
  const colour = (name: string): string => root.getPropertyValue(name).trim();
  const width = Number(svg.getAttribute('width'));
  const height = Number(svg.getAttribute('height'));
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({ width, height, fill: colour('--mui-palette-earth-paper') })) {
    paper.setAttribute(name, String(value));
  }
  copy.prepend(paper);
  copy.insertAdjacentHTML('beforeend', scaleBar(Number(svg.dataset.scale), width, height, prefs));
  const text = new XMLSerializer().serializeToString(copy);
  return text.replace(/var\((--[\w-]+)(?:,[^()]*)?\)/g, (whole, name: string) => colour(name) || whole);
}

/** A bar of a round length, about a fifth of the drawing, at the lower right. */
function scaleBar(perMetre: number, width: number, height: number, prefs: UnitPrefs): string {
  const unit = UNITS[prefs.length];
  const fitting = (width * 0.2) / (perMetre * unit.factor);
  const round = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].filter((it) => it <= fitting).at(-1) ?? 1;
  const long = round * unit.factor * perMetre;
  const x = width - long - 12;
  const y = height - 10;
  return `<g data-scale-bar="${round} ${unit.symbol}" fill="none" stroke="var(--mui-palette-earth-ink)"><path d="M ${x} ${y - 5} V ${y} H ${x + long} V ${y - 5}" stroke-width="1.5"/><text x="${x + long / 2}" y="${y - 5}" text-anchor="middle" font-size="11" stroke="none" fill="var(--mui-palette-earth-ink)">${round} ${unit.symbol}</text></g>`;
}

/**
 * Prints a drawing alone on its page, with its name. The sheet stands in the page only while it is printed: the styles
 * for print hide everything else.
 */
export function printDrawing(name: string, drawing: string): void {
  const sheet = document.createElement('div');
  sheet.id = 'print-sheet';
  const title = document.createElement('h1');
  title.textContent = name;
  const picture = document.createElement('img');
  picture.alt = `${name}, drawn to scale`;
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawing)}`;
  sheet.append(title, picture);
  document.body.append(sheet);
  document.body.dataset.printing = 'drawing';
  const clear = (): void => {
    sheet.remove();
    delete document.body.dataset.printing;
  };
  window.addEventListener('afterprint', clear, { once: true });
  void picture.decode().then(() => window.print(), clear);
}
