import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  // Its readers are on this machine: packing costs more than it saves.
  compress: false,
  // Types are checked once, by the check; the build need not do it again.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['@libsql/client', 'sharp'],
  experimental: {
    // The proxy looks at every request first; a photo must pass it whole.
    serverActions: { bodySizeLimit: '1mb' },
    proxyClientMaxBodySize: '31mb',
    // What only a server far away or a second build would gain by; without it a build takes two thirds of the time.
    serverMinification: false,
    turbopackSourceMaps: false,
    turbopackFileSystemCacheForBuild: false,
  },
};

export default config;
