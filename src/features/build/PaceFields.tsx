import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { COMINGS, PACES, type Coming, type Pace } from '@/core/document';
import { useEditing, useOpenDesign } from '@/store';
import { DateField } from '@/ui/fields/DateField';

const PACE: Readonly<Record<Pace, { readonly name: string; readonly risk: string }>> = {
  cautious: {
    name: 'Cautious',
    risk: 'About eight weeks for roots and crew: plants hold and the crew breeds before anything eats them. It is fed meanwhile.',
  },
  usual: {
    name: 'Usual',
    risk: 'About four weeks for roots and crew. A heavy animal may still pull plants out and thin the crew.',
  },
  quick: {
    name: 'Quick',
    risk: 'About two weeks for roots and crew: checks decide, not the calendar. Mould, loose plants and a crew eaten before it bred come with it; keep some back to start again.',
  },
};
const COMES: Readonly<Record<Coming, { readonly name: string; readonly what: string }>> = {
  new: { name: 'Still to be found', what: 'It is quarantined and tested before it moves in.' },
  post: {
    name: 'Sent on a day',
    what: 'It is received, quarantined and tested. Have its tub ready before that day.',
  },
  here: {
    name: 'Here already, it only moves',
    what: 'It has been quarantined and tested: neither holds it back. It waits where it is.',
  },
};

/** How long is waited and what that risks; where the animal is. */
export function PaceFields() {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { pace, animal } = design.plan;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
      <Box sx={{ flex: '1 1 300px' }}>
        <TextField
          select
          label="Pace"
          value={pace}
          sx={{ width: 220 }}
          onChange={(event) => {
            const next = PACES.find((it) => it === event.target.value);
            if (next) edit({ edit: 'setPlan', change: { pace: next } });
          }}
        >
          {PACES.map((it) => (
            <MenuItem key={it} value={it}>
              {PACE[it].name}
            </MenuItem>
          ))}
        </TextField>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5, maxWidth: '58ch' }}>
          {PACE[pace].risk}
        </Typography>
      </Box>
      {design.brief.animal !== null && (
        <Box sx={{ flex: '1 1 300px' }}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25 }}>
            <TextField
              select
              label="The animal"
              value={animal.comes}
              sx={{ width: 260 }}
              onChange={(event) => {
                const comes = COMINGS.find((it) => it === event.target.value);
                if (comes) edit({ edit: 'setPlan', change: { animal: { ...animal, comes } } });
              }}
            >
              {COMINGS.map((it) => (
                <MenuItem key={it} value={it}>
                  {COMES[it].name}
                </MenuItem>
              ))}
            </TextField>
            {animal.comes === 'post' && (
              <DateField
                label="Comes on"
                value={animal.day}
                onCommit={(day) => edit({ edit: 'setPlan', change: { animal: { ...animal, day } } })}
                sx={{ width: 170 }}
              />
            )}
          </Box>
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.5, maxWidth: '58ch' }}>
            {COMES[animal.comes].what}
          </Typography>
        </Box>
      )}
    </Box>
  );
}
