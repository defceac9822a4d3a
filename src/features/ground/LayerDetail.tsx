'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useCallback, useEffect, useRef, type ReactNode } from 'react';
import { materialsFor, type Role } from '@/core/catalogue';
import type { BarrierLayer, Layer, ThickLayer } from '@/core/design';
import { type Corner, type LayerResult } from '@/core/ground';
import { length, percent, tank } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { MixEditor } from './MixEditor';

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
      {layer.kind === 'drainage' && <DrainageFields layer={layer} />}
      {layer.kind === 'barrier' && <BarrierFields layer={layer} />}
      {(layer.kind === 'thin' || layer.kind === 'moss' || layer.kind === 'litter') && (
        <Grid>
          <MaterialField layer={layer} roles={[layer.kind]} />
        </Grid>
      )}
      {layer.kind !== 'barrier' && <CornerFields layer={layer} />}
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
  readonly layer: Exclude<Layer, { kind: 'substrate' }>;
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

function DrainageFields({ layer }: { readonly layer: Extract<Layer, { kind: 'drainage' }> }) {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { catalogue } = useStore();
  const { write } = useReader();
  const { drainage } = assessment;
  const voids = catalogue.materials.find((row) => row.id === layer.material)?.voids;
  return (
    <>
      <Grid>
        <MaterialField layer={layer} roles={['bead-bed', 'raised-panel']} />
        <QuantityField
          label="Water kept"
          measure="length"
          value={design.ground.waterDepth}
          max={design.enclosure.height}
          onCommit={(depth) => edit({ edit: 'setWaterDepth', change: { depth } })}
        />
        <QuantityField
          label="Drain, inside bore"
          measure="length"
          value={design.ground.drainBore}
          min={0.002}
          max={0.2}
          step={0.001}
          placeholder="no drain"
          onCommit={(bore) => edit({ edit: 'setDrainBore', change: { bore } })}
          onClear={() => edit({ edit: 'setDrainBore', change: { bore: null } })}
        />
      </Grid>
      {drainage && voids && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.25 }}>
          Holds {write(tank(drainage.held))} now and {write(tank(drainage.capacity))} up to the barrier;{' '}
          {write(percent(voids.value))} of it is open to water <BasisMark basis={voids.basis} />
        </Typography>
      )}
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

const CORNER_WORD: Record<Corner, string> = {
  backLeft: 'Back left',
  backRight: 'Back right',
  frontLeft: 'Front left',
  frontRight: 'Front right',
};

/** Depth at each corner of the floor, front before back. */
function CornerFields({ layer }: { readonly layer: ThickLayer }) {
  const { design, assessment } = useOpenDesign();
  const spare = useRef(0);
  useEffect(() => {
    spare.current = Math.max(0, assessment.heightLeft);
  }, [assessment.heightLeft]);
  const room = useCallback(() => spare.current, []);
  if (layer.kind === 'drainage' && design.ground.method === 'raised-panel') return null;
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
