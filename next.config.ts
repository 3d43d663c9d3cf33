import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite', 'fs-native-extensions', '@node-rs/argon2', 'pg'],
  turbopack: { root: import.meta.dirname },
  poweredByHeader: false,
  // Files that go past the proxy are nobody else's either.
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'cross-origin-resource-policy', value: 'same-origin' },
          { key: 'cross-origin-opener-policy', value: 'same-origin' },
          { key: 'x-content-type-options', value: 'nosniff' },
          { key: 'referrer-policy', value: 'same-origin' },
        ],
      },
    ]),
  // `npm test` type-checks by itself, tests included.
  typescript: { ignoreBuildErrors: true },
}

export default config
