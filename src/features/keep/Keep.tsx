'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState } from 'react';
import { useOpenDesign } from '@/store';
import { localToday } from '@/ui/days';
import { CareTab } from './CareTab';
import { LogTab } from './LogTab';
import { ReadingsTab } from './readings/ReadingsTab';
import { QuickLine } from './QuickLine';

/** What keeps an enclosure going, and what was seen, done and read in it. */
export function Keep() {
  const { design } = useOpenDesign();
  const [tab, setTab] = useState<'care' | 'log' | 'readings'>('care');
  const [today] = useState(() => localToday(new Date()));
  const place = { id: design.id, name: design.name };
  return (
    <Box
      className="rincon-page"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: { xs: 1.5, md: 2.5 }, py: 2 }}
    >
      <Box
        sx={{ maxWidth: 1080, mx: 'auto', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}
      >
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25 }}>
          <Typography variant="h1" component="h1">
            Keep
          </Typography>
          <Tabs
            className="no-print"
            value={tab}
            onChange={(_, next: typeof tab) => setTab(next)}
            aria-label="Keeping"
            sx={{ flex: 1, ml: { md: 2 } }}
          >
            <Tab value="care" label="Care" id="tab-care" aria-controls="panel-care" />
            <Tab value="log" label="Log" id="tab-log" aria-controls="panel-log" />
            <Tab value="readings" label="Readings" id="tab-readings" aria-controls="panel-readings" />
          </Tabs>
          <Button component={NextLink} href="/today">
            All that is due
          </Button>
        </Box>
        <QuickLine places={[place]} open={place} />
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          {tab === 'care' ? <CareTab today={today} /> : tab === 'log' ? <LogTab /> : <ReadingsTab />}
        </Box>
      </Box>
    </Box>
  );
}
