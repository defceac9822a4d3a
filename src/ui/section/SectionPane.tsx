'use client';

import FileDownloadOutlinedIcon from '@mui/icons-material/FileDownloadOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import { memo, useCallback, useRef, useState, type ComponentProps } from 'react';
import { length } from '@/core/units';
import { download } from '../download';
import { useElementSize } from '../useElementSize';
import { useReader } from '../units';
import { drawingText } from './exportSvg';
import { Plan } from './Plan';
import { Section, type Overlay, type View } from './Section';

type PaneView = View | 'plan';

type Props = Omit<
  ComponentProps<typeof Section>,
  'view' | 'overlay' | 'width' | 'height' | 'plain' | 'span'
> & {
  readonly startWith?: View;
};

/** The drawing with its views, filling the pane it stands in. */
export function SectionPane({ startWith = 'side', ...drawing }: Props) {
  const [view, setView] = useState<PaneView>(startWith);
  const [overlay, setOverlay] = useState<Overlay>('layers');
  const drained = drawing.assessment.moisture !== undefined;
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(frame);
  const { write, prefs } = useReader();
  const left = drawing.assessment.heightLeft;
  const { name } = drawing.design;
  const save = useCallback(() => {
    const svg = frame.current?.querySelector('svg');
    if (svg)
      download(
        `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${view}.svg`,
        drawingText(svg, prefs),
        'image/svg+xml',
      );
  }, [name, view, prefs]);
  const { design, assessment, catalogue } = drawing;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: { xs: 420, md: 0 } }}>
      <PaneTools
        view={view}
        overlay={drained && view !== 'plan' ? overlay : undefined}
        free={left >= 0 ? `${write(length(left))} free above` : 'higher than the lid'}
        onView={setView}
        onOverlay={setOverlay}
        onSave={save}
      />
      <Box ref={frame} sx={{ flex: 1, minHeight: 0, overflow: 'hidden', mt: 1 }}>
        {width > 0 &&
          height > 0 &&
          (view === 'plan' ? (
            <Plan {...{ design, assessment, catalogue, width, height }} />
          ) : (
            <Section
              {...drawing}
              view={view}
              overlay={drained ? overlay : 'layers'}
              width={width}
              height={height}
            />
          ))}
      </Box>
    </Box>
  );
}

interface ToolsProps {
  readonly view: PaneView;
  /** undefined where there is nothing to lay over. */
  readonly overlay: Overlay | undefined;
  readonly free: string;
  readonly onView: (view: PaneView) => void;
  readonly onOverlay: (overlay: Overlay) => void;
  readonly onSave: () => void;
}

const PaneTools = memo(function PaneTools({ view, overlay, free, onView, onOverlay, onSave }: ToolsProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="View"
        value={view}
        onChange={(_, next: PaneView | null) => next && onView(next)}
      >
        <ToggleButton value="front">Front</ToggleButton>
        <ToggleButton value="side">Side</ToggleButton>
        <ToggleButton value="plan">Plan</ToggleButton>
      </ToggleButtonGroup>
      {overlay && (
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Laid over it"
          value={overlay}
          onChange={(_, next: Overlay | null) => next && onOverlay(next)}
        >
          <ToggleButton value="layers">Layers</ToggleButton>
          <ToggleButton value="moisture">Moisture</ToggleButton>
        </ToggleButtonGroup>
      )}
      <Box
        sx={{ flex: 1, typography: 'body2', color: 'earth.quiet', textAlign: 'right', whiteSpace: 'nowrap' }}
      >
        {free}
      </Box>
      <Tooltip title="Save this drawing as SVG">
        <IconButton size="small" aria-label="Save this drawing as SVG" onClick={onSave}>
          <FileDownloadOutlinedIcon fontSize="small" />
        </IconButton>
      </Tooltip>
    </Box>
  );
});
