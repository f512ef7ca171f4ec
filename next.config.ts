import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { NextConfig } from 'next';

/** On every answer; pages get their content security policy from proxy.ts. */
const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
};
/** Nothing that is handed out by itself may load or run anything. */
const NOTHING = { 'content-security-policy': "default-src 'none'; frame-ancestors 'none'" };

/** Folders of public/ whose files are kept for good by whoever fetched them. */
const KEPT = ['fonts', 'profiles', 'wasm'];

/** Tells what the kept folders hold. */
function digestOf(folders: readonly string[]): string {
  const hash = createHash('sha256');
  for (const folder of folders) {
    const path = join('public', folder);
    for (const file of existsSync(path) ? readdirSync(path).sort() : [])
      hash.update(`${folder}/${file}\n`).update(readFileSync(join(path, file)));
  }
  return hash.digest('hex').slice(0, 16);
}

const SHIPPED = digestOf(KEPT);

const listed = (headers: Readonly<Record<string, string>>) =>
  Object.entries(headers).map(([key, value]) => ({ key, value }));

const config: NextConfig = {
  headers: () =>
    Promise.resolve([
      { source: '/:path*', headers: listed(HEADERS) },
      { source: '/api/:path*', headers: listed(NOTHING) },
      {
        source: `/shipped/${SHIPPED}/:path*`,
        headers: listed({ 'cache-control': 'public, max-age=31536000, immutable' }),
      },
    ]),
  // See bring-in/shipped.ts.
  rewrites: () =>
    Promise.resolve(
      KEPT.map((folder) => ({ source: `/shipped/${SHIPPED}/${folder}/:file`, destination: `/${folder}/:file` })),
    ),
  env: { NEXT_PUBLIC_SHIPPED: SHIPPED },
  reactStrictMode: true,
  reactCompiler: true,
  poweredByHeader: false,
  compress: false,
  serverExternalPackages: [
    'sequelize',
    'sqlite3',
    'umzug',
    'sharp',
    '@resvg/resvg-js',
    'harfbuzzjs',
    'lcms-wasm',
    'woff2-encoder',
    '@cantoo/pdf-lib',
  ],
  turbopack: { resolveAlias: { module: { browser: './src/shims/empty.ts' } } },
  devIndicators: false,
  experimental: {
    // The server’s own code stays readable instead of being pressed and mapped back: half a minute of every build.
    turbopackSourceMaps: false,
    serverMinification: false,
    // What the next build can use is kept by those who build again: keeping it is a third of the work of the first.
    turbopackFileSystemCacheForBuild: existsSync(join('.next', 'BUILD_ID')),
  },
  // Types are checked by the project’s own tests, tests included.
  typescript: { ignoreBuildErrors: true },
};

export default config;
