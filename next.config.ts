import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  // Large packages that only the server uses are loaded from where they are installed: bundling them takes half of a build.
  serverExternalPackages: [
    'pg',
    'sharp',
    '@node-rs/argon2',
    'exceljs',
    'pdf-lib',
    '@pdf-lib/fontkit',
    'ical-generator',
    'fast-xml-parser',
  ],
  experimental: {
    serverActions: { bodySizeLimit: '25mb' },
    // The server's code need not be small, and unminified its stacks read as they were written.
    serverMinification: false,
    turbopackSourceMaps: false,
  },
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
