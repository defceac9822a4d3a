'use client';

import Typography from '@mui/material/Typography';
import { countSources, type Source } from '@/core/catalogue';
import { useStore } from '@/store';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { useFeeders } from '@/ui/useFeeders';
import { useWorks } from '@/ui/useCitation';

/** Every work and rule that a value or a judgement names, with what rests on it. */
export function Sources() {
  const { catalogue } = useStore();
  const list = useWorks();
  const feeders = useFeeders();
  const { animals, materials, living, scape, climate } = catalogue;
  const tables = [
    { name: 'animals', count: countSources(animals) },
    { name: 'plants', count: countSources(living.plants) },
    { name: 'crew', count: countSources([living.crew, living.litters]) },
    { name: 'feeders', count: countSources(feeders ?? []) },
    { name: 'materials', count: countSources([materials, scape, climate]) },
  ];
  if (!list || !feeders) return <Typography aria-busy="true">Fetching the list…</Typography>;
  const known = new Set([...list.works, ...list.rules].map((it) => it.id));
  // Works that a keeper wrote out beside a value of their own.
  const own = [...new Set(tables.flatMap((it) => [...it.count.keys()]))]
    .filter((it) => !known.has(it))
    .map((it): Source => ({ id: it, citation: it }));
  const parts = [
    {
      name: 'Works',
      why: 'Published values were read from their work; cited ones are recalled, and to be checked there.',
      rows: [...list.works, ...own].sort((a, b) => a.citation.localeCompare(b.citation)),
    },
    { name: 'Rules', why: 'How what is estimated was come by.', rows: list.rules },
  ];
  return (
    <>
      {parts.map(({ name, why, rows }) => (
        <section key={name}>
          <Typography variant="h2" sx={{ mt: 1, mb: 0.25 }}>
            {name}
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
            {why}
          </Typography>
          <TableCard label={name}>
            <thead>
              <tr>
                <th>{name === 'Works' ? 'Work' : 'Rule'}</th>
                {tables.map((it) => (
                  <th key={it.name} className="number">
                    {it.name}
                  </th>
                ))}
                <th>In the program</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id}>
                  <td style={{ whiteSpace: 'normal', minWidth: 280 }}>{row.citation}</td>
                  {tables.map((it) => (
                    <Counted key={it.name} count={it.count.get(row.id)} />
                  ))}
                  <td style={{ whiteSpace: 'normal', minWidth: 160 }}>{row.use ?? ''}</td>
                </tr>
              ))}
            </tbody>
          </TableCard>
        </section>
      ))}
    </>
  );
}

function Counted({ count }: { readonly count: number | undefined }) {
  const { num } = useReader();
  return <td className="number">{count === undefined ? '–' : num(count)}</td>;
}
