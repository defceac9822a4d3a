'use client';

import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';

interface Props {
  readonly label: string;
  /** Said aloud, where the label alone does not tell what it is about. */
  readonly name?: string;
  readonly choices: readonly { readonly words: string; readonly act: () => unknown }[];
}

/** Ways to do the same thing, behind one button. */
export function ActionMenu({ label, name, choices }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        className="no-print"
        aria-haspopup="menu"
        aria-label={name}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {choices.map(({ words, act }) => (
          <MenuItem
            key={words}
            onClick={() => {
              setAnchor(null);
              act();
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
