import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Basis } from '@/core/catalogue';
import { useCitation } from './useCitation';
import { BASIS_WORD } from './words';

interface Props {
  readonly basis: Basis | 'computed';
  /** Of a work or rule of the list, or written out; told where the pointer rests. */
  readonly source?: string | undefined;
}

/** Where a value or a judgement comes from. */
export function BasisMark({ basis, source }: Props) {
  const [met, setMet] = useState(false);
  const citation = useCitation(source, met);
  return (
    <Box
      component="span"
      title={citation}
      onPointerEnter={() => setMet(true)}
      sx={{
        fontSize: '0.72rem',
        fontWeight: 400,
        color: 'earth.quiet',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '5px',
        px: 0.6,
        py: '1px',
        whiteSpace: 'nowrap',
        verticalAlign: '1px',
      }}
    >
      {BASIS_WORD[basis]}
    </Box>
  );
}
