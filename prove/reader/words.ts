import type { Known } from './read';

/** What a form of sentence says is wrong of it; nothing where it holds. */
export type Holds = (found: readonly string[], known: Known) => string | undefined;
export type SentenceForm = readonly [RegExp, Holds?];

/** Fragments that stand in many sentences. */
const FRAGMENTS: Readonly<Record<string, string>> = {
  LEN: '\\d+(?:\\.\\d+)?(?: \\d+/\\d+)? (?:mm|cm|in|m)|\\d+/\\d+ in|about \\d+ mm',
  N: '\\d+(?:\\.\\d+)?',
  SIDE: '(?:left|right)',
  COLOUR: '(?:[^.:,;]|\\.(?=\\d))+?',
  STITCH: '(?:single crochet|half double crochet|double crochet|slip stitch(?:es)?|reverse single crochet)',
  PIECE: "[a-z’' 0-9]+?",
};

const pattern = (words: string): string =>
  words
    .replaceAll('[^.]', '(?:[^.]|\\.(?=\\d))')
    .replace(/\b(LEN|N|SIDE|COLOUR|STITCH|PIECE)\b/g, (name) => `(?:${FRAGMENTS[name]!})`);

/** A sentence as a form: capitals are fragments, groups in brackets are given to what holds. */
export const says = (words: string, holds?: Holds): SentenceForm => {
  const source = new RegExp(`^${pattern(words)}$`, 'i');
  return holds ? [source, holds] : [source];
};

/** Sentences that say what to do or see, and nothing that can be counted. */
export const plain = (...sentences: readonly string[]): SentenceForm[] => sentences.map((words) => says(words));

export function heldBy(forms: readonly SentenceForm[], sentence: string, known: Known): string | undefined {
  for (const [words, holds] of forms) {
    const found = words.exec(sentence);
    if (found) return holds?.(found.slice(1), known);
  }
  return 'unknown';
}

/** @returns a length in mm */
export function mmOf(length: string): number {
  const found = /^(?:about )?(?:(\d+(?:\.\d+)?)(?: (\d+)\/(\d+))?|(\d+)\/(\d+)) (mm|cm|in|m)$/.exec(length.trim());
  if (!found) throw new Error(`not understood: ${length}`);
  const parts = found.slice(1, 6).map((one) => (one === undefined ? 0 : Number(one))) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const value = parts[0] + (parts[2] ? parts[1] / parts[2] : 0) + (parts[4] ? parts[3] / parts[4] : 0);
  return value * ({ mm: 1, cm: 10, in: 25.4, m: 1000 } as const)[found[6] as 'mm'];
}

export const within = (what: string, value: number, from: number, to: number): string | undefined =>
  value >= from && value <= to ? undefined : `${what} ${value} is not from ${from} to ${to}`;

/** What is needed for what is said stands at the head. */
export const needs =
  (notion: RegExp): Holds =>
  (_, { notions }) =>
    notion.test(notions) ? undefined : `no ${notion.source} among the notions: ${notions}`;
