'use client';

import AddIcon from '@mui/icons-material/Add';
import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { materialOf } from '@/core/catalogue';
import type { Layer, LayerKind } from '@/core/design';
import { corners, type Edge } from '@/core/ground';
import { bag, length, mass, unitFor, UNITS } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
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
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { prefs, write } = useReader();
  const [menu, setMenu] = useState<{ anchor: HTMLElement; layer: string | null } | null>(null);
  const close = (): void => setMenu(null);
  const openMenu = useCallback((anchor: HTMLElement, layer: string) => setMenu({ anchor, layer }), []);
  const rows = [...assessment.layers].reverse();
  const at = design.ground.layers.findIndex((layer) => layer.id === menu?.layer);
  const kinds = new Set(design.ground.layers.map((layer) => layer.kind));
  const addable = ADDABLE.filter((kind) => (kind !== 'drainage' && kind !== 'barrier') || !kinds.has(kind));
  // Read when a field is committed, so that a row need not be drawn anew because another one moved.
  const spare = useRef(0);
  useEffect(() => {
    spare.current = Math.max(0, assessment.heightLeft);
  }, [assessment.heightLeft]);
  const room = useCallback(() => spare.current, []);

  const kilos = (kg: number): string => (kg > 0 && kg < 0.05 ? '<0.1' : write(mass(kg), { bare: true }));

  return (
    <Box sx={{ mt: 1.75, bgcolor: 'earth.card', border: 1, borderColor: 'earth.rule', borderRadius: '12px' }}>
      <PlainTable label="Layers">
        <thead>
          <tr>
            <th scope="col">Layer, top to bottom</th>
            <th scope="col" className="number">
              front {UNITS[prefs.length].symbol}
            </th>
            <th scope="col" className="number">
              back {UNITS[prefs.length].symbol}
            </th>
            <th scope="col" className="number">
              {UNITS[unitFor('bag', prefs)].symbol}
            </th>
            <th scope="col" className="number">
              {UNITS[prefs.mass].symbol} wet
            </th>
            <td className="icon">
              <IconButton
                size="small"
                aria-label="Add a layer"
                aria-haspopup="menu"
                onClick={(event) => setMenu({ anchor: event.currentTarget, layer: null })}
              >
                <AddIcon fontSize="small" />
              </IconButton>
            </td>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ layer, placed, wetMass }) => {
            const cut = assessment.lists.cut.find((it) => it.layer === layer.id && it.what === 'barrier');
            return (
              <Row
                key={layer.id}
                layer={layer}
                name={layerName(layer, materialOf(catalogue, 'material' in layer ? layer.material : '').name)}
                colour={TEXTURE_COLOUR[textureOf(layer, catalogue)]}
                selected={layer.id === selected}
                cut={
                  cut
                    ? `cut ${write(length(cut.width), { bare: true })} × ${write(length(cut.depth), { bare: true })}`
                    : '–'
                }
                litres={layer.kind === 'barrier' ? '–' : write(bag(placed), { bare: true })}
                kilos={kilos(wetMass)}
                room={room}
                onSelect={onSelect}
                onMenu={openMenu}
              />
            );
          })}
          {rows.length === 0 && (
            <tr>
              <td colSpan={6}>
                Nothing lies in the box yet.{' '}
                <Button onClick={() => edit({ edit: 'addLayer', change: { kind: 'substrate' } })}>
                  Add soil
                </Button>
              </td>
            </tr>
          )}
        </tbody>
      </PlainTable>
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

interface RowProps {
  readonly layer: Layer;
  readonly name: string;
  readonly colour: string;
  readonly selected: boolean;
  readonly cut: string;
  readonly litres: string;
  readonly kilos: string;
  /** m left under the lid. */
  readonly room: () => number;
  readonly onSelect: (layer: string) => void;
  readonly onMenu: (anchor: HTMLElement, layer: string) => void;
}

const Row = memo(function Row({
  layer,
  name,
  colour,
  selected,
  cut,
  litres,
  kilos,
  room,
  onSelect,
  onMenu,
}: RowProps) {
  return (
    <tr data-layer={layer.kind} data-selected={selected}>
      <td>
        <Name name={name} colour={colour} selected={selected} layer={layer.id} onSelect={onSelect} />
      </td>
      {layer.kind === 'barrier' ? (
        <td className="number" colSpan={2}>
          {cut}
        </td>
      ) : (
        <>
          <td className="number">
            <Depth
              layer={layer.id}
              edge="front"
              value={corners.edgeMean(layer.thickness, 'front')}
              name={name}
              room={room}
            />
          </td>
          <td className="number">
            <Depth
              layer={layer.id}
              edge="back"
              value={corners.edgeMean(layer.thickness, 'back')}
              name={name}
              room={room}
            />
          </td>
        </>
      )}
      <td className="number">{litres}</td>
      <td className="number">{kilos}</td>
      <td className="icon">
        <More name={name} layer={layer.id} onMenu={onMenu} />
      </td>
    </tr>
  );
});

const More = memo(function More({
  name,
  layer,
  onMenu,
}: Pick<RowProps, 'name' | 'onMenu'> & { readonly layer: string }) {
  return (
    <IconButton
      size="small"
      aria-label={`More for ${name}`}
      aria-haspopup="menu"
      onClick={(event) => onMenu(event.currentTarget, layer)}
    >
      <MoreHorizIcon fontSize="small" />
    </IconButton>
  );
});

type NameProps = Pick<RowProps, 'name' | 'colour' | 'selected' | 'onSelect'> & { readonly layer: string };

const Name = memo(function Name({ name, colour, selected, layer, onSelect }: NameProps) {
  return (
    <ButtonBase
      aria-pressed={selected}
      onClick={() => onSelect(layer)}
      sx={{
        gap: 1,
        fontFamily: 'inherit',
        fontSize: '0.9rem',
        fontWeight: selected ? 650 : 400,
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
        style={{ backgroundColor: colour }}
      />
      {name}
    </ButtonBase>
  );
});

interface DepthProps {
  readonly layer: string;
  readonly edge: Edge;
  readonly value: number;
  readonly name: string;
  readonly room: () => number;
}

const Depth = memo(function Depth({ layer, edge, value, name, room }: DepthProps) {
  const { edit } = useEditing();
  return (
    <QuantityField
      bare
      label={`${name}, depth at the ${edge}`}
      measure="length"
      value={value}
      max={() => value + room()}
      onCommit={(thickness) =>
        edit({ edit: 'setThickness', change: { layer, corners: corners.EDGE_CORNERS[edge], thickness } })
      }
    />
  );
});
