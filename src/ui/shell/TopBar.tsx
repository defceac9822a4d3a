'use client';

import Box from '@mui/material/Box';
import NextLink from 'next/link';
import { useEffect, useRef, type ReactNode } from 'react';

export interface PlaceLink {
  readonly href: string;
  readonly label: string;
  readonly current: boolean;
  /** Shown before the label: the key that leads there. */
  readonly digit?: number;
}

interface Props {
  /** Between the name and the places: which enclosure is open. */
  readonly open?: ReactNode;
  readonly places: readonly PlaceLink[];
  readonly tools: ReactNode;
}

/** The bar along the top: whose place, which places there are, and the tools that hold everywhere. */
export function TopBar({ open, places, tools }: Props) {
  const row = useRef<HTMLElement>(null);
  const here = places.find((it) => it.current)?.href;
  // The place that is open is in sight, however far to the right it stands.
  useEffect(() => {
    const nav = row.current;
    const link = nav?.querySelector<HTMLElement>('[aria-current]');
    if (!nav || !link) return;
    const { offsetLeft, offsetWidth } = link;
    const left = offsetLeft - nav.offsetLeft;
    if (left < nav.scrollLeft || left + offsetWidth > nav.scrollLeft + nav.clientWidth)
      nav.scrollLeft = Math.max(0, left + offsetWidth / 2 - nav.clientWidth / 2);
  }, [here]);
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        gap: 1.25,
        minHeight: 56,
        px: { xs: 1.5, md: 2.5 },
        py: 0.75,
        borderBottom: 1,
        borderColor: 'earth.rule',
        bgcolor: 'earth.paper',
      }}
    >
      <Box
        component={NextLink}
        href="/"
        aria-label="Rincon, to the rack"
        sx={{
          fontFamily: 'h1.fontFamily',
          typography: 'h1',
          fontSize: '1.3rem',
          color: 'earth.ink',
          textDecoration: 'none',
          mr: 0.5,
        }}
      >
        Rin
        <Box component="span" sx={{ color: 'earth.clay' }}>
          c
        </Box>
        on
      </Box>
      {open}
      <Box
        component="nav"
        ref={row}
        aria-label="Places"
        sx={{
          display: 'flex',
          gap: 0.5,
          ml: { md: 2 },
          order: { xs: 3, md: 0 },
          // Where they do not fit the places are pushed sideways, not cut off.
          overflowX: { xs: 'auto', xl: 'visible' },
          scrollbarWidth: 'thin',
          minWidth: 0,
          maxWidth: '100%',
          py: 0.25,
        }}
      >
        {places.map((place) => (
          <Box
            key={place.href}
            component={NextLink}
            href={place.href}
            aria-current={place.current ? 'page' : undefined}
            sx={{
              display: 'inline-flex',
              alignItems: 'center',
              gap: 0.75,
              minHeight: 34,
              flexShrink: 0,
              px: 1.5,
              borderRadius: '8px',
              fontWeight: 600,
              fontSize: '0.9rem',
              textDecoration: 'none',
              color: place.current ? 'primary.contrastText' : 'earth.quiet',
              bgcolor: place.current ? 'earth.moss' : 'transparent',
              '&:hover': place.current ? {} : { bgcolor: 'earth.mossWash', color: 'earth.ink' },
              '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.clay', outlineOffset: 2 },
            }}
          >
            {place.digit !== undefined && (
              <Box component="span" aria-hidden sx={{ fontSize: '0.75rem', opacity: 0.85 }}>
                {place.digit}
              </Box>
            )}
            {place.label}
          </Box>
        ))}
      </Box>
      <Box sx={{ flex: 1 }} />
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          flexShrink: 0,
          gap: { xs: 0.5, md: 1 },
          '& .MuiButton-root': { whiteSpace: 'nowrap', minWidth: { xs: 0, md: 64 }, px: { xs: 1.25, md: 2 } },
        }}
      >
        {tools}
      </Box>
    </Box>
  );
}
