'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Timer } from '@/core/document';
import { clock, readClock } from './words';

/** A moment of the day as people write it. */
export function ClockField({
  label,
  value,
  onCommit,
  sx,
}: {
  readonly label: string;
  readonly value: number;
  readonly onCommit: (minutes: number) => void;
  readonly sx?: object;
}) {
  const [text, setText] = useState(clock(value));
  const read = readClock(text);
  const commit = (): void => {
    if (read !== null && read !== value) onCommit(read);
  };
  return (
    <TextField
      label={label}
      value={text}
      error={read === null}
      helperText={read === null ? 'A time of the day, such as 7:30.' : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
      sx={sx}
    />
  );
}

/** When something is on. */
export function TimerField({
  timer,
  onChange,
  label = 'It is on',
}: {
  readonly timer: Timer;
  readonly onChange: (timer: Timer) => void;
  readonly label?: string;
}) {
  const pick = (by: Timer['by']): void =>
    onChange(
      by === 'clock' ? { by, spans: timer.by === 'clock' ? timer.spans : [{ from: 480, to: 1200 }] } : { by },
    );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25, alignItems: 'flex-start' }}>
      <TextField
        select
        label={label}
        value={timer.by}
        onChange={(event) => pick(event.target.value as Timer['by'])}
        sx={{ minWidth: 150 }}
      >
        <MenuItem value="day">with the day</MenuItem>
        <MenuItem value="night">at night</MenuItem>
        <MenuItem value="always">always</MenuItem>
        <MenuItem value="clock">by the clock</MenuItem>
      </TextField>
      {timer.by === 'clock' &&
        timer.spans.map((span, index) => (
          <Box
            key={`${index} ${span.from} ${span.to}`}
            sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}
          >
            <ClockField
              label={`From (${index + 1})`}
              value={span.from}
              sx={{ width: 92 }}
              onCommit={(from) =>
                from < span.to &&
                onChange({
                  by: 'clock',
                  spans: timer.spans.map((it, i) => (i === index ? { ...it, from } : it)),
                })
              }
            />
            <ClockField
              label={`To (${index + 1})`}
              value={span.to}
              sx={{ width: 92 }}
              onCommit={(to) =>
                to > span.from &&
                onChange({
                  by: 'clock',
                  spans: timer.spans.map((it, i) => (i === index ? { ...it, to } : it)),
                })
              }
            />
            <Button
              size="small"
              onClick={() => onChange({ by: 'clock', spans: timer.spans.filter((_, i) => i !== index) })}
            >
              Remove
            </Button>
          </Box>
        ))}
      {timer.by === 'clock' && timer.spans.length < 12 && (
        <Button
          size="small"
          onClick={() => onChange({ by: 'clock', spans: [...timer.spans, { from: 720, to: 780 }] })}
        >
          Another time
        </Button>
      )}
    </Box>
  );
}
