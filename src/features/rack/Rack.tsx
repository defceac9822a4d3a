'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from 'next/link';
import { useSnackbar } from 'notistack';
import {
  useCallback,
  useDeferredValue,
  useMemo,
  useState,
  useSyncExternalStore,
  type ComponentProps,
  type ReactNode,
} from 'react';
import type { Design } from '@/core/document';
import { variantOf } from '@/core/propose/copies';
import { capital } from '@/core/units';
import {
  changeDesign,
  createDesign,
  deleteDesign,
  layDemo,
  loadDemo,
  restoreDesign,
  storageTrouble,
  useDesigns,
  useStore,
  type Loaded,
} from '@/store';
import { download } from '@/ui/download';
import { Message } from '@/ui/Message';
import { TopBar } from '@/ui/shell/TopBar';
import { OUTER_PLACES } from '@/ui/words';
import { useLater } from '@/ui/useLater';
import { onVerdicts, verdictsOpen } from '@/workers/verdicts';
import { Card } from './Card';
import { LookList } from './LookList';
import { CardsSkeleton, RACK_GRID } from './RackSkeleton';

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

/** What a card may have done; the same functions from one drawing to the next, so that no card is drawn anew for them. */
function useCardActions(): Pick<
  ComponentProps<typeof Card>,
  'onDuplicate' | 'onRename' | 'onPutAway' | 'onDelete'
> {
  const { db, catalogue } = useStore();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const onDelete = useCallback(
    async (design: Design): Promise<void> => {
      await deleteDesign(db, design.id, Date.now());
      enqueueSnackbar(`“${design.name}” is off the rack.`, {
        action: (key) => (
          <Button
            sx={{ color: 'earth.ledgerAmber' }}
            onClick={() => {
              closeSnackbar(key);
              void restoreDesign(db, design.id);
            }}
          >
            Put it back
          </Button>
        ),
      });
    },
    [db, enqueueSnackbar, closeSnackbar],
  );
  const onDuplicate = useCallback(
    async (design: Design): Promise<void> => {
      const copy = variantOf(design, crypto.randomUUID(), `${design.name.slice(0, 70)} copy`);
      await createDesign(db, copy, Date.now());
      enqueueSnackbar(`“${copy.name}” stands beside it, planned.`, {
        action: (
          <Button component={NextLink} href={`/compare?of=${design.id},${copy.id}`} color="inherit">
            Compare the two
          </Button>
        ),
      });
    },
    [db, enqueueSnackbar],
  );
  const onRename = useCallback(
    (design: Design, name: string) =>
      changeDesign(db, design.id, { edit: 'rename', change: { name } }, catalogue, Date.now()),
    [db, catalogue],
  );
  const onPutAway = useCallback(
    (design: Design) =>
      changeDesign(
        db,
        design.id,
        { edit: 'setPutAway', change: { putAway: !design.brief.putAway } },
        catalogue,
        Date.now(),
      ),
    [db, catalogue],
  );
  return { onDelete, onDuplicate, onRename, onPutAway };
}

const isAway = (it: Loaded): boolean => it.state === 'ready' && it.row.design.brief.putAway;

/** Cards that stand at once; the others follow between frames. */
const AT_ONCE = 12;

function Cards({
  loaded,
  actions,
}: {
  readonly loaded: readonly Loaded[];
  readonly actions: ReturnType<typeof useCardActions>;
}) {
  const { db, catalogue } = useStore();
  const shown = useDeferredValue(loaded, loaded.slice(0, AT_ONCE));
  return (
    <Box component="ul" sx={RACK_GRID}>
      {shown.map((it) =>
        it.state === 'ready' ? (
          <Card key={it.row.id} design={it.row.design} catalogue={catalogue} {...actions} />
        ) : it.state === 'broken' ? (
          <Box
            component="li"
            key={it.id}
            sx={{ border: 1, borderColor: 'earth.clay', borderRadius: 1.5, p: 2 }}
          >
            <Typography variant="h2">This enclosure cannot be read</Typography>
            <Typography variant="body2" sx={{ color: 'earth.quiet', my: 1 }}>
              {capital(it.message)}. It is kept as it is.
            </Typography>
            <Button
              variant="outlined"
              onClick={() => download('unreadable.json', JSON.stringify(it.raw, null, 2))}
            >
              Save what is there
            </Button>
            <Button onClick={() => void deleteDesign(db, it.id, Date.now())}>Move to the trash</Button>
          </Box>
        ) : null,
      )}
    </Box>
  );
}

/** All enclosures at a glance. */
export function Rack({ tools, keeping }: Props) {
  const { db, catalogue } = useStore();
  const actions = useCardActions();
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
            <Cards loaded={loaded} actions={actions} />
            <LookList designs={ready} catalogue={catalogue} />
            {keeping}
          </>
        )}
      </Box>
    </Box>
  );
}
