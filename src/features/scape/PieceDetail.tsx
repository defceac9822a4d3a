'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Body, Piece, Support } from '@/core/design';
import type { PieceResult } from '@/core/scape';
import { bag, length, mass } from '@/core/units';
import { useEditing, useOpenDesign } from '@/store';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Grid } from '@/ui/Grid';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';

const SUPPORTS: readonly { readonly value: Support['on']; readonly name: string }[] = [
  { value: 'ground', name: 'in the ground' },
  { value: 'floor', name: 'on the floor of the box' },
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
  const { piece, base, solid } = result.placed;
  const { enclosure, scape } = design;
  const set = (change: Partial<Omit<Piece, 'id' | 'at' | 'support'>>): void =>
    edit({ edit: 'setPiece', change: { piece: piece.id, change } });
  const move = (to: { x: number; y: number; z?: number }): void =>
    edit({ edit: 'movePiece', change: { piece: piece.id, to } });
  const tick = (label: string, checked: boolean, change: Partial<Piece>) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={checked} onChange={() => set(change)} />}
      label={label}
      slotProps={{ typography: { variant: 'body2' } }}
      sx={{ mr: 1.5 }}
    />
  );
  const others = scape.pieces.filter((it) => it.id !== piece.id);

  return (
    <Box sx={{ mt: 1.25 }}>
      <Panel label={piece.name}>
        <Grid>
          <LineField
            key={piece.name}
            label="What you call it"
            value={piece.name}
            onCommit={(name) => set({ name })}
            sx={{ gridColumn: 'span 2' }}
          />
          <QuantityField
            label="Weighs"
            measure="mass"
            value={piece.mass}
            max={2000}
            step={0.1}
            placeholder="reckoned"
            onCommit={(kg) => set({ mass: kg })}
            onClear={() => set({ mass: null })}
          />
          <BodyFields body={piece.body} onChange={(body) => set({ body })} />
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
          <TextField
            select
            label="Stands"
            sx={{ gridColumn: 'span 2' }}
            value={piece.support.on}
            onChange={(event) => {
              const on = SUPPORTS.find((it) => it.value === event.target.value)?.value;
              if (on)
                edit({
                  edit: 'setSupport',
                  change: { piece: piece.id, support: supportOf(on, result, others, enclosure.height) },
                });
            }}
          >
            {SUPPORTS.filter((it) => it.value !== 'piece' || others.length > 0).map((it) => (
              <MenuItem key={it.value} value={it.value}>
                {it.name}
              </MenuItem>
            ))}
          </TextField>
          <SupportFields piece={piece} base={base} others={others} />
          {piece.entrance !== null && (
            <QuantityField
              label="Way in"
              measure="length"
              value={piece.entrance}
              min={0.003}
              max={1}
              onCommit={(entrance) => set({ entrance })}
            />
          )}
        </Grid>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', mt: 0.5 }}>
          {tick('hide', piece.entrance !== null, {
            entrance: piece.entrance === null ? (result.kind?.entrance?.value ?? 0.05) : null,
          })}
          {piece.entrance !== null && tick('kept moist', piece.moist, { moist: !piece.moist })}
          {tick('basking place', piece.basking, { basking: !piece.basking })}
          {tick('glued or screwed', piece.fixed, { fixed: !piece.fixed })}
          {result.uses.includes('plant') &&
            tick('holes in its base', piece.drained, { drained: !piece.drained })}
        </Box>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.25 }}>
          {result.kind?.why} It weighs about {write(mass(result.mass))}, shades {area(solid.shades)} of floor
          {result.buried > 1e-6 ? `, displaces ${write(bag(result.buried))} of ground` : ''}
          {result.fill > 1e-6 ? `, takes ${write(bag(result.fill))} of soil` : ''}; its lowest point is{' '}
          {write(length(Math.max(0, solid.bounds.z0)))} up, its highest {write(length(solid.bounds.z1))}.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
          <Button variant="outlined" onClick={() => edit({ edit: 'copyPiece', change: { piece: piece.id } })}>
            One more like it
          </Button>
          <Button
            variant="outlined"
            onClick={() => {
              edit({ edit: 'removePiece', change: { piece: piece.id } });
              onGone();
            }}
          >
            Take it out
          </Button>
        </Box>
      </Panel>
    </Box>
  );

  function area(squareMetres: number): string {
    return `${Math.round(squareMetres * 10_000)} cm²`;
  }
}

/** As good a start as can be had where one changes what bears a piece: it stays as high as it was. */
function supportOf(
  on: Support['on'],
  { placed: { base, ground, solid } }: PieceResult,
  others: readonly Piece[],
  height: number,
): Support {
  switch (on) {
    case 'floor':
    case 'water':
      return { on };
    case 'ground':
      return { on, sunk: Math.max(0, Math.min(0.05, ground - base)) };
    case 'piece':
      return { on, piece: others[0]?.id ?? '' };
    case 'wall':
      return { on, wall: solid.bounds.x0 < 0.05 ? 'left' : 'back', height: Math.max(base, ground + 0.05) };
    case 'lid':
      return { on, drop: Math.max(0.02, Math.min(height, height - base)) };
  }
}

function SupportFields({
  piece,
  base,
  others,
}: {
  readonly piece: Piece;
  readonly base: number;
  readonly others: readonly Piece[];
}) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { support } = piece;
  const put = (next: Support): void =>
    edit({ edit: 'setSupport', change: { piece: piece.id, support: next } });
  const { height } = design.enclosure;
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
          value={others.some((it) => it.id === support.piece) ? support.piece : ''}
          onChange={(event) => put({ on: 'piece', piece: event.target.value })}
        >
          {others.map((it) => (
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
function BodyFields({ body, onChange }: { readonly body: Body; readonly onChange: (body: Body) => void }) {
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
      {field('Long', long, (metres) => aim({ long: metres }), 0.01)}
      {body.shape === 'rod' ? (
        field('Thick', body.diameter, (diameter) => ({ ...body, diameter }))
      ) : (
        <>
          {field('Broad', body.breadth, (breadth) => ({ ...body, breadth }))}
          {field('Thick', body.thickness, (thickness) => ({ ...body, thickness }))}
        </>
      )}
      <NumberField
        key={`steep ${steep}`}
        label="Rises, °"
        value={steep}
        min={-90}
        max={90}
        step={5}
        onCommit={(degrees) => onChange(aim({ steep: degrees }))}
      />
      <NumberField
        key={`heading ${heading}`}
        label="Points, ° from the right"
        value={heading}
        min={-180}
        max={180}
        step={15}
        onCommit={(degrees) => onChange(aim({ heading: degrees }))}
      />
    </>
  );
}
