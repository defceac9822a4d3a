'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { ROOMS, WHAT_IFS, whyNot, type RoomKeeps, type WhatIfId, type WhatIfResult } from '@/core/whatIf';
import type { Season } from '@/core/climate';
import type { Design } from '@/core/document';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { ClimateStopped, startWhatIf, type Working } from '@/workers/climate';
import { Played } from './WhatIfPlayed';
import { SEASON_WORD } from './words';

/** What is played through: of this enclosure in this season, and no longer true of it once either changes. */
interface Asked {
  readonly ids: readonly WhatIfId[];
  readonly design: Design;
  readonly season: Season;
}
type Came =
  { readonly of: Asked; readonly result: WhatIfResult } | { readonly of: Asked; readonly failed: string };
/** ms an enclosure is left alone before it is played through again. */
const QUIET = 400;

/** What happens when something goes wrong, and how long there is. */
export function WhatIfTab({ season }: { readonly season: Season }) {
  const { tell } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [ids, setIds] = useState<readonly WhatIfId[] | null>(null);
  const [came, setCame] = useState<Came | null>(null);
  const [and, setAnd] = useState<WhatIfId | ''>('');
  const room = design.climate.room.keeps ?? 'solid';
  useEffect(() => {
    if (ids === null) return undefined;
    const of = { ids, design, season };
    let working: Working<WhatIfResult> | null = null;
    const begin = setTimeout(() => {
      working = startWhatIf(ids, design, catalogue, season, room);
      working.done.then(
        (result) => setCame({ of, result }),
        (error: unknown) => {
          if (!(error instanceof ClimateStopped))
            setCame({ of, failed: error instanceof Error ? error.message : String(error) });
        },
      );
    }, QUIET);
    return () => {
      clearTimeout(begin);
      working?.stop();
    };
  }, [ids, design, season, catalogue, room]);
  const now =
    came && came.of.ids === ids && came.of.design === design && came.of.season === season ? came : null;
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="What if">
        <Typography variant="body2" sx={{ mb: 1 }}>
          Played through in {SEASON_WORD[season]} weather, from the enclosure as it usually stands. Each
          begins at four in the morning.
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 0.75, mb: 1.25 }}>
          <TextField
            select
            size="small"
            label="When its heating stops the room cools"
            value={room}
            onChange={(event) =>
              edit({ edit: 'setClimateRoom', change: { keeps: event.target.value as RoomKeeps } })
            }
            sx={{ minWidth: 280 }}
          >
            {Object.entries(ROOMS).map(([id, it]) => (
              <MenuItem key={id} value={id}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            size="small"
            label="At the same time"
            value={and}
            onChange={(event) => setAnd(event.target.value as WhatIfId | '')}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            sx={{ minWidth: 220 }}
          >
            <MenuItem value="">nothing else</MenuItem>
            {WHAT_IFS.filter((it) => whyNot(it.id, design, catalogue) === null).map((it) => (
              <MenuItem key={it.id} value={it.id}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))',
            gap: 1,
          }}
        >
          {WHAT_IFS.map((it) => (
            <Box key={it.id} component="li" sx={{ display: 'grid' }}>
              <Button
                variant="outlined"
                onClick={() => setIds(and === '' || and === it.id ? [it.id] : [it.id, and])}
                disabled={whyNot(it.id, design, catalogue) !== null}
                aria-pressed={ids?.[0] === it.id}
                sx={{
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  alignItems: 'flex-start',
                  height: '100%',
                  '&[aria-pressed=true]': { borderColor: 'earth.moss', bgcolor: 'earth.mossWash' },
                }}
              >
                <Box component="span">
                  {it.name}
                  <Box
                    component="span"
                    sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}
                  >
                    {whyNot(it.id, design, catalogue) ?? tell(it.why)}
                  </Box>
                </Box>
              </Button>
            </Box>
          ))}
        </Box>
        {ids !== null && now === null && (
          <Box sx={{ mt: 1.25, display: 'flex', gap: 2, alignItems: 'center' }}>
            <LinearProgress aria-label="Playing it through" sx={{ flex: 1 }} />
            <Button onClick={() => setIds(null)}>Stop</Button>
          </Box>
        )}
        {now && 'failed' in now && (
          <Alert severity="error" sx={{ mt: 1 }}>
            It failed: {now.failed}. Try again.
          </Alert>
        )}
      </Panel>
      {now && 'result' in now && (
        <Played
          result={now.result}
          onBuild={(calls) => {
            // One gesture: one step back.
            for (const call of calls) edit(call, 'build it in');
          }}
        />
      )}
    </Box>
  );
}
