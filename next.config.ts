import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  // Its readers are on this machine: packing costs more than it saves.
  compress: false,
  // Types are checked once, by the check; the build need not do it again.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['@libsql/client', 'sharp'],
  // The proxy looks at every request first; a photo must pass it whole.
  experimental: { serverActions: { bodySizeLimit: '1mb' }, proxyClientMaxBodySize: '31mb' },
};

export default config;
