'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { catalogue as shipped } from '@/catalogue';
import { type Material, type Sourced } from '@/core/catalogue';
import { heldAt } from '@/core/ground';
import { length, mass, percent, UNITS, unitFor } from '@/core/units';
import { useOwn, useShelfBook, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { PlainTable } from '@/ui/PlainTable';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { CupDialog } from './Cup';
import { ROLE_WORD, SUCTIONS, Heading, Value, MixingValues, Packs } from './MaterialValues';

interface DetailProps {
  readonly row: Material;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

export function MaterialDetail({ row, own, onLike, onGone }: DetailProps) {
  const { shelf } = useStore();
  const { save, change, remove } = useOwn();
  const book = useShelfBook();
  const counted = (amount: number): void =>
    void book.write([{ kind: 'count', material: row.id, amount, label: 'Counted' }]);
  const { write, prefs } = useReader();
  const alter = (how: (now: Material) => Material): void => void change('materials', row, how);
  const put = (parts: Partial<Material>): void => alter((now) => ({ ...now, ...parts }));
  const mineOf = <T,>(value: T): Sourced<T> => ({ value, basis: 'own' });
  const form = row.packs[0]?.form;
  const there = shelf[row.id] ?? null;
  const cloth = row.roles.includes('barrier');
  // Weighed as it is bought: so much cloth, so much loose soil.
  const of = UNITS[unitFor(cloth ? 'area' : 'bag', prefs)];
  const [what, share] =
    of.symbol === 'm²'
      ? ['square metre', of.factor]
      : cloth
        ? ['square foot', of.factor]
        : of.symbol === 'L'
          ? ['litre', of.factor]
          : ['dry quart', UNITS.dryQuart.factor];
  const weighs = `A ${what} weighs${cloth ? '' : ', dry'}`;

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
          <Value label={weighs} of={row.density}>
            {own ? (
              <QuantityField
                bare
                label={weighs}
                measure="mass"
                value={row.density.value * share}
                min={0.001}
                max={5}
                step={0.01}
                onCommit={(kg) => put({ density: mineOf(kg / share) })}
              />
            ) : (
              write(mass(row.density.value * share))
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
