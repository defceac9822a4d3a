'use client';

import AddIcon from '@mui/icons-material/Add';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { findAnimal, materialsFor, type Catalogue } from '@/core/catalogue';
import { allLayers, type Design, type SubstrateLayer } from '@/core/document';
import { mixOfRecipe } from '@/core/edits';
import { assess } from '@/core/assess';
import { mixOutside } from '@/core/findings';
import { blendOf, blendToo, corners, type Shelf } from '@/core/ground';
import { FAMILIES, familyFor, propertiesOf, stateOf, TARGETS, type Family } from '@/core/mixing';
import { bag, length } from '@/core/units';
import { useDesigns, useStore, type Bench as Stored } from '@/store';
import { FindingList } from '@/ui/FindingList';
import { Message } from '@/ui/Message';
import { Panel } from '@/ui/Panel';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';
import { Bands } from './Bands';
import { MixCard, type OnBench } from './MixCard';
import { Profile } from './Profile';
import { Solver } from './Solver';
import { FAMILY_WORD, LETTERS } from './words';

/** A soil of an enclosure, as the bench and the solver see it. */
export interface KnownSoil {
  readonly design: Design;
  readonly layer: SubstrateLayer;
  /** m³ in place, and m of mean depth. */
  readonly placed: number;
  readonly depth: number;
  readonly family: Family;
}

/** Every soil of the enclosures on the rack. */
function soilsOf(designs: readonly Design[], catalogue: Catalogue, shelf: Shelf): KnownSoil[] {
  return designs.flatMap((design) => {
    const family = familyFor(findAnimal(catalogue, design.brief.animal));
    const results = new Map(assess(design, catalogue, shelf).layers.map((it) => [it.layer.id, it]));
    return allLayers(design.ground).flatMap((layer) => {
      const result = results.get(layer.id);
      if (layer.kind !== 'substrate' || !result || result.placed < 1e-5) return [];
      return [{ design, layer, placed: result.placed, depth: corners.mean(result.thickness), family }];
    });
  });
}

const key = (it: { readonly design: string; readonly layer: string }): string => `${it.design}/${it.layer}`;
const keyOf = ({ design, layer }: KnownSoil): string => key({ design: design.id, layer: layer.id });

/** The mixing bench, for the soil named in the address or the one that was last on it. */
export function Bench({ design, layer }: { readonly design: string | null; readonly layer: string | null }) {
  const { catalogue, settings, shelf } = useStore();
  const designs = useDesigns();
  const soils = useMemo(
    () =>
      designs &&
      soilsOf(
        designs.flatMap((it) =>
          it.state === 'ready' && !it.row.design.brief.putAway ? [it.row.design] : [],
        ),
        catalogue,
        shelf,
      ),
    [designs, catalogue, shelf],
  );
  if (!soils) return <Message title="Laying out the bench" role="status" />;
  const asked = soils.find((it) => it.design.id === design && it.layer.id === layer);
  const before = settings.bench;
  return (
    <BenchTop
      key={asked ? keyOf(asked) : 'kept'}
      soils={soils}
      first={
        asked && (before?.soil === null || !before || key(before.soil) !== keyOf(asked))
          ? benchFor(asked, catalogue)
          : (before ?? benchAtFirst(soils, catalogue))
      }
    />
  );
}

/** A soil on the bench, beside the ready-made mix one would buy instead. */
function benchFor({ design, layer, placed, depth, family }: KnownSoil, catalogue: Catalogue): Stored {
  return {
    soil: { design: design.id, layer: layer.id },
    placed,
    depth: Math.max(0.005, depth),
    family,
    mixes: [{ name: layer.name, mix: layer.mix }, readyFor(family, catalogue)],
  };
}

function readyFor(family: Family, catalogue: Catalogue): OnBench {
  const rows = materialsFor(catalogue, 'ready-made');
  const wanted = stateOf(family) === 'moistened' ? 'ready-dry' : 'ready-forest';
  const row = rows.find((it) => it.id === wanted) ?? rows[0];
  return {
    name: row?.name ?? 'Ready-made',
    mix: { recipe: null, parts: [{ material: row?.id ?? wanted, parts: 1 }], packingLoss: 0 },
  };
}

function benchAtFirst(soils: readonly KnownSoil[], catalogue: Catalogue): Stored {
  const [soil] = soils;
  if (soil) return benchFor(soil, catalogue);
  const recipe = catalogue.recipes[0];
  return {
    soil: null,
    placed: 0.02,
    depth: 0.1,
    family: 'wet',
    mixes: [
      { name: recipe?.name ?? 'Mix', mix: mixOfRecipe(recipe?.id ?? '', catalogue) },
      readyFor('wet', catalogue),
    ],
  };
}

const LOOSE = '';

function BenchTop({ soils, first }: { readonly soils: readonly KnownSoil[]; readonly first: Stored }) {
  const { catalogue, set } = useStore();
  const { write } = useReader();
  const [bench, setBench] = useState<Stored>(first);
  const put = (next: Stored, done = true): void => {
    setBench(next);
    if (done) void set('bench', next);
  };
  const soil = soils.find((it) => bench.soil && keyOf(it) === key(bench.soil));
  const family = soil?.family ?? bench.family;
  const state = stateOf(family);
  const placed = soil?.placed ?? bench.placed;
  const depth = soil?.depth ?? bench.depth;
  const { mixes } = bench;
  const properties = useMemo(
    () => mixes.map(({ mix }) => propertiesOf(mix, catalogue, state)),
    [mixes, catalogue, state],
  );
  const blends = useMemo(() => mixes.map(({ mix }) => blendOf(mix, catalogue)), [mixes, catalogue]);
  const others = useMemo(() => mixes.map(({ mix }) => blendToo(mix, catalogue)), [mixes, catalogue]);
  const findings = mixes.slice(0, 1).flatMap(({ mix }) => mixOutside(mix, family, catalogue));
  const change = (at: number, next: OnBench, done: boolean): void =>
    put({ ...bench, mixes: mixes.map((it, here) => (here === at ? next : it)) }, done);
  const lay = (next: OnBench): void =>
    put({ ...bench, mixes: mixes.length < 3 ? [...mixes, next] : [...mixes.slice(0, 2), next] });

  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <TextField
          select
          label="Mixing for"
          value={soil ? keyOf(soil) : LOOSE}
          onChange={(event) => {
            const next = soils.find((it) => keyOf(it) === event.target.value);
            put(next ? benchFor(next, catalogue) : { ...bench, soil: null, placed, depth, family });
          }}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          sx={{ width: 300 }}
        >
          <MenuItem value={LOOSE}>A soil in no enclosure yet</MenuItem>
          {soils.map((it) => (
            <MenuItem key={keyOf(it)} value={keyOf(it)}>
              {it.design.name} · {it.layer.name}
            </MenuItem>
          ))}
        </TextField>
        {soil ? (
          <Typography sx={{ color: 'earth.quiet', flex: 1 }}>
            {write(bag(placed))} in place, {write(length(depth))} deep on average. Judged as{' '}
            {FAMILY_WORD[family].name.toLowerCase()}.
          </Typography>
        ) : (
          <>
            <QuantityField
              label="To fill"
              measure="bag"
              value={bench.placed}
              min={0.0001}
              max={10}
              step={0.001}
              onCommit={(si) => put({ ...bench, placed: si })}
              sx={{ width: 110 }}
            />
            <QuantityField
              label="Deep"
              measure="length"
              value={bench.depth}
              min={0.005}
              max={2}
              step={0.01}
              onCommit={(si) => put({ ...bench, depth: si })}
              sx={{ width: 110 }}
            />
            <TextField
              select
              label="Judged as"
              value={bench.family}
              onChange={(event) => {
                const next = FAMILIES.find((it) => it === event.target.value);
                if (next) put({ ...bench, family: next });
              }}
              sx={{ width: 190 }}
            >
              {FAMILIES.map((it) => (
                <MenuItem key={it} value={it}>
                  {FAMILY_WORD[it].name}
                </MenuItem>
              ))}
            </TextField>
            <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
              {FAMILY_WORD[bench.family].why}
            </Typography>
          </>
        )}
        {mixes.length < 3 && (
          <Button variant="outlined" startIcon={<AddIcon />} onClick={() => lay(readyFor(family, catalogue))}>
            Another mix beside
          </Button>
        )}
      </Box>

      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { md: `repeat(${Math.max(2, mixes.length)}, minmax(0, 1fr))` },
          alignItems: 'start',
        }}
      >
        {mixes.map((mix, index) => (
          <MixCard
            key={LETTERS[index]}
            index={index}
            mix={mix}
            catalogue={catalogue}
            onChange={(next, done) => change(index, next, done)}
            onRemove={
              mixes.length > 1
                ? () => put({ ...bench, mixes: mixes.filter((_, here) => here !== index) })
                : undefined
            }
          />
        ))}
      </Box>

      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { md: 'minmax(0, 1fr) 340px' },
          alignItems: 'start',
        }}
      >
        <Panel label="Against what this ground should be">
          <Bands mixes={properties} targets={TARGETS[family]} state={state} />
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
            The green strip is where each should lie.{' '}
            {state === 'drained'
              ? `Air and water in a vessel ${write(length(0.076))} tall, as nurseries measure them; pH and salts are advice only.`
              : 'Air and water as a squeezed fistful leaves them: ground like this is never watered through.'}
          </Typography>
        </Panel>
        <Panel label="Water up the soil, once drained">
          <Profile blends={blends} others={others} depth={depth} />
        </Panel>
      </Box>

      {findings.length > 0 && (
        <FindingList label={`About mix ${LETTERS[0]}`} findings={findings} onMend={() => undefined} />
      )}

      <Solver soils={soils} soil={soil} bench={bench} family={family} placed={placed} onLay={lay} />
    </Box>
  );
}
