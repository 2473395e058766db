import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../', import.meta.url));
execFileSync('npm', ['run', '-s', 'bundle'], { cwd: ROOT, stdio: 'inherit' });

type Core = Pick<typeof import('@keep-snug/core'), 'chance' | 'FITS' | 'mend' | 'reckon' | 'ways' | 'workOut'>;

/** The core as it ships, one file: run from its sources, every function would be named anew at each call. */
export const core: Core = await import(`${ROOT}core/.cache/core.mjs`);
