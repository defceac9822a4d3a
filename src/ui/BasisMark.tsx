import Box from '@mui/material/Box';
import type { Basis } from '@/core/catalogue';
import { BASIS_WORD } from './words';

/** Where a value or a judgement comes from. */
export function BasisMark({
  basis,
  source,
}: {
  readonly basis: Basis | 'computed';
  readonly source?: string;
}) {
  return (
    <Box
      component="span"
      title={source}
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
