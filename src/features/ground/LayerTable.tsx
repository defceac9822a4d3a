'use client';

import AddIcon from '@mui/icons-material/Add';
import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import { materialOf } from '@/core/catalogue';
import type { LayerKind } from '@/core/design';
import { corners, type Edge, type LayerResult } from '@/core/ground';
import { bag, length, mass, unitFor, UNITS } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { TEXTURE_COLOUR, textureOf } from '@/ui/section/textures';
import { useReader } from '@/ui/units';
import { KIND_WORD, layerName } from '@/ui/words';

interface Props {
  readonly selected: string | null;
  readonly onSelect: (layer: string) => void;
}

const ADDABLE: readonly LayerKind[] = ['litter', 'moss', 'substrate', 'thin', 'barrier', 'drainage'];

/** Every layer, the top one first, as it lies in the box. */
export function LayerTable({ selected, onSelect }: Props) {
  const { catalogue } = useStore();
  const { design, assessment, edit } = useOpenDesign();
  const { prefs, write } = useReader();
  const [menu, setMenu] = useState<{ anchor: HTMLElement; layer: string | null } | null>(null);
  const close = (): void => setMenu(null);
  const rows = [...assessment.layers].reverse();
  const at = design.ground.layers.findIndex((layer) => layer.id === menu?.layer);
  const kinds = new Set(design.ground.layers.map((layer) => layer.kind));
  const addable = ADDABLE.filter((kind) => (kind !== 'drainage' && kind !== 'barrier') || !kinds.has(kind));

  const kilos = (kg: number): string => (kg > 0 && kg < 0.05 ? '<0.1' : write(mass(kg), { bare: true }));

  const depth = (row: LayerResult, edge: Edge, name: string) => {
    const spare = Math.max(0, assessment.heightLeft);
    const value = corners.edgeMean(row.thickness, edge);
    return (
      <QuantityField
        bare
        label={`${name}, depth at the ${edge}`}
        measure="length"
        value={value}
        max={value + spare}
        onCommit={(thickness) =>
          edit({
            edit: 'setThickness',
            change: { layer: row.layer.id, corners: corners.EDGE_CORNERS[edge], thickness },
          })
        }
      />
    );
  };

  return (
    <Box
      sx={{
        mt: 1.75,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        overflow: 'visible',
      }}
    >
      <Table
        size="small"
        sx={{
          '& td, & th': { borderColor: 'earth.rule', px: 1.25, py: 0.35, fontSize: '0.9rem' },
          '& th': { color: 'earth.quiet', fontWeight: 600, fontSize: '0.78rem' },
          '& tbody tr:last-of-type td': { borderBottom: 0 },
        }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Layer, top to bottom</TableCell>
            <TableCell align="right">front {UNITS[prefs.length].symbol}</TableCell>
            <TableCell align="right">back {UNITS[prefs.length].symbol}</TableCell>
            <TableCell align="right">{UNITS[unitFor('bag', prefs)].symbol}</TableCell>
            <TableCell align="right">{UNITS[prefs.mass].symbol} wet</TableCell>
            <TableCell sx={{ width: 36 }}>
              <IconButton
                size="small"
                aria-label="Add a layer"
                aria-haspopup="menu"
                onClick={(event) => setMenu({ anchor: event.currentTarget, layer: null })}
              >
                <AddIcon fontSize="small" />
              </IconButton>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => {
            const { layer } = row;
            const name = layerName(
              layer,
              materialOf(catalogue, 'material' in layer ? layer.material : '').name,
            );
            const on = layer.id === selected;
            const cut = assessment.lists.cut.find((it) => it.layer === layer.id && it.what === 'barrier');
            return (
              <TableRow
                key={layer.id}
                selected={on}
                data-layer={layer.kind}
                sx={{ '&.Mui-selected': { bgcolor: 'earth.mossWash' } }}
              >
                <TableCell>
                  <ButtonBase
                    aria-pressed={on}
                    onClick={() => onSelect(layer.id)}
                    sx={{
                      gap: 1,
                      fontFamily: 'inherit',
                      fontSize: '0.9rem',
                      fontWeight: on ? 650 : 400,
                      minHeight: 24,
                      justifyContent: 'flex-start',
                      textAlign: 'left',
                    }}
                  >
                    <Box
                      aria-hidden
                      sx={{
                        width: 13,
                        height: 13,
                        borderRadius: '4px',
                        flex: 'none',
                        border: 1,
                        borderColor: 'rgba(0,0,0,0.2)',
                      }}
                      style={{ backgroundColor: TEXTURE_COLOUR[textureOf(layer, catalogue)] }}
                    />
                    {name}
                  </ButtonBase>
                </TableCell>
                {layer.kind === 'barrier' ? (
                  <TableCell align="right" colSpan={2} sx={{ whiteSpace: 'nowrap' }}>
                    {cut
                      ? `cut ${write(length(cut.width), { bare: true })} × ${write(length(cut.depth), { bare: true })}`
                      : '–'}
                  </TableCell>
                ) : (
                  <>
                    <TableCell align="right">{depth(row, 'front', name)}</TableCell>
                    <TableCell align="right">{depth(row, 'back', name)}</TableCell>
                  </>
                )}
                <TableCell align="right">
                  {layer.kind === 'barrier' ? '–' : write(bag(row.placed), { bare: true })}
                </TableCell>
                <TableCell align="right">{kilos(row.wetMass)}</TableCell>
                <TableCell>
                  <IconButton
                    size="small"
                    aria-label={`More for ${name}`}
                    aria-haspopup="menu"
                    onClick={(event) => setMenu({ anchor: event.currentTarget, layer: layer.id })}
                  >
                    <MoreHorizIcon fontSize="small" />
                  </IconButton>
                </TableCell>
              </TableRow>
            );
          })}
          {rows.length === 0 && (
            <TableRow>
              <TableCell colSpan={6}>
                Nothing lies in the box yet.{' '}
                <Button onClick={() => edit({ edit: 'addLayer', change: { kind: 'substrate' } })}>
                  Add soil
                </Button>
              </TableCell>
            </TableRow>
          )}
        </TableBody>
      </Table>
      <Menu anchorEl={menu?.anchor} open={menu !== null && menu.layer === null} onClose={close}>
        {addable.map((kind) => (
          <MenuItem
            key={kind}
            onClick={() => {
              close();
              edit({ edit: 'addLayer', change: { kind } });
            }}
          >
            {KIND_WORD[kind]}
          </MenuItem>
        ))}
      </Menu>
      <Menu anchorEl={menu?.anchor} open={menu !== null && menu.layer !== null} onClose={close}>
        <MenuItem
          disabled={at >= design.ground.layers.length - 1}
          onClick={() => {
            if (menu?.layer) edit({ edit: 'moveLayer', change: { layer: menu.layer, by: 1 } });
            close();
          }}
        >
          Move up
        </MenuItem>
        <MenuItem
          disabled={at <= 0}
          onClick={() => {
            if (menu?.layer) edit({ edit: 'moveLayer', change: { layer: menu.layer, by: -1 } });
            close();
          }}
        >
          Move down
        </MenuItem>
        <MenuItem
          onClick={() => {
            if (menu?.layer) edit({ edit: 'removeLayer', change: { layer: menu.layer } });
            close();
          }}
        >
          Take out
        </MenuItem>
      </Menu>
    </Box>
  );
}
