import { PlanProblem, type Plan } from '@keep-snug/core';
import { LONGEST_PLAN, parsePlan } from '@keep-snug/core/formats';
import { readFileSync, statSync } from 'node:fs';
import { resolve } from 'node:path';

/**
 * A plan from a file, or from standard input where it is called `-`.
 * @throws PlanProblem or Error saying what is wrong with it
 */
export function readPlan(file: string): Plan {
  return parsePlan(read(file));
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

/** Tells lines on standard error; the exit code for what could not be done. */
export function refuse(lines: readonly string[]): number {
  process.stderr.write(`${lines.join('\n')}\n`);
  return 2;
}

/** What was wrong, path first, line by line. */
export const faultLines = (error: unknown): string[] =>
  error instanceof PlanProblem
    ? error.errors.map(({ path, message }) => `${path}: ${message}`)
    : [`plan: ${(error as Error).message}`];
