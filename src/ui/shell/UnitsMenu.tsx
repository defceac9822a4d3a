'use client';

import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { METRIC, US, UNITS, type UnitPrefs } from '@/core/units';

const SETS: readonly { readonly name: string; readonly prefs: UnitPrefs }[] = [
  { name: 'Centimetres, litres, °C', prefs: METRIC },
  { name: 'Millimetres, litres, °C', prefs: { ...METRIC, length: 'mm' } },
  { name: 'Inches, gallons, dry quarts, °F', prefs: US },
  { name: 'Inches, gallons, cubic feet, °F', prefs: { ...US, bag: 'cuFt' } },
];

interface Props {
  readonly prefs: UnitPrefs;
  readonly onChange: (prefs: UnitPrefs) => void;
}

/** Which units everything is read in. Any unit may be typed, whatever stands here. */
export function UnitsMenu({ prefs, onChange }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        aria-label={`Units: ${UNITS[prefs.length].symbol} and ${UNITS[prefs.temperature].symbol}`}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {UNITS[prefs.length].symbol} · {UNITS[prefs.temperature].symbol}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {SETS.map((set) => (
          <MenuItem
            key={set.name}
            selected={set.prefs.length === prefs.length && set.prefs.bag === prefs.bag}
            onClick={() => {
              onChange(set.prefs);
              setAnchor(null);
            }}
          >
            {set.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
