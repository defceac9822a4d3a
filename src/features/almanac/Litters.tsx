'use client';

import Typography from '@mui/material/Typography';
import { capital, counted, temperature, difference } from '@/core/units';
import { useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';

/** Leaves and wood: how long each lasts, and whether it moulds. */
export function Litters() {
  const { write, num } = useReader();
  const { catalogue } = useStore();
  const rows = [...catalogue.living.litters].sort((a, b) => a.decay.value - b.decay.value);
  return (
    <>
      <TableCard label="Leaves and wood">
        <thead>
          <tr>
            <th>Species</th>
            <th className="number">k a year</th>
            <th className="number">Half is gone in</th>
            <th className="number">95 % in</th>
            <th>Mould when fresh</th>
            <th>To know</th>
            <th>Basis</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((it) => (
            <tr key={it.id}>
              <td>{capital(it.english)}</td>
              <td className="number">{num(it.decay.value, 2)}</td>
              <td className="number">{months(Math.LN2 / it.decay.value)}</td>
              <td className="number">{months(3 / it.decay.value)}</td>
              <td>{it.mould.value}</td>
              <td style={{ whiteSpace: 'normal' }}>{it.note}</td>
              <td>
                <BasisMark basis={it.decay.basis} />
              </td>
            </tr>
          ))}
        </tbody>
      </TableCard>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
        At {write(temperature(20))} and moist, by Olson’s equation (1963); {write(difference(10))} warmer goes
        about twice as fast. Collect only with permission, where nothing is sprayed; bake about 15 minutes or
        boil.
      </Typography>
    </>
  );
}

const months = (years: number): string =>
  years < 3 ? counted(Math.max(1, years * 12), 'month') : counted(years, 'year');
