'use client';

import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  corrected,
  CORRECTED_TABLES,
  isGone,
  type Corrected,
  type CorrectedRows,
  type Correction,
} from '@/core/catalogue';
import { capital, counted, length, light, percent, temperature, type Quantity } from '@/core/units';
import { readCorrections, reviewOf } from '@/files';
import { useOwn, useStore, type OwnRowPut } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
import { BASIS_WORD } from '@/ui/words';
import { useReader, type Reader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';

interface Props {
  /** Of the file. */
  readonly text: string;
  readonly rows: CorrectedRows;
  readonly onClose: () => void;
  readonly onSaid: (said: string) => void;
}

/** What a value is of, by the last word of its path; anything else is a plain number. */
const UNIT: Readonly<Record<string, (si: number) => Quantity>> = {
  length,
  width: length,
  height: length,
  depth: length,
  roots: length,
  digs: length,
  size: length,
  mass: light,
  bears: light,
  basking: temperature,
  warm: temperature,
  cool: temperature,
  night: temperature,
  temperature,
  humidity: percent,
  humidityDay: percent,
  humidityNight: percent,
  wetness: percent,
};

const spaced = (name: string): string => name.replace(/([A-Z])/g, (it) => ` ${it.toLowerCase()}`);
const fieldWords = (field: string): string => capital(field.split('.').map(spaced).join(', '));

function plainWords(value: unknown, field: string, { write, plain }: Reader): string {
  const unit = UNIT[field.split('.').at(-1) ?? ''];
  if (typeof value === 'number') return unit ? write(unit(value), { trim: true }) : plain(value, 4);
  if (typeof value !== 'object' || value === null) return String(value);
  const parts = Object.entries(value).map(([key, it]) => [
    key,
    plainWords(it, field, { write, plain } as Reader),
  ]);
  return 'low' in value && 'high' in value && parts.length === 2
    ? parts.map(([, it]) => it).join(' to ')
    : parts.map(([key, it]) => `${key} ${it}`).join(', ');
}

function words(value: Corrected | undefined, field: string, reader: Reader): string {
  if (value === undefined) return 'none';
  if (isGone(value)) return 'none';
  if (typeof value !== 'object' || value === null) return plainWords(value, field, reader);
  // A rule goes without saying; a work is what one looks for.
  const isWork = value.source !== undefined && value.basis !== 'estimated';
  const mark = isWork ? `${BASIS_WORD[value.basis]}: ${value.source}` : BASIS_WORD[value.basis];
  return `${plainWords(value.value, field, reader)} (${mark})`;
}

const keyOf = ({ table, row, field }: Correction): string => `${table} ${row} ${field}`;

/** Corrections of a file beside what stands here: each is looked at, and those that are wanted are taken over. */
export function CorrectionsDialog({ text, rows, onClose, onSaid }: Props) {
  const reader = useReader();
  const { settings } = useStore();
  const { putAll } = useOwn();
  const undoable = useUndoable();
  const [read] = useState(() => readCorrections(text));
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const reviewed = read.ok ? reviewOf(read.value, rows) : [];
  const wanted = reviewed.filter((it) => it.refused === null && !left.has(keyOf(it.correction)));
  const take = async (): Promise<void> => {
    const after: OwnRowPut[] = [];
    const before: OwnRowPut[] = [];
    for (const kind of CORRECTED_TABLES) {
      const own = wanted.filter((it) => it.correction.table === kind).map((it) => it.correction);
      for (const id of new Set(own.map((it) => it.row))) {
        const row = rows[kind].find((it) => it.id === id);
        if (!row) continue;
        const next = own
          .filter((it) => it.row === id)
          .reduce<typeof row>((now, it) => corrected(now, it.field, it.value), row);
        after.push({ kind, id, row: next });
        before.push({ kind, id, row: settings[kind].some((it) => it.id === id) ? row : null });
      }
    }
    await putAll(after);
    undoable(`${counted(wanted.length, 'correction')} taken over.`, () => putAll(before));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="corrections">
      <DialogTitle id="corrections">Corrections</DialogTitle>
      <DialogContent>
        {!read.ok ? (
          <Alert severity="warning" variant="outlined">
            At <strong>{read.place}</strong>: {read.message}. Nothing was changed.
          </Alert>
        ) : reviewed.length === 0 ? (
          <Typography role="status">All of it stands here already.</Typography>
        ) : (
          <>
            <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
              Look at each: a row that is taken over stands as your own, and can go back to what ships.
            </Typography>
            <PlainTable label="Corrections">
              <thead>
                <tr>
                  <th>Take</th>
                  <th>Of</th>
                  <th>Value</th>
                  <th>Here</th>
                  <th>In the file</th>
                </tr>
              </thead>
              <tbody>
                {reviewed.map(({ correction, here, refused }) => {
                  const key = keyOf(correction);
                  const what = `${fieldWords(correction.field)} of ${correction.name}`;
                  return (
                    <tr key={key}>
                      <td>
                        <Checkbox
                          size="small"
                          checked={refused === null && !left.has(key)}
                          disabled={refused !== null}
                          onChange={(_, isTaken) => {
                            const next = new Set(left);
                            if (isTaken) next.delete(key);
                            else next.add(key);
                            setLeft(next);
                          }}
                          slotProps={{ input: { 'aria-label': `Take ${what}` } }}
                        />
                      </td>
                      <td style={{ whiteSpace: 'normal' }}>{capital(correction.name)}</td>
                      <td style={{ whiteSpace: 'normal' }}>{fieldWords(correction.field)}</td>
                      <td style={{ whiteSpace: 'normal' }}>{words(here, correction.field, reader)}</td>
                      <td style={{ whiteSpace: 'normal' }}>
                        {words(correction.value, correction.field, reader)}
                        {refused !== null && <div className="quiet">Not taken: {refused}.</div>}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </PlainTable>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{wanted.length > 0 ? 'Cancel' : 'Close'}</Button>
        {wanted.length > 0 && (
          <Button
            variant="contained"
            onClick={() =>
              void take().catch((error: unknown) =>
                onSaid(`Not taken over: ${error instanceof Error ? error.message : String(error)}.`),
              )
            }
          >
            Take {wanted.length} over
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
