'use client';

import CheckIcon from '@mui/icons-material/Check';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import { type Due } from '@/core/care';
import type { AnimalRecord } from '@/core/records';
import { capital } from '@/core/units';
import { FileButton } from '@/ui/FileButton';
import { dayWords } from '@/ui/days';
import { useActs } from '@/store';
import { useReader } from '@/ui/units';
import { MeasuredFields } from './MeasuredFields';
import { PutOff } from './PutOff';
import { areNumbers, asksNumbers, linesOfTick, measuredFor, type Typed } from './measured';
import { useAct } from '@/ui/useAct';

interface Props {
  readonly design: string;
  readonly due: Due;
  /** Who lives there, by name: each is weighed by itself. */
  readonly animals: readonly Pick<AnimalRecord, 'id' | 'name'>[];
}

/** One thing that is due: done in one tap; more, with a note or left out on purpose, behind the dots. */
export function DueRow({ design, due, animals }: Props) {
  const reader = useReader();
  const { tell } = reader;
  const write = useAct();
  const acts = useActs();
  const [more, setMore] = useState(false);
  const [note, setNote] = useState('');
  const [typed, setTyped] = useState<Typed>({});
  const [picture, setPicture] = useState<File | null>(null);
  const { rule, late, last, silent, untold } = due;
  const amount = tell(rule.amount);
  const things = measuredFor(rule.id, animals);
  const isRight = areNumbers(rule.id, typed, reader);
  const settle = async (outcome: 'done' | 'skipped'): Promise<void> => {
    const drafts = linesOfTick(rule.id, { things, typed, note, outcome }, reader);
    const said = outcome === 'done' ? `Done: ${rule.what}.` : `Left out this time: ${rule.what}.`;
    const lines = drafts.map((draft) => ({ design, draft }));
    await write(said, () => acts.record(lines, picture ? [picture] : []));
  };
  const isAsked = asksNumbers(rule.id);
  const numbersHere = <MeasuredFields rule={rule.id} {...{ things, typed }} onTyped={setTyped} />;
  return (
    <Box
      component="li"
      data-due={rule.id}
      sx={{ borderTop: 1, borderColor: 'earth.rule', px: 1.5, py: 0.75, '&:first-of-type': { borderTop: 0 } }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <Button
          variant="outlined"
          aria-label={`Done: ${rule.what}`}
          disabled={!isRight}
          onClick={() => void settle('done')}
          sx={{ minWidth: 48, width: 48, minHeight: 48, p: 0, flex: 'none' }}
        >
          <CheckIcon />
        </Button>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box sx={{ fontWeight: 600 }}>
            {rule.what}
            {late > 0 && (
              <Box component="span" sx={{ color: 'earth.clay', fontWeight: 600, ml: 1, typography: 'body2' }}>
                {late === 1 ? 'since yesterday' : `${late} days late`}
              </Box>
            )}
            {late === 0 && silent !== null && last !== null && (
              <Box component="span" sx={{ color: 'earth.clay', fontWeight: 600, ml: 1, typography: 'body2' }}>
                not for {silent} days
              </Box>
            )}
          </Box>
          <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
            {amount !== '' && `${capital(amount)}. `}
            {rule.why}{' '}
            {untold ? 'Not told yet.' : last === null ? 'Not written down yet.' : `Last: ${dayWords(last)}.`}
          </Box>
        </Box>
        <IconButton
          aria-label={`More: ${rule.what}`}
          aria-expanded={more}
          onClick={() => setMore(!more)}
          sx={{ width: 44, height: 44 }}
        >
          <MoreHorizIcon />
        </IconButton>
      </Box>
      {isAsked && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1, mt: 1, pl: { sm: 7.5 } }}>
          {numbersHere}
        </Box>
      )}
      {more && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1, pl: { sm: 7.5 } }}>
          <TextField
            label="Note"
            value={note}
            onChange={(event) => setNote(event.target.value)}
            sx={{ flex: 1, minWidth: 200 }}
          />
          {!isAsked && numbersHere}
          <FileButton
            words={picture ? 'One picture' : 'Add a picture'}
            label={`Picture of it: ${rule.what}`}
            accept="image/*"
            onFiles={([file]) => setPicture(file ?? null)}
          />
          <Button variant="contained" disabled={!isRight} onClick={() => void settle('done')}>
            Done
          </Button>
          <Button variant="outlined" onClick={() => void settle('skipped')}>
            Leave it out
          </Button>
          <PutOff
            label="Put it off"
            name={`Put off: ${rule.what}`}
            rules={new Map([[design, [rule.id]]])}
            isUrgent={rule.sitter}
          />
          {rule.caution && (
            <Box
              sx={{
                flex: '1 0 100%',
                typography: 'body2',
                borderLeft: 3,
                borderColor: 'earth.clay',
                pl: 1.25,
              }}
            >
              <strong>{CAUTIONS[rule.caution].title}.</strong> {CAUTIONS[rule.caution].text}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
