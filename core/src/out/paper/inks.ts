import { CLOTH_TINTS, YARN_TINTS } from '../../drawing/drawn';

/** What drawings are painted with on paper: dark lines, tints light enough for words and for a black and white printer. */
export const INKS = {
  line: '#17262E',
  faint: '#8A979C',
  thread: '#7D4D91',
  paper: '#FFFFFF',
  cloth: CLOTH_TINTS,
  yarns: YARN_TINTS,
} as const;

/** The family words are set in, where whoever reads the file has no other wish. */
export const LETTERS = 'sans-serif';
