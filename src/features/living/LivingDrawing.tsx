'use client';

import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useRef } from 'react';
import type { PlantedResult } from '@/core/living';
import { counted } from '@/core/units';
import { useOpenDesign, useStore } from '@/store';
import { nearCut } from '@/ui/section/cut';
import { Plan } from '@/ui/section/Plan';
import { Section } from '@/ui/section/Section';
import { useElementSize } from '@/ui/useElementSize';
import { PlantMarks, type PlantTools } from './PlantMarks';
import { monthFrom, monthsWord } from './words';

export type LivingView = 'front' | 'side' | 'plan';
/** Months the scrubber goes ahead. */
export const AHEAD = 36;

interface Props {
  readonly plants: readonly PlantedResult[];
  readonly view: LivingView;
  readonly onView: (view: LivingView) => void;
  readonly months: number;
  readonly onMonths: (months: number) => void;
  readonly tools: PlantTools;
  readonly today: Date;
}

/** The drawing with its plants as large as they will be, and a scrubber through the months. */
export function LivingDrawing({ plants, view, onView, months, onMonths, tools, today }: Props) {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const frameRef = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(frameRef);
  const shared = { design, assessment, catalogue, width, height, plants };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: { xs: 460, md: 0 } }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="View"
          value={view}
          onChange={(_, next: LivingView | null) => next && onView(next)}
        >
          <ToggleButton value="front">Front</ToggleButton>
          <ToggleButton value="side">Side</ToggleButton>
          <ToggleButton value="plan">Plan</ToggleButton>
        </ToggleButtonGroup>
        <Box sx={{ flex: 1, typography: 'body2', color: 'earth.quiet', textAlign: 'right' }}>
          {plants.length === 0 ? 'bare ground' : `${counted(plants.length, 'plant')}`}
        </Box>
      </Box>
      <Box ref={frameRef} sx={{ flex: 1, minHeight: 0, overflow: 'hidden', mt: 1 }}>
        {width > 0 &&
          height > 0 &&
          (view === 'plan' ? (
            <Plan
              {...shared}
              over={(frame) => (
                <PlantMarks
                  {...{ plants, view, tools }}
                  frame={{
                    ...frame,
                    at: (event) => {
                      const at = frame.at(event);
                      return [at.x, at.y];
                    },
                  }}
                />
              )}
            />
          ) : (
            <Section
              {...shared}
              view={view}
              cut={nearCut(view, design.enclosure)}
              over={(frame) => (
                <PlantMarks
                  {...{ plants, view, tools }}
                  frame={{
                    ...frame,
                    at: (event) => {
                      const at = frame.at(event);
                      return [at.across, at.up];
                    },
                  }}
                />
              )}
            />
          ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 1, mt: 0.5 }}>
        <Box
          sx={{
            typography: 'body2',
            minWidth: 128,
            fontVariantNumeric: 'tabular-nums',
            whiteSpace: 'nowrap',
          }}
        >
          {months === 0 ? 'As planted' : `After ${monthsWord(months)}`}
        </Box>
        <Slider
          size="small"
          aria-label="Months after planting"
          min={0}
          max={AHEAD}
          step={1}
          value={months}
          disabled={plants.length === 0}
          valueLabelDisplay="off"
          marks={[0, 12, 24, 36].map((value) => ({ value }))}
          getAriaValueText={(value) => (value === 0 ? 'as planted' : `after ${monthsWord(value)}`)}
          onChange={(_, value) => onMonths(Number(value))}
        />
        <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap', minWidth: 64 }}>
          {monthFrom(today, months)}
        </Box>
      </Box>
    </Box>
  );
}
