import { execFileSync } from 'node:child_process';
import { audit } from './audit/audit';
import { calibration } from './calibration/calibration';
import { clashes } from './clashes';
import { doors } from './doors';
import { files } from './files';
import { flood } from './flood';
import { kills } from './kills';
import { makers } from './makers';
import { offline } from './offline';
import type { Proof } from './proof';
import { year } from './year';
import { twoServers } from './twoServers';
import { patterns } from './patterns';
import { phone } from './phone';
import { otherPictures, photographs } from './photographs';
import { properties } from './properties';
import { remote } from './remote';
import { restores } from './restores';

/**
 * Runs what takes longer than the checks may: all of it, or with `--sample` the small part that they hold. Names of
 * proofs may be given.
 */

const PROOFS: readonly Proof[] = [
  kills,
  twoServers,
  files,
  restores,
  remote,
  flood,
  doors,
  clashes,
  offline,
  phone,
  calibration,
  audit,
  patterns,
  makers,
  year,
  photographs,
  otherPictures,
  properties,
];
const SAMPLE = 0.1;

const given = process.argv.slice(2);
const share = given.includes('--sample') ? SAMPLE : 1;
const wanted = given.filter((word) => !word.startsWith('--'));
execFileSync('npm', ['run', '-s', 'bundle'], { stdio: ['ignore', 'ignore', 'inherit'] });
let failed = 0;
for (const { id, says, run } of PROOFS) {
  if (wanted.length > 0 && !wanted.includes(id)) continue;
  const began = Date.now();
  const came = await run({ share }).then(
    (measured) => `good, ${measured}`,
    (error: Error) => {
      failed += 1;
      return `FAILED: ${error.message}`;
    },
  );
  console.log(`${id}: ${says}: ${came} (${Math.round((Date.now() - began) / 1000)} s)`);
}
process.exit(failed > 0 ? 1 : 0);
