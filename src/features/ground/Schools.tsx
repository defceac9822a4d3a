'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo, useCallback, type ReactNode } from 'react';
import type { Schools as Followed } from '@/core/document';
import type { Preparation } from '@/core/ground';
import { useEditing, useOpenDesign } from '@/store';
import { Choice } from '@/ui/Choice';
import { useReader } from '@/ui/units';

const QUESTIONS = {
  peat: {
    label: 'Peat',
    options: [
      { value: 'keep', name: 'Peat stays in', why: 'It works: sour, even, long-lasting.' },
      { value: 'coir', name: 'Coir instead', why: 'Bogs do not grow back in our time.' },
    ],
  },
  renewal: {
    label: 'When it has broken down',
    options: [
      { value: 'top-up', name: 'Top it up', why: 'Crew and roots stay where they are.' },
      { value: 'replace', name: 'Replace it', why: 'What has gathered in it goes out too.' },
    ],
  },
  collected: {
    label: 'What is collected',
    options: [
      { value: 'bake', name: 'Bake it', why: 'Kills pests, keeps the leaves firm.' },
      { value: 'boil', name: 'Boil it', why: 'Surest; leaves soften and rot sooner.' },
      { value: 'alive', name: 'Leave it alive', why: 'Brings its own crew, and whatever else.' },
    ],
  },
  microbes: {
    label: 'Bacteria',
    options: [
      { value: 'arrive', name: 'Let them arrive', why: 'They always do; it takes weeks.' },
      { value: 'bring', name: 'Bring them in', why: 'A squeeze of filter sponge starts them.' },
    ],
  },
} as const satisfies Record<
  keyof Followed,
  { label: string; options: readonly { value: string; name: string; why: string }[] }
>;

/** What a choice comes to for this design. */
const OUTCOME: Partial<Record<keyof Followed, Preparation['code']>> = {
  renewal: 'renewal',
  collected: 'sterilise',
  microbes: 'microbes',
};

/** Where practitioners differ about the ground: each school with its reason, and what follows here. */
export function Schools() {
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const outcome = (code: Preparation['code'] | undefined): string | undefined => {
    const found = assessment.preparations.find((it) => it.code === code);
    return found && reader.tell(found.text);
  };
  const { schools } = design.ground;
  return (
    <Box component="section" aria-labelledby="schools" sx={{ mt: 2 }}>
      <Typography variant="h2" id="schools" sx={{ mb: 1 }}>
        Where keepers differ
      </Typography>
      {(Object.keys(QUESTIONS) as (keyof Followed)[]).map((key) => (
        <Question key={key} school={key} value={schools[key]} outcome={outcome(OUTCOME[key])} />
      ))}
    </Box>
  );
}

interface QuestionProps {
  readonly school: keyof Followed;
  readonly value: string;
  readonly outcome: ReactNode;
}

const Question = memo(function Question({ school, value, outcome }: QuestionProps) {
  const { edit } = useEditing();
  const { label, options } = QUESTIONS[school];
  const choose = useCallback(
    (next: string) => edit({ edit: 'setSchools', change: { [school]: next } }),
    [edit, school],
  );
  return (
    <Box sx={{ mb: 1.5 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        {label}
      </Typography>
      <Choice<string> label={label} options={options} value={value} onChange={choose} />
      {outcome && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
          {outcome}
        </Typography>
      )}
    </Box>
  );
});
