'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { catalogue as shipped } from '@/catalogue';
import { lawsOf, type Material } from '@/core/catalogue';
import { LAW_WORD } from '@/core/living';
import { heldAt } from '@/core/ground';
import { fine, percent, spanned, UNITS, unitFor } from '@/core/units';
import { useOwn, useShelfBook, useStore } from '@/store';
import { BasisMark } from '@/ui/BasisMark';
import { useCitation } from '@/ui/useCitation';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Line, Part, Single } from '@/ui/fields/SourcedFields';
import { PlainTable } from '@/ui/PlainTable';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard } from '@/ui/shell/ListDetail';
import { useReader } from '@/ui/units';
import { CupDialog } from './Cup';
import { ROLE_WORD, SUCTIONS, MixingValues, Packs } from './MaterialValues';

interface DetailProps {
  readonly row: Material;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

export function MaterialDetail({ row, own, onLike, onGone }: DetailProps) {
  const { save, change, remove } = useOwn();
  const { write, prefs } = useReader();
  const alter = (how: (now: Material) => Material): void => void change('materials', row, how);
  const put = (parts: Partial<Material>): void => alter((now) => ({ ...now, ...parts }));
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
          {lawsOf(row).length > 0 && (
            <Typography variant="body2" sx={{ mt: 0.25 }}>
              {lawsOf(row)
                .map((it) => LAW_WORD[it])
                .join(' ')}{' '}
              The local authority decides.
            </Typography>
          )}
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
          <Part>What it is like</Part>
          <Single
            label={weighs}
            of={row.density}
            own={own}
            measure="mass"
            per={share}
            min={0.001}
            max={5}
            onPut={(density) => put({ density })}
          />
          {!cloth && (
            <>
              <Single
                label="Settles by"
                of={row.settling}
                own={own}
                measure="percent"
                step={0.01}
                max={0.4}
                onPut={(settling) => put({ settling })}
              />
              <Single
                label="Water in it as bought"
                of={row.waterReceived}
                own={own}
                measure="percent"
                step={0.01}
                max={0.9}
                decimals={1}
                onPut={(waterReceived) => put({ waterReceived })}
              />
            </>
          )}
          {row.voids && (
            <Single
              label="Open to water"
              of={row.voids}
              own={own}
              measure="percent"
              step={0.01}
              max={0.98}
              onPut={(voids) => put({ voids })}
            />
          )}
          {row.mixing && <MixingValues row={row} mixing={row.mixing} own={own} onAlter={alter} />}
          {row.grain && (
            <Line label="Grain" of={row.grain}>
              {spanned(
                write(fine(row.grain.value.low), { decimals: 2, trim: true }),
                write(fine(row.grain.value.high), { decimals: 2, trim: true }),
              )}
            </Line>
          )}
          {row.retention && <Retention row={row} retention={row.retention} own={own} onAlter={alter} />}
        </Box>
        <Box>
          <Part>On the shelf</Part>
          {/* The field’s label stands over its edge. */}
          <Box sx={{ mt: 1.25 }}>
            <OnShelf row={row} />
          </Box>
          <Part>Packs and prices</Part>
          <Packs row={row} own={own} onAlter={alter} />
        </Box>
      </Box>
    </DetailCard>
  );
}

/** How much of it is there: sheets, metres, or a volume, by what it is sold as. */
function OnShelf({ row }: { readonly row: Material }) {
  const { shelf } = useStore();
  const book = useShelfBook();
  const form = row.packs[0]?.form;
  const there = shelf[row.id] ?? null;
  const counted = (amount: number): void =>
    void book.write([{ kind: 'count', material: row.id, amount, label: 'Counted' }]);
  return form === 'sheet' ? (
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
  );
}

interface RetentionProps {
  readonly row: Material;
  readonly retention: NonNullable<Material['retention']>;
  readonly own: boolean;
  readonly onAlter: (how: (now: Material) => Material) => void;
}

/** How much water it holds against how strong a pull; one's own is measured in a cup. */
function Retention({ row, retention, own, onAlter }: RetentionProps) {
  const { write } = useReader();
  const citation = useCitation(retention.source);
  const other = useCitation(row.retentionToo?.source);
  return (
    <>
      <Part>Water it holds, by suction</Part>
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
              holds <BasisMark basis={retention.basis} source={retention.source} />
            </td>
            {SUCTIONS.map((it) => (
              <td className="number" key={it}>
                {write(percent(heldAt(retention.value, it)))}
              </td>
            ))}
          </tr>
          {row.retentionToo && (
            <tr>
              <td>
                or <BasisMark basis={row.retentionToo.basis} source={row.retentionToo.source} />
              </td>
              {SUCTIONS.map((it) => (
                <td className="number" key={it}>
                  {write(percent(heldAt(row.retentionToo?.value ?? retention.value, it)))}
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </PlainTable>
      <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 0.75 }}>
        {write(percent(retention.value.saturated))} of it is pores.{' '}
        {own && <CupDialog row={row} onMeasured={(next) => onAlter(() => next)} />} {citation}
        {other && ` Soils of one class differ: the other row is by ${other}`}
      </Typography>
    </>
  );
}
