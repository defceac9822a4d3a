'use client';

import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import {
  afterRemedy,
  diagnose,
  lastRemedy,
  SIGNS,
  type AfterRemedy,
  type Diagnosis,
  type SignId,
} from '@/core/diagnosis';
import { DAY } from '@/core/readings';
import { useLog, useOpenDesign, useSeries, useStore, useTracks } from '@/store';
import { Message } from '@/ui/Message';
import { isDayIn } from '@/core/climate';
import { Opinion } from './Opinion';
import { useNow } from './useAlarms';
import { useYardstick } from './useYardstick';

const GROUPS = [
  { id: 'air', name: 'Air and temperature' },
  { id: 'soil', name: 'Soil' },
  { id: 'plants', name: 'Plants' },
  { id: 'crew', name: 'Crew' },
  { id: 'animal', name: 'The animal' },
] as const;

/** What is seen, what the readings say by themselves, and what may be behind it. */
export function DiagnosisTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const log = useLog(design.id, 'all');
  const series = useSeries(design.id);
  const now = useNow();
  const [since] = useState(() => Date.now() - 40 * DAY);
  const tracks = useTracks(series, since);
  const [seen, setSeen] = useState<readonly SignId[]>([]);
  const points = useMemo(
    () =>
      series && tracks
        ? series.flatMap((it) => {
            const track = tracks.get(it.id);
            return track && track.at.length > 0 ? [{ series: it, track }] : [];
          })
        : null,
    [series, tracks],
  );
  const played = useYardstick(design, catalogue, points, now);
  const yardstick = played.at === 'ready' ? played.yardstick : null;
  const found = useMemo((): Diagnosis | null => {
    if (!log || !points) return null;
    const isDay = isDayIn(design.climate);
    return diagnose({ design, catalogue, points, log, seen, isDay, now, yardstick });
  }, [design, catalogue, log, points, seen, now, yardstick]);
  const mended = useMemo((): AfterRemedy | null => {
    const remedy = log && points && points.length > 0 ? lastRemedy(log, now) : null;
    return remedy && points ? afterRemedy(design, points, isDayIn(design.climate), remedy, now) : null;
  }, [design, log, points, now]);
  if (!found) return <Message title="Looking at readings and log" role="status" />;
  const read = new Set(found.read.map((it) => it.sign));
  const toggle = (id: SignId): void =>
    setSeen(seen.includes(id) ? seen.filter((it) => it !== id) : [...seen, id]);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '300px minmax(0, 1fr)' },
        gap: 3,
      }}
    >
      <Box component="section" aria-labelledby="signs">
        <Typography variant="h2" id="signs" sx={{ mb: 0.5 }}>
          What do you see?
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
          Pick all that apply. What the readings show is picked already.
        </Typography>
        {GROUPS.map((group) => (
          <Box key={group.id} role="group" aria-label={group.name} sx={{ mb: 1.25 }}>
            <Typography variant="body2" sx={{ fontWeight: 600, mb: 0.5 }}>
              {group.name}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {SIGNS.filter((it) => it.group === group.id).map((it) => {
                const on = seen.includes(it.id) || read.has(it.id);
                return (
                  <Chip
                    key={it.id}
                    label={it.words}
                    variant={on ? 'filled' : 'outlined'}
                    color={on ? 'primary' : 'default'}
                    aria-pressed={on}
                    onClick={() => toggle(it.id)}
                    sx={{
                      minHeight: 34,
                      height: 'auto',
                      '& .MuiChip-label': { whiteSpace: 'normal', py: 0.5 },
                    }}
                  />
                );
              })}
            </Box>
          </Box>
        ))}
      </Box>
      <Box component="section" aria-labelledby="causes" aria-live="polite">
        {played.at === 'working' ? (
          <Box role="status">
            <Typography variant="h2" id="causes" sx={{ mb: 0.5 }}>
              Playing each fault through
            </Typography>
            <Typography sx={{ color: 'earth.quiet' }}>
              The forecast plays this enclosure with each fault it can have, and holds the readings against
              it. That takes some seconds.
            </Typography>
          </Box>
        ) : (
          <Opinion
            found={found}
            mended={mended}
            isRead={(series?.length ?? 0) > 0}
            failed={played.at === 'failed' ? played.message : null}
          />
        )}
      </Box>
    </Box>
  );
}
