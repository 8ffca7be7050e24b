import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['pg', 'sharp', '@node-rs/argon2'],
  experimental: { serverActions: { bodySizeLimit: '25mb' } },
  devIndicators: false,
  // Types are checked by npm test; a start need not check them again.
  typescript: { ignoreBuildErrors: true },
  async headers() {
    return [
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'same-origin' },
        ],
      },
    ]
  },
}

export default config
