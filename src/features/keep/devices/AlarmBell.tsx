'use client';

import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSnackbar } from 'notistack';
import { useEffect, useMemo, useRef } from 'react';
import { isQuiet } from '@/core/readings';
import { useDesigns, useStore } from '@/store';
import { useReader } from '@/ui/units';
import { readingWords } from '@/ui/readingWords';
import { useAlarms } from '../useAlarms';

/** Says so, wherever one is in Rincon, when a joined box leaves its band; never in the quiet hours. */
export function AlarmBell() {
  const { settings } = useStore();
  const designs = useDesigns();
  const { enqueueSnackbar } = useSnackbar();
  const reader = useReader();
  const router = useRouter();
  const heard = useMemo(
    () =>
      designs?.flatMap((it) =>
        it.state === 'ready' && settings.joined.includes(it.row.id) ? [it.row.design] : [],
      ),
    [designs, settings.joined],
  );
  const standing = useAlarms(heard);
  const told = useRef(new Set<string>());
  useEffect(() => {
    if (isQuiet(new Date().getHours(), settings.quiet)) return;
    for (const { design, series, alarm } of standing ?? []) {
      const key = alarm && `${alarm.series} ${alarm.from}`;
      if (!alarm || key === null || told.current.has(key)) continue;
      told.current.add(key);
      enqueueSnackbar(
        `${design.name}: ${series.name} ${alarm.side === 'low' ? 'too low' : 'too high'}, ${readingWords(alarm.worst, series.quantity, reader)}.`,
        {
          preventDuplicate: true,
          action: (
            <Button color="inherit" onClick={() => router.push(`/e/${design.id}/keep?tab=off`)}>
              Why
            </Button>
          ),
        },
      );
    }
  }, [standing, settings.quiet, enqueueSnackbar, reader, router]);
  return null;
}
