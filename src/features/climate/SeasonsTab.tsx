'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { findDeviceKind } from '@/core/catalogue';
import { MONTHS, restMonths } from '@/core/climate';
import {
  isOff,
  monthsOf,
  MOST_SEASONS,
  OFF,
  type Device,
  type SeasonDevice,
  type SeasonSettings,
} from '@/core/document';
import { percent, temperature } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { LineField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { freshId } from '@/ui/freshId';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { MistTimes } from './MistTimes';

/** Parts of the year that are set otherwise: cover, mist, what is on and what it holds. */
export function SeasonsTab() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { seasons } = design.climate;
  const rest = restMonths(design);
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Settings by season">
        <Typography variant="body2">
          Where one setting does not hold the enclosure the year round, a part of the year can have its own.
          The forecast goes by them, and Care reminds on the first day of the month to change over.
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
          {seasons.length === 0
            ? 'One setting holds all year.'
            : rest.length === 0
              ? 'No month is left for the settings of the rest of the year.'
              : `The rest of the year: ${rest.map((it) => MONTHS[it - 1]).join(', ')}.`}
        </Typography>
        <Button
          sx={{ mt: 1 }}
          disabled={seasons.length >= MOST_SEASONS || rest.length === 0}
          onClick={() => edit({ edit: 'setSeason', change: newPart(rest, seasons) })}
        >
          Add a part of the year
        </Button>
      </Panel>
      {seasons.map((it) => (
        <Part key={it.id} part={it} />
      ))}
    </Box>
  );
}

/** Summer where it is free, else the first free months. */
function newPart(rest: readonly number[], seasons: readonly SeasonSettings[]): SeasonSettings {
  const summer = [6, 7, 8, 9].every((it) => rest.includes(it));
  const first = rest[0] ?? 1;
  const taken = new Set(seasons.map((it) => it.name));
  const name = summer && !taken.has('Summer') ? 'Summer' : `Part ${seasons.length + 1}`;
  return {
    id: freshId('season', seasons),
    name,
    from: summer ? 6 : first,
    until: summer ? 9 : first,
    topCover: null,
    mist: null,
    devices: [],
  };
}

const same = (device: string): SeasonDevice => ({
  device,
  timer: null,
  dim: null,
  thermostat: null,
  humidistat: null,
});

function Part({ part }: { readonly part: SeasonSettings }) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { catalogue } = useStore();
  const { enclosure, climate } = design;
  /** Nozzles and sprayers go by the mist. */
  const own = (device: Device): boolean => {
    const form = findDeviceKind(catalogue, device.kind)?.form;
    return form !== 'nozzle' && form !== 'sprayer';
  };
  const set = (change: Partial<SeasonSettings>) =>
    edit({ edit: 'setSeason', change: { ...part, ...change } });
  const others = new Set(climate.seasons.filter((it) => it.id !== part.id).flatMap(monthsOf));
  const clash = (change: Partial<SeasonSettings>): boolean =>
    monthsOf({ ...part, ...change }).some((it) => others.has(it));
  const setDevice = (own: SeasonDevice): void => {
    const rest = part.devices.filter((it) => it.device !== own.device);
    const empty = !own.timer && own.dim === null && !own.thermostat && !own.humidistat;
    set({ devices: empty ? rest : [...rest, own] });
  };
  return (
    <Panel label={part.name}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.5, alignItems: 'flex-start' }}>
        <LineField
          key={part.name}
          label="Called"
          value={part.name}
          onCommit={(name) => set({ name: name.slice(0, 40) })}
          sx={{ width: 160 }}
        />
        {(['from', 'until'] as const).map((end) => (
          <TextField
            key={end}
            select
            label={end === 'from' ? 'From the first of' : 'To the end of'}
            value={part[end]}
            onChange={(event) => set({ [end]: Number(event.target.value) })}
            sx={{ minWidth: 140 }}
          >
            {MONTHS.map((name, index) => (
              <MenuItem key={name} value={index + 1} disabled={clash({ [end]: index + 1 })}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        ))}
        <Button
          color="inherit"
          sx={{ ml: 'auto' }}
          onClick={() => edit({ edit: 'removeSeason', change: { season: part.id } })}
        >
          Take it out
        </Button>
      </Box>
      {enclosure.top !== 'solid' && (
        <Box sx={ROW}>
          <Otherwise
            label="Cover of the top"
            on={part.topCover !== null}
            onChange={(on) => set({ topCover: on ? enclosure.topCover : null })}
          />
          <QuantityField
            label="Covered"
            measure="percent"
            value={part.topCover ?? enclosure.topCover}
            disabled={part.topCover === null}
            max={1}
            step={0.05}
            onCommit={(topCover) => set({ topCover })}
            sx={{ width: 110 }}
          />
        </Box>
      )}
      <Box sx={ROW}>
        <Otherwise
          label="Mist"
          on={part.mist !== null}
          onChange={(on) =>
            set({ mist: on ? { times: climate.mist.times, everyDays: climate.mist.everyDays } : null })
          }
        />
        {part.mist && (
          <Box sx={{ width: '100%' }}>
            <MistTimes
              label={`Mistings in ${part.name}`}
              by={climate.mist.by}
              mist={part.mist}
              onChange={(change) => part.mist && set({ mist: { ...part.mist, ...change } })}
            />
          </Box>
        )}
      </Box>
      {climate.devices.filter(own).map((device) => (
        <DeviceRow
          key={device.id}
          device={device}
          own={part.devices.find((it) => it.device === device.id) ?? same(device.id)}
          onChange={setDevice}
        />
      ))}
    </Panel>
  );
}

const ROW = {
  display: 'flex',
  flexWrap: 'wrap',
  columnGap: 1.25,
  rowGap: 0.75,
  alignItems: 'center',
  borderTop: 1,
  borderColor: 'earth.rule',
  mt: 1,
  pt: 1,
  minHeight: 48,
} as const;

function Otherwise({
  label,
  on,
  onChange,
}: {
  readonly label: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}) {
  return (
    <FormControlLabel
      label={label}
      control={<Checkbox size="small" checked={on} onChange={(_, next) => onChange(next)} />}
      sx={{ flex: '1 1 160px', m: 0 }}
    />
  );
}

type Runs = 'as' | 'off' | 'day' | 'night' | 'always' | 'clock';
const RUNS: readonly { readonly value: Runs; readonly name: string }[] = [
  { value: 'as', name: 'as in the rest' },
  { value: 'off', name: 'never' },
  { value: 'day', name: 'by day' },
  { value: 'night', name: 'by night' },
  { value: 'always', name: 'day and night' },
  { value: 'clock', name: 'by the clock' },
];

/** One device: whether it is set otherwise, whether it is on, and what it holds. */
function DeviceRow({
  device,
  own,
  onChange,
}: {
  readonly device: Device;
  readonly own: SeasonDevice;
  readonly onChange: (own: SeasonDevice) => void;
}) {
  const { write } = useReader();
  const held = device.thermostat ?? device.humidistat;
  const kind = device.thermostat ? ('thermostat' as const) : ('humidistat' as const);
  const set = own[kind];
  const on = own.timer !== null || own.dim !== null || set !== null;
  const runs: Runs = !own.timer ? 'as' : isOff(own) ? 'off' : own.timer.by;
  const write1 = (value: number | null): string =>
    value === null ? 'off' : write(device.thermostat ? temperature(value) : percent(value));
  const begin = (): void => {
    if (device.thermostat)
      onChange({
        ...own,
        thermostat: { day: device.thermostat.day, night: device.thermostat.night },
      });
    else if (device.humidistat)
      onChange({
        ...own,
        humidistat: { day: device.humidistat.day, night: device.humidistat.night },
      });
    else onChange({ ...own, timer: OFF });
  };
  return (
    <Box sx={ROW} role="group" aria-label={device.name}>
      <Otherwise
        label={device.name}
        on={on}
        onChange={(next) => (next ? begin() : onChange(same(device.id)))}
      />
      {!on && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {held ? `${write1(held.day)} by day, ${write1(held.night)} by night` : `as in the rest of the year`}
        </Typography>
      )}
      {on && (
        <TextField
          select
          label="It is on"
          value={runs}
          onChange={(event) => {
            const by = event.target.value as Runs;
            onChange({
              ...own,
              timer: by === 'as' ? null : by === 'off' ? OFF : by === 'clock' ? own.timer : { by },
            });
          }}
          sx={{ width: 140 }}
        >
          {RUNS.filter((it) => it.value !== 'clock' || runs === 'clock').map((it) => (
            <MenuItem key={it.value} value={it.value}>
              {it.name}
            </MenuItem>
          ))}
        </TextField>
      )}
      {on && runs !== 'off' && !held && (
        <QuantityField
          label="Dimmed to"
          measure="percent"
          value={own.dim ?? device.dim}
          min={0.05}
          max={1}
          step={0.05}
          onCommit={(dim) => onChange({ ...own, dim })}
          sx={{ width: 110 }}
        />
      )}
      {set &&
        runs !== 'off' &&
        (['day', 'night'] as const).map((when) => (
          <QuantityField
            key={when}
            label={when === 'day' ? 'By day' : 'By night'}
            measure={device.thermostat ? 'temperature' : 'percent'}
            value={set[when]}
            min={0}
            max={device.thermostat ? 60 : 1}
            step={device.thermostat ? 0.5 : 0.05}
            placeholder="off"
            onCommit={(value) => onChange({ ...own, [kind]: { ...set, [when]: value } })}
            onClear={() => onChange({ ...own, [kind]: { ...set, [when]: null } })}
            sx={{ width: 92 }}
          />
        ))}
    </Box>
  );
}
