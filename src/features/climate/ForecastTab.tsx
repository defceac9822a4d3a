'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback } from 'react';
import type { Answers, Forecast, SeriesName } from '@/core/climate';
import { mass, percent, temperature } from '@/core/units';
import { Chart, type Inks } from '@/ui/Chart';
import { PlainTable } from '@/ui/PlainTable';
import { useReader, type Reader } from '@/ui/units';
import { clock, percentWord } from './words';

/** What the forecast comes to: figures, curves, and the box in words. */
export function ForecastTab({ forecast, at }: { readonly forecast: Forecast; readonly at: number }) {
  const reader = useReader();
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Tiles answers={forecast.answers} />
      <Curves forecast={forecast} at={at} what="humidity" />
      <Curves forecast={forecast} at={at} what="warmth" />
      <InBand answers={forecast.answers} reader={reader} />
      <Water answers={forecast.answers} reader={reader} />
    </Box>
  );
}

const hours = (value: number): string => `${value.toFixed(value < 9.95 ? 1 : 0)} h`;
const days = (value: number): string =>
  value < 1.5 ? 'a day' : value > 400 ? 'over a year' : `${Math.round(value)} days`;
const litres = (kg: number): string => (kg < 0.1 ? `${Math.round(kg * 1000)} mL` : `${kg.toFixed(2)} L`);

function Tiles({ answers }: { readonly answers: Answers }) {
  const tiles: readonly (readonly [string, string])[] = [
    [percentWord(answers.humidInside), 'of hours inside the humidity band'],
    [hours(answers.wetPerDay), 'a day with wet leaves'],
    [hours(answers.foggedPerDay), 'a day with fogged glass'],
    [
      litres(answers.waterPerDay),
      answers.bottleDays === null
        ? 'misted a day'
        : `misted a day · bottle lasts ${days(answers.bottleDays)}`,
    ],
    [
      answers.bedDays === null ? 'does not fill' : days(answers.bedDays),
      answers.bedDays === null ? 'the drainage, at this mist' : 'until the drainage is full',
    ],
    [`${(answers.energyPerDay / 3.6e6).toFixed(2)} kWh`, 'a day'],
  ];
  return (
    <Box
      component="dl"
      aria-label="What it comes to"
      sx={{ m: 0, display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1 }}
    >
      {tiles.map(([value, label]) => (
        <Box
          key={label}
          sx={{
            bgcolor: 'earth.card',
            border: 1,
            borderColor: 'earth.rule',
            borderRadius: '12px',
            px: 1.5,
            py: 1,
            display: 'flex',
            flexDirection: 'column-reverse',
            justifyContent: 'flex-end',
          }}
        >
          <Box component="dt" sx={{ typography: 'caption', color: 'earth.quiet', lineHeight: 1.3 }}>
            {label}
          </Box>
          <Box component="dd" sx={{ m: 0, typography: 'h3', fontVariantNumeric: 'tabular-nums' }}>
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const WHAT = {
  humidity: {
    title: 'Humidity',
    sides: 'ground and canopy',
    series: ['rh0', 'rh1'] as const,
    scale: 100,
    min: 0,
    max: 100,
  },
  warmth: {
    title: 'Warmth',
    sides: 'warm and cool side, basking place',
    series: ['air0', 'air2', 'spot0'] as const,
    scale: 1,
    min: undefined,
    max: undefined,
  },
};

interface Drawn {
  readonly x: number;
  readonly y: number;
}

/** One value a record; for a year the mean of each day. */
function points({ run, asked }: Forecast, name: SeriesName, by: (value: number) => number): Drawn[] {
  const values = run.series[name];
  if (asked.span !== 'year')
    return Array.from(values, (value, i) => ({ x: (run.t[i] ?? 0) / 3600, y: by(value) }));
  const drawn: Drawn[] = [];
  for (let day = 0; day < run.days; day += 1) {
    let sum = 0;
    for (let i = 1; i <= 24; i += 1) sum += values[day * 24 + i] ?? 0;
    drawn.push({ x: day, y: by(sum / 24) });
  }
  return drawn;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

function Curves({
  forecast,
  at,
  what,
}: {
  readonly forecast: Forecast;
  readonly at: number;
  readonly what: keyof typeof WHAT;
}) {
  const { write } = useReader();
  const { title, sides, series, scale, min, max } = WHAT[what];
  const { span } = forecast.asked;
  const spotted = forecast.answers.basking !== null;
  const label = `${title} through the ${span}: ${sides}`;
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const inPerson = (value: number): number =>
        what === 'warmth'
          ? Number.parseFloat(write(temperature(value), { bare: true, decimals: 2 }))
          : value * scale;
      const shown = series.filter((name) => name !== 'spot0' || spotted);
      const colour = what === 'humidity' ? inks.water : inks.clay;
      const { bands, light, mists, run } = forecast;
      const whole = span === 'year' ? run.days : (run.days * 86_400) / 3600;
      const light_ = { from: light.from / 3600, to: light.to / 3600 };
      const area = (from: number, to: number, band: { low: number; high: number }) => [
        { xAxis: from, yAxis: inPerson(band.low), itemStyle: { color: inks.moss, opacity: 0.17 } },
        { xAxis: to, yAxis: inPerson(band.high) },
      ];
      const byDay = what === 'humidity' ? bands.humidityDay : { low: bands.cool.low, high: bands.warm.high };
      const byNight = what === 'humidity' ? bands.humidityNight : bands.night;
      const stretches: (readonly [number, number, boolean])[] = [];
      if (span === 'year') stretches.push([0, whole, true]);
      else
        for (let day = 0; day < run.days; day += 1) {
          const from = day * 24;
          stretches.push(
            [from, from + light_.from, false],
            [from + light_.from, from + light_.to, true],
            [from + light_.to, from + 24, false],
          );
        }
      const shade = stretches
        .filter(([, , lit]) => !lit)
        .map(([from, to]) => [{ xAxis: from, itemStyle: { color: inks.ink, opacity: 0.05 } }, { xAxis: to }]);
      return {
        grid: { left: 42, right: 14, top: 14, bottom: 26 },
        xAxis: {
          type: 'value',
          min: 0,
          max: whole,
          interval: span === 'day' ? 3 : span === 'week' ? 24 : 365 / 12,
          axisLabel: {
            color: inks.quiet,
            fontFamily: inks.font,
            fontSize: 11,
            formatter: (value: number) =>
              span === 'day'
                ? clock(value * 60)
                : span === 'week'
                  ? `day ${Math.round(value / 24) + 1}`
                  : (MONTHS[Math.round(value / (365 / 12))] ?? ''),
          },
          splitLine: { show: false },
          axisLine: { lineStyle: { color: inks.rule } },
        },
        yAxis: {
          type: 'value',
          ...(min === undefined ? {} : { min }),
          ...(max === undefined ? {} : { max }),
          scale: true,
          axisLabel: {
            color: inks.quiet,
            fontFamily: inks.font,
            fontSize: 11,
            formatter: (value: number) => String(Math.round(value * 10) / 10),
          },
          splitLine: { lineStyle: { color: inks.rule } },
        },
        series: shown.map((name, index) => ({
          type: 'line',
          showSymbol: false,
          data: points(forecast, name, inPerson).map(({ x, y }) => [x, Number(y.toFixed(2))]),
          lineStyle: {
            color: name === 'spot0' ? inks.amber : colour,
            width: index === 0 ? 2.2 : 1.4,
            opacity: index === 1 ? 0.75 : 1,
            type: index === 1 ? 'dashed' : 'solid',
          },
          ...(index === 0
            ? {
                markArea: {
                  silent: true,
                  data: [
                    ...shade,
                    ...stretches.map(([from, to, lit]) => area(from, to, lit ? byDay : byNight)),
                  ],
                },
                markLine: {
                  silent: true,
                  symbol: 'none',
                  data: [
                    ...(span === 'year'
                      ? []
                      : mists.map((t) => ({
                          xAxis: t / 3600,
                          lineStyle: { color: inks.water, type: 'dotted' },
                          label: { show: false },
                        }))),
                    ...(span === 'day'
                      ? [
                          {
                            xAxis: (run.t[at] ?? 0) / 3600,
                            lineStyle: { color: inks.clay, width: 1.5, type: 'solid' },
                            label: { show: false },
                          },
                        ]
                      : []),
                  ],
                },
              }
            : {}),
        })),
      };
    },
    [forecast, at, what, write, scale, series, spotted, span, min, max],
  );
  const unit = what === 'warmth' ? write(temperature(20)).replace(/[\d.,\s]/g, '') : '%';
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="body2" component="h2" sx={{ fontWeight: 600 }}>
        {title}, {unit}
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          — {what === 'humidity' ? 'at the ground; dashed, in the canopy' : 'warm side; dashed, cool side'}
          {what === 'warmth' && spotted ? '; amber, basking place' : ''}
          {span === 'year' ? ', mean of each day' : ''}
        </Box>
      </Typography>
      <Chart label={label} height={148} option={option} />
    </Box>
  );
}

function InBand({ answers, reader: { write } }: { readonly answers: Answers; readonly reader: Reader }) {
  const rows = [
    ['Warm side', answers.warm, (it: number) => write(temperature(it))],
    ['Cool side', answers.cool, (it: number) => write(temperature(it))],
    ...(answers.basking
      ? ([['Basking place', answers.basking, (it: number) => write(temperature(it))]] as const)
      : []),
    ['Humidity', answers.humidity, percentWord],
  ] as const;
  return (
    <PlainTable label="Hours in band">
      <thead>
        <tr>
          <th>Hours in band</th>
          <th className="number">by day</th>
          <th className="number">by night</th>
          <th className="number">lowest</th>
          <th className="number">mean</th>
          <th className="number">highest</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, zone, say]) => (
          <tr key={name}>
            <td>{name}</td>
            <td className="number">{zone.day.hours > 0 ? percentWord(zone.day.inside) : '–'}</td>
            <td className="number">
              {name === 'Basking place' ? '–' : zone.night.hours > 0 ? percentWord(zone.night.inside) : '–'}
            </td>
            <td className="number">{say(zone.low)}</td>
            <td className="number">{say(zone.mean)}</td>
            <td className="number">{say(zone.high)}</td>
          </tr>
        ))}
      </tbody>
    </PlainTable>
  );
}

function Water({ answers, reader: { write } }: { readonly answers: Answers; readonly reader: Reader }) {
  const lines: readonly (readonly [string, string])[] = [
    ['Dry-down after a misting', answers.dryDown === null ? 'stays in the band' : hours(answers.dryDown)],
    ['Leaves wet by night', hours(answers.wetByNight)],
    [
      'Water to drink',
      `dish or pool ${percentWord(answers.drinkDish)} of hours, drops ${percentWord(answers.drinkDrops)}`,
    ],
    ['Poured into dishes', `${litres(answers.pouredPerDay)} a day`],
    ['Air changed', `${answers.changes.toFixed(1)} times an hour`],
    ['Gradient by day, night drop', `${answers.gradient.toFixed(1)} K, ${answers.nightDrop.toFixed(1)} K`],
    [
      'Water in the soil, top and foot',
      `warm ${write(percent(answers.soil[0]?.top ?? 0))} / ${write(percent(answers.soil[0]?.bottom ?? 0))}, cool ${write(percent(answers.soil[1]?.top ?? 0))} / ${write(percent(answers.soil[1]?.bottom ?? 0))}`,
    ],
    [
      'In the drainage',
      `${write(mass(Math.max(0, answers.bed)))}, ${answers.bedGain >= 5e-4 ? `gains ${litres(answers.bedGain)} a day` : 'gains nothing'}`,
    ],
  ];
  return (
    <PlainTable label="Water and air">
      <tbody>
        {lines.map(([name, value]) => (
          <tr key={name}>
            <td>{name}</td>
            <td className="number" style={{ whiteSpace: 'normal' }}>
              {value}
            </td>
          </tr>
        ))}
      </tbody>
    </PlainTable>
  );
}
