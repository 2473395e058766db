import { PlanProblem, reckon } from '@keep-snug/core';
import { LONGEST_PLAN, parsePlan } from '@keep-snug/core/formats';
import { readFileSync, statSync } from 'node:fs';
import { resolve } from 'node:path';

const USAGE = 'Usage: npm run -s reckon -- plan.json   (or - to read standard input)';

/** Prints the worked plan of a file; a plan that cannot be reckoned is told on stderr, line by line, with exit 2. */
function main(): number {
  const [file] = process.argv.slice(2);
  if (!file) return refuse([USAGE]);
  try {
    process.stdout.write(`${JSON.stringify(reckon(parsePlan(read(file))), null, 2)}\n`);
    return 0;
  } catch (error) {
    if (error instanceof PlanProblem) return refuse(error.errors.map((e) => `${e.path}: ${e.message}`));
    return refuse([`plan: ${(error as Error).message}`]);
  }
}

function read(file: string): string {
  if (file === '-') return readFileSync(0, 'utf8');
  // npm runs scripts at the project's root; the file is meant from where the person stands
  const path = resolve(process.env.INIT_CWD ?? '.', file);
  const { size } = statSync(path);
  // characters are at most four bytes long
  if (size > 4 * LONGEST_PLAN)
    throw new Error(`${file} is ${size} bytes; a plan has at most ${LONGEST_PLAN} characters. Send one plan.`);
  return readFileSync(path, 'utf8');
}

function refuse(lines: string[]): number {
  process.stderr.write(`${lines.join('\n')}\n`);
  return 2;
}

process.exitCode = main();
