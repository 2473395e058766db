import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative, resolve } from 'node:path';

/** Runs every check, shows each one's closing line, and closes with `N passed, N failed`. */

const REPORTS = '.cache/reports';
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

const env = {
  ...process.env,
  // on its own: next to NO_COLOR it makes every process warn
  FORCE_COLOR: '0',
  PLAYWRIGHT_JSON_OUTPUT_FILE: resolve(REPORTS, 'journeys.json'),
};

/** A check that passes or fails as a whole. */
const whole = (name, command) => ({
  name,
  command,
  count: (ok) => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 }),
});

const CHECKS = [
  whole('lint', 'npx eslint . --max-warnings 0'),
  whole('format', 'npx prettier --check --log-level warn .'),
  ...['core', 'server', 'app', 'e2e', 'bench'].map((place) => whole(`types in ${place}`, `npx tsc -p ${place}`)),
  {
    name: 'unit tests',
    command: `npx jest --maxWorkers=100% --json --outputFile=${REPORTS}/unit.json`,
    count: () => {
      const report = read('unit.json');
      return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites };
    },
    failures: () =>
      read('unit.json')
        .testResults.filter((file) => file.status === 'failed')
        .map((file) => `failed: ${relative('.', file.name)}\n${file.message}`),
  },
  {
    name: 'journeys',
    command: 'npx playwright test -c e2e --reporter=line,json',
    count: () => {
      const { stats } = read('journeys.json');
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
    },
    failures: () => journeys('unexpected').map((journey) => `failed: ${journey}`),
    notes: () => journeys('flaky').map((journey) => `passed only when gone again: ${journey}`),
  },
];

/** Each journey that ended so: where, what, and why. */
function journeys(status) {
  return read('journeys.json').suites.flatMap((suite) => journeysIn(suite, status));
}

function journeysIn({ suites = [], specs = [] }, status) {
  const own = specs.flatMap((spec) =>
    spec.tests
      .filter((test) => test.status === status)
      .map((test) => {
        const why = test.results.flatMap((result) => result.errors).map((error) => error.message);
        return `[${test.projectName}] ${spec.file}:${spec.line} ${spec.title}\n${why.join('\n')}`;
      }),
  );
  return [...own, ...suites.flatMap((suite) => journeysIn(suite, status))];
}

function read(file) {
  return JSON.parse(readFileSync(`${REPORTS}/${file}`, 'utf8'));
}

function run({ name, command, count }) {
  const began = Date.now();
  const { status, stdout, stderr } = spawnSync(command, { shell: true, env, encoding: 'utf8', maxBuffer: 1 << 28 });
  const result = counted(count, status === 0);
  const ok = status === 0 && result.failed === 0;
  if (!ok) console.log(`${stdout}\n${stderr}`);
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(`${name}: ${ok ? 'good' : 'FAILED'}, ${result.passed} passed, ${result.failed} failed (${seconds} s)`);
  return ok || result.failed > 0 ? result : { ...result, failed: 1 };
}

/** A check that died before it wrote its report has failed. */
function counted(count, ok) {
  try {
    return count(ok);
  } catch {
    return { passed: 0, failed: 1 };
  }
}

/** What a report says of its tests one by one; a check without such a report says nothing more. */
function said(tell = () => []) {
  try {
    return tell();
  } catch {
    return [];
  }
}

const total = { passed: 0, failed: 0 };
const notes = [];
for (const check of CHECKS) {
  const { passed, failed } = run(check);
  total.passed += passed;
  total.failed += failed;
  notes.push(...said(check.notes));
  if (failed > 0) notes.push(...said(check.failures));
}
// said once more at the end: what stands above is long, and its beginning may be cut off
for (const note of notes) console.log(`\n${note}`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed > 0 ? 1 : 0;
