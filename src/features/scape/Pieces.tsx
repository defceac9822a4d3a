'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useMemo } from 'react';
import { PIECE_GROUPS, type PieceKind } from '@/core/catalogue';
import { mass, percent, unitFor, UNITS } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { PieceDetail } from './PieceDetail';
import { GROUP_WORD, sizeWords, standing } from './words';

/** m of a branch for an animal that asks for none. */
const USUAL_PERCH = 0.02;

/** Ids count up, so that a new one can be opened before it is drawn. */
const nextOf = (ids: readonly string[]): string =>
  `piece-${Math.max(0, ...ids.map((id) => Number(id.slice('piece-'.length)) || 0)) + 1}`;

interface Props {
  readonly selected: string | null;
  readonly onSelect: (piece: string | null) => void;
  readonly onAdded: (piece: string) => void;
}

/** Wood, stone, hides, dishes: what there is, and the one in hand. */
export function Pieces({ selected, onSelect, onAdded }: Props) {
  const { design, assessment } = useOpenDesign();
  const reader = useReader();
  const { prefs, write } = reader;
  const { pieces } = design.scape;
  const { scape } = assessment;
  const { edit } = useEditing();
  const { perch } = scape.wants;
  const span = (): void => {
    edit({ edit: 'addPerch', change: { diameter: perch ? (perch.low + perch.high) / 2 : USUAL_PERCH } });
    onAdded(nextOf(pieces.map((it) => it.id)));
  };
  const chosen = scape.pieces.find((it) => it.placed.piece.id === selected);
  return (
    <>
      <AddPiece ids={pieces.map((it) => it.id).join(' ')} onAdded={onAdded} />
      <Button size="small" sx={{ mt: 0.5 }} onClick={span}>
        Span a branch from wall to wall
      </Button>
      {chosen && <PieceDetail key={chosen.placed.piece.id} result={chosen} onGone={() => onSelect(null)} />}
      {pieces.length === 0 ? (
        <Typography sx={{ color: 'earth.quiet', mt: 1.5 }}>
          Nothing stands in the enclosure yet. Lay out a first hardscape for the animal, or add piece by
          piece.
        </Typography>
      ) : (
        <Box
          sx={{
            mt: 1.25,
            bgcolor: 'earth.card',
            border: 1,
            borderColor: 'earth.rule',
            borderRadius: '12px',
            '& th, & td': { px: '10px !important' },
          }}
        >
          <PlainTable label="Pieces">
            <thead>
              <tr>
                <th scope="col">Piece</th>
                <th scope="col">where</th>
                <th scope="col" className="number">
                  {UNITS[unitFor('length', prefs)].symbol}
                </th>
                <th scope="col" className="number">
                  {UNITS[unitFor('mass', prefs)].symbol}
                </th>
              </tr>
            </thead>
            <tbody>
              {scape.pieces.map((it) => {
                const { piece } = it.placed;
                return (
                  <Row
                    key={piece.id}
                    id={piece.id}
                    name={piece.name}
                    where={standing(it, pieces, reader)}
                    size={sizeWords(piece.body, reader)}
                    mass={write(mass(it.mass), { bare: true, decimals: 2 })}
                    chosen={piece.id === selected}
                    onSelect={onSelect}
                  />
                );
              })}
            </tbody>
          </PlainTable>
        </Box>
      )}
      {pieces.length > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
          {pieces.length} pieces and backgrounds weigh {write(mass(scape.mass))};{' '}
          {write(percent(scape.cover))} of the floor lies under something.
        </Typography>
      )}
    </>
  );
}

interface RowProps {
  readonly id: string;
  readonly name: string;
  readonly where: string;
  readonly size: string;
  readonly mass: string;
  readonly chosen: boolean;
  readonly onSelect: (piece: string | null) => void;
}

/** Drawn anew only when one of its words changes: all but one stand still while a piece is dragged. */
const Row = memo(function Row({ id, name, where, size, mass, chosen, onSelect }: RowProps) {
  return (
    <tr data-selected={chosen}>
      <td style={{ whiteSpace: 'normal' }}>
        <Box
          component="button"
          type="button"
          aria-pressed={chosen}
          onClick={() => onSelect(chosen ? null : id)}
          sx={{
            font: 'inherit',
            fontWeight: 600,
            color: 'inherit',
            background: 'none',
            border: 0,
            p: 0,
            textAlign: 'left',
            cursor: 'pointer',
            '&:hover': { textDecoration: 'underline' },
            '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.clay', outlineOffset: 2 },
          }}
        >
          {name}
        </Box>
      </td>
      <td style={{ whiteSpace: 'normal', lineHeight: 1.25 }}>{where}</td>
      <td className="number">{size}</td>
      <td className="number">{mass}</td>
    </tr>
  );
});

const AddPiece = memo(function AddPiece({
  ids,
  onAdded,
}: {
  readonly ids: string;
  readonly onAdded: (piece: string) => void;
}) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  const kinds = useMemo(
    () =>
      [...catalogue.scape.pieces].sort(
        (a, b) => PIECE_GROUPS.indexOf(a.group) - PIECE_GROUPS.indexOf(b.group),
      ),
    [catalogue],
  );
  const add = (kind: PieceKind): void => {
    edit({ edit: 'addPiece', change: { kind: kind.id } });
    onAdded(nextOf(ids.split(' ')));
  };
  return (
    <Autocomplete
      key={ids}
      options={kinds}
      groupBy={(kind) => GROUP_WORD[kind.group]}
      getOptionLabel={(kind) => kind.name}
      value={null}
      onChange={(_, kind) => kind && add(kind)}
      filterOptions={(options, { inputValue }) => {
        const wanted = inputValue.trim().toLowerCase();
        return options.filter(({ name, group, words = [] }) =>
          [name, GROUP_WORD[group], ...words].some((it) => it.toLowerCase().includes(wanted)),
        );
      }}
      renderOption={({ key, ...props }, kind) => (
        <Box component="li" key={key} {...props} sx={{ display: 'block !important' }}>
          <Box sx={{ fontWeight: 600 }}>{kind.name}</Box>
          <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>{kind.why}</Box>
        </Box>
      )}
      renderInput={(params) => <TextField {...params} label="Add wood, stone, a hide, a dish…" />}
    />
  );
});
