'use client';

import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Material } from '@/core/catalogue';
import { heldAt } from '@/core/ground';
import { GRADES, likeness, likenesses, unsuitableNamed, type Grade } from '@/core/mixing';
import { percent, length } from '@/core/units';
import { useOwn, useStore } from '@/store';
import { useReader } from '@/ui/units';
import { freshId } from '@/ui/freshId';

const GRADE_NAMES = Object.keys(GRADES) as Grade[];

/** An ingredient of one's own, known by no more than “like coir, but finer”. */
export function NewIngredient({ onMade }: { readonly onMade: (id: string) => void }) {
  const { catalogue } = useStore();
  const { save } = useOwn();
  const { write } = useReader();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [like, setLike] = useState<Material | null>(null);
  const [grade, setGrade] = useState<Grade>('finer');
  const made = like && likeness(like, grade, { id: 'x', name: name.trim() });
  const harm = unsuitableNamed(name);
  const ready = name.trim().length > 0 && made !== null;
  const make = (): void => {
    if (!like || !ready) return;
    const id = freshId(`${like.id}-own`, catalogue.materials);
    void save('materials', likeness(like, grade, { id, name: name.trim().slice(0, 80) })).then(() => {
      setOpen(false);
      setName('');
      setLike(null);
      onMade(id);
    });
  };
  return (
    <>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        New
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        aria-labelledby="new-ingredient"
        fullWidth
        maxWidth="xs"
      >
        <DialogTitle id="new-ingredient">An ingredient of your own</DialogTitle>
        <DialogContent>
          <Box sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
            <TextField
              label="Name"
              value={name}
              autoFocus
              onChange={(event) => setName(event.target.value)}
            />
            {harm !== null && (
              <Alert severity="warning" role="alert">
                Not for an enclosure. {harm}
              </Alert>
            )}
            <Autocomplete
              options={[...likenesses(catalogue)]}
              value={like}
              getOptionLabel={(it) => it.name}
              isOptionEqualToValue={(a, b) => a.id === b.id}
              onChange={(_, it) => setLike(it)}
              renderInput={(params) => <TextField {...params} label="It is like" />}
            />
            <TextField
              select
              label="but its pieces are"
              value={grade}
              onChange={(event) => {
                const next = GRADE_NAMES.find((it) => it === event.target.value);
                if (next) setGrade(next);
              }}
            >
              {GRADE_NAMES.map((it) => (
                <MenuItem key={it} value={it}>
                  {it}
                </MenuItem>
              ))}
            </TextField>
            <Typography variant="body2" sx={{ color: 'earth.quiet', minHeight: 42 }} role="status">
              {made?.retention && like?.retention
                ? `At ${write(length(0.1))} of suction it should hold ${write(percent(heldAt(made.retention.value, 10)))}, where its likeness holds ${write(percent(heldAt(like.retention.value, 10)))}. Everything else is taken over; change what you know better, or measure it in a cup.`
                : 'Half the size of pieces holds its water at twice the suction; all else is taken over.'}
            </Typography>
          </Box>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Leave it</Button>
          <Button variant="contained" disabled={!ready} onClick={make}>
            Write it down
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
