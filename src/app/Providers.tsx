'use client';

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
import { UnreadableRows } from '@/features/tools/UnreadableRows';
import { UnsavedEdits } from '@/features/tools/UnsavedEdits';
import { StoreProvider, useStore } from '@/store';
import { Corner } from '@/ui/Corner';
import { Message } from '@/ui/Message';
import { theme } from '@/ui/theme/theme';
import { UnitsProvider } from '@/ui/units';

export function Providers({ demo, children }: { readonly demo: boolean; readonly children: ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <SnackbarProvider anchorOrigin={{ horizontal: 'left', vertical: 'bottom' }} autoHideDuration={8000}>
        <StoreProvider
          demo={demo}
          waiting={<Opening />}
          broken={(message) => (
            <Message title="The browser’s storage does not open" role="alert">
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
  return <UnitsProvider prefs={settings.units}>{children}</UnitsProvider>;
}
