'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { length } from '@/core/units';
import { useOpenDesign } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { supplyWords } from '@/ui/words';

/** What the backgrounds take, the pieces to find, and how long everything cures. */
export function ScapeList() {
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { write } = reader;
  const { supplies, toBuy, backs, price } = assessment.scape;
  if (supplies.length === 0 && toBuy.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="scape-list" sx={{ mt: 3 }}>
      <Typography variant="h2" id="scape-list" sx={{ mb: 1 }}>
        Background and pieces
      </Typography>
      <Box sx={{ bgcolor: 'earth.card', border: 1, borderColor: 'earth.rule', borderRadius: '12px' }}>
        <PlainTable label="Background and pieces">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col" className="number">
                needed
              </th>
              <th scope="col">whole packs</th>
              <th scope="col" className="number">
                together
              </th>
            </tr>
          </thead>
          <tbody>
            {supplies.map((need) => (
              <tr key={need.supply.id}>
                <td>{need.supply.name}</td>
                <td className="number">{supplyWords(need, reader)}</td>
                <td style={{ whiteSpace: 'normal' }}>
                  {need.packs.map((pack) => `${pack.count} × ${pack.words}`).join(', ')}
                </td>
                <td className="number">{need.price.toFixed(2)}</td>
              </tr>
            ))}
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
                Prices are typical ones, from memory; yields common practice. Wood and stone that you find
                cost nothing.
              </td>
              <td className="number">
                <Box component="span" sx={{ typography: 'h2' }}>
                  {price.toFixed(2)}
                </Box>
              </td>
            </tr>
          </tbody>
        </PlainTable>
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
