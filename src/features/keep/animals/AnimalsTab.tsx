'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { findAnimal } from '@/core/catalogue';
import { animalRecord, homeOf, type AnimalRecord } from '@/core/records';
import { useAnimals, useEditing, useLogIn, useOpenDesign, useRecordBook, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { readingWords } from '@/ui/readingWords';
import { AnimalCard } from './AnimalCard';
import { SeenMap } from './SeenMap';

export const SEX_WORD: Record<AnimalRecord['sex'], string> = {
  unknown: 'not known',
  female: 'female',
  male: 'male',
};

/** Who lives here and who did; each with its papers, its weight, its meals and where it was seen. */
export function AnimalsTab() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const animals = useAnimals();
  const book = useRecordBook();
  const { edit } = useEditing();
  const reader = useReader();
  // The address may name the animal that is sought.
  const asked = useSearchParams().get('animal');
  const [picked, setPicked] = useState<string | null>(asked);
  const today = useToday();
  const mine = animals?.filter((it) => it.homes.some((home) => home.design === design.id)) ?? [];
  // Who moved has its history where it lived.
  const log = useLogIn([design.id, ...mine.flatMap((it) => it.homes.map((home) => home.design))]);
  if (!animals || !log) return <Message title="Fetching the animals" role="status" />;
  const here = mine.filter((it) => homeOf(it) === design.id);
  const others = animals.filter((it) => homeOf(it) === null && it.left === null && !mine.includes(it));
  const kind = findAnimal(catalogue, design.brief.animal);
  const chosen = mine.find((it) => it.id === picked);
  const add = (): void => {
    const id = crypto.randomUUID();
    void book
      .saveAnimal(
        animalRecord(id, design.id, today, {
          name: `${kind?.english ?? 'Animal'} ${mine.length + 1}`,
          kind: design.brief.animal,
        }),
      )
      .then(() => {
        setPicked(id);
        // One more than were counted came: those written down before were counted already.
        const { count, stage } = design.brief;
        if (stage === 'inhabited' && here.length + 1 > count)
          edit({ edit: 'setCount', change: { count: here.length + 1 } });
      });
  };
  const weightOf = (id: string): string => {
    const last = log
      .filter((it) => it.animal === id && it.kind === 'weight' && it.values.mass !== null)
      .at(-1);
    return last?.values.mass === null || last === undefined
      ? '–'
      : readingWords(last.values.mass ?? 0, 'mass', reader);
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      {mine.length === 0 ? (
        <Message
          title="Nobody is written down here"
          actions={
            <Button variant="contained" onClick={add}>
              Write an animal down
            </Button>
          }
        >
          Who it is, from whom and since when: its meals, weights and sheds are then kept under its name.
        </Message>
      ) : (
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
            <Typography variant="h2" sx={{ flex: 1 }}>
              {here.length === 0
                ? 'Nobody lives here now'
                : here.length === 1
                  ? 'One lives here'
                  : `${here.length} live here`}
            </Typography>
            {here.length !== design.brief.count && design.brief.stage === 'inhabited' && (
              <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                the Brief says {design.brief.count}
              </Typography>
            )}
            <Button variant="outlined" onClick={add}>
              Add animal
            </Button>
          </Box>
          <TableCard label="Animals">
            <thead>
              <tr>
                <th scope="col">Who</th>
                <th scope="col">Species</th>
                <th scope="col">Sex</th>
                <th scope="col">Hatched</th>
                <th scope="col" className="number">
                  Last weight
                </th>
                <th scope="col">Where</th>
              </tr>
            </thead>
            <tbody>
              {mine.map((it) => (
                <tr key={it.id} data-animal={it.name} data-selected={it.id === picked}>
                  <td>
                    <Button
                      onClick={() => setPicked(it.id)}
                      sx={{ p: 0, minWidth: 0, color: 'earth.ink', textAlign: 'left' }}
                    >
                      {it.name}
                    </Button>
                  </td>
                  <td>{findAnimal(catalogue, it.kind)?.english ?? 'not said'}</td>
                  <td>
                    {SEX_WORD[it.sex]}
                    {it.sex !== 'unknown' && it.sexKnown !== 'sure' && ` (${it.sexKnown})`}
                  </td>
                  <td>{it.hatched === null ? '–' : dayWords(it.hatched)}</td>
                  <td className="number">{weightOf(it.id)}</td>
                  <td>
                    {it.left !== null
                      ? `left ${dayWords(it.left)}`
                      : homeOf(it) === design.id
                        ? it.quarantine && it.quarantine.to === null
                          ? 'here, in quarantine'
                          : 'here'
                        : 'in another enclosure'}
                  </td>
                </tr>
              ))}
            </tbody>
          </TableCard>
        </>
      )}
      {others.length > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Without an enclosure: {others.map((it) => it.name).join(', ')}.
        </Typography>
      )}
      {chosen && (
        <AnimalCard key={chosen.id} animal={chosen} log={log} today={today} onClose={() => setPicked(null)} />
      )}
      <SeenMap log={log.filter((it) => it.design === design.id)} animals={mine} />
    </Box>
  );
}
