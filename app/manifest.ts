import type { MetadataRoute } from 'next';

/** What a phone needs to put the program on its home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Cool Dram',
    short_name: 'Cool Dram',
    description: 'Compressed-air lines: where the water condenses, rounds, drains and the logbook.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f6f4ee',
    theme_color: '#f6f4ee',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [{ name: 'Outbox', url: '/outbox' }],
  };
}
