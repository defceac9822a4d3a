'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { useMemo, useState } from 'react';
import { whatTurns, type TurnedPieces } from '@/core/edits';
import { usuallyInFront, type InFront } from '@/core/enclosure';
import { length, message, type Message } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { useReader } from '@/ui/units';

const FRONTS: readonly { readonly front: InFront; readonly up: string; readonly back: string }[] = [
  {
    front: 'lid',
    up: 'What was the lid: a door is fitted there',
    back: 'What is now the front: the door comes off, and it is open above',
  },
  {
    front: 'front',
    up: 'The doors, as before: the lid becomes the right side',
    back: 'What is now the right side',
  },
];
const PIECES: readonly { readonly pieces: TurnedPieces; readonly words: string }[] = [
  { pieces: 'out', words: 'Keep what fits, take out what does not' },
  { pieces: 'afresh', words: 'Lay it out afresh for the new shape' },
  { pieces: 'keep', words: 'Leave all of it, and tell me what does not fit' },
];

/** Stands a box on its end, or lays it down: what comes along, what is other then, and what cannot come. */
export function TurnDialog({ onClose }: { readonly onClose: () => void }) {
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  const { catalogue } = useStore();
  const box = design.enclosure;
  const up = box.stands === 'upright';
  const [front, setFront] = useState<InFront>(() => usuallyInFront(box));
  const [pieces, setPieces] = useState<TurnedPieces>('out');
  const turned = useMemo(() => whatTurns(design, front, catalogue), [design, front, catalogue]);
  // A tank without doors has only its lid to open: that has to be in front.
  const fronts = up && box.front === 'fixed' ? FRONTS.filter((it) => it.front === 'lid') : FRONTS;
  const { width, depth, height, watertightHeight } = turned.enclosure;
  const told: readonly Message[] = [
    message`It is then ${length(width)} wide, ${length(depth)} deep and ${length(height)} high.`,
    message`Lamps, nozzles and probes keep their share of the way across and up: ${turned.moves.devices} of them.`,
    ...(turned.moves.vents + turned.moves.bores > 0
      ? [
          message`Vents and holes stay in the pane they are in, wherever it now is: ${turned.moves.vents + turned.moves.bores} of them.`,
        ]
      : []),
  ];
  const asks: readonly Message[] = [
    ...(up && watertightHeight > 0
      ? [
          message`A sill ${length(watertightHeight)} high is bonded under the doors: without it soil falls out, and a pane that was a side was not made to hold water.`,
        ]
      : []),
    ...(up && front === 'front' && box.made.doors === 'sliding'
      ? [message`Doors that slide run in level tracks: they are hinged now.`]
      : []),
    ...turned.tooLong.map(
      (it) => message`${it.name} is ${length(it.length)} long: one of ${length(it.most)} fits.`,
    ),
    ...(turned.ventsClosed > 0
      ? [message`${turned.ventsClosed} of its vents lie in the floor, and are closed.`]
      : []),
    ...(turned.backgrounds > 0
      ? [message`Backgrounds are cut anew for the new walls: ${turned.backgrounds} of them.`]
      : []),
    ...turned.unfit.map((it) => message`${it.name} does not fit as it is.`),
    message`Soil lies as deep as before on a floor of another size: look through the layers.`,
  ];
  return (
    <Dialog open onClose={onClose} aria-labelledby="turn-box" fullWidth maxWidth="sm">
      <DialogTitle id="turn-box">{up ? 'Stand it on its end' : 'Lay it back down'}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        {fronts.length > 1 && (
          <FormControl>
            <FormLabel id="turn-front">{up ? 'In front' : 'What was its lid'}</FormLabel>
            <RadioGroup
              aria-labelledby="turn-front"
              value={front}
              onChange={(_, value) => setFront(value === 'lid' ? 'lid' : 'front')}
            >
              {fronts.map((it) => (
                <FormControlLabel
                  key={it.front}
                  value={it.front}
                  control={<Radio size="small" />}
                  label={up ? it.up : it.back}
                />
              ))}
            </RadioGroup>
          </FormControl>
        )}
        <Told title="Comes along" told={told} />
        <Told title="Cannot come as it is" told={asks} />
        {design.scape.pieces.length > 0 && (
          <FormControl>
            <FormLabel id="turn-pieces">Hardscape</FormLabel>
            <RadioGroup
              aria-labelledby="turn-pieces"
              value={pieces}
              onChange={(_, value) => {
                const next = PIECES.find((it) => it.pieces === value);
                if (next) setPieces(next.pieces);
              }}
            >
              {PIECES.map((it) => (
                <FormControlLabel
                  key={it.pieces}
                  value={it.pieces}
                  control={<Radio size="small" />}
                  label={it.words}
                />
              ))}
            </RadioGroup>
          </FormControl>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          onClick={() => {
            edit({ edit: 'turnEnclosure', change: { front, pieces } });
            onClose();
          }}
        >
          {up ? 'Stand it on its end' : 'Lay it down'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Told({ title, told }: { readonly title: string; readonly told: readonly Message[] }) {
  const { tell } = useReader();
  return (
    <div>
      <Box component="h3" sx={{ typography: 'subtitle2', m: 0 }}>
        {title}
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, typography: 'body2' }}>
        {told.map((it) => (
          <li key={tell(it)}>{tell(it)}</li>
        ))}
      </Box>
    </div>
  );
}
