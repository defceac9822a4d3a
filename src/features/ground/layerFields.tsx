'use client';

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { materialsFor, type Role } from '@/core/catalogue';
import type { Layer } from '@/core/document';
import type { Corner } from '@/core/ground';
import { useEditing, useStore } from '@/store';

export const CORNER_WORD: Record<Corner, string> = {
  backLeft: 'Back left',
  backRight: 'Back right',
  frontLeft: 'Front left',
  frontRight: 'Front right',
};

interface MaterialProps {
  readonly layer: Exclude<Layer, { kind: 'substrate' | 'water' }>;
  readonly roles: readonly Role[];
}

export function MaterialField({ layer, roles }: MaterialProps) {
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
