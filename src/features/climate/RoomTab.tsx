'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  dayOfSeason,
  lightHours,
  meanRoom,
  profileOf,
  sunThrough,
  SEASONS,
  type Season,
} from '@/core/climate';
import type { ClimateRoom } from '@/core/document';
import { dayLength } from '@/core/light';
import { percent, temperature, flux } from '@/core/units';
import { recordOf, roomOfRecord } from '@/core/readings';
import { ZoneClock } from '@/files';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { RecordIn } from './RecordIn';
import { ClockField } from './TimerField';
import { clock, SEASON_WORD } from './words';

const BEARINGS = [
  { value: 0, name: 'north' },
  { value: 45, name: 'north-east' },
  { value: 90, name: 'east' },
  { value: 135, name: 'south-east' },
  { value: 180, name: 'south' },
  { value: 225, name: 'south-west' },
  { value: 270, name: 'west' },
  { value: 315, name: 'north-west' },
] as const;

const ALL_SEASONS = Object.keys(SEASONS) as Season[];

/** The room through the year, how the enclosure stands in it, and the hours of light. */
export function RoomTab() {
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <RoomYear />
      <RoomPlace />
      <DayAndNight />
    </Box>
  );
}

function useRoom() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { room } = design.climate;
  return { room, set: (change: Partial<ClimateRoom>) => edit({ edit: 'setClimateRoom', change }) };
}

/** How warm and damp the room is, by season: one of those known, the brief’s, or a logger’s. */
function RoomYear() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { write } = useReader();
  const { room, set } = useRoom();
  const profile = profileOf(design, catalogue);
  const options = [
    {
      value: 'brief',
      name: 'As in the brief',
      why: 'A middling room of that humidity and temperature, with mild seasons.',
    },
    ...catalogue.climate.rooms.map((it) => ({ value: it.id as string, name: it.name, why: it.why })),
  ];
  return (
    <Panel label="The room through the year">
      <Choice
        label="The room through the year"
        least={140}
        options={options}
        value={room.log ? undefined : (room.preset ?? 'brief')}
        onChange={(value) =>
          set({ preset: value === 'brief' ? null : (value as ClimateRoom['preset']), log: null })
        }
      />
      {room.log && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 1, typography: 'body2' }}>
          Read from {room.log.name}.<Button onClick={() => set({ log: null })}>Forget it</Button>
        </Box>
      )}
      <SeasonTable
        label="Seasons of the room"
        head="Mean of the room"
        rows={[
          [
            'Temperature',
            (it) => write(temperature(meanRoom(profile, dayOfSeason(it, room.latitude)).temperature)),
          ],
          ['Humidity', (it) => write(percent(meanRoom(profile, dayOfSeason(it, room.latitude)).humidity))],
        ]}
      />
      <Typography variant="body2" sx={{ mt: 1, mb: 0.5 }}>
        Or from a logger that lay in the room:
      </Typography>
      <RecordIn
        label="Room’s record"
        of="room"
        action="Take it as the room"
        onTake={({ tracks: { temperature: warmth, humidity }, zone, name }) => {
          if (!warmth || !humidity) return 'choose where temperature and humidity come from';
          const clock = new ZoneClock(zone);
          const record = recordOf({ temperature: warmth, humidity }, (utc) => clock.offset(utc));
          if (!record) return 'it covers less than a day. A month or more tells most';
          set({ log: { name: name.slice(0, 200), ...roomOfRecord(record) }, preset: null });
          return null;
        }}
      />
    </Panel>
  );
}

/** Where in the room it stands: sun, altitude, latitude, and the water that is at hand. */
function RoomPlace() {
  const { write } = useReader();
  const { room, set } = useRoom();
  const sun = (season: Season): number =>
    Array.from({ length: 24 }, (_, hour) =>
      sunThrough({ ...room, latitude: room.latitude }, dayOfSeason(season, room.latitude), hour),
    ).reduce((a, b) => Math.max(a, b), 0);
  return (
    <Panel label="How the enclosure stands">
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(160px, 1fr))',
          gap: 1.25,
          mt: 1.25,
        }}
      >
        <TextField
          select
          label="Sun through a window"
          value={room.window === null ? '' : String(room.window)}
          onChange={(event) =>
            set(
              event.target.value === ''
                ? { window: null, sunlit: 0 }
                : { window: Number(event.target.value), sunlit: room.sunlit > 0 ? room.sunlit : 0.3 },
            )
          }
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">never reaches it</MenuItem>
          {BEARINGS.map((it) => (
            <MenuItem key={it.value} value={String(it.value)}>
              looking {it.name}
            </MenuItem>
          ))}
        </TextField>
        {room.window !== null && (
          <NumberField
            key={`s${room.sunlit}`}
            label="Share of its front in the sun, %"
            value={Math.round(room.sunlit * 100)}
            min={0}
            max={100}
            step={10}
            onCommit={(value) => set({ sunlit: value / 100 })}
          />
        )}
        <QuantityField
          label="Altitude"
          measure="altitude"
          value={room.altitude}
          min={-430}
          max={5000}
          step={50}
          onCommit={(metres) => set({ altitude: Math.round(metres) })}
        />
        <NumberField
          key={`l${room.latitude}`}
          label="Latitude of the room, °"
          value={room.latitude}
          min={-66}
          max={66}
          onCommit={(latitude) => set({ latitude })}
        />
        <TextField
          select
          label="Water"
          value={room.water}
          onChange={(event) => set({ water: event.target.value as ClimateRoom['water'] })}
        >
          <MenuItem value="tap">from the tap</MenuItem>
          <MenuItem value="well">from a well</MenuItem>
          <MenuItem value="filtered">filtered</MenuItem>
          <MenuItem value="dechlorinated">dechlorinated</MenuItem>
        </TextField>
      </Box>
      <FormControlLabel
        control={<Checkbox checked={room.radiator} onChange={(_, radiator) => set({ radiator })} />}
        label="Next to a radiator"
      />
      <FormControlLabel
        control={<Checkbox checked={room.outsideWall} onChange={(_, outsideWall) => set({ outsideWall })} />}
        label="Against an outside wall"
      />
      {room.window !== null && (
        <Typography variant="body2">
          At its brightest there come in:{' '}
          {ALL_SEASONS.map((it) => `${SEASON_WORD[it]} ${write(flux(sun(it), 0))}`).join(', ')}. A glass
          enclosure overheats in minutes: never stand it in direct sun.
        </Typography>
      )}
    </Panel>
  );
}

/** Hours of light through the year, and what light there is at night. */
function DayAndNight() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { num } = useReader();
  const { climate } = design;
  const { room, day } = climate;
  const lit = (season: Season): string => {
    const { from, to } = lightHours(
      climate,
      dayOfSeason(season, day.by === 'latitude' ? day.latitude : room.latitude),
    );
    return `${clock(from / 60)}–${clock(to / 60)}`;
  };
  return (
    <Panel label="Day and night">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25 }}>
        <TextField
          select
          label="Hours of light"
          value={day.by}
          onChange={(event) =>
            edit({
              edit: 'setClimate',
              change: { day: { ...day, by: event.target.value as typeof day.by } },
            })
          }
          sx={{ minWidth: 190 }}
        >
          <MenuItem value="clock">the same all year</MenuItem>
          <MenuItem value="latitude">by the animal’s latitude</MenuItem>
        </TextField>
        <ClockField
          key={`on${day.on}`}
          label="Lights on"
          value={day.on}
          sx={{ width: 110 }}
          onCommit={(on) => on < day.off && edit({ edit: 'setClimate', change: { day: { ...day, on } } })}
        />
        <ClockField
          key={`off${day.off}`}
          label="Lights off"
          value={day.off}
          sx={{ width: 110 }}
          onCommit={(off) => off > day.on && edit({ edit: 'setClimate', change: { day: { ...day, off } } })}
        />
        {day.by === 'latitude' && (
          <NumberField
            key={`lat${day.latitude}`}
            label="Latitude it comes from, °"
            value={day.latitude}
            min={-66}
            max={66}
            onCommit={(latitude) => edit({ edit: 'setClimate', change: { day: { ...day, latitude } } })}
          />
        )}
      </Box>
      <SeasonTable
        label="Timer plan"
        head="Timer plan"
        rows={[
          ['On and off', lit],
          [
            `Daylight at ${Math.abs(day.latitude)}° ${day.latitude < 0 ? 'south' : 'north'}`,
            (it) => `${num(dayLength(day.latitude, dayOfSeason(it, day.latitude)), 1)} h`,
          ],
        ]}
      />
      <Box sx={{ mt: 1 }}>
        <Choice
          label="Light at night"
          options={[
            { value: 'dark', name: 'None', why: 'The rhythm of day and night stays whole.' },
            {
              value: 'faint',
              name: 'Faint blue or white',
              why: 'For the viewer; watch whether the animal stays away.',
            },
            { value: 'red', name: 'Red', why: 'Only where it does not disturb; many species see it.' },
          ]}
          value={climate.night}
          onChange={(night) => edit({ edit: 'setClimate', change: { night } })}
        />
      </Box>
    </Panel>
  );
}

interface SeasonTableProps {
  readonly label: string;
  readonly head: string;
  readonly rows: readonly (readonly [name: string, of: (season: Season) => string])[];
}

/** A row for each thing, a column for each season. */
function SeasonTable({ label, head, rows }: SeasonTableProps) {
  return (
    <PlainTable label={label}>
      <thead>
        <tr>
          <th>{head}</th>
          {ALL_SEASONS.map((it) => (
            <th key={it} className="number">
              {SEASON_WORD[it]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, of]) => (
          <tr key={name}>
            <td>{name}</td>
            {ALL_SEASONS.map((it) => (
              <td key={it} className="number">
                {of(it)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </PlainTable>
  );
}
