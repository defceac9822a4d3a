'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useRef, useState } from 'react';
import { readingsOf, readLogger, type Columns, type LoggerRecord, type LoggerTable } from '@/files';

interface Props {
  readonly label: string;
  /** Whether columns of the room may be matched too. */
  readonly room: boolean;
  readonly action: string;
  readonly busy?: boolean;
  readonly onRecord: (record: LoggerRecord, name: string) => void;
}

const WORDS: Record<keyof Columns, string> = {
  time: 'Time',
  temperature: 'Temperature',
  humidity: 'Humidity',
  roomTemperature: 'Room temperature',
  roomHumidity: 'Room humidity',
};

/** A logger’s file: chosen, its columns matched by the person, nonsense told where it stands. */
export function LoggerFile({ label, room, action, busy = false, onRecord }: Props) {
  const [file, setFile] = useState<{ readonly name: string; readonly table: LoggerTable } | null>(null);
  const [columns, setColumns] = useState<Columns | null>(null);
  const [error, setError] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const read = async (chosen: File): Promise<void> => {
    setFile(null);
    setColumns(null);
    if (chosen.size > 20 * 1024 * 1024) {
      setError(`${chosen.name}: larger than 20 MB. Export a shorter stretch.`);
      return;
    }
    const found = readLogger(await chosen.text());
    if (!found.ok) {
      setError(`${chosen.name}, ${found.place}: ${found.message}.`);
      return;
    }
    setError(null);
    setFile({ name: chosen.name, table: found.value });
    setColumns(found.value.guess);
  };
  const take = (): void => {
    if (!file || !columns) return;
    const found = readingsOf(file.table, columns);
    if (!found.ok) {
      setError(`${file.name}, ${found.place}: ${found.message}.`);
      return;
    }
    setError(null);
    onRecord(found.value, file.name);
  };
  const shown: readonly (keyof Columns)[] = room
    ? ['time', 'temperature', 'humidity', 'roomTemperature', 'roomHumidity']
    : ['time', 'temperature', 'humidity'];
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        aria-label={`${label}, to choose`}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen) void read(chosen);
        }}
      />
      {error && <Alert severity="error">{error}</Alert>}
      {file && columns && (
        <>
          <Box sx={{ typography: 'body2' }}>
            {file.name}: {file.table.rows.length} rows. Say which column is what.
          </Box>
          <Box
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1.25 }}
          >
            {shown.map((key) => (
              <TextField
                key={key}
                select
                label={WORDS[key]}
                value={columns[key] === null ? '' : String(columns[key])}
                onChange={(event) =>
                  setColumns({
                    ...columns,
                    [key]: event.target.value === '' ? null : Number(event.target.value),
                  })
                }
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              >
                {key !== 'time' && <MenuItem value="">none</MenuItem>}
                {file.table.headings.map((heading, index) => (
                  <MenuItem key={index} value={String(index)}>
                    {heading}
                  </MenuItem>
                ))}
              </TextField>
            ))}
          </Box>
          <Button variant="contained" disabled={busy} onClick={take} sx={{ justifySelf: 'start' }}>
            {action}
          </Button>
        </>
      )}
    </Box>
  );
}
