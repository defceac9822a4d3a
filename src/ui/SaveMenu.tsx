'use client';

import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';

interface Props {
  readonly label: string;
  readonly choices: readonly { readonly words: string; readonly save: () => unknown }[];
}

/** Ways to save the same thing, behind one button. */
export function SaveMenu({ label, choices }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        className="no-print"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {choices.map(({ words, save }) => (
          <MenuItem
            key={words}
            onClick={() => {
              setAnchor(null);
              save();
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
