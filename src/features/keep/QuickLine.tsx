'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import { quickEntries, type QuickPlace } from '@/core/log';
import { useActs } from '@/store';
import { useReader } from '@/ui/units';
import { useDraft } from '@/ui/useDraft';
import { useAct } from '@/ui/useAct';
import { effectWords, entryWords, KIND_WORD } from '@/ui/entryWords';

/** Parts that are shown as they are understood. */
const SHOWN = 12;

interface Props {
  readonly places: readonly QuickPlace[];
  /** The enclosure that is meant where none is named. */
  readonly open: QuickPlace | null;
}

/** A line typed in a hurry, shown as it is understood before it is written. */
export function QuickLine({ places, open }: Props) {
  const [line, setLine] = useDraft(`line ${open?.id ?? ''}`);
  const reader = useReader();
  const write = useAct();
  const acts = useActs();
  const parts = quickEntries(line, places, open, reader.locale);
  // What is wrong is told first: of forty the one would be missed.
  const shown = [...parts]
    .sort((a, b) => Number(b.wrong !== null) - Number(a.wrong !== null))
    .slice(0, SHOWN);
  const ready = parts.length > 0 && parts.every((it) => it.wrong === null);
  const submit = (): void => {
    if (!ready) return;
    const lines = parts.flatMap(({ place, draft }) => (place && draft ? [{ design: place.id, draft }] : []));
    const said = lines.length === 1 ? 'Written.' : `${lines.length} lines written.`;
    void write(said, () => acts.record(lines)).then((done) => done && setLine(''));
  };
  return (
    <Box
      component="form"
      onSubmit={(event: { preventDefault: () => void }) => (event.preventDefault(), submit())}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <TextField
          fullWidth
          label="Write down"
          placeholder={
            open
              ? 'mist 20s; fed 3 crickets, 1 left; 23.4 C 81 %'
              : `${places[0]?.name ?? 'hall'} mist 20s; fed 3 crickets, 1 left${places.length > 1 ? '; all clean' : ''}`
          }
          value={line}
          onChange={(event) => setLine(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000, autoComplete: 'off' } }}
        />
        <Button type="submit" variant="contained" disabled={!ready} sx={{ minHeight: 40 }}>
          Write
        </Button>
      </Box>
      <Box
        aria-live="polite"
        aria-label="As it is understood"
        role="group"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: parts.length > 0 ? 1 : 0 }}
      >
        {shown.map(({ source, place, animal, draft, wrong }, index) =>
          wrong !== null ? (
            <Box key={`${index} ${source}`} sx={{ color: 'earth.clay', typography: 'body2', py: 0.5 }}>
              “{source}”: {wrong}
            </Box>
          ) : (
            <Chip
              key={`${index} ${source}`}
              variant="outlined"
              label={
                <>
                  {place && place.id !== open?.id && <strong>{place.name} · </strong>}
                  {animal && <strong>{animal.name} · </strong>}
                  {draft &&
                    `${KIND_WORD[draft.kind]}${entryWords(draft, reader) ? `: ${entryWords(draft, reader)}` : ''}`}
                  {draft?.effect && <em> · {effectWords(draft.effect)}</em>}
                </>
              }
            />
          ),
        )}
        {parts.length > shown.length && (
          <Box sx={{ typography: 'body2', py: 0.5 }}>{`and ${parts.length - shown.length} more`}</Box>
        )}
      </Box>
    </Box>
  );
}
