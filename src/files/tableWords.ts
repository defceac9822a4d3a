import { clockOfCell, timeOfCell, ZoneClock } from './clock';
import type { Match, TableHead, TableReport } from './table';
import { counted } from '@/core/units';

/** What came of a table, and what of it was left out and why. */
export function reportWords(name: string, told: TableReport): string {
  const left = [
    told.timeless > 0 &&
      `${counted(told.timeless, 'row')} without a time that can be read${told.firstTimeless ? `, the first on line ${told.firstTimeless.line}: “${told.firstTimeless.text}”` : ''}`,
    told.wordy > 0 && `${told.wordy} cells that are no numbers`,
    told.impossible > 0 && `${told.impossible} values that no sensor in an enclosure can read`,
    told.repeated > 0 && `${told.repeated} written twice, of which the last counts`,
  ].filter((it) => it !== false);
  const clocks = [
    told.inRepeat > 0 &&
      `${told.inRepeat} lie in the hour that comes twice in autumn and were told apart by their order`,
    told.inGap > 0 &&
      `${told.inGap} lie in the hour that is skipped in spring: that clock was not put forward`,
  ].filter((it) => it !== false);
  return `${name}: ${counted(told.rows, 'row')}, ${counted(told.kept, 'reading')}. ${left.length > 0 ? `Left out: ${left.join('; ')}. ` : ''}${clocks.length > 0 ? `${clocks.join('; ')}.` : ''}`.trim();
}

/** When the first row of a table was read, as it is understood. */
export function momentWords({ rows }: TableHead, match: Match): string {
  const [row] = rows;
  if (!row) return '–';
  const read = timeOfCell(row[match.time] ?? '', match.order);
  if (!read) return 'no time';
  const clock = match.clock === null ? 0 : (clockOfCell(row[match.clock] ?? '') ?? 0);
  const moment =
    'moment' in read ? read.moment : (new ZoneClock(match.zone).moments(read.wall + clock).at[0] ?? null);
  return moment === null
    ? 'an hour that is skipped'
    : new Date(moment).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}
