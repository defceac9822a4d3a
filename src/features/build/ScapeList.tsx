'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { length } from '@/core/units';
import { useOpenDesign } from '@/store';
import { SupplyTable } from '@/ui/SupplyTable';
import { useReader } from '@/ui/units';

/** What the backgrounds take, the pieces to find, and how long everything cures. */
export function ScapeList() {
  const { design, assessment } = useOpenDesign();
  const { write } = useReader();
  const { supplies, toBuy, backs, price } = assessment.scape;
  if (supplies.length === 0 && toBuy.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="scape-list" sx={{ mt: 3 }}>
      <Typography variant="h2" id="scape-list" sx={{ mb: 1 }}>
        Background and pieces
      </Typography>
      <Box sx={{ bgcolor: 'earth.card', border: 1, borderColor: 'earth.rule', borderRadius: '12px' }}>
        <SupplyTable label="Background and pieces" supplies={supplies}>
          {toBuy.map((row) => (
            <tr key={row.kind}>
              <td>{row.name}</td>
              <td className="number">{row.count}</td>
              <td>
                <NextLink href={`/e/${design.id}/scape`} style={{ color: 'inherit' }}>
                  sizes in Scape
                </NextLink>
              </td>
              <td className="number">{row.price.toFixed(2)}</td>
            </tr>
          ))}
          <tr>
            <td colSpan={3}>
              Prices are typical ones, from memory; yields common practice. Wood and stone that you find cost
              nothing.
            </td>
            <td className="number">
              <Box component="span" sx={{ typography: 'h2' }}>
                {price.toFixed(2)}
              </Box>
            </td>
          </tr>
        </SupplyTable>
      </Box>
      {backs.map(({ back, kind, curing, cures }) => (
        <Typography key={back.background.id} variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
          {kind?.name}, {back.background.wall} wall: {write(length(back.width))} ×{' '}
          {write(length(back.height))}. {cures.map((cure) => cure.step.toLowerCase()).join(', then ')}:{' '}
          {Math.round(curing.low)} to {Math.round(curing.high)} days in all.
        </Typography>
      ))}
    </Box>
  );
}
