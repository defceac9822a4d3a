'use client';

import Box from '@mui/material/Box';
import { QRCodeSVG } from 'qrcode.react';
import type { ReactNode } from 'react';

/** Ink on paper, whatever the scheme of the screen. */
const INK = '#1d2a22';
const QUIET = '#55605a';
const RULE = '#c9c6ba';

interface Props {
  readonly title: string;
  readonly kicker: string;
  readonly lines: readonly string[];
  /** What its code holds, and what stands under it; null: it has none. Never an address: it leads nowhere elsewhere. */
  readonly code: { readonly holds: string; readonly words: string } | null;
  readonly children: ReactNode;
}

/** A sheet of paper: head, with a code where it has one, then what is on it. */
export function Paper({ title, kicker, lines, code, children }: Props) {
  return (
    <Box
      className="rincon-paper"
      data-sheet={kicker}
      sx={{
        bgcolor: '#fff',
        color: INK,
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '6px',
        px: { xs: 2, sm: 5 },
        py: { xs: 2, sm: 4 },
        fontSize: '0.86rem',
        lineHeight: 1.4,
        '& h2': { fontFamily: 'h1.fontFamily', fontSize: '1.45rem', m: 0, lineHeight: 1.1 },
        '& h3': {
          fontFamily: 'h1.fontFamily',
          fontSize: '1rem',
          m: 0,
          mt: 2.5,
          mb: 0.75,
          pb: 0.25,
          borderBottom: `1.5px solid ${INK}`,
          breakAfter: 'avoid',
        },
        '& table': { width: '100%', borderCollapse: 'collapse' },
        '& th': { textAlign: 'left', color: QUIET, fontWeight: 600, fontSize: '0.74rem', pr: 1.5, pb: 0.25 },
        '& td': { py: 0.3, pr: 1.5, borderTop: `1px solid ${RULE}`, verticalAlign: 'top' },
        '& .number': { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
        '& td:last-child, & th:last-child': { pr: 0 },
        '& tr, & li': { breakInside: 'avoid' },
        '& ul': { m: 0, pl: 2.25 },
        '& .quiet': { color: QUIET },
        '@media print': { border: 0, p: 0, borderRadius: 0 },
      }}
    >
      <Box
        component="header"
        className="rincon-sheet-head"
        sx={{ display: 'flex', gap: 2.5, alignItems: 'flex-start' }}
      >
        <Box sx={{ flex: 1 }}>
          <Box className="quiet" sx={{ fontSize: '0.78rem', fontWeight: 600 }}>
            {kicker}
          </Box>
          <h2>{title}</h2>
          {lines.map((it) => (
            <div key={it}>{it}</div>
          ))}
        </Box>
        {code && (
          <Box sx={{ width: 150, textAlign: 'center' }}>
            <QRCodeSVG
              value={code.holds}
              size={140}
              marginSize={2}
              level="L"
              title={code.words}
              fgColor={INK}
            />
            <Box className="quiet" sx={{ fontSize: '0.6rem', lineHeight: 1.25 }}>
              {code.words}
            </Box>
          </Box>
        )}
      </Box>
      {children}
    </Box>
  );
}

/** A box to tick with a pencil. */
export const Tick = () => (
  <Box
    component="span"
    aria-hidden
    sx={{
      display: 'inline-block',
      width: 13,
      height: 13,
      border: `1.3px solid ${INK}`,
      borderRadius: '2px',
      verticalAlign: '-2px',
      mr: 1,
      flex: 'none',
    }}
  />
);

/** A line to write on. */
export const Blank = ({ label }: { readonly label: string }) => (
  <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end', minHeight: 26 }}>
    <span>{label}</span>
    <Box component="span" sx={{ flex: 1, borderBottom: `1px solid ${INK}` }} />
  </Box>
);
