import type { Design } from '@/core/document';
import { pageOf, writeSingle } from '@/files';
import { belongingsOf, ownRows, type RinconDatabase, type Settings } from '@/store';
import { download } from '@/ui/download';
import { pageBlocks } from './pageBlocks';

/** Saves the sheet in sight as a page that is read anywhere, with the enclosure in it; with its log, where that goes too. */
export async function savePage(
  sheet: Element,
  design: Design,
  { db, settings }: { readonly db: RinconDatabase; readonly settings: Settings },
  isLogged: boolean,
): Promise<void> {
  const belongings = await belongingsOf(db, design.id);
  const file = writeSingle(
    design,
    ownRows(settings),
    new Date(),
    isLogged ? belongings : { ...belongings, log: [], animals: [], points: [] },
  );
  const head = sheet.querySelector('header');
  const lines = [...(head?.firstElementChild?.children ?? [])].map((it) => it.textContent ?? '');
  const [kicker = '', title = design.name, ...rest] = lines;
  const { name, lines: reached } = settings.maker;
  const html = pageOf(
    {
      // Of the words on the sheet.
      lang: document.documentElement.lang,
      kicker,
      title,
      lines: [...rest, ...(name === '' ? [] : [`From ${name}`]), ...reached.split('\n')].filter(
        (it) => it.trim() !== '',
      ),
      blocks: pageBlocks(sheet),
      foot: 'This page needs no network and no program. It also holds the enclosure as a file: who has a Rincon reads it in there, by File, Read a file in.',
    },
    file,
  );
  const plain = kicker.toLowerCase().replace(/[^a-z]+/g, '-');
  download(`${design.name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}-${plain}.html`, html, 'text/html');
}
