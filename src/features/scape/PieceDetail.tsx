'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useCallback } from 'react';
import type { Body, Piece, Support } from '@/core/document';
import type { PieceResult } from '@/core/scape';
import { bag, length, mass, patch, tank } from '@/core/units';
import { useEditing, useOpenDesign } from '@/store';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';

const SUPPORTS: readonly { readonly value: Support['on']; readonly name: string }[] = [
  { value: 'ground', name: 'in the ground' },
  { value: 'floor', name: 'on the floor of the enclosure' },
  { value: 'piece', name: 'on another piece' },
  { value: 'wall', name: 'held by a wall' },
  { value: 'lid', name: 'hangs from the lid' },
  { value: 'water', name: 'floats on water' },
];
const DEGREE = Math.PI / 180;

interface Props {
  readonly result: PieceResult;
  readonly onGone: () => void;
}

/** The piece in hand: its size, its place, what bears it, what it is for. */
export function PieceDetail({ result, onGone }: Props) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { piece, solid } = result.placed;
  const { enclosure, scape } = design;
  const { id } = piece;
  const set = useCallback(
    (change: Partial<Omit<Piece, 'id' | 'at' | 'support'>>) =>
      edit({ edit: 'setPiece', change: { piece: id, change } }),
    [edit, id],
  );
  const onBody = useCallback((body: Body) => set({ body }), [set]);
  const move = (to: { x: number; y: number }) => edit({ edit: 'movePiece', change: { piece: id, to } });
  const others = scape.pieces
    .filter((it) => it.id !== id)
    .map((it) => `${it.id} ${it.name}`)
    .join('\n');

  return (
    <Box sx={{ mt: 1.25 }}>
      <Panel label={piece.name}>
        <Box sx={{ height: 6 }} />
        <Grid>
          <Named name={piece.name} mass={piece.mass} onSet={set} />
          <BodyFields body={piece.body} onChange={onBody} />
          <QuantityField
            label="From the left"
            measure="length"
            value={piece.at.x}
            max={enclosure.width}
            onCommit={(x) => move({ x, y: piece.at.y })}
          />
          <QuantityField
            label="From the front"
            measure="length"
            value={piece.at.y}
            max={enclosure.depth}
            onCommit={(y) => move({ x: piece.at.x, y })}
          />
          <StandsField piece={id} on={piece.support.on} alone={others === ''} />
          <SupportFields piece={piece} base={result.placed.base} others={others} />
          {piece.entrance !== null && (
            <QuantityField
              label="Entrance"
              measure="length"
              value={piece.entrance}
              min={0.003}
              max={1}
              onCommit={(entrance) => set({ entrance })}
            />
          )}
        </Grid>
        <Ticks
          hide={piece.entrance !== null}
          entrance={result.kind?.entrance?.value ?? 0.05}
          moist={piece.moist}
          filled={
            solid.encloses > 5e-5 && result.holds === 0 && !result.uses.includes('plant')
              ? piece.filled
              : undefined
          }
          basking={piece.basking}
          fixed={piece.fixed}
          drained={result.uses.includes('plant') ? piece.drained : undefined}
          onSet={set}
        />
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.25 }}>
          {result.kind?.why} It weighs about {write(mass(result.mass))}, shades {write(patch(solid.shades))}{' '}
          of floor
          {result.buried > 5e-5 ? `, displaces ${write(bag(result.buried))} of ground` : ''}
          {result.fill > 1e-6 ? `, takes ${write(bag(result.fill))} of soil` : ''}
          {result.holds > 1e-6 ? `, holds ${write(tank(result.holds))} of water` : ''}; its lowest point is{' '}
          {write(length(Math.max(0, solid.bounds.z0)))} up, its highest {write(length(solid.bounds.z1))}.
        </Typography>
        <Doings piece={id} onGone={onGone} />
      </Panel>
    </Box>
  );
}

type Set = (change: Partial<Omit<Piece, 'id' | 'at' | 'support'>>) => void;

/** Parts of the form that stay as they are while the piece is dragged: each is drawn anew only when it changes. */
const Named = memo(function Named({
  name,
  mass: weighed,
  onSet,
}: {
  readonly name: string;
  readonly mass: number | null;
  readonly onSet: Set;
}) {
  return (
    <>
      <LineField
        key={name}
        label="Name"
        value={name}
        onCommit={(next) => onSet({ name: next })}
        sx={{ gridColumn: 'span 2' }}
      />
      <QuantityField
        label="Weighs"
        measure="mass"
        value={weighed}
        max={2000}
        step={0.1}
        placeholder="calculated"
        onCommit={(kg) => onSet({ mass: kg })}
        onClear={() => onSet({ mass: null })}
      />
    </>
  );
});

interface TicksProps {
  readonly hide: boolean;
  /** Its way in, when it becomes a hide, m. */
  readonly entrance: number;
  readonly moist: boolean;
  /** undefined for what is not hollow. */
  readonly filled: boolean | undefined;
  readonly basking: boolean;
  readonly fixed: boolean;
  /** undefined for what is not planted. */
  readonly drained: boolean | undefined;
  readonly onSet: Set;
}

const Ticks = memo(function Ticks({
  hide,
  entrance,
  moist,
  filled,
  basking,
  fixed,
  drained,
  onSet,
}: TicksProps) {
  const tick = (label: string, checked: boolean, change: Partial<Piece>) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={checked} onChange={() => onSet(change)} />}
      label={label}
      slotProps={{ typography: { variant: 'body2' } }}
      sx={{ mr: 1.5 }}
    />
  );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', mt: 0.5 }}>
      {tick('hide', hide, { entrance: hide ? null : entrance })}
      {hide && tick('kept moist', moist, { moist: !moist })}
      {filled !== undefined && tick('filled with soil', filled, { filled: !filled })}
      {tick('basking spot', basking, { basking: !basking })}
      {tick('glued or screwed', fixed, { fixed: !fixed })}
      {drained !== undefined && tick('holes in its base', drained, { drained: !drained })}
    </Box>
  );
});

const Doings = memo(function Doings({
  piece,
  onGone,
}: {
  readonly piece: string;
  readonly onGone: () => void;
}) {
  const { edit } = useEditing();
  return (
    <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
      <Button variant="outlined" onClick={() => edit({ edit: 'copyPiece', change: { piece } })}>
        One more like it
      </Button>
      <Button
        variant="outlined"
        onClick={() => {
          edit({ edit: 'removePiece', change: { piece } });
          onGone();
        }}
      >
        Take it out
      </Button>
    </Box>
  );
});

const StandsField = memo(function StandsField({
  piece,
  on,
  alone,
}: {
  readonly piece: string;
  readonly on: Support['on'];
  readonly alone: boolean;
}) {
  const { edit } = useEditing();
  return (
    <TextField
      select
      label="Stands"
      sx={{ gridColumn: 'span 2' }}
      value={on}
      onChange={(event) => {
        const next = SUPPORTS.find((it) => it.value === event.target.value)?.value;
        if (next) edit({ edit: 'standOn', change: { piece, on: next } });
      }}
    >
      {SUPPORTS.filter((it) => it.value !== 'piece' || !alone).map((it) => (
        <MenuItem key={it.value} value={it.value}>
          {it.name}
        </MenuItem>
      ))}
    </TextField>
  );
});

function SupportFields({
  piece,
  base,
  others,
}: {
  readonly piece: Piece;
  readonly base: number;
  /** Id and name of every other piece, a line each. */
  readonly others: string;
}) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { support } = piece;
  const put = (next: Support) => edit({ edit: 'setSupport', change: { piece: piece.id, support: next } });
  const { height } = design.enclosure;
  const named = others.split('\n').map((line) => ({
    id: line.slice(0, line.indexOf(' ')),
    name: line.slice(line.indexOf(' ') + 1),
  }));
  switch (support.on) {
    case 'ground':
      return (
        <QuantityField
          label="Sunk"
          measure="length"
          value={support.sunk}
          max={() => support.sunk + base}
          onCommit={(sunk) => put({ on: 'ground', sunk })}
        />
      );
    case 'wall':
      return (
        <>
          <TextField
            select
            label="Wall"
            value={support.wall}
            onChange={(event) => put({ ...support, wall: event.target.value as typeof support.wall })}
          >
            {(['left', 'right', 'back', 'front'] as const).map((wall) => (
              <MenuItem key={wall} value={wall}>
                {wall}
              </MenuItem>
            ))}
          </TextField>
          <QuantityField
            label="Height"
            measure="length"
            value={support.height}
            max={height}
            onCommit={(to) => put({ ...support, height: to })}
          />
        </>
      );
    case 'lid':
      return (
        <QuantityField
          label="Below the lid"
          measure="length"
          value={support.drop}
          max={height}
          onCommit={(drop) => put({ on: 'lid', drop })}
        />
      );
    case 'piece':
      return (
        <TextField
          select
          label="On which"
          value={named.some((it) => it.id === support.piece) ? support.piece : ''}
          onChange={(event) => put({ on: 'piece', piece: event.target.value })}
        >
          {named.map((it) => (
            <MenuItem key={it.id} value={it.id}>
              {it.name}
            </MenuItem>
          ))}
        </TextField>
      );
    case 'floor':
    case 'water':
      return null;
  }
}

/** A body by its sizes; long ones keep their direction when their length changes. */
const BodyFields = memo(function BodyFields({
  body,
  onChange,
}: {
  readonly body: Body;
  readonly onChange: (body: Body) => void;
}) {
  const field = (label: string, value: number, put: (metres: number) => Body, min = 0.001) => (
    <QuantityField
      label={label}
      measure="length"
      value={value}
      min={min}
      max={5}
      onCommit={(metres) => onChange(put(metres))}
    />
  );
  if (body.shape === 'block') {
    return (
      <>
        {field('Wide', body.width, (width) => ({ ...body, width }))}
        {field('Deep', body.depth, (depth) => ({ ...body, depth }))}
        {field('High', body.height, (height) => ({ ...body, height }))}
        {body.form !== 'round' && (
          <NumberField
            key={body.turn}
            label="Turned, °"
            value={Math.round(body.turn / DEGREE)}
            min={-180}
            max={180}
            step={15}
            onCommit={(degrees) => onChange({ ...body, turn: degrees * DEGREE })}
          />
        )}
      </>
    );
  }
  const { run, rise } = body;
  const long = Math.hypot(run.x, run.y, rise);
  const steep = Math.round(Math.atan2(rise, Math.hypot(run.x, run.y)) / DEGREE);
  const heading = Math.round(Math.atan2(run.y, run.x) / DEGREE);
  const aim = (to: { long?: number; steep?: number; heading?: number }): Body => {
    const l = to.long ?? long;
    const up = (to.steep ?? steep) * DEGREE;
    const way = to.heading === undefined ? Math.atan2(run.y, run.x) : to.heading * DEGREE;
    const tidy = (value: number): number => Math.round(value * 10_000) / 10_000;
    return {
      ...body,
      run: { x: tidy(l * Math.cos(up) * Math.cos(way)), y: tidy(l * Math.cos(up) * Math.sin(way)) },
      rise: tidy(l * Math.sin(up)),
    };
  };
  return (
    <>
      {field('Length', long, (metres) => aim({ long: metres }), 0.01)}
      {body.shape === 'rod' ? (
        field('Thickness', body.diameter, (diameter) => ({ ...body, diameter }))
      ) : (
        <>
          {field('Breadth', body.breadth, (breadth) => ({ ...body, breadth }))}
          {field('Thickness', body.thickness, (thickness) => ({ ...body, thickness }))}
        </>
      )}
      <NumberField
        key={`steep ${steep}`}
        label="Tilt, °"
        value={steep}
        min={-90}
        max={90}
        step={5}
        onCommit={(degrees) => onChange(aim({ steep: degrees }))}
      />
      <NumberField
        key={`heading ${heading}`}
        label="Direction, °"
        value={heading}
        min={-180}
        max={180}
        step={15}
        onCommit={(degrees) => onChange(aim({ heading: degrees }))}
      />
    </>
  );
});
