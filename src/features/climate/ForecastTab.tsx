'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback, useMemo } from 'react';
import { DAY } from '@/core/physics/constants';
import {
  humidityAtRecord,
  soilIsKept,
  type ClimateSummary,
  type Forecast,
  type SeriesName,
} from '@/core/climate';
import { mass, percent, temperature, counted, difference, tank, fromSi, UNITS, unitFor } from '@/core/units';
import { useOpenDesign } from '@/store';
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
      <OwnBottles answers={forecast.answers} />
      <SoilWater answers={forecast.answers} />
      <Curves forecast={forecast} at={at} what="humidity" />
      <Curves forecast={forecast} at={at} what="warmth" />
      {forecast.cycle > 1 && forecast.asked.span !== 'year' && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          It is misted every {forecast.cycle} days: hours, litres and curves are those of the whole cycle.
        </Typography>
      )}
      <InBand forecast={forecast} reader={reader} />
      <Water answers={forecast.answers} reader={reader} />
    </Box>
  );
}

const hours = (value: number, { num }: Reader): string => `${num(value, value < 9.95 ? 1 : 0)} h`;
const days = (value: number): string =>
  value < 1.5 ? 'a day' : value > 400 ? 'over a year' : counted(value, 'day');
/** Water by its mass, kg. */
const litres = (kg: number, { write }: Reader): string => write(tank(kg / 1000));

/** How long a fogger runs from its own bottle, and how large one would last a week. */
function OwnBottles({ answers }: { readonly answers: ClimateSummary }) {
  const reader = useReader();
  const { design } = useOpenDesign();
  return answers.ownBottles.map(({ device, perDay, holds, days: last }) => {
    const name = design.climate.devices.find((it) => it.id === device)?.name;
    if (last === null || name === undefined) return null;
    return (
      <Typography key={device} variant="body2">
        {name}: {litres(perDay, reader)} a day. Its bottle of {litres(holds, reader)} lasts{' '}
        {last < 1.5 ? hours(last * 24, reader) : days(last)}
        {last < 7 ? `; for a week it takes one of ${litres(Math.ceil(perDay * 7), reader)}.` : '.'}
      </Typography>
    );
  });
}

/** What keeps the soil as damp as it was filled, where only the jug does; what the jug gives. */
function SoilWater({ answers }: { readonly answers: ClimateSummary }) {
  const reader = useReader();
  const { design } = useOpenDesign();
  const kept = soilIsKept(design);
  const [warm, cool] = answers.soilLoses.map((it) => Math.max(0, 7 * it)) as [number, number];
  if (!kept && answers.jugPerDay < 1e-6) return null;
  if (kept && warm + cool < 0.02) return null;
  return (
    <Typography variant="body2">
      {kept
        ? `From the jug the soil takes ${litres(warm, reader)} a week at the warm end and ${litres(cool, reader)} at the cool to stay as damp as it was filled.`
        : `The jug gives the soil ${litres(7 * answers.jugPerDay, reader)} a week.`}
    </Typography>
  );
}

function Tiles({ answers }: { readonly answers: ClimateSummary }) {
  const reader = useReader();
  const given = answers.ownBottles.length > 0 ? 'misted and fogged a day' : 'misted a day';
  const tiles: readonly (readonly [string, string])[] = [
    [percentWord(answers.humidInside), 'of hours inside the humidity band'],
    [hours(answers.wetPerDay, reader), 'a day with wet leaves'],
    [hours(answers.foggedPerDay, reader), 'a day with fogged glass'],
    [
      litres(answers.waterPerDay, reader),
      answers.bottleDays === null ? given : `${given} · bottle lasts ${days(answers.bottleDays)}`,
    ],
    [
      answers.bedDays === null ? 'does not fill' : days(answers.bedDays),
      answers.bedDays === null ? 'the drainage, at this mist' : 'until the drainage is full',
    ],
    [`${reader.num(answers.energyPerDay / 3.6e6, 2)} kWh`, 'a day'],
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
  humidity: { title: 'Humidity', scale: 100, min: 0, max: 100 },
  warmth: { title: 'Temperature', scale: 1, min: undefined, max: undefined },
};

/** A line of a chart: where it is read, in words, and its value at a record. */
interface Line {
  readonly words: string;
  readonly at: (record: number) => number;
  readonly amber?: boolean;
}

/** The lines of a chart: first what the table counts, then what it is held against. */
function linesOf({ run, zones, spot, bands, answers }: Forecast, what: keyof typeof WHAT): readonly Line[] {
  const of = (name: SeriesName) => (record: number) => run.series[name][record] ?? 0;
  if (what === 'humidity')
    return [
      { words: zones.words.humidity, at: (record) => humidityAtRecord(run, zones, record) },
      bands.climbs
        ? { words: 'dashed, near the ground on the warm side', at: of('rh0') }
        : { words: 'dashed, in the branches', at: of('rh1') },
    ];
  return [
    { words: `warm side, ${zones.words.warm}`, at: of(zones.warm) },
    { words: `dashed, cool side, ${zones.words.cool}`, at: of(zones.cool) },
    ...(spot !== null && answers.basking !== null
      ? [{ words: 'amber, basking spot', at: of(spot), amber: true }]
      : []),
  ];
}

interface Drawn {
  readonly x: number;
  readonly y: number;
}

/** One value a record; for a year the mean of each day. */
function points({ run, asked }: Forecast, line: Line, by: (value: number) => number): Drawn[] {
  if (asked.span !== 'year') return Array.from(run.t, (t, i) => ({ x: t / 3600, y: by(line.at(i)) }));
  const drawn: Drawn[] = [];
  for (let day = 0; day < run.days; day += 1) {
    let sum = 0;
    for (let i = 1; i <= 24; i += 1) sum += line.at(day * 24 + i);
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
  const { prefs, num } = useReader();
  const { title, scale, min, max } = WHAT[what];
  const { span } = forecast.asked;
  const lines = useMemo(() => linesOf(forecast, what), [forecast, what]);
  const words = lines.map((it) => it.words).join('; ');
  const label = `${title} through the ${span}: ${words}`;
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const inPerson = (value: number): number =>
        what === 'warmth' ? fromSi(value, UNITS[unitFor('temperature', prefs)]) : value * scale;
      const colour = what === 'humidity' ? inks.water : inks.clay;
      const { bands, light, mists, run } = forecast;
      const whole = span === 'year' ? run.days : (run.days * DAY) / 3600;
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
          interval: span === 'year' ? 365 / 12 : whole > 24 ? 24 : 3,
          axisLabel: {
            color: inks.quiet,
            fontFamily: inks.font,
            fontSize: 11,
            formatter: (value: number) =>
              span === 'year'
                ? (MONTHS[Math.round(value / (365 / 12))] ?? '')
                : whole > 24
                  ? `day ${Math.round(value / 24) + 1}`
                  : clock(value * 60),
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
            formatter: (value: number) => num(value),
          },
          splitLine: { lineStyle: { color: inks.rule } },
        },
        series: lines.map((line, index) => ({
          type: 'line',
          showSymbol: false,
          data: points(forecast, line, inPerson).map(({ x, y }) => [x, Number(y.toFixed(2))]),
          lineStyle: {
            color: line.amber ? inks.amber : colour,
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
    [forecast, lines, at, what, prefs, num, scale, span, min, max],
  );
  const unit = what === 'warmth' ? UNITS[unitFor('temperature', prefs)].symbol : '%';
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="body2" component="h2" sx={{ fontWeight: 600 }}>
        {title}, {unit}
        <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
          {' '}
          — {words}
          {span === 'year' ? ', mean of each day' : ''}
        </Box>
      </Typography>
      <Chart label={label} height={148} option={option} />
    </Box>
  );
}

function InBand({
  forecast: { answers, zones },
  reader: { write },
}: {
  readonly forecast: Forecast;
  readonly reader: Reader;
}) {
  const rows = [
    [`Warm side, ${zones.words.warm}`, answers.warm, (it: number) => write(temperature(it))],
    [`Cool side, ${zones.words.cool}`, answers.cool, (it: number) => write(temperature(it))],
    ...(answers.basking
      ? ([['Basking spot', answers.basking, (it: number) => write(temperature(it))]] as const)
      : []),
    [`Humidity, ${zones.words.humidity}`, answers.humidity, percentWord],
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
              {name === 'Basking spot' ? '–' : zone.night.hours > 0 ? percentWord(zone.night.inside) : '–'}
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

function Water({ answers, reader }: { readonly answers: ClimateSummary; readonly reader: Reader }) {
  const { write, num } = reader;
  const lines: readonly (readonly [string, string])[] = [
    [
      'Dry-down after a misting',
      answers.dryDown === null ? 'stays in the band' : hours(answers.dryDown, reader),
    ],
    ['Leaves wet by night', hours(answers.wetByNight, reader)],
    [
      'Water to drink',
      `dish or pool ${percentWord(answers.drinkDish)} of hours, drops ${percentWord(answers.drinkDrops)}`,
    ],
    ['Poured into dishes', `${litres(answers.pouredPerDay, reader)} a day`],
    ['Air changed', `${num(answers.changes, 1)} times an hour`],
    [
      'Gradient by day, night drop',
      `${write(difference(answers.gradient, 1))}, ${write(difference(answers.nightDrop, 1))}`,
    ],
    [
      'Water in the soil, top and foot',
      `warm ${write(percent(answers.soil[0]?.top ?? 0))} / ${write(percent(answers.soil[0]?.bottom ?? 0))}, cool ${write(percent(answers.soil[1]?.top ?? 0))} / ${write(percent(answers.soil[1]?.bottom ?? 0))}`,
    ],
    [
      'In the drainage',
      `${write(mass(Math.max(0, answers.bed)))}, ${answers.bedGain >= 5e-4 ? `gains ${litres(answers.bedGain, reader)} a day` : 'gains nothing'}`,
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
