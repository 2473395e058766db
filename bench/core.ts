import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
execFileSync('npm', ['run', '-s', 'bundle'], { cwd: ROOT, stdio: 'inherit' });

/** The core as it ships, one file: run from its sources, every function would be named anew at each call. */
export const { chance, FITS, reckon, ways, workOut } = (await import(
  `${ROOT}core/.cache/core.mjs`
)) as typeof import('@keep-snug/core');
