'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { LEAF_DENSITY, warmed, type CrewHome } from '@/core/living';
import { area, bag, capital, length, light } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { MONTHS } from './CrewCourse';

const mean = (all: readonly number[]): number =>
  all.reduce((sum, it) => sum + it, 0) / Math.max(1, all.length);

/** What a crew lives on: litter, where some lies, and dry food that is put down. @param eaten kg of litter in two years */
export function CrewFood({ home, eaten }: { readonly home: CrewHome; readonly eaten: number }) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { write } = useReader();
  const { litter, supplement } = design.living;
  const rots =
    litter.depth *
    home.floor *
    LEAF_DENSITY *
    (1 - Math.exp(-warmed(home.litterK, mean(home.temperature)) * 2));
  const neededKg = (rots + eaten) / MONTHS;
  const neededVolume = neededKg / LEAF_DENSITY;
  const given = (litter.depth * home.floor) / litter.everyMonths;

  const laid = home.litter > 0;

  return (
    <Box>
      <Typography variant="h3" component="h2" sx={{ mb: 0.75 }}>
        What it is fed
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
        {laid && (
          <>
            <TextField
              select
              label="Leaf litter"
              value={litter.kind}
              sx={{ minWidth: 190 }}
              onChange={(event) =>
                edit({ edit: 'setLiving', change: { litter: { ...litter, kind: event.target.value } } })
              }
            >
              {catalogue.living.litters.map((it) => (
                <MenuItem key={it.id} value={it.id}>
                  {it.english}
                </MenuItem>
              ))}
            </TextField>
            <QuantityField
              label="Kept at a depth of"
              measure="length"
              value={litter.depth}
              max={0.2}
              onCommit={(depth) => edit({ edit: 'setLiving', change: { litter: { ...litter, depth } } })}
              sx={{ width: 150 }}
            />
            <NumberField
              key={litter.everyMonths}
              label="Refilled every so many months"
              value={litter.everyMonths}
              min={1}
              max={36}
              onCommit={(everyMonths) =>
                edit({ edit: 'setLiving', change: { litter: { ...litter, everyMonths } } })
              }
              sx={{ width: 190 }}
            />
          </>
        )}
        <QuantityField
          label="Dry food a week"
          measure="light"
          value={supplement}
          max={0.5}
          step={0.001}
          onCommit={(next) => edit({ edit: 'setLiving', change: { supplement: next } })}
          sx={{ width: 150 }}
        />
      </Box>
      {laid ? (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1, maxWidth: '70ch' }}>
          {capital(catalogue.living.litters.find((it) => it.id === litter.kind)?.note ?? '')}. About{' '}
          {write(bag(neededVolume), { decimals: 1 })} a month rots or is eaten here, to a depth of{' '}
          {write(length(litter.depth))} on {write(area(home.floor))} of land; refilled as said,{' '}
          {write(bag(given), { decimals: 1 })} a month comes in
          {given < neededVolume ? ': it will run short. Refill sooner, or take leaves that last.' : '.'}
          {supplement > 0 ? ` Of dry food ${write(light(supplement))} a week lies ready.` : ''}
        </Typography>
      ) : (
        <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1.25, mt: 1 }}>
          <Typography variant="body2" sx={{ color: 'earth.quiet', maxWidth: '60ch' }}>
            {supplement > 0
              ? `No leaf litter lies in it: the crew lives on droppings and on ${write(light(supplement))} of dry food a week.`
              : 'No leaf litter lies in it: the crew lives on droppings alone.'}
          </Typography>
          <Button variant="outlined" onClick={() => edit({ edit: 'addLayer', change: { kind: 'litter' } })}>
            Lay leaf litter
          </Button>
        </Box>
      )}
    </Box>
  );
}
