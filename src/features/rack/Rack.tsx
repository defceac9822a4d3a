'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import NextLink from 'next/link';
import { useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { Design } from '@/core/document';
import { layDemo, loadDemo, storageTrouble, useDesigns, useStore, type Loaded } from '@/store';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { useReader } from '@/ui/units';
import { useLater } from '@/ui/useLater';
import { OUTER_PLACES } from '@/ui/words';
import { onVerdicts, verdictsOpen } from '@/workers/verdicts';
import { arranged, type Wanted } from './arranged';
import { Broken } from './Broken';
import { Groups } from './Groups';
import { LookList } from './LookList';
import { CardsSkeleton } from './RackSkeleton';
import { useCardActions } from './useCardActions';
import { useChosen, useOwnOrder, useRackView } from './useRackView';
import { useNear, useRows } from './useRows';

/** What stands over the cards comes after them, in a place that is kept for it. */
const BAR_HEIGHT = { xs: 120, sm: 40 };
const RackBar = dynamic(() => import('./RackBar').then((it) => it.RackBar), {
  loading: () => <Box sx={{ height: BAR_HEIGHT, mb: 1.75 }} />,
});
const ChosenBar = dynamic(() => import('./ChosenBar').then((it) => it.ChosenBar));

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];

interface Props {
  readonly tools: ReactNode;
  /** Shown under the cards: when a copy was last saved. */
  readonly keeping: ReactNode;
}

/** How many years are still to be played. */
function Progress() {
  const open = useSyncExternalStore(onVerdicts, verdictsOpen, () => 0);
  return open === 0 ? null : (
    <Typography variant="body2" role="status" sx={{ color: 'earth.quiet' }}>
      {open === 1 ? 'One is being calculated' : `${open} are being calculated`}
    </Typography>
  );
}

const isAway = (it: Loaded): boolean => it.state === 'ready' && it.row.design.brief.putAway;

/** Enclosures up to which a rack is seen at a glance, without anything to look for them by. */
const FEW = 3;
const SEEN_AT_ONCE: Wanted = { text: '', sort: 'name', group: 'none', only: 'all', order: [] };

/** What stands on the rack, with the ways to look for it and to put it in order. */
function Enclosures({ designs }: { readonly designs: readonly Design[] }) {
  const actions = useCardActions();
  const [view, change] = useRackView();
  const { chosen, setChosen, toggle } = useChosen();
  const { locale } = useReader();
  const rows = useRows(designs, view.text !== '');
  const near = useNear(view.text !== '');
  const isMany = designs.length > FEW;
  const groups = useMemo(
    () => arranged(rows, isMany ? view : SEEN_AT_ONCE, locale, near),
    // What it is sorted by, word for word: the view itself is another one at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [rows, isMany, view.text, view.only, view.sort, view.group, view.order, locale, near],
  );
  const shown = groups.flatMap((it) => it.rows.map((own) => own.design));
  const isOwnOrder =
    isMany && view.sort === 'own' && view.group === 'none' && shown.length === designs.length;
  const onOrder = useOwnOrder();
  return (
    <>
      {isMany && (
        <RackBar
          view={view}
          onChange={change}
          said={
            shown.length === designs.length
              ? isOwnOrder
                ? 'Drag a card to its place, or move it by its menu.'
                : ''
              : shown.length === 0
                ? 'Nothing on the rack is like that.'
                : `${shown.length} of ${designs.length} shown`
          }
          isChoosing={chosen !== null}
          onChoose={() => setChosen(chosen === null ? new Set() : null)}
        />
      )}
      {shown.length === 0 && designs.length > 0 && (
        <Button variant="outlined" onClick={() => change({ text: '', only: 'all' })}>
          {`Show all ${designs.length}`}
        </Button>
      )}
      <Groups
        groups={groups}
        as={isMany ? view.as : 'cards'}
        actions={actions}
        chosen={chosen}
        onToggle={toggle}
        onOrder={isOwnOrder ? onOrder : undefined}
      />
      {chosen !== null && (
        <ChosenBar
          chosen={designs.filter((it) => chosen.has(it.id))}
          shown={shown.length}
          onAll={() => setChosen(new Set(shown.map((it) => it.id)))}
          onDone={() => setChosen(null)}
        />
      )}
    </>
  );
}

/** All enclosures at a glance. */
export function Rack({ tools, keeping }: Props) {
  const { db, catalogue } = useStore();
  const later = useLater();
  const everything = useDesigns();
  const [away, setAway] = useState(false);
  const loaded = useMemo(() => everything?.filter((it) => isAway(it) === away), [everything, away]);
  const ready = useMemo(
    () => loaded?.flatMap((it) => (it.state === 'ready' ? [it.row.design] : [])) ?? [],
    [loaded],
  );
  const others = (everything?.length ?? 0) - (loaded?.length ?? 0);

  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <TopBar places={OUTER_PLACES('/')} tools={tools} />
      <Box component="main" sx={{ px: 2.5, py: 2.25, maxWidth: 1680, mx: 'auto' }}>
        {loaded === undefined ? (
          <CardsSkeleton />
        ) : loaded.length === 0 && others === 0 ? (
          <Message
            title="The rack is empty"
            actions={
              <>
                <Button component={NextLink} href="/new" variant="contained">
                  New enclosure
                </Button>
                <Button component={NextLink} href="/new/standing" variant="outlined">
                  It stands already
                </Button>
                <Button
                  variant="outlined"
                  onClick={() =>
                    void later(loadDemo, (it) =>
                      layDemo(db, it).catch((error: unknown) => {
                        throw new Error(storageTrouble(error));
                      }),
                    )
                  }
                >
                  Lay out the demo nature room
                </Button>
              </>
            }
          >
            Three answers make a first design: what lives there, how large the enclosure is, how the room is.
            “Do not know yet” is an answer. Everything stays in this browser until you export it.
          </Message>
        ) : (
          <>
            <Box
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                alignItems: 'baseline',
                columnGap: 2,
                rowGap: 1,
                mb: 1.75,
              }}
            >
              <Typography variant="h1" component="h1">
                {NUMBERS[loaded.length] ?? loaded.length} {loaded.length === 1 ? 'enclosure' : 'enclosures'}
                {away ? ' archived' : ''}
              </Typography>
              {(others > 0 || away) && (
                <Link
                  component="button"
                  type="button"
                  variant="body2"
                  onClick={() => setAway(!away)}
                  sx={{ color: 'earth.clay' }}
                >
                  {away ? 'back to the rack' : `${others} archived`}
                </Link>
              )}
              <Progress />
              <Box sx={{ flex: 1 }} />
              {loaded.length > 1 && !away && (
                <>
                  <Button component={NextLink} href="/compare">
                    Compare
                  </Button>
                  <Button component={NextLink} href="/lists" variant="outlined">
                    Buy for several
                  </Button>
                </>
              )}
              <Button component={NextLink} href="/new/standing" variant="outlined">
                It stands already
              </Button>
              <Button component={NextLink} href="/new" variant="contained">
                New enclosure
              </Button>
            </Box>
            <Enclosures designs={ready} />
            <Broken rows={loaded.filter((it) => it.state === 'broken')} />
            <LookList designs={ready} catalogue={catalogue} />
            {keeping}
          </>
        )}
      </Box>
    </Box>
  );
}
