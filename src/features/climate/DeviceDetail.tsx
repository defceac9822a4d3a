'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { findDeviceKind } from '@/core/catalogue';
import { type Forecast } from '@/core/climate';
import { type Device, type Timer } from '@/core/document';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { TimerField } from './TimerField';
import { percentWord } from './words';
import { Basking, Ultraviolet } from './LampReadings';

export function DeviceDetail({
  device,
  forecast,
}: {
  readonly device: Device;
  readonly forecast: Forecast | null;
}) {
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
