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
  writeEnvelope,
  type BackupPicture,
  type ReadBackup,
} from '.';
import { crc32 } from './archive';

const NOW = Date.UTC(2026, 10, 25);
const text = readFileSync('tests/fixtures/rack-v10.rincon.json', 'utf8');
const held = readEnvelope(text);
if (!held.ok) throw new Error(held.message);
const rack = held.value;
const { designs, animals, equipment } = rack;
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
async function written(own = tracks, held = rack): Promise<Blob> {
  const pieces: BlobPart[] = [];
  await writeBackup(
    {
      designs: held.designs,
      stores: held,
      written: new Date(held.written),
      settings: { tub: 0.04 },
      tracks: own,
      pictures: [picture],
      tables: { 'log.csv': 'a\r\n' },
      unreadable: [],
    },
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
        'manifest.json',
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
    expect(read.value).toMatchObject({ faults: [], proven: true });
    expect(read.value.envelope).toEqual(rack);
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
    // 300 MB of nothing as a picture, a few hundred kilobytes packed.
    const bomb = zipped({
      'rincon.json': strToU8(text),
      'pictures/x.jpg': new Uint8Array(300 * 1024 * 1024),
    });
    expect(bomb.size).toBeLessThan(5 * 1024 * 1024);
    const before = process.memoryUsage().arrayBuffers;
    const read = await readBackup(bomb);
    expect(read).toMatchObject({ ok: false, place: 'pictures/x.jpg' });
    expect(!read.ok && read.message).toMatch(/unpacks to more/);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(100 * 1024 * 1024);
  });

  describe('that is not whole', () => {
    const [first] = tracks;
    const short = [
      { ...first!, track: { at: first!.track.at.slice(0, 40), steps: first!.track.steps.slice(0, 40) } },
    ];
    const [bog] = designs;
    const small = {
      ...rack,
      designs: [bog!],
      log: rack.log.slice(0, 3),
      animals: animals.slice(0, 1),
      equipment: [],
      shelf: [],
    };
    const takenOf = ({ envelope, settings, tracks, pictures }: ReadBackup) => ({
      envelope,
      settings,
      tracks,
      pictures,
    });
    /** Refused, or told, or nothing that is taken in is another than was written. */
    const isHonest = async (zip: Blob, whole: unknown): Promise<string> => {
      const read = await readBackup(zip);
      if (!read.ok) return 'refused';
      if (read.value.faults.length > 0) return 'told';
      expect(takenOf(read.value)).toEqual(whole);
      return 'the same';
    };
    const wholeOf = async (zip: Blob): Promise<unknown> => {
      const read = await readBackup(zip);
      if (!read.ok || read.value.faults.length > 0) throw new Error('the test’s own backup is not whole');
      return takenOf(read.value);
    };
    /** As an earlier version wrote it. */
    const withoutManifest = async (): Promise<Blob> => {
      const files = unzipSync(new Uint8Array(await (await written(short, small)).arrayBuffer()));
      delete files['manifest.json'];
      return zipped(files);
    };

    it.each<[string, () => Promise<Blob>]>([
      ['now', () => written(short, small)],
      ['before it had a manifest', withoutManifest],
    ])('never passes for whole, cut at every 64th byte: as written %s', async (_, write) => {
      const zip = await write();
      const whole = await wholeOf(zip);
      for (let at = 64; at < zip.size; at += 64)
        expect(await isHonest(zip.slice(0, at), whole), `cut at ${at}`).not.toBe('the same');
      // Only the comment’s length, which is none, can be missing.
      expect(await isHonest(zip.slice(0, zip.size - 23), whole)).not.toBe('the same');
    });
    it.each<[string, () => Promise<Blob>]>([
      ['now', () => written(short, small)],
      ['before it had a manifest', withoutManifest],
    ])('never gives what was not written, a bit turned in it: as written %s', async (_, write) => {
      const zip = await write();
      const whole = await wholeOf(zip);
      const bytes = new Uint8Array(await zip.arrayBuffer());
      const seen = { refused: 0, told: 0, 'the same': 0 };
      for (let at = 0; at < bytes.length; at += 13) {
        const turned = bytes.slice();
        turned[at]! ^= 1 << (at % 8);
        const answer = await isHonest(new Blob([turned]), whole);
        seen[answer as keyof typeof seen] += 1;
      }
      // In the tables, the words to the reader and the names that stand twice nothing is lost.
      expect(seen.told + seen.refused).toBeGreaterThan(seen['the same']);
    });
    it('is told part by part, and what is whole is given', async () => {
      const files = unzipSync(new Uint8Array(await (await written()).arrayBuffer()));
      const [gone, changed] = Object.keys(files).filter((it) => it.startsWith('readings/'));
      delete files[gone!];
      files[changed!] = strToU8('time,value\n2026-01-01T00:00:00Z,0.5\n');
      files['readings/more.csv'] = strToU8('time,value\r\n');
      const read = await readBackup(zipped(files));
      if (!read.ok) throw new Error(read.message);
      expect(read.value.faults).toEqual([
        { place: gone, message: 'it is missing. Take another copy of the backup' },
        { place: changed, message: 'it was changed after the backup was written' },
        { place: 'readings/more.csv', message: 'no measuring point in rincon.json is called so' },
      ]);
      expect(read.value.tracks).toHaveLength(tracks.length - 1);
      // Line ends of another system are line ends too.
      const own = read.value.tracks.find((it) => `readings/${encodeURIComponent(it.series)}.csv` === changed);
      expect([...own!.track.at]).toEqual([Date.UTC(2026, 0, 1)]);
    });
    it('of an earlier version is read, and said to be unproven', async () => {
      const read = await readBackup(await withoutManifest());
      expect(read.ok && read.value).toMatchObject({ faults: [], proven: false });
    });
    it('with a manifest that was changed says so', async () => {
      const files = unzipSync(new Uint8Array(await (await written(short, small)).arrayBuffer()));
      const said = new TextDecoder().decode(files['manifest.json']);
      files['manifest.json'] = strToU8(said.replace(/"points": \d+/, '"points": 9999'));
      const read = await readBackup(zipped(files));
      expect(read.ok && read.value.faults).toEqual([
        { place: 'manifest.json', message: 'it was changed: nothing proves that all else is whole' },
      ]);
    });
  });

  it('takes no line of the log of a day that cannot be', () => {
    const late = { ...rack, log: [{ ...rack.log[0]!, at: 9e15 }] };
    const read = readEnvelope(writeEnvelope(late.designs, late, new Date(NOW)));
    expect(read.ok ? '' : read.place).toBe('log[0].at');
  });
  it.each([
    ['2026-01-01T00:00:00Z,1e300', /line 2: a value from/],
    ['2026-01-01T00:00:00Z,99999', /line 2: a value from/],
    ['+275760-09-13T00:00:00Z,0.5', /line 2: a time from 1970 to 2199/],
  ])('takes no reading that cannot be: %s', async (line, said) => {
    expect(
      await faulty((it) => (it['readings/demo-limestone%20air.csv'] = strToU8(`time,value\r\n${line}\r\n`))),
    ).toMatch(said);
  });
  it('has the CRC-32 of ZIP (check value of CRC-32/ISO-HDLC)', () => {
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
  });

  const faulty = async (change: (files: Zippable) => void) => {
    const files = unzipSync(new Uint8Array(await (await written()).arrayBuffer())) as Zippable;
    change(files);
    const read = await readBackup(zipped(files));
    if (!read.ok) return `${read.place}: ${read.message}`;
    const told = read.value.faults.filter((it) => !it.message.includes('after the backup was written'));
    return told.map((it) => `${it.place}: ${it.message}`).join('\n') || 'read';
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
    expect(head!.split(',')).toHaveLength(24);
    expect(line).toContain(`"'=HYPERLINK(""http://x"",""y""), ""quoted"""`);
    expect(line).toContain(',-3.5,');
    expect(animalsCsv(animals, designs)).toContain('Sedge,theloderma-corticale,female,sure');
    expect(equipmentCsv(equipment, designs).split('\r\n')).toHaveLength(5);
    expect(trackCsv(tracks[0]!).split('\r\n')[1]).toMatch(/^2026-\d\d-\d\dT\d\d:\d\d:00.000Z,\d\d\.\d\d$/);
  });
});
