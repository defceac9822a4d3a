'use client';

import AddIcon from '@mui/icons-material/Add';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useMemo } from 'react';
import type { Design } from '@/core/document';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { LineField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { layerName } from '@/ui/words';

type Piece = Design['ground']['sunk'][number];
interface Into {
  readonly id: string;
  readonly name: string;
}

/** Wood and stone sunk in the soil: what they displace need not be bought. */
export function Sunk() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const into = assessment.layers.flatMap(({ layer, region }): Into[] => {
    if (layer.kind === 'barrier') return [];
    const where = design.ground.regions.find((it) => it.id === region)?.name;
    return [{ id: layer.id, name: `${layerName(layer, catalogue)}${where ? `, ${where}` : ''}` }];
  });
  const soil = (
    assessment.layers.findLast((it) => it.layer.kind === 'substrate' && it.region === null) ??
    assessment.layers.find((it) => it.layer.kind === 'substrate')
  )?.layer.id;
  return <SunkList sunk={design.ground.sunk} names={JSON.stringify(into)} soil={soil} />;
}

interface ListProps {
  readonly sunk: readonly Piece[];
  /** What a piece can be sunk in, written out: the same words while a layer is dragged. */
  readonly names: string;
  readonly soil: string | undefined;
}

const SunkList = memo(function SunkList({ sunk, names, soil }: ListProps) {
  const { edit } = useEditing();
  const into = useMemo(() => JSON.parse(names) as readonly Into[], [names]);
  return (
    <Box component="section" aria-labelledby="sunk" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.75 }}>
        <Typography variant="h2" id="sunk">
          Sunk in the ground
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
          Wood and stone below the surface: that much less soil.
        </Typography>
        <Button
          startIcon={<AddIcon fontSize="small" />}
          disabled={!soil}
          onClick={() =>
            soil &&
            edit({
              edit: 'addSunk',
              change: { layer: soil, name: 'Piece of wood', volume: 0.0005, mass: null },
            })
          }
        >
          Add a piece
        </Button>
      </Box>
      {sunk.map((piece) => (
        <Row key={piece.id} piece={piece} into={into} />
      ))}
    </Box>
  );
});

const Row = memo(function Row({ piece, into }: { readonly piece: Piece; readonly into: readonly Into[] }) {
  const { edit } = useEditing();
  const set = (change: Partial<Pick<Piece, 'name' | 'layer' | 'volume' | 'mass'>>) =>
    edit({ edit: 'setSunk', change: { piece: piece.id, ...change } });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '1.3fr 1.5fr 1fr 1fr 32px',
        gap: 1,
        mt: 1,
        alignItems: 'start',
      }}
    >
      <LineField key={piece.name} label="What" value={piece.name} onCommit={(name) => set({ name })} />
      <TextField
        select
        label="Sunk in"
        value={into.some((it) => it.id === piece.layer) ? piece.layer : ''}
        onChange={(event) => set({ layer: event.target.value })}
      >
        {into.map((it) => (
          <MenuItem key={it.id} value={it.id}>
            {it.name}
          </MenuItem>
        ))}
      </TextField>
      <QuantityField
        label="Displaces"
        measure="tank"
        value={piece.volume}
        max={1}
        step={0.0005}
        onCommit={(volume) => set({ volume })}
      />
      <QuantityField
        label="Weighs"
        measure="mass"
        value={piece.mass}
        max={2000}
        step={0.5}
        placeholder="not known"
        onCommit={(mass) => set({ mass })}
        onClear={() => set({ mass: null })}
      />
      <IconButton
        size="small"
        aria-label={`Take out ${piece.name}`}
        onClick={() => edit({ edit: 'removeSunk', change: { piece: piece.id } })}
        sx={{ mt: 0.5 }}
      >
        <CloseIcon sx={{ fontSize: 16 }} />
      </IconButton>
    </Box>
  );
});
