'use client';

import Button from '@mui/material/Button';
import NextLink from 'next/link';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import { Tools } from '@/features/tools/Tools';
import { Workspace } from '@/features/workspace/Workspace';
import { OpenDesignProvider, useOpenDesign } from '@/store';
import { download } from '@/ui/download';
import { Message } from '@/ui/Message';

export function OpenEnclosure({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const back = (
    <Button component={NextLink} href="/" variant="contained">
      Back to the rack
    </Button>
  );
  return (
    <OpenDesignProvider
      key={id}
      id={id}
      waiting={<Message title="Opening the enclosure" role="status" />}
      lost={({ broken }) =>
        broken ? (
          <Message
            title="This enclosure cannot be read"
            role="alert"
            actions={
              <>
                {back}
                <Button
                  variant="outlined"
                  onClick={() => download('unreadable.json', JSON.stringify(broken.raw, null, 2))}
                >
                  Save what is there
                </Button>
              </>
            }
          >
            {broken.message}. It is kept as it is.
          </Message>
        ) : (
          <Message title="No such enclosure here" actions={back}>
            It may have been deleted, or it stands in another browser. An exported file brings it back.
          </Message>
        )
      }
    >
      <Framed>{children}</Framed>
    </OpenDesignProvider>
  );
}

function Framed({ children }: { readonly children: ReactNode }) {
  const { design } = useOpenDesign();
  const latest = useRef(design);
  useEffect(() => {
    latest.current = design;
  }, [design]);
  // The same element at every edit: the bar need not be drawn anew.
  const tools = useMemo(() => <Tools open={() => latest.current} />, []);
  return <Workspace tools={tools}>{children}</Workspace>;
}
