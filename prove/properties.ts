import { spawnSync } from 'node:child_process';
import type { Proof } from './proof';

/** Cases of every property, against those of the checks. */
const MORE = 20;

/** Every property of the core over many more cases than the checks draw. */
export const properties: Proof = {
  id: 'properties',
  says: 'every property holds over twenty times the cases',
  run: async ({ share }) => {
    // the checks run them as they are
    if (share < 1) return 'left to the unit tests';
    const { status, stderr } = spawnSync('npx', ['jest', '--selectProjects', 'core', '-t', ''], {
      env: { ...process.env, FC_RUNS: String(MORE) },
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    });
    if (status !== 0)
      throw new Error(
        stderr
          .split('\n')
          .filter((line) => /●|seed/.test(line))
          .slice(0, 20)
          .join('\n'),
      );
    return /Tests: .*/.exec(stderr)?.[0] ?? '';
  },
};
