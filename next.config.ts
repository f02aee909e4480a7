import type { NextConfig } from 'next';

const config: NextConfig = {
  // The tests build into a folder of their own, beside a running application.
  distDir: process.env.NEXT_DIST_DIR ?? '.next',
  serverExternalPackages: ['date-holidays', 'pdfmake', 'sequelize', 'pg', 'pg-boss', 'umzug'],
  poweredByHeader: false,
  // Types are checked by the tests; a start need not wait for it.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // No picture goes through the framework's own route, so that it is closed.
  images: { unoptimized: true },
  // A kept build does not notice a changed part of a style sheet.
  // A page that was fetched before its link was pressed is shown for as long as it is likely to be so: the shortest there is.
  experimental: { turbopackFileSystemCacheForBuild: false, staleTimes: { static: 30 } },
  sassOptions: {
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
};

export default config;
