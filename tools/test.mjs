import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative, resolve } from 'node:path';

/**
 * Runs every check, side by side where cores allow, shows each one's closing line, and closes with
 * `N passed, N failed`.
 */

const REPORTS = '.cache/reports';
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

/**
 * What property tests draw. The same everywhere, so that a change is judged by the change alone; `FC_SEED=any` looks
 * elsewhere, and is what to run now and then.
 */
const FC_SEED = seedOf(process.env.FC_SEED);

function seedOf(asked = '20261') {
  return asked === 'any' ? String(Date.now() % 0x7fffffff) : asked;
}

const env = {
  ...process.env,
  FC_SEED,
  // on its own: next to NO_COLOR it makes every process warn
  FORCE_COLOR: '0',
  PLAYWRIGHT_JSON_OUTPUT_FILE: resolve(REPORTS, 'journeys.json'),
};

/** A check that passes or fails as a whole. */
const whole = (name, command, more = {}) => ({
  name,
  command,
  count: (ok) => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 }),
  ...more,
});

/** In the order they are begun in; one that is `alone` waits for all before it, others for those they come `after`. */
const CHECKS = [
  whole('build', 'npm run -s build'),
  whole('lint', 'npx eslint . --max-warnings 0 --cache --cache-strategy content --cache-location .cache/eslint/'),
  whole('walls', 'npm run -s walls'),
  whole('format', 'npm run -s format:check'),
  {
    name: 'unit tests',
    note: `, FC_SEED=${FC_SEED}`,
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
  whole('a sample of what is proved', 'node --import tsx prove/main.ts --sample'),
  // the build writes the types of the routes
  whole('types', 'npx tsc -b', { after: ['build'] }),
  {
    name: 'journeys',
    alone: true,
    command: 'npx playwright test -c e2e --reporter=line,json',
    count: () => {
      const { stats } = read('journeys.json');
      // one that passes only when retried may be the machine's doing; two in a run are not
      const unsteady = stats.flaky > 1 ? stats.flaky : 0;
      return { passed: stats.expected + stats.flaky - unsteady, failed: stats.unexpected + unsteady };
    },
    failures: () => journeys('unexpected').map((journey) => `failed: ${journey}`),
    notes: () => journeys('flaky').map((journey) => `passed only when retried: ${journey}`),
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

/** Runs a check to its end and answers with what it came to. */
async function run({ name, command, count, note = '' }) {
  const began = Date.now();
  const { status, output } = await ran(command);
  const result = counted(count, status === 0);
  const ok = status === 0 && result.failed === 0;
  if (!ok) console.log(output);
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(
    `${name}: ${ok ? 'good' : 'FAILED'}, ${result.passed} passed, ${result.failed} failed (${seconds} s)${note}`,
  );
  return ok || result.failed > 0 ? result : { ...result, failed: 1 };
}

function ran(command) {
  return new Promise((done) => {
    const child = spawn(command, { shell: true, env });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        output += chunk;
      });
    child.on('close', (status) => done({ status, output }));
  });
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

const SIDE_BY_SIDE = Math.min(3, availableParallelism());
const total = { passed: 0, failed: 0 };
const notes = [];
const running = new Map();
const done = new Set();

async function begin(check) {
  const { passed, failed } = await run(check);
  total.passed += passed;
  total.failed += failed;
  notes.push(...said(check.notes));
  if (failed > 0) notes.push(...said(check.failures));
  done.add(check.name);
  running.delete(check.name);
}

function mayBegin({ alone, after = [] }) {
  return alone ? running.size === 0 : after.every((name) => done.has(name));
}

for (const check of CHECKS) {
  while (running.size >= SIDE_BY_SIDE || !mayBegin(check)) await Promise.race(running.values());
  running.set(check.name, begin(check));
}
await Promise.all(running.values());

// said once more at the end: what stands above is long, and its beginning may be cut off
for (const note of notes) console.log(`\n${note}`);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exitCode = total.failed > 0 ? 1 : 0;
