'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { CrewKind } from '@/core/catalogue';
import { crewRhythm, givesAt, rhythmOf, type Feeder } from '@/core/living';
import { dayPlus } from '@/core/time';
import { capital, fine, spanned, temperature } from '@/core/units';
import { useRecordBook, useStore } from '@/store';
import { dayWords, daysWord } from '@/ui/days';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { DetailCard } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';

/** Floor of a usual tub of crew, m². */
const TUB = 0.04;
/** °C a room is kept at where nothing else is said. */
const ROOM = 24;

interface Choice {
  readonly id: string;
  readonly english: string;
  readonly scientific: string;
  readonly group: 'To be fed' | 'Cleanup crew';
  readonly feeder?: Feeder;
  readonly crew?: CrewKind;
}

interface Props {
  readonly feeders: readonly Feeder[];
  readonly today: string;
  readonly onStarted: (id: string) => void;
}

/** A culture is started: its species and how warm it is kept give its rhythm, which can be changed afterwards. */
export function StartCulture({ feeders, today, onStarted }: Props) {
  const { catalogue } = useStore();
  const book = useRecordBook();
  const undoable = useUndoable();
  const [choice, setChoice] = useState<Choice | null>(null);
  const [name, setName] = useState('');
  const [tubs, setTubs] = useState(1);
  const [kept, setKept] = useState(ROOM);
  const ids = new Set(feeders.map((it) => it.id));
  const choices: readonly Choice[] = [
    ...feeders.map((it): Choice => ({ ...pick(it), group: 'To be fed', feeder: it })),
    ...catalogue.living.crew
      .filter((it) => it.wanted && !ids.has(it.id))
      .map((it): Choice => ({ ...pick(it), group: 'Cleanup crew', crew: it })),
  ];
  const rhythm = choice?.feeder
    ? rhythmOf(choice.feeder, kept)
    : choice?.crew
      ? crewRhythm(choice.crew, TUB, kept)
      : null;
  const start = async (): Promise<void> => {
    if (!choice || !rhythm) return;
    const id = crypto.randomUUID();
    await book.saveCulture({
      id,
      changed: 0,
      gone: false,
      name: (name || capital(choice.english)).slice(0, 80),
      kind: choice.id,
      tubs,
      temperature: kept,
      started: today,
      ended: null,
      ...rhythm,
      acts: [],
      note: '',
    });
    undoable(`${capital(choice.english)} was started.`, () => book.changeCulture(id, { gone: true }));
    onStarted(id);
  };
  return (
    <DetailCard label="Start a culture">
      <Typography variant="h2" sx={{ mb: 1.25 }}>
        Start a culture
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        <Autocomplete
          options={choices}
          groupBy={(it) => it.group}
          getOptionLabel={(it) => capital(it.english)}
          getOptionKey={(it) => `${it.group} ${it.id}`}
          filterOptions={(all, { inputValue }) => {
            const words = inputValue.trim().toLowerCase();
            return all.filter((it) => `${it.english} ${it.scientific}`.toLowerCase().includes(words));
          }}
          value={choice}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          onChange={(_, it) => setChoice(it)}
          renderInput={(params) => <TextField {...params} label="Species" />}
          sx={{ width: { xs: '100%', sm: 260 } }}
        />
        <LineField
          key={name}
          label="Called"
          optional
          value={name}
          onCommit={setName}
          sx={{ width: { xs: '100%', sm: 180 } }}
        />
        <NumberField
          key={`t${tubs}`}
          label="Tubs"
          value={tubs}
          min={1}
          max={200}
          onCommit={(it) => setTubs(Math.round(it))}
          sx={{ width: 90 }}
        />
        <QuantityField
          label="Kept at"
          measure="temperature"
          value={kept}
          min={5}
          max={40}
          step={1}
          onCommit={setKept}
          sx={{ width: 120 }}
        />
      </Box>
      {choice && rhythm && (
        <Foresight choice={choice} kept={kept} tubs={tubs} first={rhythm.firstHarvest} today={today} />
      )}
      <Button variant="contained" disabled={!rhythm} onClick={() => void start()} sx={{ mt: 1.5 }}>
        Start it today
      </Button>
    </DetailCard>
  );
}

const pick = ({ id, english, scientific }: Feeder | CrewKind) => ({ id, english, scientific });

/** What comes of it, before it is started. */
function Foresight({
  choice: { feeder, scientific },
  kept,
  tubs,
  first,
  today,
}: {
  readonly choice: Choice;
  readonly kept: number;
  readonly tubs: number;
  readonly first: number | null;
  readonly today: string;
}) {
  const { write, num } = useReader();
  const small = { decimals: 2, trim: true };
  const gives = feeder ? givesAt(feeder, kept) * tubs : 0;
  const low = feeder && write(temperature(feeder.temperature.value.low));
  const high = feeder && write(temperature(feeder.temperature.value.high));
  return (
    <Box sx={{ mt: 1.5, '& p': { maxWidth: 640, mb: 0.75 } }}>
      <p>
        <em>{scientific}</em>
        {feeder &&
          `, ${spanned(write(fine(feeder.size.value.low), small), write(fine(feeder.size.value.high), small))}. It lives on ${feeder.food}.`}
      </p>
      <p>
        {first === null
          ? feeder
            ? `It does not breed at ${write(temperature(kept))}: it wants ${low} to ${high}.`
            : `It does not come on at ${write(temperature(kept))}.`
          : `The first can be taken after ${daysWord(first)}, from ${dayWords(dayPlus(today, first))}.`}
        {gives > 0 && ` Well kept it gives about ${num(gives, 0)} a day.`}
        {feeder?.nextAfter.value &&
          ` The next is started after ${daysWord(feeder.nextAfter.value)}, so that one always gives.`}
      </p>
      {feeder && feeder.note !== '' && <p>{feeder.note}</p>}
      {feeder && (feeder.allergen || feeder.escapes) && (
        <Typography variant="body2" sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.25 }}>
          <strong>{CAUTIONS.feeders.title}.</strong> {CAUTIONS.feeders.text}
        </Typography>
      )}
    </Box>
  );
}
