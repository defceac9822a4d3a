'use client';

import AutoAwesomeMosaicOutlinedIcon from '@mui/icons-material/AutoAwesomeMosaicOutlined';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useSnackbar } from 'notistack';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { findAnimal } from '@/core/catalogue';
import {
  conditionsAt,
  crewHomeOf,
  fitOfPlanted,
  growthEvents,
  placePlants,
  proposeCrew,
  proposePlanting,
  treadOf,
  type Fit,
  type Planting,
} from '@/core/living';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Fetching } from '@/ui/Fetching';
import { FindingList } from '@/ui/FindingList';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { useTab } from '@/ui/useTab';
import { GroupTab } from './GroupTab';
import { AHEAD, LivingDrawing, type LivingView } from './LivingDrawing';
import type { PlantTools } from './PlantMarks';
import { PlantsTab } from './PlantsTab';
import { useTried } from '@/workers/useTried';
import { useOpenVerdict } from '@/workers/useOpenVerdict';
import { useSurvey } from './useSurvey';

// Each comes when it is first looked at.
const CrewTab = dynamic(() => import('./CrewTab').then((it) => it.CrewTab), { loading: Fetching });
const WasteTab = dynamic(() => import('./WasteTab').then((it) => it.WasteTab), { loading: Fetching });
const MoveInTab = dynamic(() => import('./MoveInTab').then((it) => it.MoveInTab), { loading: Fetching });
const GrowthTab = dynamic(() => import('./GrowthTab').then((it) => it.GrowthTab), { loading: Fetching });

const TABS = [
  { value: 'plants', label: 'Plants' },
  { value: 'growth', label: 'Growth' },
  { value: 'crew', label: 'Crew' },
  { value: 'waste', label: 'Waste and water' },
  { value: 'company', label: 'Group' },
  { value: 'move-in', label: 'Moving in' },
] as const;
type LivingTab = (typeof TABS)[number]['value'];
const [FIRST, ...OTHERS] = TABS;
const NAMES = [FIRST.value, ...OTHERS.map((it) => it.value)] as const;

/** What lives in the box: plants and crew place by place, and what becomes of them; the animal in its company. */
export function Living() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const { enqueueSnackbar } = useSnackbar();
  const [tab, setTab] = useTab<LivingTab>(NAMES);
  const [view, setView] = useState<LivingView>('front');
  const [months, setMonths] = useState(0);
  const [picked, setPicked] = useState<string | null>(null);
  const [bare, setBare] = useState<Planting['short']>([]);
  const [today] = useState(() => new Date());
  const { survey, at, message } = useSurvey(design, assessment, catalogue);
  const { plants } = design.living;
  const chosen = plants.some((it) => it.id === picked) ? picked : null;
  const animal = findAnimal(catalogue, design.brief.animal);

  const tools = useMemo(
    (): PlantTools => ({
      selected: chosen,
      onSelect: (plant) => {
        setPicked(plant);
        if (plant !== null) setTab('plants');
      },
      onMove: (plant, spot, gesture) =>
        edit({ edit: 'setPlant', change: { plant, change: { spot } } }, gesture),
      onRemove: (plant) => edit({ edit: 'removePlant', change: { plant } }),
    }),
    [chosen, edit, setTab],
  );

  // Fits follow a moved plant a moment later: the drawing does not wait for them.
  const resting = useDeferredValue(design);
  const reader = useMemo(
    () => conditionsAt(resting, assessment.ground, catalogue, survey),
    [resting, assessment.ground, catalogue, survey],
  );
  const tread = useMemo(() => treadOf(animal), [animal]);
  const fits = useMemo((): ReadonlyMap<string, { readonly fit: Fit; readonly light: number }> => {
    const standing = placePlants(resting, assessment.ground, catalogue);
    return new Map(standing.map((it) => [it.planted.id, fitOfPlanted(it, reader, tread)]));
  }, [resting, assessment.ground, catalogue, reader, tread]);
  const fitOf = useCallback((id: string): number => fits.get(id)?.fit.value ?? 0.7, [fits]);
  const grown = useMemo(
    () => placePlants(design, assessment.ground, catalogue, months, fitOf),
    [design, assessment.ground, catalogue, months, fitOf],
  );
  const events = useMemo(
    () =>
      growthEvents({
        design: resting,
        plants: placePlants(resting, assessment.ground, catalogue, 0, fitOf),
        fit: fitOf,
        light: (id) => fits.get(id)?.light ?? 0,
        months: AHEAD,
      }),
    [resting, assessment.ground, catalogue, fitOf, fits],
  );

  const plantIt = useCallback(() => {
    const { chosen: found, short } = proposePlanting({
      design,
      ground: assessment.ground,
      catalogue,
      survey,
    });
    if (found.length === 0) {
      enqueueSnackbar(short[0] ? `Nothing was planted: ${short[0].because}.` : 'Nothing was planted.', {
        variant: 'warning',
      });
      return;
    }
    setBare(short);
    edit({ edit: 'adoptPlanting', change: { plants: found.map((it) => it.planted) } });
    setPicked(null);
    setMonths(0);
    if (design.living.crew.length === 0) {
      const crew = proposeCrew(design, crewHomeOf(design, assessment.ground, catalogue, survey), catalogue);
      if (crew.length > 0) edit({ edit: 'adoptCrew', change: { crew: [...crew] } });
    }
  }, [design, assessment.ground, catalogue, survey, edit, enqueueSnackbar]);

  const { findings } = useOpenVerdict();
  const here = useTried(findings.filter((it) => it.place.at === 'living'));
  const pressing = here.filter((it) => it.severity === 'severe' || it.severity === 'look');
  const calm = here.filter((it) => it.severity === 'note' || it.severity === 'fine');

  return (
    <TwoPanes
      left={
        <LivingDrawing
          plants={grown}
          {...{ view, months, tools, today }}
          onView={setView}
          onMonths={setMonths}
        />
      }
      right={
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1.5, mb: 1 }}>
            <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
              Living
            </Typography>
            {plants.length > 0 && (
              <Button
                onClick={() => {
                  edit({ edit: 'clearPlants', change: {} });
                  setPicked(null);
                }}
              >
                Take all out
              </Button>
            )}
            <Button
              variant={plants.length === 0 ? 'contained' : 'outlined'}
              startIcon={<AutoAwesomeMosaicOutlinedIcon fontSize="small" />}
              onClick={plantIt}
            >
              {plants.length === 0 ? 'Plant it for me' : 'Plant afresh'}
            </Button>
          </Box>
          <Tabs
            value={tab}
            onChange={(_, next: LivingTab) => setTab(next)}
            aria-label="Parts of what lives here"
            variant="scrollable"
            scrollButtons={false}
            sx={{ mb: 1.25 }}
          >
            {TABS.map((it) => (
              <Tab
                key={it.value}
                value={it.value}
                label={it.label}
                id={`living-tab-${it.value}`}
                aria-controls={`living-panel-${it.value}`}
              />
            ))}
          </Tabs>
          <Box sx={{ height: 4, mt: -1, mb: 0.75 }} data-survey={at}>
            {at === 'working' && <LinearProgress aria-label="Surveying the enclosure" sx={{ height: 3 }} />}
          </Box>
          {at === 'failed' && (
            <Alert severity="error" sx={{ mb: 1 }}>
              The climate could not be calculated: {message}. What stands here goes by what the animal wants.
              Undo the last change, or load the page again.
            </Alert>
          )}
          {survey.guessed && at === 'working' && (
            <Typography variant="body2" sx={{ color: 'earth.quiet', mb: 1 }}>
              As the enclosure is meant to be, until its climate is calculated.
            </Typography>
          )}
          <Box role="tabpanel" id={`living-panel-${tab}`} aria-labelledby={`living-tab-${tab}`}>
            {tab === 'plants' && (
              <PlantsTab {...{ survey, fits, grown, tread, bare }} selected={chosen} onSelect={setPicked} />
            )}
            {tab === 'growth' && (
              <GrowthTab {...{ events, today, months }} onMonths={setMonths} onSelect={setPicked} />
            )}
            {tab === 'crew' && <CrewTab survey={survey} />}
            {tab === 'waste' && <WasteTab survey={survey} />}
            {tab === 'company' && <GroupTab today={today} />}
            {tab === 'move-in' && <MoveInTab today={today} />}
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
