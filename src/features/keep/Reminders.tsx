'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Beside } from '@/core/care';
import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import { clock } from '@/core/units';
import { useStore } from '@/store';
import { download } from '@/ui/download';
import { useLater } from '@/ui/useLater';
import { REMINDED, roundDays } from './round';

interface Props {
  readonly designs: readonly Design[];
  readonly log: readonly Entry[];
  readonly today: string;
  readonly beside: Beside;
}

/** The round as a calendar whose alarms reach a phone that is closed. */
export function Reminders({ designs, log, today, beside }: Props) {
  const { catalogue, settings, set } = useStore();
  const later = useLater();
  const at = settings.remindAt;
  return (
    <Box component="section" aria-labelledby="reminders">
      <Typography variant="h2" id="reminders" sx={{ mb: 0.75 }}>
        Reminders
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25 }}>
        <TextField
          type="time"
          label="Each day at"
          value={clock(at)}
          onChange={(event) => {
            const found = /^(\d{2}):(\d{2})$/.exec(event.target.value);
            if (found) void set('remindAt', Number(found[1]) * 60 + Number(found[2]));
          }}
          sx={{ width: 130 }}
        />
        <Button
          variant="outlined"
          onClick={() =>
            void later(
              () => import('@/files/calendar'),
              ({ roundCalendar }) => {
                const days = roundDays(designs, log, today, catalogue, beside);
                download('rincon-round.ics', roundCalendar(days, at, Date.now()), 'text/calendar');
              },
            )
          }
        >
          Save as a calendar
        </Button>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: '1 1 260px' }}>
          For the next {REMINDED / 7} weeks, with an alarm on each day there is something to do. Take it into
          your phone’s calendar; taken in again later, its days change and none is doubled.
        </Typography>
      </Box>
    </Box>
  );
}
