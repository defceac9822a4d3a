'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { CAUTIONS } from '@/catalogue';
import type { Piece } from '@/core/document';
import type { PieceResult } from '@/core/scape';
import { length, tank, speed } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { BasisMark } from '@/ui/BasisMark';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';

const HOUR = 3600;

/** Falls, pumps, filters; how deep it stands against the glass; the trial with water. */
export function WaterParts({ onPick }: { readonly onPick: (piece: string) => void }) {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { panes, standingWater } = assessment;
  const running = assessment.scape.pieces.filter((it) => it.placed.piece.pump !== null);
  const { trial } = design.scape;
  const add = (kind: string): void => {
    edit({ edit: 'addPiece', change: { kind } });
    const last = Math.max(0, ...design.scape.pieces.map((it) => Number(it.id.slice('piece-'.length)) || 0));
    onPick(`piece-${last + 1}`);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Panel label="Standing water">
        <Typography>
          {standingWater > 1e-6
            ? `${write(tank(standingWater))} stand in the enclosure, ${write(length(design.ground.waterDepth))} deep in the bed. Its depth, its pool and its way out are set in Ground.`
            : 'No water stands in the enclosure. A pool or a full-water bottom is made in Ground.'}
        </Typography>
        {panes && panes.kept > 0.005 && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
            Against {write(length(panes.kept))} of water the calculation asks for panes of{' '}
            {write(length(panes.neededKept))}; these are {write(length(panes.thickness))}.{' '}
            {CAUTIONS.panes.text} <BasisMark basis="cited" source="timoshenko-1959" />
          </Typography>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          {(
            [
              ['waterfall', 'Waterfall'],
              ['drip-wall', 'Drip wall'],
              ['sponge-filter', 'Sponge filter'],
              ['internal-filter', 'Internal filter'],
              ['pump', 'Pump'],
              ['cork-raft', 'Floating cork'],
            ] as const
          ).map(([kind, name]) => (
            <Button key={kind} variant="outlined" onClick={() => add(kind)}>
              {name}
            </Button>
          ))}
        </Box>
      </Panel>
      {running.map((it) => (
        <PumpPanel key={it.placed.piece.id} result={it} />
      ))}
      <Filters />
      <Panel label="Trial with water">
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
          Let everything that moves water run for a day: before any soil is in, and again after. Which walls
          get wet, what stays dry, does the level fall?
        </Typography>
        <Grid>
          {(['before', 'after'] as const).map((when) => (
            <DateField
              key={when}
              label={when === 'before' ? 'Tight, before the soil' : 'Tight, with the soil in'}
              value={trial[when]}
              onCommit={(day) => edit({ edit: 'setScape', change: { trial: { ...trial, [when]: day } } })}
              sx={{ gridColumn: 'span 2' }}
            />
          ))}
        </Grid>
      </Panel>
      {running.length > 0 && (
        <Box sx={{ borderLeft: 4, borderColor: 'earth.amber', pl: 1.5 }}>
          <Typography variant="h3" component="h2">
            {CAUTIONS.pumps.title}
          </Typography>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            {CAUTIONS.pumps.text} {CAUTIONS.electric.text}
          </Typography>
        </Box>
      )}
    </Box>
  );
}

const REGIME = {
  laminar: 'smooth (laminar)',
  between: 'between smooth and rough',
  turbulent: 'rough (turbulent)',
} as const;

/** A pump, its hose, and what comes out above. */
function PumpPanel({ result }: { readonly result: PieceResult }) {
  const { edit } = useEditing();
  const { write, num } = useReader();
  const { piece } = result.placed;
  const { pump } = piece;
  if (!pump || !result.water) return null;
  const { lift, working } = result.water;
  const set = (change: Partial<NonNullable<Piece['pump']>>) =>
    edit({ edit: 'setPiece', change: { piece: piece.id, change: { pump: { ...pump, ...change } } } });
  const hose = (change: Partial<typeof pump.hose>) => set({ hose: { ...pump.hose, ...change } });
  return (
    <Panel label={`Pump of ${piece.name.toLowerCase()}`}>
      <Grid>
        <QuantityField
          label="Moves at most, an hour"
          measure="tank"
          value={pump.maxFlow * HOUR}
          min={0.004}
          max={36}
          step={0.01}
          onCommit={(volume) => set({ maxFlow: volume / HOUR })}
        />
        <QuantityField
          label="Lifts at most"
          measure="length"
          value={pump.maxHead}
          min={0.05}
          max={20}
          step={0.05}
          onCommit={(maxHead) => set({ maxHead })}
        />
        <QuantityField
          label="Hose inside"
          measure="length"
          value={pump.hose.diameter}
          min={0.002}
          max={0.1}
          step={0.001}
          onCommit={(diameter) => hose({ diameter })}
        />
        <QuantityField
          label="Hose long"
          measure="length"
          value={pump.hose.length}
          max={20}
          step={0.05}
          onCommit={(long) => hose({ length: long })}
        />
        <NumberField
          key={pump.hose.bends}
          label="Bends"
          value={pump.hose.bends}
          min={0}
          max={40}
          onCommit={(bends) => hose({ bends: Math.round(bends) })}
        />
      </Grid>
      <FormControlLabel
        control={
          <Checkbox size="small" checked={pump.guarded} onChange={() => set({ guarded: !pump.guarded })} />
        }
        label="intake behind sponge or stones"
        slotProps={{ typography: { variant: 'body2' } }}
      />
      <Typography aria-live="polite">
        {working.flow > 0
          ? `${write(tank(working.flow * HOUR))} an hour come out, ${write(length(lift))} over the water.`
          : `Nothing comes out: ${write(length(lift))} is more than it lifts.`}
      </Typography>
      {working.flow > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          The hose takes {write(length(working.tube), { decimals: 1 })} of head, bends and ends{' '}
          {write(length(working.fittings), { decimals: 1 })}; {write(speed(working.velocity))}, Reynolds{' '}
          {num(working.reynolds, 0)}, {REGIME[working.regime]}. <BasisMark basis="computed" />
        </Typography>
      )}
    </Panel>
  );
}

/** The ways to keep water clear, beside one another. */
function Filters() {
  const { catalogue } = useStore();
  const { assessment } = useOpenDesign();
  const { write } = useReader();
  const water = assessment.standingWater;
  return (
    <Panel label="Filters, compared">
      <Box
        sx={{ mx: -1, overflowX: 'auto', '& td': { verticalAlign: 'top', whiteSpace: 'normal !important' } }}
      >
        <PlainTable label="Filters compared">
          <thead>
            <tr>
              <th scope="col">Filter</th>
              <th scope="col">for</th>
              <th scope="col">against</th>
              <th scope="col">care</th>
              <th scope="col" className="number">
                up to
              </th>
            </tr>
          </thead>
          <tbody>
            {catalogue.scape.filters.map((row) => {
              const suits = water > 1e-6 && water <= row.upTo.value;
              const { low, high } = row.turnover.value;
              return (
                <tr key={row.id} data-selected={suits}>
                  <td>
                    <b>{row.name}</b>
                    {high > 0 && water > 1e-6 && (
                      <Box sx={{ typography: 'caption', color: 'earth.quiet' }}>
                        {write(tank(water * low))} to {write(tank(water * high))} an hour
                      </Box>
                    )}
                  </td>
                  <td>{row.why}</td>
                  <td>{row.against}</td>
                  <td>{row.care}</td>
                  <td className="number">{write(tank(row.upTo.value))}</td>
                </tr>
              );
            })}
          </tbody>
        </PlainTable>
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5 }}>
        Common practice. {water > 1e-6 ? 'Shaded: large enough for the water that stands here.' : ''}
      </Typography>
    </Panel>
  );
}
