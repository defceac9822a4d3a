'use client';

import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import type { Assessment } from '@/core/assess';
import { buyingOf } from '@/core/buying';
import { DRAINAGE_METHODS } from '@/core/catalogue';
import type { Design } from '@/core/document';
import type { EditCall } from '@/core/edits';
import { bag, mass } from '@/core/units';
import { allFindings } from '@/core/verdict';
import { useStore } from '@/store';
import { FindingList } from '@/ui/FindingList';
import { SectionPane } from '@/ui/section/SectionPane';
import { useReader } from '@/ui/units';
import { VerdictMark } from '@/ui/VerdictMark';
import { useVerdict } from '@/workers/useVerdict';
import { coverWords, crewWords, searchWords, verdictOf } from './searchWords';
import type { ProposalState } from './useProposal';

interface Props {
  readonly design: Design;
  readonly assessment: Assessment;
  readonly search: ProposalState;
  readonly onMend: (call: EditCall) => void;
}

/** The design the answers come to: drawn, summed up, judged, with what is to be checked. */
export function DesignSoFar({ design, assessment, search, onMend }: Props) {
  const { catalogue, shelfFor, settings } = useStore();
  const { write, money } = useReader();
  const toBuy = buyingOf([{ design, assessment }], catalogue, shelfFor([]), settings.spare).price;
  const judged = useVerdict(design, catalogue, null);
  const verdict = verdictOf(search, judged);
  const method = DRAINAGE_METHODS[design.ground.method];
  // On paper, or on bare glass.
  const bare = design.ground.method === 'none' && assessment.substrateVolume < 1e-9;
  const weighs = write(mass(assessment.standingMass));
  const telling = allFindings(assessment.findings, verdict).filter(
    (it) => it.severity === 'severe' || it.severity === 'look',
  );
  return (
    <Box
      component="section"
      aria-label="The design so far"
      sx={{
        borderLeft: { md: 1 },
        borderColor: { md: 'earth.rule' },
        px: 2.5,
        py: 2.25,
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        overflow: 'auto',
      }}
    >
      <Box sx={{ flex: 1, minHeight: 380 }}>
        <SectionPane design={design} assessment={assessment} catalogue={catalogue} startWith="front" />
      </Box>
      <Typography variant="h2" sx={{ mt: 1 }}>
        {bare
          ? `Without soil, ${weighs} standing`
          : `${method.name}, ${write(bag(assessment.substrateVolume))} of soil, ${weighs} standing`}
      </Typography>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1.25 }}>
        {bare ? '' : `${method.why} `}
        {coverWords(design.enclosure.material, design.enclosure.topCover)} {money(toBuy)} to buy at typical
        prices.
      </Typography>
      <Box sx={{ mb: 1.25 }}>
        <VerdictMark state={verdict} full />
        <Typography variant="body2" role="status" sx={{ color: 'earth.quiet', pl: 1.6, mt: 0.25 }}>
          {searchWords(search)}
        </Typography>
        {crewWords(search) && (
          <Typography variant="body2" sx={{ pl: 1.6, mt: 0.25 }}>
            {crewWords(search)}
          </Typography>
        )}
        {search.at === 'looking' && (
          <LinearProgress aria-label="Looking for what holds" sx={{ height: 3, mt: 0.75 }} />
        )}
      </Box>
      <FindingList findings={telling} onMend={onMend} />
    </Box>
  );
}
