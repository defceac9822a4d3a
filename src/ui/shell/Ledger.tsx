'use client';

import Box from '@mui/material/Box';
import NextLink from 'next/link';
import { memo } from 'react';
import type { Assessment } from '@/core/assess';
import type { Buying } from '@/core/buying';
import { bag, mass, tank, counted } from '@/core/units';
import { TWO_PEOPLE, ONE_PERSON, type Finding } from '@/core/findings';
import { ANSWER_WORDS, wordOf, type VerdictState } from '@/core/verdict';
import { useReader } from '../units';

interface Props {
  readonly assessment: Assessment;
  /** Whether what stands in it is known. */
  readonly described: boolean;
  readonly buying: Pick<Buying, 'price' | 'rows'>;
  /** Whether its year holds, and all that is found of it. */
  readonly verdict: VerdictState;
  readonly findings: readonly Finding[];
  /** Where the findings are shown. */
  readonly findingsHref: string;
}

/** The sums a builder keeps asking for, always in sight. */
export function Ledger({ assessment, described, buying, verdict, findings, findingsHref }: Props) {
  const { write, money } = useReader();
  const { standingMass } = assessment;
  const packs = buying.rows.reduce(
    (all, row) => all + row.packs.reduce((count, pack) => count + pack.count, 0),
    0,
  );
  const open = findings.filter((it) => it.severity === 'severe' || it.severity === 'look').length;
  const fine = findings.filter((it) => it.severity === 'fine').length;
  const answer = wordOf(verdict);
  const sound = answer === 'holds' && open === 0;
  const hands =
    standingMass > TWO_PEOPLE ? 'build in place' : standingMass > ONE_PERSON ? 'two people' : 'one person';
  const sums: readonly (readonly [string, string])[] = !described
    ? [[write(tank(assessment.interior)), 'inside']]
    : [
        [write(bag(assessment.substrateVolume)), 'soil in place'],
        [assessment.drainageVolume > 0 ? write(bag(assessment.drainageVolume)) : '–', 'drainage'],
        [write(tank(assessment.waterToMixIn)), 'water to mix in'],
        [write(mass(standingMass)), `standing, ${hands}`],
        [money(buying.price), `to buy, ${counted(packs, 'pack or piece', 'packs and pieces')}`],
      ];
  return (
    <Box
      component="footer"
      aria-label="Ledger"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: { xs: 2, md: 3.5 },
        flexWrap: 'wrap',
        minHeight: 60,
        px: 2.5,
        py: 0.9,
        bgcolor: 'earth.ledger',
        color: 'earth.ledgerInk',
      }}
    >
      {sums.map(([value, label]) => (
        <Sum key={label} value={value} label={label} />
      ))}
      <Box sx={{ flex: 1 }} />
      <Box
        component={NextLink}
        href={findingsHref}
        sx={{
          textAlign: 'right',
          textDecoration: 'none',
          color: 'inherit',
          '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.ledgerAmber', outlineOffset: 4 },
        }}
      >
        <Box
          sx={{
            typography: 'h2',
            lineHeight: 1.2,
            color: sound || answer === 'calculating' || !described ? 'earth.ledgerInk' : 'earth.ledgerAmber',
          }}
          aria-live="polite"
        >
          {ANSWER_WORDS[answer]}
        </Box>
        <Box sx={{ typography: 'caption', color: 'earth.ledgerQuiet' }}>
          {open > 0
            ? `${open} to check`
            : !described
              ? 'kept as it is'
              : answer === 'holds'
                ? 'nothing to fix'
                : `${fine} checked and fine`}
        </Box>
      </Box>
    </Box>
  );
}

const Sum = memo(function Sum({ value, label }: { readonly value: string; readonly label: string }) {
  return (
    <Box>
      <Box sx={{ typography: 'h2', lineHeight: 1.2 }}>{value}</Box>
      <Box sx={{ typography: 'caption', color: 'earth.ledgerQuiet' }}>{label}</Box>
    </Box>
  );
});
