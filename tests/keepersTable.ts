import { csvOf } from '../src/files/cell';

/** A table of forty enclosures and ninety animals, as a keeper has it. */
export function keepersTable(): string {
  const rows: string[][] = [
    ['Box', 'Species', 'Name', 'Sex', 'Home from', 'Weight (g)', 'Weighed on', 'Size'],
  ];
  let animal = 0;
  for (let box = 1; box <= 40; box += 1)
    // Two in most, three in ten of them.
    for (let i = 0; i < (box <= 10 ? 3 : 2); i += 1) {
      animal += 1;
      rows.push([
        `Box ${box}`,
        box % 2 === 0 ? 'crested gecko' : 'Eublepharis macularius',
        `A${animal}`,
        i === 0 ? 'm' : 'f',
        `${(animal % 28) + 1}.03.2024`,
        String(30 + (animal % 20)),
        '01.11.2026',
        '60x45x60',
      ]);
    }
  return csvOf(rows);
}
