'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import type { Entry } from '@/core/log';
import { homeOf, type AnimalRecord } from '@/core/records';
import { useActs, useAnimals, useDesigns, usePictures, useRecordBook, useStore } from '@/store';
import { dayWords, momentOn } from '@/ui/days';
import { DateField } from '@/ui/fields/DateField';
import { LineField } from '@/ui/fields/PlainFields';
import { PictureStrip } from '@/ui/PictureStrip';
import { useAct } from '@/ui/useAct';
import { DetailCard } from '../DetailCard';
import { MealChart, WeightChart } from './AnimalCharts';

interface Props {
  readonly animal: AnimalRecord;
  readonly log: readonly Entry[];
  readonly today: string;
  readonly onClose: () => void;
}

/** A day that may be left open. */
export function DayField({
  label,
  value,
  onCommit,
}: {
  readonly label: string;
  readonly value: string | null;
  readonly onCommit: (day: string | null) => void;
}) {
  return <DateField label={label} value={value} onCommit={onCommit} sx={{ width: 165 }} />;
}

/** One animal: who it is, where it lived, its papers, and how its weight and its meals went. */
export function AnimalCard({ animal, log, today, onClose }: Props) {
  const { catalogue } = useStore();
  const book = useRecordBook();
  const acts = useActs();
  const act = useAct();
  const designs = useDesigns();
  const all = useAnimals();
  const shots = usePictures(homeOf(animal) ?? animal.homes[0]?.design ?? '', `animal:${animal.id}`);
  const change = (part: Partial<AnimalRecord>): void => void book.changeAnimal(animal.id, part);
  const boxes = designs?.flatMap((it) => (it.state === 'ready' ? [it.row.design] : [])) ?? [];
  const boxName = (id: string): string =>
    boxes.find((it) => it.id === id)?.name ?? 'an enclosure that is gone';
  const home = homeOf(animal);
  const go = (what: GoneWhat, to: string | null, on: string, said: string): void => {
    void act(said, () => acts.animalGoes({ animal, what, to, on, at: momentOn(on) }));
  };
  const nameOf = (parent: string): string => all?.find((it) => it.id === parent)?.name ?? parent;
  return (
    <DetailCard
      title={animal.name}
      onClose={onClose}
      strike={{
        label: 'Remove',
        said: `“${animal.name}” was removed.`,
        away: () => book.changeAnimal(animal.id, { gone: true }),
        back: () => book.changeAnimal(animal.id, { gone: false }),
      }}
    >
      <Row>
        <LineField
          key={animal.name}
          label="Name or number"
          value={animal.name}
          onCommit={(name) => change({ name: name.slice(0, 80) })}
        />
        <TextField
          select
          label="Species"
          value={animal.kind ?? ''}
          onChange={(event) => change({ kind: event.target.value || null })}
          sx={{ width: 210 }}
        >
          <MenuItem value="">not known</MenuItem>
          {catalogue.animals.map((it) => (
            <MenuItem key={it.id} value={it.id}>
              {it.english}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Sex"
          value={animal.sex}
          onChange={(event) => change({ sex: event.target.value as AnimalRecord['sex'] })}
          sx={{ width: 130 }}
        >
          <MenuItem value="unknown">not known</MenuItem>
          <MenuItem value="female">female</MenuItem>
          <MenuItem value="male">male</MenuItem>
        </TextField>
        {animal.sex !== 'unknown' && (
          <TextField
            select
            label="How sure"
            value={animal.sexKnown}
            onChange={(event) => change({ sexKnown: event.target.value as AnimalRecord['sexKnown'] })}
            sx={{ width: 130 }}
          >
            <MenuItem value="guess">a guess</MenuItem>
            <MenuItem value="likely">likely</MenuItem>
            <MenuItem value="sure">sure</MenuItem>
          </TextField>
        )}
        <DayField
          label="Hatched or born"
          value={animal.hatched}
          onCommit={(hatched) => change({ hatched })}
        />
        <LineField
          key={`s ${animal.source}`}
          label="From whom"
          optional
          value={animal.source}
          onCommit={(source) => change({ source })}
        />
        {[0, 1].map((index) => (
          <LineField
            key={`p${index} ${animal.parents[index] ?? ''}`}
            label={index === 0 ? 'One parent' : 'The other parent'}
            optional
            value={nameOf(animal.parents[index] ?? '')}
            onCommit={(name) => {
              const known = all?.find((it) => it.name === name && it.id !== animal.id)?.id ?? name;
              const parents = [animal.parents[0] ?? '', animal.parents[1] ?? ''];
              parents[index] = known;
              change({ parents: parents.every((it) => it === '') ? [] : parents });
            }}
          />
        ))}
      </Row>
      <Box>
        <Typography variant="h3" sx={{ mb: 0.75 }}>
          Where it lived
        </Typography>
        <Row>
          <TextField
            select
            label="Lives in"
            value={home ?? ''}
            onChange={(event) => {
              const to = event.target.value === '' ? null : event.target.value;
              go('moved', to, today, to === null ? 'Moved out.' : `Moved to ${boxName(to)}.`);
            }}
            sx={{ width: 210 }}
          >
            <MenuItem value="">no enclosure</MenuItem>
            {boxes.map((it) => (
              <MenuItem key={it.id} value={it.id}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
          <DayField
            label="Quarantine from"
            value={animal.quarantine?.from ?? null}
            onCommit={(from) =>
              change({ quarantine: from === null ? null : { to: null, ...animal.quarantine, from } })
            }
          />
          {animal.quarantine && (
            <DayField
              label="Quarantine until"
              value={animal.quarantine.to}
              onCommit={(to) => animal.quarantine && change({ quarantine: { ...animal.quarantine, to } })}
            />
          )}
          {animal.left !== null && (
            <DayField
              label="Left on"
              value={animal.left}
              onCommit={(left) => change(left === null ? { left, homes: reopened(animal) } : { left })}
            />
          )}
        </Row>
        {animal.left === null && (
          <Leaving
            today={today}
            onGo={(what, on) => go(what, null, on, what === 'died' ? 'It died.' : 'Given away.')}
          />
        )}
        <Box component="ul" sx={{ m: 0, mt: 0.75, pl: 2.5, typography: 'body2', color: 'earth.quiet' }}>
          {animal.homes.map((it, index) => (
            <li key={index}>
              {boxName(it.design)}: {it.from === null ? 'from the beginning' : dayWords(it.from)} to{' '}
              {it.to === null ? 'now' : dayWords(it.to)}
            </li>
          ))}
        </Box>
        {animal.quarantine && animal.quarantine.to === null && (
          <Typography variant="body2" sx={{ mt: 0.75 }}>
            Quarantine ends when a qualified veterinarian’s tests are in: a faecal test, and for amphibians
            tests for skin diseases.
          </Typography>
        )}
      </Box>
      <Papers animal={animal} onChange={change} />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' }, gap: 2 }}>
        <WeightChart animal={animal} log={log} />
        <MealChart animal={animal} log={log} />
      </Box>
      <LineField
        key={`n ${animal.note}`}
        label="Note"
        multiline
        optional
        value={animal.note}
        onCommit={(note) => change({ note })}
      />
      <PictureStrip label={animal.name} pictures={shots.pictures} onAdd={shots.add} onRemove={shots.remove} />
    </DetailCard>
  );
}

type GoneWhat = Parameters<ReturnType<typeof useActs>['animalGoes']>[0]['what'];

/** The last home open again: it did not leave after all. */
const reopened = ({ homes, left }: AnimalRecord): AnimalRecord['homes'] =>
  homes.map((it, index) => (index === homes.length - 1 && it.to === left ? { ...it, to: null } : it));

/** It died, or went to somebody else: on a day, as one act. */
function Leaving({
  today,
  onGo,
}: {
  readonly today: string;
  readonly onGo: (what: GoneWhat, on: string) => void;
}) {
  const [on, setOn] = useState(today);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1.75 }}>
      <DateField
        label="Day it leaves"
        value={on}
        max={today}
        onCommit={(day) => (day === null ? 'A day is expected.' : setOn(day))}
        sx={{ width: 165 }}
      />
      <Button onClick={() => onGo('given away', on)}>Given away or sold</Button>
      <Button color="error" onClick={() => onGo('died', on)}>
        It died
      </Button>
    </Box>
  );
}

const Row = ({ children }: { readonly children: ReactNode }) => (
  <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>{children}</Box>
);

function Papers({
  animal,
  onChange,
}: {
  readonly animal: AnimalRecord;
  readonly onChange: (part: Partial<AnimalRecord>) => void;
}) {
  const set = (index: number, part: Partial<AnimalRecord['papers'][number]>): void =>
    onChange({ papers: animal.papers.map((it, i) => (i === index ? { ...it, ...part } : it)) });
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 0.75 }}>
        Papers
      </Typography>
      <Box sx={{ display: 'grid', gap: 1 }}>
        {animal.papers.map((it, index) => (
          <Row key={index}>
            <LineField
              key={`w ${it.what}`}
              label="Paper"
              value={it.what}
              onCommit={(what) => set(index, { what })}
            />
            <LineField
              key={`n ${it.number}`}
              label="Its number"
              optional
              value={it.number}
              onCommit={(number) => set(index, { number })}
            />
            <DayField label="Good until" value={it.until} onCommit={(until) => set(index, { until })} />
            <Button onClick={() => onChange({ papers: animal.papers.filter((_, i) => i !== index) })}>
              Take it out
            </Button>
          </Row>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
          <Button
            variant="outlined"
            onClick={() =>
              onChange({ papers: [...animal.papers, { what: 'Permit', number: '', until: null }] })
            }
          >
            Add a paper
          </Button>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Which papers a species needs, the local authority says.
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}
