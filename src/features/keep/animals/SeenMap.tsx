'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Entry } from '@/core/log';
import type { AnimalRecord } from '@/core/records';
import { counted } from '@/core/units';
import { useOpenDesign } from '@/store';
import { BoxMap } from '../BoxMap';
import { isDayIn } from '@/core/climate';

const WHEN = { all: 'by day and night', day: 'by day', night: 'by night' } as const;

/** Where they were seen, all on one drawing: what of the box is used, and what is not. */
export function SeenMap({
  log,
  animals,
}: {
  readonly log: readonly Entry[];
  readonly animals: readonly AnimalRecord[];
}) {
  const { design } = useOpenDesign();
  const [who, setWho] = useState('all');
  const [when, setWhen] = useState<keyof typeof WHEN>('all');
  const isDay = isDayIn(design.climate);
  const seen = log.flatMap((it) => {
    const { x, y, z } = it.values;
    if (x === null || z === null) return [];
    if (who !== 'all' && it.animal !== who) return [];
    if (when !== 'all' && isDay(it.at) !== (when === 'day')) return [];
    return [{ x, y: y ?? design.enclosure.depth / 2, z, at: it.at }];
  });
  const any = log.some((it) => it.values.x !== null);
  if (!any) return null;
  const { width, height } = design.enclosure;
  const warmSide = seen.filter((it) => (design.scape.warm === 'right' ? it.x > width / 2 : it.x < width / 2));
  const up = seen.filter((it) => it.z > height / 2);
  const share = (part: number): string => `${Math.round((100 * part) / Math.max(1, seen.length))} %`;
  return (
    <Box component="section" aria-labelledby="seen">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 0.75 }}>
        <Typography variant="h2" id="seen" sx={{ flex: 1 }}>
          Where they were seen
        </Typography>
        {animals.length > 1 && (
          <TextField
            select
            size="small"
            label="Who"
            value={who}
            onChange={(event) => setWho(event.target.value)}
            sx={{ width: 150 }}
          >
            <MenuItem value="all">all of them</MenuItem>
            {animals.map((it) => (
              <MenuItem key={it.id} value={it.id}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <TextField
          select
          size="small"
          label="When"
          value={when}
          onChange={(event) => setWhen(event.target.value as keyof typeof WHEN)}
          sx={{ width: 170 }}
        >
          {Object.entries(WHEN).map(([key, name]) => (
            <MenuItem key={key} value={key}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {seen.length === 0
          ? 'Not seen then.'
          : `Seen ${counted(seen.length, 'time')}: ${share(warmSide.length)} on the warm side, ${share(up.length)} in the upper half. Places that are never used are worth changing.`}
      </Typography>
      <BoxMap
        label="Where they were seen"
        value={null}
        height={320}
        marks={(place) =>
          seen.map((it, index) => {
            const { x, y } = place(it);
            return (
              <g key={index}>
                <circle cx={x} cy={y} r={20} fill="var(--mui-palette-earth-clay)" opacity={0.16} />
                <circle cx={x} cy={y} r={4} fill="var(--mui-palette-earth-clay)" />
              </g>
            );
          })
        }
      />
    </Box>
  );
}
