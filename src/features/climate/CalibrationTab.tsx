'use client';

import { localDay } from '@/core/time';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { DAY } from '@/core/physics/constants';
import type { Fit } from '@/core/climate';
import type { ClimateRecord } from '@/core/readings';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { ClimateStopped, startCalibration, type Working } from '@/workers/climate';
import { RecordIn } from './RecordIn';
import { percentWord } from './words';
import { difference } from '@/core/units';
import { useReader } from '@/ui/units';

const PROBES = [
  { value: 0, name: 'warm side, at the ground' },
  { value: 1, name: 'warm side, up high' },
  { value: 2, name: 'cool side, at the ground' },
  { value: 3, name: 'cool side, up high' },
] as const;

type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly share: number }
  | { readonly at: 'done'; readonly fit: Fit; readonly name: string }
  | { readonly at: 'failed'; readonly message: string };

/** Holds the model to what a logger saw in this very box. */
export function CalibrationTab() {
  const { write, num } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [state, setState] = useState<State>({ at: 'rest' });
  const [cell, setCell] = useState<0 | 1 | 2 | 3>(0);
  const running = useRef<Working<Fit> | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const { calibration } = design.climate;

  const start = (record: ClimateRecord, name: string): void => {
    setState({ at: 'work', share: 0 });
    const working = startCalibration(
      { design, readings: record.readings, from: record.from, cell },
      catalogue,
      (share) => setState((now) => (now.at === 'work' ? { at: 'work', share } : now)),
    );
    running.current = working;
    working.done.then(
      (fit) => setState({ at: 'done', fit, name }),
      (error: unknown) =>
        setState(
          error instanceof ClimateStopped
            ? { at: 'rest' }
            : { at: 'failed', message: error instanceof Error ? error.message : String(error) },
        ),
    );
  };
  const keep = (fit: Fit, name: string) =>
    edit({
      edit: 'setClimate',
      change: {
        calibration: {
          on: localDay(Date.now()),
          file: name.slice(0, 200),
          exchange: Math.min(50, Math.max(0.02, fit.factors.exchange)),
          wetness: Math.min(50, Math.max(0.02, fit.factors.wetness)),
          gain: Math.min(5, Math.max(0.05, fit.factors.gain)),
          left: { humidity: Math.min(1, fit.left.humidity), temperature: Math.min(50, fit.left.temperature) },
        },
      },
    });

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Calibration">
        {calibration ? (
          <>
            <Typography variant="body2">
              Calibrated on {calibration.on} to {calibration.file}: air exchange ×{' '}
              {num(calibration.exchange, 2)}, wetness × {num(calibration.wetness, 2)}, heat that stays ×{' '}
              {num(calibration.gain, 2)}. On days that were not used it is off by{' '}
              {percentWord(calibration.left.humidity)} of humidity and{' '}
              {write(difference(calibration.left.temperature, 1))} on the mean.
            </Typography>
            <Button
              onClick={() => edit({ edit: 'setClimate', change: { calibration: null } })}
              sx={{ mt: 0.5 }}
            >
              Forget it
            </Button>
          </>
        ) : (
          <Typography variant="body2">
            Nothing yet: it is calculated from the drawing alone. A week of readings from a cheap logger, with
            the mistings and lamps as they are set here, makes the model match this enclosure.
          </Typography>
        )}
      </Panel>
      <Panel label="Read a logger’s file">
        <Typography variant="body2" sx={{ mb: 1 }}>
          CSV with a time, temperature and humidity; the room’s own readings beside them help most. Steady
          humidity alone cannot tell wet ground from stale air: a record with mistings of known size, or with
          lamps that go on and off, can.
        </Typography>
        <TextField
          select
          label="Where the probe was"
          value={cell}
          onChange={(event) => setCell(Number(event.target.value) as 0 | 1 | 2 | 3)}
          sx={{ mt: 0.75, mb: 1.25, minWidth: 240 }}
        >
          {PROBES.map((it) => (
            <MenuItem key={it.value} value={it.value}>
              {it.name}
            </MenuItem>
          ))}
        </TextField>
        <RecordIn
          label="Logger’s file"
          of="enclosure"
          action="Calibrate"
          busy={state.at === 'work'}
          onRecord={start}
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
      {state.at === 'done' && <Found fit={state.fit} onKeep={() => keep(state.fit, state.name)} />}
    </Box>
  );
}

function Found({ fit, onKeep }: { readonly fit: Fit; readonly onKeep: () => void }) {
  const { write, num } = useReader();
  const rows = [
    ['Before', fit.before],
    ['After', fit.after],
  ] as const;
  return (
    <Panel label="Before, after, and what is left">
      <PlainTable label="Errors">
        <thead>
          <tr>
            <th>Root mean square error</th>
            <th className="number">humidity</th>
            <th className="number">temperature</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, it]) => (
            <tr key={name}>
              <td>{name}</td>
              <td className="number">{num(it.humidity * 100, 1)} %</td>
              <td className="number">{write(difference(it.temperature, 2))}</td>
            </tr>
          ))}
          <tr>
            <td>Mean error on the {fit.heldDays} days not used</td>
            <td className="number">{num(fit.left.humidity * 100, 1)} %</td>
            <td className="number">{write(difference(fit.left.temperature, 2))}</td>
          </tr>
        </tbody>
      </PlainTable>
      <Typography variant="body2" sx={{ mt: 1 }}>
        Air exchange × {num(fit.factors.exchange, 2)}, wetness × {num(fit.factors.wetness, 2)}, heat that
        stays × {num(fit.factors.gain, 2)}.
        {!fit.apart &&
          ' The record does not tell wetness from exchange: only their ratio is sure. Mist a weighed amount once while it logs.'}
      </Typography>
      <Fitted fit={fit} what="humidity" />
      <Fitted fit={fit} what="temperature" />
      <Button variant="contained" onClick={onKeep} sx={{ mt: 1 }}>
        Use this calibration
      </Button>
    </Panel>
  );
}

function Fitted({ fit, what }: { readonly fit: Fit; readonly what: 'humidity' | 'temperature' }) {
  const by = what === 'humidity' ? 100 : 1;
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const { t, before, after, heldFrom } = fit.shown;
      const line = (values: readonly number[], colour: string, width: number, type: string) => ({
        type: 'line',
        showSymbol: false,
        data: values.map((value, i) => [(t[i] ?? 0) / DAY, Number((value * by).toFixed(2))]),
        lineStyle: { color: colour, width, type },
      });
      const first = {
        ...line(fit.shown[what], inks.ink, 1.6, 'solid'),
        markArea: {
          silent: true,
          data: [
            [
              { xAxis: heldFrom / DAY, itemStyle: { color: inks.moss, opacity: 0.12 } },
              { xAxis: (t.at(-1) ?? 0) / DAY },
            ],
          ],
        },
      };
      return {
        grid: { left: 40, right: 10, top: 10, bottom: 24 },
        xAxis: {
          type: 'value',
          min: 0,
          max: (t.at(-1) ?? 0) / DAY,
          axisLabel: {
            color: inks.quiet,
            fontFamily: inks.font,
            formatter: (v: number) => `day ${Math.floor(v) + 1}`,
          },
          splitLine: { show: false },
        },
        yAxis: {
          type: 'value',
          scale: true,
          axisLabel: { color: inks.quiet, fontFamily: inks.font, formatter: tick },
          splitLine: { lineStyle: { color: inks.rule } },
        },
        series: [
          first,
          line(before[what], inks.amber, 1.2, 'dotted'),
          line(after[what], inks.water, 1.6, 'dashed'),
        ],
      };
    },
    [fit, what, by],
  );
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ typography: 'body2', fontWeight: 600 }}>
        {what === 'humidity' ? 'Humidity, %' : 'Temperature, °C'}
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          — read; dotted, before; dashed, after; shaded, days not used
        </Box>
      </Box>
      <Chart label={`${what} read, before and after`} height={130} option={option} />
    </Box>
  );
}
