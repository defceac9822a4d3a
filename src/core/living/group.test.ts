import { describe, expect, it } from 'vitest';
import { catalogue } from '@/catalogue';
import { findAnimal, type Animal } from '../catalogue';
import { applyEdit, type EditCall } from '../edits';
import { proposeDesign } from '../propose';
import { type Design } from '../document';
import { lengthAt, massAt } from '../brief';
import { judgeGroup, moveInOf, quarantineDays, youngPlan } from '.';

const animal = (id: string): Animal => findAnimal(catalogue, id)!;
const kept = (id: string, count: number, company: Partial<Design['living']['company']> = {}): Design => {
  const design = proposeDesign(
    {
      id: 'x',
      name: 'x',
      animal: id,
      count,
      size: null,
      room: { kind: null, temperature: null, humidity: null },
    },
    catalogue,
  );
  const call: EditCall = {
    edit: 'setLiving',
    change: {
      company: { males: 0, females: 0, hatched: null, ageMonths: null, lightSensitive: false, ...company },
    },
  };
  return applyEdit(design, call, catalogue);
};
const codes = (id: string, count: number, company: Partial<Design['living']['company']> = {}): string[] =>
  judgeGroup(kept(id, count, company), animal(id)).map((it) => it.code);

describe('company', () => {
  it('says who must live alone, who fights, who feeds apart, who is eaten, who bears young', () => {
    expect(codes('pogona-vitticeps', 1)).toEqual([]);
    expect(codes('pogona-vitticeps', 2)).toContain('company-alone');
    expect(codes('anolis-carolinensis', 3, { males: 2, females: 1 })).toContain('company-males');
    expect(codes('anolis-carolinensis', 3, { males: 1, females: 2 })).not.toContain('company-males');
    expect(codes('phelsuma-grandis', 3, { males: 1, females: 2 })).toContain('company-females');
    expect(codes('thamnophis-sirtalis', 2)).toEqual(
      expect.arrayContaining(['company-feeding', 'company-live']),
    );
    expect(codes('lepidodactylus-lugubris', 3)).toContain('company-sizes');
    expect(codes('anolis-carolinensis', 2, { males: 1, females: 2 })).toContain('company-sum');
    expect(judgeGroup(kept('anolis-carolinensis', 3), undefined)).toEqual([]);
  });
  it('a hatchling in the enclosure of a grown one is told that it may miss its food', () => {
    expect(codes('pantherophis-guttatus', 1, { ageMonths: 1 })).toContain('company-lost');
    expect(codes('pantherophis-guttatus', 1, { ageMonths: 60 })).not.toContain('company-lost');
  });
});

describe('growing up', () => {
  it('begins as hatched, is 95 % of its length at the adult age, and never shrinks', () => {
    for (const row of catalogue.animals) {
      const life = row.growing!;
      const full = (row.length.value.low + row.length.value.high) / 2;
      expect(lengthAt(row, 0), row.english).toBeCloseTo(Math.min(life.hatched.value, full * 0.95), 9);
      expect(lengthAt(row, life.monthsToAdult.value) / full, row.english).toBeCloseTo(0.95, 9);
      let last = 0;
      for (let month = 0; month <= 60; month += 3) {
        expect(lengthAt(row, month)).toBeGreaterThanOrEqual(last);
        last = lengthAt(row, month);
      }
      expect(massAt(row, full)).toBeCloseTo((row.mass.value.low + row.mass.value.high) / 2, 12);
    }
  });
  it('asks for larger and larger enclosures at later and later ages; young take smaller prey and need finer gauze', () => {
    for (const row of catalogue.animals) {
      const young = youngPlan(row, row.growing!.monthsToAdult.value * 0.1);
      const grown = youngPlan(row, null);
      expect(grown.grown).toBe(true);
      expect(young.grown).toBe(false);
      expect(young.prey.most, row.english).toBeLessThan(grown.prey.most);
      expect(young.prey.by, row.english).toBe(row.kind === 'snake' ? 'thickness' : 'length');
      expect(young.gauze).toBeLessThan(grown.gauze);
      expect(grown.boxes[0]!.from).toBe(0);
      grown.boxes.forEach((box, index) => {
        const before = grown.boxes[index - 1];
        if (!before) return;
        expect(box.from, row.english).toBeGreaterThan(before.from);
        expect(box.width * box.depth).toBeGreaterThan(before.width * before.depth);
      });
    }
  });
});

describe('before it moves in', () => {
  it('every species is quarantined, warmed slowly and left alone; amphibians have their skin tested', () => {
    for (const row of catalogue.animals) {
      const ids = moveInOf(row).map((it) => it.id);
      expect(ids.slice(0, 1)).toEqual(['quarantine']);
      expect(ids).toEqual(expect.arrayContaining(['box', 'temperature', 'leave', 'watch']));
      expect(ids.includes('skin'), row.english).toBe(row.kind === 'frog' || row.kind === 'newt');
      expect(ids.includes('faecal'), row.english).toBe(row.kind !== 'invertebrate');
      const [least, most] = quarantineDays(row);
      expect(least).toBeGreaterThanOrEqual(14);
      expect(most).toBeGreaterThanOrEqual(least);
    }
    expect(moveInOf(undefined).length).toBeGreaterThan(4);
  });
  it('defers to a veterinarian and gives no doses', () => {
    const text = moveInOf(animal('theloderma-corticale'))
      .map((it) => `${it.what} ${it.why} ${it.caution ?? ''}`)
      .join(' ');
    expect(text).toMatch(/veterinarian/);
    expect(text).not.toMatch(/\d ?(mg|mL|drops)\b/);
  });
});

describe('what keeps a young one in', () => {
  it('is gauze with holes of 0.35 of its girth, which grows with its length (common practice)', () => {
    const row = catalogue.animals.find((it) => it.id === 'eublepharis-macularius')!;
    const grown = youngPlan(row, 600);
    expect(grown.gauze / row.girth!.value).toBeCloseTo(0.35, 3);
    const young = youngPlan(row, 1);
    const full = (row.length.value.low + row.length.value.high) / 2;
    expect(young.gauze).toBeCloseTo((0.35 * row.girth!.value * lengthAt(row, 1)) / full, 12);
    // Prey 0.8 of the girth.
    expect(young.prey.most / young.gauze).toBeCloseTo(0.8 / 0.35, 12);
    // A snake’s: as thick as itself.
    const snake = catalogue.animals.find((it) => it.id === 'pantherophis-guttatus')!;
    expect(youngPlan(snake, 600).prey).toEqual({
      most: expect.closeTo(snake.girth!.value, 6) as number,
      by: 'thickness',
    });
  });
});
