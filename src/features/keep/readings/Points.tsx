'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { animalThrough } from '@/core/brief';
import { alarmsOf, DAY, fromSteps, oddities, type Series, type Track } from '@/core/readings';
import { keepsMoist } from '@/core/verdict';
import { useOpenDesign, useStore, useLatest } from '@/store';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { isDayIn } from '@/core/climate';
import { momentWords, ODDITY_WORD, PLACE_WORD, QUANTITY_WORD, readingWords } from '@/ui/readingWords';

interface Props {
  readonly series: readonly Series[];
  readonly picked: string | null;
  readonly onPick: (id: string) => void;
}

/** The points of a box: the latest of each, its last day, and what is amiss there. */
export function Points({ series, picked, onPick }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const reader = useReader();
  const [now] = useState(() => Date.now());
  const tracks = useLatest(series, 4 * DAY);
  const animalAt = useMemo(() => animalThrough(design, catalogue), [design, catalogue]);
  const isDay = useMemo(() => isDayIn(design.climate), [design.climate]);
  return (
    <Box component="section" aria-labelledby="points">
      <Typography variant="h2" id="points" sx={{ mb: 0.75 }}>
        Measuring points
      </Typography>
      <TableCard label="Measuring points">
        <thead>
          <tr>
            <th scope="col">Point</th>
            <th scope="col">Reads</th>
            <th scope="col">Where</th>
            <th scope="col" className="number">
              Latest
            </th>
            <th scope="col">When</th>
            <th scope="col" className="number">
              Its last day
            </th>
            <th scope="col">Problem</th>
          </tr>
        </thead>
        <tbody>
          {series.map((it) => {
            const track = tracks?.get(it.id);
            const last = track?.at.at(-1);
            const value = track?.steps.at(-1);
            const [low, high] = track && last !== undefined ? rangeOf(track, last - DAY) : [null, null];
            const say = (steps: number): string =>
              readingWords(fromSteps(steps, it.quantity), it.quantity, reader);
            return (
              <tr key={it.id} data-point={it.name} data-selected={it.id === picked}>
                <td>
                  <Button
                    onClick={() => onPick(it.id)}
                    sx={{ p: 0, minWidth: 0, color: 'earth.ink', textAlign: 'left' }}
                  >
                    {it.name}
                  </Button>
                </td>
                <td>{QUANTITY_WORD[it.quantity]}</td>
                <td>{PLACE_WORD[it.place]}</td>
                <td className="number">{value === undefined ? '–' : say(value)}</td>
                <td>{last === undefined ? '–' : momentWords(last, now)}</td>
                <td className="number">
                  {low === null || high === null ? '–' : `${say(low)} to ${say(high)}`}
                </td>
                <td style={{ whiteSpace: 'normal' }}>
                  {track && last !== undefined
                    ? (problem(it, track, last) ?? (
                        <Box component="span" sx={{ color: 'earth.quiet' }}>
                          nothing
                        </Box>
                      ))
                    : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </TableCard>
    </Box>
  );

  /** What stands out in the last two days that were read. */
  function problem(it: Series, track: Track, last: number): string | null {
    const recent = { at: track.at, steps: track.steps };
    const odd = oddities(recent, it.quantity, last).filter((own) => own.to > last - 2 * DAY);
    const [first] = odd;
    const alarm = alarmsOf(it, recent, animalAt, isDay, keepsMoist(design))
      .filter((own) => own.to === null || own.to > last - DAY)
      .at(-1);
    const words = [
      alarm &&
        `${alarm.side === 'low' ? 'too low' : 'too high'}${alarm.harm ? ', more than it bears' : ''}${alarm.to === null ? '' : ' for a while'}: ${readingWords(alarm.worst, it.quantity, reader)}`,
      first && ODDITY_WORD[first.kind],
    ].filter((own) => own !== undefined);
    return words.length === 0 ? null : words.join('; ');
  }
}

function rangeOf({ at, steps }: Track, since: number): readonly [number | null, number | null] {
  let [low, high]: [number | null, number | null] = [null, null];
  for (let i = at.length - 1; i >= 0 && (at[i] ?? 0) >= since; i -= 1) {
    const value = steps[i] ?? 0;
    low = low === null ? value : Math.min(low, value);
    high = high === null ? value : Math.max(high, value);
  }
  return [low, high];
}
