import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { usualInside } from '@/core/propose/stands';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Message } from '@/ui/Message';

/** What stands in the enclosure is not known: the way to write it down. */
export function Undescribed({ place }: { readonly place: string }) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { edit } = useEditing();
  return (
    <Message
      title={`${place}: not described`}
      actions={
        <>
          {design.brief.animal !== null && (
            <Button
              variant="contained"
              onClick={() => edit({ edit: 'describe', change: { parts: usualInside(design, catalogue) } })}
            >
              Begin with what is usual
            </Button>
          )}
          <Button variant="outlined" onClick={() => edit({ edit: 'describe', change: { parts: null } })}>
            Begin with nothing
          </Button>
        </>
      }
    >
      {design.name} stood before it was written down: its box and who lives there are known, and it is kept
      from that. To forecast its climate, judge its ground or list what it takes, write down what is in it:
      from what is usual for its animal, a beginning to be changed to what is there, or layer by layer from
      nothing. Its forecast then says whether that holds.
      {design.brief.note !== '' && (
        <Box component="blockquote" sx={{ m: 0, mt: 1.5, pl: 1.5, borderLeft: 3, borderColor: 'earth.rule' }}>
          {design.brief.note}
        </Box>
      )}
    </Message>
  );
}
