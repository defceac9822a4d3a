'use client';

import { dayPlus, daysTill, localDay } from '@/core/time';
import PrintOutlinedIcon from '@mui/icons-material/PrintOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, type ReactNode } from 'react';
import { CAUTIONS } from '@/catalogue';
import { awayDays, careNow, lastDone } from '@/core/care';
import { culturesFed } from '@/core/living/cultureCare';
import { findAnimal, type Range } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { dayOfLine } from '@/core/log';
import { counted, temperature } from '@/core/units';
import { useAway, useBeside, useCareLog, useCultures, useDesigns, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { DateField } from '@/ui/fields/DateField';
import { dayWords } from '@/ui/days';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { animalsWord, OUTER_PLACES } from '@/ui/words';
import { useReader } from '@/ui/units';
import { LineField } from '@/ui/fields/PlainFields';
import { Blank, Paper } from './Paper';
import { Settle, type AwayBox } from './Settle';

/** Longest time a sheet is written for, days: on more paper nobody finds anything. */
const MOST = 120;

/** A week away: what whoever comes in has to do, day by day and box by box, and when to call. */
export function Sitter({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const designs = useDesigns();
  const log = useCareLog(null);
  const reader = useReader();
  const today = useToday();
  const [away, setAway] = useAway();
  const { from, to, who } = away ?? { from: dayPlus(today, 1), to: dayPlus(today, 7), who: '' };
  const set = (change: Partial<NonNullable<typeof away>>): void => setAway({ from, to, who, ...change });
  const beside = useBeside(today);
  const cultures = useCultures();
  const fed = useMemo(() => culturesFed(cultures ?? [], from, to), [cultures, from, to]);
  const isLong = to > dayPlus(from, MOST - 1);
  const boxes = useMemo(() => {
    if (!designs || !log || to < from || isLong) return [];
    return designs.flatMap((it): AwayBox[] => {
      if (it.state !== 'ready') return [];
      const { design } = it.row;
      const own = log.filter((line) => line.design === design.id);
      const before = own.filter((line) => dayOfLine(line, localDay) < from);
      const days = awayDays(
        careNow(design, catalogue, beside),
        lastDone(before, localDay),
        design.brief.since ?? today,
        from,
        to,
        design.care.settled,
      );
      return days.some((day) => day.rules.length > 0) ? [{ design, days, log: own }] : [];
    });
  }, [designs, log, from, to, isLong, today, catalogue, beside]);
  const days =
    to < from || isLong
      ? []
      : Array.from({ length: daysTill(from, to) + 1 }, (_, later) => dayPlus(from, later));
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <div className="no-print">
        <TopBar places={OUTER_PLACES('/sitter')} tools={tools} />
      </div>
      <Box component="main" sx={{ px: { xs: 1.5, md: 2.5 }, py: 2.25, maxWidth: 900, mx: 'auto' }}>
        <Box
          className="no-print"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mb: 2 }}
        >
          <Typography variant="h1" component="h1" sx={{ flex: 1, whiteSpace: 'nowrap' }}>
            While you are away
          </Typography>
          <Day label="From" value={from} onChange={(day) => set({ from: day })} />
          <Day label="To" value={to} onChange={(day) => set({ to: day })} />
          <LineField
            key={who}
            label="Who looks in"
            optional
            value={who}
            onCommit={(name) => set({ who: name.slice(0, 80) })}
            sx={{ width: 150 }}
          />
          <Button
            variant="contained"
            startIcon={<PrintOutlinedIcon />}
            disabled={boxes.length === 0 && fed.length === 0}
            onClick={() => window.print()}
          >
            Print it
          </Button>
        </Box>
        {!designs || !log ? (
          <Message title="Looking what falls into those days" role="status" />
        ) : to < from ? (
          <Message title="You would be back before you go" role="status">
            Choose a last day after the first.
          </Message>
        ) : isLong ? (
          <Message title={`A sheet is for ${MOST} days at most`} role="status">
            Write one up to {dayWords(dayPlus(from, MOST - 1))}, and another for the days after it.
          </Message>
        ) : boxes.length === 0 && fed.length === 0 ? (
          <Message title="Nothing must be done in those days">
            Every enclosure does without its keeper for so long.
          </Message>
        ) : (
          <>
            {from <= today && (
              <Settle boxes={boxes} tubs={fed} who={who} today={today} onSettled={() => setAway(null)} />
            )}
            <Paper
              kicker={who === '' ? 'For the sitter' : `For ${who}`}
              title={`${dayWords(from)} to ${dayWords(to)}`}
              code={null}
              lines={[
                boxes.length === 0
                  ? 'Tick what is done. If you are not sure, change nothing and call.'
                  : `${counted(boxes.length, 'enclosure')}. Tick what is done. If you are not sure, change nothing and call.`,
              ]}
            >
              <h3>Whom to call</h3>
              <Blank label="The keeper" />
              <Blank label="A veterinarian for such animals" />
              <Blank label="Who knows the fuse box" />
              <h3>Day by day</h3>
              <table>
                <tbody>
                  {days.map((day, index) => {
                    const all = boxes.flatMap(({ design, days: own }) =>
                      (own[index]?.rules ?? []).map((rule) => ({ design, rule })),
                    );
                    const tubs = fed.filter((it) => it.day === day);
                    return (
                      <tr key={day}>
                        <td style={{ width: '20%' }}>
                          <strong>{weekday(day)}</strong>
                        </td>
                        <td>
                          {tubs.map(({ culture }) => (
                            <div key={culture.id}>
                              ☐ <strong>Cultures</strong>: Feed {culture.name}
                            </div>
                          ))}
                          {all.length === 0 && tubs.length > 0 ? null : all.length === 0 ? (
                            <span className="quiet">Nothing. A look through the glass is enough.</span>
                          ) : (
                            all.map(({ design, rule }) => (
                              <div key={`${design.id} ${rule.id}`}>
                                ☐ <strong>{design.name}</strong>: {rule.what}
                                {rule.amount.length > 0 && `, ${reader.tell(rule.amount)}`}
                              </div>
                            ))
                          )}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
              <h3>Enclosure by enclosure</h3>
              {boxes.map(({ design }) => (
                <BoxNote key={design.id} design={design} />
              ))}
              <h3>Always</h3>
              <ul>
                <li>
                  {CAUTIONS.hygiene.title}: {CAUTIONS.hygiene.text}
                </li>
                <li>
                  {CAUTIONS.electric.title}: {CAUTIONS.electric.text}
                </li>
                <li>
                  Doors shut and locked. Nothing is fed that is not on this sheet, and no medicine is given.
                </li>
                <li>
                  An animal that gasps, lies limp, bleeds or is swollen: call the veterinarian at once, then
                  the keeper.
                </li>
              </ul>
            </Paper>
          </>
        )}
      </Box>
    </Box>
  );
}

/** What is right in one box, so that who looks in sees when it is not. */
function BoxNote({ design }: { readonly design: Design }) {
  const { catalogue } = useStore();
  const { write } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const said = (): string => {
    if (!animal || design.brief.stage !== 'inhabited') return ': nobody lives in it yet.';
    const band = ({ low, high }: Range): string =>
      `${write(temperature(low))} to ${write(temperature(high))}`;
    const { warm, night } = animal.climate;
    return `: ${animalsWord(design.brief.count, animal.english)}. ${band(warm.value)} on the warm side by day, ${band(night.value)} at night are right. Outside that for half a day: call.`;
  };
  return (
    <div style={{ marginBottom: 6 }}>
      <strong>{design.name}</strong>
      {said()}
    </div>
  );
}

const weekday = (day: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(undefined, {
    weekday: 'long',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });

function Day({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (day: string) => void;
}) {
  return (
    <DateField
      label={label}
      value={value}
      onCommit={(day) => (day === null ? 'A day is expected.' : onChange(day))}
      sx={{ width: 165 }}
    />
  );
}
