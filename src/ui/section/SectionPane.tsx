'use client';

import FileDownloadOutlinedIcon from '@mui/icons-material/FileDownloadOutlined';
import PrintOutlinedIcon from '@mui/icons-material/PrintOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import { memo, useCallback, useRef, useState, type ComponentProps } from 'react';
import { length } from '@/core/units';
import { download } from '../download';
import { useElementSize } from '../useElementSize';
import { useReader } from '../units';
import { nearCut } from './cut';
import { drawingText, printDrawing } from './exportSvg';
import { Plan } from './Plan';
import { Section, type Overlay, type View } from './Section';

export type PaneView = View | 'plan';

type Props = Omit<
  ComponentProps<typeof Section>,
  'view' | 'cut' | 'overlay' | 'width' | 'height' | 'plain' | 'span'
> &
  Pick<ComponentProps<typeof Plan>, 'region' | 'onRegion' | 'onOutline' | 'onMove'> & {
    readonly startWith?: View;
    /** Set to have the view follow what is worked on elsewhere. */
    readonly view?: PaneView;
    readonly onView?: (view: PaneView) => void;
  };

/** The drawing with its views, filling the pane it stands in. */
export function SectionPane(props: Props) {
  const { startWith = 'side', region, onRegion, onOutline, onMove, ...drawing } = props;
  const [own, setOwn] = useState<PaneView>(startWith);
  const view = props.view ?? own;
  const { onView } = props;
  const setView = useCallback(
    (next: PaneView) => {
      setOwn(next);
      onView?.(next);
    },
    [onView],
  );
  const [overlay, setOverlay] = useState<Overlay>('layers');
  const [cuts, setCuts] = useState<Partial<Record<View, number>>>({});
  const { design, assessment, catalogue } = drawing;
  const drained = assessment.moisture !== undefined || Object.keys(assessment.moistureOf).length > 0;
  const frame = useRef<HTMLDivElement>(null);
  const { width, height } = useElementSize(frame);
  const { write, prefs } = useReader();
  const left = assessment.heightLeft;
  const { name } = design;
  const svg = (): SVGSVGElement | null => frame.current?.querySelector('svg') ?? null;
  const save = useCallback(() => {
    const drawn = svg();
    if (drawn)
      download(
        `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${view}.svg`,
        drawingText(drawn, prefs),
        'image/svg+xml',
      );
  }, [name, view, prefs]);
  const print = useCallback(() => {
    const drawn = svg();
    if (drawn) printDrawing(name, drawingText(drawn, prefs));
  }, [name, prefs]);

  // Through the middle of what is picked, unless the cut was put somewhere.
  const { selected } = drawing;
  const id = region ?? assessment.layers.find((it) => it.layer.id === selected)?.region;
  const field = assessment.ground.parts.find((it) => it.region !== null && it.region.id === id)?.field;
  const middle = field && { front: (field.y0 + field.y1) / 2, side: (field.x0 + field.x1) / 2 };
  const cut = view === 'plan' ? 0 : (cuts[view] ?? middle?.[view] ?? nearCut(view, design.enclosure));
  const reach = view === 'front' ? design.enclosure.depth : design.enclosure.width;

  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: { xs: 420, md: 0 } }}>
      <PaneTools
        view={view}
        overlay={drained && view !== 'plan' ? overlay : undefined}
        free={left >= 0 ? `${write(length(left))} free above` : 'higher than the lid'}
        onView={setView}
        onOverlay={setOverlay}
        onSave={save}
        onPrint={print}
      />
      {design.ground.regions.length > 0 && view !== 'plan' && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 0.75, px: 0.5 }}>
          <Box sx={{ typography: 'body2', color: 'earth.quiet', whiteSpace: 'nowrap', minWidth: 190 }}>
            Cut {write(length(cut))} from the {view === 'front' ? 'front' : 'left'}
          </Box>
          <Slider
            size="small"
            aria-label={`Where it is cut, from the ${view === 'front' ? 'front' : 'left'}`}
            min={0}
            max={reach}
            step={0.005}
            value={Math.min(reach, cut)}
            valueLabelDisplay="off"
            getAriaValueText={(value) => write(length(value))}
            onChange={(_, value) => setCuts((before) => ({ ...before, [view]: Number(value) }))}
          />
        </Box>
      )}
      <Box ref={frame} sx={{ flex: 1, minHeight: 0, overflow: 'hidden', mt: 1 }}>
        {width > 0 &&
          height > 0 &&
          (view === 'plan' ? (
            <Plan
              {...{ design, assessment, catalogue, width, height }}
              region={region ?? null}
              {...(onRegion ? { onRegion } : {})}
              {...(onOutline ? { onOutline } : {})}
              {...(onMove ? { onMove } : {})}
              pieces={drawing.pieces}
              background={drawing.background ?? null}
            />
          ) : (
            <Section
              {...drawing}
              view={view}
              cut={cut}
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
  readonly onPrint: () => void;
}

const PaneTools = memo(function PaneTools(props: ToolsProps) {
  const { view, overlay, free, onView, onOverlay, onSave, onPrint } = props;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
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
          aria-label="Overlay"
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
      <Tooltip title="Print this drawing">
        <IconButton size="small" aria-label="Print this drawing" onClick={onPrint}>
          <PrintOutlinedIcon fontSize="small" />
        </IconButton>
      </Tooltip>
      <Tooltip title="Save this drawing as SVG">
        <IconButton size="small" aria-label="Save this drawing as SVG" onClick={onSave}>
          <FileDownloadOutlinedIcon fontSize="small" />
        </IconButton>
      </Tooltip>
    </Box>
  );
});
