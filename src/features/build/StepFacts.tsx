'use client';

import Box from '@mui/material/Box';
import { CAUTIONS } from '@/catalogue';
import type { PlannedStep } from '@/core/plan';
import { capital, counted } from '@/core/units';
import { useReader } from '@/ui/units';

import { hoursWord } from './words';

/** Why, with what, how much, how long, what to watch for. */
export function StepFacts({
  it,
  large = false,
  measures = true,
}: {
  readonly it: PlannedStep;
  readonly large?: boolean;
  /** Left out where what was read stands beside what is right. */
  readonly measures?: boolean;
}) {
  const { tell: words } = useReader();
  const { step } = it;
  const list = { m: 0, pl: 2.5, '& li': { mt: 0.25 } } as const;
  return (
    <Box
      sx={{
        typography: large ? 'body1' : 'body2',
        fontSize: large ? '1.1rem' : undefined,
        display: 'grid',
        gap: 1,
        mt: 1,
      }}
    >
      <Box>{words(step.why)}</Box>
      <Box sx={{ color: 'earth.quiet' }}>
        {hoursWord(step.hands)} of work
        {step.wait && `, then ${waitWord(step.wait)} for ${step.waitFor ?? 'it'}`}
        {step.tools.length > 0 && `. ${step.tools.join(', ').replace(/^./, (c) => c.toUpperCase())}.`}
      </Box>
      {step.amounts.length > 0 && (
        <Box component="ul" sx={list} aria-label="What goes in">
          {step.amounts.map((said, index) => (
            <li key={index}>{capital(words(said))}</li>
          ))}
        </Box>
      )}
      {measures && step.measures.length > 0 && (
        <Box component="ul" sx={list} aria-label="To measure">
          {step.measures.map((measure) => (
            <li key={measure.what}>
              {measure.what.replace(/^./, (c) => c.toUpperCase())}: <strong>{words(measure.wanted)}</strong>
            </li>
          ))}
        </Box>
      )}
      {step.cautions.map((id) => (
        <Box key={id} sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.25 }}>
          <strong>{CAUTIONS[id].title}.</strong> {CAUTIONS[id].text}
        </Box>
      ))}
    </Box>
  );
}

const waitWord = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  Math.round(low) === Math.round(high)
    ? `${counted(Math.round(low), 'day')}`
    : `${Math.round(low)} to ${Math.round(high)} days`;
