'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { addFromSource, forgetSince, listSeries, ownRows, useActs, useOpenDesign, useStore } from '@/store';
import { useReader } from '@/ui/units';
import { readingWords } from '@/ui/readingWords';
import { useAct } from '@/ui/useAct';
import { DeviceTrouble, hubSince, meter, mistFor, placeBox, scale, setFaults, sourceTracks } from './client';

const FAULTS = [
  { kind: 'none', name: 'Nothing is wrong' },
  { kind: 'dropout', name: 'A probe drops out' },
  { kind: 'stuck', name: 'A probe sticks' },
  { kind: 'drift', name: 'A probe drifts' },
  { kind: 'power-cut', name: 'The power is cut' },
  { kind: 'mist-off', name: 'Nothing is misted' },
  { kind: 'mist-stuck', name: 'The mist does not stop' },
  { kind: 'heat-stuck', name: 'The heat does not stop' },
] as const;

/** The simulated devices of this enclosure: joined, read, set going, and made to fail. */
export function Devices() {
  const { db, settings, set } = useStore();
  const { design } = useOpenDesign();
  const reader = useReader();
  const write = useAct();
  const acts = useActs();
  const joined = settings.joined.includes(design.id);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [fault, setFault] = useState<string>('none');
  const [hours, setHours] = useState(6);

  const attempt = async (work: () => Promise<string>): Promise<void> => {
    setBusy(true);
    setError(null);
    try {
      setSaid(await work());
    } catch (cause) {
      setError(
        cause instanceof DeviceTrouble ? cause.message : `It did not work: ${String(cause)}. Try again.`,
      );
    } finally {
      setBusy(false);
    }
  };
  const join = () =>
    attempt(async () => {
      await placeBox(design, ownRows(settings));
      await set('joined', [...settings.joined.filter((it) => it !== design.id), design.id]);
      return 'Joined. The hub hands over its last two days, then reads on every five seconds while Rincon is open.';
    });
  const part = () =>
    attempt(async () => {
      await set(
        'joined',
        settings.joined.filter((it) => it !== design.id),
      );
      return 'Parted. What was read is kept.';
    });
  const readOne = (which: typeof meter, what: string) =>
    attempt(async () => {
      const got = await which(design.id);
      await addFromSource(db, design.id, sourceTracks(got), Date.now());
      const [first] = got;
      // A meter’s reading belongs in the log too: by it the lamps are replaced.
      if (first?.quantity === 'uvIndex')
        await write('The UV index is written down.', () =>
          acts.record([
            { design: design.id, draft: { kind: 'lamp', values: { uvIndex: first.value }, text: '' } },
          ]),
        );
      return first ? `${what}: ${readingWords(first.value, first.quantity, reader)}.` : `${what}: nothing.`;
    });
  const break_ = () =>
    attempt(async () => {
      const since = Date.now() - hours * 3_600_000;
      await setFaults(design.id, fault === 'none' ? [] : [{ kind: fault, probe: 'warm', hours }]);
      const own = (await listSeries(db, design.id)).filter((it) => it.source?.startsWith('hub/'));
      // What the stand-ins read since is calculated anew, as if it had happened then.
      await forgetSince(
        db,
        own.map((it) => it.id),
        since,
      );
      await addFromSource(db, design.id, sourceTracks(await hubSince(design.id, since)), Date.now());
      return fault === 'none'
        ? 'The stand-ins are sound again.'
        : `As if it had begun ${hours} h ago: the last readings are calculated again.`;
    });
  return (
    <Box
      component="section"
      aria-labelledby="devices"
      sx={{
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
        display: 'grid',
        gap: 1.25,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Box sx={{ flex: 1, minWidth: 240 }}>
          <Typography variant="h3" component="h2" id="devices">
            Devices
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {joined
              ? 'A probe hub, a misting controller, a UV index meter and a scale, simulated from this design as Climate forecasts it.'
              : 'Rincon ships simulated ones that read this design as Climate forecasts it: a hub with three probes, a misting controller, a UV index meter, a scale.'}
          </Typography>
        </Box>
        <Button variant="outlined" disabled={busy} onClick={() => void (joined ? part() : join())}>
          {joined ? 'Part from them' : 'Join the simulated devices'}
        </Button>
      </Box>
      {joined && (
        <>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() =>
                void attempt(async () => {
                  await mistFor(design.id, 10);
                  await write('Misted for 10 s.', () =>
                    acts.record([
                      { design: design.id, draft: { kind: 'mist', values: { seconds: 10 }, text: '' } },
                    ]),
                  );
                  return 'Misted for 10 s.';
                })
              }
            >
              Mist for 10 s
            </Button>
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() => void readOne(meter, 'UV index where it basks')}
            >
              Measure the UV index
            </Button>
            <Button variant="outlined" disabled={busy} onClick={() => void readOne(scale, 'On the scale')}>
              Weigh
            </Button>
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
            <TextField
              select
              label="Try what happens when"
              value={fault}
              onChange={(event) => setFault(event.target.value)}
              sx={{ width: 230 }}
            >
              {FAULTS.map((it) => (
                <MenuItem key={it.kind} value={it.kind}>
                  {it.name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Since"
              value={hours}
              onChange={(event) => setHours(Number(event.target.value))}
              sx={{ width: 130 }}
            >
              {[0, 3, 6, 12, 24].map((it) => (
                <MenuItem key={it} value={it}>
                  {it === 0 ? 'now' : `${it} h ago`}
                </MenuItem>
              ))}
            </TextField>
            <Button disabled={busy} onClick={() => void break_()}>
              Set
            </Button>
          </Box>
        </>
      )}
      <QuietHours />
      <Box role="status">{said && <Typography variant="body2">{said}</Typography>}</Box>
      {error && (
        <Alert severity="error" onClose={() => setError(null)}>
          {error}
        </Alert>
      )}
    </Box>
  );
}

/** Hours in which no alarm is called out; it stands on Today all the same. */
function QuietHours() {
  const { settings, set } = useStore();
  const { quiet } = settings;
  const hour = (at: number): string => `${String(at).padStart(2, '0')}:00`;
  const field = (side: 'from' | 'to', label: string) => (
    <TextField
      select
      label={label}
      value={quiet ? String(quiet[side]) : ''}
      onChange={(event) => {
        const value = event.target.value;
        void set('quiet', value === '' ? null : { from: 22, to: 7, ...quiet, [side]: Number(value) });
      }}
      sx={{ width: 130 }}
    >
      <MenuItem value="">no quiet</MenuItem>
      {Array.from({ length: 24 }, (_, it) => (
        <MenuItem key={it} value={String(it)}>
          {hour(it)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      {field('from', 'Quiet from')}
      {field('to', 'to')}
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {quiet
          ? 'Alarms of all enclosures are not called out then; they stand on Today.'
          : 'Alarms are called out at any hour while Rincon is open.'}
      </Typography>
    </Box>
  );
}
