'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { culturesDue } from '@/core/living';
import { useCultures } from '@/store';
import { stateWords, taskWords } from '@/ui/cultureWords';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { useFeeders } from '@/ui/useFeeders';
import { useToday } from '@/ui/useToday';
import { CultureDetail } from './CultureDetail';
import { StartCulture } from './StartCulture';

/** Tubs of feeders and crew beside the enclosures: what each gives, and what it is due for. */
export function Cultures() {
  const cultures = useCultures();
  const feeders = useFeeders();
  const today = useToday();
  const [selected, setSelected] = useState<string | null>(null);
  const [isStarting, setStarting] = useState(false);
  if (!cultures || !feeders) return <Message title="Fetching the cultures" role="status" />;
  const dues = culturesDue(cultures, today);
  const nextOf = (id: string) => dues.find((it) => it.culture.id === id);
  const hintOf = (id: string): string | undefined => {
    const next = nextOf(id);
    if (!next || next.late < 0) return undefined;
    return next.late === 0 ? 'due today' : 'due';
  };
  const ordered = [...cultures].sort((a, b) => Number(a.ended !== null) - Number(b.ended !== null));
  const culture = isStarting ? undefined : (cultures.find((it) => it.id === selected) ?? ordered[0]);
  const now = dues.filter((it) => it.late >= 0);
  return (
    <ListDetail
      label="Cultures"
      items={ordered.map((it) => ({
        id: it.id,
        name: it.name,
        hint: hintOf(it.id) ?? stateWords(it, today),
      }))}
      selected={culture?.id ?? null}
      onSelect={(id) => {
        setStarting(false);
        setSelected(id);
      }}
      tools={
        <Button variant="contained" onClick={() => setStarting(true)} sx={{ flex: 'none' }}>
          Start one
        </Button>
      }
    >
      {culture ? (
        <CultureDetail key={culture.id} culture={culture} feeders={feeders} today={today} />
      ) : (
        <StartCulture
          feeders={feeders}
          today={today}
          onStarted={(id) => {
            setSelected(id);
            setStarting(false);
          }}
        />
      )}
      {now.length > 0 && !isStarting && (
        <DetailCard label="Due now">
          <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
            Due now
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
            {now.map((it) => (
              <li key={`${it.culture.id} ${it.task}`}>
                {taskWords(it)}
                {it.late > 0 && `, since ${dayWords(it.day)}`}
              </li>
            ))}
          </Box>
        </DetailCard>
      )}
    </ListDetail>
  );
}
