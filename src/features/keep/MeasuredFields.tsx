import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { kindOfRule } from '@/ui/entryWords';
import { useReader } from '@/ui/units';
import { checkNumber, numbersOf } from './entryFields';
import type { Measured, Typed } from './measured';

interface Props {
  readonly rule: string;
  readonly things: readonly Measured[];
  readonly typed: Typed;
  readonly onTyped: (typed: Typed) => void;
  /** What is said beside a thing’s fields, by its key: what it was last. */
  readonly said?: (
    key: string,
    numbers: Typed[string],
  ) => { readonly text: string; readonly grave: boolean } | null;
}

/** The numbers a rule asks for, each thing in a row of its own. */
export function MeasuredFields({ rule, things, typed, onTyped, said }: Props) {
  const reader = useReader();
  const asked = numbersOf(kindOfRule(rule), reader.prefs).filter(
    ({ name }) => rule !== 'probes' || name !== 'uvIndex',
  );
  return things.map((thing) => {
    const own = typed[thing.key] ?? {};
    const beside = said?.(thing.key, own) ?? null;
    return (
      <Box key={thing.key} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {thing.label !== '' && (
          <Box sx={{ width: { xs: '100%', sm: 84 }, typography: 'body2' }}>{thing.label}</Box>
        )}
        {asked.map((it) => {
          const text = own[it.name] ?? '';
          return (
            <TextField
              key={it.name}
              label={it.label}
              value={text}
              error={checkNumber(text, it, reader) !== true}
              onChange={(event) =>
                onTyped({ ...typed, [thing.key]: { ...own, [it.name]: event.target.value } })
              }
              slotProps={{
                htmlInput: {
                  inputMode: 'decimal',
                  ...(thing.label === '' ? {} : { 'aria-label': `${it.label}: ${thing.label}` }),
                },
              }}
              sx={{ width: { xs: 148, sm: 140 } }}
            />
          );
        })}
        {beside && (
          <Box
            role={beside.grave ? 'status' : undefined}
            sx={{ typography: 'body2', color: beside.grave ? 'earth.clay' : 'earth.quiet' }}
          >
            {beside.text}
          </Box>
        )}
      </Box>
    );
  });
}
