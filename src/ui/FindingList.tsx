'use client';

import CheckIcon from '@mui/icons-material/Check';
import ErrorOutlineIcon from '@mui/icons-material/ErrorOutlined';
import InfoOutlinedIcon from '@mui/icons-material/InfoOutlined';
import VisibilityOutlinedIcon from '@mui/icons-material/VisibilityOutlined';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { CAUTIONS } from '@/catalogue';
import type { EditCall } from '@/core/edits';
import type { Finding, Severity } from '@/core/findings';
import { BasisMark } from './BasisMark';
import { message } from '@/core/units';
import { useReader } from './units';
import { SEVERITY_WORD } from './words';

const TONE: Record<Severity, { readonly bar: string; readonly Icon: typeof CheckIcon }> = {
  severe: { bar: 'earth.clay', Icon: ErrorOutlineIcon },
  look: { bar: 'earth.amber', Icon: VisibilityOutlinedIcon },
  note: { bar: 'earth.water', Icon: InfoOutlinedIcon },
  fine: { bar: 'earth.moss', Icon: CheckIcon },
};

interface Props {
  readonly findings: readonly Finding[];
  readonly onMend: (call: EditCall) => void;
  readonly label?: string;
}

/** Findings beside the thing they are about: what, because, where it comes from, and what would mend it. */
export function FindingList({ findings, onMend, label = 'Findings' }: Props) {
  if (findings.length === 0) return null;
  return (
    <Stack component="ul" spacing={1} sx={{ listStyle: 'none', p: 0, m: 0 }} aria-label={label}>
      {findings.map((finding, index) => (
        <Item key={`${finding.code} ${index}`} finding={finding} onMend={onMend} />
      ))}
    </Stack>
  );
}

interface ItemProps {
  readonly finding: Finding;
  readonly onMend: (call: EditCall) => void;
}

/** A finding is made anew at every edit; it is drawn anew only when it says something else. */
const Item = memo(
  function Item({ finding, onMend }: ItemProps) {
    const { tell } = useReader();
    const { bar, Icon } = TONE[finding.severity];
    return (
      <Box
        component="li"
        data-finding={finding.code}
        sx={{
          bgcolor: 'earth.card',
          borderLeft: 4,
          borderColor: bar,
          borderRadius: '0 10px 10px 0',
          px: 1.75,
          py: 1.1,
        }}
      >
        <Typography
          component="div"
          variant="h3"
          sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-start' }}
        >
          <Icon
            titleAccess={SEVERITY_WORD[finding.severity]}
            sx={{ fontSize: 18, color: bar, mt: '2px', flexShrink: 0 }}
          />
          <Box component="span" sx={{ minWidth: 0 }}>
            {tell(finding.what)} <BasisMark basis={finding.basis} source={finding.source} />
          </Box>
        </Typography>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.25 }}>
          {tell(finding.because)}
          {finding.otherSchool && ` ${finding.otherSchool}`}
        </Typography>
        {finding.remedies.length > 0 && (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 0.25, mt: 0.4 }}>
            {finding.remedies.map((remedy) => {
              const { call, trial = 'good' } = remedy;
              const label = tell(remedy.label);
              if (call && typeof trial !== 'string')
                return (
                  <Typography key={label} variant="body2" sx={{ color: 'earth.quiet', minHeight: 24 }}>
                    {tell(message`Not advised: ${label}. ${trial}`)}
                  </Typography>
                );
              return call ? (
                <Link
                  key={label}
                  component="button"
                  type="button"
                  disabled={trial === 'waits'}
                  title={trial === 'waits' ? 'Its effect is being forecast' : undefined}
                  variant="body2"
                  underline="hover"
                  onClick={() => onMend(call)}
                  sx={{
                    color: 'earth.clay',
                    fontWeight: 650,
                    minHeight: 24,
                    textAlign: 'left',
                    '&:disabled': { color: 'earth.quiet', cursor: 'progress' },
                  }}
                >
                  {label}
                </Link>
              ) : (
                <Typography key={label} variant="body2" sx={{ color: 'earth.quiet', minHeight: 24 }}>
                  By hand: {label.charAt(0).toLowerCase() + label.slice(1)}
                </Typography>
              );
            })}
          </Box>
        )}
        {finding.remedies.some((it) => it.saws) && (
          <Typography variant="body2" sx={{ mt: 0.25 }}>
            {CAUTIONS.vents.text}
          </Typography>
        )}
      </Box>
    );
  },
  (a, b) => a.onMend === b.onMend && JSON.stringify(a.finding) === JSON.stringify(b.finding),
);
