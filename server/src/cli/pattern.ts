import { reckon, type Plan, type Schools, type Voice } from '@keep-snug/core';
import { PATTERN_FILES, patternFile, type PatternFile } from '@keep-snug/core/written';
import { PAPERS, type Paper } from '@keep-snug/core/paper';
import { parseArgs } from 'node:util';
import { onPaper } from '../paper/onPaper';
import { faultLines, readPlan, refuse } from './readPlan';

const KINDS = [...(Object.keys(PATTERN_FILES) as PatternFile[]), 'pdf'] as const;
const SHEETS = Object.keys(PAPERS) as Paper[];

/** Where the code on the page opens the plan: this machine, at the port the program takes by itself. */
const ORIGIN = 'http://127.0.0.1:8130';

const USAGE = `Usage: npm run -s pattern -- plan.json [--as ${KINDS.join('|')}] [--style full|short] [--terms US|UK] [--units mm|cm|in] [--paper ${SHEETS.join('|')}] > file
(or - to read standard input)`;

interface Asked {
  file: string;
  as: PatternFile | 'pdf';
  paper: Paper | undefined;
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
      paper: { type: 'string' },
    },
  });
  const [file] = positionals;
  if (!file) return null;
  return {
    file,
    as: oneOf('as', values.as, KINDS) ?? 'txt',
    paper: oneOf('paper', values.paper, SHEETS),
    voice: oneOf('style', values.style, ['full', 'short'] as const) ?? 'full',
    terms: oneOf('terms', values.terms, ['US', 'UK'] as const),
    units: oneOf('units', values.units, ['mm', 'cm', 'in'] as const),
  };
}

/** Prints the written pattern of a plan’s file; what is wrong is told on stderr, line by line, with exit 2. */
async function main(): Promise<number> {
  let ask: Asked | null;
  try {
    ask = asked();
  } catch (error) {
    return refuse([(error as Error).message, USAGE]);
  }
  if (!ask) return refuse([USAGE]);
  try {
    const plan = readPlan(ask.file);
    process.stdout.write(await written(plan, ask));
    return 0;
  } catch (error) {
    return refuse(faultLines(error));
  }
}

async function written(plan: Plan, ask: Asked): Promise<string | Uint8Array> {
  const { as, voice, paper = 'A4' } = ask;
  const terms = ask.terms ?? plan.schools?.terms ?? 'US';
  const units = ask.units ?? plan.schools?.units ?? 'mm';
  if (as === 'pdf') return onPaper({ plan, of: 'pattern', paper, style: voice, terms, units, origin: ORIGIN });
  const read = { ...plan, schools: { ...plan.schools, terms, units } };
  return patternFile(as, as === 'json' ? plan : read, reckon(read), { terms, units, voice });
}

process.exitCode = await main();
