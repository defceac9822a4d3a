'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { DAY_MS } from '@/core/physics/constants';
import { findAnimal } from '@/core/catalogue';
import { moveInOf, quarantineDays } from '@/core/living';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { DateField } from '@/ui/fields/DateField';
import { useReader } from '@/ui/units';

const DAYS = [
  ['quarantine', 'Quarantine since'],
  ['tested', 'Tests clear on'],
] as const;
/** Behind an animal that is kept already. */
const PASSED: ReadonlySet<string> = new Set(['quarantine', 'look', 'faecal', 'skin', 'mites']);

/** What comes before the animal, and its first week; with the two days that are written down. */
export function MoveInTab({ today }: { readonly today: Date }) {
  const { tell } = useReader();
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const animal = findAnimal(catalogue, design.brief.animal);
  const { moveIn } = design.living;
  const here = design.plan.animal.comes === 'here';
  const steps = moveInOf(animal).filter(({ id }) => !here || !PASSED.has(id));
  const [least, most] = quarantineDays(animal);
  const put = (change: Partial<typeof moveIn>) =>
    edit({ edit: 'setLiving', change: { moveIn: { ...moveIn, ...change } } });
  const passed = moveIn.quarantine
    ? Math.floor((today.getTime() - Date.parse(moveIn.quarantine)) / DAY_MS)
    : null;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'center' }}>
        {(here ? [] : DAYS).map(([key, label]) => (
          <DateField
            key={key}
            label={label}
            value={moveIn[key]}
            onCommit={(day) => put({ [key]: day })}
            sx={{ width: 180 }}
          />
        ))}
        {!here && moveIn.quarantine !== null && (
          <Button size="small" onClick={() => put({ quarantine: null, tested: null })}>
            Clear both
          </Button>
        )}
      </Box>
      <Typography variant="body2">
        {here
          ? 'It has been quarantined and tested: it only moves over, and waits where it is.'
          : passed === null
            ? `Quarantine lasts ${least} to ${most} days for this species (common practice).`
            : passed < least
              ? `Day ${Math.max(0, passed)} of at least ${least}. It waits.`
              : moveIn.tested === null
                ? `${passed} days have passed. It waits for its tests.`
                : `${passed} days have passed and its tests were clear.`}
      </Typography>
      <Box
        component="ol"
        sx={{ m: 0, pl: 0, listStyle: 'none', display: 'grid', gap: 1 }}
        aria-label="Before it moves in"
      >
        {steps.map((step, index) => (
          <Box
            component="li"
            key={step.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: '28px 1fr',
              gap: 1,
              bgcolor: 'earth.card',
              border: 1,
              borderColor: 'earth.rule',
              borderRadius: '12px',
              px: 1.5,
              py: 1.1,
            }}
          >
            <Box sx={{ typography: 'h3', color: 'earth.quiet' }} aria-hidden>
              {index + 1}
            </Box>
            <Box sx={{ typography: 'body2' }}>
              <strong>{tell(step.what)}</strong>
              {step.days
                ? ` · ${step.days[0] === step.days[1] ? step.days[0] : `${step.days[0]} to ${step.days[1]}`} days`
                : ''}
              <Box sx={{ color: 'earth.quiet' }}>{step.why}</Box>
              {step.caution && <Box sx={{ color: 'earth.clay' }}>{step.caution}</Box>}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
