'use client';

import DeleteOutlineIcon from '@mui/icons-material/DeleteOutlined';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { CrewKind } from '@/core/catalogue';
import type { Design } from '@/core/document';
import {
  crewChoices,
  crewHomeOf,
  crewPlaces,
  crewOf,
  homesOf,
  placesOf,
  proposeCrew,
  type CrewHome,
  type Survey,
} from '@/core/living';
import { capital } from '@/core/units';
import { useEditing, useOpenDesign, useOtherNames, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/fields/PlainFields';
import { TableCard } from '@/ui/TableCard';
import { seek } from '@/ui/seek';
import { useUndoable } from '@/ui/useUndoable';
import { useReader, type Reader } from '@/ui/units';
import { askCrew, type CrewAnswer } from '@/workers/living';
import { Advice, BeetleStages } from './CrewAdvice';
import { CrewChart, MONTHS, round } from './CrewCourse';
import { CrewFood } from './CrewFood';
import { Cultures } from './Cultures';
import { LIMIT_WORD, percent, SCHOOL_WHY, SCHOOL_WORD } from './words';
import { daysWord } from '@/ui/days';

type School = Design['living']['school'];
const SCHOOLS = (Object.keys(SCHOOL_WORD) as School[]).map((value) => ({
  value,
  name: SCHOOL_WORD[value],
  why: SCHOOL_WHY[value],
}));
const SAMPLES = 60;

/** Which crew lives here, how many to begin with, and how they fare over two years. */
export function CrewTab({ survey }: { readonly survey: Survey }) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit, travel } = useEditing();
  const undoable = useUndoable();
  const reader = useReader();
  const home = useMemo(
    () => crewHomeOf(design, assessment.ground, catalogue, survey),
    [design, assessment.ground, catalogue, survey],
  );
  const crew = crewOf(design, catalogue);
  const answers = useCrew(crew, home);
  const { school } = design.living;
  const onSchool = useCallback(
    (next: School) => {
      edit({ edit: 'setLiving', change: { school: next } });
      if (next === 'none' && design.living.crew.length > 0)
        undoable('The crew is taken out, of plan, list and care too.', () => travel(-1));
    },
    [edit, travel, undoable, design.living.crew],
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Choice label="Approach to the crew" options={SCHOOLS} value={school} onChange={onSchool} least={150} />
      {school !== 'none' && (
        <>
          <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
            <AddCrew home={home} survey={survey} />
            <Button
              variant={crew.length === 0 ? 'contained' : 'outlined'}
              onClick={() =>
                edit({ edit: 'adoptCrew', change: { crew: [...proposeCrew(design, home, catalogue)] } })
              }
            >
              {crew.length === 0 ? 'Choose a crew for me' : 'Choose afresh'}
            </Button>
          </Box>
          {crew.length > 0 && (
            <>
              <TableCard label="Crew">
                <thead>
                  <tr>
                    <th>Species</th>
                    <th className="number">Introduced</th>
                    <th className="number">After two years</th>
                    <th>Stands</th>
                    <th>Limited by</th>
                    <th className="number">Dies out</th>
                    <td className="icon" />
                  </tr>
                </thead>
                <tbody>
                  {crew.map(({ kind, count }) => {
                    const it = answers.found?.find((other) => other.kind === kind.id);
                    return (
                      <tr key={kind.id}>
                        <td>{capital(kind.english)}</td>
                        <td className="number">
                          <NumberField
                            key={count}
                            bare
                            label={`Number of ${kind.english} introduced`}
                            value={count}
                            min={1}
                            max={100_000}
                            step={5}
                            onCommit={(next) =>
                              edit({ edit: 'setCrew', change: { kind: kind.id, count: next } })
                            }
                          />
                        </td>
                        <td className="number">{it ? crewRange(it.risk, reader) : '…'}</td>
                        <td>
                          {it
                            ? it.run.stands === null
                              ? 'no: reseed'
                              : `after ${daysWord(it.run.stands)}`
                            : '…'}
                        </td>
                        <td>{it ? LIMIT_WORD[it.run.limit] : ''}</td>
                        <td className="number">{it ? percent(it.risk.collapse) : ''}</td>
                        <td className="icon">
                          <IconButton
                            size="small"
                            aria-label={`Take ${kind.english} out`}
                            onClick={() => edit({ edit: 'setCrew', change: { kind: kind.id, count: 0 } })}
                          >
                            <DeleteOutlineIcon fontSize="small" />
                          </IconButton>
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </TableCard>
              {answers.failed !== null && (
                <Alert severity="error">
                  The crew could not be calculated: {answers.failed}. Load the page again.
                </Alert>
              )}
              {answers.found && <CrewChart answers={answers.found} kinds={crew.map((it) => it.kind)} />}
              {answers.found && <BeetleStages answers={answers.found} kinds={crew.map((it) => it.kind)} />}
              <Advice answers={answers.found} kinds={crew.map((it) => it.kind)} home={home} />
            </>
          )}
          <CrewFood
            home={home}
            eaten={answers.found?.reduce((sum, it) => sum + it.run.litterEaten, 0) ?? 0}
          />
          <Cultures crew={crew} />
        </>
      )}
      <Typography variant="body2" sx={{ color: 'earth.quiet', maxWidth: '70ch' }}>
        A crew lessens the work; it does not end it. The white urate part of droppings stays: lift it out by
        hand. Gauze behind every vent, or it walks out. Never release crew outside.
      </Typography>
    </Box>
  );
}

/** What most draws come to: one figure where they agree. */
const crewRange = (
  { low, high }: { readonly low: number; readonly high: number },
  reader: Reader,
): string => {
  const [least, most] = [round(low, reader), round(high, reader)];
  return least === most ? least : `${least} to ${most}`;
};

function useCrew(
  crew: readonly { readonly kind: CrewKind; readonly count: number }[],
  home: CrewHome,
): { readonly found: readonly CrewAnswer[] | null; readonly failed: string | null } {
  const [state, setState] = useState<{ found: readonly CrewAnswer[] | null; failed: string | null }>({
    found: null,
    failed: null,
  });
  const key = JSON.stringify([crew.map((it) => [it.kind.id, it.count]), home]);
  const asked = useMemo(
    () => {
      const homes = homesOf(
        crew.map((it) => it.kind),
        home,
      );
      return crew.map(({ kind, count }, i) => ({
        kind,
        home: homes[i] ?? home,
        start: count,
        months: MONTHS,
      }));
    },
    // Their values, not the objects, are what is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key],
  );
  useEffect(() => {
    if (asked.length === 0) return undefined;
    let live = true;
    askCrew(asked, SAMPLES).then(
      (found) => live && setState({ found, failed: null }),
      (error: unknown) =>
        live && setState({ found: null, failed: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      live = false;
    };
  }, [asked]);
  return state;
}

/** Kinds that would live here, best first. */
function AddCrew({ home, survey }: { readonly home: CrewHome; readonly survey: Survey }) {
  const reader = useReader();
  const { catalogue } = useStore();
  const otherNames = useOtherNames();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const [added, setAdded] = useState(0);
  const places = useMemo(
    () => placesOf(design, assessment.ground, catalogue, survey),
    [design, assessment.ground, catalogue, survey],
  );
  const where = (kind: CrewKind): string => {
    const { lives, of, best } = crewPlaces(kind, places);
    if (lives === of) return 'everywhere on the ground';
    if (lives === 0 || !best) return 'nowhere on the ground';
    const back = best.y > design.enclosure.depth / 2 ? 'back' : 'front';
    return `${lives} of ${of} places, best ${best.warm ? 'warm' : 'cool'} ${back}`;
  };
  const choices = useMemo(() => crewChoices(home, catalogue), [home, catalogue]);
  const taken = new Set(design.living.crew.map((it) => it.kind));
  return (
    <Autocomplete
      key={added}
      sx={{ flex: '1 1 280px' }}
      options={choices.filter((it) => !taken.has(it.kind.id))}
      getOptionLabel={({ kind }) => kind.english}
      getOptionKey={({ kind }) => kind.id}
      filterOptions={(all, { inputValue }) =>
        seek(all, inputValue, ({ kind }) => [kind.english, kind.scientific, ...otherNames(kind.id)])
      }
      onChange={(_, picked) => {
        if (!picked) return;
        edit({ edit: 'setCrew', change: { kind: picked.kind.id, count: picked.start } });
        setAdded((it) => it + 1);
      }}
      renderOption={({ key, ...props }, { kind, value, limit, carries }) => (
        <li key={key} {...props}>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            {kind.english}
            <Box
              component="span"
              sx={{ color: 'earth.quiet', fontStyle: 'italic', fontSize: '0.82rem', ml: 0.75 }}
            >
              {kind.scientific}
            </Box>
            <Box sx={{ fontSize: '0.8rem', color: 'earth.quiet' }}>
              {kind.wanted
                ? value < 0.15
                  ? `dwindles here: ${LIMIT_WORD[limit]}`
                  : `about ${round(carries, reader)} would live here, limited by ${LIMIT_WORD[limit]} · ${where(kind)}`
                : 'comes with plants; not wanted'}
            </Box>
          </Box>
        </li>
      )}
      renderInput={(params) => <TextField {...params} label="Add a species, best for this enclosure first" />}
      noOptionsText="No species of that name."
    />
  );
}
