'use client';

import CloseIcon from '@mui/icons-material/Close';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { catalogue as shipped } from '@/catalogue';
import { materialOf, materialsFor, Recipe, type Range } from '@/core/catalogue';
import { blendOf, inPorometer, MEDIUM_RANGES, mixNeed, normalise, POROMETER } from '@/core/ground';
import { length, percent, density } from '@/core/units';
import { useOwn, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { PlainTable } from '@/ui/PlainTable';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { useRow } from '@/ui/useRow';
import { useReader } from '@/ui/units';
import { freshId } from '@/ui/freshId';

const FAMILY_WORD: Record<Recipe['family'], string> = { wet: 'wet', middle: 'in between', dry: 'dry' };

/** Mixes by parts, with what each will be like once it is in the box. */
export function Recipes() {
  const { catalogue, settings } = useStore();
  const { save } = useOwn();
  const [selected, setSelected] = useRow(catalogue.recipes);
  const row = catalogue.recipes.find((it) => it.id === selected) ?? catalogue.recipes[0];
  const mine = new Set(settings.recipes.map((it) => it.id));
  return (
    <ListDetail
      label="Recipes"
      items={catalogue.recipes.map((it) => ({
        id: it.id,
        name: it.name,
        hint: FAMILY_WORD[it.family],
        own: mine.has(it.id),
      }))}
      selected={row?.id ?? null}
      onSelect={setSelected}
    >
      {row && (
        <Detail
          key={row.id}
          row={row}
          own={mine.has(row.id)}
          onLike={() => {
            const id = freshId(`${row.id}-own`, catalogue.recipes);
            void save('recipes', {
              ...row,
              id,
              name: `${row.name}, my own`.slice(0, 80),
              basis: 'practice',
            }).then(() => setSelected(id));
          }}
          onGone={() => setSelected(catalogue.recipes[0]?.id ?? '')}
        />
      )}
    </ListDetail>
  );
}

interface DetailProps {
  readonly row: Recipe;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

function Detail({ row, own, onLike, onGone }: DetailProps) {
  const { catalogue } = useStore();
  const { save, change, remove } = useOwn();
  const { write } = useReader();
  const alter = (how: (now: Recipe) => Partial<Recipe>): void =>
    void change('recipes', row, (now) => ({ ...now, ...how(now) }));
  const put = (parts: Partial<Recipe>): void => alter(() => parts);
  const mix = { recipe: row.id, parts: row.parts, packingLoss: row.packingLoss.value };
  const shares = normalise(mix);
  const blend = blendOf(mix, catalogue);
  const inCup = blend && inPorometer(blend);
  // As good as the weakest curve put in.
  const curves = row.parts.every(
    (part) => materialOf(catalogue, part.material).retention?.basis === 'published',
  )
    ? 'published'
    : 'estimated';
  const density = mixNeed(mix, 0.001, catalogue).placedDensity;
  const used = new Set(row.parts.map((part) => part.material));

  return (
    <DetailCard label={row.name}>
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, mb: 1.25 }}>
        <Box sx={{ flex: 1 }}>
          {own ? (
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 130px', gap: 1.25 }}>
              <LineField
                key={row.name}
                label="Name"
                value={row.name}
                onCommit={(name) => put({ name: name.slice(0, 80) })}
              />
              <TextField
                select
                label="For enclosures that are"
                value={row.family}
                onChange={(event) => put({ family: Recipe.shape.family.parse(event.target.value) })}
              >
                {Recipe.shape.family.options.map((family) => (
                  <MenuItem key={family} value={family}>
                    {FAMILY_WORD[family]}
                  </MenuItem>
                ))}
              </TextField>
              <LineField
                key={row.why}
                label="Why one would choose it"
                value={row.why}
                onCommit={(why) => put({ why })}
                sx={{ gridColumn: 'span 2' }}
              />
            </Box>
          ) : (
            <>
              <Typography variant="h2">{row.name}</Typography>
              <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.25 }}>
                {row.why} <BasisMark basis={row.basis} />
              </Typography>
            </>
          )}
        </Box>
        <OwnRowActions
          name={row.name}
          own={own}
          ships={shipped.recipes.some((it) => it.id === row.id)}
          changeWord="Change it"
          onChange={() => put({})}
          onLike={onLike}
          onTakeOut={() => remove('recipes', row.id)}
          onUndo={() => void save('recipes', row)}
          onGone={onGone}
        />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1.1fr 1fr' }, gap: 2.5, alignItems: 'start' }}>
        <Box>
          <PlainTable label="Parts">
            <thead>
              <tr>
                <th scope="col">Ingredient</th>
                <th scope="col" className="number">
                  parts
                </th>
                <th scope="col" className="number">
                  share
                </th>
                <td className="icon" />
              </tr>
            </thead>
            <tbody>
              {row.parts.map((part, index) => {
                const { name } = materialOf(catalogue, part.material);
                return (
                  <tr key={part.material}>
                    <td>{name}</td>
                    <td className="number">
                      {own ? (
                        <NumberField
                          bare
                          key={part.parts}
                          label={`Parts of ${name}`}
                          value={part.parts}
                          min={0.001}
                          max={100_000}
                          step={0.5}
                          onCommit={(parts) =>
                            alter((now) => ({
                              parts: now.parts.map((it) =>
                                it.material === part.material ? { ...it, parts } : it,
                              ),
                            }))
                          }
                        />
                      ) : (
                        part.parts
                      )}
                    </td>
                    <td className="number">{write(percent(shares[index]?.share ?? 0), { decimals: 1 })}</td>
                    <td className="icon">
                      {own && row.parts.length > 1 && (
                        <IconButton
                          size="small"
                          aria-label={`Take out ${name}`}
                          onClick={() =>
                            alter((now) => ({
                              parts: now.parts.filter((it) => it.material !== part.material),
                            }))
                          }
                        >
                          <CloseIcon sx={{ fontSize: 16 }} />
                        </IconButton>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </PlainTable>
          {own && (
            <Box sx={{ display: 'flex', gap: 1.25, mt: 1.25 }}>
              <Autocomplete
                key={row.parts.length}
                options={materialsFor(catalogue, 'mix').filter((it) => !used.has(it.id))}
                getOptionLabel={(it) => it.name}
                onChange={(_, it) =>
                  it && alter((now) => ({ parts: [...now.parts, { material: it.id, parts: 1 }] }))
                }
                renderInput={(params) => <TextField {...params} label="Add an ingredient" />}
                sx={{ flex: 1 }}
              />
              <QuantityField
                label="Packing loss"
                measure="percent"
                value={row.packingLoss.value}
                max={0.28}
                step={0.05}
                onCommit={(value) => put({ packingLoss: { value, basis: 'measured' } })}
                sx={{ width: 130 }}
              />
            </Box>
          )}
        </Box>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            What it will be like
          </Typography>
          {inCup ? (
            <>
              <Band label="Air, once drained" value={inCup.air} range={MEDIUM_RANGES.air} />
              <Band label="Water it keeps" value={inCup.capacity} range={MEDIUM_RANGES.capacity} />
              <Band label="Pores in all" value={inCup.porosity} range={MEDIUM_RANGES.porosity} />
              <Band label="Density, dry" value={density / 1000} range={{ low: 0.19, high: 0.7 }} unit="kg" />
              <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
                In a vessel {write(length(POROMETER))} tall, as nurseries measure it; the green stretch is
                what they grow in. Ground for animals may lie outside it. The ranges are{' '}
                <BasisMark basis="published" />; the figures follow from the parts’ curves{' '}
                <BasisMark basis={curves} />.
              </Typography>
            </>
          ) : (
            <Typography sx={{ color: 'earth.quiet' }}>
              One of its parts has no curve of the water it holds, so nothing is calculated.
            </Typography>
          )}
        </Box>
      </Box>
    </DetailCard>
  );
}

interface BandProps {
  readonly label: string;
  readonly value: number;
  readonly range: Range;
  /** Shares are written in percent; anything else with its unit. */
  readonly unit?: 'kg';
}

/** A value on its scale, with the stretch that is aimed for. Said in words too. */
function Band({ label, value, range, unit }: BandProps) {
  const { write } = useReader();
  const most = unit ? 1.6 : 1;
  const at = (share: number): string => `${(Math.min(most, share) / most) * 100}%`;
  // By the figure that is shown: “0.19, below 0.19” would puzzle anyone.
  const shown = Math.round(value * 100) / 100;
  const place = shown < range.low ? 'below' : shown > range.high ? 'above' : 'within';
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box sx={{ flex: 1 }}>{label}</Box>
        <Box sx={{ fontWeight: 650 }}>{unit ? write(density(value * 1000)) : write(percent(value))}</Box>
        <Box
          sx={{ color: place === 'within' ? 'earth.moss' : 'earth.clay', typography: 'body2', minWidth: 52 }}
        >
          {place}
        </Box>
      </Box>
      <Box
        aria-hidden
        sx={{
          position: 'relative',
          height: 8,
          borderRadius: 4,
          bgcolor: 'earth.paper',
          border: 1,
          borderColor: 'earth.rule',
        }}
      >
        <Box
          sx={{ position: 'absolute', top: 0, bottom: 0, bgcolor: 'earth.moss', opacity: 0.35 }}
          style={{ left: at(range.low), right: `calc(100% - ${at(range.high)})` }}
        />
        <Box
          sx={{ position: 'absolute', top: -3, width: 3, height: 12, borderRadius: 1, bgcolor: 'earth.ink' }}
          style={{ left: at(value) }}
        />
      </Box>
    </Box>
  );
}
