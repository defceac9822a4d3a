'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { DeviceKind } from '@/core/catalogue';
import { firstThermostat, probeInAir } from '@/core/climate';
import type { Design, Device } from '@/core/document';
import { useOpenDesign, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';

export const FIELDS = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(130px, 1fr))',
  gap: 1.25,
  mt: 1.25,
} as const;

type Point = Device['at'];

interface PointFieldsProps {
  readonly names: readonly [left: string, front: string, up: string];
  readonly at: Point;
  readonly box: Design['enclosure'];
  /** m over the enclosure it may hang. */
  readonly over?: number;
  readonly onMove: (change: Partial<Point>) => void;
}

/** A place in the enclosure: from the left, from the front, over the floor. */
export function PointFields({ names, at, box, over = 0, onMove }: PointFieldsProps) {
  return (
    <>
      <QuantityField
        label={names[0]}
        measure="length"
        value={at.x}
        max={box.width}
        onCommit={(x) => onMove({ x })}
      />
      <QuantityField
        label={names[1]}
        measure="length"
        value={at.y}
        max={box.depth}
        onCommit={(y) => onMove({ y })}
      />
      <QuantityField
        label={names[2]}
        measure="length"
        value={at.z}
        max={box.height + over}
        onCommit={(z) => onMove({ z })}
      />
    </>
  );
}

interface ControlProps {
  readonly device: Device;
  readonly kind: DeviceKind;
  readonly box: Design['enclosure'];
  readonly onSet: (change: Partial<Omit<Device, 'id' | 'at'>>) => void;
}

/** What holds a heater: its thermostat, set points by day and night, and where its probe lies. */
export function ThermostatFields({ device, box, onSet }: ControlProps) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { thermostat } = device;
  const choose = (kind: string): void =>
    onSet({
      thermostat:
        kind === 'none'
          ? null
          : {
              ...(thermostat ?? firstThermostat(design, device, catalogue)),
              kind: kind as 'on-off' | 'proportional',
            },
    });
  const setPoint = (label: string, time: 'day' | 'night') =>
    thermostat && (
      <QuantityField
        label={label}
        measure="temperature"
        value={thermostat[time]}
        min={0}
        max={60}
        step={0.5}
        placeholder="off"
        onCommit={(it) => onSet({ thermostat: { ...thermostat, [time]: it } })}
        onClear={() => onSet({ thermostat: { ...thermostat, [time]: null } })}
      />
    );
  return (
    <Box sx={FIELDS}>
      <TextField
        select
        label="Thermostat"
        value={thermostat?.kind ?? 'none'}
        onChange={(event) => choose(event.target.value)}
      >
        <MenuItem value="none">none</MenuItem>
        <MenuItem value="on-off">on and off</MenuItem>
        <MenuItem value="proportional">proportional</MenuItem>
      </TextField>
      {setPoint('By day', 'day')}
      {setPoint('By night', 'night')}
      {thermostat && (
        <PointFields
          names={['Probe from the left', 'Probe from the front', 'Probe over the floor']}
          at={thermostat.probe}
          box={box}
          onMove={(change) =>
            onSet({ thermostat: { ...thermostat, probe: { ...thermostat.probe, ...change } } })
          }
        />
      )}
    </Box>
  );
}

/** What holds a fogger or a fan: its humidistat, and how long it runs of every so often. */
export function HumidistatFields({ device, kind, onSet }: ControlProps) {
  const { design } = useOpenDesign();
  const { humidistat, duty } = device;
  const airs = kind.form === 'fan';
  const first = {
    day: airs ? 0.85 : 0.7,
    night: airs ? 0.95 : 0.8,
    probe: probeInAir(design, 0.4),
  };
  const setPoint = (label: string, time: 'day' | 'night') =>
    humidistat && (
      <QuantityField
        label={label}
        measure="percent"
        value={humidistat[time]}
        max={1}
        step={0.05}
        onCommit={(it) => onSet({ humidistat: { ...humidistat, [time]: it } })}
      />
    );
  return (
    <Box sx={FIELDS}>
      <TextField
        select
        label="Humidistat"
        value={humidistat ? 'held' : 'none'}
        onChange={(event) => onSet({ humidistat: event.target.value === 'none' ? null : first })}
      >
        <MenuItem value="none">none</MenuItem>
        <MenuItem value="held">{airs ? 'airs over' : 'wets under'}</MenuItem>
      </TextField>
      {setPoint('By day', 'day')}
      {setPoint('By night', 'night')}
      <NumberField
        key={`on${duty?.on ?? 0}`}
        label="Minutes on"
        value={duty?.on ?? 0}
        min={0}
        max={720}
        onCommit={(on) => onSet({ duty: on === 0 ? null : { on, every: duty?.every ?? 90 } })}
      />
      {duty && (
        <NumberField
          key={`every${duty.every}`}
          label="of every, min"
          value={duty.every}
          min={2}
          max={1440}
          onCommit={(every) => onSet({ duty: { on: duty.on, every } })}
        />
      )}
    </Box>
  );
}
