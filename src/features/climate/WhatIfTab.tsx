'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { WHAT_IFS, type WhatIfId, type WhatIfResult, type Limit } from '@/core/whatIf';
import { humidityAtRecord, type Season } from '@/core/climate';
import { capital, temperature, tank } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { Chart, type Inks, tick } from '@/ui/Chart';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader, type Reader } from '@/ui/units';
import { ClimateStopped, startWhatIf, type Working } from '@/workers/climate';
import { percentWord, SEASON_WORD } from './words';

type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work'; readonly id: WhatIfId }
  | { readonly at: 'done'; readonly result: WhatIfResult }
  | { readonly at: 'failed'; readonly message: string };

/** What happens when something goes wrong, and how long there is. */
export function WhatIfTab({ season }: { readonly season: Season }) {
  const { tell } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const [state, setState] = useState<State>({ at: 'rest' });
  const running = useRef<Working<WhatIfResult> | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const start = (id: WhatIfId): void => {
    running.current?.stop();
    setState({ at: 'work', id });
    const working = startWhatIf(id, design, catalogue, season);
    running.current = working;
    working.done.then(
      (result) => setState({ at: 'done', result }),
      (error: unknown) => {
        if (!(error instanceof ClimateStopped))
          setState({ at: 'failed', message: error instanceof Error ? error.message : String(error) });
      },
    );
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="What if">
        <Typography variant="body2" sx={{ mb: 1 }}>
          Played through in {SEASON_WORD[season]} weather, from the enclosure as it usually stands. Each
          begins at four in the morning.
        </Typography>
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))',
            gap: 1,
          }}
        >
          {WHAT_IFS.map((it) => (
            <Box key={it.id} component="li" sx={{ display: 'grid' }}>
              <Button
                variant="outlined"
                onClick={() => start(it.id)}
                aria-pressed={state.at === 'done' && state.result.id === it.id}
                sx={{
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  alignItems: 'flex-start',
                  height: '100%',
                }}
              >
                <Box component="span">
                  {it.name}
                  <Box
                    component="span"
                    sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}
                  >
                    {tell(it.why)}
                  </Box>
                </Box>
              </Button>
            </Box>
          ))}
        </Box>
        {state.at === 'work' && (
          <Box sx={{ mt: 1.25, display: 'flex', gap: 2, alignItems: 'center' }}>
            <LinearProgress aria-label="Playing it through" sx={{ flex: 1 }} />
            <Button
              onClick={() => {
                running.current?.stop();
                setState({ at: 'rest' });
              }}
            >
              Stop
            </Button>
          </Box>
        )}
        {state.at === 'failed' && (
          <Alert severity="error" sx={{ mt: 1 }}>
            It failed: {state.message}. Try again.
          </Alert>
        )}
      </Panel>
      {state.at === 'done' && <Played result={state.result} />}
    </Box>
  );
}

const timeWord = (hours: number, { num }: Reader): string =>
  hours < 1
    ? `${Math.max(1, Math.round(hours * 60))} min`
    : hours < 48
      ? `${num(hours, hours < 10 ? 1 : 0)} h`
      : `${num(hours / 24, 1)} days`;

function Played({ result }: { readonly result: WhatIfResult }) {
  const reader = useReader();
  const { write } = reader;
  const playWhatIf = WHAT_IFS.find((it) => it.id === result.id);
  const passed = [...result.limits]
    .filter((it) => it.after !== null)
    .sort((a, b) => (a.after ?? 0) - (b.after ?? 0));
  const first = passed[0];
  const worst = (it: Limit): string =>
    it.what === 'too hot' || it.what === 'too cold'
      ? write(temperature(it.worst))
      : it.what === 'nothing to drink' || it.what === 'water over the barrier'
        ? write(tank(Math.max(0, it.worst) / 1000))
        : percentWord(it.worst);
  return (
    <Panel label={playWhatIf?.name ?? 'What if'}>
      <Typography role="status" sx={{ fontWeight: 600 }}>
        {first
          ? first.after === 0
            ? `It is ${phrase(first.what)} before it begins: fix that first.`
            : `After ${timeWord(first.after ?? 0, reader)} it is ${phrase(first.what)}.`
          : 'Nothing passes its limits while it lasts.'}
      </Typography>
      <Chart
        label={`Temperature and humidity in the what-if: ${playWhatIf?.name ?? ''}`}
        height={170}
        option={useDrawn(result)}
      />
      <PlainTable label="Limits">
        <thead>
          <tr>
            <th>Limit</th>
            <th className="number">passed after</th>
            <th className="number">worst</th>
          </tr>
        </thead>
        <tbody>
          {result.limits.map((it) => (
            <tr key={it.what}>
              <td>{capital(it.what)}</td>
              <td className="number">{it.after === null ? 'not at all' : timeWord(it.after, reader)}</td>
              <td className="number">{worst(it)}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      <Typography variant="body2" sx={{ mt: 1 }}>
        {result.buys.length > 0
          ? `What buys time: ${result.buys.map((it) => `${it.what.charAt(0).toLowerCase()}${it.what.slice(1)} (${timeWord(it.hours, reader)} more)`).join('; ')}.`
          : first
            ? 'Nothing that was tried buys time: somebody has to come.'
            : 'Nothing needs to buy time.'}
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        Limits are a few degrees and a fifth of humidity beyond its band, where it is mildest, or the heat
        that is told to harm it: hours an animal bears, not days.
      </Typography>
    </Panel>
  );
}

const phrase = (what: Limit['what']): string =>
  what === 'nothing to drink'
    ? 'without anything to drink'
    : what === 'water over the barrier'
      ? 'flooded to the barrier'
      : what === 'soil dry'
        ? 'dry in the soil'
        : what;

function useDrawn({ run, began, zones }: WhatIfResult): (inks: Inks) => EChartsCoreOption {
  return useCallback(
    (inks: Inks) => {
      const hours = Array.from(run.t, (t) => t / 3600);
      const line = (
        value: (record: number) => number,
        colour: string,
        axis: number,
        type: string,
        by: number,
      ) => ({
        type: 'line',
        yAxisIndex: axis,
        showSymbol: false,
        data: hours.map((h, i) => [h, Number((value(i) * by).toFixed(2))]),
        lineStyle: { color: colour, width: 1.8, type },
      });
      const label = { color: inks.quiet, fontFamily: inks.font, fontSize: 11 };
      return {
        grid: { left: 40, right: 40, top: 24, bottom: 24 },
        xAxis: {
          type: 'value',
          min: 0,
          max: hours.at(-1) ?? 24,
          interval: (hours.at(-1) ?? 24) > 60 ? 24 : 6,
          axisLabel: { ...label, formatter: (v: number) => `${v} h` },
          splitLine: { show: false },
        },
        yAxis: [
          {
            type: 'value',
            scale: true,
            name: '°C, warm and (dashed) cool',
            nameTextStyle: { ...label, align: 'left' },
            axisLabel: { ...label, formatter: tick },
            splitLine: { lineStyle: { color: inks.rule } },
          },
          {
            type: 'value',
            min: 0,
            max: 100,
            name: '% (dotted)',
            nameTextStyle: { ...label, align: 'right' },
            axisLabel: { ...label, formatter: tick },
            splitLine: { show: false },
          },
        ],
        series: [
          {
            ...line((i) => run.series[zones.warm][i] ?? 0, inks.clay, 0, 'solid', 1),
            markLine: {
              silent: true,
              symbol: 'none',
              data: [{ xAxis: began, lineStyle: { color: inks.ink, type: 'solid' }, label: { show: false } }],
            },
          },
          line((i) => run.series[zones.cool][i] ?? 0, inks.clay, 0, 'dashed', 1),
          line((i) => humidityAtRecord(run, zones, i), inks.water, 1, 'dotted', 100),
        ],
      };
    },
    [run, began, zones],
  );
}
