import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';

/** The server with the core as one file, so that each journey's own server starts at once; packages stay outside. */
export async function bundleServer() {
  const outfile = fileURLToPath(new URL('../server/.cache/main.mjs', import.meta.url));
  await build({
    entryPoints: [fileURLToPath(new URL('../server/src/main.ts', import.meta.url))],
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
