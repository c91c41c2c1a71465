import type { NextConfig } from 'next'

const config: NextConfig = {
  serverExternalPackages: ['libsql', 'sharp', '@napi-rs/canvas', 'pdfjs-dist'],
  devIndicators: false,
  poweredByHeader: false,
  // The server packs pages itself, beside its main thread.
  compress: false,
  // The head is whole before the page is shown: a browser that meets no icon there asks for one that is not there.
  htmlLimitedBots: /.*/,
  rewrites: async () => [{ source: '/favicon.ico', destination: '/icon.svg' }],
  outputFileTracingRoot: import.meta.dirname,
}

export default config
