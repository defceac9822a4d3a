'use client';

import CallSplitIcon from '@mui/icons-material/CallSplit';
import DeleteOutlineIcon from '@mui/icons-material/DeleteOutlined';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { findAnimal, REGIONS, type Plant, type RegionName } from '@/core/catalogue';
import type { PlantSpot } from '@/core/document';
import {
  coverOf,
  placesOf,
  preparePlant,
  rankPlants,
  STRATA,
  targetsOf,
  type Fit,
  type PlantedResult,
  type Planting,
  type Ranked,
  type Survey,
  type Tread,
} from '@/core/living';
import { capital, counted, length } from '@/core/units';
import { useEditing, useOpenDesign, useOtherNames, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { TableCard } from '@/ui/TableCard';
import { Panel } from '@/ui/Panel';
import { seek } from '@/ui/seek';
import { useReader } from '@/ui/units';
import { FORM_WORD, REGION_WORD } from '@/ui/words';
import { fitWord, percent, STRATUM_WORD } from './words';

interface Props {
  readonly survey: Survey;
  readonly fits: ReadonlyMap<string, { readonly fit: Fit; readonly light: number }>;
  readonly grown: readonly PlantedResult[];
  readonly tread: Tread;
  /** What the last proposal left bare, and why. */
  readonly bare: Planting['short'];
  readonly selected: string | null;
  readonly onSelect: (plant: string | null) => void;
}

/** What is planted and how it does there; more to plant, best first; how much each height is covered. */
export function PlantsTab({ survey, fits, grown, tread, bare, selected, onSelect }: Props) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const { plants } = design.living;
  const chosen = grown.find((it) => it.planted.id === selected);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      <AddPlant {...{ survey, tread, onSelect }} />
      {chosen && (
        <PlantDetail
          key={chosen.planted.id}
          it={chosen}
          fit={fits.get(chosen.planted.id)}
          onSelect={onSelect}
        />
      )}
      {plants.length > 0 ? (
        <>
          <Cover grown={grown} bare={bare} />
          <TableCard label="Plants">
            <thead>
              <tr>
                <th>Plant</th>
                <th>Where</th>
                <th>How it does</th>
                <th>Limiting factor</th>
              </tr>
            </thead>
            <tbody>
              {grown.map(({ planted, plant, stratum }) => {
                const fit = fits.get(planted.id)?.fit;
                return (
                  <tr key={planted.id} data-selected={planted.id === selected}>
                    <td>
                      <Button
                        size="small"
                        aria-pressed={planted.id === selected}
                        onClick={() => onSelect(planted.id === selected ? null : planted.id)}
                        sx={{
                          minWidth: 0,
                          px: 0.5,
                          textAlign: 'left',
                          justifyContent: 'flex-start',
                          color: 'earth.ink',
                          fontWeight: 550,
                        }}
                      >
                        {capital(planted.name)}
                      </Button>
                    </td>
                    <td>{STRATUM_WORD[stratum].toLowerCase()}</td>
                    <td>
                      {plant && fit ? (
                        <Box
                          component="span"
                          sx={{
                            color:
                              fit.value >= 0.55
                                ? 'earth.moss'
                                : fit.value >= 0.25
                                  ? 'earth.ink'
                                  : 'earth.clay',
                            fontWeight: 600,
                          }}
                        >
                          {fitWord(fit.value)}
                        </Box>
                      ) : (
                        'not yet named'
                      )}
                    </td>
                    <td>
                      {plant && fit && fit.value < 0.85
                        ? `${fit.by}${fit.season && fit.season !== 'the year' ? `, ${fit.season}` : ''}`
                        : ''}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </TableCard>
        </>
      ) : (
        <Typography variant="body2" sx={{ color: 'earth.quiet', maxWidth: '62ch' }}>
          Nothing is planted yet. “Plant it for me” lays out a planting for{' '}
          {findAnimal(catalogue, design.brief.animal)?.english ?? 'a moist enclosure'}: tall at the back,
          climbers on the walls, low towards the front, each where its light and moisture are. Change it then
          by dragging.
        </Typography>
      )}
    </Box>
  );
}

/** Which part of the world plants may come from, and the plants that would live here, best first. */
function AddPlant({ survey, tread, onSelect }: Pick<Props, 'survey' | 'tread' | 'onSelect'>) {
  const { catalogue } = useStore();
  const otherNames = useOtherNames();
  const { design, assessment } = useOpenDesign();
  const { edit } = useEditing();
  const [added, setAdded] = useState(0);
  const { region } = design.living;
  const { enclosure, ground, scape, climate } = design;
  const ranked = useMemo(() => {
    const places = placesOf(design, assessment.ground, catalogue, survey);
    const rows = catalogue.living.plants.filter((it) => region === null || it.region.value === region);
    return rankPlants(rows, places, tread);
    // Plants themselves do not change the places.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [enclosure, ground, scape, climate, catalogue, survey, region, tread]);
  const add = ({ plant, place }: Ranked): void => {
    const at = place ? { x: place.x, y: place.y } : { x: enclosure.width / 2, y: enclosure.depth / 2 };
    const spot: PlantSpot =
      place?.kind === 'wall' && place.wall
        ? { on: 'wall', wall: place.wall, across: place.wall === 'back' ? place.x : place.y, height: place.z }
        : place?.kind === 'piece' && place.piece
          ? { on: 'piece', piece: place.piece, at }
          : place?.kind === 'water'
            ? { on: 'water', at }
            : { on: 'ground', at, pot: tread.digs > 0.05 && plant.roots.value > 0 };
    edit({ edit: 'addPlant', change: { kind: plant.id, spot } });
    setAdded((it) => it + 1);
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, alignItems: 'flex-start' }}>
      <Autocomplete
        key={added}
        options={ranked}
        sx={{ flex: '1 1 260px' }}
        getOptionLabel={({ plant }) => plant.english}
        getOptionKey={({ plant }) => plant.id}
        onChange={(_, picked) => picked && add(picked)}
        filterOptions={(all, { inputValue }) =>
          seek(all, inputValue, ({ plant }) => [plant.english, plant.scientific, ...otherNames(plant.id)])
        }
        renderOption={({ key, ...props }, { plant, best, places }) => (
          <li key={key} {...props}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              {plant.english}
              <Box
                component="span"
                sx={{ color: 'earth.quiet', fontStyle: 'italic', fontSize: '0.82rem', ml: 0.75 }}
              >
                {plant.scientific}
              </Box>
              <Box sx={{ fontSize: '0.8rem', color: 'earth.quiet' }}>
                {FORM_WORD[plant.form]} · {fitWord(best.value)}
                {best.value < 0.85 ? `: ${best.by}` : ''} · {counted(places, 'place')}
              </Box>
            </Box>
          </li>
        )}
        renderInput={(params) => <TextField {...params} label="Add a plant, best for this enclosure first" />}
        noOptionsText="No plant of that name. It can go in not yet named."
      />
      <TextField
        select
        label="From"
        value={region ?? 'any'}
        onChange={(event) =>
          edit({
            edit: 'setLiving',
            change: { region: event.target.value === 'any' ? null : (event.target.value as RegionName) },
          })
        }
        sx={{ minWidth: 168 }}
      >
        <MenuItem value="any">Anywhere</MenuItem>
        {REGIONS.map((it) => (
          <MenuItem key={it} value={it}>
            {REGION_WORD[it]}
          </MenuItem>
        ))}
      </TextField>
      <Button
        sx={{ mt: 0.25 }}
        onClick={() => {
          edit({ edit: 'addPlant', change: { kind: null } });
          onSelect(
            `plant-${Math.max(0, ...design.living.plants.map((it) => Number(it.id.split('-')[1]) || 0)) + 1}`,
          );
        }}
      >
        Not yet named
      </Button>
    </Box>
  );
}

/** How much each height is covered now, against what this animal’s kind wants once all is grown. */
function Cover({ grown, bare }: Pick<Props, 'grown' | 'bare'>) {
  const { catalogue } = useStore();
  const { design } = useOpenDesign();
  const targets = targetsOf(findAnimal(catalogue, design.brief.animal));
  const now = coverOf(design, grown);
  const then = coverOf(design, grown, 'grown');
  const rows = STRATA.filter((it) => targets[it] > 0 || then[it] > 0);
  return (
    <Box
      component="ul"
      aria-label="Cover by height"
      sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 0.75 }}
    >
      {rows.map((it) => (
        <Box
          component="li"
          key={it}
          sx={{
            display: 'grid',
            gridTemplateColumns: '130px 1fr 190px',
            gap: 1.5,
            alignItems: 'center',
            typography: 'body2',
          }}
        >
          <span>{STRATUM_WORD[it]}</span>
          <Box
            sx={{
              position: 'relative',
              height: 12,
              borderRadius: '6px',
              bgcolor: 'earth.mossWash',
              overflow: 'hidden',
            }}
            aria-hidden
          >
            <Box
              sx={{
                position: 'absolute',
                inset: 0,
                width: `${Math.min(100, then[it] * 100)}%`,
                bgcolor: 'earth.moss',
                opacity: 0.35,
              }}
            />
            <Box
              sx={{
                position: 'absolute',
                inset: 0,
                width: `${Math.min(100, now[it] * 100)}%`,
                bgcolor: 'earth.moss',
              }}
            />
            <Box
              sx={{
                position: 'absolute',
                top: 0,
                bottom: 0,
                left: `${Math.min(99, targets[it] * 100)}%`,
                width: 2,
                bgcolor: 'earth.ink',
              }}
            />
          </Box>
          <Box
            component="span"
            sx={{ color: 'earth.quiet', fontVariantNumeric: 'tabular-nums', whiteSpace: 'nowrap' }}
          >
            {percent(now[it])} now, {percent(then[it])} grown
          </Box>
        </Box>
      ))}
      {bare
        .filter((it) => then[it.stratum] === 0)
        .map((it) => (
          <Box component="li" key={`bare ${it.stratum}`} sx={{ typography: 'body2', color: 'earth.quiet' }}>
            {STRATUM_WORD[it.stratum]} stays bare: {it.because}.
          </Box>
        ))}
      <Box component="li" sx={{ typography: 'caption', color: 'earth.quiet' }}>
        The upright line: what this species wants at least, of the floor (of the walls: of their area). Common
        practice.
      </Box>
    </Box>
  );
}

const SOWN_WORD = { spores: 'Sown from spores', seed: 'Sown from seed', pieces: 'Spread in pieces' } as const;

interface DetailProps {
  readonly it: PlantedResult;
  readonly fit: { readonly fit: Fit; readonly light: number } | undefined;
  readonly onSelect: (plant: string | null) => void;
}

function PlantDetail({ it, fit, onSelect }: DetailProps) {
  const { catalogue } = useStore();
  const { edit } = useEditing();
  const { write, num, tell } = useReader();
  const { planted, plant } = it;
  const { spot } = planted;
  const put = (change: Partial<typeof planted>) =>
    edit({ edit: 'setPlant', change: { plant: planted.id, change } });
  const steps = preparePlant(plant, planted);
  return (
    <Panel label={capital(planted.name)}>
      {plant && (
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          <i>{plant.scientific}</i> · grows to {write(length(it.grown.height))} high and{' '}
          {write(length(it.grown.width))} wide
          {fit ? ` · ${num(fit.light, 1)} mol of light a day where it stands` : ''}
        </Typography>
      )}
      {plant && fit && (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          It {fitWord(fit.fit.value)} here
          {fit.fit.value < 0.85
            ? `; ${fit.fit.by} holds it back${fit.fit.season && fit.fit.season !== 'the year' ? ` in ${fit.fit.season}` : ''}`
            : ''}
          .
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mt: 1.25, alignItems: 'center' }}>
        <Autocomplete
          options={catalogue.living.plants as Plant[]}
          value={plant ?? null}
          getOptionLabel={(row) => row.english}
          getOptionKey={(row) => row.id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          onChange={(_, row) =>
            put({ kind: row?.id ?? null, ...(row ? {} : { name: 'Plant not yet named' }) })
          }
          sx={{ width: 240 }}
          renderInput={(params) => <TextField {...params} label="Species" />}
        />
        <NumberField
          key={planted.size}
          label="Size now, % of grown"
          value={Math.round(planted.size * 100)}
          min={2}
          max={150}
          step={5}
          onCommit={(value) => put({ size: value / 100 })}
          sx={{ width: 168 }}
        />
        <TextField
          select
          label="Where"
          value={spot.on}
          sx={{ minWidth: 150 }}
          onChange={(event) => {
            const at = { x: it.x, y: it.y };
            const on = event.target.value;
            put({
              spot:
                on === 'wall'
                  ? { on: 'wall', wall: 'back', across: it.x, height: it.z + 0.15 }
                  : on === 'water'
                    ? { on: 'water', at }
                    : { on: 'ground', at, pot: false },
            });
          }}
        >
          <MenuItem value="ground">In the soil</MenuItem>
          <MenuItem value="wall">On the back wall</MenuItem>
          <MenuItem value="water">In water</MenuItem>
          {spot.on === 'piece' && <MenuItem value="piece">On wood or stone</MenuItem>}
        </TextField>
        {plant?.sows && (
          <FormControlLabel
            control={<Switch checked={planted.sown} onChange={(_, sown) => put({ sown })} />}
            label={SOWN_WORD[plant.sows.value.by]}
          />
        )}
        {spot.on === 'ground' && !planted.sown && (
          <FormControlLabel
            control={<Switch checked={spot.pot} onChange={(_, pot) => put({ spot: { ...spot, pot } })} />}
            label="In a sunk pot"
          />
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button
          size="small"
          startIcon={<CallSplitIcon fontSize="small" />}
          onClick={() => edit({ edit: 'dividePlant', change: { plant: planted.id } })}
        >
          Divide
        </Button>
        <Button
          size="small"
          color="error"
          startIcon={<DeleteOutlineIcon fontSize="small" />}
          onClick={() => {
            edit({ edit: 'removePlant', change: { plant: planted.id } });
            onSelect(null);
          }}
        >
          Take out
        </Button>
      </Box>
      <Typography variant="h3" component="h3" sx={{ mt: 1 }}>
        Before it goes in
      </Typography>
      <Box component="ol" sx={{ m: 0, pl: 2.5, typography: 'body2', '& li': { mt: 0.5 } }}>
        {steps.map((step) => (
          <li key={step.what}>
            <strong>{tell(step.what)}</strong>
            {step.days ? `, ${counted(step.days, 'day')}` : ''}. {step.why}
            {step.caution && <Box sx={{ color: 'earth.clay' }}>{step.caution}</Box>}
          </li>
        ))}
      </Box>
    </Panel>
  );
}
