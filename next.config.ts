import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['better-sqlite3', 'manifold-3d'],
  outputFileTracingExcludes: { '*': ['./data/**', './demo-data/**'] },
  devIndicators: false,
  // npm test checks types, the tests' too; a start of the demo need not do it again.
  typescript: { ignoreBuildErrors: true },
  // No page uses the optimiser, and it would fetch any address of the workshop for whoever asks.
  images: { unoptimized: true },
  experimental: { serverActions: { bodySizeLimit: '16mb' } },
  // Some browsers ask for this name whatever the page says its icon is.
  async rewrites() {
    return [{ source: '/favicon.ico', destination: '/icon.svg' }];
  },
};

export default config;
