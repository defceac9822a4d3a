'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import { diagnose, SIGNS, type Cause, type Diagnosis, type SignId } from '@/core/diagnosis';
import { DAY } from '@/core/readings';
import { capital } from '@/core/units';
import { useEditing, useLog, useOpenDesign, useSeries, useStore, useTracks } from '@/store';
import { Message } from '@/ui/Message';
import { isDayIn } from '@/ui/boxDay';
import { useNow } from './useAlarms';
import { useReader } from '@/ui/units';

const GROUPS = [
  { id: 'air', name: 'Air and temperature' },
  { id: 'soil', name: 'Soil' },
  { id: 'plants', name: 'Plants' },
  { id: 'crew', name: 'Crew' },
  { id: 'animal', name: 'The animal' },
] as const;

/** What is seen, what the readings say by themselves, and what may be behind it. */
export function DiagnosisTab() {
  const { tell } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const log = useLog(design.id, 'all');
  const series = useSeries(design.id);
  const now = useNow();
  const [since] = useState(() => Date.now() - 40 * DAY);
  const tracks = useTracks(series, since);
  const [seen, setSeen] = useState<readonly SignId[]>([]);
  const found = useMemo((): Diagnosis | null => {
    if (!log || !series || !tracks) return null;
    const points = series.flatMap((it) => {
      const track = tracks.get(it.id);
      return track && track.at.length > 0 ? [{ series: it, track }] : [];
    });
    return diagnose({ design, catalogue, points, log, seen, isDay: isDayIn(design.climate), now });
  }, [design, catalogue, log, series, tracks, seen, now]);
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
        <Typography variant="h2" id="causes" sx={{ mb: 0.5 }}>
          {HEADING[found.verdict]}
        </Typography>
        {found.read.length > 0 && (
          <Box
            component="ul"
            aria-label="What the readings say"
            sx={{ m: 0, mb: 1.25, pl: 2.5, typography: 'body2', color: 'earth.quiet' }}
          >
            {found.read.map((it) => (
              <li key={tell(it.words)}>{capital(tell(it.words))}</li>
            ))}
          </Box>
        )}
        {found.verdict === 'nothing' && (
          <Typography sx={{ color: 'earth.quiet' }}>
            {series && series.length > 0
              ? 'Readings lie as they did before. Pick what you see, if there is something.'
              : 'Nothing is read by a sensor here. Pick what you see.'}
          </Typography>
        )}
        {found.next && (
          <Box sx={{ borderLeft: 3, borderColor: 'earth.amber', pl: 1.5, mb: 1.5 }}>
            <Typography sx={{ fontWeight: 600 }}>Check this first</Typography>
            <Typography>{tell(found.next)}</Typography>
          </Box>
        )}
        <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.25 }}>
          {found.causes.slice(0, 5).map((it, index) => (
            <CauseCard key={it.id} cause={it} first={index === 0 && found.verdict === 'named'} />
          ))}
        </Box>
        {found.verdict !== 'nothing' && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.5 }}>
            This is about the enclosure, not the animal, and is no medical advice. For a sick animal see a
            veterinarian.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

const HEADING: Record<Diagnosis['verdict'], string> = {
  named: 'Most likely',
  'cannot tell': 'It cannot be told yet',
  nothing: 'No problem found',
};

/** How sure a cause is, in words. */
const sureness = (score: number): string =>
  score > 3 ? 'very likely' : score > 1.6 ? 'likely' : score > 0.4 ? 'possible' : 'less likely';

function CauseCard({ cause, first }: { readonly cause: Cause; readonly first: boolean }) {
  const { tell } = useReader();
  const { edit } = useEditing();
  const { design } = useOpenDesign();
  const router = useRouter();
  return (
    <Box
      component="li"
      data-cause={cause.id}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: first ? 'earth.moss' : 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.25,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {cause.what}
        </Typography>
        <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap' }}>
          {sureness(cause.score)}
        </Box>
      </Box>
      {cause.vet && (
        <Box sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.25, my: 0.75, fontWeight: 600 }}>
          {cause.vet}
        </Box>
      )}
      {cause.evidence.length > 0 && (
        <Box
          component="ul"
          aria-label="Evidence"
          sx={{ m: 0, my: 0.5, p: 0, listStyle: 'none', typography: 'body2' }}
        >
          {cause.evidence.map((it) => (
            <Box
              component="li"
              key={tell(it.words)}
              sx={{ display: 'flex', gap: 1, color: it.weight < 0 ? 'earth.quiet' : undefined }}
            >
              <Box component="span" sx={{ width: 62, flex: 'none', color: 'earth.quiet' }}>
                {it.weight < 0 ? 'against' : 'for'}
              </Box>
              <span>
                {capital(tell(it.words))}
                <Box component="span" sx={{ color: 'earth.quiet' }}>
                  {' '}
                  ({it.from})
                </Box>
              </span>
            </Box>
          ))}
        </Box>
      )}
      <Box
        component="dl"
        sx={{
          m: 0,
          display: 'grid',
          gridTemplateColumns: '62px 1fr',
          columnGap: 1,
          rowGap: 0.25,
          typography: 'body2',
        }}
      >
        <Box component="dt" sx={{ color: 'earth.quiet' }}>
          check
        </Box>
        <Box component="dd" sx={{ m: 0 }}>
          {tell(cause.check)}
        </Box>
        <Box component="dt" sx={{ color: 'earth.quiet' }}>
          change
        </Box>
        <Box component="dd" sx={{ m: 0 }}>
          {tell(cause.change)}
        </Box>
      </Box>
      {cause.caution && (
        <Box sx={{ typography: 'body2', borderLeft: 3, borderColor: 'earth.clay', pl: 1.25, mt: 0.75 }}>
          <strong>{CAUTIONS[cause.caution].title}.</strong> {CAUTIONS[cause.caution].text}
        </Box>
      )}
      {cause.edits.length > 0 && (
        <Button
          variant="outlined"
          sx={{ mt: 1 }}
          onClick={() => {
            cause.edits.forEach((it) => edit(it));
            router.push(`/e/${design.id}/climate`);
          }}
        >
          Try it in Climate
        </Button>
      )}
    </Box>
  );
}
