'use client';

import Autocomplete from '@mui/material/Autocomplete';
import TextField, { type TextFieldProps } from '@mui/material/TextField';

interface Props extends Pick<TextFieldProps, 'sx' | 'placeholder' | 'autoFocus'> {
  readonly label: string;
  readonly value: string;
  /** What was written in such a field before. */
  readonly known: readonly string[];
  readonly most: number;
  readonly onOpen?: () => void;
  /** Taken over on leaving the field, by Enter or by picking one that is known. */
  readonly onCommit: (text: string) => void;
}

/** Words of one’s own, or some that were written before. */
export function SuggestField({ label, value, known, most, onOpen, onCommit, sx, ...rest }: Props) {
  const commit = (text: string): void => {
    if (text.trim() !== value) onCommit(text.trim());
  };
  return (
    <Autocomplete<string, false, false, true>
      // What is stored is shown again when it changes from elsewhere.
      key={value}
      freeSolo
      openOnFocus
      options={[...known]}
      value={value}
      onOpen={onOpen}
      onChange={(_, next) => commit(next ?? '')}
      sx={sx}
      renderInput={(params) => (
        <TextField
          {...params}
          {...rest}
          label={label}
          onBlur={(event) => commit(event.target.value)}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps.htmlInput, maxLength: most },
          }}
        />
      )}
    />
  );
}
