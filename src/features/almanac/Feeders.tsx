'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { firstHarvestOf } from '@/core/living';
import { capital, fine, spanned, temperature } from '@/core/units';
import { BasisMark } from '@/ui/BasisMark';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { useFeeders } from '@/ui/useFeeders';
import { daysWord } from '@/ui/days';

/** °C at which two kinds are compared. */
const AT = 25;

/** What is bred to be fed: how large, how warm, how fast, on what, and what it lacks. */
export function Feeders() {
  const { write, num } = useReader();
  const feeders = useFeeders();
  if (!feeders) return <Typography aria-busy="true">Fetching the feeders…</Typography>;
  return (
    <>
      <TableCard label="Feeders">
        <thead>
          <tr>
            <th>Species</th>
            <th>Size</th>
            <th>Breeds at</th>
            <th className="number">First at {write(temperature(AT))}</th>
            <th className="number">A day, at best</th>
            <th>Lives on; to know</th>
            <th>Pace</th>
          </tr>
        </thead>
        <tbody>
          {feeders.map((it) => {
            const first = firstHarvestOf(it, AT);
            return (
              <tr key={it.id}>
                <td style={{ whiteSpace: 'normal' }}>
                  {capital(it.english)}
                  <Box sx={{ color: 'earth.quiet', fontStyle: 'italic' }}>{it.scientific}</Box>
                </td>
                <td>
                  {spanned(
                    write(fine(it.size.value.low), { decimals: 2, trim: true }),
                    write(fine(it.size.value.high), { decimals: 2, trim: true }),
                  )}
                </td>
                <td>
                  {write(temperature(it.temperature.value.low))} to{' '}
                  {write(temperature(it.temperature.value.high))}
                </td>
                <td className="number">{first === null ? '–' : daysWord(first)}</td>
                <td className="number">{num(it.givesADay.value, 0)}</td>
                <td style={{ whiteSpace: 'normal' }}>
                  {capital(it.food)}. {it.note}
                </td>
                <td>
                  <BasisMark basis={it.pace.basis} source={it.pace.source} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </TableCard>
      <Typography variant="body2" sx={{ mt: 1 }}>
        <Link component={NextLink} href="/stores?tab=cultures">
          Start a culture
        </Link>
      </Typography>
    </>
  );
}
