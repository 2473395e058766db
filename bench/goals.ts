import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const FILE = fileURLToPath(new URL('../docs/SPEED.md', import.meta.url));

/** What a benchmark is measured against. */
interface Goal {
  /** What is measured, in words; a row of the table is found by it. */
  what: string;
  wanted: string;
  measured: string;
  met: boolean;
}

const goals: Goal[] = [];

/** Notes what a goal came to in this run, and says it. */
export function goal(what: string, wanted: string, measured: string, met: boolean): void {
  goals.push({ what, wanted, measured, met });
  console.log(`  ${met ? 'met' : 'NOT MET'}: ${what}: ${measured}, wanted ${wanted}`);
}

/** A number that is to stay at or under a limit. */
export const atMost = (what: string, limit: number, value: number, unit: string, digits = 1): void =>
  goal(what, `at most ${limit} ${unit}`, `${value.toFixed(digits)} ${unit}`, value <= limit);

const HEAD = `# Speed

What the benchmarks are measured against. \`./snug bench\` prints the same and writes this table; a run of some of them changes their
rows alone. Every figure is of one run on one machine: ratios and medians tell, not milliseconds.

| goal | wanted | measured | at | last met at |
| --- | --- | --- | --- | --- |
`;

/** The rows that are there, by what they measure. */
function rowsBefore(): Map<string, string[]> {
  const lines = existsSync(FILE) ? readFileSync(FILE, 'utf8').split('\n') : [];
  const cells = lines.flatMap((line) => (/^\| (?!goal|---)/.test(line) ? [line.slice(2, -2).split(' | ')] : []));
  return new Map(cells.map((row) => [row[0]!, row]));
}

/** Writes what this run measured, and keeps what it did not. */
export function writeGoals(): void {
  if (goals.length === 0) return;
  const commit = execFileSync('git', ['rev-parse', '--short', 'HEAD'], { encoding: 'utf8' }).trim();
  const rows = rowsBefore();
  for (const { what, wanted, measured, met } of goals)
    rows.set(what, [what, wanted, measured, commit, met ? commit : (rows.get(what)?.[4] ?? 'not yet')]);
  const table = [...rows.values()].map((row) => `| ${row.join(' | ')} |`).join('\n');
  writeFileSync(FILE, `${HEAD}${table}\n`);
}
