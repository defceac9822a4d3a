'use client';

import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { catalogue as shipped } from '@/catalogue';
import type { Material, MaterialCaution, Mixing, Pack, Role, Sourced } from '@/core/catalogue';
import { heldAt } from '@/core/ground';
import { bag, length, mass, percent } from '@/core/units';
import { useOwn, useSetPrice, useShelfBook, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { PlainTable } from '@/ui/PlainTable';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { amountWords } from './amountWords';
import { CupDialog } from './Cup';
import { freshId } from '@/ui/freshId';
import { NewIngredient } from './NewIngredient';

const ROLE_WORD: Record<Role, string> = {
  'bead-bed': 'drainage bed',
  'raised-panel': 'raised panel',
  'foam-grid': 'foam under a grid',
  support: 'panel legs',
  barrier: 'barrier',
  mix: 'mixes',
  'ready-made': 'ready-made mix',
  thin: 'thin layer',
  paper: 'paper',
  moss: 'moss',
  litter: 'leaf litter',
};

/** Suctions people can picture: the foot of a bed, a hand up, a hard squeeze. */
const SUCTIONS = [2, 5, 10, 50, 100];

/** Every material with its values, where each comes from, what packs cost and what is on the shelf. */
export function Materials() {
  const { catalogue, settings, shelf } = useStore();
  const { write } = useReader();
  const { save } = useOwn();
  const [selected, setSelected] = useState<string>(catalogue.materials[0]?.id ?? '');
  const row = catalogue.materials.find((it) => it.id === selected) ?? catalogue.materials[0];
  const mine = new Set(settings.materials.map((it) => it.id));
  return (
    <ListDetail
      label="Materials"
      items={catalogue.materials.map((it) => {
        const there = shelf[it.id] ?? 0;
        return {
          id: it.id,
          name: it.name,
          own: mine.has(it.id),
          ...(there > 0 ? { hint: `${amountWords(it, there, write)} there` } : {}),
        };
      })}
      selected={row?.id ?? null}
      onSelect={setSelected}
      tools={<NewIngredient onMade={setSelected} />}
    >
      {row && (
        <Detail
          key={row.id}
          row={row}
          own={mine.has(row.id)}
          onLike={() => {
            const id = freshId(`${row.id}-own`, catalogue.materials);
            void save('materials', { ...row, id, name: `${row.name}, my own`.slice(0, 80) }).then(() =>
              setSelected(id),
            );
          }}
          onGone={() => setSelected(catalogue.materials[0]?.id ?? '')}
        />
      )}
    </ListDetail>
  );
}

interface DetailProps {
  readonly row: Material;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

function Detail({ row, own, onLike, onGone }: DetailProps) {
  const { shelf } = useStore();
  const { save, change, remove } = useOwn();
  const book = useShelfBook();
  const counted = (amount: number): void =>
    void book.write([{ kind: 'count', material: row.id, amount, label: 'Counted' }]);
  const { write } = useReader();
  const alter = (how: (now: Material) => Material): void => void change('materials', row, how);
  const put = (parts: Partial<Material>): void => alter((now) => ({ ...now, ...parts }));
  const mineOf = <T,>(value: T): Sourced<T> => ({ value, basis: 'own' });
  const form = row.packs[0]?.form;
  const there = shelf[row.id] ?? null;
  const cloth = row.roles.includes('barrier');

  return (
    <DetailCard label={row.name}>
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, mb: 1.25 }}>
        <Box sx={{ flex: 1 }}>
          {own ? (
            <LineField
              key={row.name}
              label="Name"
              value={row.name}
              onCommit={(name) => put({ name: name.slice(0, 80) })}
              sx={{ width: '100%' }}
            />
          ) : (
            <Typography variant="h2">{row.name}</Typography>
          )}
          <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.25 }}>
            For {row.roles.map((role) => ROLE_WORD[role]).join(', ')}
            {row.peatFree ? '' : '; holds peat'}
          </Typography>
        </Box>
        <OwnRowActions
          name={row.name}
          own={own}
          ships={shipped.materials.some((it) => it.id === row.id)}
          onChange={() => put({})}
          onLike={onLike}
          onTakeOut={() => remove('materials', row.id)}
          onUndo={() => void save('materials', row)}
          onGone={onGone}
        />
      </Box>

      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, gap: 2.5 }}>
        <Box>
          <Heading>What it is like</Heading>
          <Value label={cloth ? 'A square metre weighs' : 'A litre weighs, dry'} of={row.density}>
            {own ? (
              <QuantityField
                bare
                label={cloth ? 'A square metre weighs' : 'A litre weighs, dry'}
                measure="mass"
                value={cloth ? row.density.value : row.density.value / 1000}
                min={0.001}
                max={5}
                step={0.01}
                onCommit={(kg) => put({ density: mineOf(cloth ? kg : kg * 1000) })}
              />
            ) : (
              write(mass(cloth ? row.density.value : row.density.value / 1000), { decimals: 2 })
            )}
          </Value>
          {!cloth && (
            <>
              <Value label="Settles by" of={row.settling}>
                {own ? (
                  <QuantityField
                    bare
                    label="Settles by"
                    measure="percent"
                    value={row.settling.value}
                    max={0.4}
                    step={0.01}
                    onCommit={(si) => put({ settling: mineOf(si) })}
                  />
                ) : (
                  write(percent(row.settling.value))
                )}
              </Value>
              <Value label="Water in it as bought" of={row.waterReceived}>
                {own ? (
                  <QuantityField
                    bare
                    label="Water in it as bought"
                    measure="percent"
                    value={row.waterReceived.value}
                    max={0.9}
                    step={0.01}
                    onCommit={(si) => put({ waterReceived: mineOf(si) })}
                  />
                ) : (
                  write(percent(row.waterReceived.value), { decimals: 1, trim: true })
                )}
              </Value>
            </>
          )}
          {row.voids && (
            <Value label="Open to water" of={row.voids}>
              {own ? (
                <QuantityField
                  bare
                  label="Open to water"
                  measure="percent"
                  value={row.voids.value}
                  max={0.98}
                  step={0.01}
                  onCommit={(si) => put({ voids: mineOf(si) })}
                />
              ) : (
                write(percent(row.voids.value))
              )}
            </Value>
          )}
          {row.mixing && <MixingValues row={row} mixing={row.mixing} own={own} onAlter={alter} />}
          {row.grain && (
            <Value label="Grain" of={row.grain}>
              {write(length(row.grain.value.low), { decimals: 1, trim: true })} to{' '}
              {write(length(row.grain.value.high), { decimals: 1, trim: true })}
            </Value>
          )}
          {row.retention && (
            <>
              <Heading>Water it holds, by suction</Heading>
              <PlainTable label="Water held by suction">
                <thead>
                  <tr>
                    <th scope="col">cm of water</th>
                    {SUCTIONS.map((it) => (
                      <th scope="col" className="number" key={it}>
                        {it}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  <tr>
                    <td>
                      holds <BasisMark basis={row.retention.basis} />
                    </td>
                    {SUCTIONS.map((it) => (
                      <td className="number" key={it}>
                        {row.retention && write(percent(heldAt(row.retention.value, it)))}
                      </td>
                    ))}
                  </tr>
                </tbody>
              </PlainTable>
              <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
                {write(percent(row.retention.value.saturated))} of it is pores.{' '}
                {own && <CupDialog row={row} onMeasured={(next) => alter(() => next)} />}{' '}
                {shipped.sources.find((it) => it.id === row.retention?.source)?.citation}
              </Typography>
            </>
          )}
        </Box>
        <Box>
          <Heading>On the shelf</Heading>
          {form === 'sheet' ? (
            <NumberField
              key={there ?? 0}
              label="Sheets there"
              value={there ?? 0}
              min={0}
              max={10_000}
              onCommit={(count) => counted(Math.round(count))}
            />
          ) : (
            <QuantityField
              label={form === 'roll' || form === 'pipe' ? 'Metres there' : 'There, loose'}
              measure={form === 'roll' || form === 'pipe' ? 'length' : 'bag'}
              quart="dry"
              value={there}
              max={100}
              step={form === 'roll' || form === 'pipe' ? 0.1 : 0.001}
              placeholder="none"
              onCommit={counted}
              onClear={() => counted(0)}
            />
          )}
          <Heading>Packs and prices</Heading>
          <Packs row={row} own={own} onAlter={alter} />
        </Box>
      </Box>
    </DetailCard>
  );
}

function Heading({ children }: { readonly children: ReactNode }) {
  return (
    <Typography variant="h3" sx={{ mt: 1.75, mb: 0.75 }}>
      {children}
    </Typography>
  );
}

interface ValueProps {
  readonly label: string;
  readonly of: Sourced<unknown>;
  readonly children: ReactNode;
}

function Value({ label, of, children }: ValueProps) {
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.25,
        minHeight: 34,
        borderBottom: 1,
        borderColor: 'earth.rule',
      }}
    >
      <Box sx={{ flex: 1, color: 'earth.quiet' }}>{label}</Box>
      <Box sx={{ fontWeight: 600 }}>{children}</Box>
      <BasisMark basis={of.basis} {...(of.source ? { source: of.source } : {})} />
    </Box>
  );
}

interface MixingProps {
  readonly row: Material;
  readonly mixing: Mixing;
  readonly own: boolean;
  readonly onAlter: (how: (now: Material) => Material) => void;
}

/** What counts of it in a mix. */
function MixingValues({ row, mixing, own, onAlter }: MixingProps) {
  const { write } = useReader();
  const put = (change: Partial<Mixing>): void =>
    onAlter((now) => (now.mixing ? { ...now, mixing: { ...now.mixing, ...change } } : now));
  const mineOf = <T,>(value: T): Sourced<T> => ({ value, basis: 'own' });
  const number = (
    label: string,
    value: number,
    max: number,
    step: number,
    onCommit: (value: number) => void,
  ) => (
    <NumberField
      bare
      key={value}
      label={label}
      value={value}
      min={0}
      max={max}
      step={step}
      onCommit={onCommit}
    />
  );
  const { ph, salts, hold, decay } = mixing;
  return (
    <>
      <Value label="pH in water" of={ph}>
        {own ? (
          <>
            {number('pH from', ph.value.low, ph.value.high, 0.1, (low) =>
              put({ ph: mineOf({ ...ph.value, low }) }),
            )}{' '}
            to{' '}
            {number('pH to', ph.value.high, 14, 0.1, (high) =>
              put({ ph: mineOf({ low: Math.min(ph.value.low, high), high }) }),
            )}
          </>
        ) : (
          `${ph.value.low.toFixed(1)} to ${ph.value.high.toFixed(1)}`
        )}
      </Value>
      <Value label="Salts, dS/m" of={salts}>
        {own
          ? number('Salts, dS/m', salts.value, 20, 0.1, (value) => put({ salts: mineOf(value) }))
          : salts.value}
      </Value>
      <Value label="Rots in a year" of={decay}>
        {own ? (
          <QuantityField
            bare
            label="Rots in a year"
            measure="percent"
            value={decay.value}
            max={1}
            step={0.01}
            onCommit={(si) => put({ decay: mineOf(si) })}
          />
        ) : (
          write(percent(decay.value))
        )}
      </Value>
      <Value label="Tunnel stability, 0 runs to 1 stands" of={hold}>
        {own
          ? number('Tunnel stability', hold.value, 1, 0.05, (value) => put({ hold: mineOf(value) }))
          : hold.value}
      </Value>
      {row.cautions.length > 0 && (
        <Typography variant="body2" sx={{ color: 'earth.clay', mt: 0.75 }}>
          {row.cautions.map((it) => CAUTION_WORD[it]).join(' ')}
        </Typography>
      )}
    </>
  );
}

const CAUTION_WORD: Record<MaterialCaution, string> = {
  dust: 'Dusty: damp it down before you pour, and wear a mask.',
  collecting: 'Collected: only with permission, where nothing is sprayed; bake or boil it.',
  fertiliser: 'May hold mineral fertiliser: read the bag, and leave it if it does.',
  'wetting-agent': 'May hold a wetting agent, which harms frogs: read the bag.',
  eaten: 'Not where an animal may eat it in quantity.',
};

interface PacksProps {
  readonly row: Material;
  readonly own: boolean;
  readonly onAlter: (how: (now: Material) => Material) => void;
}

function Packs({ row, own, onAlter }: PacksProps) {
  const { settings } = useStore();
  const { write } = useReader();
  const setPrice = useSetPrice();
  const words = (pack: Pack): string => {
    if (pack.form === 'bag') return `${write(bag(pack.volume), { trim: true })} bag`;
    if (pack.form === 'brick')
      return `${write(mass(pack.dryMass), { decimals: 2, trim: true })} brick, gives ${write(bag(pack.volume))}`;
    if (pack.form === 'pipe') return `${write(length(pack.length))} of pipe`;
    return `${write(length(pack.width))} × ${write(length(pack.length))} ${pack.form}`;
  };
  const loose = row.packs.some((pack) => pack.form === 'bag' || pack.form === 'brick');
  const [volume, setVolume] = useState(0.01);
  return (
    <>
      <PlainTable label="Packs and prices">
        <thead>
          <tr>
            <th scope="col">Pack</th>
            <th scope="col" className="number">
              price
            </th>
            <td className="icon" />
          </tr>
        </thead>
        <tbody>
          {row.packs.map((pack) => (
            <tr key={pack.id}>
              <td>{words(pack)}</td>
              <td className="number">
                <NumberField
                  bare
                  key={pack.price.value}
                  label={`Price of ${words(pack)}`}
                  value={pack.price.value}
                  min={0}
                  max={100_000}
                  step={0.5}
                  decimals={2}
                  onCommit={(price) => setPrice(`${row.id}/${pack.id}`, price)}
                />{' '}
                <BasisMark basis={pack.price.basis} />
              </td>
              <td className="icon">
                {settings.prices[`${row.id}/${pack.id}`] !== undefined ? (
                  <IconButton
                    size="small"
                    aria-label={`Typical price of ${words(pack)} again`}
                    onClick={() => setPrice(`${row.id}/${pack.id}`, null)}
                  >
                    <CloseIcon sx={{ fontSize: 16 }} />
                  </IconButton>
                ) : (
                  own &&
                  row.packs.length > 1 && (
                    <IconButton
                      size="small"
                      aria-label={`Take out ${words(pack)}`}
                      onClick={() =>
                        onAlter((now) => ({ ...now, packs: now.packs.filter((it) => it.id !== pack.id) }))
                      }
                    >
                      <CloseIcon sx={{ fontSize: 16 }} />
                    </IconButton>
                  )
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {own && loose && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1.25 }}>
          <QuantityField
            label="Another bag, of"
            measure="bag"
            quart="dry"
            value={volume}
            min={0.0005}
            max={2}
            step={0.005}
            onCommit={setVolume}
            sx={{ width: 140 }}
          />
          <Button
            variant="outlined"
            onClick={() =>
              onAlter((now) => ({
                ...now,
                packs: [
                  ...now.packs,
                  {
                    id: freshId('bag-own', now.packs),
                    form: 'bag',
                    volume,
                    price: { value: 0, basis: 'own' },
                  },
                ],
              }))
            }
          >
            Add it
          </Button>
        </Box>
      )}
    </>
  );
}
