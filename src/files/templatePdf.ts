import { PDFDocument, StandardFonts, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import { PAPER_MARGIN, PAPERS, type Template, type Tile } from '@/core/scape';
import { CHECK_LINE } from './templateSvg';

/** PDF's unit: 72 points to the inch (ISO 32000-1, 8.3.2.3). */
const POINTS = 72 / 0.0254;
const MARGIN = PAPER_MARGIN;

const BLACK = rgb(0, 0, 0);
const GREY = rgb(0.45, 0.45, 0.45);

/** Letters the standard fonts of PDF can write; anything else becomes a question mark rather than an error. */
const plain = (text: string): string =>
  text
    .replace(/×/g, 'x')
    .replace(/[\u2018\u2019]/g, "'")
    .replace(/[^\x20-\x7e\u00a0-\u00ff]/g, '?');

/**
 * A panel at its true size over several sheets of paper. The first sheet says how they lie; every other shows one part,
 * with crosses that stand on both of two neighbours and a line to check the printer by.
 */
export async function templatePdf(template: Template, name: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(plain(name));
  pdf.setCreator('Rincon');
  const font = await pdf.embedFont(StandardFonts.Helvetica);
  const size = PAPERS[template.paper];
  const [wide, tall] = template.landscape ? [size.height, size.width] : [size.width, size.height];
  const addPage = (): PDFPage => pdf.addPage([wide * POINTS, tall * POINTS]);

  const sheet = (page: PDFPage, tile: Tile): void => {
    const { x: x0, y: y0, width, height } = tile;
    const x = (metres: number): number => (metres - x0 + MARGIN) * POINTS;
    const y = (metres: number): number => (metres - y0 + MARGIN) * POINTS;
    const within = (at: number, low: number, long: number): boolean =>
      at >= low - 1e-9 && at <= low + long + 1e-9;
    const line = (
      from: readonly [number, number],
      to: readonly [number, number],
      look: {
        readonly thickness?: number;
        readonly dash?: number[];
        readonly color?: ReturnType<typeof rgb>;
      } = {},
    ): void =>
      page.drawLine({
        start: { x: x(from[0]), y: y(from[1]) },
        end: { x: x(to[0]), y: y(to[1]) },
        thickness: look.thickness ?? 0.8,
        color: look.color ?? BLACK,
        ...(look.dash ? { dashArray: look.dash } : {}),
      });
    // The edges of the panel, as far as they lie on this sheet.
    const [left, right, low, high] = [x0, x0 + width, y0, y0 + height];
    if (within(0, y0, height)) line([left, 0], [right, 0]);
    if (within(template.height, y0, height)) line([left, template.height], [right, template.height]);
    if (within(0, x0, width)) line([0, low], [0, high]);
    if (within(template.width, x0, width)) line([template.width, low], [template.width, high]);
    for (const at of template.joins.across)
      if (within(at, x0, width)) line([at, low], [at, high], { dash: [8, 4], color: GREY });
    for (const at of template.joins.up)
      if (within(at, y0, height)) line([left, at], [right, at], { dash: [8, 4], color: GREY });
    for (const hole of template.cutouts) {
      if (
        hole.across > right ||
        hole.across + hole.width < left ||
        hole.up > high ||
        hole.up + hole.height < low
      )
        continue;
      if (hole.shape === 'square') {
        page.drawRectangle({
          x: x(hole.across),
          y: y(hole.up),
          width: hole.width * POINTS,
          height: hole.height * POINTS,
          borderColor: BLACK,
          borderWidth: 0.8,
        });
      } else {
        page.drawEllipse({
          x: x(hole.across + hole.width / 2),
          y: y(hole.up + hole.height / 2),
          xScale: (hole.width / 2) * POINTS,
          yScale: (hole.height / 2) * POINTS,
          borderColor: BLACK,
          borderWidth: 0.8,
        });
      }
    }
    for (const mark of template.marks) {
      if (!within(mark.x, x0, width) || !within(mark.y, y0, height)) continue;
      const arm = 0.004;
      line([mark.x - arm, mark.y], [mark.x + arm, mark.y], { thickness: 0.5 });
      line([mark.x, mark.y - arm], [mark.x, mark.y + arm], { thickness: 0.5 });
    }
    label(page, font, `${plain(name)}  ${tile.name}`, MARGIN, tall - 0.006);
  };

  overview(addPage(), font, template, plain(name), { wide, tall });
  for (const tile of template.tiles) sheet(addPage(), tile);
  return pdf.save();
}

function label(page: PDFPage, font: PDFFont, text: string, x: number, y: number, size = 9): void {
  page.drawText(text, { x: x * POINTS, y: y * POINTS, size, font, color: GREY });
}

/** How the sheets lie beside one another, small, and the line to check the printer by, at its true size. */
function overview(
  page: PDFPage,
  font: PDFFont,
  template: Template,
  name: string,
  { wide, tall }: { readonly wide: number; readonly tall: number },
): void {
  const millimetres = (metres: number): string => String(Math.round(metres * 1e4) / 10);
  label(page, font, name, MARGIN * 2, tall - 0.025, 16);
  label(
    page,
    font,
    `${millimetres(template.width)} x ${millimetres(template.height)} mm, ${template.tiles.length} sheets. Print at 100 %, "actual size".`,
    MARGIN * 2,
    tall - 0.033,
  );
  label(
    page,
    font,
    'Lay the sheets on one another so that their crosses meet; the lettering stands upright.',
    MARGIN * 2,
    tall - 0.039,
  );
  label(page, font, 'Measure the wall again before you cut.', MARGIN * 2, tall - 0.045);
  const y = tall - 0.06;
  const start = { x: MARGIN * 2 * POINTS, y: y * POINTS };
  page.drawLine({
    start,
    end: { x: (MARGIN * 2 + CHECK_LINE) * POINTS, y: y * POINTS },
    thickness: 1,
    color: BLACK,
  });
  label(
    page,
    font,
    `This line is ${millimetres(CHECK_LINE)} mm long: lay a ruler on it.`,
    MARGIN * 2,
    y - 0.006,
  );
  const room = { width: wide - 4 * MARGIN, height: tall - 0.11 };
  const scale = Math.min(room.width / template.width, room.height / template.height);
  const x0 = MARGIN * 2;
  const y0 = MARGIN * 2;
  page.drawRectangle({
    x: x0 * POINTS,
    y: y0 * POINTS,
    width: template.width * scale * POINTS,
    height: template.height * scale * POINTS,
    borderColor: BLACK,
    borderWidth: 1.4,
  });
  for (const tile of template.tiles) {
    page.drawRectangle({
      x: (x0 + tile.x * scale) * POINTS,
      y: (y0 + tile.y * scale) * POINTS,
      width: tile.width * scale * POINTS,
      height: tile.height * scale * POINTS,
      borderColor: GREY,
      borderWidth: 0.4,
    });
    label(
      page,
      font,
      tile.name,
      x0 + (tile.x + tile.width / 2) * scale - 0.003,
      y0 + (tile.y + tile.height / 2) * scale - 0.001,
    );
  }
}
