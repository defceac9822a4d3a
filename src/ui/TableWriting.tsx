'use client';

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

/** How dates, times and numbers of a table are written. */
interface Writing {
  readonly order: 'ymd' | 'dmy' | 'mdy';
  /** Of times that do not say their own. */
  readonly zone: string;
  readonly decimal: '.' | ',';
}

interface Props {
  readonly value: Writing;
  readonly onChange: (change: Partial<Writing>) => void;
}

/** Asks how a table’s dates, clock and decimals are written: three fields for a row. */
export function TableWriting({ value: { order, zone, decimal }, onChange }: Props) {
  const zones = [zone, Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', 'UTC', 'Etc/GMT-1'];
  return (
    <>
      <TextField
        select
        label="Dates are written"
        value={order}
        onChange={(event) => onChange({ order: event.target.value as Writing['order'] })}
        sx={{ minWidth: 150 }}
      >
        <MenuItem value="ymd">year, month, day</MenuItem>
        <MenuItem value="dmy">day, month, year</MenuItem>
        <MenuItem value="mdy">month, day, year</MenuItem>
      </TextField>
      <TextField
        select
        label="Its clock shows"
        value={zone}
        onChange={(event) => onChange({ zone: event.target.value })}
        sx={{ minWidth: 150 }}
      >
        {[...new Set(zones)].map((it) => (
          <MenuItem key={it} value={it}>
            {it === 'Etc/GMT-1' ? 'winter time all year (UTC+1)' : it}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Decimals"
        value={decimal}
        onChange={(event) => onChange({ decimal: event.target.value as Writing['decimal'] })}
        sx={{ minWidth: 110 }}
      >
        <MenuItem value=".">point, 23.4</MenuItem>
        <MenuItem value=",">comma, 23,4</MenuItem>
      </TextField>
    </>
  );
}
