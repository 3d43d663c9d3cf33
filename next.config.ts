import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite'],
  turbopack: { root: import.meta.dirname },
  poweredByHeader: false,
  // `npm test` type-checks by itself, tests included.
  typescript: { ignoreBuildErrors: true },
}

export default config
