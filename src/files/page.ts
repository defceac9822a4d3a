/** Where the file stands in a page, for a program that reads it; a browser shows nothing of it. */
const OPENS = '<script type="application/json" id="rincon">';
const CLOSES = '</script>';

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** One thing on a page: a heading, a paragraph, a list, or a table whose first cells name its rows. */
export type PageBlock =
  | { readonly is: 'heading'; readonly text: string }
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'list'; readonly items: readonly string[] }
  | {
      readonly is: 'table';
      readonly head: readonly string[];
      readonly rows: readonly (readonly string[])[];
    };

export interface HandOverPage {
  /** BCP 47 */
  readonly lang: string;
  readonly kicker: string;
  readonly title: string;
  readonly lines: readonly string[];
  readonly blocks: readonly PageBlock[];
  /** Said under it: what the page is, and where it can be read in. */
  readonly foot: string;
}

/** No script, no picture, nothing fetched: it is read where it lies, on paper and on any screen. */
const LOOK = `
:root { color-scheme: light dark; }
body { font: 16px/1.45 system-ui, sans-serif; max-width: 46rem; margin: 0 auto; padding: 1.25rem; }
h1 { font-size: 1.6rem; line-height: 1.15; margin: 0; }
h2 { font-size: 1.15rem; margin: 1.6rem 0 .4rem; border-bottom: 2px solid; padding-bottom: .2rem; }
.kicker, footer, th { color: color-mix(in srgb, currentColor 72%, transparent); }
.kicker { font-weight: 600; }
p { margin: .2rem 0; }
table { width: 100%; border-collapse: collapse; }
td, th { text-align: left; vertical-align: top; padding: .3rem .8rem .3rem 0; border-top: 1px solid color-mix(in srgb, currentColor 25%, transparent); overflow-wrap: anywhere; }
thead th { border-top: 0; font-size: .85rem; }
tbody th { font-weight: 600; width: 30%; color: inherit; }
footer { margin-top: 2rem; font-size: .85rem; }
@media print { body { padding: 0; font-size: 11px; max-width: none; } tr, li { break-inside: avoid; } h2 { break-after: avoid; } }
`;

function blockHtml(block: PageBlock): string {
  switch (block.is) {
    case 'heading':
      return `<h2>${escaped(block.text)}</h2>`;
    case 'text':
      return `<p>${escaped(block.text).replaceAll('\n', '<br>')}</p>`;
    case 'list':
      return `<ul>${block.items.map((it) => `<li>${escaped(it)}</li>`).join('')}</ul>`;
    case 'table': {
      const head =
        block.head.length > 0
          ? `<thead><tr>${block.head.map((it) => `<th scope="col">${escaped(it)}</th>`).join('')}</tr></thead>`
          : '';
      const rows = block.rows.map(
        ([first = '', ...rest]) =>
          `<tr><th scope="row">${escaped(first)}</th>${rest.map((it) => `<td>${escaped(it)}</td>`).join('')}</tr>`,
      );
      return `<table>${head}<tbody>${rows.join('')}</tbody></table>`;
    }
  }
}

/**
 * A page that is read anywhere, without a network and without scripts, and holds the file itself for whoever has a Rincon.
 * @param file text of an envelope
 */
export function pageOf({ lang, kicker, title, lines, blocks, foot }: HandOverPage, file: string): string {
  return `<!doctype html>
<html lang="${escaped(lang)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${escaped(title)}</title>
<style>${LOOK}</style>
</head>
<body>
<header>
<p class="kicker">${escaped(kicker)}</p>
<h1>${escaped(title)}</h1>
${lines.map((it) => `<p>${escaped(it)}</p>`).join('\n')}
</header>
<main>
${blocks.map(blockHtml).join('\n')}
</main>
<footer><p>${escaped(foot)}</p></footer>
${OPENS}${file.replaceAll('<', '\\u003c')}${CLOSES}
</body>
</html>
`;
}

/** The file a page holds; null: it is no such page. */
export function fileInPage(text: string): string | null {
  if (!/^\s*<!doctype html>/i.test(text.slice(0, 200))) return null;
  const from = text.lastIndexOf(OPENS);
  const to = from < 0 ? -1 : text.indexOf(CLOSES, from);
  return to < 0 ? null : text.slice(from + OPENS.length, to);
}
