'use client';

import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';

/** Letters a name has at most. */
const MOST = 80;

interface Props extends Pick<TextFieldProps, 'autoFocus' | 'fullWidth' | 'sx'> {
  readonly label: string;
  readonly value: string;
  /** Gives what is wrong with it, where something is: it then stays in the field. */
  readonly onCommit: (name: string) => unknown;
}

/** A name, taken over on leaving the field or by Enter; Esc brings the old one back. One of nothing is not taken. */
export function NameField({ label, value, onCommit, ...rest }: Props) {
  const [typed, setTyped] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const name = (typed ?? value).trim();
  const isEmpty = typed !== undefined && name === '';
  const commit = (): void => {
    if (isEmpty) return;
    const said = typed !== undefined && name !== value ? onCommit(name) : undefined;
    setRefused(typeof said === 'string' ? said : undefined);
    if (typeof said !== 'string') setTyped(undefined);
  };
  return (
    <TextField
      {...rest}
      label={label}
      value={typed ?? value}
      error={isEmpty || refused !== undefined}
      helperText={isEmpty ? 'A name is expected.' : refused}
      slotProps={{ htmlInput: { maxLength: MOST } }}
      onChange={(event) => {
        setTyped(event.target.value);
        setRefused(undefined);
      }}
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
