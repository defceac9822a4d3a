'use client';

import Box from '@mui/material/Box';
import { useSearchParams } from 'next/navigation';
import { dayPlus } from '@/core/time';
import { findAnimal, findDeviceKind, findPieceKind, findPlant, type Catalogue } from '@/core/catalogue';
import type { Design } from '@/core/document';
import { capital, counted, length } from '@/core/units';
import { useOpenDesign, useQuote, useStore } from '@/store';
import { dayWords } from '@/ui/days';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { useReader } from '@/ui/units';
import { useDraft } from '@/ui/useDraft';
import { useToday } from '@/ui/useToday';
import { animalsWord, layerName } from '@/ui/words';
import { Blank, Paper } from './Paper';

/** Days a quote stands, where nothing else is said. */
const STANDS = 30;

/** Things by what they are, each with how many there are of it. */
function countedBy(names: readonly string[]): readonly string[] {
  const many = new Map<string, number>();
  for (const it of names) many.set(it, (many.get(it) ?? 0) + 1);
  return [...many].map(([name, count]) => (count === 1 ? name : `${count} × ${name}`));
}

/** What is in it, in words for who pays for it. */
function contents(design: Design, catalogue: Catalogue): readonly (readonly [string, string])[] {
  const { ground, scape, climate, living } = design;
  const parts: readonly (readonly [string, readonly string[]])[] = [
    ['Ground', countedBy(ground.layers.map((it) => layerName(it, catalogue)))],
    ['Hardscape', countedBy(scape.pieces.map((it) => findPieceKind(catalogue, it.kind)?.name ?? it.kind))],
    [
      'Equipment',
      countedBy(climate.devices.map((it) => findDeviceKind(catalogue, it.kind)?.name ?? it.kind)),
    ],
    ['Plants', countedBy(living.plants.map((it) => findPlant(catalogue, it.kind)?.english ?? it.name))],
  ];
  return parts.flatMap(([what, names]) => (names.length > 0 ? [[what, names.join('; ')] as const] : []));
}

/** A quote: what is made, for whom, for how much and until when it stands. Cost and margin are not on it. */
export function QuoteSheet() {
  const { catalogue, settings, set } = useStore();
  const { design } = useOpenDesign();
  const { write, money } = useReader();
  const today = useToday();
  const asked = Number(useSearchParams().get('of'));
  const [many, setMany] = useDraft(`quote of ${design.id}`);
  const [customer, setCustomer] = useDraft(`quote for ${design.id}`);
  const [number, setNumber] = useDraft(`quote number ${design.id}`);
  const count = Math.min(100, Math.max(1, Math.round(Number(many) || asked || 1)));
  const { quote, box } = useQuote(count, today);
  const { maker, terms } = settings;
  const { width, depth, height, material } = design.enclosure;
  const animal = findAnimal(catalogue, design.brief.animal);
  const size = `${write(length(width), { bare: true, trim: true })} × ${write(length(depth), { bare: true, trim: true })} × ${write(length(height), { trim: true })}`;
  return (
    <>
      <Box
        className="no-print"
        role="group"
        aria-label="On the quote"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mb: 1.5 }}
      >
        <LineField
          key={`maker ${maker.name}`}
          label="Your name"
          optional
          value={maker.name}
          onCommit={(name) => void set('maker', { ...maker, name: name.slice(0, 80) })}
          sx={{ flex: '1 1 130px' }}
        />
        <LineField
          key={`lines ${maker.lines}`}
          label="Address and how you are reached"
          optional
          multiline
          value={maker.lines}
          onCommit={(lines) => void set('maker', { ...maker, lines: lines.slice(0, 400) })}
          sx={{ flex: '2 1 210px' }}
        />
        <LineField
          key={`for ${customer}`}
          label="For whom"
          optional
          multiline
          value={customer}
          onCommit={(it) => setCustomer(it.slice(0, 400))}
          sx={{ flex: '2 1 170px' }}
        />
        <LineField
          key={`number ${number}`}
          label="Number"
          optional
          value={number}
          onCommit={(it) => setNumber(it.slice(0, 40))}
          sx={{ width: 100 }}
        />
        <NumberField
          key={`of ${count}`}
          label="How many"
          value={count}
          min={1}
          max={100}
          onCommit={(it) => setMany(String(Math.round(it)))}
          sx={{ width: 104 }}
        />
      </Box>
      <Paper
        kicker={number === '' ? 'Quote' : `Quote ${number}`}
        title={count === 1 ? design.name : `${count} × ${design.name}`}
        code={null}
        lines={[
          `${dayWords(today)}. It stands until ${dayWords(dayPlus(today, STANDS))}.`,
          ...(maker.name === '' ? [] : [`From ${maker.name}`]),
          ...maker.lines.split('\n').filter((it) => it.trim() !== ''),
        ]}
      >
        {customer !== '' && (
          <>
            <h3>For</h3>
            {customer.split('\n').map((it, at) => (
              <div key={`${at} ${it}`}>{it}</div>
            ))}
          </>
        )}
        <h3>What is made</h3>
        <div>
          An enclosure of {material}, {size} inside,{' '}
          {animal
            ? `laid out for ${animalsWord(design.brief.count, animal.english)} (${animal.scientific})`
            : 'laid out as drawn'}
          {box === null ? '; the bare enclosure is not part of it' : ''}. No animal is part of it.
        </div>
        <table style={{ marginTop: 8 }}>
          <tbody>
            {contents(design, catalogue).map(([what, names]) => (
              <tr key={what}>
                <td style={{ fontWeight: 600, width: '20%' }}>{what}</td>
                <td>{capital(names)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <h3>Price</h3>
        <table>
          <tbody>
            <tr>
              <td>
                {count === 1
                  ? 'Goods and work'
                  : `${counted(count, 'enclosure')}, goods and work, ${money(quote.each)} each`}
              </td>
              <td className="number">{money(quote.net)}</td>
            </tr>
            {terms.tax && (
              <tr>
                <td>
                  {terms.tax.name}, {Math.round(terms.tax.share * 1e4) / 100} %
                </td>
                <td className="number">{money(quote.tax)}</td>
              </tr>
            )}
            <tr>
              <td style={{ fontWeight: 700 }}>Together</td>
              <td className="number" style={{ fontWeight: 700 }}>
                {money(quote.total)}
              </td>
            </tr>
          </tbody>
        </table>
        <h3>Agreed</h3>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4, mt: 2 }}>
          <Blank label="Day and place" />
          <Blank label="Signed" />
        </Box>
      </Paper>
    </>
  );
}
