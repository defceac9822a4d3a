'use client';

import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useCallback, useEffect, useRef, type ReactNode } from 'react';
import { materialOf, materialsFor, type Role } from '@/core/catalogue';
import type { BarrierLayer, Hole, Layer, Outlet, ThickLayer, WaterLayer } from '@/core/design';
import { corners, type Corner, type LayerResult } from '@/core/ground';
import { length, percent, tank } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { MixEditor } from './MixEditor';
import { partOf } from './places';

/** What can be changed in the layer that is picked. */
export function LayerDetail({ result }: { readonly result: LayerResult }) {
  const { layer } = result;
  return (
    <Box
      component="section"
      aria-label="The layer that is picked"
      sx={{
        mt: 1.5,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        p: 1.75,
      }}
    >
      {layer.kind === 'substrate' && <MixEditor layer={layer} result={result} />}
      {layer.kind === 'drainage' && <DrainageFields layer={layer} result={result} />}
      {layer.kind === 'barrier' && <BarrierFields layer={layer} />}
      {(layer.kind === 'thin' || layer.kind === 'moss' || layer.kind === 'litter') && (
        <Grid>
          <MaterialField layer={layer} roles={[layer.kind]} />
        </Grid>
      )}
      {layer.kind === 'water' && <WaterFields layer={layer} result={result} />}
      {layer.kind !== 'barrier' && layer.kind !== 'water' && (
        <CornerFields layer={layer} region={result.region} />
      )}
    </Box>
  );
}

function Grid({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, minmax(136px, 1fr))',
        gap: 1.25,
        alignItems: 'start',
      }}
    >
      {children}
    </Box>
  );
}

interface MaterialProps {
  readonly layer: Exclude<Layer, { kind: 'substrate' | 'water' }>;
  readonly roles: readonly Role[];
}

function MaterialField({ layer, roles }: MaterialProps) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  const rows = roles.flatMap((role) => materialsFor(catalogue, role));
  const known = rows.some((row) => row.id === layer.material);
  return (
    <TextField
      select
      label="Material"
      value={known ? layer.material : ''}
      onChange={(event) =>
        edit({ edit: 'setLayerMaterial', change: { layer: layer.id, material: event.target.value } })
      }
      sx={{ gridColumn: 'span 2' }}
    >
      {rows.map((row) => (
        <MenuItem key={row.id} value={row.id}>
          {row.name}
        </MenuItem>
      ))}
    </TextField>
  );
}

interface DrainageProps {
  readonly layer: Extract<Layer, { kind: 'drainage' }>;
  readonly result: LayerResult;
}

function DrainageFields({ layer, result }: DrainageProps) {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { catalogue } = useStore();
  const { write } = useReader();
  const { drainage } = assessment;
  const row = materialOf(catalogue, layer.material);
  const panel = row.roles.includes('raised-panel');
  return (
    <>
      <Grid>
        <MaterialField layer={layer} roles={['bead-bed', 'raised-panel', 'foam-grid']} />
        <QuantityField
          label="Water kept"
          measure="length"
          value={design.ground.waterDepth}
          max={design.enclosure.height}
          onCommit={(depth) => edit({ edit: 'setWaterDepth', change: { depth } })}
        />
        {(panel || row.roles.includes('foam-grid')) && (
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
      {panel && <PanelFields />}
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
          label="Sheet rated for, a m²"
          measure="mass"
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
  { value: 'lift-out', name: 'Corner that lifts out', why: 'A basket of soil; a hand reaches the floor.' },
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
function WaterFields({ layer, result }: WaterProps) {
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
            name: 'As high as the water in the box',
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

function BarrierFields({ layer }: { readonly layer: BarrierLayer }) {
  const { assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const cut = assessment.lists.cut.find((it) => it.layer === layer.id);
  return (
    <>
      <Choice
        label="How the barrier meets the walls"
        value={layer.edge}
        onChange={(edge) => edit({ edit: 'setBarrier', change: { layer: layer.id, edge } })}
        options={[
          { value: 'upturned', name: 'Turned up at the walls', why: 'Soil cannot slip past the edge.' },
          {
            value: 'flat',
            name: 'Cut to the floor',
            why: 'Nothing shows through the glass; pack the edges.',
          },
        ]}
      />
      <Box sx={{ mt: 1.5 }}>
        <Grid>
          <MaterialField layer={layer} roles={['barrier']} />
          <QuantityField
            label="Upturn"
            measure="length"
            value={layer.upturn}
            max={0.3}
            disabled={layer.edge === 'flat'}
            onCommit={(upturn) => edit({ edit: 'setBarrier', change: { layer: layer.id, upturn } })}
          />
          <QuantityField
            label="Overlap at a join"
            measure="length"
            value={layer.overlap}
            max={0.3}
            onCommit={(overlap) => edit({ edit: 'setBarrier', change: { layer: layer.id, overlap } })}
          />
        </Grid>
      </Box>
      <Holes layer={layer} />
      {cut?.roll && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.25 }}>
          {write(length(cut.width))} × {write(length(cut.depth))} from a roll{' '}
          {write(length(cut.roll.rollWidth))} wide:{' '}
          {cut.roll.strips === 1
            ? 'one piece'
            : `${cut.roll.strips} strips, each ${write(length(cut.roll.stripBreadth))} broad`}
          , {write(length(cut.roll.rollLength))} of roll, {write(percent(cut.roll.waste))} left over.
        </Typography>
      )}
    </>
  );
}

/** Holes for pipes: cut before it goes in, packed tight around the pipe. */
function Holes({ layer }: { readonly layer: BarrierLayer }) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { width, depth } = design.enclosure;
  const put = (holes: readonly Hole[]): void =>
    edit({ edit: 'setHoles', change: { layer: layer.id, holes } });
  const set = (at: number, change: Partial<Hole>): void =>
    put(layer.holes.map((hole, index) => (index === at ? { ...hole, ...change } : hole)));
  return (
    <Box sx={{ mt: 1.25 }}>
      {layer.holes.map((hole, index) => (
        <Box
          key={index}
          role="group"
          aria-label={`Hole ${index + 1}`}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr 32px', gap: 1, mb: 1 }}
        >
          <QuantityField
            label="Hole across"
            measure="length"
            value={hole.diameter}
            min={0.002}
            max={0.5}
            step={0.001}
            onCommit={(diameter) => set(index, { diameter })}
          />
          <QuantityField
            label="From the left"
            measure="length"
            value={hole.x}
            max={width}
            onCommit={(x) => set(index, { x })}
          />
          <QuantityField
            label="From the front"
            measure="length"
            value={hole.y}
            max={depth}
            onCommit={(y) => set(index, { y })}
          />
          <IconButton
            size="small"
            aria-label={`Take out hole ${index + 1}`}
            onClick={() => put(layer.holes.filter((_, at) => at !== index))}
          >
            <CloseIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <Button
        startIcon={<AddIcon fontSize="small" />}
        disabled={layer.holes.length >= 20}
        onClick={() => put([...layer.holes, { x: width - 0.05, y: depth - 0.05, diameter: 0.025 }])}
      >
        Hole for a pipe
      </Button>
    </Box>
  );
}

const CORNER_WORD: Record<Corner, string> = {
  backLeft: 'Back left',
  backRight: 'Back right',
  frontLeft: 'Front left',
  frontRight: 'Front right',
};

/** Depth at each corner of the floor, front before back. */
interface CornersProps {
  readonly layer: ThickLayer;
  readonly region: string | null;
}

function CornerFields({ layer, region }: CornersProps) {
  const { design, assessment } = useOpenDesign();
  const { catalogue } = useStore();
  const spare = useRef(0);
  const left = design.enclosure.height - (partOf(assessment, region)?.high ?? 0);
  useEffect(() => {
    spare.current = Math.max(0, left);
  }, [left]);
  const room = useCallback(() => spare.current, []);
  // A panel and a foam stand level.
  if (layer.kind === 'drainage' && !materialOf(catalogue, layer.material).roles.includes('bead-bed'))
    return null;
  return (
    <Box
      sx={{ mt: 1.75, display: 'grid', gridTemplateColumns: 'repeat(4, minmax(0, 1fr))', gap: 1.25 }}
      role="group"
      aria-label="Depth at each corner"
    >
      {(['frontLeft', 'frontRight', 'backLeft', 'backRight'] as const).map((corner) => (
        <CornerField
          key={corner}
          layer={layer.id}
          corner={corner}
          value={layer.thickness[corner]}
          room={room}
        />
      ))}
    </Box>
  );
}

interface CornerProps {
  readonly layer: string;
  readonly corner: Corner;
  readonly value: number;
  /** m left under the lid. */
  readonly room: () => number;
}

const CornerField = memo(function CornerField({ layer, corner, value, room }: CornerProps) {
  const { edit } = useEditing();
  return (
    <QuantityField
      label={CORNER_WORD[corner]}
      measure="length"
      value={value}
      max={() => value + room()}
      onCommit={(thickness) =>
        edit({ edit: 'setThickness', change: { layer, corners: [corner], thickness } })
      }
    />
  );
});
