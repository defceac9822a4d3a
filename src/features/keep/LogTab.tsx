'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { careOf } from '@/core/care';
import { ENTRY_KINDS, type Entry, type EntryKind } from '@/core/log';
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
import { localDay, dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { PictureStrip } from '@/ui/PictureStrip';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { CardList } from './CardList';
import { LOOK_BACK } from './due';
import { EntryFormCard } from './EntryFormCard';
import { entryWords, KIND_WORD } from './entryWords';

/** Lines drawn at once; a keeper looks for the latest. */
const SHOWN = 200;

/** Everything that was written down here, the latest first; by kind, and by words. */
export function LogTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const reader = useReader();
  const log = useLog(design.id, LOOK_BACK);
  const [kind, setKind] = useState<EntryKind | 'all'>('all');
  const [words, setWords] = useState('');
  const [form, setForm] = useState(false);
  const pictures = usePicturesOf(design.id);
  const animals = useAnimals();
  if (!log) return <Message title="Reading the log" role="status" />;
  const writing = form && <EntryFormCard key="new" entry={null} onDone={() => setForm(false)} />;
  if (log.length === 0)
    return (
      writing || (
        <Message title="The log is empty" actions={<Button onClick={() => setForm(true)}>Use a form</Button>}>
          Write a line above, or tick off what is due: it stands here then.
        </Message>
      )
    );
  const rules = new Map(careOf(design, catalogue).map((it) => [it.id, it.what]));
  const names = new Map(animals?.map((it) => [it.id, it.name]));
  const said = (it: Entry): string =>
    [
      it.rule && it.kind === 'care' ? (rules.get(it.rule) ?? '') : '',
      names.get(it.animal ?? '') ?? '',
      entryWords(it, reader),
    ]
      .filter(Boolean)
      .join(' · ');
  const found = log
    .filter((it) => kind === 'all' || it.kind === kind)
    .filter((it) =>
      words
        .toLowerCase()
        .split(/\s+/)
        .every((own) => `${KIND_WORD[it.kind]} ${said(it)}`.toLowerCase().includes(own)),
    )
    .reverse();
  const days = new Map<string, Entry[]>();
  for (const it of found.slice(0, SHOWN)) {
    const day = localDay(it.at);
    days.set(day, [...(days.get(day) ?? []), it]);
  }
  const present = ENTRY_KINDS.filter((it) => log.some((own) => own.kind === it));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box role="search" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
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
      {found.length === 0 && (
        <Typography sx={{ color: 'earth.quiet' }} role="status">
          No line of the log says that.
        </Typography>
      )}
      {[...days].map(([day, entries]) => (
        <Box component="section" key={day} aria-label={dayWords(day)}>
          <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
            {dayWords(day)}
          </Typography>
          <CardList>
            {entries.map((it) => (
              <Line key={it.id} entry={it} words={said(it)} pictures={pictures.get(`entry:${it.id}`) ?? []} />
            ))}
          </CardList>
        </Box>
      ))}
      {found.length > SHOWN && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          The latest {SHOWN} of {found.length}. Search to find older ones.
        </Typography>
      )}
    </Box>
  );
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
          sx={{ color: 'earth.quiet', typography: 'body2', width: 44, fontVariantNumeric: 'tabular-nums' }}
        >
          {new Date(entry.at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })}
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
            onRemove={(id) =>
              void removePicture(db, id).then(
                (row) => row && undoable('Picture taken away.', () => addPicture(db, row)),
              )
            }
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
