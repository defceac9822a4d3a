'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { ROOMS, WHAT_IFS, whyNot, type RoomKeeps, type WhatIfId, type WhatIfResult } from '@/core/whatIf';
import type { Season } from '@/core/climate';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { ClimateStopped, startWhatIf, type Working } from '@/workers/climate';
import { Played } from './WhatIfPlayed';
import { SEASON_WORD } from './words';

type State =
  | { readonly at: 'rest' }
  | { readonly at: 'work' }
  | { readonly at: 'done'; readonly result: WhatIfResult }
  | { readonly at: 'failed'; readonly message: string };

/** What happens when something goes wrong, and how long there is. */
export function WhatIfTab({ season }: { readonly season: Season }) {
  const { tell } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const [state, setState] = useState<State>({ at: 'rest' });
  const [and, setAnd] = useState<WhatIfId | ''>('');
  const room = design.climate.room.keeps ?? 'solid';
  const running = useRef<Working<WhatIfResult> | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const start = (id: WhatIfId): void => {
    running.current?.stop();
    setState({ at: 'work' });
    const working = startWhatIf(and === '' || and === id ? [id] : [id, and], design, catalogue, season, room);
    running.current = working;
    working.done.then(
      (result) => setState({ at: 'done', result }),
      (error: unknown) => {
        if (!(error instanceof ClimateStopped))
          setState({ at: 'failed', message: error instanceof Error ? error.message : String(error) });
      },
    );
  };
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
                onClick={() => start(it.id)}
                disabled={whyNot(it.id, design, catalogue) !== null}
                aria-pressed={state.at === 'done' && state.result.ids[0] === it.id}
                sx={{
                  justifyContent: 'flex-start',
                  textAlign: 'left',
                  alignItems: 'flex-start',
                  height: '100%',
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
        {state.at === 'work' && (
          <Box sx={{ mt: 1.25, display: 'flex', gap: 2, alignItems: 'center' }}>
            <LinearProgress aria-label="Playing it through" sx={{ flex: 1 }} />
            <Button
              onClick={() => {
                running.current?.stop();
                setState({ at: 'rest' });
              }}
            >
              Stop
            </Button>
          </Box>
        )}
        {state.at === 'failed' && (
          <Alert severity="error" sx={{ mt: 1 }}>
            It failed: {state.message}. Try again.
          </Alert>
        )}
      </Panel>
      {state.at === 'done' && (
        <Played
          result={state.result}
          onBuild={(calls) => {
            // One gesture: one step back.
            for (const call of calls) edit(call, 'build it in');
            setState({ at: 'rest' });
          }}
        />
      )}
    </Box>
  );
}
