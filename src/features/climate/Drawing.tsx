'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useCallback, useDeferredValue, useId, useMemo, useRef, useState } from 'react';
import { DAY } from '@/core/physics/constants';
import { findAnimal, findDeviceKind } from '@/core/catalogue';
import {
  humidityAt,
  lampsOf,
  lightHours,
  climateModelOf,
  plantLightAt,
  sprayOf,
  uvAt,
  temperatureAt,
  windowsOf,
  type Forecast,
  type Moment,
} from '@/core/climate';
import type { Plane } from '@/core/light';
import { seasonOn, withSettings } from '@/core/document';
import { siteAt } from '@/core/ground';
import { length, temperature } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { useToday } from '@/ui/useToday';
import { nearCut } from '@/ui/section/cut';
import { Section, type Frame, type View } from '@/ui/section/Section';
import { useElementSize } from '@/ui/useElementSize';
import { useReader } from '@/ui/units';
import { DeviceMarks, type DeviceTools } from './DeviceMarks';
import { FieldLayer } from './FieldLayer';
import { Legend } from './Legend';
import { ProbeMark } from './ProbeMark';
import { OVERLAYS, scaleOf, SOIL_SCALE, type OverlayName } from './scales';
import { SoilLayer } from './SoilLayer';
import { TimeBar } from './TimeBar';
import { bandOf, useField } from './useField';
import { percentWord } from './words';

interface Props {
  readonly forecast: Forecast | null;
  readonly overlay: OverlayName;
  readonly onOverlay: (overlay: OverlayName) => void;
  /** Record of the forecast that is shown. */
  readonly at: number;
  readonly onAt: (at: number) => void;
  readonly tools: DeviceTools;
}

/** The drawing with what the box will be like laid over it, and what makes it so to be taken hold of. */
export function Drawing({ forecast, overlay, onOverlay, at, onAt, tools }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { write, num } = reader;
  const prefix = useId().replaceAll(':', '');
  const [view, setView] = useState<View>('front');
  const frameRef = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(frameRef);
  const box = design.enclosure;
  const [probe, setProbe] = useState<{ x: number; y: number; z: number }>({
    x: box.width * 0.65,
    y: box.depth * 0.5,
    z: box.height * 0.4,
  });
  const cut = view === 'front' ? probe.y : probe.x;
  const record = forecast ? Math.min(at, forecast.run.t.length - 1) : 0;
  // The box as it is set on the day that is shown.
  const part = forecast ? seasonOn(design, dayShown(forecast, record)) : undefined;
  const set = useMemo(() => (part ? withSettings(design, part) : design), [design, part]);
  const resting = useDeferredValue(set);
  const model = useMemo(
    () => climateModelOf(resting, assessment.ground, catalogue),
    [resting, assessment.ground, catalogue],
  );
  const today = useToday();
  const lit = useMemo(() => lampsOf(set, catalogue, today), [set, catalogue, today]);

  const moment: Moment | null = useMemo(
    () =>
      forecast && {
        run: forecast.run,
        at: record,
        model: { ...model, lit },
        warm: design.scape.warm,
        width: box.width,
        height: box.height,
      },
    [forecast, record, model, lit, design.scape.warm, box.width, box.height],
  );
  const plane = useMemo(
    (): Plane => ({ view, cut, width: view === 'front' ? box.width : box.depth, height: box.height }),
    [view, cut, box.width, box.depth, box.height],
  );

  const field = useField({ overlay, design: set, lit, plane, moment });

  const hour = forecast ? (forecast.run.t[record] ?? 0) % DAY : 43_200;
  const day = forecast ? hour >= forecast.light.from && hour < forecast.light.to : true;
  const band = useMemo(
    () => forecast && bandOf(overlay, forecast.bands, findAnimal(catalogue, design.brief.animal), day),
    [overlay, forecast, catalogue, design.brief.animal, day],
  );

  const scale = useMemo(() => scaleOf(overlay, reader), [overlay, reader]);

  const devices = design.climate.devices.map((device) => ({
    device,
    kind: findDeviceKind(catalogue, device.kind),
  }));
  const picked = devices.find((it) => it.device.id === tools.selected);
  const spray = useMemo(
    () =>
      picked?.kind?.spray
        ? sprayOf(
            picked.device.at,
            picked.kind.spray.value,
            design.enclosure,
            siteAt(design),
            assessment.ground.pieces,
          )
        : null,
    [picked?.device.at, picked?.kind, design, assessment.ground.pieces],
  );
  const headroom = Math.min(
    0.5,
    Math.max(0.06, ...devices.map(({ device }) => device.at.z - box.height + 0.05)),
  );

  const hoursOf = useCallback(
    (id: string): number => {
      const device = set.climate.devices.find((it) => it.id === id);
      if (!device) return 0;
      return windowsOf(device.timer, lightHours(set.climate, 80)).reduce(
        (sum, it) => sum + (it.to - it.from) / 3600,
        0,
      );
    },
    [set.climate],
  );
  const uv = uvAt(lit, probe);
  const plant = plantLightAt(lit, probe, hoursOf);
  const reads = [
    ...(moment
      ? [
          write(temperature(temperatureAt(moment, probe))),
          `${percentWord(humidityAt(moment, probe))} humidity`,
        ]
      : []),
    `UV index ${uv[2] - uv[0] > 0.05 ? `${num(uv[0], 1)} to ${num(uv[2], 1)}` : num(uv[1], 1)}`,
    `${num(plant.ppfd, 0)} µmol/m²s, ${num(plant.daily, 1)} mol a day`,
  ];

  const over = (frame: Frame) => (
    <>
      {field && (
        <FieldLayer
          {...{ field, scale, prefix, band }}
          left={frame.x(0)}
          floor={frame.y(0)}
          perMetre={frame.scale}
          across={frame.across}
          height={frame.height}
        />
      )}
      {overlay === 'soil' && forecast && (
        <SoilLayer
          {...{ frame, forecast, view }}
          at={record}
          model={model}
          warm={design.scape.warm}
          scale={SOIL_SCALE}
        />
      )}
      <DeviceMarks {...{ devices, view, frame, tools, spray }} />
      <ProbeMark
        across={view === 'front' ? probe.x : probe.y}
        up={probe.z}
        frame={frame}
        reads={reads.join(', ')}
        onMove={(across, up) =>
          setProbe(view === 'front' ? { ...probe, x: across, z: up } : { ...probe, y: across, z: up })
        }
      />
    </>
  );

  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: { xs: 460, md: 0 } }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="View"
          value={view}
          onChange={(_, next: View | null) => next && setView(next)}
        >
          <ToggleButton value="front">Front</ToggleButton>
          <ToggleButton value="side">Side</ToggleButton>
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Overlay"
          value={overlay}
          onChange={(_, next: OverlayName | null) => next && onOverlay(next)}
        >
          {OVERLAYS.map((it) => (
            <ToggleButton key={it.value} value={it.value}>
              {it.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
      <Box ref={frameRef} sx={{ flex: 1, minHeight: 0, overflow: 'hidden', mt: 1 }}>
        {width > 0 && height > 0 && (
          <Section
            design={set}
            assessment={assessment}
            catalogue={catalogue}
            view={view}
            cut={nearCut(view, box)}
            width={width}
            height={height}
            headroom={headroom}
            over={over}
          />
        )}
      </Box>
      <Legend scale={overlay === 'soil' ? SOIL_SCALE : scale} hatched={band !== null} />
      <Box
        component="p"
        aria-live="off"
        sx={{ m: 0, mt: 0.5, typography: 'body2', fontVariantNumeric: 'tabular-nums' }}
      >
        <strong>Probe</strong>, {write(length(cut))} from the {view === 'front' ? 'front' : 'left'}:{' '}
        {reads.join(' · ')}
      </Box>
      {forecast && <TimeBar forecast={forecast} record={record} onAt={onAt} day={day} setFor={part?.name} />}
    </Box>
  );
}

/** Day of the year of a record; a day or a week is one of its season throughout. */
const dayShown = ({ run, asked, from }: Forecast, record: number): number =>
  asked.span === 'year' ? from + Math.floor((run.t[record] ?? 0) / DAY) : from;
