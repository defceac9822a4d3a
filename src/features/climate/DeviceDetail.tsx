'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { findDeviceKind } from '@/core/catalogue';
import { type Forecast } from '@/core/climate';
import { type Device, type Timer } from '@/core/document';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { FIELDS, HumidistatFields, PointFields, ThermostatFields } from './DeviceControls';
import { TimerField } from './TimerField';
import { percentWord } from './words';
import { Basking, Ultraviolet } from './LampReadings';

/** All that is set of one device, with the cautions that go with it. */
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
  const set = (change: Partial<Omit<Device, 'id' | 'at'>>, gesture?: string) =>
    edit({ edit: 'setDevice', change: { device: device.id, change } }, gesture);
  const to = (change: Partial<Device['at']>) =>
    edit({ edit: 'moveDevice', change: { device: device.id, to: { ...device.at, ...change } } });
  const box = design.enclosure;
  const runs =
    kind?.form === 'tube' || kind?.form === 'panel' || kind?.form === 'mat' || kind?.form === 'cable';

  return (
    <Panel label={device.name}>
      <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
        {kind?.why} {kind && <BasisMark basis={kind.radiant.basis} />}
      </Typography>
      <Box sx={FIELDS}>
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
        <PointFields
          names={['From the left', 'From the front', 'Over the floor']}
          at={device.at}
          box={box}
          over={0.5}
          onMove={to}
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
        {kind?.tank && (
          <QuantityField
            label="Its bottle holds"
            measure="tank"
            value={device.tank ?? kind.tank.value}
            min={0.0001}
            max={0.2}
            step={0.001}
            onCommit={(held) => set({ tank: held })}
          />
        )}
        {(kind?.uvIndex ?? kind?.lumensPerWatt) && (
          <DateField label="First lit" value={device.since} onCommit={(since) => set({ since })} />
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
      {kind?.form === 'bulb' && kind.heats && device.at.z < box.height && (
        <FormControlLabel
          control={<Checkbox checked={device.guarded} onChange={(_, guarded) => set({ guarded })} />}
          label="Behind a guard"
        />
      )}
      {kind?.heats && <ThermostatFields {...{ device, kind, box }} onSet={set} />}
      {(kind?.form === 'fogger' || kind?.form === 'fan') && (
        <HumidistatFields {...{ device, kind, box }} onSet={set} />
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
