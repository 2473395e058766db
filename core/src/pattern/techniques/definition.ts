import type { ChartSymbol } from '../../craft/fabric';
import type { Schools } from '..';
import { toldMoves, type Move } from './moves';
import type { Told } from './types';

/** What a technique belongs to, in the order makers meet it. */
export const FAMILIES = [
  { id: 'stitch', name: 'Stitches' },
  { id: 'beginning', name: 'Beginnings' },
  { id: 'course', name: 'Rows and rounds' },
  { id: 'edging', name: 'Edges and borders' },
  { id: 'yarn', name: 'Yarn and ends' },
  { id: 'seam', name: 'Seams' },
  { id: 'cord', name: 'Cords and trims' },
  { id: 'finish', name: 'Closures and lining' },
  { id: 'check', name: 'Checks' },
] as const;

type Family = (typeof FAMILIES)[number]['id'];

/** Another way of doing the same, as some are taught it. */
interface OtherWay {
  name: string;
  /** The habit it is, where the maker's settings ask for one. */
  habit?: Partial<Pick<Schools, 'ring' | 'turningChainCounts' | 'rounds' | 'foundation'>>;
  steps: readonly Told[];
}

/** From the easiest on; a pattern is as hard as the hardest that is used in it. */
export const LEVELS = ['easy', 'intermediate'] as const;

export type Level = (typeof LEVELS)[number];

/**
 * How one thing is worked. Texts may hold tokens: a stitch or craft word in the reader's terms, a length, a side as it is
 * for the hand that holds the hook.
 *
 * @source handbook 14
 */
export interface Technique {
  id: string;
  family: Family;
  name: string;
  /** How much practice it wants, and for the sake of what; nothing for what a first piece is made of. */
  level?: { is: Level; since: string };
  /** Whether every reader of patterns knows it, so that none explains it. */
  everyday?: true;
  abbreviation?: string;
  /** The stitch it is, where rows are written in it. */
  stitch?: string;
  symbol?: ChartSymbol;
  /** How a practice swatch is made for it, where it is no stitch of rows. */
  practice?: { edge: string };
  /** Called otherwise elsewhere: the one place where words of the other language may stand. */
  also?: readonly string[];
  what: string;
  /** Of a stitch what the hook does; its steps are told from them. */
  moves?: readonly Move[];
  /** Done before the moves, or all that is done where there are none. */
  steps?: readonly Told[];
  looks: string;
  mistake: { text: string; repair: string };
  ways?: readonly OtherWay[];
  /** How texts speak of it, besides by its name. */
  words: readonly string[];
}

/** A step in both voices. */
export const step = (full: string, short: string): Told => ({ full, short });

/** What is done, in order, in both voices: the moves of a stitch, and what comes before them. */
export function stepsOf({ steps = [], moves = [] }: Technique): Told[] {
  return [...steps, ...toldMoves(moves)];
}
