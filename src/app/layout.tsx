import '@fontsource-variable/bricolage-grotesque';
import '@fontsource-variable/figtree';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v15-appRouter';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import './globals.css';
import { Providers } from './Providers';

export const metadata: Metadata = {
  title: 'Rincon',
  description: 'Plan, calculate and keep living animal enclosures.',
  appleWebApp: { capable: true, title: 'Rincon' },
};

export const viewport: Viewport = {
  themeColor: [
    { media: '(prefers-color-scheme: light)', color: '#F3EFE5' },
    { media: '(prefers-color-scheme: dark)', color: '#181B15' },
  ],
};

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  // Reading the nonce makes every page render for its own request, as its policy needs.
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <AppRouterCacheProvider options={{ key: 'rincon', ...(nonce ? { nonce } : {}) }}>
          <Providers demo={process.env.RINCON_DEMO === '1'}>{children}</Providers>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
