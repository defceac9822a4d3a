'use client';

import { daysTill } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useMemo, useState } from 'react';
import { CORNERS } from '@/core/ground/corners';
import { rebuildOf, rebuiltLines, type BuildPlan, type Fate, type RebuildRow } from '@/core/plan';
import { capital, bag, length } from '@/core/units';
import { useActs, useEditing, useOpenDesign, useStore } from '@/store';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';
import { useAct } from '@/ui/useAct';

/** More of a layer at one press, m: what a bed is usually raised and topped up by (common practice). */
const MORE = 0.03;
const TRIFLE = 5e-5;

const FATE_WORD: Record<Fate, string> = {
  out: 'Goes for good',
  back: 'Set aside, goes back',
  new: 'New',
  stays: 'Stays where it is',
};
const COLUMNS: readonly Fate[] = ['out', 'back', 'new', 'stays'];

/** A standing box is rebuilt: from what is there to what is wanted, and where the animals wait meanwhile. */
export function RebuildPanel({ plan, today }: { readonly plan: BuildPlan; readonly today: string }) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit, travel } = useEditing();
  const { write } = useReader();
  const undoable = useUndoable();
  const acts = useActs();
  const act = useAct();
  const [asking, setAsking] = useState(false);
  const rebuild = useMemo(() => rebuildOf(design, assessment, catalogue), [design, assessment, catalogue]);
  if (!rebuild || !design.plan.standing)
    return (
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1, minWidth: 260 }}>
          Does it stand already? Then keep what stands, change the design, and the plan says what comes out,
          what goes back and what is needed new.
        </Typography>
        <Button
          variant="outlined"
          onClick={() => {
            edit({ edit: 'beginRebuild', change: { since: today } });
            undoable('What stands is kept. Change the design now.', () => travel(-1));
          }}
        >
          Plan a rebuild
        </Button>
      </Box>
    );
  const soil = design.ground.layers.filter((it) => it.kind === 'substrate').at(-1);
  const bed = design.ground.layers.find((it) => it.kind === 'drainage');
  const thicken = (layer: string) =>
    edit({ edit: 'shiftThickness', change: { layer, corners: CORNERS, by: MORE } });
  const out = plan.steps.find((it) => it.step.id === 'catch');
  const home = plan.steps.find((it) => it.step.id === 'move-in');
  const changed = rebuild.rows.some((it) => it.fate !== 'stays');
  const left = plan.steps.filter((it) => it.state !== 'done' && it.state !== 'left out');
  const end = async (): Promise<void> => {
    const call = { edit: 'endRebuild', change: { on: today } } as const;
    const told = { design: design.id, call, drafts: rebuiltLines(rebuild, design), at: Date.now() };
    await act('The rebuild is done.', () => acts.editAndTell(told));
  };
  return (
    <Box
      component="section"
      aria-labelledby="rebuild"
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Typography variant="h2" id="rebuild" sx={{ flex: 1, minWidth: 220 }}>
          Rebuild
        </Typography>
        {soil && <Button onClick={() => thicken(soil.id)}>Top up the soil by {write(length(MORE))}</Button>}
        {bed && <Button onClick={() => thicken(bed.id)}>Raise the bed by {write(length(MORE))}</Button>}
        <Button component={NextLink} href={`/e/${design.id}/ground`}>
          Change the ground
        </Button>
        <Button
          onClick={() => {
            edit({ edit: 'dropRebuild', change: {} });
            undoable('As it stood.', () => travel(-1));
          }}
        >
          Give it up
        </Button>
        <Button
          variant="outlined"
          onClick={() => (left.length === 0 ? void end() : setAsking(true))}
          disabled={!changed}
        >
          It is rebuilt
        </Button>
      </Box>
      {asking && left.length > 0 && (
        <Box sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.5, mt: 1.25 }} role="alert">
          <Typography variant="body2">
            {left.length === 1 ? 'One step is not ticked' : `${left.length} steps are not ticked`}:{' '}
            {left.map((it) => `${it.step.title.charAt(0).toLowerCase()}${it.step.title.slice(1)}`).join('; ')}
            .
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, mt: 0.75 }}>
            <Button variant="contained" onClick={() => void end()}>
              All of it was done
            </Button>
            <Button onClick={() => setAsking(false)}>Not yet</Button>
          </Box>
        </Box>
      )}
      {!changed ? (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          Nothing is changed yet. Change the design anywhere, or begin with one of the usual cases above.
        </Typography>
      ) : (
        <>
          {rebuild.waits > 0 && out && home && (
            <Typography variant="body2" sx={{ mt: 1 }}>
              {rebuild.waits === 1 ? 'The animal waits' : `All ${rebuild.waits} animals wait`} elsewhere for
              about {Math.max(1, daysTill(out.from, home.from))} days.
              {rebuild.siphoned > TRIFLE && ' The water is siphoned out first.'}
            </Typography>
          )}
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: {
                xs: 'minmax(0, 1fr)',
                sm: 'repeat(2, minmax(0, 1fr))',
                lg: 'repeat(4, minmax(0, 1fr))',
              },
              gap: 2,
              mt: 1.25,
            }}
          >
            {COLUMNS.map((fate) => (
              <Box key={fate} data-fate={fate}>
                <Typography variant="h3">{FATE_WORD[fate]}</Typography>
                <Rows
                  rows={rebuild.rows.filter((it) => it.fate === fate)}
                  write={(volume) => write(bag(volume))}
                />
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

const GROUP_WORD: Partial<Record<RebuildRow['group'], string>> = {
  background: 'Background',
  piece: 'Wood, stone, dishes',
  device: 'Lamps, heat, mist',
  plant: 'Plants',
  crew: 'Crew',
};

/** What lies in bulk with its litres; all else named, group by group, those of one name once. */
function Rows({
  rows,
  write,
}: {
  readonly rows: readonly RebuildRow[];
  readonly write: (volume: number) => string;
}) {
  const shown = rows.filter((it) => it.volume === null || it.volume > TRIFLE);
  if (shown.length === 0) return <Box sx={{ color: 'earth.quiet', typography: 'body2' }}>Nothing</Box>;
  const groups = (Object.keys(GROUP_WORD) as RebuildRow['group'][]).flatMap((group) => {
    const counts = new Map<string, number>();
    for (const it of shown)
      if (it.group === group) {
        const name = it.name.replace(/ \d+$/, '');
        counts.set(name, (counts.get(name) ?? 0) + 1);
      }
    return counts.size > 0
      ? [
          {
            group,
            words: [...counts].map(([name, count]) => (count > 1 ? `${name} × ${count}` : name)).join(', '),
          },
        ]
      : [];
  });
  return (
    <Box sx={{ typography: 'body2', mt: 0.5 }}>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {shown
          .filter((it) => GROUP_WORD[it.group] === undefined)
          .map((it) => (
            <Box component="li" key={`${it.group} ${it.id}`} sx={{ display: 'flex', gap: 1 }}>
              <Box sx={{ flex: 1 }}>{it.name}</Box>
              <Box sx={{ color: 'earth.quiet', whiteSpace: 'nowrap' }}>
                {it.volume === null ? '' : write(it.volume)}
              </Box>
            </Box>
          ))}
      </Box>
      {groups.map(({ group, words }) => (
        <Box key={group} sx={{ mt: 0.75 }}>
          <Box component="span" sx={{ color: 'earth.quiet' }}>
            {GROUP_WORD[group]}:
          </Box>{' '}
          {capital(words)}
        </Box>
      ))}
    </Box>
  );
}
