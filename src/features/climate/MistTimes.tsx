'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import type { Climate } from '@/core/document';
import { NumberField } from '@/ui/fields/PlainFields';
import { ClockField } from './TimerField';

type Mist = Pick<Climate['mist'], 'times' | 'everyDays'>;

/** When it is misted, for how long, and every how many days. */
export function MistTimes({
  label,
  by,
  mist,
  onChange,
}: {
  readonly label: string;
  readonly by: Climate['mist']['by'];
  readonly mist: Mist;
  readonly onChange: (change: Partial<Mist>) => void;
}) {
  const { times, everyDays } = mist;
  return (
    <>
      <Box
        component="ul"
        aria-label={label}
        sx={{ listStyle: 'none', m: 0, mt: 1.25, p: 0, display: 'grid', gap: 1.25 }}
      >
        {times.map((time, index) => (
          <Box
            key={`${index} ${time.at} ${time.seconds}`}
            component="li"
            sx={{ display: 'flex', gap: 1, alignItems: 'center' }}
          >
            <ClockField
              label={`Misting ${index + 1}`}
              value={time.at}
              sx={{ width: 120 }}
              onCommit={(at) => onChange({ times: times.map((it, i) => (i === index ? { ...it, at } : it)) })}
            />
            <NumberField
              label={by === 'hand' ? 'Pulls' : 'Seconds'}
              value={time.seconds}
              min={1}
              max={3600}
              onCommit={(seconds) =>
                onChange({ times: times.map((it, i) => (i === index ? { ...it, seconds } : it)) })
              }
              sx={{ width: 110 }}
            />
            <IconButton
              size="small"
              aria-label={`Leave out misting ${index + 1}`}
              onClick={() => onChange({ times: times.filter((_, i) => i !== index) })}
            >
              <CloseIcon fontSize="small" />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25, alignItems: 'flex-start' }}>
        <Button
          disabled={times.length >= 24}
          onClick={() => onChange({ times: [...times, { at: 780, seconds: 15 }] })}
        >
          Another misting
        </Button>
        <NumberField
          key={`e${everyDays}`}
          label="Every so many days"
          value={everyDays}
          min={1}
          max={30}
          onCommit={(days) => onChange({ everyDays: Math.round(days) })}
          sx={{ width: 150 }}
        />
      </Box>
    </>
  );
}
