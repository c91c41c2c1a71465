import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['libsql'],
  devIndicators: false,
  poweredByHeader: false,
  outputFileTracingRoot: import.meta.dirname,
}

export default config
