'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback } from 'react';
import type { Fit, Quantity, Shown } from '@/core/calibration';
import { DAY } from '@/core/physics/constants';
import { difference } from '@/core/units';
import { Chart, tick, type Inks } from '@/ui/Chart';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';

const FACTORS = [
  { name: 'exchange', word: 'Air exchange' },
  { name: 'wetness', word: 'How freely what is wet dries' },
  { name: 'gain', word: 'Heat that stays' },
] as const;
const isOdd = (factor: number): boolean => factor < 1 / 3 || factor > 3;

/** What calibration came to: factors with what they leave open, errors before and after, and both against what was read. */
export function Found({ fit, onKeep }: { readonly fit: Fit; readonly onKeep: () => void }) {
  const { write, num } = useReader();
  const warmth = (value: number | null): string => (value === null ? '–' : write(difference(value, 2)));
  const damp = (value: number | null): string => (value === null ? '–' : `${num(value * 100, 1)} %`);
  const odd = FACTORS.filter(({ name }) => isOdd(fit.factors[name]));
  return (
    <Panel label="Before, after, and what is left">
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <PlainTable label="Factors">
          <thead>
            <tr>
              <th>Against the drawing</th>
              <th className="number">factor</th>
              <th className="number">19 times in 20</th>
            </tr>
          </thead>
          <tbody>
            {FACTORS.map(({ name, word }) => (
              <tr key={name}>
                <td>{word}</td>
                <td className="number">{num(fit.factors[name], 2)}</td>
                <td className="number">
                  {num(fit.intervals[name][0], 2)} to {num(fit.intervals[name][1], 2)}
                </td>
              </tr>
            ))}
          </tbody>
        </PlainTable>
        <PlainTable label="Errors">
          <thead>
            <tr>
              <th>Root mean square error</th>
              <th className="number">humidity</th>
              <th className="number">temperature</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>Before</td>
              <td className="number">{damp(fit.before.humidity)}</td>
              <td className="number">{warmth(fit.before.temperature)}</td>
            </tr>
            <tr>
              <td>After</td>
              <td className="number">{damp(fit.after.humidity)}</td>
              <td className="number">{warmth(fit.after.temperature)}</td>
            </tr>
            {fit.leftOf.map((it) => (
              <tr key={it.name}>
                <td>
                  {it.name}, on the {num(fit.heldDays, 1)} days not used
                </td>
                <td className="number">{damp(it.humidity)}</td>
                <td className="number">{warmth(it.temperature)}</td>
              </tr>
            ))}
            {fit.leftAtMist !== null && (
              <tr>
                <td>In the two hours after each misting of those days</td>
                <td className="number">{damp(fit.leftAtMist)}</td>
                <td className="number">–</td>
              </tr>
            )}
          </tbody>
        </PlainTable>
      </Box>
      {odd.length > 0 && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          A factor under a third or over three says that something is not as it is drawn: look at cover,
          vents, layers and lamps before you use it.
        </Alert>
      )}
      <Typography variant="body2" component="div" sx={{ mt: 1, display: 'grid', gap: 0.5 }}>
        {!fit.apart && (
          <span>
            The readings do not tell wetness from exchange: only their ratio is sure. Mist a weighed amount
            once while it logs.
          </span>
        )}
        {fit.clock !== 0 && (
          <span>
            {fit.clock > 0
              ? `The clock of the readings is ${num(fit.clock, 2)} h late by its lamps: it was set right.`
              : `The clock of the readings is ${num(-fit.clock, 2)} h early by its lamps: it was set right.`}
          </span>
        )}
        {fit.room.warmer !== null && Math.abs(fit.room.warmer) >= 0.5 && (
          <span>
            {fit.room.warmer > 0
              ? `The room was not read: it must have been ${write(difference(fit.room.warmer, 1))} warmer than it is set.`
              : `The room was not read: it must have been ${write(difference(-fit.room.warmer, 1))} cooler than it is set.`}
          </span>
        )}
        {fit.room.vapour !== null && Math.abs(fit.room.vapour - 1) >= 0.1 && (
          <span>
            The room’s humidity was not read: its air must have held {num(fit.room.vapour * 100, 0)} % of the
            vapour that is set.
          </span>
        )}
      </Typography>
      {fit.shown.map((it) => (
        <Fitted key={`${it.name} ${it.quantity}`} shown={it} heldFrom={fit.heldFrom} />
      ))}
      <Button variant="contained" onClick={onKeep} sx={{ mt: 1 }}>
        Use this calibration
      </Button>
    </Panel>
  );
}

const HEAD: Readonly<Record<Quantity, string>> = { humidity: 'humidity, %', temperature: 'temperature, °C' };

function Fitted({ shown, heldFrom }: { readonly shown: Shown; readonly heldFrom: number }) {
  const { name, quantity } = shown;
  const by = quantity === 'humidity' ? 100 : 1;
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const { t, read, before, after } = shown;
      const line = (values: readonly number[], colour: string, width: number, type: string) => ({
        type: 'line',
        showSymbol: false,
        data: values.map((value, i) => [(t[i] ?? 0) / DAY, Number((value * by).toFixed(2))]),
        lineStyle: { color: colour, width, type },
      });
      const first = {
        ...line(read, inks.ink, 1.6, 'solid'),
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
        series: [first, line(before, inks.amber, 1.2, 'dotted'), line(after, inks.water, 1.6, 'dashed')],
      };
    },
    [shown, heldFrom, by],
  );
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ typography: 'body2', fontWeight: 600 }}>
        {name}: {HEAD[quantity]}
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          — read; dotted, before; dashed, after; shaded, days not used
        </Box>
      </Box>
      <Chart label={`${name}: ${quantity} read, before and after`} height={130} option={option} />
    </Box>
  );
}
