import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

/** The server and the core as one file each, packages left outside: they start at once, and as they ship. */

const BUNDLES = {
  'server/src/main.ts': 'server/.cache/main.mjs',
  'server/src/start.ts': 'server/.cache/start.mjs',
  'server/src/cli/copies.ts': 'server/.cache/copies.mjs',
  'server/src/practice/dial.ts': 'server/.cache/dial.mjs',
  'server/src/reckoning/work.ts': 'server/.cache/work.mjs',
  'core/src/index.ts': 'core/.cache/core.mjs',
  'core/src/compare/repeat.ts': 'core/.cache/repeat.mjs',
  'core/src/out/formats/csv/index.ts': 'core/.cache/csv.mjs',
};

const inRoot = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));

const packagesOutside = {
  name: 'packages-outside',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@keep-snug/') ? undefined : { external: true }));
  },
};

for (const [entry, into] of Object.entries(BUNDLES)) {
  await build({
    entryPoints: [inRoot(entry)],
    outfile: inRoot(into),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    plugins: [packagesOutside],
  });
}
