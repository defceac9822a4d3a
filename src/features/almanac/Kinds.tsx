'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useRow } from '@/ui/useRow';
import { useMemo, useState, type ReactNode } from 'react';
import { catalogue as shipped } from '@/catalogue';
import { asLike, ScientificName, type Animal, type CrewKind, type Plant } from '@/core/catalogue';
import { capital } from '@/core/units';
import { useOtherNames, useOwn, useStore } from '@/store';
import { LineField } from '@/ui/fields/PlainFields';
import { freshId } from '@/ui/freshId';
import { OwnRowActions } from '@/ui/OwnRowActions';
import { DetailCard, ListDetail } from '@/ui/shell/ListDetail';

interface Rows {
  readonly animals: Animal;
  readonly plants: Plant;
  readonly crew: CrewKind;
}
export type Named = keyof Rows;

/** Changes an own row as it stands at that moment. */
export type Alter<K extends Named> = (how: (now: Rows[K]) => Partial<Rows[K]>) => void;

interface Props<K extends Named> {
  readonly kind: K;
  readonly label: string;
  readonly rows: readonly Rows[K][];
  /** A scientific name as it should be written. */
  readonly example: string;
  readonly children: (row: Rows[K], own: boolean, alter: Alter<K>) => ReactNode;
}

/** A list of living kinds and what is known of the one that is picked; one’s own are made from a likeness. */
export function Kinds<K extends Named>({ kind, label, rows: given, example, children }: Props<K>) {
  // Crew stands by its groups, as the catalogue has it.
  const rows = useMemo(
    () => (kind === 'crew' ? given : [...given].sort((a, b) => a.english.localeCompare(b.english))),
    [kind, given],
  );
  const { settings } = useStore();
  const [seeking, setSeeking] = useState(false);
  const otherNames = useOtherNames(seeking);
  const { save, change, remove } = useOwn();
  const [selected, setSelected] = useRow(rows);
  const row = rows.find((it) => it.id === selected) ?? rows[0];
  const mine = new Set(settings[kind].map((it) => it.id));
  const own = row !== undefined && mine.has(row.id);
  const alter: Alter<K> = (how) => {
    if (row) void change(kind, row, (now) => ({ ...now, ...how(now as Rows[K]) }));
  };
  const name = (parts: { readonly english?: string; readonly scientific?: string }): void =>
    alter(() => parts as Partial<Rows[K]>);
  const ships =
    kind === 'animals' ? shipped.animals : kind === 'plants' ? shipped.living.plants : shipped.living.crew;
  return (
    <ListDetail
      label={label}
      items={rows.map((it) => ({
        id: it.id,
        name: capital(it.english),
        hint: it.scientific,
        also: otherNames(it.id),
        own: mine.has(it.id),
      }))}
      selected={row?.id ?? null}
      onSelect={setSelected}
      onSeek={() => setSeeking(true)}
    >
      {row && (
        <DetailCard key={row.id} label={row.english}>
          <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, mb: 1.5 }}>
            <Box sx={{ flex: 1 }}>
              {own ? (
                <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
                  <LineField
                    key={row.english}
                    label="English name"
                    value={row.english}
                    onCommit={(english) => name({ english: english.slice(0, 80) })}
                  />
                  <LineField
                    key={row.scientific}
                    label="Scientific name"
                    value={row.scientific}
                    check={(text) =>
                      ScientificName.safeParse(text).success ? undefined : `Genus and species: ${example}.`
                    }
                    onCommit={(scientific) => name({ scientific })}
                  />
                </Box>
              ) : (
                <>
                  <Typography variant="h2">{capital(row.english)}</Typography>
                  <Typography variant="body2" sx={{ fontStyle: 'italic', color: 'earth.quiet' }}>
                    {row.scientific}
                  </Typography>
                </>
              )}
            </Box>
            <OwnRowActions
              name={row.english}
              own={own}
              ships={ships.some((it) => it.id === row.id)}
              onChange={() => alter(() => ({}))}
              onLike={() => {
                const id = freshId(`${row.id}-own`, rows);
                void save(kind, { ...asLike(row, row.scientific), id, english: `Like ${row.english}` }).then(
                  () => setSelected(id),
                );
              }}
              onTakeOut={() => remove(kind, row.id)}
              onUndo={() => void save(kind, row)}
              onGone={() => setSelected(rows[0]?.id ?? '')}
            />
          </Box>
          {children(row, own, alter)}
        </DetailCard>
      )}
    </ListDetail>
  );
}
