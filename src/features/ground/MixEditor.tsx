'use client';

import CloseIcon from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { findMaterial, findRecipe, materialOf, materialsFor } from '@/core/catalogue';
import type { SubstrateLayer } from '@/core/design';
import type { LayerResult } from '@/core/ground';
import { bag, percent, tank, unitFor, UNITS } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';

interface Props {
  readonly layer: SubstrateLayer;
  readonly result: LayerResult;
}

/** A soil by parts: what it is mixed from, and how much of each to measure out. */
export function MixEditor({ layer, result }: Props) {
  const { catalogue } = useStore();
  const { edit } = useOpenDesign();
  const { prefs, write } = useReader();
  const { need } = result;
  const recipe = findRecipe(catalogue, layer.mix.recipe);
  const used = new Set(layer.mix.parts.map((part) => part.material));
  const offered = materialsFor(catalogue, 'mix').filter((row) => !used.has(row.id));
  const total = layer.mix.parts.reduce((sum, part) => sum + part.parts, 0);

  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 128px', gap: 1.25 }}>
        <NameField key={layer.name} layer={layer} />
        <TextField
          select
          label="Start from a recipe"
          value={layer.mix.recipe ?? ''}
          onChange={(event) =>
            edit({ edit: 'useRecipe', change: { layer: layer.id, recipe: event.target.value } })
          }
        >
          {catalogue.recipes.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {row.name}
            </MenuItem>
          ))}
        </TextField>
        <QuantityField
          label="Packing loss"
          measure="percent"
          value={layer.mix.packingLoss}
          max={0.28}
          step={0.05}
          onCommit={(packingLoss) =>
            edit({ edit: 'setPackingLoss', change: { layer: layer.id, packingLoss } })
          }
        />
      </Box>
      {recipe && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          {recipe.why}
        </Typography>
      )}

      <Table
        size="small"
        sx={{
          mt: 1,
          '& td, & th': { borderColor: 'earth.rule', px: 0.75, py: 0.4 },
          '& th': { color: 'earth.quiet', fontWeight: 600, fontSize: '0.78rem' },
        }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Ingredient</TableCell>
            <TableCell align="right">parts</TableCell>
            <TableCell align="right">share</TableCell>
            <TableCell align="right">{UNITS[unitFor('bag', prefs)].symbol} loose</TableCell>
            <TableCell sx={{ width: 32 }} />
          </TableRow>
        </TableHead>
        <TableBody>
          {need?.ingredients.map((part, index) => {
            const { name } = materialOf(catalogue, part.material);
            const written = layer.mix.parts[index]?.parts ?? 0;
            return (
              <TableRow key={part.material}>
                <TableCell>{findMaterial(catalogue, part.material)?.name ?? name}</TableCell>
                <TableCell align="right">
                  <PartsField
                    key={written}
                    name={name}
                    parts={written}
                    onCommit={(parts) =>
                      edit({ edit: 'setParts', change: { layer: layer.id, material: part.material, parts } })
                    }
                  />
                </TableCell>
                <TableCell align="right">{write(percent(part.share), { decimals: 1 })}</TableCell>
                <TableCell align="right">{write(bag(part.loose), { bare: true })}</TableCell>
                <TableCell>
                  <IconButton
                    size="small"
                    aria-label={`Take out ${name}`}
                    disabled={layer.mix.parts.length === 1}
                    onClick={() =>
                      edit({ edit: 'removePart', change: { layer: layer.id, material: part.material } })
                    }
                  >
                    <CloseIcon sx={{ fontSize: 16 }} />
                  </IconButton>
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1.25 }}>
        <Autocomplete
          key={layer.mix.parts.length}
          options={offered}
          getOptionLabel={(row) => row.name}
          onChange={(_, row) =>
            row && edit({ edit: 'setParts', change: { layer: layer.id, material: row.id, parts: 1 } })
          }
          renderInput={(params) => <TextField {...params} label="Add an ingredient" />}
          sx={{ width: 240 }}
        />
        {need && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
            {trim(total)} parts. Measure out {write(bag(need.loose))} loose for {write(bag(result.placed))} in
            place, and mix in {write(tank(need.waterToMixIn))} of water: a squeezed fistful should hold and
            glisten.
          </Typography>
        )}
      </Box>
    </>
  );
}

const trim = (value: number): string => String(Math.round(value * 100) / 100);

function NameField({ layer }: { readonly layer: SubstrateLayer }) {
  const { edit } = useOpenDesign();
  const [name, setName] = useState(layer.name);
  return (
    <TextField
      label="Name of this soil"
      value={name}
      onChange={(event) => setName(event.target.value)}
      onBlur={() => name !== layer.name && edit({ edit: 'renameLayer', change: { layer: layer.id, name } })}
      onKeyDown={(event) =>
        event.key === 'Enter' && edit({ edit: 'renameLayer', change: { layer: layer.id, name } })
      }
    />
  );
}

interface PartsProps {
  readonly name: string;
  readonly parts: number;
  readonly onCommit: (parts: number) => void;
}

function PartsField({ name, parts, onCommit }: PartsProps) {
  const [text, setText] = useState(trim(parts));
  const value = Number(text.trim().replace(',', '.'));
  const wrong = text.trim() === '' || !Number.isFinite(value) || value < 0 || value > 1e6;
  const commit = (): void => {
    if (!wrong && value !== parts) onCommit(value);
  };
  return (
    <TextField
      variant="standard"
      value={text}
      error={wrong}
      helperText={wrong ? 'A number from 0 up.' : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 0.1 : 1);
          const next = Math.max(0, Math.round((parts + by) * 100) / 100);
          if (next !== parts) onCommit(next);
        }
      }}
      slotProps={{ htmlInput: { 'aria-label': `Parts of ${name}`, inputMode: 'decimal' } }}
      sx={{ '& input': { textAlign: 'right', width: 56, p: '2px 0' } }}
    />
  );
}
