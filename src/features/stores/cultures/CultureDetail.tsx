'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import { actsOf, crewRhythm, culturesDue, rhythmOf, type Feeder } from '@/core/living';
import type { CultureAct, CultureRecord } from '@/core/records';
import { counted, temperature } from '@/core/units';
import { useCultures, useRecordBook, useStore } from '@/store';
import { stateWords, taskWhy, taskWords } from '@/ui/cultureWords';
import { dayWords } from '@/ui/days';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { PlainTable } from '@/ui/PlainTable';
import { DetailCard } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { useAct } from '@/ui/useAct';
import { DayCount } from './DayCount';

const DID: Record<CultureAct['what'], string> = { fed: 'Fed', harvested: 'Harvested', split: 'Split' };
/** Acts that are shown. */
const SHOWN = 30;
/** Floor of a usual tub of crew, m². */
const TUB = 0.04;

interface Props {
  readonly culture: CultureRecord;
  readonly feeders: readonly Feeder[];
  readonly today: string;
}

/** One culture: what it gives, what it is due for, its rhythm, and what was done with it. */
export function CultureDetail({ culture, feeders, today }: Props) {
  const { catalogue } = useStore();
  const book = useRecordBook();
  const act = useAct();
  const { write } = useReader();
  const all = useCultures() ?? [];
  const [taken, setTaken] = useState(0);
  const feeder = feeders.find((it) => it.id === culture.kind);
  const crew = feeder ? undefined : catalogue.living.crew.find((it) => it.id === culture.kind);
  const isOver = culture.ended !== null && culture.ended <= today;
  const dues = culturesDue(all, today).filter((it) => it.culture.id === culture.id);
  const change = (part: Partial<CultureRecord>): void => void book.changeCulture(culture.id, part);
  // What hangs on warmth follows it; what its keeper set otherwise stays.
  const paceAt = (kept: number): Partial<CultureRecord> => {
    if (feeder) return { firstHarvest: rhythmOf(feeder, kept).firstHarvest };
    if (!crew) return {};
    const { firstHarvest, splitEvery } = crewRhythm(crew, TUB, kept);
    return { firstHarvest, splitEvery };
  };
  const warm = (kept: number): void => change({ temperature: kept, ...paceAt(kept) });
  const did = (what: CultureAct['what'], count: number | null = null): Promise<boolean> =>
    act(`${DID[what]}: ${culture.name}.`, () => book.actOnCulture(culture.id, what, today, count));
  const done = [...actsOf(culture)].reverse();
  const total = done.reduce((sum, it) => sum + (it.count ?? 0), 0);
  return (
    <DetailCard label={culture.name}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'flex-start' }}>
        <LineField
          key={culture.name}
          label="Called"
          value={culture.name}
          onCommit={(name) => change({ name: name.slice(0, 80) })}
          sx={{ flex: 1, minWidth: 180 }}
        />
        <NumberField
          key={`t${culture.tubs}`}
          label="Tubs"
          value={culture.tubs}
          min={1}
          max={200}
          onCommit={(tubs) => change({ tubs: Math.round(tubs) })}
          sx={{ width: 90 }}
        />
        <QuantityField
          label="Kept at"
          measure="temperature"
          value={culture.temperature}
          min={5}
          max={40}
          step={1}
          onCommit={warm}
          sx={{ width: 120 }}
        />
      </Box>
      <Typography sx={{ mt: 1 }}>
        {`Started ${dayWords(culture.started)} in ${counted(culture.tubs, 'tub')} at ${write(temperature(culture.temperature))}; ${stateWords(culture, today)}.`}
      </Typography>
      {feeder && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          <em>{feeder.scientific}</em>, on {feeder.food}. {feeder.note}
        </Typography>
      )}
      {!isOver && (
        <>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1.5 }}>
            {culture.feedEvery !== null && (
              <Button variant="outlined" onClick={() => void did('fed')}>
                Fed
              </Button>
            )}
            {culture.splitEvery !== null && (
              <Button variant="outlined" onClick={() => void did('split')}>
                Split
              </Button>
            )}
            <NumberField
              key={`n${taken} ${done.length}`}
              label="Taken"
              value={taken}
              min={0}
              max={1_000_000}
              onCommit={(it) => setTaken(Math.round(it))}
              sx={{ width: 100 }}
            />
            <Button
              variant="outlined"
              onClick={() =>
                void did('harvested', taken > 0 ? taken : null).then((isDone) => isDone && setTaken(0))
              }
            >
              Harvested
            </Button>
            <Button
              onClick={() =>
                void act(`${culture.name} was ended.`, async () => {
                  await book.changeCulture(culture.id, { ended: today });
                  return () => book.changeCulture(culture.id, { ended: null });
                })
              }
            >
              End it
            </Button>
          </Box>
          <Box component="ul" aria-label="Comes next" sx={{ m: 0, mt: 1.25, pl: 2.25 }}>
            {dues.map((it) => (
              <li key={it.task}>
                {`${taskWords(it)}: ${it.late > 0 ? `due since ${dayWords(it.day)}` : it.late === 0 ? 'today' : dayWords(it.day)}. `}
                <Box component="span" sx={{ color: 'earth.quiet' }}>
                  {taskWhy(it)}
                </Box>
              </li>
            ))}
          </Box>
        </>
      )}
      <Typography variant="h3" component="h3" sx={{ mt: 2, mb: 1 }}>
        Its rhythm
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        <DayCount
          label="Fed every"
          value={culture.feedEvery}
          onCommit={(feedEvery) => change({ feedEvery })}
        />
        <DayCount
          label="First after"
          value={culture.firstHarvest}
          onCommit={(firstHarvest) => change({ firstHarvest })}
        />
        <DayCount label="Gives for" value={culture.givesFor} onCommit={(givesFor) => change({ givesFor })} />
        <DayCount
          label="Next started after"
          value={culture.nextAfter}
          onCommit={(nextAfter) => change({ nextAfter })}
        />
        <DayCount
          label="Split every"
          value={culture.splitEvery}
          onCommit={(splitEvery) => change({ splitEvery })}
        />
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
        {feeder
          ? 'Days, as breeders have it and as warm as it is kept; yours count from when you change them.'
          : 'Days, by the forecast of its species in a tub of this warmth; yours count from when you change them.'}
      </Typography>
      {done.length > 0 && (
        <>
          <Typography variant="h3" component="h3" sx={{ mt: 2, mb: 0.5 }}>
            What was done
          </Typography>
          <PlainTable label="What was done">
            <tbody>
              {done.slice(0, SHOWN).map((it) => (
                <tr key={it.id}>
                  <td style={{ width: 150 }}>{dayWords(it.on)}</td>
                  <td>{DID[it.what]}</td>
                  <td className="number">{it.count ?? ''}</td>
                </tr>
              ))}
            </tbody>
          </PlainTable>
          {total > 0 && (
            <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
              Taken so far: {total}.
            </Typography>
          )}
        </>
      )}
      <LineField
        key={`n ${culture.note}`}
        label="Note"
        optional
        value={culture.note}
        onCommit={(note) => change({ note: note.slice(0, 1000) })}
        sx={{ width: '100%', mt: 2 }}
      />
      {feeder && (feeder.allergen || feeder.escapes) && (
        <Typography variant="body2" sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.25, mt: 2 }}>
          <strong>{CAUTIONS.feeders.title}.</strong> {CAUTIONS.feeders.text}
        </Typography>
      )}
      <Button
        color="error"
        sx={{ mt: 1.5 }}
        onClick={() =>
          void act(`${culture.name} was removed.`, async () => {
            await book.changeCulture(culture.id, { gone: true });
            return () => book.changeCulture(culture.id, { gone: false });
          })
        }
      >
        Remove it
      </Button>
    </DetailCard>
  );
}
