'use client';

import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { countBasis } from '@/core/catalogue';
import { useStore } from '@/store';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { Animals } from './Animals';
import { Crew } from './Crew';
import { Litters } from './Litters';
import { Plants } from './Plants';

const TABS = [
  { value: 'animals', label: 'Animals' },
  { value: 'plants', label: 'Plants' },
  { value: 'crew', label: 'Crew' },
  { value: 'litters', label: 'Leaves and wood' },
] as const;
type Kind = (typeof TABS)[number]['value'];

/** What is known of animals, plants, crew and litter, and where every value comes from; one's own rows beside them. */
export function Almanac({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const [kind, setKind] = useState<Kind>('animals');
  const told = useMemo(() => {
    const rows = kind === 'animals' ? catalogue.animals : catalogue.living[kind];
    const { published, practice, memory, own } = countBasis(rows);
    return [
      `${rows.length} species`,
      `${published} values published`,
      `${practice} common practice`,
      `${memory} from memory`,
      ...(own > 0 ? [`${own} your own`] : []),
    ].join(' · ');
  }, [catalogue, kind]);
  useEffect(() => {
    document.title = 'Almanac · Rincon';
  }, []);
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/almanac')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2, maxWidth: 1320, mx: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', columnGap: 2, mb: 1 }}>
          <Typography variant="h1" component="h1">
            Almanac
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Values marked “from memory” are to be confirmed; where a species is missing, make one from its
            nearest likeness.
          </Typography>
        </Box>
        <Tabs
          value={kind}
          onChange={(_, next: Kind) => setKind(next)}
          aria-label="Parts of the almanac"
          sx={{ mb: 1.5 }}
        >
          {TABS.map((it) => (
            <Tab
              key={it.value}
              value={it.value}
              label={it.label}
              id={`almanac-tab-${it.value}`}
              aria-controls={`almanac-panel-${it.value}`}
            />
          ))}
        </Tabs>
        <Typography
          variant="body2"
          sx={{ color: 'earth.quiet', mb: 1.75, fontVariantNumeric: 'tabular-nums' }}
        >
          {told}
        </Typography>
        <Box role="tabpanel" id={`almanac-panel-${kind}`} aria-labelledby={`almanac-tab-${kind}`}>
          {kind === 'animals' && <Animals />}
          {kind === 'plants' && <Plants />}
          {kind === 'crew' && <Crew />}
          {kind === 'litters' && <Litters />}
        </Box>
      </Box>
    </Box>
  );
}
