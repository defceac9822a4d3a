'use client';

import { dayPlus, localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, type ReactNode } from 'react';
import { assess } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { careOf } from '@/core/care';
import {
  allDifferencesOf,
  pairedOf,
  sharedTime,
  weeksOf,
  whatItShows,
  type Kept,
  type Paired,
  type Weeks,
} from '@/core/compare';
import type { Design } from '@/core/document';
import { bandsThrough, type MeasuringPlace, type ReadQuantity } from '@/core/readings';
import { difference, message, number } from '@/core/units';
import { useDesigns, useLog, useSeries, useStore, useTracks } from '@/store';
import { isDayIn } from '@/core/climate';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { PLACE_WORD, QUANTITY_WORD, readingWords } from '@/ui/readingWords';
import { TopBar } from '@/ui/shell/TopBar';
import { TableCard } from '@/ui/TableCard';
import { OUTER_PLACES } from '@/ui/words';
import { useReader, type Reader } from '@/ui/units';
import { PlanAhead } from './PlanAhead';

const WHERE = {
  brief: 'Brief',
  room: 'Room',
  enclosure: 'Enclosure',
  ground: 'Ground',
  scape: 'Hardscape',
  living: 'Living',
  climate: 'Climate',
} as const;
const MOST = 4;

/** Enclosures side by side: how they differ, what came of them in the same weeks, and what that can show. */
export function Compare({ tools }: { readonly tools: ReactNode }) {
  const params = useSearchParams();
  const router = useRouter();
  const designs = useDesigns();
  const all = useMemo(
    () => designs?.flatMap((it) => (it.state === 'ready' ? [it.row.design] : [])),
    [designs],
  );
  const asked = (params.get('of') ?? '').split(',').filter(Boolean);
  const chosen = (all ?? []).filter((it) => asked.includes(it.id));
  const toggle = (id: string): void => {
    const next = asked.includes(id) ? asked.filter((it) => it !== id) : [...asked, id].slice(-MOST);
    router.replace(`/compare?of=${next.join(',')}`);
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/compare')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2.25, maxWidth: 1180, mx: 'auto' }}>
        {all === undefined ? (
          <Message title="Fetching the rack" role="status" />
        ) : all.length < 2 ? (
          <Message
            title="Nothing to compare yet"
            actions={
              <Button component={NextLink} href="/" variant="contained">
                To the rack
              </Button>
            }
          >
            Fork an enclosure on the rack, change one thing in it, and keep both.
          </Message>
        ) : (
          <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
            <Box>
              <Typography variant="h1" component="h1">
                Compare
              </Typography>
              <Box
                role="group"
                aria-label="Which ones"
                sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1 }}
              >
                {all.map((it) => (
                  <Chip
                    key={it.id}
                    label={it.name}
                    color={asked.includes(it.id) ? 'primary' : 'default'}
                    variant={asked.includes(it.id) ? 'filled' : 'outlined'}
                    aria-pressed={asked.includes(it.id)}
                    onClick={() => toggle(it.id)}
                  />
                ))}
              </Box>
            </Box>
            {chosen.length < 2 ? (
              <Typography sx={{ color: 'earth.quiet' }}>Pick two, or up to four.</Typography>
            ) : (
              <Sides designs={chosen} since={params.get('since')} until={params.get('until')} />
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Sides({
  designs,
  since,
  until,
}: {
  readonly designs: readonly Design[];
  /** First and last day that are looked at, `YYYY-MM-DD`; null: all that they have in common. */
  readonly since: string | null;
  readonly until: string | null;
}) {
  const { catalogue, shelfFor, settings } = useStore();
  const reader = useReader();
  const log = useLog(null, 800);
  const series = useSeries(null);
  const wanted = useMemo(
    () => series?.filter((it) => designs.some((own) => own.id === it.design)),
    [series, designs],
  );
  const tracks = useTracks(wanted, 0);
  const kept = useMemo((): readonly Kept[] | null => {
    if (!log || !wanted || !tracks) return null;
    return designs.map((design) => {
      return {
        design: design.id,
        log: log.filter((it) => it.design === design.id),
        points: wanted.flatMap((it) => {
          const track = tracks.get(it.id);
          return it.design === design.id && track ? [{ series: it, track }] : [];
        }),
        rules: careOf(design, catalogue),
        isDay: isDayIn(design.climate),
        band: bandsThrough(design, catalogue),
      };
    });
  }, [designs, log, wanted, tracks, catalogue]);
  const costs = useMemo(
    () =>
      designs.map(
        (design) =>
          buyingOf(
            [{ design, assessment: assess(design, catalogue) }],
            catalogue,
            shelfFor([design.id]),
            settings.spare,
            settings.prices,
          ).price,
      ),
    [designs, catalogue, shelfFor, settings.spare, settings.prices],
  );
  const differences = useMemo(() => allDifferencesOf(designs, catalogue), [designs, catalogue]);
  if (!kept) return <Message title="Reading what was kept of each" role="status" />;
  const common = sharedTime(kept);
  const planned = { from: dayAt(since, 0) ?? -Infinity, to: dayAt(until, 1) ?? Infinity };
  const shared = common && {
    from: Math.max(common.from, Math.min(planned.from, common.to)),
    to: Math.min(common.to, Math.max(planned.to, common.from)),
  };
  const weeks = shared ? kept.map((it) => weeksOf(it, shared.from, shared.to)) : null;
  const read = weeks
    ? [...(weeks[0]?.readings.keys() ?? [])].filter((key) => weeks.every((it) => it.readings.has(key)))
    : [];
  const [first, second] = kept;
  const [oneDesign, other] = designs;
  const paired =
    shared && kept.length === 2 && first && second ? pairedOf(first, second, shared.from, shared.to) : [];
  // How old they are is told by itself.
  const inDesign = differences.filter((it) => it.what !== 'Since');
  const said = whatItShows({
    boxes: designs.length,
    differences: inDesign.length,
    rooms: differences.some((it) => it.where === 'room'),
    starts: differences.some((it) => it.what === 'Since'),
    shared,
    read: read.length > 0,
  });
  return (
    <>
      <Box
        component="section"
        aria-labelledby="shows"
        sx={{ borderLeft: 3, borderColor: 'earth.amber', pl: 1.75 }}
      >
        <Typography variant="h2" id="shows">
          What this can show
        </Typography>
        {said.map((it) => (
          <Typography key={it}>{it}</Typography>
        ))}
      </Box>
      {paired.length > 0 && <Hours paired={paired} designs={designs} />}
      {oneDesign && other && designs.length === 2 && (
        <PlanAhead designs={[oneDesign, other]} differences={inDesign} paired={paired} />
      )}
      <Box component="section" aria-labelledby="came">
        <Typography variant="h2" id="came" sx={{ mb: 0.75 }}>
          What came of them
          {shared && (
            <Box component="span" sx={{ typography: 'body2', color: 'earth.quiet', ml: 1.25 }}>
              {dayWords(localDay(shared.from))} to {dayWords(localDay(shared.to))}
            </Box>
          )}
        </Typography>
        <TableCard label="What came of them">
          <Columns sides={designs.length} first={1} />
          <thead>
            <tr>
              <th scope="col">Over the same weeks</th>
              {designs.map((it) => (
                <th scope="col" key={it.id}>
                  {it.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {weeks &&
              read.map((key) => (
                <tr key={key}>
                  <td>{keyWords(key)}</td>
                  {weeks.map((it, at) => (
                    <td key={at}>{readWords(it, key, reader)}</td>
                  ))}
                </tr>
              ))}
            {weeks &&
              ROWS.map(([name, value]) => (
                <tr key={name}>
                  <td>{name}</td>
                  {weeks.map((it, at) => (
                    <td key={at}>{value(it)}</td>
                  ))}
                </tr>
              ))}
            <tr>
              <td>To buy for the design</td>
              {costs.map((it, at) => (
                <td key={at}>{reader.num(it, 2)}</td>
              ))}
            </tr>
          </tbody>
        </TableCard>
      </Box>
      <Box component="section" aria-labelledby="differ">
        <Typography variant="h2" id="differ" sx={{ mb: 0.75 }}>
          {differences.length === 0 ? 'The designs are alike' : 'How the designs differ'}
        </Typography>
        {differences.length > 0 && (
          <TableCard label="How the designs differ">
            <Columns sides={designs.length} first={2} />
            <thead>
              <tr>
                <th scope="col">Place</th>
                <th scope="col">What</th>
                {designs.map((it) => (
                  <th scope="col" key={it.id}>
                    {it.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {differences.map((it, index) => (
                <tr key={`${it.where} ${it.what}`}>
                  <td style={{ color: 'var(--mui-palette-earth-quiet)' }}>
                    {differences[index - 1]?.where === it.where ? '' : WHERE[it.where]}
                  </td>
                  <td>{it.what}</td>
                  {it.sides.map((side, at) => (
                    <td key={at} style={{ whiteSpace: 'normal' }}>
                      {reader.tell(side)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </TableCard>
        )}
      </Box>
    </>
  );
}

/** The beginning of a day, or of the one after, by this device’s clock, ms since 1970; null: none was given. */
function dayAt(day: string | null, after: number): number | null {
  if (day === null || !/^\d{4}-\d\d-\d\d$/.test(day)) return null;
  return new Date(`${dayPlus(day, after)}T00:00:00`).getTime();
}

const FAULT: Record<NonNullable<Paired['fault']>['why'], string> = {
  stuck: 'reads one and the same: not compared',
  'only by day': 'was read only by day',
  'only by night': 'was read only by night',
};

/** Two boxes hour by hour, of the hours that both read: what could have been shown first, then what was. */
function Hours({
  paired,
  designs,
}: {
  readonly paired: readonly Paired[];
  readonly designs: readonly Design[];
}) {
  const reader = useReader();
  const by = (it: Paired, value: number | null): string =>
    value === null
      ? '–'
      : it.quantity === 'humidity'
        ? reader.tell(message`${number(Math.round(100 * value), 0)} points`)
        : reader.tell(message`${difference(value, 1)}`);
  return (
    <Box component="section" aria-labelledby="hours">
      <Typography variant="h2" id="hours">
        The same hours of both
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 0.75 }}>
        {designs[1]?.name} less {designs[0]?.name}, of the hours that both read. A difference that is smaller
        than what could show may be the probes’ or chance.
      </Typography>
      <TableCard label="The same hours of both">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Could show from</th>
            <th scope="col">By day</th>
            <th scope="col">By night</th>
            <th scope="col">So</th>
          </tr>
        </thead>
        <tbody>
          {paired.map((it) => (
            <tr key={`${it.quantity} ${it.place}`}>
              <td>{keyWords(`${it.quantity} ${it.place}`)}</td>
              <td>
                {by(it, it.shows)}, {reader.tell(message`${it.days} days`)}
              </td>
              <td>{by(it, it.day)}</td>
              <td>{by(it, it.night)}</td>
              <td style={{ whiteSpace: 'normal' }}>
                {it.fault
                  ? `The probe of ${designs[it.fault.side]?.name ?? ''} ${FAULT[it.fault.why]}`
                  : it.differs
                    ? 'They differ'
                    : 'No difference that could be shown'}
              </td>
            </tr>
          ))}
        </tbody>
      </TableCard>
    </Box>
  );
}

/** Sides of one width, so that the two tables stand in line. */
function Columns({ sides, first }: { readonly sides: number; readonly first: 1 | 2 }) {
  return (
    <colgroup>
      {first === 2 && <col style={{ width: '9%' }} />}
      <col style={{ width: first === 2 ? '21%' : '30%' }} />
      {Array.from({ length: sides }, (_, it) => (
        <col key={it} style={{ width: `${70 / sides}%` }} />
      ))}
    </colgroup>
  );
}

const ROWS: readonly (readonly [string, (weeks: Weeks) => string])[] = [
  ['Plants lost', (it) => String(it.lost.plants)],
  ['Animals lost', (it) => String(it.lost.animals)],
  ['Crew, mould, pests written down', (it) => `${it.seen.crew}, ${it.seen.mould}, ${it.seen.pests}`],
  ['Meals, refused', (it) => `${it.meals.given}, ${it.meals.refused}`],
  ['Care done, left out', (it) => `${it.work.done}, ${it.work.skipped}`],
  ['Minutes of care, estimated', (it) => String(Math.round(it.work.minutes))],
];

const keyWords = (key: string): string => {
  const [quantity, place] = key.split(' ') as [ReadQuantity, MeasuringPlace];
  return `${QUANTITY_WORD[quantity]}, ${PLACE_WORD[place].toLowerCase()}`;
};

function readWords(weeks: Weeks, key: string, reader: Reader): string {
  const it = weeks.readings.get(key);
  if (!it) return '–';
  const say = (value: number): string => readingWords(value, key.split(' ')[0] as ReadQuantity, reader);
  return `${say(it.mean)}, ${say(it.low)} to ${say(it.high)}${it.inside === null ? '' : `; ${Math.round(100 * it.inside)} % in its band`}`;
}
