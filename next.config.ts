import type { NextConfig } from 'next';

const config: NextConfig = {
  distDir: process.env.COOL_DRAM_DIST ?? '.next',
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['mysql2', 'piscina', 'esbuild'],
  devIndicators: false,
  headers: async () => [
    { source: '/_next/static/:path*', headers: [{ key: 'x-content-type-options', value: 'nosniff' }] },
  ],
};

export default config;
