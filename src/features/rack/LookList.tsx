'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import Button from '@mui/material/Button';
import { memo, useDeferredValue, useMemo, useState, useSyncExternalStore } from 'react';
import type { Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { Finding } from '@/core/findings';
import { useReader } from '@/ui/units';
import { allFindings } from '@/core/verdict';
import { findingPlace, SEVERITY_WORD } from '@/ui/words';
import { onVerdicts, verdictNews, verdictNow } from '@/workers/verdicts';
import { assessedNow, useAllAssessed } from './assessed';

interface Props {
  readonly designs: readonly Design[];
  readonly catalogue: Catalogue;
}

/** What wants looking at over the whole rack, the gravest first. */
export function LookList({ designs, catalogue }: Props) {
  // Drawn anew when there is time for it.
  const checked = useDeferredValue(useAllAssessed(designs, catalogue));
  const news = useDeferredValue(useSyncExternalStore(onVerdicts, verdictNews, () => 0));
  const rows = useMemo(
    () =>
      designs
        .flatMap((design) =>
          allFindings(assessedNow(design, catalogue)?.findings ?? [], verdictNow(design, catalogue)).map(
            (finding) => ({
              // By its own place among those of its enclosure, so that what comes in above does not draw it anew.
              key: `${design.id} ${finding.code} ${JSON.stringify(finding.place)}`,
              design,
              finding,
            }),
          ),
        )
        .filter(({ finding }) => finding.severity !== 'fine' && finding.routine !== true)
        .sort((a, b) => RANK.indexOf(a.finding.severity) - RANK.indexOf(b.finding.severity)),
    // Checks and verdicts come in one by one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [designs, catalogue, checked, news],
  );
  const [all, setAll] = useState(false);
  if (rows.length === 0) return null;
  const shown = all ? rows : rows.slice(0, FIRST);
  return (
    <Box component="section" aria-labelledby="look" sx={{ mt: 3 }}>
      <Typography id="look" variant="h2" sx={{ mb: 1 }}>
        To check
      </Typography>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          bgcolor: 'earth.card',
          border: 1,
          borderColor: 'earth.rule',
          borderRadius: '12px',
        }}
      >
        {shown.map(({ key, design, finding }) => (
          <Row key={key} {...{ design, finding }} />
        ))}
      </Box>
      {shown.length < rows.length && (
        <Button onClick={() => setAll(true)} sx={{ mt: 1 }}>
          {`Show all ${rows.length}`}
        </Button>
      )}
    </Box>
  );
}

interface RowProps {
  readonly design: Design;
  readonly finding: Finding;
}

/** One finding; drawn anew only where it changed, since verdicts come in one by one. */
const Row = memo(function Row({ design, finding }: RowProps) {
  const { tell } = useReader();
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '116px 130px 1fr' },
        columnGap: 2,
        px: 2,
        py: 1,
        '&:not(:first-of-type)': { borderTop: 1 },
        '&&': { borderColor: 'earth.rule' },
      }}
    >
      <Box
        sx={{
          typography: 'body2',
          fontWeight: 650,
          color: { severe: 'earth.clay', look: 'earth.amber', note: 'earth.water', fine: 'earth.moss' }[
            finding.severity
          ],
        }}
      >
        {SEVERITY_WORD[finding.severity]}
      </Box>
      <Box
        component={NextLink}
        href={`/e/${design.id}/${findingPlace(finding)}`}
        sx={{
          typography: 'body2',
          fontWeight: 650,
          color: 'earth.ink',
          textDecoration: 'none',
          '&:hover': { textDecoration: 'underline' },
        }}
      >
        {design.name}
      </Box>
      <Box sx={{ typography: 'body2' }}>
        {tell(finding.what)}{' '}
        <Box component="span" sx={{ color: 'earth.quiet' }}>
          {tell(finding.because)}
        </Box>
      </Box>
    </Box>
  );
});

/** Rows shown before all are asked for, the gravest first: over many boxes nobody reads further at once. */
const FIRST = 40;
const RANK = ['severe', 'look', 'note', 'fine'];
