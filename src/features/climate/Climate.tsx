'use client';

import AutoAwesomeMosaicOutlinedIcon from '@mui/icons-material/AutoAwesomeMosaicOutlined';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { Season, Span } from '@/core/climate';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Fetching } from '@/ui/Fetching';
import { FindingList } from '@/ui/FindingList';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { VerdictMark } from '@/ui/VerdictMark';
import { useTab } from '@/ui/useTab';
import type { DeviceTools } from './DeviceMarks';
import { Drawing } from './Drawing';
import { EquipmentTab } from './EquipmentTab';
import { ForecastTab } from './ForecastTab';
import type { OverlayName } from './scales';
import { useTried } from '@/workers/useTried';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import { useForecast } from './useForecast';
import { useRemedies } from './useRemedies';
import { SEASON_WORD, SPAN_WORD } from './words';

// Each comes when it is first looked at.
const CalibrationTab = dynamic(() => import('./CalibrationTab').then((it) => it.CalibrationTab), {
  loading: Fetching,
});
const FindTab = dynamic(() => import('./FindTab').then((it) => it.FindTab), { loading: Fetching });
const MistTab = dynamic(() => import('./MistTab').then((it) => it.MistTab), { loading: Fetching });
const RoomTab = dynamic(() => import('./RoomTab').then((it) => it.RoomTab), { loading: Fetching });
const SeasonsTab = dynamic(() => import('./SeasonsTab').then((it) => it.SeasonsTab), { loading: Fetching });
const WhatIfTab = dynamic(() => import('./WhatIfTab').then((it) => it.WhatIfTab), { loading: Fetching });

const TABS = [
  { value: 'forecast', label: 'Forecast' },
  { value: 'fittings', label: 'Lamps' },
  { value: 'mist', label: 'Mist' },
  { value: 'seasons', label: 'Seasons' },
  { value: 'room', label: 'Room' },
  { value: 'find', label: 'What holds' },
  { value: 'drills', label: 'What if' },
  { value: 'calibration', label: 'Calibrate' },
] as const;
type ClimateTab = (typeof TABS)[number]['value'];
const [FIRST, ...OTHERS] = TABS;
const NAMES = [FIRST.value, ...OTHERS.map((it) => it.value)] as const;

const SPANS: readonly Span[] = ['day', 'week', 'year'];
const SEASONS: readonly Season[] = ['winter', 'spring', 'summer', 'autumn'];

/** What the box will be like, hour by hour, and all that makes it so. */
export function Climate() {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { verdict, findings } = useOpenVerdict();
  const { edit } = useEditing();
  const [tab, setTab] = useTab<ClimateTab>(NAMES);
  const [span, setSpan] = useState<Span>('day');
  const [season, setSeason] = useState<Season>('winter');
  const [overlay, setOverlay] = useState<OverlayName>('warmth');
  const [at, setAt] = useState(78);
  const [chosen, setChosen] = useState<string | null>(null);
  const state = useForecast(design, catalogue, { span, season, seed: 1 });
  const forecast = state.last;
  const selected = design.climate.devices.some((it) => it.id === chosen) ? chosen : null;
  const tools = useMemo(
    (): DeviceTools => ({
      selected,
      onSelect: (device) => {
        setChosen(device);
        if (device !== null) setTab('fittings');
      },
      onMove: (device, to, gesture) => edit({ edit: 'moveDevice', change: { device, to } }, gesture),
      onRemove: (device) => edit({ edit: 'removeDevice', change: { device } }),
    }),
    [edit, selected, setTab],
  );
  const mended = useRemedies(design, catalogue, verdict, findings);
  const here = useTried(mended.filter((it) => it.place.at === 'climate' || it.code.startsWith('room-')));
  const pressing = here.filter((it) => it.severity === 'severe' || it.severity === 'look');
  const calm = here.filter((it) => it.severity === 'note' || it.severity === 'fine');
  const empty = design.climate.devices.length === 0;

  return (
    <TwoPanes
      left={<Drawing {...{ forecast, overlay, at, tools }} onOverlay={setOverlay} onAt={setAt} />}
      right={
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mb: 1 }}>
            <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
              Climate
            </Typography>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="How long"
              value={span}
              onChange={(_, next: Span | null) => next && setSpan(next)}
            >
              {SPANS.map((it) => (
                <ToggleButton key={it} value={it}>
                  {SPAN_WORD[it]}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="Season of the room"
              value={span === 'year' ? null : season}
              disabled={span === 'year'}
              onChange={(_, next: Season | null) => next && setSeason(next)}
            >
              {SEASONS.map((it) => (
                <ToggleButton key={it} value={it} sx={{ textTransform: 'capitalize' }}>
                  {SEASON_WORD[it]}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {empty && (
              <Button
                variant="contained"
                startIcon={<AutoAwesomeMosaicOutlinedIcon fontSize="small" />}
                onClick={() => edit({ edit: 'proposeClimate', change: {} })}
              >
                Propose equipment
              </Button>
            )}
          </Box>
          <Box id="verdict" sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5, minHeight: 36 }}>
            <Box sx={{ flex: 1 }}>
              <VerdictMark state={verdict} full component="h2" />
            </Box>
            {verdict.at === 'known' && verdict.verdict.answer !== 'holds' && tab !== 'find' && (
              <Button variant="outlined" onClick={() => setTab('find')}>
                Find what holds
              </Button>
            )}
          </Box>
          <Tabs
            value={tab}
            onChange={(_, next: ClimateTab) => setTab(next)}
            aria-label="Parts of the climate"
            variant="scrollable"
            scrollButtons={false}
            sx={{ mb: 1.5, '& .MuiTab-root': { minWidth: 0, px: 1.25 } }}
          >
            {TABS.map((it) => (
              <Tab
                key={it.value}
                value={it.value}
                label={it.label}
                id={`climate-tab-${it.value}`}
                aria-controls={`climate-panel-${it.value}`}
              />
            ))}
          </Tabs>
          <Box sx={{ height: 4, mt: -1.25, mb: 0.75 }} data-forecast={state.at}>
            {state.at === 'working' && (
              <LinearProgress aria-label="Calculating the climate" sx={{ height: 3 }} />
            )}
          </Box>
          {state.at === 'failed' && (
            <Alert severity="error" sx={{ mb: 1 }}>
              The climate cannot be calculated: {state.message}. Undo the last change, or look at what heats,
              wets or airs that part.
            </Alert>
          )}
          <Box role="tabpanel" id={`climate-panel-${tab}`} aria-labelledby={`climate-tab-${tab}`}>
            {tab === 'forecast' &&
              (forecast ? (
                <ForecastTab forecast={forecast} at={Math.min(at, forecast.run.t.length - 1)} />
              ) : (
                <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
                  The enclosure is brought to where its room keeps it, then a day of it is shown.
                </Typography>
              ))}
            {tab === 'fittings' && (
              <EquipmentTab
                selected={selected}
                onSelect={setChosen}
                onSeasons={() => setTab('seasons')}
                forecast={forecast}
              />
            )}
            {tab === 'mist' && <MistTab {...{ forecast, verdict }} onSeasons={() => setTab('seasons')} />}
            {tab === 'seasons' && <SeasonsTab />}
            {tab === 'room' && <RoomTab />}
            {tab === 'find' && <FindTab />}
            {tab === 'drills' && <WhatIfTab season={season} />}
            {tab === 'calibration' && <CalibrationTab />}
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
