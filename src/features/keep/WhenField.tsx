'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { When } from '@/core/care';
import { NumberField } from '@/ui/fields/PlainFields';

const DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
const DAY_WORD: Record<(typeof DAYS)[number], string> = {
  MO: 'Mon',
  TU: 'Tue',
  WE: 'Wed',
  TH: 'Thu',
  FR: 'Fri',
  SA: 'Sat',
  SU: 'Sun',
};
const MODES = {
  since: 'days after the last time',
  daily: 'every so many days',
  weekly: 'on days of the week',
  monthly: 'on the first of months',
} as const;
type Mode = keyof typeof MODES;

const modeOf = (when: When): Mode =>
  when.by === 'since'
    ? 'since'
    : when.rrule.startsWith('FREQ=WEEKLY')
      ? 'weekly'
      : when.rrule.startsWith('FREQ=MONTHLY')
        ? 'monthly'
        : 'daily';
const everyOf = (when: When): number =>
  when.by === 'since' ? when.days : Number(/INTERVAL=(\d+)/.exec(when.rrule)?.[1] ?? 1);
const daysOf = (when: When): string[] =>
  when.by === 'calendar' ? (/BYDAY=([A-Z,]+)/.exec(when.rrule)?.[1]?.split(',') ?? []) : [];

const build = (mode: Mode, every: number, days: readonly string[]): When => {
  const interval = every > 1 ? `;INTERVAL=${every}` : '';
  switch (mode) {
    case 'since':
      return { by: 'since', days: every };
    case 'daily':
      return { by: 'calendar', rrule: `FREQ=DAILY${interval}` };
    case 'weekly':
      return { by: 'calendar', rrule: `FREQ=WEEKLY;BYDAY=${(days.length > 0 ? days : ['MO']).join(',')}` };
    case 'monthly':
      return { by: 'calendar', rrule: `FREQ=MONTHLY${interval};BYMONTHDAY=1` };
  }
};

/** When something comes again, by the calendar or by the last time. */
export function WhenField({
  when,
  onCommit,
}: {
  readonly when: When;
  readonly onCommit: (when: When) => void;
}) {
  const mode = modeOf(when);
  const every = everyOf(when);
  const days = daysOf(when);
  return (
    <Box
      role="group"
      aria-label="When"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
    >
      {mode !== 'weekly' && (
        <NumberField
          key={every}
          label={mode === 'monthly' ? 'Months' : 'Days'}
          value={every}
          min={1}
          max={mode === 'monthly' ? 36 : 3650}
          onCommit={(next) => onCommit(build(mode, Math.round(next), days))}
          sx={{ width: 90 }}
        />
      )}
      <TextField
        select
        label="Comes"
        value={mode}
        onChange={(event) =>
          onCommit(build(event.target.value as Mode, mode === 'since' && every > 31 ? 1 : every, days))
        }
        sx={{ width: 210 }}
      >
        {(Object.keys(MODES) as Mode[]).map((it) => (
          <MenuItem key={it} value={it}>
            {MODES[it]}
          </MenuItem>
        ))}
      </TextField>
      {mode === 'weekly' && (
        <ToggleButtonGroup
          size="small"
          aria-label="Days of the week"
          value={days}
          onChange={(_, next: string[]) =>
            next.length > 0 &&
            onCommit(
              build(
                'weekly',
                1,
                DAYS.filter((it) => next.includes(it)),
              ),
            )
          }
        >
          {DAYS.map((it) => (
            <ToggleButton key={it} value={it}>
              {DAY_WORD[it]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
    </Box>
  );
}
