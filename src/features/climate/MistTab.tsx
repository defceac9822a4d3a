'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import CloseIcon from '@mui/icons-material/Close';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { findDeviceKind, findGauze } from '@/core/catalogue';
import { wetAt, type Forecast } from '@/core/climate';
import type { Climate, Vent } from '@/core/document';
import { siteAt } from '@/core/ground';
import { counted, tank, temperature } from '@/core/units';
import type { VerdictState } from '@/core/verdict';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { MistTimes } from './MistTimes';
import { SeasonNote } from './SeasonNote';
import { TimerField } from './TimerField';
import { Watering } from './Watering';
import { percentWord } from './words';

/** Water and air: when it is misted, what it draws on, how air comes through, what the hides are like. */
export function MistTab({
  forecast,
  verdict,
  onSeasons,
}: {
  readonly forecast: Forecast | null;
  readonly verdict: VerdictState;
  readonly onSeasons: () => void;
}) {
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <SeasonNote sets={(it) => it.mist !== null || it.topCover !== null} onSeasons={onSeasons} />
      <Mist />
      <Watering {...{ forecast, verdict }} />
      <Air />
      <Hides forecast={forecast} />
      <RainShadow />
    </Box>
  );
}

function Mist() {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { mist, falls, fills } = design.climate;
  const set = (change: Partial<Climate['mist']>) =>
    edit({ edit: 'setClimate', change: { mist: { ...mist, ...change } } });
  const [bottled, setBottled] = useState(mist.bottle ?? 0.005);
  const moving = assessment.scape.pieces.some((it) => it.placed.piece.pump !== null);
  return (
    <Panel label="Mist">
      <MistTimes label="Mistings" by={mist.by} mist={mist} onChange={set} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25, alignItems: 'flex-start' }}>
        <TextField
          select
          label="By"
          value={mist.by}
          onChange={(event) => set({ by: event.target.value as typeof mist.by })}
          sx={{ minWidth: 130 }}
        >
          <MenuItem value="nozzles">nozzles</MenuItem>
          <MenuItem value="hand">hand</MenuItem>
        </TextField>
        {mist.by === 'nozzles' && (
          <TextField
            select
            label="Draws on"
            value={mist.bottle === null ? 'mains' : 'bottle'}
            onChange={(event) => set({ bottle: event.target.value === 'mains' ? null : bottled })}
            sx={{ minWidth: 130 }}
          >
            <MenuItem value="bottle">a bottle</MenuItem>
            <MenuItem value="mains">the mains</MenuItem>
          </TextField>
        )}
        {mist.by === 'nozzles' && mist.bottle !== null && (
          <QuantityField
            label="Bottle holds"
            measure="tank"
            value={mist.bottle}
            min={0.0001}
            max={2}
            step={0.001}
            onCommit={(bottle) => {
              setBottled(bottle);
              set({ bottle });
            }}
            sx={{ width: 140 }}
          />
        )}
      </Box>
      <TextField
        select
        label="Dishes and pools are filled"
        value={fills === null ? 'never' : 'daily'}
        onChange={(event) =>
          edit({ edit: 'setClimate', change: { fills: event.target.value === 'never' ? null : 540 } })
        }
        sx={{ mt: 1.25, minWidth: 220 }}
      >
        <MenuItem value="daily">every day</MenuItem>
        <MenuItem value="never">by nobody</MenuItem>
      </TextField>
      {moving && (
        <TimerField
          timer={falls}
          label="Waterfall runs"
          onChange={(next) => edit({ edit: 'setClimate', change: { falls: next } })}
        />
      )}
      {mist.by === 'nozzles' && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          A larger bottle buys days:{' '}
          {mist.bottle === null
            ? 'the mains never end, so a nozzle that sticks floods'
            : `${write(tank(mist.bottle))} is what a nozzle that sticks can let in`}
          .
        </Typography>
      )}
    </Panel>
  );
}

function Air() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { enclosure, climate } = design;
  const gauze = findGauze(catalogue, climate.topGauze);
  const setVent = (vent: Vent, change: Partial<Vent>) =>
    edit({ edit: 'setVent', change: { vent: vent.id, change } });
  return (
    <Panel label="Air">
      {enclosure.top !== 'solid' && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <Box sx={{ typography: 'body2', minWidth: 170 }}>
            {percentWord(enclosure.topCover)} of the top is covered
          </Box>
          <Slider
            size="small"
            aria-label="Share of the top that is covered"
            min={0}
            max={1}
            step={0.05}
            value={enclosure.topCover}
            getAriaValueText={percentWord}
            valueLabelDisplay="off"
            onChange={(_, cover) =>
              edit({ edit: 'setEnclosure', change: { topCover: Number(cover) } }, 'cover')
            }
          />
        </Box>
      )}
      <TextField
        select
        label="Gauze of the top"
        value={climate.topGauze}
        onChange={(event) => edit({ edit: 'setClimate', change: { topGauze: event.target.value } })}
        helperText={gauze?.why}
        sx={{ mt: 1.25, minWidth: 240 }}
      >
        {catalogue.climate.gauzes.map((it) => (
          <MenuItem key={it.id} value={it.id}>
            {it.name}
          </MenuItem>
        ))}
      </TextField>
      {gauze && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          {percentWord(gauze.open.value)} of it is open; it lets {percentWord(gauze.uv.value.low)} to{' '}
          {percentWord(gauze.uv.value.high)} of UV through, which is disputed: measure under it.
        </Typography>
      )}
      <Box
        component="ul"
        aria-label="Vents"
        sx={{ listStyle: 'none', m: 0, mt: 1, p: 0, display: 'grid', gap: 1 }}
      >
        {climate.vents.map((vent, index) => (
          <Box
            key={vent.id}
            component="li"
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
          >
            <Box sx={{ typography: 'body2', minWidth: 90 }}>Vent in the {vent.wall}</Box>
            <QuantityField
              label={`Height of vent ${index + 1}`}
              measure="length"
              value={vent.height}
              max={enclosure.height}
              onCommit={(height) => setVent(vent, { height })}
              sx={{ width: 140 }}
            />
            <QuantityField
              label={`Area of vent ${index + 1}`}
              measure="patch"
              value={vent.area}
              max={4}
              step={0.001}
              onCommit={(area) => setVent(vent, { area })}
              sx={{ width: 150 }}
            />
            <TextField
              select
              label={`Gauze of vent ${index + 1}`}
              value={vent.gauze ?? ''}
              onChange={(event) =>
                setVent(vent, { gauze: event.target.value === '' ? null : event.target.value })
              }
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              sx={{ minWidth: 130 }}
            >
              <MenuItem value="">none</MenuItem>
              {catalogue.climate.gauzes.map((it) => (
                <MenuItem key={it.id} value={it.id}>
                  {it.name}
                </MenuItem>
              ))}
            </TextField>
            <IconButton
              size="small"
              aria-label={`Take out vent ${index + 1}`}
              onClick={() => edit({ edit: 'removeVent', change: { vent: vent.id } })}
            >
              <CloseIcon fontSize="small" />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button onClick={() => edit({ edit: 'addVent', change: { wall: 'back', where: 'low' } })}>
          Vent low in the back
        </Button>
        <Button onClick={() => edit({ edit: 'addVent', change: { wall: 'back', where: 'high' } })}>
          Vent high in the back
        </Button>
      </Box>
    </Panel>
  );
}

function Hides({ forecast }: { readonly forecast: Forecast | null }) {
  const { write } = useReader();
  const { assessment } = useOpenDesign();
  if (!forecast || forecast.hides.length === 0) return null;
  const nameOf = (piece: string): string =>
    assessment.ground.pieces.find((it) => it.piece.id === piece)?.piece.name ?? piece;
  return (
    <Panel label="Hide microclimates">
      <PlainTable label="Moist hides">
        <thead>
          <tr>
            <th>Hide</th>
            <th className="number">humidity inside</th>
            <th className="number">driest</th>
            <th className="number">temperature</th>
            <th className="number">wet it again after</th>
          </tr>
        </thead>
        <tbody>
          {forecast.hides.map((it) => (
            <tr key={it.piece}>
              <td>{nameOf(it.piece)}</td>
              <td className="number">{percentWord(it.humidity)}</td>
              <td className="number">{percentWord(it.driest)}</td>
              <td className="number">{write(temperature(it.temperature))}</td>
              <td className="number">
                {it.days === null || it.days > 30 ? 'a month or more' : counted(Math.max(1, it.days), 'day')}
              </td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
    </Panel>
  );
}

/** Which ground and walls get wet, and what stays in rain shadow. */
function RainShadow() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const nozzles = design.climate.devices.flatMap((device) => {
    const kind = findDeviceKind(catalogue, device.kind);
    return kind?.spray ? [{ at: device.at, half: kind.spray.value }] : [];
  });
  const { width, depth } = design.enclosure;
  const wet = useMemo(() => {
    const site = siteAt(design);
    const places: { x: number; y: number; wet: boolean }[] = [];
    const [n, m] = [18, 12];
    for (let i = 0; i < n; i += 1)
      for (let j = 0; j < m; j += 1) {
        const x = (width * (i + 0.5)) / n;
        const y = (depth * (j + 0.5)) / m;
        places.push({
          x,
          y,
          wet: wetAt({ x, y, z: site.groundAt(x, y) + 0.003 }, nozzles, assessment.ground.pieces),
        });
      }
    return places;
    // Nozzles are made afresh each time; the design is what they come from.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [design, assessment.ground.pieces, width, depth]);
  if (nozzles.length === 0) return null;
  const share = wet.filter((it) => it.wet).length / wet.length;
  const scale = 260 / width;
  return (
    <Panel label="Where the mist falls">
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <svg
          width={260}
          height={depth * scale}
          role="img"
          aria-label={`Seen from above: ${percentWord(share)} of the ground is wetted`}
        >
          <rect width={260} height={depth * scale} fill="none" stroke="currentColor" strokeOpacity={0.4} />
          {wet.map((it, index) =>
            it.wet ? (
              <circle
                key={index}
                cx={it.x * scale}
                cy={(depth - it.y) * scale}
                r={4.5}
                fill="#3A7C8C"
                opacity={0.75}
              />
            ) : (
              <circle
                key={index}
                cx={it.x * scale}
                cy={(depth - it.y) * scale}
                r={1.5}
                fill="currentColor"
                opacity={0.45}
              />
            ),
          )}
          {nozzles.map((it, index) => (
            <path
              key={index}
              d={`M ${it.at.x * scale - 6} ${(depth - it.at.y) * scale + 5} h 12 l -6 -11 Z`}
              fill="currentColor"
            />
          ))}
        </svg>
        <Typography variant="body2" sx={{ flex: 1, minWidth: 160 }}>
          Seen from above, the back at the top. {percentWord(share)} of the ground is wetted; small dots stay
          in rain shadow. Try nozzles before the soil goes in and again after.
        </Typography>
      </Box>
    </Panel>
  );
}
