'use client';

import CheckCircleIcon from '@mui/icons-material/CheckCircle';
import LockOutlinedIcon from '@mui/icons-material/LockOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import type { EditCall } from '@/core/edits';
import { planOf, type BuildPlan, type PlannedStep } from '@/core/plan';
import { useToday } from '@/ui/useToday';
import { DateField } from '@/ui/fields/DateField';
import { dayWords } from '@/ui/days';
import { capital } from '@/core/units';
import { fileName } from '@/files';
import { useEditing, useOpenDesign, usePictures, useStore } from '@/store';
import { download } from '@/ui/download';
import { LineField } from '@/ui/fields/PlainFields';
import { PictureStrip } from '@/ui/PictureStrip';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { useLater } from '@/ui/useLater';

import { AtTheBench } from './AtTheBench';
import { StepFacts } from './StepFacts';
import { RebuildPanel } from './RebuildPanel';
import { Timeline } from './Timeline';
import { hoursWord } from './words';

/** The build step by step: what to do when, what is waited for, what holds the animal back. */
export function PlanTab() {
  const later = useLater();
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const reader = useReader();
  const today = useToday();
  const [picked, setPicked] = useState<string | null>(null);
  const [bench, setBench] = useState(false);
  const plan = useMemo(
    () => planOf(design, assessment, catalogue, today),
    [design, assessment, catalogue, today],
  );
  const chosen = plan.steps.find((it) => it.step.id === picked);
  const home = plan.steps.find((it) => it.step.id === 'move-in')?.done ?? null;
  const next = plan.steps.filter((it) => it.done === null && it.open);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Box sx={{ flex: 1, minWidth: 260 }}>
          <Typography variant="h2" component="p">
            {home
              ? `Moved in on ${dayWords(home)}`
              : `Moving in ${dayWords(plan.early)} to ${dayWords(plan.late)}`}
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {home
              ? `${hoursWord(plan.hands)} of work in all.`
              : `Eight plans in ten fall into this window: it is no promise. With every step at its likeliest, ${dayWords(plan.moveIn)}. ${hoursWord(plan.left)} of work left, of ${hoursWord(plan.hands)}; the rest is waiting.`}
          </Typography>
        </Box>
        <DateField
          label="Work begins"
          value={plan.start}
          onCommit={(start) => edit({ edit: 'setStart', change: { start } })}
          sx={{ width: 170 }}
        />
        <Button
          variant="outlined"
          onClick={() =>
            void later(
              () => import('@/files/calendar'),
              ({ planCalendar }) =>
                download(
                  fileName(`${design.name} plan`).replace(/\.rincon\.json$/, '.ics'),
                  planCalendar(plan, design, reader),
                  'text/calendar',
                ),
            )
          }
        >
          Save as iCalendar
        </Button>
        <Button variant="contained" onClick={() => setBench(true)}>
          At the bench
        </Button>
      </Box>
      <Gates plan={plan} onPick={setPicked} />
      <RebuildPanel plan={plan} today={today} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 380px' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        <Timeline
          plan={plan}
          today={today}
          selected={picked}
          onSelect={setPicked}
          onMove={(step, day) =>
            edit({ edit: 'markStep', change: { step, change: { notBefore: day <= today ? null : day } } })
          }
        />
        {chosen ? (
          <StepSheet key={chosen.step.id} it={chosen} today={today} />
        ) : (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {next.length > 0
              ? `Can be begun now: ${next.map((it) => it.step.title.replace(/^./, (c) => c.toLowerCase())).join('; ')}. Pick a step to see what it takes.`
              : 'All is done.'}
          </Typography>
        )}
      </Box>
      {bench && <AtTheBench plan={plan} today={today} onClose={() => setBench(false)} />}
    </Box>
  );
}

/** What must hold before an animal: open, or shut and why. */
function Gates({ plan, onPick }: { readonly plan: BuildPlan; readonly onPick: (step: string) => void }) {
  const shut = plan.gates.filter((it) => !it.open);
  return (
    <Box component="section" aria-label="Checks before move-in">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {plan.gates.map((it) => (
          <Button
            key={it.id}
            size="small"
            variant="outlined"
            data-gate={it.id}
            data-open={it.open}
            startIcon={
              it.open ? (
                <CheckCircleIcon sx={{ color: 'earth.moss' }} />
              ) : (
                <LockOutlinedIcon sx={{ color: 'earth.quiet' }} />
              )
            }
            aria-label={`${GATE_WORD[it.id]}: ${it.open ? 'open' : `shut, ${it.because}`}`}
            onClick={() => onPick(it.step)}
          >
            {GATE_WORD[it.id]}
          </Button>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 0.75, color: shut.length > 0 ? 'earth.ink' : 'earth.moss' }}>
        {shut.length > 0
          ? `The animal waits: ${shut.map((it) => it.because).join('; ')}.`
          : 'Every check is passed: the animal may move in.'}
      </Typography>
    </Box>
  );
}

const GATE_WORD: Record<BuildPlan['gates'][number]['id'], string> = {
  smell: 'No smell',
  band: 'Climate in band',
  crew: 'Crew alive',
  rooted: 'Plants rooted',
  water: 'Water tested',
  locks: 'Closed',
  quarantine: 'Quarantine over',
  tests: 'Tests clear',
};

/** One step: what it takes, what to watch for, and what really happened. */
function StepSheet({ it, today }: { readonly it: PlannedStep; readonly today: string }) {
  const { edit } = useEditing();
  const { step, done } = it;
  const { design } = useOpenDesign();
  const { tell } = useReader();
  const shots = usePictures(design.id, `step:${step.id}`);
  const undoable = useUndoable();
  type Mark = Extract<EditCall, { edit: 'markStep' }>['change']['change'];
  const mark = (change: Mark) => edit({ edit: 'markStep', change: { step: step.id, change } });
  return (
    <Box
      component="section"
      aria-label={step.title}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {step.title}
        </Typography>
        <DateField
          label="Done on"
          value={done}
          max={today}
          onCommit={(day) => mark({ done: day })}
          sx={{ width: 165 }}
        />
        {done === null ? (
          <Button variant="contained" onClick={() => mark({ done: today })}>
            Done today
          </Button>
        ) : (
          <Button onClick={() => mark({ done: null })}>Not done</Button>
        )}
      </Box>
      <StepFacts it={it} measures={false} />
      {step.measures.length > 0 && (
        <Box
          role="group"
          aria-label="What was read"
          sx={{
            display: 'grid',
            gap: 1,
            mt: 1.5,
            gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))',
          }}
        >
          {step.measures.map(({ what, wanted }) => {
            const value = it.read.find((own) => own.what === what)?.value ?? '';
            return (
              <LineField
                key={`${what} ${value}`}
                label={capital(what)}
                optional
                hint={`Target: ${tell(wanted)}`}
                value={value}
                onCommit={(next) =>
                  mark({
                    read: [...it.read.filter((own) => own.what !== what), { what, value: next.slice(0, 80) }],
                  })
                }
              />
            );
          })}
        </Box>
      )}
      <Box sx={{ mt: 1.25, maxWidth: 620 }}>
        <LineField
          key={it.note}
          label="Note"
          value={it.note}
          multiline
          optional
          onCommit={(note) => mark({ note })}
          sx={{ width: '100%' }}
        />
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <PictureStrip
          label={step.title}
          pictures={shots.pictures}
          onAdd={shots.add}
          onRemove={(id) =>
            void shots
              .remove(id)
              .then((row) => row && undoable('Picture taken away.', () => shots.putBack(row)))
          }
        />
      </Box>
      {it.notBefore !== null && done === null && (
        <Button size="small" sx={{ mt: 1 }} onClick={() => mark({ notBefore: null })}>
          Put to {dayWords(it.notBefore)} by hand: let it follow again
        </Button>
      )}
    </Box>
  );
}
