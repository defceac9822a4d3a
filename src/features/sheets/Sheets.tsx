'use client';

import PrintOutlinedIcon from '@mui/icons-material/PrintOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useRef, useState } from 'react';
import { useOpenDesign, useStore } from '@/store';
import { Fetching } from '@/ui/Fetching';
import { ActionMenu } from '@/ui/ActionMenu';
import { BuildSheet } from './BuildSheet';
import { savePage } from './savePage';

// It comes when it is first looked at.
const CareSheet = dynamic(() => import('./CareSheet').then((it) => it.CareSheet), { loading: Fetching });

const QuoteSheet = dynamic(() => import('./QuoteSheet').then((it) => it.QuoteSheet), { loading: Fetching });

const SHEETS = {
  build: { label: 'Build sheet', Sheet: BuildSheet },
  care: { label: 'Care sheet', Sheet: CareSheet },
  quote: { label: 'Quote', Sheet: QuoteSheet },
} as const;
/** A page that is read anywhere, with the enclosure in it. */
const PAGES = [
  { words: 'With its log and animals', isLogged: true },
  { words: 'Without its log', isLogged: false },
] as const;
type Name = keyof typeof SHEETS;

/** Sheets as they come out of the printer; the browser’s own print dialogue also saves them as PDF. */
export function Sheets() {
  const { db, settings } = useStore();
  const { design } = useOpenDesign();
  const panel = useRef<HTMLDivElement>(null);
  const asked = useSearchParams().get('sheet');
  const [name, setName] = useState<Name>(asked !== null && asked in SHEETS ? (asked as Name) : 'build');
  const { Sheet } = SHEETS[name];
  return (
    <Box
      className="rincon-page"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: { xs: 1, md: 2.5 }, py: 2 }}
    >
      <Box sx={{ maxWidth: 860, mx: 'auto' }}>
        <Box
          className="no-print"
          sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25, mb: 1.5 }}
        >
          <Typography variant="h1" component="h1">
            Sheets
          </Typography>
          <Tabs
            value={name}
            onChange={(_, next: Name) => setName(next)}
            aria-label="Sheet"
            variant="scrollable"
            scrollButtons={false}
            sx={{ flex: 1, ml: { md: 2 } }}
          >
            {(Object.keys(SHEETS) as Name[]).map((it) => (
              <Tab
                key={it}
                value={it}
                label={SHEETS[it].label}
                id={`sheet-${it}`}
                aria-controls={`paper-${it}`}
              />
            ))}
          </Tabs>
          <Button component={NextLink} href={`/e/${design.id}/mixing`}>
            Mixing sheet
          </Button>
          {name !== 'quote' && (
            <ActionMenu
              label="Save as a page"
              choices={PAGES.map(({ words, isLogged }) => ({
                words,
                act: () => {
                  const sheet = panel.current?.querySelector('[data-sheet]');
                  if (sheet) void savePage(sheet, design, { db, settings }, isLogged);
                },
              }))}
            />
          )}
          <Button variant="contained" startIcon={<PrintOutlinedIcon />} onClick={() => window.print()}>
            Print, or save as PDF
          </Button>
        </Box>
        <Box role="tabpanel" ref={panel} id={`paper-${name}`} aria-labelledby={`sheet-${name}`}>
          <Sheet />
        </Box>
      </Box>
    </Box>
  );
}
