import { describe, expect, it } from 'vitest';
import { catalogue, withOwn } from '@/catalogue';
import {
  demoAnimals,
  demoCultures,
  demoDesigns,
  demoEquipment,
  demoLog,
  demoReadings,
  DEMO_SHELF,
} from '@/catalogue/demo';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { careNow, dueOf } from '@/core/care';
import { mergeDesigns, type Design } from '@/core/document';
import { planOf } from '@/core/plan';
import { seededRandom } from '@/core/random';
import { stockOf } from '@/core/shelf';
import { METRIC } from '@/core/units';
import { tries } from '../../tests/effort';
import { mangled, mangledText } from '../../tests/mangle';
import {
  equipmentCsv,
  buyTable,
  csvOfTable,
  cutTable,
  logCsv,
  NO_STORES,
  readBackup,
  readEnvelope,
  readHead,
  readRaw,
  readSenml,
  readTable,
  writeBackup,
  writeEnvelope,
  writeSenml,
  type Envelope,
} from '.';
import { careCalendar, planCalendar } from './calendar';

/** `RINCON_FILES=20000` looks at more. */
const FILES = Number(process.env.RINCON_FILES ?? tries(800, 2000));
const SEED = Number(process.env.RINCON_SEED ?? 20);
/** Of these, exports; the rest are backups, tables and what the recovery page saved. */
const ENVELOPES = Math.round(0.7 * FILES);
/** ms of any file: one that hangs, however busy the machine is. */
const MOST = 20_000;
const NOW = Date.parse('2026-11-28T18:00:00Z');
const TODAY = '2026-11-28';
const reader = { prefs: METRIC, locale: 'en-GB' };
const designs = demoDesigns(catalogue);
const stores = {
  ...NO_STORES,
  prices: { 'charcoal/bag-5l': 9 },
  shelf: DEMO_SHELF,
  own: { ...NO_STORES.own, recipes: [{ ...catalogue.recipes[0]!, id: 'mine' }] },
  log: demoLog(designs, catalogue, NOW).slice(0, 12),
  animals: demoAnimals(NOW),
  cultures: demoCultures(NOW),
  equipment: demoEquipment(NOW),
  points: demoReadings(designs, NOW).map((it) => it.series),
};
/** One enclosure each: what is mangled is then often deep in it. */
const files = designs.map((it) => JSON.parse(writeEnvelope([it], stores, new Date(NOW))) as unknown);

/** All that is made of a file that was accepted. */
function used({ designs: all, own, log, animals, equipment, shelf }: Envelope): void {
  const rows = withOwn(catalogue, own);
  stockOf(shelf);
  expect(logCsv(log, all, animals)).toContain('\n');
  expect(equipmentCsv(equipment, all)).toContain('\n');
  for (const design of all) {
    const assessment = assess(design, rows);
    const plan = planOf(design, assessment, rows, TODAY);
    const due = dueOf(careNow(design, rows), new Map(), design.brief.since ?? TODAY, TODAY);
    expect(csvOfTable(buyTable(buyingOf([{ design, assessment }], rows), reader))).toContain('\n');
    expect(csvOfTable(cutTable(assessment, reader))).toContain('\n');
    expect(planCalendar(plan, design, reader)).toMatch(/^BEGIN:VCALENDAR/);
    if (due.length > 0) expect(careCalendar([{ ...design, due }], reader)).toMatch(/^BEGIN:VCALENDAR/);
    expect(mergeDesigns(design, design, designs[0]!).design).toEqual(designs[0]);
  }
}

/** Runs each case by its number; what throws, or takes too long, is told by it. */
async function each(count: number, work: (next: () => number) => Promise<void> | void): Promise<string[]> {
  const wrong: string[] = [];
  for (let i = 0; i < count && wrong.length < 10; i += 1) {
    const began = performance.now();
    try {
      await work(seededRandom(SEED * 1e6 + i));
    } catch (error) {
      wrong.push(
        `${i}: ${error instanceof Error ? (error.stack ?? error.message).slice(0, 600) : String(error)}`,
      );
    }
    const took = performance.now() - began;
    if (took > MOST) wrong.push(`${i}: took ${Math.round(took)} ms`);
  }
  return wrong;
}

describe('mangled files', () => {
  it(
    `${FILES} of them: refused with a place, or all that is made of them can be made`,
    async () => {
      let accepted = 0;
      const wrong = await each(ENVELOPES, (next) => {
        const text = mangled(files[Math.floor(next() * files.length)], next);
        const read = readEnvelope(text);
        if (!read.ok) {
          expect(read.place).not.toBe('');
          expect(read.message.length).toBeGreaterThan(5);
          return;
        }
        accepted += 1;
        // What is written of it again is read again, and says the same.
        const { designs: all, ...own } = read.value;
        expect(readEnvelope(writeEnvelope(all, own, new Date(NOW)))).toMatchObject({
          ok: true,
          value: { designs: all },
        });
        used(read.value);
      });
      expect(wrong).toEqual([]);
      // Neither all refused nor all accepted: both ways are looked at.
      expect(accepted / ENVELOPES).toBeGreaterThan(0.1);
      expect(accepted / ENVELOPES).toBeLessThan(0.9);
      expect(Object.prototype).not.toHaveProperty('polluted');
    },
    Math.max(240_000, FILES * 60),
  );

  it(
    'backups: each part mangled in its turn is refused, told, or read',
    async () => {
      const [first] = demoReadings(designs, NOW);
      const pieces: Uint8Array[] = [];
      const short = { at: first!.track.at.slice(0, 40), steps: first!.track.steps.slice(0, 40) };
      await writeBackup(
        {
          designs: designs.slice(0, 1),
          stores,
          written: new Date(NOW),
          settings: { spare: 0.2 },
          tables: {},
          unreadable: [],
          tracks: [{ series: first!.series.id, quantity: first!.series.quantity, track: short }],
          pictures: [],
        },
        (piece) => pieces.push(piece.slice()),
      );
      const whole = Buffer.concat(pieces);
      const wrong = await each(0.1 * FILES, async (next) => {
        const bytes = Uint8Array.from(whole);
        for (let i = 0; i < 1 + Math.floor(next() * 20); i += 1)
          bytes[Math.floor(next() * bytes.length)] = Math.floor(next() * 256);
        const read = await readBackup(
          new Blob([next() < 0.2 ? bytes.slice(0, next() * bytes.length) : bytes]),
        );
        if (read.ok && read.value.faults.length === 0) used(read.value.envelope);
      });
      expect(wrong).toEqual([]);
    },
    Math.max(240_000, FILES * 60),
  );

  it(
    'what the recovery page saved, tables and packs of readings',
    async () => {
      const raw = [
        { format: 'rincon-raw', version: 1 },
        ...designs
          .slice(0, 2)
          .map((design) => ({ table: 'designs', row: { id: design.id, design, deleted: 0 } })),
        ...stores.log.slice(0, 3).map((row) => ({ table: 'log', row })),
        ...stores.points.map((row) => ({ table: 'series', row })),
        { end: true, rows: 5 + stores.points.length },
      ];
      const table = `time,temperature,humidity\n${Array.from({ length: 30 }, (_, i) => `${new Date(NOW + i * 6e4).toISOString()},${20 + i / 10},${60 + i}`).join('\n')}\n`;
      const pack = writeSenml([
        { name: 'a:temperature', quantity: 'temperature', at: NOW, value: 21 } as never,
      ]);
      const wrong = await each(0.2 * FILES, async (next) => {
        const lines = raw.map((it) => (next() < 0.3 ? mangled(it, next) : JSON.stringify(it)));
        const read = await readRaw(new Blob([lines.join('\n')]));
        if (read.ok) for (const design of read.value.envelope.designs) assess(design as Design, catalogue);
        const text = mangledText(table, next);
        const head = readHead(text, 'Europe/Berlin');
        if (head.ok) readTable(text, head.value, head.value.guess);
        readSenml(next() < 0.5 ? mangledText(pack, next) : mangled(JSON.parse(pack), next), NOW);
      });
      expect(wrong).toEqual([]);
    },
    Math.max(240_000, FILES * 60),
  );
});
