'use client';

import AutoAwesomeMosaicOutlinedIcon from '@mui/icons-material/AutoAwesomeMosaicOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { memo, useCallback, useMemo, useState } from 'react';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { FindingList } from '@/ui/FindingList';
import type { PieceTools } from '@/ui/section/pieces/ResizeHandles';
import { SectionPane, type PaneView } from '@/ui/section/SectionPane';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { useTab } from '@/ui/useTab';
import { useTried } from '@/workers/useTried';
import { Backgrounds } from './Backgrounds';
import { BoxFields } from './BoxFields';
import { Pieces } from './Pieces';
import { WaterParts } from './WaterParts';

const TABS = [
  { value: 'pieces', label: 'Pieces' },
  { value: 'background', label: 'Background' },
  { value: 'water', label: 'Water' },
  { value: 'box', label: 'Warm side and access' },
] as const;
type ScapeTab = (typeof TABS)[number]['value'];
const [FIRST, ...OTHERS] = TABS;
const NAMES = [FIRST.value, ...OTHERS.map((it) => it.value)] as const;

/** What stands, lies and hangs in the box: the place where it is laid out. */
export function Scape() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const [chosen, setChosen] = useState<string | null>(null);
  const [tab, setTab] = useTab<ScapeTab>(NAMES);
  const [view, setView] = useState<PaneView>('front');
  const [wall, setWall] = useState<string | null>(null);

  const { pieces } = design.scape;
  const selected = pieces.some((it) => it.id === chosen) ? chosen : null;
  // The ways to act stay the same while one piece or another is picked.
  const acts = useMemo(
    (): Omit<PieceTools, 'selected'> => ({
      onSelect: (piece) => {
        setChosen(piece);
        setTab('pieces');
      },
      onMove: (piece, to, gesture) => edit({ edit: 'movePiece', change: { piece, to } }, gesture),
      onStretch: (piece, end, to, gesture) =>
        edit({ edit: 'stretchPiece', change: { piece, end, to } }, gesture),
      onBody: (piece, body, gesture) =>
        edit({ edit: 'setPiece', change: { piece, change: { body } } }, gesture),
      onRemove: (piece) => edit({ edit: 'removePiece', change: { piece } }),
    }),
    [edit, setTab],
  );
  const tools = useMemo((): PieceTools => ({ ...acts, selected }), [acts, selected]);
  const propose = useCallback(() => {
    edit({ edit: 'proposeScape', change: {} });
    setChosen(null);
  }, [edit]);
  const clear = useCallback(() => {
    edit({ edit: 'clearScape', change: {} });
    setChosen(null);
  }, [edit]);
  const onAdded = useCallback(
    (id: string) => {
      setChosen(id);
      setTab('pieces');
    },
    [setTab],
  );

  const here = useTried(
    assessment.findings.filter(
      (it) => it.place.at === 'scape' || it.code.includes('water') || it.code.startsWith('pool'),
    ),
  );
  const pressing = here.filter((it) => it.severity === 'severe' || it.severity === 'look');
  const calm = here.filter((it) => it.severity === 'note' || it.severity === 'fine');
  const empty = pieces.length === 0 && design.scape.backgrounds.length === 0;

  return (
    <TwoPanes
      left={
        <SectionPane
          design={design}
          assessment={assessment}
          catalogue={catalogue}
          view={view}
          onView={setView}
          pieces={tools}
          background={tab === 'background' ? wall : null}
        />
      }
      right={
        <>
          <Head empty={empty} onPropose={propose} onClear={clear} />
          <ScapeTabs tab={tab} onTab={setTab} />
          <Box role="tabpanel" id={`scape-panel-${tab}`} aria-labelledby={`scape-tab-${tab}`}>
            {tab === 'pieces' && <Pieces selected={selected} onSelect={setChosen} onAdded={onAdded} />}
            {tab === 'background' && <Backgrounds selected={wall} onSelect={setWall} />}
            {tab === 'water' && <WaterParts onPick={onAdded} />}
            {tab === 'box' && <BoxFields />}
          </Box>
          <Box id="findings" sx={{ scrollMarginTop: 12, mt: 1.75, display: 'grid', gap: 1 }}>
            <FindingList label="To check" findings={pressing} onMend={edit} />
            <FindingList label="Good to know" findings={calm} onMend={edit} />
          </Box>
        </>
      }
    />
  );
}

// Head and tabs stay as they are while a piece is dragged; tabs measure the page whenever they are drawn.
const Head = memo(function Head({
  empty,
  onPropose,
  onClear,
}: {
  readonly empty: boolean;
  readonly onPropose: () => void;
  readonly onClear: () => void;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1 }}>
      <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
        Hardscape
      </Typography>
      {!empty && <Button onClick={onClear}>Take all out</Button>}
      <Button
        variant={empty ? 'contained' : 'outlined'}
        startIcon={<AutoAwesomeMosaicOutlinedIcon fontSize="small" />}
        onClick={onPropose}
      >
        {empty ? 'Lay out a first hardscape' : 'Lay out afresh'}
      </Button>
    </Box>
  );
});

const ScapeTabs = memo(function ScapeTabs({
  tab,
  onTab,
}: {
  readonly tab: ScapeTab;
  readonly onTab: (tab: ScapeTab) => void;
}) {
  return (
    <Tabs
      value={tab}
      onChange={(_, next: ScapeTab) => onTab(next)}
      aria-label="Hardscape"
      variant="scrollable"
      scrollButtons={false}
      sx={{ mb: 1.5 }}
    >
      {TABS.map((it) => (
        <Tab
          key={it.value}
          value={it.value}
          label={it.label}
          id={`scape-tab-${it.value}`}
          aria-controls={`scape-panel-${it.value}`}
        />
      ))}
    </Tabs>
  );
});
