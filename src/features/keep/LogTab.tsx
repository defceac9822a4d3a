'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo, useState } from 'react';
import { careOf } from '@/core/care';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { dayOfLine, ENTRY_KINDS, type Entry, type EntryKind } from '@/core/log';
import type { AnimalRecord } from '@/core/records';
import {
  addPicture,
  removePicture,
  useAnimals,
  useLog,
  useLogBook,
  useOpenDesign,
  usePicturesOf,
  useStore,
  type PictureRow,
} from '@/store';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { PictureStrip } from '@/ui/PictureStrip';
import { useReader, type Reader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { Windowed } from '@/ui/Windowed';
import { CardList } from './CardList';
import { EntryFormCard } from './EntryFormCard';
import { entryWords, KIND_WORD } from '@/ui/entryWords';

/** Everything that was written down here, the latest first; by kind, and by words. */
export function LogTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const reader = useReader();
  const log = useLog(design.id, 'all');
  const [kind, setKind] = useState<EntryKind | 'all'>('all');
  const [words, setWords] = useState('');
  const [form, setForm] = useState(false);
  const pictures = usePicturesOf(design.id);
  const animals = useAnimals();
  const lines = useMemo(
    () => log && linesOf(log, design, catalogue, names(animals), reader),
    [log, design, catalogue, animals, reader],
  );
  // What is typed stands at once; the list follows.
  const sought = useDeferredValue(words);
  const days = useMemo(() => lines && daysOf(lines, kind, sought), [lines, kind, sought]);
  const present = useMemo(() => ENTRY_KINDS.filter((it) => log?.some((own) => own.kind === it)), [log]);
  if (!log || !days) return <Message title="Reading the log" role="status" />;
  const writing = form && <EntryFormCard key="new" entry={null} onDone={() => setForm(false)} />;
  if (log.length === 0)
    return (
      writing || (
        <Message title="The log is empty" actions={<Button onClick={() => setForm(true)}>Use a form</Button>}>
          Write a line above, or tick off what is due: it stands here then.
        </Message>
      )
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box role="search" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 1.5 }}>
        <TextField
          label="Search the log"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          sx={{ flex: 1, minWidth: 200 }}
        />
        <TextField
          select
          label="Type"
          value={kind}
          onChange={(event) => setKind(event.target.value as EntryKind | 'all')}
          sx={{ width: 170 }}
        >
          <MenuItem value="all">All</MenuItem>
          {present.map((it) => (
            <MenuItem key={it} value={it}>
              {KIND_WORD[it]}
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" onClick={() => setForm(!form)} aria-expanded={form}>
          Use a form
        </Button>
      </Box>
      {writing}
      {days.length === 0 && (
        <Typography sx={{ color: 'earth.quiet' }} role="status">
          No line of the log says that.
        </Typography>
      )}
      <Windowed
        items={days}
        keyOf={(it) => it.day}
        estimate={({ lines: own }) => 30 + 46 * own.length}
        gap={12}
      >
        {({ day, lines: own }) => (
          <Box component="section" aria-label={dayWords(day)}>
            <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
              {dayWords(day)}
            </Typography>
            <CardList>
              {own.map(({ entry, said }) => (
                <Line
                  key={entry.id}
                  entry={entry}
                  words={said}
                  pictures={pictures.get(`entry:${entry.id}`) ?? []}
                />
              ))}
            </CardList>
          </Box>
        )}
      </Windowed>
    </Box>
  );
}

/** A line of the log as it is told, and as it is searched. */
interface ToldLine {
  readonly entry: Entry;
  readonly said: string;
  readonly text: string;
}

const names = (animals: readonly AnimalRecord[] | undefined): ReadonlyMap<string, string> =>
  new Map(animals?.map((it) => [it.id, it.name]));

/** All lines, the latest first. */
function linesOf(
  log: readonly Entry[],
  design: Design,
  catalogue: Catalogue,
  animals: ReadonlyMap<string, string>,
  reader: Reader,
): readonly ToldLine[] {
  const rules = new Map(careOf(design, catalogue).map((it) => [it.id, it.what]));
  return log
    .map((entry): ToldLine => {
      const said = [
        entry.rule && entry.kind === 'care' ? (rules.get(entry.rule) ?? '') : '',
        animals.get(entry.animal ?? '') ?? '',
        entryWords(entry, reader),
      ]
        .filter(Boolean)
        .join(' · ');
      return { entry, said, text: `${KIND_WORD[entry.kind]} ${said}`.toLowerCase() };
    })
    .reverse();
}

interface Day {
  readonly day: string;
  readonly lines: readonly ToldLine[];
}

/** Lines of a kind that say all of these words, by day. */
function daysOf(lines: readonly ToldLine[], kind: EntryKind | 'all', words: string): readonly Day[] {
  const sought = words.toLowerCase().split(/\s+/);
  const days = new Map<string, ToldLine[]>();
  for (const it of lines) {
    if (kind !== 'all' && it.entry.kind !== kind) continue;
    if (!sought.every((own) => it.text.includes(own))) continue;
    const day = dayOfLine(it.entry, localDay);
    const own = days.get(day);
    if (own) own.push(it);
    else days.set(day, [it]);
  }
  return [...days].map(([day, own]) => ({ day, lines: own }));
}

/** The time of a line by the clock it was written by. */
function timeWords({ at, ahead }: Entry): string {
  const format = { hour: '2-digit', minute: '2-digit' } as const;
  return typeof ahead === 'number'
    ? new Date(at + ahead * 60_000).toLocaleTimeString(undefined, { ...format, timeZone: 'UTC' })
    : new Date(at).toLocaleTimeString(undefined, format);
}

function Line({
  entry,
  words,
  pictures,
}: {
  readonly entry: Entry;
  readonly words: string;
  readonly pictures: readonly PictureRow[];
}) {
  const book = useLogBook();
  const undoable = useUndoable();
  const { db } = useStore();
  const [changing, setChanging] = useState(false);
  return (
    <Box
      component="li"
      data-entry={entry.kind}
      sx={{ px: 1.5, py: 0.5, borderTop: 1, borderColor: 'earth.rule', '&:first-of-type': { borderTop: 0 } }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <Box
          sx={{
            color: 'earth.quiet',
            typography: 'body2',
            minWidth: 44,
            whiteSpace: 'nowrap',
            fontVariantNumeric: 'tabular-nums',
          }}
        >
          {timeWords(entry)}
        </Box>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          {entry.kind !== 'care' && <strong>{KIND_WORD[entry.kind]}</strong>}
          {entry.kind !== 'care' && words !== '' && ': '}
          {words}
          {entry.outcome === 'skipped' && (
            <Box component="span" sx={{ color: 'earth.quiet' }}>
              {' '}
              · left out on purpose
            </Box>
          )}
        </Box>
        {entry.kind !== 'care' && (
          <Button
            size="small"
            aria-expanded={changing}
            aria-label={`Change: ${KIND_WORD[entry.kind]} ${words}`}
            onClick={() => setChanging(!changing)}
          >
            Change
          </Button>
        )}
        <Button
          size="small"
          aria-label={`Remove: ${KIND_WORD[entry.kind]} ${words}`}
          onClick={() =>
            void book
              .strike([entry.id])
              .then(() => undoable('Removed.', () => book.strike([entry.id], false)))
          }
        >
          Remove
        </Button>
      </Box>
      {pictures.length > 0 && (
        <Box sx={{ pl: 7, py: 0.5 }}>
          <PictureStrip
            label={`${KIND_WORD[entry.kind]} ${words}`}
            pictures={pictures}
            onRemove={async (id) => {
              const row = await removePicture(db, id, Date.now());
              return row && (() => addPicture(db, row));
            }}
          />
        </Box>
      )}
      {changing && (
        <Box sx={{ py: 1 }}>
          <EntryFormCard entry={entry} onDone={() => setChanging(false)} />
        </Box>
      )}
    </Box>
  );
}
