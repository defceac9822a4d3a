'use client';

import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useCallback, useDeferredValue, useEffect, useId, useMemo, useRef, useState } from 'react';
import { DAY } from '@/core/physics/constants';
import { findAnimal, findDeviceKind } from '@/core/catalogue';
import {
  humidityAt,
  lampsOf,
  lightHours,
  momentField,
  climateModelOf,
  plantLightAt,
  sprayOf,
  uvAt,
  temperatureAt,
  windowsOf,
  type Forecast,
  type Moment,
} from '@/core/climate';
import { fieldOf, UV_ZONES, type Field, type Plane, type UvZone } from '@/core/light';
import { seasonOn, withSettings, type Design } from '@/core/document';
import { siteAt } from '@/core/ground';
import { length, temperature, UNITS, unitFor } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { localToday } from '@/ui/days';
import { nearCut } from '@/ui/section/cut';
import { Section, type Frame, type View } from '@/ui/section/Section';
import { useElementSize } from '@/ui/useElementSize';
import { useReader } from '@/ui/units';
import { lightField } from '@/workers/climate';
import { DeviceMarks, type DeviceTools } from './DeviceMarks';
import { FieldLayer, ramp, type Scale } from './FieldLayer';
import { ProbeMark } from './ProbeMark';
import { SoilLayer } from './SoilLayer';
import { clock, percentWord } from './words';

export const OVERLAYS = [
  { value: 'warmth', label: 'Temperature' },
  { value: 'humidity', label: 'Humidity' },
  { value: 'soil', label: 'Soil' },
  { value: 'uv', label: 'UV index' },
  { value: 'ppfd', label: 'Plant light' },
] as const;
export type OverlayName = (typeof OVERLAYS)[number]['value'];

const WARM_STOPS = ['#3A7C8C', '#A9CBC6', '#F0E7C8', '#E0A15C', '#A4532E', '#7A2718'];
const DAMP_STOPS = ['#C99A5B', '#EBDDB9', '#BFD9D3', '#5E9DA8', '#22566A'];
const UV_STOPS = ['#EDE8D8', '#EAD9A0', '#E0A84A', '#B4582F', '#6E2430'];
const LIGHT_STOPS = ['#3B4436', '#7C8F5F', '#CBD692', '#F4EDB0', '#FFF9DC'];
const UV_LIMITS = [0.2, 0.5, 0.7, 1, 1.5, 2, 3, 4, 6, 8];
const LIGHT_LIMITS = [5, 15, 30, 60, 100, 150, 250, 400, 700];

interface Props {
  readonly forecast: Forecast | null;
  readonly overlay: OverlayName;
  readonly onOverlay: (overlay: OverlayName) => void;
  /** Record of the forecast that is shown. */
  readonly at: number;
  readonly onAt: (at: number) => void;
  readonly tools: DeviceTools;
}

const COLUMNS = 56;
const COARSE = 30;

/** The drawing with what the box will be like laid over it, and what makes it so to be taken hold of. */
export function Drawing({ forecast, overlay, onOverlay, at, onAt, tools }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { write, num, prefs } = useReader();
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
  const [today] = useState(() => localToday(new Date()));
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

  const shaded = useShaded(set, overlay === 'uv' || overlay === 'ppfd' ? overlay : null, plane);
  const field = useMemo((): Field | null => {
    if (overlay === 'soil') return null;
    const rows = (columns: number): number => Math.max(8, Math.round((columns * plane.height) / plane.width));
    if (overlay === 'uv' || overlay === 'ppfd')
      return (
        shaded ??
        fieldOf(
          overlay,
          lit.map((it) => it.lamp),
          plane,
          COARSE,
          rows(COARSE),
        )
      );
    return moment && momentField(overlay, moment, plane, COLUMNS, rows(COLUMNS));
  }, [overlay, shaded, lit, plane, moment]);

  const hour = forecast ? (forecast.run.t[record] ?? 0) % DAY : 43_200;
  const day = forecast ? hour >= forecast.light.from && hour < forecast.light.to : true;
  const animal = findAnimal(catalogue, design.brief.animal);
  const bands = forecast?.bands;
  const band = useMemo(() => {
    if (!animal || !bands) return null;
    if (overlay === 'warmth')
      return day
        ? { low: bands.cool.low, high: Math.max(bands.warm.high, bands.basking?.high ?? -50) }
        : bands.night;
    if (overlay === 'humidity') return day ? bands.humidityDay : bands.humidityNight;
    if (overlay === 'uv')
      return { low: -1, high: UV_ZONES[animal.climate.uvZone.value as UvZone].maximum[1] };
    return null;
  }, [animal, bands, overlay, day]);

  const scale = useMemo((): Scale => {
    switch (overlay) {
      case 'warmth':
        return {
          name: `Temperature, ${UNITS[unitFor('temperature', prefs)].symbol}`,
          limits: [16, 18, 20, 22, 24, 26, 28, 30, 33, 36, 40],
          colours: ramp(WARM_STOPS, 12),
          write: (it) => write(temperature(it), { bare: true, decimals: 0 }),
        };
      case 'humidity':
      case 'soil':
        return {
          name: 'Humidity',
          limits: [0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9],
          colours: ramp(DAMP_STOPS, 8),
          write: percentWord,
        };
      case 'uv':
        return {
          name: 'UV index',
          limits: UV_LIMITS,
          colours: ramp(UV_STOPS, UV_LIMITS.length + 1),
          write: (it) => String(it),
        };
      case 'ppfd':
        return {
          name: 'PPFD',
          limits: LIGHT_LIMITS,
          colours: ramp(LIGHT_STOPS, LIGHT_LIMITS.length + 1),
          write: (it) => String(it),
        };
    }
  }, [overlay, write, prefs]);

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
      {forecast && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 1 }}>
          <Box
            sx={{
              typography: 'body2',
              minWidth: forecast.run.days > 1 ? 104 : 48,
              fontVariantNumeric: 'tabular-nums',
              whiteSpace: 'nowrap',
            }}
          >
            {whenWord(forecast, record)}
          </Box>
          <Slider
            size="small"
            aria-label="Hour of the day"
            min={0}
            max={forecast.run.t.length - 1}
            step={1}
            value={record}
            valueLabelDisplay="off"
            getAriaValueText={(value) => whenWord(forecast, value)}
            onChange={(_, value) => onAt(Number(value))}
          />
          <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap' }}>
            {day ? 'lights on' : 'lights off'}
            {part ? ` · as set for ${part.name}` : ''}
          </Box>
        </Box>
      )}
    </Box>
  );
}

const SOIL_SCALE: Scale = {
  name: 'Water in the soil',
  limits: [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6],
  colours: ramp(DAMP_STOPS, 9),
  write: percentWord,
};

/** Day of the year of a record; a day or a week is one of its season throughout. */
const dayShown = ({ run, asked, from }: Forecast, record: number): number =>
  asked.span === 'year' ? from + Math.floor((run.t[record] ?? 0) / DAY) : from;

/** The moment of a record: an hour, a day and an hour, or a date and an hour. */
function whenWord({ run, asked }: Forecast, record: number): string {
  const t = run.t[record] ?? 0;
  const at = clock((t / 60) % 1440);
  if (asked.span !== 'year' && run.days <= 1) return at;
  const day = Math.floor(t / DAY);
  if (asked.span !== 'year') return `day ${day + 1}, ${at}`;
  return `${new Date(Date.UTC(2025, 0, 1 + day)).toLocaleDateString(undefined, { day: 'numeric', month: 'short', timeZone: 'UTC' })}, ${at}`;
}

/** Light with shadows, once the drawing rests; null while something moves. */
function useShaded(design: Design, name: 'uv' | 'ppfd' | null, plane: Plane): Field | null {
  const { catalogue } = useStore();
  const [found, setFound] = useState<{ readonly of: unknown; readonly field: Field } | null>(null);
  const key = useMemo(() => ({ name, plane, design }), [name, plane, design]);
  useEffect(() => {
    if (!key.name) return undefined;
    const { name: wanted } = key;
    let live = true;
    const timer = setTimeout(() => {
      const columns = 100;
      const rows = Math.max(10, Math.round((columns * key.plane.height) / key.plane.width));
      lightField(key.design, catalogue, wanted, key.plane, { columns, rows }, localToday(new Date())).then(
        (field) => live && setFound({ of: key, field }),
        () => undefined,
      );
    }, 180);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [key, catalogue]);
  return found?.of === key ? found.field : null;
}

/** Colours with their limits, and what the hatching says. */
function Legend({ scale, hatched }: { readonly scale: Scale; readonly hatched: boolean }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        typography: 'caption',
        color: 'earth.quiet',
      }}
    >
      <Box component="span">{scale.name}</Box>
      <Box
        component="ol"
        aria-label={`Colours of ${scale.name}`}
        sx={{ display: 'flex', listStyle: 'none', m: 0, p: 0 }}
      >
        {scale.colours.map((colour, index) => (
          <Box key={colour + String(index)} component="li" sx={{ textAlign: 'center' }}>
            <Box sx={{ width: 32, height: 8, bgcolor: colour }} />
            <Box
              component="span"
              sx={{
                display: 'inline-block',
                minWidth: 24,
                fontSize: '0.68rem',
                fontVariantNumeric: 'tabular-nums',
                transform: 'translateX(-16px)',
              }}
            >
              {index === 0 ? ' ' : scale.write(scale.limits[index - 1] ?? 0)}
            </Box>
          </Box>
        ))}
      </Box>
      {hatched && <Box component="span">Hatched: outside what the animal wants</Box>}
    </Box>
  );
}
