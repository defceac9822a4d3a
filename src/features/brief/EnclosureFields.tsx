'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Enclosure } from '@/core/document';
import { length } from '@/core/units';
import { outsideSize, usualPanel, usualWall } from '@/core/enclosure';
import { useEditing, useOpenDesign } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { WallFields } from './WallFields';

/** Fetched when it is asked for. */
const TurnDialog = dynamic(() => import('./TurnDialog').then((it) => it.TurnDialog));

const WORDS = {
  material: { glass: 'glass', acrylic: 'acrylic', pvc: 'foamed PVC', timber: 'timber', mesh: 'mesh' },
  top: { open: 'open', mesh: 'mesh lid', solid: 'closed lid' },
  front: { fixed: 'fixed pane', doors: 'doors' },
  build: { box: 'free-standing', 'walk-in': 'a walk-in, built in place' },
} as const;
const SIDE_KEYS = ['width', 'depth', 'height'] as const;

/** The box: sides, what it is made of, where it opens, what it holds. */
export function EnclosureFields() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const box = design.enclosure;
  const set = (change: Partial<Enclosure>) => edit({ edit: 'setEnclosure', change });
  const longest = Math.max(box.width, box.depth, box.height);

  const [outside, setOutside] = useState(false);
  const [turning, setTurning] = useState(false);
  const outer = outsideSize(box);
  // A side given outside is its inside and the walls at both its ends.
  const side = (key: 'width' | 'depth' | 'height', label: string) => {
    const walls = outside ? outer[key] - box[key] : 0;
    return (
      <QuantityField
        label={`${label} ${outside ? 'outside' : 'inside'}`}
        measure="length"
        value={box[key] + walls}
        min={0.05 + walls}
        max={10}
        step={0.05}
        onCommit={(si) => set({ [key]: si - walls })}
      />
    );
  };
  const choose = <K extends keyof typeof WORDS>(key: K, label: string) => (
    <TextField
      select
      label={label}
      value={box[key]}
      onChange={(event) => {
        const parsed = Enclosure.shape[key].safeParse(event.target.value);
        if (!parsed.success) return;
        const change: Partial<Enclosure> = { [key]: parsed.data };
        // Another material comes in another thickness.
        if (key === 'material') {
          const material = parsed.data as Enclosure['material'];
          change.wallThickness = usualWall(material, longest);
          // Boxes of board and of foamed PVC open by panes of glass; any other make is of one stuff.
          const panes = box.front === 'doors' && (material === 'pvc' || material === 'timber');
          change.panels = panes ? [{ wall: 'front', ...usualPanel(box, 'front', 'glass') }] : [];
        }
        // A room has a door in its front, no panes.
        if (key === 'build' && parsed.data === 'walk-in')
          change.panels = box.panels.filter((it) => it.wall !== 'front');
        set(change);
      }}
    >
      {Object.entries(WORDS[key]).map(([value, word]) => (
        <MenuItem key={value} value={value}>
          {word}
        </MenuItem>
      ))}
    </TextField>
  );

  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(132px, 1fr))', gap: 1.25 }}>
        {side('width', 'Width')}
        {side('depth', 'Depth')}
        {side('height', 'Height')}
        {choose('build', 'Built as')}
        {choose('material', 'Made of')}
        {choose('front', 'Front')}
        {choose('top', 'Top')}
        <QuantityField
          label="Top covered"
          measure="percent"
          value={box.topCover}
          max={1}
          step={0.05}
          disabled={box.top === 'solid'}
          onCommit={(si) => set({ topCover: si })}
        />
        <QuantityField
          label="Holds water to"
          measure="length"
          value={box.watertightHeight}
          max={box.height}
          step={0.01}
          onCommit={(si) => set({ watertightHeight: si })}
        />
        <QuantityField
          label="Wall thickness"
          measure="length"
          value={box.wallThickness}
          min={0.0005}
          max={0.2}
          step={0.001}
          onCommit={(si) => set({ wallThickness: si })}
        />
        <QuantityField
          label="Weighed empty"
          measure="mass"
          value={box.emptyMass}
          max={5000}
          step={0.5}
          placeholder="not weighed"
          onCommit={(si) => set({ emptyMass: si })}
          onClear={() => set({ emptyMass: null })}
        />
        <QuantityField
          label="Stand rated for"
          measure="mass"
          value={box.standRating}
          max={50_000}
          step={5}
          placeholder="not known"
          onCommit={(si) => set({ standRating: si })}
          onClear={() => set({ standRating: null })}
        />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', columnGap: 2, mt: 0.75 }}>
        <FormControlLabel
          control={<Checkbox size="small" checked={outside} onChange={(_, on) => setOutside(on)} />}
          label="Sides given outside"
        />
        <Box sx={{ typography: 'body2', color: 'earth.quiet', flex: 1, minWidth: 200 }}>
          {outside ? 'Inside' : 'Outside'}{' '}
          {SIDE_KEYS.map((key) => write(length(outside ? box[key] : outer[key]), { trim: true })).join(' × ')}
        </Box>
      </Box>
      <WallFields />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1.25 }}>
        <Button variant="outlined" onClick={() => setTurning(true)}>
          {box.stands === 'upright' ? 'Stand it on its end' : 'Lay it back down'}
        </Button>
        <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
          {box.stands === 'upright'
            ? 'It stands as it was made.'
            : 'It stands on its end, with a sill that holds its soil. Check what still holds water.'}
        </Box>
      </Box>
      {turning && <TurnDialog onClose={() => setTurning(false)} />}
    </>
  );
}
