'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { GrowthEvent } from '@/core/living';
import { capital } from '@/core/units';
import { useOpenDesign } from '@/store';
import { TableCard } from '@/ui/TableCard';
import { monthFrom, monthsWord } from './words';

interface Props {
  readonly events: readonly GrowthEvent[];
  readonly today: Date;
  readonly months: number;
  readonly onMonths: (months: number) => void;
  readonly onSelect: (plant: string) => void;
}

/** When plants reach the lid, outgrow their place or shade another, and when to cut them. */
export function GrowthTab({ events, today, months, onMonths, onSelect }: Props) {
  const { design } = useOpenDesign();
  const name = (id: string): string => design.living.plants.find((it) => it.id === id)?.name ?? 'plant';
  if (design.living.plants.length === 0)
    return (
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        Nothing grows yet. Plant something, then scrub through the months under the drawing.
      </Typography>
    );
  const cuts = events.filter((it) => it.what === 'cut back');
  const first = events.filter((it) => it.what !== 'cut back');
  const words = (it: GrowthEvent): string =>
    it.what === 'shades' ? `takes the light of the ${name(it.other)}` : it.what;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      {first.length === 0 ? (
        <Typography variant="body2">
          In three years nothing outgrows its place, shades another or reaches the lid.
        </Typography>
      ) : (
        <Rows label="What growth comes to" rows={first.map((it) => ({ it, text: words(it) }))} />
      )}
      {cuts.length > 0 && (
        <>
          <Typography variant="h3" component="h2">
            Cutting calendar
          </Typography>
          <Rows
            label="Cutting calendar"
            rows={merged(cuts).map(({ at, plants }) => ({
              it: { at, plant: plants[0] ?? '', what: 'cut back' as const },
              text: plants.map(name).join(', '),
            }))}
          />
        </>
      )}
      <Typography variant="caption" sx={{ color: 'earth.quiet' }}>
        Growth follows a logistic curve at the pace of each species, slowed where a plant does less well. Cut
        with clean scissors, a third at a time; cuttings go to the freezer or the bin, never outside.
      </Typography>
    </Box>
  );

  function Rows({
    label,
    rows,
  }: {
    readonly label: string;
    readonly rows: readonly { it: GrowthEvent; text: string }[];
  }) {
    return (
      <TableCard label={label}>
        <thead>
          <tr>
            <th>When</th>
            <th>Month</th>
            <th>{label === 'Cutting calendar' ? 'Cut back' : 'Plant'}</th>
            {label !== 'Cutting calendar' && <th>What</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ it, text }, index) => (
            <tr key={index} data-selected={Math.round(it.at) === months}>
              <td>
                <Button
                  size="small"
                  sx={{ px: 0.5, minWidth: 0 }}
                  onClick={() => {
                    onMonths(Math.min(36, Math.round(it.at)));
                    onSelect(it.plant);
                  }}
                >
                  {monthsWord(it.at)}
                </Button>
              </td>
              <td>{monthFrom(today, it.at)}</td>
              {label === 'Cutting calendar' ? (
                <td style={{ whiteSpace: 'normal' }}>{text}</td>
              ) : (
                <>
                  <td>{capital(name(it.plant))}</td>
                  <td style={{ whiteSpace: 'normal' }}>{text}</td>
                </>
              )}
            </tr>
          ))}
        </tbody>
      </TableCard>
    );
  }
}

/** Cuts of one month are one round with the scissors. */
function merged(
  cuts: readonly GrowthEvent[],
): readonly { readonly at: number; readonly plants: readonly string[] }[] {
  const rounds = new Map<number, string[]>();
  for (const it of cuts) {
    const month = Math.round(it.at);
    const round = rounds.get(month) ?? [];
    if (!round.includes(it.plant)) round.push(it.plant);
    rounds.set(month, round);
  }
  return [...rounds].sort((a, b) => a[0] - b[0]).map(([at, plants]) => ({ at, plants }));
}
