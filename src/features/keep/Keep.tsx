'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { useMemo, type ReactNode } from 'react';
import { useAnimals, useOpenDesign, useStore } from '@/store';
import { Fetching } from '@/ui/Fetching';
import { useToday } from '@/ui/useToday';
import { useTab } from '@/ui/useTab';
import { CareTab } from './CareTab';
import { QuickLine } from './QuickLine';
import { quickPlaces } from './quickPlaces';

// Each comes when it is first looked at.
const AnimalsTab = dynamic(() => import('./animals/AnimalsTab').then((it) => it.AnimalsTab), {
  loading: Fetching,
});
const DiagnosisTab = dynamic(() => import('./DiagnosisTab').then((it) => it.DiagnosisTab), {
  loading: Fetching,
});
const EquipmentTab = dynamic(() => import('./EquipmentTab').then((it) => it.EquipmentTab), {
  loading: Fetching,
});
const LogTab = dynamic(() => import('./LogTab').then((it) => it.LogTab), { loading: Fetching });
const ReadingsTab = dynamic(() => import('./readings/ReadingsTab').then((it) => it.ReadingsTab), {
  loading: Fetching,
});

const TABS = [
  { id: 'care', name: 'Care' },
  { id: 'log', name: 'Log' },
  { id: 'readings', name: 'Readings' },
  { id: 'off', name: 'Troubleshoot' },
  { id: 'animals', name: 'Animals' },
  { id: 'equipment', name: 'Equipment' },
] as const;
type KeepTab = (typeof TABS)[number]['id'];
const IDS = ['care', 'log', 'readings', 'off', 'animals', 'equipment'] as const satisfies readonly KeepTab[];
const PANELS: Record<KeepTab, (today: string) => ReactNode> = {
  care: (today) => <CareTab today={today} />,
  log: () => <LogTab />,
  readings: () => <ReadingsTab />,
  off: () => <DiagnosisTab />,
  animals: () => <AnimalsTab />,
  equipment: () => <EquipmentTab />,
};

/** What keeps an enclosure going, and what was seen, done and read in it. */
export function Keep() {
  const { design } = useOpenDesign();
  const { catalogue } = useStore();
  const [tab, setTab] = useTab<KeepTab>(IDS);
  const today = useToday();
  const animals = useAnimals();
  const places = useMemo(() => quickPlaces([design], animals, catalogue), [design, animals, catalogue]);
  return (
    <Box
      className="rincon-page"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: { xs: 1.5, md: 2.5 }, py: 2 }}
    >
      <Box
        sx={{ maxWidth: 1080, mx: 'auto', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}
      >
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25 }}>
          <Typography variant="h1" component="h1" sx={{ flex: { xs: 1, md: 'none' } }}>
            Keep
          </Typography>
          <Tabs
            className="no-print"
            value={tab}
            onChange={(_, next: KeepTab) => setTab(next)}
            variant="scrollable"
            aria-label="Keeping"
            sx={{ flex: { xs: '1 0 100%', md: 1 }, order: { xs: 1, md: 0 }, ml: { md: 2 }, minWidth: 0 }}
          >
            {TABS.map(({ id, name }) => (
              <Tab key={id} value={id} label={name} id={`tab-${id}`} aria-controls={`panel-${id}`} />
            ))}
          </Tabs>
          <Button component={NextLink} href="/today">
            All that is due
          </Button>
        </Box>
        <QuickLine places={places} open={places[0] ?? null} />
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          {PANELS[tab](today)}
        </Box>
      </Box>
    </Box>
  );
}
