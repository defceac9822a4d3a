'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useState } from 'react';
import { counted } from '@/core/units';
import { boxPriceKey, useOpenDesign, useQuote, useSetPrice, useStore } from '@/store';
import { CurrencyChoice } from '@/ui/CurrencyChoice';
import { LineField, NumberField } from '@/ui/fields/PlainFields';
import { TableCard } from '@/ui/TableCard';
import { useReader } from '@/ui/units';
import { useToday } from '@/ui/useToday';
import { VerdictMark } from '@/ui/VerdictMark';
import { useOpenVerdict } from '@/workers/useOpenVerdict';

/** Enclosures of one design that are priced together. */
const MOST = 100;

/** What is asked for when it is made for somebody else: goods, the enclosure, work, margin, a tax by its name. */
export function ChargeTab() {
  const { settings, set } = useStore();
  const { design } = useOpenDesign();
  const { money, num, locale } = useReader();
  const setPrice = useSetPrice();
  const today = useToday();
  const { verdict } = useOpenVerdict();
  const [count, setCount] = useState(1);
  const { quote, minutes, box } = useQuote(count, today);
  const { terms, currency } = settings;
  const change = (part: Partial<typeof terms>): void => void set('terms', { ...terms, ...part });
  const share = (value: number): string => `${num(Math.round(value * 1000) / 10)} %`;
  const rows: readonly (readonly [string, string, number])[] = [
    ['Goods, in whole packs', `${share(settings.spare)} to spare; nothing off your shelf`, quote.goods],
    [
      count === 1 ? 'The enclosure itself' : `The enclosures themselves, ${count}`,
      box === null ? 'its price is not told' : `${money(box)} each`,
      quote.boxes,
    ],
    [
      'Work',
      terms.rate === 0
        ? `${num(Math.round(quote.hours * 10) / 10)} h, and no rate told`
        : `${num(Math.round(quote.hours * 10) / 10)} h at ${money(terms.rate)}`,
      quote.work,
    ],
    ['Margin', share(terms.margin), quote.margin],
    ['Rounding', terms.roundTo === 0 ? 'none' : `each up to ${money(terms.roundTo)}`, quote.rounding],
  ];
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '300px minmax(0, 1fr)' },
        gap: 3,
      }}
    >
      <Box component="section" aria-label="Terms" sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
        <Box sx={{ display: 'flex', gap: 1.25 }}>
          <NumberField
            key={`count ${count}`}
            label="How many of it"
            value={count}
            min={1}
            max={MOST}
            onCommit={(it) => setCount(Math.round(it))}
            sx={{ flex: 1 }}
          />
          <CurrencyChoice value={currency} locale={locale} onChange={(it) => void set('currency', it)} />
        </Box>
        <NumberField
          key={`box ${box ?? ''}`}
          label="The bare enclosure, each"
          value={box ?? 0}
          min={0}
          max={1e6}
          step={10}
          onCommit={(it) => setPrice(boxPriceKey(design.id), it === 0 ? null : it)}
        />
        <NumberField
          key={`rate ${terms.rate}`}
          label="For an hour of work"
          value={terms.rate}
          min={0}
          max={10_000}
          step={5}
          onCommit={(rate) => change({ rate })}
        />
        <NumberField
          key={`margin ${terms.margin}`}
          label="Margin on all of it, %"
          value={Math.round(terms.margin * 1000) / 10}
          min={0}
          max={1000}
          step={5}
          onCommit={(it) => change({ margin: it / 100 })}
        />
        <NumberField
          key={`round ${terms.roundTo}`}
          label="Each rounded up to a multiple of"
          value={terms.roundTo}
          min={0}
          max={1000}
          onCommit={(roundTo) => change({ roundTo })}
        />
        <Box sx={{ display: 'flex', gap: 1.25 }}>
          <LineField
            key={`name ${terms.tax?.name ?? ''}`}
            label="A tax, by its name"
            optional
            value={terms.tax?.name ?? ''}
            onCommit={(name) =>
              change({ tax: name === '' ? null : { name: name.slice(0, 40), share: terms.tax?.share ?? 0 } })
            }
            sx={{ flex: 1 }}
          />
          {terms.tax && (
            <NumberField
              key={`share ${terms.tax.share}`}
              label="Its share, %"
              value={Math.round(terms.tax.share * 1e4) / 100}
              min={0}
              max={100}
              onCommit={(it) => change({ tax: terms.tax && { ...terms.tax, share: it / 100 } })}
              sx={{ width: 92 }}
            />
          )}
        </Box>
        <Typography variant="body2" sx={{ color: 'earth.quiet' }}>
          Which tax applies to you, and how much, your tax office says: Rincon only adds the line you name.
          Hours are what such steps commonly take.
        </Typography>
      </Box>
      <Box>
        <Typography variant="h2" component="p" sx={{ mb: 1 }} role="status">
          {count === 1
            ? `${money(quote.total)} to charge`
            : `${money(quote.total)} to charge for ${counted(count, 'enclosure')}`}
        </Typography>
        <TableCard label="What it comes to">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">How</th>
              <th scope="col" className="number">
                together
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([what, how, price]) => (
              <tr key={what}>
                <td style={{ fontWeight: 600 }}>{what}</td>
                <td style={{ whiteSpace: 'normal' }}>{how}</td>
                <td className="number">{money(price)}</td>
              </tr>
            ))}
            <tr>
              <td style={{ fontWeight: 650 }}>{terms.tax ? 'Before tax' : 'To charge'}</td>
              <td>{count === 1 ? '' : `${money(quote.each)} each`}</td>
              <td className="number" style={{ fontWeight: 650 }}>
                {money(quote.net)}
              </td>
            </tr>
            {terms.tax && (
              <>
                <tr>
                  <td style={{ fontWeight: 600 }}>{terms.tax.name}</td>
                  <td>{share(terms.tax.share)}</td>
                  <td className="number">{money(quote.tax)}</td>
                </tr>
                <tr>
                  <td style={{ fontWeight: 650 }}>To charge</td>
                  <td />
                  <td className="number" style={{ fontWeight: 650 }}>
                    {money(quote.total)}
                  </td>
                </tr>
              </>
            )}
          </tbody>
        </TableCard>
        <Typography variant="body2" sx={{ color: 'earth.quiet', mt: 1 }}>
          {num(Math.round(minutes / 6) / 10)} h of work on each by its plan. What several of one design leave
          over of packs and rolls is shared.
        </Typography>
        {/* What does not hold is not to be sold. */}
        <Box sx={{ mt: 2 }}>
          <VerdictMark state={verdict} full />
        </Box>
        <Button
          component={NextLink}
          href={`/e/${design.id}/sheets?sheet=quote&of=${count}`}
          variant="outlined"
          sx={{ mt: 1.5 }}
        >
          Write a quote
        </Button>
      </Box>
    </Box>
  );
}
