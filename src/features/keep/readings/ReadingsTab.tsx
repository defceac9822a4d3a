'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { animalOn } from '@/core/brief';
import { DAY, QUANTITIES, type ReadQuantity } from '@/core/readings';
import { localDay } from '@/core/time';
import { keepsMoist } from '@/core/verdict';
import { namedReadings, readingsCsv, writeSenml } from '@/files';
import { readTrack, useDesigns, useExtent, useLog, useOpenDesign, useSeries, useStore } from '@/store';
import { download } from '@/ui/download';
import { Message } from '@/ui/Message';
import type { TimeWindow } from '@/ui/TimeChart';
import { Devices } from '../devices/Devices';
import { useWeeks } from '../useWeeks';
import { FileIn } from './FileIn';
import { PointCard } from './PointCard';
import { Points } from './Points';
import { QUANTITY_WORD } from '@/ui/readingWords';
import { ReadingChart } from './ReadingChart';
import { WeekAhead } from './WeekAhead';

/** Kinds of entry that are marked on a chart. */
const MARKED = new Set(['mist', 'feed', 'repair', 'lamp', 'clean', 'move', 'shed']);

/** What was read here: over time against the animal’s band, point by point, in from files and out again. */
export function ReadingsTab() {
  const { db, catalogue } = useStore();
  const { design } = useOpenDesign();
  const own = useSeries(design.id);
  const all = useSeries(null);
  const designs = useDesigns();
  const log = useLog(design.id, 'all');
  const [quantity, setQuantity] = useState<ReadQuantity | null>(null);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [beside, setBeside] = useState<readonly string[]>([]);
  const [span, setSpan] = useState<TimeWindow | null>(null);
  const [picked, setPicked] = useState<string | null>(null);
  const present = QUANTITIES.filter((it) => own?.some((series) => series.quantity === it));
  const current = quantity !== null && present.includes(quantity) ? quantity : (present[0] ?? null);
  const others = (all ?? []).filter((it) => it.design !== design.id && it.quantity === current);
  const nameOf = (id: string): string =>
    designs?.flatMap((it) => (it.state === 'ready' && it.row.id === id ? [it.row.design.name] : []))[0] ?? '';
  const shown = [
    ...(own ?? []).filter((it) => it.quantity === current && !hidden.has(it.id)),
    ...(all ?? []).filter((it) => beside.includes(it.id) && it.quantity === current),
  ];
  const whole = useExtent(shown);
  const events = useMemo(() => (log ?? []).filter((it) => MARKED.has(it.kind)), [log]);
  const open = useMemo(() => [design], [design]);
  const [coming] = useWeeks(open);
  const ids = shown.map((it) => it.id).join('\n');
  const state = coming?.state ?? null;
  const outlooks = useMemo(
    () =>
      state?.at === 'ready' ? state.week.outlooks.filter((it) => ids.split('\n').includes(it.series)) : [],
    [state, ids],
  );
  const ahead = Math.max(0, ...outlooks.map((it) => it.from + (it.middle.length - 1) * it.every));
  // With the days to come in view, as many of those that were stand beside them.
  const latest = whole ? { from: whole.to - 7 * DAY, to: Math.max(whole.to, ahead) } : null;
  // At rest it wants other air: the band is that of the last day in view.
  const seen = span ?? latest;
  const animal = seen ? animalOn(design, catalogue, localDay(seen.to)) : undefined;
  const has = useMemo(() => keepsMoist(design), [design]);
  if (!own) return <Message title="Fetching the readings" role="status" />;
  const point = own.find((it) => it.id === picked);

  const out = async (kind: 'csv' | 'senml'): Promise<void> => {
    const kept = await Promise.all(
      own.map(async (series) => ({
        series,
        track: await readTrack(db, series.id, -Infinity, Infinity),
        enclosure: design.name,
      })),
    );
    if (kind === 'csv') download('readings.csv', readingsCsv(kept), 'text/csv');
    else download('readings.senml.json', writeSenml(namedReadings(kept)), 'application/senml+json');
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      {own.length === 0 ? (
        <Message title="Nothing has been read by a sensor yet">
          Read in what a logger wrote, or join a device below. What you read by hand is written in the line
          above.
        </Message>
      ) : (
        current && (
          <>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
              {present.length > 1 && (
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  aria-label="What was read"
                  value={current}
                  onChange={(_, next: ReadQuantity | null) => next && setQuantity(next)}
                >
                  {present.map((it) => (
                    <ToggleButton key={it} value={it}>
                      {QUANTITY_WORD[it]}
                    </ToggleButton>
                  ))}
                </ToggleButtonGroup>
              )}
              {own
                .filter((it) => it.quantity === current)
                .map((it) => (
                  <Chip
                    key={it.id}
                    label={it.name}
                    variant={hidden.has(it.id) ? 'outlined' : 'filled'}
                    aria-pressed={!hidden.has(it.id)}
                    onClick={() => {
                      const next = new Set(hidden);
                      if (!next.delete(it.id)) next.add(it.id);
                      setHidden(next);
                    }}
                  />
                ))}
              {beside.map((id) => {
                const it = all?.find((row) => row.id === id && row.quantity === current);
                return (
                  it && (
                    <Chip
                      key={id}
                      label={`${nameOf(it.design)}, ${it.name}`}
                      onDelete={() => setBeside(beside.filter((row) => row !== id))}
                    />
                  )
                );
              })}
              {others.length > 0 && (
                <TextField
                  select
                  size="small"
                  label="Beside it"
                  value=""
                  onChange={(event) => setBeside([...new Set([...beside, event.target.value])])}
                  sx={{ width: 170 }}
                >
                  {others.map((it) => (
                    <MenuItem key={it.id} value={it.id}>
                      {nameOf(it.design)}, {it.name}
                    </MenuItem>
                  ))}
                </TextField>
              )}
            </Box>
            {whole && latest ? (
              <ReadingChart
                quantity={current}
                shown={shown}
                animal={animal}
                has={has}
                climate={design.climate}
                events={events}
                outlooks={outlooks}
                window={span ?? latest}
                whole={{ from: whole.from, to: Math.max(whole.to, ahead) }}
                onWindow={setSpan}
              />
            ) : (
              <Typography sx={{ color: 'earth.quiet', py: 6, textAlign: 'center' }} role="status">
                {shown.length === 0 ? 'Every point is left out.' : 'No readings yet.'}
              </Typography>
            )}
            <WeekAhead state={state} points={shown} quantity={current} />
            <Points series={own} picked={picked} onPick={setPicked} />
            {point && <PointCard key={point.id} point={point} onClose={() => setPicked(null)} />}
          </>
        )
      )}
      <Devices />
      <FileIn design={design.id} onDone={() => setSpan(null)} />
      {own.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button onClick={() => void out('csv')}>All readings as CSV</Button>
          <Button onClick={() => void out('senml')}>As SenML</Button>
        </Box>
      )}
    </Box>
  );
}
