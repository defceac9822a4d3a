'use client';

import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Sourced } from '@/core/catalogue';
import { BasisMark } from './BasisMark';

/** Names and what is told of them, in two columns. */
export const Facts = ({ children }: { readonly children: ReactNode }) => (
  <Box
    component="dl"
    sx={{
      m: 0,
      display: 'grid',
      gridTemplateColumns: '92px 1fr',
      columnGap: 1.5,
      rowGap: 0.75,
      typography: 'body2',
    }}
  >
    {children}
  </Box>
);

/** One of them, with where it comes from. */
export const Fact = ({
  name,
  of,
  children,
}: {
  readonly name: string;
  readonly of: Pick<Sourced<unknown>, 'basis' | 'source'>;
  readonly children: ReactNode;
}) => (
  <>
    <Box component="dt" sx={{ color: 'earth.quiet' }}>
      {name}
    </Box>
    <Box component="dd" sx={{ m: 0 }}>
      {children} <BasisMark basis={of.basis} source={of.source} />
    </Box>
  </>
);
