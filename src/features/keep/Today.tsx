'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { memo, useMemo, useState, type ReactNode } from 'react';
import { DAY_MS } from '@/core/physics/constants';
import { findAnimal } from '@/core/catalogue';
import { culturesDue, type CultureDue } from '@/core/living/cultureCare';
import type { Entry } from '@/core/log';
import { homeOf, type AnimalRecord } from '@/core/records';
import { capital, counted } from '@/core/units';
import {
  useAnimals,
  useAway,
  useBeside,
  useCareLog,
  useComparisons,
  useCultures,
  useDesigns,
  useStore,
} from '@/store';
import { taskWords } from '@/ui/cultureWords';
import { useReader } from '@/ui/units';
import { useToday } from '@/ui/useToday';
import { dayWords } from '@/ui/days';
import { restWords } from '@/ui/restWords';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { useDraft } from '@/ui/useDraft';
import { Windowed } from '@/ui/Windowed';
import { animalsWord, OUTER_PLACES, STAGE_WORD } from '@/ui/words';
import { CardList } from './CardList';
import { CultureDues } from './CultureDues';
import { keepingDues, type BoxDue } from '@/ui/due';
import { byPlace } from '@/ui/placeOrder';
import { Alarms } from './Alarms';
import { useAlarms } from './useAlarms';
import { DueRow } from './DueRow';
import { LongOverdue } from './LongOverdue';
import { PutOff } from './PutOff';
import { QuickLine } from './QuickLine';
import { tasksOf } from './tasks';
import { quickPlaces } from './quickPlaces';

// What is due today is shown before what may come; most keepers plan no comparison.
const Ahead = dynamic(() => import('./Ahead').then((it) => it.Ahead));
const ByTask = dynamic(() => import('./ByTask').then((it) => it.ByTask));
const Reminders = dynamic(() => import('./Reminders').then((it) => it.Reminders));
const Comparisons = dynamic(() => import('./Comparisons').then((it) => it.Comparisons));

const WEEK = 7;
/** Enclosures in which something is due up to which the round goes by enclosure; more are gone round by task. */
const FEW = 8;
const ROUNDS = ['box', 'room', 'task'] as const;
const NO_LINES: readonly Entry[] = [];
const NOBODY: readonly AnimalRecord[] = [];

/** Who lives where. */
function byHome(animals: readonly AnimalRecord[]): ReadonlyMap<string, readonly AnimalRecord[]> {
  const homes = new Map<string, AnimalRecord[]>();
  for (const it of animals) {
    const home = homeOf(it);
    if (home !== null) homes.set(home, [...(homes.get(home) ?? []), it]);
  }
  return homes;
}

/** What is due now in every enclosure, and what comes this week. */
export function Today({ tools }: { readonly tools: ReactNode }) {
  const { catalogue } = useStore();
  const designs = useDesigns();
  const log = useCareLog(null);
  const animals = useAnimals();
  const { num, locale } = useReader();
  const today = useToday();
  const [away] = useAway();
  const ready = useMemo(
    () => designs?.flatMap((it) => (it.state === 'ready' ? [it.row.design] : [])),
    [designs],
  );
  const [duesOf] = useState(keepingDues);
  const beside = useBeside(today);
  const cultures = useCultures();
  const tubs = useMemo(() => culturesDue(cultures ?? [], today), [cultures, today]);
  const tubsNow = tubs.filter((it) => it.late >= 0);
  const boxes = useMemo(
    () => ready && log && duesOf(ready, log, today, catalogue, beside),
    [duesOf, ready, log, today, catalogue, beside],
  );
  const living = useMemo(() => byHome(animals ?? []), [animals]);
  const standing = useAlarms(ready);
  const { open: planned } = useComparisons();
  const kept = useMemo(() => boxes?.filter((it) => it.due.length > 0) ?? [], [boxes]);
  const open = useMemo(() => kept.filter((it) => it.due.some((own) => own.late >= 0)), [kept]);
  const [chosen, setBy] = useDraft('round by');
  const hasRooms = open.some((it) => it.design.brief.place.room !== '');
  const told = ROUNDS.find((it) => it === chosen && (it !== 'room' || hasRooms));
  const by = told ?? (open.length > FEW ? 'task' : 'box');
  const walk = useMemo(() => {
    const order = byPlace(locale);
    return by === 'room' ? [...open].sort((a, b) => order(a.design, b.design)) : open;
  }, [by, open, locale]);
  const now = open.flatMap((it) => it.due.filter((own) => own.late >= 0));
  const tasks = useMemo(() => tasksOf(open), [open]);
  // What must not be left out waits for nobody.
  const waits = new Map(
    open.flatMap(({ design, due }) => {
      const rules = due.filter((it) => it.late >= 0 && !it.rule.sitter).map((it) => it.rule.id);
      return rules.length > 0 ? [[design.id, rules] as const] : [];
    }),
  );
  const minutes = now.reduce((sum, it) => sum + it.rule.minutes, 0);
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/today')} tools={tools} />
      <Box component="main" sx={{ px: { xs: 1.5, md: 2.5 }, py: 2.25, maxWidth: 980, mx: 'auto' }}>
        {boxes === undefined ? (
          <Message title="Looking what is due" role="status" />
        ) : kept.length === 0 && tubs.length === 0 ? (
          <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
            {/* What is read may go wrong before anything is to be cared for. */}
            <Alarms standing={standing ?? []} named />
            <Ahead designs={ready} standing={standing ?? []} />
            <Message
              title="Nothing to care for yet"
              actions={
                <Button component={NextLink} href="/" variant="contained">
                  To the rack
                </Button>
              }
            >
              Care begins when an enclosure cures, grows in or is lived in: say so in its Brief.
            </Message>
          </Box>
        ) : (
          <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
            <Box>
              <Typography variant="h1" component="h1">
                Today
              </Typography>
              <Typography sx={{ color: 'earth.quiet' }} aria-live="polite">
                {now.length === 0 && tubsNow.length === 0
                  ? `${dayWords(today)}. All is done.`
                  : now.length === 0
                    ? `${dayWords(today)}. ${counted(tubsNow.length, 'thing')} for cultures.`
                    : tubsNow.length === 0
                      ? `${dayWords(today)}. ${counted(now.length, 'thing', 'things', (it) => num(it, 0))} in ${counted(open.length, 'enclosure')}, about ${timeWords(minutes)}.`
                      : `${dayWords(today)}. ${counted(now.length, 'thing', 'things', (it) => num(it, 0))} in ${counted(open.length, 'enclosure')}, about ${timeWords(minutes)}; ${counted(tubsNow.length, 'thing')} for cultures.`}
              </Typography>
            </Box>
            {away && today >= away.from && (
              <Typography variant="body2">
                {today > away.to
                  ? `You were away until ${dayWords(away.to)}. `
                  : `Away until ${dayWords(away.to)}. `}
                <Link component={NextLink} href="/sitter">
                  Settle what was done
                </Link>
              </Typography>
            )}
            <Alarms standing={standing ?? []} named />
            <QuickLine
              places={quickPlaces(
                (ready ?? []).filter((it) => !it.brief.putAway),
                animals,
                catalogue,
              )}
              open={null}
            />
            {open.length > 1 && (
              <ToggleButtonGroup
                exclusive
                size="small"
                value={by}
                onChange={(_, next: string | null) => next && setBy(next)}
                aria-label="The round"
              >
                <ToggleButton value="box">By enclosure</ToggleButton>
                {hasRooms && <ToggleButton value="room">By room</ToggleButton>}
                <ToggleButton value="task">By task</ToggleButton>
              </ToggleButtonGroup>
            )}
            <LongOverdue boxes={open} today={today} />
            {by === 'task' && open.length > 1 ? (
              <ByTask tasks={tasks} animals={living} log={log ?? NO_LINES} />
            ) : (
              <Windowed
                items={walk}
                keyOf={(it) => it.design.id}
                estimate={({ due }) => 40 + 66 * due.filter((it) => it.late >= 0).length}
                gap={16}
              >
                {(it) => (
                  <DueHere
                    {...it}
                    today={today}
                    animals={living.get(it.design.id) ?? NOBODY}
                    hasPlace={by === 'room'}
                  />
                )}
              </Windowed>
            )}
            <CultureDues dues={tubsNow} today={today} />
            {planned.length > 0 && <Comparisons designs={ready} />}
            <Ahead designs={ready} standing={standing ?? []} />
            <Week boxes={kept} tubs={tubs} today={today} />
            {ready && log && <Reminders designs={ready} log={log} today={today} beside={beside} />}
            <Box>
              <Button component={NextLink} href="/sitter">
                A sheet for the sitter
              </Button>
              {waits.size > 0 && (
                <PutOff
                  label="Put off what can wait"
                  name="Put off what can wait"
                  rules={waits}
                  isUrgent={false}
                />
              )}
            </Box>
          </Box>
        )}
      </Box>
    </Box>
  );
}

const DueHere = memo(function DueHere({
  design,
  due,
  animals,
  today,
  hasPlace,
}: BoxDue & {
  readonly today: string;
  readonly animals: readonly AnimalRecord[];
  /** Where it stands is told with it. */
  readonly hasPlace: boolean;
}) {
  const { catalogue } = useStore();
  const animal = findAnimal(catalogue, design.brief.animal);
  return (
    <Box component="section" aria-labelledby={`due-${design.id}`}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.25, mb: 0.75 }}>
        <Typography variant="h2" id={`due-${design.id}`}>
          <NextLink href={`/e/${design.id}/keep`} style={{ color: 'inherit', textDecoration: 'none' }}>
            {design.name}
          </NextLink>
        </Typography>
        {hasPlace && (
          <Box sx={{ typography: 'body2', fontWeight: 600 }}>
            {[design.brief.place.room, design.brief.place.shelf].filter((it) => it !== '').join(', ') ||
              'No room told'}
          </Box>
        )}
        <Box sx={{ color: 'earth.quiet', typography: 'body2' }}>
          {animal && design.brief.stage === 'inhabited'
            ? [capital(animalsWord(design.brief.count, animal.english)), restWords(design, animal, today)]
                .filter((it) => it !== null)
                .join(', ')
            : STAGE_WORD[design.brief.stage]}
        </Box>
      </Box>
      <CardList>
        {due
          .filter((it) => it.late >= 0)
          .map((it) => (
            <DueRow key={it.rule.id} design={design.id} due={it} animals={animals} />
          ))}
      </CardList>
    </Box>
  );
});

/** Minutes from which on whole hours are told. */
const LONG = 120;

const timeWords = (minutes: number): string =>
  minutes < LONG ? counted(Math.max(1, minutes), 'minute') : counted(Math.round(minutes / 60), 'hour');

/** Things of one day that are told one by one; of more it is told in how many enclosures each is to be done. */
const ONE_BY_ONE = 8;

function dayLine(things: readonly { readonly name: string; readonly what: string }[]): string {
  if (things.length <= ONE_BY_ONE)
    return things.map(({ name, what }) => `${name}: ${small(what)}`).join('; ');
  const many = new Map<string, string[]>();
  for (const { name, what } of things) many.set(what, [...(many.get(what) ?? []), name]);
  return [...many]
    .sort(([, a], [, b]) => b.length - a.length)
    .map(
      ([what, names]) =>
        `${what} (${names.length === 1 ? names.join('') : counted(names.length, 'enclosure')})`,
    )
    .join(' · ');
}

const small = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** The coming days, shortly. */
function Week({
  boxes,
  tubs,
  today,
}: {
  readonly boxes: readonly BoxDue[];
  readonly tubs: readonly CultureDue[];
  readonly today: string;
}) {
  const days = new Map<string, { readonly name: string; readonly what: string }[]>();
  const add = (day: string, late: number, name: string, what: string): void => {
    if (late < 0 && late >= -WEEK) days.set(day, [...(days.get(day) ?? []), { name, what }]);
  };
  for (const { design, due } of boxes)
    for (const { rule, day, late } of due) add(day, late, design.name, rule.what);
  for (const it of tubs) add(it.day, it.late, 'Cultures', taskWords(it));
  if (days.size === 0) return null;
  return (
    <Box component="section" aria-labelledby="week">
      <Typography variant="h2" id="week" sx={{ mb: 0.75 }}>
        This week
      </Typography>
      <Box
        component="dl"
        sx={{
          m: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '130px 1fr' },
          columnGap: 2,
          rowGap: 0.75,
        }}
      >
        {[...days]
          .sort(([a], [b]) => a.localeCompare(b))
          .map(([day, things]) => (
            <Box key={day} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 600 }}>
                {weekday(day, today)}
              </Box>
              <Box component="dd" sx={{ m: 0, color: 'earth.quiet' }}>
                {dayLine(things)}
              </Box>
            </Box>
          ))}
      </Box>
    </Box>
  );
}

const weekday = (day: string, today: string): string =>
  Date.parse(day) - Date.parse(today) === DAY_MS
    ? 'Tomorrow'
    : new Date(`${day}T12:00:00Z`).toLocaleDateString(undefined, {
        weekday: 'long',
        day: 'numeric',
        timeZone: 'UTC',
      });
