import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

/** The server with the core as one file, so that each journey's own server starts at once; packages stay outside. */
export function bundleServer() {
  return bundle('server/src/main.ts', 'server/.cache/main.mjs');
}

/** The core alone as one file, in the form in which app and server carry it. */
export function bundleCore() {
  return bundle('core/src/index.ts', 'core/.cache/core.mjs');
}

async function bundle(entry, into) {
  const [from, outfile] = [entry, into].map((path) => fileURLToPath(new URL(`../${path}`, import.meta.url)));
  await build({
    entryPoints: [from],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    plugins: [
      {
        name: 'packages-outside',
        setup({ onResolve }) {
          onResolve({ filter: /^[^./]/ }, ({ path }) =>
            path.startsWith('@keep-snug/') ? undefined : { external: true },
          );
        },
      },
    ],
  });
  return outfile;
}
