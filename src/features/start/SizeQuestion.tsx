'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { shapesOf, type Shape } from '@/core/enclosure';
import { length, tank } from '@/core/units';
import { Choice } from '@/ui/Choice';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { Question } from './Question';

export type Know = 'sides' | 'volume' | 'nothing';
export type Sides = { readonly [K in keyof Shape]: number | null };

interface Props {
  readonly know: Know;
  readonly onKnow: (know: Know) => void;
  readonly sides: Sides;
  readonly onSides: (sides: Sides) => void;
  /** What is taken where nothing is said. */
  readonly suits: Shape;
  /** Why that is taken. */
  readonly suiting: string;
  /** What is said, when all of it is. */
  readonly size: Shape | null;
  /** m³ inside the design as it stands. */
  readonly interior: number;
}

/** How large the enclosure is: by its sides, by its volume, or not known yet. */
export function SizeQuestion({ know, onKnow, sides, onSides, suits, suiting, size, interior }: Props) {
  const { write } = useReader();
  const [volume, setVolume] = useState<number | null>(null);

  const side = (key: keyof Shape, label: string) => (
    <QuantityField
      label={label}
      measure="length"
      value={sides[key]}
      min={0.05}
      max={10}
      step={0.05}
      placeholder={write(length(suits[key]))}
      onCommit={(si) => onSides({ ...sides, [key]: si })}
      onClear={() => onSides({ ...sides, [key]: null })}
      sx={{ flex: 1 }}
    />
  );

  const sentence = (shape: Shape): string =>
    [shape.width, shape.depth, shape.height]
      .map((it) => write(length(it), { bare: true, trim: true }))
      .join(' × ');

  return (
    <Question title="How large is the enclosure, inside?">
      <Choice
        label="What is known of the enclosure"
        least={150}
        value={know}
        onChange={onKnow}
        options={[
          { value: 'sides', name: 'I know its sides' },
          { value: 'volume', name: 'Only its volume' },
          { value: 'nothing', name: 'Do not know yet' },
        ]}
      />
      {know === 'sides' && (
        <Box sx={{ display: 'flex', gap: 1.25, mt: 1.5 }}>
          {side('width', 'Width')}
          {side('depth', 'Depth')}
          {side('height', 'Height')}
        </Box>
      )}
      {know === 'volume' && (
        <Box sx={{ mt: 1.5 }}>
          <QuantityField
            label="Volume"
            measure="tank"
            quart="liquid"
            value={volume}
            min={0.001}
            max={20}
            step={0.01}
            helper="A volume alone does not say how it stands. Choose the shape that is yours."
            onCommit={setVolume}
            onClear={() => setVolume(null)}
            sx={{ width: '100%' }}
          />
          {volume !== null && (
            <Box
              sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.25 }}
              role="group"
              aria-label="Shapes that hold it"
            >
              {shapesOf(volume).map((shape) => (
                <Button
                  key={sentence(shape)}
                  variant="outlined"
                  aria-pressed={size !== null && sentence(size) === sentence(shape)}
                  onClick={() => onSides(shape)}
                  sx={{
                    gap: 1,
                    '&[aria-pressed=true]': { borderColor: 'earth.moss', bgcolor: 'earth.mossWash' },
                  }}
                >
                  <Outline shape={shape} />
                  {sentence(shape)}
                </Button>
              ))}
            </Box>
          )}
        </Box>
      )}
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
        {size ? `${write(tank(interior))} inside.` : `Taken for now: ${sentence(suits)}, ${suiting}.`}
      </Typography>
    </Question>
  );
}

/** A shape as it would stand, small. */
function Outline({ shape }: { readonly shape: Shape }) {
  const scale = 20 / Math.max(shape.width, shape.height);
  const w = shape.width * scale;
  const h = shape.height * scale;
  return (
    <svg width={22} height={22} aria-hidden>
      <rect
        x={11 - w / 2}
        y={21 - h}
        width={w}
        height={h}
        fill="none"
        stroke="currentColor"
        strokeWidth={1.5}
      />
    </svg>
  );
}
