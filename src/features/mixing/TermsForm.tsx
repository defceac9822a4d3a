import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import type { Material } from '@/core/catalogue';
import { QuantityField } from '@/ui/fields/QuantityField';
import type { Terms } from './question';

interface Props {
  readonly terms: Terms;
  readonly onTerms: (change: Partial<Terms>) => void;
  readonly mixable: readonly Material[];
  readonly ready: readonly Material[];
  /** m³ left of the bag in hand. */
  readonly inHand: number;
  readonly onHave: (volume: number | null) => void;
  /** As it is typed. */
  readonly budget: string;
  readonly budgetWrong: boolean;
  readonly onBudget: (typed: string) => void;
}

/** What a mix is worked out from: tolerance or the bag in hand, what may be bought, money, what else may go in. */
export function TermsForm(props: Props) {
  const { terms, onTerms, mixable, ready, inHand, onHave, budget, budgetWrong, onBudget } = props;
  const { goal, tolerance, buy, only, besides, peatFree, banded, bagOf } = terms;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.5, alignItems: 'flex-start' }}>
        {goal === 'stretch' ? (
          <>
            <TextField
              select
              label="The bag in hand"
              value={bagOf}
              onChange={(event) => {
                onTerms({ bagOf: event.target.value });
                onHave(null);
              }}
              sx={{ width: 230 }}
            >
              {ready.map((row) => (
                <MenuItem key={row.id} value={row.id}>
                  {row.name}
                </MenuItem>
              ))}
            </TextField>
            <QuantityField
              label="Left of it, loose"
              measure="bag"
              quart="dry"
              value={inHand}
              min={0.0001}
              max={2}
              step={0.001}
              onCommit={onHave}
              sx={{ width: 130 }}
            />
          </>
        ) : (
          <QuantityField
            label="Tolerance"
            measure="percent"
            value={tolerance}
            max={1}
            step={0.01}
            onCommit={(share) => onTerms({ tolerance: share })}
            sx={{ width: 140 }}
          />
        )}
        <TextField
          select
          label="May be bought"
          value={buy}
          onChange={(event) => onTerms({ buy: event.target.value as typeof buy })}
          sx={{ width: 170 }}
        >
          <MenuItem value="anything">anything</MenuItem>
          <MenuItem value="only">only some things</MenuItem>
          <MenuItem value="nothing">nothing</MenuItem>
        </TextField>
        {buy === 'only' && (
          <Autocomplete
            multiple
            options={[...mixable]}
            value={[...only]}
            getOptionLabel={(row) => row.name}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            onChange={(_, rows) => onTerms({ only: rows })}
            renderInput={(params) => <TextField {...params} label="These are sold" />}
            sx={{ minWidth: 260, flex: 1 }}
          />
        )}
        <TextField
          label="Spend at most"
          value={budget}
          error={budgetWrong}
          helperText={budgetWrong ? 'A sum of money, or empty.' : undefined}
          placeholder="any"
          onChange={(event) => onBudget(event.target.value)}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: 130 }}
        />
        <Autocomplete
          multiple
          limitTags={3}
          options={[...mixable]}
          value={[...besides]}
          getOptionLabel={(row) => row.name}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          onChange={(_, rows) => onTerms({ besides: rows })}
          renderInput={(params) => <TextField {...params} label="May go in besides" />}
          sx={{ minWidth: 300, flex: 1 }}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, mt: 0.75 }}>
        <FormControlLabel
          control={<Switch checked={peatFree} onChange={(_, on) => onTerms({ peatFree: on })} />}
          label="No peat"
        />
        <FormControlLabel
          control={<Switch checked={banded} onChange={(_, on) => onTerms({ banded: on })} />}
          label="Keep inside the green strip"
        />
      </Box>
    </>
  );
}
