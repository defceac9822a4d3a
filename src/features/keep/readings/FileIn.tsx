'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { PLACES, QUANTITIES, type MeasuringPlace } from '@/core/readings';
import {
  decodeText,
  encodingOf,
  Match,
  momentWords,
  PACK_FORMATS,
  packFormatOf,
  READING_FILES,
  readHead,
  reportWords,
  signatureOf,
  UNITS_OF,
  type Encoding,
  type PackFormat,
  type TableHead,
} from '@/files';
import { storageTrouble, useActs, useReadingsBook, useStore, type ReadingsBatch } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
import { TableWriting } from '@/ui/TableWriting';
import { useUndoable } from '@/ui/useUndoable';
import { IngestStopped, startIngest } from '@/workers/ingest';
import { sourceTracks } from '../devices/client';
import { PLACE_WORD, QUANTITY_WORD } from '@/ui/readingWords';
import { counted } from '@/core/units';

/** Enough of a file to see what is in it. */
const HEAD = 256 * 1024;

type Column = Match['columns'][number];
const KINDS = QUANTITIES.flatMap((quantity) => UNITS_OF[quantity].map((unit) => ({ quantity, unit })));
const kindKey = ({ quantity, unit }: Pick<Column, 'quantity' | 'unit'>): string => `${quantity} ${unit}`;
const kindWord = ({ quantity, unit }: Pick<Column, 'quantity' | 'unit'>): string =>
  unit === 'index'
    ? QUANTITY_WORD[quantity]
    : `${QUANTITY_WORD[quantity]}, ${unit === 'share' ? '0 to 1' : unit}`;

interface Open {
  readonly file: File;
  readonly encoding: Encoding;
  readonly head: TableHead;
  readonly match: Match;
  readonly asBefore: boolean;
}

/** Takes a file of a sensor in: its columns matched once, and remembered for the next. */
export function FileIn({ design, onDone }: { readonly design: string; readonly onDone: () => void }) {
  const { settings, set } = useStore();
  const book = useReadingsBook();
  const acts = useActs();
  const undoable = useUndoable();
  const input = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState<Open | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [report, setReport] = useState<string | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const stop = useRef<() => void>(undefined);
  useEffect(() => () => stop.current?.(), []);

  const written = async (batch: ReadingsBatch, told: string): Promise<void> => {
    setOpen(null);
    setReport(told);
    // A file that tells temperature and humidity is the probes read, up to its last reading.
    const at = batch.fresh > 0 ? batch.readUpTo : null;
    const draft = { kind: 'reading', values: {}, text: told, rule: 'probes' } as const;
    const unwrite = at === null || at > Date.now() ? null : await acts.record([{ design, draft, at }]);
    undoable(batch.fresh === 1 ? 'One reading is new.' : `${batch.fresh} readings are new.`, async () => {
      await book.takeOut(batch);
      await unwrite?.();
    });
    onDone();
  };
  const choose = async (file: File): Promise<void> => {
    setError(null);
    setReport(null);
    setOpen(null);
    const encoding = encodingOf(new Uint8Array(await file.slice(0, 4096).arrayBuffer()));
    const begin = decodeText(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()), encoding);
    const format = packFormatOf(begin);
    if (format) {
      await takePack(file, encoding, format);
      return;
    }
    // The last line of a cut is not whole.
    const text = file.size > HEAD ? begin.slice(0, begin.lastIndexOf('\n')) : begin;
    const head = readHead(text, Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC');
    if (!head.ok) {
      setError(`${file.name}, ${head.place}: ${head.message}.`);
      return;
    }
    const before = Match.safeParse(settings.matches[signatureOf(head.value)]);
    setOpen({
      file,
      encoding,
      head: head.value,
      match: before.success ? before.data : head.value.guess,
      asBefore: before.success,
    });
  };
  /** A file that says itself what it holds is read whole. */
  const takePack = async (file: File, encoding: Encoding, format: PackFormat): Promise<void> => {
    if (file.size > format.most) {
      setError(`${file.name}: larger than ${format.most / 1024 ** 2} MB. ${format.larger}.`);
      return;
    }
    const text = decodeText(new Uint8Array(await file.arrayBuffer()), encoding);
    const found = format.read(text, Date.now() / 1000);
    if (!found.ok) {
      setError(`${file.name}, ${found.place}: ${found.message}.`);
      return;
    }
    const { readings, records } = found.value;
    if (readings.length === 0) {
      setError(
        `${file.name}: none of its ${records} records is a reading of an enclosure. ${format.understands}.`,
      );
      return;
    }
    try {
      await written(
        await book.addFromSource(design, sourceTracks(readings)),
        `${file.name}: ${counted(readings.length, 'reading')} of ${counted(records, 'record')}.`,
      );
    } catch (cause) {
      setError(`Nothing of it was kept: ${storageTrouble(cause)}.`);
    }
  };
  const take = async (): Promise<void> => {
    if (!open) return;
    setShare(0);
    setError(null);
    const work = startIngest(open.file, open, open.match, design, setShare);
    stop.current = work.stop;
    try {
      const { report: told, batch } = await work.done;
      await set('matches', { ...settings.matches, [signatureOf(open.head)]: open.match });
      await written(batch, reportWords(open.file.name, told));
    } catch (cause) {
      setError(
        cause instanceof IngestStopped
          ? 'Stopped. Nothing of it was kept.'
          : `Nothing of it was kept: ${storageTrouble(cause)}.`,
      );
    } finally {
      stop.current = undefined;
      setShare(null);
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Box>
        <input
          ref={input}
          type="file"
          accept={READING_FILES}
          aria-label="File of a sensor"
          hidden
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void choose(file);
          }}
        />
        <Button variant="outlined" onClick={() => input.current?.click()} disabled={share !== null}>
          Read a file in
        </Button>
        <Typography component="span" variant="body2" sx={{ color: 'earth.quiet', ml: 1.25 }}>
          CSV of any logger, or {PACK_FORMATS.map((it) => it.name).join(', ')}
        </Typography>
      </Box>
      {error && (
        <Alert severity="error" onClose={() => setError(null)}>
          {error}
        </Alert>
      )}
      {report && (
        <Alert severity="success" role="status" onClose={() => setReport(null)}>
          {report}
        </Alert>
      )}
      {open && share === null && (
        <Matcher
          open={open}
          onChange={(match) => setOpen({ ...open, match })}
          onTake={() => void take()}
          onCancel={() => setOpen(null)}
        />
      )}
      {share !== null && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
          <LinearProgress
            variant="determinate"
            value={100 * share}
            aria-label="Reading it in"
            sx={{ flex: 1 }}
          />
          <Box sx={{ typography: 'body2', fontVariantNumeric: 'tabular-nums', width: 40 }}>
            {Math.round(100 * share)} %
          </Box>
          <Button onClick={() => stop.current?.()}>Stop</Button>
        </Box>
      )}
    </Box>
  );
}

/** What each column is, guessed and changed by hand, with the first rows as they will be understood. */
function Matcher({
  open: { file, head, match, asBefore },
  onChange,
  onTake,
  onCancel,
}: {
  readonly open: Open;
  readonly onChange: (match: Match) => void;
  readonly onTake: () => void;
  readonly onCancel: () => void;
}) {
  const of = (column: number): Column | undefined => match.columns.find((it) => it.column === column);
  const setColumn = (column: number, next: Column | null): void =>
    onChange({
      ...match,
      columns: [...match.columns.filter((it) => it.column !== column), ...(next ? [next] : [])].sort(
        (a, b) => a.column - b.column,
      ),
    });
  const use = (column: number, key: string): void => {
    const kind = KINDS.find((it) => kindKey(it) === key);
    const role = (own: number | null): number | null => (own === column ? null : own);
    const base = { ...match, clock: role(match.clock), sensor: role(match.sensor) };
    const others = match.columns.filter((it) => it.column !== column);
    if (key === 'time') onChange({ ...base, time: column, columns: others });
    else if (key === 'clock') onChange({ ...base, clock: column, columns: others });
    else if (key === 'sensor') onChange({ ...base, sensor: column, columns: others });
    else if (kind)
      onChange({
        ...base,
        columns: [
          ...others,
          {
            place: 'warm' as const,
            name: (head.headings[column] ?? '').slice(0, 80),
            ...of(column),
            ...kind,
            column,
          },
        ].sort((a, b) => a.column - b.column),
      });
    else onChange({ ...base, columns: others });
  };
  return (
    <Box
      component="section"
      aria-label="What is in it"
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
      }}
    >
      <Typography variant="h3" component="h3">
        {file.name}
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
        {asBefore
          ? 'Matched as the last file with these headings was. '
          : 'This is what its columns seem to hold. '}
        The first row is read as {momentWords(head, match)}.
      </Typography>
      {!asBefore &&
        head.unsure.map((it) => (
          <Alert key={it} severity="warning" sx={{ mb: 1 }}>
            {it}. Look that it is right.
          </Alert>
        ))}
      <Box sx={{ overflowX: 'auto' }}>
        <PlainTable label="Columns">
          <thead>
            <tr>
              <th scope="col">Column</th>
              <th scope="col">First values</th>
              <th scope="col">Holds</th>
              <th scope="col">Point</th>
              <th scope="col">Where</th>
            </tr>
          </thead>
          <tbody>
            {head.headings.map((heading, column) => {
              const own = of(column);
              const value =
                column === match.time
                  ? 'time'
                  : column === match.clock
                    ? 'clock'
                    : column === match.sensor
                      ? 'sensor'
                      : own
                        ? kindKey(own)
                        : 'nothing';
              return (
                <tr key={column}>
                  <td>{heading}</td>
                  <td>
                    {head.rows
                      .slice(0, 3)
                      .map((row) => row[column] ?? '')
                      .join(' · ')
                      .slice(0, 44)}
                  </td>
                  <td>
                    <TextField
                      select
                      size="small"
                      value={value}
                      onChange={(event) => use(column, event.target.value)}
                      slotProps={{
                        select: { SelectDisplayProps: { 'aria-label': `What ${heading} holds` } },
                      }}
                      sx={{ width: 190 }}
                    >
                      <MenuItem value="nothing">Nothing of use</MenuItem>
                      <MenuItem value="time">Date and time</MenuItem>
                      <MenuItem value="clock">Time of day</MenuItem>
                      <MenuItem value="sensor">Name of the sensor</MenuItem>
                      {KINDS.map((it) => (
                        <MenuItem key={kindKey(it)} value={kindKey(it)}>
                          {kindWord(it)}
                        </MenuItem>
                      ))}
                    </TextField>
                  </td>
                  <td>
                    {own && (
                      <TextField
                        size="small"
                        value={own.name}
                        onChange={(event) =>
                          setColumn(column, { ...own, name: event.target.value.slice(0, 80) })
                        }
                        slotProps={{ htmlInput: { 'aria-label': `Name of the point for ${heading}` } }}
                        sx={{ width: 150 }}
                      />
                    )}
                  </td>
                  <td>
                    {own && (
                      <TextField
                        select
                        size="small"
                        value={own.place}
                        onChange={(event) =>
                          setColumn(column, { ...own, place: event.target.value as MeasuringPlace })
                        }
                        slotProps={{
                          select: { SelectDisplayProps: { 'aria-label': `Where ${heading} is read` } },
                        }}
                        sx={{ width: 170 }}
                      >
                        {PLACES.map((it) => (
                          <MenuItem key={it} value={it}>
                            {PLACE_WORD[it]}
                          </MenuItem>
                        ))}
                      </TextField>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </PlainTable>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.5, alignItems: 'center' }}>
        <TableWriting value={match} onChange={(change) => onChange({ ...match, ...change })} />
        <Box sx={{ flex: 1 }} />
        <Button onClick={onCancel}>Cancel</Button>
        <Button variant="contained" onClick={onTake} disabled={match.columns.length === 0}>
          Read it in
        </Button>
      </Box>
    </Box>
  );
}
