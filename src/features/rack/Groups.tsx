'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useDeferredValue, useMemo } from 'react';
import { useStore } from '@/store';
import { movedBefore, type RackGroup, type RackRow } from './arranged';
import { Card } from './Card';
import { dueWords } from './dueWords';
import { RACK_GRID } from './RackSkeleton';
import type { useCardActions } from './useCardActions';

const RackList = dynamic(() => import('./RackList').then((it) => it.RackList));

/** Cards that stand at once; the others follow between frames. */
const AT_ONCE = 12;

interface Props {
  readonly groups: readonly RackGroup[];
  readonly as: 'cards' | 'list';
  readonly actions: ReturnType<typeof useCardActions>;
  readonly chosen: ReadonlySet<string> | null;
  readonly onToggle: (id: string) => void;
  /** Takes the ids in their new order; left out: the rack is in no order of its keeper's own. */
  readonly onOrder?: ((ids: readonly string[]) => void) | undefined;
}

/** The rack's enclosures by groups, as cards or as a list. */
export function Groups({ groups, as, actions, chosen, onToggle, onOrder }: Props) {
  const ids = useMemo(() => groups.flatMap((it) => it.rows.map((row) => row.design.id)), [groups]);
  const onMove = useCallback(
    (id: string, by: number): void => onOrder?.(movedBefore(ids, id, ids.indexOf(id) + by)),
    [ids, onOrder],
  );
  const onPut = useCallback(
    (id: string, before: string): void => {
      if (id === before || !ids.includes(id)) return;
      const rest = ids.filter((it) => it !== id);
      onOrder?.(movedBefore(ids, id, rest.indexOf(before)));
    },
    [ids, onOrder],
  );
  const moving = onOrder ? { onMove, onPut } : {};
  return groups.map(({ title, rows }) => (
    <Box key={title} component={title === '' ? 'div' : 'section'} aria-label={title || undefined}>
      {title !== '' && (
        <Typography variant="h2" sx={{ mt: 2.5, mb: 1 }}>
          {title}{' '}
          <Box component="span" sx={{ color: 'earth.quiet', fontWeight: 400 }}>
            {rows.length}
          </Box>
        </Typography>
      )}
      {as === 'list' ? (
        <RackList
          label={title === '' ? 'Enclosures' : `Enclosures, ${title}`}
          rows={rows}
          chosen={chosen}
          onToggle={onToggle}
        />
      ) : (
        <Cards rows={rows} {...{ actions, chosen, onToggle, moving }} />
      )}
    </Box>
  ));
}

interface CardsProps extends Pick<Props, 'actions' | 'chosen' | 'onToggle'> {
  readonly rows: readonly RackRow[];
  readonly moving: Pick<Parameters<typeof Card>[0], 'onMove' | 'onPut'>;
}

function Cards({ rows, actions, chosen, onToggle, moving }: CardsProps) {
  const { catalogue } = useStore();
  const shown = useDeferredValue(rows, rows.slice(0, AT_ONCE));
  return (
    <Box component="ul" sx={RACK_GRID}>
      {shown.map(({ design, due }) => (
        <Card
          key={design.id}
          design={design}
          catalogue={catalogue}
          due={dueWords(due)}
          isLate={(due?.late ?? 0) > 0}
          isChosen={chosen === null ? null : chosen.has(design.id)}
          onToggle={onToggle}
          {...actions}
          {...moving}
        />
      ))}
    </Box>
  );
}
