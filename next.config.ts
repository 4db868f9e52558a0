import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  serverExternalPackages: ['better-sqlite3', 'manifold-3d'],
  outputFileTracingExcludes: { '*': ['./data/**', './demo-data/**'] },
  devIndicators: false,
  async headers() {
    return [
      {
        source: '/_next/static/:path*',
        headers: [
          {
            key: 'Content-Security-Policy',
            value: "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'",
          },
        ],
      },
    ];
  },
};

export default config;
