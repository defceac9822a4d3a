'use client';

import { localDay } from '@/core/time';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { DAY_MS } from '@/core/physics/constants';
import { findAnimal, type DeviceKind } from '@/core/catalogue';
import {
  agedUv,
  burned,
  distanceFor,
  irradianceFor,
  lampsOf,
  climateModelOf,
  surfaceUnder,
  uvAt,
  wattsFor,
  type Forecast,
} from '@/core/climate';
import { settingsAt, type Device } from '@/core/document';
import { heatFrom, UV_ZONES, type UvZone } from '@/core/light';
import { length, temperature } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { percentWord } from './words';

/** Which power at this distance, which distance for this lamp. */
export function Basking({
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
  const model = climateModelOf(design, assessment.ground, catalogue);
  const lamp = model.lit.find((it) => it.device.id === device.id)?.lamp;
  const place = model.basking;
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
  new Date(Date.parse(since) + (hours / 12) * DAY_MS).toLocaleDateString();

/** Where the animal’s UV lies, what gauze takes, and when a meter must say. */
export function Ultraviolet({ device, kind }: { readonly device: Device; readonly kind: DeviceKind }) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write, num } = useReader();
  const animal = findAnimal(catalogue, design.brief.animal);
  const zone = (animal?.climate.uvZone.value ?? null) as UvZone | null;
  const today = useToday();
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
            return `${write(length(under))} ${num(low, 1)}–${num(high, 1)}`;
          })
          .join(' · ')}
      </Typography>
      {zone && (
        <Typography variant="body2">
          This species is of zone {zone}: it meets {UV_ZONES[zone].mean.map((it) => num(it)).join(' to ')} on
          the mean and {UV_ZONES[zone].maximum.map((it) => num(it)).join(' to ')} at most (published). Offer
          shade everywhere.
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
                  on: localDay(Date.now()),
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
