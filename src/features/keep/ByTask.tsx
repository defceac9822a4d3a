'use client';

import CheckIcon from '@mui/icons-material/Check';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import { useState } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { Entry } from '@/core/log';
import type { AnimalRecord } from '@/core/records';
import { localDay } from '@/core/time';
import { capital, counted } from '@/core/units';
import { useActs } from '@/store';
import { dayWords } from '@/ui/days';
import { readingWords } from '@/ui/readingWords';
import { useReader, type Reader } from '@/ui/units';
import { useAct } from '@/ui/useAct';
import { CardList } from './CardList';
import { checkNumber, numbersOf } from './entryFields';
import { MeasuredFields } from './MeasuredFields';
import { areNumbers, asksNumbers, linesOfTick, measuredFor, type Typed } from './measured';
import { PutOff } from './PutOff';
import { taskTitle, type Task, type TaskIn } from './tasks';

interface Props {
  readonly tasks: readonly Task[];
  readonly animals: ReadonlyMap<string, readonly AnimalRecord[]>;
  readonly log: readonly Entry[];
}

/** The round by the work there is: once for all enclosures, those that were not done unticked. */
export function ByTask({ tasks, animals, log }: Props) {
  return (
    <CardList>
      {tasks.map((it) => (
        <TaskRow key={it.key} task={it} animals={animals} log={log} />
      ))}
    </CardList>
  );
}

const NOBODY: readonly AnimalRecord[] = [];
/** Enclosures whose numbers are shown at once. */
const AT_ONCE = 12;
/** Share of its weight by which an animal is lighter than it was that should worry (common practice: a tenth). */
const WORRYING = 0.1;

function TaskRow({ task, animals, log }: { readonly task: Task } & Omit<Props, 'tasks'>) {
  const { rule, boxes, late } = task;
  const reader = useReader();
  const write = useAct();
  const acts = useActs();
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [typed, setTyped] = useState<Readonly<Record<string, Typed>>>({});
  const isAsked = asksNumbers(rule.id);
  // What asks for numbers shows where they go; of many enclosures only when it is asked to.
  const [more, setMore] = useState(isAsked && boxes.length <= AT_ONCE);
  const title = taskTitle(task);
  const thingsOf = ({ design }: TaskIn) =>
    measuredFor(rule.id, animals.get(design.id) ?? NOBODY).map((it) =>
      it.label === '' ? { ...it, label: design.name } : it,
    );
  const hasNumber = (id: string): boolean =>
    Object.values(typed[id] ?? {}).some((own) => Object.values(own).some((it) => it.trim() !== ''));
  const isRight = Object.values(typed).every((it) => areNumbers(rule.id, it, reader));
  const picked = boxes.filter(({ design }) => !off.has(design.id));
  // What asks for a number is not done without one.
  const doing = isAsked ? picked.filter(({ design }) => hasNumber(design.id)) : picked;
  const settle = async (outcome: 'done' | 'skipped'): Promise<void> => {
    const these = outcome === 'done' ? doing : picked;
    const lines = these.flatMap(({ design, due }) =>
      linesOfTick(
        due.rule.id,
        {
          things: measuredFor(due.rule.id, animals.get(design.id) ?? NOBODY),
          typed: typed[design.id] ?? {},
          note: '',
          outcome,
        },
        reader,
      ).map((draft) => ({ design: design.id, draft })),
    );
    const where = counted(these.length, 'enclosure');
    const said = outcome === 'done' ? `Done in ${where}: ${title}.` : `Left out in ${where}: ${title}.`;
    if (await write(said, () => acts.record(lines))) setTyped({});
  };
  const where = boxes.length === 1 ? (boxes[0]?.design.name ?? '') : counted(boxes.length, 'enclosure');
  return (
    <Box
      component="li"
      data-task={rule.id}
      sx={{ borderTop: 1, borderColor: 'earth.rule', px: 1.5, py: 0.75, '&:first-of-type': { borderTop: 0 } }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <Button
          variant="outlined"
          aria-label={`Done: ${title}, ${counted(doing.length, 'enclosure')}`}
          disabled={!isRight || doing.length === 0}
          onClick={() => void settle('done')}
          sx={{ minWidth: 48, width: 48, minHeight: 48, p: 0, flex: 'none' }}
        >
          <CheckIcon />
        </Button>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box sx={{ fontWeight: 600 }}>
            {title}
            <Box component="span" sx={{ color: 'earth.quiet', fontWeight: 400, ml: 1 }}>
              {where}
            </Box>
            {late > 0 && (
              <Box component="span" sx={{ color: 'earth.clay', ml: 1, typography: 'body2' }}>
                {late === 1
                  ? 'since yesterday'
                  : boxes.length === 1
                    ? `${late} days late`
                    : `up to ${late} days late`}
              </Box>
            )}
          </Box>
          <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>{rule.why}</Box>
        </Box>
        <IconButton
          aria-label={`Enclosures of it: ${title}`}
          aria-expanded={more}
          onClick={() => setMore(!more)}
          sx={{ width: 44, height: 44 }}
        >
          <ExpandMoreIcon sx={{ transform: more ? 'rotate(180deg)' : 'none' }} />
        </IconButton>
      </Box>
      {more && (
        <Box
          role="group"
          aria-label={`Enclosures of it: ${title}`}
          sx={{ display: 'grid', gap: 0.75, mt: 1, pl: { sm: 7.5 } }}
        >
          {boxes.map((it) =>
            isAsked ? (
              <Box
                key={it.design.id}
                role="group"
                aria-label={it.design.name}
                sx={{ display: 'grid', gap: 0.75 }}
              >
                {boxes.length > 1 && thingsOf(it).some(({ label }) => label !== it.design.name) && (
                  <Box sx={{ typography: 'body2', fontWeight: 600, mt: 0.5 }}>{it.design.name}</Box>
                )}
                <MeasuredFields
                  rule={rule.id}
                  things={thingsOf(it)}
                  typed={typed[it.design.id] ?? {}}
                  onTyped={(own) => setTyped({ ...typed, [it.design.id]: own })}
                  said={(animal, numbers) =>
                    rule.id === 'weigh' ? lastWeight(log, animal, it.design.id, numbers, reader) : null
                  }
                />
              </Box>
            ) : (
              <BoxTick
                key={it.design.id}
                of={it}
                on={!off.has(it.design.id)}
                onSet={(on) => {
                  const next = new Set(off);
                  if (on) next.delete(it.design.id);
                  else next.add(it.design.id);
                  setOff(next);
                }}
              />
            ),
          )}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
            <Button variant="outlined" disabled={picked.length === 0} onClick={() => void settle('skipped')}>
              Leave it out
            </Button>
            {picked.length > 0 && (
              <PutOff
                label="Put it off"
                name={`Put off: ${title}`}
                rules={new Map(picked.map(({ design, due }) => [design.id, [due.rule.id]]))}
                isUrgent={rule.sitter}
              />
            )}
            {rule.caution && (
              <Box
                sx={{
                  flex: '1 1 260px',
                  typography: 'body2',
                  borderLeft: 3,
                  borderColor: 'earth.clay',
                  pl: 1.25,
                }}
              >
                <strong>{CAUTIONS[rule.caution].title}.</strong> {CAUTIONS[rule.caution].text}
              </Box>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}

interface BoxTickProps {
  readonly of: TaskIn;
  readonly on: boolean;
  readonly onSet: (on: boolean) => void;
}

function BoxTick({ of: { design, due }, on, onSet }: BoxTickProps) {
  const { tell } = useReader();
  const amount = tell(due.rule.amount);
  return (
    <FormControlLabel
      control={<Checkbox size="small" checked={on} onChange={(_, next) => onSet(next)} />}
      label={
        <>
          <strong>{design.name}</strong>
          {amount !== '' && `: ${amount}`}
          <Box component="span" sx={{ color: 'earth.quiet' }}>
            {' '}
            {due.untold
              ? 'Not told yet.'
              : due.last === null
                ? 'Not written down yet.'
                : `Last: ${dayWords(due.last)}.`}
          </Box>
        </>
      }
      slotProps={{ typography: { variant: 'body2' } }}
      sx={{ mr: 0, minHeight: 32 }}
    />
  );
}

/** What an animal weighed last, and how what is typed differs from it. */
function lastWeight(
  log: readonly Entry[],
  animal: string,
  design: string,
  numbers: Typed[string],
  reader: Reader,
): { readonly text: string; readonly grave: boolean } | null {
  const last = log.findLast(
    (it) =>
      it.kind === 'weight' &&
      !it.gone &&
      it.values.mass !== null &&
      it.design === design &&
      (animal === 'it' || it.animal === animal),
  );
  const before = last?.values.mass;
  if (!last || before === undefined || before === null) return { text: 'Not weighed yet', grave: false };
  const was = `${capital(readingWords(before, 'mass', reader))}, ${dayWords(localDay(last.at))}`;
  const [entry] = numbersOf('weight', reader.prefs);
  const text = numbers?.mass?.trim() ?? '';
  if (!entry || text === '' || checkNumber(text, entry, reader) !== true) return { text: was, grave: false };
  const now = entry.toSi(reader.parse(text) ?? Number.NaN);
  const change = (now - before) / before;
  if (!Number.isFinite(change)) return { text: was, grave: false };
  const percent = reader.num(Math.abs(change) * 100, 0);
  if (change <= -WORRYING)
    return { text: `${was}: ${percent} % less. Weigh again; if it is so, see a veterinarian`, grave: true };
  return { text: `${was}: ${percent} % ${change < 0 ? 'less' : 'more'}`, grave: false };
}
