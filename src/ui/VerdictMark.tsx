'use client';

import BlockIcon from '@mui/icons-material/Block';
import CheckIcon from '@mui/icons-material/Check';
import ErrorOutlineIcon from '@mui/icons-material/ErrorOutlined';
import HelpOutlineIcon from '@mui/icons-material/HelpOutlined';
import HourglassEmptyIcon from '@mui/icons-material/HourglassEmpty';
import VisibilityOutlinedIcon from '@mui/icons-material/VisibilityOutlined';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { ANSWER_WORDS, lineOf, sureWords, wordOf, type VerdictState } from '@/core/verdict';
import { useReader } from './units';

type Word = keyof typeof ANSWER_WORDS;

const MARK: Readonly<Record<Word, { readonly Icon: typeof CheckIcon; readonly ink: string }>> = {
  calculating: { Icon: HourglassEmptyIcon, ink: 'earth.quiet' },
  unasked: { Icon: HelpOutlineIcon, ink: 'earth.quiet' },
  undescribed: { Icon: HelpOutlineIcon, ink: 'earth.quiet' },
  holds: { Icon: CheckIcon, ink: 'earth.moss' },
  'holds-but': { Icon: VisibilityOutlinedIcon, ink: 'earth.amber' },
  fails: { Icon: ErrorOutlineIcon, ink: 'earth.clay' },
  cannot: { Icon: BlockIcon, ink: 'earth.clay' },
  failed: { Icon: ErrorOutlineIcon, ink: 'earth.clay' },
};

export const verdictInk = (state: VerdictState): string => MARK[wordOf(state)].ink;

interface Props {
  readonly state: VerdictState;
  /** How sure it is goes with it. */
  readonly full?: boolean;
  readonly component?: 'h2' | 'div';
}

/** Whether a design holds: the same answer, in the same words, wherever it is told. */
export function VerdictMark({ state, full = false, component = 'div' }: Props) {
  const { tell } = useReader();
  const word = wordOf(state);
  const { Icon, ink } = MARK[word];
  return (
    <Box data-answer={word} sx={{ borderLeft: 3, borderColor: ink, pl: 1.25 }}>
      <Typography
        component={component}
        variant="h3"
        sx={{
          display: 'flex',
          gap: 0.6,
          alignItems: 'center',
          color: word === 'calculating' ? 'earth.quiet' : undefined,
        }}
      >
        <Icon aria-hidden sx={{ fontSize: 17, color: ink }} />
        {ANSWER_WORDS[word]}
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {tell(lineOf(state))}
        {full &&
          state.at === 'known' &&
          state.verdict.answer !== 'holds' &&
          state.verdict.sure.of > 0 &&
          ` ${tell(sureWords(state.verdict))}`}
      </Typography>
    </Box>
  );
}
