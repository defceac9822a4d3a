'use client';

import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

/** Letters a name has at most. */
const MOST = 80;

interface Props extends Pick<TextFieldProps, 'autoFocus' | 'fullWidth' | 'sx'> {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (name: string) => void;
}

/** A name, taken over on leaving the field or by Enter; Esc brings the old one back. One of nothing is not taken. */
export function NameField({ label, value, onCommit, ...rest }: Props) {
  const [typed, setTyped] = useState<string>();
  const name = (typed ?? value).trim();
  const isEmpty = typed !== undefined && name === '';
  const commit = (): void => {
    if (isEmpty) return;
    if (typed !== undefined && name !== value) onCommit(name);
    setTyped(undefined);
  };
  return (
    <TextField
      {...rest}
      label={label}
      value={typed ?? value}
      error={isEmpty}
      helperText={isEmpty ? 'A name is expected.' : undefined}
      slotProps={{ htmlInput: { maxLength: MOST } }}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        else if (event.key === 'Escape' && typed !== undefined) {
          event.stopPropagation();
          setTyped(undefined);
        }
      }}
    />
  );
}
