import type { Template } from '@/core/scape';

const mm = (metres: number): string => String(Math.round(metres * 1e6) / 1e3);
const safe = (text: string): string => text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);

/** Length of the line one lays a ruler on after printing, m. */
export const CHECK_LINE = 0.1;

/**
 * A panel at its true size, for a cutter, a plotter or a large printer: millimetres throughout, its outline and
 * openings as lines to cut, joins dashed.
 */
export function templateSvg(template: Template, name: string): string {
  const { width, height, cutouts, joins } = template;
  const pad = 0.01;
  const [w, h] = [width + 2 * pad, height + 2 * pad];
  // y runs down in a drawing, up on a panel.
  const x = (metres: number): string => mm(metres + pad);
  const y = (metres: number): string => mm(height - metres + pad);
  const holes = cutouts.map((it) =>
    it.shape === 'round'
      ? `<ellipse data-cut="${it.use}" cx="${x(it.across + it.width / 2)}" cy="${y(it.up + it.height / 2)}" rx="${mm(it.width / 2)}" ry="${mm(it.height / 2)}"/>`
      : `<rect data-cut="${it.use}" x="${x(it.across)}" y="${y(it.up + it.height)}" width="${mm(it.width)}" height="${mm(it.height)}"/>`,
  );
  const lines = [
    ...joins.across.map((at) => `M${x(at)} ${y(height)}V${y(0)}`),
    ...joins.up.map((at) => `M${x(0)} ${y(at)}H${x(width)}`),
  ];
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${mm(w)}mm" height="${mm(h)}mm" viewBox="0 0 ${mm(w)} ${mm(h)}">
<title>${safe(name)}, ${mm(width)} × ${mm(height)} mm</title>
<g fill="none" stroke="#000000" stroke-width="0.3">
<rect data-cut="outline" x="${x(0)}" y="${y(height)}" width="${mm(width)}" height="${mm(height)}"/>
${holes.join('\n')}
${lines.length > 0 ? `<path data-join="sheets" stroke-dasharray="4 2" d="${lines.join('')}"/>` : ''}
<path data-check="${mm(CHECK_LINE)}" d="M${x(0.01)} ${y(0.012)}v-2v4v-2h${mm(Math.min(CHECK_LINE, width))}v-2v4"/>
</g>
<g font-family="sans-serif" font-size="4" fill="#000000">
<text x="${x(0.01)}" y="${y(0.018)}">${safe(name)} · the line below is ${mm(Math.min(CHECK_LINE, width))} mm · top this way up</text>
</g>
</svg>
`;
}
