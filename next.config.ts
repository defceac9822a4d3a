import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  // Types are checked by `npm test`, tests included: once is enough.
  typescript: { ignoreBuildErrors: true },
  // The demo's verdicts are calculated when it is built: a box takes some ten seconds on a busy machine.
  staticPageGenerationTimeout: 600,
  rewrites: async () => [
    { source: '/recover', destination: '/recover.html' },
    { source: '/code', destination: '/code.html' },
  ],
  headers: async () => [
    {
      // The recovery page, and the one that asks for the code, stand alone: nothing but its own script and style.
      source: '/:page(recover.*|code.*)',
      headers: [
        {
          key: 'Content-Security-Policy',
          value:
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        },
      ],
    },
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
        { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=(), interest-cohort=()' },
        { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
        { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
      ],
    },
  ],
};

export default config;
