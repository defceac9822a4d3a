'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useRef, useState, type ComponentProps } from 'react';
import { length } from '@/core/units';
import { useElementSize } from '../useElementSize';
import { useReader } from '../units';
import { Section, type View } from './Section';

type Props = Omit<ComponentProps<typeof Section>, 'view' | 'width' | 'height' | 'plain' | 'span'> & {
  readonly startWith?: View;
};

/** The drawing with its views, filling the pane it stands in. */
export function SectionPane({ startWith = 'side', ...drawing }: Props) {
  const [view, setView] = useState<View>(startWith);
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(frame);
  const { write } = useReader();
  const left = drawing.assessment.heightLeft;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: { xs: 420, md: 0 } }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="View"
          value={view}
          onChange={(_, next: View | null) => next && setView(next)}
        >
          <ToggleButton value="front">Front</ToggleButton>
          <ToggleButton value="side">Side</ToggleButton>
        </ToggleButtonGroup>
        <Box sx={{ typography: 'body2', color: 'earth.quiet' }}>
          {left >= 0 ? `${write(length(left))} free above the ground` : 'the ground stands over the lid'}
        </Box>
      </Box>
      <Box ref={frame} sx={{ flex: 1, minHeight: 0, overflow: 'hidden', mt: 1 }}>
        {width > 0 && height > 0 && <Section {...drawing} view={view} width={width} height={height} />}
      </Box>
    </Box>
  );
}
