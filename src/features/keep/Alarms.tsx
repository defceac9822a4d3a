'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import WarningAmberIcon from '@mui/icons-material/WarningAmber';
import NextLink from 'next/link';
import { useReader } from '@/ui/units';
import { CardList } from './CardList';
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
          <Box
            component="li"
            key={series.id}
            data-alarm={series.name}
            sx={{
              display: 'flex',
              gap: 1.25,
              alignItems: 'center',
              px: 1.5,
              py: 0.75,
              borderTop: 1,
              borderColor: 'earth.rule',
              '&:first-of-type': { borderTop: 0 },
            }}
          >
            <WarningAmberIcon sx={{ color: 'earth.clay' }} aria-hidden />
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Box sx={{ fontWeight: 600 }}>
                {named && `${design.name}: `}
                {series.name} {alarm ? (alarm.side === 'low' ? 'too low' : 'too high') : 'not to be trusted'}
              </Box>
              <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
                {alarm &&
                  `${readingWords(alarm.worst, series.quantity, reader)} at worst, since ${momentWords(alarm.from, now)}. ${alarm.harm ? 'That is more than it bears. ' : ''}`}
                {oddity &&
                  `${alarm ? 'Measure by hand: since' : 'Since'} ${momentWords(oddity.from, now)} ${ODDITY_WORD[oddity.kind]}.`}
              </Box>
            </Box>
            <Button component={NextLink} href={`/e/${design.id}/keep?tab=off`}>
              Why
            </Button>
          </Box>
        ))}
      </CardList>
    </Box>
  );
}
