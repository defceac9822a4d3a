'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Material } from '@/core/catalogue';
import { measured, readCup, type CupReading } from '@/core/mixing';
import { mass, parseQuantity, percent } from '@/core/units';
import { useReader } from '@/ui/units';

type Field = keyof CupReading;

/** The weighings in the order they are made, each with what is done before it. */
const STEPS: readonly { readonly field: Field; readonly label: string; readonly what: string }[] = [
  {
    field: 'empty',
    label: 'Cup, empty',
    what: 'Prick a dozen holes in the base of a straight cup, tape them shut, mark it two fingers below the rim. Weigh it.',
  },
  {
    field: 'water',
    label: 'with water',
    what: 'Fill it with water to the mark and weigh it: so much it holds.',
  },
  {
    field: 'filled',
    label: 'with the ingredient',
    what: 'Empty it. Fill the ingredient in to the mark, tap the cup three times on the table, fill up again, and weigh it.',
  },
  {
    field: 'height',
    label: 'stands high',
    what: 'Measure how high the ingredient stands in the cup.',
  },
  {
    field: 'soaked',
    label: 'soaked',
    what: 'Pour water in slowly along the side until it stands at the mark. Leave it an hour, or a night if it is dry bark or coir; top up; weigh it.',
  },
  {
    field: 'drained',
    label: 'drained',
    what: 'Take the tape off over a sink. When nothing has dripped for a minute, weigh it: what ran out was air.',
  },
  {
    field: 'dried',
    label: 'dried',
    what: 'Was it damp when you filled it in? Dry it in the oven at 100 °C on a tray, never unattended, until it weighs no less; put it back and weigh it. Leave empty if it was dry.',
  },
];

type Texts = Readonly<Partial<Record<Field, string>>>;

/** What was typed, in SI: grams and centimetres unless another unit is written. null: nothing yet. */
function readingOf(field: Field, text: string | undefined): number | null | { readonly wrong: string } {
  if (text === undefined || text.trim() === '') return null;
  const parsed = parseQuantity(
    text,
    field === 'height' ? { dimension: 'length', fallback: 'cm' } : { dimension: 'mass', fallback: 'g' },
  );
  return parsed.ok ? parsed.si : { wrong: parsed.message };
}

/** Walks through the weighing of a cup and calculates pores, water and air from it. */
export function CupDialog({
  row,
  onMeasured,
}: {
  readonly row: Material;
  readonly onMeasured: (row: Material) => void;
}) {
  const { write, tell } = useReader();
  const [open, setOpen] = useState(false);
  const [texts, setTexts] = useState<Texts>({});
  const numberOf = (field: Field): number | undefined => {
    const reading = readingOf(field, texts[field]);
    return typeof reading === 'number' ? reading : undefined;
  };
  const faults = STEPS.some(({ field }) => {
    const reading = readingOf(field, texts[field]);
    return typeof reading === 'object' && reading !== null;
  });
  const [empty, water, filled, soaked, drained, height] = (
    ['empty', 'water', 'filled', 'soaked', 'drained', 'height'] as const
  ).map(numberOf);
  const complete =
    !faults &&
    empty !== undefined &&
    water !== undefined &&
    filled !== undefined &&
    soaked !== undefined &&
    drained !== undefined &&
    height !== undefined;
  const outcome = complete
    ? readCup({ empty, water, filled, soaked, drained, height, dried: numberOf('dried') ?? null })
    : undefined;
  return (
    <>
      <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
        Measure it in a cup
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="cup" fullWidth maxWidth="sm">
        <DialogTitle id="cup">{row.name}, in a cup</DialogTitle>
        <DialogContent>
          <Typography sx={{ color: 'earth.quiet', mb: 1 }}>
            A cup, tape, water and kitchen scales that show the gram. Nurseries measure it the same way.
          </Typography>
          <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {STEPS.map(({ field, label, what }, index) => (
              <Box
                component="li"
                key={field}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: 'minmax(0, 1fr) 170px',
                  gap: 2,
                  py: 1,
                  borderTop: index === 0 ? 0 : 1,
                  borderColor: 'earth.rule',
                  alignItems: 'start',
                }}
              >
                <Typography variant="body2">
                  <b>{index + 1}.</b> {tell(what)}
                </Typography>
                <CupField
                  field={field}
                  label={label}
                  text={texts[field] ?? ''}
                  onChange={(text) => setTexts((now) => ({ ...now, [field]: text }))}
                />
              </Box>
            ))}
          </Box>
          <Box role="status" sx={{ mt: 1 }}>
            {outcome && !outcome.ok && (
              <Alert severity="warning" variant="outlined">
                {STEPS.find((it) => it.field === outcome.place)?.label}: {outcome.message}
              </Alert>
            )}
            {outcome?.ok && (
              <Typography>
                <b>{write(percent(outcome.result.porosity))}</b> of it is pores. Drained it keeps{' '}
                <b>{write(percent(outcome.result.capacity))}</b> of water and holds{' '}
                <b>{write(percent(outcome.result.air))}</b> of air. A litre of it in the cup weighs{' '}
                {write(mass(outcome.result.density / 1000), { decimals: 2 })}, dry.
              </Typography>
            )}
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Leave it</Button>
          <Button
            variant="contained"
            disabled={!outcome?.ok}
            onClick={() => {
              if (!outcome?.ok || height === undefined) return;
              onMeasured(measured(row, outcome.result, height));
              setOpen(false);
            }}
          >
            Use these values
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

interface FieldProps {
  readonly field: Field;
  readonly label: string;
  readonly text: string;
  readonly onChange: (text: string) => void;
}

function CupField({ field, label, text, onChange }: FieldProps) {
  const reading = readingOf(field, text);
  const wrong = typeof reading === 'object' && reading !== null ? reading.wrong : undefined;
  return (
    <TextField
      label={`${label}, ${field === 'height' ? 'cm' : 'g'}`}
      value={text}
      error={wrong !== undefined}
      helperText={wrong}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
}
