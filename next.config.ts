import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['sqlite3', 'sequelize', 'umzug'],
  poweredByHeader: false,
  devIndicators: false,
  outputFileTracingRoot: import.meta.dirname,
};

export default config;
