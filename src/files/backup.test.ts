import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { demoDesigns, demoReadings } from '@/catalogue/demo';
import { entryOf } from '@/core/log';
import {
  animalsCsv,
  equipmentCsv,
  isZip,
  logCsv,
  readBackup,
  readEnvelope,
  trackCsv,
  writeBackup,
  type BackupPicture,
} from '.';

const NOW = Date.UTC(2026, 10, 25);
const text = readFileSync('tests/fixtures/rack-v10.rincon.json', 'utf8');
const held = readEnvelope(text);
if (!held.ok) throw new Error(held.message);
const { designs, animals, equipment } = held.value;
const tracks = demoReadings(demoDesigns(catalogue), NOW).map(({ series, track }) => ({
  series: series.id,
  quantity: series.quantity,
  track,
}));
const picture: BackupPicture = {
  id: 'a b/ü',
  design: 'demo-bog-shelf',
  about: 'entry:1',
  at: NOW,
  width: 10,
  height: 8,
  jpeg: new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]),
};
async function written(): Promise<Blob> {
  const pieces: BlobPart[] = [];
  await writeBackup(
    { envelope: text, settings: { tub: 0.04 }, tracks, pictures: [picture], tables: { 'log.csv': 'a\r\n' } },
    (piece) => pieces.push(piece.slice()),
  );
  return new Blob(pieces);
}
const zipped = (files: Zippable): Blob => new Blob([zipSync(files, { level: 1 }) as Uint8Array<ArrayBuffer>]);

describe('a backup', () => {
  it('is read as it was written, by any program that knows ZIP', async () => {
    const zip = await written();
    const bytes = new Uint8Array(await zip.arrayBuffer());
    expect(isZip(bytes)).toBe(true);
    expect(Object.keys(unzipSync(bytes)).sort()).toEqual(
      [
        'README.txt',
        'pictures.json',
        'pictures/a%20b%2F%C3%BC.jpg',
        'rincon.json',
        'settings.json',
        'tables/log.csv',
        ...tracks.map((it) => `readings/${encodeURIComponent(it.series)}.csv`),
      ].sort(),
    );
    const shares: number[] = [];
    const read = await readBackup(zip, (share) => shares.push(share));
    if (!read.ok) throw new Error(`${read.place}: ${read.message}`);
    expect(read.value.envelope).toEqual(held.value);
    expect(read.value.settings).toEqual({ tub: 0.04 });
    expect(read.value.pictures).toEqual([picture]);
    const by = (list: typeof tracks) => Object.fromEntries(list.map((it) => [it.series, it]));
    expect(by([...read.value.tracks])).toEqual(by(tracks));
    expect(shares.at(-1)).toBe(1);
  });

  it('with rincon.json of every earlier version is read too', async () => {
    for (const version of [1, 3, 5, 7, 9]) {
      const rack = readFileSync(`tests/fixtures/rack-v${version}.rincon.json`);
      const read = await readBackup(zipped({ 'rincon.json': new Uint8Array(rack) }));
      expect(read.ok && read.value.envelope.designs).toHaveLength(4);
    }
  });

  it('that unpacks to gigabytes is refused while it unpacks', async () => {
    // 600 MB of nothing as a picture, a few hundred kilobytes packed.
    const bomb = zipped({
      'rincon.json': strToU8(text),
      'pictures/x.jpg': new Uint8Array(600 * 1024 * 1024),
    });
    expect(bomb.size).toBeLessThan(5 * 1024 * 1024);
    const before = process.memoryUsage().arrayBuffers;
    const read = await readBackup(bomb);
    expect(read).toMatchObject({ ok: false, place: 'pictures/x.jpg' });
    expect(!read.ok && read.message).toMatch(/unpacks to more/);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(200 * 1024 * 1024);
  });

  it('cut short anywhere is refused, and never half read', async () => {
    const zip = await written();
    for (const share of [0.05, 0.4, 0.8]) {
      const read = await readBackup(zip.slice(0, Math.floor(zip.size * share)));
      expect(read.ok).toBe(false);
    }
  });

  const faulty = async (change: (files: Zippable) => void) => {
    const files = unzipSync(new Uint8Array(await (await written()).arrayBuffer())) as Zippable;
    change(files);
    const read = await readBackup(zipped(files));
    return read.ok ? 'read' : `${read.place}: ${read.message}`;
  };
  it.each<[string, (files: Zippable) => void, RegExp]>([
    [
      'a picture that is none',
      (it) => (it['pictures/a%20b%2F%C3%BC.jpg'] = strToU8('<svg onload=…>')),
      /a%20b.*no JPEG/,
    ],
    ['a picture that is missing', (it) => delete it['pictures/a%20b%2F%C3%BC.jpg'], /a%20b.*missing/],
    ['no rincon.json', (it) => delete it['rincon.json'], /^rincon.json: it is missing/],
    [
      'readings of nobody',
      (it) => (it['readings/x.csv'] = strToU8('time,value\r\n')),
      /^readings\/x.csv: no measuring point/,
    ],
    [
      'readings with a hole',
      (it) =>
        (it['readings/demo-limestone%20air.csv'] = strToU8(
          'time,value\r\n2026-01-01T00:00:00Z,0.5\r\nyesterday,3\r\n',
        )),
      /line 3: a time and a value/,
    ],
    [
      'a list of pictures that is none',
      (it) => (it['pictures.json'] = strToU8('{"a":1}')),
      /^pictures.json: /,
    ],
    [
      'a rack with a fault',
      (it) => (it['rincon.json'] = strToU8(text.replace('"Hedge"', '""'))),
      /^rincon.json, designs\[1\].name/,
    ],
  ])('with %s says where and what to do', async (_, change, said) => {
    expect(await faulty(change)).toMatch(said);
  });
  it('takes no notice of what it does not know, nor of paths that climb out', async () => {
    expect(
      await faulty((it) => ((it['../../evil.sh'] = strToU8('x')), (it['notes.docx'] = strToU8('x')))),
    ).toBe('read');
  });
});

describe('tables for a spreadsheet', () => {
  it('hold what is kept, and start no formula', () => {
    const entry = entryOf(
      { kind: 'note', values: { temperature: -3.5 }, text: '=HYPERLINK("http://x","y"), "quoted"' },
      { id: '1', design: 'demo-bog-shelf', at: NOW, changed: NOW },
    );
    const csv = logCsv([entry, { ...entry, id: '2', gone: true }], designs, animals);
    const [head, line, ...rest] = csv.trim().split('\r\n');
    expect(rest).toEqual([]);
    expect(head!.split(',')).toHaveLength(23);
    expect(line).toContain(`"'=HYPERLINK(""http://x"",""y""), ""quoted"""`);
    expect(line).toContain(',-3.5,');
    expect(animalsCsv(animals, designs)).toContain('Sedge,theloderma-corticale,female,sure');
    expect(equipmentCsv(equipment, designs).split('\r\n')).toHaveLength(5);
    expect(trackCsv(tracks[0]!).split('\r\n')[1]).toMatch(/^2026-\d\d-\d\dT\d\d:\d\d:00.000Z,\d\d\.\d\d$/);
  });
});
