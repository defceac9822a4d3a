'use client';

import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { SnackbarProvider } from 'notistack';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { AlarmBell } from '@/features/keep/devices/AlarmBell';
import { LiveDevices } from '@/features/keep/devices/LiveDevices';
import { RackSkeleton } from '@/features/rack/RackSkeleton';
import { FailedWrites } from '@/features/tools/FailedWrites';
import { Offline } from '@/features/tools/Offline';
import { StorageGone } from '@/features/tools/StorageGone';
import { UnreadableRows } from '@/features/tools/UnreadableRows';
import { UnsavedEdits } from '@/features/tools/UnsavedEdits';
import { StoreProvider, useStore } from '@/store';
import { Corner } from '@/ui/Corner';
import { Message } from '@/ui/Message';
import { theme } from '@/ui/theme/theme';
import { useToday } from '@/ui/useToday';
import { UnitsProvider } from '@/ui/units';

export function Providers({ demo, children }: { readonly demo: boolean; readonly children: ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <SnackbarProvider anchorOrigin={{ horizontal: 'left', vertical: 'bottom' }} autoHideDuration={8000}>
        <StoreProvider
          demo={demo}
          today={useToday()}
          waiting={<Opening />}
          blocked={
            <Message title="Another window holds the storage" role="alert">
              An older Rincon is open in another window or tab. Close it, and this one goes on by itself.
            </Message>
          }
          broken={(message) => (
            <Message
              title="The browser’s storage does not open"
              role="alert"
              actions={
                <Button variant="outlined" href="/recover">
                  Save all that is kept
                </Button>
              }
            >
              {message}. Rincon keeps everything there. Allow storage for this page, free some space or leave
              private browsing, then load it again. Nothing was changed.
            </Message>
          )}
        >
          <InUnits>
            {children}
            <LiveDevices />
            <AlarmBell />
            <Offline />
            <FailedWrites />
            <Corner>
              <StorageGone />
              <UnreadableRows />
              <UnsavedEdits />
            </Corner>
          </InUnits>
        </StoreProvider>
      </SnackbarProvider>
    </ThemeProvider>
  );
}

/** Until the browser’s storage has opened. */
function Opening() {
  return usePathname() === '/' ? <RackSkeleton /> : <Message title="Opening" role="status" />;
}

function InUnits({ children }: { readonly children: ReactNode }) {
  const { settings } = useStore();
  return (
    <UnitsProvider prefs={settings.units} currency={settings.currency}>
      {children}
    </UnitsProvider>
  );
}
