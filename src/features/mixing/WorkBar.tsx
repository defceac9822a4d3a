import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useReader, type Reader } from '@/ui/units';
import type { Work } from './useMix';

interface Props {
  readonly work: Work;
  readonly disabled: boolean;
  readonly onStart: () => void;
  readonly onStop: () => void;
}

/** Begins and stops the work, and says how far it is. */
export function WorkBar({ work, disabled, onStart, onStop }: Props) {
  const reader = useReader();
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1.25, minHeight: 40 }}>
      {work.at === 'work' ? (
        <>
          <Button variant="outlined" onClick={onStop}>
            Stop
          </Button>
          <Box sx={{ flex: 1 }}>
            <LinearProgress
              aria-label="Working it out"
              variant={work.progress.step === 0 ? 'indeterminate' : 'determinate'}
              value={(100 * (work.progress.step - work.progress.gap)) / work.progress.of}
            />
            <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
              {work.progress.step === 0
                ? 'Opening the solver'
                : `Step ${work.progress.step} of ${work.progress.of}: ${gapWords(work.progress.gap, reader)}`}
            </Typography>
          </Box>
        </>
      ) : (
        <Button variant="contained" disabled={disabled} onClick={onStart}>
          Work it out
        </Button>
      )}
      <Box role="status" sx={{ color: 'earth.quiet', typography: 'body2' }}>
        {work.at === 'stopped' && 'Stopped. Nothing was changed.'}
        {work.at === 'failed' &&
          `It could not be worked out: ${work.message}. Nothing was changed; try again, or with fewer ingredients.`}
        {work.at === 'done' &&
          `Worked out in ${work.seconds < 0.1 ? 'under 0.1' : reader.num(work.seconds, 1)} s; the same question has the same answer.`}
      </Box>
    </Box>
  );
}

const gapWords = (gap: number, { num }: Reader): string =>
  gap >= 0.995
    ? 'seeking a first mix'
    : gap < 0.0005
      ? 'done'
      : `the best so far is within ${num(Math.ceil(gap * 1000) / 10)} % of the best there can be`;
