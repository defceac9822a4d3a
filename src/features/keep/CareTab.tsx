'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useMemo, useState } from 'react';
import { careNow, careOf, isInSeason, isPaused, type Due, type HeldRule } from '@/core/care';
import { homeOf } from '@/core/records';
import { DateField } from '@/ui/fields/DateField';
import { useAnimals, useBeside, useCareLog, useEditing, useOpenDesign, useStore } from '@/store';
import { dayWords } from '@/ui/days';
import { download } from '@/ui/download';
import { useReader } from '@/ui/units';
import { LineField } from '@/ui/fields/PlainFields';
import { Message } from '@/ui/Message';
import { TableCard } from '@/ui/TableCard';
import { whenWords } from '@/ui/whenWords';
import { useLater } from '@/ui/useLater';
import { CardList } from './CardList';
import { DetailCard } from './DetailCard';
import { DueRow } from './DueRow';
import { dueIn } from '@/ui/due';
import { WhenField } from './WhenField';

/** What is due here, and every rule it comes from: when, why, last and next, paused or changed. */
export function CareTab({ today }: { readonly today: string }) {
  const later = useLater();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const log = useCareLog(design.id);
  const living = useAnimals()?.filter((it) => homeOf(it) === design.id) ?? [];
  const reader = useReader();
  const [picked, setPicked] = useState<string | null>(null);
  const beside = useBeside(today);
  const due = useMemo(
    () => (log ? dueIn(design, log, today, catalogue, beside) : []),
    [design, log, today, catalogue, beside],
  );
  const rules = careOf(design, catalogue, beside);
  const active = new Set(careNow(design, catalogue, beside).map((it) => it.id));
  const now = due.filter((it) => it.late >= 0);
  const chosen = rules.find((it) => it.id === picked);
  // Before the log is read, all would seem to be due.
  if (!log) return <Message title="Looking what is due" role="status" />;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2.5 }}>
      <Box component="section" aria-labelledby="due-now">
        <Typography variant="h2" id="due-now" sx={{ mb: 0.75 }}>
          {now.length === 0 ? 'Nothing is due today' : 'Due now'}
        </Typography>
        {active.size === 0 && (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Care begins when it cures, grows in or is lived in: say so in its Brief.
          </Typography>
        )}
        {now.length > 0 && (
          <CardList>
            {now.map((it) => (
              <DueRow key={it.rule.id} design={design.id} due={it} animals={living} />
            ))}
          </CardList>
        )}
      </Box>
      {chosen && <RuleCard key={chosen.id} rule={chosen} today={today} onClose={() => setPicked(null)} />}
      <Box component="section" aria-labelledby="all-care">
        <Typography variant="h2" id="all-care" sx={{ mb: 0.75 }}>
          All care
        </Typography>
        <TableCard label="All care">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">When</th>
              <th scope="col">Last</th>
              <th scope="col">Next</th>
            </tr>
          </thead>
          <tbody>
            {rules.map((rule) => (
              <tr key={rule.id} data-rule={rule.id} data-selected={rule.id === picked}>
                <td style={{ whiteSpace: 'normal' }}>
                  <Button
                    onClick={() => setPicked(rule.id)}
                    sx={{
                      p: 0,
                      minWidth: 0,
                      textAlign: 'left',
                      justifyContent: 'flex-start',
                      color: 'earth.ink',
                    }}
                  >
                    {rule.what}
                  </Button>
                </td>
                <td>
                  {isPaused(rule, today)
                    ? rule.until === null
                      ? 'paused'
                      : `paused until ${dayWords(rule.until)}`
                    : isInSeason(rule, today)
                      ? whenWords(rule.when)
                      : 'not in this part of the year'}
                  {rule.own && !isPaused(rule, today) ? ' · your own' : ''}
                  {rule.reason !== '' && (
                    <Box sx={{ color: 'earth.quiet', whiteSpace: 'normal' }}>{rule.reason}</Box>
                  )}
                </td>
                <td>{lastOf(due, rule.id)}</td>
                <td>{active.has(rule.id) ? nextOf(due, rule.id) : 'not yet'}</td>
              </tr>
            ))}
          </tbody>
        </TableCard>
      </Box>
      <AddOwn today={today} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() =>
            void later(
              () => import('@/files/calendar'),
              ({ careCalendar }) =>
                download(
                  'care.ics',
                  careCalendar(
                    [{ id: design.id, name: design.name, due: due.filter((it) => active.has(it.rule.id)) }],
                    reader,
                  ),
                  'text/calendar',
                ),
            )
          }
        >
          Care as a calendar
        </Button>
        <Button component={NextLink} href="/sitter">
          A sheet for the sitter
        </Button>
      </Box>
    </Box>
  );
}

const lastOf = (due: readonly Due[], id: string): string => {
  const last = due.find((it) => it.rule.id === id)?.last;
  return last ? dayWords(last) : '–';
};
const nextOf = (due: readonly Due[], id: string): string => {
  const own = due.find((it) => it.rule.id === id);
  return own ? (own.late >= 0 ? 'now' : dayWords(own.day)) : '–';
};

/** One rule: why, and how its keeper wants it. */
function RuleCard({
  rule,
  today,
  onClose,
}: {
  readonly rule: HeldRule;
  readonly today: string;
  readonly onClose: () => void;
}) {
  const { edit } = useEditing();
  const { design } = useOpenDesign();
  const isOwn = design.care.own.some((it) => it.id === rule.id);
  const changed = design.care.changes.some((it) => it.rule === rule.id);
  return (
    <DetailCard title={rule.what} onClose={onClose}>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {rule.why}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <WhenField
          when={rule.when}
          onCommit={(when) =>
            edit({ edit: 'changeCare', change: { rule: rule.id, change: { when, from: today } } })
          }
        />
        <LineField
          key={rule.reason}
          label="Because"
          optional
          value={rule.reason}
          onCommit={(reason) => edit({ edit: 'changeCare', change: { rule: rule.id, change: { reason } } })}
          sx={{ flex: 1, minWidth: 200 }}
        />
        <FormControlLabel
          label="Paused"
          control={
            <Switch
              checked={isPaused(rule, today)}
              onChange={(_, paused) =>
                edit({
                  edit: 'changeCare',
                  // Taken up again it is due from today: what was missed meanwhile is not late.
                  change: {
                    rule: rule.id,
                    change: { paused, until: null, ...(paused ? {} : { from: today }) },
                  },
                })
              }
            />
          }
        />
        {isPaused(rule, today) && (
          <DateField
            label="Until"
            value={rule.until}
            onCommit={(until) => edit({ edit: 'changeCare', change: { rule: rule.id, change: { until } } })}
            sx={{ width: 160 }}
          />
        )}
        {isOwn ? (
          <Button color="error" onClick={() => edit({ edit: 'removeCare', change: { rule: rule.id } })}>
            Take it away
          </Button>
        ) : (
          changed && (
            <Button
              onClick={() =>
                edit({
                  edit: 'changeCare',
                  change: {
                    rule: rule.id,
                    change: { when: null, paused: false, until: null, from: null, reason: '' },
                  },
                })
              }
            >
              As it follows from the design
            </Button>
          )
        )}
      </Box>
    </DetailCard>
  );
}

/** Something of the keeper's own that comes again. */
function AddOwn({ today }: { readonly today: string }) {
  const { edit } = useEditing();
  const [round, setRound] = useState(0);
  return (
    <Box component="section" aria-labelledby="own-care">
      <Typography variant="h2" id="own-care" sx={{ mb: 1 }}>
        Something of your own
      </Typography>
      <LineField
        key={round}
        label="What is to be done, every 30 days to begin with"
        value=""
        onCommit={(what) => {
          edit({
            edit: 'addCare',
            change: { what, why: '', when: { by: 'since', days: 30 }, sitter: false, from: today },
          });
          setRound(round + 1);
        }}
        sx={{ width: '100%', maxWidth: 520 }}
      />
    </Box>
  );
}
