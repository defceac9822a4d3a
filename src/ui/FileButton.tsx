'use client';

import Button from '@mui/material/Button';
import { useRef } from 'react';

interface Props {
  /** On the button, and of the field behind it for those who hear it. */
  readonly words: string;
  readonly label: string;
  readonly accept: string;
  readonly multiple?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A button that lets one choose files. */
export function FileButton({ words, label, accept, multiple = false, onFiles }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" onClick={() => input.current?.click()}>
        {words}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        hidden
        aria-label={label}
        onChange={(event) => onFiles([...(event.target.files ?? [])])}
      />
    </>
  );
}
