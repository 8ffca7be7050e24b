import type { MetadataRoute } from 'next'

/** What a device needs to keep Fika among its apps. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Fika',
    short_name: 'Fika',
    description: 'Paints, bottles, pours and results of a fluid acrylic pour studio.',
    id: '/',
    start_url: '/rack',
    scope: '/',
    display: 'standalone',
    background_color: '#f5f5f5',
    theme_color: '#f5f5f5',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icon-mask-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  }
}
