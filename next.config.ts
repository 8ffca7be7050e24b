import type { NextConfig } from 'next'

const config: NextConfig = {
  poweredByHeader: false,
  // Answers hold what is secret beside what was asked: packed together, their length would tell. A proxy packs the files.
  compress: false,
  // No Link header: the one it would send asks a browser to connect where it is connected already.
  reactMaxHeadersLength: 0,
  // Large packages that only the server uses are loaded from where they are installed: bundling them takes half of a build.
  serverExternalPackages: [
    'pg',
    'sharp',
    '@node-rs/argon2',
    'highs',
    'pdf-lib',
    '@pdf-lib/fontkit',
    'ical-generator',
    'fast-xml-parser',
  ],
  experimental: {
    // The front knows what each path takes; this is above the largest of them.
    serverActions: { bodySizeLimit: '21mb' },
    // The server's code need not be small, and unminified its stacks read as they were written.
    serverMinification: false,
    turbopackSourceMaps: false,
    // A studio builds once and again with the next Fika: what would make a second build quicker takes a third of the first.
    turbopackFileSystemCacheForBuild: false,
  },
  devIndicators: false,
  // Types are checked by npm test; a start need not check them again.
  typescript: { ignoreBuildErrors: true },
}

export default config
