'use client';

import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useEffect, useState, type ReactNode } from 'react';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { Materials } from './Materials';
import { Recipes } from './Recipes';

/** What soils are made from, what it costs, what is on the shelf, and how it is mixed. */
export function Stores({ tools }: { readonly tools: ReactNode }) {
  const [tab, setTab] = useState<'materials' | 'recipes'>('materials');
  useEffect(() => {
    document.title = 'Stores · Rincon';
  }, []);
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/stores')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2, maxWidth: 1320, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 3, mb: 1.75 }}>
          <Typography variant="h1" component="h1">
            Stores
          </Typography>
          <Tabs value={tab} onChange={(_, next: typeof tab) => setTab(next)} aria-label="Stores">
            <Tab
              value="materials"
              label="Materials and shelf"
              id="tab-materials"
              aria-controls="panel-materials"
            />
            <Tab value="recipes" label="Recipes" id="tab-recipes" aria-controls="panel-recipes" />
          </Tabs>
        </Box>
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          {tab === 'materials' ? <Materials /> : <Recipes />}
        </Box>
      </Box>
    </Box>
  );
}
