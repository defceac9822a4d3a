'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo, useState } from 'react';
import type { Method } from '@/core/design';
import type { Severity } from '@/core/findings';
import type { Corner } from '@/core/ground';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { FindingList } from '@/ui/FindingList';
import { SectionPane } from '@/ui/section/SectionPane';
import { TwoPanes } from '@/ui/shell/TwoPanes';
import { METHOD_WORD } from '@/ui/words';
import { LayerDetail } from './LayerDetail';
import { LayerTable } from './LayerTable';

const METHODS = (['bead-bed', 'raised-panel', 'none'] as const satisfies readonly Method[]).map((value) => ({
  value,
  ...METHOD_WORD[value],
}));

/** Method, layers, mixes: the place where the ground is worked out. */
export function Ground() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const [chosen, setChosen] = useState<string | null>(null);

  // Before anything is picked, the uppermost soil is what one would take hold of.
  const first = useMemo(
    () =>
      design.ground.layers.filter((layer) => layer.kind === 'substrate').at(-1)?.id ??
      design.ground.layers.at(-1)?.id,
    [design.ground.layers],
  );
  const selected = design.ground.layers.some((layer) => layer.id === chosen) ? chosen : (first ?? null);
  const active = assessment.layers.find((it) => it.layer.id === selected);
  const urgent = (severity: Severity): boolean => severity === 'severe' || severity === 'look';
  const pressing = assessment.findings.filter((it) => urgent(it.severity));
  const calm = assessment.findings.filter((it) => !urgent(it.severity));
  const setMethod = useCallback((method: Method) => edit({ edit: 'setMethod', change: { method } }), [edit]);
  const onShift = useCallback(
    (layer: string, corners: readonly Corner[], by: number, gesture: string) =>
      edit({ edit: 'shiftThickness', change: { layer, corners, by } }, gesture),
    [edit],
  );

  return (
    <TwoPanes
      left={
        <SectionPane
          design={design}
          assessment={assessment}
          catalogue={catalogue}
          selected={selected}
          onSelect={setChosen}
          onShift={onShift}
        />
      }
      right={
        <>
          <Typography variant="h1" component="h1" sx={{ mb: 1.25 }}>
            Ground
          </Typography>
          <Choice label="What drains" options={METHODS} value={design.ground.method} onChange={setMethod} />
          <LayerTable selected={selected} onSelect={setChosen} />
          <Box id="findings" sx={{ scrollMarginTop: 12, mt: pressing.length > 0 ? 1.5 : 0 }}>
            <FindingList label="To look at" findings={pressing} catalogue={catalogue} onMend={edit} />
          </Box>
          {active && <LayerDetail key={active.layer.id} result={active} />}
          <Box sx={{ mt: 1.5 }}>
            <FindingList label="Good to know" findings={calm} catalogue={catalogue} onMend={edit} />
          </Box>
        </>
      }
    />
  );
}
