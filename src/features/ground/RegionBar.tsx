'use client';

import AddIcon from '@mui/icons-material/Add';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useState } from 'react';
import { Region } from '@/core/document';
import { REGION_KINDS, type RegionKind } from '@/core/edits';
import { boundsOf } from '@/core/ground';
import { bag, percent } from '@/core/units';
import { useEditing, useOpenDesign } from '@/store';
import { LineField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { partOf, REGION_WORD } from './places';

interface BarProps {
  /** Regions by id and name, in order. */
  readonly names: readonly { readonly id: string; readonly name: string }[];
  readonly place: string | null;
  readonly onPlace: (place: string | null) => void;
  readonly onAdd: (kind: RegionKind) => void;
}

/** Which part of the floor is worked on. */
export const RegionBar = memo(function RegionBar({ names, place, onPlace, onAdd }: BarProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const tab = (id: string | null, name: string) => (
    <Button
      key={id ?? 'rest'}
      variant="outlined"
      aria-pressed={place === id}
      onClick={() => onPlace(id)}
      sx={{
        '&[aria-pressed=true]': { borderColor: 'earth.moss', bgcolor: 'earth.mossWash', color: 'earth.ink' },
      }}
    >
      {name}
    </Button>
  );
  return (
    <Box
      role="group"
      aria-label="Parts of the floor"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1.75, alignItems: 'center' }}
    >
      {tab(null, names.length === 0 ? 'Whole floor' : 'Rest of the floor')}
      {names.map(({ id, name }) => tab(id, name))}
      <Button
        startIcon={<AddIcon fontSize="small" />}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Add a region
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {REGION_KINDS.map((kind) => (
          <MenuItem
            key={kind}
            onClick={() => {
              setAnchor(null);
              onAdd(kind);
            }}
          >
            <ListItemText primary={REGION_WORD[kind].name} secondary={REGION_WORD[kind].why} />
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
});

const REPLACES: Record<Region['replaces'], string> = {
  all: 'from the floor up',
  'above-barrier': 'from the barrier up',
  topping: 'only what lies on the soil',
};

/** A region's place in the floor, and what it takes the place of. */
export function RegionFields({ region, onGone }: { readonly region: Region; readonly onGone: () => void }) {
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const part = partOf(assessment, region.id);
  const bounds = boundsOf(region.outline);
  const at = design.ground.regions.findIndex((it) => it.id === region.id);
  const box = { x: bounds.x0, y: bounds.y0, width: bounds.x1 - bounds.x0, depth: bounds.y1 - bounds.y0 };
  const floor = design.enclosure;
  const side = (key: keyof typeof box, label: string, max: number) => (
    <QuantityField
      label={label}
      measure="length"
      value={box[key]}
      max={max}
      min={key === 'width' || key === 'depth' ? 0.02 : 0}
      step={0.01}
      onCommit={(si) => edit({ edit: 'setBounds', change: { region: region.id, ...box, [key]: si } })}
    />
  );
  const litres = part?.stack.filter((it) => it.region === region.id).reduce((sum, it) => sum + it.placed, 0);
  return (
    <Box
      component="section"
      aria-label={`Region ${region.name}`}
      sx={{
        mt: 1,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        p: 1.75,
      }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.4fr 1.4fr 1fr', gap: 1.25 }}>
        <LineField
          key={region.name}
          label="Name of this region"
          value={region.name}
          onCommit={(name) => edit({ edit: 'setRegion', change: { region: region.id, name } })}
        />
        <TextField
          select
          label="Takes the place of what lies"
          value={region.replaces}
          onChange={(event) =>
            edit({
              edit: 'setRegion',
              change: { region: region.id, replaces: Region.shape.replaces.parse(event.target.value) },
            })
          }
        >
          {Region.shape.replaces.options.map((value) => (
            <MenuItem key={value} value={value}>
              {REPLACES[value]}
            </MenuItem>
          ))}
        </TextField>
        <QuantityField
          label="Damp from below"
          measure="percent"
          value={region.moistShare}
          max={1}
          step={0.1}
          placeholder="as the rest"
          onCommit={(moistShare) => edit({ edit: 'setRegion', change: { region: region.id, moistShare } })}
          onClear={() => edit({ edit: 'setRegion', change: { region: region.id, moistShare: null } })}
        />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, minmax(0, 1fr))', gap: 1.25, mt: 1.25 }}>
        {side('x', 'From the left', floor.width)}
        {side('y', 'From the front', floor.depth)}
        {side('width', 'Width', floor.width)}
        {side('depth', 'Depth', floor.depth)}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}>
        <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
          {part
            ? `${write(percent(part.area / (floor.width * floor.depth)))} of the floor, ${write(bag(litres ?? 0))} of its own. Its corners are moved in the plan.`
            : 'It lies wholly under other regions.'}
        </Typography>
        <Button
          disabled={at >= design.ground.regions.length - 1}
          onClick={() => edit({ edit: 'orderRegion', change: { region: region.id, by: 1 } })}
        >
          Lay over the next
        </Button>
        <Button
          onClick={() => {
            edit({ edit: 'removeRegion', change: { region: region.id } });
            onGone();
          }}
        >
          Take out
        </Button>
      </Box>
    </Box>
  );
}
