'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { catalogue as shipped } from '@/catalogue';
import { ScientificName, type CrewKind } from '@/core/catalogue';
import { useOwn, useStore } from '@/store';
import { LineField } from '@/ui/fields/PlainFields';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';
import { chainOf, growthRate } from '@/core/living';
import { temperature } from '@/core/units';
import { useReader } from '@/ui/units';
import { Count, Line, mineOf, Part, Pick, Single, Span } from './fields';
import { REGION_WORD } from '@/ui/words';

const HABIT_WORD: Record<CrewKind['habit']['value'], string> = {
  soil: 'the soil',
  litter: 'the litter',
  wood: 'wood',
  surface: 'the surface',
};

/** Days in which it doubles when all is well: from its own days and young. */
function doubles(row: CrewKind): string {
  const rate = growthRate(chainOf(row));
  return rate > 1.0005 ? `${Math.round(Math.log(2) / Math.log(rate))} days` : 'never';
}

/** Crew: how each kind lives, breeds and eats, and where every value comes from. */
export function Crew() {
  const { catalogue, settings } = useStore();
  const { save } = useOwn();
  const all = catalogue.living.crew;
  const [selected, setSelected] = useState<string>(all[0]?.id ?? '');
  const row = all.find((it) => it.id === selected) ?? all[0];
  const mine = new Set(settings.crew.map((it) => it.id));
  return (
    <ListDetail
      label="Crew"
      items={all.map((it) => ({
        id: it.id,
        name: it.english.charAt(0).toUpperCase() + it.english.slice(1),
        hint: it.scientific,
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
            const taken = new Set(all.map((it) => it.id));
            let id = `${row.id}-own`;
            for (let count = 2; taken.has(id); count += 1) id = `${row.id}-own-${count}`;
            void save('crew', { ...row, id, english: `Kind like ${row.english}` }).then(() =>
              setSelected(id),
            );
          }}
          onGone={() => setSelected(all[0]?.id ?? '')}
        />
      )}
    </ListDetail>
  );
}

interface DetailProps {
  readonly row: CrewKind;
  readonly own: boolean;
  readonly onLike: () => void;
  readonly onGone: () => void;
}

function Detail({ row, own, onLike, onGone }: DetailProps) {
  const { save, change, remove } = useOwn();
  const { write } = useReader();
  const put = (parts: Partial<CrewKind>): void => void change('crew', row, (now) => ({ ...now, ...parts }));
  return (
    <DetailCard label={row.english}>
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, mb: 1.5 }}>
        <Box sx={{ flex: 1 }}>
          {own ? (
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
              <LineField
                key={row.english}
                label="English name"
                value={row.english}
                onCommit={(english) => put({ english: english.slice(0, 80) })}
              />
              <LineField
                key={row.scientific}
                label="Scientific name"
                value={row.scientific}
                check={(text) =>
                  ScientificName.safeParse(text).success
                    ? undefined
                    : 'Genus and species, as in Porcellio scaber.'
                }
                onCommit={(scientific) => put({ scientific })}
              />
            </Box>
          ) : (
            <>
              <Typography variant="h2">{row.english}</Typography>
              <Typography variant="body2" sx={{ fontStyle: 'italic', color: 'earth.quiet' }}>
                {row.scientific}
              </Typography>
            </>
          )}
        </Box>
        <OwnRowActions
          name={row.english}
          own={own}
          ships={shipped.living.crew.some((it) => it.id === row.id)}
          onChange={() => put({})}
          onLike={onLike}
          onTakeOut={() => remove('crew', row.id)}
          onUndo={() => void save('crew', row)}
          onGone={onGone}
        />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { lg: '1fr 1fr' }, columnGap: 3 }}>
        <Box>
          <Part>How it lives</Part>
          <Line label="Group">{row.group}</Line>
          <Pick
            label="Keeps to"
            of={row.habit}
            words={HABIT_WORD}
            own={own}
            onPick={(habit) => put({ habit: mineOf(habit) })}
          />
          <Single
            label="Size"
            measure="length"
            of={row.size}
            max={0.3}
            own={own}
            onPut={(size) => put({ size })}
          />
          <Line label="Temperature, best in the middle" of={row.temperature}>
            {[row.temperature.value.low, row.temperature.value.best]
              .map((it) => write(temperature(it), { bare: true }))
              .join(' · ')}{' '}
            · {write(temperature(row.temperature.value.high))}
          </Line>
          <Span
            label="Water in the soil’s pores"
            measure="percent"
            of={row.wetness}
            max={1}
            own={own}
            onPut={(wetness) => put({ wetness })}
          />
          <Single
            label="Depth of soil"
            measure="length"
            of={row.depth}
            min={0.001}
            max={1}
            own={own}
            onPut={(depth) => put({ depth })}
          />
          <Count
            label="Most on a m²"
            unit="adults"
            of={row.crowd}
            min={1}
            max={1_000_000}
            own={own}
            onPut={(crowd) => put({ crowd })}
          />
          <Count
            label="To begin with on a m²"
            unit="adults"
            of={row.start}
            max={1_000_000}
            own={own}
            onPut={(start) => put({ start })}
          />
          <Line label="From" of={row.region}>
            {REGION_WORD[row.region.value]}
          </Line>
        </Box>
        <Box>
          <Part>How it breeds and eats</Part>
          <Count
            label="Days as an egg"
            unit="days"
            of={row.eggDays}
            max={400}
            own={own}
            onPut={(it) => put({ eggDays: { ...it, value: Math.round(it.value) } })}
          />
          <Count
            label="Until it breeds"
            unit="days"
            of={row.youngDays}
            min={1}
            max={1500}
            own={own}
            onPut={(it) => put({ youngDays: { ...it, value: Math.round(it.value) } })}
          />
          <Count
            label="Then lives"
            unit="days"
            of={row.adultDays}
            min={1}
            max={5000}
            own={own}
            onPut={(adultDays) => put({ adultDays })}
          />
          <Count
            label="Young of one adult a day"
            unit=""
            of={row.bears}
            min={0.001}
            max={100}
            step={0.1}
            own={own}
            onPut={(bears) => put({ bears })}
          />
          <Line label="Doubles in">{doubles(row)}</Line>
          <Line label="Eats" of={row.diet}>
            {[
              ['litter', row.diet.value.litter],
              ['droppings', row.diet.value.waste],
              ['mould', row.diet.value.mould],
            ]
              .filter(([, part]) => Number(part) > 0)
              .map(([name, part]) => `${name} ${Math.round(Number(part) * 100)} %`)
              .join(', ')}
          </Line>
          <Part>To know</Part>
          <Typography variant="body2">
            {[
              row.wanted ? '' : 'Not wanted: it comes with plants and eats them.',
              row.protein ? 'Nibbles soft plants and moulting animals when protein is short.' : '',
              row.climbs ? 'Climbs glass.' : '',
              row.escapes ? 'Gets out of open boxes.' : '',
              row.air ? 'Dwindles in still air.' : '',
            ]
              .filter(Boolean)
              .join(' ') || 'Nothing special.'}{' '}
            Never release it outside.
          </Typography>
        </Box>
      </Box>
    </DetailCard>
  );
}
