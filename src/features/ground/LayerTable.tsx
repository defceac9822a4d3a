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
import type { Layer, LayerKind } from '@/core/document';
import { corners, type Edge, type LayerResult } from '@/core/ground';
import { bag, length, mass, unitFor, UNITS } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
import { QuantityField } from '@/ui/fields/QuantityField';
import { TEXTURE_COLOUR, textureOf } from '@/ui/section/textures';
import { useReader } from '@/ui/units';
import { KIND_WORD, layerName } from '@/ui/words';
import { partOf } from './places';

interface Props {
  /** The region worked on; null: the rest of the floor. */
  readonly place: string | null;
  /** From the top down; what is shared lies in the rest of the floor and runs on under the region. */
  readonly stack: readonly { readonly result: LayerResult; readonly shared: boolean }[];
  readonly selected: string | null;
  readonly onSelect: (layer: string) => void;
}

const ADDABLE: readonly LayerKind[] = ['water', 'litter', 'moss', 'substrate', 'thin', 'barrier', 'drainage'];

/** Every layer, the top one first, as it lies in the box. */
export function LayerTable({ place, stack, selected, onSelect }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { prefs, write, num } = useReader();
  const [menu, setMenu] = useState<{ anchor: HTMLElement; layer: string | null } | null>(null);
  const close = (): void => setMenu(null);
  const openMenu = useCallback((anchor: HTMLElement, layer: string) => setMenu({ anchor, layer }), []);
  const own =
    place === null
      ? design.ground.layers
      : (design.ground.regions.find((it) => it.id === place)?.layers ?? []);
  const at = own.findIndex((layer) => layer.id === menu?.layer);
  const kinds = new Set(own.map((layer) => layer.kind));
  const once: readonly LayerKind[] = ['drainage', 'barrier', 'water'];
  const addable = ADDABLE.filter((kind) => !once.includes(kind) || !kinds.has(kind));
  // Read when a field is committed, so that a row need not be drawn anew because another one moved.
  const spare = useRef(0);
  const left = design.enclosure.height - (partOf(assessment, place)?.high ?? 0);
  useEffect(() => {
    spare.current = Math.max(0, left);
  }, [left]);
  const room = useCallback(() => spare.current, []);

  const inPlace = place === null ? {} : { region: place };
  const kilos = (kg: number): string =>
    kg > 0 && kg < 0.05 ? `<${num(0.1, 1)}` : write(mass(kg), { bare: true });

  return (
    <Box
      sx={{
        mt: 1.75,
        bgcolor: 'earth.card',
        border: 1,
        borderColor: 'earth.rule',
        borderRadius: '12px',
        overflowX: 'auto',
      }}
    >
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
          {stack.map(({ result: { layer, placed, wetMass }, shared }) => {
            const cut = assessment.lists.cut.find((it) => it.layer === layer.id && it.what === 'barrier');
            return (
              <Row
                key={layer.id}
                layer={layer}
                name={layerName(layer, catalogue)}
                shared={shared}
                colour={TEXTURE_COLOUR[textureOf(layer, catalogue)]}
                selected={layer.id === selected}
                cut={
                  cut
                    ? `cut ${write(length(cut.width), { bare: true })} × ${write(length(cut.depth), { bare: true })}`
                    : '–'
                }
                level={
                  layer.kind === 'water'
                    ? `to ${write(length(layer.level ?? design.ground.waterDepth))} high`
                    : ''
                }
                litres={layer.kind === 'barrier' || shared ? '–' : write(bag(placed), { bare: true })}
                kilos={shared ? '–' : kilos(wetMass)}
                room={room}
                onSelect={onSelect}
                onMenu={openMenu}
              />
            );
          })}
          {stack.length === 0 && (
            <tr>
              <td colSpan={6}>
                Nothing lies {place === null ? 'in the enclosure' : 'in this region'} yet.{' '}
                <Button onClick={() => edit({ edit: 'addLayer', change: { kind: 'substrate', ...inPlace } })}>
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
              edit({ edit: 'addLayer', change: { kind, ...inPlace } });
            }}
          >
            {KIND_WORD[kind]}
          </MenuItem>
        ))}
      </Menu>
      <Menu anchorEl={menu?.anchor} open={menu !== null && menu.layer !== null} onClose={close}>
        <MenuItem
          disabled={at >= own.length - 1}
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
  /** Lies in the rest of the floor: shown for its place, changed there. */
  readonly shared: boolean;
  readonly cut: string;
  /** Of open water. */
  readonly level: string;
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
  shared,
  cut,
  level,
  litres,
  kilos,
  room,
  onSelect,
  onMenu,
}: RowProps) {
  return (
    <tr data-layer={layer.kind} data-selected={selected} data-shared={shared}>
      <td>
        <Name name={name} colour={colour} selected={selected} layer={layer.id} onSelect={onSelect} />
      </td>
      {shared ? (
        <td className="number" colSpan={2}>
          as in the rest
        </td>
      ) : layer.kind === 'barrier' ? (
        <td className="number" colSpan={2}>
          {cut}
        </td>
      ) : layer.kind === 'water' ? (
        <td className="number" colSpan={2}>
          {level}
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
      <td className="icon">{!shared && <More name={name} layer={layer.id} onMenu={onMenu} />}</td>
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
