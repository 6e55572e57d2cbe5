import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['sqlite3', 'sequelize', 'umzug'],
  poweredByHeader: false,
  devIndicators: false,
  // Types are looked at by `npm run check`; a second look would more than double the first start.
  typescript: { ignoreBuildErrors: true },
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
