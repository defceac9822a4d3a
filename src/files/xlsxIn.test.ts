import { expect, it } from 'vitest';
import { xlsxOf } from './dataTable';
import { textOfXlsx } from './xlsxIn';

it('a spreadsheet comes as text: its days as days, its numbers as they are, commas within cells quoted', async () => {
  const file = await xlsxOf([
    { name: 'Empty', columns: [{ title: '', holds: 'text' }], rows: [] },
    {
      name: 'Boxes',
      columns: [
        { title: 'Enclosure', holds: 'text' },
        { title: 'There since', holds: 'day' },
        { title: 'Weight (g)', holds: 'number' },
      ],
      rows: [
        ['North, upper', '2024-03-02', 41.5],
        ['South', null, null],
      ],
    },
  ]);
  expect(await textOfXlsx(file)).toBe(
    'Enclosure,There since,Weight (g)\r\n"North, upper",2024-03-02,41.5\r\nSouth,,',
  );
});

it('what is none is refused with what to do', async () => {
  await expect(textOfXlsx(new Blob(['Enclosure,Species']))).rejects.toThrow('Save it as XLSX or CSV');
});
