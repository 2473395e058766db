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
        .map((file) => `${relative('.', file.name)}\n${file.message}`),
  },
  {
    name: 'journeys',
    command: 'npx playwright test -c e2e --reporter=line,json',
    count: () => {
      const { stats } = read('journeys.json');
      return { passed: stats.expected, failed: stats.unexpected + stats.flaky };
    },
    failures: () => read('journeys.json').suites.flatMap(failedJourneys),
  },
];

/** Each failed journey of a report's suite and of those inside it: where, what, and why. */
function failedJourneys({ suites = [], specs = [] }) {
  const own = specs.flatMap((spec) =>
    spec.tests
      .filter((test) => test.status !== 'expected' && test.status !== 'skipped')
      .map((test) => {
        const why = test.results.flatMap((result) => result.errors).map((error) => error.message);
        return `[${test.projectName}] ${spec.file}:${spec.line} ${spec.title}\n${why.join('\n')}`;
      }),
  );
  return [...own, ...suites.flatMap(failedJourneys)];
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

/** What failed, said once more: the output above is long, and its beginning may be cut off. */
function failuresOf({ name, failures = () => [] }) {
  try {
    return failures();
  } catch {
    return [`${name} ended without a report`];
  }
}

const total = { passed: 0, failed: 0 };
const failures = [];
for (const check of CHECKS) {
  const { passed, failed } = run(check);
  total.passed += passed;
  total.failed += failed;
  if (failed > 0) failures.push(...failuresOf(check));
}
for (const failure of failures) console.log(`\nfailed: ${failure}`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed > 0 ? 1 : 0;
