'use client';

import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

/** Days that can be meant: a year half typed, or with a figure too many, is none of them. */
const [FIRST, LAST] = ['1900-01-01', '2200-12-31'];

interface Props {
  readonly label: string;
  /** ISO 8601; null: none. */
  readonly value: string | null;
  /** Gives what is wrong with it, where something is. */
  readonly onCommit: (day: string | null) => unknown;
  /** No later day fits. */
  readonly max?: string;
  /** Underlined and without its label, for tables. */
  readonly bare?: boolean;
  readonly sx?: TextFieldProps['sx'];
}

/** A day. Taken over once it is a whole one that can be meant; what cannot be stays in the field, and says so. */
export function DateField({ label, value, onCommit, max, bare = false, sx }: Props) {
  const [typed, setTyped] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const last = max ?? LAST;
  const fits = (day: string): boolean => day >= FIRST && day <= last && day.length === 10;
  const put = (day: string | null): void => {
    const said = day === value ? undefined : onCommit(day);
    setWrong(typeof said === 'string' ? said : undefined);
    if (typeof said !== 'string') setTyped(undefined);
  };
  return (
    <TextField
      {...(bare ? { variant: 'standard' as const } : { label })}
      type="date"
      value={typed ?? value ?? ''}
      error={wrong !== undefined}
      helperText={wrong}
      onChange={({ target }) => {
        setTyped(target.value);
        setWrong(undefined);
        if (fits(target.value)) put(target.value);
      }}
      onBlur={() => {
        if (typed === undefined || fits(typed)) return;
        if (typed === '') put(null);
        else
          setWrong(max !== undefined && typed > max ? `Not after ${max}.` : 'A day between 1900 and 2200.');
      }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { min: FIRST, max: last, ...(bare ? { 'aria-label': label } : {}) },
        formHelperText: { role: wrong === undefined ? undefined : 'alert' },
      }}
      sx={sx}
    />
  );
}
