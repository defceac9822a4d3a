'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState, type ReactNode } from 'react';
import { readCode, unseal } from '@/files';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { useTakeIn } from './useTakeIn';

/** Fetches what another device handed over, once, and takes it in. */
export function Receive({ tools }: { readonly tools: ReactNode }) {
  const { takeIn, dialog, refusal } = useTakeIn();
  const [typed, setTyped] = useState(() =>
    typeof location === 'undefined' ? '' : decodeURIComponent(location.hash.slice(1)),
  );
  const [state, setState] = useState<'open' | 'busy' | 'done'>('open');
  const [wrong, setWrong] = useState<string | null>(null);
  const code = readCode(typed);
  const fetchIt = async (): Promise<void> => {
    if (!code) return;
    setState('busy');
    setWrong(null);
    try {
      const reply = await fetch(`/api/handover/${code.id}`, { method: 'POST' });
      if (!reply.ok) {
        const { message } = (await reply.json().catch(() => ({}))) as { readonly message?: string };
        throw new Error(message ?? `the server answers ${reply.status}`);
      }
      const plain = unseal(new Uint8Array(await reply.arrayBuffer()), code.key);
      if (!plain)
        throw new Error(
          'the code does not open it: a letter is wrong, or it was changed on the way. Hand it over again',
        );
      // The code has done its work: it is not to stay in the history.
      history.replaceState(null, '', '/receive');
      await takeIn(new Blob([plain], { type: 'application/zip' }), 'What was handed over');
      setState('done');
    } catch (error) {
      setState('open');
      setWrong(
        error instanceof TypeError
          ? 'The server does not answer. Is this device in the same network?'
          : `${error instanceof Error ? error.message : String(error)}.`,
      );
    }
  };
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/receive')} tools={tools} />
      <Box component="main" sx={{ px: 2, py: 3, maxWidth: 560, mx: 'auto', display: 'grid', gap: 1.75 }}>
        <Typography variant="h1" component="h1">
          From another device
        </Typography>
        <Typography sx={{ color: 'earth.quiet' }}>
          Logs, readings, animals and pictures of both devices are merged. Where an enclosure was changed on
          both, you are asked.
        </Typography>
        <TextField
          label="Code"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          error={typed.trim() !== '' && !code}
          helperText={typed.trim() !== '' && !code ? '32 letters and figures are expected.' : ' '}
          slotProps={{ htmlInput: { autoComplete: 'off', autoCapitalize: 'characters', spellCheck: false } }}
        />
        <Button
          variant="contained"
          disabled={!code || state === 'busy'}
          onClick={() => void fetchIt()}
          sx={{ minHeight: 48 }}
        >
          {state === 'busy' ? 'Fetching…' : 'Fetch it'}
        </Button>
        {wrong && <Alert severity="error">{wrong}</Alert>}
        {refusal && (
          <Alert severity="error">
            {refusal.place}: {refusal.message}.
          </Alert>
        )}
        {state === 'done' && !refusal && (
          <Button component={NextLink} href="/">
            To the rack
          </Button>
        )}
        {dialog}
      </Box>
    </Box>
  );
}
