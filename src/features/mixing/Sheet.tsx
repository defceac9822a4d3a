'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import type { ReactNode } from 'react';
import { CAUTIONS } from '@/catalogue';
import { roomClimate } from '@/core/brief';
import { findAnimal, materialOf, type MaterialCaution } from '@/core/catalogue';
import { corners, SQUEEZE, type Squeeze } from '@/core/ground';
import { looseNeeds, soilSheet, stateOf, familyFor, type SoilSheet, type TubLot } from '@/core/mixing';
import { takingOf } from '@/core/shelf';
import { counted, bag, length, mass, percent, tank } from '@/core/units';
import { useOpenDesign, useShelfBook, useStore } from '@/store';
import { QuantityField } from '@/ui/fields/QuantityField';
import { Message } from '@/ui/Message';
import { Panel } from '@/ui/Panel';
import { PlainTable } from '@/ui/PlainTable';
import { useReader } from '@/ui/units';
import { useUndoable } from '@/ui/useUndoable';

const SQUEEZE_WORD: Record<Squeeze, string> = {
  strict: 'it holds together and lets go no drop',
  generous: 'it holds together and lets go a drop or two',
};

const CAUTION_WORD: Partial<Record<MaterialCaution, string>> = {
  silica: 'its dust holds silica: a mask of class FFP2 or N95',
  alkaline: 'alkaline: its dust burns moist skin; under amphibians only blended, wetted and weeks old',
  legionella: 'can carry Legionella: open the bag away from your face, wash your hands',
  sphagnum: 'can carry a fungus that enters by scratches: wear gloves',
  'dries-out': 'as a powder it dries out springtails, isopods and amphibians',
  fertiliser: 'may hold fertiliser: read the bag, and leave it if it says so',
  'wetting-agent': 'may hold a wetting agent, which harms frogs: read the bag',
  eaten: 'not where an animal may eat it in quantity',
};

/** How each soil of the box is mixed: batches, order, water, squeezes, and what it will want in a year. */
export function Sheet() {
  const { design, assessment } = useOpenDesign();
  const { catalogue, settings, set } = useStore();
  const { write } = useReader();
  const room = roomClimate(design.brief.room);
  const family = familyFor(findAnimal(catalogue, design.brief.animal));
  const { ground } = design;
  const soils = assessment.layers.flatMap((it) =>
    it.layer.kind === 'substrate' && it.placed > 1e-6
      ? [
          {
            result: it,
            sheet: soilSheet(
              {
                id: it.layer.id,
                name: it.layer.name,
                mix: it.layer.mix,
                placed: it.placed,
                area: it.area,
                moistShare: it.moistShare,
                suction: SQUEEZE[ground.squeeze],
                temper: stateOf(family) === 'moistened',
              },
              settings.tub,
              room,
              catalogue,
            ),
            depth: corners.mean(it.thickness),
          },
        ]
      : [],
  );
  if (soils.length === 0) {
    return (
      <Message
        title="No soil to mix"
        actions={
          <Button component={NextLink} href={`/e/${design.id}/ground`} variant="contained">
            To the ground
          </Button>
        }
      >
        This enclosure holds no soil yet. Lay one in Ground, and its sheet follows.
      </Message>
    );
  }
  const cautions = new Set(
    soils.flatMap(({ sheet }) =>
      [sheet.damp, sheet.dry].flatMap((lot) => lot?.measures.flatMap((it) => it.cautions) ?? []),
    ),
  );

  return (
    <Box sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: 2.5, py: 2 }}>
      <Box sx={{ maxWidth: 1080, mx: 'auto', display: 'grid', gap: 1.5 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
          <Typography variant="h1" component="h1" sx={{ flex: 1 }}>
            Mixing sheet
          </Typography>
          <Box className="no-print" sx={{ display: 'flex', gap: 1.25, alignItems: 'center' }}>
            <QuantityField
              label="The tub holds"
              measure="tank"
              value={settings.tub}
              min={0.001}
              max={2}
              step={0.005}
              onCommit={(si) => void set('tub', si)}
              sx={{ width: 130 }}
            />
            <Button
              component={NextLink}
              href={`/stores?tab=bench&design=${design.id}&layer=${soils[0]?.sheet.soil.id ?? ''}`}
            >
              To the bench
            </Button>
            <Button variant="outlined" onClick={() => window.print()}>
              Print
            </Button>
          </Box>
        </Box>
        {(cautions.has('dust') || cautions.has('fertiliser')) && (
          <Alert severity="warning" variant="outlined" icon={false} sx={{ py: 0.25 }}>
            {cautions.has('dust') && <div>{CAUTIONS.mixing.text}</div>}
            {(cautions.has('fertiliser') || cautions.has('wetting-agent')) && (
              <div>No mineral fertiliser, no wetting agents: read every bag before it is opened.</div>
            )}
            <div>{CAUTIONS.hygiene.text}</div>
          </Alert>
        )}
        {soils.length > 1 && (
          <Typography>
            {soils.length} soils: fill {soils.map(({ sheet }) => sheet.soil.name).join(', then ')}. Level the
            lower one before the next goes on.
          </Typography>
        )}
        {soils.map(({ sheet, depth }, index) => (
          <SoilCard
            key={sheet.soil.id}
            sheet={sheet}
            depth={depth}
            squeeze={ground.squeeze}
            number={soils.length > 1 ? index + 1 : undefined}
            replace={ground.schools.renewal === 'replace'}
          />
        ))}
        <OffShelf
          id={design.id}
          name={design.name}
          needs={looseNeeds(
            soils.map(({ sheet }) => sheet.soil),
            catalogue,
          )}
        />
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Two thirds of a tub, the first pour and the squeezes are common practice; water, masses and rot
          follow from the ingredients’ values, most of them estimates. A tub filled to its brim cannot be
          turned, {write(tank(settings.tub))} holds {write(bag((settings.tub * 2) / 3))} to mix.
        </Typography>
      </Box>
    </Box>
  );
}

interface CardProps {
  readonly sheet: SoilSheet;
  readonly depth: number;
  readonly squeeze: Squeeze;
  readonly number: number | undefined;
  readonly replace: boolean;
}

function SoilCard({ sheet, depth, squeeze, number, replace }: CardProps) {
  const { write } = useReader();
  const { soil, damp, dry, soaks, temper, years } = sheet;
  const [year] = years;
  return (
    <Panel label={`${number ? `${number}. ` : ''}${soil.name}`}>
      <Typography sx={{ color: 'earth.quiet' }}>
        {write(bag(sheet.loose))} loose for {write(bag(soil.placed))} in place. Poured in it stands{' '}
        {write(length(depth * sheet.poured))} high and settles to {write(length(depth))}.
      </Typography>
      {soaks.length > 0 && (
        <Step title="Soak first">
          {soaks.map((soak) => (
            <div key={soak.material}>
              {soak.count} × {write(mass(soak.pack.dryMass), { decimals: 2, trim: true })} of{' '}
              {soak.name.toLowerCase()} in {write(tank(soak.water))} of warm water, an hour or more: gives{' '}
              {write(bag(soak.gives))} loose. Labels promise less of both.
            </div>
          ))}
        </Step>
      )}
      {damp && (
        <LotCard title={dry ? 'The damp part, which goes in first' : 'Mix'} lot={damp} squeeze={squeeze} />
      )}
      {dry && (
        <LotCard
          title={damp ? 'The dry part, which goes on top as it was bought' : 'Mix dry, as it was bought'}
          lot={dry}
          squeeze={undefined}
        />
      )}
      {temper && (
        <Step title="Let it temper">
          Spread it in the enclosure and turn it daily for about {temper.days}{' '}
          {temper.days === 1 ? 'day' : 'days'}, until it binds and no longer feels wet: from{' '}
          {write(percent(temper.from))} of water to {write(percent(temper.to))}, {write(tank(temper.lose))} to
          dry off in this room. Turned, it dries evenly and does not mould.
        </Step>
      )}
      {year && year.lost > 1e-6 && !replace && (
        <Step title="In a year">
          It will have sunk by about {write(length(year.sunk))}
          {years[2] ? `, by ${write(length(years[2].sunk))} in three` : ''}. To fill it up again after one:{' '}
          {year.topUp
            .slice(0, 4)
            .map((it) => `${write(bag(it.loose))} of ${it.name.toLowerCase()}`)
            .join(', ')}
          {year.topUp.length > 4 ? ' and a little of the rest' : ''}, loose. Only what rots is put back; crew
          and roots stay.
        </Step>
      )}
      {year && year.lost > 1e-6 && replace && (
        <Step title="In a year">
          It will have sunk by about {write(length(year.sunk))}. You replace rather than top up: the whole of
          it, {write(bag(sheet.loose))} loose, when it has broken down.
        </Step>
      )}
    </Panel>
  );
}

function Step({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box sx={{ mt: 1.25 }}>
      <Typography variant="h3" component="h3">
        {title}
      </Typography>
      <Typography component="div">{children}</Typography>
    </Box>
  );
}

function LotCard({
  title,
  lot,
  squeeze,
}: {
  readonly title: string;
  readonly lot: TubLot;
  readonly squeeze: Squeeze | undefined;
}) {
  const { write } = useReader();
  const { batches, measures, water, firstPour, squeezes, litre } = lot;
  const each = squeezes > 0 ? (water - firstPour) / squeezes : 0;
  return (
    <Box sx={{ mt: 1.25 }}>
      <Typography variant="h3" component="h3">
        {title}: {counted(batches, 'tubful')}
        {batches > 1 && ', each of'}
      </Typography>
      <PlainTable label={`${title}, one tubful`}>
        <thead>
          <tr>
            <th scope="col">in this order</th>
            <th scope="col" className="number">
              loose
            </th>
            <th scope="col">how</th>
          </tr>
        </thead>
        <tbody>
          {measures.map((it, index) => (
            <tr key={it.material}>
              <td>
                {index + 1}. {it.name}
              </td>
              <td className="number">{write(bag(it.loose), { decimals: 2 })}</td>
              <td style={{ whiteSpace: 'normal' }}>{howOf(it, squeeze !== undefined)}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {squeeze && (
        <Typography component="div" sx={{ mt: 0.75 }}>
          {water < 1e-5 ? (
            <>
              No water to add: what is in it is enough. Squeeze a fistful all the same:{' '}
              {SQUEEZE_WORD[squeeze]}.
            </>
          ) : (
            <>
              Water: {write(tank(water), { decimals: 2 })} a tubful. Pour{' '}
              {write(tank(firstPour), { decimals: 2 })}, turn it well, then {squeezes} ×{' '}
              {write(tank(each), { decimals: 2 })}, squeezing a fistful after each: stop when{' '}
              {SQUEEZE_WORD[squeeze]}.
            </>
          )}{' '}
          Right, a loose litre weighs {write(mass(litre), { decimals: 2 })}.
        </Typography>
      )}
    </Box>
  );
}

function howOf({ sort, cautions }: TubLot['measures'][number], damp: boolean): string {
  const first = cautions.includes('dust')
    ? damp
      ? 'damp it down before you pour'
      : 'pour it slowly and low, mask on'
    : sort === 'living'
      ? 'fold in last, by hand'
      : sort === 'moss'
        ? 'tear it apart'
        : sort === 'clay' || sort === 'powder'
          ? 'sift it thinly over the rest'
          : '';
  const more = cautions.flatMap((it) => CAUTION_WORD[it] ?? []);
  return [first, ...more].filter(Boolean).join('; ');
}

interface OffProps {
  readonly id: string;
  readonly name: string;
  readonly needs: Readonly<Record<string, number>>;
}

/** Mixed: what went in comes off the shelf, once, and can be put back. */
function OffShelf({ id, name, needs }: OffProps) {
  const { catalogue, stocks, moves } = useStore();
  const { write } = useReader();
  const book = useShelfBook();
  const undoable = useUndoable();
  const mixed = moves.filter((it) => it.kind === 'use' && it.design === id && !it.undone);
  const last = mixed.at(-1);
  const taking = takingOf(needs, stocks);
  const short = taking.filter((it) => it.short > 1e-5);
  const take = async (): Promise<void> => {
    const batch = await book.write(
      taking.map(({ material, amount }) => ({ kind: 'use', material, amount, label: name, design: id })),
    );
    undoable('Taken off the shelf.', () => book.undo(batch));
  };
  return (
    <Panel label="Off the shelf">
      {last ? (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <Typography sx={{ flex: 1 }}>
            Taken off the shelf for {name} on{' '}
            {new Date(last.at).toLocaleDateString(undefined, {
              day: 'numeric',
              month: 'short',
              year: 'numeric',
            })}
            .
          </Typography>
          <Button className="no-print" variant="outlined" onClick={() => void take()}>
            Mixed again: take it off
          </Button>
          <Button className="no-print" variant="outlined" onClick={() => void book.undo(last.batch)}>
            Put it back
          </Button>
        </Box>
      ) : (
        <>
          <Typography>
            Mixing this takes{' '}
            {taking
              .map(
                (it) =>
                  `${write(bag(it.amount))} of ${materialOf(catalogue, it.material).name.toLowerCase()}`,
              )
              .join(', ')}
            .
          </Typography>
          {short.length > 0 && (
            <Typography sx={{ color: 'earth.clay', mt: 0.5 }}>
              The book has too little of{' '}
              {short
                .map(
                  (it) =>
                    `${materialOf(catalogue, it.material).name.toLowerCase()} (${write(bag(Math.max(0, it.there)))} there)`,
                )
                .join(', ')}
              . Write down what you bought first, or it will stand below nothing until it is counted.
            </Typography>
          )}
          <Button className="no-print" variant="contained" sx={{ mt: 1 }} onClick={() => void take()}>
            Mixed: take it off the shelf
          </Button>
        </>
      )}
    </Panel>
  );
}
