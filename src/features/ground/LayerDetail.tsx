'use client';

import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { memo, useCallback, useEffect, useRef } from 'react';
import { materialOf, bedOfMaterial } from '@/core/catalogue';
import type { BarrierLayer, Hole, ThickLayer } from '@/core/document';
import { type Corner, type LayerResult } from '@/core/ground';
import { length, percent } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { useReader } from '@/ui/units';
import { DrainageFields, WaterFields } from './Drainage';
import { CORNER_WORD, MaterialField } from './layerFields';
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
  const put = (holes: readonly Hole[]) => edit({ edit: 'setHoles', change: { layer: layer.id, holes } });
  const set = (at: number, change: Partial<Hole>) =>
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
  // What is not poured stands level.
  if (layer.kind === 'drainage' && bedOfMaterial(materialOf(catalogue, layer.material))?.poured === false)
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
