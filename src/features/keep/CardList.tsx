import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NextLink from 'next/link';
import type { ReactNode } from 'react';

/** Rows of a list on one card. */
export const CardList = ({ children }: { readonly children: ReactNode }) => (
  <Box
    component="ul"
    sx={{
      m: 0,
      p: 0,
      listStyle: 'none',
      bgcolor: 'earth.card',
      border: 1,
      borderColor: 'earth.rule',
      borderRadius: '12px',
    }}
  >
    {children}
  </Box>
);

/** A row of such a list: a mark, what it is, more of it, and the way on. */
export function CardRow({
  mark,
  title,
  more,
  href,
  action,
  ...data
}: {
  readonly mark: ReactNode;
  readonly title: ReactNode;
  readonly more: ReactNode;
  readonly href: string;
  readonly action: string;
  readonly 'data-alarm'?: string;
  readonly 'data-ahead'?: string;
}) {
  return (
    <Box
      component="li"
      {...data}
      sx={{
        display: 'flex',
        gap: 1.25,
        alignItems: 'center',
        px: 1.5,
        py: 0.75,
        borderTop: 1,
        borderColor: 'earth.rule',
        '&:first-of-type': { borderTop: 0 },
      }}
    >
      {mark}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Box sx={{ fontWeight: 600 }}>{title}</Box>
        <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>{more}</Box>
      </Box>
      <Button component={NextLink} href={href}>
        {action}
      </Button>
    </Box>
  );
}
