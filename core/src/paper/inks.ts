import type { ClothRole } from '../drawing';

/** What drawings are painted with on paper: dark lines, tints light enough for words and for a black and white printer. */
export const INKS = {
  line: '#17262E',
  faint: '#8A979C',
  thread: '#7D4D91',
  paper: '#FFFFFF',
  cloth: {
    front: '#DBEAE4',
    back: '#EBE4CF',
    turn: '#CFDDE9',
    flap: '#EDD9DC',
    base: '#E2DCEB',
    wall: '#DBEAE4',
    pocket: '#D9E6CF',
    span: '#EBE4CF',
  } satisfies Record<ClothRole, string>,
  /** A piece's second colour, its third, and so on. */
  yarns: ['#B9D3E4', '#F0D5A0', '#E6BFCB', '#C3D3A0'],
} as const;

/** The family words are set in, where whoever reads the file has no other wish. */
export const LETTERS = 'sans-serif';
