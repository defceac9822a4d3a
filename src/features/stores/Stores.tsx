'use client';

import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, type ReactNode } from 'react';
import { Fetching } from '@/ui/Fetching';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { Materials } from './Materials';
import { Recipes } from './Recipes';
import { Shelf } from './Shelf';

/** Few open it: it comes when somebody does. */
const Cultures = dynamic(() => import('./cultures/Cultures').then((it) => it.Cultures), {
  loading: Fetching,
});

const TABS = [
  { value: 'materials', label: 'Materials' },
  { value: 'shelf', label: 'Shelf' },
  { value: 'recipes', label: 'Recipes' },
  { value: 'bench', label: 'Bench' },
  { value: 'cultures', label: 'Cultures' },
] as const;
type StoresTab = (typeof TABS)[number]['value'];

interface Props {
  readonly tools: ReactNode;
  /** The mixing bench, a place of its own. */
  readonly bench: ReactNode;
}

/** What soils are made from, what it costs, what is on the shelf, and how it is mixed. The address names the tab. */
export function Stores({ tools, bench }: Props) {
  const asked = useSearchParams().get('tab');
  const path = usePathname();
  const tab: StoresTab = TABS.find((it) => it.value === asked)?.value ?? 'materials';
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
          <Tabs
            value={tab}
            // At once: asking the server for the same page would let a click go to the tab one is leaving.
            onChange={(_, next: StoresTab) => window.history.replaceState(null, '', `${path}?tab=${next}`)}
            aria-label="Stores"
            variant="scrollable"
            scrollButtons={false}
            sx={{ minWidth: 0 }}
          >
            {TABS.map((it) => (
              <Tab
                key={it.value}
                value={it.value}
                label={it.label}
                id={`tab-${it.value}`}
                aria-controls={`panel-${it.value}`}
              />
            ))}
          </Tabs>
        </Box>
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          {tab === 'materials' && <Materials />}
          {tab === 'shelf' && <Shelf />}
          {tab === 'recipes' && <Recipes />}
          {tab === 'bench' && bench}
          {tab === 'cultures' && <Cultures />}
        </Box>
      </Box>
    </Box>
  );
}
