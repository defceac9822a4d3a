'use client';

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { agingLamps, type AgingLamp } from '@/core/care';
import type { Draft } from '@/core/log';
import { useOpenDesign, useStore } from '@/store';

/** What of a new line is chosen beside its fields: the lamp that was replaced, and whether numbers follow. */
export interface Chosen {
  readonly lamp: string;
  /** null: as is usual, those that died counted, young not. */
  readonly counts: boolean | null;
}
export const NOTHING_CHOSEN: Chosen = { lamp: '', counts: null };

const YOUNG: ReadonlySet<Draft['kind']> = new Set(['birth', 'hatching']);
const countsIn = (kind: Draft['kind'], { counts }: Chosen): boolean => counts ?? kind === 'death';

/** A line with what it changes besides the log, as it was chosen. */
export function withChosen(draft: Draft, chosen: Chosen, lamps: readonly AgingLamp[]): Draft {
  const by = draft.values.count ?? 1;
  if (draft.kind === 'repair') {
    const lamp = lamps.find((it) => it.device === chosen.lamp);
    return lamp ? { ...draft, rule: lamp.rule, effect: { does: 'lamp', device: lamp.device } } : draft;
  }
  if (!countsIn(draft.kind, chosen)) return draft;
  if (draft.kind === 'death')
    return { ...draft, effect: draft.animal ? { does: 'left' } : { does: 'count', by: -by } };
  return YOUNG.has(draft.kind) ? { ...draft, effect: { does: 'count', by } } : draft;
}

/** Asks what a new line changes besides the log, where it may. */
export function EffectField({
  kind,
  chosen,
  onChange,
}: {
  readonly kind: Draft['kind'];
  readonly chosen: Chosen;
  readonly onChange: (chosen: Chosen) => void;
}) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const lamps = agingLamps(design, catalogue);
  if (kind === 'repair' && lamps.length > 0)
    return (
      <TextField
        select
        label="Lamp that was replaced"
        value={chosen.lamp}
        onChange={(event) => onChange({ ...chosen, lamp: event.target.value })}
        helperText={chosen.lamp === '' ? undefined : 'The new one counts from that day.'}
        sx={{ width: 240 }}
      >
        <MenuItem value="">none</MenuItem>
        {lamps.map((it) => (
          <MenuItem key={it.device} value={it.device}>
            {it.name}
          </MenuItem>
        ))}
      </TextField>
    );
  if (kind !== 'death' && !YOUNG.has(kind)) return null;
  return (
    <FormControlLabel
      label={kind === 'death' ? 'Fewer live here now' : 'They stay in this enclosure'}
      control={
        <Checkbox
          checked={countsIn(kind, chosen)}
          onChange={(_, counts) => onChange({ ...chosen, counts })}
        />
      }
    />
  );
}
