import { reckon } from '@keep-snug/core';
import { faultLines, readPlan, refuse } from './readPlan';

const USAGE = 'Usage: npm run -s reckon -- plan.json   (or - to read standard input)';

/** Prints the worked plan of a file; a plan that cannot be reckoned is told on stderr, line by line, with exit 2. */
function main(): number {
  const [file] = process.argv.slice(2);
  if (!file) return refuse([USAGE]);
  try {
    process.stdout.write(`${JSON.stringify(reckon(readPlan(file)), null, 2)}\n`);
    return 0;
  } catch (error) {
    return refuse(faultLines(error));
  }
}

process.exitCode = main();
