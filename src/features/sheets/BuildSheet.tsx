'use client';

import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { CAUTIONS } from '@/catalogue';
import { findAnimal } from '@/core/catalogue';
import { planOf, toolsOf } from '@/core/plan';
import { capital, length, mass } from '@/core/units';
import { ANSWER_WORDS, lineOf, wordOf } from '@/core/verdict';
import { useOpenDesign, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { useReader } from '@/ui/units';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import { dayWords } from '@/ui/days';
import { animalsWord } from '@/ui/words';
import { Cuts, Layers, Mixes, Steps, ToBuy, Views } from './BuildSheetParts';
import { Paper } from './Paper';

/** All that is needed beside the box: drawing, amounts, what to buy and cut, and every step with its measures. */
export function BuildSheet() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { verdict } = useOpenVerdict();
  const { write } = reader;
  const today = useToday();
  const plan = useMemo(
    () => planOf(design, assessment, catalogue, today),
    [design, assessment, catalogue, today],
  );
  const animal = findAnimal(catalogue, design.brief.animal);
  const { width, depth, height, material } = design.enclosure;
  const cautions = [...new Set(plan.steps.flatMap((it) => it.step.cautions))];
  const tools = toolsOf(plan.steps.map((it) => it.step));
  return (
    <Paper
      kicker={design.plan.standing ? 'Build sheet, rebuild' : 'Build sheet'}
      title={design.name}
      code={null}
      lines={[
        animal
          ? `For ${animalsWord(design.brief.count, animal.english)} (${animal.scientific})`
          : 'For no animal yet',
        `${write(length(width))} wide, ${write(length(depth))} deep, ${write(length(height))} high inside; ${material}; ${write(mass(assessment.standingMass))} as it will stand`,
        `${ANSWER_WORDS[wordOf(verdict)]}: ${reader.tell(lineOf(verdict))}`,
        `Written ${dayWords(today)}. Moving in ${dayWords(plan.early)} to ${dayWords(plan.late)}, if all goes as usual.`,
      ]}
    >
      <Views />
      <Layers />
      <Mixes />
      <ToBuy />
      <Cuts />
      <h3>Tools</h3>
      <div>{capital(tools.map((it) => it.tool).join(', '))}.</div>

      <Steps plan={plan} />

      <h3>The animal waits until</h3>
      <ul>
        {plan.gates.map((it) => (
          <li key={it.id}>
            {plan.steps.find((own) => own.step.id === it.step)?.step.title}
            {it.open ? ': done' : ''}
          </li>
        ))}
      </ul>

      <h3>Take care</h3>
      {cautions.map((it) => (
        <Box key={it} sx={{ mb: 0.5, breakInside: 'avoid' }}>
          <strong>{CAUTIONS[it].title}.</strong> {CAUTIONS[it].text}
        </Box>
      ))}
    </Paper>
  );
}
