'use client';

import { localDay } from '@/core/time';
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
import { differencesOf, sharedTime, weeksOf, whatItShows, type Kept, type Weeks } from '@/core/compare';
import type { Design } from '@/core/document';
import { bandsThrough, type MeasuringPlace, type ReadQuantity } from '@/core/readings';
import { useDesigns, useLog, useSeries, useStore, useTracks } from '@/store';
import { isDayIn } from '@/ui/boxDay';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { PLACE_WORD, QUANTITY_WORD, readingWords } from '@/ui/readingWords';
import { TopBar } from '@/ui/shell/TopBar';
import { TableCard } from '@/ui/TableCard';
import { OUTER_PLACES } from '@/ui/words';
import { useReader, type Reader } from '@/ui/units';

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
              <Sides designs={chosen} />
            )}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Sides({ designs }: { readonly designs: readonly Design[] }) {
  const { catalogue, shelf, settings } = useStore();
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
            shelf,
            settings.spare,
            settings.prices,
          ).price,
      ),
    [designs, catalogue, shelf, settings.spare, settings.prices],
  );
  const differences = useMemo(() => differencesOf(designs, catalogue), [designs, catalogue]);
  if (!kept) return <Message title="Reading what was kept of each" role="status" />;
  const shared = sharedTime(kept);
  const weeks = shared ? kept.map((it) => weeksOf(it, shared.from, shared.to)) : null;
  const read = weeks
    ? [...(weeks[0]?.readings.keys() ?? [])].filter((key) => weeks.every((it) => it.readings.has(key)))
    : [];
  const said = whatItShows({
    boxes: designs.length,
    differences: differences.filter((it) => it.what !== 'Since').length,
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
