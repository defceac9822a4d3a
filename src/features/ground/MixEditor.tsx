'use client';

import CloseIcon from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { memo, useCallback, useEffect, useRef } from 'react';
import { findAnimal, findRecipe, materialOf, materialsFor } from '@/core/catalogue';
import type { Mix, SubstrateLayer } from '@/core/document';
import { isMoistened, type LayerResult, type Squeeze } from '@/core/ground';
import { bag, percent, tank, unitFor, UNITS } from '@/core/units';
import { useEditing, useOpenDesign, useStore } from '@/store';
import { Choice } from '@/ui/Choice';
import { PlainTable } from '@/ui/PlainTable';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { useReader } from '@/ui/units';

interface Props {
  readonly layer: SubstrateLayer;
  readonly result: LayerResult;
}

/** A soil by parts: what it is mixed from, and how much of each to measure out. */
export function MixEditor({ layer, result }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { prefs, write } = useReader();
  const { need } = result;
  const total = layer.mix.parts.reduce((sum, part) => sum + part.parts, 0);

  return (
    <>
      <MixSchool layer={layer} placed={result.placed} />
      <MixPlaces design={design.id} layer={layer.id} />
      <MixHead
        layer={layer.id}
        name={layer.name}
        recipe={layer.mix.recipe}
        packingLoss={layer.mix.packingLoss}
      />
      <Box sx={{ mt: 1, overflowX: 'auto', '& th, & td': { px: '6px !important' } }}>
        <PlainTable label="Ingredients">
          <thead>
            <tr>
              <th scope="col">Ingredient</th>
              <th scope="col" className="number">
                parts
              </th>
              <th scope="col" className="number">
                share
              </th>
              <th scope="col" className="number">
                {UNITS[unitFor('bag', prefs)].symbol} loose
              </th>
              <td className="icon" />
            </tr>
          </thead>
          <tbody>
            {need?.ingredients.map((part, index) => {
              const { name } = materialOf(catalogue, part.material);
              const written = layer.mix.parts[index]?.parts ?? 0;
              return (
                <tr key={part.material}>
                  <td>{name}</td>
                  <td className="number">
                    <PartsField
                      key={written}
                      layer={layer.id}
                      material={part.material}
                      name={name}
                      parts={written}
                    />
                  </td>
                  <td className="number">{write(percent(part.share), { decimals: 1 })}</td>
                  <td className="number">{write(bag(part.loose), { bare: true })}</td>
                  <td className="icon">
                    <TakeOut
                      layer={layer.id}
                      material={part.material}
                      name={name}
                      last={layer.mix.parts.length === 1}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </PlainTable>
      </Box>
      <Moistening />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1.25 }}>
        <AddIngredient layer={layer.id} parts={layer.mix.parts} />
        {need && (
          <Typography variant="body2" sx={{ color: 'earth.quiet', flex: 1 }}>
            {trim(total)} parts. Measure out {write(bag(need.loose))} loose for {write(bag(result.placed))} in
            place
            {isMoistened(need)
              ? `, and mix in ${write(tank(need.waterToMixIn))} of water: a squeezed fistful should hold and glisten.`
              : result.moistShare === 0
                ? '. It goes in dry.'
                : '. It comes damp enough from the bag: no water is mixed in.'}
          </Typography>
        )}
      </Box>
    </>
  );
}

/** From a soil to the bench it is weighed against others on, and to the sheet it is mixed by. */
const MixPlaces = memo(function MixPlaces({
  design,
  layer,
}: {
  readonly design: string;
  readonly layer: string;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 1, mb: 1.25 }}>
      <Button
        component={NextLink}
        size="small"
        variant="outlined"
        href={`/stores?tab=bench&design=${design}&layer=${layer}`}
      >
        Lay it on the bench
      </Button>
      <Button component={NextLink} size="small" variant="outlined" href={`/e/${design}/mixing`}>
        Mixing sheet
      </Button>
    </Box>
  );
});

interface HeadProps {
  readonly layer: string;
  readonly name: string;
  readonly recipe: string | null;
  readonly packingLoss: number;
}

const MixHead = memo(function MixHead({ layer, name, recipe, packingLoss }: HeadProps) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 128px', gap: 1.25 }}>
        <LineField
          key={name}
          label="Name of this soil"
          value={name}
          onCommit={(next) => edit({ edit: 'renameLayer', change: { layer, name: next } })}
        />
        <TextField
          select
          label="Start from a recipe"
          value={recipe ?? ''}
          onChange={(event) => edit({ edit: 'useRecipe', change: { layer, recipe: event.target.value } })}
        >
          {catalogue.recipes.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {row.name}
            </MenuItem>
          ))}
        </TextField>
        <QuantityField
          label="Packing loss"
          measure="percent"
          value={packingLoss}
          max={0.28}
          step={0.05}
          onCommit={(next) => edit({ edit: 'setPackingLoss', change: { layer, packingLoss: next } })}
        />
      </Box>
      {recipe && (
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          {findRecipe(catalogue, recipe)?.why}
        </Typography>
      )}
    </>
  );
});

const FROM = [
  { value: 'ready', name: 'Ready-made', why: 'One bag, no measuring; dearer a litre.' },
  { value: 'own', name: 'Own recipe', why: 'Made for the animal, cheaper in bulk.' },
  { value: 'stretch', name: 'Stretch a bag', why: 'What is left of one, made up to the depth.' },
] as const;

/** Where the mix comes from: a bag, a recipe, or both. */
function MixSchool({ layer, placed }: { readonly layer: SubstrateLayer; readonly placed: number }) {
  const { design } = useOpenDesign();
  // Asked for when a choice is made, so that the cards need not be drawn anew while a layer is dragged.
  const now = useRef(placed);
  useEffect(() => {
    now.current = placed;
  }, [placed]);
  const room = useCallback(() => now.current, []);
  return <MixSchoolCards layer={layer.id} mix={layer.mix} animal={design.brief.animal} placed={room} />;
}

interface MixSchoolProps {
  readonly layer: string;
  readonly mix: Mix;
  readonly animal: string | null;
  /** m³ the layer takes. */
  readonly placed: () => number;
}

const MixSchoolCards = memo(function MixSchoolCards({ layer, mix, animal: kind, placed }: MixSchoolProps) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  const ready = materialsFor(catalogue, 'ready-made');
  const bags = mix.parts.filter((part) => ready.some((row) => row.id === part.material));
  const value = bags.length === 0 ? 'own' : bags.length === mix.parts.length ? 'ready' : 'stretch';
  const animal = findAnimal(catalogue, kind);
  const dry = animal?.ground.value === 'dry';
  const suits = ready.find((row) => row.id === (dry ? 'ready-dry' : 'ready-forest')) ?? ready[0];
  const recipe = mix.recipe ?? animal?.recipe ?? catalogue.recipes[0]?.id ?? '';
  const material = bags[0]?.material ?? suits?.id ?? '';
  const stretch = (have: number) =>
    edit({
      edit: 'stretchReadyMade',
      change: { layer, material, have, recipe: animal?.recipe ?? recipe, placed: placed() },
    });
  const have = value === 'stretch' ? (bags[0]?.parts ?? 0) / 1000 : 0;
  return (
    <Box sx={{ mb: 1.5 }}>
      <Choice
        label="Where the mix comes from"
        least={110}
        options={FROM}
        value={value}
        onChange={(next) => {
          if (next === value) return;
          if (next === 'own') edit({ edit: 'useRecipe', change: { layer, recipe } });
          if (next === 'ready') edit({ edit: 'useReadyMade', change: { layer, material } });
          if (next === 'stretch') stretch(Math.min(0.004, placed() / 2));
        }}
      />
      {value !== 'own' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, mt: 1.25 }}>
          <TextField
            select
            label="Ready-made mix"
            value={material}
            onChange={(event) =>
              edit({ edit: 'useReadyMade', change: { layer, material: event.target.value } })
            }
          >
            {ready.map((row) => (
              <MenuItem key={row.id} value={row.id}>
                {row.name}
              </MenuItem>
            ))}
          </TextField>
          {value === 'stretch' && (
            <QuantityField
              label="Left of it, loose"
              measure="bag"
              quart="dry"
              value={have}
              min={0.0001}
              max={1}
              step={0.001}
              onCommit={stretch}
            />
          )}
        </Box>
      )}
    </Box>
  );
});

const SCHOOLS = [
  {
    value: 'strict',
    name: 'No drop when squeezed',
    why: 'Safer against mould and sour ground; it dries sooner.',
  },
  { value: 'generous', name: 'A drop or two', why: 'Moss and crew settle at once; it must drain.' },
] as const;

/** How wet the soil goes in: by which school, and how much of its depth. Holds for all soil of the box. */
function Moistening() {
  const { design } = useOpenDesign();
  return <MoisteningFields squeeze={design.ground.squeeze} share={design.ground.moistShare} />;
}

const MoisteningFields = memo(function MoisteningFields({
  squeeze,
  share,
}: {
  readonly squeeze: Squeeze;
  readonly share: number;
}) {
  const { edit } = useEditing();
  const choose = useCallback(
    (next: Squeeze) => edit({ edit: 'setSqueeze', change: { squeeze: next } }),
    [edit],
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 128px', gap: 1.25, mt: 1.5, alignItems: 'start' }}>
      <Choice label="Squeeze test" options={SCHOOLS} value={squeeze} onChange={choose} />
      <QuantityField
        label="Damp from below"
        measure="percent"
        value={share}
        max={1}
        step={0.1}
        onCommit={(next) => edit({ edit: 'setMoistShare', change: { share: next } })}
      />
    </Box>
  );
});

interface AddProps {
  readonly layer: string;
  readonly parts: Mix['parts'];
}

const AddIngredient = memo(function AddIngredient({ layer, parts }: AddProps) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  const used = new Set(parts.map((part) => part.material));
  return (
    <Autocomplete
      key={parts.length}
      options={materialsFor(catalogue, 'mix').filter((row) => !used.has(row.id))}
      getOptionLabel={(row) => row.name}
      onChange={(_, row) => row && edit({ edit: 'setParts', change: { layer, material: row.id, parts: 1 } })}
      renderInput={(params) => <TextField {...params} label="Add an ingredient" />}
      sx={{ width: 240 }}
    />
  );
});

interface TakeOutProps {
  readonly layer: string;
  readonly material: string;
  readonly name: string;
  readonly last: boolean;
}

const TakeOut = memo(function TakeOut({ layer, material, name, last }: TakeOutProps) {
  const { edit } = useEditing();
  return (
    <IconButton
      size="small"
      aria-label={`Take out ${name}`}
      disabled={last}
      onClick={() => edit({ edit: 'removePart', change: { layer, material } })}
    >
      <CloseIcon sx={{ fontSize: 16 }} />
    </IconButton>
  );
});

const trim = (value: number): string => String(Math.round(value * 100) / 100);

interface PartsProps {
  readonly layer: string;
  readonly material: string;
  readonly name: string;
  readonly parts: number;
}

/** Drawn anew only when its own parts change: a mix has a row of them. */
const PartsField = memo(function PartsField({ layer, material, name, parts }: PartsProps) {
  const { edit } = useEditing();
  return (
    <NumberField
      bare
      label={`Parts of ${name}`}
      value={parts}
      min={0}
      max={1e6}
      onCommit={(next) => edit({ edit: 'setParts', change: { layer, material, parts: next } })}
    />
  );
});
