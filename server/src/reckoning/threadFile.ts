import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { HOME } from '../settings';

/**
 * The thread's program as one file: beside the bundled server, or bundled anew where the server runs from its source,
 * since a thread does not read TypeScript.
 */
export async function threadFile(): Promise<string> {
  const beside = fileURLToPath(new URL('./work.mjs', import.meta.url));
  if (existsSync(beside)) return beside;
  const { build } = createRequire(import.meta.url)('esbuild') as typeof import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL('./work.ts', import.meta.url))],
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    write: false,
  });
  return written(outputFiles[0]!.contents);
}

/** Under a name of its content, whole at once: another start may be writing the same. */
function written(contents: Uint8Array): string {
  const folder = `${HOME}.cache/threads/`;
  const file = `${folder}${createHash('sha256').update(contents).digest('hex').slice(0, 16)}.mjs`;
  if (existsSync(file)) return file;
  mkdirSync(folder, { recursive: true });
  writeFileSync(`${file}.${process.pid}`, contents);
  renameSync(`${file}.${process.pid}`, file);
  return file;
}
