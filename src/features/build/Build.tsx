'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { buyTable, csvOfTable, cutTable, fileName, xlsxOf } from '@/files';
import { useBuying, useOpenDesign } from '@/store';
import { download } from '@/ui/download';
import { ActionMenu } from '@/ui/ActionMenu';
import { useReader } from '@/ui/units';
import { useTab } from '@/ui/useTab';
import { BuyTab } from './BuyTab';
import { ChargeTab } from './ChargeTab';
import { CutTab } from './CutTab';
import { Making } from './Making';
import { PlanTab } from './PlanTab';

const TABS = {
  plan: { label: 'Plan', Sheet: PlanTab },
  buy: { label: 'To buy', Sheet: BuyTab },
  cut: { label: 'To cut and prepare', Sheet: CutTab },
  make: { label: 'To be made', Sheet: Making },
  charge: { label: 'To charge', Sheet: ChargeTab },
} as const;
type Sheet = keyof typeof TABS;
const ORDER = Object.keys(TABS) as Sheet[];
/** What is open first, though it is not the first of the row. */
const NAMES = ['buy', ...ORDER.filter((it) => it !== 'buy')] as const;

/** The plan of the build, what to buy, cut and have made, and the sheets to print. */
export function Build() {
  const { design, assessment } = useOpenDesign();
  const buying = useBuying();
  const reader = useReader();
  const [tab, setTab] = useTab<Sheet>(NAMES);
  const { Sheet } = TABS[tab];
  const buy = () => buyTable(buying, reader);
  const cut = () => cutTable(assessment, reader);
  const named = (what: string): string => `${fileName(design.name).replace(/\.rincon\.json$/, '')}-${what}`;

  return (
    <Box className="rincon-page" sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2.5, py: 2 }}>
      <Box sx={{ maxWidth: 1180, mx: 'auto' }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.25, mb: 1.5 }}>
          <Typography variant="h1" component="h1">
            Build
          </Typography>
          <Tabs
            className="no-print"
            value={tab}
            onChange={(_, next: Sheet) => setTab(next)}
            aria-label="Sheets"
            variant="scrollable"
            scrollButtons={false}
            sx={{ flex: { xs: '1 0 100%', md: 1 }, ml: { xs: 0, md: 2 }, order: { xs: 3, md: 0 } }}
          >
            {ORDER.map((it) => (
              <Tab
                key={it}
                value={it}
                label={TABS[it].label}
                id={`tab-${it}`}
                aria-controls={`panel-${it}`}
              />
            ))}
          </Tabs>
          {(tab === 'buy' || tab === 'cut') && (
            <ActionMenu
              label="Save as a table"
              choices={[
                {
                  words: 'Both lists, a spreadsheet (XLSX)',
                  act: () => xlsxOf([buy(), cut()]).then((it) => download(named('lists.xlsx'), it, it.type)),
                },
                {
                  words: 'To buy, CSV',
                  act: () => download(named('to-buy.csv'), csvOfTable(buy()), 'text/csv'),
                },
                {
                  words: 'To cut, CSV',
                  act: () => download(named('to-cut.csv'), csvOfTable(cut()), 'text/csv'),
                },
              ]}
            />
          )}
          <Button
            component={NextLink}
            href={`/e/${design.id}/sheets`}
            variant="outlined"
            className="no-print"
          >
            Sheets to print
          </Button>
          <Button variant="outlined" className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
        <Box role="tabpanel" id={`panel-${tab}`} aria-labelledby={`tab-${tab}`}>
          <Sheet />
        </Box>
      </Box>
    </Box>
  );
}
