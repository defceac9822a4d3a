'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { FAST, restOf, restPhase, usualRest, type RestPhase } from '@/core/brief';
import type { Animal } from '@/core/catalogue';
import { dayOfSeason, meanRoom, profileOf } from '@/core/climate';
import { dayPlus, noonOf } from '@/core/time';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { NumberField, PickField } from '@/ui/fields/PlainFields';
import { Panel } from '@/ui/Panel';

const PHASE: Record<RestPhase, (until: string) => string> = {
  fasts: (until) => `It is not fed now, and is cooled from ${until}.`,
  cools: (until) => `It is being cooled, until ${until}.`,
  rests: (until) => `It rests, until ${until}.`,
  wakes: (until) => `It is being warmed up, and is fed as usual from ${until}.`,
};

/** The winter rest of an enclosure: whether, from when, how long and where. */
export function RestPanel({ animal }: { readonly animal: Animal }) {
  const { catalogue, today } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { rest } = design.living;
  const put = (next: typeof rest): string | undefined => edit({ edit: 'setLiving', change: { rest: next } });
  const { latitude } = design.climate.room;
  const room = meanRoom(profileOf(design, catalogue), dayOfSeason('winter', latitude)).temperature;
  const usual = usualRest(animal, latitude, room);
  if (!rest)
    return (
      <Panel label="Winter rest">
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
          None is planned. With one, care, alarms and the forecast follow it.
        </Typography>
        <Button variant="outlined" size="small" onClick={() => put({ ...usual, since: today })}>
          Plan a winter rest
        </Button>
      </Panel>
    );
  const kept = restOf(design, animal);
  const now = restPhase(kept, today);
  // A turn is on that began before it was planned: it is left out, unless its keeper led it without the program.
  const missed =
    !now &&
    restPhase(
      restOf({ ...design, living: { ...design.living, rest: { ...rest, since: null } } }, animal),
      today,
    ) !== null;
  const written = (day: string): string =>
    noonOf(day).toLocaleDateString(undefined, { day: 'numeric', month: 'long', timeZone: 'UTC' });
  const wakes = dayPlus(`2025-${rest.from}`, 7 * rest.weeks);
  return (
    <Panel label="Winter rest">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center', mt: 1.5, mb: 1 }}>
        <DateField
          label="Cooled from, each year"
          value={`${today.slice(0, 4)}-${rest.from}`}
          onCommit={(day) => {
            if (day === null) return undefined;
            const from = day.slice(5);
            return put({ ...rest, from: from === '02-29' ? '02-28' : from });
          }}
          sx={{ width: 190 }}
        />
        <NumberField
          key={rest.weeks}
          label="Weeks"
          value={rest.weeks}
          min={2}
          max={26}
          onCommit={(weeks) => put({ ...rest, weeks: Math.round(weeks) })}
          sx={{ width: 90 }}
        />
        <PickField
          label="Where"
          value={rest.place}
          options={[
            { value: 'here', name: 'Here' },
            { value: 'apart', name: 'Apart, somewhere cooler' },
          ]}
          onPick={(place) => put({ ...rest, place })}
        />
        {missed && (
          <Button size="small" onClick={() => put({ ...rest, since: null })}>
            It rests already
          </Button>
        )}
        <Button size="small" onClick={() => put(null)}>
          No winter rest
        </Button>
      </Box>
      <Typography variant="body2">
        {now
          ? PHASE[now.phase](written(now.until))
          : `Without food from ${written(dayPlus(`2025-${rest.from}`, -FAST))}, warmed up from ${written(wakes)}${missed ? ', from next winter on' : ''}.`}{' '}
        {rest.place === 'here'
          ? 'Turn lamps and heaters down by settings of a part of the year, in Climate.'
          : 'While it is away nothing alarms here, and nothing is asked of the air.'}
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
        Only who is healthy and well fed rests: a veterinarian looks at it before.
      </Typography>
    </Panel>
  );
}
