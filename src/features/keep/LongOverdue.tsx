import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { counted } from '@/core/units';
import { settledUpTo, useActs } from '@/store';
import { useAct } from '@/ui/useAct';
import { useReader } from '@/ui/units';
import type { BoxDue } from '@/ui/due';

/** Days after which what was left tells more of a time away than of a task. */
const LONG = 7;

interface Props {
  readonly boxes: readonly BoxDue[];
  readonly today: string;
}

/** What has been left for over a week, in one line, with a way to begin afresh. */
export function LongOverdue({ boxes, today }: Props) {
  const { num } = useReader();
  const write = useAct();
  const acts = useActs();
  const own = boxes.filter((it) => it.due.some(({ late }) => late > LONG));
  const things = own.reduce((sum, it) => sum + it.due.filter(({ late }) => late > LONG).length, 0);
  if (things === 0) return null;
  const where = counted(own.length, 'enclosure');
  return (
    <Box
      component="section"
      aria-label="Long overdue"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1.25,
        borderLeft: 3,
        borderColor: 'earth.amber',
        pl: 1.5,
      }}
    >
      <Box sx={{ flex: '1 1 300px' }}>
        <Box sx={{ fontWeight: 600 }}>
          {counted(things, 'thing', 'things', (it) => num(it, 0))} over a week late, in {where}
        </Box>
        <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
          Do them now, or settle them: what comes round counts from today, and the log says nothing of what
          was not done. Lamps and all that wears keep their age.
        </Box>
      </Box>
      <Button
        variant="outlined"
        onClick={() =>
          void write(`Settled up to today in ${where}.`, () =>
            acts.changeAll(
              own.map((it) => it.design.id),
              settledUpTo(today),
            ),
          )
        }
        sx={{ minHeight: 44 }}
      >
        Settle all up to today
      </Button>
    </Box>
  );
}
