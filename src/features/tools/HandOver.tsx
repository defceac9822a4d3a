'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import type { Design } from '@/core/document';
import { codeText, newCode, seal, type Code } from '@/files';
import { makeBackup } from '@/workers/backup';

interface Left {
  readonly code: Code;
  readonly until: number;
}

/** Hands an enclosure, or all of the rack, to another device: sealed here, fetched once, with a code only the two of you see. */
export function HandOver({ only, onClose }: { readonly only: Design | null; readonly onClose: () => void }) {
  const [what, setWhat] = useState<'one' | 'all'>(only ? 'one' : 'all');
  const [share, setShare] = useState<number | null>(null);
  const [left, setLeft] = useState<Left | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const hand = async (): Promise<void> => {
    setWrong(null);
    setShare(0);
    try {
      const { zip } = await makeBackup(what === 'one' && only ? only.id : null, setShare);
      const code = newCode();
      const reply = await fetch(`/api/handover/${code.id}`, {
        method: 'PUT',
        body: seal(new Uint8Array(await zip.arrayBuffer()), code.key),
      });
      const said = (await reply.json()) as { readonly until?: number; readonly message?: string };
      if (!reply.ok || said.until === undefined)
        throw new Error(said.message ?? `the server answers ${reply.status}`);
      setLeft({ code, until: said.until });
    } catch (error) {
      setWrong(
        error instanceof TypeError
          ? 'The server does not answer. Save a copy as a file, and carry that.'
          : `${error instanceof Error ? error.message : String(error)}.`,
      );
    } finally {
      setShare(null);
    }
  };
  const link = left && `${location.origin}/receive#${codeText(left.code).replaceAll(' ', '')}`;
  const local = typeof location !== 'undefined' && /^(localhost|127\.|\[::1\])/.test(location.host);
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="hand-over">
      <DialogTitle id="hand-over">Hand over to another device</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        {left && link ? (
          <>
            <Box sx={{ bgcolor: '#fff', p: 1.5, borderRadius: 2, justifySelf: 'center' }}>
              <QRCodeSVG value={link} size={208} title="Address and code for the other device" />
            </Box>
            <Typography
              component="output"
              aria-label="Code"
              sx={{
                textAlign: 'center',
                fontWeight: 650,
                fontVariantNumeric: 'tabular-nums',
                letterSpacing: '0.06em',
              }}
            >
              {codeText(left.code)}
            </Typography>
            <Typography variant="body2">
              Scan it with the other device, or open {location.origin}/receive there and type the code. It
              works once, until{' '}
              {new Date(left.until).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })}.
            </Typography>
            {local && (
              <Alert severity="info" variant="outlined">
                This server listens on this machine only. For a phone in the same network start it with --lan;
                the README says what that means.
              </Alert>
            )}
          </>
        ) : (
          <>
            <RadioGroup aria-label="What" value={what} onChange={(_, value) => setWhat(value as typeof what)}>
              {only && (
                <FormControlLabel
                  value="one"
                  control={<Radio />}
                  label={`${only.name}, with its log, readings and pictures`}
                />
              )}
              <FormControlLabel value="all" control={<Radio />} label="The whole rack" />
            </RadioGroup>
            <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
              It is sealed in this browser. The server holds what it cannot read, in memory, until it is
              fetched once or ten minutes are over.
            </Typography>
          </>
        )}
        {wrong && <Alert severity="error">{wrong}</Alert>}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        {!left && (
          <Button variant="contained" disabled={share !== null} onClick={() => void hand()}>
            {share === null ? 'Make a code' : `${Math.round(100 * share)} %`}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
