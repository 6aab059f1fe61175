import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['@libsql/client', 'sharp'],
  // The proxy looks at every request first; a photo must pass it whole.
  experimental: { serverActions: { bodySizeLimit: '1mb' }, proxyClientMaxBodySize: '31mb' },
};

export default config;
