import type { ReactNode } from 'react';
import type { SupplyNeed } from '@/core/scape';
import { PlainTable } from './PlainTable';
import { useReader } from './units';
import { supplyWords } from './words';

interface Props {
  readonly label: string;
  readonly supplies: readonly SupplyNeed[];
  /** Rows after the supplies: what, needed, packs, together. */
  readonly children?: ReactNode;
}

/** What backgrounds take, in whole packs. */
export function SupplyTable({ label, supplies, children }: Props) {
  const reader = useReader();
  return (
    <PlainTable label={label}>
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
            <td style={{ whiteSpace: 'normal' }}>{need.supply.name}</td>
            <td className="number">{supplyWords(need, reader)}</td>
            <td style={{ whiteSpace: 'normal' }}>
              {need.packs.map((pack) => `${pack.count} × ${reader.tell(pack.words)}`).join(', ')}
            </td>
            <td className="number">{reader.money(need.price)}</td>
          </tr>
        ))}
        {children}
      </tbody>
    </PlainTable>
  );
}
