'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { findAnimal, type Animal } from '@/core/catalogue';
import { standsAlready } from '@/core/propose';
import { capital, counted, length } from '@/core/units';
import { decodeText } from '@/files/decode';
import { textOfXlsx } from '@/files/xlsxIn';
import { readRackSheet, sheetTemplate, type RackSheet, type SheetBox } from '@/files/rackSheet';
import { loadOtherNames, useActs, useDesigns, useStore } from '@/store';
import { download } from '@/ui/download';
import { FileButton } from '@/ui/FileButton';
import { seek } from '@/ui/seek';
import { TopBar } from '@/ui/shell/TopBar';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { useAct } from '@/ui/useAct';
import { useDraft } from '@/ui/useDraft';
import { useToday } from '@/ui/useToday';

const NOBODY_ELSE = (): readonly string[] => [];
/** Faults that are shown at once, and enclosures. */
const [FAULTS, SHOWN] = [30, 12];

/** Enclosures and animals out of a keeper’s own table: seen before they are written, all of them or none. */
export function SheetIn({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const reader = useReader();
  const router = useRouter();
  const write = useAct();
  const acts = useActs();
  const today = useToday();
  const designs = useDesigns();
  const [text, setText] = useDraft('sheet');
  const [refused, setRefused] = useState<string>();
  const [names, setNames] = useState<(id: string) => readonly string[]>(() => NOBODY_ELSE);
  useEffect(() => {
    void loadOtherNames().then((it) => setNames(() => it));
  }, []);
  const { animals } = catalogue;
  const { prefs } = reader;
  const sheet = useMemo(
    (): RackSheet | null =>
      text.trim() === ''
        ? null
        : readRackSheet(text, {
            animals,
            otherNames: names,
            nearest: (told) =>
              seek<Animal>(animals, told, (it) => [it.english, it.scientific, ...names(it.id)])[0],
            taken: designs?.flatMap((it) => (it.state === 'ready' ? [it.row.design.name] : [])) ?? [],
            today,
            length: prefs.length === 'in' ? 'in' : 'cm',
            mass: prefs.mass === 'lb' ? 'oz' : 'g',
          }),
    [text, animals, names, designs, today, prefs],
  );
  const take = async (file: File): Promise<void> => {
    try {
      const isBook = file.name.toLowerCase().endsWith('.xlsx');
      setText(isBook ? await textOfXlsx(file) : decodeText(new Uint8Array(await file.arrayBuffer())));
      setRefused(undefined);
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'it cannot be read');
    }
  };
  const many = sheet?.boxes.reduce((sum, it) => sum + it.animals.length, 0) ?? 0;
  const put = async (boxes: readonly SheetBox[]): Promise<void> => {
    const standing = boxes.map(({ animals: own, ...told }) => ({
      design: standsAlready({ id: crypto.randomUUID(), ...told }, today, catalogue),
      animals: own.map((it) => ({
        name: it.name,
        rest: { sex: it.sex, hatched: it.hatched },
        since: it.since,
        weight: it.weight && { mass: it.weight.mass, at: Date.parse(`${it.weight.on}T12:00:00`) },
      })),
    }));
    const said = `Written down: ${counted(boxes.length, 'enclosure')}, ${counted(many, 'animal')}.`;
    if (await write(said, () => acts.createStanding(standing))) {
      setText('');
      router.push('/');
    }
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={[{ href: '/', label: 'Rack', current: false }]} tools={tools} />
      <Box component="main" sx={{ px: { xs: 1.5, md: 2.5 }, py: 2.25, maxWidth: 1040, mx: 'auto' }}>
        <Typography variant="h1" component="h1">
          From a spreadsheet
        </Typography>
        <Typography sx={{ color: 'earth.quiet', mt: 0.5, mb: 2, maxWidth: 680 }}>
          A row for each enclosure, or for each animal. Columns are known by their headings, in any order:
          enclosure, species, how many, animal, sex, hatched, there since, weight, weighed on, width, depth,
          height, made of, room, shelf, note. Copy the rows and paste them, or take a file.
        </Typography>
        <TextField
          label="Rows, with their headings"
          value={text}
          onChange={(event) => setText(event.target.value)}
          multiline
          minRows={4}
          maxRows={10}
          fullWidth
          slotProps={{ htmlInput: { spellCheck: false, style: { whiteSpace: 'pre', overflowX: 'auto' } } }}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25 }}>
          <FileButton
            words="Take a file (XLSX or CSV)"
            label="Table of enclosures, a file"
            accept=".xlsx,.csv,.tsv,.txt,text/csv"
            onFiles={([file]) => file && void take(file)}
          />
          <Button onClick={() => download('rincon-enclosures.csv', sheetTemplate(), 'text/csv')}>
            Save an empty table to fill in
          </Button>
        </Box>
        {refused !== undefined && (
          <Typography role="alert" sx={{ color: 'earth.clay', mt: 1 }}>
            Not read: {refused}.
          </Typography>
        )}
        {sheet && <Seen sheet={sheet} many={many} onPut={() => void put(sheet.boxes)} />}
      </Box>
    </Box>
  );
}

interface SeenProps {
  readonly sheet: RackSheet;
  readonly many: number;
  readonly onPut: () => void;
}

/** What the table says, and what is wrong with it. */
function Seen({ sheet, many, onPut }: SeenProps) {
  const { catalogue } = useStore();
  const { write } = useReader();
  const { boxes, faults, unused } = sheet;
  const what = `${counted(boxes.length, 'enclosure')} and ${counted(many, 'animal')}`;
  return (
    <Box sx={{ mt: 2.5, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
        <Box role="status" sx={{ flex: '1 1 240px' }}>
          <Typography variant="h2">
            {faults.length === 0
              ? `${what}, all of it read`
              : `${counted(faults.length, 'cell')} to mend first`}
          </Typography>
        </Box>
        <Button
          variant="contained"
          disabled={faults.length > 0 || boxes.length === 0}
          onClick={onPut}
          sx={{ minHeight: 44 }}
        >
          Write down {what}
        </Button>
      </Box>
      {unused.length > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Nothing is taken from: {unused.join(', ')}.
        </Typography>
      )}
      {faults.length > 0 && (
        <>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Nothing is written until every row can be read. Mend them in the field above, or in your table.
          </Typography>
          <TableCard label="What is wrong">
            <thead>
              <tr>
                <th scope="col" className="number">
                  Line
                </th>
                <th scope="col">Column</th>
                <th scope="col">What is wrong</th>
              </tr>
            </thead>
            <tbody>
              {faults.slice(0, FAULTS).map((it) => (
                <tr key={`${it.line} ${it.column} ${it.message}`}>
                  <td className="number">{it.line}</td>
                  <td>{it.column}</td>
                  <td style={{ whiteSpace: 'normal' }}>
                    {capital(it.message)}
                    {it.message.endsWith('?') ? '' : '.'}
                  </td>
                </tr>
              ))}
            </tbody>
          </TableCard>
          {faults.length > FAULTS && (
            <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
              And {faults.length - FAULTS} more.
            </Typography>
          )}
        </>
      )}
      {boxes.length > 0 && (
        <TableCard label="What is read">
          <thead>
            <tr>
              <th scope="col">Enclosure</th>
              <th scope="col">Species</th>
              <th scope="col" className="number">
                How many
              </th>
              <th scope="col">Size</th>
              <th scope="col">There since</th>
              <th scope="col">Animals</th>
            </tr>
          </thead>
          <tbody>
            {boxes.slice(0, SHOWN).map((it) => (
              <tr key={it.name}>
                <td>{it.name}</td>
                <td>{findAnimal(catalogue, it.animal)?.english ?? '–'}</td>
                <td className="number">{it.count}</td>
                <td>
                  {it.size
                    ? [it.size.width, it.size.depth, it.size.height]
                        .map((side) => write(length(side), { trim: true }))
                        .join(' × ')
                    : 'as suits it'}
                </td>
                <td>{it.since ?? 'not told'}</td>
                <td>{it.animals.map((own) => own.name).join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </TableCard>
      )}
      {boxes.length > SHOWN && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          And {counted(boxes.length - SHOWN, 'enclosure')} more.
        </Typography>
      )}
    </Box>
  );
}
