'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { BED_IDS, bedOfMaterial, materialOf } from '@/core/catalogue';
import type { Layer, Outlet, WaterLayer } from '@/core/document';
import { corners, type LayerResult } from '@/core/ground';
import { length, percent, tank } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { useReader } from '@/ui/units';
import { CORNER_WORD, MaterialField } from './layerFields';

interface DrainageProps {
  readonly layer: Extract<Layer, { kind: 'drainage' }>;
  readonly result: LayerResult;
}

/** What drains, what it stands on, and how the water leaves. */
export function DrainageFields({ layer, result }: DrainageProps) {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { catalogue } = useStore();
  const { write } = useReader();
  const { drainage } = assessment;
  const row = materialOf(catalogue, layer.material);
  const bed = bedOfMaterial(row);
  return (
    <>
      <Grid>
        <MaterialField layer={layer} roles={BED_IDS} />
        <QuantityField
          label="Water kept"
          measure="length"
          value={design.ground.waterDepth}
          max={design.enclosure.height}
          onCommit={(depth) => edit({ edit: 'setWaterDepth', change: { depth } })}
        />
        {bed?.poured === false && (
          <QuantityField
            label="Height of its top"
            measure="length"
            value={layer.thickness.frontLeft}
            min={0.02}
            max={() => layer.thickness.frontLeft + Math.max(0, assessment.heightLeft)}
            onCommit={(thickness) =>
              edit({ edit: 'setThickness', change: { layer: layer.id, corners: ['frontLeft'], thickness } })
            }
          />
        )}
      </Grid>
      {bed?.legs && <PanelFields />}
      <OutletFields />
      {drainage && row.voids && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.25 }}>
          Holds {write(tank(result.water))} now; all of it {write(tank(drainage.held))}, and{' '}
          {write(tank(drainage.capacity))} up to the barrier. {write(percent(result.voids ?? 0))} of this
          layer is open to water <BasisMark basis={row.voids.basis} />
        </Typography>
      )}
    </>
  );
}

/** What a raised panel stands on. */
function PanelFields() {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { panel } = design.ground;
  const legs = assessment.lists.cut.find((it) => it.what === 'legs');
  return (
    <Box sx={{ mt: 1.5 }}>
      <Grid>
        <QuantityField
          label="Legs at most apart"
          measure="length"
          value={panel.spacing}
          min={0.03}
          max={1}
          step={0.01}
          onCommit={(spacing) => edit({ edit: 'setPanel', change: { spacing } })}
        />
        <QuantityField
          label="Leg across"
          measure="length"
          value={panel.leg}
          min={0.005}
          max={0.2}
          step={0.001}
          onCommit={(leg) => edit({ edit: 'setPanel', change: { leg } })}
        />
        <QuantityField
          label="Sheet rated for"
          measure="areal"
          value={panel.rating}
          min={1}
          max={10_000}
          step={5}
          placeholder="not known"
          onCommit={(rating) => edit({ edit: 'setPanel', change: { rating } })}
          onClear={() => edit({ edit: 'setPanel', change: { rating: null } })}
        />
      </Grid>
      {legs && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
          {legs.count} legs, each cut {write(length(legs.width))} long and notched at the foot so that water
          passes.
        </Typography>
      )}
    </Box>
  );
}

const OUTLETS = [
  { value: 'none', name: 'None', why: 'Nothing to make; nothing to see by.' },
  { value: 'drain', name: 'Drain', why: 'Keeps the water at its height by itself.' },
  { value: 'siphon', name: 'Siphon tube', why: 'A tube down to the floor to look and suck through.' },
  { value: 'lift-out', name: 'Lift-out corner', why: 'A basket of soil; a hand reaches the floor.' },
] as const satisfies readonly { value: Outlet['kind']; name: string; why: string }[];

/** How the water can leave. */
function OutletFields() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { outlet } = design.ground;
  const { width, depth } = design.enclosure;
  const put = useCallback((next: Outlet) => edit({ edit: 'setOutlet', change: { outlet: next } }), [edit]);
  const choose = useCallback(
    (kind: Outlet['kind']) => {
      if (kind === 'none') put({ kind });
      if (kind === 'drain') put({ kind, bore: 0.012, height: 0.015 });
      if (kind === 'siphon')
        put({
          kind,
          diameter: 0.025,
          at: { x: Math.max(0.02, width - 0.04), y: Math.max(0.02, depth - 0.04) },
        });
      if (kind === 'lift-out')
        put({ kind, corner: 'backRight', width: Math.min(0.1, width / 3), depth: Math.min(0.1, depth / 3) });
    },
    [put, width, depth],
  );
  const field = (label: string, value: number, max: number, onCommit: (si: number) => void, min = 0.002) => (
    <QuantityField
      label={label}
      measure="length"
      value={value}
      min={min}
      max={max}
      step={0.001}
      onCommit={onCommit}
    />
  );
  return (
    <Box sx={{ mt: 1.5 }}>
      <Typography variant="h3" component="h3" sx={{ mb: 0.5 }}>
        How the water leaves
      </Typography>
      <Choice
        label="How the water leaves"
        least={118}
        options={OUTLETS}
        value={outlet.kind}
        onChange={choose}
      />
      {outlet.kind !== 'none' && (
        <Box sx={{ mt: 1.25 }}>
          <Grid>
            {outlet.kind === 'drain' && (
              <>
                {field('Drain, inside bore', outlet.bore, 0.2, (bore) => put({ ...outlet, bore }))}
                {field('Opens above the floor', outlet.height, 1, (height) => put({ ...outlet, height }), 0)}
              </>
            )}
            {outlet.kind === 'siphon' && (
              <>
                {field(
                  'Tube, outside',
                  outlet.diameter,
                  0.3,
                  (diameter) => put({ ...outlet, diameter }),
                  0.005,
                )}
                {field(
                  'From the left',
                  outlet.at.x,
                  width,
                  (x) => put({ ...outlet, at: { ...outlet.at, x } }),
                  0,
                )}
                {field(
                  'From the front',
                  outlet.at.y,
                  depth,
                  (y) => put({ ...outlet, at: { ...outlet.at, y } }),
                  0,
                )}
              </>
            )}
            {outlet.kind === 'lift-out' && (
              <>
                <TextField
                  select
                  label="Which corner"
                  value={outlet.corner}
                  onChange={(event) => {
                    const corner = corners.CORNERS.find((it) => it === event.target.value);
                    if (corner) put({ ...outlet, corner });
                  }}
                >
                  {corners.CORNERS.map((corner) => (
                    <MenuItem key={corner} value={corner}>
                      {CORNER_WORD[corner].toLowerCase()}
                    </MenuItem>
                  ))}
                </TextField>
                {field('Width', outlet.width, width, (wide) => put({ ...outlet, width: wide }), 0.02)}
                {field('Depth', outlet.depth, depth, (deep) => put({ ...outlet, depth: deep }), 0.02)}
              </>
            )}
          </Grid>
        </Box>
      )}
    </Box>
  );
}

interface WaterProps {
  readonly layer: WaterLayer;
  readonly result: LayerResult;
}

/** Open water: one with the bed, or with a level of its own. */
export function WaterFields({ layer, result }: WaterProps) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const apart = layer.level !== null;
  return (
    <>
      <Choice
        label="How high it stands"
        value={apart ? 'own' : 'bed'}
        onChange={(value) =>
          edit({
            edit: 'setWaterLevel',
            change: { layer: layer.id, level: value === 'bed' ? null : design.ground.waterDepth },
          })
        }
        options={[
          {
            value: 'bed',
            name: 'As high as the water in the enclosure',
            why: 'One water: it rises and falls with it.',
          },
          { value: 'own', name: 'At a level of its own', why: 'In a bowl or behind a dam that holds.' },
        ]}
      />
      <Box sx={{ mt: 1.5 }}>
        <Grid>
          <QuantityField
            label={apart ? 'Level above the floor' : 'Water kept'}
            measure="length"
            value={layer.level ?? design.ground.waterDepth}
            max={design.enclosure.height}
            onCommit={(level) =>
              apart
                ? edit({ edit: 'setWaterLevel', change: { layer: layer.id, level } })
                : edit({ edit: 'setWaterDepth', change: { depth: level } })
            }
          />
        </Grid>
      </Box>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.25 }}>
        {write(tank(result.placed))} of open water,{' '}
        {write(length(Math.max(...Object.values(result.thickness))))} at its deepest.
      </Typography>
      <OutletFields />
    </>
  );
}
