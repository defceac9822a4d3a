'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useOpenDesign } from '@/store';
import { TableCard } from '@/ui/TableCard';
import { capital } from '@/ui/words';

/** Plants and crew still to be bought, and what is divided from what. */
export function LivingList() {
  const { assessment } = useOpenDesign();
  const { toBuy, crewToBuy, price } = assessment.living;
  if (toBuy.length === 0 && crewToBuy.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="living-list" sx={{ mt: 3 }}>
      <Typography variant="h2" id="living-list" sx={{ mb: 1 }}>
        Plants and crew
      </Typography>
      <TableCard label="Plants and crew">
        <thead>
          <tr>
            <th>What</th>
            <th className="number">Buy</th>
            <th>For</th>
            <th className="number">Price</th>
          </tr>
        </thead>
        <tbody>
          {toBuy.map(({ plant, stand, buy, price: own }) => (
            <tr key={plant.id}>
              <td>
                {capital(plant.english)}{' '}
                <Box component="i" sx={{ color: 'earth.quiet', fontSize: '0.82rem' }}>
                  {plant.scientific}
                </Box>
              </td>
              <td className="number">{buy}</td>
              <td>{stand > buy ? `${stand} places: divide` : stand === 1 ? '1 place' : `${stand} places`}</td>
              <td className="number">{own.toFixed(2)}</td>
            </tr>
          ))}
          {crewToBuy.map((it) => (
            <tr key={it.id}>
              <td>{capital(it.name)}</td>
              <td className="number">{it.cultures}</td>
              <td>{it.cultures === 1 ? 'culture' : 'cultures'}</td>
              <td className="number">{it.price.toFixed(2)}</td>
            </tr>
          ))}
          <tr>
            <td colSpan={3}>
              Prices are typical ones, from memory. Buy plants propagated, never from the wild, and keep them
              apart for a month.
            </td>
            <td className="number">
              <Box component="span" sx={{ typography: 'h2' }}>
                {price.toFixed(2)}
              </Box>
            </td>
          </tr>
        </tbody>
      </TableCard>
    </Box>
  );
}
