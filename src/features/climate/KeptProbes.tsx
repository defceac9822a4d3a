'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormGroup from '@mui/material/FormGroup';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { keptProbes, type KeptProbe, type ProbeTracks } from '@/core/calibration';
import type { Series } from '@/core/readings';
import { readTrack, useOpenDesign, useSeries, useStore } from '@/store';

interface Props {
  readonly busy: boolean;
  readonly onTake: (
    probes: readonly ProbeTracks[],
    room: Pick<ProbeTracks, 'temperature' | 'humidity'>,
  ) => void;
}

/** Probes whose readings are kept here, to be calibrated to together. */
export function KeptProbes({ busy, onTake }: Props) {
  const { db } = useStore();
  const { design } = useOpenDesign();
  const points = useSeries(design.id);
  const { probes, room } = useMemo(() => keptProbes(points ?? [], design), [points, design]);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const tell = ({ name, temperature, humidity }: KeptProbe): string =>
    temperature && humidity
      ? `${name}: temperature and humidity`
      : `${name}: ${temperature ? 'temperature' : 'humidity'}`;
  const chosen = probes.filter((it) => !left.has(it.name));
  const take = async (): Promise<void> => {
    const read = (point: Series | null) => (point ? readTrack(db, point.id, -Infinity, Infinity) : null);
    const tracks = await Promise.all(
      chosen.map(async (it): Promise<ProbeTracks> => ({
        name: it.name,
        where: it.where,
        temperature: await read(it.temperature),
        humidity: await read(it.humidity),
      })),
    );
    onTake(tracks, { temperature: await read(room.temperature), humidity: await read(room.humidity) });
  };
  if (probes.length === 0)
    return (
      <Typography variant="body2">
        No point here reads the air of a side. Give a measuring point its place under Readings first: warm
        side, cool side or canopy.
      </Typography>
    );
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <FormGroup aria-label="Probes">
        {probes.map((it) => (
          <FormControlLabel
            key={it.name}
            label={tell(it)}
            control={
              <Checkbox
                checked={!left.has(it.name)}
                onChange={(_, on) =>
                  setLeft((was) => {
                    const next = new Set(was);
                    if (on) next.delete(it.name);
                    else next.add(it.name);
                    return next;
                  })
                }
              />
            }
          />
        ))}
      </FormGroup>
      <Typography variant="body2" color="text.secondary">
        {room.temperature && room.humidity
          ? 'The room was read beside them, which helps most.'
          : room.temperature
            ? 'Of the room only the temperature was read: how damp it was is sought with the rest.'
            : 'The room was not read: how warm and damp it was is sought with the rest, which tells less.'}
      </Typography>
      <Button
        variant="contained"
        disabled={busy || chosen.length === 0}
        sx={{ justifySelf: 'start', mt: 0.5 }}
        onClick={() => void take()}
      >
        Calibrate
      </Button>
    </Box>
  );
}
