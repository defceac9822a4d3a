import type { MetadataRoute } from 'next';

/** What a phone needs to put Rincon among its programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Rincon',
    short_name: 'Rincon',
    description: 'Plan, calculate and keep living animal enclosures.',
    start_url: '/today',
    scope: '/',
    display: 'standalone',
    background_color: '#F3EFE5',
    theme_color: '#F3EFE5',
    icons: [192, 512].flatMap((size) =>
      (['any', 'maskable'] as const).map((purpose) => ({
        src: `/icons/rincon-${size}.png`,
        sizes: `${size}x${size}`,
        type: 'image/png',
        purpose,
      })),
    ),
  };
}
