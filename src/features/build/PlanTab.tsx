'use client';

import CheckCircleIcon from '@mui/icons-material/CheckCircle';
import LockOutlinedIcon from '@mui/icons-material/LockOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { planOf, type BuildPlan } from '@/core/plan';
import { useToday } from '@/ui/useToday';
import { DateField } from '@/ui/fields/DateField';
import { dayWords } from '@/ui/days';
import { fileName } from '@/files';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { download } from '@/ui/download';
import { useReader } from '@/ui/units';
import { useLater } from '@/ui/useLater';

import { AtTheBench } from './AtTheBench';
import { MoveInDialog } from './MoveInDialog';
import { PaceFields } from './PaceFields';
import { RebuildPanel } from './RebuildPanel';
import { StepSheet } from './StepSheet';
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
  const [moving, setMoving] = useState(false);
  const plan = useMemo(
    () => planOf(design, assessment, catalogue, today),
    [design, assessment, catalogue, today],
  );
  const chosen = plan.steps.find((it) => it.step.id === picked);
  const home = plan.steps.find((it) => it.step.id === 'move-in')?.done ?? null;
  const next = plan.steps.filter((it) => it.state === 'not begun' && it.open);
  const waiting = plan.steps.filter((it) => it.state === 'waiting');
  // Out of a box that is rebuilt nobody moves for good: going back is a step like the others.
  const onMoveIn = design.plan.standing ? null : () => setMoving(true);
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
              : `Eight plans in ten fall into this window: it is no promise. Half of all would be through by ${dayWords(plan.moveIn)}. ${hoursWord(plan.left)} of work left, of ${hoursWord(plan.hands)}; the rest is waiting.`}
          </Typography>
          {plan.restsThen && (
            <Typography variant="body2">
              {`That falls into its winter rest, ${dayWords(plan.restsThen.from)} to ${dayWords(plan.restsThen.until)}. One that rests is not moved: let it rest where it is, and move it in awake.`}
            </Typography>
          )}
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
      <PaceFields />
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
          <StepSheet key={chosen.step.id} it={chosen} today={today} onMoveIn={onMoveIn} />
        ) : (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {next.length > 0
              ? `Can be begun now: ${next.map((it) => small(it.step.title)).join('; ')}. Pick a step to see what it takes.`
              : waiting.length > 0
                ? `Nothing to do but wait: ${waiting.map((it) => `for ${it.step.waitFor ?? small(it.step.title)}, likely until ${dayWords(it.to)}`).join('; ')}.`
                : plan.steps.some((it) => it.state === 'under way')
                  ? `Under way: ${plan.steps.flatMap((it) => (it.state === 'under way' ? [small(it.step.title)] : [])).join('; ')}.`
                  : 'All is done.'}
          </Typography>
        )}
      </Box>
      {bench && <AtTheBench plan={plan} today={today} onClose={() => setBench(false)} onMoveIn={onMoveIn} />}
      {moving && <MoveInDialog plan={plan} today={today} onClose={() => setMoving(false)} />}
    </Box>
  );
}

const small = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** What must hold before an animal: open, or shut and why. */
function Gates({ plan, onPick }: { readonly plan: BuildPlan; readonly onPick: (step: string) => void }) {
  const { tell } = useReader();
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
            aria-label={`${GATE_WORD[it.id]}: ${it.open ? 'open' : `shut, ${tell(it.because)}`}`}
            onClick={() => onPick(it.step)}
          >
            {GATE_WORD[it.id]}
          </Button>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 0.75, color: shut.length > 0 ? 'earth.ink' : 'earth.moss' }}>
        {shut.length > 0
          ? `The animal waits: ${shut.map((it) => tell(it.because)).join('; ')}.`
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
