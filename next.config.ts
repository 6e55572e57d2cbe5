import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['sqlite3', 'sequelize', 'umzug'],
  poweredByHeader: false,
  devIndicators: false,
  // Types are looked at by `npm run check`; a second look would more than double the first start.
  typescript: { ignoreBuildErrors: true },
  // 140 MB that nobody reads: a setting builds once for each version.
  experimental: { turbopackFileSystemCacheForBuild: false },
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
