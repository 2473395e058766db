import { PATTERN_FILES, patternFile, reckon, type PatternFile, type Schools, type Voice } from '@keep-snug/core';
import { parseArgs } from 'node:util';
import { faultLines, readPlan, refuse } from './readPlan';

const USAGE = `Usage: npm run -s pattern -- plan.json [--as ${Object.keys(PATTERN_FILES).join('|')}] [--style full|short] [--terms US|UK] [--units mm|cm|in] > file
(or - to read standard input)`;

interface Asked {
  file: string;
  as: PatternFile;
  voice: Voice;
  terms: Schools['terms'] | undefined;
  units: 'mm' | 'cm' | 'in' | undefined;
}

/** What an option may be; anything else is told with what it could be. */
function oneOf<T extends string>(name: string, value: string | undefined, list: readonly T[]): T | undefined {
  if (value === undefined || (list as readonly string[]).includes(value)) return value as T | undefined;
  throw new Error(`--${name} is “${value}”. Use ${list.join(', ')}.`);
}

function asked(): Asked | null {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      as: { type: 'string' },
      style: { type: 'string' },
      terms: { type: 'string' },
      units: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (!file) return null;
  return {
    file,
    as: oneOf('as', values.as, Object.keys(PATTERN_FILES) as PatternFile[]) ?? 'txt',
    voice: oneOf('style', values.style, ['full', 'short'] as const) ?? 'full',
    terms: oneOf('terms', values.terms, ['US', 'UK'] as const),
    units: oneOf('units', values.units, ['mm', 'cm', 'in'] as const),
  };
}

/** Prints the written pattern of a plan’s file; what is wrong is told on stderr, line by line, with exit 2. */
function main(): number {
  let ask: Asked | null;
  try {
    ask = asked();
  } catch (error) {
    return refuse([(error as Error).message, USAGE]);
  }
  if (!ask) return refuse([USAGE]);
  try {
    const plan = readPlan(ask.file);
    const { as, voice } = ask;
    const terms = ask.terms ?? plan.schools?.terms ?? 'US';
    const units = ask.units ?? plan.schools?.units ?? 'mm';
    const read = { ...plan, schools: { ...plan.schools, terms, units } };
    process.stdout.write(patternFile(as, as === 'json' ? plan : read, reckon(read), { terms, units, voice }));
    return 0;
  } catch (error) {
    return refuse(faultLines(error));
  }
}

process.exitCode = main();
