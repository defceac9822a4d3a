'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { humidityAtRecord } from '@/core/climate';
import { applyEdit, type EditCall } from '@/core/edits';
import { capital, difference, tank, temperature } from '@/core/units';
import { WHAT_IFS, type FirstSign, type Limit, type Prevention, type WhatIfResult } from '@/core/whatIf';
import { useOpenDesign, useStore } from '@/store';
import { Chart, tick, type Inks } from '@/ui/Chart';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader, type Reader } from '@/ui/units';
import { percentWord } from './words';

const timeWord = (hours: number, { num }: Reader): string =>
  hours < 1
    ? `${Math.max(1, Math.round(hours * 60))} min`
    : hours < 48
      ? `${num(hours, hours < 10 ? 1 : 0)} h`
      : `${num(hours / 24, 1)} days`;

/** What came of it: when which limit is passed, how it shows first, and what buys time. */
export function Played({
  result,
  onBuild,
}: {
  readonly result: WhatIfResult;
  readonly onBuild: (calls: readonly EditCall[]) => void;
}) {
  const reader = useReader();
  const { write } = reader;
  const title = result.ids
    .map((id) => WHAT_IFS.find((it) => it.id === id)?.name ?? id)
    .map((name, i) => (i === 0 ? name : `${name.charAt(0).toLowerCase()}${name.slice(1)}`))
    .join(', and ');
  const passed = [...result.limits]
    .filter((it) => it.after !== null)
    .sort((a, b) => (a.after ?? 0) - (b.after ?? 0));
  const first = passed[0];
  const value = (it: Limit, worst: number): string =>
    /too (hot|cold)$/.test(it.what)
      ? write(temperature(worst))
      : it.what === 'nothing to drink' ||
          it.what === 'water over the barrier' ||
          it.what === 'water over its edge'
        ? write(tank(Math.max(0, worst) / 1000))
        : percentWord(worst);
  const when = (after: number | null): string => (after === null ? 'not at all' : timeWord(after, reader));
  const endsWords = (it: Limit, [warm, cool]: NonNullable<Limit['ends']>): string => {
    const [low, high] = warm.worst < cool.worst ? [warm, cool] : [cool, warm];
    const worst = `${value(it, low.worst)} to ${value(it, high.worst)}`;
    if (warm.after === null && cool.after === null) return worst;
    const sooner = (warm.after ?? Infinity) < (cool.after ?? Infinity) ? [warm, cool] : [cool, warm];
    return `${worst}, after ${when(sooner[0]?.after ?? null)} to ${when(sooner[1]?.after ?? null)}`;
  };
  const hasEnds = result.limits.some((it) => it.ends !== null);
  return (
    <Panel label={title}>
      <Typography role="status" sx={{ fontWeight: 600 }}>
        {first
          ? first.after === 0
            ? `It is ${phrase(first.what)} before it begins: fix that first.`
            : `After ${timeWord(first.after ?? 0, reader)} it is ${phrase(first.what)}.`
          : 'Nothing passes its limits while it lasts.'}
      </Typography>
      {result.sign && (
        <Typography variant="body2" sx={{ mb: 1 }}>
          {signWords(result.sign, reader)}
        </Typography>
      )}
      <Chart
        label={`Temperature and humidity in the what-if: ${title}`}
        height={170}
        option={useDrawn(result)}
      />
      <PlainTable label="Limits">
        <thead>
          <tr>
            <th>Limit</th>
            <th className="number">passed after</th>
            <th className="number">worst</th>
            {hasEnds && <th className="number">as far as the calibration tells</th>}
          </tr>
        </thead>
        <tbody>
          {result.limits.map((it) => (
            <tr key={it.what}>
              <td>{capital(it.what)}</td>
              <td className="number">{when(it.after)}</td>
              <td className="number">{value(it, it.worst)}</td>
              {hasEnds && <td className="number">{it.ends ? endsWords(it, it.ends) : '–'}</td>}
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {result.buys.length > 0 ? (
        <>
          <Typography variant="body2" sx={{ mt: 1, fontWeight: 600 }}>
            What buys time, played through
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {result.buys.map((it) => (
              <BuysTime key={it.what} prevention={it} onBuild={onBuild} />
            ))}
          </Box>
        </>
      ) : (
        <Typography variant="body2" sx={{ mt: 1 }}>
          {first ? 'Nothing that was tried buys time: somebody has to come.' : 'Nothing needs to buy time.'}
        </Typography>
      )}
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
        Limits are a few degrees and a fifth of humidity beyond its band, where it is mildest, or the heat
        that is told to harm it: hours an animal bears, not days.
      </Typography>
    </Panel>
  );
}

/** One way to gain time; what can be built in is, by a button, with what it adds to the list. */
function BuysTime({
  prevention,
  onBuild,
}: {
  readonly prevention: Prevention;
  readonly onBuild: (calls: readonly EditCall[]) => void;
}) {
  const reader = useReader();
  const { catalogue, settings } = useStore();
  const { design } = useOpenDesign();
  const { what, hours, calls } = prevention;
  const price = useMemo(() => {
    if (calls.length === 0) return null;
    const other = calls.reduce((own, call) => applyEdit(own, call, catalogue), design);
    const cost = (of: typeof design): number =>
      buyingOf(
        [{ design: of, assessment: assess(of, catalogue) }],
        catalogue,
        {},
        settings.spare,
        settings.prices,
      ).price;
    return cost(other) - cost(design);
  }, [calls, catalogue, design, settings]);
  return (
    <Box
      component="li"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, py: 0.25 }}
    >
      <Typography variant="body2" sx={{ flex: '1 1 16rem' }}>
        {`${what}: ${timeWord(hours, reader)} more`}
        {price === null
          ? ', done when it happens'
          : price > 0.005
            ? `, ${reader.money(price)} more on the list`
            : price < -0.005
              ? `, ${reader.money(-price)} less on the list`
              : ', nothing more on the list'}
      </Typography>
      {calls.length > 0 && (
        <Button size="small" onClick={() => onBuild(calls)} aria-label={`Build it in: ${what}`}>
          Build it in
        </Button>
      )}
    </Box>
  );
}

/** How it shows first, as one says it. */
function signWords({ side, quantity, after, by }: FirstSign, reader: Reader): string {
  const place = side === 'warm' ? 'on the warm side' : 'on the cool side';
  const time = timeWord(after, reader);
  if (quantity === 'temperature') {
    const much = reader.write(difference(Math.abs(by), 1));
    return by > 0
      ? `Readings show it first ${place}, ${time} after it began: ${much} warmer than usual.`
      : `Readings show it first ${place}, ${time} after it began: ${much} cooler than usual.`;
  }
  const points = reader.num(Math.abs(by) * 100, 0);
  return by > 0
    ? `Readings show it first ${place}, ${time} after it began: ${points} points damper than usual.`
    : `Readings show it first ${place}, ${time} after it began: ${points} points drier than usual.`;
}

const phrase = (what: Limit['what']): string =>
  what === 'basking spot too hot'
    ? 'too hot at the basking spot'
    : what === 'warm side too hot'
      ? 'too hot on the warm side'
      : what === 'nothing to drink'
        ? 'without anything to drink'
        : what === 'water over the barrier'
          ? 'flooded to the barrier'
          : what === 'water over its edge'
            ? 'full to its watertight edge'
            : what === 'water stands in the soil'
              ? 'flooded in the soil'
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
