'use client';

import CloseIcon from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { findAnimal, findDeviceKind, type DeviceKind } from '@/core/catalogue';
import {
  agedUv,
  burned,
  distanceFor,
  irradianceFor,
  lampsOf,
  outfitOf,
  surfaceUnder,
  uvAt,
  wattsFor,
  type Forecast,
} from '@/core/climate';
import { settingsAt, type Device, type Timer } from '@/core/design';
import { heatFrom, UV_ZONES, type UvZone } from '@/core/light';
import { length, temperature } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { localToday } from '@/ui/days';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';
import { SeasonNote } from './SeasonNote';
import { TimerField } from './TimerField';
import { heldWord, percentWord, timerWord } from './words';

const GROUPS: Record<DeviceKind['group'], string> = {
  uv: 'UV',
  light: 'Light',
  heat: 'Heat',
  mist: 'Mist and fog',
  air: 'Air',
};

interface Props {
  readonly selected: string | null;
  readonly onSelect: (device: string | null) => void;
  readonly onSeasons: () => void;
  readonly forecast: Forecast | null;
}

/** What is fitted, and all there is to say about the one that is picked. */
export function FittingsTab({ selected, onSelect, onSeasons, forecast }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { devices } = design.climate;
  const [wanted, setWanted] = useState<DeviceKind | null>(null);
  const picked = devices.find((it) => it.id === selected);

  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <SeasonNote sets={(it) => it.devices.length > 0} onSeasons={onSeasons} />
      <Panel label="Installed">
        {devices.length === 0 && (
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Nothing is installed yet. Add something below, or have equipment proposed for the animal.
          </Typography>
        )}
        <Box component="ul" aria-label="Installed" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {devices.map((device) => (
            <Box
              key={device.id}
              component="li"
              sx={{
                display: 'flex',
                alignItems: 'center',
                borderRadius: '8px',
                bgcolor: device.id === selected ? 'earth.mossWash' : undefined,
              }}
            >
              <Button
                onClick={() => onSelect(device.id === selected ? null : device.id)}
                aria-pressed={device.id === selected}
                sx={{ flex: 1, justifyContent: 'flex-start', textAlign: 'left', py: 0.5, color: 'earth.ink' }}
              >
                <Box component="span" sx={{ flex: 1, minWidth: 0 }}>
                  {device.name}
                  <Box
                    component="span"
                    sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}
                  >
                    {[
                      device.power > 0 ? `${device.power} W` : '',
                      timerWord(device.timer),
                      heldWord(device, (it) => write(temperature(it))),
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </Box>
                </Box>
              </Button>
              <IconButton
                size="small"
                aria-label={`Take out ${device.name}`}
                onClick={() => edit({ edit: 'removeDevice', change: { device: device.id } })}
              >
                <CloseIcon fontSize="small" />
              </IconButton>
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Autocomplete
            fullWidth
            options={catalogue.climate.devices}
            groupBy={(it) => GROUPS[it.group]}
            getOptionLabel={(it) => it.name}
            value={wanted}
            onChange={(_, next) => setWanted(next)}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            renderOption={({ key, ...option }, it) => (
              <Box component="li" key={key} {...option} sx={{ display: 'block !important' }}>
                {it.name}
                <Box component="span" sx={{ display: 'block', typography: 'caption', color: 'earth.quiet' }}>
                  {it.why}
                </Box>
              </Box>
            )}
            renderInput={(params) => <TextField {...params} label="Equipment to add" />}
          />
          <Button
            variant="contained"
            disabled={!wanted || devices.length >= 40}
            onClick={() => {
              if (!wanted) return;
              edit({ edit: 'addDevice', change: { kind: wanted.id } });
              setWanted(null);
            }}
          >
            Add
          </Button>
          <Button
            variant="outlined"
            onClick={() => edit({ edit: 'proposeClimate', change: {} })}
            sx={{ whiteSpace: 'nowrap', flexShrink: 0 }}
          >
            Propose again
          </Button>
        </Box>
      </Panel>
      {picked && <Detail key={picked.id} device={picked} forecast={forecast} />}
    </Box>
  );
}

function Detail({ device, forecast }: { readonly device: Device; readonly forecast: Forecast | null }) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const kind = findDeviceKind(catalogue, device.kind);
  const set = (change: Partial<Omit<Device, 'id' | 'at'>>, gesture?: string): void =>
    edit({ edit: 'setDevice', change: { device: device.id, change } }, gesture);
  const to = (change: Partial<Device['at']>): void =>
    edit({ edit: 'moveDevice', change: { device: device.id, to: { ...device.at, ...change } } });
  const box = design.enclosure;
  const runs =
    kind?.form === 'tube' || kind?.form === 'panel' || kind?.form === 'mat' || kind?.form === 'cable';
  const { thermostat, humidistat } = device;
  const grid = {
    display: 'grid',
    gridTemplateColumns: 'repeat(auto-fill, minmax(130px, 1fr))',
    gap: 1.25,
    mt: 1.25,
  };

  return (
    <Panel label={device.name}>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {kind?.why} {kind && <BasisMark basis={kind.radiant.basis} />}
      </Typography>
      <Box sx={grid}>
        <LineField key={device.name} label="Name" value={device.name} onCommit={(name) => set({ name })} />
        {device.power > 0 && (
          <NumberField
            key={`w${device.power}`}
            label="Power, W"
            value={device.power}
            min={0}
            max={5000}
            onCommit={(power) => set({ power })}
          />
        )}
        <QuantityField
          label="From the left"
          measure="length"
          value={device.at.x}
          max={box.width}
          onCommit={(x) => to({ x })}
        />
        <QuantityField
          label="From the front"
          measure="length"
          value={device.at.y}
          max={box.depth}
          onCommit={(y) => to({ y })}
        />
        <QuantityField
          label="Over the floor"
          measure="length"
          value={device.at.z}
          max={box.height + 0.5}
          onCommit={(z) => to({ z })}
        />
        {runs && (
          <QuantityField
            label="Length"
            measure="length"
            value={device.length}
            min={0.02}
            max={3}
            onCommit={(length_) => set({ length: length_ })}
          />
        )}
        {runs && (
          <TextField
            select
            label="Runs along"
            value={device.along}
            onChange={(event) => set({ along: event.target.value as Device['along'] })}
          >
            <MenuItem value="x">the width</MenuItem>
            <MenuItem value="y">the depth</MenuItem>
          </TextField>
        )}
        {(kind?.uvIndex ?? kind?.lumensPerWatt) && (
          <TextField
            type="date"
            label="First lit"
            value={device.since ?? ''}
            onChange={(event) => set({ since: event.target.value === '' ? null : event.target.value })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        )}
      </Box>
      {kind?.form !== 'nozzle' && device.kind !== 'hand-sprayer' && (
        <TimerField timer={device.timer} onChange={(timer: Timer) => set({ timer })} />
      )}
      {(kind?.form === 'bulb' || kind?.form === 'tube' || kind?.form === 'panel') && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1 }}>
          <Box sx={{ typography: 'body2', minWidth: 110 }}>Dimmed to {percentWord(device.dim)}</Box>
          <Slider
            size="small"
            aria-label="Dimmed to"
            min={0}
            max={1}
            step={0.05}
            value={device.dim}
            getAriaValueText={percentWord}
            valueLabelDisplay="off"
            onChange={(_, dim) => set({ dim: Number(dim) }, `dim ${device.id}`)}
          />
        </Box>
      )}
      {kind?.heats && (
        <Box sx={grid}>
          <TextField
            select
            label="Thermostat"
            value={thermostat?.kind ?? 'none'}
            onChange={(event) => {
              const { value } = event.target;
              if (value === 'none') set({ thermostat: null });
              else
                set({
                  thermostat: {
                    kind: value as 'on-off' | 'proportional',
                    day: thermostat?.day ?? 28,
                    night: thermostat?.night ?? null,
                    probe: thermostat?.probe ?? { ...device.at, z: Math.min(0.1, device.at.z) },
                  },
                });
            }}
          >
            <MenuItem value="none">none</MenuItem>
            <MenuItem value="on-off">on and off</MenuItem>
            <MenuItem value="proportional">proportional</MenuItem>
          </TextField>
          {thermostat && (
            <>
              <QuantityField
                label="By day"
                measure="temperature"
                value={thermostat.day}
                min={0}
                max={60}
                step={0.5}
                placeholder="off"
                onCommit={(day) => set({ thermostat: { ...thermostat, day } })}
                onClear={() => set({ thermostat: { ...thermostat, day: null } })}
              />
              <QuantityField
                label="By night"
                measure="temperature"
                value={thermostat.night}
                min={0}
                max={60}
                step={0.5}
                placeholder="off"
                onCommit={(night) => set({ thermostat: { ...thermostat, night } })}
                onClear={() => set({ thermostat: { ...thermostat, night: null } })}
              />
              <QuantityField
                label="Probe from the left"
                measure="length"
                value={thermostat.probe.x}
                max={box.width}
                onCommit={(x) => set({ thermostat: { ...thermostat, probe: { ...thermostat.probe, x } } })}
              />
              <QuantityField
                label="Probe from the front"
                measure="length"
                value={thermostat.probe.y}
                max={box.depth}
                onCommit={(y) => set({ thermostat: { ...thermostat, probe: { ...thermostat.probe, y } } })}
              />
              <QuantityField
                label="Probe over the floor"
                measure="length"
                value={thermostat.probe.z}
                max={box.height}
                onCommit={(z) => set({ thermostat: { ...thermostat, probe: { ...thermostat.probe, z } } })}
              />
            </>
          )}
        </Box>
      )}
      {(kind?.form === 'fogger' || kind?.form === 'fan') && (
        <Box sx={grid}>
          <TextField
            select
            label="Humidistat"
            value={humidistat ? 'held' : 'none'}
            onChange={(event) =>
              set({
                humidistat:
                  event.target.value === 'none'
                    ? null
                    : {
                        day: kind.form === 'fan' ? 0.85 : 0.7,
                        night: kind.form === 'fan' ? 0.95 : 0.8,
                        probe: { x: box.width / 2, y: box.depth / 2, z: box.height * 0.4 },
                      },
              })
            }
          >
            <MenuItem value="none">none</MenuItem>
            <MenuItem value="held">{kind.form === 'fan' ? 'airs over' : 'wets under'}</MenuItem>
          </TextField>
          {humidistat && (
            <>
              <QuantityField
                label="By day"
                measure="percent"
                value={humidistat.day}
                max={1}
                step={0.05}
                onCommit={(day) => set({ humidistat: { ...humidistat, day } })}
              />
              <QuantityField
                label="By night"
                measure="percent"
                value={humidistat.night}
                max={1}
                step={0.05}
                onCommit={(night) => set({ humidistat: { ...humidistat, night } })}
              />
            </>
          )}
          <NumberField
            key={`on${device.duty?.on ?? 0}`}
            label="Minutes on"
            value={device.duty?.on ?? 0}
            min={0}
            max={720}
            onCommit={(on) => set({ duty: on === 0 ? null : { on, every: device.duty?.every ?? 90 } })}
          />
          {device.duty && (
            <NumberField
              key={`every${device.duty.every}`}
              label="of every, min"
              value={device.duty.every}
              min={2}
              max={1440}
              onCommit={(every) => set({ duty: { on: device.duty?.on ?? 30, every } })}
            />
          )}
        </Box>
      )}
      {kind?.heats && kind.half && <Basking device={device} kind={kind} forecast={forecast} />}
      {kind?.uvIndex && <Ultraviolet device={device} kind={kind} />}
      {kind?.clearance && (
        <Typography variant="body2" sx={{ mt: 1.25 }}>
          Its face burns skin, wood and plastic: keep it{' '}
          {kind.form === 'mat' || kind.form === 'cable'
            ? 'free of folds and sharp edges'
            : 'guarded and clear'}
          , with residual-current protection and a drip loop. Fixed wiring is for a licensed electrician, to
          the local code.
        </Typography>
      )}
    </Panel>
  );
}

/** Which power at this distance, which distance for this lamp. */
function Basking({
  device,
  kind,
  forecast,
}: {
  readonly device: Device;
  readonly kind: DeviceKind;
  readonly forecast: Forecast | null;
}) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { write } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const outfit = outfitOf(design, assessment.ground, catalogue);
  const lamp = outfit.lit.find((it) => it.device.id === device.id)?.lamp;
  const place = outfit.basking;
  if (!lamp || !place || !kind.half) return null;
  const distance = Math.max(0.05, device.at.z - place.z);
  const air = forecast?.answers.warm.mean ?? 24;
  const beam = { radiant: kind.radiant.value, half: kind.half.value };
  const target = animal?.climate.basking?.value;
  const wanted = target ? (target.low + target.high) / 2 : 32;
  const need = irradianceFor(wanted, air);
  const comes = surfaceUnder(heatFrom(lamp, place.x, place.y, place.z), air);
  return (
    <Box sx={{ mt: 1.25, borderTop: 1, borderColor: 'earth.rule', pt: 1 }}>
      <Typography variant="body2">
        <strong>Basking spot</strong>, {write(length(distance))} under it, in air of {write(temperature(air))}
        : this lamp alone brings it to about {write(temperature(comes))}.
      </Typography>
      <Typography variant="body2">
        For {write(temperature(wanted))} it takes{' '}
        {Math.round(wattsFor(need, beam, distance, lamp.passes.heat))} W at this distance, or{' '}
        {write(length(distanceFor(need, device.power * device.dim, beam, lamp.passes.heat)))} with these{' '}
        {Math.round(device.power * device.dim)} W.
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        Beams differ from lamp to lamp: measure at the animal’s back before it moves in.
      </Typography>
    </Box>
  );
}

/** Day on which half of a tube's UV is gone, at 12 h a day. */
const halfOn = (since: string, hours: number): string =>
  new Date(Date.parse(since) + (hours / 12) * 86_400_000).toLocaleDateString();

/** Where the animal’s UV lies, what gauze takes, and when a meter must say. */
function Ultraviolet({ device, kind }: { readonly device: Device; readonly kind: DeviceKind }) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const zone = (animal?.climate.uvZone.value ?? null) as UvZone | null;
  const today = localToday(new Date());
  const lit = lampsOf(settingsAt(design, today), catalogue, today);
  const floor = assessment.ground.parts[0]?.high ?? 0;
  const places = [0.1, 0.15, 0.2, 0.3, 0.4]
    .map((under) => ({ under, at: { x: device.at.x, y: device.at.y, z: device.at.z - under } }))
    .filter((it) => it.at.z > floor - 0.05);
  const { meter } = design.climate;
  const [index, setIndex] = useState(meter?.index ?? 1);
  const [under, setUnder] = useState(meter ? Math.max(0.02, device.at.z - meter.at.z) : 0.2);
  return (
    <Box sx={{ mt: 1.25, borderTop: 1, borderColor: 'earth.rule', pt: 1 }}>
      <Typography variant="body2">
        <strong>UV index under it</strong> (low to high
        {meter ? ', held by your meter reading' : ', until a meter reading narrows it'}):{' '}
        {places
          .map(({ under, at }) => {
            const [low, , high] = uvAt(lit, at);
            return `${write(length(under))} ${low.toFixed(1)}–${high.toFixed(1)}`;
          })
          .join(' · ')}
      </Typography>
      {zone && (
        <Typography variant="body2">
          This species is of zone {zone}: it meets {UV_ZONES[zone].mean.join(' to ')} on the mean and{' '}
          {UV_ZONES[zone].maximum.join(' to ')} at most (published). Offer shade everywhere.
        </Typography>
      )}
      {kind.uvHalf && (
        <Typography variant="body2">
          Half of it is gone after about {Math.round(kind.uvHalf.value / 12 / 30)} months at 12 h a day,
          though it still shines: replace it yearly, or when the meter says so.{' '}
          {device.since === null
            ? 'Say when it was first lit, and its age is counted in.'
            : `It has burned some ${Math.round(burned(device, today, 12) / 100) * 100} h: about ${percentWord(agedUv(burned(device, today, 12), kind.uvHalf.value))} is left, half on ${halfOn(device.since, kind.uvHalf.value)}.`}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mt: 1 }}>
        <NumberField
          key={`m${index}`}
          label="Meter reads"
          value={index}
          min={0}
          max={30}
          step={0.1}
          onCommit={setIndex}
        />
        <QuantityField
          label="Under the lamp by"
          measure="length"
          value={under}
          min={0.02}
          max={2}
          onCommit={setUnder}
        />
        <Button
          onClick={() =>
            edit({
              edit: 'setClimate',
              change: {
                meter: {
                  at: { ...device.at, z: Math.max(0, device.at.z - under) },
                  index,
                  on: localToday(new Date()),
                },
              },
            })
          }
        >
          Hold to it
        </Button>
        {meter && (
          <Button onClick={() => edit({ edit: 'setClimate', change: { meter: null } })}>
            Forget the reading
          </Button>
        )}
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
        Do not look into UV tubes.
      </Typography>
    </Box>
  );
}
