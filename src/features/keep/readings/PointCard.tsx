'use client';

import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import { useEffect, useState } from 'react';
import { animalOn } from '@/core/brief';
import { bandAt, PLACES, toSteps, trackOf, type Series } from '@/core/readings';
import { keepsMoist } from '@/core/verdict';
import { storageTrouble, type Change, useOpenDesign, useReadingsBook, useStore } from '@/store';
import { LineField, PickField } from '@/ui/fields/PlainFields';
import { useUndoable } from '@/ui/useUndoable';
import { useReader } from '@/ui/units';
import { BoxMap } from '../BoxMap';
import { DetailCard } from '../DetailCard';
import { useCalculated } from './useCalculated';
import { checkTyped, onAxis, PLACE_WORD, readingWords } from '@/ui/readingWords';

const PLACE_OPTIONS = PLACES.map((value) => ({ value, name: PLACE_WORD[value] }));

/** What a point alarms by until bounds of one's own are set: the animal's. */
const NO_BOUNDS = { on: true, low: null, high: null };

/** One measuring point: what it is, where it sits, what the forecast says for there, when it alarms. */
export function PointCard({ point, onClose }: { readonly point: Series; readonly onClose: () => void }) {
  const { catalogue, today } = useStore();
  const { design } = useOpenDesign();
  const book = useReadingsBook();
  const reader = useReader();
  const [spot, setSpot] = useState(point.at);
  const change = (part: Change<Series>): void => void book.change(point.id, part);
  const animal = animalOn(design, catalogue, today);
  const asked = [true, false].map((day) =>
    bandAt(animal, point.place, point.quantity, day, keepsMoist(design)),
  );
  const calculated = useCalculated({ ...point, at: spot });
  // A place that is dragged is kept once it rests.
  useEffect(() => {
    if (spot === point.at) return;
    const rest = setTimeout(() => void book.change(point.id, { at: spot }), 400);
    return () => clearTimeout(rest);
  }, [spot, point, book]);
  const axis = onAxis(point.quantity, reader);
  const alarm = point.alarm ?? NO_BOUNDS;
  const bound = (side: 'low' | 'high', words: string) => (
    <LineField
      key={`${side} ${alarm[side] ?? ''}`}
      label={`${words}${axis.unit === '' ? '' : `, ${axis.unit}`}`}
      optional
      value={alarm[side] === null ? '' : reader.plain(axis.value(alarm[side]), 2)}
      check={(text) => checkTyped(text, point.quantity, axis, reader)}
      onCommit={(text) =>
        change((here) => ({
          alarm: {
            ...(here.alarm ?? NO_BOUNDS),
            [side]: text === '' ? null : axis.si(reader.parse(text) ?? Number.NaN),
          },
        }))
      }
      sx={{ width: 150 }}
    />
  );
  return (
    <DetailCard
      title={point.name}
      onClose={onClose}
      strike={{
        label: 'Archive',
        said: `“${point.name}” and its readings are archived.`,
        away: () => book.change(point.id, { gone: true }),
        back: () => book.change(point.id, { gone: false }),
      }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' }, gap: 2 }}>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
            <LineField
              label="Name"
              value={point.name}
              onCommit={(name) => change({ name })}
              sx={{ flex: 1, minWidth: 150 }}
            />
            <PickField
              label="Where"
              value={point.place}
              options={PLACE_OPTIONS}
              onPick={(place) => change({ place })}
            />
            <LineField
              label="Read by"
              optional
              value={point.instrument}
              onCommit={(instrument) => change({ instrument })}
              sx={{ flex: 1, minWidth: 150 }}
            />
          </Box>
          <Box>
            <FormControlLabel
              label="Alarm"
              control={
                <Switch
                  checked={alarm.on}
                  onChange={(_, on) =>
                    change({
                      alarm: on && alarm.low === null && alarm.high === null ? null : { ...alarm, on },
                    })
                  }
                />
              }
            />
            <Box component="span" sx={{ color: 'earth.quiet', typography: 'body2' }}>
              {!alarm.on
                ? 'Nothing sounds for this point.'
                : alarm.low !== null || alarm.high !== null
                  ? 'By your own bounds.'
                  : asked[0] || asked[1]
                    ? `By the animal: ${bandWords(asked[0], point, reader)} by day, ${bandWords(asked[1], point, reader)} by night.`
                    : 'The animal asks nothing of this place. Set bounds, if there are any.'}
            </Box>
          </Box>
          {alarm.on && (
            <Box sx={{ display: 'flex', gap: 1.25 }}>
              {bound('low', 'Alarm under')}
              {bound('high', 'Alarm over')}
            </Box>
          )}
          <HandReading point={point} />
          <Typography variant="body2" role="status">
            {spot === null ? (
              <Box component="span" sx={{ color: 'earth.quiet' }}>
                Set where it sits in the drawing, and it is compared with the forecast.
              </Box>
            ) : (
              calculated
            )}
          </Typography>
        </Box>
        <BoxMap label={`Where ${point.name} sits`} value={spot} onChange={setSpot} />
      </Box>
    </DetailCard>
  );
}

const bandWords = (
  band: ReturnType<typeof bandAt> | undefined,
  { quantity }: Series,
  reader: Parameters<typeof readingWords>[2],
): string => {
  if (!band) return 'anything';
  const say = (it: number): string => readingWords(it, quantity, reader);
  if (band.low === null) return band.high === null ? 'anything' : `up to ${say(band.high)}`;
  return band.high === null ? `${say(band.low)} at least` : `${say(band.low)} to ${say(band.high)}`;
};

/** A reading of now, off an instrument in the hand. */
function HandReading({ point }: { readonly point: Series }) {
  const book = useReadingsBook();
  const undoable = useUndoable();
  const reader = useReader();
  const { enqueueSnackbar } = useSnackbar();
  const axis = onAxis(point.quantity, reader);
  const [round, setRound] = useState(0);
  const write = async (text: string): Promise<void> => {
    const steps = toSteps(axis.si(reader.parse(text) ?? Number.NaN), point.quantity);
    try {
      const batch = await book.add([{ series: point, track: trackOf([Date.now()], [steps]) }]);
      undoable('Written.', () => book.takeOut(batch));
      setRound(round + 1);
    } catch (error) {
      enqueueSnackbar(`Not written: ${storageTrouble(error)}.`, { variant: 'error', persist: true });
    }
  };
  return (
    <Box sx={{ display: 'flex', gap: 1.25, alignItems: 'center' }}>
      <LineField
        key={round}
        label={`Read now by hand${axis.unit === '' ? '' : `, ${axis.unit}`}`}
        value=""
        check={(text) => checkTyped(text, point.quantity, axis, reader)}
        onCommit={(text) => void write(text)}
        sx={{ width: 210 }}
      />
    </Box>
  );
}
