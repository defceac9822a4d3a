'use client';

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** Whole days; an empty field says that there is no such rhythm. */
export function DayCount({
  label,
  value,
  onCommit,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onCommit: (days: number | null) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? (value === null ? '' : String(value));
  const days = text.trim() === '' ? null : Number(text);
  const isWrong = days !== null && (!Number.isInteger(days) || days < 1 || days > 730);
  const commit = (): void => {
    if (typed === undefined || isWrong) return;
    if (days !== value) onCommit(days);
    setTyped(undefined);
  };
  return (
    <TextField
      label={label}
      value={text}
      error={isWrong}
      helperText={isWrong ? 'Whole days from 1 to 730, or nothing.' : undefined}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'Escape') setTyped(undefined);
      }}
      slotProps={{
        htmlInput: { inputMode: 'numeric' },
        inputLabel: { shrink: true },
        input: { endAdornment: <InputAdornment position="end">days</InputAdornment> },
      }}
      sx={{ width: 150 }}
    />
  );
}
