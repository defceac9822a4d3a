'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { rulesDone, type HeldRule, type SitterDay } from '@/core/care';
import type { Design } from '@/core/document';
import type { Entry } from '@/core/log';
import type { CultureRecord } from '@/core/records';
import { counted } from '@/core/units';
import { useActs } from '@/store';
import { dayWords, momentOn } from '@/ui/days';
import { kindOfRule } from '@/ui/entryWords';
import { useAct } from '@/ui/useAct';

export interface AwayBox {
  readonly design: Design;
  readonly days: readonly SitterDay[];
  /** Its part of the log. */
  readonly log: readonly Entry[];
}

/** A culture that was on the sheet to be fed on a day. */
export interface AwayTub {
  readonly culture: CultureRecord;
  readonly day: string;
}

interface Props {
  readonly tubs: readonly AwayTub[];
  readonly boxes: readonly AwayBox[];
  readonly who: string;
  readonly today: string;
  readonly onSettled: () => void;
}

/** Something that was on the sheet: care of an enclosure, or a culture that was to be fed. */
type Task = { readonly key: string; readonly day: string; readonly words: string } & (
  { readonly design: Design; readonly rule: HeldRule } | { readonly culture: CultureRecord }
);

/** Back again: which of the things on the sheet were done. What is ticked is written in the log of its day. */
export function Settle({ boxes, tubs, who, today, onSettled }: Props) {
  const acts = useActs();
  const act = useAct();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const tasks = useMemo(
    () => inOrder([...openTasks(boxes, today), ...openTubs(tubs, today)]),
    [boxes, tubs, today],
  );
  const days = [...new Set(tasks.map((it) => it.day))];
  const done = tasks.filter((it) => ticked.has(it.key));
  const set = (keys: readonly string[], isDone: boolean): void => {
    const next = new Set(ticked);
    for (const key of keys)
      if (isDone) next.add(key);
      else next.delete(key);
    setTicked(next);
  };
  const write = async (): Promise<void> => {
    const lines = done.flatMap((it) =>
      'rule' in it
        ? {
            design: it.design.id,
            draft: { kind: kindOfRule(it.rule.id), values: {}, text: who && `By ${who}.`, rule: it.rule.id },
            at: momentOn(it.day),
          }
        : [],
    );
    const fed = done.flatMap((it) => ('culture' in it ? { culture: it.culture.id, on: it.day } : []));
    const said = `${counted(done.length, 'line')} written. What was not done is due on Today.`;
    if (await act(said, () => acts.record(lines, [], fed))) onSettled();
  };
  return (
    <Box
      component="section"
      aria-labelledby="settle"
      className="no-print"
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
        mb: 2,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Typography variant="h2" id="settle" sx={{ flex: 1, minWidth: 200 }}>
          {tasks.length === 0 ? 'Nothing is left to settle' : 'Back again? Tick what was done'}
        </Typography>
        {tasks.length > 0 && (
          <Button
            onClick={() =>
              set(
                tasks.map((it) => it.key),
                done.length < tasks.length,
              )
            }
          >
            {done.length < tasks.length ? 'All of it was done' : 'None of it'}
          </Button>
        )}
        {tasks.length === 0 ? (
          <Button onClick={onSettled}>Put the absence away</Button>
        ) : (
          <Button variant="contained" disabled={done.length === 0} onClick={() => void write()}>
            Write it down
          </Button>
        )}
      </Box>
      {days.map((day) => {
        const own = tasks.filter((it) => it.day === day);
        return (
          <Box key={day} role="group" aria-label={dayWords(day)} sx={{ mt: 1 }}>
            <FormControlLabel
              label={<strong>{dayWords(day)}</strong>}
              control={
                <Checkbox
                  checked={own.every((it) => ticked.has(it.key))}
                  indeterminate={
                    own.some((it) => ticked.has(it.key)) && !own.every((it) => ticked.has(it.key))
                  }
                  onChange={(_, isDone) =>
                    set(
                      own.map((it) => it.key),
                      isDone,
                    )
                  }
                />
              }
            />
            <Box sx={{ pl: 3.5, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
              {own.map(({ key, words }) => (
                <FormControlLabel
                  key={key}
                  label={words}
                  control={
                    <Checkbox
                      size="small"
                      checked={ticked.has(key)}
                      onChange={(_, isDone) => set([key], isDone)}
                    />
                  }
                />
              ))}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** What was on the sheet up to today and is not in the log of its day. */
function openTasks(boxes: readonly AwayBox[], today: string): readonly Task[] {
  return boxes.flatMap(({ design, days, log }) => {
    const written = rulesDone(log, localDay);
    return days.flatMap(({ day, rules }) =>
      day > today
        ? []
        : rules.flatMap((rule): Task[] =>
            written.get(rule.id)?.has(day)
              ? []
              : [
                  {
                    key: `${day} ${design.id} ${rule.id}`,
                    words: `${design.name}: ${rule.what}`,
                    day,
                    design,
                    rule,
                  },
                ],
          ),
    );
  });
}

/** Cultures that were to be fed up to today. */
const openTubs = (tubs: readonly AwayTub[], today: string): readonly Task[] =>
  tubs.flatMap(({ culture, day }): Task[] =>
    day > today
      ? []
      : [{ key: `${day} ${culture.id}`, words: `Cultures: feed ${culture.name}`, day, culture }],
  );

const inOrder = (tasks: readonly Task[]): readonly Task[] =>
  [...tasks].sort((a, b) => a.day.localeCompare(b.day));
