'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useMemo, useState } from 'react';
import type { CrewKind } from '@/core/catalogue';
import { cultureOf } from '@/core/living';
import { capital, counted } from '@/core/units';
import { useDesigns, useStore } from '@/store';
import { NumberField } from '@/ui/fields/PlainFields';
import { QuantityField } from '@/ui/fields/QuantityField';
import { TableCard } from '@/ui/TableCard';
import { daysWord } from '@/ui/days';

/** Tubs beside the boxes: whether they cover all boxes that still wait for their crew, and when to begin. */
export function Cultures({
  crew,
}: {
  readonly crew: readonly { readonly kind: CrewKind; readonly count: number }[];
}) {
  const { catalogue } = useStore();
  const designs = useDesigns();
  const [tubs, setTubs] = useState(1);
  const [weeks, setWeeks] = useState(10);
  const [floor, setFloor] = useState(0.04);
  const [warmth, setWarmth] = useState(24);
  const rows = useMemo(() => {
    const wanted = new Map<string, { kind: CrewKind; count: number; boxes: number }>();
    for (const { kind } of crew) wanted.set(kind.id, { kind, count: 0, boxes: 0 });
    for (const it of designs ?? []) {
      if (it.state !== 'ready') continue;
      for (const own of it.row.design.living.crew) {
        if (own.on !== null) continue;
        const kind = catalogue.living.crew.find((row) => row.id === own.kind);
        if (!kind) continue;
        const row = wanted.get(kind.id) ?? { kind, count: 0, boxes: 0 };
        row.count += own.count;
        row.boxes += 1;
        wanted.set(kind.id, row);
      }
    }
    return [...wanted.values()]
      .filter((it) => it.count > 0)
      .map((it) => ({
        ...it,
        answer: cultureOf({
          kind: it.kind,
          start: Math.min(it.kind.culture.value, Math.max(10, it.kind.crowd.value * floor * 0.1)),
          floor,
          tubs,
          temperature: warmth,
          wanted: it.count,
          days: weeks * 7,
        }),
      }));
  }, [crew, designs, catalogue, floor, tubs, warmth, weeks]);
  if (rows.length === 0) return null;
  return (
    <Box component="section" aria-label="Cultures">
      <Typography variant="h3" component="h2" sx={{ mb: 0.75 }}>
        Cultures beside the enclosures
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mb: 1 }}>
        <NumberField
          key={`t${tubs}`}
          label="Tubs of each"
          value={tubs}
          min={1}
          max={40}
          onCommit={setTubs}
          sx={{ width: 110 }}
        />
        <NumberField
          key={`w${weeks}`}
          label="Wanted in, weeks"
          value={weeks}
          min={1}
          max={100}
          onCommit={setWeeks}
          sx={{ width: 130 }}
        />
        <QuantityField
          label="Floor of a tub"
          measure="patch"
          value={floor}
          min={0.005}
          max={0.5}
          step={0.005}
          onCommit={setFloor}
          sx={{ width: 150 }}
        />
        <QuantityField
          label="Kept at"
          measure="temperature"
          value={warmth}
          min={10}
          max={34}
          step={1}
          onCommit={setWarmth}
          sx={{ width: 110 }}
        />
      </Box>
      <TableCard label="Crew cultures">
        <thead>
          <tr>
            <th>Species</th>
            <th className="number">Wanted</th>
            <th className="number">To take</th>
            <th>Enough</th>
            <th>Start</th>
            <th>Split</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ kind, count, boxes, answer }) => (
            <tr key={kind.id}>
              <td>{capital(kind.english)}</td>
              <td className="number">
                {count}, {counted(boxes, 'enclosure')}
              </td>
              <td className="number">{Math.floor(answer.toTake)}</td>
              <td>
                {answer.covers
                  ? 'yes'
                  : answer.tubsNeeded === null
                    ? 'never'
                    : `no: ${counted(answer.tubsNeeded, 'tub')}`}
              </td>
              <td>{answer.startBefore === null ? 'more tubs' : `${daysWord(answer.startBefore)} ahead`}</td>
              <td>{answer.split === null ? '–' : `after ${daysWord(answer.split)}`}</td>
            </tr>
          ))}
        </tbody>
      </TableCard>
      <Typography variant="body2" sx={{ mt: 1 }}>
        <Link component={NextLink} href="/stores?tab=cultures">
          Cultures that are kept, and feeders
        </Link>
      </Typography>
    </Box>
  );
}
