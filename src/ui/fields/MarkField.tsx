'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { BASES, type Basis } from '@/core/catalogue';
import { BasisMark } from '../BasisMark';
import { useCitation } from '../useCitation';
import { BASIS_WORD } from '../words';

/** Where a value comes from. */
export interface Mark {
  readonly basis: Basis;
  readonly source?: string | undefined;
}

interface Props {
  /** Of what value. */
  readonly label: string;
  readonly mark: Mark;
  readonly onMark: (mark: Mark) => void;
}

/** A work that is named: nobody finds a value again by less. */
const needsWork = (basis: Basis): boolean => basis === 'published' || basis === 'cited';

/** The mark of a value of one’s own, to be changed: a keeper who looked it up names the work. */
export function MarkField({ label, mark, onMark }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        aria-label={`Where “${label}” comes from: ${BASIS_WORD[mark.basis]}`}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ p: 0, minWidth: 0, minHeight: 24, fontWeight: 400 }}
      >
        <BasisMark basis={mark.basis} source={mark.source} />
      </Button>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(null)}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
          transformOrigin={{ vertical: 'top', horizontal: 'right' }}
          slotProps={{ paper: { role: 'dialog', 'aria-label': `Where “${label}” comes from` } }}
        >
          <Form
            mark={mark}
            onMark={(next) => {
              onMark(next);
              setAnchor(null);
            }}
          />
        </Popover>
      )}
    </>
  );
}

function Form({ mark, onMark }: Pick<Props, 'mark' | 'onMark'>) {
  const [basis, setBasis] = useState(mark.basis);
  const known = useCitation(mark.source);
  const [typed, setTyped] = useState<string>();
  const work = (typed ?? known ?? '').trim();
  const isMissing = needsWork(basis) && work === '';
  const save = (): void => {
    // A work of the list that was left as it is stays named by its id.
    const source = typed === undefined ? mark.source : work === '' ? undefined : work;
    onMark({ basis, ...(source === undefined ? {} : { source }) });
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isMissing) save();
      }}
      sx={{ p: 2, width: 340, display: 'grid', gap: 1.5 }}
    >
      <TextField
        select
        label="It is"
        value={basis}
        onChange={(event) => setBasis(BASES.find((it) => it === event.target.value) ?? basis)}
      >
        {BASES.map((it) => (
          <MenuItem key={it} value={it}>
            {BASIS_WORD[it]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label={basis === 'estimated' ? 'By what rule' : 'Author, year, work, table'}
        multiline
        maxRows={4}
        value={typed ?? known ?? ''}
        error={isMissing}
        helperText={isMissing ? 'A published or cited value names the work it stands in.' : undefined}
        onChange={(event) => setTyped(event.target.value.slice(0, 300))}
      />
      <Button type="submit" variant="contained" disabled={isMissing} sx={{ justifySelf: 'start' }}>
        Set it
      </Button>
    </Box>
  );
}
