'use client';

import Divider from '@mui/material/Divider';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';

interface Props {
  /** ISO 4217; null: prices are bare numbers. */
  readonly value: string | null;
  readonly locale: string;
  readonly onChange: (currency: string | null) => void;
}

const NONE = 'none';
/** Those most people look for, before all others. */
const FIRST = ['EUR', 'USD', 'GBP', 'CHF', 'CAD', 'AUD'];

/** What prices are in. */
export function CurrencyChoice({ value, locale, onChange }: Props) {
  const all = useMemo(() => {
    const names = new Intl.DisplayNames(locale, { type: 'currency' });
    const rest = Intl.supportedValuesOf('currency').filter((it) => !FIRST.includes(it));
    return [...FIRST, ...rest].map((code) => [code, names.of(code) ?? code] as const);
  }, [locale]);
  return (
    <TextField
      select
      className="no-print"
      label="Currency"
      value={value ?? NONE}
      onChange={(event) => onChange(event.target.value === NONE ? null : event.target.value)}
      sx={{ width: 130 }}
      slotProps={{
        select: {
          renderValue: (code) => (code === NONE ? 'none' : String(code)),
          MenuProps: { slotProps: { paper: { sx: { maxHeight: 420 } } } },
        },
      }}
    >
      <MenuItem value={NONE}>none</MenuItem>
      <Divider />
      {all.map(([code, name]) => (
        <MenuItem key={code} value={code}>
          {code}, {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
