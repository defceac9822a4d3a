'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { EditCall } from '@/core/edits';
import type { PlannedStep } from '@/core/plan';
import { capital } from '@/core/units';
import { useEditing, useOpenDesign, usePictures } from '@/store';
import { dayWords } from '@/ui/days';
import { DateField } from '@/ui/fields/DateField';
import { LineField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { PictureStrip } from '@/ui/PictureStrip';
import { useReader } from '@/ui/units';
import { StepFacts } from './StepFacts';

type Mark = Extract<EditCall, { edit: 'markStep' }>['change']['change'];

interface Props {
  readonly it: PlannedStep;
  readonly today: string;
  /** Moving in is an act of its own; null: here it is a step like the others. */
  readonly onMoveIn: (() => void) | null;
}

/** One step: what it takes, what to watch for, and what really happened. */
export function StepSheet({ it, today, onMoveIn }: Props) {
  const { edit } = useEditing();
  const { step } = it;
  const { design } = useOpenDesign();
  const shots = usePictures(design.id, `step:${step.id}`);
  const { tell } = useReader();
  const mark = (change: Mark) => edit({ edit: 'markStep', change: { step: step.id, change } });
  const isMoveIn = step.id === 'move-in' && onMoveIn !== null;
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
      <Typography variant="h2">{step.title}</Typography>
      {isMoveIn ? (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1 }}>
          {it.done === null ? (
            <Button variant="contained" onClick={onMoveIn}>
              Move in…
            </Button>
          ) : (
            <>
              <Box sx={{ flex: 1 }}>Moved in on {dayWords(it.done)}.</Box>
              <Button onClick={() => mark({ done: null })}>Not moved in</Button>
            </>
          )}
        </Box>
      ) : (
        <HowFar it={it} today={today} onMark={mark} />
      )}
      <StepFacts it={it} measures={false} />
      {/* Under what is pressed: typed and pressed at once, the button must not move away. */}
      {it.outside.length > 0 && (
        <Box role="alert" sx={{ mt: 1.5, color: 'earth.clay', fontWeight: 600 }}>
          {it.outside.map((said) => `${capital(tell(said))}. `)}
          Mend it and read it again: until then it is not done.
        </Box>
      )}
      {step.measures.length > 0 && <Measured it={it} onMark={mark} />}
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
          onRemove={shots.remove}
        />
      </Box>
      {it.notBefore !== null && it.state === 'not begun' && (
        <Button size="small" sx={{ mt: 1 }} onClick={() => mark({ notBefore: null })}>
          Put to {dayWords(it.notBefore)} by hand: let it follow again
        </Button>
      )}
    </Box>
  );
}

interface Part {
  readonly it: PlannedStep;
  readonly onMark: (change: Mark) => unknown;
}

/** How far it is, and the next thing that can be said of it. */
function HowFar({ it, today, onMark }: Part & { readonly today: string }) {
  const { step, state } = it;
  const [leaving, setLeaving] = useState(false);
  const waits = step.wait !== null;
  const next = waits && state !== 'waiting' ? { worked: today } : { done: today };
  const words = !waits ? 'Done today' : state === 'waiting' ? 'The wait is over' : 'The wait begins today';
  const isOpen = state !== 'done' && state !== 'left out';
  return (
    <>
      {state !== 'not begun' && (
        <Typography variant="body2" sx={{ mt: 0.5, fontWeight: 600 }} data-state={state}>
          {stateWords(it)}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}>
        {isOpen && (
          <Button variant="contained" onClick={() => onMark(next)}>
            {words}
          </Button>
        )}
        {state === 'not begun' && <Button onClick={() => onMark({ begun: today })}>Begun today</Button>}
        {isOpen && !leaving && <Button onClick={() => setLeaving(true)}>Leave it out</Button>}
        {state === 'left out' && <Button onClick={() => onMark({ skipped: null })}>Take it in again</Button>}
        {state === 'done' && <Button onClick={() => onMark({ done: null, worked: null })}>Not done</Button>}
        {state === 'waiting' && <Button onClick={() => onMark({ worked: null })}>Not done yet</Button>}
      </Box>
      {leaving && isOpen && (
        <LineField
          label="Why it is left out"
          value=""
          onCommit={(skipped) => {
            onMark({ skipped });
            setLeaving(false);
          }}
          sx={{ width: '100%', mt: 1 }}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 1.5, mt: 1.75 }}>
        {waits && (
          <DateField
            label="Wait begun on"
            value={it.worked}
            max={today}
            onCommit={(worked) => onMark({ worked })}
            sx={{ width: 160 }}
          />
        )}
        <DateField
          label={waits ? 'Wait over on' : 'Done on'}
          value={it.done}
          max={today}
          onCommit={(done) => onMark({ done })}
          sx={{ width: 160 }}
        />
      </Box>
    </>
  );
}

/** “Waiting since 3 November for every coat to cure, likely until 1 December.” */
function stateWords({ state, begun, worked, done, skipped, until, step }: PlannedStep): string {
  switch (state) {
    case 'waiting':
      return `Waiting since ${dayWords(worked ?? '')} for ${step.waitFor ?? 'it'}, likely until ${dayWords(until ?? '')}.`;
    case 'under way':
      return begun === null ? 'To be read again.' : `Begun on ${dayWords(begun)}.`;
    case 'done':
      return `Done on ${dayWords(done ?? '')}.`;
    case 'left out':
      return skipped ? `Left out: ${skipped}` : 'Left out.';
    case 'not begun':
      return '';
  }
}

/** What was read at its points of measuring: numbers are judged, words are taken as they are. */
function Measured({ it, onMark }: Part) {
  const { tell } = useReader();
  const put = (what: string, read: { readonly value?: string; readonly number?: number | null }) =>
    onMark({
      read: [
        ...it.read.filter((own) => own.what !== what),
        { what, value: (read.value ?? '').slice(0, 80), number: read.number ?? null },
      ],
    });
  return (
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
      {it.step.measures.map(({ what, wanted, band }) => {
        const own = it.read.find((read) => read.what === what);
        const target = `Target: ${tell(wanted)}`;
        return band ? (
          <QuantityField
            key={what}
            label={capital(what)}
            measure={band.unit}
            value={own?.number ?? null}
            min={band.unit === 'temperature' ? -60 : 0}
            {...(band.unit === 'percent' ? { max: 1 } : {})}
            helper={own?.value ? `${target}. Written down: ${own.value}` : target}
            onCommit={(number) => put(what, { number })}
            onClear={() => put(what, {})}
          />
        ) : (
          <LineField
            key={`${what} ${own?.value ?? ''}`}
            label={capital(what)}
            optional
            hint={target}
            value={own?.value ?? ''}
            onCommit={(value) => put(what, { value })}
          />
        );
      })}
    </Box>
  );
}
