'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState, type ReactNode } from 'react';
import type { Series, Track } from '@/core/readings';
import {
  columnOf,
  decodeText,
  momentWords,
  onlyRoles,
  readHead,
  readRoles,
  reportWords,
  sensorsIn,
  withRole,
  type Match,
  type Role,
  type TableHead,
} from '@/files';
import { readTrack, useOpenDesign, useSeries, useStore } from '@/store';
import { TableWriting } from '@/ui/TableWriting';

interface Props {
  readonly label: string;
  /** Whose temperature and humidity are asked for: of the room alone, or of the enclosure, with the room’s if they are there. */
  readonly of: 'room' | 'enclosure';
  readonly action: string;
  readonly busy?: boolean;
  /** What is to be done with them; what it says is why they will not do. */
  readonly onTake: (taken: Taken) => string | null;
  /** What else is asked of a file. */
  readonly more?: ReactNode;
  /** How what is kept here is chosen from, where it is more than one point of each. */
  readonly kept?: ReactNode;
}

/** Tracks by what they are, written by the clock of a zone. */
export interface Taken {
  readonly tracks: Partial<Record<Role, Track>>;
  readonly zone: string;
  readonly name: string;
}

const WORD: Readonly<Record<Role, string>> = {
  temperature: 'Temperature',
  humidity: 'Humidity',
  roomTemperature: 'Room temperature',
  roomHumidity: 'Room humidity',
};
const ASKED: Readonly<Record<Props['of'], readonly Role[]>> = {
  room: ['temperature', 'humidity'],
  enclosure: ['temperature', 'humidity', 'roomTemperature', 'roomHumidity'],
};
const MOST = 60 * 1024 * 1024;
/** The zone this device stands in. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** A record of a climate, out of a logger’s file by the same reader as Keep’s, or out of the readings that are kept. */
export function RecordIn({ label, of, action, busy = false, onTake, more, kept: chooser }: Props) {
  const [open, setOpen] = useState<Open | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [left, setLeft] = useState<string | null>(null);
  const [kept, setKept] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const { design } = useOpenDesign();
  const points = useSeries(design.id) ?? [];
  const take = (taken: Taken, told: string | null): void => {
    const fault = onTake(taken);
    setError(fault === null ? null : `${taken.name}: ${fault}.`);
    setLeft(fault === null ? told : null);
  };
  const choose = async (file: File): Promise<void> => {
    const fault = (message: string): void => setError(`${file.name}${message}.`);
    setKept(false);
    setLeft(null);
    setError(null);
    setOpen(null);
    if (file.size > MOST) return fault(': larger than 60 MB. Export a shorter stretch');
    const text = decodeText(new Uint8Array(await file.arrayBuffer()));
    const head = readHead(text, zoneHere());
    if (!head.ok) return fault(`, ${head.place}: ${head.message}`);
    const match = onlyRoles(head.value.guess);
    const [sensor = null] = sensorsIn(head.value, match);
    setOpen({ name: file.name, text, head: head.value, match, sensor });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        <Button variant="outlined" onClick={() => input.current?.click()}>
          {label}
        </Button>
        {points.some((it) => it.quantity === 'temperature') && (
          <Button
            onClick={() => {
              setOpen(null);
              setError(null);
              setKept(true);
            }}
          >
            From the readings kept here
          </Button>
        )}
      </Box>
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        aria-label={`${label}, to choose`}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen) void choose(chosen);
        }}
      />
      {error && <Alert severity="error">{error}</Alert>}
      {left && <Alert severity="info">{left}</Alert>}
      {open && (
        <FromFile
          open={open}
          of={of}
          action={action}
          busy={busy}
          more={more}
          onOpen={setOpen}
          onTake={take}
        />
      )}
      {kept && (chooser ?? <FromKept points={points} of={of} action={action} busy={busy} onTake={take} />)}
    </Box>
  );
}

interface PartProps extends Pick<Props, 'of' | 'action'> {
  readonly busy: boolean;
  readonly onTake: (taken: Taken, told: string | null) => void;
}

/** A file that was chosen, and how its columns are understood. */
interface Open {
  readonly name: string;
  readonly text: string;
  readonly head: TableHead;
  readonly match: Match;
  readonly sensor: string | null;
}

/** Columns of a file matched to what is asked for. */
function FromFile({
  open,
  of,
  action,
  busy,
  more,
  onOpen,
  onTake,
}: PartProps & {
  readonly open: Open;
  readonly more: ReactNode;
  readonly onOpen: (open: Open) => void;
}) {
  const { name, text, head, match, sensor } = open;
  const change = (next: Match): void => onOpen({ ...open, match: next });
  const sensors = sensorsIn(head, match);
  return (
    <>
      <Typography variant="body2">
        {name}: say which column is what. The first row is read as {momentWords(head, match)}.
      </Typography>
      {head.unsure.map((it) => (
        <Alert key={it} severity="warning">
          {it}. Check that it is right.
        </Alert>
      ))}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1.25 }}>
        {ASKED[of].map((role) => {
          const own = columnOf(match, role);
          return (
            <TextField
              key={role}
              select
              label={WORD[role]}
              value={own ? String(own.column) : ''}
              onChange={(event) =>
                change(withRole(match, role, event.target.value === '' ? null : Number(event.target.value)))
              }
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            >
              <MenuItem value="">none</MenuItem>
              {head.headings.map((heading, index) => (
                <MenuItem key={index} value={String(index)}>
                  {heading}
                </MenuItem>
              ))}
            </TextField>
          );
        })}
        {columnOf(match, 'temperature') && (
          <TextField
            select
            label="Temperatures are in"
            value={columnOf(match, 'temperature')?.unit === '°F' ? '°F' : '°C'}
            onChange={(event) =>
              change(
                ASKED[of].reduce((now, role) => {
                  const own = columnOf(now, role);
                  return own?.quantity === 'temperature'
                    ? withRole(now, role, own.column, event.target.value as '°C' | '°F')
                    : now;
                }, match),
              )
            }
          >
            <MenuItem value="°C">°C</MenuItem>
            <MenuItem value="°F">°F</MenuItem>
          </TextField>
        )}
        {sensors.length > 0 && (
          <TextField
            select
            label="Sensor"
            value={sensor ?? ''}
            onChange={(event) => onOpen({ ...open, sensor: event.target.value })}
          >
            {sensors.map((it) => (
              <MenuItem key={it} value={it}>
                {it}
              </MenuItem>
            ))}
          </TextField>
        )}
        {more}
        <TableWriting value={match} onChange={(part) => change({ ...match, ...part })} />
      </Box>
      <Button
        variant="contained"
        disabled={busy}
        sx={{ justifySelf: 'start' }}
        onClick={() => {
          const { tracks, report } = readRoles(text, head, match, sensor);
          onTake({ tracks, zone: match.zone, name }, reportWords(name, report));
        }}
      >
        {action}
      </Button>
    </>
  );
}

/** Points of the enclosure matched to what is asked for. */
function FromKept({ points, of, action, busy, onTake }: PartProps & { readonly points: readonly Series[] }) {
  const { db } = useStore();
  const [picked, setPicked] = useState<Partial<Record<Role, string>>>({});
  const candidates = (role: Role): readonly Series[] =>
    points.filter(
      (it) =>
        it.quantity === (role.toLowerCase().endsWith('temperature') ? 'temperature' : 'humidity') &&
        (of === 'room' || (it.place === 'room') === role.startsWith('room')),
    );
  const idOf = (role: Role): string => picked[role] ?? candidates(role)[0]?.id ?? '';
  const take = async (): Promise<void> => {
    const tracks = await Promise.all(
      ASKED[of].map(async (role) => {
        const id = idOf(role);
        return id === '' ? null : ([role, await readTrack(db, id, -Infinity, Infinity)] as const);
      }),
    );
    onTake(
      {
        tracks: Object.fromEntries(tracks.filter((it) => it !== null)),
        zone: zoneHere(),
        name: points.find((it) => it.id === idOf('temperature'))?.name ?? 'Readings kept here',
      },
      null,
    );
  };
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))', gap: 1.25 }}>
        {ASKED[of].map((role) => (
          <TextField
            key={role}
            select
            label={WORD[role]}
            value={idOf(role)}
            onChange={(event) => setPicked({ ...picked, [role]: event.target.value })}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="">none</MenuItem>
            {candidates(role).map((it) => (
              <MenuItem key={it.id} value={it.id}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      <Button variant="contained" disabled={busy} sx={{ justifySelf: 'start' }} onClick={() => void take()}>
        {action}
      </Button>
    </>
  );
}
