import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['better-sqlite3', 'manifold-3d'],
  outputFileTracingExcludes: { '*': ['./data/**', './demo-data/**'] },
  devIndicators: false,
  experimental: { serverActions: { bodySizeLimit: '16mb' } },
  // Some browsers ask for this name whatever the page says its icon is.
  async rewrites() {
    return [{ source: '/favicon.ico', destination: '/icon.svg' }];
  },
};

export default config;
