'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import WarningAmberIcon from '@mui/icons-material/WarningAmber';
import { useReader } from '@/ui/units';
import { CardList, CardRow } from './CardList';
import { momentWords, ODDITY_WORD, readingWords } from '@/ui/readingWords';
import { useNow, type Standing } from './useAlarms';
import { counted } from '@/core/units';

/** What is outside its band now; each with the way to its cause. */
export function Alarms({
  standing,
  named,
}: {
  readonly standing: readonly Standing[];
  readonly named: boolean;
}) {
  const reader = useReader();
  const now = useNow();
  if (standing.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="alarms">
      <Typography variant="h2" id="alarms" sx={{ mb: 0.75 }}>
        {counted(standing.length, 'problem')}
      </Typography>
      <CardList>
        {standing.map(({ design, series, alarm, oddity }) => (
          <CardRow
            key={series.id}
            data-alarm={series.name}
            mark={<WarningAmberIcon sx={{ color: 'earth.clay' }} aria-hidden />}
            title={
              <>
                {named && `${design.name}: `}
                {series.name} {alarm ? (alarm.side === 'low' ? 'too low' : 'too high') : 'not to be trusted'}
              </>
            }
            more={
              <>
                {alarm &&
                  `${readingWords(alarm.worst, series.quantity, reader)} at worst, since ${momentWords(alarm.from, now)}. ${alarm.harm ? 'That is more than it bears. ' : ''}`}
                {oddity &&
                  `${alarm ? 'Measure by hand: since' : 'Since'} ${momentWords(oddity.from, now)} ${ODDITY_WORD[oddity.kind]}.`}
              </>
            }
            href={`/e/${design.id}/keep?tab=off`}
            action="Why"
          />
        ))}
      </CardList>
    </Box>
  );
}
