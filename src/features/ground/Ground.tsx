'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo, useState } from 'react';
import { findAnimal, DRAINAGE_METHOD_IDS, DRAINAGE_METHODS } from '@/core/catalogue';
import type { Method, Point } from '@/core/document';
import type { RegionKind } from '@/core/edits';
import type { Severity } from '@/core/findings';
import type { Corner } from '@/core/ground';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { FindingList } from '@/ui/FindingList';
import { SectionPane, type PaneView } from '@/ui/section/SectionPane';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { useTried } from '@/workers/useTried';
import { DrySoil } from './DrySoil';
import { LayerDetail } from './LayerDetail';
import { LayerTable } from './LayerTable';
import { stackIn } from './places';
import { RegionBar, RegionFields } from './RegionBar';
import { Schools } from './Schools';
import { Sunk } from './Sunk';

const METHODS = DRAINAGE_METHOD_IDS.map((value) => {
  const { name, why } = DRAINAGE_METHODS[value];
  return { value, name, why };
});

const urgent = (severity: Severity): boolean => severity === 'severe' || severity === 'look';

/** Method, regions, layers, mixes: the place where the ground is worked out. */
export function Ground() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const [chosen, setChosen] = useState<string | null>(null);
  const { layers, regions } = design.ground;
  // One starts where the soil is: on the land, when the rest of the floor is water.
  const [wanted, setWanted] = useState<string | null>(() => {
    const soil = (it: { readonly kind: string }): boolean => it.kind === 'substrate';
    return layers.some(soil) ? null : (regions.find((it) => it.layers.some(soil))?.id ?? null);
  });
  const [view, setView] = useState<PaneView>('side');

  const place = regions.some((region) => region.id === wanted) ? wanted : null;
  const region = regions.find((it) => it.id === place);
  const stack = stackIn(assessment, design, place);
  // Before anything is picked, the uppermost soil is what one would take hold of.
  const usual =
    stack.find(({ result, shared }) => !shared && result.layer.kind === 'substrate') ??
    stack.find(({ shared }) => !shared);
  const selected =
    (stack.some(({ result }) => result.layer.id === chosen) ? chosen : usual?.result.layer.id) ?? null;
  const active = assessment.layers.find((it) => it.layer.id === selected);
  // What stands in the box is judged in Scape.
  const here = useTried(
    assessment.findings.filter(
      (it) => it.place.at !== 'scape' && it.place.at !== 'climate' && it.place.at !== 'living',
    ),
  );
  const pressing = here.filter((it) => urgent(it.severity));
  const calm = here.filter((it) => !urgent(it.severity));
  const names = useMemo(() => regions.map(({ id, name }) => ({ id, name })), [regions]);

  const setMethod = useCallback((method: Method) => edit({ edit: 'setMethod', change: { method } }), [edit]);
  const onShift = useCallback(
    (layer: string, corners: readonly Corner[], by: number, gesture: string) =>
      edit({ edit: 'shiftThickness', change: { layer, corners, by } }, gesture),
    [edit],
  );
  const onOutline = useCallback(
    (id: string, outline: readonly Point[], gesture: string) =>
      edit({ edit: 'setOutline', change: { region: id, outline } }, gesture),
    [edit],
  );
  const onMove = useCallback(
    (id: string, x: number, y: number, gesture: string) =>
      edit({ edit: 'moveRegion', change: { region: id, x, y } }, gesture),
    [edit],
  );
  // A layer picked in the drawing takes one to the part of the floor it lies in.
  const onSelect = useCallback(
    (layer: string) => {
      setChosen(layer);
      if (!layers.some((it) => it.id === layer))
        setWanted(regions.find((it) => it.layers.some((own) => own.id === layer))?.id ?? null);
    },
    [layers, regions],
  );
  const onAdd = useCallback(
    (kind: RegionKind) => {
      edit({ edit: 'addRegion', change: { kind } });
      // Ids count up, so that the new one can be opened before it is drawn.
      const last = Math.max(0, ...regions.map(({ id }) => Number(id.slice('region-'.length)) || 0));
      setWanted(`region-${last + 1}`);
      setChosen(null);
      setView('plan');
    },
    [edit, regions],
  );
  const dry = findAnimal(catalogue, design.brief.animal)?.ground.value === 'dry';

  return (
    <TwoPanes
      left={
        <SectionPane
          design={design}
          assessment={assessment}
          catalogue={catalogue}
          selected={selected}
          onSelect={onSelect}
          onShift={onShift}
          view={view}
          onView={setView}
          region={place}
          onRegion={setWanted}
          onOutline={onOutline}
          onMove={onMove}
        />
      }
      right={
        <>
          <Typography variant="h1" component="h1" sx={{ mb: 1.25 }}>
            Ground
          </Typography>
          <Choice
            label="What drains"
            least={118}
            options={METHODS}
            value={design.ground.method}
            onChange={setMethod}
          />
          {dry && <DrySoil />}
          <RegionBar names={names} place={place} onPlace={setWanted} onAdd={onAdd} />
          {region && <RegionFields region={region} onGone={() => setWanted(null)} />}
          <LayerTable place={place} stack={stack} selected={selected} onSelect={setChosen} />
          <Box id="findings" sx={{ scrollMarginTop: 12, mt: pressing.length > 0 ? 1.5 : 0 }}>
            <FindingList label="To check" findings={pressing} onMend={edit} />
          </Box>
          {active && <LayerDetail key={active.layer.id} result={active} />}
          <Sunk />
          <Schools />
          <Box sx={{ mt: 1.5 }}>
            <FindingList label="Good to know" findings={calm} onMend={edit} />
          </Box>
        </>
      }
    />
  );
}
