'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { inputOf, type Fit, type ProbeTracks } from '@/core/calibration';
import { CALIBRATED_PARTS, changedParts, marksOf, type CalibratedPart } from '@/core/climate';
import type { Design } from '@/core/document';
import { dayPlus, localDay } from '@/core/time';
import { difference } from '@/core/units';
import { ZoneClock } from '@/files';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { dayWords } from '@/ui/days';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { ClimateStopped, startCalibration, type Working } from '@/workers/climate';
import { Found } from './CalibrationFound';
import { KeptProbes } from './KeptProbes';
import { RecordIn, zoneHere } from './RecordIn';
import { percentWord } from './words';

const PROBES = [
  { value: 'warm', name: 'warm side, at the ground' },
  { value: 'warm high', name: 'warm side, up high' },
  { value: 'cool', name: 'cool side, at the ground' },
  { value: 'cool high', name: 'cool side, up high' },
] as const;

/** Readings that are, or were, calibrated to: what they are called, and the days they are of. */
interface Source {
  readonly name: string;
  readonly since: string;
  readonly until: string;
}

type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly share: number }
  | { readonly at: 'done'; readonly fit: Fit; readonly source: Source }
  | { readonly at: 'failed'; readonly message: string };

/** Holds the model to what probes read in this very box. */
export function CalibrationTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [state, setState] = useState<State>({ at: 'rest' });
  const [where, setWhere] = useState<(typeof PROBES)[number]['value']>('warm');
  const running = useRef<Working<Fit> | null>(null);
  useEffect(() => () => running.current?.stop(), []);

  /** Begins, or says why it cannot. */
  const start = (
    name: string,
    probes: readonly ProbeTracks[],
    room: Pick<ProbeTracks, 'temperature' | 'humidity'>,
    zone: string,
  ): string | null => {
    const clock = new ZoneClock(zone);
    const made = inputOf(design, probes, room, (utc) => clock.offset(utc));
    if (!made) return 'nothing was read in it';
    const source = { name, since: made.since, until: dayPlus(made.since, made.days) };
    setState({ at: 'work', share: 0 });
    const working = startCalibration(made.input, catalogue, (share) =>
      setState((now) => (now.at === 'work' ? { at: 'work', share } : now)),
    );
    running.current = working;
    working.done.then(
      (fit) => setState({ at: 'done', fit, source }),
      (error: unknown) =>
        setState(
          error instanceof ClimateStopped
            ? { at: 'rest' }
            : { at: 'failed', message: error instanceof Error ? error.message : String(error) },
        ),
    );
    return null;
  };
  const keep = (fit: Fit, source: Source) => {
    edit({ edit: 'setClimate', change: { calibration: calibrationOf(design, fit, source) } });
    setState({ at: 'rest' });
  };

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Kept />
      <Panel label="What it is calibrated to">
        <Typography variant="body2" sx={{ mb: 1 }}>
          Temperature and humidity over some days, of one probe or several; the room’s own readings beside
          them help most. Steady humidity alone cannot tell wet ground from stale air: days with mistings at
          the times that are set, or with lamps that go on and off, can.
        </Typography>
        <RecordIn
          label="Logger’s file"
          of="enclosure"
          action="Calibrate"
          busy={state.at === 'work'}
          onTake={({ tracks, zone, name }) => {
            const { temperature, humidity, roomTemperature, roomHumidity } = tracks;
            if (!temperature && !humidity) return 'choose where temperature and humidity come from';
            return start(
              name,
              [{ name, where, temperature: temperature ?? null, humidity: humidity ?? null }],
              { temperature: roomTemperature ?? null, humidity: roomHumidity ?? null },
              zone,
            );
          }}
          more={
            <TextField
              select
              label="Where the logger of a file hung"
              value={where}
              onChange={(event) => setWhere(event.target.value as typeof where)}
            >
              {PROBES.map((it) => (
                <MenuItem key={it.value} value={it.value}>
                  {it.name}
                </MenuItem>
              ))}
            </TextField>
          }
          kept={
            <KeptProbes
              busy={state.at === 'work'}
              onTake={(probes, room) => {
                const fault = start(namesOf(probes), probes, room, zoneHere());
                if (fault) setState({ at: 'failed', message: fault });
              }}
            />
          }
        />
        {state.at === 'work' && (
          <Box sx={{ mt: 1.25, display: 'flex', gap: 2, alignItems: 'center' }}>
            <LinearProgress
              variant="determinate"
              value={state.share * 100}
              aria-label="Calibrating"
              sx={{ flex: 1 }}
            />
            <Button onClick={() => running.current?.stop()}>Stop</Button>
          </Box>
        )}
        {state.at === 'failed' && (
          <Alert severity="error" sx={{ mt: 1.25 }}>
            It could not be calibrated: {state.message}.
          </Alert>
        )}
      </Panel>
      {state.at === 'done' && <Found fit={state.fit} onKeep={() => keep(state.fit, state.source)} />}
    </Box>
  );
}

const namesOf = (probes: readonly ProbeTracks[]): string =>
  new Intl.ListFormat('en', { type: 'conjunction' }).format(probes.map((it) => it.name));

const within = (low: number, high: number) => (value: number) => Math.min(high, Math.max(low, value));

function calibrationOf(design: Design, fit: Fit, { name, since, until }: Source) {
  const factor = within(0.02, 50);
  const interval = ([low, high]: readonly [number, number]): [number, number] => [
    Math.max(0.001, low),
    Math.min(1000, high),
  ];
  return {
    on: localDay(Date.now()),
    file: name.slice(0, 200),
    since,
    until,
    exchange: factor(fit.factors.exchange),
    wetness: factor(fit.factors.wetness),
    gain: within(0.05, 5)(fit.factors.gain),
    intervals: {
      exchange: interval(fit.intervals.exchange),
      wetness: interval(fit.intervals.wetness),
      gain: interval(fit.intervals.gain),
    },
    left: {
      humidity: fit.left.humidity === null ? null : Math.min(1, fit.left.humidity),
      temperature: fit.left.temperature === null ? null : Math.min(50, fit.left.temperature),
    },
    marks: marksOf(design),
  };
}

const PART_WORD: Readonly<Record<CalibratedPart, string>> = {
  shell: 'its walls, openings or vents',
  heat: 'its lamps, heaters or other devices',
  ground: 'its layers',
};

/** What is kept, how good it is, and whether it still holds. */
function Kept() {
  const { write, num } = useReader();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { calibration } = design.climate;
  if (!calibration)
    return (
      <Panel label="Calibration">
        <Typography variant="body2">
          Nothing yet: it is calculated from the drawing alone. A week of readings, with the mistings and
          lamps as they are set here, makes the model match this enclosure.
        </Typography>
      </Panel>
    );
  const changed = changedParts(design);
  const { left, intervals } = calibration;
  const factor = (name: 'exchange' | 'wetness' | 'gain'): string =>
    `${num(calibration[name], 2)} (${num(intervals[name][0], 2)} to ${num(intervals[name][1], 2)})`;
  return (
    <Panel label="Calibration">
      {changed.length > 0 && (
        <Alert severity="warning" sx={{ mb: 1 }}>
          {changed.length === CALIBRATED_PARTS.length
            ? 'It is of another state of the enclosure and is not used. Calibrate it again.'
            : `Since then ${new Intl.ListFormat('en', { type: 'conjunction' }).format(changed.map((it) => PART_WORD[it]))} were changed: it is not used. Calibrate again with readings from after the change.`}
        </Alert>
      )}
      <Typography variant="body2">
        Calibrated on {dayWords(calibration.on)} to {calibration.file}, {dayWords(calibration.since)} to{' '}
        {dayWords(calibration.until)}: air exchange × {factor('exchange')}, how freely what is wet dries ×{' '}
        {factor('wetness')}, heat that stays × {factor('gain')}. In brackets: between which each lies, 19
        times in 20.
      </Typography>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        {left.temperature !== null && left.humidity !== null
          ? `On days that were not used it is off by ${write(difference(left.temperature, 1))} and ${percentWord(left.humidity)} of humidity.`
          : left.temperature !== null
            ? `On days that were not used it is off by ${write(difference(left.temperature, 1))}.`
            : left.humidity !== null
              ? `On days that were not used it is off by ${percentWord(left.humidity)} of humidity.`
              : 'No day was left to judge it by.'}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        {changed.length > 0 && changed.length < CALIBRATED_PARTS.length && (
          <Button
            onClick={() =>
              edit({
                edit: 'setClimate',
                change: { calibration: { ...calibration, marks: marksOf(design) } },
              })
            }
          >
            It still holds: use it
          </Button>
        )}
        <Button onClick={() => edit({ edit: 'setClimate', change: { calibration: null } })}>Forget it</Button>
      </Box>
    </Panel>
  );
}
