'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { CAUTIONS } from '@/catalogue';
import { ruleOfCause, type AfterRemedy, type Cause, type Diagnosis } from '@/core/diagnosis';
import { localDay } from '@/core/time';
import { capital, message, percent } from '@/core/units';
import { useActs, useEditing, useOpenDesign } from '@/store';
import { dayWords } from '@/ui/days';
import { useAct } from '@/ui/useAct';
import { useReader } from '@/ui/units';

/** What may be behind what is seen and read: causes with their evidence, and what became of the last remedy. */
export function Opinion({
  found,
  mended,
  isRead,
  failed,
}: {
  readonly found: Diagnosis;
  readonly mended: AfterRemedy | null;
  /** Whether any sensor reads in it. */
  readonly isRead: boolean;
  /** Why the forecast could not be played; null: it was, or need not be. */
  readonly failed: string | null;
}) {
  const { tell } = useReader();
  return (
    <>
      <Typography variant="h2" id="causes" sx={{ mb: 0.5 }}>
        {HEADING[found.verdict]}
      </Typography>
      {found.read.length > 0 && (
        <Box
          component="ul"
          aria-label="What the readings say"
          sx={{ m: 0, mb: 1.25, pl: 2.5, typography: 'body2', color: 'earth.quiet' }}
        >
          {found.read.map((it) => (
            <li key={tell(it.words)}>{capital(tell(it.words))}</li>
          ))}
        </Box>
      )}
      {mended && <Mended mended={mended} />}
      {found.outside.length > 0 && (
        <Box sx={{ borderLeft: 3, borderColor: 'earth.amber', pl: 1.5, mb: 1.5 }}>
          <Typography sx={{ fontWeight: 600 }}>Not as the animal needs it, changed or not</Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {found.outside.map((it) => (
              <li key={tell(it.words)}>
                {capital(tell(it.words))}
                {it.harm ? ', more than it bears' : ''}
              </li>
            ))}
          </Box>
          <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
            Means of the last three days. See what the forecast says in Climate: if it says the same, change
            the set points or the equipment; if not, calibrate it with these readings.
          </Typography>
        </Box>
      )}
      {failed !== null && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
          The forecast could not be played ({failed}): this is by rules alone, and less sure.
        </Typography>
      )}
      {found.verdict === 'nothing' && (
        <Typography sx={{ color: 'earth.quiet' }}>
          {!isRead
            ? 'Nothing is read by a sensor here. Pick what you see.'
            : found.read.length > 0
              ? 'What differs is within what its days differ by anyway. Pick what you see, if there is something.'
              : 'Readings lie as they did before. Pick what you see, if there is something.'}
        </Typography>
      )}
      {found.next && (
        <Box sx={{ borderLeft: 3, borderColor: 'earth.amber', pl: 1.5, mb: 1.5 }}>
          <Typography sx={{ fontWeight: 600 }}>Check this first</Typography>
          <Typography>{tell(found.next)}</Typography>
        </Box>
      )}
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.25 }}>
        {found.causes.slice(0, 5).map((it, index) => (
          <CauseCard key={it.id} cause={it} first={index === 0 && found.verdict === 'named'} />
        ))}
      </Box>
      {found.verdict !== 'nothing' && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1.5 }}>
          This is about the enclosure, not the animal, and is no medical advice. For a sick animal see a
          veterinarian.
        </Typography>
      )}
    </>
  );
}

const HEADING: Record<Diagnosis['verdict'], string> = {
  named: 'Most likely',
  'cannot tell': 'It cannot be told yet',
  nothing: 'No problem found',
};

/** How sure a cause is, in words. Of what is told with a share as many are true (docs/testing.md). */
const sureness = (share: number): string =>
  share > 0.9 ? 'very likely' : share >= 0.7 ? 'likely' : share > 0.2 ? 'possible' : 'less likely';

const MENDED: Record<AfterRemedy['verdict'], string> = {
  worked: 'earth.moss',
  'too early': 'earth.rule',
  'not yet': 'earth.amber',
  'cannot tell': 'earth.rule',
};

/** What became of what was mended last. */
function Mended({ mended }: { readonly mended: AfterRemedy }) {
  const { tell } = useReader();
  return (
    <Box
      role="status"
      data-mended={mended.verdict}
      sx={{ borderLeft: 3, borderColor: MENDED[mended.verdict], pl: 1.5, mb: 1.5 }}
    >
      <Typography sx={{ fontWeight: 600 }}>Mended {dayWords(localDay(mended.at))}</Typography>
      <Typography>{tell(mended.words)}</Typography>
    </Box>
  );
}

function CauseCard({ cause, first }: { readonly cause: Cause; readonly first: boolean }) {
  const { tell } = useReader();
  const { edit } = useEditing();
  const { design } = useOpenDesign();
  const router = useRouter();
  const acts = useActs();
  const write = useAct();
  return (
    <Box
      component="li"
      data-cause={cause.id}
      sx={{
        bgcolor: 'earth.card',
        border: 1,
        borderColor: first ? 'earth.moss' : 'earth.rule',
        borderRadius: '12px',
        px: 2,
        py: 1.25,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {cause.what}
        </Typography>
        <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap' }}>
          {tell(message`${sureness(cause.share)}, ${percent(cause.share)}`)}
        </Box>
      </Box>
      {cause.since !== null && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Since about {dayWords(localDay(cause.since))}
        </Typography>
      )}
      {cause.vet && (
        <Box sx={{ borderLeft: 3, borderColor: 'earth.clay', pl: 1.25, my: 0.75, fontWeight: 600 }}>
          {cause.vet}
        </Box>
      )}
      {cause.evidence.length > 0 && (
        <Box
          component="ul"
          aria-label="Evidence"
          sx={{ m: 0, my: 0.5, p: 0, listStyle: 'none', typography: 'body2' }}
        >
          {cause.evidence.map((it) => (
            <Box
              component="li"
              key={tell(it.words)}
              sx={{ display: 'flex', gap: 1, color: it.weight < 0 ? 'earth.quiet' : undefined }}
            >
              <Box component="span" sx={{ width: 62, flex: 'none', color: 'earth.quiet' }}>
                {it.weight < 0 ? 'against' : 'for'}
              </Box>
              <span>
                {capital(tell(it.words))}
                <Box component="span" sx={{ color: 'earth.quiet' }}>
                  {' '}
                  ({it.from})
                </Box>
              </span>
            </Box>
          ))}
        </Box>
      )}
      <Box
        component="dl"
        sx={{
          m: 0,
          display: 'grid',
          gridTemplateColumns: '62px 1fr',
          columnGap: 1,
          rowGap: 0.25,
          typography: 'body2',
        }}
      >
        <Box component="dt" sx={{ color: 'earth.quiet' }}>
          check
        </Box>
        <Box component="dd" sx={{ m: 0 }}>
          {tell(cause.check)}
        </Box>
        <Box component="dt" sx={{ color: 'earth.quiet' }}>
          change
        </Box>
        <Box component="dd" sx={{ m: 0 }}>
          {tell(cause.change)}
        </Box>
      </Box>
      {cause.caution && (
        <Box sx={{ typography: 'body2', borderLeft: 3, borderColor: 'earth.clay', pl: 1.25, mt: 0.75 }}>
          <strong>{CAUTIONS[cause.caution].title}.</strong> {CAUTIONS[cause.caution].text}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        <Button
          variant="outlined"
          aria-label={`I mended this: ${cause.what}`}
          onClick={() =>
            void write(`Written down: ${cause.what}, mended.`, () =>
              acts.record([
                {
                  design: design.id,
                  draft: {
                    kind: 'repair',
                    values: {},
                    text: `Mended: ${cause.what}`,
                    rule: ruleOfCause(cause.id),
                  },
                },
              ]),
            )
          }
        >
          I mended this
        </Button>
        {cause.edits.length > 0 && (
          <Button
            variant="outlined"
            onClick={() => {
              cause.edits.forEach((it) => edit(it));
              router.push(`/e/${design.id}/climate`);
            }}
          >
            Try it in Climate
          </Button>
        )}
      </Box>
    </Box>
  );
}
