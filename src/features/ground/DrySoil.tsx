'use client';

import Box from '@mui/material/Box';
import { memo, useCallback } from 'react';
import { findAnimal, materialOf } from '@/core/catalogue';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';

const SOILS = [
  {
    value: 'soil-sand-clay',
    name: 'Soil and sand',
    why: 'Holds a burrow, roots a plant; some clay binds it.',
  },
  {
    value: 'sand-and-clay',
    name: 'Sand and clay',
    why: 'Sets hard around a burrow; heavy, and poor for plants.',
  },
  {
    value: 'loose-sand-bark',
    name: 'Loose sand, bark fines',
    why: 'For species that swim in sand; no tunnel stands in it.',
  },
  {
    value: 'paper',
    name: 'Paper at first',
    why: 'Until the animal is known to be healthy: everything is seen.',
  },
] as const;
type DrySoilKind = (typeof SOILS)[number]['value'];

/** Keepers of dry kinds disagree about what to fill the box with; what is chosen fills it. */
export function DrySoil() {
  const { catalogue } = useStore();
  const { design, assessment } = useOpenDesign();
  const { layers } = design.ground;
  const paper = layers.some(
    (layer) => layer.kind === 'thin' && materialOf(catalogue, layer.material).roles.includes('paper'),
  );
  const soil = layers.find((layer) => layer.kind === 'substrate');
  const recipe = soil?.kind === 'substrate' ? soil.mix.recipe : null;
  const value = paper && !soil ? 'paper' : SOILS.find((it) => it.value === recipe)?.value;
  const digs = findAnimal(catalogue, design.brief.animal)?.digs.value ?? 0.1;
  const room = Math.max(0.03, assessment.heightLeft * 0.6);
  return <Cards value={value} depth={Math.min(Math.max(0.04, digs), room)} />;
}

const Cards = memo(function Cards({
  value,
  depth,
}: {
  readonly value: DrySoilKind | undefined;
  readonly depth: number;
}) {
  const { edit } = useEditing();
  const choose = useCallback(
    (next: DrySoilKind) =>
      edit({ edit: 'setDrySoil', change: { soil: next === 'paper' ? 'paper' : { recipe: next, depth } } }),
    [edit, depth],
  );
  return (
    <Box sx={{ mt: 1.5 }}>
      <Choice label="Soil of a dry enclosure" least={118} options={SOILS} value={value} onChange={choose} />
    </Box>
  );
});
