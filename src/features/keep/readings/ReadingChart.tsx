'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EChartsCoreOption } from 'echarts/core';
import { useCallback } from 'react';
import type { DatedOutlook } from '@/core/ahead';
import type { Animal } from '@/core/catalogue';
import type { Climate } from '@/core/document';
import type { Entry } from '@/core/log';
import { bandAt, DAY, type Band, type ReadQuantity, type Series } from '@/core/readings';
import { useCurves } from '@/store';
import { TimeChart, type TimeWindow } from '@/ui/TimeChart';
import type { Inks } from '@/ui/Chart';
import { useReader } from '@/ui/units';
import { KIND_WORD } from '@/ui/entryWords';
import { lightOf } from '@/core/climate';
import { onAxis, PLACE_WORD, QUANTITY_WORD } from '@/ui/readingWords';

interface Props {
  readonly quantity: ReadQuantity;
  readonly shown: readonly Series[];
  readonly animal: Animal | undefined;
  /** What of its bands a moist hide answers for. */
  readonly has: { readonly moistHide: boolean };
  readonly climate: Climate;
  readonly events: readonly Entry[];
  /** The days to come of points that are shown. */
  readonly outlooks: readonly DatedOutlook[];
  readonly window: TimeWindow;
  readonly whole: TimeWindow;
  readonly onWindow: (window: TimeWindow) => void;
}

const SPANS = [
  ['Day', DAY],
  ['Week', 7 * DAY],
  ['Month', 30 * DAY],
  ['Year', 365 * DAY],
] as const;

/** Colours and strokes of several points, in the order they are shown: told apart without colour too. */
const STROKE = ['solid', 'dashed', 'dotted', 'solid', 'dashed', 'dotted'] as const;
const COLOUR = ['clay', 'water', 'moss', 'amber', 'ink', 'quiet'] as const;

/** Readings of several points over time, with the band of the animal, what was done, and silences as gaps. */
export function ReadingChart({
  quantity,
  shown,
  animal,
  has,
  climate,
  events,
  outlooks,
  window: span,
  whole,
  onWindow,
}: Props) {
  const reader = useReader();
  const curves = useCurves(shown, span.from, span.to);
  const { unit } = onAxis(quantity, reader);
  const place = shown[0]?.place;
  const width = span.to - span.from;
  const { prefs, num } = reader;
  const option = useCallback(
    (inks: Inks): EChartsCoreOption => {
      const axis = onAxis(quantity, { prefs });
      const put = (it: number): number | null =>
        Number.isNaN(it) ? null : Number(axis.value(it).toFixed(quantity === 'mass' ? 2 : 3));
      const [day, night] = [true, false].map((lit) =>
        place === undefined ? null : bandAt(animal, place, quantity, lit, has),
      );
      const drawn = (curves ?? []).flatMap(({ series, at, mean, low, high }, index) => {
        const name = COLOUR[index % COLOUR.length] ?? 'ink';
        const colour = inks[name];
        const line = {
          type: 'line',
          name: series.name,
          showSymbol: false,
          sampling: 'lttb',
          data: at.map((t, i) => [t, put(mean[i] ?? Number.NaN)]),
          lineStyle: { color: colour, width: 1.8, type: STROKE[index % STROKE.length] },
          itemStyle: { color: colour },
        };
        const range = (
          opacity: number,
          stack: string,
          t: ArrayLike<number>,
          least: ArrayLike<number>,
          most: ArrayLike<number>,
        ) => {
          const hidden = {
            type: 'line',
            stack,
            silent: true,
            showSymbol: false,
            lineStyle: { opacity: 0 },
            tooltip: { show: false },
          };
          return [
            { ...hidden, data: Array.from(t, (x, i) => [x, put(least[i] ?? Number.NaN)]) },
            {
              ...hidden,
              data: Array.from(t, (x, i) => {
                const [bottom, top] = [put(least[i] ?? Number.NaN), put(most[i] ?? Number.NaN)];
                return [x, bottom === null || top === null ? null : top - bottom];
              }),
              areaStyle: { color: colour, opacity },
            },
          ];
        };
        const outlook = outlooks.find((it) => it.series === series.id);
        const moments = outlook ? outlook.middle.map((_, i) => outlook.from + i * outlook.every) : [];
        const coming = outlook
          ? [
              ...range(0.12, `ahead ${series.id}`, moments, outlook.low, outlook.high),
              {
                ...line,
                name: `${series.name}, expected`,
                data: moments.map((t, i) => [t, put(outlook.middle[i] ?? Number.NaN)]),
                lineStyle: { color: colour, width: 1.1, type: 'dotted' },
              },
            ]
          : [];
        if (!low || !high || (curves ?? []).length > 3) return [line, ...coming];
        return [...range(0.18, `range ${series.id}`, at, low, high), line, ...coming];
      });
      return {
        xAxis: {
          min: Math.min(whole.from, span.from - width),
          max: Math.max(whole.to, span.to),
        },
        yAxis: quantity === 'humidity' || quantity === 'soilWater' ? { max: 100 } : {},
        tooltip: {
          trigger: 'axis',
          backgroundColor: inks.card,
          borderColor: inks.rule,
          textStyle: { color: inks.ink, fontFamily: inks.font, fontSize: 12 },
          valueFormatter: (it: unknown) =>
            typeof it === 'number' ? `${num(it, 1)} ${axis.unit}`.trim() : '–',
        },
        series: [
          {
            type: 'line',
            data: [],
            markArea: {
              silent: true,
              data: bandAreas({
                day: day ?? null,
                night: night ?? null,
                climate,
                span,
                put: axis.value,
                inks,
              }),
            },
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              data: [
                ...nowShown(outlooks, inks),
                ...eventsShown(events, span).map((it) => ({
                  xAxis: it.at,
                  lineStyle: {
                    color: it.kind === 'mist' ? inks.water : it.kind === 'feed' ? inks.moss : inks.quiet,
                    type: 'dotted',
                    width: 1,
                  },
                })),
              ],
            },
          },
          ...drawn,
        ],
      };
    },
    [curves, outlooks, quantity, place, animal, has, climate, events, span, whole, width, prefs, num],
  );
  const move = (by: number): void => onWindow({ from: span.from + by * width, to: span.to + by * width });
  const kinds = [...new Set(eventsShown(events, span).map((it) => KIND_WORD[it.kind].toLowerCase()))];
  const read = curves?.some((it) => it.at.some((t) => t >= span.from && t < span.to));
  return (
    <Box component="section" aria-label={QUANTITY_WORD[quantity]}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center', mb: 0.5 }}>
        <Typography variant="body2" component="h2" sx={{ fontWeight: 600, flex: 1, minWidth: 200 }}>
          {QUANTITY_WORD[quantity]}
          {unit !== '' && `, ${unit}`}
          <Box component="span" sx={{ fontWeight: 400, color: 'earth.quiet' }}>
            {' '}
            {windowWords(span)}
            {animal && place ? `; shaded, the band of ${PLACE_WORD[place].toLowerCase()}` : ''}
            {kinds.length > 0 ? `; dotted, ${kinds.join(', ')}` : ''}
          </Box>
        </Typography>
        <Button size="small" onClick={() => move(-0.5)} aria-label="Earlier">
          ‹ Earlier
        </Button>
        {SPANS.map(([name, length]) => (
          <Button
            key={name}
            size="small"
            variant={Math.abs(width - length) < 1000 ? 'contained' : 'text'}
            aria-pressed={Math.abs(width - length) < 1000}
            onClick={() => onWindow({ from: span.to - length, to: span.to })}
            sx={{ minWidth: 48 }}
          >
            {name}
          </Button>
        ))}
        <Button size="small" onClick={() => onWindow(whole)}>
          All
        </Button>
        <Button size="small" onClick={() => move(0.5)} aria-label="Later">
          Later ›
        </Button>
      </Box>
      <Box sx={{ position: 'relative' }}>
        <TimeChart
          label={`${QUANTITY_WORD[quantity]} of ${shown.map((it) => it.name).join(', ')}, ${windowWords(span)}`}
          height={260}
          window={span}
          onWindow={onWindow}
          option={option}
        />
        {curves && !read && (
          <Typography
            role="status"
            sx={{
              position: 'absolute',
              top: 100,
              left: 0,
              right: 0,
              textAlign: 'center',
              color: 'earth.quiet',
            }}
          >
            Nothing was read in this time.
          </Typography>
        )}
      </Box>
      {curves && curves.length > 1 && (
        <Box
          component="ul"
          aria-label="Curves"
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            gap: 2,
            m: 0,
            p: 0,
            pl: 5,
            listStyle: 'none',
            typography: 'body2',
          }}
        >
          {curves.map(({ series }, index) => (
            <li key={series.id}>
              <Box
                component="span"
                sx={{
                  display: 'inline-block',
                  width: 26,
                  mr: 0.75,
                  verticalAlign: 'middle',
                  borderTop: `2px ${STROKE[index % STROKE.length] ?? 'solid'}`,
                  borderColor: `earth.${COLOUR[index % COLOUR.length] ?? 'ink'}`,
                }}
              />
              {series.name}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** Where what was read ends and what is expected begins. */
const nowShown = ([first]: readonly DatedOutlook[], inks: Inks): readonly object[] =>
  first
    ? [
        {
          xAxis: first.from,
          label: {
            show: true,
            formatter: 'now',
            position: 'insideEndTop',
            color: inks.quiet,
            fontFamily: inks.font,
          },
          lineStyle: { color: inks.quiet, type: 'solid', width: 1 },
        },
      ]
    : [];

/** Events of a window that is not so wide that they would only be a wash. */
const eventsShown = (events: readonly Entry[], { from, to }: TimeWindow): readonly Entry[] =>
  to - from > 45 * DAY ? [] : events.filter((it) => it.at >= from - (to - from) && it.at <= to + (to - from));

function windowWords({ from, to }: TimeWindow): string {
  const day = (at: number): string =>
    new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
  return day(from) === day(to) ? day(from) : `${day(from)} to ${day(to)}`;
}

/** The band of the animal: by day and night where days can be told apart, else both over the whole width. */
function bandAreas({
  day,
  night,
  climate,
  span: { from, to },
  put,
  inks,
}: {
  readonly day: Band | null;
  readonly night: Band | null;
  readonly climate: Climate;
  readonly span: TimeWindow;
  readonly put: (si: number) => number;
  readonly inks: Inks;
}): unknown[] {
  const area = (start: number, end: number, band: Band | null, colour: string, opacity: number): unknown[] =>
    band === null || (band.low === null && band.high === null)
      ? []
      : [
          [
            {
              xAxis: start,
              ...(band.low === null ? {} : { yAxis: put(band.low) }),
              itemStyle: { color: colour, opacity },
            },
            { xAxis: end, ...(band.high === null ? {} : { yAxis: put(band.high) }) },
          ],
        ];
  const width = to - from;
  if (width > 10 * DAY)
    return [
      ...area(from - 3 * width, to + 3 * width, day, inks.moss, 0.15),
      ...area(from - 3 * width, to + 3 * width, night, inks.water, 0.1),
    ];
  const areas: unknown[] = [];
  for (let at = from - width - DAY; at < to + width; at += DAY) {
    const light = lightOf(climate, at);
    const next = lightOf(climate, at + DAY);
    areas.push(
      ...area(light.from, light.to, day, inks.moss, 0.17),
      ...area(light.to, next.from, night, inks.moss, 0.17),
      [{ xAxis: light.to, itemStyle: { color: inks.ink, opacity: 0.05 } }, { xAxis: next.from }],
    );
  }
  return areas;
}
