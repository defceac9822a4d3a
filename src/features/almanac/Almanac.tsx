'use client';

import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, type ReactNode } from 'react';
import { BASES, countBasis, sourcedShare } from '@/core/catalogue';
import { percent } from '@/core/units';
import { useStore } from '@/store';
import { TopBar } from '@/ui/shell/TopBar';
import { useReader } from '@/ui/units';
import { useTab } from '@/ui/useTab';
import { useFeeders } from '@/ui/useFeeders';
import { BASIS_COUNTED, OUTER_PLACES } from '@/ui/words';
import { Animals } from './Animals';
import { CorrectionTools } from './CorrectionTools';
import { Crew } from './Crew';
import { Feeders } from './Feeders';
import { Litters } from './Litters';
import { Plants } from './Plants';
import { Sources } from './Sources';

const TABS = [
  { value: 'animals', label: 'Animals' },
  { value: 'plants', label: 'Plants' },
  { value: 'crew', label: 'Crew' },
  { value: 'litters', label: 'Leaves and wood' },
  { value: 'feeders', label: 'Feeders' },
  { value: 'sources', label: 'Sources' },
] as const;
type Kind = (typeof TABS)[number]['value'];
const KINDS = [
  'animals',
  'plants',
  'crew',
  'litters',
  'feeders',
  'sources',
] as const satisfies readonly Kind[];

/** What is known of animals, plants, crew and litter, and where every value comes from; one's own rows beside them. */
export function Almanac({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const [kind, setKind] = useTab<Kind>(KINDS);
  const { num, write } = useReader();
  const feeders = useFeeders(kind === 'feeders');
  const told = useMemo(() => {
    if (kind === 'sources') return null;
    const rows =
      kind === 'animals' ? catalogue.animals : kind === 'feeders' ? (feeders ?? []) : catalogue.living[kind];
    if (rows.length === 0) return null;
    const count = countBasis(rows);
    return [
      `${num(rows.length)} ${kind === 'litters' ? 'kinds' : 'species'}`,
      ...BASES.filter((it) => count[it] > 0).map((it) => `${num(count[it])} ${BASIS_COUNTED[it]}`),
      `${write(percent(sourcedShare(count)))} of what is no judgement stands in a named work`,
    ].join(' · ');
  }, [catalogue, feeders, kind, num, write]);
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
            A value that is cited is to be checked in its work; where a species is missing, make one from its
            nearest likeness.
          </Typography>
          <CorrectionTools />
        </Box>
        <Tabs
          value={kind}
          onChange={(_, next: Kind) => setKind(next)}
          aria-label="Parts of the almanac"
          variant="scrollable"
          scrollButtons={false}
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
          {kind === 'feeders' && <Feeders />}
          {kind === 'sources' && <Sources />}
        </Box>
      </Box>
    </Box>
  );
}
