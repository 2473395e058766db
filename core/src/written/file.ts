import type { Plan } from '../plan/plan';
import { patternMarkdown } from './markdown';
import { writtenPattern, type Reading } from './pattern';
import { patternText } from './text';
import type { Worked } from '../reckon/types';

/** The kinds of file a pattern leaves as: each with what it is called, its ending and its media type. */
export const PATTERN_FILES = {
  txt: { name: 'Plain text', type: 'text/plain' },
  md: { name: 'Markdown', type: 'text/markdown' },
  json: { name: 'Plan file', type: 'application/json' },
} as const;

export type PatternFile = keyof typeof PATTERN_FILES;

/**
 * A pattern as the text of a file. A plan file holds the plan alone: everything else follows from it again.
 *
 * @param worked the plan reckoned in the reader’s terms and unit
 * @source handbook 11
 */
export function patternFile(as: PatternFile, plan: Plan, worked: Worked, reading: Reading): string {
  if (as === 'json') return `${JSON.stringify(plan, null, 2)}\n`;
  const pattern = writtenPattern(plan, worked, reading);
  return as === 'md' ? patternMarkdown(pattern) : `${patternText(pattern)}\n`;
}
