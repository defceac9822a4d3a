'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import CloseIcon from '@mui/icons-material/Close';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { soilIsKept, type Forecast } from '@/core/climate';
import { MOST_POURS, type Climate, type Pour } from '@/core/document';
import { tank } from '@/core/units';
import { poursFor, type VerdictState } from '@/core/verdict';
import { useEditing, useOpenDesign } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Panel } from '@/ui/Panel';
import { useReader } from '@/ui/units';

const FIRST: Pour = { end: 'warm', into: 'foot', amount: 0.0002, everyDays: 7 };

/** Water for the soil from the jug: as it needs, so much every so many days, or none. */
export function Watering({
  forecast,
  verdict,
}: {
  readonly forecast: Forecast | null;
  readonly verdict: VerdictState;
}) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { watering } = design.climate;
  const drained = design.ground.method !== 'none';
  const set = (next: Climate['watering']) => edit({ edit: 'setClimate', change: { watering: next } });
  const change = (index: number, to: Partial<Pour>) =>
    set((watering ?? []).map((it, i) => (i === index ? { ...it, ...to } : it)));
  const loses = forecast?.answers.soilLoses.map((it) => Math.max(0, (7 * it) / 1000));
  const plan = verdict.at === 'known' ? poursFor(verdict.verdict, design) : null;
  return (
    <Panel label="Water for the soil">
      <TextField
        select
        label="From the jug"
        value={watering === null ? 'kept' : watering.length === 0 ? 'none' : 'jug'}
        onChange={({ target }) =>
          set(target.value === 'kept' ? null : target.value === 'none' ? [] : [FIRST])
        }
        sx={{ minWidth: 230, mt: 1 }}
      >
        <MenuItem value="kept">{drained ? 'left to the drainage' : 'as it needs'}</MenuItem>
        <MenuItem value="jug">by measure</MenuItem>
        <MenuItem value="none">none</MenuItem>
      </TextField>
      {(watering ?? []).length > 0 && (
        <Box
          component="ul"
          aria-label="Waterings"
          sx={{ listStyle: 'none', m: 0, mt: 1.25, p: 0, display: 'grid', gap: 1.25 }}
        >
          {(watering ?? []).map((pour, index) => (
            <Box
              // Fields of a line hold what is typed in them: another line is another set of them.
              key={`${(watering ?? []).length} ${index}`}
              component="li"
              sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
            >
              <QuantityField
                label={`Watering ${index + 1}`}
                measure="tank"
                value={pour.amount}
                min={0.00001}
                max={0.1}
                step={0.0001}
                onCommit={(amount) => change(index, { amount })}
                sx={{ width: 105 }}
              />
              <NumberField
                key={pour.everyDays}
                label="Days apart"
                value={pour.everyDays}
                min={1}
                max={90}
                onCommit={(everyDays) => change(index, { everyDays: Math.round(everyDays) })}
                sx={{ width: 95 }}
              />
              <TextField
                select
                label="End"
                value={pour.end}
                onChange={({ target }) => change(index, { end: target.value as Pour['end'] })}
                sx={{ width: 112 }}
              >
                <MenuItem value="warm">warm</MenuItem>
                <MenuItem value="cool">cool</MenuItem>
                <MenuItem value="both">both</MenuItem>
              </TextField>
              <TextField
                select
                label="How"
                value={pour.into}
                onChange={({ target }) => change(index, { into: target.value as Pour['into'] })}
                sx={{ width: 150 }}
              >
                <MenuItem value="foot">corner or tube</MenuItem>
                <MenuItem value="top">over the ground</MenuItem>
              </TextField>
              <IconButton
                size="small"
                aria-label={`Leave out watering ${index + 1}`}
                onClick={() => set((watering ?? []).filter((_, i) => i !== index))}
              >
                <CloseIcon fontSize="small" />
              </IconButton>
            </Box>
          ))}
        </Box>
      )}
      {watering !== null && watering.length > 0 && watering.length < MOST_POURS && (
        <Button sx={{ mt: 1 }} onClick={() => set([...watering, { ...FIRST, end: 'cool' }])}>
          Add a watering
        </Button>
      )}
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
        {soilIsKept(design)
          ? loses
            ? `Nothing drains this soil, and nothing else brings water to its depth. To stay as damp as it was filled it takes ${write(tank(loses[0] ?? 0))} a week at the warm end and ${write(tank(loses[1] ?? 0))} at the cool.`
            : 'Nothing drains this soil, and nothing else brings water to its depth: the forecast keeps it as damp as it was filled.'
          : watering === null
            ? 'What sinks through stands in the drainage and rises from there.'
            : watering.length === 0
              ? 'The soil gets what is misted, and no more.'
              : 'Poured in a corner or down a tube it reaches the foot of the soil, where what digs looks for it, and leaves the top dry.'}
      </Typography>
      {plan && plan.length > 0 && (
        <Button sx={{ mt: 1 }} onClick={() => set(plan)}>
          Plan it by the year
        </Button>
      )}
    </Panel>
  );
}
