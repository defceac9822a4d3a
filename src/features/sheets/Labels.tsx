'use client';

import PrintOutlinedIcon from '@mui/icons-material/PrintOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useSearchParams } from 'next/navigation';
import { QRCodeSVG } from 'qrcode.react';
import { useMemo, useState, type ReactNode } from 'react';
import { findAnimal } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { capital, counted } from '@/core/units';
import { useDesigns, useStore } from '@/store';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { byPlace } from '@/ui/placeOrder';
import { useReader } from '@/ui/units';
import { animalsWord, OUTER_PLACES } from '@/ui/words';
import { isOnlyHere, useOrigin } from './useOrigin';

/** Labels as they are cut from a sheet, mm: its code is large enough to be read from an arm’s length. */
const SIZES = {
  small: { words: 'small, 60 × 30 mm', width: 60, height: 30, code: 22, name: 11 },
  medium: { words: 'medium, 86 × 42 mm', width: 86, height: 42, code: 32, name: 15 },
  large: { words: 'large, 86 × 64 mm', width: 86, height: 64, code: 46, name: 19 },
} as const;
type Size = keyof typeof SIZES;

const INK = '#1d2a22';

/** Labels for enclosures, each with its own address as a code that a phone’s camera opens. */
export function Labels({ tools }: { readonly tools: ReactNode }) {
  const asked = useSearchParams().get('of');
  const designs = useDesigns();
  const origin = useOrigin();
  const { locale } = useReader();
  const [size, setSize] = useState<Size>('medium');
  const shown = useMemo(() => {
    const ids = new Set((asked ?? '').split(',').filter((it) => it !== ''));
    // As they are stuck on: one shelf after the other.
    return designs
      ?.flatMap((it) => (it.state === 'ready' ? [it.row.design] : []))
      .filter((it) => (ids.size > 0 ? ids.has(it.id) : !it.brief.putAway))
      .sort(byPlace(locale));
  }, [designs, asked, locale]);
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <div className="no-print">
        <TopBar places={OUTER_PLACES('/labels')} tools={tools} />
      </div>
      <Box
        component="main"
        sx={{ px: { xs: 1.5, md: 2.5 }, py: 2.25, maxWidth: 980, mx: 'auto', '@media print': { p: 0 } }}
      >
        <Box
          className="no-print"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 2 }}
        >
          <Box sx={{ flex: '1 1 260px' }}>
            <Typography variant="h1" component="h1">
              Labels
            </Typography>
            <Typography sx={{ color: 'earth.quiet' }}>
              {shown
                ? `${counted(shown.length, 'label')}. A phone’s camera opens the enclosure where it is kept.`
                : 'Looking for them'}
            </Typography>
          </Box>
          <TextField
            select
            label="Size"
            value={size}
            onChange={(event) => setSize(event.target.value as Size)}
            sx={{ width: 200 }}
          >
            {(Object.keys(SIZES) as Size[]).map((it) => (
              <MenuItem key={it} value={it}>
                {SIZES[it].words}
              </MenuItem>
            ))}
          </TextField>
          <Button
            variant="contained"
            startIcon={<PrintOutlinedIcon />}
            disabled={!shown || shown.length === 0}
            onClick={() => window.print()}
          >
            Print them
          </Button>
        </Box>
        {isOnlyHere(origin) && (
          <Typography
            className="no-print"
            role="note"
            sx={{ mb: 2, pl: 1.5, borderLeft: 3, borderColor: 'earth.amber', maxWidth: 720 }}
          >
            Rincon is open at {origin} here, which is this machine alone: a phone that scans such a label
            finds nothing. To print labels for a phone, let Rincon listen to your network first, and open it
            by its address there.
          </Typography>
        )}
        {shown?.length === 0 ? (
          <Message
            title="No enclosure to print a label for"
            actions={
              <Button component={NextLink} href="/" variant="contained">
                To the rack
              </Button>
            }
          >
            Choose some on the rack, or put one there first.
          </Message>
        ) : (
          <Box
            component="ul"
            aria-label="Labels"
            sx={{ listStyle: 'none', p: 0, m: 0, display: 'flex', flexWrap: 'wrap' }}
          >
            {shown?.map((design) => (
              <Label key={design.id} design={design} size={size} origin={origin} />
            ))}
          </Box>
        )}
      </Box>
    </Box>
  );
}

interface LabelProps {
  readonly design: Design;
  readonly size: Size;
  readonly origin: string;
}

function Label({ design, size, origin }: LabelProps) {
  const { catalogue } = useStore();
  const { width, height, code, name } = SIZES[size];
  const animal = findAnimal(catalogue, design.brief.animal);
  const { place, count } = design.brief;
  const where = [place.room, place.shelf].filter((it) => it !== '').join(', ');
  const address = `${origin}/e/${design.id}/keep`;
  const quiet = { fontSize: '7.5pt', lineHeight: 1.25, color: '#55605a' };
  return (
    <Box
      component="li"
      sx={{
        width: `${width}mm`,
        height: `${height}mm`,
        boxSizing: 'border-box',
        p: '3mm',
        display: 'flex',
        gap: '3mm',
        alignItems: 'center',
        bgcolor: '#fff',
        color: INK,
        // Where it is cut.
        border: '0.2mm dashed #a9a79c',
        breakInside: 'avoid',
        overflow: 'hidden',
      }}
    >
      <QRCodeSVG
        value={address}
        level="M"
        marginSize={2}
        fgColor={INK}
        title={`Address of ${design.name}: ${address}`}
        style={{ width: `${code}mm`, height: `${code}mm`, flex: 'none' }}
      />
      <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
        <Box
          sx={{
            fontFamily: 'h1.fontFamily',
            fontWeight: 700,
            fontSize: `${name}pt`,
            lineHeight: 1.1,
            display: '-webkit-box',
            WebkitLineClamp: 2,
            WebkitBoxOrient: 'vertical',
            overflow: 'hidden',
          }}
        >
          {design.name}
        </Box>
        {animal && (
          <Box sx={{ fontSize: '8.5pt', lineHeight: 1.25, mt: '1mm' }}>
            {capital(animalsWord(count, animal.english))}
            <Box sx={{ ...quiet, fontStyle: 'italic' }}>{animal.scientific}</Box>
          </Box>
        )}
        {where !== '' && size !== 'small' && <Box sx={{ ...quiet, mt: '1mm' }}>{where}</Box>}
      </Box>
    </Box>
  );
}
